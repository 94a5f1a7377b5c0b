import { saturationPa } from '../water/saturation';
import { airGasJPerKgK, latentJPerKg, saturationSlope, steamDensity, waterJPerKgK } from '../water/steam';
import { flux } from './flux';
import { surfaceSlowing } from '../water/surface';
import type { PotState } from './state';

const { min, max } = Math;

/** Heat capacity of steam, J/(kg K), for the vapour in the head space [from memory]. */
const vapourJPerKgK = 1500;

/** The head space at the start of a step, and the heat that the food takes up for each kelvin with the vapour over it. */
interface HeadSpace {
  t0: number;
  /** pressure of the steam and of all gas, Pa; density of the steam, kg/m3 */
  steamPa: number;
  totalPa: number;
  steamKgPerM3: number;
  latentJPerKg: number;
  /** of the saturation line, Pa/K */
  slope: number;
  vapourKg: number;
  heatJPerK: number;
}

/**
 * One step of the pot, `dt` seconds, with `heaterW` at the heater (before the efficiency).
 *
 * Lumps by implicit Euler against the old food temperature; the gas by a step that is linearly implicit in the
 * head-space pressure, so that a quick release stays stable at 1 s. The same fluxes enter both balances, so energy is
 * conserved to the accuracy of the saturation fits. Equations: lumped energy balance, Clapeyron, ISO 6358 flow.
 */
export function step(s: PotState, dt: number, heaterW: number): void {
  const head = headSpace(s);
  const foodW = warmLumps(s, dt, heaterW, head.steamPa / head.totalPa);
  if (head.totalPa < s.ambientPa) drawAir(s, dt, foodW, head);
  else ventGas(s, dt, foodW, head);
  if (s.waterKg - head.vapourKg < 1e-4) s.dry = true;
  s.timeS += dt;
  s.rateKPerS = (s.tempC - head.t0) / dt;
  movePin(s);
}

function headSpace(s: PotState): HeadSpace {
  const t0 = s.tempC;
  const k0 = t0 + 273.15;
  const ps = s.satPa;
  const rhoG = steamDensity(t0, ps);
  const latent = latentJPerKg(t0);
  const slope = saturationSlope(t0, rhoG, latent);
  const vapourKg = rhoG * s.headM3;
  const heatJPerK =
    s.dryJPerK +
    (s.waterKg - vapourKg) * waterJPerKgK +
    vapourJPerKgK * vapourKg +
    s.headM3 * (latent - ps / rhoG) * rhoG * (slope / ps - 1 / k0);
  const totalPa = ps + (s.airKg * airGasJPerKgK * k0) / s.headM3;
  return { t0, steamPa: ps, totalPa, steamKgPerM3: rhoG, latentJPerKg: latent, slope, vapourKg, heatJPerK };
}

/** Moves plate, lid and slow pieces. @returns what is left to heat the food, W */
function warmLumps(s: PotState, dt: number, heaterW: number, steamShare: number): number {
  const { pot, tempC: t0 } = s;
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
  return q;
}

/** What is open, m2, by the way that the steam leaves. */
function openings(s: PotState, gauge: number): { floatM2: number; quickM2: number; reliefM2: number; all: number } {
  const { pot } = s;
  const floatM2 = s.pinUp ? 0 : pot.floatM2;
  const quickM2 = s.quickOpen ? pot.quickM2 : 0;
  const reliefM2 =
    (pot.relief ? pot.relief.areaM2 * min(1, max(0, (gauge - pot.relief.openPa) / pot.relief.spanPa)) : 0) +
    (s.whistleOpen && pot.whistle ? pot.whistle.areaM2 : 0);
  return { floatM2, quickM2, reliefM2, all: floatM2 + quickM2 + reliefM2 + pot.leakM2 };
}

/** The pot draws room air in: no enthalpy at room temperature is booked, the air only fills the head space. */
function drawAir(s: PotState, dt: number, foodW: number, head: HeadSpace): void {
  const { pot } = s;
  const p = head.totalPa;
  const k0 = head.t0 + 273.15;
  const gauge = p - s.ambientPa;
  const area = openings(s, gauge).all;
  const inflow = flux(s.ambientPa, s.ambientPa / (airGasJPerKgK * (pot.roomC + 273.15)), p);
  const airSlope = (airGasJPerKgK * k0) / s.headM3;
  const inKg = min(
    (dt * area * inflow.flow) / (1 + dt * area * inflow.slope * airSlope),
    (-gauge * s.headM3) / (airGasJPerKgK * k0),
  );
  s.airKg += inKg;
  s.tempC = head.t0 + (dt * foodW) / head.heatJPerK;
}

/** Steam and air leave by whatever is open; the steam takes its heat from the food. */
function ventGas(s: PotState, dt: number, foodW: number, head: HeadSpace): void {
  const { t0, latentJPerKg: latent, slope, heatJPerK } = head;
  const k0 = t0 + 273.15;
  const open = openings(s, head.totalPa - s.ambientPa);
  const rho = head.steamKgPerM3 + s.airKg / s.headM3;
  const airShare = s.airKg / (rho * s.headM3);
  const f = flux(head.totalPa, rho, s.ambientPa);
  const f0 = open.all * f.flow;
  const f1 = open.all * f.slope;
  const a = (slope * latent * (1 - airShare)) / heatJPerK + (airShare * airGasJPerKgK * k0) / s.headM3;
  const dp = (dt * ((slope * foodW) / heatJPerK - a * f0)) / (1 + dt * f1 * a);
  let out = max(0, dt * (f0 + f1 * dp));
  const liquidKg = s.waterKg - head.vapourKg;
  let steamKg = (1 - airShare) * out;
  if (steamKg > liquidKg) {
    steamKg = max(0, liquidKg);
    out = airShare < 1 ? steamKg / (1 - airShare) : out;
    s.dry = true;
  }
  s.airKg = max(0, s.airKg - airShare * out);
  s.waterKg -= steamKg;
  s.tempC = t0 + (dt * foodW - latent * steamKg) / heatJPerK;
  s.steamOutJ += steamKg * ((waterJPerKgK * (t0 + s.tempC)) / 2 + latent);
  if (open.all > 0) bookLosses(s, steamKg / open.all, open);
}

/** Books the steam of a step by the ways it left, `perM2` kg of it through each m2. */
function bookLosses(s: PotState, perM2: number, open: ReturnType<typeof openings>): void {
  s.lost.leak += perM2 * s.pot.leakM2;
  if (open.reliefM2 > 0) s.lost.relief += perM2 * open.reliefM2;
  if (s.quickOpen) s.lost.quick += perM2 * open.quickM2;
  if (!s.pinUp) s.lost.purge += perM2 * open.floatM2;
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
