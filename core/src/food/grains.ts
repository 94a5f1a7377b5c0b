import type { SourceCode } from '../source';
import type { FoodRecord, Kinetics } from './record';

/*
 * Grains. Cup weights, raw and cooked moisture: food-composition tables, from memory (M) or kitchen convention (P);
 * kinetics columns are derived (D): calibrated so that one clock holds the common schedules together.
 */
type Row = readonly [
  id: string,
  cupG: number,
  cupSource: SourceCode,
  rawMoisture: number,
  refMoisture: number,
  maxMoisture: number,
  boilMin: number,
  eMin: number,
  eRef: number,
  eMax: number,
  kinetics: Kinetics,
  textureShift: number,
  cling: number,
  aimMoisture: number,
  packetG: number,
];

const rows: readonly Row[] = [
  ['rice-long', 185, 'M', 0.116, 0.684, 0.76, 15, 12, 28, 45, 'react', 0, 0.15, 0.66, 1000],
  ['rice-basmati', 185, 'P', 0.115, 0.69, 0.765, 14, 11, 26, 42, 'react', -2, 0.15, 0.66, 1000],
  ['rice-jasmine', 187, 'P', 0.118, 0.68, 0.765, 14, 11, 25, 38, 'react', 3, 0.15, 0.63, 1000],
  ['rice-medium', 195, 'M', 0.129, 0.686, 0.76, 16, 12, 27, 40, 'react', 2, 0.15, 0.64, 1000],
  ['rice-short', 200, 'M', 0.133, 0.685, 0.76, 17, 13, 28, 42, 'react', 4, 0.13, 0.62, 1000],
  ['rice-arborio', 200, 'P', 0.13, 0.685, 0.755, 17, 14, 19, 27, 'react', 0, 0, 0.685, 500],
  ['rice-parboiled', 185, 'M', 0.099, 0.69, 0.75, 21, 17, 27, 55, 'react', 1, 0, 0.6, 1000],
  ['rice-brown-long', 185, 'M', 0.11, 0.703, 0.75, 45, 38, 52, 80, 'diff', -3, 0.12, 0.703, 1000],
  ['rice-brown-basmati', 185, 'P', 0.11, 0.7, 0.75, 38, 34, 48, 75, 'diff', -3, 0.12, 0.7, 1000],
  ['rice-red', 185, 'P', 0.11, 0.7, 0.75, 40, 34, 48, 75, 'diff', -3, 0.12, 0.69, 500],
  ['rice-wild', 160, 'M', 0.078, 0.739, 0.79, 50, 45, 60, 85, 'diff', -6, 0.12, 0.739, 250],
  ['quinoa', 170, 'M', 0.133, 0.716, 0.78, 15, 12, 18, 30, 'diff', -4, 0.25, 0.716, 500],
  ['bulgur', 140, 'M', 0.09, 0.7, 0.8, 12, 8, 13, 25, 'diff', -3, 0, 0.7, 500],
  ['barley-pearl', 200, 'M', 0.101, 0.688, 0.78, 40, 32, 48, 75, 'diff', -1, 0.12, 0.688, 500],
  ['farro', 180, 'P', 0.105, 0.65, 0.74, 25, 20, 30, 50, 'diff', 1, 0.12, 0.65, 500],
  ['einkorn', 185, 'P', 0.105, 0.645, 0.73, 38, 32, 45, 75, 'diff', 1, 0.12, 0.645, 500],
  ['freekeh', 165, 'P', 0.095, 0.67, 0.77, 20, 16, 24, 40, 'diff', 0, 0.15, 0.67, 500],
  ['millet', 200, 'M', 0.087, 0.714, 0.8, 20, 16, 26, 40, 'diff', -4, 0.18, 0.714, 500],
  ['couscous-pearl', 165, 'P', 0.095, 0.64, 0.73, 10, 8, 11, 18, 'pasta', 0, 0, 0.64, 500],
  ['rice-black', 190, 'P', 0.11, 0.69, 0.75, 40, 34, 48, 75, 'diff', -3, 0.12, 0.69, 500],
  ['barley-pot', 190, 'P', 0.098, 0.68, 0.77, 52, 42, 60, 92, 'diff', -1, 0.12, 0.68, 500],
  ['spelt', 180, 'P', 0.11, 0.645, 0.73, 42, 35, 50, 82, 'diff', 1, 0.12, 0.645, 500],
  ['wheat-berry', 190, 'P', 0.106, 0.63, 0.72, 52, 43, 60, 95, 'diff', 1, 0.12, 0.63, 500],
  ['sorghum', 190, 'M', 0.1, 0.66, 0.74, 50, 42, 58, 90, 'diff', -1, 0.12, 0.66, 500],
  ['buckwheat', 170, 'M', 0.098, 0.73, 0.8, 14, 11, 17, 28, 'diff', -4, 0.15, 0.73, 500],
  ['oats-steel-cut', 170, 'P', 0.1, 0.836, 0.87, 25, 20, 27, 45, 'diff', 0, 0, 0.836, 500],
  ['oats-rolled', 90, 'P', 0.105, 0.836, 0.87, 6, 4, 9, 20, 'diff', 0, 0, 0.836, 500],
];

/** Whole kernels behind bran take up water slowly; polished and cut grain quickly. */
const bran = new Set([
  'rice-brown-long',
  'rice-brown-basmati',
  'rice-red',
  'rice-wild',
  'farro',
  'einkorn',
  'freekeh',
  'rice-black',
  'barley-pot',
  'spelt',
  'wheat-berry',
  'sorghum',
]);

export const grains: readonly FoodRecord[] = rows.map(
  ([id, cupG, cupSource, raw, ref, max, boil, eMin, eRef, eMax, kinetics, shift, cling, aim, packetG]) => ({
    id,
    kind: 'grain',
    water: [raw, 'M'],
    free: [0, 'D'],
    thin: [0, 'D'],
    released: [0, 'D'],
    releaseSd: [0, 'D'],
    cpKjPerKgK: [1.85, 'M'],
    densityGPerMl: [1.45, 'M'],
    bulkGPerMl: [cupG / 236.6, cupSource],
    saltPer100g: [0, 'M'],
    packetG: [packetG, 'P'],
    flags: id.startsWith('oats') ? ['foams'] : [],
    grain: {
      rawMoisture: [raw, 'M'],
      refMoisture: [ref, 'M'],
      maxMoisture: [max, 'D'],
      boilMin: [boil, 'P'],
      eMin: [eMin, 'D'],
      eRef: [eRef, 'D'],
      eMax: [eMax, 'D'],
      kinetics,
      textureShift: [shift, 'D'],
      clingGPerG: [cling, 'P'],
      aimMoisture: [aim, 'D'],
      bran: bran.has(id),
    },
  }),
);
