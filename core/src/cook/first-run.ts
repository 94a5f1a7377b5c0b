import type { Bench } from '../plan/bench';
import type { Plan } from '../plan/document';
import { benchOfPlan } from '../plan/stages';
import { potWithPinAt } from './heater';

/** How the first stage of a two-stage cook went, min; what is left out went as planned. */
export interface FirstRun {
  /** from its locked lid to its pin */
  toPinMin?: number;
  /** its hold */
  holdMin?: number;
}

/**
 * The bench of a plan with its first stage as it was cooked. A first pin that came late or early is read as a weaker or
 * stronger heater: the meat has the longer or shorter way behind it, and the second stage heats with the same heater.
 */
export function benchAfterFirst(b: Bench, planned: Plan, real: FirstRun | undefined): Bench {
  const chosen = planned.firstStage;
  if (!chosen || !real) return benchOfPlan(b, planned);
  const asCooked = { ...planned, firstStage: { ...chosen, holdMin: real.holdMin ?? chosen.holdMin } };
  if (real.toPinMin === undefined) return benchOfPlan(b, asCooked);
  const pot = potWithPinAt(b.pot, real.toPinMin, (p) => benchOfPlan({ ...b, pot: p }, planned).first!.pinUpMin);
  return benchOfPlan({ ...b, pot }, asCooked);
}
