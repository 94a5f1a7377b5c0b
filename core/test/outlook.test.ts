import fc from 'fast-check';
import { outlook } from '../src/cook/outlook';
import { plan } from '../src/plan/plan';
import { demoDish } from './helpers/demo';
import { hut, turkeyRice } from './helpers/dishes';

const dish = turkeyRice();
const p = plan(dish, hut);
const on = p.program.pinUpMin;
const see = (real: Parameters<typeof outlook>[3]) => outlook(dish, hut, p, real);

test('nothing has happened yet: the plan itself', () => {
  const o = see({});
  expect(o.advice).toBe('as-planned');
  expect(o.holdMin).toBe(p.program.holdMin);
  expect(Math.abs(o.softer)).toBeLessThan(0.05);
  expect(Math.abs(o.laterMin)).toBeLessThan(0.3);
});
test('the pin came late: minutes come off the hold, the texture is kept, the meat stays done', () => {
  const o = see({ toPinMin: on + 4 });
  expect(o.advice).toBe('hold-less');
  expect(o.holdChangeMin).toBeLessThan(0);
  expect(Math.abs(o.softer)).toBeLessThan(1);
  expect(o.meats.every((m) => m.ok)).toBe(true);
  expect(o.laterMin).toBeGreaterThan(1);
});
test('the pin came very late: the weak heater is found, and the pot still comes to pressure', () => {
  const o = see({ toPinMin: on + 8 });
  expect(Math.max(...o.curve.gaugeKpa)).toBeGreaterThan(0.85 * p.program.gaugeKpa);
  expect(Math.abs(o.curve.minutes[o.curve.gaugeKpa.findIndex((k) => k > 3)]! - (on + 8))).toBeLessThan(0.6);
  expect(Math.abs(o.softer)).toBeLessThan(2);
});
test('the pin came early: the hold is not shorter, and supper is not later', () => {
  const o = see({ toPinMin: on - 2 });
  expect(o.holdChangeMin).toBeGreaterThanOrEqual(0);
  expect(o.laterMin).toBeLessThanOrEqual(0);
});
test('an earlier pin never makes supper later, a longer hold and release never the grain less done', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 14, noNaN: true }),
      fc.double({ min: 0.2, max: 4, noNaN: true }),
      (pin, more) => {
        expect(see({ toPinMin: pin }).laterMin).toBeLessThanOrEqual(see({ toPinMin: pin + more }).laterMin + 0.35);
        const held = (holdMin: number): number => see({ holdMin }).softer;
        expect(held(pin + more)).toBeGreaterThanOrEqual(held(pin) - 1e-9);
        expect(see({ naturalMin: pin + more }).softer).toBeGreaterThanOrEqual(see({ naturalMin: pin }).softer - 1e-9);
      },
    ),
    { numRuns: 12 },
  );
});
test('a release that ran over is told in points: no harm in separate rice, open now for pasta', () => {
  expect(see({ naturalMin: (p.program.release.naturalMin ?? 0) + 2 }).advice).toBe('no-harm');
  const pasta = demoDish('beef-beetroot-dill-pasta');
  const planned = plan(pasta, hut);
  const o = outlook(pasta, hut, planned, { naturalMin: 15 });
  expect(o.advice).toBe('open-now');
  expect(o.softer).toBeGreaterThan(10);
});
test('opened much too soon, the meat is said to need more', () => {
  const thick = turkeyRice();
  thick.ingredients[1] = { ...thick.ingredients[1]!, prep: { shape: 'slab', thicknessMm: 32 } };
  const planned = plan(thick, hut);
  expect(planned.meats[0]!.ok).toBe(true);
  expect(outlook(thick, hut, planned, { toPinMin: 4, holdMin: 0, naturalMin: 0 }).advice).toBe('meat-needs-more');
});

describe('a run that was broken off counts with what it cooked', () => {
  const hold = p.program.minutesToPressure + p.program.holdMin;
  const seen = [on - 3, on + 1, hold].map((atMin) => see({ broken: [{ atMin, detourMin: 4 }], givenMin: 2 }));
  test('the later it was opened, the shorter the new hold, and the texture is kept as long as there is a hold to fit', () => {
    const holds = seen.map((o) => o.holdMin);
    expect(holds).toEqual([...holds].sort((a, b) => b - a));
    expect(holds[0]).toBeLessThanOrEqual(p.program.holdMin + 1);
    for (const o of seen) if (o.holdMin > 0) expect(Math.abs(o.softer)).toBeLessThan(1.5);
    expect(seen.every((o) => o.holdChangeMin === o.holdMin - 2)).toBe(true);
  });
  test('opened after the whole hold there is none left; the steam that left makes it drier, what was poured in softer', () => {
    const wetter = see({ broken: [{ atMin: hold, detourMin: 4, addMl: 60 }], givenMin: 2 });
    expect([seen[2]!.holdMin, wetter.holdMin]).toEqual([0, 0]);
    expect(seen[2]!.moisture!).toBeLessThan(p.grain!.moisture);
    expect(wetter.moisture!).toBeGreaterThan(seen[2]!.moisture!);
    expect(wetter.softer).toBeGreaterThan(seen[2]!.softer + 1);
  });
  test('it costs steam and time, and meat is never less done for it', () => {
    expect(seen[2]!.sauce!.freeG).toBeLessThanOrEqual(see({}).sauce!.freeG + 1);
    for (const o of seen) expect(o.laterMin).toBeGreaterThan(1);
    const core = (o: (typeof seen)[number]): number => o.meats[0]!.cautiousCoreC;
    expect(core(seen[2]!)).toBeGreaterThanOrEqual(p.meats[0]!.cautiousCoreC - 1);
    expect(seen.every((o) => o.meats.every((m) => m.ok))).toBe(true);
  });
  test('the longer it stands open, the colder it is and the longer the way back to pressure; cold liquid cools it too', () => {
    const pin = (detourMin: number, addMl = 0): number => {
      const o = see({ broken: [{ atMin: on + 1, detourMin, addMl }], givenMin: 3 });
      return o.curve.minutes[o.curve.gaugeKpa.findIndex((k) => k > 3)]!;
    };
    expect(pin(4)).toBeLessThan(on);
    expect(pin(15)).toBeGreaterThan(pin(2) + 0.5);
    expect(pin(4, 200)).toBeGreaterThan(pin(4) + 0.5);
  });
  test('broken off twice counts twice', () => {
    const twice = see({
      broken: [
        { atMin: on + 1, detourMin: 4 },
        { atMin: on, detourMin: 4 },
      ],
      givenMin: 2,
    });
    expect(twice.holdMin).toBeLessThanOrEqual(seen[1]!.holdMin);
    expect(twice.laterMin).toBeGreaterThan(seen[1]!.laterMin);
  });
  test('a late pin of the new run takes off from the new hold', () => {
    const late = see({ broken: [{ atMin: on - 3, detourMin: 4 }], givenMin: 3, toPinMin: on });
    expect(late.holdMin).toBeLessThanOrEqual(seen[0]!.holdMin);
    expect(late.softer).toBeGreaterThan(-1.5);
  });
});
test('the sauce is told with the rest: more steam, less of it', () => {
  expect(see({}).sauce).toEqual({ freeG: expect.closeTo(p.grain!.freeSauceG, 0), band: p.grain!.sauce });
});
