import * as z from 'zod';

const num = z.number();
const text = z.string();

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

const bandSchema = z.enum(['hard', 'firm', 'fluffy', 'soft', 'mushy']);

/** How the grain comes out. */
export const grainVerdictSchema = z.object({
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
});

/** How the pasta comes out. */
export const pastaVerdictSchema = z.object({
  food: text,
  ingredient: text,
  equivalentMin: num,
  /** the packet's minutes, for this cook where the log moved them: then `printedMin` is what it says */
  packetMin: num,
  printedMin: num.optional(),
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
});

/** What speaks for a scorched base. */
export const scorchSchema = z.object({
  index: num,
  /** one standard deviation of the points below and above; not in plans made before they were known */
  low: num.optional(),
  high: num.optional(),
  level: z.enum(['low', 'watch', 'high']),
  reasons: z.array(scorchReasonSchema),
});
