import * as z from 'zod';
import { fields } from '../dish/fields';
import { dishSchema } from '../dish/schema';
import { planSchema } from '../plan/document/document';
import { factorNames } from '../pot/factors';
import { cookEventSchema, idSchema, momentSchema } from './events';
import { upgradeEvents } from './old-events';
import { ratingsSchema } from './ratings';

export const cookFormat = 'einkorn.cook/2';

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
  /** the cook's own pot as the log taught it: logarithms of what the fields of the table's are multiplied with */
  pot: z.partialRecord(z.enum(factorNames), z.number().min(-3).max(3)).optional(),
});
export type Practice = z.infer<typeof practiceSchema>;

/** What the cook says afterwards. */
export const outcomeSchema = z.strictObject({
  ratings: ratingsSchema.default({}),
  coreC: fields.coreC.optional(),
  note: z.string().max(4000).optional(),
});
export type Outcome = z.infer<typeof outcomeSchema>;

const currentCookSchema = z.strictObject({
  format: z.literal(cookFormat),
  id: idSchema,
  dishId: z.string().max(60).nullable(),
  dish: dishSchema,
  plan: planSchema,
  startedMs: momentSchema,
  finishedMs: momentSchema.nullable(),
  events: z.array(cookEventSchema).max(2000),
  outcome: outcomeSchema.nullable(),
  /** a cook on the simulated cooker; it never counts in a statistic */
  practice: practiceSchema.optional(),
});

/** A cook of any version; older ones are read as today's. */
export const cookSchema = z.preprocess(upgradeCook, currentCookSchema);
export type Cook = z.infer<typeof cookSchema>;

/** Version 1 kept all events in one shape. */
function upgradeCook(x: unknown): unknown {
  if (typeof x !== 'object' || x === null || !('format' in x) || x.format !== 'einkorn.cook/1') return x;
  const events = 'events' in x && Array.isArray(x.events) ? upgradeEvents(x.events) : [];
  return { ...x, format: cookFormat, events };
}
