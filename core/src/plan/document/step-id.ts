import * as z from 'zod';

/** Steps that are in a cook once; each is called by one word everywhere. */
export const onceStepIds = [
  'deglaze',
  'first-fill',
  'first-heat',
  'first-full',
  'first-hold',
  'first-vent',
  'first-open',
  'stack',
  'lock',
  'heat-up',
  'to-full',
  'hold',
  'natural',
  'vent',
] as const;

/** What is done on the board before the heat goes on. */
export const taskCodes = ['rinse', 'soak', 'dice', 'shape', 'chop', 'measure'] as const;
export type TaskCode = (typeof taskCodes)[number];

/** What is done after the lid opens, in the order of the finish. */
export const finishCodes = [
  'open',
  'check',
  'check-pot',
  'take-out',
  'shred',
  'top-up',
  'simmer',
  'simmer-pasta',
  'seafood',
  'seafood-cooked',
  'egg-raw',
  'reheat',
  'florets',
  'stir-in',
  'warm',
  'slurry',
  'dairy',
  'back',
  'check-finish',
  'cheese',
  'herbs',
  'topping',
  'scatter',
  'rest',
  'wide-dish',
  'fork',
  'stand',
  'serve',
  'pour-away',
] as const;
export type FinishCode = (typeof finishCodes)[number];

/**
 * The name of a step within its cook: one of a kind, or a kind with the ingredient or the number that tells it from the
 * next. Steps of `rescue` and `broken-off` are no part of a plan: a rescue puts them in while the cook runs.
 */
export const stepIdSchema = z.union([
  z.enum(onceStepIds),
  z.templateLiteral(['prep-', z.enum(taskCodes)]),
  z.templateLiteral(['prep-', z.enum(taskCodes), '-', z.string().min(1)]),
  z.templateLiteral(['fry-', z.string().min(1)]),
  z.templateLiteral(['stack-layer-', z.int().positive()]),
  z.templateLiteral(['finish-', z.enum(finishCodes)]),
  z.templateLiteral(['finish-', z.enum(finishCodes), '-', z.int().positive()]),
  z.templateLiteral(['rescue-', z.int().nonnegative()]),
  z.templateLiteral(['broken-off-', z.int().nonnegative()]),
]);
export type StepId = z.infer<typeof stepIdSchema>;
