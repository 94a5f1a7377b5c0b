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
  const usual = scatterSpreadOf(rows);
  const { noise, q } = weighed(rows, usual);
  const believed = honest
    ? noise.map((v, i) => {
        const r = rows[i]!;
        return r.kind === 'tap' ? Math.max(v, r.sd ** 2 / (studentShare(degreesOfFreedom.tap) * believedTap)) : v;
      })
    : noise;
  const spread = new Lower(spreadWith(rows, usual, { noise: believed, q }));
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
function weighed(rows: readonly Row[], usual: readonly (readonly number[])[]): { noise: number[]; q: number[] } {
  const { tap, seldom } = degreesOfFreedom;
  const residual = rows.map((r) => r.residual);
  const q = heavyTailedAt.map(() => 1);
  const noise = rows.map((r) => r.sd ** 2);
  for (let k = 0; k < reweighings; k++) {
    const byRow = new Lower(spreadWith(rows, usual, { noise, q })).solve(residual);
    for (let i = 0; i < rows.length; i++) {
      const { kind, sd } = rows[i]!;
      if (kind !== 'tap') continue;
      const own = noise[i]! * byRow[i]!;
      noise[i] = (sd ** 2 * (tap + own ** 2 / sd ** 2)) / (tap + 1);
    }
    heavyTailedAt.forEach((s, h) => {
      let own = 0;
      for (let i = 0; i < rows.length; i++) own += q[h]! * scatterOf(rows[i]!, s) * byRow[i]!;
      q[h] = Math.max(1, (seldom + own ** 2) / (seldom + 1));
    });
  }
  return { noise, q };
}
const heavyTailedAt = heavyTailed.map((name) => scatters.indexOf(name));
const scatterOf = ({ slopes }: Row, s: number): number => slopes[slopes.length - scatters.length + s]!;

/** Covariance that the scatters of an evening make when they are as wide as they usually are, its lower triangle. */
const scatterSpreadOf = (rows: readonly Row[]): number[][] =>
  rows.map(({ slopes: a }, i) => {
    const from = a.length - scatters.length;
    const out = zeros(rows.length);
    for (let j = 0; j <= i; j++) {
      const b = rows[j]!.slopes;
      let sum = 0;
      for (let s = from; s < a.length; s++) sum += a[s]! * b[s]!;
      out[j] = sum;
    }
    return out;
  });

/** The same with the noise of each row, and with the heavy tailed scatters so many times as wide (their variance). */
function spreadWith(
  rows: readonly Row[],
  usual: readonly (readonly number[])[],
  { noise, q }: { noise: readonly number[]; q: readonly number[] },
): number[][] {
  return usual.map((row, i) => {
    const out = row.slice();
    out[i]! += noise[i]!;
    q.forEach((times, h) => {
      if (times === 1) return;
      const by = (times - 1) * scatterOf(rows[i]!, heavyTailedAt[h]!);
      for (let j = 0; j <= i; j++) out[j]! += by * scatterOf(rows[j]!, heavyTailedAt[h]!);
    });
    return out;
  });
}

/** Covariance of what is seen, its lower triangle: its own noise and the scatters of the evening, all as wide as they usually are. */
export const spreadOf = (rows: readonly Row[]): number[][] =>
  spreadWith(rows, scatterSpreadOf(rows), { noise: rows.map((r) => r.sd ** 2), q: [] });

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
