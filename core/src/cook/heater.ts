import { turnBetween } from '../bisect';
import type { PotProfile } from '../pot/profile';

/** A heater this far off is a wrong tap, not a heater. */
const factor = { least: 0.4, most: 2.5 };

/**
 * The same pot with its heater so much weaker or stronger that the pin rises when it did, by bisection on the logarithm
 * of the power.
 *
 * @param toPinMin from the locked lid to the pin as it happened, min
 * @param pinMin the same as the model has it for a pot, min; Infinity for a heater too weak to lift the pin at all
 */
export function potWithPinAt(pot: PotProfile, toPinMin: number, pinMin: (pot: PotProfile) => number): PotProfile {
  const potAt = (logPower: number): PotProfile => ({ ...pot, efficiency: pot.efficiency * Math.exp(logPower) });
  const isStrong = (logPower: number): boolean | 'near' => {
    const min = pinMin(potAt(logPower));
    return Math.abs(min / toPinMin - 1) < 0.01 ? 'near' : min <= toPinMin;
  };
  return potAt(turnBetween(Math.log(factor.least), Math.log(factor.most), isStrong, { steps: 10 }).high);
}
