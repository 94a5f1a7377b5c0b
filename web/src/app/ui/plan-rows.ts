import { starchOf, type Plan } from '@einkorn/core';
import type { Format } from '../i18n/format';
import { starchSaid } from './starch-said';

type Translate = (key: string, p?: Record<string, unknown>) => string;

export interface PlanRow {
  key: string;
  name: string;
  values: string[];
}

/** The figures of several plans beside each other, a row for each figure. */
export function planRows(plans: readonly Plan[], t: Translate, fmt: Format): PlanRow[] {
  const row = (key: string, of: (p: Plan) => string): PlanRow => ({
    key,
    name: t(`compare.${key}`),
    values: plans.map(of),
  });
  return [
    row('liquid', (p) => fmt.ml(p.liquid.addMl)),
    row('program', (p) => programName(p, t, fmt)),
    row('first', (p) => (p.firstStage ? `${fmt.minutes(p.firstStage.holdMin)} min` : '–')),
    row('starch', (p) => {
      const s = starchOf(p);
      return s ? `${t(`food.${(p.grain ?? p.pasta)!.food}`)}: ${starchSaid(p, s, t, fmt)}` : '–';
    }),
    row('meat', (p) => p.meats.map((m) => `${t(`meat.${m.texture}`)} ${fmt.temperature(m.coreC)}`).join(', ') || '–'),
    row('scorch', (p) => t(`scorch.${p.scorch.level}`)),
    row('chance', (p) => (p.program.chance ? t('compare.of-100', { n: fmt.number(p.program.chance.of100) }) : '–')),
    row('fill', (p) => fmt.percent(p.pot.fillFraction)),
    row('hands', (p) => minutesOf(p, true, fmt)),
    row('total', (p) => `${fmt.number(Math.round(p.timeline.at(-1)?.endMin ?? 0))} min`),
  ];
}

function minutesOf(p: Plan, hands: boolean, fmt: Format): string {
  const sum = p.steps.filter((s) => (s.kind === 'do') === hands).reduce((m, s) => m + s.minutes, 0);
  return `${fmt.number(Math.round(sum))} min`;
}

/** The hold and the release of a plan in a few words: "3 min + 6". */
export function programName(p: Plan, t: Translate, fmt: Format): string {
  const r = p.program.release;
  const hold = fmt.minutes(p.program.holdMin);
  return t(`pressure.name-${r.kind}`, { hold, natural: fmt.minutes(r.naturalMin ?? 0) });
}

const inShort = new Set(['liquid', 'program', 'starch', 'scorch']);

/** One of the plans of these rows in a line: its liquid, its program, its starch and its base. */
export const planInShort = (rows: readonly PlanRow[], at: number): string =>
  rows
    .filter((r) => inShort.has(r.key) && r.values[at] !== '–')
    .map((r) => (r.key === 'scorch' ? `${r.name} ${r.values[at]}` : r.values[at]))
    .join(' · ');
