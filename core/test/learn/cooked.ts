import { cookFormat, type Cook } from '../../src/cook/cook';
import type { CookEvent, Happening } from '../../src/cook/events';
import type { Ratings } from '../../src/cook/ratings';
import type { Kitchen } from '../../src/dish/kitchen';
import type { Dish } from '../../src/dish/schema';
import type { Plan } from '../../src/plan/document/document';
import { HeatedPot } from '../../src/pot/cook';
import { withFactors, type PotFactors } from '../../src/pot/factors';
import { setUp } from '../../src/plan/setup/setup';
import { loadOf } from '../../src/plan/setup/load';

/** What happened under a lid, minutes after it was locked. */
export interface Lid {
  pinMin?: number;
  fullMin?: number;
  valveMin?: number;
  pinDownMin?: number;
}

/** A cook of the log: its plan, and these taps and ratings. */
export function cookedSo(
  {
    dish,
    plan,
    id = 'cook',
    startedMs = 1_000_000_000_000,
  }: { dish: Dish; plan: Plan; id?: string; startedMs?: number },
  lid: Lid,
  { ratings = {}, events = [] }: { ratings?: Ratings; events?: (Happening & { atMin: number })[] } = {},
): Cook {
  const lockedMs = startedMs + 20 * 60_000;
  const at = (min: number): number => Math.round(lockedMs + min * 60_000);
  let n = 0;
  const tap = (what: Happening, min: number): CookEvent => ({ id: `${id}-${n++}`, atMs: at(min), ...what });
  const taps: CookEvent[] = [tap({ kind: 'done', stepId: 'lock' }, 0)];
  if (lid.pinMin !== undefined) taps.push(tap({ kind: 'pin-up' }, lid.pinMin));
  if (lid.fullMin !== undefined) taps.push(tap({ kind: 'countdown' }, lid.fullMin));
  if (lid.valveMin !== undefined) taps.push(tap({ kind: 'valve-open' }, lid.valveMin));
  if (lid.pinDownMin !== undefined) taps.push(tap({ kind: 'pin-down' }, lid.pinDownMin));
  for (const { atMin, ...what } of events) taps.push(tap(what, atMin));
  taps.sort((a, b) => a.atMs - b.atMs);
  return {
    format: cookFormat,
    id,
    dishId: null,
    dish,
    plan,
    startedMs,
    finishedMs: at(90),
    events: taps,
    outcome: { ratings },
  };
}

/** What the model itself says of the taps of a plan in a pot that is otherwise than the table's. */
export function lidOf(dish: Dish, kitchen: Kitchen, p: Plan, factors: PotFactors): Lid {
  const setup = setUp(dish, kitchen);
  const pot = withFactors(setup.pot, factors);
  const heated = new HeatedPot(
    { pot, altitudeM: kitchen.altitudeM },
    loadOf(setup, p.liquid.addMl),
    p.program.pressure,
  );
  const run = heated.finish(p.program.holdMin, p.program.release);
  const min = (s: number): number => s / 60;
  return {
    pinMin: min(run.pinUpS!),
    fullMin: min(run.countdownS!),
    ...(run.valveS === null ? {} : { valveMin: min(run.valveS) }),
    pinDownMin: min(run.pinDownS!),
  };
}
