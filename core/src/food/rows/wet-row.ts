import type { FoodFlag, FoodKind } from '../record';

/**
 * A food that is no grain, pasta or meat. Water: food-composition tables, from memory (M). Free and released shares:
 * derived (D), for a 4 to 12 min pressure cook of small raw pieces; what is released is negative where the food drinks.
 * Packing and piece weights: common practice (P). Salt: labels and tables, from memory (M).
 */
export type WetRow = readonly [
  id: string,
  kind: FoodKind,
  water: number,
  free: number,
  released: number,
  releaseSd: number,
  cpKjPerKgK: number,
  densityGPerMl: number,
  bulkGPerMl: number,
  saltPer100g: number,
  pieceG?: number,
  flags?: readonly FoodFlag[],
];
