import fc from 'fast-check';
import { curveAt, monotoneCurve } from '../../src/learn/monotone';
import { sauceOffset } from '../../src/plan/setup/learned';
import { inSteps, overLikelihood, ratingEdges, ratingLikelihood } from '../../src/learn/ordinal';

/*
 * Derived by another program, whose normal distribution is good to 7.5e-8: in its tails its slopes and curvatures hold to three digits. The
 * rater scatters by .6 steps, the pin that was still up by .5 min.
 */
/** Within two in a thousand. */
const near = (got: number, x: number): void => expect(Math.abs(got - x)).toBeLessThanOrEqual(2e-3 * Math.abs(x) + 1e-9);
test.each([
  [2, 2.0, 0.595343, 0, 2.19226],
  [2, 2.8, 0.293407, -1.78314, 2.29565],
  [0, 1.2, 0.121673, -2.76697, 2.27591],
  [4, 3.1, 0.252492, 2.10863, 2.1034],
  [3, 0.5, 0.000429, 5.98836, 2.60787],
])(
  'a rating of %d at the place %d has the chance %d, slope %d and curvature %d',
  (rating, place, p, slope, curvature) => {
    const l = ratingLikelihood(rating, place, 0.6);
    expect(l.p).toBeCloseTo(p, 5);
    near(l.slope, slope);
    near(l.curvature, curvature);
  },
);
test.each([
  [1, 0.97725, 0.1105, 0.45419],
  [0, 0.5, 1.59577, 2.54648],
  [-1.5, 0.00135, 6.56586, 3.71536],
])('still up, %d min before it would have fallen: chance %d, slope %d, curvature %d', (at, p, slope, curvature) => {
  const l = overLikelihood(at, 0.5);
  expect(l.p).toBeCloseTo(p, 5);
  near(l.slope, slope);
  near(l.curvature, curvature);
});
test('the five chances of a rating add up to one, wherever it lies', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -2, max: 6, noNaN: true }),
      fc.double({ min: 0.2, max: 2, noNaN: true }),
      (place, sd) => {
        const all = [0, 1, 2, 3, 4].reduce((s, r) => s + ratingLikelihood(r, place, sd).p, 0);
        expect(all).toBeCloseTo(1, 9);
      },
    ),
  );
});
test.each([
  [66, ratingEdges.grain, 2.0556],
  [57, ratingEdges.grain, -0.125],
  [75, ratingEdges.grain, 4.0556],
  [100 * Math.log(1.2), ratingEdges.pasta, 1.817],
  [Math.log(0.1 + sauceOffset), ratingEdges.sauce, 1.3181],
] as const)('%d on its scale is step %d', (value, edges, step) => {
  expect(inSteps(value, edges)).toBeCloseTo(step, 4);
});

describe('a monotone cubic', () => {
  /** Data of Fritsch and Carlson, SIAM J. Numer. Anal. 17 (1980), table 1 (RPN 14): monotone, with a sharp rise. */
  const x = [7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20];
  const y = [0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.94374, 0.998636, 0.999919, 0.999994];
  test('goes through its knots and rises between them where they rise', () => {
    const c = monotoneCurve(x, y);
    x.forEach((at, i) => expect(curveAt(c, at).value).toBeCloseTo(y[i]!, 12));
    let before = -Infinity;
    for (let at = 7.99; at <= 20; at += 0.01) {
      const { value } = curveAt(c, at);
      expect(value).toBeGreaterThanOrEqual(before - 1e-12);
      before = value;
    }
  });
  test('is a straight line through knots on one, has the slope it says, and goes straight on beyond its ends', () => {
    const line = monotoneCurve([-2, 0, 1, 3], [-4, 0, 2, 6]);
    for (const at of [-1.7, -0.2, 0.5, 2.9])
      expect(curveAt(line, at)).toEqual({ value: expect.closeTo(2 * at, 12), slope: expect.closeTo(2, 12) });
    for (const at of [-3, 4]) expect(curveAt(line, at)).toEqual({ value: expect.closeTo(2 * at, 12), slope: 2 });
    const c = monotoneCurve(x, y);
    for (const at of [8.4, 9.5, 11]) {
      const slope = (curveAt(c, at + 1e-6).value - curveAt(c, at - 1e-6).value) / 2e-6;
      expect(curveAt(c, at).slope).toBeCloseTo(slope, 6);
    }
  });
});
