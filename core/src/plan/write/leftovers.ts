import { usualBinder, type Binder } from '../../food/binder';
import { saturationPa } from '../../water/saturation';

/** Cooked rice or pasta in a layer [from memory; porosity 0.15 counted]. */
const cooked = { rho: 958, cpJPerKgK: 3370, kWPerMK: 0.425 };
export type Cooling = 'room' | 'fridge-open' | 'fridge-lidded' | 'ice-bath';
/** Air beside the layer, its coefficients above and below, W/m2K; open surfaces evaporate too [tuned, recalled]. */
const places: Record<Cooling, { airC: number; top: number; bottom: number; bottomC: number; open: boolean }> = {
  room: { airC: 20, top: 9.5, bottom: 7, bottomC: 20, open: true },
  'fridge-open': { airC: 3, top: 9.5, bottom: 8, bottomC: 3, open: true },
  'fridge-lidded': { airC: 3, top: 4.3, bottom: 7, bottomC: 3, open: false },
  'ice-bath': { airC: 20, top: 9.5, bottom: 290, bottomC: 0.5, open: true },
};

/** The two-stage rule of food codes, recalled: 57 to 21 degC within 2 h, then to 5 degC within 4 h more. */
export const coolingRule = { fromC: 57, middleC: 21, toC: 5, firstMin: 120, secondMin: 240 } as const;

export interface CoolingResult {
  minutesTo57: number;
  minutes57To21: number;
  /** null when it is not cold after twelve hours */
  minutes21To5: number | null;
  meetsRule: boolean;
}

/**
 * Hot spot of a layer of cooked grain, `depthMm` deep, from 85 degC: one-dimensional conduction, 12 cells, explicit, with
 * evaporation from an open surface (Lewis analogy). The sides are ignored, which is cautious.
 */
export function coolLayer(depthMm: number, how: Cooling): CoolingResult {
  const at: (number | null)[] = [null, null, null];
  const marks = [coolingRule.fromC, coolingRule.middleC, coolingRule.toC];
  hotSpot(depthMm, how, 12 * 60, (minute, hot) => {
    marks.forEach((m, i) => {
      if (hot <= m) at[i] ??= minute;
    });
    return at[2] === null;
  });
  const [a, b, d] = at;
  const first = b === null || a === null ? Infinity : b! - a!;
  const second = d === null || b === null ? null : d! - b!;
  return {
    minutesTo57: a ?? Infinity,
    minutes57To21: first,
    minutes21To5: second,
    meetsRule: first <= coolingRule.firstMin && second !== null && second <= coolingRule.secondMin,
  };
}

/** The hottest cell of the layer along the minutes, told to `see` until it says stop. */
export function hotSpot(
  depthMm: number,
  how: Cooling,
  minutes: number,
  see: (minute: number, hotC: number) => boolean,
): void {
  const p = places[how];
  const n = 12;
  const dx = depthMm / 1000 / n;
  // Explicit steps, well inside their limit of stability.
  const dt = Math.min(10, (0.4 * dx * dx * cooked.rho * cooked.cpJPerKgK) / cooked.kWPerMK);
  const c = cooked.rho * cooked.cpJPerKgK * dx;
  const g = cooked.kWPerMK / dx;
  let temp = new Float64Array(n).fill(85);
  for (let s = 0; s <= minutes * 60; s += dt) {
    const hot = temp.reduce((a, b) => Math.max(a, b), -Infinity);
    if (!see(s / 60, hot)) return;
    const surfaceC = temp[n - 1]!;
    // Vapour leaves in proportion to the pressure difference; room air at half saturation.
    const steamW = p.open
      ? 5 *
        0.01496 *
        Math.max(0, 0.97 * saturationPa(Math.max(0.1, surfaceC)) - 0.5 * saturationPa(Math.max(0.1, p.airC)))
      : 0;
    const next = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      const below = i === 0 ? series(p.bottom, 2 * g) * (p.bottomC - temp[0]!) : g * (temp[i - 1]! - temp[i]!);
      const above = i === n - 1 ? series(p.top, 2 * g) * (p.airC - surfaceC) - steamW : g * (temp[i + 1]! - temp[i]!);
      next[i] = temp[i]! + (dt * (below + above)) / c;
    }
    temp = next;
  }
}

const series = (a: number, b: number): number => 1 / (1 / a + 1 / b);

/** Deepest layer, mm, that meets the rule in this place; 0 when none does. */
export function deepestLayerMm(how: Cooling): number {
  const known = deepest.get(how);
  if (known !== undefined) return known;
  let mm = 60;
  while (mm >= 10 && !coolLayer(mm, how).meetsRule) mm -= 5;
  const found = mm >= 10 ? mm : 0;
  deepest.set(how, found);
  return found;
}
const deepest = new Map<Cooling, number>();

/** Topping by the surface, never by the batch, g/cm2, and its oven [common practice]. */
export const crust = { crumbG: 0.15, butterG: 0.11, cheeseG: 0.15, ovenC: 185, minutes: [8, 12] } as const;
export const crustFor = (areaCm2: number): { crumbG: number; butterG: number; cheeseG: number } => ({
  crumbG: crust.crumbG * areaCm2,
  butterG: crust.butterG * areaCm2,
  cheeseG: crust.cheeseG * areaCm2,
});

/**
 * Starch and cold water that bind 250 mL of a thin sauce [common practice: a tablespoon of corn starch]. Potato starch swells
 * to more of it, wheat flour is three quarters starch and binds half as well [common practice: two spoons for one].
 */
const per250Ml = { waterMl: 30, starchG: { corn: 8, potato: 6, tapioca: 8, flour: 16 } } as const;

/** Starch of this kitchen and cold water that bind a thin sauce. */
export const slurryFor = (sauceMl: number, binder: Binder = usualBinder): { starchG: number; waterMl: number } => ({
  starchG: (per250Ml.starchG[binder] * sauceMl) / 250,
  waterMl: (per250Ml.waterMl * sauceMl) / 250,
});
