import { readDish } from '../../src/dish/read';
import type { Dish, Family, Ingredient } from '../../src/dish/schema';
import type { Gathered, Item } from '../../src/plan/gather/item';

/** One thing on the board: 200 g of it where nothing else is said, called by its food where it has no other name. */
export type Thing = Partial<Ingredient> & { food: string; g?: number };

/** A dish of nothing but the things that a test is about. */
export const board = (family: Family, ...things: Thing[]): Dish =>
  readDish({
    format: 'einkorn.dish/1',
    title: 'Board',
    family,
    serves: 4,
    ingredients: things.map(({ g = 200, ...t }) => ({ id: t.food, amount: { value: g, unit: 'g' }, ...t })),
  });

/** The gathered item of a row. */
export const itemOf = (g: Gathered, id: string): Item => g.items.find((i) => i.rows.includes(id))!;
