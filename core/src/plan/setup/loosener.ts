import { isPlainLiquid } from '../../food/plain-liquids';
import { goesUnderLid, type Gathered, type Item } from '../gather/item';
import { placeOf } from '../gather/place';
import { deglazeMl } from './fry';

/** The liquid that loosens the base after frying, and how much of it there is, mL. */
export interface Loosener {
  food: string;
  ml: number;
}

/**
 * The liquid to add; where that goes into a bowl of its own, what lies in the pot around it: its broth, or the water below. Where
 * that is too little to scrape with, what runs most of the rest: the coconut milk of a curry.
 */
export function loosenerOf(g: Gathered, addMl: number, outerMl: number): Loosener {
  const inPot = g.items
    .filter((i) => !i.main && runs(i) && goesUnderLid(i) && placeOf(g, i) !== 'inner-bowl')
    .map((i) => ({ food: i.food.id, ml: i.grams / i.food.bulkGPerMl[0] }))
    .sort((a, b) => b.ml - a.ml);
  const broth = inPot.find((l) => isPlainLiquid(l.food));
  const first = !g.inBowl ? { food: g.main.ingredient.food, ml: addMl } : (broth ?? { food: 'water', ml: outerMl });
  const most = inPot[0];
  return most && first.ml < deglazeMl && most.ml > first.ml ? most : first;
}

/** Broth and coconut milk; wine is in the pan by then, soy sauce would be salt alone. */
const runs = ({ food }: Item): boolean => isPlainLiquid(food.id) || food.id === 'coconut-milk';
