import type { FoodOf } from '../food/own-food';
import { isToTaste } from '../quantity/parse';
import { stableJson } from '../stable-json';
import type { Ingredient } from './schema';

/** What each ingredient is called, by its id: ids of foods of the table, or names in the cook's own words. */
export type IngredientNames = Readonly<Partial<Record<string, readonly string[]>>>;

/** The cook's own words for an ingredient, or the id of its food. */
export const nameOrFood = ({ food, ownFood, name }: FoodOf): string => ownFood?.name ?? name ?? food;

/**
 * Rows with the same key are one food that is handled in one way: how often it is written down does not matter. What is
 * to taste is strewn apart from what was weighed.
 */
export const rowKey = ({ food, joins, place, back, prep, amount }: Ingredient): string =>
  stableJson([food, joins, place, back, prep ?? {}, isToTaste(amount)]);

/**
 * What the rows of a dish are called where they are cooked. Rows that are one food are cooked together, so that each has the
 * names of all of them: turmeric and cumin are fried as one.
 */
export function ingredientNames(ingredients: readonly Ingredient[]): IngredientNames {
  const names = known.get(ingredients) ?? namesTogether(ingredients);
  known.set(ingredients, names);
  return names;
}
/** The rows of a document never change, and the Stove asks for their names with every tick of its clock. */
const known = new WeakMap<readonly Ingredient[], IngredientNames>();

function namesTogether(ingredients: readonly Ingredient[]): IngredientNames {
  const keys = ingredients.map(rowKey);
  const names = new Map(keys.map((key) => [key, new Set<string>()]));
  ingredients.forEach((i, row) => names.get(keys[row]!)!.add(nameOrFood(i)));
  return Object.fromEntries(ingredients.map((i, row) => [i.id, [...names.get(keys[row]!)!]]));
}

/** The ingredient with another food of the table in its place; what the old one was called goes with it. */
export const withFood = ({ ownFood: _, name: __, ...item }: Ingredient, food: string): Ingredient => ({
  ...item,
  food,
});
