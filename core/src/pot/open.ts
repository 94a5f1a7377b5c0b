import { ambientPa } from '../water/atmosphere';
import { saturationC, saturationPa } from '../water/saturation';
import { latentJPerKg, waterJPerKgK } from '../water/steam';
import type { PotAt } from './profile';

/** Open pot: area of the surface and its air-side coefficient [from memory; about 9 g/min at 90 degC]. */
const surface = { areaM2: 0.038, hWPerM2K: 4.5, airJPerKgK: 1007, roomVapour: 0.008, mostShare: 0.985 };
/** On sauté heat the plate couples less, a thermostat holds it, and only part of the surface is wet [from memory]. */
const saute = { baseWPerK: 8, onC: 165, offC: 175, wet: 0.3 };
/** A food that boils while it fries: liquid between it and the base couples the plate as under the lid. */
export type OpenHeat = 'off' | 'saute' | 'simmer' | 'warm';
/** Keep-warm holds the food here at little power; it never acts while the pot is hotter [common practice]. */
const warm = { onC: 63, offC: 68, powerW: 300 };

/** Water that leaves an open surface at `tempC`, kg/s (Spalding's law with the saturated mass fraction, capped). */
export function evaporationKgPerS(tempC: number, altitudeM: number, wet = 1): number {
  const share = Math.min(surface.mostShare, massShare(saturationPa(tempC) / ambientPa(altitudeM)));
  const b = (share - surface.roomVapour) / (1 - share);
  return b <= 0 ? 0 : (surface.hWPerM2K / surface.airJPerKgK) * surface.areaM2 * wet * Math.log(1 + b);
}

/** Mass fraction of vapour in moist air from its share of the pressure. */
const massShare = (x: number): number => {
  const y = Math.min(1, x);
  return (18.015 * y) / (18.015 * y + 28.96 * (1 - y));
};

export interface OpenState {
  tempC: number;
  baseC: number;
  /** heat capacity of food and inner wall, J/K */
  heatJPerK: number;
  evaporatedKg: number;
  /** water that may still boil off, kg; without it the food has enough (and on sauté heat none) */
  waterKg?: number;
}

/** Food put into the open pot: it takes its share of the heat at once. Plate and lid keep their own temperatures. */
export function addTo(
  s: OpenState,
  food: { massKg: number; cpJPerKgK: number; tempC: number; waterKg?: number },
): OpenState {
  const c = food.massKg * food.cpJPerKgK;
  return {
    ...s,
    tempC: (s.heatJPerK * s.tempC + c * food.tempC) / (s.heatJPerK + c),
    heatJPerK: s.heatJPerK + c,
    ...(s.waterKg === undefined && food.waterKg === undefined
      ? {}
      : { waterKg: (s.waterKg ?? 0) + (food.waterKg ?? 0) }),
  };
}

/** Food taken out of the open pot, as warm as the rest. */
export const takeFrom = (s: OpenState, food: { massKg: number; cpJPerKgK: number; waterKg?: number }): OpenState => ({
  ...s,
  heatJPerK: Math.max(1, s.heatJPerK - food.massKg * food.cpJPerKgK),
  ...(s.waterKg === undefined ? {} : { waterKg: Math.max(0, s.waterKg - (food.waterKg ?? 0)) }),
});

/**
 * The open pot for `seconds`: frying, simmering (on the same heat, with liquid over the base), resting or kept warm. Food
 * and plate as two lumps, evaporation from the surface, boiling above the local boiling point while there is water. Returns the state after it; the input is not changed.
 */
export function openFor({ pot, altitudeM }: PotAt, from: OpenState, seconds: number, heat: OpenHeat): OpenState {
  const s = { ...from };
  const boilC = saturationC(ambientPa(altitudeM));
  const coupling = heat === 'saute' ? saute.baseWPerK : pot.baseWPerK;
  const wet = heat === 'saute' ? saute.wet : 1;
  let on = heat !== 'off';
  for (let t = 0; t < seconds; t++) {
    if (heat === 'saute' || heat === 'simmer') on = s.baseC < (on ? saute.offC : saute.onC);
    if (heat === 'warm') on = s.tempC < (on ? warm.offC : warm.onC);
    const powerW = on ? pot.efficiency * (heat === 'warm' ? warm.powerW : pot.powerW) : 0;
    const base = (pot.baseJPerK * s.baseC + powerW + coupling * s.tempC) / (pot.baseJPerK + coupling);
    const lossW = (pot.sideLossWPerK + surface.hWPerM2K * surface.areaM2) * (s.tempC - pot.roomC);
    const latent = latentJPerKg(s.tempC);
    let vapour = evaporationKgPerS(s.tempC, altitudeM, wet);
    s.tempC += (coupling * (base - s.tempC) - lossW - latent * vapour) / s.heatJPerK;
    s.baseC = base;
    // Food cannot be hotter than its boiling water while there is any.
    const water = s.waterKg ?? (heat === 'saute' ? 0 : Infinity);
    if (water > 0 && s.tempC > boilC) {
      vapour += (s.heatJPerK * (s.tempC - boilC)) / latent;
      s.tempC = boilC;
    }
    if (s.waterKg !== undefined) {
      // What boils away takes its heat capacity with it.
      vapour = Math.min(vapour, s.waterKg);
      s.waterKg -= vapour;
      s.heatJPerK = Math.max(1, s.heatJPerK - vapour * waterJPerKgK);
    }
    s.evaporatedKg += vapour;
  }
  return s;
}
