import type { PotCurve } from '../plan/document/curve';
import type { CookTimeline } from './timeline';
import { actualOf } from './actual';
import type { Cook } from './cook';
import { isBroken } from './rescued-steps';

/** A pot that was opened for a rescue and is locked again is at least so warm, degC [common practice]. */
const againC = 85;

/**
 * The planned curve moved to the times that were tapped: each stretch (to the pin, to the end of the hold, to the
 * opening) is stretched to its real length. An estimate from taps, not a measurement.
 */
export function curveFromTaps(cook: Cook): { minutes: number[]; tempC: number[] } {
  const p = cook.plan;
  const a = actualOf(cook);
  const planned = [0, p.program.pinUpMin, p.program.minutesToPressure + p.program.holdMin, last(p.curve)];
  const pin = a.toPinMin ?? planned[1]!;
  const hold = pin + (planned[2]! - planned[1]!);
  const real = [0, pin, hold, hold + (a.releaseMin ?? planned[3]! - planned[2]!)];
  return { minutes: p.curve.minutes.map((m) => moved(m, planned, real)), tempC: [...p.curve.tempC] };
}

/**
 * The same of the first of two stages: minutes after its own lid was locked, the last time. Null in a plan without one,
 * or one that was made before its curve was kept.
 */
export function firstCurveFromTaps(cook: Cook, timed: CookTimeline): { minutes: number[]; tempC: number[] } | null {
  const first = cook.plan.firstStage;
  const steps = ['first-heat', 'first-hold', 'first-vent'].map((id) => timed.steps.find((s) => s.step.id === id));
  if (!first?.curve || steps.some((s) => s === undefined)) return null;
  const pinUpMin = cook.plan.steps.find((s) => s.id === 'first-heat')!.minutes;
  const planned = [0, pinUpMin, first.minutesToPressure + first.holdMin, last(first.curve)];
  const real = [0, ...steps.map((s) => (s!.endMs - steps[0]!.startMs) / 60_000)];
  const again = timed.steps.some((s) => isBroken(s.step, 'first-heat'));
  return {
    minutes: first.curve.minutes.map((m) => moved(m, planned, real)),
    tempC: first.curve.tempC.map((c, i) => (again && first.curve!.minutes[i]! < pinUpMin ? Math.max(againC, c) : c)),
  };
}

/** A minute of the plan among the marks as they really were. */
function moved(m: number, planned: readonly number[], real: readonly number[]): number {
  const found = planned.findIndex((x, k) => k > 0 && m <= x + 1e-9);
  const i = found < 0 ? planned.length - 1 : found;
  const from = planned[i - 1]!;
  const span = planned[i]! - from;
  return span <= 0 ? real[i]! : real[i - 1]! + ((m - from) / span) * (real[i]! - real[i - 1]!);
}

const last = (c: PotCurve): number => c.minutes[c.minutes.length - 1] ?? 0;
