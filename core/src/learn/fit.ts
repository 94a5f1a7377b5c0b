import { Matrix } from 'ml-matrix';
import type { Evidence } from './evidence';
import { placesIn, whitened, type Places, type Whitened } from './information';
import { dot, inverse, Lower, solve, times, zeros } from './linear';
import { keysOf, rowsOf, type Row } from './rows';

/*
 * Maximum a posteriori by Gauss-Newton: all parameters start at a standard normal, the scatters of an evening are integrated
 * out, taps are Student-t by re-weighting, and no single dinner moves a parameter by more than one prior standard deviation.
 */

/** What was fitted: z by key, its covariance, and how much each cook was listened to. */
export interface Fit {
  keys: readonly string[];
  z: ReadonlyMap<string, number>;
  /** covariance of z in the order of the keys */
  covariance: readonly (readonly number[])[];
  /** 1 is in full; by the order of the evidence */
  weights: readonly number[];
  /** z without each cook, in the order of the keys, by one Newton step: what the others say of it */
  without: readonly (readonly number[])[];
}

const newtonSteps = 20;
const capRounds = 8;
const leastWeight = 0.002;
/**
 * Prior standard deviations that one cook may move a parameter by. Water that was heated to learn the pot is a measurement, which
 * may; a parameter is further out in one pot of eighty, and a forgotten tap pulls further still [derived: bench/learn].
 */
const mostMovedSd = { cook: 1, calibration: 2.5 } as const;
const mostMoved = ({ observation: { setting } }: Evidence): number =>
  mostMovedSd[setting.dish.calibrates ? 'calibration' : 'cook'];
/** How hard a cook that pulls too far is turned down, and one that no longer does is turned up again [from memory]. */
const capPower = { down: 1.5, up: 0.75 } as const;
/** A cook that was turned down and pulls less than this share of what it may is turned up; between it stays [from memory]. */
const leastPull = 0.7;
/** Curves bend: no step is longer than this, prior standard deviations. */
const longestStep = 1.5;
/** A step shorter than this is the last, prior standard deviations. */
const settled = 2e-2;
const nearlySettled = 0.1;

/** @param near a fit of nearly the same evidence, to begin at */
export function fit(evidence: readonly Evidence[], near?: Pick<Fit, 'z' | 'weights'>): Fit {
  const { keys, cooks } = placed(evidence);
  let weights = near?.weights ?? evidence.map(() => 1);
  let mode = modeOf(cooks, keys, weights, { from: near?.z ?? new Map() });
  let without = leaveOneOut(mode, weights, keys);
  for (let round = 0; round < capRounds; round++) {
    const z = keys.map((k) => mode.z.get(k)!);
    const heard = weights.map((w, i) => heardNext(w, furthest(z, without[i]!) / mostMoved(evidence[i]!)));
    if (heard.every((w, i) => w === weights[i])) break;
    weights = heard;
    mode = modeOf(cooks, keys, weights, { from: mode.z });
    without = leaveOneOut(mode, weights, keys);
  }
  // Its rows are those of the last step, which was shorter than a fiftieth of a spread.
  const honest = informationOf(
    cooks.map(({ places }, c) => whitened(mode.rows[c]!, places, true)),
    weights,
    keys.length,
  );
  return { keys, z: mode.z, covariance: inverse(honest), weights, without };
}

/** @param pull how far a cook moves a parameter, in what it may */
function heardNext(weight: number, pull: number): number {
  if (pull > 1 + 1e-3) return Math.max(leastWeight, weight * pull ** -capPower.down);
  if (weight < 1 && pull < leastPull) return Math.min(1, weight * pull ** -capPower.up);
  return weight;
}

/** Where the parameters come to lie for evidence that is nearly that of another fit: good enough to compare, each cook listened to as there. */
export function roughly(evidence: readonly Evidence[], near: Pick<Fit, 'z' | 'weights'>): ReadonlyMap<string, number> {
  const { keys, cooks } = placed(evidence);
  return modeOf(cooks, keys, near.weights, { from: near.z, until: nearlySettled }).z;
}

function placed(evidence: readonly Evidence[]): { keys: readonly string[]; cooks: readonly Placed[] } {
  const keys = [...new Set(evidence.flatMap(keysOf))].sort();
  const place = new Map(keys.map((k, i) => [k, i]));
  return { keys, cooks: evidence.map((e) => ({ e, places: placesIn(e, place) })) };
}

/** The prior, and what every cook adds to it. */
function informationOf(all: readonly Whitened[], weights: readonly number[], size: number): Matrix {
  const sum = Array.from({ length: size }, (_, i) => {
    const row = zeros(size);
    row[i] = 1;
    return row;
  });
  all.forEach(({ at, slopes }, c) => {
    for (const h of slopes)
      for (let i = 0; i < at.length; i++) {
        if (h[i] === 0) continue;
        const by = weights[c]! * h[i]!;
        const row = sum[at[i]!]!;
        for (let j = 0; j < at.length; j++) row[at[j]!]! += by * h[j]!;
      }
  });
  return new Matrix(sum);
}

/** A cook, with its places among all parameters. */
interface Placed {
  e: Evidence;
  places: Places;
}

interface Mode {
  z: Map<string, number>;
  rows: Row[][];
  all: Whitened[];
  information: Matrix;
}

function modeOf(
  cooks: readonly Placed[],
  keys: readonly string[],
  weights: readonly number[],
  { from, until = settled }: { from: ReadonlyMap<string, number>; until?: number },
): Mode {
  const z = new Map(keys.map((k) => [k, from.get(k) ?? 0]));
  let rows: Row[][] = [];
  let all: Whitened[] = [];
  let information = Matrix.eye(keys.length);
  let before = zeros(keys.length);
  const share = keys.map(() => 1);
  const turns = zeros(keys.length);
  for (let n = 0; n < newtonSteps; n++) {
    rows = cooks.map(({ e }) => rowsOf(e, z));
    all = cooks.map(({ places }, c) => whitened(rows[c]!, places));
    information = informationOf(all, weights, keys.length);
    const slope = keys.map((k) => -z.get(k)!);
    all.forEach((a, c) => {
      a.slopes.forEach((h, r) =>
        a.at.forEach((to, i) => {
          slope[to]! += weights[c]! * h[i]! * a.residual[r]!;
        }),
      );
    });
    const step = solve(information, slope);
    const largest = step.reduce((m, s) => Math.max(m, Math.abs(s)), 0);
    // Where a curve has a knee, whole steps would go to and fro over it for ever: a parameter that turns back goes half as far,
    // and the oftener it turned the longer.
    const part = Math.min(1, longestStep / largest);
    keys.forEach((k, i) => {
      const isTurning = step[i]! * before[i]! < 0;
      if (isTurning) turns[i]! += 1;
      share[i] = isTurning ? share[i]! / 2 : Math.min(1 / Math.max(1, turns[i]!), 2 * share[i]!);
      z.set(k, z.get(k)! + part * share[i] * step[i]!);
    });
    before = step;
    if (largest < until) break;
  }
  return { z, rows, all, information };
}

/**
 * Every cook taken away in turn, by one Newton step from the mode of all: with information A, the slopes G and the residual e
 * of a cook of weight w, (A - w G'G)^-1 w G'e = w A^-1 G' (1 - w G A^-1 G')^-1 e.
 */
function leaveOneOut({ z, all, information }: Mode, weights: readonly number[], keys: readonly string[]): number[][] {
  const covariance = inverse(information);
  const middle = keys.map((k) => z.get(k)!);
  return all.map(({ at, slopes, residual }, c) => {
    const w = weights[c]!;
    const wide = slopes.map((h) => {
      const out = zeros(keys.length);
      at.forEach((to, i) => (out[to] = h[i]!));
      return out;
    });
    const known = wide.map((h) => times(h, covariance));
    const rest = new Lower(known.map((row, i) => wide.map((h, j) => (i === j ? 1 : 0) - w * dot(row, h))));
    const without = middle.slice();
    rest.solve(residual).forEach((by, r) => known[r]!.forEach((v, j) => (without[j]! -= w * v * by)));
    return without;
  });
}

const furthest = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((m, v, i) => Math.max(m, Math.abs(v - b[i]!)), 0);
