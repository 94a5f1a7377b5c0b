import { bedLagS, grainTemps, runClock, type ClockResult } from '../grain/clock';
import { texture, type TextureResult } from '../grain/texture';
import { clingAfterSoak, soakGPerG } from '../grain/uptake';
import type { CookRun } from '../pot/cook';
import { hasFlag, juiceLeft, type Gathered, type Item } from './gather';

/** Water clinging to the pot and the food, out of the grain's reach, g: 8 + 4 % of the solid things [derived]. */
const filmBaseG = 8;
const filmShare = 0.04;
/** Tomato in an unstirred pot slows the uptake by up to 35 % [derived from one fact; range .5 to .9]. */
const tomatoSlowing = 0.35;
/** Separate grain stands this long after opening before it is forked [common practice]. */
export const standMin = 4;

export interface Sources {
  soakG: number;
  clingG: number;
  /** water from each item but the grain and the liquid to add, g */
  fromItems: { item: Item; grams: number; spreadG: number; left: number; overruledFrom?: number }[];
  filmG: number;
  /** water in one mL of the liquid to add, g */
  mainWaterPerMl: number;
}

/** All water that does not depend on the liquid to add. */
export function waterSources(g: Gathered): Sources {
  const yours = g.dish.overrides?.ledger ?? {};
  const grain = g.grain;
  const prep = grain?.ingredient.prep;
  const soakMin = prep?.soakMin ?? 0;
  const rec = grain?.food.grain;
  const soakG = grain && rec ? grain.grams * soakGPerG(rec.rawMoisture[0], rec.bran, soakMin) : 0;
  const rinsed = (prep?.rinse ?? false) || soakMin > 0;
  const clingG = grain && rec && rinsed ? grain.grams * rec.clingGPerG[0] * (soakMin > 0 ? clingAfterSoak : 1) : 0;
  const inPot = g.items.filter((i) => i !== grain && !i.main && i.joins !== 'finish' && i.joins !== 'topping');
  const fromItems = inPot
    .map((item) => {
      const left = juiceLeft[item.state];
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
    .filter((x) => x.grams >= 0.5 || x.overruledFrom !== undefined);
  const solids = inPot.filter((i) => i.food.free[0] < 0.5).reduce((sum, i) => sum + i.grams, 0);
  return {
    soakG: yours['soak'] ?? soakG,
    clingG: yours['cling'] ?? clingG,
    fromItems,
    filmG: yours['film'] ?? filmBaseG + filmShare * solids,
    mainWaterPerMl: g.main.food.water[0] * g.main.food.bulkGPerMl[0],
  };
}

/** Steam lost in a cook, g, by the way it went. */
export const steamG = (run: CookRun): number =>
  1000 * (run.lost.purge + run.lost.leak + run.lost.relief + run.lost.quick + run.lost.open);

export interface GrainOutcome {
  clock: ClockResult;
  texture: TextureResult;
  steamG: number;
  freeShare: number;
  finishedG: number;
  upG: number;
}

/** What the grain becomes in this run of the pot with `addMl` of liquid: one clock for doneness and uptake. */
export function grainOutcome(g: Gathered, src: Sources, run: CookRun, addMl: number, depthCm: number): GrainOutcome {
  const grain = g.grain!;
  const rec = grain.food.grain!;
  const yours = g.dish.overrides?.ledger ?? {};
  const lost = yours['steam'] ?? steamG(run);
  const given = src.fromItems.reduce((sum, x) => sum + x.grams, 0);
  const reachableG = addMl * src.mainWaterPerMl + given + src.clingG - lost - src.filmG;
  const temps = grainTemps(run.history, { lagS: bedLagS(depthCm), standMin });
  const tomato = sum(g, (i) => hasFlag(i, 'tomato'));
  const otherLiquid = addMl + sum(g, (i) => i.food.kind === 'liquid' && !hasFlag(i, 'tomato') && !i.main);
  const slowing = 1 - tomatoSlowing * Math.min(1, tomato / Math.max(1, otherLiquid));
  const clock = runClock(temps, run.history.dtS, {
    grain: rec,
    rawG: grain.grams,
    soakedG: src.soakG,
    reachableG,
    slowing,
  });
  const finishedG = finishedMass(g, addMl) - lost;
  const freeShare = clock.freeG / Math.max(1, finishedG);
  const acidMl = sum(g, (i) => hasFlag(i, 'acid') && i.joins !== 'finish');
  const t = texture(rec, {
    moisture: clock.moisture,
    equivalentMin: clock.equivalentMin,
    soakedWhite: !rec.bran && (grain.ingredient.prep?.soakMin ?? 0) >= 30,
    coated: grain.ingredient.prep?.coated ?? false,
    acidMlPer200g: (acidMl * 200) / grain.grams,
    freeShare,
    saucy: false,
  });
  const upG = grain.grams * ((clock.moisture - rec.rawMoisture[0]) / (1 - clock.moisture));
  return { clock, texture: t, steamG: lost, freeShare, finishedG, upG };
}

/** Mass of everything that goes into the finished dish, g. */
export const finishedMass = (g: Gathered, addMl: number): number =>
  g.items.reduce((s, i) => s + (i.main ? 0 : i.grams), 0) + addMl * g.main.food.bulkGPerMl[0];

const sum = (g: Gathered, pick: (i: Item) => boolean): number =>
  g.items.reduce((s, i) => s + (pick(i) ? i.grams : 0), 0);

/** One standard deviation of the water, g, and of the moisture, points, from the ledger's spreads. */
export function moistureSpread(
  g: Gathered,
  src: Sources,
  outcome: GrainOutcome,
  potG = 12,
): { waterG: number; points: number } {
  const grain = g.grain!;
  const m0 = grain.food.grain!.rawMoisture[0];
  const items = src.fromItems.reduce((s, x) => s + x.spreadG ** 2, 0);
  const waterG = Math.sqrt(items + potG ** 2 + (0.04 * grain.grams) ** 2 + (0.03 * outcome.clock.freeG) ** 2);
  const u = outcome.upG / grain.grams;
  return { waterG, points: (100 * (waterG / grain.grams) * (1 - m0)) / (1 + u) ** 2 };
}
