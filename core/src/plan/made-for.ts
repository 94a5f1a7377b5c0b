import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { Problem } from '../problem';
import { stableJson } from '../stable-json';
import type { Plan } from './document';

/**
 * A short mark of everything that a plan depends on: the dish but for its words, the pot and the height. Equal dishes have
 * equal marks, in whatever order their fields were written. FNV-1a (published by its authors), twice 32 bits.
 */
export function markOf({ title: _title, notes: _notes, ...dish }: Dish, potId: string, altitudeM: number): string {
  const text = stableJson([dish, potId, altitudeM]);
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 0x01000193);
    b = Math.imul(b ^ c, 0x01000193) ^ (a >>> 7);
  }
  return [a, b].map((x) => (x >>> 0).toString(16).padStart(8, '0')).join('');
}

/** The plan with the mark of what it was made for. */
export const marked = (plan: Plan, dish: Dish, { potId, altitudeM }: Kitchen): Plan => ({
  ...plan,
  madeFor: markOf(dish, potId, altitudeM),
});

/** Is this the plan of this dish? Plans made before there was a mark are taken on trust. */
export const isPlanOf = (plan: Plan, dish: Dish): boolean =>
  plan.madeFor === undefined || plan.madeFor === markOf(dish, plan.pot.id, plan.pot.altitudeM);

/** Throws Problem `plan-of-another-dish` where the two do not belong together. */
export function checkPlanOf(plan: Plan, dish: Dish): void {
  if (isPlanOf(plan, dish)) return;
  throw new Problem(
    'plan-of-another-dish',
    'This plan was made for another dish or another kitchen. Plan the dish again, then cook it.',
    [{ path: 'plan', message: 'Wait for the fresh plan, or plan the dish again.' }],
  );
}
