import type { Step } from '../../src/plan/document/steps';
import type { CookEvent, Happening } from '../../src/cook/events';
import { endsSomething, standingEvents } from '../../src/cook/runs';
import { cookTimeline, type CookTimeline } from '../../src/cook/timeline';

let count = 0;
/** An event of its own id. */
export const happened = (what: Happening, atMs: number): CookEvent => ({ id: `e${++count}`, atMs, ...what });

/** The list with the newest of what the Stove can take back taken back. */
export const undoNewest = (events: readonly CookEvent[], atMs: number): CookEvent[] => [
  ...events,
  happened({ kind: 'undone', targetId: standingEvents(events).findLast(endsSomething)!.id }, atMs),
];

/** The timeline of steps alone. */
export const timelineAt = (
  steps: Step[],
  startedMs: number,
  events: readonly CookEvent[],
  nowMs: number,
): CookTimeline => cookTimeline({ plan: { steps }, startedMs, events }, nowMs);
