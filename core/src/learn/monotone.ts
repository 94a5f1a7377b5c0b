/** A curve through knots that turns only where they do. */
export interface MonotoneCurve {
  x: readonly number[];
  y: readonly number[];
  slope: readonly number[];
}

/**
 * Monotone cubic through knots (Fritsch and Carlson, SIAM J. Numer. Anal. 17, 1980, 238-246; slopes as weighted harmonic
 * means, Fritsch and Butland, SIAM J. Sci. Stat. Comput. 5, 1984, 300-304).
 *
 * @param x ascending, two or more
 */
export function monotoneCurve(x: readonly number[], y: readonly number[]): MonotoneCurve {
  const n = x.length;
  const h = Array.from({ length: n - 1 }, (_, i) => x[i + 1]! - x[i]!);
  const d = h.map((w, i) => (y[i + 1]! - y[i]!) / w);
  const slope = y.map((_, i) => {
    if (i === 0 || i === n - 1) return endSlope(h, d, i === 0);
    const [a, b] = [d[i - 1]!, d[i]!];
    if (a * b <= 0) return 0;
    const [w1, w2] = [2 * h[i]! + h[i - 1]!, h[i]! + 2 * h[i - 1]!];
    return (w1 + w2) / (w1 / a + w2 / b);
  });
  return { x, y, slope };
}

/** Three-point slope at an end, held so that the curve stays monotone there. */
function endSlope(h: readonly number[], d: readonly number[], first: boolean): number {
  const [h0, h1] = first ? [h[0]!, h[1]] : [h.at(-1)!, h.at(-2)];
  const [d0, d1] = first ? [d[0]!, d[1]] : [d.at(-1)!, d.at(-2)];
  if (h1 === undefined || d1 === undefined) return d0;
  const s = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (s * d0 <= 0) return 0;
  return d0 * d1 <= 0 && Math.abs(s) > 3 * Math.abs(d0) ? 3 * d0 : s;
}

/**
 * Value and slope at `at`; beyond the outer knots straight on. A curve that ended flat there would hold who looks for the best
 * place between a side where nothing pulls and one where it does.
 */
export function curveAt({ x, y, slope }: MonotoneCurve, at: number): { value: number; slope: number } {
  const n = x.length;
  const end = at <= x[0]! ? 0 : at >= x[n - 1]! ? n - 1 : null;
  if (end !== null) return { value: y[end]! + slope[end]! * (at - x[end]!), slope: slope[end]! };
  let i = 1;
  while (x[i]! < at) i += 1;
  const h = x[i]! - x[i - 1]!;
  const t = (at - x[i - 1]!) / h;
  const y0 = y[i - 1]!;
  const y1 = y[i]!;
  const m0 = slope[i - 1]! * h;
  const m1 = slope[i]! * h;
  const t2 = t * t;
  const t3 = t2 * t;
  return {
    value: y0 * (2 * t3 - 3 * t2 + 1) + m0 * (t3 - 2 * t2 + t) + y1 * (3 * t2 - 2 * t3) + m1 * (t3 - t2),
    slope: ((y1 - y0) * (6 * t - 6 * t2) + m0 * (3 * t2 - 4 * t + 1) + m1 * (3 * t2 - 2 * t)) / h,
  };
}
