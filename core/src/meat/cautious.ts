import { foodWPerMK, surfaceSlowing, type Placement } from '../water/surface';
import type { Variation } from './piece';

/** One standard deviation of what a cook's word leaves open: factors as shares, the start in K [derived; heat-up common practice]. */
export const pieceSd = { thickness: 0.08, surface: 0.25, startK: 3, heatUp: 0.1 } as const;
/**
 * Safety is judged at the 95th percentile: 1.645 of a straight law, and a little more for the bend of the real one, so that
 * it is not warmer than the 95th of a hundred drawn pieces by more than 1 K [derived].
 */
export const cautiousSd = 1.75;
/** A thickness that nobody measured may be so much more [common practice]. */
export const guessedThicker = 1.15;
/** Surroundings and aim that stand for any cook when the four spreads are weighed against each other, degC. */
const typical = { envC: 110, startC: 4, aimC: 74 };
/** Of the heat-up so much counts as warming of a piece [derived]. */
const heatUpWeight = 0.4;
/** A piece is through in about this many of its conduction times L2/a [derived: slab, theta 0.35]. */
const throughTimes = 0.52;
/** On the bed one face is weak: the surface counts for more [derived]. */
const bedSlowing = 1.25;
const diffusivityM2PerS = 1.35e-7;

/**
 * The combination of thickness, surface, start temperature and heat-up that stands for the 95th percentile of the coldest
 * core: the point of that probability on the steepest way through the four spreads together (first-order reliability),
 * not all four at their worst at once. The slopes are those of the time a slab needs,
 * t ~ L2 (1 + 2.24 k / (h L)) ln((Tenv - T0) / (Tenv - Taim)).
 *
 * @param halfM half of the smallest size, m
 * @param heatUpS from the locked lid to the countdown, s
 */
export function cautiousVariation(halfM: number, place: Placement, heatUpS: number, guessed: boolean): Variation {
  const slowing = surfaceSlowing(place, typical.envC, halfM / foodWPerMK) * (place === 'grains' ? bedSlowing : 1);
  const surfaceShare = (slowing - 1) / slowing;
  const log = Math.log((typical.envC - typical.startC) / (typical.envC - typical.aimC));
  const throughS = (throughTimes * halfM * halfM * slowing) / diffusivityM2PerS;
  const slope = {
    thickness: pieceSd.thickness * (2 - surfaceShare),
    surface: pieceSd.surface * surfaceShare,
    startK: pieceSd.startK / ((typical.envC - typical.startC) * log),
    heatUp: (pieceSd.heatUp * heatUpWeight * heatUpS) / (throughS + heatUpWeight * heatUpS),
  };
  const norm = Math.hypot(slope.thickness, slope.surface, slope.startK, slope.heatUp) / cautiousSd;
  return {
    thickness: (1 + (pieceSd.thickness * slope.thickness) / norm) * (guessed ? guessedThicker : 1),
    surface: Math.exp((-pieceSd.surface * slope.surface) / norm),
    startK: (-pieceSd.startK * slope.startK) / norm,
    heatUp: Math.exp((-pieceSd.heatUp * slope.heatUp) / norm),
  };
}
