import { equivalentMin } from '../grain/clock';
import { closedLiquidG } from '../grain/closed';
import { wishShift, type Texture } from '../grain/texture';
import { uptakeGPerG } from '../grain/uptake';
import { HeatedPot, type CookRun, type Program, type Release } from '../pot/cook';
import { baseAreaCm2 } from '../pot/profile';
import { Problem } from '../problem';
import type { Bench, FirstStage, Ready } from './bench';
import type { Heated } from './heated';
import { geometryOf, liquidBounds, type LiquidBounds } from './bounds';
import type { Gathered, Item } from './item';
import { holdsOf } from './holds';
import { missOf } from './liquid';
import { depthCm, loadOf } from './load';
import { isTenderAim, meatsOf, runMeats, type MeatRun } from './meat';
import { scorchRisk } from './scorch';
import { sameRelease, Search, type Fixed, type Near } from './search';
import { firstStage, withFirst, type Then } from './stages';
import { soupFrom, targetE } from './target';
import {
  finishedMass,
  grainOutcome,
  saucyFrom,
  wantedSauceG,
  type GrainOutcome,
  type Known,
  starchTemps,
} from './water';
import { better, candidate, type Candidate } from './weigh';

/** One simulated cook of the dish with so much liquid and this program. */
export interface Cooked {
  addMl: number;
  chosen: Candidate;
  /** what the starch became; null in a dish without one */
  outcome: GrainOutcome | null;
  /** free water around the starch at every sample of `chosen.temps`, g */
  freeG: Float64Array | null;
  h: Heated;
  b: Bench;
}

/** From here on the plate works against what lies on it, degC [common practice]. */
const hotFromC = 80;

/** A heat-up: the liquid, the pressure set, the texture wished for, and the step of the model, s. */
export interface HeatUp {
  addMl: number;
  pressure: 'high' | 'low';
  texture?: Texture;
  dtS?: number;
}

/** Heats the pot with `addMl` of liquid in it (in a pot-in-pot dish: in the inner bowl). */
export function heat(b: Ready, { addMl, pressure, texture = 'fluffy', dtS = 1 }: HeatUp): Heated {
  const load = loadOf(b, addMl, b.first);
  const heated = new HeatedPot({ pot: b.pot, altitudeM: b.kitchen.altitudeM }, load, pressure, dtS);
  const geo = geometryOf(b, addMl);
  return {
    g: b.g,
    src: b.src,
    heated,
    leastHoldMin: b.leastHoldMin,
    depthCm: depthCm(b.g, load, baseAreaCm2(b.pot)),
    addMl,
    texture,
    earlier: b.first?.earlier ?? null,
    earlierSteamG: b.first?.steamG ?? 0,
    fill: geo.fillFraction,
    scorch: scorchRisk(b.g, b.pot, geo, heated.minutesFrom(hotFromC)),
    ways: new Map(),
  };
}

const outcomeOf = (b: Bench, h: Heated, run: CookRun, known: Known = {}): GrainOutcome | null =>
  b.g.grain
    ? grainOutcome(
        b.g,
        b.src,
        { run, addMl: h.addMl, depthCm: h.depthCm },
        { earlierSteamG: b.first?.steamG ?? 0, ...known },
      )
    : null;

/** The starch alone in a given program, without a look at the pieces. */
export function outcomeWith(b: Bench, addMl: number, program: Program): GrainOutcome {
  const h = heat(b, { addMl, pressure: program.pressure });
  return outcomeOf(b, h, h.heated.finish(program.holdMin, program.release))!;
}

/** Cooks with a given program. */
export function cookWith(b: Bench, addMl: number, program: Program, texture: Texture = 'fluffy'): Cooked {
  return cookHeated(b, heat(b, { addMl, pressure: program.pressure, texture }), program);
}

function cookHeated(b: Bench, h: Heated, program: Pick<Program, 'holdMin' | 'release'>): Cooked {
  const chosen = candidate(h, program.holdMin, program.release);
  const { run, temps } = chosen;
  const freeG = temps ? new Float64Array(temps.length) : null;
  const outcome = outcomeOf(b, h, run, { temps, freeTraceG: freeG ?? undefined });
  return { addMl: h.addMl, chosen, outcome, freeG, h, b };
}

/** Temperature at which a pot is opened after most natural releases, degC [derived]. */
const openedC = 102.4;

/** The closed sum as a first guess: for the starch alone, + sauce wanted - what soak and food bring, in mL to add. */
function firstGuessMl(b: Bench, texture: Texture): number {
  const { g, src, pot } = b;
  const rec = g.grain!.food.grain!;
  const grams = g.grain!.grams;
  const aim = rec.aimMoisture[0] + (g.sauceShare < saucyFrom ? wishShift[texture] / 100 : 0);
  const alone = closedLiquidG(rec, { rawG: grams, clingG: src.clingG, moisture: aim }, openedC);
  const sauce = wantedSauceG(g, finishedMass(g, 0) + grams * uptakeGPerG(rec.rawMoisture[0], aim));
  const brought = src.soakG + src.fromItems.reduce((s, x) => s + x.grams, 0);
  return Math.max(
    g.inBowl ? 50 : pot.minimumLiquidMl[0] / 2,
    (alone + sauce + src.simmerG - brought) / src.mainWaterPerMl,
  );
}

/** Step of the pot while searching, s: within 1 % of the fine one; what is shown is cooked at 1 s. */
const searchDtS = 2;
/** The liquid that a program wants has come to rest within this, mL. */
const settledMl = 4;
const mostRounds = 5;

/** Without a starch the liquid is what the pot needs to make steam, the sauce wanted, and what pasta drinks at the end. */
function liquidWithoutStarch(b: Bench, bounds: LiquidBounds): number {
  const { g, src } = b;
  const given = src.fromItems.reduce((s, x) => s + x.grams, 0);
  const late = g.items.filter((i) => i.joins === 'finish' && i.food.grain);
  const drinks = late.reduce(
    (s, i) => s + i.grams * uptakeGPerG(i.food.grain!.rawMoisture[0], i.food.grain!.refMoisture[0]),
    0,
  );
  const sauce = (g.sauceShare * (finishedMass(g, 0) + drinks) - given + src.filmG) / (1 - g.sauceShare);
  return Math.min(bounds.mostMl, Math.max(bounds.leastMl, (sauce + drinks) / src.mainWaterPerMl));
}

export interface Solved {
  cooked: Cooked;
  /** what was asked for could not be reached with any liquid */
  missed: boolean;
  bounds: LiquidBounds;
}

/** Whether a first stage is still to be decided, there is none, or which one it is. */
export type Stages = 'open' | 'one' | Pick<FirstStage, 'slow' | 'holdMin' | 'liquidMl'>;

/**
 * Liquid and program together. Where the program that the starch wants leaves a piece under its minimum or tough, the
 * pieces get a stage of their own first, if that serves both better than one program for all.
 */
export function solveBoth(b: Bench, texture: Texture, near: Near | null = null, stages: Stages = 'open'): Solved {
  if (stages === 'one') return solveOnce(b, texture, near).solved;
  if (stages !== 'open') {
    const again = b.g.items.filter((i) => stages.slow.includes(i.ingredient.id));
    const first = firstStage(b, again, { addMl: stages.liquidMl }, stages);
    return solveOnce(withFirst(b, first), texture, near).solved;
  }
  const asked = b.g.dish.overrides?.firstStage;
  const may = (asked ?? b.g.rule.twoStage) && b.g.grain !== null && !b.first && meatsOf(b.g).length > 0;
  if (!may) return solveOnce(b, texture, near).solved;
  const twice = (slow: readonly Item[], addMl: number): Solved => {
    const then = secondLid(b, slow, addMl, texture);
    return solveOnce(withFirst(b, firstStage(b, slow, { addMl, then })), texture, near).solved;
  };
  const slow = asked ? slowestFirst(b) : slowMeats(b);
  if (slow.length > 0) {
    const addMl = b.g.dish.overrides?.liquidMl ?? firstGuessMl(b, texture);
    const h = heat(b, { addMl, pressure: b.g.dish.overrides?.pressure ?? 'high', texture, dtS: searchDtS });
    const most = collagenWithin(h, slow);
    const tough = asked ? slow : slow.filter((i, k) => !isTenderAim(i, most[k]!));
    // No time that the starch bears makes these tender: one program for all is not looked for.
    if (tough.length > 0) return twice(tough, addMl);
  }
  const one = solveOnce(b, texture, near);
  if (serves(one.solved.cooked.chosen)) return one.solved;
  const left = unserved(one);
  if (left.length === 0) return one.solved;
  const two = twice(left, one.perfect.addMl);
  return worthTwo(one.solved.cooked.chosen, two.cooked.chosen) ? two : one.solved;
}
/** A program that serves the starch at least this often, with every piece safe and tender, is not doubted. */
const servedFrom = 0.5;
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
function unserved({ h, perfect }: One): Item[] {
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

/** A solved dish, with what its starch alone would have liked. */
interface One {
  solved: Solved;
  h: Heated;
  /** the best program while every piece is taken as perfect */
  perfect: Candidate;
}

/**
 * A full pot of soup is long under way, and its rice is past its best before the lid comes to pressure: then a part of the
 * liquid waits, and is stirred in boiling hot after the opening.
 */
function solveOnce(b: Bench, texture: Texture, near: Near | null): One {
  const bounds = liquidBounds(b);
  const whole = solveWithin(b, texture, near, bounds);
  if (!isLateSoup(whole.solved.cooked)) return whole;
  return underLidShares.reduce((best, share) => {
    const mostMl = Math.max(bounds.leastMl, share * whole.solved.cooked.addMl);
    const less = solveWithin(b, texture, near, { ...bounds, mostMl, mostBy: 'heat-up' });
    const [a, c] = [best.solved.cooked.chosen, less.solved.cooked.chosen];
    return c.stops <= a.stops && 100 * (c.chance.all - a.chance.all) > worthWaiting ? less : best;
  }, whole);
}
/** Shares of the liquid of a soup that are tried under the lid. */
const underLidShares = [0.75, 0.5] as const;
/** Liquid that waits is one more step: it must bring so many points of chance [from memory]. */
const worthWaiting = 4;

/** A soup whose grain seldom comes out right with the shortest hold there is. */
function isLateSoup({ b, h, chosen }: Cooked): boolean {
  const { dish, grain, rule, sauceShare } = b.g;
  if (grain?.food.kind !== 'grain' || !rule.stirred || sauceShare < soupFrom) return false;
  const o = dish.overrides ?? {};
  if (o.liquidMl !== undefined || o.holdMin !== undefined) return false;
  return chosen.holdMin === holdsOf(h)[0] && chosen.chance.texture < servedFrom;
}

function solveWithin(b: Bench, texture: Texture, near: Near | null, bounds: LiquidBounds): One {
  const o = b.g.dish.overrides ?? {};
  const fixed: Fixed = {
    ...(o.holdMin === undefined ? {} : { holdMin: o.holdMin }),
    ...(o.release === undefined ? {} : { release: o.release }),
    ...(o.liquidMl === undefined ? {} : { liquidMl: o.liquidMl }),
  };
  const miss = missOf(b, texture);
  const choices = pressuresOf(b);
  let addMl =
    o.liquidMl ??
    (b.g.grain
      ? Math.min(bounds.mostMl, Math.max(bounds.leastMl, firstGuessMl(b, texture)))
      : liquidWithoutStarch(b, bounds));
  let best: Candidate | null = null;
  let one: Omit<One, 'solved'> | null = null;
  let pressure = choices[0]!;
  for (let round = 0; round < mostRounds; round++) {
    const from: Candidate | null = best;
    const found: Found[] = choices
      .filter((c) => from === null || c === pressure)
      .map((c): Found => {
        const search = new Search(heat(b, { addMl, pressure: c, texture, dtS: searchDtS }), { miss, bounds, fixed });
        const best = from ? search.around(from, near) : search.best(near);
        return { pressure: c, best, h: search.h, perfect: search.perfect! };
      });
    const won: Found = found.reduce((a, x) => (better(a.best, x.best) === x.best ? x : a));
    const same = from !== null && won.best.holdMin === from.holdMin && sameRelease(won.best.release, from.release);
    const moved = Math.abs(won.best.addMl - addMl);
    ({ best, pressure } = won);
    one ??= won;
    if (o.liquidMl !== undefined || !b.g.grain || (same && moved < settledMl) || (round > 0 && moved < 1)) break;
    addMl = won.best.addMl;
  }
  if (o.liquidMl === undefined) addMl = rounded(best!.addMl, bounds);
  const out = best!.outcome;
  const missed = out !== null && miss !== null && o.liquidMl === undefined && isMissed(b, miss.of(out), out);
  const solved = {
    cooked: surely(b, addMl, { pressure, holdMin: best!.holdMin, release: best!.release }, texture),
    missed,
    bounds,
  };
  return { solved, h: one!.h, perfect: one!.perfect };
}

/** A texture this far from what is wanted is reported, points; a sauce by so much of what is wanted, g [common practice]. */
const reportedMiss = { points: 1.5, sauceShare: 0.8, sauceG: 80 } as const;
function isMissed(b: Bench, by: number, out: GrainOutcome): boolean {
  if (b.g.sauceShare < saucyFrom && b.g.saucePerStarch === null) return Math.abs(by) > reportedMiss.points;
  return Math.abs(by) > Math.max(reportedMiss.sauceG, reportedMiss.sauceShare * wantedSauceG(b.g, out.finishedG));
}

/** Five millilitres is what a jug shows. */
export const roundMl = (ml: number): number => Math.round(ml / 5) * 5;

/** The same within the bounds. */
function rounded(ml: number, bounds: LiquidBounds): number {
  const near = roundMl(ml);
  const least = Math.ceil(bounds.leastMl / 5) * 5;
  if (near < bounds.leastMl) return least;
  return near > bounds.mostMl ? Math.max(least, Math.floor(bounds.mostMl / 5) * 5) : near;
}

interface Found extends Omit<One, 'solved'> {
  pressure: 'high' | 'low';
  best: Candidate;
}

/** Pressures that this cooker can be set to here. A cooker with programs only has its own pairs of pressure and minutes. */
function pressuresOf(b: Bench): ('high' | 'low')[] {
  const o = b.g.dish.overrides ?? {};
  const own = b.pot.programs;
  if (!own) return [o.pressure ?? 'high'];
  const fits = own.filter(
    (p) =>
      (o.pressure === undefined || p.pressure === o.pressure) && (o.holdMin === undefined || p.holdMin === o.holdMin),
  );
  if (fits.length === 0) {
    const list = own.map((p) => `${p.holdMin} min ${p.pressure}`).join(', ');
    throw new Problem('program-not-here', `This cooker only runs its own programs: ${list}. Choose one of them.`, [
      { path: 'overrides.holdMin', message: `Use one of: ${list}.` },
    ]);
  }
  return [...new Set(fits.map((p) => p.pressure))];
}

/**
 * The chosen program in full resolution. The search was coarser: where that let a piece stay under its minimum or a
 * root hard, the hold grows by minutes, or where it is fixed the natural release, until it does not.
 */
function surely(b: Bench, addMl: number, program: Program, texture: Texture): Cooked {
  const h = heat(b, { addMl, pressure: program.pressure, texture });
  const first = cookHeated(b, h, program);
  const short = (c: Cooked): boolean => c.chosen.stops > 0 || c.chosen.plants.some((v) => v.verdict === 'hard');
  if (!short(first)) return first;
  const o = b.g.dish.overrides ?? {};
  let best = first;
  const consider = (holdMin: number, release: Release): boolean => {
    const next = cookHeated(b, h, { holdMin, release });
    const fewer = next.chosen.stops < best.chosen.stops;
    if (fewer || (next.chosen.stops === best.chosen.stops && next.chosen.score > best.chosen.score)) best = next;
    return !short(next);
  };
  if (o.holdMin === undefined)
    for (const holdMin of holdsOf(h)
      .filter((x) => x > program.holdMin + 1e-9)
      .slice(0, mostExtra))
      if (consider(holdMin, program.release)) return best;
  if (o.release === undefined && program.release.kind !== 'natural')
    for (const more of [2, 4, 8, 12]) {
      const naturalMin = (program.release.naturalMin ?? 0) + more;
      if (consider(program.holdMin, { kind: 'timed', naturalMin })) return best;
    }
  return best;
}
/** Longer holds that are tried. */
const mostExtra = 4;
