import { plan } from '../src/plan/plan';
import { schedulesFor } from '../src/plan/questions/schedules';
import { demo } from './helpers/demo';
import { hut, plainRice, seaLevel } from './helpers/dishes';

// Common practice, the D rows of docs/engine.md, section 5.
test('long-grain: 3 + 10, 6 + 6, 4 + 12 and 8 with a quick release are told', () => {
  expect(schedulesFor(plan(plainRice(), seaLevel)).map((k) => [k.holdMin, k.naturalMin])).toEqual([
    [3, 10],
    [6, 6],
    [4, 12],
    [8, 0],
  ]);
});
test('every demo dish has programs within reason, each with its source; pasta half the packet, quick', () => {
  for (const dish of demo.values()) {
    const p = plan(dish, hut);
    const known = schedulesFor(p);
    for (const k of known) {
      expect(k.source).toBe('common-practice');
      expect(k.holdMin).toBeGreaterThanOrEqual(0);
      expect(k.holdMin).toBeLessThanOrEqual(40);
    }
    if (p.pasta) expect(known[0]).toMatchObject({ holdMin: Math.round(p.pasta.packetMin) / 2, naturalMin: 0 });
    if (!p.pasta && !p.grain) expect(known).toEqual([]);
  }
});
test('the chart of the whole pot: the bed lags on the way up, and the liquid that is left never grows', () => {
  const { curve } = plan(plainRice(), seaLevel);
  const [grainC, freeG] = [curve.grainC!, curve.freeG!];
  expect(grainC).toHaveLength(curve.minutes.length);
  expect(freeG).toHaveLength(curve.minutes.length);
  const half = Math.floor(curve.minutes.length / 4);
  expect(grainC[half]!).toBeLessThan(curve.tempC[half]!);
  expect(freeG.every((g, i) => i === 0 || g <= freeG[i - 1]! + 1e-9)).toBe(true);
  expect(freeG[0]!).toBeGreaterThan(400);
});
