/** A curve by its points, read between them in straight lines and held at its ends. `xs` grows. */
export function interpolated(xs: ArrayLike<number>, ys: ArrayLike<number>, x: number): number {
  const last = xs.length - 1;
  if (!(x > xs[0]!)) return ys[0]!;
  if (!(x < xs[last]!)) return ys[last]!;
  let i = 1;
  while (xs[i]! < x) i += 1;
  const share = (x - xs[i - 1]!) / (xs[i]! - xs[i - 1]!);
  return ys[i - 1]! + share * (ys[i]! - ys[i - 1]!);
}
