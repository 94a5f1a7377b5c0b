import { latentJPerKg, saturationSlope, steamDensity, waterJPerKgK } from '../water/steam';
import type { PotState } from './state';

/**
 * Full power until the pin is up. Then throttled in proportion to what is missing, or switched off above the band and on
 * below it; the base sensor leads. Watts before the efficiency; `setPa` is the wanted gauge in Pa.
 *
 * The proportional law holds at the END of the step of `stepS` seconds: gauge and base are taken as linear in the heat
 * given (plate and food as two lumps, Clapeyron's slope), which is stable at any step. The heat is cut further where the
 * plate, hotter than the losses need, would still carry the pot over its band: slope x Cb / (Cb + C) Pa per K of it.
 */
export function heaterW(s: PotState, setPa: number, stepS = 1): number {
  const { pot } = s;
  if (!s.pinUp) return pot.powerW;
  if (pot.control === 'on-off') {
    const felt = s.gauge + pot.leadPaPerK * Math.max(0, s.baseC - s.tempC);
    s.heaterOn = s.heaterOn ? felt < setPa + pot.bandPa : felt <= setPa - pot.bandPa;
    return s.heaterOn ? pot.powerW : 0;
  }
  const foodJPerK = s.dryJPerK + s.waterKg * waterJPerKgK;
  const slope = saturationSlope(s.tempC, steamDensity(s.tempC, s.satPa), latentJPerKg(s.tempC));
  const half = (stepS / 2) * pot.baseWPerK;
  const base = ((pot.baseJPerK - half) * s.baseC + 2 * half * s.tempC) / (pot.baseJPerK + half);
  const basePerW = (stepS * pot.efficiency) / (pot.baseJPerK + half);
  // What the plate gives and the food does not keep goes to the walls and into the pieces.
  const lossW = pot.baseWPerK * (s.baseC - s.tempC) - foodJPerK * s.rateKPerS;
  const food = s.tempC + (stepS / foodJPerK) * (pot.baseWPerK * ((s.baseC + base) / 2 - s.tempC) - lossW);
  const foodPerW = ((stepS / foodJPerK) * pot.baseWPerK * basePerW) / 2;
  const sensor = base > food ? pot.leadPaPerK : 0;
  const felt = s.gauge + slope * (food - s.tempC) + sensor * (base - food);
  const feltPerW = slope * foodPerW + sensor * (basePerW - foodPerW);
  const wanted = (pot.powerW * (setPa + pot.bandPa - felt)) / (2 * pot.bandPa + pot.powerW * feltPerW);
  // What the plate still gives once the heat is off must not carry a light pot over its band.
  const gives = (slope * pot.baseJPerK) / (pot.baseJPerK + foodJPerK);
  const peak = s.gauge + slope * (food - s.tempC) + gives * Math.max(0, base - food - lossW / pot.baseWPerK);
  const peakPerW = slope * foodPerW + gives * (basePerW - foodPerW);
  const bearable = (setPa + peakBand * pot.bandPa - peak) / peakPerW;
  return Math.min(pot.powerW, Math.max(0, Math.min(wanted, bearable)));
}
/** Share of the band that the peak after a hot plate may use [derived]. */
const peakBand = 0.8;
