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

/** Normal deviate of a probability: Acklam's rational approximation in its central and tail parts, error below 1.2e-9. */
export function normalDeviate(u: number): number {
  const p = Math.min(1 - 1e-9, Math.max(1e-9, u));
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
  ];
  const b = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ];
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const poly = (k: readonly number[], x: number): number => k.reduce((s, v) => s * x + v, 0);
  const low = 0.02425;
  const tail = (q: number): number => poly(c, q) / (poly(d, q) * q + 1);
  if (p < low) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - low) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (poly(a, r) * q) / (poly(b, r) * r + 1);
}
