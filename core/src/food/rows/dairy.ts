import type { WetRow } from './wet-row';

/** Milk, cream and cheese: see wet-row for the columns and their sources. */
// prettier-ignore
export const dairy: readonly WetRow[] = [
  ['milk', 'dairy', 0.88, 0.88, 0, 0.01, 3.88, 1.03, 1.03, 0.1, undefined, ['curdles', 'foams']],
  ['cream-heavy', 'dairy', 0.577, 0.577, 0, 0.02, 3.06, 1.0, 1.0, 0.08],
  ['yogurt', 'dairy', 0.88, 0.6, 0.15, 0.1, 3.88, 1.03, 1.03, 0.1, undefined, ['curdles']],
  ['cheese-hard', 'dairy', 0.37, 0, 0, 0.05, 2.5, 1.1, 0.42, 1.7, undefined, ['delicate']],
  ['cheese-soft', 'dairy', 0.5, 0, 0.05, 0.05, 3.0, 1.05, 0.95, 0.9, undefined, ['curdles']],
  ['cream-cheese', 'dairy', 0.54, 0, 0, 0.05, 3.1, 1.0, 1.0, 0.8, undefined, ['curdles']],
  ['milk-evaporated', 'dairy', 0.74, 0.74, 0, 0.02, 3.5, 1.07, 1.07, 0.27, undefined, ['curdles', 'foams']],
  ['milk-condensed', 'dairy', 0.27, 0.2, 0, 0.03, 2.3, 1.3, 1.3, 0.3, undefined, ['curdles', 'sugary', 'thick']],
  // Cream soup as it is sold to be thinned: bound with flour already, it is stirred in at the end.
  ['soup-condensed', 'dairy', 0.81, 0.5, 0, 0.05, 3.7, 1.05, 1.05, 2, undefined, ['curdles', 'thick']],
  ['cream-sour', 'dairy', 0.73, 0.5, 0, 0.05, 3.5, 0.97, 0.97, 0.1, undefined, ['curdles']],
  ['cream-single', 'dairy', 0.74, 0.74, 0, 0.02, 3.59, 1.01, 1.01, 0.1, undefined, ['curdles']],
  ['buttermilk', 'dairy', 0.9, 0.9, 0, 0.02, 3.95, 1.03, 1.03, 0.2, undefined, ['curdles']],
  ['paneer', 'dairy', 0.53, 0, 0.03, 0.05, 3.11, 1.08, 0.6, 0.1],
];
