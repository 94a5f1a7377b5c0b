import type { Species } from '../food/record';

interface Law {
  d60S: number;
  zC: number;
  /** log10 reductions that a statement of "safe" needs as well as the minimum temperature */
  targetLog: number;
}
const red: Law = { d60S: 117, zC: 5.556, targetLog: 6.5 };
/** What lives on fish and shellfish dies sooner than this; the time at the minimum temperature is indicative only. */
const indicative: Law = { ...red, targetLog: 0 };

/**
 * Lethality of heat to Salmonella: LR = integral dt/D(T) from 54.4 degC, D = D60 10^((60 - T)/z), capped at 70 degC.
 * Poultry and red meat: a cautious envelope of the time-temperature tables of a public authority (Appendix A form),
 * recalled from memory. Game follows red meat; of fish, shellfish and egg only the temperature is judged [from memory].
 */
export const lethalityLaw: Record<Species, Law> = {
  poultry: { d60S: 300, zC: 5.3, targetLog: 7 },
  red,
  game: red,
  fish: indicative,
  shellfish: indicative,
  egg: indicative,
};
const fromC = 54.4;
const capC = 70;

/** Log10 reductions per second at `tempC`. */
export function logPerS(species: Species, tempC: number): number {
  if (tempC < fromC) return 0;
  const law = lethalityLaw[species];
  return 1 / (law.d60S * 10 ** ((60 - Math.min(tempC, capC)) / law.zC));
}
