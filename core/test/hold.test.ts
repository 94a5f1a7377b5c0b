import fc from 'fast-check';
import { HeatedPot } from '../src/pot/cook';
import { pots } from '../src/pot/profile';
import type { Load } from '../src/pot/state';
import { ambientPa } from '../src/water/atmosphere';
import { saturationC } from '../src/water/saturation';

/* The hold is level in every load, and long steps bend where the water boils. */
const load = (grainG: number, waterG: number): Load => ({
  thin: [
    { massKg: grainG / 1000, cpJPerKgK: 1850, water: 0.11, densityKgPerM3: 1450, tempC: 20 },
    { massKg: waterG / 1000, cpJPerKgK: 4180, water: 1, densityKgPerM3: 998, tempC: 20 },
  ],
  slow: [],
  wallC: 21,
  baseC: 21,
  lidC: 21,
});
const regulated = pots.filter((p) => !p.whistle);

test('within the hold no sample leaves the set pressure by more than the band: every pot, 50 g to full, 0 to 3,000 m', () => {
  const bad: string[] = [];
  fc.assert(
    fc.property(
      fc.constantFrom(...regulated),
      fc.integer({ min: 50, max: 3200 }),
      fc.double({ min: 0.3, max: 3, noNaN: true }),
      fc.integer({ min: 0, max: 3000 }),
      fc.constantFrom('high' as const, 'low' as const),
      fc.constantFrom(1, 2),
      (pot, grams, perG, altitudeM, pressure, dtS) => {
        const waterG = Math.max(0.3 * pot.minimumLiquidMl[0], (grams * perG) / (1 + perG));
        const grainG = grams / (1 + perG);
        if (grainG / 1.45 + waterG > 700 * pot.litres) return;
        const h = new HeatedPot({ pot, altitudeM }, load(grainG, waterG), pressure, dtS);
        if (h.countdownS === null) return;
        const run = h.finish(15, { kind: 'quick' });
        if (run.dry) return;
        const setKpa = pressure === 'low' && pot.lowKpa !== null ? pot.lowKpa : pot.highKpa;
        const band = pot.bandPa / 1000;
        // From the countdown on it may still be on its way up, never over.
        const settled = Math.round((h.countdownS + 90) / dtS);
        const held = run.history.gaugeKpa.subarray(Math.round(h.countdownS / dtS), run.history.releaseAt + 1);
        const over = held.some((k) => k > setKpa + band);
        const under = run.history.gaugeKpa.subarray(settled, run.history.releaseAt + 1).some((k) => k < setKpa - band);
        if (over || under) bad.push(`${pot.id} ${grams} g ${perG.toFixed(2)} ${altitudeM} m ${pressure} ${dtS} s`);
      },
    ),
    { numRuns: 150 },
  );
  expect(bad).toEqual([]);
});

test('60 g of brown rice on a strong flame holds its pressure instead of swinging', () => {
  const pot = pots.find((p) => p.id === 'stovetop-6')!;
  const run = new HeatedPot({ pot, altitudeM: 0 }, load(60, 250), 'high', 2).finish(25, { kind: 'natural' });
  const held = run.history.tempC.subarray(Math.round(run.countdownS! / 2), run.history.releaseAt);
  expect(Math.max(...held) - Math.min(...held)).toBeLessThan(4);
  expect(run.dry).toBe(false);
});

test.each([0, 1180, 2400, 3000])(
  'long steps end under the boil of the place: at %d m the pin lifts as with short ones',
  (altitudeM) => {
    const pot = pots.find((p) => p.id === 'electric-3')!;
    const at = (dtS: number): number => new HeatedPot({ pot, altitudeM }, load(150, 300), 'high', dtS).pinUpS!;
    // Half-second steps near the boil are the yardstick; the long ones are ten seconds.
    expect(Math.abs(at(1) / at(0.5) - 1)).toBeLessThan(0.02);
    expect(Math.abs(at(2) / at(0.5) - 1)).toBeLessThan(0.02);
    expect(saturationC(ambientPa(altitudeM))).toBeLessThan(100.1);
  },
);
