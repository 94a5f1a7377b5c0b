import * as z from 'zod';

/** One term of a sum: `label` is a key of the text catalogue, so that every language tells the same sum. */
export const termSchema = z.object({
  label: z.string(),
  value: z.number(),
  unit: z.enum(['g', 'ml', 'min', 'C', 'share', 'g/g', 'kPa', 'percent', 'points']),
  source: z.string().optional(),
  /** What the term speaks of (a food id or an ingredient id), when the label needs one. */
  subject: z.string().optional(),
});
export type Term = z.infer<typeof termSchema>;

/**
 * A number that was decided, with the terms that made it. The "why" in the interface, the ledger and the tests read
 * the same terms. `overruled` holds what the planner would have chosen when the cook set the value by hand.
 */
export const reasonedSchema = z.object({
  value: z.number(),
  rule: z.string(),
  terms: z.array(termSchema),
  overruled: z.number().optional(),
});
export type Reasoned = z.infer<typeof reasonedSchema>;

export const reasoned = (value: number, rule: string, terms: Term[], overruled?: number): Reasoned =>
  overruled === undefined ? { value, rule, terms } : { value, rule, terms, overruled };
