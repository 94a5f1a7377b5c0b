import type { Texture } from '../grain/texture';
import { type CookRun, HeatedPot, type Program } from '../pot/cook';
import { baseAreaCm2 } from '../pot/profile';
import type { Bench, Ready } from './bench';
import { geometryOf } from './bounds';
import type { Heated } from './heated';
import { depthCm, loadOf } from './load';
import { scorchRisk } from './scorch';
import { grainOutcome, type GrainOutcome, type Known } from './water';
import { candidate, type Candidate } from './weigh';

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

/** Cooks in a pot that was heated already. */
export function cookHeated(b: Bench, h: Heated, program: Pick<Program, 'holdMin' | 'release'>): Cooked {
  const chosen = candidate(h, program.holdMin, program.release);
  const { run, temps } = chosen;
  const freeG = temps ? new Float64Array(temps.length) : null;
  const outcome = outcomeOf(b, h, run, { temps, freeTraceG: freeG ?? undefined });
  return { addMl: h.addMl, chosen, outcome, freeG, h, b };
}
