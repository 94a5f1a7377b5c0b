import * as z from 'zod';
import type { Dish } from '../dish/schema';
import type { Plan } from '../plan/document/document';

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
/** What is asked after a cook: a dish without meat is not asked about it, and nobody tastes the water of a calibration. */
export const askedAfter = ({ dish, plan }: { dish: Pick<Dish, 'calibrates'>; plan: Plan }): RatingKey[] =>
  dish.calibrates ? [] : ratingKeys.filter((k) => k !== 'meat' || plan.meats.length > 0);

const step = z.number().int().min(0).max(4);
export const ratingsSchema = z.strictObject({
  grain: step.optional(),
  meat: step.optional(),
  bottom: step.optional(),
  sauce: step.optional(),
  salt: step.optional(),
});
export type Ratings = z.infer<typeof ratingsSchema>;

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
