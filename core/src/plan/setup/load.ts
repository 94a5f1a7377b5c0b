import { isMince } from '../../food/meats';
import { slowestTimeS } from '../../meat/geometry';
import type { Load, SlowItem, ThinItem } from '../../pot/state';
import { foodWPerMK } from '../../water/surface';
import { boardC, sharesWater, type Gathered, type Item } from '../gather/item';
import { placementOf, plantsOf } from '../gather/pieces';
import type { Setup } from './setup';
import { deglazeMl } from './fry';
import { placeOf } from '../gather/place';

/** Temperatures when the lid closes: after frying and deglazing, from cold, and after a first stage [from memory]. */
const after = {
  fry: { vegetableC: 75, meatC: 35 },
  cold: { wallC: 21, baseC: 21 },
  first: { wallC: 92, baseC: 100, foodC: 92 },
};
const shelfC = boardC.shelf;
/** Thinner pieces follow the pot at once. */
const slowFromMm = 10;
/**
 * A frozen piece takes the heat of thawing too. A lump with one heat capacity gets it by starting so much colder:
 * 266 kJ/kg from -18 to 4 degC for lean meat, over 3.54 kJ/kgK [derived].
 */
const thawK = 266 / 3.54;
const frozenLumpC = boardC.fridge - thawK;
const halfFrozenLumpC = boardC.fridge - thawK / 2;

/** One lump stands for the whole series: with this share of the slowest time it takes up the heat that conduction takes up [derived]. */
const lumpShare = { raw: 0.85, frozen: 1 };

/** Pieces thick enough to lag behind the pot. */
export const isSlow = (g: Gathered, item: Item): boolean =>
  (item.food.kind === 'meat' &&
    item.thicknessMm >= slowFromMm &&
    (!isMince(item.food) || item.piece.shape === 'slab')) ||
  (plantsOf(g).includes(item) && item.thicknessMm >= slowFromMm);
/** What cooks in the inner bowl follows the pot through its wall, s [derived: 2.5 min for 450 g in thin steel]. */
const bowlTauS = 150;

/** What an earlier stage left hot in the pot. */
export interface HotAlready {
  items: ReadonlySet<string>;
  liquidMl: number;
  /** how warm it all stands when the lid goes on again, degC; left out, as after a first stage */
  standC?: number;
}

/** The pot's load at lid closing with `addMl` of the liquid to add (in the pot, or in the inner bowl). */
export function loadOf(
  { g, src, outerMl, pan }: Pick<Setup, 'g' | 'src' | 'outerMl' | 'pan'>,
  addMl: number,
  hot: HotAlready | null = null,
): Load {
  // What was fried is as warm as the pan was left; the loosening liquid is part of what is added.
  const friedC = pan?.foodC ?? after.fry.vegetableC;
  const thinC = (i: Item): number => (i.joins === 'fry' ? friedC : lumpC(i));
  const hotC = hot?.standC ?? after.first.foodC;
  const thin: ThinItem[] = [];
  const slow: SlowItem[] = [];
  const put = (i: Item, grams: number, tempC: number): void => {
    thin.push({
      massKg: grams / 1000,
      cpJPerKgK: i.food.cpKjPerKgK[0] * 1000,
      water: i.food.water[0],
      densityKgPerM3: i.food.densityGPerMl[0] * 1000,
      tempC,
    });
  };
  for (const i of g.items) {
    if (i.joins === 'finish' || i.joins === 'topping') continue;
    const grams = i.main ? addMl * i.food.bulkGPerMl[0] : i.grams;
    if (grams <= 0) continue;
    const was = hot?.items.has(i.ingredient.id) ?? false;
    if (g.inBowl && sharesWater(g, i)) {
      slow.push({
        massKg: grams / 1000,
        cpJPerKgK: i.food.cpKjPerKgK[0] * 1000,
        tauS: bowlTauS,
        densityKgPerM3: i.food.densityGPerMl[0] * 1000,
        tempC: shelfC,
      });
    } else if (isSlow(g, i) && !was) {
      const frozen = i.ingredient.prep?.state === 'frozen';
      slow.push({
        massKg: grams / 1000,
        cpJPerKgK: i.food.cpKjPerKgK[0] * 1000,
        tauS: lumpShare[frozen ? 'frozen' : 'raw'] * slowestTimeS(i.thicknessMm / 1000, i.piece.exponent),
        surface: { place: placementOf(g, i), lOverK: i.thicknessMm / 2000 / foodWPerMK },
        densityKgPerM3: i.food.densityGPerMl[0] * 1000,
        tempC: i.joins === 'fry' && i.startC < after.fry.meatC ? after.fry.meatC : lumpC(i),
      });
    } else if (i.main && (hot || pan) && !g.inBowl) {
      // The part of the liquid that made the first stage, or loosened the base, is hot; the rest comes from the jug.
      const hotG = Math.min(grams, hot ? hot.liquidMl * i.food.bulkGPerMl[0] : deglazeMl);
      if (hotG > 0) put(i, hotG, hot ? hotC : friedC);
      if (grams > hotG) put(i, grams - hotG, lumpC(i));
    } else put(i, grams, was ? hotC : thinC(i));
  }
  const water = (massG: number, tempC: number): void => {
    if (massG > 0) thin.push({ massKg: massG / 1000, cpJPerKgK: 4200, water: 1, densityKgPerM3: 998, tempC });
  };
  water(src.soakG + src.clingG, shelfC);
  water(outerMl, shelfC);
  const stood = hot?.standC === undefined ? after.first : { wallC: hotC, baseC: hotC };
  const pot = hot ? stood : pan ? { wallC: pan.foodC, baseC: pan.baseC } : after.cold;
  return { thin, slow, wallC: pot.wallC, baseC: pot.baseC, lidC: hot ? 60 : 21 };
}

/** Start of what goes in without the pan; of frozen food so much colder that thawing is in it. */
const lumpC = (i: Item): number =>
  i.startC <= boardC.frozen ? frozenLumpC : i.ingredient.prep?.state === 'half-frozen' ? halfFrozenLumpC : i.startC;

/** Depth of what lies in the pot, cm, from its volume and the base; things on a rack or in a bowl do not deepen the bed. */
export function depthCm(g: Gathered, load: Load, baseAreaCm2: number): number {
  const all = [...load.thin, ...load.slow].reduce((v, i) => v + (i.massKg / i.densityKgPerM3) * 1e6, 0);
  const above = g.items
    .filter((i) => i.joins === 'stack' && placeOf(g, i) === 'rack')
    .reduce((v, i) => v + i.grams / i.food.densityGPerMl[0], 0);
  return Math.max(0, all - above) / baseAreaCm2;
}
