import type { GrainRecord } from '../food/record';
import { moistureAfter, uptakeGPerG } from './uptake';

/*
 * The water sum and the doneness clock in closed form, without a simulated pot: for first guesses, for "level with the
 * pasta", and as the yardstick that the simulation is checked against. Heat capacities kJ/(kg K), latent heat kJ/kg
 * [derived]; steam and film by pot [common practice].
 */
const grainCp = 1.6;
const waterCp = 4.2;
const clingCp = 4.18;
const pot = { heatKjPerK: 0.45, steamG: 15, openG: 10, filmG: 8 };
const latentKjPerKg = 2230;
const solidGPerMl = 1.45;

/** Steam that flashes off when the lid opens at `releaseC`, g. */
const flashG = (heatKjPerK: number, releaseC: number): number =>
  ((heatKjPerK * (releaseC - 100)) / latentKjPerKg) * 1000;

/** Grams lost in a sealed electric pot: steam on the way, on opening, flash and film. */
export function closedLossesG(rawG: number, clingG: number, liquidG: number, releaseC: number): number {
  const heat = pot.heatKjPerK + (rawG * grainCp + clingG * clingCp + liquidG * waterCp) / 1000;
  return pot.steamG + pot.openG + pot.filmG + flashG(heat, releaseC);
}

/** Moisture (wet basis) if the grain drinks everything that is left. */
export function closedMoisture(
  g: GrainRecord,
  { rawG, clingG, liquidG }: { rawG: number; clingG: number; liquidG: number },
  releaseC: number,
): number {
  const available = liquidG + clingG - closedLossesG(rawG, clingG, liquidG, releaseC);
  return moistureAfter(g.rawMoisture[0], available / rawG);
}

/** Water to add, g, that brings grain with `clingG` of water on it to `moisture` in a sealed electric pot: W = (U* - A) / (1 - cp dT / L). */
export function closedLiquidG(
  g: GrainRecord,
  { rawG, clingG, moisture }: { rawG: number; clingG: number; moisture: number },
  releaseC: number,
): number {
  const without = clingG - closedLossesG(rawG, clingG, 0, releaseC);
  return (
    (rawG * uptakeGPerG(g.rawMoisture[0], moisture) - without) / (1 - (clingCp * (releaseC - 100)) / latentKjPerKg)
  );
}

/** Liquid that stands just level with dry pasta, g: the room between the pieces. */
export const levelLiquidG = (rawG: number, bulkGPerMl: number): number => rawG * (1 / bulkGPerMl - 1 / solidGPerMl);

/** Constants of the simple heat-up and release for white and parboiled rice [derived]. */
const react = { approach: 0.153, toTop: 1.71, hold: 2.36925, natural1: 2.22, natural2: 0.057, upMin: 8, topMin: 1.5 };

/** Hold, minutes, that gives white rice `equivalentMin` with a natural release of `naturalMin` (12 min at most). */
export const closedHoldMin = (equivalentMin: number, naturalMin: number): number =>
  (equivalentMin -
    react.approach * (react.upMin - react.topMin) -
    react.toTop * (react.topMin + 1) -
    react.natural1 * naturalMin +
    react.natural2 * naturalMin ** 2) /
  react.hold;
