import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { degreesOfFreedom } from './parameters';
import { heavyTailed, scatters } from './value';
import { keysOf, rowsOf, type Row } from './rows';
import type { Evidence } from './evidence';

/*
 * Maximum a posteriori by Gauss-Newton: all parameters start at a standard normal, the scatters of an evening are integrated
 * out (S = R + Hs Q Hs'), taps are Student-t by re-weighting, and no single dinner moves a parameter by more than one prior
 * standard deviation.
 */

/** What was fitted: z by key, its covariance, and how much each cook was listened to. */
export interface Fit {
  keys: readonly string[];
  z: ReadonlyMap<string, number>;
  /** covariance of z in the order of the keys */
  covariance: Matrix;
  /** 1 is in full; by the order of the evidence */
  weights: readonly number[];
  /** the fit without each cook, by one Newton step: what the others say of it */
  without: readonly ReadonlyMap<string, number>[];
}

const newtonSteps = 12;
const capRounds = 8;
const leastWeight = 0.002;
/**
 * Prior standard deviations that one cook may move a parameter by. Water that was heated to learn the pot is a measurement, which
 * may; a parameter is further out in one pot of eighty, and a forgotten tap pulls further still [derived: bench/learn].
 */
const mostMovedSd = { cook: 1, calibration: 2.5 } as const;
const mostMoved = ({ observation: { setting } }: Evidence): number =>
  mostMovedSd[setting.dish.calibrates ? 'calibration' : 'cook'];
/** How hard a cook that pulls too far is turned down [from memory]. */
const capPower = 1.5;
/**
 * Of the information of a tap so much is believed: that of a Student-t, and of it this share, for a late tap that passes
 * for a prompt one [derived: coverage of the intervals in simulated households].
 */
const believedTap = 0.45;
const studentShare = (nu: number): number => (nu + 1) / (nu + 3);
const settled = 1e-2;
const jitter = 1e-9;

/** What one cook adds, over the parameters that it speaks of (their places among the keys): information, and slope. */
interface Added {
  at: readonly number[];
  /** row by row, as wide as `at` */
  information: Float64Array;
  slope: Float64Array;
}

export function fit(evidence: readonly Evidence[]): Fit {
  const keys = [...new Set(evidence.flatMap(keysOf))].sort();
  let weights = evidence.map(() => 1);
  let at = solveMap(evidence, keys, weights, new Map());
  let without = leaveOneOut(at, weights, keys);
  for (let round = 0; round < capRounds; round++) {
    const moved = without.map((o, i) => furthest(at.z, o) / mostMoved(evidence[i]!));
    if (moved.every((m) => m <= 1 + 1e-3)) break;
    weights = weights.map((w, i) => (moved[i]! > 1 ? Math.max(leastWeight, w * moved[i]! ** -capPower) : w));
    at = solveMap(evidence, keys, weights, at.z);
    without = leaveOneOut(at, weights, keys);
  }
  const honest = Matrix.eye(keys.length);
  evidence.forEach((e, i) => put(honest, addedBy(rowsOf(e, at.z), places(keys), true), weights[i]!));
  return { keys, z: at.z, covariance: inverse(honest), weights, without };
}

const places = (keys: readonly string[]): ReadonlyMap<string, number> => new Map(keys.map((k, i) => [k, i]));

/** Adds what a cook knows to a matrix over all keys, so many times. */
function put(to: Matrix, { at, information }: Added, times: number): void {
  const n = at.length;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) to.set(at[i]!, at[j]!, to.get(at[i]!, at[j]!) + times * information[i * n + j]!);
}

interface Mode {
  z: Map<string, number>;
  added: Added[];
  information: Matrix;
}

function solveMap(
  evidence: readonly Evidence[],
  keys: readonly string[],
  weights: readonly number[],
  from: ReadonlyMap<string, number>,
): Mode {
  const z = new Map(keys.map((k) => [k, from.get(k) ?? 0]));
  const place = places(keys);
  let added: Added[] = [];
  let information = Matrix.eye(keys.length);
  for (let n = 0; n < newtonSteps; n++) {
    added = evidence.map((e) => addedBy(rowsOf(e, z), place));
    information = Matrix.eye(keys.length);
    const slope = Float64Array.from(keys, (k) => -z.get(k)!);
    added.forEach((a, i) => {
      put(information, a, weights[i]!);
      a.slope.forEach((s, k) => (slope[a.at[k]!]! += weights[i]! * s));
    });
    const step = solve(information, slope);
    const largest = step.reduce((m, s) => Math.max(m, Math.abs(s)), 0);
    // Curves bend: far steps are taken in parts.
    const part = largest > 1.5 ? 1.5 / largest : 1;
    keys.forEach((k, i) => z.set(k, z.get(k)! + part * step[i]!));
    if (largest < settled) break;
  }
  return { z, added, information };
}

/** Every cook taken away in turn, by one Newton step from the mode of all. */
const leaveOneOut = (
  { z, added, information }: Mode,
  weights: readonly number[],
  keys: readonly string[],
): Map<string, number>[] =>
  added.map((a, i) => {
    const rest = information.clone();
    put(rest, a, -weights[i]!);
    const slope = new Float64Array(keys.length);
    a.slope.forEach((s, k) => (slope[a.at[k]!] = -weights[i]! * s));
    const step = solve(rest, slope);
    return new Map(keys.map((k, j) => [k, z.get(k)! + step[j]!]));
  });

const furthest = (a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>): number =>
  [...a].reduce((m, [k, v]) => Math.max(m, Math.abs(v - (b.get(k) ?? 0))), 0);

/**
 * The rows of one cook, its scatters integrated out.
 *
 * @param honest the information as it is honest to believe it, for the spread
 */
function addedBy(rows: readonly Row[], place: ReadonlyMap<string, number>, honest = false): Added {
  const { tap, seldom } = degreesOfFreedom;
  const residual = rows.map((r) => r.residual);
  const q = scatters.map(() => 1);
  let noise = rows.map((r) => r.sd ** 2);
  // What is far off counts less: the part of a residual that its own scatter explains decides.
  for (let k = 0; k < reweighings && rows.length > 0; k++) {
    const byRow = solve(spreadOf(rows, noise, q), residual);
    noise = rows.map((r, i) => {
      if (r.kind !== 'tap') return noise[i]!;
      const own = noise[i]! * byRow[i]!;
      return (r.sd ** 2 * (tap + own ** 2 / r.sd ** 2)) / (tap + 1);
    });
    for (const name of heavyTailed) {
      const s = scatters.indexOf(name);
      const own = q[s]! * rows.reduce((sum, r, i) => sum + r.scatter[s]! * byRow[i]!, 0);
      q[s] = Math.max(1, (seldom + own ** 2) / (seldom + 1));
    }
  }
  if (honest)
    noise = rows.map((r, i) =>
      r.kind === 'tap' ? Math.max(noise[i]!, r.sd ** 2 / (studentShare(tap) * believedTap)) : noise[i]!,
    );
  return informationOf(rows, place, spreadOf(rows, noise, q));
}
const reweighings = 3;

/** H' S^-1 H and H' S^-1 r over the parameters that the rows know. */
function informationOf(rows: readonly Row[], place: ReadonlyMap<string, number>, spread: Matrix): Added {
  const keys = [...new Set(rows.flatMap((r) => [...r.slopes.keys()]))];
  const [n, m] = [keys.length, rows.length];
  const inner = m > 0 ? inverse(spread) : spread;
  const h = slopesOf(rows, keys);
  const information = new Float64Array(n * n);
  const slope = new Float64Array(n);
  for (let b = 0; b < m; b++) {
    // One row of S^-1 H, then what it adds.
    const row = new Float64Array(n);
    let seen = 0;
    for (let a = 0; a < m; a++) {
      const w = inner.get(b, a);
      const of = h[a]!;
      for (let i = 0; i < n; i++) row[i]! += w * of[i]!;
      seen += w * rows[a]!.residual;
    }
    const mine = h[b]!;
    for (let i = 0; i < n; i++) {
      const left = mine[i]!;
      if (left === 0) continue;
      slope[i]! += left * seen;
      for (let j = 0; j < n; j++) information[i * n + j]! += left * row[j]!;
    }
  }
  return { at: keys.map((k) => place.get(k)!), information, slope };
}

/** The slopes of rows in these parameters, a row of the matrix each. */
export const slopesOf = (rows: readonly Row[], keys: readonly string[]): number[][] =>
  rows.map((r) => keys.map((k) => r.slopes.get(k) ?? 0));

/** A matrix over parameters with so many more of them, which nothing is known of: still at their prior. */
export function withPriors(known: Matrix, more: number): Matrix {
  const out = Matrix.eye(known.rows + more);
  for (let i = 0; i < known.rows; i++) for (let j = 0; j < known.rows; j++) out.set(i, j, known.get(i, j));
  return out;
}

/** Covariance of what is seen: its own noise and the scatters of the evening, as wide as they usually are when not given. */
export function spreadOf(
  rows: readonly Row[],
  noise: readonly number[] = rows.map((r) => r.sd ** 2),
  q: readonly number[] = scatters.map(() => 1),
): Matrix {
  return new Matrix(
    rows.map((a, i) =>
      rows.map((b, j) => a.scatter.reduce((s, x, k) => s + x * q[k]! * b.scatter[k]!, i === j ? noise[i]! : 0)),
    ),
  );
}

/** Solves a positive definite system. */
export function solve(a: Matrix, b: ArrayLike<number>): Float64Array {
  return Float64Array.from(
    choleskyOf(a)
      .solve(Matrix.columnVector(Array.from(b)))
      .to1DArray(),
  );
}
export const inverse = (a: Matrix): Matrix => choleskyOf(a).solve(Matrix.eye(a.rows));

/** Cholesky's decomposition; where rounding has cost a matrix its definiteness, with a little on its diagonal. */
export function choleskyOf(given: Matrix): CholeskyDecomposition {
  // Symmetric to the last bit, as the decomposition asks.
  const a = Matrix.add(given, given.transpose()).mul(0.5);
  let by = 0;
  for (;;) {
    const d = new CholeskyDecomposition(by === 0 ? a : Matrix.add(a, Matrix.mul(Matrix.eye(a.rows), by)));
    if (d.isPositiveDefinite()) return d;
    by = by === 0 ? jitter * (1 + a.max()) : by * 10;
  }
}
