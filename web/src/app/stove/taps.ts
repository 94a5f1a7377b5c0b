import { isKind, type CookEvent, type CookTimeline, type TimedStep } from '@einkorn/core';

/** What is told by one tap alone, with nothing but its time. */
export type Moment = 'heat-on' | 'hot' | 'pin-up' | 'countdown' | 'whistle' | 'valve-open' | 'pin-down';

/** Keys of the stove beside Space; each writes one moment down. */
export const tapKeys: Readonly<Record<string, Moment | undefined>> = {
  h: 'heat-on',
  o: 'hot',
  u: 'pin-up',
  c: 'countdown',
  w: 'whistle',
  v: 'valve-open',
  d: 'pin-down',
};

/** Between the board and the heat: everything must be within reach before anything is hot. */
export const atGate = (current: TimedStep | null, timed: CookTimeline | null, taps: readonly CookEvent[]): boolean =>
  current !== null &&
  timed?.steps.find((x) => x.step.stage !== 'prep') === current &&
  !taps.some((e) => e.kind === 'heat-on');

export type NextTap = 'heat-on' | 'valve-open' | 'thermometer' | 'done';
/** A reading of the thermometer is of this moment for so long, ms. */
const freshMs = 10 * 60_000;

/** What a reading is held against. */
export interface Measuring {
  /** degC that must be shown in the centre */
  minimumC: number;
  nowMs: number;
}

/** What the big tap does now. */
export function nextTap(
  current: TimedStep | null,
  gate: boolean,
  { steps, ofRun: taps }: Pick<CookTimeline, 'steps' | 'ofRun'>,
  { minimumC, nowMs }: Measuring,
): NextTap {
  const happened = (kind: CookEvent['kind']): boolean => taps.some((e) => e.kind === kind);
  if (!current) return 'done';
  if (gate) return 'heat-on';
  if ((current.step.id === 'vent' || current.step.id === 'first-vent') && !happened('valve-open')) return 'valve-open';
  // What went in at the end is measured anew: the reading before it says nothing.
  const isLate = current.step.text === 'finish-check-finish';
  const isFirst = current.step.id === 'finish-check' || current.step.id === 'finish-check-pot';
  if (!isFirst && !isLate) return 'done';
  const sinceMs = isLate ? current.startMs : (steps.find((s) => s.step.id === 'hold')?.endMs ?? current.startMs);
  const passes = taps
    .filter(isKind('probe-read'))
    .some((e) => e.coreC >= minimumC && e.atMs >= sinceMs && nowMs - e.atMs <= freshMs);
  return passes ? 'done' : 'thermometer';
}

export interface OwnTimer {
  id: string;
  name: string;
  leftMs: number;
  over: boolean;
}
/** Timers that the cook set, and the finished ones until they are put away. */
export function ownTimers(taps: readonly CookEvent[], nowMs: number): OwnTimer[] {
  const stopped = new Set(taps.filter(isKind('timer-stopped')).map((e) => e.timerId));
  return taps
    .filter(isKind('timer-started'))
    .filter((e) => !stopped.has(e.id))
    .map((e) => {
      const leftMs = e.atMs + e.minutes * 60_000 - nowMs;
      return { id: e.id, name: e.name, leftMs, over: leftMs <= 0 };
    });
}
