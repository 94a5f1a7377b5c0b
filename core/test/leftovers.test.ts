import { plan } from '../src/plan/plan';
import { coolLayer, coolingRule, crustFor, deepestLayerMm, slurryFor, type Cooling } from '../src/plan/write/leftovers';
import { schedule } from '../src/cook/schedule';
import { cookPot } from '../src/pot/cook';
import { evaporationKgPerS, openFor } from '../src/pot/open';
import { pots } from '../src/pot/profile';
import { waterJPerKgK } from '../src/water/steam';
import { hut, turkeyRice } from './helpers/dishes';
import { facts } from './helpers/loads';

// Minutes of docs/engine.md, section 9, computed independently when the notes were written; the rule is a food code's, recalled.
describe('cooling of cooked rice', () => {
  test.each<[Cooling, number, number, number, boolean]>([
    ['fridge-open', 25, 24, 65, true],
    ['fridge-open', 40, 46, 115, true],
    ['fridge-open', 50, 63, 152, false],
    ['fridge-lidded', 20, 43, 107, true],
    ['fridge-lidded', 40, 94, 225, false],
    ['room', 25, 29, 147, false],
  ])('%s, %d mm: %d min to 57 degC, %d more to 21', (how, mm, to57, to21, ok) => {
    const r = coolLayer(mm, how);
    expect(Math.abs(r.minutesTo57 - to57)).toBeLessThan(0.15 * to57 + 2);
    expect(Math.abs(r.minutes57To21 - to21)).toBeLessThan(0.15 * to21 + 2);
    expect(r.meetsRule).toBe(ok);
  });
  test('deeper is never faster, and only the fridge or ice make it cold in time', () => {
    const t = [15, 25, 40].map((mm) => coolLayer(mm, 'fridge-open').minutes57To21);
    expect(t).toEqual([...t].sort((a, b) => a - b));
    expect(deepestLayerMm('room')).toBe(0);
    expect(deepestLayerMm('fridge-open')).toBeGreaterThanOrEqual(25);
    expect(coolingRule).toMatchObject({ fromC: 57, middleC: 21, toC: 5 });
  });
});

test('a crust grows with the surface and a slurry with the sauce', () => {
  expect(crustFor(387)).toEqual({ crumbG: 0.15 * 387, butterG: 0.11 * 387, cheeseG: 0.15 * 387 });
  expect(slurryFor(500)).toEqual({ starchG: 16, waterMl: 60 });
  // Common practice: potato starch binds more, wheat flour half as well as corn starch.
  expect((['potato', 'corn', 'tapioca', 'flour'] as const).map((b) => slurryFor(250, b).starchG)).toEqual([
    6, 8, 8, 16,
  ]);
});

describe('open pot', () => {
  const pot = pots[0]!;
  // About 9 g/min at 90 degC (docs/engine.md, common practice).
  test('evaporates about 9 g a minute at 90 degC, hardly anything cold, more on a mountain', () => {
    expect(evaporationKgPerS(90, 0) * 60_000).toBeCloseTo(9, 0);
    expect(evaporationKgPerS(20, 0) * 60_000).toBeLessThan(0.5);
    expect(evaporationKgPerS(90, 2000)).toBeGreaterThan(evaporationKgPerS(90, 0));
  });
  test('small rice, quick release, five minutes open: 70 degC, 29 g evaporated', () => {
    // Reference run of docs/engine.md: 70.4 degC and 29 g with a separate integrator.
    const run = cookPot({ pot, altitudeM: 0 }, facts['smallRice']!.load, {
      pressure: 'high',
      holdMin: 5,
      release: { kind: 'quick' },
    });
    const heatJPerK = run.end.dryJPerK + run.end.waterKg * waterJPerKgK;
    const end = openFor(
      { pot, altitudeM: 0 },
      { tempC: run.openC, baseC: run.end.baseC, heatJPerK, evaporatedKg: 0 },
      300,
      'off',
    );
    expect(Math.abs(end.tempC - 70.4)).toBeLessThan(4);
    expect(Math.abs(end.evaporatedKg * 1000 - 29)).toBeLessThan(5);
  });
  test('keep-warm holds 63 to 68 degC, sauté keeps the plate between its two points', () => {
    const food = { tempC: 60, baseC: 60, heatJPerK: 3000, evaporatedKg: 0 };
    const kept = openFor({ pot, altitudeM: 0 }, food, 3600, 'warm');
    expect(kept.tempC).toBeGreaterThan(60);
    expect(kept.tempC).toBeLessThan(69);
    const plate = openFor({ pot, altitudeM: 0 }, { ...food, tempC: 25, baseC: 25, heatJPerK: 1500 }, 600, 'saute');
    expect(plate.baseC).toBeGreaterThan(150);
    expect(plate.baseC).toBeLessThan(180);
  });
});

describe('the evening backwards', () => {
  const p = plan(turkeyRice(), hut);
  const serve = Date.UTC(2026, 10, 20, 19, 0);
  const s = schedule(p, serve, serve - 2 * 3_600_000);
  test('starts as long before as everything takes, without gaps, and ends on the table', () => {
    expect(s.slots[0]!.startMs).toBe(s.startMs);
    expect(s.slots.at(-1)!.endMs).toBeCloseTo(serve, 3);
    expect(s.slots.slice(1).every((x, i) => Math.abs(x.startMs - s.slots[i]!.endMs) < 1e-3)).toBe(true);
    expect(s.handsOnMin + s.waitMin).toBeCloseTo(
      p.steps.reduce((m, x) => m + x.minutes, 0),
      6,
    );
  });
  test('each small task is done once, only in a wait, and never longer than the wait', () => {
    const codes = s.waits.flatMap((w) => w.fill.map((f) => f.code));
    expect(new Set(codes).size).toBe(codes.length);
    expect(codes).toContain('chop-herbs');
    expect(codes).not.toContain('grate-cheese');
    expect(s.waits.every((w) => w.step.kind === 'wait' && w.idleMin >= 0)).toBe(true);
  });
  test('a later serving time is only a later start', () => {
    const later = schedule(p, serve + 600_000, serve);
    expect(later.startMs - s.startMs).toBeCloseTo(600_000, 3);
    expect(later.slackMin).toBeLessThan(0);
  });
});
