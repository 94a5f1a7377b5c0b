import type { Dish, Ingredient, Release } from '@einkorn/core';

/** Pure changes of a dish on the bench. Each returns a new dish; the slice keeps the old one for undo. */

export const withIngredient = (dish: Dish, id: string, change: Partial<Ingredient>): Dish => ({
  ...dish,
  ingredients: dish.ingredients.map((i) => (i.id === id ? clean({ ...i, ...change }) : i)),
});

export const withPrep = (dish: Dish, id: string, change: NonNullable<Ingredient['prep']>): Dish => {
  const old = dish.ingredients.find((i) => i.id === id);
  return withIngredient(dish, id, { prep: clean({ ...old?.prep, ...change }) });
};

export const withoutIngredient = (dish: Dish, id: string): Dish => ({
  ...dish,
  ingredients: dish.ingredients.filter((i) => i.id !== id),
});

export function addIngredient(dish: Dish, food: string): Dish {
  const taken = new Set(dish.ingredients.map((i) => i.id));
  let id = food;
  for (let n = 2; taken.has(id); n++) id = `${food}-${n}`;
  return { ...dish, ingredients: [...dish.ingredients, { id, food, amount: { value: 100, unit: 'g' } }] };
}

/** Sets or (with undefined) releases a row of the water ledger. */
export function withLedger(dish: Dish, item: string, grams: number | undefined): Dish {
  const { [item]: _, ...rest } = dish.overrides?.ledger ?? {};
  const ledger = grams === undefined ? rest : { ...rest, [item]: grams };
  return withOverrides(dish, { ledger: Object.keys(ledger).length > 0 ? ledger : undefined });
}

export interface OverrideChange {
  liquidMl?: number | undefined;
  holdMin?: number | undefined;
  release?: Release | undefined;
  pressure?: 'high' | 'low' | undefined;
  ledger?: Record<string, number> | undefined;
}

/** Changes overrides; a value of undefined gives the number back to the planner. */
export function withOverrides(dish: Dish, change: OverrideChange): Dish {
  const next = clean<OverrideChange>({ ...dish.overrides, ...change });
  const { overrides: _, ...bare } = dish;
  return Object.keys(next).length > 0 ? { ...bare, overrides: next } : bare;
}

/** Moves the serving time by minutes, around midnight too. */
export function withServeShift(dish: Dish, minutes: number): Dish {
  const [h, m] = (dish.serveAt ?? '19:00').split(':').map(Number) as [number, number];
  const at = (h * 60 + m + minutes + 1440) % 1440;
  const two = (x: number): string => String(x).padStart(2, '0');
  return { ...dish, serveAt: `${two(Math.floor(at / 60))}:${two(at % 60)}` };
}

/** Drops keys that hold undefined, so that a document says only what it means. */
function clean<T extends object>(o: T): T {
  return Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T;
}
