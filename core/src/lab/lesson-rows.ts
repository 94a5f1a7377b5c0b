import type { Plan } from '../plan/document/document';
import type { LessonRow, RowCode } from './lesson';

export const row = (code: RowCode, value: number, unit: LessonRow['unit']): LessonRow => ({ code, value, unit });
export const ledgerG = (p: Plan, item: string): number => p.liquid.ledger.find((r) => r.item === item)?.grams ?? 0;
export const fromFoodG = (p: Plan): number =>
  p.liquid.ledger.filter((r) => r.item.startsWith('from:')).reduce((s, r) => s + r.grams, 0);
export const texture = (p: Plan): LessonRow => row('texture', p.grain?.textureIndex ?? 0, 'points');
export const moisture = (p: Plan): LessonRow => row('moisture', 100 * (p.grain?.moisture ?? 0), 'percent');
export const clock = (p: Plan): LessonRow =>
  row('minutes-at-100', p.grain?.equivalentMin ?? p.pasta?.equivalentMin ?? 0, 'min');
export const liquid = (p: Plan): LessonRow => row('liquid', p.liquid.addMl, 'ml');
export const steam = (p: Plan): LessonRow => row('steam', -ledgerG(p, 'steam'), 'g');
export const pin = (p: Plan): LessonRow => row('pin', p.program.pinUpMin, 'min');
export const burnt = (p: Plan): LessonRow => row('burnt', 100 - (p.program.chance?.base ?? 100), 'in100');
export const meat = (p: Plan): Plan['meats'][number] => p.meats[0]!;
export const core = (p: Plan): LessonRow => row('core', meat(p).coreC, 'C');
