import { saturationPa } from '../water/saturation';
import { airGasJPerKgK, latentJPerKg, saturationSlope, steamDensity, waterJPerKgK } from '../water/steam';
import { flux } from './flux';
import { surfaceSlowing } from '../water/surface';
import type { PotState } from './state';

const { min, max } = Math;

/** Heat capacity of steam, J/(kg K), for the vapour in the head space [from memory]. */
const vapourJPerKgK = 1500;

/**
 * One step of the pot, `dt` seconds, with `heaterW` at the heater (before the efficiency).
 *
 * Lumps by implicit Euler against the old food temperature; the gas by a step that is linearly implicit in the
 * head-space pressure, so that a quick release stays stable at 1 s. The same fluxes enter both balances, so energy is
 * conserved to the accuracy of the saturation fits. Equations: lumped energy balance, Clapeyron, ISO 6358 flow.
 */
export function step(s: PotState, dt: number, heaterW: number): void {
  const pot = s.pot;
  const t0 = s.tempC;
  const k0 = t0 + 273.15;
  const ps = s.satPa;
  const rhoG = steamDensity(t0, ps);
  const latent = latentJPerKg(t0);
  const slope = saturationSlope(t0, rhoG, latent);
  const airPa = (s.airKg * airGasJPerKgK * k0) / s.headM3;
  const p = ps + airPa;
  const steamShare = ps / p;

  const heater = pot.efficiency * heaterW;
  // The food as it will be in the middle of the step, by its last rate: with it the lumps are second order in time.
  const tm = t0 + (dt / 2) * s.rateKPerS;
  const halfBase = (dt / 2) * pot.baseWPerK;
  const base = ((pot.baseJPerK - halfBase) * s.baseC + dt * heater + 2 * halfBase * tm) / (pot.baseJPerK + halfBase);
  const lidWPerK = pot.lidAirWPerK + (pot.lidSteamWPerK - pot.lidAirWPerK) * steamShare * steamShare * steamShare;
  const halfLid = (dt / 2) * (lidWPerK + pot.lidLossWPerK);
  const lid =
    ((pot.lidJPerK - halfLid) * s.lidC + dt * (lidWPerK * tm + pot.lidLossWPerK * pot.roomC)) /
    (pot.lidJPerK + halfLid);
  const lidMeanC = (s.lidC + lid) / 2;
  const sideLossW = (pot.sideLossWPerK + pot.fillLossWPerK * s.fill) * (tm - pot.roomC);
  let q = pot.baseWPerK * ((s.baseC + base) / 2 - tm) - lidWPerK * (tm - lidMeanC) - sideLossW;
  for (let i = 0; i < s.slowC.length; i++) {
    const surface = s.slowSurface[i];
    const slowing = surface ? surfaceSlowing(surface.place, t0, surface.lOverK) : 1;
    const rate = dt / (s.slowTauS[i]! * slowing);
    const next = (s.slowC[i]! * (1 - rate / 2) + rate * tm) / (1 + rate / 2);
    q -= (s.slowJPerK[i]! * (next - s.slowC[i]!)) / dt;
    s.slowC[i] = next;
  }
  s.baseC = base;
  s.lidC = lid;
  s.heaterJ += heater * dt;
  s.lossJ += (sideLossW + pot.lidLossWPerK * (lidMeanC - pot.roomC)) * dt;

  const vapourKg = rhoG * s.headM3;
  const heatJPerK =
    s.dryJPerK +
    (s.waterKg - vapourKg) * waterJPerKgK +
    vapourJPerKgK * vapourKg +
    s.headM3 * (latent - ps / rhoG) * rhoG * (slope / ps - 1 / k0);

  const gauge = p - s.ambientPa;
  const floatM2 = s.pinUp ? 0 : pot.floatM2;
  const quickM2 = s.quickOpen ? pot.quickM2 : 0;
  const reliefM2 =
    (pot.relief ? pot.relief.areaM2 * min(1, max(0, (gauge - pot.relief.openPa) / pot.relief.spanPa)) : 0) +
    (s.whistleOpen && pot.whistle ? pot.whistle.areaM2 : 0);
  const area = floatM2 + quickM2 + reliefM2 + pot.leakM2;

  if (gauge < 0) {
    // The pot draws room air in: no enthalpy at room temperature is booked, the air only fills the head space.
    const inflow = flux(s.ambientPa, s.ambientPa / (airGasJPerKgK * (pot.roomC + 273.15)), p);
    const airSlope = (airGasJPerKgK * k0) / s.headM3;
    const inKg = min(
      (dt * area * inflow.flow) / (1 + dt * area * inflow.slope * airSlope),
      (-gauge * s.headM3) / (airGasJPerKgK * k0),
    );
    s.airKg += inKg;
    s.tempC = t0 + (dt * q) / heatJPerK;
  } else {
    const rho = rhoG + s.airKg / s.headM3;
    const airShare = s.airKg / (rho * s.headM3);
    const f = flux(p, rho, s.ambientPa);
    const f0 = area * f.flow;
    const f1 = area * f.slope;
    const a = (slope * latent * (1 - airShare)) / heatJPerK + (airShare * airGasJPerKgK * k0) / s.headM3;
    const dp = (dt * ((slope * q) / heatJPerK - a * f0)) / (1 + dt * f1 * a);
    let out = max(0, dt * (f0 + f1 * dp));
    const liquidKg = s.waterKg - vapourKg;
    let steamKg = (1 - airShare) * out;
    if (steamKg > liquidKg) {
      steamKg = max(0, liquidKg);
      out = airShare < 1 ? steamKg / (1 - airShare) : out;
      s.dry = true;
    }
    s.airKg = max(0, s.airKg - airShare * out);
    s.waterKg -= steamKg;
    s.tempC = t0 + (dt * q - latent * steamKg) / heatJPerK;
    s.steamOutJ += steamKg * ((waterJPerKgK * (t0 + s.tempC)) / 2 + latent);
    if (area > 0) {
      const perM2 = steamKg / area;
      s.lost.leak += perM2 * pot.leakM2;
      if (reliefM2 > 0) s.lost.relief += perM2 * reliefM2;
      if (s.quickOpen) s.lost.quick += perM2 * quickM2;
      if (!s.pinUp) s.lost.purge += perM2 * floatM2;
    }
  }
  if (s.waterKg - vapourKg < 1e-4) s.dry = true;
  s.timeS += dt;
  s.rateKPerS = (s.tempC - t0) / dt;
  movePin(s);
}

/** Least share of steam in the head space that lifts the pin [derived]. */
const liftSteamShare = 0.7;

/** The pin rises once the boil-off makes its pressure through its own opening, and falls a little below it. */
function movePin(s: PotState): void {
  const gauge = s.gaugePa();
  s.gauge = gauge;
  // Air that only expands over a hot base leaves by the opening; it takes steam to hold the pin up.
  const steamy = s.satPa >= liftSteamShare * (s.ambientPa + gauge);
  if (!s.pinUp && !s.quickOpen && steamy && gauge >= s.pot.pinUpPa) s.pinUp = true;
  else if (s.pinUp && gauge <= s.pot.pinDropPa) s.pinUp = false;
  const w = s.pot.whistle;
  if (!w) return;
  if (!s.whistleOpen && gauge >= w.openPa) {
    s.whistleOpen = true;
    s.whistles += 1;
  } else if (s.whistleOpen && gauge <= w.closePa) s.whistleOpen = false;
}

/** Stored heat, J, above 0 degC liquid water, for the energy balance in the tests. */
export function storedJ(s: PotState): number {
  const ps = saturationPa(s.tempC);
  const rhoG = steamDensity(s.tempC, ps);
  const vapourKg = rhoG * s.headM3;
  let u =
    (s.dryJPerK + (s.waterKg - vapourKg) * waterJPerKgK) * s.tempC +
    vapourKg * (waterJPerKgK * s.tempC + latentJPerKg(s.tempC) - ps / rhoG) +
    s.pot.baseJPerK * s.baseC +
    s.pot.lidJPerK * s.lidC;
  for (let i = 0; i < s.slowC.length; i++) u += s.slowJPerK[i]! * s.slowC[i]!;
  return u;
}
