import type { Step } from '../plan/document/steps';
import { isDetour } from './rescued-steps';
import type { TimedStep } from './timed-step';

/** A stage that took, or is taking, longer than planned; min, negative where it took less. What was put right is `rescue`. */
export interface Moved {
  stage: Step['stage'] | 'rescue';
  min: number;
}

/** A second is as planned, min. */
const sameMin = 1 / 60;

/**
 * What moves the serving of a cook: the stages that are not as long as planned, what moves it most first. Their minutes add up
 * to what the serving moves by; waiting between two stages counts for the one before.
 *
 * @param planned the steps of the plan
 * @param timed the same at their times
 */
export function whatMoved(planned: readonly Step[], timed: readonly TimedStep[]): Moved[] {
  const byStage = new Map<Moved['stage'], number>();
  const add = (stage: Moved['stage'], min: number): void => void byStage.set(stage, (byStage.get(stage) ?? 0) + min);
  for (const s of planned) add(s.stage, -s.minutes);
  timed.forEach(({ step, startMs, endMs }, i) => {
    const untilMs = timed[i + 1]?.startMs ?? endMs;
    add(isDetour(step) ? 'rescue' : step.stage, (untilMs - startMs) / 60_000);
  });
  return [...byStage]
    .map(([stage, min]) => ({ stage, min }))
    .filter((m) => Math.abs(m.min) > sameMin)
    .sort((a, b) => Math.abs(b.min) - Math.abs(a.min));
}
