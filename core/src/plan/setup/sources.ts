import { clingAfterSoak, soakGPerG } from '../../grain/uptake';
import { juiceLeft, sharesWater, type Gathered, type Item } from '../gather/item';
import { placeOf } from '../gather/place';

/** Water clinging to the pot and the food, out of the grain's reach, g: 8 + 4 % of the solid things [derived]. */
const filmBaseG = 8;
const filmShare = 0.04;
/** Open simmering with a spoon in it boils off so much, g/min [common practice; 20 g in a 5 min risotto finish]. */
const simmerGPerMin = 4;
/** Of the juice of pieces on a rack this much drips into the grain below [derived]. */
const drips = 0.7;
/** Film inside a covered bowl, g [derived]. */
const bowlFilmG = 5;

export interface Sources {
  soakG: number;
  clingG: number;
  /** water from each item but the grain and the liquid to add, g */
  fromItems: { item: Item; grams: number; spreadG: number; left: number; overruledFrom?: number }[];
  filmG: number;
  /** boiled off while stirring after the lid opens, g */
  simmerG: number;
  /** boiled off in the pan by reducing wine and by deglazing, g */
  reducedG: number;
  /** how much more than predicted was measured in the pot between the stages, g */
  gravyG: number;
  /** water in one mL of the liquid to add, g */
  mainWaterPerMl: number;
}

/** All water that does not depend on the liquid to add. */
export function waterSources(g: Gathered, reducedG = 0): Sources {
  const yours = g.dish.overrides?.ledger ?? {};
  const grain = g.grain;
  const prep = grain?.ingredient.prep;
  const soakMin = prep?.soakMin ?? 0;
  const rec = grain?.food.grain;
  const soakG = grain && rec ? grain.grams * soakGPerG(rec.rawMoisture[0], rec.bran, soakMin) : 0;
  const rinsed = (prep?.rinse ?? false) || soakMin > 0;
  const clingG = grain && rec && rinsed ? grain.grams * rec.clingGPerG[0] * (soakMin > 0 ? clingAfterSoak : 1) : 0;
  const inPot = g.items.filter((i) => i !== grain && !i.main && sharesWater(g, i));
  const fromItems = inPot
    .filter((i) => i.grams > 0)
    .map((item) => {
      const left = juiceLeft[item.state] * (placeOf(g, item) === 'rack' ? drips : 1);
      const grams = item.grams * (item.food.free[0] + item.food.released[0] * left);
      const own = yours[`from:${item.ingredient.id}`];
      return {
        item,
        grams: own ?? grams,
        spreadG: own === undefined ? item.grams * item.food.releaseSd[0] * (item.food.released[0] > 0 ? left : 1) : 0,
        left,
        ...(own === undefined ? {} : { overruledFrom: grams }),
      };
    })
    .filter((x) => Math.abs(x.grams) >= 0.5 || x.overruledFrom !== undefined);
  const solids = inPot.filter((i) => i.food.free[0] < 0.5).reduce((sum, i) => sum + i.grams, 0);
  return {
    soakG: yours['soak'] ?? soakG,
    clingG: yours['cling'] ?? clingG,
    fromItems,
    filmG: yours['film'] ?? (g.inBowl ? bowlFilmG : filmBaseG + filmShare * solids),
    simmerG: yours['simmer'] ?? simmerGPerMin * g.rule.simmerMin,
    reducedG: yours['reduced'] ?? reducedG,
    gravyG: 0,
    mainWaterPerMl: g.main.food.water[0] * g.main.food.bulkGPerMl[0],
  };
}
