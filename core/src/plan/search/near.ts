import type { Dish, Ingredient } from '../../dish/schema';
import { stableJson } from '../../stable-json';
import type { Plan } from '../document/document';
import type { Near } from './search';

/** A change of an amount or a thickness up to this share of it is a small step of the same dish [from memory]. */
const smallStep = 0.15;

/**
 * The program that stays for a dish that is a small step away from the one that `plan` was made for, so that small
 * changes of a dish make small changes of its plan; null where the dish is another one, or where the plan's numbers
 * were the cook's own.
 */
export function nearOf(plan: Plan, before: Dish, dish: Dish): Near | null {
  const { holdMin, release, pressure, firstStage } = before.overrides ?? {};
  if ([holdMin, release, pressure, firstStage].some((x) => x !== undefined)) return null;
  if (shapeOf(before) !== shapeOf(dish)) return null;
  const small = before.ingredients.every((i, k) => isSmall(i, dish.ingredients[k]!));
  return small ? { holdMin: plan.program.holdMin, release: plan.program.release } : null;
}

/** Everything that tells a dish from another but its amounts, sizes and names. */
function shapeOf(dish: Dish): string {
  const { title: _title, notes: _notes, serves: _serves, ingredients, ...rest } = dish;
  const bare = ingredients.map(({ amount, prep, ...i }) => ({
    ...i,
    unit: amount.unit,
    prep: { ...prep, thicknessMm: prep?.thicknessMm !== undefined },
  }));
  return stableJson({ ...rest, bare });
}

function isSmall(a: Ingredient, b: Ingredient): boolean {
  const within = (x: number, y: number): boolean => Math.abs(x - y) <= smallStep * Math.max(x, y);
  return within(a.amount.value, b.amount.value) && within(a.prep?.thicknessMm ?? 0, b.prep?.thicknessMm ?? 0);
}
