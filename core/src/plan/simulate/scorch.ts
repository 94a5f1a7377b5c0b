import { baseAreaCm2, type PotProfile } from '../../pot/profile';
import { uptakeGPerG } from '../../grain/uptake';
import type { ScorchReason } from '../document/verdicts';
import { goesUnderLid, hasFlag, type Gathered, type Item } from '../gather/item';
import { minimumSlack } from '../setup/bounds';
import { isPourable, placeOf } from '../gather/place';
import { deglazeMl } from '../setup/fry';
import { logistic } from '../../normal';
import type { Geometry } from '../setup/stack';

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
  const ofFoods = ofFood(g, pot, geo);
  const layers = ofFoods.filter((r) => lies.test(r.code));
  const deep = geo.liquidLevelMm > deepMm;
  const reasons = [
    ...ofFoods,
    ...ofGrain(g, pot, geo),
    ...ofLiquid(pot, geo, hotMin),
    ...(deep && layers.length === 0 ? [reason('deep-liquid', points.deepLiquid)] : []),
    ...ofHabits(g, pot, geo),
    ...ofThisPot(pot),
  ].map(withRemedy);
  const sum = reasons.reduce<number>((s, r) => s + r.points, points.start);
  const known = reasons.filter((r) => r.code !== ownScorchReason).map((r) => r.points * pointsSd);
  const spread = Math.hypot(Math.min(startSd, pot.scorch?.sd ?? startSd), ...known);
  const against = reasons.reduce((s, r) => s + Math.max(0, r.points), 0);
  for (const r of reasons) {
    if (r.points > 0) r.share = r.points / against;
    if (r.remedy === undefined || r.points <= 0) continue;
    // What the remedy gives back: thin liquid that moves again, or a barrier that is no longer stirred through.
    const freed = deep && layers.length === 1 && layers[0]!.code === r.code ? points.deepLiquid : 0;
    const held = r.code === 'stirred-down' && geo.barrier ? points.barrier : 0;
    r.after = logistic(sum - r.points + freed + held);
  }
  const index = logistic(sum);
  return {
    index,
    low: logistic(sum - spread),
    high: logistic(sum + spread),
    level: index < levels.watch ? 'low' : index < levels.high ? 'watch' : 'high',
    reasons,
  };
}

/** What the log taught of this pot's base, as a reason among the others. */
export const ownScorchReason = 'this-pot';
function ofThisPot({ scorch }: PotProfile): ScorchReason[] {
  return scorch && Math.abs(scorch.points) >= leastReasonPoints ? [reason(ownScorchReason, scorch.points)] : [];
}

const reason = (code: string, worth: number): ScorchReason => ({ code, points: worth });
const withRemedy = (r: ScorchReason): ScorchReason =>
  remedies[r.code] === undefined ? r : { ...r, remedy: remedies[r.code]! };
const layer = (code: string, pot: PotProfile, mm: number): ScorchReason => reason(code, pointsOf(pot, mm));

/** So much of something wet, spread over the base, mm: a spoon of paste is no layer [derived: 1 g/mL]. */
const layerMm = (grams: number, pot: PotProfile): number => (10 * grams) / baseAreaCm2(pot);

/** Tomato, dairy, thickener and sugar where the plate reaches them. */
function ofFood(g: Gathered, pot: PotProfile, geo: Geometry): ScorchReason[] {
  const out: ScorchReason[] = [];
  const tomato = tomatoAtBase(g, geo);
  const mostMm = tomato?.kind === 'diced' ? stagnantMm.dicedTomato : stagnantMm.thickTomato;
  const mm = tomato ? Math.min(mostMm, layerMm(tomato.grams, pot)) : 0;
  if (tomato && geo.grainOnBase) out.push(reason('tomato-and-starch-mixed', points.mixed * (mm / mostMm)));
  else if (tomato) out.push(layer(`${tomato.kind}-tomato-at-base`, pot, mm));
  const atBase = (i: Item): boolean => !['top', 'rack', 'inner-bowl'].includes(placeOf(g, i));
  const dairy = g.items.filter((i) => i.food.kind === 'dairy' && goesUnderLid(i) && atBase(i));
  if (dairy.some((i) => !isMarinade(g, i)))
    out.push(layer('dairy-at-base', pot, dairyShare(g, dairy) * stagnantMm.dairy));
  else if (dairy.length > 0) out.push(layer('marinade-at-base', pot, stagnantMm.marinade));
  if (g.items.some((i) => hasFlag(i, 'thickener') && i.joins === 'stack'))
    out.push(layer('thickener-at-base', pot, stagnantMm.thickener));
  if (g.items.some((i) => hasFlag(i, 'sugary') && i.joins !== 'finish')) out.push(reason('sugary', points.sugary));
  return out;
}

/**
 * Milk that water thins leaves a thinner skin of its protein on the base: it goes with the square root of its share of what
 * the starch drinks [from memory: a layer that grows by what diffuses to it]; 1 where the milk is thick or laid on the base.
 */
function dairyShare(g: Gathered, dairy: readonly Item[]): number {
  const starch = g.grain?.food.grain;
  if (!starch || !dairy.every((i) => isPourable(i) && placeOf(g, i) === 'liquid')) return 1;
  const milkG = dairy.reduce((s, i) => s + i.grams, 0);
  const drunkG = g.grain!.grams * uptakeGPerG(starch.rawMoisture[0], starch.aimMoisture[0]);
  return Math.sqrt(milkG / Math.max(milkG, drunkG));
}

/** The starch where it lies on the base: a film of fat or a rinse lets the liquid move under it. */
function ofGrain(g: Gathered, pot: PotProfile, geo: Geometry): ScorchReason[] {
  if (!geo.grainOnBase) return [];
  const prep = g.grain?.ingredient.prep;
  if (g.grain?.food.kind === 'pasta') return [layer('pasta-on-base', pot, stagnantMm.pasta)];
  if (g.grain?.joins === 'fry' || prep?.coated) return [layer('coated-grain-on-base', pot, stagnantMm.coatedGrain)];
  if (prep?.rinse) return [layer('rinsed-grain-on-base', pot, stagnantMm.rinsedGrain)];
  return [layer('grain-on-base', pot, stagnantMm.bareGrain)];
}

/** A long way up at full power, and liquid under the minimum of the pot. */
function ofLiquid(pot: PotProfile, geo: Geometry, hotMin: number): ScorchReason[] {
  const long = points.perHotMin * (hotMin - calmHotMin);
  const minimum = pot.minimumLiquidMl[0];
  const short = (minimum - geo.thinLiquidMl) / minimum;
  return [
    ...(long > leastReasonPoints ? [reason('long-heat-up', long)] : []),
    ...(short > minimumSlack ? [reason('liquid-short', points.perQuarterShort * (short / 0.25))] : []),
  ];
}

/** What the cook and the stove do: a base not scraped, frying dry, stirring down, keeping warm, an open flame. */
function ofHabits(g: Gathered, pot: PotProfile, geo: Geometry): ScorchReason[] {
  const habits = g.dish.overrides ?? {};
  const inPan = (is: (i: Item) => boolean): boolean => g.items.some((i) => i.joins === 'fry' && is(i));
  const hasFat = inPan((i) => i.food.kind === 'fat' || hasFlag(i, 'renders'));
  const isThick = g.items.some((i) => hasFlag(i, 'thick') && i.joins === 'stack');
  const unscraped = g.fried && (habits.deglazed === false || geo.thinLiquidMl < deglazeMl);
  return [
    ...(unscraped ? [reason('fond-unscraped', points.fondUnscraped)] : []),
    ...(geo.barrier && !habits.stirredDown ? [reason('barrier', points.barrier)] : []),
    ...(pot.kind !== 'electric' ? [reason('gas-flame', points.gasFlame)] : []),
    ...(inPan((i) => hasFlag(i, 'aromatic')) && !hasFat ? [reason('fried-dry', points.friedDry)] : []),
    ...(isThick && (habits.keepWarmMin ?? 0) > warmMin ? [reason('kept-warm', points.keptWarm)] : []),
    ...(habits.stirredDown ? [reason('stirred-down', points.stirredDown)] : []),
  ];
}

/** Reasons of thick things that lie on the base: over them no liquid moves freely. */
const lies = /tomato|dairy|thickener/;
/** Tomato that touches the base: laid there, stirred down, or poured over a grain that was fried there and not laid on top. */
function tomatoAtBase(g: Gathered, geo: Geometry): { kind: 'thick' | 'diced'; grams: number } | null {
  const stirred = g.dish.overrides?.stirredDown === true;
  const underLid = g.items.filter((i) => hasFlag(i, 'tomato') && i.joins !== 'finish' && i.joins !== 'topping');
  const down = underLid.filter(
    (i) => stirred || g.rule.stirred || i.joins === 'fry' || ['base', 'liquid', 'grain'].includes(placeOf(g, i)),
  );
  const { thick, diced } = geo.tomatoAtBase;
  if (down.length === 0 && !thick && !diced) return null;
  const grams = (down.length > 0 ? down : underLid).reduce((sum, i) => sum + i.grams, 0);
  return { kind: thick || down.some((i) => hasFlag(i, 'thick')) ? 'thick' : 'diced', grams };
}

/** Yogurt that clings to meat in fat is no pool of milk. */
const isMarinade = (g: Gathered, i: Item): boolean =>
  i.joins === 'marinade' || (i.food.id === 'yogurt' && g.rule.underLid(i.food));
