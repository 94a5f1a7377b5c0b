import type { Dish, Family } from '../../dish/schema';
import { uptakeGPerG } from '../../grain/uptake';
import {
  bakedShare,
  looseShare,
  pastaSauceGPerG,
  stewShare,
  tomatoDish,
  wholeKernelMoisture,
  type FamilyRule,
} from './families';
import { browns, has, isFinishSauce, waterBroughtG, type Gathered, type Item } from './item';

/** A porridge of kernels that stay whole, as rice pudding: loose and soft, where oats are their own measure. */
export const isLoosePorridge = ({ dish, grain }: Pick<Gathered, 'dish' | 'grain'>): boolean =>
  dish.family === 'porridge' && grain !== null && grain.food.grain!.aimMoisture[0] < wholeKernelMoisture;

/** From so much liquid to the rice, g per g as the recipe writes it, a porridge is one of burst grains: 1 : 8 to 1 : 10 by volume [common practice]. */
const burstFrom = 6.5;
/** Congee and its like: the grains are to fall apart, and no time is too long for them. */
export const isBurstPorridge = (g: Pick<Gathered, 'dish' | 'grain' | 'main'>): boolean =>
  isLoosePorridge(g) && g.main.grams >= burstFrom * g.grain!.grams;

/** Free sauce that the finished dish wants, as a share of it: by its family, its tomato, or the liquid that its recipe names. */
export function sauceWanted(dish: Dish, rule: FamilyRule, items: readonly Item[], grain: Item | null): number {
  if (dish.family === 'casserole' && items.some(browns)) return bakedShare;
  const pouredG = items.reduce((s, i) => s + (i.main ? i.grams : 0), 0);
  const loose = isLoosePorridge({ dish, grain });
  const written = dish.family !== 'porridge' || loose ? writtenSauceShare(dish.family, items, pouredG) : null;
  if (written !== null) return written;
  if (dish.family === 'casserole' && !grain) return stewShare;
  if (loose) return looseShare;
  const tomato = items.filter((i) => has(i.food, 'tomato')).reduce((s, i) => s + i.grams, 0);
  const mixed = dish.family === 'one-pot-grain' || dish.family === 'layered-grain';
  if (mixed && grain && tomato >= tomatoDish.perGrain * grain.grams) return tomatoDish.sauceShare;
  return rule.sauceShare[0];
}

/** Sauce around pasta goes by the dry pasta, except in soups and in bakes; null where the share of the dish says it. */
export function saucePerStarch(dish: Dish, items: readonly Item[], grain: Item | null): number | null {
  if (grain?.food.kind !== 'pasta' || dish.family === 'noodle-soup') return null;
  if (dish.family === 'casserole' && items.some(browns)) return pastaSauceGPerG.baked;
  return dish.family === 'layered-pasta' ? pastaSauceGPerG.layered : pastaSauceGPerG.other;
}

/** Of what is poured so much leaves as steam or stays as a film on pot and food [derived: 10 to 18 % in soups of one to two litres]. */
const lostShare = 0.14;

/**
 * Shares of free liquid that such dishes are served with [common practice]: a recipe's own liquid that gives less, or was
 * meant for an open pot and gives more, is brought to their ends.
 */
const servedShares: Partial<Record<Family, { least: number; most: number }>> = {
  'noodle-soup': { least: 0.35, most: 0.75 },
  porridge: { least: 0.3, most: 0.75 },
  casserole: { least: 0.08, most: 0.3 },
};

/** So little of the least that is served was no wish: a cup to start with [from memory]. */
const noWish = 0.5;

/**
 * How much sauce a soup, a stew or a loose porridge wants by the liquid that its recipe names, as a share of the finished
 * dish: what is poured, what the food gives and what waits for the end, less what the starch drinks to its aim and what
 * is lost. How wet such a dish is made is a wish, and nobody pours two litres where the recipe says one.
 *
 * @returns null where the recipe names no liquid, or so little that it says nothing
 */
function writtenSauceShare(family: Family, items: readonly Item[], pouredG: number): number | null {
  const served = servedShares[family];
  if (!served || pouredG <= 0) return null;
  const eaten = items.filter((i) => i.food.kind !== 'fat');
  const gives = (i: Item): number => (isFinishSauce(i) ? i.grams : waterBroughtG(i));
  const given = eaten.filter((i) => !i.food.grain && !i.main).reduce((s, i) => s + gives(i), 0);
  const drunk = eaten
    .filter((i) => i.food.grain)
    .reduce((s, i) => s + i.grams * uptakeGPerG(i.food.grain!.rawMoisture[0], i.food.grain!.aimMoisture[0]), 0);
  const finishedG = eaten.filter((i) => !i.main).reduce((s, i) => s + i.grams, 0) + pouredG * (1 - lostShare);
  const share = (pouredG * (1 - lostShare) + given - drunk) / finishedG;
  if (share < noWish * served.least) return null;
  return Math.min(served.most, Math.max(served.least, share));
}
