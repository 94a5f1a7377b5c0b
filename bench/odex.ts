import odex from 'odex';
import { HeatedPot } from '../core/src/pot/cook';
import { pots } from '../core/src/pot/profile';
import { PotState } from '../core/src/pot/state';
import { step } from '../core/src/pot/step';
import { waterLoad } from '../core/test/helpers/loads';
import { rightHandSide } from '../core/test/helpers/reference';

/*
 * An hour of one pot as a history of one sample a second, our integrator against a general ODE solver with dense output
 * (Gragg-Bulirsch-Stoer) on the same physics: 1 kg of water at full power to the pin, throttled to the set pressure, from
 * the 45th minute on its own. Errors are against our own steps of 0.02 s, with which the solver agrees at 1e-7 within
 * 0.02 K; the solver is run at the loosest tolerance that is no worse than ours.
 */
const pot = pots[0]!;
const hourS = 3600;
const offS = 45 * 60;
const setPa = pot.highKpa * 1000;
const load = waterLoad(1, 20);
const throttled = (gaugePa: number, leadK: number): number =>
  pot.powerW *
  Math.min(1, Math.max(0, (setPa + pot.bandPa - gaugePa - pot.leadPaPerK * Math.max(0, leadK)) / (2 * pot.bandPa)));

/** When the pin lifts: taken from our fine run for both, so that one event does not hide the rest. */
const pinS = Math.round(new HeatedPot(pot, 0, load, 'high', 0.25).pinUpS!);

export function ours(dtS = 1): Float64Array {
  const s = new PotState(pot, 0, load);
  const out = new Float64Array(hourS);
  const perSecond = Math.round(1 / dtS);
  for (let i = 0; i < hourS * perSecond; i++) {
    if (i % perSecond === 0) out[i / perSecond] = s.tempC;
    const at = i / perSecond;
    s.pinUp = at >= pinS;
    step(s, dtS, at >= offS ? 0 : at >= pinS ? throttled(s.gauge, s.baseC - s.tempC) : pot.powerW);
  }
  return out;
}

export function solver(tolerance: number): Float64Array {
  const s = new PotState(pot, 0, load);
  let y = [s.tempC, s.baseC, s.lidC, s.airKg, s.waterKg];
  const out = new Float64Array(hourS);
  const stages: [number, number, number, (g: number, lead: number) => number][] = [
    [0, pinS, pot.floatM2 + pot.leakM2, () => pot.powerW],
    [pinS, offS, pot.leakM2, throttled],
    [offS, hourS, pot.leakM2, () => 0],
  ];
  for (const [from, to, area, heater] of stages) {
    const ode = new odex.Solver(5);
    ode.absoluteTolerance = ode.relativeTolerance = tolerance;
    ode.denseOutput = true;
    const sample = ode.grid(1, (x, at) => {
      if (x < hourS) out[Math.round(x)] = at[0]!;
    });
    y = ode.solve(rightHandSide(s, area, heater), from, y, to, sample).y;
  }
  return out;
}

const worst = (a: Float64Array, b: Float64Array): number => a.reduce((m, x, i) => Math.max(m, Math.abs(x - b[i]!)), 0);

/** Errors of our 1 s, and of the solver at the loosest tolerance that is no worse. */
export function atEqualError(): { oursK: number; solverK: number; tolerance: number } {
  const exact = ours(0.02);
  const oursK = worst(ours(), exact);
  for (const tolerance of [1e-3, 1e-4, 3e-5, 1e-5, 3e-6, 1e-6]) {
    const solverK = worst(solver(tolerance), exact);
    if (solverK <= oursK) return { oursK, solverK, tolerance };
  }
  return { oursK, solverK: worst(solver(1e-7), exact), tolerance: 1e-7 };
}
