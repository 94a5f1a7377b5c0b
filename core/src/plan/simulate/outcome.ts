import { bowlHistory } from '../../pot/inner-bowl';
import { bedLagS, drinksG, grainTemps, runClock, type ClockResult } from '../../grain/clock';
import {
  pastaSauceBand,
  sauceBand,
  soakFactorOf,
  texture,
  type SauceBand,
  type TextureResult,
} from '../../grain/texture';
import type { PotRun } from '../../pot/program';
import { warmFinishMin } from '../setup/finish-minutes';
import { hasFlag, isFinishSauce, type Gathered } from '../gather/item';
import { finishedMass, saucyFrom, slowingOf, sum } from '../setup/sauce';
import { isLoosePorridge } from '../gather/sauce-wanted';
import type { Sources } from '../setup/sources';

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
  const history = g.inBowl
    ? bowlHistory(run.history, { rawG: g.grain!.grams, waterG: addMl, startC: bowlStartC }, g.bowl)
    : run.history;
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

/** What the sauce looks like on the plate. */
export const sauceWord = (g: Gathered, out: GrainOutcome): SauceBand =>
  g.grain?.food.kind === 'pasta' && g.saucePerStarch !== null
    ? pastaSauceBand(out.sauceG / (g.saucePerStarch * g.grain.grams))
    : sauceBand(out.sauceG / Math.max(1, out.finishedG));

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
