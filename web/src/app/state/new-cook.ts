import { cookFormat, type Cook, type Dish, type Plan, type Practice } from '@einkorn/core';

/** A plan goes on the stove: the cook that begins now, with an id of its own so that a repeated send is one cook. */
export function newCook(
  { dishId, dish, plan }: { dishId: string | null; dish: Dish; plan: Plan },
  nowMs: number,
  practice?: Practice,
): Cook {
  return {
    format: cookFormat,
    // A page that was not served safely has no randomUUID.
    id: (crypto as Partial<Crypto>).randomUUID?.() ?? `cook-${nowMs}-${Math.round(performance.now())}`,
    dishId,
    dish,
    plan,
    startedMs: nowMs,
    finishedMs: null,
    events: [],
    outcome: null,
    ...(practice ? { practice } : {}),
  };
}
