import type { SourceCode } from '../source';
import type { FoodRecord, GrainRecord } from './record';

/*
 * Pasta. Cup weights: food-composition tables from memory (M) or kitchen convention (P); packet minutes: what packets of
 * that shape say (P). Dry .099 and cooked .62 from tables (M), ceiling .71 and the x = E/packet limits derived (D).
 */
type Row = readonly [
  id: string,
  cupG: number,
  cupSource: SourceCode,
  packetMin: number,
  porosity: number,
  pieceG?: number,
];

const rows: readonly Row[] = [
  ['penne', 100, 'P', 11, 0.5],
  ['rigatoni', 82, 'P', 12.5, 0.5],
  ['ziti', 100, 'P', 11, 0.5],
  ['rotini', 85, 'M', 10, 0.5],
  ['farfalle', 76, 'P', 11.5, 0.5],
  ['ditalini', 148, 'P', 9.5, 0.5],
  ['elbows', 112, 'M', 8.5, 0.5],
  ['shells', 90, 'M', 10, 0.5],
  ['orzo', 195, 'P', 8.5, 0.45],
  ['spaghetti', 91, 'M', 10, 0.55],
  ['fettuccine', 88, 'P', 10, 0.58],
  ['lasagne-sheet', 90, 'P', 10, 0.3, 20],
  ['noodles-short', 62, 'P', 7, 0.55],
  ['linguine', 91, 'P', 10, 0.55],
  ['bucatini', 88, 'P', 9.5, 0.58],
  ['angel-hair', 91, 'P', 4, 0.55],
  ['orecchiette', 90, 'P', 12, 0.5],
  ['udon-dried', 85, 'P', 11, 0.55],
  ['soba', 85, 'P', 5, 0.55],
];

/** Doneness limits of pasta as multiples of the packet's minutes [derived]. */
export const pastaX = { least: 0.85, want: 1.2, most: 1.6 } as const;

/** The kinetics of a pasta whose packet says `packetMin`. */
export const pastaGrain = (packetMin: number): GrainRecord => ({
  rawMoisture: [0.099, 'M'],
  refMoisture: [0.62, 'M'],
  maxMoisture: [0.71, 'D'],
  boilMin: [packetMin, 'P'],
  eMin: [pastaX.least * packetMin, 'D'],
  eRef: [pastaX.want * packetMin, 'D'],
  eMax: [pastaX.most * packetMin, 'D'],
  kinetics: 'pasta',
  textureShift: [0, 'D'],
  clingGPerG: [0, 'D'],
  aimMoisture: [0.62, 'M'],
  bran: false,
});

export const pastas: readonly FoodRecord[] = rows.map(([id, cupG, cupSource, packetMin, porosity, pieceG]) => ({
  id,
  kind: 'pasta',
  water: [0.099, 'M'],
  free: [0, 'D'],
  thin: [0, 'D'],
  released: [0, 'D'],
  releaseSd: [0, 'D'],
  cpKjPerKgK: [1.85, 'M'],
  densityGPerMl: [1.45, 'M'],
  bulkGPerMl: [cupG / 236.6, cupSource],
  saltPer100g: [0, 'M'],
  packetG: [500, 'P'],
  ...(pieceG === undefined ? {} : { pieceG: [pieceG, 'P'] as const }),
  flags: ['foams'],
  grain: pastaGrain(packetMin),
  packetMin: [packetMin, 'P'],
  porosity: [porosity, 'P'],
}));
