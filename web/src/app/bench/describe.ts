import { nameOrFood, type Dish, type Ingredient } from '@einkorn/core';

/** A change in the words of the catalogue: a key below `change.` and what fills it. */
export interface Change {
  key: string;
  /** what the food is called: an id of the table, or the cook's own words */
  food?: string;
  amount?: { value: number; unit: Ingredient['amount']['unit'] };
  /** plain figures for the sentence */
  params: Record<string, string | number>;
}

/** What is different between two states of the same dish, as one name for undo: the first thing a cook would say. */
export function describeChange(before: Dish, after: Dish): Change {
  if (before.serves !== after.serves) return { key: 'serves', params: { n: after.serves } };
  const old = new Map(before.ingredients.map((i) => [i.id, i]));
  const now = new Map(after.ingredients.map((i) => [i.id, i]));
  const added = after.ingredients.find((i) => !old.has(i.id));
  if (added) return { key: 'added', food: nameOrFood(added), params: {} };
  const gone = before.ingredients.find((i) => !now.has(i.id));
  if (gone) return { key: 'removed', food: nameOrFood(gone), params: {} };
  for (const i of after.ingredients) {
    const was = old.get(i.id)!;
    const change = ingredientChange(was, i);
    if (change) return change;
  }
  if (before.ingredients.some((i, k) => after.ingredients[k]?.id !== i.id)) return { key: 'order', params: {} };
  if (before.texture !== after.texture) return { key: 'texture', params: { texture: after.texture ?? 'fluffy' } };
  if (before.serveAt !== after.serveAt) return { key: 'serve-at', params: { at: after.serveAt ?? '19:00' } };
  return overrideChange(before, after) ?? { key: 'other', params: {} };
}

function ingredientChange(was: Ingredient, i: Ingredient): Change | null {
  if (was.food !== i.food) return { key: 'swapped', food: nameOrFood(i), params: {} };
  if (was.amount.value !== i.amount.value || was.amount.unit !== i.amount.unit)
    return { key: 'amount', food: nameOrFood(i), amount: i.amount, params: {} };
  if (was.place !== i.place) return { key: 'place', food: nameOrFood(i), params: {} };
  if (was.joins !== i.joins) return { key: 'joins', food: nameOrFood(i), params: {} };
  if (JSON.stringify(was.prep ?? {}) !== JSON.stringify(i.prep ?? {}))
    return { key: 'prep', food: nameOrFood(i), params: {} };
  return null;
}

function overrideChange(before: Dish, after: Dish): Change | null {
  const a = (before.overrides ?? {}) as Record<string, unknown>;
  const b = (after.overrides ?? {}) as Record<string, unknown>;
  const key = [...new Set([...Object.keys(a), ...Object.keys(b)])].find(
    (k) => JSON.stringify(a[k]) !== JSON.stringify(b[k]),
  );
  if (key === undefined) return null;
  return b[key] === undefined ? { key: 'released', params: {} } : { key: `own-${key}`, params: {} };
}
