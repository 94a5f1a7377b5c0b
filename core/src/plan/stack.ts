import { bowl, bowlCapacityLitres, bowlLitres } from '../grain/bowl';
import { baseAreaCm2, type PotProfile } from '../pot/profile';
import type { StackLayer } from './document';
import { hasFlag, sharesWater, type Gathered, type Item } from './gather';
import { placeOf, type Place } from './place';

/** Share of air between things that lie loose [common practice]. */
const porosity = { grain: 0.4, pieces: 0.3, chopped: 0.45 };
/** Clearance of a rack over what lies below, and height of a trivet under a bowl, mm [common practice]. */
const rackGapMm = 8;
const trivetMm = 15;

const reasonsByPlace: Record<Place, string> = {
  liquid: 'thin-over-scraped-base',
  base: 'slow-nearest-heat',
  grain: 'level-pressed-under',
  top: 'cooks-in-steam',
  rack: 'on-the-rack-in-steam',
  'inner-bowl': 'bowl-over-water',
};

export interface Geometry {
  layers: StackLayer[];
  fillLitres: number;
  fillFraction: number;
  limitFraction: number;
  liquidLevelMm: number;
  thinLiquidMl: number;
  /** share of the starch bed that stands above the liquid */
  dryGrainShare: number;
  /** is there anything between the base and the grain */
  barrier: boolean;
  grainOnBase: boolean;
  tomatoAtBase: { thick: boolean; diced: boolean };
  /** how full the inner bowl is once its grain has swollen, 0 without one */
  bowlFraction: number;
}

/** Half full for what swells, two thirds otherwise [common practice; the maker's manual wins]. */
const limits = { swells: 0.5, other: 2 / 3 };
/** Swollen grain takes about three times its dry room [common practice]. */
const swelling = 3;

/** The stack from the base up, to scale: solids with their voids, small grain settled between pieces, liquid from below. */
export function stackPlan(g: Gathered, pot: PotProfile, addMl: number, clingG: number, outerMl = 0): Geometry {
  const area = baseAreaCm2(pot);
  const inPot = g.items
    .map((item) => ({ item, place: placeOf(g, item) }))
    .filter(({ item }) => item.joins !== 'finish' && item.joins !== 'topping')
    .filter(({ item }) => item.food.kind !== 'seasoning' && item.food.kind !== 'fat');
  const gramsOf = (i: Item): number => (i.main ? addMl * i.food.bulkGPerMl[0] : i.grams);
  const solidMl = (i: Item): number => gramsOf(i) / i.food.densityGPerMl[0];
  const of = (p: Place): Item[] => inPot.filter((x) => x.place === p).map((x) => x.item);

  const thinLiquidMl =
    of('liquid').reduce((s, i) => s + solidMl(i), 0) +
    outerMl +
    (g.inBowl ? 0 : clingG) +
    inPot
      .filter((x) => x.place !== 'liquid' && x.place !== 'inner-bowl')
      .reduce((s, x) => s + gramsOf(x.item) * x.item.food.free[0], 0);

  let edgeMm = 0;
  let spareVoid = 0;
  let liquidLeft = thinLiquidMl;
  const level: { mm: number | null } = { mm: null };
  let dryGrainShare = 0;
  const layers: StackLayer[] = [];
  const layer = (item: Item, kind: string, litres: number, fromMm: number, toMm: number, note: string): void => {
    layers.push({
      position: layers.length,
      ingredient: item.ingredient.id,
      note,
      place: placeOf(g, item),
      kind,
      litres,
      fromMm,
      toMm,
      grams: gramsOf(item),
      waterG: gramsOf(item) * item.food.water[0],
    });
  };
  const put = (item: Item, kind: string, bulkMl: number, voidMl: number, note: string): void => {
    const heightMm = (bulkMl / area) * 10;
    layer(item, kind, bulkMl / 1000, edgeMm, edgeMm + heightMm, note);
    const wet = voidMl > 0 ? Math.min(1, liquidLeft / voidMl) : 1;
    if (wet < 1) level.mm ??= edgeMm + heightMm * wet;
    if (item.food.grain) dryGrainShare = 1 - wet;
    liquidLeft -= voidMl * wet;
    edgeMm += heightMm;
  };

  for (const item of of('liquid'))
    if (gramsOf(item) > 0) layer(item, 'liquid', solidMl(item) / 1000, 0, 0, reasonsByPlace.liquid);
  // The starch may have been put at the base or on top by the cook; it is drawn and judged there.
  const starchAt = inPot.find((x) => x.item.food.grain && x.place !== 'inner-bowl')?.place;
  const starch = inPot.find((x) => x.item.food.grain && x.place !== 'inner-bowl')?.item;
  const bulkOf = (i: Item): number =>
    i.food.kind === 'pasta'
      ? solidMl(i) / (1 - (i.food.porosity?.[0] ?? porosity.grain))
      : i.grams / i.food.bulkGPerMl[0];
  // Only small grain runs into the gaps between pieces; pasta lies on them.
  const grainBulk = starch?.food.kind === 'grain' ? bulkOf(starch) : 0;
  const base = of('base').filter((i) => !i.food.grain);
  const putBase = (): void => {
    for (const item of base) {
      const bulk = solidMl(item) / (1 - porosity.pieces);
      spareVoid += bulk * porosity.pieces;
      const settled = Math.min(grainBulk, spareVoid);
      const voids = bulk * porosity.pieces - (base.length > 0 ? (settled * (1 - porosity.grain)) / base.length : 0);
      put(item, item.food.kind, bulk, Math.max(0, voids), reasonsByPlace.base);
    }
  };
  const putStarch = (): void => {
    for (const item of [...of('grain').filter((i) => i !== starch), ...(starch ? [starch] : [])]) {
      if (!item.food.grain)
        put(item, item.food.kind, solidMl(item), solidMl(item) * porosity.grain, reasonsByPlace.grain);
      else {
        const bulk = item.food.kind === 'pasta' ? bulkOf(item) : Math.max(grainBulk * 0.3, grainBulk - spareVoid);
        const gaps = item.food.kind === 'pasta' ? (item.food.porosity?.[0] ?? porosity.grain) : porosity.grain;
        const coatedBelow = g.rule.coats && base.every((i) => i.food.kind === 'vegetable');
        put(item, 'grain', bulk, bulk * gaps, coatedBelow ? 'coated-under-the-liquid' : reasonsByPlace.grain);
      }
    }
  };
  if (starchAt === 'base') putStarch();
  putBase();
  if (starchAt !== 'base' && starchAt !== 'top') putStarch();
  const top = of('top')
    .filter((i) => !i.food.grain)
    .sort((a, b) => (b.food.kind === 'liquid' ? 1 : 0) - (a.food.kind === 'liquid' ? 1 : 0));
  for (const item of top) {
    const thick = item.food.kind === 'liquid' || item.food.kind === 'dairy';
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
  if (starchAt === 'top') putStarch();
  const liquidLevelMm = level.mm ?? edgeMm + (Math.max(0, liquidLeft) / area) * 10;
  for (const l of layers) if (l.kind === 'liquid') l.toMm = liquidLevelMm;
  const fillLitres = (Math.max(liquidLevelMm, edgeMm) / 10) * (area / 1000);

  let aboveMm = Math.max(liquidLevelMm, edgeMm) + rackGapMm;
  for (const item of of('rack')) {
    const heightMm = item.thicknessMm;
    layer(
      item,
      item.food.kind === 'meat' ? 'meat' : item.food.kind,
      solidMl(item) / 1000,
      aboveMm,
      aboveMm + heightMm,
      reasonsByPlace.rack,
    );
  }
  const inBowl = of('inner-bowl').filter((i) => gramsOf(i) > 0);
  aboveMm = Math.max(trivetMm, Math.max(liquidLevelMm, edgeMm) + 5);
  const bowlAreaCm2 = (Math.PI / 4) * (bowl.diameterM * 100) ** 2;
  for (const item of inBowl) {
    const bulk = item.food.grain ? bulkOf(item) : solidMl(item);
    const heightMm = (bulk / bowlAreaCm2) * 10;
    layer(item, item.main ? 'liquid' : 'grain', bulk / 1000, aboveMm, aboveMm + heightMm, reasonsByPlace['inner-bowl']);
    if (!item.main) aboveMm += heightMm;
  }
  const swollen =
    g.inBowl && g.grain ? Math.max(bowlLitres(g.grain.grams, addMl), (swelling * bulkOf(g.grain)) / 1000) : 0;

  const tomatoes = base.filter((i) => hasFlag(i, 'tomato'));
  const swells =
    (starch !== undefined && sharesWater(g, starch)) || g.items.some((i) => hasFlag(i, 'foams') && i.joins === 'stack');
  return {
    layers,
    fillLitres,
    fillFraction: fillLitres / pot.litres,
    limitFraction: swells ? limits.swells : limits.other,
    liquidLevelMm,
    thinLiquidMl,
    dryGrainShare: starch ? dryGrainShare : 0,
    barrier: starchAt !== 'base' && base.some((i) => i.food.kind === 'meat'),
    grainOnBase: starch !== undefined && (starchAt === 'base' || base.length === 0),
    tomatoAtBase: {
      thick: tomatoes.some((i) => hasFlag(i, 'thick')),
      diced: tomatoes.some((i) => hasFlag(i, 'diced')),
    },
    bowlFraction: swollen / bowlCapacityLitres,
  };
}
