import { potInUse, type Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { potMark, type PotRef } from '../pot/own-pot';
import { issueAt, refusal } from '../problem';
import { shortMark } from '../short-mark';
import { stableJson } from '../stable-json';
import type { Plan } from './document/document';
import { learnedOf } from './learned-moved';

/** Where a plan was made: what it depends on beside the dish. */
interface Place {
  pot: PotRef;
  altitudeM: number;
  /** mark of what the log had taught; absent as from the factory */
  learned?: string | undefined;
}

/**
 * A short mark of everything that a plan depends on: the dish but for its words, the pot, the height and what was learned.
 * Equal dishes have equal marks, in whatever order their fields were written.
 */
export function markOf({ title: _title, notes: _notes, ...dish }: Dish, { pot, altitudeM, learned }: Place): string {
  const place = [dish, potMark(pot), altitudeM];
  return shortMark(stableJson(learned === undefined ? place : [...place, learned]));
}

/** The plan with the mark of what it was made for, and what was learned when it was made. */
export function marked(plan: Plan, dish: Dish, kitchen: Kitchen): Plan {
  const learned = learnedOf(kitchen, (plan.grain ?? plan.pasta)?.food);
  const madeFor = markOf(dish, { pot: potInUse(kitchen), altitudeM: kitchen.altitudeM, learned: learned?.mark });
  return { ...plan, madeFor, ...(learned ? { learned } : {}) };
}

/** Is this the plan of this dish? Plans made before there was a mark are taken on trust. */
export const isPlanOf = (plan: Plan, dish: Dish): boolean =>
  plan.madeFor === undefined ||
  plan.madeFor === markOf(dish, { pot: plan.pot, altitudeM: plan.pot.altitudeM, learned: plan.learned?.mark });

/** Throws Problem `plan-of-another-dish` where the two do not belong together. */
export function checkPlanOf(plan: Plan, dish: Dish): void {
  if (isPlanOf(plan, dish)) return;
  throw refusal('plan-of-another-dish', {}, issueAt('plan', 'wait-for-the-plan'));
}
