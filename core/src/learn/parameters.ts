import { eveningHeatSd, eveningLoad } from '../pot/factors';
import type { PotProfile } from '../pot/profile';
import type { Kinetics } from '../food/record';

/*
 * What a log can teach. Every parameter is fitted as z, a standard normal: one prior standard deviation is 1. Its value is
 * mean + sd z; multipliers are kept as their logarithm (`ln`). The means and spreads before any cook are from memory, but
 * for the scatter of taps [derived: simulated households, bench/learn].
 */

export type ParameterUnit = 'ln' | 'min' | 'sd' | 'step';
export interface Parameter {
  unit: ParameterUnit;
  mean: number;
  sd: number;
}

/** Of a pot: what each multiplies is named in pot/factors; `scorch` multiplies the odds that its base catches. */
export const potParameters = ['heat', 'loss', 'leak', 'vent', 'set', 'metal', 'purge', 'sense', 'scorch'] as const;
export type PotParameter = (typeof potParameters)[number];

const ln = (sd: number): Parameter => ({ unit: 'ln', mean: 0, sd });
const steps = (sd: number): Parameter => ({ unit: 'step', mean: 0, sd });

const ofPot: Record<PotParameter, Parameter> = {
  heat: ln(0.15),
  loss: ln(0.25),
  leak: ln(0.8),
  vent: ln(0.3),
  set: ln(0.06),
  metal: ln(0.12),
  purge: ln(0.1),
  sense: { unit: 'min', mean: 0, sd: 0.25 },
  scorch: ln(0.7),
};
/** A flame is what its ring and its draught make of it. */
const flameHeatSd = 0.25;

export const potParameter = (pot: Pick<PotProfile, 'kind'>, name: PotParameter): Parameter =>
  name === 'heat' && pot.kind !== 'electric' ? ln(flameHeatSd) : ofPot[name];

/** Of the household: hands, taste and the three classes of grain. */
export const cookParameters = {
  scoop: ln(0.07),
  jug: ln(0.03),
  juice: { unit: 'sd', mean: 0, sd: 1 },
  tap: { unit: 'min', mean: 0.12, sd: 0.1 },
  late: { unit: 'min', mean: 0.7, sd: 0.35 },
  like: steps(0.35),
  'like:react': steps(0.25),
  'like:diff': steps(0.25),
  'like:pasta': steps(0.35),
  sauce: steps(0.5),
  salt: steps(0.7),
  'speed:react': ln(0.06),
  'speed:diff': ln(0.06),
  'speed:pasta': ln(0.06),
} as const satisfies Record<string, Parameter>;
export type CookParameter = keyof typeof cookParameters;

/** Of one grain or pasta as it stands in this kitchen: this packet. */
export const grainParameters = { shift: steps(0.3), speed: ln(0.07) } as const;
export type GrainParameter = keyof typeof grainParameters;

export const classSpeed = (k: Kinetics): CookParameter => `speed:${k}`;
export const classLike = (k: Kinetics): CookParameter => `like:${k}`;

/** From evening to evening; nobody can learn it: it is integrated out. */
export const scatterSd = {
  heat: eveningHeatSd,
  flameHeat: 0.08,
  startK: eveningLoad.startK,
  load: eveningLoad.massSd,
  scoop: 0.025,
  jug: 0.02,
  speed: 0.03,
  lateMin: 0.3,
  /** the whole dish weighed wrong: seldom, and then far (Student-t) */
  weighed: 0.02,
  /** the lid's own mood, min (Student-t) */
  tickMin: 0.2,
} as const;
/** Of the juice of a food only this share of the variance is the household's; the rest is the piece's own. */
export const juiceCommon = 0.7;

/** What is written down, one standard deviation. */
export const observedSd = { tapMin: 0.3, stillUpMin: 0.5, gaugeKpa: 2, steamG: 5, ratingSteps: 0.6 } as const;
/** Degrees of freedom: taps of a busy hand, and what seldom goes far wrong. */
export const degreesOfFreedom = { tap: 4, seldom: 3 } as const;

export const potKey = (potId: string, name: PotParameter): string => `pot/${potId}/${name}`;
export const cookKey = (name: CookParameter): string => `cook/${name}`;
export const grainKey = (food: string, name: GrainParameter): string => `grain/${food}/${name}`;
