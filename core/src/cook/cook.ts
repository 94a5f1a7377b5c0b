import * as z from 'zod';
import { dishSchema } from '../dish/schema';
import { planSchema, type Plan } from '../plan/document';
import { eventKinds } from './events';
import { cookTimeline } from './timeline';
import { lockedAgain } from './rescued-steps';
import { standingEvents, ofThisRun } from './runs';

export const cookFormat = 'einkorn.cook/1';

/** Fixed scales, five steps each, in the order a cook would say them. The texts are in the catalogues. */
export const ratingScales = {
  grain: ['hard', 'firm', 'fluffy', 'soft', 'mushy'],
  meat: ['under', 'done', 'tender', 'dry', 'stringy'],
  bottom: ['clean', 'film', 'stuck', 'brown', 'burnt'],
  sauce: ['dry', 'moist', 'loose', 'wet', 'soup'],
  salt: ['flat', 'low', 'right', 'high', 'too-much'],
} as const;
export type RatingKey = keyof typeof ratingScales;
export const ratingKeys = Object.keys(ratingScales) as RatingKey[];
/** What is asked after a plan: a dish without meat is not asked about it. */
export const askedAfter = (p: Plan): RatingKey[] => ratingKeys.filter((k) => k !== 'meat' || p.meats.length > 0);

const step = z.number().int().min(0).max(4);
export const ratingsSchema = z.strictObject({
  grain: step.optional(),
  meat: step.optional(),
  bottom: step.optional(),
  sauce: step.optional(),
  salt: step.optional(),
});
export type Ratings = z.infer<typeof ratingsSchema>;

const moment = z.number().int().min(0).max(4_102_444_800_000);

export const cookEventSchema = z.strictObject({
  /** made by the client, so that a repeated send is one event */
  id: z.string().min(1).max(60),
  kind: z.enum(eventKinds),
  step: z.string().max(80).optional(),
  atMs: moment,
  note: z.string().max(500).optional(),
  /** what was measured: degC (core), g (weight), kPa (gauge), min (timer, hold-min; of a rescue what it takes) */
  value: z.number().min(-100).max(100_000).optional(),
  /** of a rescue that locks the lid again: its minutes at pressure */
  holdMin: z.number().min(0).max(600).optional(),
  /** of a rescue: liquid that was added, mL */
  addMl: z.number().min(0).max(5000).optional(),
  /** the device that told it; absent when a hand tapped */
  device: z.string().max(40).optional(),
});

/** What can go wrong with the practice cooker. */
export const faults = ['slow-seal', 'leaking-ring', 'burn-cut-out', 'weak-heater', 'late-whistle'] as const;
export type Fault = (typeof faults)[number];
export const practiceSchema = z.strictObject({
  /** the same seed is the same cooker, to the last flicker of its needle */
  seed: z.number().int().min(0).max(2_147_483_647),
  faults: z.array(z.enum(faults)).max(faults.length).default([]),
  /** the faults were drawn and are not shown before the end */
  surprise: z.boolean().default(false),
  /** how fast the practice clock runs against the wall's */
  speed: z.number().min(1).max(60).default(10),
  /** who tells the stove of the pin: the devices, or the cook, who then learns to look */
  hands: z.enum(['you', 'devices']).default('you'),
});
export type Practice = z.infer<typeof practiceSchema>;

/** What the cook says afterwards. */
export const outcomeSchema = z.strictObject({
  ratings: ratingsSchema.default({}),
  coreC: z.number().min(0, 'Below 0 °C nothing is cooked.').max(130, 'No pot gets that hot.').optional(),
  note: z.string().max(4000).optional(),
});
export type Outcome = z.infer<typeof outcomeSchema>;

export const cookSchema = z.strictObject({
  format: z.literal(cookFormat),
  id: z.string().min(1).max(60),
  dishId: z.string().max(60).nullable(),
  dish: dishSchema,
  plan: planSchema,
  startedMs: moment,
  finishedMs: moment.nullable(),
  events: z.array(cookEventSchema).max(2000),
  outcome: outcomeSchema.nullable(),
  /** a cook on the simulated cooker; it never counts in a statistic */
  practice: practiceSchema.optional(),
});
export type Cook = z.infer<typeof cookSchema>;
export type StoredEvent = z.infer<typeof cookEventSchema>;

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
  const timed = cookTimeline(cook.plan.steps, cook.startedMs, cook.events, end);
  const find = (id: string) => timed.steps.find((s) => s.step.id === id);
  const minutes = (ms: number): number => ms / 60_000;
  const standing = standingEvents(cook.events);
  const kept = ofThisRun(standing);
  const has = (kind: string): boolean => kept.some((e) => e.kind === kind);
  const again = lockedAgain(timed);
  const hold = find('hold');
  const release = timed.steps.filter((s) => s.step.stage === 'natural' || s.step.stage === 'vent');
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

/** The planner's own forecast on the rating scales, to set beside what the cook said; null where it makes none. */
export function forecast(p: Plan): Record<RatingKey, number | null> {
  // Pasta on the same five steps: al dente is firm, tender is as it should be.
  const pastaSteps = { hard: 0, 'al-dente': 1, tender: 2, soft: 3 } as const;
  const grain = p.grain ? ratingScales.grain.indexOf(p.grain.band) : p.pasta ? pastaSteps[p.pasta.band] : null;
  const starch = p.grain ?? p.pasta;
  const sauceSteps = { dry: 0, moist: 1, saucy: 2, soupy: 4 } as const;
  const meatSteps: Record<string, number> = { under: 0, juicy: 1, firm: 1, tender: 2, dry: 3, tough: 4 };
  const meat = p.meats[0];
  const bottom = p.scorch.level === 'low' ? 0 : p.scorch.level === 'watch' ? 1 : 3;
  // What is missing is added; only what is already too much can go wrong.
  const salted = Math.max(p.salt.percent, p.salt.aimPercent);
  return {
    grain,
    meat: meat ? (meatSteps[meat.texture] ?? null) : null,
    bottom,
    sauce: starch ? sauceSteps[starch.sauce] : null,
    salt: salted > 1.3 ? 4 : salted > 1.05 ? 3 : 2,
  };
}
