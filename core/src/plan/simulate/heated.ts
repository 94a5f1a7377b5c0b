import type { Texture } from '../../grain/texture';
import { HeatedPot } from '../../pot/cook';
import { baseAreaCm2 } from '../../pot/profile';
import { geometryOf } from '../setup/bounds';
import { depthCm, loadOf } from '../setup/load';
import type { Earlier } from '../gather/pieces';
import { scorchRisk, type ScorchRisk } from './scorch';
import { beforeOf, type Setup } from '../setup/setup';
import { Ways } from './ways';

/** A setup brought to pressure with so much liquid: what every pair of hold and release is tried on. */
export interface Heated {
  setup: Setup;
  heated: HeatedPot;
  addMl: number;
  texture: Texture;
  depthCm: number;
  /** how full the pot is, 0..1 */
  fill: number;
  /** what speaks for a scorched base, and its chance */
  scorch: ScorchRisk;
  /** snapshots of the pieces on the way up and through the hold */
  ways: Ways;
}

/** What the pieces of a heated pot are followed with: where they lie, and what they had before. */
export const piecesOf = ({ setup, depthCm }: Heated): { depthCm: number; earlier: Earlier | null } => ({
  depthCm,
  earlier: beforeOf(setup)?.earlier ?? null,
});

/** From here on the plate works against what lies on it, degC [common practice]. */
const hotFromC = 80;

/** A heat-up: the liquid, the pressure set, the texture wished for, and the step of the model, s. */
export interface HeatUp {
  addMl: number;
  pressure: 'high' | 'low';
  texture?: Texture;
  dtS?: number;
}

/** Heats the pot with `addMl` of liquid in it (in a pot-in-pot dish: in the inner bowl). */
export function heat(setup: Setup, { addMl, pressure, texture = 'fluffy', dtS = 1 }: HeatUp): Heated {
  const { g, pot, kitchen } = setup;
  const load = loadOf(setup, addMl, beforeOf(setup));
  const heated = new HeatedPot({ pot, altitudeM: kitchen.altitudeM }, load, pressure, dtS);
  const geo = geometryOf(setup, addMl);
  return {
    setup,
    heated,
    addMl,
    texture,
    depthCm: depthCm(g, load, baseAreaCm2(pot)),
    fill: geo.fillFraction,
    scorch: scorchRisk(g, pot, geo, heated.minutesFrom(hotFromC)),
    ways: new Ways(),
  };
}
