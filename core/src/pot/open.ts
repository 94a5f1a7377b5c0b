import { ambientPa } from '../water/atmosphere';
import { saturationC, saturationPa } from '../water/saturation';
import { latentJPerKg } from '../water/steam';
import type { PotProfile } from './profile';

/** Open pot: area of the surface and its air-side coefficient [from memory; about 9 g/min at 90 degC]. */
const surface = { areaM2: 0.038, hWPerM2K: 4.5, airJPerKgK: 1007, roomVapour: 0.008, mostShare: 0.985 };
/** On sauté heat the plate couples less, a thermostat holds it, and only part of the surface is wet [from memory]. */
const saute = { baseWPerK: 8, onC: 165, offC: 175, wet: 0.3 };
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
}

/**
 * The open pot for `seconds`: frying, simmering, resting or kept warm. Food and plate as two lumps, evaporation from the
 * surface, boiling above the local boiling point. Returns the state after it; the input is not changed.
 */
export function openFor(
  pot: PotProfile,
  altitudeM: number,
  from: OpenState,
  seconds: number,
  heat: 'off' | 'saute' | 'warm',
): OpenState {
  const s = { ...from };
  const boilC = saturationC(ambientPa(altitudeM));
  const coupling = heat === 'saute' ? saute.baseWPerK : pot.baseWPerK;
  const wet = heat === 'saute' ? saute.wet : 1;
  let on = heat !== 'off';
  for (let t = 0; t < seconds; t++) {
    if (heat === 'saute') on = s.baseC < (on ? saute.offC : saute.onC);
    if (heat === 'warm') on = s.tempC < (on ? warm.offC : warm.onC);
    const powerW = on ? pot.efficiency * (heat === 'warm' ? warm.powerW : pot.powerW) : 0;
    const base = (pot.baseJPerK * s.baseC + powerW + coupling * s.tempC) / (pot.baseJPerK + coupling);
    const lossW = (pot.sideLossWPerK + surface.hWPerM2K * surface.areaM2) * (s.tempC - pot.roomC);
    const latent = latentJPerKg(s.tempC);
    let vapour = evaporationKgPerS(s.tempC, altitudeM, wet);
    s.tempC += (coupling * (base - s.tempC) - lossW - latent * vapour) / s.heatJPerK;
    s.baseC = base;
    // Food cannot be hotter than its boiling water while there is any on the surface.
    if (heat !== 'saute' && s.tempC > boilC) {
      vapour += (s.heatJPerK * (s.tempC - boilC)) / latent;
      s.tempC = boilC;
    }
    s.evaporatedKg += vapour;
  }
  return s;
}
