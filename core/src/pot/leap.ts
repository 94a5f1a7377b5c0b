import { waterJPerKgK } from '../water/steam';
import type { Recorder } from './history';
import type { PotState } from './state';
import { step } from './step';

const { max, min } = Math;

/** From this gauge on with the pin still down steam drives the air out [derived], Pa. */
export const purgePa = 300;

/**
 * Where nothing bends, the pot takes long steps and the samples between are read off the line: heating well below the local
 * boil, a hold that has settled, a release under way [derived: within 0.1 K of a fine solver over an hour].
 */
export const calm = {
  stepS: 10,
  riseS: 4,
  belowBoilK: 15,
  settleS: 12,
  holdS: 16,
  releaseS: 8,
  pinPa: 2500,
  shortPa: 12_000,
};
/** A long step is at most this share of the food's own time constant against the plate and lid [derived: stable from .5 down]. */
const calmShare = 0.35;

/** Samples that a long step may span in this pot: a light load on a strong plate moves too fast for ten seconds. */
export function calmSamples(s: Pick<PotState, 'dryJPerK' | 'waterKg' | 'pot'>, dtS: number): number {
  const foodJPerK = s.dryJPerK + s.waterKg * waterJPerKgK;
  const ownS = (calmShare * foodJPerK) / (s.pot.baseWPerK + s.pot.lidSteamWPerK);
  return Math.max(1, Math.floor(Math.min(calm.stepS, ownS) / dtS));
}

/** With the pin down the float opening holds the gauge near nothing; a long step cannot follow the air through it. */
const shownKpa = (s: PotState): number => (s.pinUp ? s.gauge : min(max(s.gauge, 0), purgePa)) / 1000;

/** One step of so many samples, each recorded. */
export function leap(
  s: PotState,
  recorder: Recorder,
  { dtS, samples, heaterW }: { dtS: number; samples: number; heaterW: number },
): void {
  const from = s.tempC;
  const fromKpa = shownKpa(s);
  step(s, dtS * samples, heaterW);
  const toKpa = shownKpa(s);
  for (let i = 1; i <= samples; i++) {
    const f = i / samples;
    recorder.push(from + (s.tempC - from) * f, fromKpa + (toKpa - fromKpa) * f);
  }
}
