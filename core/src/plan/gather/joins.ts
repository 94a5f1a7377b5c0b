import type { Ingredient } from '../../dish/schema';
import { isMince, isPrecooked } from '../../food/meats';
import type { FoodRecord } from '../../food/record';
import type { FamilyRule } from './families';
import { has, type Joins, type State } from './item';

/** When a food joins where the cook said nothing: in the pan, under the lid, at the end or on top. */
export function decideJoins(food: FoodRecord, ingredient: Ingredient, rule: FamilyRule, hasFat: boolean): Joins {
  const place = ingredient.place;
  if (has(food, 'crisp')) return 'topping';
  if (has(food, 'thickener')) return 'finish';
  // Florets and peas are the dish itself when they are what is steamed; butter in the water below them would be lost.
  if (rule.starch === 'none')
    return food.kind === 'dairy' || food.kind === 'fat' || isSharp(food) || food.id === 'herb-fresh'
      ? 'finish'
      : 'stack';
  if (has(food, 'delicate') || has(food, 'curdles') || food.kind === 'dairy' || isSharp(food))
    return rule.underLid(food) ? 'stack' : 'finish';
  if (isBoiledEgg(food, ingredient)) return rule.layered ? 'stack' : 'finish';
  if (food.kind === 'meat') return friesFirst(food, ingredient, rule) ? 'fry' : 'stack';
  if (place === 'rack' || place === 'inner-bowl') return 'stack';
  if (!rule.fries) return 'stack';
  if (food.kind === 'fat' || isBoiledDown(food)) return 'fry';
  if (food.grain) return (ingredient.prep?.coated ?? (rule.coats && food.kind === 'grain')) ? 'fry' : 'stack';
  if (food.kind === 'vegetable') return friedVegetables.has(food.id) ? 'fry' : 'stack';
  if (food.kind === 'seasoning')
    return has(food, 'aromatic') || (food.id === 'spice-whole' && hasFat && rule.opensSpices) ? 'fry' : 'stack';
  return 'stack';
}

/** Wine, and what is drunk like it, is boiled down in the pan before the liquid comes [common practice]. */
export const isBoiledDown = ({ id }: FoodRecord): boolean => id.startsWith('wine-') || wines.has(id);
const wines = new Set(['vermouth', 'sherry', 'marsala']);

/** What keeps its edge only outside the lid; sweet juice is a part of the liquid [common practice]. */
const isSharp = (food: FoodRecord): boolean => has(food, 'acid') && !sweetJuices.has(food.id);
const sweetJuices = new Set(['orange-juice', 'pineapple-juice']);

const unfried = new Set<string | undefined>(['raw', 'cooked', 'frozen', 'half-frozen']);

/** Boiled before, an egg is halved into the finished dish; in a biryani and between layers it is laid in [common practice]. */
const isBoiledEgg = (food: FoodRecord, { prep }: Ingredient): boolean =>
  food.meat?.cut === 'egg' && prep?.state === 'cooked';

/** A ball of mince keeps its shape; it is laid in as it is, often frozen [common practice]. */
export const isBall = (food: FoodRecord): boolean => food.meat?.cut === 'ground' && food.meat.shape === 'sphere';

/** Meat is seared first, on a rack too, unless it is said to be raw, frozen or cooked. */
const friesFirst = (food: FoodRecord, ingredient: Ingredient, rule: FamilyRule): boolean =>
  rule.fries &&
  !unfried.has(ingredient.prep?.state) &&
  ingredient.place !== 'inner-bowl' &&
  food.meat?.cut !== 'cooked' &&
  food.meat?.cut !== 'egg' &&
  !isBall(food);

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
  'chipotle-adobo',
  'mushroom',
  'fennel',
]);

/** Crumbs lose their juice in the pan; pieces from here on keep it under a brown surface, mm [derived]. */
const keepsJuiceMm = 8;

/** What has happened to a food when the lid closes. */
export function stateAtLid(food: FoodRecord, ingredient: Ingredient, joins: Joins, thicknessMm: number): State {
  const said = ingredient.prep?.state;
  const brown = ingredient.prep?.brown;
  if (isPrecooked(food, said)) return 'cooked';
  if (joins !== 'fry') return said === 'browned' ? 'browned' : said === 'part-seared' ? 'part-seared' : 'raw';
  if (food.kind === 'meat') {
    const deep = said === 'browned' || brown === 'half' || brown === 'brown';
    if (deep) return thicknessMm >= keepsJuiceMm && !isMince(food) ? 'part-seared' : 'browned';
    return 'part-seared';
  }
  if (food.kind !== 'vegetable') return 'raw';
  if (has(food, 'tomato')) return 'mush';
  return said === 'browned' || brown === 'brown' ? 'browned' : 'sweated';
}
