import type { History } from '../history';

/** A bowl that stands over the water, covered: its inside, and what its wall is made of. */
export interface InnerBowl {
  diameterMm: number;
  heightMm: number;
  wall: 'steel' | 'glass';
}
/** Thin stainless steel [recalled]; borosilicate glass of a kitchen bowl [published: handbook values; thickness common practice]. */
const walls = {
  steel: { thickM: 0.0006, wPerMK: 16, kgPerM3: 7900, jPerKgK: 500 },
  glass: { thickM: 0.005, wPerMK: 1.14, kgPerM3: 2230, jPerKgK: 830 },
} as const;
/** Where the cook names none: thin steel, 16 cm across, 1.8 L [recalled]. */
export const usualBowl: InnerBowl = { diameterMm: 160, heightMm: 1.8e6 / ((Math.PI / 4) * 160 ** 2), wall: 'steel' };
/** Clearance of its trivet, where no rack is told of, mm [common practice]. */
export const trivetMm = 15;

export const bowlAreaCm2 = ({ diameterMm }: InnerBowl): number => (Math.PI / 4) * (diameterMm / 10) ** 2;
/** What it holds to the brim, L; two thirds of that is the limit. */
export const bowlCapacityLitres = (bowl: InnerBowl): number => (bowlAreaCm2(bowl) * bowl.heightMm) / 1e4;

/** Surface coefficients, W/m2K [tuned to one fact: 4 to 6 min longer than without the bowl]. */
const outer = { low: 40, high: 1000, fromC: 85, toC: 100 };
const inner = { free: 500, gel: 250, fromC: 75, minutes: 6 };
/** Water in the bowl cannot stay further above a falling pot than this, K [tuned]. */
const flashK = 3;

/** Litres of grain and water in the bowl. */
export const bowlLitres = (rawG: number, waterG: number): number => rawG / 1450 + waterG / 998;

/**
 * Temperature in an inner bowl on a trivet, degC at every sample of the pot's history:
 * C dTb/dt = UA (Tpot - Tb), UA = A / (1/ho + wall + 1/hi). Lumped; found to agree with the tabulated time constants.
 */
export function bowlHistory(
  history: History,
  { rawG, waterG, startC }: { rawG: number; waterG: number; startC: number },
  bowl: InnerBowl = usualBowl,
): History {
  const wall = walls[bowl.wall];
  const diameterM = bowl.diameterMm / 1000;
  const base = (Math.PI / 4) * diameterM ** 2;
  const z = bowlLitres(rawG, waterG) / 1000 / base;
  const area = base + Math.PI * diameterM * z;
  const heatJPerK = 1.75 * rawG + 4.18 * waterG + area * wall.thickM * wall.kgPerM3 * wall.jPerKgK;
  const tempC = new Float64Array(history.tempC.length);
  let t = startC;
  let warmS = 0;
  for (let i = 0; i < tempC.length; i++) {
    const pot = history.tempC[i]!;
    const ramp = Math.min(1, Math.max(0, (pot - outer.fromC) / (outer.toC - outer.fromC)));
    const ho = outer.low + (outer.high - outer.low) * ramp;
    if (t > inner.fromC) warmS += history.dtS;
    const hi = inner.free - (inner.free - inner.gel) * Math.min(1, warmS / 60 / inner.minutes);
    const ua = area / (1 / ho + wall.thickM / wall.wPerMK + 1 / hi);
    t += (pot - t) * (1 - Math.exp((-ua * history.dtS) / heatJPerK));
    if (i > history.releaseAt && t > pot + flashK) t = pot + flashK;
    tempC[i] = t;
  }
  return { ...history, tempC };
}
