import { slowestTimeS, shapeExponent } from '../meat/geometry';
import type { Load, SlowItem, ThinItem } from '../pot/state';
import type { Gathered, Item } from './gather';
import type { Sources } from './water';

/** Temperatures when the lid closes: after frying and deglazing, and from cold [from memory]. */
const after = { fry: { wallC: 75, baseC: 130, vegetableC: 75, meatC: 35 }, cold: { wallC: 21, baseC: 21 } };
const shelfC = 20;
const fridgeC = 4;
const hotLiquidC = 90;
/** Thinner pieces follow the pot at once. */
const slowFromMm = 10;

/** Pieces thick enough to lag behind the pot. */
export const isSlow = (item: Item): boolean =>
  item.food.kind === 'meat' && item.thicknessMm >= slowFromMm && item.food.meat?.cut !== 'ground';

/** The pot's load at lid closing with `addMl` of the liquid to add. */
export function loadOf(g: Gathered, src: Sources, addMl: number): Load {
  const thin: ThinItem[] = [];
  const slow: SlowItem[] = [];
  for (const i of g.items) {
    if (i.joins === 'finish' || i.joins === 'topping') continue;
    const grams = i.main ? addMl * i.food.bulkGPerMl[0] : i.grams;
    if (grams <= 0) continue;
    if (isSlow(i)) {
      const exponent = shapeExponent(i.ingredient.prep?.shape ?? 'cube');
      slow.push({
        massKg: grams / 1000,
        cpJPerKgK: i.food.cpKjPerKgK[0] * 1000,
        tauS: slowestTimeS(i.thicknessMm / 1000, exponent),
        densityKgPerM3: i.food.densityGPerMl[0] * 1000,
        tempC: i.joins === 'fry' ? after.fry.meatC : fridgeC,
      });
      continue;
    }
    const tempC = i.ingredient.prep?.hot
      ? hotLiquidC
      : i.joins === 'fry' && i.food.kind !== 'grain'
        ? after.fry.vegetableC
        : i.food.kind === 'meat'
          ? fridgeC
          : shelfC;
    thin.push({
      massKg: grams / 1000,
      cpJPerKgK: i.food.cpKjPerKgK[0] * 1000,
      water: i.food.water[0],
      densityKgPerM3: i.food.densityGPerMl[0] * 1000,
      tempC,
    });
  }
  const onGrainG = src.soakG + src.clingG;
  if (onGrainG > 0)
    thin.push({ massKg: onGrainG / 1000, cpJPerKgK: 4200, water: 1, densityKgPerM3: 998, tempC: shelfC });
  const pot = g.fried ? after.fry : after.cold;
  return { thin, slow, wallC: pot.wallC, baseC: pot.baseC, lidC: 21 };
}

/** Depth of the contents, cm, from their volume and the base. */
export function depthCm(load: Load, baseAreaCm2: number): number {
  const ml = [...load.thin, ...load.slow].reduce((v, i) => v + (i.massKg / i.densityKgPerM3) * 1e6, 0);
  return ml / baseAreaCm2;
}
