import type { Family } from '../../dish/schema';
import type { FoodRecord } from '../../food/record';
import type { Sourced } from '../../source';

/** What a family of dishes asks of the planner. Every family has its own row: none borrows another's silently. */
export interface FamilyRule {
  /** the starch it is built on */
  starch: 'grain' | 'pasta' | 'any' | 'none';
  /** planned without it too */
  starchOptional: boolean;
  /** free sauce wanted, share of the finished dish */
  sauceShare: Sourced;
  /** stirred, or so wet that the grain follows the pot at once: no lag of the bed */
  stirred: boolean;
  /** the grain is turned in fat before the liquid */
  coats: boolean;
  /** whole spices open in the hot fat before anything else; elsewhere they steep */
  opensSpices: boolean;
  /** things are fried in the pot first */
  fries: boolean;
  /** minutes of standing after the lid opens that still cook */
  standMin: number;
  /** minutes of open simmering and stirring after the lid opens */
  simmerMin: number;
  /** slow meat may go first, under its own pressure */
  twoStage: boolean;
  /** built in alternating layers */
  layered: boolean;
  /** salt aimed at, percent of the finished dish */
  saltPercent: number;
  /** dairy and herbs that are cooked under the lid, where others wait for the end */
  underLid: (food: FoodRecord) => boolean;
}

/** Salt of a savoury dish, percent [common practice, 0.7 to 1.2]; a sweet porridge takes a pinch, khichdi and congee less than a pilaf [common practice]. */
const salted = { savoury: 0.9, porridge: 0.3, savouryPorridge: 0.7 } as const;

const rule = (
  starch: FamilyRule['starch'],
  sauceShare: number,
  more: Partial<Omit<FamilyRule, 'starch' | 'sauceShare'>> = {},
): FamilyRule => ({
  starch,
  starchOptional: false,
  sauceShare: [sauceShare, 'P'],
  stirred: false,
  coats: false,
  opensSpices: false,
  fries: true,
  standMin: 0,
  simmerMin: 0,
  twoStage: false,
  layered: false,
  saltPercent: salted.savoury,
  underLid: () => false,
  ...more,
});

/** With separate rice yogurt goes in with the spices; in a biryani it is marinade, and herbs and saffron milk are layers [common practice]. */
const yogurt = (f: FoodRecord): boolean => f.id === 'yogurt';
const marinadeAndLayers = (f: FoodRecord): boolean => ['yogurt', 'herb-fresh', 'milk'].includes(f.id);
/** Sheets are laid with their sauce and soft cheese, hard cheese melts on them at the end; porridge is cooked in its milk [common practice]. */
const softDairy = (f: FoodRecord): boolean => f.kind === 'dairy' && f.id !== 'cheese-hard';
const milk = (f: FoodRecord): boolean => f.id === 'milk';

/** Shares, standing and simmering minutes: common practice. A one-pot grain with much tomato is made wetter, see below. */
export const familyRules: Record<Family, FamilyRule> = {
  'plain-grain': rule('grain', 0, { fries: false, standMin: 4 }),
  'coated-grain': rule('grain', 0, { coats: true, opensSpices: true, standMin: 4, twoStage: true, underLid: yogurt }),
  'one-pot-grain': rule('grain', 0, { opensSpices: true, standMin: 4, twoStage: true, underLid: yogurt }),
  'layered-grain': rule('grain', 0.02, {
    opensSpices: true,
    standMin: 4,
    twoStage: true,
    layered: true,
    underLid: yogurt,
  }),
  biryani: rule('grain', 0, {
    opensSpices: true,
    standMin: 4,
    twoStage: true,
    layered: true,
    underLid: marinadeAndLayers,
  }),
  risotto: rule('grain', 0.17, { stirred: true, coats: true, simmerMin: 3, twoStage: true }),
  casserole: rule('any', 0.1, { starchOptional: true, twoStage: true }),
  'one-pot-pasta': rule('pasta', 0.12, { twoStage: true }),
  'layered-pasta': rule('pasta', 0.15, { layered: true, underLid: softDairy }),
  'noodle-soup': rule('any', 0.6, { stirred: true, twoStage: true }),
  'rack-over-grain': rule('grain', 0, { standMin: 4 }),
  'pot-in-pot': rule('grain', 0, { standMin: 4, twoStage: true }),
  porridge: rule('grain', 0, { stirred: true, fries: false, saltPercent: salted.porridge, underLid: milk }),
  'steamed-side': rule('none', 0, { fries: false }),
};

/** Congee and its like: a dish, and salted as one. */
const savouryPorridge: FamilyRule = { ...familyRules.porridge, saltPercent: salted.savouryPorridge };
/** Khichdi and its like: onions and whole spices open in the fat before the water comes. */
const temperedPorridge: FamilyRule = { ...savouryPorridge, fries: true, opensSpices: true };

const sweetens = new Set(['sugar', 'honey', 'molasses', 'jam', 'chocolate', 'milk-condensed', 'dried-fruit']);
const isSavoury = ({ id, kind }: FoodRecord): boolean =>
  kind === 'meat' || kind === 'vegetable' || /^(?:lentils|chickpeas|beans)\b/.test(id);

/** The rule of a dish's family; a porridge is sweet, savoury or tempered by what is in it. */
export function ruleOf(family: Family, foods: readonly FoodRecord[]): FamilyRule {
  if (family !== 'porridge') return familyRules[family];
  const isSweet = foods.some((f) => sweetens.has(f.id) || f.id.startsWith('milk'));
  if (isSweet || !foods.some(isSavoury)) return familyRules.porridge;
  const opens = foods.some((f) => f.id === 'spice-whole' || f.id === 'onion' || f.id === 'shallot');
  return opens && foods.some((f) => f.kind === 'fat') ? temperedPorridge : savouryPorridge;
}

/** From this much tomato to the grain a one-pot dish is meant to be moist, and how moist [common practice]. */
export const tomatoDish = { perGrain: 0.5, sauceShare: 0.07 } as const;
/** A porridge of kernels that stay whole (rice, barley) stands in as much loose liquid, which their starch thickens [common practice: 1 : 3 to 1 : 4 by volume under a lid]. */
export const looseShare = 0.42;
/** Kernels whose own aim is drier than this stay whole; oats are at .836 [derived]. */
export const wholeKernelMoisture = 0.8;
/** A baked topping wants no loose sauce below it [common practice]. */
export const bakedShare = 0.02;
/** A stew without grain is mostly sauce around its pieces [common practice]. */
export const stewShare = 0.16;
/** Sauce around pasta when it is served, g per g dry: .3 to .5, sheets about 1, for they set as they stand [common practice]. */
export const pastaSauceGPerG = { other: 0.4, layered: 1, baked: 0.1 } as const;
