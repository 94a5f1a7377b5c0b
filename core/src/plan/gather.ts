import type { Dish, Ingredient } from '../dish/schema';
import { findFood, measurable } from '../food/find';
import type { FoodFlag, FoodRecord } from '../food/record';
import { pastaGrain } from '../food/pasta';
import { toGrams } from '../quantity/convert';
import { bakedShare, familyRules, stewShare, tomatoDish, type FamilyRule } from './families';

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
  rule: FamilyRule;
  items: Item[];
  /** the starch of the dish, grain or pasta */
  grain: Item | null;
  /** the thin liquid that the planner may set */
  main: Item;
  fried: boolean;
  /** free sauce wanted, share of the finished dish */
  sauceShare: number;
  /** the starch cooks in a bowl of its own over the rest */
  inBowl: boolean;
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
  const rule = familyRules[dish.family];
  const items = dish.ingredients.map((ingredient): Item => {
    const food = withPacket(findFood(ingredient.food), ingredient);
    const joins = ingredient.joins ?? decideJoins(food, ingredient, rule);
    return {
      ingredient,
      food,
      grams: toGrams(ingredient.amount, measurable(food)),
      joins,
      state: stateAtLid(food, ingredient, joins),
      thicknessMm:
        ingredient.prep?.thicknessMm ?? food.meat?.defaultThicknessMm[0] ?? food.plant?.defaultThicknessMm[0] ?? 10,
      main: false,
    };
  });
  const inBowl = dish.family === 'pot-in-pot';
  // In a bowl over a stew the water to set is the bowl's own, not the stew's.
  const settable = (i: Item): boolean =>
    plainLiquids.has(i.food.id) && i.joins !== 'finish' && (!inBowl || i.ingredient.place === 'inner-bowl');
  let main = items.find(settable);
  if (!main) {
    const id = items.some((i) => i.ingredient.id === 'water') ? 'water-to-add' : 'water';
    main = {
      ingredient: {
        id,
        food: 'water',
        amount: { value: 1, unit: 'ml' },
        ...(inBowl ? { place: 'inner-bowl' as const } : {}),
      },
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
  const grain = items.find((i) => i.food.grain && i.joins !== 'finish') ?? null;
  return {
    dish,
    rule,
    items,
    grain,
    main,
    fried: items.some((i) => i.joins === 'fry'),
    sauceShare: sauceWanted(dish, rule, items, grain),
    inBowl,
  };
}

/** Pasta goes by the minutes on its own packet where the cook gives them. */
function withPacket(food: FoodRecord, ingredient: Ingredient): FoodRecord {
  const packetMin = ingredient.prep?.packetMinutes;
  if (food.kind !== 'pasta' || packetMin === undefined) return food;
  return { ...food, grain: pastaGrain(packetMin), packetMin: [packetMin, 'P'] };
}

function sauceWanted(dish: Dish, rule: FamilyRule, items: readonly Item[], grain: Item | null): number {
  if (dish.family === 'casserole' && items.some((i) => i.joins === 'topping')) return bakedShare;
  if (dish.family === 'casserole' && !grain) return stewShare;
  const tomato = items.filter((i) => has(i.food, 'tomato')).reduce((s, i) => s + i.grams, 0);
  if (dish.family === 'one-pot-grain' && grain && tomato >= tomatoDish.perGrain * grain.grams)
    return tomatoDish.sauceShare;
  return rule.sauceShare[0];
}

/** Does it lie in the pot (or, over a stew, in the bowl) with the starch and share its water? */
export const sharesWater = (g: Gathered, i: Item): boolean =>
  i.joins !== 'finish' &&
  i.joins !== 'topping' &&
  (g.inBowl ? i.ingredient.place === 'inner-bowl' || i === g.grain : true);

function decideJoins(food: FoodRecord, ingredient: Ingredient, rule: FamilyRule): Joins {
  const place = ingredient.place;
  if (has(food, 'crisp')) return 'topping';
  if (has(food, 'thickener')) return 'finish';
  // Florets and peas are the dish itself when they are what is steamed.
  if (rule.starch === 'none')
    return food.kind === 'dairy' || has(food, 'acid') || food.id === 'herb-fresh' ? 'finish' : 'stack';
  if (has(food, 'delicate') || has(food, 'curdles') || food.kind === 'dairy' || has(food, 'acid'))
    return survives(food, rule) ? 'stack' : 'finish';
  if (place === 'rack' || place === 'inner-bowl') return 'stack';
  if (!rule.fries) return 'stack';
  if (food.kind === 'fat' || food.id.startsWith('wine-')) return 'fry';
  if (food.grain) return (ingredient.prep?.coated ?? (rule.coats && food.kind === 'grain')) ? 'fry' : 'stack';
  if (food.kind === 'meat') return friesFirst(food, ingredient) ? 'fry' : 'stack';
  if (food.kind === 'vegetable') return friedVegetables.has(food.id) ? 'fry' : 'stack';
  if (food.kind === 'seasoning') return has(food, 'aromatic') ? 'fry' : 'stack';
  return 'stack';
}

const friesFirst = (food: FoodRecord, ingredient: Ingredient): boolean =>
  ingredient.prep?.state !== 'cooked' &&
  ingredient.prep?.state !== 'frozen' &&
  food.meat?.cut !== 'cooked' &&
  food.meat?.cut !== 'egg';

/** Sheets are laid with their sauce and cheese; porridge is cooked in its milk [common practice]. */
const survives = (food: FoodRecord, rule: FamilyRule): boolean =>
  rule === familyRules.porridge ? food.id === 'milk' : rule === familyRules['layered-pasta'] && food.kind === 'dairy';

/** Vegetables that open their taste in the pan [common practice]. */
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
