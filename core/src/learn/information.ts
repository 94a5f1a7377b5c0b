import type { Evidence } from './evidence';
import { dot, Lower, times, zeros } from './linear';
import { degreesOfFreedom } from './parameters';
import type { Row } from './rows';
import { termsOf } from './terms';
import { heavyTailed, scatters } from './value';

/**
 * What one cook says of the parameters, its scatters integrated out (S = R + Hs Q Hs') and its rows made independent of each
 * other: with S = L L', slopes L^-1 H and residual L^-1 r. Its information is the sum of their products.
 */
export interface Whitened {
  /** places among all parameters of those that it speaks of */
  at: readonly number[];
  /** a row each, as wide as `at` */
  slopes: readonly (readonly number[])[];
  residual: number[];
}

/**
 * Of the information of a tap so much is believed: that of a Student-t, and of it this share, for a late tap that passes
 * for a prompt one [derived: coverage of the intervals in simulated households].
 */
const believedTap = 0.45;
const studentShare = (nu: number): number => (nu + 1) / (nu + 3);
const reweighings = 3;

/** Which of the parameters of a fit a cook speaks of: their places among its own slopes, and among all. */
export interface Places {
  own: readonly number[];
  at: readonly number[];
}
export function placesIn(e: Evidence, place: ReadonlyMap<string, number>): Places {
  const { keys } = termsOf(e);
  const own = keys.flatMap((k, i) => (place.has(k) ? [i] : []));
  return { own, at: own.map((i) => place.get(keys[i]!)!) };
}

/** @param honest the information as it is honest to believe it, for the spread */
export function whitened(rows: readonly Row[], { own, at }: Places, honest = false): Whitened {
  if (rows.length === 0) return { at, slopes: [], residual: [] };
  const { noise, q } = weighed(rows);
  const believed = honest
    ? noise.map((v, i) => {
        const r = rows[i]!;
        return r.kind === 'tap' ? Math.max(v, r.sd ** 2 / (studentShare(degreesOfFreedom.tap) * believedTap)) : v;
      })
    : noise;
  const spread = new Lower(spreadOf(rows, believed, q));
  return {
    at,
    slopes: spread.whiten(
      rows.map((r) => {
        const h = zeros(own.length);
        for (let i = 0; i < h.length; i++) h[i] = r.slopes[own[i]!]!;
        return h;
      }),
    ),
    residual: spread.whitened(rows.map((r) => r.residual)),
  };
}

/** What is far off counts less: the part of a residual that its own scatter explains decides. */
function weighed(rows: readonly Row[]): { noise: number[]; q: number[] } {
  const { tap, seldom } = degreesOfFreedom;
  const residual = rows.map((r) => r.residual);
  const q = scatters.map(() => 1);
  let noise = rows.map((r) => r.sd ** 2);
  for (let k = 0; k < reweighings; k++) {
    const byRow = new Lower(spreadOf(rows, noise, q)).solve(residual);
    noise = rows.map((r, i) => {
      if (r.kind !== 'tap') return noise[i]!;
      const own = noise[i]! * byRow[i]!;
      return (r.sd ** 2 * (tap + own ** 2 / r.sd ** 2)) / (tap + 1);
    });
    for (const name of heavyTailed) {
      const s = scatters.indexOf(name);
      const own = q[s]! * rows.reduce((sum, r, i) => sum + scatterOf(r, s) * byRow[i]!, 0);
      q[s] = Math.max(1, (seldom + own ** 2) / (seldom + 1));
    }
  }
  return { noise, q };
}

const scatterOf = ({ slopes }: Row, s: number): number => slopes[slopes.length - scatters.length + s]!;

/**
 * Covariance of what is seen, its lower triangle: its own noise and the scatters of the evening, as wide as they usually are
 * when not given.
 */
export function spreadOf(
  rows: readonly Row[],
  noise: readonly number[] = rows.map((r) => r.sd ** 2),
  q: readonly number[] = scatters.map(() => 1),
): number[][] {
  return rows.map(({ slopes: a }, i) => {
    const out = zeros(rows.length);
    const from = a.length - scatters.length;
    for (let j = 0; j <= i; j++) {
      const b = rows[j]!.slopes;
      let sum = i === j ? noise[i]! : 0;
      for (let s = 0; s < q.length; s++) sum += a[from + s]! * q[s]! * b[from + s]!;
      out[j] = sum;
    }
    return out;
  });
}

/** The slopes of rows of a cook in these parameters. */
function slopesOver(e: Evidence, rows: readonly Row[], keys: readonly string[]): number[][] {
  const { places } = termsOf(e);
  return rows.map((r) => keys.map((k) => (places.has(k) ? r.slopes[places.get(k)!]! : 0)));
}

/** What a cook says beside what is known so far, over these parameters. */
export interface Innovation {
  /** its slopes, and the same times the covariance of the parameters */
  h: number[][];
  known: number[][];
  /** covariance of what is seen, with all that is not known: S + H P H' */
  spread: Lower;
}
export function innovationOf(
  e: Evidence,
  rows: readonly Row[],
  { keys, covariance }: { keys: readonly string[]; covariance: readonly (readonly number[])[] },
): Innovation {
  const h = slopesOver(e, rows, keys);
  const known = h.map((row) => times(row, covariance));
  const spread = spreadOf(rows);
  spread.forEach((row, i) => {
    for (let j = 0; j <= i; j++) row[j]! += dot(known[i]!, h[j]!);
  });
  return { h, known, spread: new Lower(spread) };
}
