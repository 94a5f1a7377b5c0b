import * as z from 'zod';
import { finishCodes, stepIdSchema } from './step-id';

const num = z.number();
const text = z.string();

export const stageSchema = z.enum(['prep', 'fry', 'first', 'stack', 'heat-up', 'hold', 'natural', 'vent', 'finish']);

export const timelineStageSchema = z.object({
  stage: stageSchema,
  startMin: num,
  endMin: num,
  handsOn: z.boolean(),
  /** the hottest the pot gets in this stage, degC */
  peakC: num,
});
export type TimelineStage = z.infer<typeof timelineStageSchema>;

export const fryStepSchema = z.object({
  order: num,
  ingredient: text,
  minutes: num,
  /** key of the text catalogue */
  until: text,
  takeOut: z.boolean(),
  /** why it comes out again, a key of the text catalogue */
  takeOutWhy: text.optional(),
  batches: num.optional(),
  /** of pieces: how thick they are, and the base that one batch covers */
  thicknessMm: num.optional(),
  coverCm2: num.optional(),
  /** what goes wrong in the order the cook chose, a key of the text catalogue */
  trouble: z.enum(['burns', 'steams', 'sticks']).optional(),
  /** what the sear is for: colour only, half way to the middle, or a head start for a slow piece */
  aim: z.enum(['colour', 'half', 'brown']).optional(),
  /** the pan after this step, and what boiled off in it */
  foodC: num.optional(),
  baseC: num.optional(),
  evaporatedG: num.optional(),
});
export type FryStep = z.infer<typeof fryStepSchema>;

export const finishStepSchema = z.object({
  order: num,
  code: z.enum(finishCodes),
  text,
  minutes: num.optional(),
  ingredients: z.array(text),
  /** the mixture once these things are in it, degC */
  tempC: num.optional(),
  /** heat that this step needs, and whether the lid lies on */
  heat: z.enum(['saute', 'keep-warm']).optional(),
  lidOn: z.boolean().optional(),
  /** what must be reached in the middle, degC: published minimum, recalled */
  minimumC: num.optional(),
  /** liquid poured in, mL */
  ml: num.optional(),
});
export type FinishStep = z.infer<typeof finishStepSchema>;

/** One instruction of the guided cook. `text` and `caution` are keys of the text catalogue, `params` fill them. */
export const stepSchema = z.object({
  id: stepIdSchema,
  stage: stageSchema,
  /** hands on, or a wait that the clock or the pot ends */
  kind: z.enum(['do', 'wait']),
  minutes: num,
  text,
  params: z.record(text, z.union([text, num])),
  ingredients: z.array(text),
  /** the tap that ends this step */
  expects: z.enum(['pin-up', 'pin-down']).optional(),
  caution: text.optional(),
});
export type Step = z.infer<typeof stepSchema>;
