/** Equivalent minutes at 116.5 degC of collagen melting and overcooking; Ea 85 kJ/mol, 0 below 60 degC [tuned]. */
export function overcookRate(tempC: number): number {
  return tempC < 60 ? 0 : Math.exp((-85 / 8.314e-3) * (1 / (tempC + 273.15) - 1 / 389.65));
}

/** Equivalent minutes at 100 degC of plants going soft; z 22 K, 0 below 65 degC [tuned]. */
export const softeningRate = (tempC: number): number => (tempC < 65 ? 0 : 10 ** ((tempC - 100) / 22));

/** Cooking loss a cell tends to, mass share [tuned to common practice; +-6 points]. */
export const equilibriumLoss = (tempC: number): number => 0.36 / (1 + Math.exp(-0.12 * (tempC - 72)));
export const lossTimeS = 600;

/** Verdict thresholds, equivalent minutes in the mean [tuned, +-30 % on times; fish a guess]. */
export const thresholds = {
  white: { juicy: 8.5, firm: 13 },
  fish: { juicy: 2, firm: 4 },
  shrimp: { juicy: 1, firm: 2 },
  fallingApart: 30,
  /** yolk and white are firm from here, degC */
  eggHardC: 77,
} as const;
