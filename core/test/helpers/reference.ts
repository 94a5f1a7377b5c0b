import type { PotState } from '../../src/pot/state';
import { saturationPa } from '../../src/water/saturation';
import { latentJPerKg, steamDensity } from '../../src/water/steam';

/** Isentropic nozzle, gamma 1.3, kg/(s m2): not the elliptic law of the product. */
const nozzle = (p: number, rho: number, pe: number): number => {
  if (p <= pe) return 0;
  const g = 1.3;
  const crit = (2 / (g + 1)) ** (g / (g - 1));
  const r = Math.max(crit, pe / p);
  return Math.sqrt(((2 * g) / (g - 1)) * p * rho * (r ** (2 / g) - r ** ((g + 1) / g)));
};

/**
 * The pot as plain derivatives for a general ODE solver: the same physics with a right-hand side of its own, the exact
 * nozzle, no implicit gas step. State: food, plate and lid in degC, air and water in kg.
 *
 * @param heaterW power at the heater, from the gauge in Pa and how much hotter the plate is than the food, K
 */
export function rightHandSide(
  s: PotState,
  areaM2: number,
  heaterW: (gaugePa: number, leadK: number) => number,
): (_: number, y: number[]) => number[] {
  const pot = s.pot;
  return (_, y) => {
    const [t, base, lid, air, water] = y as [number, number, number, number, number];
    const k = t + 273.15;
    const ps = saturationPa(t);
    const rhoG = steamDensity(t);
    const latent = latentJPerKg(t);
    const dps = (saturationPa(t + 0.01) - saturationPa(t - 0.01)) / 0.02;
    const p = ps + (air * 287.05287 * k) / s.headM3;
    const x = ps / p;
    const lidW = pot.lidAirWPerK + (pot.lidSteamWPerK - pot.lidAirWPerK) * x ** 3;
    const q =
      pot.baseWPerK * (base - t) -
      lidW * (t - lid) -
      (pot.sideLossWPerK + pot.fillLossWPerK * s.fill) * (t - pot.roomC);
    const rho = rhoG + air / s.headM3;
    const m = areaM2 * nozzle(p, rho, s.ambientPa);
    const w = air / (rho * s.headM3);
    const vapour = rhoG * s.headM3;
    const c =
      s.dryJPerK +
      (water - vapour) * 4200 +
      1500 * vapour +
      s.headM3 * (latent - ps / rhoG) * rhoG * (dps / ps - 1 / k);
    const heater = pot.efficiency * heaterW(p - s.ambientPa, base - t);
    return [
      (q - latent * (1 - w) * m) / c,
      (heater - pot.baseWPerK * (base - t)) / pot.baseJPerK,
      (lidW * (t - lid) - pot.lidLossWPerK * (lid - pot.roomC)) / pot.lidJPerK,
      -w * m,
      -(1 - w) * m,
    ];
  };
}
