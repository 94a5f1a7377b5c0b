/** Equivalent minutes at 116.5 degC of collagen melting and overcooking; Ea 85 kJ/mol, 0 below 60 degC [tuned]. */
export function overcookRate(tempC: number): number {
  return tempC < 60 ? 0 : Math.exp((-85 / 8.314e-3) * (1 / (tempC + 273.15) - 1 / 389.65));
}

/** Cooking loss a cell tends to, mass share [tuned to common practice; +-6 points]. */
export const equilibriumLoss = (tempC: number): number => 0.36 / (1 + Math.exp(-0.12 * (tempC - 72)));
export const lossTimeS = 600;

/** Verdict thresholds, equivalent minutes [tuned, +-30 % on times]. */
export const thresholds = {
  white: { juicy: 8.5, firm: 13 },
  dark: { tender: 2, fallingApart: 30 },
} as const;
