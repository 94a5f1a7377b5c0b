import * as z from 'zod';
import { findFood, foodIds } from './find';
import { says } from '../problem';
import { slugId } from '../slug-id';

/** A kitchen's glass holds no less and no more than this, mL [common practice]. */
const leastMl = 5;
const mostMl = 3000;
/** A heap on a glass adds a quarter at most, a hasty scoop lacks as much; more is a slip [derived: a cone of 35 degrees]. */
const leastScoop = 0.7;
const mostScoop = 1.5;

/** A glass, a mug or a cup of the cook's own: filled level with a food and weighed without its own weight, the scale says what it holds. */
export const ownMeasureSchema = z
  .strictObject({
    id: z.string().regex(/^own-[a-z0-9-]{1,54}$/, says('own-id', { start: 'own-' })),
    /** what the cook calls it: "my mug" */
    name: z
      .string()
      .trim()
      .min(1, says('name-needed'))
      // It stands in fields, on tabs and in the pot.
      .max(16, says('characters-at-most', { most: 16 }))
      .refine((name) => /\p{L}/u.test(name), { error: says('name-needed') }),
    /** the food that it was weighed with */
    filledWith: z.string().refine((id) => foodIds.includes(id), { error: says('like-food-needed') }),
    /** what the scale showed, g */
    grams: z.number().positive(says('number-above-0')),
    /** long grain rice in it as the cook scoops it, heaped or shaken, g */
    scoopedG: z.number().positive(says('number-above-0')).optional(),
  })
  .superRefine((own, ctx) => {
    if (!foodIds.includes(own.filledWith)) return;
    const ml = ownMeasureMl(own);
    if (scoopOf(own) < leastScoop || scoopOf(own) > mostScoop)
      ctx.addIssue({
        code: 'custom',
        path: ['scoopedG'],
        message: says('scoop-size', { g: Math.round(ml * levelGPerMl()) }),
      });
    if (ml < leastMl || ml > mostMl)
      ctx.addIssue({
        code: 'custom',
        path: ['grams'],
        message: says('measure-size', { ml: Math.round(ml), least: leastMl, most: mostMl }),
      });
  });
export type OwnMeasure = z.infer<typeof ownMeasureSchema>;

/** What it holds, mL: the mass by the bulk density of what it was filled with, to the millilitre (a scale knows no better). */
export const ownMeasureMl = ({ filledWith, grams }: Pick<OwnMeasure, 'filledWith' | 'grams'>): number =>
  Math.round(grams / findFood(filledWith).bulkGPerMl[0]);

/** Rice as it is poured, g/mL: what a scoop is measured against. */
const levelGPerMl = (): number => findFood('rice-long').bulkGPerMl[0];
/** How much more than level the cook scoops of what can be heaped; 1 where that was not weighed. */
export const scoopOf = (own: Pick<OwnMeasure, 'filledWith' | 'grams' | 'scoopedG'>): number =>
  own.scoopedG === undefined ? 1 : own.scoopedG / (ownMeasureMl(own) * levelGPerMl());

/** What it holds of a food, level, g. */
export const ownMeasureG = (own: OwnMeasure, food: string): number => ownMeasureMl(own) * findFood(food).bulkGPerMl[0];

export const ownMeasureId = (name: string, taken: readonly string[]): string =>
  slugId('own', name, { nameless: 'measure', taken });
