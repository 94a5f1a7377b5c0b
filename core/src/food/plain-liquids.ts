import type { FoodRecord } from './record';

const plain = new Set(['water', 'broth', 'broth-low-salt', 'broth-fish', 'coconut-water']);

/** Thin liquids that can be the liquid to add; the rest (wine, soy, tomato, coconut milk) is counted as it is. */
export const isPlainLiquid = (food: string): boolean => plain.has(food);

/** A plan cannot be worked out without so much as the weight of these; of anything else "to taste" changes no minute. */
export const needsAmount = (food: FoodRecord): boolean =>
  food.grain !== undefined ||
  food.meat !== undefined ||
  food.plant?.staysHard === true ||
  isPlainLiquid(food.id) ||
  /^salt\b/.test(food.id);
