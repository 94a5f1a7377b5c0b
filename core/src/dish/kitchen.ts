import * as z from 'zod';
import { ownFoodSchema } from '../food/own-food';
import { potIds } from '../pot/profile';
import { learnedSchema } from './learned';

export const kitchenFormat = 'einkorn.kitchen/1';

/** Where the cook stands: which pot, how high above the sea, how things are shown. */
export const kitchenSchema = z.strictObject({
  format: z.literal(kitchenFormat).default(kitchenFormat),
  potId: z
    .string()
    .refine((p) => potIds.includes(p), { error: `Choose a pot of the kitchen: ${potIds.join(', ')}.` })
    .default('electric-5.7'),
  altitudeM: z
    .number()
    .min(-430, 'No kitchen lies lower than -430 m.')
    .max(5500, 'Above 5,500 m the model is not checked.')
    .default(0),
  units: z.enum(['metric', 'cups']).default('metric'),
  theme: z.enum(['auto', 'light', 'dark']).default('auto'),
  /** the simulated cooker, thermometer and scale take part in every cook, as real ones would */
  devices: z.boolean().default(false),
  /** foods that the cook added from their packets */
  ownFoods: z
    .array(ownFoodSchema)
    .max(300, 'At most 300 foods of your own.')
    .refine((all) => new Set(all.map((f) => f.id)).size === all.length, { error: 'Two foods of your own share an id.' })
    .optional(),
  /** plan with what the log taught; off, every plan is as from the factory */
  learning: z.boolean().default(true),
  /** what the log taught of its pots, its cook and its grains */
  learned: learnedSchema.optional(),
});
export type Kitchen = z.infer<typeof kitchenSchema>;
