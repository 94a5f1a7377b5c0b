/** Chance from points. */
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** Normal distribution function; Abramowitz & Stegun 26.2.17, error below 7.5e-8. */
export function normal(x: number): number {
  if (!Number.isFinite(x)) return x > 0 ? 1 : 0;
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return x >= 0 ? 1 - tail : tail;
}
