import type { PotRun, Release } from '../../pot/program';
import type { Term } from '../../reasoned';
import type { Chance } from './chance';
import type { PlantVerdict } from '../document/verdicts';
import type { Heated } from '../simulate/heated';
import type { MeatRun } from '../simulate/meat';
import type { GrainOutcome } from '../simulate/outcome';

/** One simulated cook: a program on a heated pot, what it did to the dish, and the verdicts on it. */
export interface Run {
  h: Heated;
  holdMin: number;
  release: Release;
  potRun: PotRun;
  /** liquid that was reckoned with, mL */
  addMl: number;
  /** temperatures of the starch along the run; none in a dish without one */
  temps?: Float64Array;
  /** minutes at 100 degC of the starch; 0 without one */
  equivalentMin: number;
  naturalMin: number;
  /** what the starch came to be; null in a dish without one */
  outcome: GrainOutcome | null;
  meats: MeatRun[];
  plants: PlantVerdict[];
  meatOk: boolean;
  chance: Chance;
  /** what no cook may be sent into: a pot that never seals or boils dry, meat under its minimum */
  stops: number;
  /** points: a hundred times the chance, less what waiting and eating cost */
  score: number;
  terms: Term[];
}
