import type { Dish, Ingredient } from '../dish/schema';
import { findFood, measurable } from '../food/find';
import type { FoodFlag, FoodRecord } from '../food/record';
import { toGrams } from '../quantity/convert';

export type Joins = NonNullable<Ingredient['joins']>;
/** What has happened to a food when the lid closes; it decides how much juice is still to come. */
export type State = 'raw' | 'sweated' | 'part-seared' | 'browned' | 'cooked';

export interface Item {
  ingredient: Ingredient;
  food: FoodRecord;
  grams: number;
  joins: Joins;
  state: State;
  thicknessMm: number;
  /** thin liquid that the planner may set */
  main: boolean;
}

export interface Gathered {
  dish: Dish;
  items: Item[];
  grain: Item | null;
  main: Item;
  fried: boolean;
}

/** The juice still to come, as a share of what the raw food would give [derived, +-0.15]. */
export const juiceLeft: Record<State, number> = {
  raw: 1,
  sweated: 0.7,
  'part-seared': 0.75,
  browned: 0.25,
  cooked: 0.15,
};

const has = (food: FoodRecord, flag: FoodFlag): boolean => food.flags.includes(flag);
export const hasFlag = (item: Item, flag: FoodFlag): boolean => has(item.food, flag);

/** Thin liquids that can be the liquid to add; the rest (wine, soy, tomato, coconut milk) is counted as it is. */
const plainLiquids = new Set(['water', 'broth', 'broth-low-salt']);

/** Everything on the board, weighed, with when it joins and in what state it meets the lid. */
export function gather(dish: Dish): Gathered {
  const fries = dish.family !== 'plain-grain';
  const items = dish.ingredients.map((ingredient): Item => {
    const food = findFood(ingredient.food);
    const joins = ingredient.joins ?? decideJoins(food, ingredient, fries);
    return {
      ingredient,
      food,
      grams: toGrams(ingredient.amount, measurable(food)),
      joins,
      state: stateAtLid(food, ingredient, joins),
      thicknessMm: ingredient.prep?.thicknessMm ?? food.meat?.defaultThicknessMm[0] ?? 10,
      main: false,
    };
  });
  let main = items.find((i) => plainLiquids.has(i.food.id) && i.joins !== 'finish');
  if (!main) {
    main = {
      ingredient: { id: 'water', food: 'water', amount: { value: 1, unit: 'ml' } },
      food: findFood('water'),
      grams: 0,
      joins: 'stack',
      state: 'raw',
      thicknessMm: 10,
      main: true,
    };
    items.push(main);
  }
  main.main = true;
  const grain = items.find((i) => i.food.kind === 'grain') ?? null;
  return { dish, items, grain, main, fried: items.some((i) => i.joins === 'fry') };
}

function decideJoins(food: FoodRecord, ingredient: Ingredient, fries: boolean): Joins {
  if (has(food, 'delicate') || has(food, 'curdles') || food.kind === 'dairy') return 'finish';
  if (has(food, 'acid')) return 'finish';
  if (!fries) return 'stack';
  if (food.kind === 'fat') return 'fry';
  if (food.kind === 'grain') return ingredient.prep?.coated ? 'fry' : 'stack';
  if (food.kind === 'meat') return ingredient.prep?.state === 'cooked' || food.meat?.cut === 'cooked' ? 'stack' : 'fry';
  if (food.kind === 'vegetable') return friedVegetables.has(food.id) ? 'fry' : 'stack';
  if (food.kind === 'seasoning') return has(food, 'aromatic') ? 'fry' : 'stack';
  return 'stack';
}

const friedVegetables = new Set([
  'onion',
  'shallot',
  'leek',
  'garlic',
  'ginger',
  'celery',
  'carrot',
  'bell-pepper',
  'chili',
  'mushroom',
  'fennel',
]);

function stateAtLid(food: FoodRecord, ingredient: Ingredient, joins: Joins): State {
  const said = ingredient.prep?.state;
  if (said === 'cooked' || food.meat?.cut === 'cooked') return 'cooked';
  if (joins !== 'fry') return said === 'browned' ? 'browned' : said === 'part-seared' ? 'part-seared' : 'raw';
  if (food.kind === 'meat') {
    // Crumbs lose their juice in the pan; pieces of 8 mm and more keep it under a brown surface.
    const thickness = ingredient.prep?.thicknessMm ?? food.meat?.defaultThicknessMm[0] ?? 10;
    if (said === 'browned') return thickness >= 8 && food.meat?.cut !== 'ground' ? 'part-seared' : 'browned';
    return 'part-seared';
  }
  return food.kind === 'vegetable' ? 'sweated' : 'raw';
}
