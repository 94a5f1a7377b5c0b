import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { bandEdges, pastaEdges } from '../grain/texture';
import { Problem } from '../problem';
import type { Plan } from './document';
import { runMeats } from './meat';
import { setBench } from './bench';
import { heat } from './solve';
import { benchOfPlan } from './stages';
import { grainOutcome } from './water';

/** Texture and meat over hold and natural release, with the plan's liquid. */
export interface DonenessMap {
  holdMin: number[];
  naturalMin: number[];
  /** texture index (of pasta: multiples of the packet's minutes), [natural][hold] */
  index: number[][];
  equivalentMin: number[][];
  /** hold minutes from which every meat is predicted done, one per natural; null when none in range */
  meatFromMin: (number | null)[];
  naturalFullMin: number;
  bandEdges: readonly number[];
}

/** Beyond this pasta is soft whatever holds it back [derived]. */
const pastaMost = 2.2;
const holdStep = 1;
const naturalStep = 2;

/**
 * One heated pot, branched for every pair. `progress` is called after every row, and may throw to stop the work.
 * The meat boundary is found per row by bisection, since more hold is never less done; on a coarser grid, within half a
 * minute of the full one.
 */
export function donenessMap(
  dish: Dish,
  kitchen: Kitchen,
  chosen: Plan,
  progress: (share: number) => void = () => undefined,
): DonenessMap {
  const b = benchOfPlan(setBench(dish, kitchen), chosen);
  if (!b.g.grain)
    throw new Problem('no-map', 'The map shows the doneness of a grain or pasta; this dish has none.', []);
  const h = heat(b, chosen.liquid.addMl, chosen.program.pressure, chosen.texture);
  const mostHold = Math.max(14, Math.ceil((chosen.program.holdMin * 2) / 2) * 2);
  const holds = steps(mostHold, holdStep);
  const full = chosen.program.naturalFullMin;
  const packet = b.g.grain.food.packetMin?.[0];
  const naturals = steps(Math.max(12, Math.ceil(full / 2) * 2 + 2), naturalStep);
  const index: number[][] = [];
  const equivalentMin: number[][] = [];
  const meatFromMin: (number | null)[] = [];
  naturals.forEach((n, row) => {
    const release = n === 0 ? ({ kind: 'quick' } as const) : ({ kind: 'timed', naturalMin: n } as const);
    const outcomes = holds.map((hold) =>
      grainOutcome(b.g, b.src, h.heated.finish(hold, release), chosen.liquid.addMl, h.depthCm, b.first?.steamG ?? 0),
    );
    index.push(outcomes.map((o) => (packet ? (o.clock.equivalentMin * o.slowing) / packet : o.texture.index)));
    equivalentMin.push(outcomes.map((o) => o.clock.equivalentMin));
    const done = (hold: number): boolean =>
      runMeats(b.g, h.heated.finish(hold, release), h.depthCm, h.earlier, true).every((m) => m.verdict.ok);
    meatFromMin.push(chosen.meats.length === 0 ? 0 : firstTrue(holds, done));
    progress((row + 1) / naturals.length);
  });
  return {
    holdMin: holds,
    naturalMin: naturals,
    index,
    equivalentMin,
    meatFromMin,
    naturalFullMin: full,
    bandEdges: packet ? [...pastaEdges, pastaMost] : bandEdges,
  };
}

const steps = (most: number, step: number): number[] =>
  Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);

function firstTrue(xs: readonly number[], is: (x: number) => boolean): number | null {
  let low = 0;
  let high = xs.length - 1;
  if (!is(xs[high]!)) return null;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (is(xs[mid]!)) high = mid;
    else low = mid + 1;
  }
  return xs[low]!;
}
