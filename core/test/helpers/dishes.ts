import { readDish } from '../../src/dish/read';
import { kitchenSchema, type Kitchen } from '../../src/dish/kitchen';
import type { Dish } from '../../src/dish/schema';

export const seaLevel: Kitchen = kitchenSchema.parse({});
export const hut: Kitchen = kitchenSchema.parse({ altitudeM: 1180 });

/** Rinsed long-grain and water, nothing else. */
export const plainRice = (more: Partial<Dish> = {}, cups = 2): Dish =>
  readDish({
    format: 'einkorn.dish/1',
    title: 'Plain rinsed long-grain',
    family: 'plain-grain',
    serves: 4,
    ingredients: [
      { id: 'rice', food: 'rice-long', amount: { value: cups, unit: 'cup-us' }, prep: { rinse: true } },
      { id: 'water', food: 'water', amount: { value: cups, unit: 'cup-us' } },
    ],
    ...more,
  });

export const turkeyRice = (more: Partial<Dish> = {}, riceG = 300): Dish =>
  readDish({
    format: 'einkorn.dish/1',
    title: 'Turkey, leek and lemon long-grain',
    family: 'one-pot-grain',
    serves: 4,
    ingredients: [
      { id: 'rice', food: 'rice-long', amount: { value: riceG, unit: 'g' }, prep: { rinse: true } },
      {
        id: 'turkey',
        food: 'turkey-thigh',
        amount: { value: 520, unit: 'g' },
        prep: { shape: 'cube', thicknessMm: 25 },
      },
      { id: 'leek', food: 'leek', amount: { value: 240, unit: 'g' }, place: 'top' },
      { id: 'garlic', food: 'garlic', amount: { value: 2, unit: 'piece' } },
      { id: 'oil', food: 'oil-olive', amount: { value: 2, unit: 'tbsp' } },
      { id: 'broth', food: 'broth', amount: { value: 355, unit: 'ml' } },
      { id: 'lemon', food: 'lemon-juice', amount: { value: 30, unit: 'ml' }, joins: 'stack' },
      { id: 'parsley', food: 'herb-fresh', amount: { value: 15, unit: 'g' } },
    ],
    ...more,
  });
