import { equivalentMin } from '../grain/clock';
import { closedLiquidG } from '../grain/closed';
import { aimIndexOf, wishShift, type Texture } from '../grain/texture';
import { HeatedPot, type CookRun, type Program, type Release } from '../pot/cook';
import { baseAreaCm2 } from '../pot/profile';
import { uptakeGPerG } from '../grain/uptake';
import type { Bench, Ready } from './bench';
import type { Gathered, Item } from './gather';
import { depthCm, loadOf } from './load';
import { meatsOf, runMeats } from './meat';
import { better, candidate, searchProgram, targetE, type Candidate, type Heated } from './pressure';
import { firstStage, withFirst } from './stages';
import { finishedMass, grainOutcome, saucyFrom, starchTemps, type GrainOutcome, type Known } from './water';

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

/** Heats the pot with `addMl` of liquid in it (in a pot-in-pot dish: in the inner bowl). */
export function heat(b: Ready, addMl: number, pressure: 'high' | 'low', texture: Texture = 'fluffy', dtS = 1): Heated {
  const load = loadOf(b, addMl, b.first);
  return {
    g: b.g,
    heated: new HeatedPot(b.pot, b.kitchen.altitudeM, load, pressure, dtS),
    depthCm: depthCm(b.g, load, baseAreaCm2(b.pot)),
    addMl,
    texture,
    earlier: b.first?.earlier ?? null,
  };
}

const outcomeOf = (b: Bench, h: Heated, run: CookRun, addMl: number, known: Known = {}): GrainOutcome | null =>
  b.g.grain ? grainOutcome(b.g, b.src, run, addMl, h.depthCm, { earlierSteamG: b.first?.steamG ?? 0, ...known }) : null;

/** The starch alone in a given program, without a look at the pieces. */
export function outcomeWith(b: Bench, addMl: number, program: Program): GrainOutcome {
  const h = heat(b, addMl, program.pressure);
  return outcomeOf(b, h, h.heated.finish(program.holdMin, program.release), addMl)!;
}

/** Cooks with a given program. */
export function cookWith(b: Bench, addMl: number, program: Program, texture: Texture = 'fluffy'): Cooked {
  const h = heat(b, addMl, program.pressure, texture);
  const chosen = candidate(h, program.holdMin, program.release);
  const { run, temps } = chosen;
  const freeG = temps ? new Float64Array(temps.length) : null;
  const outcome = outcomeOf(b, h, run, addMl, { temps, freeTraceG: freeG ?? undefined });
  return { addMl, chosen, outcome, freeG, h, b };
}

/** Temperature at which a pot is opened after most natural releases, degC [derived]. */
const openedC = 102.4;

/** The closed sum as a first guess: for the starch alone, + sauce wanted - what soak and food bring, in mL to add. */
function firstGuessMl(b: Bench, texture: Texture): number {
  const { g, src, pot } = b;
  const rec = g.grain!.food.grain!;
  const grams = g.grain!.grams;
  const aim = rec.aimMoisture[0] + (g.sauceShare < saucyFrom ? wishShift[texture] / 100 : 0);
  const alone = closedLiquidG(rec, grams, src.clingG, aim, openedC);
  const sauce = g.sauceShare * (finishedMass(g, 0) + grams * uptakeGPerG(rec.rawMoisture[0], aim));
  const brought = src.soakG + src.fromItems.reduce((s, x) => s + x.grams, 0);
  return Math.max(
    g.inBowl ? 50 : pot.minimumLiquidMl[0] / 2,
    (alone + sauce + src.simmerG - brought) / src.mainWaterPerMl,
  );
}

/** Step of the pot while searching, s: within 1 % of the fine one; what is shown is cooked at 1 s. */
const searchDtS = 2;
/** Accuracy of the search: texture points, g of sauce, share of the dish. */
const tolerance = { points: 0.03, sauceG: 1, share: 0.002 };
const mostSteps = 10;
/** A dish meant to be separate is not flooded beyond this share of free liquid. */
const mostFreeShare = 0.15;
/** Below this wanted share the sauce gives way to the grain, which may be so much softer than wished, points [derived]. */
const ampleShare = 0.1;
const moistPoints = 3;
/** Pasta is never aimed at a perfectly dry pot: the last water cannot be drunk in its time. */
const leastPastaShare = 0.03;

/** How far `addMl` is from what is wanted: negative asks for more liquid. */
interface Miss {
  of: (out: GrainOutcome) => { by: number; flooded: boolean };
  close: number;
}

/** What the liquid is solved for: the sauce the cook set, the sauce the family wants, or the texture of the grain. */
function missOf(b: Bench, texture: Texture): Miss {
  const { g } = b;
  const sauce = g.dish.overrides?.ledger?.['sauce'];
  if (sauce !== undefined)
    return { of: (o) => ({ by: o.clock.freeG - sauce, flooded: false }), close: tolerance.sauceG };
  const pasta = g.grain!.food.kind === 'pasta';
  if (g.sauceShare >= saucyFrom || pasta) {
    const share = Math.max(g.sauceShare, pasta ? leastPastaShare : 0);
    // A grain that only wants to be moist is not drowned for its sauce: the wetter it gets, the less sauce it is left.
    const bound = !pasta && !g.rule.stirred && g.sauceShare < ampleShare;
    const softest = aimIndexOf(g.grain!.food.grain!, texture) + moistPoints;
    return {
      of: (o) => ({
        by: Math.max(o.freeShare - share, bound ? (o.texture.index - softest) / 100 : -Infinity),
        flooded: false,
      }),
      close: tolerance.share,
    };
  }
  const aim = aimIndexOf(g.grain!.food.grain!, texture);
  return {
    of: (o) => {
      // More water than the grain can drink in its time is soup, not texture.
      const flooded = o.freeShare > mostFreeShare && o.texture.index < aim;
      return { by: flooded ? o.freeShare * 10 : o.texture.index - aim, flooded };
    },
    close: tolerance.points,
  };
}

/**
 * The liquid that gives what is wanted with this program, by a bracketed secant on the simulated cook: not the closed
 * form, which does not know how much the grain really drinks in its time.
 */
function solveLiquid(
  b: Bench,
  program: Program,
  texture: Texture,
  startMl: number,
): { addMl: number; missed: boolean } {
  const miss = missOf(b, texture);
  // A note in an object: the type of a plain variable would not see that the closure changes it.
  const seen = { floods: false };
  const at = (ml: number): number => {
    const h = heat(b, ml, program.pressure, texture, searchDtS);
    const run = h.heated.finish(program.holdMin, program.release);
    const { by, flooded } = miss.of(outcomeOf(b, h, run, ml)!);
    seen.floods ||= flooded;
    return by;
  };
  let low = 0;
  let high = Math.max(startMl * 2, 600);
  let atLow: number | null = null;
  let atHigh: number | null = null;
  let x = startMl;
  for (let i = 0; i < mostSteps; i++) {
    const y = at(x);
    if (Math.abs(y) < miss.close) return { addMl: x, missed: false };
    if (y < 0) [low, atLow] = [x, y];
    else [high, atHigh] = [x, y];
    if (atLow !== null && atHigh !== null) {
      const secant = low + ((high - low) * -atLow) / (atHigh - atLow);
      // Keep the secant away from the ends, so that a bent curve cannot stall it.
      x = Math.min(high - 0.05 * (high - low), Math.max(low + 0.05 * (high - low), secant));
    } else if (atHigh === null) {
      if (x >= b.pot.litres * 1000) return { addMl: x, missed: true };
      x = Math.min(b.pot.litres * 1000, x * 1.5 + 100);
      high = Math.max(high, x);
    } else {
      if (x < 5) return { addMl: 0, missed: true };
      x = x / 2 < 5 ? 0 : x / 2;
    }
  }
  return { addMl: seen.floods ? low : x, missed: seen.floods || high - low > 20 };
}

/** Without a starch the liquid is what the pot needs to make steam, and the sauce that is wanted. */
function liquidWithoutStarch(b: Bench): number {
  const { g, src, pot } = b;
  const given = src.fromItems.reduce((s, x) => s + x.grams, 0);
  const free = g.items.filter((i) => !i.main && i.joins === 'stack').reduce((s, i) => s + i.grams * i.food.free[0], 0);
  const sauce = (g.sauceShare * finishedMass(g, 0) - given + src.filmG) / (1 - g.sauceShare);
  return Math.max(sauce, pot.minimumLiquidMl[0] - free) / src.mainWaterPerMl;
}

export interface Solved {
  cooked: Cooked;
  /** what was asked for could not be reached with any liquid */
  missed: boolean;
}

/** Liquid and program together; slow meat that no program of the starch makes tender gets a first stage of its own. */
export function solveBoth(b: Bench, texture: Texture): Solved {
  const asked = b.g.dish.overrides?.firstStage;
  const may = asked ?? b.g.rule.twoStage;
  const slow = may && b.g.grain ? (asked ? slowestFirst(b) : slowMeats(b)) : [];
  if (slow.length === 0 || b.first) return solveOnce(b, texture);
  const addMl = b.g.dish.overrides?.liquidMl ?? firstGuessMl(b, texture);
  const h = heat(b, addMl, b.g.dish.overrides?.pressure ?? 'high', texture, searchDtS);
  const { most, want } = collagenWithin(h, slow);
  const tough = asked ? slow : slow.filter((i, k) => most[k]! < i.food.meat!.tenderCoreMin![0]);
  if (tough.length === 0) return solveOnce(b, texture);
  const later = Math.min(...slow.flatMap((i, k) => (tough.includes(i) ? [want[k]!] : [])));
  return solveOnce(withFirst(b, firstStage(b, tough, later * laterShare, addMl)), texture);
}
/** A second stage of hot pieces is worth at least so much of what it was with cold ones [derived]. */
const laterShare = 0.9;

/** Stew cuts under pressure that have not been cooked before. */
const slowMeats = (b: Bench): Item[] => meatsOf(b.g).filter((i) => i.food.meat!.cut === 'stew' && i.state !== 'cooked');

/** What a cook who asks for a first stage means: the stew cuts, or else the thickest raw meat. */
function slowestFirst(b: Bench): Item[] {
  const stew = slowMeats(b);
  if (stew.length > 0) return stew;
  const raw = meatsOf(b.g).filter((i) => i.state !== 'cooked');
  return raw.sort((a, c) => c.thicknessMm - a.thicknessMm).slice(0, 1);
}

/** Collagen minutes in the core of each slow meat at the longest hold that the starch bears, and at the one it wants. */
function collagenWithin(h: Heated, items: Item[]): { most: number[]; want: number[] } {
  const target = targetE(h.g, h.texture, h.addMl);
  const slow: Gathered = { ...h.g, items };
  const at = (limit: number): number[] => {
    let low = 0;
    let high = 60;
    while (low < high) {
      const mid = (low + high + 1) >> 1;
      const run = h.heated.finish(mid, afterHold);
      const e = equivalentMin(
        starchTemps(h.g, run, h.addMl, h.depthCm),
        run.history.dtS,
        h.g.grain!.food.grain!.kinetics,
      );
      if (e <= limit) low = mid;
      else high = mid - 1;
    }
    return runMeats(slow, h.heated.finish(low, afterHold), h.depthCm, null, true).map((m) => m.nominal.collagenCoreMin);
  };
  return { most: at(target.most), want: at(target.want) };
}
const afterHold: Release = { kind: 'timed', naturalMin: 5 };

function solveOnce(b: Bench, texture: Texture): Solved {
  const o = b.g.dish.overrides ?? {};
  const pressure = o.pressure ?? 'high';
  if (!b.g.grain) {
    const addMl = o.liquidMl ?? roundMl(liquidWithoutStarch(b));
    return { cooked: surely(b, addMl, chooseProgram(b, addMl, pressure, texture, o.release), texture), missed: false };
  }
  let addMl = o.liquidMl ?? firstGuessMl(b, texture);
  let missed = false;
  let program: Program = { pressure, holdMin: 0, release: { kind: 'natural' } };
  for (let round = 0; round < 2; round++) {
    // The first round chooses the release; the second only fits the hold to the liquid found.
    const next = chooseProgram(b, addMl, pressure, texture, round === 0 ? o.release : program.release);
    const same = round > 0 && next.holdMin === program.holdMin && next.pressure === program.pressure;
    program = next;
    if (o.liquidMl !== undefined || same) break;
    const solved = solveLiquid(b, program, texture, addMl);
    addMl = solved.addMl;
    missed = solved.missed;
  }
  if (o.liquidMl === undefined) addMl = roundMl(addMl);
  return { cooked: surely(b, addMl, program, texture), missed };
}

/**
 * The chosen program in full resolution. The search was coarser: where that let a piece stay under its minimum or a
 * root hard, the hold grows by minutes until it does not.
 */
function surely(b: Bench, addMl: number, program: Program, texture: Texture): Cooked {
  const fixed = b.g.dish.overrides?.holdMin !== undefined || b.pot.whistle !== null || b.pot.programs !== null;
  let cooked = cookWith(b, addMl, program, texture);
  const short = (c: Cooked): boolean => !c.chosen.meatOk || c.chosen.plants.some((v) => v.verdict === 'hard');
  for (let i = 1; !fixed && short(cooked) && i <= mostExtraMin; i++) {
    const next = cookWith(b, addMl, { ...program, holdMin: program.holdMin + i }, texture);
    if (b.g.grain && next.chosen.equivalentMin > targetE(b.g, texture, addMl).most) break;
    cooked = next;
  }
  return cooked;
}
const mostExtraMin = 3;

/** Five millilitres is what a jug shows. */
export const roundMl = (ml: number): number => Math.round(ml / 5) * 5;

const fixedOf = (
  holdMin: number | undefined,
  release: Release | undefined,
): { holdMin?: number; release?: Release } => ({
  ...(holdMin === undefined ? {} : { holdMin }),
  ...(release === undefined ? {} : { release }),
});

function chooseProgram(
  b: Bench,
  addMl: number,
  pressure: 'high' | 'low',
  texture: Texture,
  release: Release | undefined,
): Program {
  const holdMin = b.g.dish.overrides?.holdMin;
  if (holdMin !== undefined && release !== undefined) return { pressure, holdMin, release };
  const fixed = b.g.dish.overrides?.pressure;
  const own = b.pot.programs?.filter((p) => fixed === undefined || p.pressure === fixed);
  const found = (own ? [...new Set(own.map((p) => p.pressure))] : [pressure]).map((kpa) => {
    const grid = own?.filter((p) => p.pressure === kpa).map((p) => p.holdMin);
    const best = searchProgram(heat(b, addMl, kpa, texture, searchDtS), fixedOf(holdMin, release), grid);
    return { pressure: kpa, best };
  });
  const { pressure: kpa, best } = found.reduce((a, x) => (better(a.best, x.best) === x.best ? x : a));
  return { pressure: kpa, holdMin: best.holdMin, release: best.release };
}
