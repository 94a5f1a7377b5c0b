import { logistic, normal } from '../normal';

/** Chance of what was seen, and the slope and curvature (minus the second derivative) of its logarithm in the place. */
export interface Likelihood {
  p: number;
  slope: number;
  curvature: number;
}

const density = (u: number): number => Math.exp((-u * u) / 2) / Math.sqrt(2 * Math.PI);
/** Nothing seen is held for impossible. */
const least = 1e-12;

/** Edges of five steps on their own scale: 0 under .5, 4 over 3.5. */
const edges = [-Infinity, 0.5, 1.5, 2.5, 3.5, Infinity] as const;

/**
 * Ordered probit: the chance that somebody calls a place so, when the call scatters by `sd`.
 *
 * @param rating 0 to 4
 * @param place where it lies, in steps
 */
export function ratingLikelihood(rating: number, place: number, sd: number): Likelihood {
  const lo = (edges[rating]! - place) / sd;
  const hi = (edges[rating + 1]! - place) / sd;
  return between(lo, hi, sd);
}

/** Chance that a quantity at `at` over its limit was seen over it: "the pin was still up when the valve was opened". */
export const overLikelihood = (at: number, sd: number): Likelihood => between(-at / sd, Infinity, sd);

function between(lo: number, hi: number, sd: number): Likelihood {
  const p = Math.max(least, chanceBetween(lo, hi));
  const at = (u: number): [number, number] => (Number.isFinite(u) ? [density(u), u * density(u)] : [0, 0]);
  const [fLo, gLo] = at(lo);
  const [fHi, gHi] = at(hi);
  const slope = (fLo - fHi) / p / sd;
  // d2 p / d place2 = (u phi(u)) at lo less at hi, over sd2.
  return { p, slope, curvature: Math.max(1e-6, slope * slope - (gLo - gHi) / p / (sd * sd)) };
}

/** The difference is taken in the tail where it is small. */
const chanceBetween = (lo: number, hi: number): number =>
  lo > 0 ? normal(-lo) - normal(-hi) : normal(hi) - normal(lo);

/**
 * How a base looks, 0 clean to 4 burnt, for the log odds that it catches: stuck or worse is what the odds speak of; a film comes
 * more often, brown and burnt less [from memory].
 */
const lookOdds = [Infinity, 1.5, 0, -1, -2.2, -Infinity] as const;
/** Ordered logit: the chance that a base with these log odds looks so. */
export function baseLikelihood(look: number, logOdds: number): Likelihood {
  const at = (shift: number): { f: number; first: number; second: number } => {
    const f = logistic(logOdds + shift);
    const first = f * (1 - f);
    return { f, first, second: first * (1 - 2 * f) };
  };
  const [from, to] = [at(lookOdds[look]!), at(lookOdds[look + 1]!)];
  const p = Math.max(least, from.f - to.f);
  const slope = (from.first - to.first) / p;
  return { p, slope, curvature: Math.max(1e-6, slope * slope - (from.second - to.second) / p) };
}

/** A value on a scale whose five steps end at four edges, in steps: straight between the edges and beyond them. */
export function inSteps(value: number, at: readonly [number, number, number, number]): number {
  const i = value < at[1] ? 0 : value < at[2] ? 1 : 2;
  return 0.5 + i + (value - at[i]) / (at[i + 1]! - at[i]);
}
/** How many steps one unit of the value is there. */
export function stepsPerUnit(value: number, at: readonly [number, number, number, number]): number {
  const i = value < at[1] ? 0 : value < at[2] ? 1 : 2;
  return 1 / (at[i + 1]! - at[i]);
}

/** Where the five words of a rating end: texture index; 100 ln of the packet's minutes; ln of the share of sauce + .02. */
export const ratingEdges = {
  grain: [59.5, 63.5, 68, 72.5],
  pasta: [100 * Math.log(0.85), 100 * Math.log(1.05), 100 * Math.log(1.6), 100 * Math.log(2.2)],
  sauce: [Math.log(0.06), Math.log(0.14), Math.log(0.3), Math.log(0.47)],
} as const;
