import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { bandEdges, pastaEdges } from '../grain/texture';
import { meansOf } from '../pot/history';
import { Problem } from '../problem';
import type { Plan } from './document';
import { runMeats } from './meat';
import { setBench } from './bench';
import { heat } from './cooked';
import { benchOfPlan } from './stages';
import { grainOutcome, starchTemps } from './water';

/** Texture and meat over hold and natural release, with the plan's liquid. */
export interface DonenessMap {
  holdMin: number[];
  naturalMin: number[];
  /** texture index (of pasta: multiples of the packet's minutes), [natural][hold] */
  index: number[][];
  equivalentMin: number[][];
  /** hold minutes from which every meat is predicted done, one per natural; null when none in range */
  meatFromMin: (number | null)[];
  /** less natural release than this sprays here; 0 where it does not */
  sprayUnderMin: number;
  naturalFullMin: number;
  bandEdges: readonly number[];
}

/** Beyond this pasta is soft whatever holds it back [derived]. */
const pastaMost = 2.2;
/** Points of the map: fine enough that its lines look drawn, not stepped. */
const size = { holds: 31, naturals: 25 };
/** Step of the pot, s, and how many of its steps the clock looks at in one: within 0.1 points of the plan [derived]. */
const mapDtS = 1;
const clockEvery = 4;
/** Less natural release than this sprays where a quick one is spoken against, min [common practice]. */
const sprayUnderMin = 5;

/**
 * One heated pot, branched for every pair. `progress` is called after every row, and may throw to stop the work.
 * The meat boundary walks down from row to row, since more natural release never makes meat less done; on a coarser grid,
 * within half a minute of the full one.
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
  const h = heat(b, {
    addMl: chosen.liquid.addMl,
    pressure: chosen.program.pressure,
    texture: chosen.texture,
    dtS: mapDtS,
  });
  const mostHold = Math.max(15, Math.ceil((chosen.program.holdMin * 2) / 15) * 15);
  const holds = spread(mostHold, size.holds);
  const full = chosen.program.naturalFullMin;
  const packet = b.g.grain.food.packetMin?.[0];
  const naturals = spread(Math.max(12, Math.ceil(full / 2) * 2 + 2), size.naturals);
  const index: number[][] = [];
  const equivalentMin: number[][] = [];
  const meatFromMin: (number | null)[] = [];
  let from = holds.length - 1;
  naturals.forEach((n, row) => {
    const release = n === 0 ? ({ kind: 'quick' } as const) : ({ kind: 'timed', naturalMin: n } as const);
    const outcomes = holds.map((hold) => {
      const run = h.heated.finish(hold, release);
      const temps = meansOf(starchTemps(b.g, run, chosen.liquid.addMl, h.depthCm), clockEvery);
      const seen = { ...run, history: { ...run.history, dtS: clockEvery * run.history.dtS } };
      return grainOutcome(
        b.g,
        b.src,
        { run: seen, addMl: chosen.liquid.addMl, depthCm: h.depthCm },
        {
          earlierSteamG: b.first?.steamG ?? 0,
          temps,
        },
      );
    });
    index.push(outcomes.map((o) => (packet ? (o.clock.equivalentMin * o.slowing) / packet : o.texture.index)));
    equivalentMin.push(outcomes.map((o) => o.clock.equivalentMin));
    const done = (i: number): boolean =>
      runMeats(b.g, h.heated.finish(holds[i]!, release), {
        depthCm: h.depthCm,
        earlier: h.earlier,
        coarse: true,
        ways: h.ways,
      }).every((m) => m.verdict.ok);
    if (chosen.meats.length === 0) meatFromMin.push(0);
    else if (row === 0) {
      const found = firstTrue(holds.length, done);
      from = found ?? holds.length - 1;
      meatFromMin.push(found === null ? null : holds[found]!);
    } else if (meatFromMin[row - 1] === null && !done(from)) meatFromMin.push(null);
    else {
      while (from > 0 && done(from - 1)) from -= 1;
      meatFromMin.push(holds[from]!);
    }
    progress((row + 1) / naturals.length);
  });
  const sprays = chosen.program.advice.some(
    (a) => a.release === 'quick' && a.weight === 'against' && spray.has(a.code),
  );
  return {
    holdMin: holds,
    naturalMin: naturals,
    index,
    equivalentMin,
    meatFromMin,
    sprayUnderMin: sprays ? sprayUnderMin : 0,
    naturalFullMin: full,
    bandEdges: packet ? [...pastaEdges, pastaMost] : bandEdges,
  };
}
const spray = new Set(['foam-at-the-valve', 'full-and-starchy', 'starch-sprays']);

/** So many evenly spaced minutes from 0 to `most`. */
const spread = (most: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => Math.round((i * most * 1000) / (count - 1)) / 1000);

function firstTrue(count: number, is: (i: number) => boolean): number | null {
  let low = 0;
  let high = count - 1;
  if (!is(high)) return null;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (is(mid)) high = mid;
    else low = mid + 1;
  }
  return low;
}
