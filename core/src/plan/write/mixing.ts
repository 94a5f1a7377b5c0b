import { evaporationKgPerS, openFor, type OpenState } from '../../pot/open';
import type { PotRun } from '../../pot/program';
import type { PotProfile } from '../../pot/profile';
import { ambientPa } from '../../water/atmosphere';
import { saturationC } from '../../water/saturation';
import { latentJPerKg, waterJPerKgK } from '../../water/steam';
import { boardC, type Item } from '../gather/item';

/** Heat of ice, J/kg, the share of a food's water that freezes, and heat capacity of the frozen food as a share [from memory]. */
const ice = { jPerKg: 333_600, share: 0.9, cpShare: 0.55 } as const;
/** Heat that reaches the food with the lid off, W: sauté stirred; and of keep-warm under the lid [from memory]. */
export const finishPowerW = { saute: 800, 'keep-warm': 275 } as const;
export type FinishHeat = keyof typeof finishPowerW;
/** Cooked things that waited in a bowl, degC [common practice]. */
export const waitedC = 55;

/** An opened pot and what is in it. */
export interface Mixture {
  state: OpenState;
  pot: PotProfile;
  altitudeM: number;
}

/** The dish as the lid comes off: what is in it and the wall, no hotter than the boil of the place. */
export function openedMixture(run: PotRun, pot: PotProfile, altitudeM: number): Mixture {
  const boilC = saturationC(ambientPa(altitudeM));
  const tempC = Math.min(run.openC, boilC);
  const heatJPerK = run.end.dryJPerK + run.end.waterKg * waterJPerKgK;
  return { state: { tempC, baseC: Math.min(run.end.baseC, boilC + 5), heatJPerK, evaporatedKg: 0 }, pot, altitudeM };
}

/** Minutes with the lid off and the heat off. */
export const stands = (m: Mixture, minutes: number): Mixture => ({
  ...m,
  state: openFor({ pot: m.pot, altitudeM: m.altitudeM }, m.state, Math.round(minutes * 60), 'off'),
});

/**
 * The mixture after things are stirred in: T = (sum m c T - heat of thawing) / sum m c, the wall of the pot among them.
 * Frozen food is taken from -18 degC through its ice to 0 degC.
 */
export function stirIn(m: Mixture, items: readonly { item: Item; grams: number; tempC: number }[]): Mixture {
  let heat = m.state.heatJPerK * m.state.tempC;
  let capacity = m.state.heatJPerK;
  for (const { item, grams, tempC } of items) {
    const kg = grams / 1000;
    const cp = item.food.cpKjPerKgK[0] * 1000;
    capacity += kg * cp;
    if (tempC < 0) {
      const frozenShare = tempC <= boardC.frozen ? 1 : 0.5;
      heat -= kg * (ice.jPerKg * ice.share * item.food.water[0] * frozenShare - ice.cpShare * cp * tempC);
    } else heat += kg * cp * tempC;
  }
  return { ...m, state: { ...m.state, tempC: heat / capacity, heatJPerK: capacity } };
}

/**
 * Minutes of heat that bring the mixture to `toC`: (Taim - T) sum C / P, with what it loses to the room and, open, as
 * vapour on the way; 0 where it is warm enough, null where that heat cannot do it.
 */
export function minutesTo(m: Mixture, toC: number, heat: FinishHeat): number | null {
  const { tempC, heatJPerK } = m.state;
  if (tempC >= toC) return 0;
  const middle = (tempC + toC) / 2;
  const lidded = heat === 'keep-warm';
  const lossW =
    m.pot.sideLossWPerK * (middle - m.pot.roomC) +
    (lidded
      ? m.pot.lidLossWPerK * (middle - m.pot.roomC)
      : evaporationKgPerS(middle, m.altitudeM) * latentJPerKg(middle));
  const gainW = finishPowerW[heat] - lossW;
  return gainW <= 0 ? null : ((toC - tempC) * heatJPerK) / gainW / 60;
}

export const heatedTo = (m: Mixture, toC: number): Mixture => ({
  ...m,
  state: { ...m.state, tempC: Math.max(m.state.tempC, toC) },
});
