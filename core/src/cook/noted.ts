import type { Dish } from '../dish/schema';
import type { Plan } from '../plan/document/document';
import { cookFormat, type Cook, type Outcome } from './cook';
import type { CookEvent } from './events';

/** A cook as a notebook has it: what was noticed, in minutes from the lock of the lid, and how it came out. */
export interface NotedCook {
  id: string;
  /** its dish on the shelf; null where it is not there */
  dishId: string | null;
  /** when it was begun, or when it stood on the table */
  at: { startedMs: number } | { servedMs: number };
  /** minutes that the hands were slower than planned before the lid */
  slowMin?: number | undefined;
  /** what was noticed; what was not is missing */
  noticed: { burnMin?: number; pinMin?: number; fullMin?: number; valveMin?: number; downMin?: number };
  /** when the lid could be opened; as planned where it is not known */
  openMin?: number | undefined;
  outcome: Outcome;
}

const taps = [
  ['burnMin', 'burn'],
  ['pinMin', 'pin-up'],
  ['fullMin', 'countdown'],
  ['valveMin', 'valve-open'],
  ['downMin', 'pin-down'],
] as const satisfies readonly (readonly [keyof NotedCook['noticed'], CookEvent['kind']])[];

/** A noted cook as one of the log: the plan of its dish, with what was noticed as its taps. */
export function cookFromNotes(noted: NotedCook, dish: Dish, plan: Plan): Cook {
  const { id, dishId, at, noticed, outcome } = noted;
  const lockAt = plan.steps.findIndex((s) => s.id === 'lock');
  const openAt = plan.steps.findLastIndex((s) => s.expects === 'pin-down') + 1;
  const before = plan.steps.slice(0, lockAt + 1);
  const after = plan.steps.slice(openAt);
  const handsMin = before.filter((s) => s.kind === 'do').reduce((m, s) => m + s.minutes, 0);
  const slower = 1 + (noted.slowMin ?? 0) / Math.max(1, handsMin);
  const lengthOf = (s: Plan['steps'][number]): number => s.minutes * (s.kind === 'do' ? slower : 1);
  const sum = (steps: Plan['steps']): number => steps.reduce((m, s) => m + lengthOf(s), 0);
  const openMin = noted.openMin ?? noticed.downMin ?? sum(plan.steps.slice(lockAt + 1, openAt));
  const boardMs = Math.round(sum(before) * 60_000);
  const potMs = Math.round((openMin + sum(after)) * 60_000);
  const startedMs = 'startedMs' in at ? at.startedMs : at.servedMs - potMs - boardMs;
  const lockMs = startedMs + boardMs;
  const events: CookEvent[] = [];
  const next = (atMs: number) => ({ id: `${id}-${events.length}`, atMs: Math.round(atMs) });
  const through = (steps: Plan['steps'], fromMs: number): void => {
    let endMs = fromMs;
    for (const s of steps) {
      endMs += lengthOf(s) * 60_000;
      if (s.kind === 'do') events.push({ ...next(endMs), kind: 'done', stepId: s.id });
    }
  };
  through(before, startedMs);
  for (const [name, kind] of taps) {
    const min = noticed[name];
    if (min !== undefined) events.push({ ...next(lockMs + min * 60_000), kind });
  }
  through(after, lockMs + openMin * 60_000);
  return { format: cookFormat, id, dishId, dish, plan, startedMs, finishedMs: lockMs + potMs, events, outcome };
}
