import type { Earlier } from '../gather/pieces';

/** The history of an earlier stage set before this one. */
export function joined(before: Float64Array | null, now: Float64Array): Float64Array {
  if (!before) return now;
  const out = new Float64Array(before.length + now.length);
  out.set(before);
  out.set(now, before.length);
  return out;
}

const restepped = new WeakMap<Float64Array, Map<number, Float64Array>>();

/** A history in steps of other seconds: the temperature that stood at each of their moments. */
function inSteps(tempC: Float64Array, fromS: number, toS: number): Float64Array {
  if (fromS === toS) return tempC;
  const known = restepped.get(tempC)?.get(toS);
  if (known) return known;
  const made = steppedAs(tempC, fromS, toS);
  restepped.set(tempC, (restepped.get(tempC) ?? new Map<number, Float64Array>()).set(toS, made));
  return made;
}

function steppedAs(tempC: Float64Array, fromS: number, toS: number): Float64Array {
  const length = Math.round((tempC.length * fromS) / toS);
  const last = tempC.length - 1;
  return Float64Array.from({ length }, (_, i) => tempC[Math.min(last, Math.floor((i * toS) / fromS))]!);
}

/** What a piece had before this lid, in steps of `dtS`; null where it had nothing. */
export function beforeThis(earlier: Earlier | null, piece: string, dtS: number): Float64Array | null {
  const tempC = earlier?.tempC.get(piece);
  return earlier && tempC ? inSteps(tempC, earlier.dtS, dtS) : null;
}
