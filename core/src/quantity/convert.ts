import { refusal } from '../problem';
import type { Amount } from './parse';
import { units, type UnitId } from './units';

/** What a conversion must know of a food: how it packs, and what a piece or a packet of it weighs. */
export interface Measurable {
  id: string;
  gPerMl: number;
  pieceG?: number;
  packetG?: number;
}

/** Grams of one unit of the food. Throws Problem `amount-count` when the food is not sold by that count. */
export function gramsPerUnit(unit: UnitId, food: Measurable): number {
  const u = units[unit];
  if (u.kind === 'mass') return u.size;
  if (u.kind === 'volume') return u.size * food.gPerMl;
  if (u.kind === 'taste') return 0;
  const each = unit === 'piece' ? food.pieceG : food.packetG;
  if (each === undefined) throw refusal('amount-count', { unit, food: food.id });
  return each;
}

/** Mass in g of an amount of a food. */
export const toGrams = (amount: Amount, food: Measurable): number => amount.value * gramsPerUnit(amount.unit, food);

/** The amount in `unit` that weighs `grams`. Inverse of `toGrams`. */
export const fromGrams = (grams: number, unit: UnitId, food: Measurable): Amount => ({
  value: grams / gramsPerUnit(unit, food),
  unit,
});
