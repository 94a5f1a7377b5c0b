import type { SourceCode } from '../source';
import type { FoodFlag, FoodRecord, MeatRecord, Species } from './record';

/*
 * Meats. Composition: typical raw, public tables from memory (M). Juice released: derived (D) for a 4 to 12 min
 * pressure cook from raw, small pieces. Minimum temperatures: public guidance of food-safety authorities, recalled
 * from memory: the interface says so, and the cook's own authority decides.
 */
type Row = readonly [
  id: string,
  composition: MeatRecord['composition'],
  freezeC: number,
  species: Species,
  cut: MeatRecord['cut'],
  safeMinimumC: number,
  released: number,
  releaseSd: number,
  salt: number,
  pieceG: number,
  thicknessMm: number,
  flags: readonly FoodFlag[],
  tenderCoreMin?: number,
];

// prettier-ignore
const rows: readonly Row[] = [
  ['chicken-breast', [0.755, 0.215, 0.02, 0.01], -1.5, 'poultry', 'white', 74, 0.19, 0.05, 0.15, 190, 25, []],
  ['chicken-thigh', [0.745, 0.19, 0.055, 0.01], -1.5, 'poultry', 'dark', 74, 0.17, 0.05, 0.2, 110, 22, [], 2],
  ['chicken-drumstick', [0.745, 0.19, 0.055, 0.01], -1.5, 'poultry', 'dark', 74, 0.11, 0.04, 0.2, 110, 45, [], 2],
  // On its bone a thigh is a thick roll around it, and its meat is reached from outside only.
  ['chicken-thigh-bone', [0.745, 0.19, 0.055, 0.01], -1.5, 'poultry', 'dark', 74, 0.13, 0.04, 0.2, 180, 42, [], 2],
  // Half a breast on its bone is a good deal thicker than the fillet that is cut from it.
  ['chicken-breast-bone', [0.75, 0.205, 0.035, 0.01], -1.5, 'poultry', 'white', 74, 0.15, 0.05, 0.15, 320, 38, []],
  // Thigh and drumstick in one: heavier than a drumstick, hardly thicker.
  ['chicken-leg', [0.745, 0.19, 0.055, 0.01], -1.5, 'poultry', 'dark', 74, 0.11, 0.04, 0.2, 250, 48, [], 2],
  ['chicken-wing', [0.66, 0.18, 0.15, 0.01], -1.5, 'poultry', 'dark', 74, 0.12, 0.04, 0.2, 90, 30, [], 2],
  ['chicken-ground', [0.73, 0.175, 0.085, 0.01], -1.5, 'poultry', 'ground', 74, 0.17, 0.05, 0.2, 450, 12, []],
  ['chicken-cooked', [0.65, 0.27, 0.07, 0.01], -1.5, 'poultry', 'cooked', 74, 0.03, 0.03, 0.3, 150, 15, []],
  ['turkey-breast', [0.745, 0.235, 0.01, 0.01], -1.5, 'poultry', 'white', 74, 0.19, 0.05, 0.15, 250, 25, []],
  ['turkey-thigh', [0.745, 0.195, 0.05, 0.01], -1.5, 'poultry', 'dark', 74, 0.17, 0.05, 0.2, 250, 25, [], 2],
  ['turkey-ground', [0.72, 0.19, 0.08, 0.01], -1.5, 'poultry', 'ground', 74, 0.17, 0.05, 0.2, 450, 12, []],
  // Drumstick, whole leg or thigh on the bone of a turkey.
  ['turkey-leg', [0.74, 0.2, 0.05, 0.01], -1.5, 'poultry', 'dark', 74, 0.12, 0.04, 0.2, 400, 62, [], 4],
  ['duck-leg', [0.7, 0.19, 0.1, 0.01], -1.5, 'poultry', 'dark', 74, 0.16, 0.05, 0.2, 250, 45, ['renders'], 8],
  ['guinea-fowl', [0.745, 0.23, 0.015, 0.01], -1.5, 'poultry', 'white', 74, 0.18, 0.05, 0.15, 250, 40, []],
  ['rabbit', [0.73, 0.215, 0.045, 0.01], -1.5, 'game', 'stew', 71, 0.18, 0.05, 0.12, 200, 28, [], 10],
  ['beef-ground', [0.64, 0.18, 0.17, 0.01], -1.7, 'red', 'ground', 71, 0.17, 0.05, 0.2, 450, 12, []],
  ['beef-stew', [0.71, 0.2, 0.08, 0.01], -1.7, 'red', 'stew', 63, 0.22, 0.06, 0.15, 30, 28, [], 22],
  // Tender cuts in slices or strips: nothing to melt, juice to lose.
  ['beef-steak', [0.715, 0.215, 0.06, 0.01], -1.7, 'red', 'white', 63, 0.2, 0.05, 0.15, 220, 25, []],
  ['pork-ground', [0.64, 0.18, 0.17, 0.01], -2.2, 'red', 'ground', 71, 0.17, 0.05, 0.2, 450, 12, []],
  ['pork-shoulder', [0.7, 0.19, 0.1, 0.01], -2.2, 'red', 'stew', 63, 0.2, 0.06, 0.15, 30, 28, [], 20],
  ['pork-loin', [0.72, 0.215, 0.055, 0.01], -2.2, 'red', 'white', 63, 0.2, 0.05, 0.15, 150, 25, []],
  ['lamb-leg', [0.73, 0.2, 0.058, 0.012], -1.9, 'red', 'stew', 63, 0.19, 0.06, 0.17, 30, 28, [], 18],
  ['lamb-shoulder', [0.66, 0.17, 0.16, 0.01], -1.9, 'red', 'stew', 63, 0.17, 0.06, 0.17, 30, 28, ['renders'], 20],
  ['lamb-ground', [0.63, 0.17, 0.19, 0.01], -1.9, 'red', 'ground', 71, 0.17, 0.05, 0.2, 450, 12, []],
  ['goat-leg', [0.758, 0.206, 0.025, 0.011], -1.9, 'red', 'stew', 63, 0.19, 0.06, 0.2, 30, 28, [], 24],
  ['veal-ground', [0.7, 0.19, 0.1, 0.01], -1.7, 'red', 'ground', 71, 0.17, 0.05, 0.2, 450, 12, []],
  ['venison', [0.735, 0.225, 0.028, 0.012], -1.7, 'game', 'stew', 71, 0.2, 0.06, 0.13, 30, 25, [], 22],
  ['sausage-smoked', [0.54, 0.14, 0.29, 0.03], -2, 'red', 'cured', 71, 0.04, 0.03, 2.2, 80, 12, ['renders', 'cured']],
  ['sausage-fresh', [0.57, 0.15, 0.25, 0.025], -2, 'red', 'ground', 71, 0.14, 0.05, 1.6, 85, 28, ['renders']],
  // Out of its casing, or sold without one.
  ['sausage-meat', [0.57, 0.15, 0.25, 0.025], -2, 'red', 'ground', 71, 0.14, 0.05, 1.6, 450, 12, ['renders']],
  // Balls of mince with crumbs in them, which count with the protein.
  ['meatball', [0.61, 0.19, 0.17, 0.02], -2, 'red', 'ground', 71, 0.12, 0.05, 0.9, 25, 36, []],
  ['meatball-poultry', [0.66, 0.21, 0.1, 0.02], -1.5, 'poultry', 'ground', 74, 0.12, 0.05, 0.9, 25, 36, []],
  ['ham', [0.68, 0.2, 0.09, 0.03], -2, 'red', 'cured', 63, 0.07, 0.04, 2.6, 100, 10, ['cured']],
  ['bacon', [0.4, 0.13, 0.45, 0.02], -2, 'red', 'cured', 71, 0.06, 0.04, 2.3, 25, 4, ['renders', 'cured']],
  ['shrimp', [0.785, 0.2, 0.01, 0.015], -2.2, 'shellfish', 'shrimp', 63, 0.18, 0.07, 0.6, 12, 17, ['delicate', 'seafood']],
  ['white-fish', [0.81, 0.178, 0.007, 0.012], -2.2, 'fish', 'fish', 63, 0.17, 0.06, 0.2, 150, 22, ['delicate', 'seafood']],
  ['salmon', [0.685, 0.2, 0.1, 0.012], -2.2, 'fish', 'fish', 63, 0.12, 0.05, 0.12, 150, 25, ['delicate', 'seafood']],
  ['egg', [0.758, 0.126, 0.1, 0.009], -0.6, 'egg', 'egg', 71, 0, 0, 0.35, 55, 43, []],
  ['chicken-liver', [0.75, 0.18, 0.05, 0.012], -1.5, 'poultry', 'dark', 74, 0.15, 0.05, 0.18, 40, 18, []],
  ['turkey-cooked', [0.66, 0.29, 0.04, 0.01], -1.5, 'poultry', 'cooked', 74, 0.03, 0.03, 0.3, 150, 15, []],
  ['turkey-bacon', [0.6, 0.2, 0.16, 0.03], -2, 'poultry', 'cured', 74, 0.06, 0.04, 2.2, 20, 4, ['cured']],
  ['beef-short-rib', [0.58, 0.17, 0.24, 0.01], -1.7, 'red', 'stew', 63, 0.18, 0.06, 0.15, 200, 45, ['renders'], 24],
  ['beef-oxtail', [0.64, 0.2, 0.14, 0.01], -1.7, 'red', 'stew', 63, 0.14, 0.06, 0.2, 120, 40, ['renders'], 28],
  ['veal-stew', [0.73, 0.2, 0.055, 0.011], -1.7, 'red', 'stew', 63, 0.2, 0.06, 0.2, 30, 28, [], 16],
  ['pork-belly', [0.48, 0.14, 0.37, 0.007], -2.2, 'red', 'stew', 63, 0.14, 0.06, 0.13, 40, 30, ['renders'], 18],
  ['pork-rib', [0.6, 0.17, 0.22, 0.009], -2.2, 'red', 'stew', 63, 0.14, 0.06, 0.2, 90, 30, ['renders'], 18],
  ['lamb-shank', [0.72, 0.2, 0.07, 0.012], -1.9, 'red', 'stew', 63, 0.14, 0.06, 0.17, 350, 60, [], 24],
  ['lamb-chop', [0.65, 0.18, 0.16, 0.01], -1.9, 'red', 'white', 63, 0.16, 0.05, 0.17, 110, 22, ['renders']],
  ['mutton', [0.68, 0.195, 0.11, 0.011], -1.9, 'red', 'stew', 63, 0.2, 0.06, 0.2, 30, 28, ['renders'], 26],
  ['wild-boar', [0.735, 0.22, 0.033, 0.011], -2.2, 'game', 'stew', 71, 0.2, 0.06, 0.13, 30, 28, [], 24],
  ['trout', [0.73, 0.205, 0.055, 0.012], -2.2, 'fish', 'fish', 63, 0.14, 0.05, 0.12, 150, 20, ['delicate', 'seafood']],
  ['squid', [0.79, 0.16, 0.015, 0.014], -2.2, 'shellfish', 'shrimp', 63, 0.25, 0.08, 0.5, 60, 8, ['delicate', 'seafood']],
  ['mussels', [0.805, 0.12, 0.022, 0.016], -2.2, 'shellfish', 'shrimp', 63, 0.25, 0.1, 0.7, 8, 14, ['delicate', 'seafood']],
  ['crab-meat', [0.79, 0.18, 0.011, 0.017], -2.2, 'shellfish', 'cooked', 74, 0.05, 0.05, 0.9, 10, 8, ['delicate', 'seafood']],
];

/** Said with every minimum: a published value, recalled from memory; the cook's own authority decides. */
const sources: Record<MeatRecord['cut'] | 'game', string> = {
  white: 'whole cuts of red meat, with 3 min rest: published minimum, recalled',
  dark: 'poultry, all parts: published minimum, recalled',
  stew: 'whole cuts of red meat, with 3 min rest: published minimum, recalled',
  ground: 'ground red meat: published minimum, recalled',
  cured: 'sausage and cured pork: published minimum, recalled',
  cooked: 'leftovers and cooked poultry: published minimum, recalled',
  fish: 'fish and shellfish: published minimum, recalled',
  shrimp: 'fish and shellfish: published minimum, recalled',
  egg: 'egg dishes: published minimum, recalled',
  game: 'game and rabbit: published minimum, recalled',
};
const game = new Set(['rabbit', 'venison', 'wild-boar']);

const minimumSource = (id: string, species: Species, cut: MeatRecord['cut']): string =>
  game.has(id)
    ? sources.game
    : species === 'poultry' && (cut === 'white' || cut === 'ground' || cut === 'dark')
      ? sources.dark
      : sources[cut];

/** Pieces that no weight and thickness describe [common practice]. */
const shapes: Record<string, NonNullable<MeatRecord['shape']>> = {
  'chicken-breast-bone': 'oblong',
  'chicken-drumstick': 'cylinder',
  'chicken-thigh-bone': 'cylinder',
  'chicken-leg': 'cylinder',
  'turkey-leg': 'cylinder',
  'duck-leg': 'cylinder',
  // One rib with its meat, cut off the rack.
  'pork-rib': 'cylinder',
  'guinea-fowl': 'cylinder',
  'sausage-fresh': 'cylinder',
  shrimp: 'cylinder',
  egg: 'sphere',
  meatball: 'sphere',
  'meatball-poultry': 'sphere',
};

/** Meat in pieces that is seared and can be pulled apart: no mince, fish or egg, nothing cured or cooked before. */
export const isMeatInPieces = ({ meat }: FoodRecord): boolean =>
  meat !== undefined && ['white', 'dark', 'stew'].includes(meat.cut);
/** Mince that is loose: it is broken up in the pan. Balls and sausages of it keep their shape. */
export const isMince = (food: FoodRecord): boolean => food.meat?.cut === 'ground' && food.meat.shape === undefined;

/** Collagen minutes from which a cut is tough until it has melted: every stewing cut, and the leg of a duck [common practice]. */
export const slowFromMin = 8;
/** Is meat that wants the minutes of a stew? */
export const isSlowCut = (food: FoodRecord): boolean => (food.meat?.tenderCoreMin?.[0] ?? 0) >= slowFromMin;

const memory: SourceCode = 'M';

export const meats: readonly FoodRecord[] = rows.map(
  ([id, composition, freezeC, species, cut, minimum, released, sd, salt, pieceG, thickness, flags, tender]) => ({
    id,
    kind: 'meat',
    water: [composition[0], memory],
    free: [0, 'D'],
    thin: [0, 'D'],
    released: [released, 'D'],
    releaseSd: [sd, 'D'],
    // cp from the mix of water and dry matter, Choi-Okos near 20 degC
    cpKjPerKgK: [4.18 * composition[0] + 2.0 * (1 - composition[0]), 'D'],
    densityGPerMl: [1.05, memory],
    bulkGPerMl: [cut === 'ground' ? 0.95 : 0.6, 'P'],
    saltPer100g: [salt, memory],
    pieceG: [pieceG, 'P'],
    flags,
    meat: {
      composition,
      compositionSource: memory,
      freezeC: [freezeC, memory],
      species,
      cut,
      safeMinimumC: [minimum, memory],
      safeMinimumSource: minimumSource(id, species, cut),
      defaultThicknessMm: [thickness, 'P'],
      ...(shapes[id] ? { shape: shapes[id] } : {}),
      ...(tender === undefined ? {} : { tenderCoreMin: [tender, 'D'] as const }),
    },
  }),
);

/** What comes to the kitchen cooked, by its kind or by what the cook says of it: it is only heated through. */
export const isPrecooked = (food: FoodRecord, said: string | undefined): boolean =>
  food.meat?.cut === 'cooked' || said === 'cooked';
