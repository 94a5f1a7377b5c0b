import { standingEvents, ofThisRun, type CookTimeline, type StoredEvent, type TimedStep } from '@einkorn/core';

/** The taps that stand and count for the pot as it is now: what was undone, or told before the lid was locked again, is gone. */
export const kept = (events: readonly StoredEvent[]): StoredEvent[] => ofThisRun(standingEvents(events));

/** Keys of the stove beside Space; each writes one moment down. */
export const tapKeys: Readonly<Record<string, StoredEvent['kind'] | undefined>> = {
  h: 'heat-on',
  o: 'hot',
  u: 'pin-up',
  c: 'countdown',
  w: 'whistle',
  v: 'valve-open',
  d: 'pin-down',
};

/** Between the board and the heat: everything must be within reach before anything is hot. */
export const atGate = (current: TimedStep | null, timed: CookTimeline | null, taps: readonly StoredEvent[]): boolean =>
  current !== null &&
  timed?.steps.find((x) => x.step.stage !== 'prep') === current &&
  !taps.some((e) => e.kind === 'heat-on');

export type NextTap = 'heat-on' | 'valve-open' | 'thermometer' | 'done';
/** What the big tap does now. */
export function nextTap(current: TimedStep | null, gate: boolean, taps: readonly StoredEvent[]): NextTap {
  const told = (kind: StoredEvent['kind']): boolean => taps.some((e) => e.kind === kind);
  if (!current) return 'done';
  if (gate) return 'heat-on';
  if ((current.step.id === 'vent' || current.step.id === 'first-vent') && !told('valve-open')) return 'valve-open';
  if (current.step.id === 'finish-check' && !told('core')) return 'thermometer';
  // What went in at the end is measured anew: the reading before it says nothing.
  const since = (e: StoredEvent): boolean => e.kind === 'core' && e.atMs >= current.startMs;
  if (current.step.text === 'finish-check-finish' && !taps.some(since)) return 'thermometer';
  return 'done';
}

export interface OwnTimer {
  id: string;
  name: string;
  leftMs: number;
  over: boolean;
}
/** Timers that the cook set, and the finished ones until they are put away. */
export function ownTimers(taps: readonly StoredEvent[], nowMs: number): OwnTimer[] {
  const stopped = new Set(taps.flatMap((e) => (e.kind === 'timer-stop' ? [e.note ?? ''] : [])));
  return taps
    .filter((e) => e.kind === 'timer' && !stopped.has(e.id))
    .map((e) => {
      const leftMs = e.atMs + (e.value ?? 0) * 60_000 - nowMs;
      return { id: e.id, name: e.note ?? '', leftMs, over: leftMs <= 0 };
    });
}
