import * as z from 'zod';
import { finishCodes, stepIdSchema } from './step-id';
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

export const meatVerdictSchema = z.object({
  ingredient: text,
  coreC: num,
  /** the same with thicker pieces and a weaker surface: what safety is judged by */
  cautiousCoreC: num,
  safeMinimumC: num,
  safeMinimumSource: text,
  log10Reduction: num,
  ok: z.boolean(),
  texture: z.enum(['under', 'juicy', 'firm', 'dry', 'tender', 'tough']),
  lossShare: num,
  /** collagen minutes at 116.5 degC in the core, and what this cut needs to be tender */
  collagenCoreMin: num.optional(),
  tenderCoreMin: num.optional(),
  /** cooked from raw, heated again, or hot already */
  kind: z.enum(['cook', 'reheat', 'none']).default('cook'),
  /** thickness that was reckoned with, and whether nobody measured it */
  thicknessMm: num.default(0),
  guessed: z.boolean().default(false),
});
export type MeatVerdict = z.infer<typeof meatVerdictSchema>;

/** A plant cooked as a piece: softening minutes at 100 degC in the core and in the mean. */
export const plantVerdictSchema = z.object({
  ingredient: text,
  coreC: num,
  softCoreMin: num,
  softMeanMin: num,
  verdict: z.enum(['hard', 'done', 'soft']),
  /** softening as times of the least needed, and as a share of the most it bears */
  doneTimes: num.default(1),
  softShare: num.default(0),
});
export type PlantVerdict = z.infer<typeof plantVerdictSchema>;

export const scorchReasonSchema = z.object({
  code: text,
  points: num,
  remedy: text.optional(),
  /** share of all that speaks for scorching, 0..1 */
  share: num.optional(),
  /** the risk once the remedy is taken, 0..1 */
  after: num.optional(),
});
export type ScorchReason = z.infer<typeof scorchReasonSchema>;

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

export const potCurveSchema = z.object({
  /** minutes after the lid locks */
  minutes: z.array(num),
  tempC: z.array(num),
  gaugeKpa: z.array(num),
});
export type PotCurve = z.infer<typeof potCurveSchema>;

export const curveSchema = potCurveSchema.extend({
  /** centre of the slowest meat, when there is one */
  meatC: z.array(num).optional(),
  /** the grain or pasta itself: its bed lags behind the pot */
  grainC: z.array(num).optional(),
  /** liquid that it has not drunk yet, g */
  freeG: z.array(num).optional(),
});
export type Curve = z.infer<typeof curveSchema>;

const bandSchema = z.enum(['hard', 'firm', 'fluffy', 'soft', 'mushy']);

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
  grain: z
    .object({
      food: text,
      ingredient: text,
      moisture: num,
      band: bandSchema,
      equivalentMin: num,
      freeSauceG: num,
      freeShare: num,
      sauce: z.enum(['dry', 'moist', 'saucy', 'soupy']),
      textureIndex: num,
      spreadPoints: num,
      /** sauce at the table, g, with what joins at the end */
      sauceG: num.optional(),
      /** band edges of this family on the texture index */
      edges: z.array(num).optional(),
      /** chance that the grain falls in its band, 0..1, from the ledger's spreads */
      bandChance: num,
      done: num,
      aimIndex: num,
    })
    .nullable(),
  pasta: z
    .object({
      food: text,
      ingredient: text,
      equivalentMin: num,
      packetMin: num,
      /** doneness as a multiple of the packet's minutes */
      x: num,
      band: z.enum(['hard', 'al-dente', 'tender', 'soft']),
      moisture: num,
      freeSauceG: num,
      freeShare: num,
      sauce: z.enum(['dry', 'moist', 'saucy', 'soupy']),
      /** sauce at the table, g, with what joins at the end */
      sauceG: num.optional(),
      /** one standard deviation of x, from what the kinetics of pasta are known to */
      spreadX: num,
      bandChance: num,
      aimX: num,
    })
    .nullable(),
  /** hot liquid that does not fit under the lid and is stirred in after opening, mL */
  topUpMl: num.default(0),
  program: z.object({
    pressure: z.enum(['high', 'low']),
    gaugeKpa: num,
    holdMin: num,
    release: releasePlanSchema,
    minutesToPressure: num,
    pinUpMin: num,
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
  /** loosening the base before the lid; null where nothing was fried. `ml` is what of the liquid to add goes in first */
  deglaze: z
    .object({ ml: num, minutes: num, baseC: num, foodC: num, reducedG: num, enough: z.boolean() })
    .nullable()
    .default(null),
  stack: z.array(stackLayerSchema),
  /** what comes after the lid */
  after: z
    .object({
      /** null where no liquid stands free */
      thicken: z
        .object({
          freeG: num,
          simmerGPerMin: num,
          starchG: num,
          waterMl: num,
          standMin: num,
          standDrinksG: num,
        })
        .nullable(),
      crust: z
        .object({ areaCm2: num, crumbG: num, butterG: num, cheeseG: num, ovenC: num, minutes: z.array(num) })
        .nullable(),
      /** how a big batch goes on softening, in the closed pot and in a wide dish, texture points */
      drift: z.object({ minutes: num, closedPoints: num, spreadPoints: num }).nullable(),
      /** depth and area of the pan that cools it in time */
      keep: z.object({
        massG: num,
        depthMm: num,
        areaCm2: num,
        withinMin: num,
        freezePortions: num,
        reheatC: num,
      }),
    })
    .default({
      thicken: null,
      crust: null,
      drift: null,
      keep: { massG: 0, depthMm: 0, areaCm2: 0, withinMin: 120, freezePortions: 0, reheatC: 74 },
    }),
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
  scorch: z.object({
    index: num,
    /** one standard deviation of the points below and above; not in plans made before they were known */
    low: num.optional(),
    high: num.optional(),
    level: z.enum(['low', 'watch', 'high']),
    reasons: z.array(scorchReasonSchema),
  }),
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
