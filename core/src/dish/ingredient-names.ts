import type { FoodOf } from '../food/own-food';
import type { Ingredient } from './schema';

/** What each ingredient is called, by its id: ids of foods of the table, or names in the cook's own words. */
export type IngredientNames = Readonly<Partial<Record<string, readonly string[]>>>;

/** The cook's own words for an ingredient, or the id of its food. */
export const nameOrFood = ({ food, ownFood, name }: FoodOf): string => ownFood?.name ?? name ?? food;

/** The entries of an object in an order of their own. */
export const sorted = (x: object): [string, unknown][] => Object.entries(x).sort(([a], [b]) => (a < b ? -1 : 1));

/** Rows with the same key are one food that is handled in one way: how often it is written down does not matter. */
export const rowKey = ({ food, joins, place, back, prep }: Ingredient): string =>
  JSON.stringify([food, joins, place, back, sorted(prep ?? {})]);

/**
 * What the rows of a dish are called where they are cooked. Rows that are one food are cooked together, so that each has the
 * names of all of them: turmeric and cumin are fried as one.
 */
export function ingredientNames(ingredients: readonly Ingredient[]): IngredientNames {
  const names = new Map<string, Set<string>>();
  for (const i of ingredients) {
    const together = names.get(rowKey(i)) ?? new Set();
    names.set(rowKey(i), together.add(nameOrFood(i)));
  }
  return Object.fromEntries(ingredients.map((i) => [i.id, [...names.get(rowKey(i))!]]));
}

/** The ingredient with another food of the table in its place; what the old one was called goes with it. */
export const withFood = ({ ownFood: _, name: __, ...item }: Ingredient, food: string): Ingredient => ({
  ...item,
  food,
});
