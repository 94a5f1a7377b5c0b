import type { PlantRecord } from './record';

/**
 * Plants cooked as pieces: composition of public tables from memory, softness thresholds tuned to common practice
 * (softening minutes at 100 degC; sweet potato, squash and beetroot follow potato and carrot [derived]).
 */
export const plants: Record<string, PlantRecord> = {
  potato: plant({
    composition: [0.79, 0.02, 0.001, 0.165, 0.014, 0.01],
    freezeC: -0.6,
    coreMin: 0.9,
    meanMin: 8,
    mostMin: 55,
    thicknessMm: 45,
    shape: 'sphere',
  }),
  'sweet-potato': plant({
    composition: [0.773, 0.016, 0.001, 0.171, 0.03, 0.009],
    freezeC: -0.6,
    coreMin: 0.9,
    meanMin: 8,
    mostMin: 45,
    thicknessMm: 45,
    shape: 'cylinder',
  }),
  carrot: plant({
    composition: [0.883, 0.009, 0.002, 0.068, 0.028, 0.01],
    freezeC: -1.4,
    coreMin: 2,
    meanMin: 6,
    mostMin: 25,
    thicknessMm: 15,
    shape: 'cylinder',
  }),
  beetroot: plant({
    composition: [0.876, 0.016, 0.002, 0.068, 0.028, 0.01],
    freezeC: -1.1,
    coreMin: 2,
    meanMin: 10,
    mostMin: 60,
    thicknessMm: 40,
    shape: 'sphere',
  }),
  broccoli: plant({
    composition: [0.893, 0.028, 0.004, 0.04, 0.026, 0.009],
    freezeC: -0.6,
    coreMin: 0.1,
    meanMin: 1,
    mostMin: 6,
    thicknessMm: 15,
    shape: 'cylinder',
  }),
  cauliflower: plant({
    composition: [0.92, 0.019, 0.003, 0.03, 0.02, 0.008],
    freezeC: -0.8,
    coreMin: 0.1,
    meanMin: 1,
    mostMin: 6,
    thicknessMm: 17,
    shape: 'cylinder',
  }),
  // Dry seeds also have to take up water, which heat hastens less than it softens: their minutes are set where they are
  // used, at 116 degC: split 1 to 4 min under pressure, whole 7 to 10 [common practice]. A purée of split ones is no fault.
  'lentils-split': plant({
    composition: [0.1, 0.24, 0.02, 0.51, 0.11, 0.02],
    freezeC: -1,
    coreMin: 18,
    meanMin: 28,
    mostMin: 400,
    thicknessMm: 2.5,
    shape: 'slab',
    staysHard: true,
  }),
  'lentils-whole': plant({
    composition: [0.1, 0.25, 0.01, 0.51, 0.11, 0.02],
    freezeC: -1,
    coreMin: 35,
    meanMin: 55,
    mostMin: 220,
    thicknessMm: 4,
    shape: 'sphere',
    staysHard: true,
  }),
};

/** A plant's pieces as plain numbers: minutes at 100 degC until the core is soft, the mean is, and until it falls apart. */
interface PlantPiece extends Pick<PlantRecord, 'composition' | 'shape'> {
  freezeC: number;
  coreMin: number;
  meanMin: number;
  mostMin: number;
  thicknessMm: number;
  staysHard?: true;
}

function plant({ composition, shape, ...p }: PlantPiece): PlantRecord {
  return {
    composition,
    freezeC: [p.freezeC, 'M'],
    softCoreMin: [p.coreMin, 'D'],
    softMeanMin: [p.meanMin, 'D'],
    softMostMin: [p.mostMin, 'D'],
    defaultThicknessMm: [p.thicknessMm, 'P'],
    shape,
    ...(p.staysHard ? { staysHard: true } : {}),
  };
}
