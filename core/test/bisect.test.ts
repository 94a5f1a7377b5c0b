import fc from 'fast-check';
import { firstWhole, lastWhole, turnBetween } from '../src/bisect';
import { interpolated } from '../src/interpolate';

/* Against the plain way of looking at every number in turn. */
test('the first and the last whole number of a stretch, whatever its ends', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -5, max: 40 }),
      fc.integer({ min: 0, max: 40 }),
      fc.integer({ min: -10, max: 90 }),
      (from, span, turn) => {
        const to = from + span;
        const all = Array.from({ length: span + 1 }, (_, i) => from + i);
        expect(firstWhole(from, to, (n) => n >= turn)).toBe(all.find((n) => n >= turn) ?? to);
        expect(lastWhole(from, to, (n) => n <= turn)).toBe(all.findLast((n) => n <= turn) ?? from);
      },
    ),
  );
});
test('a turn between two numbers, as near as asked; what is near ends the search', () => {
  const found = turnBetween(0, 10, (x) => x * x >= 2, { within: 1e-9 });
  expect(found.high).toBeCloseTo(Math.SQRT2, 8);
  expect(found.high - found.low).toBeLessThan(1e-9);
  expect(turnBetween(0, 8, (x) => (x === 2 ? 'near' : x > 2))).toEqual({ low: 2, high: 2 });
  expect(turnBetween(0, 8, () => true, { steps: 3 })).toEqual({ low: 0, high: 1 });
});
test('a curve read between its points and held at its ends', () => {
  const at = (x: number): number => interpolated([1, 2, 4], [10, 20, 60], x);
  expect([at(0), at(1), at(1.5), at(2), at(3), at(4), at(9)]).toEqual([10, 10, 15, 20, 40, 60, 60]);
});
