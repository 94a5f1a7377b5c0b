import type { StepId } from '../plan/document/step-id';
import type { Cook } from './cook';
import type { EventKind } from './events';
import { cookTimeline } from './timeline';

/** What really happened, as far as the taps tell; null where nobody tapped. Minutes. */
export interface Actual {
  toPinMin: number | null;
  releaseMin: number | null;
  totalMin: number;
  servedMs: number;
  /** the lid was locked again in the middle */
  again: boolean;
}

/**
 * Reads the taps of a cook: heat-up from the locked lid to the pin, release from the end of the hold to the pin. The way
 * to the pin of a pot that was opened and locked again, from warm, teaches nothing about a heat-up: null.
 */
export function actualOf(cook: Cook): Actual {
  const end = cook.finishedMs ?? cook.events.reduce((m, e) => Math.max(m, e.atMs), cook.startedMs);
  const { steps, ofRun, lockedAgain: again } = cookTimeline(cook, end);
  const find = (id: StepId) => steps.find((s) => s.step.id === id);
  const minutes = (ms: number): number => ms / 60_000;
  const has = (kind: EventKind): boolean => ofRun.some((e) => e.kind === kind);
  const hold = find('hold');
  const release = steps.filter((s) => s.step.stage === 'natural' || s.step.stage === 'vent');
  const last = release[release.length - 1];
  const up = find('heat-up');
  return {
    toPinMin: has('pin-up') && up?.done && !again ? minutes(up.endMs - up.startMs) : null,
    releaseMin: has('pin-down') && hold && last ? minutes(last.endMs - hold.endMs) : null,
    totalMin: minutes(end - cook.startedMs),
    servedMs: end,
    again,
  };
}
