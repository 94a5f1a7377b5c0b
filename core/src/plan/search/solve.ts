import { lastWhole } from '../../bisect';
import { isSlowCut } from '../../food/meats';
import { equivalentMin } from '../../grain/clock';
import type { Texture } from '../../grain/texture';
import type { PotRun, Release } from '../../pot/program';
import type { PlantVerdict } from '../document/verdicts';
import type { Setup, FirstStage } from '../setup/setup';
import { heat, piecesOf, type Heated } from '../simulate/heated';
import type { Run } from '../judge/run';
import type { Gathered, Item } from '../gather/item';
import { isTenderAim, meatsOf, seedsOf } from '../gather/pieces';
import { type MeatRun, runMeats } from '../simulate/meat';
import { runPlants } from '../simulate/plants';
import type { Near } from './search';
import {
  firstGuessMl,
  inFull,
  type OneLid,
  searchDtS,
  servedFrom,
  type Solved,
  solveOnce,
  toughMeats,
} from './solve-once';
import { firstStage, type Then, withFirst } from '../simulate/stages';
import { targetE } from '../setup/target';
import { starchTemps } from '../simulate/outcome';

/** Whether a first stage is still to be decided, there is none, or which one it is. */
export type Stages = 'open' | 'one' | Pick<FirstStage, 'slow' | 'holdMin' | 'liquidMl'>;

/**
 * Liquid and program together. Where the program that the starch wants leaves a piece under its minimum or tough, or dry
 * seeds hard, they get a stage of their own first, if that serves both better than one program for all.
 */
export function solveBoth(setup: Setup, texture: Texture, near: Near | null = null, stages: Stages = 'open'): Solved {
  const solve = (one: Setup): OneLid => solveOnce(one, texture, near);
  if (stages === 'one') return inFull(solve(setup));
  if (stages !== 'open') {
    const again = setup.g.items.filter((i) => stages.slow.includes(i.ingredient.id));
    return inFull(solve(withFirst(setup, firstStage(setup, again, { addMl: stages.liquidMl }, stages))));
  }
  const asked = setup.g.dish.overrides?.firstStage;
  const pieces = [...meatsOf(setup.g), ...seedsOf(setup.g)];
  const may = (asked ?? setup.g.rule.twoStage) && setup.g.grain !== null && !setup.first && pieces.length > 0;
  if (!may) return inFull(solve(setup));
  const twice = (slow: readonly Item[], addMl: number): OneLid => {
    const then = secondLid(setup, slow, addMl, texture);
    return solve(withFirst(setup, firstStage(setup, slow, { addMl, then })));
  };
  const slow = asked ? slowestFirst(setup) : slowParts(setup);
  if (slow.length > 0) {
    const addMl = setup.g.dish.overrides?.liquidMl ?? firstGuessMl(setup, texture);
    const h = heat(setup, { addMl, pressure: setup.g.dish.overrides?.pressure ?? 'high', texture, dtS: searchDtS });
    const tough = asked ? slow : toughWithin(h, slow);
    // No time that the starch bears makes these tender: one program for all is not looked for.
    if (tough.length > 0) return inFull(twice(tough, addMl));
  }
  const one = solve(setup);
  const left = serves(one.best) ? [] : unserved(one);
  if (left.length === 0) return inFull(one);
  const two = twice(left, one.perfect.addMl);
  return inFull(worthTwo(one.best, two.best) ? two : one);
}
const serves = (c: Run): boolean => c.stops === 0 && c.chance.texture >= servedFrom && toughIn(c) === 0;
/** How many cuts stay tough and how many dry seeds hard. */
const toughIn = (r: Run): number => toughMeats(r) + hardSeeds(r.h.setup.g, r.plants).length;
/** A second lid is work: it must be better by so many points, or make tender what was tough at no more than this price [from memory]. */
const worthOf = { better: 8, tenderWorth: 12 } as const;

function worthTwo(one: Run, two: Run): boolean {
  if (one.stops !== two.stops) return two.stops < one.stops;
  return two.score > one.score + (toughIn(two) < toughIn(one) ? -worthOf.tenderWorth : worthOf.better);
}

/** Raw pieces that the starch's own best program leaves under their minimum or tough, and seeds that it leaves hard. */
function unserved({ perfect: { h, potRun } }: OneLid): Item[] {
  const { g } = h.setup;
  const options = { ...piecesOf(h), ways: h.ways, coarse: true };
  const left = runMeats(g, potRun, options)
    .filter((m) => m.item.state !== 'cooked' && (!m.verdict.ok || isTough(m)))
    .map((m) => m.item);
  return [...left, ...hardSeeds(g, runPlants({ ...g, items: seedsOf(g) }, potRun, options))];
}
const hardSeeds = (g: Gathered, plants: readonly PlantVerdict[]): Item[] => {
  const hard = new Set(plants.flatMap((p) => (p.verdict === 'hard' ? [p.ingredient] : [])));
  return seedsOf(g).filter((i) => hard.has(i.ingredient.id));
};
const isTough = (m: MeatRun): boolean => isSlowCut(m.item.food) && !isTenderAim(m.item, m.verdict.collagenCoreMin ?? 0);

/** Slow cuts under pressure that have not been cooked before, and dry seeds. */
const slowParts = ({ g }: Setup): Item[] => [
  ...meatsOf(g).filter((i) => isSlowCut(i.food) && i.state !== 'cooked'),
  ...seedsOf(g),
];

/** What a cook who asks for a first stage means: the stew cuts and the dry seeds, or else the thickest raw meat. */
export function slowestFirst(setup: Setup): Item[] {
  const slow = slowParts(setup);
  if (slow.length > 0) return slow;
  const raw = meatsOf(setup.g).filter((i) => i.state !== 'cooked');
  return raw.sort((a, c) => c.thicknessMm - a.thicknessMm).slice(0, 1);
}

/** What stays tough or hard at the longest hold that the starch bears. */
function toughWithin(h: Heated, items: Item[]): Item[] {
  const run = runWithin(h, targetE(h.setup.g, h.texture, h.addMl).most, { kind: 'timed', naturalMin: 5 });
  const slow: Gathered = { ...h.setup.g, items };
  const options = { depthCm: h.depthCm, coarse: true, ways: h.ways };
  const tough = runMeats(slow, run, options).filter((m) => !isTenderAim(m.item, m.nominal.collagenCoreMin));
  return [...tough.map((m) => m.item), ...hardSeeds(slow, runPlants(slow, run, options))];
}

/** The run of the longest hold, in whole minutes, after which the starch has not had more than so many minutes at 100 degC. */
function runWithin(h: Heated, mostE: number, release: Release): PotRun {
  const bears = (holdMin: number): boolean => {
    const run = h.heated.finish(holdMin, release);
    const temps = starchTemps(h.setup.g, run, h.addMl, h.depthCm);
    return equivalentMin(temps, run.history.dtS, h.setup.g.grain!.food.grain!.kinetics) <= mostE;
  };
  return h.heated.finish(lastWhole(0, longestMin, bears), release);
}

/** Holds that are looked at, min. */
const longestMin = 60;

/** Minutes of a first stage that stand for any while the second is looked ahead at: they move its heat-up by seconds [derived]. */
const someFirstMin = 12;

/** What the starch will want of the second lid, let off at once: the least that the pieces of a first stage still get. */
function secondLid(setup: Setup, slow: readonly Item[], addMl: number, texture: Texture): Then {
  const after = withFirst(setup, firstStage(setup, slow, { addMl }, { holdMin: someFirstMin }));
  const pressure = setup.g.dish.overrides?.pressure ?? 'high';
  const h = heat(after, { addMl, pressure, texture, dtS: searchDtS });
  return { run: runWithin(h, targetE(setup.g, texture, addMl).want, { kind: 'quick' }), depthCm: h.depthCm };
}
