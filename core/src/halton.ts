/** Bases of Halton's sequence, one for each dimension. */
export const primes = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53];

/** The n-th point of Halton's sequence in a base, turned round the unit circle by the seed. */
export function halton(n: number, base: number, seed: number): number {
  let f = 1;
  let r = 0;
  for (let i = n; i > 0; i = Math.floor(i / base)) {
    f /= base;
    r += f * (i % base);
  }
  return (r + ((seed * 0.6180339887498949) % 1)) % 1;
}
