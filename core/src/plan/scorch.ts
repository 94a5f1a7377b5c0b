import { baseAreaCm2, type PotProfile } from '../pot/profile';
import type { ScorchReason } from './document';
import { goesUnderLid, hasFlag, type Gathered, type Item } from './item';
import { placeOf } from './place';
import { deglazeMl } from './fry';
import { logistic } from '../normal';
import type { Geometry } from './stack';

/**
 * Layer that does not move at the base, mm: the heat has to pass it by conduction [from memory; chosen so that the
 * reference cases of docs/engine.md come out as cooks tell them].
 */
export const stagnantMm = {
  thickTomato: 2,
  dicedTomato: 1.1,
  bareGrain: 1.6,
  rinsedGrain: 1.1,
  coatedGrain: 0.8,
  pasta: 0.8,
  dairy: 2.7,
  marinade: 1.1,
  thickener: 2.7,
} as const;
/** Wet starch or tomato, W/mK [from memory]. */
const stagnantWPerMK = 0.55;
/** The superheat of two millimetres on an electric plate, and the points it is worth [from memory]. */
const reference = { superheatK: 87, points: 1.5 };

/** Points of the scorch prior, a logistic of their sum [from memory; the log will move them]. */
export const points = {
  start: -3.5,
  fondUnscraped: 2.5,
  gasFlame: 0.7,
  friedDry: 0.5,
  keptWarm: 0.3,
  stirredDown: 1.0,
  sugary: 1.0,
  /** starch and tomato stirred into one another at the base */
  mixed: 1.5,
  perQuarterShort: 1.5,
  deepLiquid: -0.5,
  barrier: -0.8,
  /** full power on the way from 80 degC to the countdown, a minute over five */
  perHotMin: 0.1,
} as const;
/** Minutes that the reference plate needs from 80 degC to the countdown in an ordinary dish [derived]. */
const calmHotMin = 5;
/** Fewer points are no reason that anybody would act on [derived]. */
const leastReasonPoints = 0.1;

const remedies: Record<string, string> = {
  'fond-unscraped': 'deglaze-and-scrape',
  'thickener-at-base': 'bind-at-the-end',
  'gas-flame': 'lower-the-flame',
  'fried-dry': 'fat-first',
  'kept-warm': 'take-it-out',
  'stirred-down': 'do-not-stir',
  sugary: 'sugar-on-top',
  'tomato-and-starch-mixed': 'tomato-on-top',
  'thick-tomato-at-base': 'tomato-on-top',
  'diced-tomato-at-base': 'tomato-on-top',
  'dairy-at-base': 'dairy-at-the-end',
  'marinade-at-base': 'fat-below-the-marinade',
  'grain-on-base': 'rinse-the-grain',
  'long-heat-up': 'hot-liquid-or-smaller-batch',
  'liquid-short': 'more-liquid-or-smaller-pot',
};

/** How sure the points are: one standard deviation of the start, and of each reason as a share of it [from memory]. */
const startSd = 0.5;
const pointsSd = 1 / 3;

/** Deeper than this thin liquid moves freely over the base, mm [from memory]. */
const deepMm = 25;
/** A thick dish may be kept warm so long, min [common practice]. */
const warmMin = 10;
/** Chances from which the level is "watch" and "high": one cook in eight, one in three [derived: what a cook would still accept]. */
const levels = { watch: 0.12, high: 0.35 } as const;

/** Superheat of the plate under a layer that does not move, K: q d / k, q the heat of the plate over its area. */
export function superheatK(pot: PotProfile, layerMm: number): number {
  const wPerM2 = (pot.powerW * pot.efficiency) / (baseAreaCm2(pot) / 1e4);
  return (wPerM2 * layerMm) / 1000 / stagnantWPerMK;
}

const pointsOf = (pot: PotProfile, layerMm: number): number =>
  (reference.points * superheatK(pot, layerMm)) / reference.superheatK;

export interface ScorchRisk {
  index: number;
  low: number;
  high: number;
  level: 'low' | 'watch' | 'high';
  reasons: ScorchReason[];
}

/**
 * Chance that the base scorches or the cooker warns of burning: points to a logistic, each a reason with its share of what
 * speaks for it and its remedy.
 *
 * @param hotMin minutes at full power between 80 degC and the countdown
 */
export function scorchRisk(g: Gathered, pot: PotProfile, geo: Geometry, hotMin: number): ScorchRisk {
  const reasons: ScorchReason[] = [];
  const add = (code: string, value: number): void => {
    const remedy = remedies[code];
    reasons.push(remedy === undefined ? { code, points: value } : { code, points: value, remedy });
  };
  const habits = g.dish.overrides ?? {};
  if (g.fried && (habits.deglazed === false || geo.thinLiquidMl < deglazeMl))
    add('fond-unscraped', points.fondUnscraped);
  const tomato = tomatoAtBase(g, geo);
  if (geo.grainOnBase && tomato) add('tomato-and-starch-mixed', points.mixed);
  else if (tomato === 'thick') add('thick-tomato-at-base', pointsOf(pot, stagnantMm.thickTomato));
  else if (tomato === 'diced') add('diced-tomato-at-base', pointsOf(pot, stagnantMm.dicedTomato));
  const atBase = (i: Item): boolean => !['top', 'rack', 'inner-bowl'].includes(placeOf(g, i));
  const dairy = g.items.filter((i) => i.food.kind === 'dairy' && goesUnderLid(i) && atBase(i));
  if (dairy.some((i) => !isMarinade(g, i))) add('dairy-at-base', pointsOf(pot, stagnantMm.dairy));
  else if (dairy.length > 0) add('marinade-at-base', pointsOf(pot, stagnantMm.marinade));
  if (g.items.some((i) => hasFlag(i, 'thickener') && i.joins === 'stack'))
    add('thickener-at-base', pointsOf(pot, stagnantMm.thickener));
  if (g.items.some((i) => hasFlag(i, 'sugary') && i.joins !== 'finish')) add('sugary', points.sugary);
  if (geo.grainOnBase) {
    const prep = g.grain?.ingredient.prep;
    if (g.grain?.food.kind === 'pasta') add('pasta-on-base', pointsOf(pot, stagnantMm.pasta));
    else if (g.grain?.joins === 'fry' || prep?.coated)
      add('coated-grain-on-base', pointsOf(pot, stagnantMm.coatedGrain));
    else if (prep?.rinse) add('rinsed-grain-on-base', pointsOf(pot, stagnantMm.rinsedGrain));
    else add('grain-on-base', pointsOf(pot, stagnantMm.bareGrain));
  }
  const long = points.perHotMin * (hotMin - calmHotMin);
  if (long > leastReasonPoints) add('long-heat-up', long);
  const minimum = pot.minimumLiquidMl[0];
  const short = (minimum - geo.thinLiquidMl) / minimum;
  if (short > minimumSlack) add('liquid-short', points.perQuarterShort * (short / 0.25));
  const thickBelow = reasons.filter((r) => lies.test(r.code));
  const deep = geo.liquidLevelMm > deepMm;
  if (deep && thickBelow.length === 0) add('deep-liquid', points.deepLiquid);
  if (geo.barrier && !habits.stirredDown) add('barrier', points.barrier);
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
  const against = reasons.reduce((s, r) => s + Math.max(0, r.points), 0);
  for (const r of reasons) {
    if (r.points > 0) r.share = r.points / against;
    if (r.remedy === undefined || r.points <= 0) continue;
    // What the remedy gives back: thin liquid that moves again, or a barrier that is no longer stirred through.
    const freed = deep && thickBelow.length === 1 && thickBelow[0] === r ? points.deepLiquid : 0;
    const held = r.code === 'stirred-down' && geo.barrier ? points.barrier : 0;
    r.after = logistic(x - r.points + freed + held);
  }
  return {
    index,
    low: logistic(x - spread),
    high: logistic(x + spread),
    level: index < levels.watch ? 'low' : index < levels.high ? 'watch' : 'high',
    reasons,
  };
}

/** Reasons of thick things that lie on the base: over them no liquid moves freely. */
const lies = /tomato|dairy|thickener/;
/** The minimum is met within this share of it. */
const minimumSlack = 0.03;
/** Thin liquid that meets the minimum of a pot, mL. */
export const leastThinMl = (minimumMl: number): number => minimumMl * (1 - minimumSlack);

/** Tomato that touches the base: laid there, stirred down, or poured over a grain that was fried there and not laid on top. */
function tomatoAtBase(g: Gathered, geo: Geometry): 'thick' | 'diced' | null {
  if (geo.tomatoAtBase.thick) return 'thick';
  const stirred = g.dish.overrides?.stirredDown === true;
  const down = g.items.filter(
    (i) =>
      hasFlag(i, 'tomato') &&
      i.joins !== 'finish' &&
      i.joins !== 'topping' &&
      (stirred || g.rule.stirred || i.joins === 'fry' || ['base', 'liquid', 'grain'].includes(placeOf(g, i))),
  );
  if (down.some((i) => hasFlag(i, 'thick'))) return 'thick';
  return geo.tomatoAtBase.diced || down.length > 0 ? 'diced' : null;
}

/** Yogurt that clings to meat in fat is no pool of milk. */
const isMarinade = (g: Gathered, i: Item): boolean =>
  i.joins === 'marinade' || (g.dish.family === 'biryani' && i.food.id === 'yogurt');
