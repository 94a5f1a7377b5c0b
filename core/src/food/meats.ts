import type { SourceCode } from '../source';
import type { FoodFlag, FoodRecord, MeatRecord, Species } from './record';

/*
 * Meats. Composition: typical raw, public tables from memory (M). Juice released: derived (D) for a 4 to 12 min
 * pressure cook from raw, small pieces. Minimum temperatures: public guidance of food-safety authorities, recalled
 * from memory; one reading against the document of the cook's own authority is due before anybody relies on it.
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
];

const rows: readonly Row[] = [
  ['chicken-breast', [0.755, 0.215, 0.02, 0.01], -1.5, 'poultry', 'white', 74, 0.19, 0.05, 0.15, 190, 25, []],
  ['chicken-thigh', [0.745, 0.19, 0.055, 0.01], -1.5, 'poultry', 'dark', 74, 0.17, 0.05, 0.2, 110, 22, []],
  ['chicken-ground', [0.73, 0.175, 0.085, 0.01], -1.5, 'poultry', 'ground', 74, 0.17, 0.05, 0.2, 450, 12, []],
  ['chicken-cooked', [0.65, 0.27, 0.07, 0.01], -1.5, 'poultry', 'cooked', 74, 0.03, 0.03, 0.3, 150, 15, []],
  ['turkey-breast', [0.745, 0.235, 0.01, 0.01], -1.5, 'poultry', 'white', 74, 0.19, 0.05, 0.15, 250, 25, []],
  ['turkey-thigh', [0.745, 0.195, 0.05, 0.01], -1.5, 'poultry', 'dark', 74, 0.17, 0.05, 0.2, 250, 25, []],
  ['turkey-ground', [0.72, 0.19, 0.08, 0.01], -1.5, 'poultry', 'ground', 74, 0.17, 0.05, 0.2, 450, 12, []],
  ['sausage-smoked', [0.54, 0.14, 0.29, 0.03], -2, 'red', 'cured', 71, 0.04, 0.03, 2.2, 80, 12, ['renders', 'cured']],
  ['ham', [0.68, 0.2, 0.09, 0.03], -2, 'red', 'cured', 63, 0.07, 0.04, 2.6, 100, 10, ['cured']],
  ['bacon', [0.4, 0.13, 0.45, 0.02], -2, 'red', 'cured', 71, 0.06, 0.04, 2.3, 25, 4, ['renders', 'cured']],
];

const minimumSource = (species: Species, cut: MeatRecord['cut']): string =>
  species === 'poultry'
    ? 'poultry, all parts: public food-safety guidance'
    : cut === 'cured'
      ? 'sausage and cured pork: public food-safety guidance'
      : 'red meat: public food-safety guidance';

const memory: SourceCode = 'M';

export const meats: readonly FoodRecord[] = rows.map(
  ([id, composition, freezeC, species, cut, minimum, released, sd, salt, pieceG, thickness, flags]) => ({
    id,
    kind: 'meat',
    water: [composition[0], memory],
    free: [0, 'D'],
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
      safeMinimumSource: minimumSource(species, cut),
      defaultThicknessMm: [thickness, 'P'],
    },
  }),
);
