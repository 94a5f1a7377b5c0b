import * as z from 'zod';
import { says } from '../problem';
import { ownFoodSchema } from '../food/own-food';
import { fields } from './fields';
import { unitIds } from '../quantity/units';

export const dishFormat = 'einkorn.dish/1';

export const families = [
  'plain-grain',
  'coated-grain',
  'one-pot-grain',
  'layered-grain',
  'biryani',
  'risotto',
  'casserole',
  'one-pot-pasta',
  'layered-pasta',
  'noodle-soup',
  'rack-over-grain',
  'pot-in-pot',
  'porridge',
  'steamed-side',
] as const;
export type Family = (typeof families)[number];

const id = z
  .string()
  .trim()
  .min(1, says('name-needed'))
  .max(60, says('characters-at-most', { most: 60 }));
const positive = z.number().positive(says('number-above-0'));

export const amountSchema = z.strictObject({
  value: positive.max(100_000, says('more-than-a-kitchen')),
  unit: z.enum(unitIds),
});

export const prepSchema = z.strictObject({
  rinse: z.boolean().optional(),
  soakMin: z.number().min(0, says('minutes-negative')).max(1440, says('soak-too-long')).optional(),
  thicknessMm: z
    .number()
    .min(1, says('at-least', { value: '1 mm' }))
    .max(90, says('piece-too-thick'))
    .optional(),
  shape: z.enum(['slab', 'strip', 'cube', 'ground', 'whole', 'sphere', 'cylinder']).optional(),
  /** what one piece weighs, g: its thickness follows, and pieces are counted by it */
  pieceG: z
    .number()
    .min(1, says('at-least', { value: '1 g' }))
    .max(3000, says('piece-too-heavy'))
    .optional(),
  state: z.enum(['raw', 'frozen', 'half-frozen', 'part-seared', 'browned', 'cooked', 'toasted']).optional(),
  /** cut to the bone or deep into the flesh, so that the heat gets in */
  slit: z.boolean().optional(),
  /** how brown it gets in the pan: no pink outside, half through, or well browned */
  brown: z.enum(['colour', 'half', 'brown']).optional(),
  packetMinutes: z.number().positive().max(60).optional(),
  coated: z.boolean().optional(),
  hot: z.boolean().optional(),
  /** what is done to it once the lid is open: it is lifted out, or pulled apart and put back */
  onceOpen: z.enum(['take-out', 'shred']).optional(),
});

export const ingredientSchema = z.strictObject({
  id,
  food: z.string().trim().min(1, says('food-needed')).max(60),
  /** the packet of a food of the cook's own; its id is the `food` */
  ownFood: ownFoodSchema.optional(),
  /** what the cook calls it, where the food of the table stands for many: cumin among the ground spices */
  name: z
    .string()
    .trim()
    .min(1, says('name-needed'))
    .max(60, says('characters-at-most', { most: 60 }))
    .optional(),
  amount: amountSchema,
  prep: prepSchema.optional(),
  place: z.enum(['base', 'liquid', 'grain', 'top', 'rack', 'inner-bowl']).optional(),
  joins: z.enum(['marinade', 'fry', 'stack', 'finish', 'topping']).optional(),
  /** fried and taken out, where it comes back: at the end, or on top before the lid */
  back: z.enum(['finish', 'top']).optional(),
});

export const releaseSchema = z.strictObject({
  kind: z.enum(['quick', 'natural', 'timed']),
  naturalMin: fields.naturalMin.optional(),
});

const { holdMin, liquidMl } = fields;

export const asCookedSchema = z.strictObject({
  liquidMl: liquidMl.optional(),
  pressure: z.enum(['high', 'low']),
  holdMin,
  release: releaseSchema,
  whistles: z.number().int().min(0).max(30).optional(),
  minutesToPressure: z.number().positive().max(120).optional(),
  /** hot liquid added after opening, mL */
  topUpMl: liquidMl.optional(),
  /** slow parts that had a stage of their own first, its hold and the liquid in it */
  firstStage: z.strictObject({ holdMin, liquidMl: liquidMl.optional() }).optional(),
});

/** What the cook decided instead of the planner. Each can be released again by leaving it out. */
export const overridesSchema = z.strictObject({
  liquidMl: liquidMl.optional(),
  holdMin: holdMin.optional(),
  release: releaseSchema.optional(),
  pressure: z.enum(['high', 'low']).optional(),
  /** salt to add, g */
  saltG: fields.saltG.optional(),
  /** thin liquid measured in the pot between the two stages, mL: replaces what was predicted */
  gravyMl: liquidMl.optional(),
  /** order of the pan by ingredient id; what is not named keeps the planner's order after it */
  fryOrder: z.array(id).max(60).optional(),
  /** slow parts get a stage of their own first, or never do */
  firstStage: z.boolean().optional(),
  /** habits at the base: scraped clean before the lid, grain stirred down, minutes kept warm after */
  deglazed: z.boolean().optional(),
  stirredDown: z.boolean().optional(),
  keepWarmMin: z.number().min(0).max(600).optional(),
  /** rows of the water ledger, by their key, g */
  ledger: z.record(z.string(), fields.rowG).optional(),
});

export const dishSchema = z.strictObject({
  format: z.literal(dishFormat),
  title: z
    .string()
    .trim()
    .min(1, says('title-needed'))
    .max(120, says('characters-at-most', { most: 120 })),
  family: z.enum(families),
  serves: z
    .number()
    .int(says('whole-people'))
    .min(1, says('at-least', { value: '1 person' }))
    .max(60, says('at-most', { value: '60 people' })),
  ingredients: z
    .array(ingredientSchema)
    .min(1, says('ingredient-needed'))
    .max(60, says('at-most', { value: '60 ingredients' })),
  asCooked: asCookedSchema.optional(),
  overrides: overridesSchema.optional(),
  texture: z.enum(['firm', 'fluffy', 'soft']).optional(),
  /** water alone, cooked to learn what the pot does: nobody eats it */
  calibrates: z.literal(true).optional(),
  serveAt: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, says('time-form'))
    .optional(),
  notes: z.string().max(4000).optional(),
});

export type Dish = z.infer<typeof dishSchema>;
export type Ingredient = z.infer<typeof ingredientSchema>;
export type AsCooked = z.infer<typeof asCookedSchema>;
export type Overrides = z.infer<typeof overridesSchema>;
