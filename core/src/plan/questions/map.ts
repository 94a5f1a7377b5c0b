import { firstWhole } from '../../bisect';
import type { Kitchen } from '../../dish/kitchen';
import type { Dish } from '../../dish/schema';
import { bandEdges, pastaEdges } from '../../grain/texture';
import { meansOf } from '../../pot/history';
import { refusal } from '../../problem';
import type { Plan } from '../document/document';
import { runMeats } from '../simulate/meat';
import { setUp, type Setup } from '../setup/setup';
import { heat, piecesOf } from '../simulate/heated';
import { outcomeOf } from '../judge/runs';
import { setupOfPlan } from '../simulate/stages';
import { starchTemps, type GrainOutcome } from '../simulate/outcome';

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
  const setup = setupOfPlan(setUp(dish, kitchen), chosen);
  if (!setup.g.grain) throw refusal('no-map');
  const { addMl } = chosen.liquid;
  const { pressure, holdMin, naturalFullMin } = chosen.program;
  const heated = heat(setup, { addMl, pressure, texture: chosen.texture, dtS: mapDtS });
  const holds = spread(Math.max(15, Math.ceil((holdMin * 2) / 15) * 15), size.holds);
  const naturals = spread(Math.max(12, Math.ceil(naturalFullMin / 2) * 2 + 2), size.naturals);
  const packetMin = setup.g.grain.food.packetMin?.[0];
  const out: Pick<DonenessMap, 'index' | 'equivalentMin' | 'meatFromMin'> = {
    index: [],
    equivalentMin: [],
    meatFromMin: [],
  };
  const boundary = new MeatBoundary(holds, (hold, release) => meatsAreDone(setup, heated, hold, release));
  for (const [row, naturalMin] of naturals.entries()) {
    const release: Release = naturalMin === 0 ? { kind: 'quick' } : { kind: 'timed', naturalMin };
    const outcomes = holds.map((hold) => starchAt(setup, heated, { addMl, holdMin: hold, release }));
    const times = (o: GrainOutcome): number => (o.clock.equivalentMin * o.slowing) / packetMin!;
    out.index.push(outcomes.map((o) => (packetMin ? times(o) : o.texture.index)));
    out.equivalentMin.push(outcomes.map((o) => o.clock.equivalentMin));
    out.meatFromMin.push(chosen.meats.length === 0 ? 0 : boundary.at(release));
    progress((row + 1) / naturals.length);
  }
  const sprays = chosen.program.advice.some(
    (a) => a.release === 'quick' && a.weight === 'against' && spray.has(a.code),
  );
  return {
    ...out,
    holdMin: holds,
    naturalMin: naturals,
    sprayUnderMin: sprays ? sprayUnderMin : 0,
    naturalFullMin,
    bandEdges: packetMin ? [...pastaEdges, pastaMost] : bandEdges,
  };
}

type Release = Plan['program']['release'];
type Heated = ReturnType<typeof heat>;

/** The starch of one pair of hold and release, its clock read in coarser steps than the pot was. */
function starchAt(
  setup: Setup,
  h: Heated,
  { addMl, holdMin, release }: { addMl: number; holdMin: number; release: Release },
): GrainOutcome {
  const run = h.heated.finish(holdMin, release);
  const temps = meansOf(starchTemps(setup.g, run, addMl, h.depthCm), clockEvery);
  const seen = { ...run, history: { ...run.history, dtS: clockEvery * run.history.dtS } };
  return outcomeOf(h, seen, { addMl, temps })!;
}

const meatsAreDone = (setup: Setup, h: Heated, holdMin: number, release: Release): boolean =>
  runMeats(setup.g, h.heated.finish(holdMin, release), {
    ...piecesOf(h),
    ways: h.ways,
    coarse: true,
  }).every((m) => m.verdict.ok);

/** The hold from which all meat is done, row by row of growing release: it never moves up again. */
class MeatBoundary {
  /** index of the last row's hold; null where no hold of it was enough, undefined before the first row */
  private last: number | null | undefined;

  constructor(
    private readonly holds: readonly number[],
    private readonly isDone: (holdMin: number, release: Release) => boolean,
  ) {}

  /** Hold minutes, or null when none in range is enough. */
  at(release: Release): number | null {
    const done = (i: number): boolean => this.isDone(this.holds[i]!, release);
    const longest = this.holds.length - 1;
    if (this.last === undefined) this.last = firstTrue(this.holds.length, done);
    else if (this.last !== null || done(longest)) {
      this.last ??= longest;
      while (this.last > 0 && done(this.last - 1)) this.last -= 1;
    }
    return this.last === null ? null : this.holds[this.last]!;
  }
}

const spray = new Set(['foam-at-the-valve', 'full-and-starchy', 'starch-sprays']);

/** So many evenly spaced minutes from 0 to `most`. */
const spread = (most: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => Math.round((i * most * 1000) / (count - 1)) / 1000);

/** Index of the first of so many at which something holds from there on; null where it does not even at the last. */
const firstTrue = (count: number, is: (i: number) => boolean): number | null =>
  is(count - 1) ? firstWhole(0, count - 1, is) : null;
