import type { Setup } from '../plan/setup/setup';
import type { Plan } from '../plan/document/document';
import { setupOfPlan } from '../plan/simulate/stages';
import { potWithPinAt } from './heater';

/** How the first stage of a two-stage cook went, min; what is left out went as planned. */
export interface FirstRun {
  /** from its locked lid to its pin */
  toPinMin?: number;
  /** its hold */
  holdMin?: number;
}

/**
 * The setup of a plan with its first stage as it was cooked. A first pin that came late or early is read as a weaker or
 * stronger heater: the meat has the longer or shorter way behind it, and the second stage heats with the same heater.
 */
export function setupAfterFirst(setup: Setup, planned: Plan, real: FirstRun | undefined): Setup {
  const chosen = planned.firstStage;
  if (!chosen || !real) return setupOfPlan(setup, planned);
  const asCooked = { ...planned, firstStage: { ...chosen, holdMin: real.holdMin ?? chosen.holdMin } };
  if (real.toPinMin === undefined) return setupOfPlan(setup, asCooked);
  const pot = potWithPinAt(setup.pot, real.toPinMin, (p) => setupOfPlan({ ...setup, pot: p }, planned).first!.pinUpMin);
  return setupOfPlan({ ...setup, pot }, asCooked);
}
