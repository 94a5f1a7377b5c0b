/**
 * The first whole number from `from` to `to` at which something holds that holds from there on, by bisection; `to` where it
 * holds nowhere before. `to` itself is not asked.
 */
export function firstWhole(from: number, to: number, holds: (n: number) => boolean): number {
  let low = Math.min(from, to);
  let high = to;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (holds(mid)) high = mid;
    else low = mid + 1;
  }
  return low;
}

/** The last whole number from `from` to `to` at which something holds that holds up to there; `from` itself is not asked. */
export const lastWhole = (from: number, to: number, holds: (n: number) => boolean): number =>
  firstWhole(from + 1, to + 1, (n) => !holds(n)) - 1;

/** How narrow a turn is looked for: the width of the interval, and the most halvings. */
export interface Narrow {
  within?: number;
  steps?: number;
}

/**
 * The interval in which something begins to hold between two numbers, by halving: at `low` it does not yet, at `high` it
 * does, both taken on trust. `near` ends the search at that very number.
 */
export function turnBetween(
  low: number,
  high: number,
  holds: (x: number) => boolean | 'near',
  { within = 0, steps = 60 }: Narrow = {},
): { low: number; high: number } {
  for (let i = 0; i < steps && high - low > within; i++) {
    const mid = (low + high) / 2;
    const is = holds(mid);
    if (is === 'near') return { low: mid, high: mid };
    if (is) high = mid;
    else low = mid;
  }
  return { low, high };
}
