/** From evening to evening, each a standard normal; integrated out, never fitted. */
export const scatters = ['heat', 'scoop', 'jug', 'juice', 'start', 'load', 'weighed', 'speed', 'late', 'tick'] as const;
export type Scatter = (typeof scatters)[number];
/** Where a few cooks are far off: their scatter is Student-t. */
export const heavyTailed: readonly Scatter[] = ['weighed', 'tick'];

/** A standard normal, learned or not: what each is worth in an input of the forward model. */
export type Part = { key: string; by: number } | { scatter: Scatter; by: number };

/** An expected value with its slopes in the parameters of its cook and, behind them, in the scatters. */
export interface Value {
  value: number;
  slopes: number[];
}

/** The slopes of a value times a number; the value as given. */
export function scaled({ value, slopes }: Value, by: number): Value {
  const out = slopes.slice();
  for (let i = 0; i < out.length; i++) out[i]! *= by;
  return { value, slopes: out };
}

export function added(a: Value, b: Value): Value {
  const out = a.slopes.slice();
  for (let i = 0; i < out.length; i++) out[i]! += b.slopes[i]!;
  return { value: a.value + b.value, slopes: out };
}
