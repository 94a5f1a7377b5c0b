import odex from 'odex';
import { HeatedPot } from '../core/src/pot/cook';
import { pots } from '../core/src/pot/profile';
import { PotState } from '../core/src/pot/state';
import { waterLoad } from '../core/test/helpers/loads';
import { rightHandSide } from '../core/test/helpers/reference';

/*
 * An hour of one pot as a history of one sample a second, our integrator against a general ODE solver with dense output
 * (Gragg-Bulirsch-Stoer) on the same physics: 1 kg of water at full power to the pin, throttled to the set pressure, from
 * the 45th minute on its own. Errors are against the solver at 1e-7; it is run at the loosest tolerance that is no worse
 * than ours.
 */
const pot = pots[0]!;
const hourS = 3600;
const offS = 45 * 60;
const setPa = pot.highKpa * 1000;
const load = waterLoad(1, 20);
const throttled = (gaugePa: number, leadK: number): number =>
  pot.powerW *
  Math.min(1, Math.max(0, (setPa + pot.bandPa - gaugePa - pot.leadPaPerK * Math.max(0, leadK)) / (2 * pot.bandPa)));

/** The product's own hour: heat-up, hold to the 45th minute, then on its own. */
const hold = (h: HeatedPot): number => Math.round((2 * (offS - h.countdownS!)) / 60) / 2;
export function ours(): Float64Array {
  const h = new HeatedPot({ pot, altitudeM: 0 }, load, 'high', 1);
  return h.finish(hold(h), { kind: 'natural' }).history.tempC.subarray(0, hourS);
}
/** The two events are taken from the product for both, so that one second of a pin does not hide the rest. */
const own = new HeatedPot({ pot, altitudeM: 0 }, load, 'high', 1);
const pinS = own.pinUpS!;
const endS = own.countdownS! + 60 * hold(own);

export function solver(tolerance: number): Float64Array {
  const s = new PotState(pot, 0, load);
  let y = [s.tempC, s.baseC, s.lidC, s.airKg, s.waterKg];
  const out = new Float64Array(hourS);
  const stages: [number, number, number, (g: number, lead: number) => number][] = [
    [0, pinS, pot.floatM2 + pot.leakM2, () => pot.powerW],
    [pinS, endS, pot.leakM2, throttled],
    [endS, hourS, pot.leakM2, () => 0],
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

/** Over the time that both have: the product's release ends when its pin falls. */
const worst = (a: Float64Array, b: Float64Array): number => {
  let m = 0;
  for (let i = 0; i < Math.min(a.length, b.length) - 60; i++) m = Math.max(m, Math.abs(a[i]! - b[i]!));
  return m;
};

/**
 * Errors of the product, and of the solver at the loosest tolerance that is no worse, both against the solver at 1e-7.
 * Looser ones are tried one after the other until the first that fails: beyond it a lucky one says nothing.
 */
export function atEqualError(): { oursK: number; solverK: number; tolerance: number } {
  const exact = solver(1e-7);
  const oursK = worst(ours(), exact);
  let found = { oursK, solverK: 0, tolerance: 1e-7 };
  for (const tolerance of [3e-7, 1e-6, 3e-6, 1e-5, 3e-5, 1e-4]) {
    const solverK = worst(solver(tolerance), exact);
    if (!(solverK <= oursK)) return found;
    found = { oursK, solverK, tolerance };
  }
  return found;
}
