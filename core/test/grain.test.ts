import fc from 'fast-check';
import { findFood } from '../src/food/find';
import { equivalentMin, runClock, uptakePerMin } from '../src/grain/clock';
import { rate, rateTable } from '../src/grain/rate';
import { bandOf, texture } from '../src/grain/texture';
import { moistureAfter, soakGPerG, uptakeGPerG } from '../src/grain/uptake';
import { closedHoldMin, closedLiquidG, closedLossesG, closedMoisture, levelLiquidG } from '../src/grain/closed';
import { plan } from '../src/plan/plan';
import { plainRice, seaLevel } from './helpers/dishes';
import { simpleProfile } from './helpers/profile';

const long = findFood('rice-long').grain!;
const basmati = findFood('rice-basmati').grain!;

// Check values of docs/engine.md: recomputed independently by trapezoid rule and RK4 when the notes were written.
describe('check values', () => {
  test.each([
    ['uptake long-grain .116 to .684, g/g', () => uptakeGPerG(0.116, 0.684), 1.79747, 1e-3],
    ['moisture of u = 1.5 from .116', () => moistureAfter(0.116, 1.5), 0.6464, 1e-4],
    ['soak basmati 30 min, g/g', () => soakGPerG(basmati.rawMoisture[0], false, 30), 0.226168, 1e-3],
    ['r react 80 degC', () => rate('react', 80), 0.234276, 1e-3],
    ['r react 110 degC', () => rate('react', 110), 1.95192, 2e-3],
    ['r react 116.5 degC', () => rate('react', 116.5), 2.36925, 2e-3],
    ['r diff 116.5 degC', () => rate('diff', 116.5), 1.65704, 2e-3],
    ['r pasta 116.5 degC', () => rate('pasta', 116.5), 1.54772, 2e-3],
    ['r pasta 70 degC', () => rate('pasta', 70), 0.405852, 1e-3],
    ['k100 long-grain, 1/min', () => uptakePerMin(long), 0.0738834, 2e-4],
  ])('%s', (_, f, want, tolerance) => {
    expect(Math.abs(f() - want)).toBeLessThan(tolerance);
  });

  test.each([
    ['react 3+10', { holdMin: 3, naturalMin: 10 }, 'react', 28.8875, 0.05],
    ['react 6+10', { holdMin: 6, naturalMin: 10 }, 'react', 35.9953, 0.05],
    ['react 6+6', { holdMin: 6, naturalMin: 6 }, 'react', 30.8054, 0.05],
    ['react 3+quick', { holdMin: 3 }, 'react', 12.3931, 0.05],
    ['react 4+quick+5 simmer', { holdMin: 4, simmerMin: 5 }, 'react', 19.4297, 0.05],
    ['diff 22+10', { holdMin: 22, naturalMin: 10 }, 'diff', 54.0067, 0.1],
    ['pasta 5+quick, 10 min up', { upMin: 10, holdMin: 5 }, 'pasta', 13.0081, 0.05],
  ] as const)('equivalent minutes, %s', (_, p, kinetics, want, tolerance) => {
    const h = simpleProfile({ upMin: 8, ...p });
    expect(Math.abs(equivalentMin(h.tempC, 1, kinetics) - want)).toBeLessThan(tolerance);
  });

  test.each([
    ['3+10', { holdMin: 3, naturalMin: 10 }, 0.662804],
    ['3+quick', { holdMin: 3 }, 0.638396],
  ])('370 g long-grain with 600 g in reach, %s', (_, p, want) => {
    const h = simpleProfile({ upMin: 8, ...p });
    const r = runClock(h.tempC, 1, { grain: long, rawG: 370, soakedG: 0, reachableG: 600, slowing: 1 });
    expect(Math.abs(r.moisture - want)).toBeLessThan(1e-3);
  });

  test('long-grain boiled 12 min in plenty of water', () => {
    const boil = new Float64Array(720).fill(100);
    const r = runClock(boil, 1, { grain: long, rawG: 100, soakedG: 0, reachableG: 1e6, slowing: 1 });
    expect(Math.abs(r.moisture - 0.656658)).toBeLessThan(2e-3);
  });
});

describe('clock', () => {
  const reach = fc.double({ min: 0, max: 3000, noNaN: true });
  const hold = fc.integer({ min: 0, max: 30 });
  const run = (holdMin: number, reachableG: number) =>
    runClock(simpleProfile({ upMin: 8, holdMin, naturalMin: 10 }).tempC, 1, {
      grain: long,
      rawG: 370,
      soakedG: 0,
      reachableG,
      slowing: 1,
    });

  test('water is conserved: what the grain gained left the pot, to a milligram', () => {
    let worst = 0;
    fc.assert(
      fc.property(hold, reach, (h, w) => {
        const r = run(h, w);
        const gained = 370 * uptakeGPerG(long.rawMoisture[0], r.moisture);
        worst = Math.max(worst, Math.abs(w - gained - r.freeG));
      }),
      { numRuns: 50 },
    );
    expect(worst).toBeLessThan(1e-3);
  });
  test('more water is never drier, more hold never less done, and neither passes the grain’s ceiling', () => {
    const bad: string[] = [];
    fc.assert(
      fc.property(hold, reach, fc.double({ min: 1, max: 200, noNaN: true }), (h, w, more) => {
        const a = run(h, w);
        const b = run(h, w + more);
        const c = run(h + 1, w);
        if (b.moisture < a.moisture || c.equivalentMin <= a.equivalentMin || b.moisture > long.maxMoisture[0])
          bad.push(`${h} ${w} ${more}`);
      }),
      { numRuns: 50 },
    );
    expect(bad).toEqual([]);
  });
  test('the table of rates follows the law within 0.02 % away from its two bends', () => {
    const r = rateTable('react');
    const worst = Math.max(
      ...[75.3, 88.88, 99.99, 105.07, 115.515, 121.2].map((c) => Math.abs(r(c) / rate('react', c) - 1)),
    );
    expect(worst).toBeLessThan(2e-4);
    expect(r(69.9)).toBe(0);
  });
});

describe('texture', () => {
  const at = (moisture: number, equivalent = 28, more = {}) =>
    texture(long, {
      moisture,
      equivalentMin: equivalent,
      soakFactor: 1,
      coated: false,
      acidMlPer200g: 0,
      freeShare: 0,
      saucy: false,
      ...more,
    });
  // Bands of separate white rice as cooks name them, docs/engine.md section 1.3.
  test.each([
    [0.58, 'hard'],
    [0.61, 'firm'],
    [0.66, 'fluffy'],
    [0.7, 'soft'],
    [0.74, 'mushy'],
  ])('%d is %s', (m, band) => expect(at(m).band).toBe(band));
  test('fat and lemon firm it, and an unfinished core is hard whatever the water', () => {
    expect(at(0.66, 28, { coated: true }).index).toBeCloseTo(at(0.66).index - 0.5);
    expect(at(0.66, 28, { acidMlPer200g: 15 }).index).toBeCloseTo(at(0.66).index - 0.5);
    expect(at(0.66, 28, { acidMlPer200g: 500 }).index).toBeCloseTo(at(0.66).index - 1.5);
    expect(at(0.7, 5).band).toBe('hard');
  });
  test('band edges belong to the wetter band', () => {
    expect([59.49, 59.5, 63.5, 68, 72.5].map((x) => bandOf(x))).toEqual(['hard', 'firm', 'fluffy', 'soft', 'mushy']);
  });
});

// Closed forms, docs/engine.md, section 3: recomputed independently when the notes were written.
describe('closed forms', () => {
  const [one, two] = [185, 370];
  const cups = (n: number): number => n * 236.5882365;
  test.each([
    [
      '2 cups 1:1, valve at 100 degC: moisture',
      () => closedMoisture(long, { rawG: two, clingG: 55.5, liquidG: cups(2) }, 100),
      0.622168,
      5e-4,
    ],
    [
      '2 cups 1:1.25: moisture',
      () => closedMoisture(long, { rawG: two, clingG: 55.5, liquidG: cups(2.5) }, 100),
      0.667591,
      5e-4,
    ],
    [
      '2 cups 1:1.25, quick at 116.5: steam, flash and film, g',
      () => closedLossesG(two, 55.5, cups(2.5), 116.5),
      60.807,
      0.5,
    ],
    [
      '2 cups to .66, natural: water, g',
      () => closedLiquidG(long, { rawG: two, clingG: 55.5, moisture: 0.66 }, 102.4),
      573.451,
      0.5,
    ],
    [
      '1 cup to .66, natural: water, g',
      () => closedLiquidG(long, { rawG: one, clingG: 27.75, moisture: 0.66 }, 102.4),
      303.543,
      0.5,
    ],
    ['450 g penne, level: liquid, g', () => levelLiquidG(450, 100 / 236.5882365), 754.301, 1],
    ['hold for E 28 with 10 natural, min', () => closedHoldMin(28, 10), 2.63247, 0.03],
    ['hold for E 28, quick, min', () => closedHoldMin(28, 0), 9.59164, 0.03],
  ])('%s', (_, f, want, tolerance) => expect(Math.abs(f() - want)).toBeLessThan(tolerance));
  test('the liquid it finds gives the moisture it was asked for', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 900 }), fc.double({ min: 0.6, max: 0.72, noNaN: true }), (g, m) => {
        return (
          Math.abs(
            closedMoisture(
              long,
              {
                rawG: g,
                clingG: 0.15 * g,
                liquidG: closedLiquidG(long, { rawG: g, clingG: 0.15 * g, moisture: m }, 102.4),
              },
              102.4,
            ) - m,
          ) < 5e-4
        );
      }),
    );
  });
  test('the simulated pot agrees with the closed sum within a twentieth', () => {
    const p = plan(plainRice(), seaLevel);
    expect(
      Math.abs(p.liquid.addMl / closedLiquidG(long, { rawG: two, clingG: 55.5, moisture: 0.66 }, 102.4) - 1),
    ).toBeLessThan(0.05);
  });
});

describe('the simple profile and what was cooked on it', () => {
  const { tempC, releaseAt } = simpleProfile({ upMin: 8, holdMin: 3, naturalMin: 12 });
  test.each([
    [6, 106.358],
    [10, 102.422],
  ])('natural release after %d min: %d degC', (min, c) =>
    expect(Math.abs(tempC[releaseAt + min * 60 - 1]! - c)).toBeLessThan(0.05),
  );
  test('2 + 5 natural + 15 warm: E 30.33', () => {
    const h = simpleProfile({ upMin: 8, holdMin: 2, naturalMin: 5, warmMin: 15 });
    expect(Math.abs(equivalentMin(h.tempC, h.dtS, 'react') - 30.3335)).toBeLessThan(0.1);
  });
  test('450 g penne, 755 g reachable, 5 + quick: moisture and what is left', () => {
    const h = simpleProfile({ upMin: 10, holdMin: 5 });
    const r = runClock(h.tempC, h.dtS, {
      grain: findFood('penne').grain!,
      rawG: 450,
      soakedG: 0,
      reachableG: 755,
      slowing: 1,
    });
    expect(Math.abs(r.moisture - 0.622582)).toBeLessThan(1e-3);
    expect(Math.abs(r.freeG - 130.726)).toBeLessThan(2);
  });
});
