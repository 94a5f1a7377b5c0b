import * as z from 'zod';
import { says } from '../problem';
import { binders } from '../food/binder';
import { ownFoodSchema } from '../food/own-food';
import { ownMeasureSchema } from '../food/own-measure';
import { ownPotSchema, type PotRef } from '../pot/own-pot';
import { potIds } from '../pot/profile';
import { fields } from './fields';
import { learnedSchema } from './learned';

export const kitchenFormat = 'einkorn.kitchen/1';

/** A device's own name: letters, digits and dashes. */
export const deviceName = z.string().regex(/^[a-z0-9-]{1,20}$/, says('device-name'));

/** What may be said of the other pot of a lesson: less, the same or more of what is asked of. */
export const guesses = ['less', 'same', 'more'] as const;
/** A guess in a lesson of the lab; the lessons themselves are the business of `lab`. */
export const guessSchema = z.strictObject({
  lesson: z.string().regex(/^[a-z-]{1,20}$/),
  guess: z.enum(guesses),
  right: z.boolean(),
  atMs: z.number().int().min(0),
});
/** Older guesses make room for new ones. */
export const mostGuesses = 400;

/** Where the cook stands: which pot, how high above the sea, how things are shown. */
export const kitchenSchema = z
  .strictObject({
    format: z.literal(kitchenFormat).default(kitchenFormat),
    potId: z
      .string()
      .max(60, says('characters-at-most', { most: 60 }))
      .default('electric-5.7'),
    altitudeM: fields.altitudeM.default(0),
    units: z.enum(['metric', 'cups']).default('metric'),
    temperature: z.enum(['celsius', 'fahrenheit']).default('celsius'),
    weights: z.enum(['grams', 'ounces']).default('grams'),
    lengths: z.enum(['metric', 'inches']).default('metric'),
    /** of the screens; auto is that of the browser */
    language: z.enum(['auto', 'en', 'es']).default('auto'),
    theme: z.enum(['auto', 'light', 'dark']).default('auto'),
    /** the simulated cooker, thermometer and scale take part in every cook, as real ones would */
    devices: z.boolean().default(false),
    /** other devices, by their own names, whose readings count in a real cook */
    devicesLetIn: z.array(deviceName).max(20).default([]),
    /** set up for the demo, and nobody has said yet what kitchen it is; only the server ends it */
    isNew: z.literal(true).optional(),
    /** pots that the cook added, with what their manuals say */
    ownPots: z
      .array(ownPotSchema)
      .max(40, says('at-most', { value: '40 pots' }))
      .refine((all) => new Set(all.map((p) => p.id)).size === all.length, {
        error: says('own-id-twice'),
      })
      .optional(),
    /** foods that the cook added from their packets */
    ownFoods: z
      .array(ownFoodSchema)
      .max(300, says('at-most', { value: '300 foods' }))
      .refine((all) => new Set(all.map((f) => f.id)).size === all.length, {
        error: says('own-id-twice'),
      })
      .optional(),
    /** glasses and cups of the cook's own, weighed */
    ownMeasures: z
      .array(ownMeasureSchema)
      .max(20, says('at-most', { value: '20 measures' }))
      .refine((all) => new Set(all.map((m) => m.id)).size === all.length, {
        error: says('own-id-twice'),
      })
      .optional(),
    /** which of them is this kitchen's cup: amounts in cups are shown in it */
    cupId: z.string().max(60).optional(),
    /** which salt and which stock stand here, where a line says no more */
    usual: z
      .strictObject({
        salt: z.enum(['salt', 'salt-sea', 'salt-flaky']).optional(),
        broth: z.enum(['broth', 'broth-low-salt']).optional(),
        /** what a sauce is bound with */
        binder: z.enum(binders).optional(),
      })
      .optional(),
    /** what the cook guessed in the lessons of the lab, the oldest first */
    guesses: z.array(guessSchema).max(mostGuesses).optional(),
    /** plan with what the log taught; off, every plan is as from the factory */
    learning: z.boolean().default(true),
    /** what the log taught of its pots, its cook and its grains */
    learned: learnedSchema.optional(),
  })
  .superRefine(({ potId, ownPots = [] }, ctx) => {
    const known = [...potIds, ...ownPots.map((p) => p.id)];
    if (!known.includes(potId))
      ctx.addIssue({
        code: 'custom',
        path: ['potId'],
        message: says('pot-of-the-kitchen', { pots: known.join(', ') }),
      });
  });
export type Kitchen = z.infer<typeof kitchenSchema>;

/** A pot of this kitchen by its id. */
export const potNamed = ({ ownPots }: Pick<Kitchen, 'ownPots'>, id: string): PotRef => ({
  id,
  own: ownPots?.find((p) => p.id === id),
});
/** The pot that the kitchen cooks in. */
export const potInUse = (kitchen: Pick<Kitchen, 'ownPots' | 'potId'>): PotRef => potNamed(kitchen, kitchen.potId);
/** Every pot that is offered: the cook's own that are not put away, then those of the table. */
export const potsOffered = ({ ownPots = [] }: Pick<Kitchen, 'ownPots'>): PotRef[] => [
  ...ownPots.filter((own) => !own.retired).map((own) => ({ id: own.id, own })),
  ...potIds.map((id) => ({ id })),
];
/** The kitchen with its cook at another pot and height, as a plan keeps them. */
export const atPlace = (kitchen: Kitchen, { id, own, altitudeM }: PotRef & { altitudeM: number }): Kitchen => ({
  ...kitchen,
  potId: id,
  altitudeM,
  ...(own ? { ownPots: [...(kitchen.ownPots ?? []).filter((p) => p.id !== id), own] } : {}),
});
/** A kitchen with nothing but the place that a plan was made for. */
export const kitchenAt = ({ id, own, altitudeM }: PotRef & { altitudeM: number }): Kitchen =>
  kitchenSchema.parse({ potId: id, altitudeM, ...(own ? { ownPots: [own] } : {}) });
