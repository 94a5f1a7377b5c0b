import { Problem } from '../problem';
import { baseAreaCm2, type PotProfile } from '../pot/profile';
import type { StackLayer } from './document';
import { hasFlag, type Gathered, type Item } from './gather';

export type Place = 'liquid' | 'base' | 'grain' | 'top';

/** Share of air between things that lie loose [common practice]. */
const porosity = { grain: 0.4, pieces: 0.3, chopped: 0.45 };

export const reasonsByPlace: Record<Place, string> = {
  liquid: 'thin-over-scraped-base',
  base: 'slow-nearest-heat',
  grain: 'level-pressed-under',
  top: 'cooks-in-steam',
};

/** Where an ingredient lies when the lid closes: the cook's word, else the planner's. */
export function placeOf(item: Item, at: number): Place {
  const said = item.ingredient.place;
  if (said === 'rack' || said === 'inner-bowl')
    throw new Problem(
      'place-not-planned',
      `A ${said} is not planned in this kind of dish yet. Put it at the base or on top.`,
      [{ path: `ingredients.${at}.place`, message: 'Choose base, liquid, grain or top.' }],
    );
  if (said) return said;
  if (item.food.kind === 'grain') return 'grain';
  if (item.food.kind === 'liquid') return hasFlag(item, 'tomato') ? 'top' : 'liquid';
  if (item.food.kind === 'meat') {
    const cut = item.food.meat!.cut;
    return cut === 'white' || cut === 'cooked' ? 'top' : 'base';
  }
  if (item.food.kind === 'vegetable') return item.joins === 'fry' && !hasFlag(item, 'tomato') ? 'base' : 'top';
  return 'liquid';
}

export interface Geometry {
  layers: StackLayer[];
  fillLitres: number;
  fillFraction: number;
  limitFraction: number;
  liquidLevelMm: number;
  thinLiquidMl: number;
  /** share of the grain bed that stands above the liquid */
  dryGrainShare: number;
  /** is there anything between the base and the grain */
  barrier: boolean;
  grainOnBase: boolean;
  tomatoAtBase: { thick: boolean; diced: boolean };
}

/** Half full for what swells, two thirds otherwise [common practice; the maker's manual wins]. */
const limits = { swells: 0.5, other: 2 / 3 };

/** The stack from the base up, to scale: solids with their voids, small grain settled between pieces, liquid from below. */
export function stackPlan(g: Gathered, pot: PotProfile, addMl: number, clingG: number): Geometry {
  const area = baseAreaCm2(pot);
  const inPot = g.items
    .map((item, i) => ({ item, place: placeOf(item, i) }))
    .filter(({ item }) => item.joins !== 'finish' && item.joins !== 'topping')
    .filter(({ item }) => item.food.kind !== 'seasoning' && item.food.kind !== 'fat');
  const gramsOf = (i: Item): number => (i.main ? addMl * i.food.bulkGPerMl[0] : i.grams);
  const solidMl = (i: Item): number => gramsOf(i) / i.food.densityGPerMl[0];
  const of = (p: Place): Item[] => inPot.filter((x) => x.place === p).map((x) => x.item);

  const thinLiquidMl =
    of('liquid').reduce((s, i) => s + solidMl(i), 0) +
    clingG +
    inPot.filter((x) => x.place !== 'liquid').reduce((s, x) => s + gramsOf(x.item) * x.item.food.free[0], 0);

  let edgeMm = 0;
  let spareVoid = 0;
  let liquidLeft = thinLiquidMl;
  const level: { mm: number | null } = { mm: null };
  let dryGrainShare = 0;
  const layers: StackLayer[] = [];
  const put = (item: Item, kind: string, bulkMl: number, voidMl: number, note: string): void => {
    const heightMm = (bulkMl / area) * 10;
    layers.push({
      position: layers.length,
      ingredient: item.ingredient.id,
      note,
      kind,
      litres: bulkMl / 1000,
      fromMm: edgeMm,
      toMm: edgeMm + heightMm,
      grams: gramsOf(item),
      waterG: gramsOf(item) * item.food.water[0],
    });
    const wet = voidMl > 0 ? Math.min(1, liquidLeft / voidMl) : 1;
    if (wet < 1) level.mm ??= edgeMm + heightMm * wet;
    if (kind === 'grain') dryGrainShare = 1 - wet;
    liquidLeft -= voidMl * wet;
    edgeMm += heightMm;
  };

  for (const item of of('liquid')) {
    if (gramsOf(item) <= 0) continue;
    layers.push({
      position: layers.length,
      ingredient: item.ingredient.id,
      note: reasonsByPlace.liquid,
      kind: 'liquid',
      litres: solidMl(item) / 1000,
      fromMm: 0,
      toMm: 0,
      grams: gramsOf(item),
      waterG: gramsOf(item) * item.food.water[0],
    });
  }
  const grainItem = of('grain').find((i) => i.food.kind === 'grain');
  const grainBulk = grainItem ? grainItem.grams / grainItem.food.bulkGPerMl[0] : 0;
  const base = of('base');
  for (const item of base) {
    const bulk = solidMl(item) / (1 - porosity.pieces);
    spareVoid += bulk * porosity.pieces;
    // Small grain settles into the gaps and takes part of their room.
    const settled = Math.min(grainBulk, spareVoid);
    const voids = bulk * porosity.pieces - (base.length > 0 ? (settled * (1 - porosity.grain)) / base.length : 0);
    put(item, item.food.kind, bulk, Math.max(0, voids), reasonsByPlace.base);
  }
  for (const item of of('grain')) {
    const isGrain = item.food.kind === 'grain';
    const bulk = isGrain ? Math.max(grainBulk * 0.3, grainBulk - spareVoid) : solidMl(item);
    put(item, isGrain ? 'grain' : item.food.kind, bulk, bulk * porosity.grain, reasonsByPlace.grain);
  }
  const top = of('top').sort((a, b) => (b.food.kind === 'liquid' ? 1 : 0) - (a.food.kind === 'liquid' ? 1 : 0));
  for (const item of top) {
    const thick = item.food.kind === 'liquid';
    const gap = item.food.kind === 'meat' ? porosity.pieces : porosity.chopped;
    const bulk = thick ? solidMl(item) : solidMl(item) / (1 - gap);
    put(
      item,
      thick ? 'thick' : item.food.kind,
      bulk,
      thick ? 0 : bulk * gap,
      thick ? 'thick-scorches-below' : reasonsByPlace.top,
    );
  }
  const liquidLevelMm = level.mm ?? edgeMm + (Math.max(0, liquidLeft) / area) * 10;
  for (const l of layers) if (l.kind === 'liquid') l.toMm = liquidLevelMm;
  const fillLitres = (Math.max(liquidLevelMm, edgeMm) / 10) * (area / 1000);
  const tomatoes = base.filter((i) => hasFlag(i, 'tomato'));
  return {
    layers,
    fillLitres,
    fillFraction: fillLitres / pot.litres,
    limitFraction: grainItem || g.items.some((i) => hasFlag(i, 'foams')) ? limits.swells : limits.other,
    liquidLevelMm,
    thinLiquidMl,
    dryGrainShare: grainItem ? dryGrainShare : 0,
    barrier: base.some((i) => i.food.kind === 'meat'),
    grainOnBase: grainItem !== undefined && base.length === 0,
    tomatoAtBase: {
      thick: tomatoes.some((i) => hasFlag(i, 'thick')),
      diced: tomatoes.some((i) => hasFlag(i, 'diced')),
    },
  };
}
