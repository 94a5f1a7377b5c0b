/** What a piece lies in: under the liquid, in the steam, or on a bed of grain. */
export type Placement = 'liquid' | 'steam' | 'grains';

const { min, max } = Math;
/** From `low` to `high` while x goes from `from` to `to`, level outside. */
const ramp = (x: number, [from, to]: readonly [number, number], [low, high]: readonly [number, number]): number =>
  low + (high - low) * min(1, max(0, (x - from) / (to - from)));

/** Surface coefficient by placement, W/m2K, at the temperature around: a ramp while air is still in the pot [tuned]. */
export const surfaceWPerM2K = (place: Placement, envC: number): number =>
  place === 'liquid' ? ramp(envC, [90, 100], [300, 1000]) : ramp(envC, [85, 100], [40, 700]);

/** Conductivity of wet food, W/mK, and what the half thickness over it costs: first eigenvalue of a slab, fitted [derived]. */
export const foodWPerMK = 0.48;
const biotSlowing = 2.24;

/**
 * How much longer than with a perfect surface a piece takes, times. The first eigenvalue of a slab at Biot number Bi
 * behaves like 1 / (1 + 2.24 / Bi), within 3 % for Bi over 1.
 *
 * @param lOverK half thickness over conductivity, m2K/W
 */
export const surfaceSlowing = (place: Placement, envC: number, lOverK: number): number =>
  1 + biotSlowing / (surfaceWPerM2K(place, envC) * lOverK);
