import type { WetRow } from './wet-row';

/** Beans, nuts, dried and preserved things, and what else goes in: see wet-row for the columns and their sources. */
// prettier-ignore
export const sundries: readonly WetRow[] = [
  ['beans-canned', 'other', 0.7, 0.03, 0, 0.03, 3.39, 1.08, 0.75, 0.6],
  // Hulled and split they cook to a purée in the grain's own time; whole they take a third of an hour. Both are boiled dry, as they are.
  ['lentils-split', 'other', 0.1, 0, -1.9, 0.2, 1.77, 1.35, 0.8, 0.02, undefined, ['foams']],
  ['lentils-whole', 'other', 0.1, 0, -1.5, 0.2, 1.77, 1.35, 0.8, 0.02, undefined, ['foams']],
  ['dried-fruit', 'other', 0.15, 0, -0.3, 0.1, 1.91, 1.35, 0.63, 0.05],
  ['nuts', 'other', 0.04, 0, 0, 0, 1.9, 1.05, 0.5, 0, undefined, ['crisp']],
  ['breadcrumbs', 'other', 0.07, 0, 0, 0, 1.8, 0.9, 0.42, 1.3, undefined, ['crisp']],
  ['olives', 'other', 0.78, 0.02, 0.02, 0.03, 3.5, 1.02, 0.57, 3.5, 4],
  ['capers', 'other', 0.84, 0.05, 0.05, 0.05, 3.7, 1.05, 0.58, 6],
  ['peanut-butter', 'other', 0.02, 0, 0, 0.02, 1.9, 1.08, 1.08, 1, undefined, ['thick']],
  ['tofu', 'other', 0.82, 0.02, 0.05, 0.05, 3.6, 1.05, 0.9, 0.02, 400],
  ['coconut-dried', 'other', 0.03, 0, -0.2, 0.1, 1.97, 1.1, 0.35, 0.04],
  ['chestnuts', 'other', 0.5, 0, 0, 0.05, 3.04, 1.05, 0.6, 0, 10],
  ['croutons', 'other', 0.05, 0, 0, 0, 2.01, 0.8, 0.15, 1.5, undefined, ['crisp']],
  ['crackers', 'other', 0.04, 0, 0, 0, 1.99, 0.8, 0.3, 2, 4, ['crisp']],
  ['tortilla-chips', 'other', 0.02, 0, 0, 0, 1.95, 0.8, 0.12, 1, undefined, ['crisp']],
  ['refried-beans', 'other', 0.76, 0.05, 0, 0.05, 3.63, 1.06, 1.06, 0.9, undefined, ['thick']],
  ['baked-beans', 'other', 0.72, 0.1, 0, 0.06, 3.54, 1.06, 1.06, 0.8, undefined, ['thick', 'sugary', 'tomato']],
  ['tempeh', 'other', 0.6, 0, 0.02, 0.04, 3.27, 1.05, 0.7, 0.02, 200],
  ['seitan', 'other', 0.6, 0, 0.03, 0.05, 3.27, 1.05, 0.65, 1.2],
  ['soy-mince', 'other', 0.07, 0, -1.8, 0.4, 2.06, 1.2, 0.3, 0.05],
  ['gnocchi', 'other', 0.55, 0, 0, 0.04, 3.15, 1.1, 0.65, 1, 4],
  ['tuna-canned', 'other', 0.71, 0.1, 0.02, 0.05, 3.52, 1.05, 0.65, 0.9, undefined, ['delicate']],
  ['anchovy', 'other', 0.5, 0, 0, 0.05, 3.04, 1.1, 0.9, 12, 4],
  ['gherkin', 'other', 0.93, 0.1, 0.1, 0.08, 4.02, 1, 0.6, 2, 15, ['delicate']],
  ['roasted-pepper', 'other', 0.92, 0.08, 0.1, 0.08, 4, 1, 0.75, 0.8, 70],
];
