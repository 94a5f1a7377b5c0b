/** The stand-in pot of the piece notes: to 100 degC in `upS`, 90 s to 116.5, hold, natural (270 s time constant) or quick. */
export function standIn(
  upS: number,
  fromC: number,
  holdS: number,
  naturalS: number,
): { tempC: Float64Array; releaseAt: number } {
  const t: number[] = [];
  for (let s = 0; s <= upS; s++) t.push(fromC + ((100 - fromC) * s) / upS);
  for (let s = 1; s <= 90; s++) t.push(100 + (16.5 * s) / 90);
  for (let s = 1; s <= holdS; s++) t.push(116.5);
  const releaseAt = t.length - 1;
  for (let s = 1; s <= naturalS; s++) t.push(100 + 16.5 * Math.exp(-s / 270));
  const top = t[t.length - 1]!;
  const ventS = Math.round((60 * (top - 100)) / 16.5);
  for (let s = 1; s <= ventS; s++) t.push(top - ((top - 100) * s) / ventS);
  return { tempC: Float64Array.from(t), releaseAt };
}

/** Compositions of the piece notes, mass fractions, and where each begins to freeze, degC. */
export const compositions = {
  chickenBreast: [{ water: 0.755, protein: 0.215, fat: 0.02, ash: 0.01 }, -1.5],
  chickenDark: [{ water: 0.745, protein: 0.19, fat: 0.055, ash: 0.01 }, -1.5],
  beefStew: [{ water: 0.71, protein: 0.2, fat: 0.08, ash: 0.01 }, -1.7],
  lamb: [{ water: 0.73, protein: 0.2, fat: 0.058, ash: 0.012 }, -1.9],
  goat: [{ water: 0.758, protein: 0.206, fat: 0.025, ash: 0.011 }, -1.9],
  shrimp: [{ water: 0.785, protein: 0.2, fat: 0.01, ash: 0.015 }, -2.2],
  potato: [{ water: 0.79, protein: 0.02, fat: 0.001, carb: 0.165, fibre: 0.014, ash: 0.01 }, -0.6],
  carrot: [{ water: 0.883, protein: 0.009, fat: 0.002, carb: 0.068, fibre: 0.028, ash: 0.01 }, -1.4],
  broccoli: [{ water: 0.893, protein: 0.028, fat: 0.004, carb: 0.04, fibre: 0.026, ash: 0.009 }, -0.6],
  egg: [{ water: 0.758, protein: 0.126, fat: 0.1, carb: 0.007, ash: 0.009 }, -0.6],
} as const;
export type Stuff = keyof typeof compositions;
