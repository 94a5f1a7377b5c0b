import { isMince, isSlowCut } from '../../food/meats';
import { bedLagS, grainTemps } from '../../grain/clock';
import { cautiousVariation } from '../../meat/cautious';
import { lethalityLaw } from '../../meat/lethality';
import { compositionOf } from '../../meat/properties';
import type { Way } from '../../meat/way';
import { cookPiece, type PieceInput, type PieceResult } from '../../meat/piece';
import { thresholds } from '../../meat/tenderness';
import { naturalMinOf, type PotRun } from '../../pot/program';
import type { MeatVerdict } from '../document/verdicts';
import { brownOf, searMinutes } from '../setup/fry';
import type { Gathered, Item } from '../gather/item';
import { normal } from '../../normal';
import { isTenderAim, meatsOf, minimumC, mustReach, placementOf, type Earlier } from '../gather/pieces';
import { beforeThis, joined } from './joined';
import type { Ways } from './ways';

/** Tossed pieces in a hot pan, a quarter of the surface in contact [tuned]. */
const searEnv = { envC: 92.8, hWPerM2K: 73.75 };
/** A piece rests in the open pot before anybody bites into it, s. */
export const restS = 180;
/** Slits to the bone let the heat in: a slit piece counts as so much of its thickness, unless ice is in it [tuned]. */
const slitShare = 0.75;
/** Heat-up that a piece is weighed by where its own run has none, s [derived]. */
const usualHeatUpS = 500;

export interface MeatRun {
  item: Item;
  nominal: PieceResult;
  cautious: PieceResult;
  /** chance that the coldest core reaches its minimum, 0..1 */
  safeChance: number;
  verdict: MeatVerdict;
  trace: { minutes: number[]; coreC: number[] };
}

/** How the pieces of a dish are followed. */
export interface PieceOptions {
  /** depth of the contents, cm: the lag of the bed */
  depthCm: number;
  earlier?: Earlier | null;
  /** fewer cells and longer steps, for searching */
  coarse?: boolean;
  /** snapshots shared by all programs of one heat-up */
  ways?: Ways;
  /** cautious runs of shorter programs that were safe beyond doubt: a longer one is not run again */
  surely?: Sure;
}

/** A program that was safe beyond doubt for a piece: every longer hold with no shorter release is too. */
interface SafeProgram {
  holdS: number;
  naturalS: number;
  cautious: PieceResult;
}
export type Sure = Map<string, SafeProgram[]>;
/** Beyond doubt: so much over the minimum at the 95th percentile, K. */
const beyondK = 4;

/** How long a run held and was let fall by itself, s: of two along one heat-up, the one that is longer in both cooks more. */
export const holdAndNatural = (run: PotRun): { holdS: number; naturalS: number } => ({
  holdS: run.releaseS - (run.countdownS ?? 0),
  naturalS: 60 * naturalMinOf(run),
});

/** Thickness that the heat has to cross, m: a slit lets it in, but not into ice. */
const crossedM = (item: Item): number => {
  const slit = item.ingredient.prep?.slit === true && item.startC >= 0;
  return (item.thicknessMm / 1000) * (slit ? slitShare : 1);
};

/** One piece along a run, before it is said how: what both of its runs share. */
interface Followed {
  item: Item;
  common: Omit<PieceInput, 'pre' | 'tempC' | 'exponent'>;
  /** the stages before this lid, in the steps of the run; null where there were none */
  before: Float64Array | null;
}

/** Places and times of the pieces along one run. */
function following(g: Gathered, run: PotRun, { depthCm, earlier = null, coarse = false, ways }: PieceOptions) {
  const dtS = run.history.dtS;
  // On a rack a piece sees the steam itself; in or under an unstirred bed the bed's own temperature.
  let bed: Float64Array | null = null;
  const bedTemps = (): Float64Array => (bed ??= grainTemps(run.history, { lagS: bedLagS(depthCm), standMin: 0 }));
  const piece = (item: Item): Followed => {
    const rec = item.food.meat!;
    const before = beforeThis(earlier, item.ingredient.id, dtS);
    const ahead = before?.length ?? 0;
    const common = {
      composition: compositionOf(rec.composition),
      freezeC: rec.freezeC[0],
      species: rec.species,
      thicknessM: crossedM(item),
      startC: item.startC,
      dtS,
      releaseAt: run.history.releaseAt + ahead,
      countdownAt: Math.round((run.countdownS ?? 0) / dtS) + ahead,
      place: placementOf(g, item),
      restS,
      coarse,
      sharedS: earlier?.sharedS,
    };
    return { item, common, before };
  };
  const cautiously = (followed: Followed): PieceResult =>
    ways
      ? ways.endOf(run, `${followed.item.ingredient.id} cautious`, (way) => cautiousRun(followed, { way }))
      : cautiousRun(followed, {});
  const cautiousRun = ({ item, common, before }: Followed, shared: { way?: Way }): PieceResult => {
    const { place } = common;
    const own = place === 'steam' || !g.grain || g.rule.stirred || g.inBowl ? run.history.tempC : bedTemps();
    return cookPiece({
      ...common,
      exponent: item.piece.cautiousExponent,
      pre: [],
      // While searching only safety is asked of it, and that is decided at the opening.
      restS: coarse ? 0 : restS,
      tempC: joined(before, own),
      vary: cautiousVariation(crossedM(item) / 2, place, run.countdownS ?? usualHeatUpS, item.piece.guessed),
      ...shared,
    });
  };
  const likely = ({ item, common, before }: Followed, trace?: PieceInput['trace']): PieceResult =>
    cookPiece({
      ...common,
      exponent: item.piece.exponent,
      pre: item.joins === 'fry' ? [{ durationS: searMinutes(item, brownOf(g, item)) * 60, ...searEnv }] : [],
      tempC: joined(before, run.history.tempC),
      ...(ways ? { way: ways.of(`${item.ingredient.id} likely`) } : {}),
      ...(trace ? { trace } : {}),
    });
  return { piece, likely, cautiously };
}

/**
 * Each piece along the pot's history, twice: as it is, and cautiously (the 95th percentile of thickness, surface, start and
 * heat-up together, a guessed size taken larger, no credit for the sear, and inside an unstirred bed the bed's own
 * temperature). Every word about safety reads the cautious run.
 */
export function runMeats(g: Gathered, run: PotRun, options: PieceOptions): MeatRun[] {
  const { ways, surely } = options;
  const { piece, likely, cautiously } = following(g, run, options);
  return meatsOf(g).map((item) => {
    const id = item.ingredient.id;
    const followed = piece(item);
    const { common, before } = followed;
    const trace = { minutes: [] as number[], coreC: [] as number[] };
    const nominal = likely(followed, ways ? undefined : trace);
    const program = holdAndNatural(run);
    const safe = surely?.get(id)?.find((s) => s.holdS <= program.holdS && s.naturalS <= program.naturalS);
    const cautious = safe?.cautious ?? cautiously(followed);
    const offset = ((before?.length ?? 0) * common.dtS) / 60;
    if (offset > 0 && trace.minutes.length > 0) {
      const from = trace.minutes.findIndex((m) => m >= offset);
      trace.minutes = trace.minutes.slice(from).map((m) => m - offset);
      trace.coreC = trace.coreC.slice(from);
    }
    const verdict = verdictOf(item, nominal, cautious);
    if (surely && !safe && verdict.ok && cautious.openCoreC >= minimumC(item) + beyondK)
      surely.set(id, [...(surely.get(id) ?? []), { ...program, cautious }]);
    return { item, nominal, cautious, verdict, safeChance: safeChanceOf(item, nominal, cautious), trace };
  });
}

/** Is every piece over its minimum, by its cautious run alone? For looking for a hold: it costs half of `runMeats`. */
export function areSafe(g: Gathered, run: PotRun, options: PieceOptions): boolean {
  const { piece, cautiously } = following(g, run, options);
  return meatsOf(g).every((item) => isSafe(item, cautiously(piece(item))));
}

/** Is every piece as tender as it is aimed at and over its minimum? The first that is not ends the question. */
export function areTenderAndSafe(g: Gathered, run: PotRun, options: PieceOptions): boolean {
  const { piece, likely, cautiously } = following(g, run, options);
  return meatsOf(g).every((item) => {
    const followed = piece(item);
    return isTenderAim(item, likely(followed).collagenCoreMin) && isSafe(item, cautiously(followed));
  });
}

/** Is a piece that ended like this at its minimum, with the reduction that is asked of what is cooked from raw? */
function isSafe(item: Item, cautious: PieceResult): boolean {
  const kind = mustReach(item);
  const logOk = kind !== 'cook' || cautious.log10Reduction >= lethalityLaw[item.food.meat!.species].targetLog;
  return kind === 'none' || (cautious.openCoreC >= minimumC(item) && logOk);
}

/** A spread of the core smaller than this is not believed, K [derived]. */
const leastCoreSdK = 0.5;

/** Chance that the core reaches its minimum: a normal law through the likely core and its 95th percentile. */
function safeChanceOf(item: Item, nominal: PieceResult, cautious: PieceResult): number {
  if (mustReach(item) === 'none') return 1;
  const sd = Math.max(leastCoreSdK, (nominal.openCoreC - cautious.openCoreC) / z95);
  return normal((nominal.openCoreC - minimumC(item)) / sd);
}
const z95 = 1.645;

/** Mince that is broken up in the pan has no thickness that anybody would measure. */
const isCrumbs = (item: Item): boolean => isMince(item.food) && item.joins === 'fry';

function verdictOf(item: Item, nominal: PieceResult, cautious: PieceResult): MeatVerdict {
  const rec = item.food.meat!;
  const kind = mustReach(item);
  const minimum = minimumC(item);
  const coldest = Math.min(cautious.openCoreC, nominal.openCoreC);
  const ok = isSafe(item, { ...cautious, openCoreC: coldest });
  return {
    ingredient: item.ingredient.id,
    kind,
    coreC: round1(nominal.openCoreC),
    cautiousCoreC: round1(coldest),
    safeMinimumC: minimum,
    safeMinimumSource: rec.safeMinimumSource,
    log10Reduction: Math.min(12, round1(cautious.log10Reduction)),
    ok,
    texture: ok ? quality(item, nominal) : 'under',
    lossShare: nominal.lossShare,
    collagenCoreMin: round1(nominal.collagenCoreMin),
    ...(rec.tenderCoreMin ? { tenderCoreMin: rec.tenderCoreMin[0] } : {}),
    thicknessMm: round1(item.thicknessMm),
    guessed: item.piece.guessed && kind !== 'none' && !isCrumbs(item) && rec.cut !== 'egg',
  };
}

function quality(item: Item, r: PieceResult): MeatVerdict['texture'] {
  const rec = item.food.meat!;
  const oc = r.overcookMeanMin;
  if (rec.tenderCoreMin && item.state !== 'cooked') {
    if (r.collagenCoreMin >= rec.tenderCoreMin[0]) return 'tender';
    return isSlowCut(item.food) ? 'tough' : 'firm';
  }
  if (rec.cut === 'egg') return r.peakCoreC >= thresholds.eggHardC ? 'firm' : 'juicy';
  const by = rec.cut === 'fish' ? thresholds.fish : rec.cut === 'shrimp' ? thresholds.shrimp : thresholds.white;
  // Crumbs, cured and cooked meat have no juice to lose that anybody would miss.
  if (rec.cut === 'ground' || rec.cut === 'cured' || rec.cut === 'cooked')
    return oc > thresholds.fallingApart ? 'dry' : 'tender';
  return oc <= by.juicy ? 'juicy' : oc <= by.firm ? 'firm' : 'dry';
}

const round1 = (x: number): number => Math.round(x * 10) / 10;
