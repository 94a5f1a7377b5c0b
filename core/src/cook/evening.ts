import type { Plan } from '../plan/document/document';
import type { Step } from '../plan/document/steps';

/** One dish of an evening: the first one is served to the minute, the others come as near to it as the hands allow. */
export interface EveningDish {
  id: string;
  plan: Plan;
}
export interface PlacedDish {
  id: string;
  startMs: number;
  /** when it is ready */
  readyMs: number;
  /** how long it waits, covered, for the table, min */
  waitsMin: number;
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
  serveMs: number;
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

function slotsOf(d: EveningDish, startMs: number): EveningTask[] {
  let at = startMs;
  return d.plan.steps.map((step) => {
    const slot = { id: d.id, step, startMs: at, endMs: at + step.minutes * minute };
    at = slot.endMs;
    return slot;
  });
}
const handsOn = (t: EveningTask): boolean => t.step.kind === 'do';
/** From the first heat to the last thing done in it the pot is taken. */
function potTime(slots: readonly EveningTask[]): { startMs: number; endMs: number } {
  const first = slots.find((s) => s.step.stage !== 'prep') ?? slots[0]!;
  return { startMs: first.startMs, endMs: slots.at(-1)!.endMs };
}

function clashesOf(a: EveningDish, as: EveningTask[], b: EveningDish, bs: EveningTask[]): Clash[] {
  const ids = [a.id, b.id] as const;
  const out: Clash[] = [];
  const add = (kind: Clash['kind'], fromMs: number, toMs: number, least: number): void => {
    if (toMs - fromMs > least * minute + 1) out.push({ kind, ids, fromMs, toMs });
  };
  for (const x of as.filter(handsOn))
    for (const y of bs.filter(handsOn))
      add('hands', Math.max(x.startMs, y.startMs), Math.min(x.endMs, y.endMs), briefMin);
  if (a.plan.pot.id === b.plan.pot.id) {
    const [p, q] = [potTime(as), potTime(bs)];
    add('pot', Math.max(p.startMs, q.startMs), Math.min(p.endMs, q.endMs), 0);
  }
  return out;
}
const weight = (cs: readonly Clash[]): number =>
  cs.reduce((m, c) => m + ((c.toMs - c.fromMs) / minute) * (c.kind === 'pot' ? 100 : 1), 0);

/**
 * Several dishes on one table with one pair of hands: each later dish is moved earlier until its hands-on steps fall into
 * the waits of the others; what still clashes is said. Deterministic: of equal places the one nearest to the table wins.
 *
 * @param serveMs when the first dish stands on the table, epoch ms
 */
export function evening(dishes: readonly EveningDish[], serveMs: number): Evening {
  const placed: { dish: EveningDish; slots: EveningTask[]; place: PlacedDish }[] = [];
  const clashes: Clash[] = [];
  for (const dish of dishes) {
    let best: { at: number; found: Clash[]; slots: EveningTask[]; cost: number } | null = null;
    const most = placed.length === 0 ? 0 : earliestMin;
    for (let early = 0; early <= most; early += stepMin) {
      const slots = slotsOf(dish, serveMs - (lengthMin(dish.plan) + early) * minute);
      const found = placed.flatMap((p) => clashesOf(p.dish, p.slots, dish, slots));
      // A minute of clash is worth ten minutes of standing ready.
      const cost = 10 * weight(found) + early;
      if (!best || cost < best.cost - 1e-9) best = { at: early, found, slots, cost };
    }
    const { at, found, slots } = best!;
    clashes.push(...found);
    placed.push({
      dish,
      slots,
      place: { id: dish.id, startMs: slots[0]?.startMs ?? serveMs, readyMs: serveMs - at * minute, waitsMin: at },
    });
  }
  return {
    startMs: placed.reduce((m, p) => Math.min(m, p.place.startMs), serveMs),
    serveMs,
    dishes: placed.map((p) => p.place),
    clashes,
    tasks: placed
      .flatMap((p) => p.slots)
      .filter(handsOn)
      .sort((a, b) => a.startMs - b.startMs || a.id.localeCompare(b.id)),
  };
}
