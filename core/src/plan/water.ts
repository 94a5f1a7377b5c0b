import { bowlHistory } from '../grain/bowl';
import { bedLagS, drinksG, grainTemps, runClock, type ClockResult } from '../grain/clock';
import {
  edgesOf,
  pastaSauceBand,
  sauceBand,
  soakFactorOf,
  texture,
  type SauceBand,
  type TextureResult,
} from '../grain/texture';
import { clingAfterSoak, soakGPerG } from '../grain/uptake';
import type { PotRun } from '../pot/cook';
import { hasFlag, isFinishSauce, juiceLeft, sharesWater, type Gathered, type Item } from './item';
import { isLoosePorridge } from './sauce-wanted';
import { warmFinishMin } from './finish-minutes';
import { placeOf } from './place';

/** Water clinging to the pot and the food, out of the grain's reach, g: 8 + 4 % of the solid things [derived]. */
const filmBaseG = 8;
const filmShare = 0.04;
/** Tomato in an unstirred pot slows the uptake by up to 35 % [derived from one fact; range .5 to .9]. */
const tomatoSlowing = 0.35;
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

/** Steam lost in a cook, g, by the way it went. */
export const steamG = (run: PotRun): number =>
  1000 * (run.lost.purge + run.lost.leak + run.lost.relief + run.lost.quick + run.lost.open);

export interface GrainOutcome {
  clock: ClockResult;
  texture: TextureResult;
  steamG: number;
  freeShare: number;
  /** sauce at the table, g: what stands free, what joins at the end, less what the starch still drinks while it is warm */
  sauceG: number;
  finishedG: number;
  upG: number;
  /** how much thick liquid slows the uptake, 1 is not at all */
  slowing: number;
}

const bowlStartC = 20;
/** Temperature of the starch along a run: its bed, its bowl, or the pot itself where it is stirred or swims. */
export function starchTemps(g: Gathered, run: PotRun, addMl: number, depthCm: number): Float64Array {
  const { standMin, simmerMin, stirred } = g.rule;
  const history = g.inBowl ? bowlHistory(run.history, g.grain!.grams, addMl, bowlStartC) : run.history;
  return grainTemps(history, {
    lagS: stirred || g.inBowl ? 0 : bedLagS(depthCm),
    standMin: g.grain?.food.kind === 'pasta' ? 0 : standMin,
    simmerMin,
  });
}

/** Water that the starch can reach: what is added, given and clings, less what is lost. g */
function reachableG(g: Gathered, src: Sources, lostG: number, addMl: number): number {
  const given = src.fromItems.reduce((sum, x) => sum + x.grams, 0);
  const lost = g.inBowl ? 0 : lostG + src.simmerG + src.reducedG;
  return addMl * src.mainWaterPerMl + given + src.clingG + src.gravyG - lost - src.filmG;
}

/** What of a cook is already known: steam lost in an earlier stage, g; the starch's temperatures; room for its free water. */
export interface Known {
  earlierSteamG?: number;
  /** `starchTemps` of the same run */
  temps?: Float64Array | undefined;
  /** as long as `temps`, filled with the free water at every sample, g */
  freeTraceG?: Float64Array | undefined;
}

/** What the starch becomes in this run of the pot with `addMl` of liquid: one clock for doneness and uptake. */
export function grainOutcome(
  g: Gathered,
  src: Sources,
  { run, addMl, depthCm }: { run: PotRun; addMl: number; depthCm: number },
  known: Known = {},
): GrainOutcome {
  const grain = g.grain!;
  const rec = grain.food.grain!;
  const lost = g.dish.overrides?.ledger?.['steam'] ?? steamG(run) + (known.earlierSteamG ?? 0);
  const slowing = slowingOf(g, addMl);
  const clock = runClock(known.temps ?? starchTemps(g, run, addMl, depthCm), run.history.dtS, {
    grain: rec,
    rawG: grain.grams,
    soakedG: src.soakG,
    reachableG: reachableG(g, src, lost, addMl),
    slowing,
    ...(known.freeTraceG ? { freeTraceG: known.freeTraceG } : {}),
  });
  const finishedG = finishedMass(g, addMl) - (g.inBowl ? 0 : lost + src.simmerG + src.reducedG);
  const freeShare = clock.freeG / Math.max(1, finishedG);
  const acidMl = sum(g, (i) => hasFlag(i, 'acid') && i.joins !== 'finish');
  const t = texture(rec, {
    moisture: clock.moisture,
    equivalentMin: clock.equivalentMin,
    soakFactor: soakFactorOf(rec, grain.ingredient.prep?.soakMin ?? 0),
    coated: grain.joins === 'fry' || (grain.ingredient.prep?.coated ?? false),
    acidMlPer200g: (acidMl * 200) / grain.grams,
    freeShare,
    saucy: g.sauceShare >= saucyFrom,
    porridge: isLoosePorridge(g),
  });
  const upG = grain.grams * ((clock.moisture - rec.rawMoisture[0]) / (1 - clock.moisture));
  const sauceG = sauceAtTable(g, src, clock);
  return { clock, texture: t, steamG: g.inBowl ? 0 : lost, freeShare, sauceG, finishedG, upG, slowing };
}

/** A pot with its lid off stays about so warm while things are stirred in, degC [derived]. */
const finishC = 80;

/** Sauce when it is served, g. What is stirred at the end takes the film on things along with it. */
function sauceAtTable(g: Gathered, src: Sources, clock: ClockResult): number {
  const late = g.items.filter((i) => i.joins === 'finish' && !g.inBowl);
  const poured = late.filter(isFinishSauce).reduce((s, i) => s + i.grams, 0);
  const thawed = late
    .filter((i) => i.food.kind === 'vegetable')
    .reduce((s, i) => s + i.grams * (i.food.free[0] + thawedShare * i.food.released[0]), 0);
  const wet = clock.freeG + poured + thawed;
  if (poured + thawed === 0) return wet;
  const grain = g.grain!;
  const drinks = drinksG(grain.food.grain!, { rawG: grain.grams, moisture: clock.moisture }, finishC, warmFinishMin(g));
  return wet + (g.grain!.food.kind === 'pasta' || g.rule.stirred ? src.filmG : 0) - Math.min(drinks, 0.5 * wet);
}
/** Vegetables that are only warmed through give half of their juice [derived]. */
const thawedShare = 0.5;

/** Sauce wanted at the table, g: by the dry pasta, or by the share of the finished dish. */
export const wantedSauceG = (g: Gathered, finishedG: number): number =>
  g.saucePerStarch === null ? g.sauceShare * finishedG : g.saucePerStarch * g.grain!.grams;

/** What the sauce looks like on the plate. */
export const sauceWord = (g: Gathered, out: GrainOutcome): SauceBand =>
  g.grain?.food.kind === 'pasta' && g.saucePerStarch !== null
    ? pastaSauceBand(out.sauceG / (g.saucePerStarch * g.grain.grams))
    : sauceBand(out.sauceG / Math.max(1, out.finishedG));

/** From this wanted share on a dish is meant to have sauce [derived]. */
export const saucyFrom = 0.05;

/** Band edges of the grain of this dish on the texture index. */
export const grainEdges = (g: Gathered): readonly number[] => edgesOf(g.sauceShare >= saucyFrom, isLoosePorridge(g));

/**
 * Tomato (and, around pasta, cream) slows the uptake in an unstirred pot; 1 is not at all. Pasta is judged on the slowed
 * clock too: that is why 7 min and a natural release in cream and tomato come out creamy, not as mush.
 */
export function slowingOf(g: Gathered, addMl: number): number {
  if (g.rule.stirred) return 1;
  const thick = (i: Item): boolean =>
    hasFlag(i, 'tomato') || (g.grain?.food.kind === 'pasta' && i.food.id === 'cream-heavy');
  const thickG = sum(g, (i) => thick(i) && sharesWater(g, i));
  const other = addMl + sum(g, (i) => i.food.kind === 'liquid' && !thick(i) && !i.main && sharesWater(g, i));
  return 1 - tomatoSlowing * Math.min(1, thickG / Math.max(1, other));
}

/** Mass of everything that goes into the finished dish, g. */
export const finishedMass = (g: Gathered, addMl: number): number =>
  g.items.reduce((s, i) => s + (i.main || (g.inBowl && !sharesWater(g, i)) ? 0 : i.grams), 0) +
  addMl * g.main.food.bulkGPerMl[0];

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
