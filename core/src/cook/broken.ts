import { equivalentMin } from '../grain/clock';
import type { PotRun } from '../pot/program';
import { openFor, type OpenState } from '../pot/open';
import { ambientPa } from '../water/atmosphere';
import { saturationC } from '../water/saturation';
import { waterJPerKgK } from '../water/steam';
import { beforeOf, type Setup } from '../plan/setup/setup';
import type { Plan } from '../plan/document/document';
import { joined } from '../plan/simulate/joined';
import type { Earlier } from '../plan/gather/pieces';
import { heat } from '../plan/simulate/heated';
import { starchTemps, steamG } from '../plan/simulate/outcome';

/** A run under the lid that was broken off: how long it lasted, and how long the lid was off for the rescue, min. */
export interface BrokenRun {
  atMin: number;
  detourMin: number;
  /** liquid that went in while the lid was off, mL */
  addMl?: number;
}

export interface AfterBroken {
  /** the setup of the run that goes on from there: everything in it is hot, the pieces have their history, the steam is gone */
  setup: Setup;
  /** temperatures of the starch so far, one a second; none in a dish without one */
  temps: Float64Array | null;
  /** equivalent minutes that the starch had */
  hadMin: number;
  /** from the first lock of the lid to the last, min */
  beforeMin: number;
  /** the liquid with what was added since, mL */
  addMl: number;
}

/**
 * What runs that were broken off have done to the dish, from the pot of the plan: each heats as it would have, is let off
 * at its minute and stands open for the rescue; the next starts from warm.
 */
export function afterBroken(from: Setup, planned: Plan, runs: readonly BrokenRun[]): AfterBroken {
  let setup = from;
  let temps: Float64Array | null = null;
  let hadMin = 0;
  let beforeMin = 0;
  let { addMl } = planned.liquid;
  for (const r of runs) {
    const before = beforeOf(setup);
    const h = heat(setup, { addMl, pressure: planned.program.pressure, texture: planned.texture });
    const countdownMin = (h.heated.countdownS ?? Infinity) / 60;
    const held = Math.max(0, r.atMin - countdownMin);
    const run = h.heated.finish(Number.isFinite(held) ? held : 0, { kind: 'quick' });
    const dtS = run.history.dtS;
    const samples = Math.min(run.history.tempC.length, Math.round((r.atMin * 60) / dtS));
    const stood = standing(setup, run, {
      fromC: run.history.tempC[samples - 1] ?? run.openC,
      steps: Math.round((r.detourMin * 60) / dtS),
      dtS,
    });
    const then = (xs: Float64Array): Float64Array => joined(xs.subarray(0, samples), stood);
    const all = new Set(setup.g.items.map((i) => i.ingredient.id));
    const rose = run.pinUpS !== null && r.atMin * 60 > run.pinUpS;
    const lost = rose ? (r.atMin >= countdownMin ? steamG(run) : 1000 * run.lost.purge) : 0;
    if (setup.g.grain) {
      const own = then(starchTemps(setup.g, run, addMl, h.depthCm));
      hadMin += equivalentMin(own, dtS, setup.g.grain.food.grain!.kinetics);
      temps = joined(temps, own);
    }
    setup = {
      ...setup,
      broken: {
        items: all,
        liquidMl: addMl,
        standC: stood.at(-1) ?? run.openC,
        steamG: (before?.steamG ?? 0) + lost,
        earlier: { dtS, tempC: after(before?.earlier.tempC, then(run.history.tempC), all) },
      },
    };
    addMl += r.addMl ?? 0;
    beforeMin += r.atMin + r.detourMin;
  }
  return { setup, temps, hadMin, beforeMin, addMl };
}

/** The histories of the pieces with another run after them; what went in for this run has nothing behind it. */
const after = (
  before: Earlier['tempC'] | undefined,
  run: Float64Array,
  items: ReadonlySet<string>,
): Map<string, Float64Array> => new Map(Array.from(items, (id) => [id, joined(before?.get(id) ?? null, run)]));

/**
 * Temperatures of the opened pot while it is put right, one a step of `dtS`: let off it boils down to its boiling point,
 * then it cools from its surface and its wall; the scraped base is no hotter than the food.
 */
function standing(
  setup: Setup,
  run: PotRun,
  { fromC, steps, dtS }: { fromC: number; steps: number; dtS: number },
): Float64Array {
  const { altitudeM } = setup.kitchen;
  const tempC = Math.min(fromC, saturationC(ambientPa(altitudeM)));
  const heatJPerK = run.end.dryJPerK + run.end.waterKg * waterJPerKgK;
  let s: OpenState = { tempC, baseC: tempC, heatJPerK, evaporatedKg: 0 };
  const out = new Float64Array(steps);
  for (let i = 0; i < steps; i++) {
    s = openFor({ pot: setup.pot, altitudeM }, s, dtS, 'off');
    out[i] = s.tempC;
  }
  return out;
}
