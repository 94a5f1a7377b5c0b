import { needsAmount } from '../food/needs-amount';
import { measurable } from '../food/find';
import { recordOf } from '../food/own-food';
import { refusalAt } from '../problem';
import { toGrams } from '../quantity/convert';
import { isToTaste } from '../quantity/parse';
import type { Ingredient } from './schema';

/** What a row of a dish weighs, g; 0 where it is to taste. Throws Problem `amount-count` or `food-unknown`. */
export const ingredientGrams = (i: Ingredient): number => toGrams(i.amount, measurable(recordOf(i), i.prep?.pieceG));

/** Throws Problem `not-to-taste` where a plan cannot do without the weight of this row; `at` is its place in the document. */
export function checkToTaste(i: Ingredient, at: string): void {
  if (isToTaste(i.amount) && needsAmount(recordOf(i)))
    throw refusalAt(`${at}.amount`, 'not-to-taste', { food: i.name ?? i.food });
}
