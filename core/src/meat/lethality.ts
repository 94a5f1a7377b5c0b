import type { Species } from '../food/record';

/**
 * Lethality of heat to Salmonella: LR = integral dt/D(T) from 54.4 degC, D = D60 10^((60 - T)/z), capped at 70 degC.
 * A cautious envelope of the published time-temperature points (USDA FSIS, Appendix A form), recalled from memory.
 */
export const lethalityLaw: Record<Species, { d60S: number; zC: number; targetLog: number }> = {
  poultry: { d60S: 300, zC: 5.3, targetLog: 7 },
  red: { d60S: 117, zC: 5.556, targetLog: 6.5 },
};
const fromC = 54.4;
const capC = 70;

/** Log10 reductions per second at `tempC`. */
export function logPerS(species: Species, tempC: number): number {
  if (tempC < fromC) return 0;
  const law = lethalityLaw[species];
  return 1 / (law.d60S * 10 ** ((60 - Math.min(tempC, capC)) / law.zC));
}
