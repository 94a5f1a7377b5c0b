import type { Step } from '../plan/document';

/** What really happened, in milliseconds since the epoch. */
export const eventKinds = [
  'done',
  'heat-on',
  'hot',
  'pin-up',
  'countdown',
  'whistle',
  'valve-open',
  'pin-down',
  'undo',
  'hold-min',
  'burn',
  'off-plan',
  'core',
  'weight',
  'gauge',
  'note',
  'timer',
  'timer-stop',
  'thermometer-skipped',
  'rescued',
] as const;
export type EventKind = (typeof eventKinds)[number];

export interface CookEvent {
  /** `done` ends a step; the taps end the step that waits for them; the others are written down */
  kind: EventKind;
  step?: string;
  atMs: number;
  note?: string;
  /** what was measured; of a rescue the minutes that it takes */
  value?: number;
  /** of a rescue: the lid is locked again, for so many minutes at pressure, with so much liquid more */
  holdMin?: number;
  addMl?: number;
}

export interface TimedStep {
  step: Step;
  startMs: number;
  endMs: number;
  /** the end is a fact, not a prediction */
  done: boolean;
}
