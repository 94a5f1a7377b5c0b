import { isPlainLiquid } from '../../food/plain-liquids';
import { goesUnderLid, type Gathered, type Item } from '../gather/item';
import { placeOf } from '../gather/place';

/** The liquid that loosens the base after frying, and how much of it there is, mL. */
export interface Loosener {
  food: string;
  ml: number;
}

/** The liquid to add; where that goes into a bowl of its own, what lies in the pot around it: its broth, or the water below. */
export function loosenerOf(g: Gathered, addMl: number, outerMl: number): Loosener {
  if (!g.inBowl) return { food: g.main.ingredient.food, ml: addMl };
  const mlOf = (i: Item): number => i.grams / i.food.bulkGPerMl[0];
  const [most] = g.items
    .filter((i) => isPlainLiquid(i.food.id) && goesUnderLid(i) && placeOf(g, i) !== 'inner-bowl')
    .sort((a, b) => mlOf(b) - mlOf(a));
  return most ? { food: most.food.id, ml: mlOf(most) } : { food: 'water', ml: outerMl };
}
