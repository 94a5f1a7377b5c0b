/** Chance from points. */
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** From here on the tail is read off a continued fraction; nearer the middle the series is quicker. */
const tailFrom = 2.5;
const tailTerms = 40;

/**
 * Normal distribution function, to the last digits also in its tails: Abramowitz & Stegun 26.2.11 (series) in the middle,
 * 26.2.14 (continued fraction) outside.
 */
export function normal(x: number): number {
  if (!Number.isFinite(x)) return x > 0 ? 1 : 0;
  const a = Math.abs(x);
  const density = Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
  if (a < tailFrom) {
    let term = x;
    let sum = x;
    for (let k = 3; Math.abs(term) > 1e-17 * Math.abs(sum); k += 2) sum += term *= (x * x) / k;
    return 0.5 + density * sum;
  }
  let fraction = a;
  for (let k = tailTerms; k > 0; k--) fraction = a + k / fraction;
  return x > 0 ? 1 - density / fraction : density / fraction;
}
