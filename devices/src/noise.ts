/** A seeded stream of numbers in [0, 1): mulberry32, so that a cooker behaves the same again. */
export function stream(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A number around 0 with a standard deviation of 1 (sum of six uniform ones; never beyond 4.3). */
export const bell = (next: () => number): number =>
  (next() + next() + next() + next() + next() + next() - 3) * Math.SQRT2;
