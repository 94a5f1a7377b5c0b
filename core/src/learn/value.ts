/** From evening to evening, each a standard normal; integrated out, never fitted. */
export const scatters = ['heat', 'scoop', 'jug', 'juice', 'start', 'load', 'weighed', 'speed', 'late', 'tick'] as const;
export type Scatter = (typeof scatters)[number];
/** Where a few cooks are far off: their scatter is Student-t. */
export const heavyTailed: readonly Scatter[] = ['weighed', 'tick'];

/** A standard normal, learned or not: what each is worth in an input of the forward model. */
export type Part = { key: string; by: number } | { scatter: Scatter; by: number };
export type Sparse = Map<string, number>;

/** An expected value with its slopes in parameters and scatters. */
export interface Value {
  value: number;
  slopes: Sparse;
  scatter: number[];
}

export const fixed = (value: number): Value => ({ value, slopes: new Map(), scatter: scatters.map(() => 0) });

export function addPart(v: Value, p: Part, slope: number): void {
  if ('key' in p) v.slopes.set(p.key, (v.slopes.get(p.key) ?? 0) + slope * p.by);
  else v.scatter[scatters.indexOf(p.scatter)]! += slope * p.by;
}

/** The slopes of a value times a number; the value as given. */
export const scaled = (v: Value, by: number): Value => ({
  value: v.value,
  slopes: new Map([...v.slopes].map(([k, s]) => [k, s * by])),
  scatter: v.scatter.map((s) => s * by),
});

export function added(a: Value, b: Value): Value {
  const slopes = new Map(a.slopes);
  for (const [k, s] of b.slopes) slopes.set(k, (slopes.get(k) ?? 0) + s);
  return { value: a.value + b.value, slopes, scatter: a.scatter.map((s, i) => s + b.scatter[i]!) };
}
