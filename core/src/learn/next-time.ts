import type { Cook } from '../cook/cook';
import { cookTimeline } from '../cook/timeline';
import { atPlace, type Kitchen } from '../dish/kitchen';
import type { AsCooked, Dish, Overrides } from '../dish/schema';
import { normal } from '../normal';
import { Problem } from '../problem';
import type { Plan } from '../plan/document/document';
import { evaluate } from '../plan/plan';
import { stopCount } from '../plan/judge/verdict';
import { inSteps, ratingEdges } from './ordinal';
import { observedSd } from './parameters';

/** One number that would have brought a cook's grain to what its cook calls just right. */
export interface NextTime {
  /** the number, as a decision of the cook on the Bench */
  change: Pick<Overrides, 'holdMin' | 'liquidMl' | 'release'>;
  /** what it was */
  was: Pick<AsCooked, 'holdMin' | 'liquidMl' | 'release'>;
  /** chance, 0..1, that it would have been just right for this cook: as it was, and with the change */
  same: number;
  changed: number;
}

/** The middle of five steps: what everybody wants, each in their own way. */
const justRight = 2;
/**
 * Before a rating, a dish lies so far from its plan, steps: the grain, the taste and the evening [derived: priors of
 * docs/learning.md]. One rating therefore moves what is believed about half of its way, never all of it.
 */
const plannedSd = 0.6;
/** A rating tells the place to a step, evenly: 1/12 of a step squared. */
const ratingVariance = observedSd.ratingSteps ** 2 + 1 / 12;
/** A change has to add so much to be worth it, and what comes so near to the best is as good. */
const leastGain = 0.05;
const asGood = 0.03;
/** Holds longer than this are changed in steps twice as large, min. */
const longHoldMin = 10;

const holdSteps = [-4, -3, -2, -1, -0.5, 0.5, 1, 2, 3, 4, 6] as const;
const liquidShares = [0.85, 0.9, 0.95, 1.05, 1.1, 1.15, 1.25] as const;
const naturalSteps = [-6, -4, -2, 2, 4, 6] as const;

/**
 * The one change of the hold, the liquid or the natural release that would most likely have been called just right. It must
 * bring no stop, no more scorching and no meat below its minimum. Null where the grain was not rated or was right, or where
 * no single change helps.
 */
export function nextTime(cook: Cook, kitchen: Kitchen): NextTime | null {
  const rated = cook.outcome?.ratings.grain;
  const { plan, dish } = cook;
  if (rated === undefined || rated === justRight || plan.program.whistles !== undefined) return null;
  const here = atPlace(kitchen, plan.pot);
  const was = cookedAs(cook);
  try {
    const base = evaluate({ ...dish, asCooked: was }, here);
    const from = placeOf(base);
    if (from === null) return null;
    const lay = placeGiven(rated, from);
    const same = chanceRight(lay);
    const tried = candidates(was)
      .map((change) => ({ change, p: evaluate({ ...dish, asCooked: { ...was, ...change } }, here) }))
      .filter(({ p }) => isAsSafe(p, base))
      .map(({ change, p }) => ({ change, changed: chanceRight(lay + placeOf(p)! - from) }));
    const most = Math.max(...tried.map((x) => x.changed), 0);
    const best = tried
      .filter((x) => x.changed >= most - asGood)
      .sort((a, b) => sizeOf(a.change, was) - sizeOf(b.change, was))[0];
    return best && best.changed >= same + leastGain ? { ...best, was, same } : null;
  } catch (e) {
    // A dish that cannot be planned today cannot be bettered today.
    if (e instanceof Problem) return null;
    throw e;
  }
}

function cookedAs({ plan, ...cook }: Cook): Was {
  const { ownHoldMin } = cookTimeline({ ...cook, plan }, cook.finishedMs ?? cook.startedMs);
  const { pressure, holdMin, release } = plan.program;
  const first = plan.firstStage;
  return {
    liquidMl: plan.liquid.addMl,
    pressure,
    holdMin: ownHoldMin ?? holdMin,
    release,
    ...(first ? { firstStage: { holdMin: first.holdMin, liquidMl: first.liquidMl } } : {}),
    ...(plan.topUpMl > 0 ? { topUpMl: plan.topUpMl } : {}),
  };
}

type Was = AsCooked & { liquidMl: number };

/** Changes of one number each. */
function candidates({ holdMin, liquidMl, release }: Was): NextTime['change'][] {
  const naturalMin = release.kind === 'timed' ? (release.naturalMin ?? 0) : null;
  const long = holdMin > longHoldMin ? 2 : 1;
  return [
    ...holdSteps.map((s) => ({ holdMin: holdMin + long * s })).filter((c) => c.holdMin >= 0),
    ...liquidShares.map((s) => ({ liquidMl: Math.round((liquidMl * s) / 5) * 5 })),
    ...(naturalMin === null
      ? []
      : naturalSteps
          .filter((s) => naturalMin + s >= 0)
          .map((s) => ({ release: { kind: 'timed' as const, naturalMin: naturalMin + s } }))),
  ];
}

/** How much a change is, so that of those that help alike the smallest is taken: a tenth of the liquid is a third of the hold. */
function sizeOf({ holdMin, liquidMl, release }: NextTime['change'], was: Was): number {
  if (holdMin !== undefined) return Math.abs(holdMin - was.holdMin) / Math.max(2, was.holdMin);
  if (liquidMl !== undefined) return (3 * Math.abs(liquidMl - was.liquidMl)) / was.liquidMl;
  return Math.abs((release?.naturalMin ?? 0) - (was.release.naturalMin ?? 0)) / 10;
}

/** Where the grain or pasta of a plan lies, in steps of the rating; null without one. */
function placeOf({ grain, pasta }: Plan): number | null {
  if (grain) return inSteps(grain.textureIndex, ratingEdges.grain);
  return pasta ? inSteps(100 * Math.log(Math.max(0.05, pasta.x)), ratingEdges.pasta) : null;
}

/** Where a dish lay, in steps, when it was planned at one place and rated at another: between the two. */
const placeGiven = (rated: number, planned: number): number =>
  planned + ((rated - planned) * plannedSd ** 2) / (plannedSd ** 2 + ratingVariance);

/** Chance that a dish believed at a place lies within half a step of just right. */
function chanceRight(place: number): number {
  const sd = Math.sqrt(1 / (1 / plannedSd ** 2 + 1 / ratingVariance));
  return normal((justRight + 0.5 - place) / sd) - normal((justRight - 0.5 - place) / sd);
}

function isAsSafe(p: Plan, base: Plan): boolean {
  const under = (x: Plan): number => x.meats.filter((m) => m.coreC < m.safeMinimumC).length;
  return (
    placeOf(p) !== null &&
    stopCount(p) <= stopCount(base) &&
    p.scorch.index <= base.scorch.index + 0.02 &&
    under(p) <= under(base)
  );
}

/** The dish with the change as a decision of its cook. */
export const withNextTime = (dish: Dish, { change }: NextTime): Dish => ({
  ...dish,
  overrides: { ...dish.overrides, ...change },
});
