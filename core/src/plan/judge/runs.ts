import type { Texture } from '../../grain/texture';
import { naturalMinOf, type PotRun, type Program, type Release } from '../../pot/program';
import { heat, piecesOf, type Heated } from '../simulate/heated';
import { runMeats } from '../simulate/meat';
import { runPlants } from '../simulate/plants';
import type { Run } from './run';
import { beforeOf, type Setup } from '../setup/setup';
import { grainOutcome, starchTemps, type GrainOutcome, type Known } from '../simulate/outcome';
import { weighed } from './weigh';

/** What has become of the starch by the end of a run of the pot; null in a dish without one. */
export function outcomeOf(h: Heated, potRun: PotRun, known: Known & { addMl?: number } = {}): GrainOutcome | null {
  const { g, src } = h.setup;
  if (!g.grain) return null;
  const { addMl = h.addMl, ...more } = known;
  return grainOutcome(
    g,
    src,
    { run: potRun, addMl, depthCm: h.depthCm },
    { earlierSteamG: beforeOf(h.setup)?.steamG ?? 0, ...more },
  );
}

/** The starch alone in a given program, without a look at the pieces. */
export function outcomeWith(setup: Setup, addMl: number, program: Program): GrainOutcome {
  const h = heat(setup, { addMl, pressure: program.pressure });
  return outcomeOf(h, h.heated.finish(program.holdMin, program.release))!;
}

/** Heats a setup and cooks it with a given program. */
export function cookWith(setup: Setup, addMl: number, program: Program, texture: Texture = 'fluffy'): Run {
  return runOf(heat(setup, { addMl, pressure: program.pressure, texture }), program.holdMin, program.release);
}

/** One program on a heated pot, in full resolution; `pieces` false leaves meat and roots out. */
export function runOf(h: Heated, holdMin: number, release: Release, pieces = true): Run {
  const { g } = h.setup;
  const potRun = h.heated.finish(holdMin, release);
  const temps = g.grain ? starchTemps(g, potRun, h.addMl, h.depthCm) : undefined;
  const outcome = outcomeOf(h, potRun, { temps });
  return weighed({
    h,
    holdMin,
    release,
    potRun,
    addMl: h.addMl,
    naturalMin: naturalMinOf(potRun),
    equivalentMin: outcome?.clock.equivalentMin ?? 0,
    outcome,
    meats: pieces ? runMeats(g, potRun, piecesOf(h)) : [],
    plants: pieces ? runPlants(g, potRun, piecesOf(h)) : [],
    ...(temps ? { temps } : {}),
  });
}

/** Free water around the starch at every sample of its temperatures, g; null in a dish without one. */
export function freeTraceOf({ h, potRun, temps }: Run): Float64Array | null {
  if (!temps) return null;
  const freeTraceG = new Float64Array(temps.length);
  outcomeOf(h, potRun, { temps, freeTraceG });
  return freeTraceG;
}
