import { firstWhole } from '../../bisect';
import { HeatedPot } from '../../pot/cook';
import type { PotRun } from '../../pot/program';
import type { History } from '../../history';
import { baseAreaCm2, type PotProfile } from '../../pot/profile';
import type { Setup, FirstStage } from '../setup/setup';
import { hasFlag, waterBroughtG, type Gathered, type Item } from '../gather/item';
import { leastThinMl } from '../setup/bounds';
import { depthCm as depthCmOf, loadOf } from '../setup/load';
import { seedTimes, type Earlier } from '../gather/pieces';
import { areTenderAndSafe } from './meat';
import { runPlants } from './plants';
import { Ways } from './ways';
import { placeOf } from '../gather/place';
import { steamG } from './outcome';

/** Minutes between the stages: lid off, grain in, lid on [common practice]. */
export const betweenMin = 3;
const betweenC = 92;
const mostHoldMin = 60;

/** Ham and other meat that is cooked already only dries in a stage that is not for it. */
const isReady = (i: Item): boolean => i.food.meat !== undefined && i.state === 'cooked';

/** Tinned beans, raisins, olives and lentils are done in the time of the starch: with the meat they would fall apart [common practice]. */
const waitsForStarch = (i: Item): boolean => i.joins === 'stack' && i.food.kind === 'other' && !i.food.plant?.staysHard;

/** What goes into the first stage: the slow meat and what lies below the starch and bears the time of the meat. */
function firstItems(g: Gathered, tough: readonly Item[]): Item[] {
  return g.items.filter(
    (i) =>
      i !== g.grain &&
      i.joins !== 'finish' &&
      i.joins !== 'topping' &&
      !hasFlag(i, 'delicate') &&
      !isReady(i) &&
      !waitsForStarch(i) &&
      (tough.includes(i) || placeOf(g, i) === 'base' || placeOf(g, i) === 'liquid'),
  );
}

/** A run of the second lid as its starch would have it, and the depth of the contents then. */
export interface Then {
  run: PotRun;
  depthCm: number;
}

/**
 * The first stage after which `tough` is safe and tender at the end of the second, ended by a quick release. Nothing is
 * eaten in between: both lids count together, or this one alone where nobody says what follows. The hold is found by
 * bisection: more hold is never less tender.
 *
 * @param addMl liquid of the whole dish
 * @param fixed the hold (and liquid) of a plan that stands or of a stage that was cooked, taken as they are
 */
export function firstStage(
  setup: Setup,
  tough: readonly Item[],
  { addMl, then = null }: { addMl: number; then?: Then | null },
  fixed?: { holdMin: number; liquidMl?: number | undefined },
): FirstStage {
  const items = firstItems(setup.g, tough);
  const ids = new Set(items.map((i) => i.ingredient.id));
  const liquidMl = setup.g.inBowl ? 0 : (fixed?.liquidMl ?? ownLiquidMl(setup, items, addMl));
  const g: Gathered = { ...setup.g, items, grain: null, inBowl: false };
  const bare = { ...setup.src, soakG: 0, clingG: 0 };
  const load = loadOf({ g, src: bare, outerMl: setup.outerMl, pan: setup.pan }, liquidMl);
  const heated = new HeatedPot({ pot: setup.pot, altitudeM: setup.kitchen.altitudeM }, load, 'high');
  const pieces = { g, tough, ids, depthCm: depthCmOf(g, load, baseAreaCm2(setup.pot)) };
  const holdMin = fixed?.holdMin ?? asPotRuns(setup.pot, heated, shortestHoldMin(setup, heated, pieces, then));
  const run = heated.finish(holdMin, { kind: 'quick' });
  return {
    items: ids,
    slow: tough.map((i) => i.ingredient.id),
    liquidMl,
    holdMin,
    pinUpMin: (run.pinUpS ?? run.countdownS ?? run.releaseS) / 60,
    minutesToPressure: (run.countdownS ?? run.releaseS) / 60,
    ventMin: (run.openS - run.releaseS) / 60,
    steamG: steamG(run),
    whistles: run.whistles,
    gravyG: Math.max(0, gravyIn(setup, ids, liquidMl) - steamG(run)),
    earlier: earlierOf(run.history, ids),
    load,
    history: run.history,
  };
}

/** A soup boils whole; elsewhere the first stage gets what its steam needs and what its seeds drink, and the starch gets the rest fresh, mL. */
function ownLiquidMl(setup: Setup, items: readonly Item[], addMl: number): number {
  const others = items.filter((i) => !i.main).reduce((s, i) => s + i.grams * i.food.thin[0], -setup.src.reducedG);
  const drunkG = items.reduce((s, i) => s + i.grams * Math.max(0, -i.food.released[0]), 0);
  const neededMl = Math.max(0, leastThinMl(setup.pot.minimumLiquidMl[0]) - others) + drunkG;
  return setup.g.rule.stirred ? Math.max(addMl, neededMl) : neededMl;
}

/** What goes into the first stage, and the pieces that it is there for. */
interface FirstPieces {
  g: Gathered;
  tough: readonly Item[];
  ids: ReadonlySet<string>;
  depthCm: number;
}

/** The shortest hold after which every piece is safe and tender, and every seed soft, at the end of both lids, min. */
function shortestHoldMin(setup: Setup, heated: HeatedPot, { g, tough, ids, depthCm }: FirstPieces, then: Then | null) {
  const ways = new Ways();
  const enough = (holdMin: number): boolean => {
    const run = heated.finish(holdMin, { kind: 'quick' });
    const pieces: Gathered = { ...(then ? setup.g : g), items: [...tough] };
    const earlier = { ...earlierOf(run.history, ids), sharedS: run.releaseS };
    const options = { coarse: true, ways: ways.again(), ...(then ? { depthCm: then.depthCm, earlier } : { depthCm }) };
    const last = then?.run ?? run;
    return (
      areTenderAndSafe(pieces, last, options) && runPlants(pieces, last, options).every((p) => p.doneTimes >= seedTimes)
    );
  };
  return firstWhole(1, mostHoldMin, enough);
}

/** The hold that this pot can run: its next own program, or whole whistles. */
function asPotRuns(pot: PotProfile, heated: HeatedPot, holdMin: number): number {
  if (pot.programs) {
    const longer = pot.programs.filter((p) => p.pressure === 'high' && p.holdMin >= holdMin).map((p) => p.holdMin);
    return longer.length > 0 ? Math.min(...longer) : holdMin;
  }
  return pot.whistle ? heated.holdForWhistles(Math.max(1, heated.whistlesAt(holdMin))) : holdMin;
}

/** What the pieces of a first stage bring to the second lid: its history, and the pot standing open after it. */
export function earlierOf(h: History, items: Iterable<string>): Earlier {
  const gap = Math.round((betweenMin * 60) / h.dtS);
  const tempC = new Float64Array(h.tempC.length + gap).fill(betweenC);
  tempC.set(h.tempC);
  return { dtS: h.dtS, tempC: new Map(Array.from(items, (id) => [id, tempC])) };
}

/** Thin liquid among the things of the first stage once they have given their juice, g; the steam is still to come off. */
function gravyIn(setup: Setup, ids: ReadonlySet<string>, liquidMl: number): number {
  const given = setup.g.items
    .filter((i) => ids.has(i.ingredient.id) && !i.main)
    .reduce((s, i) => s + waterBroughtG(i), 0);
  return liquidMl * setup.src.mainWaterPerMl + given - setup.src.reducedG - setup.src.filmG;
}

/** The setup with a first stage in it, and with the gravy that the cook measured in place of the predicted one. */
export function withFirst(setup: Setup, first: FirstStage): Setup {
  const measured = setup.g.dish.overrides?.gravyMl;
  return {
    ...uncoated(setup),
    first,
    src: measured === undefined ? setup.src : { ...setup.src, gravyG: measured - first.gravyG },
  };
}

/** Rice that comes to a pot of meat and gravy is not turned in fat any more. */
function uncoated(setup: Setup): Setup {
  const { grain } = setup.g;
  if (grain?.joins !== 'fry') return setup;
  const plain: Item = { ...grain, joins: 'stack' };
  const items = setup.g.items.map((i) => (i === grain ? plain : i));
  return {
    ...setup,
    g: { ...setup.g, items, grain: plain },
    fry: setup.fry.filter((s) => s.ingredient !== grain.ingredient.id).map((s, at) => ({ ...s, order: at + 1 })),
  };
}

/** What a plan says of its first stage. */
export interface ChosenFirst {
  liquid: { addMl: number };
  firstStage: { holdMin: number; liquidMl?: number; slow: string[] } | null;
}

/** The setup of a plan that was already made: with the same first stage, if it had one. */
export function setupOfPlan(setup: Setup, chosen: ChosenFirst): Setup {
  if (!chosen.firstStage) return setup;
  const tough = setup.g.items.filter((i) => chosen.firstStage!.slow.includes(i.ingredient.id));
  return withFirst(setup, firstStage(setup, tough, { addMl: chosen.liquid.addMl }, chosen.firstStage));
}
