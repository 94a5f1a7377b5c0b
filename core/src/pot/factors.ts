import type { PotProfile } from './profile';

/** What sets one pot apart from the table of its kind: logarithms of what its fields are multiplied with. */
export interface PotFactors {
  /** power times efficiency */
  heat?: number;
  /** heat lost by side, fill and lid */
  loss?: number;
  /** the opening that never shuts */
  leak?: number;
  /** the opening of the quick release */
  vent?: number;
  /** the gauge pressure held */
  set?: number;
  /** heat capacity of plate, wall and lid */
  metal?: number;
  /** the opening of the float until the pin is up */
  purge?: number;
}

export const factorNames = [
  'heat',
  'loss',
  'leak',
  'vent',
  'set',
  'metal',
  'purge',
] as const satisfies readonly (keyof PotFactors)[];

/** What a pot still heats otherwise from evening to evening when it is known, ln [from memory]. */
export const eveningHeatSd = 0.03;
/** What is poured and cut is weighed and comes from the fridge otherwise from evening to evening: K of its start, ln of its mass [from memory]. */
export const eveningLoad = { startK: 4, massSd: 0.04 } as const;

/** The pot with its factors in it. */
export function withFactors(pot: PotProfile, f: PotFactors): PotProfile {
  const times = (log: number | undefined): number => Math.exp(log ?? 0);
  const [loss, metal, set] = [times(f.loss), times(f.metal), times(f.set)];
  return {
    ...pot,
    efficiency: pot.efficiency * times(f.heat),
    sideLossWPerK: pot.sideLossWPerK * loss,
    fillLossWPerK: pot.fillLossWPerK * loss,
    lidLossWPerK: pot.lidLossWPerK * loss,
    leakM2: pot.leakM2 * times(f.leak),
    quickM2: pot.quickM2 * times(f.vent),
    floatM2: pot.floatM2 * times(f.purge),
    highKpa: pot.highKpa * set,
    lowKpa: pot.lowKpa === null ? null : pot.lowKpa * set,
    baseJPerK: pot.baseJPerK * metal,
    wallJPerK: pot.wallJPerK * metal,
    lidJPerK: pot.lidJPerK * metal,
  };
}
