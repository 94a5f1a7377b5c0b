import type { Plan } from '../plan/document/document';
import type { Step } from '../plan/document/steps';
import type { TimedStep } from './timed-step';

/** One dish of an evening: the first one is served to the minute, the others come as near to it as the hands allow. */
export interface EveningDish {
  id: string;
  plan: Plan;
  /** its steps as they go, where it is on the stove already; nothing moves it any more */
  cooking?: readonly TimedStep[];
}
export interface PlacedDish {
  id: string;
  startMs: number;
  /** when it is ready */
  readyMs: number;
  /** how long it waits, covered, for the table, min */
  waitsMin: number;
  /** its steps at their times; of a dish on the stove also those that are over */
  steps: readonly TimedStep[];
}
/** Two things that the same pair of hands should do at once, or one pot that should be in two places. */
export interface Clash {
  kind: 'hands' | 'pot';
  ids: readonly [string, string];
  fromMs: number;
  toMs: number;
}
export interface EveningTask {
  id: string;
  step: Step;
  startMs: number;
  endMs: number;
}
export interface Evening {
  startMs: number;
  /** when all of it stands on the table: as asked, or later where a dish cannot be ready by then */
  serveMs: number;
  /** the dish that the table waits for; null where it is served as asked */
  lateId: string | null;
  dishes: PlacedDish[];
  clashes: Clash[];
  /** everything that needs hands, in order of time */
  tasks: EveningTask[];
}

const minute = 60_000;
/** The other dishes may be ready so much earlier, tried in such steps, min [common practice: covered, it stays hot]. */
const earliestMin = 60;
const stepMin = 2.5;
/** A minute at one pot and a minute at the next are what cooks do all the time; shorter clashes do not count, min. */
const briefMin = 1;

const lengthMin = (p: Plan): number => p.steps.reduce((m, s) => m + s.minutes, 0);

function stepsFrom(plan: Plan, startMs: number): TimedStep[] {
  let at = startMs;
  return plan.steps.map((step) => {
    const timed = { step, startMs: at, endMs: at + step.minutes * minute, done: false };
    at = timed.endMs;
    return timed;
  });
}
const handsOn = (t: TimedStep): boolean => t.step.kind === 'do' && !t.done;
/** From the first heat to the last thing done in it the pot is taken. */
function potTime(steps: readonly TimedStep[]): { startMs: number; endMs: number } {
  const first = steps.find((s) => s.step.stage !== 'prep') ?? steps[0]!;
  return { startMs: first.startMs, endMs: steps.at(-1)!.endMs };
}

interface Placed {
  dish: EveningDish;
  steps: readonly TimedStep[];
}

function clashesOf(a: Placed, b: Placed): Clash[] {
  const ids = [a.dish.id, b.dish.id] as const;
  const out: Clash[] = [];
  const add = (kind: Clash['kind'], fromMs: number, toMs: number, least: number): void => {
    if (toMs - fromMs > least * minute + 1) out.push({ kind, ids, fromMs, toMs });
  };
  for (const x of a.steps.filter(handsOn))
    for (const y of b.steps.filter(handsOn))
      add('hands', Math.max(x.startMs, y.startMs), Math.min(x.endMs, y.endMs), briefMin);
  if (a.dish.plan.pot.id === b.dish.plan.pot.id) {
    const [p, q] = [potTime(a.steps), potTime(b.steps)];
    add('pot', Math.max(p.startMs, q.startMs), Math.min(p.endMs, q.endMs), 0);
  }
  return out;
}
const weight = (cs: readonly Clash[]): number =>
  cs.reduce((m, c) => m + ((c.toMs - c.fromMs) / minute) * (c.kind === 'pot' ? 100 : 1), 0);

/** When the table can be laid: as asked, unless a dish is ready later, be it on the stove or begun this moment. */
function tableOf(dishes: readonly EveningDish[], askedMs: number, nowMs: number): Pick<Evening, 'serveMs' | 'lateId'> {
  let table: Pick<Evening, 'serveMs' | 'lateId'> = { serveMs: askedMs, lateId: null };
  for (const { id, plan, cooking } of dishes) {
    const readyMs = cooking?.at(-1)?.endMs ?? nowMs + lengthMin(plan) * minute;
    if (readyMs > table.serveMs + minute / 2) table = { serveMs: readyMs, lateId: id };
  }
  return table;
}

/** Where a dish is put beside those that have their place: the least clash, then the nearest to the table. */
function placeFor(dish: EveningDish, beside: readonly Placed[], serveMs: number, nowMs: number): Placed {
  if (dish.cooking) return { dish, steps: dish.cooking };
  const startMs = (earlyMin: number): number => serveMs - (lengthMin(dish.plan) + earlyMin) * minute;
  const most = beside.length === 0 ? 0 : earliestMin;
  let best: { placed: Placed; cost: number } | null = null;
  for (let early = 0; early <= most; early += stepMin) {
    if (early > 0 && startMs(early) < nowMs) break;
    const placed = { dish, steps: stepsFrom(dish.plan, startMs(early)) };
    // A minute of clash is worth ten minutes of standing ready.
    const cost = 10 * weight(beside.flatMap((p) => clashesOf(p, placed))) + early;
    if (!best || cost < best.cost - 1e-9) best = { placed, cost };
  }
  return best!.placed;
}

/**
 * Several dishes on one table with one pair of hands: each later dish is moved earlier until its hands-on steps fall into
 * the waits of the others; what still clashes is said. What cooks already goes on as it does, and the rest is put around it.
 * Deterministic: of equal places the one nearest to the table wins.
 *
 * @param askedMs when it should stand on the table, epoch ms
 * @param nowMs the clock: nothing begins before it; left out, the evening is planned on paper
 */
export function evening(dishes: readonly EveningDish[], askedMs: number, nowMs = -Infinity): Evening {
  const table = tableOf(dishes, askedMs, nowMs);
  const placed: Placed[] = [];
  const clashes: Clash[] = [];
  for (const dish of [...dishes.filter((d) => d.cooking), ...dishes.filter((d) => !d.cooking)]) {
    const place = placeFor(dish, placed, table.serveMs, nowMs);
    clashes.push(...placed.flatMap((p) => clashesOf(p, place)));
    placed.push(place);
  }
  const inOrder = dishes.map((d) => placed.find((p) => p.dish === d)!);
  return {
    ...table,
    startMs: placed.reduce((m, p) => Math.min(m, p.steps[0]?.startMs ?? m), table.serveMs),
    dishes: inOrder.map(({ dish, steps }) => {
      const readyMs = steps.at(-1)?.endMs ?? table.serveMs;
      return {
        id: dish.id,
        startMs: steps[0]?.startMs ?? table.serveMs,
        readyMs,
        waitsMin: (table.serveMs - readyMs) / minute,
        steps,
      };
    }),
    clashes,
    tasks: placed
      .flatMap(({ dish, steps }) => steps.filter(handsOn).map(({ done: _, ...t }) => ({ id: dish.id, ...t })))
      .sort((a, b) => a.startMs - b.startMs || a.id.localeCompare(b.id)),
  };
}
