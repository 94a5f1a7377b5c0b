import type { Placement } from '../../water/surface';
import type { MeatVerdict } from '../document/verdicts';
import { goesUnderLid, type Gathered, type Item } from './item';
import { placeOf } from './place';

/** Meat that is simulated: raw or part-cooked pieces that go under pressure. */
export const meatsOf = (g: Gathered): Item[] => g.items.filter((i) => i.food.kind === 'meat' && goesUnderLid(i));

/** No thermometer finds the middle of a piece thinner than this, mm [common practice]. */
const probedFromMm = 12;
/** Is meat in crumbs or thin slices, so that it is measured in the middle of the pot? */
export const isTooSmallToProbe = (item: Item): boolean => item.thicknessMm <= probedFromMm;

export const placementOf = (g: Gathered, item: Item): Placement => {
  const place = placeOf(g, item);
  if (place === 'rack') return 'steam';
  return place === 'top' && g.grain ? 'grains' : 'liquid';
};

/** Stew is aimed over its threshold: the coldest cell of the largest cube decides [common practice]. */
export const tenderTimes = 1.3;
/** Collagen minutes that a piece wants in its core; 0 where nothing has to melt, or where it has melted: cooked meat is only heated. */
export const wantedCollagenMin = (item: Item): number =>
  item.state === 'cooked' ? 0 : tenderTimes * (item.food.meat!.tenderCoreMin?.[0] ?? 0);
/** Has a piece the collagen minutes that it is aimed at? */
export const isTenderAim = (item: Item, collagenMin: number): boolean => collagenMin >= wantedCollagenMin(item);

/** What must be reached in the middle: cooked from raw, heated again, or nothing where it is hot already. */
export const mustReach = (item: Item): MeatVerdict['kind'] =>
  item.state !== 'cooked' ? 'cook' : item.ingredient.prep?.hot ? 'none' : 'reheat';

/** Leftovers and cooked food are heated to here, degC: published minimum, recalled. */
const reheatC = 74;
export const minimumC = (item: Item): number =>
  mustReach(item) === 'reheat' ? reheatC : item.food.meat!.safeMinimumC[0];

/** Plants whose softness is worth a verdict: roots as pieces, dry seeds, and anything that is steamed for itself. */
export const plantsOf = (g: Gathered): Item[] =>
  g.items.filter(
    (i) =>
      i.food.plant &&
      i.joins === 'stack' &&
      i.state !== 'cooked' &&
      (i.food.plant.staysHard === true || g.rule.starch === 'none' || i.ingredient.prep?.thicknessMm !== undefined),
  );

/** Dry seeds that cook beside the starch of the dish. */
export const seedsOf = (g: Gathered): Item[] => plantsOf(g).filter((i) => i.food.plant!.staysHard === true);

/** Old seeds and hard water ask for up to a third more than their least [common practice]. */
export const seedTimes = 1.3;

/** What the pieces have been through before the lid locks on the last stage: temperatures, `dtS` seconds apart, by ingredient. */
export interface Earlier {
  dtS: number;
  tempC: ReadonlyMap<string, Float64Array>;
  /** while the hold of that stage is looked for: its first so many seconds are the same in every try */
  sharedS?: number;
}
