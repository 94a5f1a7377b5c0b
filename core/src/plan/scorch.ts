import { baseAreaCm2, type PotProfile } from '../pot/profile';
import type { ScorchReason } from './document';
import { hasFlag, type Gathered, type Item } from './gather';
import { placeOf } from './place';
import { deglazeMl } from './fry';
import type { Geometry } from './stack';

/** Points of the scorch prior, a logistic of their sum [common practice; the log will move them]. */
export const points = {
  start: -4.0,
  fondUnscraped: 2.5,
  thickenerAtBase: 2.0,
  gasFlame: 0.7,
  friedDry: 0.5,
  keptWarm: 0.3,
  stirredDown: 1.0,
  thickTomatoAtBase: 1.5,
  dicedTomatoAtBase: 0.8,
  dairyAtBase: 2.0,
  sugary: 1.0,
  grainOnBase: 1.2,
  rinsedGrainOnBase: 0.8,
  coatedGrainOnBase: 0.6,
  perQuarterShort: 1.5,
  deepLiquid: -0.5,
  barrier: -0.8,
  strongPlate: 0.5,
} as const;

const remedies: Record<string, string> = {
  'fond-unscraped': 'deglaze-and-scrape',
  'thickener-at-base': 'bind-at-the-end',
  'gas-flame': 'lower-the-flame',
  'fried-dry': 'fat-first',
  'kept-warm': 'take-it-out',
  'stirred-down': 'do-not-stir',
  sugary: 'sugar-on-top',
  'thick-tomato-at-base': 'tomato-on-top',
  'diced-tomato-at-base': 'tomato-on-top',
  'dairy-at-base': 'dairy-at-the-end',
  'grain-on-base': 'rinse-the-grain',
  'liquid-short': 'more-liquid-or-smaller-pot',
};

/** How sure the points are: one standard deviation of the start, and of each reason as a share of it [from memory]. */
const startSd = 0.5;
const pointsSd = 1 / 3;

/** Deeper than this the liquid moves freely over the base. */
const deepMm = 25;
const strongWPerCm2 = 5;
/** A thick dish may be kept warm so long, min. */
const warmMin = 10;

/** Chance that the base scorches or the cooker warns of burning: points to a logistic, each a reason with its remedy. */
export function scorchRisk(
  g: Gathered,
  pot: PotProfile,
  geo: Geometry,
): { index: number; low: number; high: number; level: 'low' | 'watch' | 'high'; reasons: ScorchReason[] } {
  const reasons: ScorchReason[] = [];
  const add = (code: string, value: number): void => {
    const remedy = remedies[code];
    reasons.push(remedy === undefined ? { code, points: value } : { code, points: value, remedy });
  };
  const habits = g.dish.overrides ?? {};
  if (g.fried && (habits.deglazed === false || geo.thinLiquidMl < deglazeMl))
    add('fond-unscraped', points.fondUnscraped);
  if (geo.tomatoAtBase.thick) add('thick-tomato-at-base', points.thickTomatoAtBase);
  else if (geo.tomatoAtBase.diced) add('diced-tomato-at-base', points.dicedTomatoAtBase);
  const atBase = (i: Item): boolean => !['top', 'rack', 'inner-bowl'].includes(placeOf(g, i));
  if (g.items.some((i) => i.food.kind === 'dairy' && i.joins !== 'finish' && i.joins !== 'topping' && atBase(i)))
    add('dairy-at-base', points.dairyAtBase);
  if (g.items.some((i) => hasFlag(i, 'thickener') && i.joins === 'stack'))
    add('thickener-at-base', points.thickenerAtBase);
  if (g.items.some((i) => hasFlag(i, 'sugary') && i.joins !== 'finish')) add('sugary', points.sugary);
  if (geo.grainOnBase) {
    const prep = g.grain?.ingredient.prep;
    if (g.grain?.joins === 'fry' || prep?.coated) add('coated-grain-on-base', points.coatedGrainOnBase);
    else if (prep?.rinse) add('rinsed-grain-on-base', points.rinsedGrainOnBase);
    else add('grain-on-base', points.grainOnBase);
  }
  const minimum = pot.minimumLiquidMl[0];
  const short = (minimum - geo.thinLiquidMl) / minimum;
  if (short > 0.01) add('liquid-short', points.perQuarterShort * (short / 0.25));
  if (geo.liquidLevelMm > deepMm) add('deep-liquid', points.deepLiquid);
  if (geo.barrier) add('barrier', points.barrier);
  if ((pot.powerW * pot.efficiency) / baseAreaCm2(pot) > strongWPerCm2) add('strong-plate', points.strongPlate);
  if (pot.kind !== 'electric') add('gas-flame', points.gasFlame);
  const dry = g.items.some((i) => i.joins === 'fry' && hasFlag(i, 'aromatic'));
  if (dry && !g.items.some((i) => i.joins === 'fry' && (i.food.kind === 'fat' || hasFlag(i, 'renders'))))
    add('fried-dry', points.friedDry);
  const thick = g.items.some((i) => hasFlag(i, 'thick') && i.joins === 'stack');
  if (thick && (habits.keepWarmMin ?? 0) > warmMin) add('kept-warm', points.keptWarm);
  if (habits.stirredDown) add('stirred-down', points.stirredDown);
  const x = reasons.reduce<number>((s, r) => s + r.points, points.start);
  const index = logistic(x);
  const spread = Math.hypot(startSd, ...reasons.map((r) => r.points * pointsSd));
  for (const r of reasons) if (r.remedy !== undefined && r.points > 0) r.after = logistic(x - r.points);
  return {
    index,
    low: logistic(x - spread),
    high: logistic(x + spread),
    level: index < 0.12 ? 'low' : index < 0.35 ? 'watch' : 'high',
    reasons,
  };
}

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
