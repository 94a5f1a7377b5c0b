import type { Cook } from '../cook/cook';
import { isKind, type EventOf } from '../cook/events';
import { cookTimeline } from '../cook/timeline';
import { atPlace, type Kitchen } from '../dish/kitchen';
import type { Kinetics } from '../food/record';
import { recordAmong } from '../food/own-food';
import { ownScorchReason } from '../plan/simulate/scorch';
import type { CookSetting } from './forward';

/** What a cook wrote down, minutes after the lid was locked; left out what nobody tapped. */
export interface Taps {
  pinMin?: number;
  fullMin?: number;
  valveMin?: number;
  /** the pin fell: by itself, or after the valve */
  pinDownMin?: number;
}

/** One cook of the log as the fit needs it. */
export interface Observation {
  cookId: string;
  startedMs: number;
  potId: string;
  setting: CookSetting;
  /** the grain or pasta of the dish */
  starch: { food: string; kinetics: Kinetics } | null;
  taps: Taps;
  /** minutes that the valve was opened later than planned; null where nobody can tell */
  lateMin: number | null;
  gaugeKpa: number[];
  /** what the pot lost between a weighing before the lid and one after the pin fell, g */
  steamG: number | null;
  /** 0 to 4 on the scales of the ratings */
  ratings: { grain?: number; sauce?: number; salt?: number; bottom?: number };
  /** log odds that the base catches, as the table has them for this plan */
  scorchLogOdds: number;
  /** salt of the finished dish over what it aimed at, percent of its mass; 0 where it was added to the aim */
  saltOverPercent: number;
}

/** A cook of which nobody wrote anything down. */
export const unseen = (
  o: Pick<Observation, 'cookId' | 'startedMs' | 'potId' | 'setting' | 'starch' | 'scorchLogOdds'>,
): Observation => ({
  cookId: o.cookId,
  startedMs: o.startedMs,
  potId: o.potId,
  setting: o.setting,
  starch: o.starch,
  taps: {},
  lateMin: null,
  gaugeKpa: [],
  steamG: null,
  ratings: {},
  scorchLogOdds: o.scorchLogOdds,
  saltOverPercent: 0,
});

/**
 * Reads a cook; null where it teaches nothing: practice, never closed, opened and locked again, or put right before the pin.
 * Where something went wrong later, the taps up to there still count, and nothing is asked of how it tasted. A pot that called
 * out that it burns tells of its base, whenever it did.
 */
export function observationOf(cook: Cook, kitchen: Kitchen): Observation | null {
  if (cook.practice || cook.finishedMs === null) return null;
  const t = cookTimeline(cook, cook.finishedMs);
  const up = t.steps.find((s) => s.step.id === 'heat-up');
  if (!up || t.lockedAgain) return null;
  const pinMs = t.ofRun.findLast(isKind('pin-up'))?.atMs;
  const troubleMs = Math.min(
    ...t.standing.filter((e) => e.kind === 'rescued' || e.kind === 'burn' || e.kind === 'off-plan').map((e) => e.atMs),
    Infinity,
  );
  const isBurnt = t.standing.some(isKind('burn'));
  const isEarly = troubleMs <= (pinMs ?? up.endMs);
  if (isEarly && !isBurnt) return null;
  const { plan, dish, outcome } = cook;
  const at = (kind: 'pin-up' | 'countdown' | 'whistle' | 'valve-open' | 'pin-down'): number | undefined => {
    const all = t.ofRun.filter((e) => e.kind === kind && e.atMs < troubleMs && e.atMs >= up.startMs);
    // A whistle cooker counts from its first; everything else is corrected by the last tap.
    const e = kind === 'whistle' ? all[0] : all.at(-1);
    return e && (e.atMs - up.startMs) / 60_000;
  };
  const whistles = plan.program.whistles !== undefined;
  const taps = withoutEmpty({
    pinMin: at('pin-up'),
    fullMin: at(whistles ? 'whistle' : 'countdown'),
    valveMin: at('valve-open'),
    pinDownMin: at('pin-down'),
  });
  const holdMin = t.ownHoldMin ?? plan.program.holdMin;
  const { naturalMin, lateMin } = releaseOf(plan.program.release, taps, holdMin);
  const starch = plan.grain ?? plan.pasta;
  const kinetics = starch && recordAmong(dish.ingredients, starch.food).grain?.kinetics;
  const cooked = {
    cookId: cook.id,
    startedMs: cook.startedMs,
    potId: plan.pot.id,
    setting: {
      dish,
      // The table's own pot: what was learned before must not be learned again from itself.
      kitchen: { ...atPlace(kitchen, plan.pot), learned: undefined },
      plan,
      holdMin,
      naturalMin,
    },
    starch: starch && kinetics ? { food: starch.food, kinetics } : null,
    scorchLogOdds: tableLogOdds(plan.scorch),
  };
  if (isEarly) return { ...unseen(cooked), ratings: { bottom: calledOut } };
  const { grain, sauce, salt, bottom } = troubleMs === Infinity ? (outcome?.ratings ?? {}) : {};
  return {
    ...cooked,
    lateMin,
    taps,
    gaugeKpa: t.ofRun.filter(isKind('gauge-read')).map((e) => e.gaugeKpa),
    steamG: lostG(t.standing.filter(isKind('weight-read')), up.startMs, t.ofRun.findLast(isKind('pin-down'))?.atMs),
    ratings: withoutEmpty({ grain, sauce, salt, bottom: isBurnt ? calledOut : dish.calibrates ? undefined : bottom }),
    saltOverPercent: Math.max(0, plan.salt.percent - plan.salt.aimPercent),
  };
}

/** A pot that calls out has at least stuck: brown, on the scale of the rating. */
const calledOut = 3;

/** The log odds of a plan's scorching without what was learned of the pot before. */
export function tableLogOdds({ index, reasons }: Cook['plan']['scorch']): number {
  const p = Math.min(1 - leastIndex, Math.max(leastIndex, index));
  const own = reasons.find((r) => r.code === ownScorchReason)?.points ?? 0;
  return Math.log(p / (1 - p)) - own;
}
const leastIndex = 1e-4;

/**
 * A cook with what a log is learned from: of its plan the program and the steps stay, what was drawn and told of it goes.
 * Two hundred of them are read at once.
 */
export function asEvidence(cook: Cook): Cook {
  const { firstStage } = cook.plan;
  return {
    ...cook,
    plan: {
      ...cook.plan,
      firstStage: firstStage && { ...firstStage, curve: undefined },
      curve: { minutes: [], tempC: [], gaugeKpa: [] },
      stack: [],
      finish: [],
      warnings: [],
      proposals: [],
      timeline: [],
    },
  };
}

/**
 * Minutes of natural release before the valve as planned, and how much later the valve was really opened, where both its tap
 * and that of the countdown tell; null where the pin fell by itself.
 */
function releaseOf(
  release: Cook['plan']['program']['release'],
  { fullMin, valveMin }: Taps,
  holdMin: number,
): { naturalMin: number | null; lateMin: number | null } {
  const tapped = valveMin === undefined || fullMin === undefined ? null : Math.max(0, valveMin - fullMin - holdMin);
  if (release.kind === 'natural')
    return { naturalMin: valveMin === undefined ? null : (tapped ?? 0), lateMin: tapped === null ? null : 0 };
  const naturalMin = release.kind === 'timed' ? (release.naturalMin ?? 0) : 0;
  return { naturalMin, lateMin: tapped === null ? null : tapped - naturalMin };
}

/** Of several weighings the last before the lid and the first after the pin count. */
function lostG(
  weighed: readonly EventOf<'weight-read'>[],
  lockedMs: number,
  pinDownMs: number | undefined,
): number | null {
  const before = weighed.findLast((e) => e.atMs <= lockedMs);
  const after = pinDownMs === undefined ? undefined : weighed.find((e) => e.atMs >= pinDownMs);
  return before && after && after.grams < before.grams ? before.grams - after.grams : null;
}

const withoutEmpty = <T extends object>(x: T): { [K in keyof T]?: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(x).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
