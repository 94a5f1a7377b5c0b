import type { History } from '../history';

/** A thin steel bowl, covered, 16 cm across [recalled; wall stainless 0.6 mm]. */
export const bowl = { diameterM: 0.16, wallM: 0.0006, wallWPerMK: 16, wallKgPerM3: 7900, wallJPerKgK: 500 } as const;
/** Surface coefficients, W/m2K [tuned to one fact: 4 to 6 min longer than without the bowl]. */
const outer = { low: 40, high: 1000, fromC: 85, toC: 100 };
const inner = { free: 500, gel: 250, fromC: 75, minutes: 6 };
/** Water in the bowl cannot stay further above a falling pot than this, K [tuned]. */
const flashK = 3;

/** Litres of grain and water in the bowl, and what the bowl holds when two thirds full is the limit. */
export const bowlLitres = (rawG: number, waterG: number): number => rawG / 1450 + waterG / 998;
export const bowlCapacityLitres = 1.8;

/**
 * Temperature in an inner bowl on a trivet, degC at every sample of the pot's history:
 * C dTb/dt = UA (Tpot - Tb), UA = A / (1/ho + wall + 1/hi). Lumped; found to agree with the tabulated time constants.
 */
export function bowlHistory(history: History, rawG: number, waterG: number, startC: number): History {
  const base = (Math.PI / 4) * bowl.diameterM ** 2;
  const z = bowlLitres(rawG, waterG) / 1000 / base;
  const area = base + Math.PI * bowl.diameterM * z;
  const heatJPerK = 1.75 * rawG + 4.18 * waterG + area * bowl.wallM * bowl.wallKgPerM3 * bowl.wallJPerKgK;
  const tempC = new Float64Array(history.tempC.length);
  let t = startC;
  let warmS = 0;
  for (let i = 0; i < tempC.length; i++) {
    const pot = history.tempC[i]!;
    const ramp = Math.min(1, Math.max(0, (pot - outer.fromC) / (outer.toC - outer.fromC)));
    const ho = outer.low + (outer.high - outer.low) * ramp;
    if (t > inner.fromC) warmS += history.dtS;
    const hi = inner.free - (inner.free - inner.gel) * Math.min(1, warmS / 60 / inner.minutes);
    const ua = area / (1 / ho + bowl.wallM / bowl.wallWPerMK + 1 / hi);
    t += (pot - t) * (1 - Math.exp((-ua * history.dtS) / heatJPerK));
    if (i > history.releaseAt && t > pot + flashK) t = pot + flashK;
    tempC[i] = t;
  }
  return { ...history, tempC };
}
