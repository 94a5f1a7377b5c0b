import * as z from 'zod';
import { actualOf } from './actual';
import type { Cook } from './cook';
import { momentSchema, type CookEvent } from './events';
import { ratingsSchema } from './ratings';

const minutes = z.number();

/** A cook as a row of the log shows it: what was planned beside what was, without its plan and its taps. */
export const cookSummarySchema = z.strictObject({
  id: z.string(),
  dishId: z.string().nullable(),
  title: z.string(),
  serves: z.number(),
  potId: z.string(),
  startedMs: momentSchema,
  finishedMs: momentSchema.nullable(),
  practice: z.boolean(),
  liquidMl: z.number(),
  planned: z.strictObject({
    toPinMin: minutes,
    /** one standard deviation of it, min; not known of plans of before 30 Nov 2026 */
    toPinSdMin: minutes.optional(),
    servedMs: momentSchema,
    /** texture of the grain or pasta; null without one */
    band: z.string().nullable(),
    coreC: z.number().nullable(),
  }),
  actual: z.strictObject({ toPinMin: minutes.nullable(), servedMs: momentSchema, coreC: z.number().nullable() }),
  ratings: ratingsSchema,
  note: z.string(),
  /** something was put right on the way: the pot cut out, the cook left the plan, a rescue */
  trouble: z.boolean(),
});
export type CookSummary = z.infer<typeof cookSummarySchema>;

/** Events that say that something went wrong. */
export const troubleKinds: readonly CookEvent['kind'][] = ['burn', 'off-plan', 'rescued'];

/** A cook that nobody ended is held for forgotten after so long, ms: no dish here takes half as long. */
export const leftAfterMs = 8 * 3_600_000;

/** Orders of the log, and how its cooks may have come out. */
export const logSorts = ['newest', 'oldest', 'title', 'rating'] as const;
export const logOutcomes = ['right', 'softer', 'firmer', 'unrated', 'trouble'] as const;
export type LogSort = (typeof logSorts)[number];
export type LogOutcome = (typeof logOutcomes)[number];

/** A page of the log. */
export const cookPageSchema = z.strictObject({
  cooks: z.array(cookSummarySchema),
  /** what to ask for the next page with; null on the last */
  next: z.string().nullable(),
  /** cooks that fit what was asked for */
  found: z.number().int().min(0),
  /** cooks in the whole log, with real food and practised */
  real: z.number().int().min(0),
  practised: z.number().int().min(0),
  /** pots that the log knows */
  potIds: z.array(z.string()),
});
export type CookPage = z.infer<typeof cookPageSchema>;

export function summaryOf(cook: Cook): CookSummary {
  const { plan, dish, outcome } = cook;
  const actual = actualOf(cook);
  const plannedMs = plan.steps.reduce((ms, s) => ms + s.minutes * 60_000, 0);
  return {
    id: cook.id,
    dishId: cook.dishId,
    title: dish.title,
    serves: dish.serves,
    potId: plan.pot.id,
    startedMs: cook.startedMs,
    finishedMs: cook.finishedMs,
    practice: cook.practice !== undefined,
    liquidMl: plan.liquid.addMl,
    planned: {
      toPinMin: plan.program.pinUpMin,
      ...(plan.program.pinUpSdMin === undefined ? {} : { toPinSdMin: plan.program.pinUpSdMin }),
      servedMs: Math.round(cook.startedMs + plannedMs),
      band: (plan.grain ?? plan.pasta)?.band ?? null,
      coreC: plan.meats[0]?.coreC ?? null,
    },
    actual: { toPinMin: actual.toPinMin, servedMs: actual.servedMs, coreC: outcome?.coreC ?? null },
    ratings: outcome?.ratings ?? {},
    note: outcome?.note ?? '',
    trouble: cook.events.some((e) => troubleKinds.includes(e.kind)),
  };
}
