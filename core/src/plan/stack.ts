import { bowl, bowlCapacityLitres, bowlLitres } from '../grain/bowl';
import { baseAreaCm2, type PotProfile } from '../pot/profile';
import type { StackLayer } from './document';
import { goesUnderLid, hasFlag, sharesWater, type Gathered, type Item } from './gather';
import { isThick, layersOf, reasonsByPlace, type Laid } from './layers';
import { placeOf, type Place } from './place';

/** Share of air between things that lie loose [common practice]. */
const porosity = { grain: 0.4, pieces: 0.3, chopped: 0.45 };
/** Clearance of a rack over what lies below, and height of a trivet under a bowl, mm [common practice]. */
const rackGapMm = 8;
const trivetMm = 15;
/** Sheets between sauces are wet from both sides; without so much sauce to their weight they need liquid [common practice]. */
const saucePerSheet = 0.8;

export interface Geometry {
  layers: StackLayer[];
  fillLitres: number;
  fillFraction: number;
  /** no cooker is filled beyond this */
  limitFraction: number;
  /** above this line starch may foam into the valve; null where nothing foams */
  foamFraction: number | null;
  /** share of what is in the pot by volume: starch that swells, liquid, the rest */
  shares: { starch: number; liquid: number; other: number };
  liquidLevelMm: number;
  /** what can boil at the base: poured liquid, cling, and what runs down before the boil, mL */
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

/** Two thirds full at most; from half on starch and milk foam [common practice; the maker's manual wins]. */
export const fillLimits = { most: 2 / 3, foam: 0.5, solved: 0.63 } as const;
/** Swollen grain takes about three times its dry room [common practice]. */
const swelling = 3;

/** Thin liquid at the base before it boils, mL: poured, clinging, and what runs down from what lies above. */
export function thinAtBaseMl(g: Gathered, addMl: number, clingG: number, outerMl: number): number {
  let ml = outerMl + (g.inBowl ? 0 : clingG);
  for (const i of g.items) {
    if (!goesUnderLid(i)) continue;
    const place = placeOf(g, i);
    if (place === 'inner-bowl') continue;
    const grams = i.main ? addMl * i.food.bulkGPerMl[0] : i.grams;
    ml += place === 'liquid' && i.food.kind !== 'seasoning' ? grams / i.food.densityGPerMl[0] : grams * i.food.thin[0];
  }
  return ml;
}

/** The stack from the base up, to scale: solids with their voids, small grain settled between pieces, liquid from below. */
export function stackPlan(g: Gathered, pot: PotProfile, addMl: number, clingG: number, outerMl = 0): Geometry {
  const area = baseAreaCm2(pot);
  const gramsOf = (i: Item): number => (i.main ? addMl * i.food.bulkGPerMl[0] : i.grams);
  const solidMl = (i: Item): number => gramsOf(i) / i.food.densityGPerMl[0];
  const inPot = g.items
    .map((item) => ({ item, place: placeOf(g, item) }))
    .filter(({ item }) => goesUnderLid(item))
    .filter(({ item }) => item.food.kind !== 'seasoning' && item.food.kind !== 'fat');
  const of = (p: Place): Item[] => inPot.filter((x) => x.place === p).map((x) => x.item);
  const thinLiquidMl = thinAtBaseMl(g, addMl, clingG, outerMl);

  let edgeMm = 0;
  let spareVoid = 0;
  let liquidLeft = thinLiquidMl;
  // A note in an object: the type of a plain variable would not see that the closure changes it.
  const level: { mm: number | null } = { mm: null };
  const dry = { g: 0, of: 0 };
  const layers: StackLayer[] = [];
  const layer = (
    item: Item,
    kind: string,
    ml: number,
    edges: readonly [number, number],
    note: string,
    share = 1,
  ): void => {
    layers.push({
      position: layers.length,
      ingredient: item.ingredient.id,
      note,
      place: placeOf(g, item),
      kind,
      litres: ml / 1000,
      fromMm: edges[0],
      toMm: edges[1],
      grams: gramsOf(item) * share,
      waterG: gramsOf(item) * share * item.food.water[0],
    });
  };
  const put = (laid: Laid, kind: string, bulkMl: number, voidMl: number): void => {
    const heightMm = (bulkMl / area) * 10;
    layer(laid.item, kind, bulkMl, [edgeMm, edgeMm + heightMm], laid.note, laid.share);
    const wet = voidMl > 0 ? Math.min(1, liquidLeft / voidMl) : 1;
    if (wet < 1) level.mm ??= edgeMm + heightMm * wet;
    if (laid.item.food.grain) {
      dry.g += (1 - wet) * laid.share;
      dry.of += laid.share;
    }
    liquidLeft -= voidMl * wet;
    edgeMm += heightMm;
  };

  for (const item of of('liquid'))
    if (gramsOf(item) > 0) layer(item, 'liquid', solidMl(item), [0, 0], reasonsByPlace.liquid);
  const laid = layersOf(g, pot);
  const starch = laid.find((l) => l.item.food.grain)?.item;
  const bulkOf = (i: Item): number =>
    i.food.kind === 'pasta'
      ? solidMl(i) / (1 - (i.food.porosity?.[0] ?? porosity.grain))
      : i.grams / i.food.bulkGPerMl[0];
  // Only small grain runs into the gaps between pieces; pasta lies on them.
  const grainBulk = starch?.food.kind === 'grain' ? bulkOf(starch) : 0;
  const base = of('base').filter((i) => !i.food.grain);
  for (const l of laid) {
    const { item, share } = l;
    if (item.food.grain) {
      const bulk = item.food.kind === 'pasta' ? bulkOf(item) : Math.max(grainBulk * 0.3, grainBulk - spareVoid);
      const gaps = item.food.kind === 'pasta' ? (item.food.porosity?.[0] ?? porosity.grain) : porosity.grain;
      put(l, 'grain', bulk * share, bulk * gaps * share);
    } else if (isThick(item) || item.food.kind === 'liquid' || item.food.kind === 'dairy')
      put(l, 'thick', solidMl(item) * share, 0);
    else if (placeOf(g, item) === 'base') {
      const bulk = (solidMl(item) / (1 - porosity.pieces)) * share;
      spareVoid += bulk * porosity.pieces;
      const settled = Math.min(grainBulk, spareVoid);
      const voids = bulk * porosity.pieces - (base.length > 0 ? (settled * (1 - porosity.grain)) / base.length : 0);
      put(l, item.food.kind, bulk, Math.max(0, voids));
    } else {
      const gap = item.food.kind === 'meat' ? porosity.pieces : porosity.chopped;
      const bulk = (solidMl(item) / (1 - gap)) * share;
      put(l, item.food.kind, bulk, bulk * gap);
    }
  }
  const liquidLevelMm = level.mm ?? edgeMm + (Math.max(0, liquidLeft) / area) * 10;
  for (const l of layers) if (l.kind === 'liquid') l.toMm = liquidLevelMm;
  const fillLitres = (Math.max(liquidLevelMm, edgeMm) / 10) * (area / 1000);
  const aboveMm = Math.max(liquidLevelMm, edgeMm);
  for (const item of of('rack'))
    layer(
      item,
      item.food.kind === 'meat' ? 'meat' : item.food.kind,
      solidMl(item),
      [aboveMm + rackGapMm, aboveMm + rackGapMm + item.thicknessMm],
      reasonsByPlace.rack,
    );
  bowlLayers(
    g,
    of('inner-bowl').filter((i) => gramsOf(i) > 0),
    aboveMm,
    layer,
    (i) => (i.food.grain ? bulkOf(i) : solidMl(i)),
  );
  const swollen =
    g.inBowl && g.grain ? Math.max(bowlLitres(g.grain.grams, addMl), (swelling * bulkOf(g.grain)) / 1000) : 0;

  const sauceG = laid.filter((l) => isThick(l.item)).reduce((s, l) => s + l.item.grams * l.share, 0);
  const saucedSheets = g.dish.family === 'layered-pasta' && starch && sauceG >= saucePerSheet * starch.grams;
  const tomatoes = base.filter((i) => hasFlag(i, 'tomato'));
  const foams =
    (starch !== undefined && sharesWater(g, starch)) ||
    g.items.some((i) => hasFlag(i, 'foams') && (i.joins === 'stack' || i.joins === 'fry'));
  const first = laid[0]?.item;
  const starchMl = starch ? solidMl(starch) : 0;
  const allMl = Math.max(1, inPot.reduce((s, x) => s + (x.place === 'inner-bowl' ? 0 : solidMl(x.item)), 0) + outerMl);
  return {
    layers,
    fillLitres,
    fillFraction: fillLitres / pot.litres,
    limitFraction: fillLimits.most,
    foamFraction: foams ? fillLimits.foam : null,
    shares: {
      starch: starchMl / allMl,
      liquid: Math.min(1, thinLiquidMl / allMl),
      other: Math.max(0, 1 - (starchMl + thinLiquidMl) / allMl),
    },
    liquidLevelMm,
    thinLiquidMl,
    dryGrainShare: starch && !saucedSheets && dry.of > 0 ? dry.g / dry.of : 0,
    barrier:
      starch !== undefined && first !== starch && starch.joins !== 'fry' && base.some((i) => i.food.kind === 'meat'),
    grainOnBase: starch !== undefined && (first === starch || base.length === 0 || starch.joins === 'fry'),
    tomatoAtBase: {
      thick: tomatoes.some((i) => hasFlag(i, 'thick')),
      diced: tomatoes.some((i) => hasFlag(i, 'diced')),
    },
    bowlFraction: swollen / bowlCapacityLitres,
  };
}

/** What stands in the inner bowl on its trivet, or on what cooks below it. */
function bowlLayers(
  g: Gathered,
  items: readonly Item[],
  belowMm: number,
  layer: (item: Item, kind: string, ml: number, edges: readonly [number, number], note: string) => void,
  bulkMl: (i: Item) => number,
): void {
  let aboveMm = Math.max(trivetMm, belowMm + 5);
  const bowlAreaCm2 = (Math.PI / 4) * (bowl.diameterM * 100) ** 2;
  for (const item of items) {
    const bulk = bulkMl(item);
    const heightMm = (bulk / bowlAreaCm2) * 10;
    layer(item, item.main ? 'liquid' : 'grain', bulk, [aboveMm, aboveMm + heightMm], reasonsByPlace['inner-bowl']);
    if (!item.main) aboveMm += heightMm;
  }
}
