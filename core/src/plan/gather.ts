import type { Dish, Ingredient } from '../dish/schema';
import { findFood, measurable } from '../food/find';
import { recordOf } from '../food/own-food';
import { isPlainLiquid } from '../food/plain-liquids';
import type { FoodFlag, FoodRecord } from '../food/record';
import { pastaGrain } from '../food/pasta';
import { toGrams } from '../quantity/convert';
import {
  bakedShare,
  familyRules,
  looseShare,
  pastaSauceGPerG,
  stewShare,
  tomatoDish,
  wholeKernelMoisture,
  type FamilyRule,
} from './families';
import { pieceOf, type Piece } from './shape';

export type Joins = NonNullable<Ingredient['joins']>;
/** What has happened to a food when the lid closes; it decides how much juice is still to come. */
export type State = 'raw' | 'sweated' | 'part-seared' | 'browned' | 'mush' | 'cooked';

export interface Item {
  /** the row of the dish, or the first of several rows that are one food */
  ingredient: Ingredient;
  /** every row that is in it */
  rows: string[];
  food: FoodRecord;
  grams: number;
  joins: Joins;
  /** fried and taken out; it comes back at the end */
  panOnly: boolean;
  state: State;
  piece: Piece;
  thicknessMm: number;
  /** temperature as it comes to the pot, before any frying, degC */
  startC: number;
  /** thin liquid that the planner may set */
  main: boolean;
}

/** One of the liquids that are poured together, and its share of them by volume. */
export interface Poured {
  ingredient: string;
  food: string;
  share: number;
}

export interface Gathered {
  dish: Dish;
  rule: FamilyRule;
  items: Item[];
  /** the starch of the dish, grain or pasta */
  grain: Item | null;
  /** the thin liquid that the planner may set; several are set in proportion */
  main: Item;
  poured: Poured[];
  fried: boolean;
  /** sauce wanted, share of the finished dish */
  sauceShare: number;
  /** sauce wanted around pasta, g per g dry; null where the share of the dish says it */
  saucePerStarch: number | null;
  /** the starch cooks in a bowl of its own over the rest */
  inBowl: boolean;
}

/** The juice still to come, as a share of what the raw food would give [derived, +-0.15; browned and mush common practice]. */
export const juiceLeft: Record<State, number> = {
  raw: 1,
  sweated: 0.7,
  'part-seared': 0.75,
  browned: 0.3,
  mush: 0.4,
  cooked: 0.15,
};

/** Temperatures of what comes to the board, degC [common practice]. */
export const boardC = { fridge: 4, shelf: 20, frozen: -18, hotLiquid: 90, hotFood: 85 } as const;

const has = (food: FoodRecord, flag: FoodFlag): boolean => food.flags.includes(flag);
export const hasFlag = (item: Item, flag: FoodFlag): boolean => has(item.food, flag);

/** Everything on the board, weighed, with when it joins and in what state it meets the lid. */
export function gather(dish: Dish): Gathered {
  const rule = familyRules[dish.family];
  const hasFat = dish.ingredients.some((i) => recordOf(i).kind === 'fat');
  const rows = dish.ingredients.map((ingredient) => weigh(ingredient, rule, hasFat));
  const inBowl = dish.family === 'pot-in-pot';
  const items = withoutIdleFat(inOwnOrder(together(rows)));
  // In a bowl over a stew the water to set is the bowl's own, not the stew's.
  const settable = (i: Item): boolean =>
    isPlainLiquid(i.food.id) && i.joins !== 'finish' && (!inBowl || i.ingredient.place === 'inner-bowl');
  const liquids = items.filter(settable);
  const main = liquids.length > 0 ? blended(liquids) : waterToAdd(items, inBowl);
  const others = items.filter((i) => !liquids.includes(i));
  const all = [...others, main];
  const grain = others.find((i) => i.food.grain && i.joins !== 'finish') ?? null;
  const volumeMl = liquids.reduce((s, i) => s + i.grams / i.food.bulkGPerMl[0], 0);
  return {
    dish,
    rule,
    items: all,
    grain,
    main,
    poured:
      liquids.length > 0
        ? liquids.map((i) => ({
            ingredient: i.ingredient.id,
            food: i.ingredient.food,
            share: i.grams / i.food.bulkGPerMl[0] / volumeMl,
          }))
        : [{ ingredient: main.ingredient.id, food: main.ingredient.food, share: 1 }],
    fried: all.some((i) => i.joins === 'fry' || i.panOnly),
    sauceShare: sauceWanted(dish, rule, all, grain),
    saucePerStarch: saucePerStarch(dish, all, grain),
    inBowl,
  };
}

/** Fat alone is nothing to fry: it goes in with the rest. */
function withoutIdleFat(items: Item[]): Item[] {
  const fries = items.some((i) => i.food.kind !== 'fat' && (i.joins === 'fry' || i.panOnly));
  return fries ? items : items.map((i) => (i.joins === 'fry' ? { ...i, joins: 'stack' as const } : i));
}

function weigh(row: Ingredient, rule: FamilyRule, hasFat: boolean): Item {
  const food = withPacket(recordOf(row), row);
  const ingredient = isBeaten(food, rule) ? beaten(row) : row;
  const grams = toGrams(ingredient.amount, measurable(food, ingredient.prep?.pieceG));
  const scrambled = isScrambled(food, ingredient, rule, hasFat);
  const panOnly = scrambled || ingredient.back === 'finish';
  const joins = panOnly
    ? 'finish'
    : ingredient.back === 'top'
      ? 'fry'
      : (ingredient.joins ?? decideJoins(food, ingredient, rule));
  const piece = pieceOf(food, ingredient, grams);
  return {
    ingredient: ingredient.back === 'top' ? { ...ingredient, place: ingredient.place ?? 'top' } : ingredient,
    rows: [ingredient.id],
    food,
    grams,
    joins,
    panOnly,
    state: panOnly ? 'cooked' : stateAtLid(food, ingredient, joins, piece.thicknessMm),
    piece,
    thicknessMm: piece.thicknessMm,
    startC: startOf(food, ingredient),
    main: false,
  };
}

/** Rows of one food that meet in the same way are one food: how often it is written down does not matter. */
function together(rows: readonly Item[]): Item[] {
  const byKind = new Map<string, Item>();
  for (const row of rows) {
    const { place, prep, back } = row.ingredient;
    const key = JSON.stringify([row.food.id, row.ingredient.food, row.joins, place, back, sorted(prep ?? {})]);
    const one = byKind.get(key);
    if (!one) byKind.set(key, { ...row });
    else {
      one.grams += row.grams;
      one.rows = [...one.rows, ...row.rows];
    }
  }
  // A frozen block is as thick as all of it together.
  return [...byKind.values()].map((i) => {
    const piece = pieceOf(i.food, i.ingredient, i.grams);
    return { ...i, piece, thicknessMm: piece.thicknessMm };
  });
}
const sorted = (x: object): [string, unknown][] => Object.entries(x).sort(([a], [b]) => (a < b ? -1 : 1));

/** An order of its own, so that the order of the rows changes nothing: by food, then by what is said of it. */
function inOwnOrder(items: readonly Item[]): Item[] {
  const key = (i: Item): string =>
    JSON.stringify([
      i.food.kind,
      i.food.id,
      i.ingredient.food,
      i.joins,
      i.ingredient.place ?? '',
      sorted(i.ingredient.prep ?? {}),
      i.grams,
    ]);
  return items
    .map((item) => ({ item, key: key(item) }))
    .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0))
    .map((x) => x.item);
}

/** Several thin liquids as one, in the proportion in which they are listed. */
function blended(liquids: readonly Item[]): Item {
  const most = [...liquids].sort((a, b) => b.grams - a.grams)[0]!;
  if (liquids.length === 1) return { ...most, main: true };
  const grams = liquids.reduce((s, i) => s + i.grams, 0);
  const mean = (of: (i: Item) => number): number => liquids.reduce((s, i) => s + of(i) * i.grams, 0) / grams;
  const volumeMl = liquids.reduce((s, i) => s + i.grams / i.food.bulkGPerMl[0], 0);
  const food: FoodRecord = {
    ...most.food,
    water: [mean((i) => i.food.water[0]), 'D'],
    free: [mean((i) => i.food.free[0]), 'D'],
    thin: [mean((i) => i.food.thin[0]), 'D'],
    cpKjPerKgK: [mean((i) => i.food.cpKjPerKgK[0]), 'D'],
    saltPer100g: [mean((i) => i.food.saltPer100g[0]), 'D'],
    bulkGPerMl: [grams / volumeMl, 'D'],
    densityGPerMl: [grams / volumeMl, 'D'],
  };
  const rows = liquids.flatMap((i) => i.rows);
  return { ...most, food, grams, rows, startC: mean((i) => i.startC), main: true };
}

function waterToAdd(items: readonly Item[], inBowl: boolean): Item {
  const id = items.some((i) => i.rows.includes('water')) ? 'water-to-add' : 'water';
  const ingredient: Ingredient = {
    id,
    food: 'water',
    amount: { value: 1, unit: 'ml' },
    ...(inBowl ? { place: 'inner-bowl' as const } : {}),
  };
  const food = findFood('water');
  const piece = pieceOf(food, ingredient, 0);
  return {
    ingredient,
    rows: [id],
    food,
    grams: 0,
    joins: 'stack',
    panOnly: false,
    state: 'raw',
    piece,
    thicknessMm: piece.thicknessMm,
    startC: boardC.shelf,
    main: true,
  };
}

/** Cold from the fridge, from the shelf or frozen; hot where the cook says so. */
function startOf(food: FoodRecord, ingredient: Ingredient): number {
  const prep = ingredient.prep;
  if (prep?.hot) return food.kind === 'liquid' ? boardC.hotLiquid : boardC.hotFood;
  if (prep?.state === 'frozen' || food.id.endsWith('-frozen')) return boardC.frozen;
  if (prep?.state === 'half-frozen') return 2 * ((food.meat ?? food.plant)?.freezeC[0] ?? -1);
  return food.kind === 'meat' || food.kind === 'dairy' ? boardC.fridge : boardC.shelf;
}

/** Pasta goes by the minutes on its own packet where the cook gives them. */
function withPacket(food: FoodRecord, ingredient: Ingredient): FoodRecord {
  const packetMin = ingredient.prep?.packetMinutes;
  if (food.kind !== 'pasta' || packetMin === undefined) return food;
  return { ...food, grain: pastaGrain(packetMin), packetMin: [packetMin, 'P'] };
}

/** Sauce around pasta goes by the dry pasta, except in soups and in bakes; null where the share of the dish says it. */
function saucePerStarch(dish: Dish, items: readonly Item[], grain: Item | null): number | null {
  if (grain?.food.kind !== 'pasta' || dish.family === 'noodle-soup') return null;
  if (dish.family === 'casserole' && items.some(browns)) return pastaSauceGPerG.baked;
  return dish.family === 'layered-pasta' ? pastaSauceGPerG.layered : pastaSauceGPerG.other;
}

/** A porridge of kernels that stay whole, as rice pudding: loose and soft, where oats are their own measure. */
export const isLoosePorridge = ({ rule, grain }: Pick<Gathered, 'rule' | 'grain'>): boolean =>
  rule === familyRules.porridge && grain !== null && grain.food.grain!.aimMoisture[0] < wholeKernelMoisture;

function sauceWanted(dish: Dish, rule: FamilyRule, items: readonly Item[], grain: Item | null): number {
  if (dish.family === 'casserole' && items.some(browns)) return bakedShare;
  if (dish.family === 'casserole' && !grain) return stewShare;
  if (isLoosePorridge({ rule, grain })) return looseShare;
  const tomato = items.filter((i) => has(i.food, 'tomato')).reduce((s, i) => s + i.grams, 0);
  if (dish.family === 'one-pot-grain' && grain && tomato >= tomatoDish.perGrain * grain.grams)
    return tomatoDish.sauceShare;
  return rule.sauceShare[0];
}

/** Things at the end that are sauce: pourable dairy, soft cheese, tomato and thin liquids [common practice]. */
export const isFinishSauce = (i: Item): boolean =>
  i.joins === 'finish' &&
  !i.panOnly &&
  (i.food.kind === 'liquid' || hasFlag(i, 'tomato') || (i.food.kind === 'dairy' && !hasFlag(i, 'delicate')));

/** Does it lie in the pot (or, over a stew, in the bowl) with the starch and share its water? */
export const sharesWater = (g: Gathered, i: Item): boolean =>
  i.joins !== 'finish' &&
  i.joins !== 'topping' &&
  (g.inBowl ? i.ingredient.place === 'inner-bowl' || i === g.grain : true);

/** An egg among sheets is beaten into their cheese. */
const isBeaten = (food: FoodRecord, rule: FamilyRule): boolean =>
  food.id === 'egg' && rule === familyRules['layered-pasta'];
/** A layer of cheese and egg among sheets, mm [derived: 250 g on the base of a 5.7 L pot]. */
const beatenMm = 10;
const beaten = (i: Ingredient): Ingredient => ({
  ...i,
  place: i.place ?? 'top',
  prep: { shape: 'slab', thicknessMm: beatenMm, ...i.prep },
});

/** Eggs in a fried dish are scrambled first and come back at the end; in their shell they are steamed on a rack. */
const isScrambled = (food: FoodRecord, i: Ingredient, rule: FamilyRule, hasFat: boolean): boolean =>
  food.id === 'egg' &&
  !isBeaten(food, rule) &&
  hasFat &&
  rule.fries &&
  (i.joins === undefined || i.joins === 'fry') &&
  i.place === undefined &&
  i.prep?.shape !== 'whole' &&
  i.prep?.state !== 'cooked';

function decideJoins(food: FoodRecord, ingredient: Ingredient, rule: FamilyRule): Joins {
  const place = ingredient.place;
  if (has(food, 'crisp')) return 'topping';
  if (has(food, 'thickener')) return 'finish';
  // Florets and peas are the dish itself when they are what is steamed.
  if (rule.starch === 'none')
    return food.kind === 'dairy' || has(food, 'acid') || food.id === 'herb-fresh' ? 'finish' : 'stack';
  if (has(food, 'delicate') || has(food, 'curdles') || food.kind === 'dairy' || has(food, 'acid'))
    return survives(food, rule) ? 'stack' : 'finish';
  if (food.kind === 'meat') return friesFirst(food, ingredient, rule) ? 'fry' : 'stack';
  if (place === 'rack' || place === 'inner-bowl') return 'stack';
  if (!rule.fries) return 'stack';
  if (food.kind === 'fat' || food.id.startsWith('wine-')) return 'fry';
  if (food.grain) return (ingredient.prep?.coated ?? (rule.coats && food.kind === 'grain')) ? 'fry' : 'stack';
  if (food.kind === 'vegetable') return friedVegetables.has(food.id) ? 'fry' : 'stack';
  if (food.kind === 'seasoning') return has(food, 'aromatic') ? 'fry' : 'stack';
  return 'stack';
}

const unfried = new Set<string | undefined>(['raw', 'cooked', 'frozen', 'half-frozen']);

/** Meat is seared first, on a rack too, unless it is said to be raw, frozen or cooked. */
const friesFirst = (food: FoodRecord, ingredient: Ingredient, rule: FamilyRule): boolean =>
  rule.fries &&
  !unfried.has(ingredient.prep?.state) &&
  ingredient.place !== 'inner-bowl' &&
  food.meat?.cut !== 'cooked' &&
  food.meat?.cut !== 'egg';

/** Sheets are laid with their sauce and soft cheese, hard cheese melts on them at the end; porridge is cooked in its milk; in a biryani yogurt is marinade, herbs and saffron milk are layers [common practice]. */
const survives = (food: FoodRecord, rule: FamilyRule): boolean =>
  rule === familyRules.porridge
    ? food.id === 'milk'
    : rule === familyRules.biryani
      ? food.id === 'yogurt' || food.id === 'herb-fresh' || food.id === 'milk'
      : rule === familyRules['layered-pasta'] && food.kind === 'dairy' && food.id !== 'cheese-hard';

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

/** Crumbs lose their juice in the pan; pieces from here on keep it under a brown surface, mm [derived]. */
const keepsJuiceMm = 8;

function stateAtLid(food: FoodRecord, ingredient: Ingredient, joins: Joins, thicknessMm: number): State {
  const said = ingredient.prep?.state;
  const brown = ingredient.prep?.brown;
  if (said === 'cooked' || food.meat?.cut === 'cooked') return 'cooked';
  if (joins !== 'fry') return said === 'browned' ? 'browned' : said === 'part-seared' ? 'part-seared' : 'raw';
  if (food.kind === 'meat') {
    const deep = said === 'browned' || brown === 'half' || brown === 'brown';
    if (deep) return thicknessMm >= keepsJuiceMm && food.meat?.cut !== 'ground' ? 'part-seared' : 'browned';
    return 'part-seared';
  }
  if (food.kind !== 'vegetable') return 'raw';
  if (has(food, 'tomato')) return 'mush';
  return said === 'browned' || brown === 'brown' ? 'browned' : 'sweated';
}

/** What browns under strong heat when it lies on top: crumbs, nuts, cheese; leaves and herbs only burn there. */
export const browns = (i: Item): boolean =>
  i.joins === 'topping' && (hasFlag(i, 'crisp') || i.food.kind === 'dairy' || i.food.kind === 'fat');

/** Under the lid, and not stirred in or strewn over after it. */
export const goesUnderLid = (i: Pick<Item, 'joins'>): boolean => i.joins !== 'finish' && i.joins !== 'topping';

/** Milk that is under pressure with the rest. */
export const boilsUp = (g: Gathered): boolean => g.items.some((i) => i.food.id === 'milk' && i.joins === 'stack');
