import fc from 'fast-check';
import { Solver } from 'odex';
import { cookPot, HeatedPot } from '../src/pot/cook';
import { type Program } from '../src/pot/program';
import { flux } from '../src/pot/flux';
import { pots } from '../src/pot/profile';
import { PotState } from '../src/pot/state';
import { step, storedJ } from '../src/pot/step';
import { facts, waterLoad } from './helpers/loads';
import { rightHandSide } from './helpers/reference';

const pot = pots[0]!;
const natural = (holdMin: number): Program => ({ pressure: 'high', holdMin, release: { kind: 'natural' } });
const quick = (holdMin: number): Program => ({ pressure: 'high', holdMin, release: { kind: 'quick' } });

// Reference runs of docs/engine.md, throttled, sea level: an independent integrator at 0.125 s. Times within 2 %.
describe('reference runs', () => {
  test.each([
    ['smallRice', 360.8, 420.8, 636.5, 41.0, 22.2, 123.4],
    ['chickenRice', 521.5, 653.9, 827.5, 56.6, 30.7, 222.6],
    ['hotMeatRice', 197.0, 278.8, 804.3, 55.6, 31.1, 84.5],
    ['pastaChicken', 666.3, 833.1, 1300.8, 94.3, 51.1, 249.7],
    ['soup', 1412.0, 1666.3, 1799.0, 158.8, 93.5, 487.8],
  ])('%s', (name, pinUp, countdown, naturalS, quickS, flashG, wh) => {
    const { load, holdMin } = facts[name]!;
    const slow = cookPot({ pot, altitudeM: 0 }, load, natural(holdMin), 0.5);
    const fast = cookPot({ pot, altitudeM: 0 }, load, quick(holdMin), 0.5);
    const near = (value: number, want: number): number => Math.abs(value / want - 1);
    expect(near(slow.pinUpS!, pinUp)).toBeLessThan(0.02);
    expect(near(slow.countdownS!, countdown)).toBeLessThan(0.02);
    expect(near(slow.pinDownS! - slow.releaseS, naturalS)).toBeLessThan(0.02);
    expect(near(fast.pinDownS! - fast.releaseS, quickS)).toBeLessThan(0.02);
    expect(near(fast.lost.quick * 1000, flashG)).toBeLessThan(0.025);
    expect(near(slow.heaterJ / pot.efficiency / 3600, wh)).toBeLessThan(0.02);
  });
});

describe('a pot that cannot seal', () => {
  test('too little water never seals: it boils dry or stays open, and says so', () => {
    const run = cookPot({ pot, altitudeM: 0 }, waterLoad(0.02, 20), quick(5));
    expect(run.dry || run.neverSealed).toBe(true);
  });
});

describe('balances', () => {
  const cook = fc.record({
    waterKg: fc.double({ min: 0.3, max: 3, noNaN: true }),
    startC: fc.double({ min: 5, max: 60, noNaN: true }),
    altitudeM: fc.integer({ min: 0, max: 3000 }),
    holdMin: fc.integer({ min: 0, max: 20 }),
    kind: fc.constantFrom('quick' as const, 'natural' as const),
  });

  test('energy in = stored + lost + carried out with the steam, within 0.5 %', () => {
    let worst = 0;
    fc.assert(
      fc.property(cook, (c) => {
        const load = waterLoad(c.waterKg, c.startC);
        const before = storedJ(new PotState(pot, c.altitudeM, load));
        const run = cookPot({ pot, altitudeM: c.altitudeM }, load, {
          pressure: 'high',
          holdMin: c.holdMin,
          release: { kind: c.kind },
        });
        const residual = before + run.heaterJ - storedJ(run.end) - run.end.lossJ - run.end.steamOutJ;
        worst = Math.max(worst, Math.abs(residual) / run.heaterJ);
      }),
      { numRuns: 40 },
    );
    expect(worst).toBeLessThan(0.005);
  });

  test('water before = water after + steam lost, to the last microgram', () => {
    let worst = 0;
    fc.assert(
      fc.property(cook, (c) => {
        const load = waterLoad(c.waterKg, c.startC);
        const before = new PotState(pot, c.altitudeM, load).waterKg;
        const { end, lost } = cookPot({ pot, altitudeM: c.altitudeM }, load, {
          pressure: 'high',
          holdMin: c.holdMin,
          release: { kind: c.kind },
        });
        worst = Math.max(worst, Math.abs(before - end.waterKg - lost.purge - lost.leak - lost.relief - lost.quick));
      }),
      { numRuns: 40 },
    );
    expect(worst).toBeLessThan(1e-9);
  });

  test('more water, a weaker heater and a colder start all come to pressure later', () => {
    const t = (kg: number, c: number, w = 1000): number =>
      new HeatedPot({ pot: { ...pot, powerW: w }, altitudeM: 0 }, waterLoad(kg, c), 'high').countdownS!;
    expect(t(1.2, 20)).toBeGreaterThan(t(1, 20));
    expect(t(1, 20, 900)).toBeGreaterThan(t(1, 20));
    expect(t(1, 10)).toBeGreaterThan(t(1, 20));
  });
});

describe('the pin wants steam', () => {
  // Frying leaves the base at 130 degC; closing the lid on it heats air, which must leave by the opening, not be shut in.
  const hot = { ...waterLoad(0.35, 25), wallC: 75, baseC: 130 };
  test.each(pots.map((p) => [p.id, p] as const))(
    '%s: a lid closed on a hot base does not lift the pin, and the step does not matter',
    (_, p) => {
      const runs = [0.25, 1, 2].map((dt) => new HeatedPot({ pot: p, altitudeM: 0 }, hot, 'high', dt));
      for (const r of runs) {
        // Nothing but the time to boil 350 g of cold water can come first.
        expect(r.pinUpS!).toBeGreaterThan(60);
        expect(r.state.tempC).toBeGreaterThan(110);
        expect(Math.abs(r.pinUpS! / runs[0]!.pinUpS! - 1)).toBeLessThan(0.02);
        expect(Math.abs(r.countdownS! / runs[0]!.countdownS! - 1)).toBeLessThan(0.02);
      }
    },
  );
});

// Analytic checks by hand.
describe('by hand', () => {
  test('flow through an opening is continuous at choking and at the linear end', () => {
    const at = (p: number): number => flux(p, p / 170000, 101325).flow;
    expect(Math.abs(at(101325 / 0.5457 + 1) / at(101325 / 0.5457 - 1) - 1)).toBeLessThan(1e-4);
    expect(Math.abs(at(101375.1) / at(101374.9) - 1)).toBeLessThan(0.005);
    expect(at(101325)).toBe(0);
  });
  test('the slope is the derivative of the flow, density taken proportional to pressure', () => {
    for (const p of [105000, 130000, 170000, 220000]) {
      const rho = (x: number): number => x / 170000;
      const numeric = (flux(p + 1, rho(p + 1), 101325).flow - flux(p - 1, rho(p - 1), 101325).flow) / 2;
      expect(flux(p, rho(p), 101325).slope / numeric).toBeCloseTo(1, 3);
    }
  });
  test('steady hold at high pressure, 1.5 kg water: 116.61 degC at sea level, 113.60 at 1500 m', () => {
    for (const [h, c] of [
      [0, 116.61],
      [1500, 113.6],
    ] as const) {
      const run = cookPot({ pot, altitudeM: h }, waterLoad(1.5, 20), quick(20));
      expect(Math.abs(run.history.tempC[run.history.releaseAt]! - c)).toBeLessThan(0.1);
    }
  });
});

/*
 * Three smooth stages against odex (Gragg-Bulirsch-Stoer), with a right-hand side of its own: the same physics written
 * as plain derivatives, the isentropic nozzle instead of the elliptic law, no implicit gas step.
 */
describe('against odex', () => {
  function reference(
    s: PotState,
    heaterW: number,
    areaM2: number,
    seconds: number,
  ): { tempC: number; steamKg: number } {
    const f = rightHandSide(s, areaM2, () => heaterW);
    const solver = new Solver(5);
    solver.absoluteTolerance = solver.relativeTolerance = 1e-9;
    const start = [s.tempC, s.baseC, s.lidC, s.airKg, s.waterKg];
    const end = solver.solve(f, 0, start, seconds).y;
    return { tempC: end[0]!, steamKg: start[4]! - end[4]! };
  }

  function ours(s: PotState, heaterW: number, seconds: number): { tempC: number; steamKg: number } {
    const before = s.waterKg;
    for (let i = 0; i < seconds * 2; i++) step(s, 0.5, heaterW);
    return { tempC: s.tempC, steamKg: before - s.waterKg };
  }

  test('heating a closed pot from 20 degC for 5 min', () => {
    const s = new PotState(pot, 0, waterLoad(1, 20));
    const want = reference(s, 1000, pot.floatM2 + pot.leakM2, 300);
    const have = ours(s, 1000, 300);
    expect(Math.abs(have.tempC - want.tempC)).toBeLessThan(0.15);
    expect(Math.abs(have.steamKg - want.steamKg)).toBeLessThan(0.3e-3);
  });
  test('natural release for 8 min', () => {
    const hot = new HeatedPot({ pot, altitudeM: 0 }, waterLoad(1, 20), 'high').state;
    const want = reference(hot, 0, pot.leakM2, 480);
    const have = ours(hot.clone(), 0, 480);
    expect(Math.abs(have.tempC - want.tempC)).toBeLessThan(0.15);
    expect(Math.abs(have.steamKg - want.steamKg)).toBeLessThan(0.3e-3);
  });
  test('quick release for 30 s', () => {
    const hot = new HeatedPot({ pot, altitudeM: 0 }, waterLoad(1, 20), 'high').state;
    hot.quickOpen = true;
    const want = reference(hot, 0, pot.quickM2 + pot.leakM2, 30);
    const have = ours(hot.clone(), 0, 30);
    expect(Math.abs(have.tempC - want.tempC)).toBeLessThan(0.3);
    expect(Math.abs(have.steamKg - want.steamKg)).toBeLessThan(1.2e-3);
  });
});
