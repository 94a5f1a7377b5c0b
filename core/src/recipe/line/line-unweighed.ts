import { needsAmount } from '../../food/needs-amount';
import type { FoodRecord } from '../../food/record';
import { toTaste } from '../../quantity/parse';
import type { LineFacts, Sized } from './line-facts';
import { readPrep } from './prep';

export const tasteWords =
  /\b(?:to taste|as (?:needed|required|desired)|as much as you like|al gusto|cantidad necesaria|c\/n|a gusto|if needed)\b/;

/** How much of a herb, a spice, a green onion, a lemon or cheese to grate over is meant changes no liquid and no minute. */
const isHarmless = (food: FoodRecord): boolean =>
  /^(?:herb|spice|saffron|spring-onion|lemon|cheese-hard)/.test(food.id);

/** It stays in the dish by its name; how much salt there is the plan works out. */
const unweighed = (food: FoodRecord): Pick<Sized, 'amount' | 'grams'> => ({
  amount: needsAmount(food) ? null : toTaste,
  grams: 0,
});

/** A line that says no number: to taste, for the plan to work out, or a question. */
export function withoutNumber(f: LineFacts, food: FoodRecord): Sized {
  const taste = tasteWords.test(f.plain);
  const garnish = readPrep([...f.asides, f.around].join(' , ')).joins === 'topping';
  if (food.kind === 'fat' && !garnish && (taste || food.id.startsWith('oil-')))
    return { ...unweighed(food), certain: 0.8, note: 'fat-planned' };
  const seasons = food.kind === 'seasoning' || food.flags.includes('aromatic');
  if (taste || isHarmless(food) || (seasons && !f.head.vague))
    return { ...unweighed(food), certain: taste ? 0.95 : 0.8, note: 'to-taste' };
  if (food.id === 'water') return { amount: null, grams: 0, certain: 0.8, note: 'liquid-planned' };
  return garnish
    ? { ...unweighed(food), certain: 0.75, note: 'to-taste' }
    : { amount: null, grams: null, certain: 0.4, note: 'no-amount' };
}
