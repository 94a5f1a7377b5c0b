import * as z from 'zod';
import { afterSchema } from './after';
import { curveSchema, potCurveSchema } from './curve';
import { finishStepSchema, fryStepSchema, stepSchema, timelineStageSchema } from './steps';
import {
  grainVerdictSchema,
  meatVerdictSchema,
  pastaVerdictSchema,
  plantVerdictSchema,
  scorchSchema,
} from './verdicts';
import { ownPotSchema } from '../../pot/own-pot';
import { reasonedSchema } from '../../reasoned';

/*
 * The plan document. These schemas are its only definition: the types are inferred, the command line prints them as
 * JSON Schema, the server stores plans by them. What was added after the first cooks were stored has a default, so that
 * they open for ever. Masses g, volumes mL or litres, times min, temperatures degC.
 */
export const planFormat = 'einkorn.plan/1';

const num = z.number();
const text = z.string();

export const releasePlanSchema = z.object({ kind: z.enum(['quick', 'natural', 'timed']), naturalMin: num.optional() });

export const ledgerRowSchema = z.object({
  /** stable key, used by overrides: `grain`, `sauce`, `steam`, `film`, `soak`, `cling`, `added`, `from:<ingredient>` */
  item: text,
  /** + comes into the pot's free water, - leaves it; all rows sum to 0 */
  grams: num,
  why: text,
  reason: reasonedSchema,
  ingredient: text.optional(),
  spreadG: num.optional(),
});
export type LedgerRow = z.infer<typeof ledgerRowSchema>;

export const severitySchema = z.enum(['info', 'caution', 'stop']);
export type Severity = z.infer<typeof severitySchema>;

export const warningSchema = z.object({
  code: text,
  severity: severitySchema,
  text,
  params: z.record(text, z.union([text, num])).optional(),
});
export type Warning = z.infer<typeof warningSchema>;

export const stackLayerSchema = z.object({
  /** 0 = bottom */
  position: num,
  ingredient: text,
  note: text.optional(),
  place: z.enum(['liquid', 'base', 'grain', 'top', 'rack', 'inner-bowl']).default('base'),
  kind: text,
  /** the layer with its voids, and the height of its lower and upper edge above the base */
  litres: num,
  fromMm: num,
  toMm: num,
  grams: num,
  waterG: num,
});
export type StackLayer = z.infer<typeof stackLayerSchema>;

export const planSchema = z.object({
  format: z.literal(planFormat),
  mode: z.enum(['solve', 'evaluate']),
  /** mark of the dish and the kitchen that it was made for; not in plans made before it was known */
  madeFor: text.optional(),
  /** what the log had taught when it was made; absent as from the factory */
  learned: z
    .strictObject({
      mark: text,
      /** `of` is a pot, a food or "cook"; multipliers as their logarithm, with one standard deviation */
      moved: z.array(
        z.strictObject({ of: text, parameter: text, value: z.number(), sd: z.number(), cooks: z.number() }),
      ),
    })
    .optional(),
  title: text,
  family: text,
  serves: num,
  texture: z.enum(['firm', 'fluffy', 'soft']),
  liquid: z.object({
    addMl: num,
    rangeMl: z.tuple([num, num]),
    food: text,
    /** the liquids that are poured together, where several are */
    parts: z.array(z.object({ ingredient: text, food: text, ml: num })).default([]),
    /** between what the planner chose, and what set the ends; not in plans of the cook's own numbers */
    bounds: z.object({ leastMl: num, leastBy: text, mostMl: num, mostBy: text }).optional(),
    ledger: z.array(ledgerRowSchema),
  }),
  salt: z.object({
    percent: num,
    addG: num,
    aimPercent: num,
    sources: z.array(z.object({ item: text, grams: num })),
    teaspoons: z.array(z.object({ kind: text, tsp: num })).default([]),
    /** salted at the table and not in the pot: what to use there, g */
    tableG: num.default(0),
  }),
  grain: grainVerdictSchema.nullable(),
  pasta: pastaVerdictSchema.nullable(),
  /** hot liquid that does not fit under the lid and is stirred in after opening, mL */
  topUpMl: num.default(0),
  program: z.object({
    pressure: z.enum(['high', 'low']),
    gaugeKpa: num,
    holdMin: num,
    release: releasePlanSchema,
    minutesToPressure: num,
    pinUpMin: num,
    /** one standard deviation of it, min; not in plans of before 30 Nov 2026 */
    pinUpSdMin: num.optional(),
    naturalFullMin: num,
    steamC: num,
    /** how many of a hundred cooks come out as wanted, and of its four parts; not in plans of before 29 Nov 2026 */
    chance: z.object({ of100: num, texture: num, pieces: num, base: num, release: num }).optional(),
    whistles: num.optional(),
    /** the program of a cooker that has only such */
    program: text.optional(),
    /** what speaks for and against each way of letting the pressure off here; keys of the text catalogue */
    advice: z
      .array(z.object({ release: z.enum(['quick', 'natural']), code: text, weight: z.enum(['for', 'against']) }))
      .default([]),
  }),
  /** what cooks under its own pressure first, and then gets the rest on top */
  firstStage: z
    .object({
      ingredients: z.array(text),
      /** the parts it is for */
      slow: z.array(text).default([]),
      /** thin liquid predicted in the pot between the stages, g; the cook may enter what they measure */
      gravyG: num.default(0),
      measuredMl: num.optional(),
      liquidMl: num,
      holdMin: num,
      minutesToPressure: num,
      ventMin: num,
      steamG: num,
      minutes: num,
      whistles: num.optional(),
      /** its own run under its own lid; plans of before 28 Nov 2026 have none */
      curve: potCurveSchema.optional(),
    })
    .nullable(),
  /** water under the inner bowl, where there is one */
  outerLiquidMl: num.nullable(),
  meats: z.array(meatVerdictSchema),
  plants: z.array(plantVerdictSchema),
  fry: z.array(fryStepSchema),
  /** loosening the base before the lid; null where nothing was fried. `ml` is what of the liquid goes in first; older plans name no food: it is the liquid to add */
  deglaze: z
    .object({
      ml: num,
      food: text.optional(),
      minutes: num,
      baseC: num,
      foodC: num,
      reducedG: num,
      enough: z.boolean(),
    })
    .nullable()
    .default(null),
  stack: z.array(stackLayerSchema),
  /** what goes in with the liquid and takes no room: seasonings and fat that were not fried; salt is told apart; older plans say nothing of it */
  withLiquid: z.array(z.object({ ingredient: text, grams: num })).optional(),
  /** what comes after the lid */
  after: afterSchema,
  heldBack: z.array(z.object({ ingredient: text, until: z.enum(['finish', 'topping']), why: text })),
  finish: z.array(finishStepSchema),
  timeline: z.array(timelineStageSchema),
  steps: z.array(stepSchema),
  pot: z.object({
    id: text,
    /** the cook's own pot as it was; absent for a pot of the table */
    own: ownPotSchema.optional(),
    litres: num,
    diameterMm: num,
    altitudeM: num,
    fillLitres: num,
    fillFraction: num,
    limitFraction: num,
    /** from here on starch may foam into the valve; null where nothing foams */
    foamFraction: num.nullable().default(null),
    minimumLiquidMl: num,
    thinLiquidMl: num,
    liquidLevelMm: num,
    ok: z.boolean(),
  }),
  scorch: scorchSchema,
  warnings: z.array(warningSchema),
  /** what to change where a stop stays or the plan seldom comes out: each was planned anew; the best first */
  proposals: z
    .array(
      z.object({
        code: text,
        ingredient: text,
        to: z.union([num, text]).optional(),
        /** stops and troubles that are left with it */
        stops: num,
        trouble: num,
        /** how many of 100 cooks come out as wanted with it; not in plans made before it was known */
        of100: num.optional(),
      }),
    )
    .default([]),
  decided: z.object({
    addMl: reasonedSchema,
    holdMin: reasonedSchema,
    naturalMin: reasonedSchema,
    pressure: reasonedSchema,
    saltG: reasonedSchema,
  }),
  curve: curveSchema,
});
export type Plan = z.infer<typeof planSchema>;
