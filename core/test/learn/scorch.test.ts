import fc from 'fast-check';
import { kitchenSchema } from '../../src/dish/kitchen';
import type { Learned } from '../../src/dish/learned';
import type { Evidence } from '../../src/learn/evidence';
import { fit } from '../../src/learn/fit';
import { learn } from '../../src/learn/learn';
import { observationOf, tableLogOdds, unseen } from '../../src/learn/observation';
import { baseLikelihood } from '../../src/learn/ordinal';
import { potKey, potParameter } from '../../src/learn/parameters';
import { logistic } from '../../src/normal';
import { learnedBehind } from '../../src/plan/learned-moved';
import { plan } from '../../src/plan/plan';
import { board } from '../helpers/board';
import { plainRice, seaLevel } from '../helpers/dishes';
import { cookedSo, lidOf } from './cooked';
import { drawsOf, poolOf } from './household';

/* What the base of a pot looked like, and what follows for its next dish. */

const anyOdds = fc.double({ min: -6, max: 3, noNaN: true });
test('the five looks of a base have chances that add up to one, stuck or worse is what the odds say, and slopes are slopes', () => {
  fc.assert(
    fc.property(anyOdds, (odds) => {
      const p = [0, 1, 2, 3, 4].map((look) => baseLikelihood(look, odds).p);
      expect(p.reduce((a, b) => a + b)).toBeCloseTo(1, 9);
      expect(p[2]! + p[3]! + p[4]!).toBeCloseTo(logistic(odds), 9);
    }),
  );
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 4 }), anyOdds, (look, odds) => {
      const ln = (x: number): number => Math.log(baseLikelihood(look, x).p);
      const h = 1e-3;
      const { slope, curvature } = baseLikelihood(look, odds);
      expect(slope).toBeCloseTo((ln(odds + h) - ln(odds - h)) / (2 * h), 4);
      expect(curvature).toBeCloseTo(-(ln(odds + h) - 2 * ln(odds) + ln(odds - h)) / (h * h), 3);
    }),
  );
});

const potId = 'electric-5.7';
const sd = potParameter({ kind: 'electric' }, 'scorch').sd;
const key = potKey(potId, 'scorch');
const anyDish = poolOf(potId, 1)[0]!;
let days = 0;
/** An evening of which only the base was looked at. */
const looked = (bottom: number, scorchLogOdds: number): Evidence => ({
  observation: {
    ...unseen({ ...anyDish, cookId: `c${++days}`, startedMs: days * 86_400_000, scorchLogOdds }),
    ratings: { bottom },
  },
  emulator: anyDish.emulator,
  jumps: [],
});

test('of pots whose bases nobody knows, twenty dishes that may catch tell something, with honest spreads', () => {
  const draws = drawsOf(77);
  const lookOf = (odds: number): number => {
    const u = draws.uniform();
    let sum = 0;
    return [0, 1, 2, 3].find((look) => (sum += baseLikelihood(look, odds).p) > u) ?? 4;
  };
  const pots = Array.from({ length: 120 }, () => {
    const truth = sd * draws.normal();
    const cooks = Array.from({ length: 20 }, () => {
      const odds = -3.5 + 3 * draws.uniform();
      return looked(lookOf(odds + truth), odds);
    });
    const f = fit(cooks);
    return { off: sd * f.z.get(key)! - truth, spread: sd * Math.sqrt(f.covariance[0]![0]!) };
  });
  const rms = Math.sqrt(pots.reduce((s, p) => s + p.off ** 2, 0) / pots.length);
  expect(rms).toBeLessThan(0.7 * sd);
  const covered = pots.filter((p) => Math.abs(p.off) < 1.2816 * p.spread).length / pots.length;
  expect(covered).toBeGreaterThan(0.72);
  expect(covered).toBeLessThan(0.88);
});

test('one burnt evening among clean ones is no law, and clean ones take it back', () => {
  const clean = (n: number): Evidence[] => Array.from({ length: n }, () => looked(0, -2));
  const points = (cooks: Evidence[]): number => sd * fit(cooks).z.get(key)!;
  expect(points(clean(6))).toBeLessThan(0);
  const burnt = points([...clean(2), looked(4, -2.5)]);
  expect(burnt).toBeGreaterThan(0);
  expect(burnt).toBeLessThan(sd);
  expect(points([...clean(12), looked(4, -2.5)])).toBeLessThan(burnt);
});

const risky = board(
  'risotto',
  { food: 'butter', g: 20 },
  { food: 'rice-arborio', g: 300 },
  { food: 'tomato-crushed-canned', g: 100 },
  { food: 'broth', g: 800 },
);
const caught = (value: number): Learned => ({
  ...learn({ kitchen: seaLevel, cooks: [] }),
  pots: { [potId]: { scorch: { value, sd: 0.4, priorSd: sd, cooks: 9 } } },
});
test('a base that caught before makes the next plan wary, says so, and is not learned from itself', () => {
  const table = plan(risky, seaLevel);
  const mine = plan(risky, kitchenSchema.parse({ learned: caught(0.8) }));
  expect(mine.scorch.reasons).toContainEqual(expect.objectContaining({ code: 'this-pot', points: 0.8 }));
  expect(learnedBehind(mine, 'base')).toMatchObject([{ parameter: 'scorch', cooks: 9 }]);
  // As the table has it, with no more risk than the search can take out again.
  expect(mine.scorch.index).toBeGreaterThan(table.scorch.index);
  expect(tableLogOdds(mine.scorch)).toBeLessThanOrEqual(tableLogOdds(table.scorch) + 1e-9);
  expect(plan(risky, kitchenSchema.parse({ learned: caught(9) })).scorch.reasons).toContainEqual(
    expect.objectContaining({ code: 'this-pot', points: 1.4 }),
  );
  expect(plan(risky, kitchenSchema.parse({ learned: caught(0.8), learning: false })).scorch).toEqual(table.scorch);
});

test('a pot that calls out on its way up tells of its base, though of nothing else', () => {
  const dish = plainRice();
  const p = plan(dish, seaLevel);
  const lid = lidOf(dish, seaLevel, p, {});
  const read = (atMin: number) =>
    observationOf(
      cookedSo({ dish, plan: p }, lid, { ratings: { bottom: 1 }, events: [{ kind: 'burn', atMin }] }),
      seaLevel,
    )!;
  expect(read(lid.pinMin! / 2)).toMatchObject({ taps: {}, ratings: { bottom: 3 }, steamG: null, gaugeKpa: [] });
  expect(read(lid.fullMin! + 1)).toMatchObject({ taps: { pinMin: expect.any(Number) }, ratings: { bottom: 3 } });
  const quiet = observationOf(cookedSo({ dish, plan: p }, lid, { ratings: { bottom: 1 } }), seaLevel)!;
  expect(quiet.ratings).toEqual({ bottom: 1 });
  expect(quiet.scorchLogOdds).toBeCloseTo(Math.log(p.scorch.index / (1 - p.scorch.index)), 9);
});
