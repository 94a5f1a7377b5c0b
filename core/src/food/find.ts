import { nearest } from '../nearest';
import { hintOf, refusalAt } from '../problem';
import type { Measurable } from '../quantity/convert';
import { grains } from './grains';
import { meats } from './meats';
import { pastas } from './pasta';
import type { FoodRecord } from './record';
import { wet } from './other-foods';

export const foods: readonly FoodRecord[] = [...grains, ...pastas, ...meats, ...wet];
const byId = new Map(foods.map((f) => [f.id, f]));

export const foodIds: readonly string[] = foods.map((f) => f.id);

/** The food of that id. Throws Problem `food-unknown` with near names; `path` is the field it was read from. */
export function findFood(id: string, path = 'food'): FoodRecord {
  const food = byId.get(id);
  if (food) return food;
  const near = nearest(id, foodIds);
  const shown = id.length > 40 ? `${id.slice(0, 40)}…` : id;
  const hint = hintOf(near, 'choose-a-food');
  throw refusalAt(path, 'food-unknown', { food: shown, hint });
}

/** What the converter needs of a food; `pieceG` is what one piece of it weighs, where the cook said so. */
export const measurable = (food: FoodRecord, pieceG: number | undefined = food.pieceG?.[0]): Measurable => ({
  id: food.id,
  gPerMl: food.bulkGPerMl[0],
  ...(pieceG === undefined ? {} : { pieceG }),
  ...(food.packetG ? { packetG: food.packetG[0] } : {}),
});
