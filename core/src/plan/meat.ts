import { bedLagS, grainTemps } from '../grain/clock';
import { lethalityLaw } from '../meat/lethality';
import { cookPiece, type PieceResult, type Placement, type PreStage } from '../meat/piece';
import { shapeExponent } from '../meat/geometry';
import { thresholds } from '../meat/tenderness';
import type { CookRun } from '../pot/cook';
import type { MeatVerdict } from './document';
import type { Gathered, Item } from './gather';
import { placeOf } from './stack';

/** Tossed pieces in a hot pan, a quarter of the surface in contact [tuned]. */
const searEnv = { envC: 92.8, hWPerM2K: 73.75 };
const searMin = 5;
const fridgeC = 4;
const restS = 180;
/** The nominal core must clear the minimum by one standard deviation, K. */
export const marginK = 3;

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

/**
 * Each piece along the pot's history, twice: as it is, and cautiously (thicker, a weaker surface, no credit for the
 * sear, and inside an unstirred bed the bed's own temperature). Every word about safety reads the cautious run.
 */
export function runMeats(g: Gathered, run: CookRun, depthCm: number): MeatRun[] {
  return meatsOf(g).map((item) => {
    const rec = item.food.meat!;
    const place = placeOf(item, 0);
    const placement: Placement = place === 'top' ? 'grains' : 'liquid';
    const [water, protein, fat, ash] = rec.composition;
    const pre: PreStage[] = item.joins === 'fry' ? [{ durationS: searMin * 60, ...searEnv }] : [];
    const shape = item.ingredient.prep?.shape ?? (rec.cut === 'ground' ? 'ground' : 'cube');
    const trace = { minutes: [] as number[], coreC: [] as number[] };
    const common = {
      composition: { water, protein, fat, ash },
      freezeC: rec.freezeC[0],
      species: rec.species,
      thicknessM: item.thicknessMm / 1000,
      exponent: shapeExponent(shape),
      startC: item.ingredient.prep?.state === 'frozen' ? -18 : fridgeC,
      dtS: run.history.dtS,
      releaseAt: run.history.releaseAt,
      place: placement,
      restS,
    };
    const nominal = cookPiece({ ...common, pre, tempC: run.history.tempC, cautious: false, trace });
    const bed = grainTemps(run.history, { lagS: bedLagS(depthCm), standMin: 0 });
    const cautious = cookPiece({ ...common, pre: [], tempC: bed, cautious: true });
    return { item, nominal, cautious, verdict: verdictOf(item, nominal, cautious), trace };
  });
}

function verdictOf(item: Item, nominal: PieceResult, cautious: PieceResult): MeatVerdict {
  const rec = item.food.meat!;
  const minimum = rec.safeMinimumC[0];
  const logOk = cautious.log10Reduction >= lethalityLaw[rec.species].targetLog;
  const ok = cautious.openCoreC >= minimum && nominal.openCoreC >= minimum + marginK && logOk;
  return {
    ingredient: item.ingredient.id,
    coreC: round1(nominal.openCoreC),
    cautiousCoreC: round1(Math.min(cautious.openCoreC, nominal.openCoreC)),
    safeMinimumC: minimum,
    safeMinimumSource: rec.safeMinimumSource,
    log10Reduction: Math.min(12, round1(cautious.log10Reduction)),
    ok,
    texture: ok ? quality(rec.cut, nominal) : 'under',
    lossShare: nominal.lossShare,
  };
}

function quality(cut: NonNullable<Item['food']['meat']>['cut'], r: PieceResult): MeatVerdict['texture'] {
  if (cut === 'dark') return r.collagenCoreMin >= thresholds.dark.tender ? 'tender' : 'firm';
  const oc = r.overcookMeanMin;
  return oc <= thresholds.white.juicy ? 'juicy' : oc <= thresholds.white.firm ? 'firm' : 'dry';
}

const round1 = (x: number): number => Math.round(x * 10) / 10;
