import type { InnerBowl } from '../../pot/inner-bowl';
import type { Dish, Ingredient } from '../../dish/schema';
import type { FoodFlag, FoodRecord } from '../../food/record';
import type { FamilyRule } from './families';
import type { Piece } from './shape';

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
  /** what is to taste: it is named in the steps and weighed in no sum */
  seasonedWith: Item[];
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
  /** that bowl: the kitchen's own, or the usual one */
  bowl: InnerBowl;
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
/** Juice that an item gives under the lid after what frying left of it, and all water that it brings, g; under 0 where it drinks. */
export const juiceG = ({ grams, food, state }: Item): number => grams * food.released[0] * juiceLeft[state];
export const waterBroughtG = ({ grams, food, state }: Item): number =>
  grams * (food.free[0] + food.released[0] * juiceLeft[state]);

/** Temperatures of what comes to the board, degC [common practice]. */
export const boardC = { fridge: 4, shelf: 20, frozen: -18, hotLiquid: 90, hotFood: 85 } as const;

export const has = (food: FoodRecord, flag: FoodFlag): boolean => food.flags.includes(flag);
export const hasFlag = (item: Item, flag: FoodFlag): boolean => has(item.food, flag);

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

/** What browns under strong heat when it lies on top: crumbs, nuts, cheese; leaves and herbs only burn there. */
export const browns = (i: Item): boolean =>
  i.joins === 'topping' && (hasFlag(i, 'crisp') || i.food.kind === 'dairy' || i.food.kind === 'fat');

/** Topping that gets a crust under strong heat: only where a crust belongs; over anything else it is scattered. */
export const crusted = (g: Gathered): Item[] =>
  g.dish.family === 'casserole' || g.dish.family === 'layered-pasta' ? g.items.filter(browns) : [];

/** Under the lid, and not stirred in or strewn over after it. */
export const goesUnderLid = (i: Pick<Item, 'joins'>): boolean => i.joins !== 'finish' && i.joins !== 'topping';

/**
 * Milk under pressure with the rest, more than a flavouring: less than this share of the starch's weight (the spoons of milk
 * with the saffron) is a tenth of the liquid, and boils up no more than the water does [derived].
 */
const flavouringOfStarch = 0.25;
export const boilsUp = ({ items, grain }: Gathered): boolean => {
  const milkG = items.filter((i) => i.food.id === 'milk' && i.joins === 'stack').reduce((sum, i) => sum + i.grams, 0);
  return milkG > flavouringOfStarch * (grain?.grams ?? 0);
};
