import { isPlainLiquid } from './plain-liquids';
import type { FoodRecord } from './record';

/** A plan cannot be worked out without so much as the weight of these; of anything else "to taste" changes no minute. */
export const needsAmount = (food: FoodRecord): boolean =>
  food.grain !== undefined ||
  food.meat !== undefined ||
  food.plant?.staysHard === true ||
  isPlainLiquid(food.id) ||
  /^salt\b/.test(food.id);
