import type { Ingredient } from './schema';

/** An id for one more ingredient of that food: the food's own, with a number where it is taken. */
export function freeId(food: string, ingredients: readonly Ingredient[]): string {
  const taken = new Set(ingredients.map((i) => i.id));
  let id = food;
  for (let n = 2; taken.has(id); n++) id = `${food}-${n}`;
  return id;
}
