import { bowlCapacityLitres, bowlLitres } from '../../pot/inner-bowl';
import type { PotProfile } from '../../pot/profile';
import type { StackLayer } from '../document/document';
import { goesUnderLid, hasFlag, sharesWater, type Gathered, type Item } from '../gather/item';
import { isThick } from './layers';
import { isLayered, placeOf } from '../gather/place';
import { bulkOf, gramsOf, solidMl, stacked, type Stacked } from './stacked';

/** Sheets between sauces are wet from both sides; without so much sauce to their weight they need liquid [common practice]. */
const saucePerSheet = 0.8;

/** What the stack is drawn from. */
export interface StackInput {
  g: Gathered;
  pot: PotProfile;
  addMl: number;
  /** water that clings to rinsed grain, g */
  clingG: number;
  /** gone before the lid locks, g: what the pan boiled off, less what a first stage left in the pot */
  goneG?: number;
  /** water under an inner bowl, mL */
  outerMl?: number;
}

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
export const fillLimits = { foam: 0.5, solvedOfMost: 0.945 } as const;
/** Swollen grain takes about three times its dry room [common practice]. */
const swelling = 3;

/**
 * Thin liquid at the base before it boils, mL: poured, clinging, and what runs down from what lies above, less what is gone.
 * Fat makes no steam and wets no starch. Under 0 where more is gone than there is without what will be poured.
 */
export function thinAtBaseMl({ g, addMl, clingG, goneG = 0, outerMl = 0 }: Omit<StackInput, 'pot'>): number {
  let ml = outerMl + (g.inBowl ? 0 : clingG) - goneG;
  for (const i of g.items) {
    if (!goesUnderLid(i)) continue;
    const place = placeOf(g, i);
    if (place === 'inner-bowl') continue;
    const grams = gramsOf(i, addMl);
    const isPoured = place === 'liquid' && i.food.kind !== 'seasoning' && i.food.kind !== 'fat';
    ml += isPoured ? grams / i.food.densityGPerMl[0] : grams * i.food.thin[0];
  }
  return ml;
}

/** What stands in the pot for the stack: seasonings and fat take no room. */
const takesRoom = (i: Item): boolean => goesUnderLid(i) && i.food.kind !== 'seasoning' && i.food.kind !== 'fat';

/** What goes in with the liquid and takes no room; salt is told apart. What is to taste has 0 g. */
export const withLiquid = (g: Gathered): Item[] => [
  ...g.items.filter(
    (i) => i.joins === 'stack' && i.grams > 0 && !takesRoom(i) && i.food.id !== 'salt' && !isLayered(g, i),
  ),
  ...g.seasonedWith.filter(goesUnderLid),
];

/** The stack to scale, how full it makes the pot, and what it means for the base and for the grain. */
export function stackPlan(x: StackInput): Geometry {
  const { g, pot, addMl } = x;
  const thinLiquidMl = Math.max(0, thinAtBaseMl(x));
  const s = stacked({ g, pot, addMl, thinLiquidMl, items: g.items.filter(takesRoom) });
  const grainItem = s.starch;
  const swollen =
    g.inBowl && g.grain ? Math.max(bowlLitres(g.grain.grams, addMl), (swelling * bulkOf(g.grain)) / 1000) : 0;
  const foams =
    (grainItem !== undefined && sharesWater(g, grainItem)) ||
    g.items.some((i) => hasFlag(i, 'foams') && (i.joins === 'stack' || i.joins === 'fry'));
  return {
    layers: s.layers,
    fillLitres: s.fillLitres,
    fillFraction: s.fillLitres / pot.litres,
    limitFraction: pot.fillShare,
    foamFraction: foams ? fillLimits.foam : null,
    shares: volumeShares(x, s, thinLiquidMl),
    liquidLevelMm: s.liquidLevelMm,
    thinLiquidMl,
    dryGrainShare: grainItem && !saucedSheets(g, s) ? s.dryGrainShare : 0,
    ...atBase(s),
    bowlFraction: swollen / bowlCapacityLitres(g.bowl),
  };
}

/** Shares of starch, of thin liquid and of the rest in what shares the pot, by volume. */
function volumeShares({ g, addMl, outerMl = 0 }: StackInput, s: Stacked, thinLiquidMl: number): Geometry['shares'] {
  const shared = g.items.filter((i) => takesRoom(i) && placeOf(g, i) !== 'inner-bowl');
  const allMl = Math.max(1, shared.reduce((sum, i) => sum + solidMl(i, addMl), 0) + outerMl);
  const starchMl = s.starch ? solidMl(s.starch, addMl) : 0;
  return {
    starch: starchMl / allMl,
    liquid: Math.min(1, thinLiquidMl / allMl),
    other: Math.max(0, 1 - (starchMl + thinLiquidMl) / allMl),
  };
}

/** Sheets that lie between sauces are wetted by them. */
function saucedSheets(g: Gathered, s: Stacked): boolean {
  const sauceG = s.laid.filter((l) => isThick(l.item)).reduce((sum, l) => sum + l.item.grams * l.share, 0);
  return g.dish.family === 'layered-pasta' && s.starch !== undefined && sauceG >= saucePerSheet * s.starch.grams;
}

/** What lies on the hot plate: whether pieces keep the starch from it, and which tomatoes touch it. */
function atBase({ starch, laid, base }: Stacked): Pick<Geometry, 'barrier' | 'grainOnBase' | 'tomatoAtBase'> {
  const first = laid[0]?.item;
  const tomatoes = base.filter((i) => hasFlag(i, 'tomato'));
  const fried = starch?.joins === 'fry';
  return {
    barrier: starch !== undefined && first !== starch && !fried && base.some((i) => i.food.kind === 'meat'),
    grainOnBase: starch !== undefined && (first === starch || base.length === 0 || fried),
    tomatoAtBase: {
      thick: tomatoes.some((i) => hasFlag(i, 'thick')),
      diced: tomatoes.some((i) => hasFlag(i, 'diced')),
    },
  };
}
