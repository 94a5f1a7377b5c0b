import { bedLagS, grainTemps } from '../grain/clock';
import { lethalityLaw } from '../meat/lethality';
import { cookPiece, type PieceResult, type PreStage } from '../meat/piece';
import type { Placement } from '../water/surface';
import { shapeExponent } from '../meat/geometry';
import { thresholds } from '../meat/tenderness';
import type { CookRun } from '../pot/cook';
import type { MeatVerdict, PlantVerdict } from './document';
import { searMinutes } from './fry';
import type { Gathered, Item } from './gather';
import { placeOf } from './place';

/** Tossed pieces in a hot pan, a quarter of the surface in contact [tuned]. */
const searEnv = { envC: 92.8, hWPerM2K: 73.75 };
const fridgeC = 4;
const frozenC = -18;
const shelfC = 20;
const restS = 180;
/** The nominal core must clear the minimum by one standard deviation, K. */
export const marginK = 3;
/** Slits to the bone let the heat in: a drumstick counts as so much of its thickness [tuned]. */
const slitShare = 0.75;

/** What the pieces have been through before the lid locks on the last stage: temperatures, `dtS` seconds apart, by ingredient. */
export interface Earlier {
  dtS: number;
  tempC: ReadonlyMap<string, Float64Array>;
}

export interface MeatRun {
  item: Item;
  nominal: PieceResult;
  cautious: PieceResult;
  verdict: MeatVerdict;
  trace: { minutes: number[]; coreC: number[] };
}

/** Meat that is simulated: raw or part-cooked pieces that go under pressure. */
export const meatsOf = (g: Gathered): Item[] =>
  g.items.filter((i) => i.food.kind === 'meat' && i.joins !== 'finish' && i.joins !== 'topping');

export const placementOf = (g: Gathered, item: Item): Placement => {
  const place = placeOf(g, item);
  if (place === 'rack') return 'steam';
  return place === 'top' && g.grain ? 'grains' : 'liquid';
};

/** The history of an earlier stage set before this one. */
export function joined(before: Float64Array | null, now: Float64Array): Float64Array {
  if (!before) return now;
  const out = new Float64Array(before.length + now.length);
  out.set(before);
  out.set(now, before.length);
  return out;
}

/** A history in steps of other seconds: the temperature that stood at each of their moments. */
function inSteps(tempC: Float64Array, fromS: number, toS: number): Float64Array {
  if (fromS === toS) return tempC;
  const length = Math.round((tempC.length * fromS) / toS);
  const last = tempC.length - 1;
  return Float64Array.from({ length }, (_, i) => tempC[Math.min(last, Math.floor((i * toS) / fromS))]!);
}

/**
 * Each piece along the pot's history, twice: as it is, and cautiously (thicker, a weaker surface, no credit for the
 * sear, and inside an unstirred bed the bed's own temperature). Every word about safety reads the cautious run.
 */
export function runMeats(
  g: Gathered,
  run: CookRun,
  depthCm: number,
  earlier: Earlier | null = null,
  coarse = false,
): MeatRun[] {
  return meatsOf(g).map((item) => {
    const rec = item.food.meat!;
    const place = placementOf(g, item);
    const [water, protein, fat, ash] = rec.composition;
    const pre: PreStage[] = item.joins === 'fry' ? [{ durationS: searMinutes(item) * 60, ...searEnv }] : [];
    const shape =
      item.ingredient.prep?.shape ?? (rec.cut === 'ground' ? 'ground' : rec.cut === 'egg' ? 'sphere' : 'cube');
    const trace = { minutes: [] as number[], coreC: [] as number[] };
    const dtS = run.history.dtS;
    const lived = earlier?.tempC.get(item.ingredient.id);
    const before = lived ? inSteps(lived, earlier!.dtS, dtS) : null;
    const common = {
      composition: { water, protein, fat, ash },
      freezeC: rec.freezeC[0],
      species: rec.species,
      thicknessM: (item.thicknessMm / 1000) * (item.food.id === 'chicken-drumstick' ? slitShare : 1),
      exponent: shapeExponent(shape),
      startC: item.ingredient.prep?.state === 'frozen' ? frozenC : fridgeC,
      dtS,
      releaseAt: run.history.releaseAt + (before?.length ?? 0),
      place,
      restS,
      coarse,
    };
    const nominal = cookPiece({ ...common, pre, tempC: joined(before, run.history.tempC), cautious: false, trace });
    // On a rack a piece sees the steam itself; in or under an unstirred bed the bed's own temperature.
    const own =
      place === 'steam' || !g.grain || g.rule.stirred || g.inBowl
        ? run.history.tempC
        : grainTemps(run.history, { lagS: bedLagS(depthCm), standMin: 0 });
    const cautious = cookPiece({ ...common, pre: [], tempC: joined(before, own), cautious: true });
    const offset = ((before?.length ?? 0) * dtS) / 60;
    if (offset > 0) {
      const from = trace.minutes.findIndex((m) => m >= offset);
      trace.minutes = trace.minutes.slice(from).map((m) => m - offset);
      trace.coreC = trace.coreC.slice(from);
    }
    return { item, nominal, cautious, verdict: verdictOf(item, nominal, cautious), trace };
  });
}

function verdictOf(item: Item, nominal: PieceResult, cautious: PieceResult): MeatVerdict {
  const rec = item.food.meat!;
  const minimum = rec.safeMinimumC[0];
  // For fish, shrimp and egg the log reduction is only indicative.
  const judged = rec.cut !== 'fish' && rec.cut !== 'shrimp' && rec.cut !== 'egg';
  const logOk = !judged || cautious.log10Reduction >= lethalityLaw[rec.species].targetLog;
  const ok = cautious.openCoreC >= minimum && nominal.openCoreC >= minimum + marginK && logOk;
  return {
    ingredient: item.ingredient.id,
    coreC: round1(nominal.openCoreC),
    cautiousCoreC: round1(Math.min(cautious.openCoreC, nominal.openCoreC)),
    safeMinimumC: minimum,
    safeMinimumSource: rec.safeMinimumSource,
    log10Reduction: Math.min(12, round1(cautious.log10Reduction)),
    ok,
    texture: ok ? quality(item, nominal) : 'under',
    lossShare: nominal.lossShare,
    collagenCoreMin: round1(nominal.collagenCoreMin),
    ...(rec.tenderCoreMin ? { tenderCoreMin: rec.tenderCoreMin[0] } : {}),
  };
}

function quality(item: Item, r: PieceResult): MeatVerdict['texture'] {
  const rec = item.food.meat!;
  const oc = r.overcookMeanMin;
  if (rec.tenderCoreMin && item.state !== 'cooked') {
    if (r.collagenCoreMin >= rec.tenderCoreMin[0]) return 'tender';
    return rec.cut === 'stew' ? 'tough' : 'firm';
  }
  if (rec.cut === 'egg') return r.peakCoreC >= thresholds.eggHardC ? 'firm' : 'juicy';
  const by = rec.cut === 'fish' ? thresholds.fish : rec.cut === 'shrimp' ? thresholds.shrimp : thresholds.white;
  // Crumbs, cured and cooked meat have no juice to lose that anybody would miss.
  if (rec.cut === 'ground' || rec.cut === 'cured' || rec.cut === 'cooked')
    return oc > thresholds.fallingApart ? 'dry' : 'tender';
  return oc <= by.juicy ? 'juicy' : oc <= by.firm ? 'firm' : 'dry';
}

/** Plants whose softness is worth a verdict: roots as pieces, and anything that is steamed for itself. */
export const plantsOf = (g: Gathered): Item[] =>
  g.items.filter(
    (i) =>
      i.food.plant && i.joins === 'stack' && (g.rule.starch === 'none' || i.ingredient.prep?.thicknessMm !== undefined),
  );

/** How soft each plant piece gets along the run. */
export function runPlants(g: Gathered, run: CookRun, coarse = false): PlantVerdict[] {
  return plantsOf(g).map((item) => {
    const p = item.food.plant!;
    const [water, protein, fat, carb, fibre, ash] = p.composition;
    const mm = item.ingredient.prep?.thicknessMm ?? p.defaultThicknessMm[0];
    const r = cookPiece({
      composition: { water, protein, fat, carb, fibre, ash },
      freezeC: p.freezeC[0],
      species: 'red',
      thicknessM: mm / 1000,
      exponent: shapeExponent(item.ingredient.prep?.shape ?? p.shape),
      startC: item.ingredient.prep?.state === 'frozen' ? frozenC : shelfC,
      pre: [],
      tempC: run.history.tempC,
      dtS: run.history.dtS,
      releaseAt: run.history.releaseAt,
      place: placementOf(g, item),
      cautious: false,
      restS,
      coarse,
    });
    const done = r.softCoreMin >= p.softCoreMin[0] && r.softMeanMin >= p.softMeanMin[0];
    return {
      ingredient: item.ingredient.id,
      coreC: round1(r.openCoreC),
      softCoreMin: round1(r.softCoreMin),
      softMeanMin: round1(r.softMeanMin),
      verdict: !done ? 'hard' : r.softMeanMin > p.softMostMin[0] ? 'soft' : 'done',
    };
  });
}

const round1 = (x: number): number => Math.round(x * 10) / 10;
