import { equivalentMin } from '../grain/clock';
import type { Texture } from '../grain/texture';
import type { CookRun, Release } from '../pot/cook';
import type { Bench, FirstStage } from './bench';
import { heat } from './cooked';
import type { Heated } from './heated';
import type { Gathered, Item } from './item';
import { isTenderAim, type MeatRun, meatsOf, runMeats } from './meat';
import type { Near } from './search';
import { firstGuessMl, inFull, type OneLid, searchDtS, servedFrom, type Solved, solveOnce } from './solve-once';
import { firstStage, type Then, withFirst } from './stages';
import { targetE } from './target';
import { starchTemps } from './water';
import type { Candidate } from './weigh';

/** Whether a first stage is still to be decided, there is none, or which one it is. */
export type Stages = 'open' | 'one' | Pick<FirstStage, 'slow' | 'holdMin' | 'liquidMl'>;

/**
 * Liquid and program together. Where the program that the starch wants leaves a piece under its minimum or tough, the
 * pieces get a stage of their own first, if that serves both better than one program for all.
 */
export function solveBoth(b: Bench, texture: Texture, near: Near | null = null, stages: Stages = 'open'): Solved {
  const solve = (bench: Bench): OneLid => solveOnce(bench, texture, near);
  if (stages === 'one') return inFull(solve(b));
  if (stages !== 'open') {
    const again = b.g.items.filter((i) => stages.slow.includes(i.ingredient.id));
    return inFull(solve(withFirst(b, firstStage(b, again, { addMl: stages.liquidMl }, stages))));
  }
  const asked = b.g.dish.overrides?.firstStage;
  const may = (asked ?? b.g.rule.twoStage) && b.g.grain !== null && !b.first && meatsOf(b.g).length > 0;
  if (!may) return inFull(solve(b));
  const twice = (slow: readonly Item[], addMl: number): OneLid => {
    const then = secondLid(b, slow, addMl, texture);
    return solve(withFirst(b, firstStage(b, slow, { addMl, then })));
  };
  const slow = asked ? slowestFirst(b) : slowMeats(b);
  if (slow.length > 0) {
    const addMl = b.g.dish.overrides?.liquidMl ?? firstGuessMl(b, texture);
    const h = heat(b, { addMl, pressure: b.g.dish.overrides?.pressure ?? 'high', texture, dtS: searchDtS });
    const most = collagenWithin(h, slow);
    const tough = asked ? slow : slow.filter((i, k) => !isTenderAim(i, most[k]!));
    // No time that the starch bears makes these tender: one program for all is not looked for.
    if (tough.length > 0) return inFull(twice(tough, addMl));
  }
  const one = solve(b);
  const left = serves(one.best) ? [] : unserved(one);
  if (left.length === 0) return inFull(one);
  const two = twice(left, one.perfect.addMl);
  return inFull(worthTwo(one.best, two.best) ? two : one);
}
const serves = (c: Candidate): boolean =>
  c.stops === 0 && c.chance.texture >= servedFrom && !c.meats.some((m) => m.verdict.texture === 'tough');
/** A second lid is work: it must be better by so many points, or make tender what was tough at no more than this price [from memory]. */
const worthOf = { better: 8, tenderWorth: 12 } as const;

function worthTwo(one: Candidate, two: Candidate): boolean {
  if (one.stops !== two.stops) return two.stops < one.stops;
  const tough = (c: Candidate): number => c.meats.filter((m) => m.verdict.texture === 'tough').length;
  return two.score > one.score + (tough(two) < tough(one) ? -worthOf.tenderWorth : worthOf.better);
}

/** Raw pieces that the starch's own best program leaves under their minimum or tough. */
function unserved({ h, perfect }: OneLid): Item[] {
  const run = h.heated.finish(perfect.holdMin, perfect.release);
  return runMeats(h.g, run, { depthCm: h.depthCm, earlier: h.earlier, coarse: true, ways: h.ways })
    .filter((m) => m.item.state !== 'cooked' && (!m.verdict.ok || isTough(m)))
    .map((m) => m.item);
}
const isTough = (m: MeatRun): boolean =>
  m.item.food.meat!.cut === 'stew' && !isTenderAim(m.item, m.verdict.collagenCoreMin ?? 0);

/** Stew cuts under pressure that have not been cooked before. */
const slowMeats = (b: Bench): Item[] => meatsOf(b.g).filter((i) => i.food.meat!.cut === 'stew' && i.state !== 'cooked');

/** What a cook who asks for a first stage means: the stew cuts, or else the thickest raw meat. */
export function slowestFirst(b: Bench): Item[] {
  const stew = slowMeats(b);
  if (stew.length > 0) return stew;
  const raw = meatsOf(b.g).filter((i) => i.state !== 'cooked');
  return raw.sort((a, c) => c.thicknessMm - a.thicknessMm).slice(0, 1);
}

/** Collagen minutes in the core of each slow meat at the longest hold that the starch bears. */
function collagenWithin(h: Heated, items: Item[]): number[] {
  const run = runWithin(h, targetE(h.g, h.texture, h.addMl).most, { kind: 'timed', naturalMin: 5 });
  const slow: Gathered = { ...h.g, items };
  return runMeats(slow, run, { depthCm: h.depthCm, coarse: true, ways: h.ways }).map((m) => m.nominal.collagenCoreMin);
}

/** The run of the longest hold, in whole minutes, after which the starch has not had more than so many minutes at 100 degC. */
function runWithin(h: Heated, mostE: number, release: Release): CookRun {
  let low = 0;
  let high = 60;
  while (low < high) {
    const mid = (low + high + 1) >> 1;
    const run = h.heated.finish(mid, release);
    const temps = starchTemps(h.g, run, h.addMl, h.depthCm);
    if (equivalentMin(temps, run.history.dtS, h.g.grain!.food.grain!.kinetics) <= mostE) low = mid;
    else high = mid - 1;
  }
  return h.heated.finish(low, release);
}

/** Minutes of a first stage that stand for any while the second is looked ahead at: they move its heat-up by seconds [derived]. */
const someFirstMin = 12;

/** What the starch will want of the second lid, let off at once: the least that the pieces of a first stage still get. */
function secondLid(b: Bench, slow: readonly Item[], addMl: number, texture: Texture): Then {
  const after = withFirst(b, firstStage(b, slow, { addMl }, { holdMin: someFirstMin }));
  const pressure = b.g.dish.overrides?.pressure ?? 'high';
  const h = heat(after, { addMl, pressure, texture, dtS: searchDtS });
  return { run: runWithin(h, targetE(h.g, texture, addMl).want, { kind: 'quick' }), depthCm: h.depthCm };
}
