import * as z from 'zod';

export const learnedFormat = 'einkorn.learned/1';

/**
 * One number that a log taught. Multipliers are kept as their logarithm, so that 0 is "as the table says"; minutes, steps of
 * a rating scale and standard deviations of the table stand as they are.
 */
export const learnedValueSchema = z.strictObject({
  value: z.number().min(-10).max(10),
  /** one standard deviation of the value after the cooks, and before any; same unit */
  sd: z.number().min(0).max(10),
  priorSd: z.number().positive().max(10),
  /** the value before any cook; 0 where it is left out */
  priorMean: z.number().min(-10).max(10).optional(),
  /** cooks that told something of it */
  cooks: z.number().int().min(0),
  /** what a multiplier multiplies with: e to the value */
  factor: z.number().positive().optional(),
});
export type LearnedValue = z.infer<typeof learnedValueSchema>;

const values = z.record(z.string().max(60), learnedValueSchema);

/** What a log taught of pots, of the cook's hands and taste, and of grains (docs/formats.md). */
export const learnedSchema = z.strictObject({
  format: z.literal(learnedFormat),
  /** by pot id, then by parameter */
  pots: z.record(z.string().max(60), values).default({}),
  /** hands, taste and classes of grain */
  cook: values.default({}),
  /** by food id, then `shift` and `speed` */
  grains: z.record(z.string().max(60), values).default({}),
  /** what these cooks cannot tell, and what would */
  notIdentified: z.array(z.strictObject({ of: z.string(), parameter: z.string(), text: z.string() })).default([]),
  /** a pot that changed: from which cook on */
  drift: z
    .array(
      z.strictObject({
        pot: z.string(),
        parameter: z.string(),
        sinceCook: z.string(),
        /** of the sentence in the catalogue; documents of before have only its text */
        code: z.string().optional(),
        text: z.string(),
      }),
    )
    .default([]),
  /** what would teach most next, the best first; `share` of the spread of the next dish that it takes off, 0..1 */
  next: z
    .array(
      z.strictObject({
        code: z.string().optional(),
        what: z.string(),
        why: z.string(),
        pot: z.string(),
        of: z.string(),
        share: z.number().min(0).max(1),
      }),
    )
    .default([]),
  /** cooks that were read, and those that taught nothing */
  cooks: z
    .strictObject({ used: z.number().int().min(0), leftOut: z.number().int().min(0) })
    .default({ used: 0, leftOut: 0 }),
});
export type Learned = z.infer<typeof learnedSchema>;
