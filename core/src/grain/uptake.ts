/** Water a grain takes up from `raw` to `target` moisture (wet basis), g per g raw: mass balance. */
export const uptakeGPerG = (raw: number, target: number): number => (target - raw) / (1 - target);

/** Moisture (wet basis) after an uptake in g per g raw. Inverse of `uptakeGPerG`. */
export const moistureAfter = (raw: number, uptake: number): number => (raw + uptake) / (1 + uptake);

/** First-order soak towards a ceiling: ceiling, rate at 25 degC per minute [derived, research recalled]. */
const soakLaw = { white: { ceiling: 0.29, perMin: 0.09 }, bran: { ceiling: 0.33, perMin: 0.012 } };
const soakKjPerMol = 25;

/** Water taken up in a soak, g per g raw. */
export function soakGPerG(raw: number, bran: boolean, minutes: number, waterC = 25): number {
  if (minutes <= 0) return 0;
  const law = bran ? soakLaw.bran : soakLaw.white;
  const k = law.perMin * Math.exp((-soakKjPerMol / 8.314e-3) * (1 / (waterC + 273.15) - 1 / 298.15));
  const moisture = law.ceiling - (law.ceiling - raw) * Math.exp(-k * minutes);
  return uptakeGPerG(raw, moisture);
}

/** A soaked grain holds less water on its surface [common practice]. */
export const clingAfterSoak = 0.7;
