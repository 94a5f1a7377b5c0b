import { aimIndexOf, wishShift, type Texture } from '../grain/texture';
import { HeatedPot, type Program, type Release } from '../pot/cook';
import { baseAreaCm2 } from '../pot/profile';
import { uptakeGPerG } from '../grain/uptake';
import type { Bench } from './bench';
import { depthCm, loadOf } from './load';
import { candidate, searchProgram, type Candidate } from './pressure';
import { grainOutcome, type GrainOutcome } from './water';

/** One simulated cook of the dish with so much liquid and this program. */
export interface Cooked {
  addMl: number;
  chosen: Candidate;
  outcome: GrainOutcome;
  heated: HeatedPot;
  depthCm: number;
}

/** Heats the pot with `addMl` of liquid in it. */
export function heat(b: Bench, addMl: number, pressure: 'high' | 'low'): { heated: HeatedPot; depthCm: number } {
  const load = loadOf(b.g, b.src, addMl);
  return {
    heated: new HeatedPot(b.pot, b.kitchen.altitudeM, load, pressure),
    depthCm: depthCm(load, baseAreaCm2(b.pot)),
  };
}

/** Cooks with a given program. */
export function cookWith(b: Bench, addMl: number, program: Program): Cooked {
  const h = heat(b, addMl, program.pressure);
  const chosen = candidate(b.g, h.heated, h.depthCm, program.holdMin, program.release);
  return { addMl, chosen, outcome: grainOutcome(b.g, b.src, chosen.run, addMl, h.depthCm), ...h };
}

/** Water of the closed sum, as a first guess: uptake for the aim + losses - what the food brings, in mL to add. */
function firstGuessMl(b: Bench, texture: Texture): number {
  const rec = b.g.grain!.food.grain!;
  const aim = rec.aimMoisture[0] + wishShift[texture] / 100;
  const need = b.g.grain!.grams * uptakeGPerG(rec.rawMoisture[0], aim) + 30 + b.src.filmG;
  const have = b.src.soakG + b.src.clingG + b.src.fromItems.reduce((s, x) => s + x.grams, 0);
  return Math.max(b.pot.minimumLiquidMl[0] / 2, (need - have) / b.src.mainWaterPerMl);
}

/** Accuracy of the search: texture points, or g of sauce. */
const tolerance = { points: 0.03, sauceG: 1 };
const mostSteps = 9;
/** A dish meant to be separate is not flooded beyond this share of free liquid. */
const mostFreeShare = 0.15;

/**
 * The liquid that gives the wanted texture (or the sauce the cook set) with this program, by a bracketed secant on the
 * simulated cook: not the closed form, which does not know how much the grain really drinks in its time.
 */
export function solveLiquid(
  b: Bench,
  program: Program,
  texture: Texture,
  startMl: number,
): { addMl: number; missed: boolean } {
  const sauce = b.g.dish.overrides?.ledger?.['sauce'];
  const aim = aimIndexOf(b.g.grain!.food.grain!, texture);
  // A note in an object: the type of a plain variable would not see that the closure changes it.
  const seen = { floods: false };
  const miss = (ml: number): number => {
    const h = heat(b, ml, program.pressure);
    const run = h.heated.finish(program.holdMin, program.release);
    const out = grainOutcome(b.g, b.src, run, ml, h.depthCm);
    if (sauce !== undefined) return out.clock.freeG - sauce;
    // More water than the grain can drink in its time is soup, not texture.
    const flooded = out.freeShare > mostFreeShare && out.texture.index < aim;
    seen.floods ||= flooded;
    return flooded ? out.freeShare * 10 : out.texture.index - aim;
  };
  const close = sauce === undefined ? tolerance.points : tolerance.sauceG;
  let low = 0;
  let high = Math.max(startMl * 2, 600);
  let atLow: number | null = null;
  let atHigh: number | null = null;
  let x = startMl;
  for (let i = 0; i < mostSteps; i++) {
    const y = miss(x);
    if (Math.abs(y) < close) return { addMl: x, missed: false };
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

/** Liquid and program together: search the program, solve the liquid, search again with the liquid found. */
export function solveBoth(b: Bench, texture: Texture): { cooked: Cooked; missed: boolean } {
  const o = b.g.dish.overrides ?? {};
  const pressure = o.pressure ?? 'high';
  let addMl = o.liquidMl ?? firstGuessMl(b, texture);
  let missed = false;
  let program: Program = { pressure, holdMin: 0, release: { kind: 'natural' } };
  for (let round = 0; round < 2; round++) {
    // The first round chooses the release; the second only fits the hold to the liquid found.
    const next = chooseProgram(b, addMl, pressure, round === 0 ? o.release : program.release);
    const same = round > 0 && next.holdMin === program.holdMin;
    program = next;
    if (o.liquidMl !== undefined || same) break;
    const solved = solveLiquid(b, program, texture, addMl);
    addMl = solved.addMl;
    missed = solved.missed;
  }
  if (o.liquidMl === undefined) addMl = roundMl(addMl);
  return { cooked: cookWith(b, addMl, program), missed };
}

/** Five millilitres is what a jug shows. */
export const roundMl = (ml: number): number => Math.round(ml / 5) * 5;

function chooseProgram(b: Bench, addMl: number, pressure: 'high' | 'low', release: Release | undefined): Program {
  const holdMin = b.g.dish.overrides?.holdMin;
  if (holdMin !== undefined && release !== undefined) return { pressure, holdMin, release };
  const h = heat(b, addMl, pressure);
  const best = searchProgram(b.g, h.heated, h.depthCm, { holdMin, release });
  return { pressure, holdMin: best.holdMin, release: best.release };
}
