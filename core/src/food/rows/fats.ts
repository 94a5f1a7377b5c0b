import type { WetRow } from './wet-row';

/** Fats and oils: see wet-row for the columns and their sources. */
// prettier-ignore
export const fats: readonly WetRow[] = [
  ['oil-olive', 'fat', 0, 0, 0, 0, 1.97, 0.915, 0.915, 0],
  ['oil-neutral', 'fat', 0, 0, 0, 0, 1.97, 0.92, 0.92, 0],
  ['butter', 'fat', 0.16, 0, 0, 0.02, 2.3, 0.911, 0.95, 1.2],
  ['ghee', 'fat', 0, 0, 0, 0, 1.97, 0.91, 0.91, 0],
  ['lard', 'fat', 0, 0, 0, 0, 1.9, 0.92, 0.92, 0],
  ['oil-sesame', 'fat', 0, 0, 0, 0, 1.9, 0.92, 0.92, 0],
  ['oil-chili', 'fat', 0.02, 0, 0, 0.02, 1.95, 0.93, 0.93, 1],
];
