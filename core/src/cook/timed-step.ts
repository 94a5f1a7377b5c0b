import type { Step } from '../plan/document/steps';

/** A step of the plan at its time. */
export interface TimedStep {
  step: Step;
  startMs: number;
  endMs: number;
  /** the end is a fact, not a prediction */
  done: boolean;
}
