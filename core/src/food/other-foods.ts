import type { SourceCode } from '../source';
import type { FoodFlag, FoodKind, FoodRecord, PlantRecord } from './record';

/*
 * Liquids, vegetables, dairy, fats and seasonings. Water: food-composition tables, from memory (M). Free and released
 * shares: derived (D), for a 4 to 12 min pressure cook of small raw pieces. Packing and piece weights: common
 * practice (P). Salt: labels and tables, from memory (M).
 */
type Row = readonly [
  id: string,
  kind: FoodKind,
  water: number,
  free: number,
  released: number,
  spread: number,
  cp: number,
  density: number,
  bulk: number,
  salt: number,
  pieceG?: number,
  flags?: readonly FoodFlag[],
];

const rows: readonly Row[] = [
  ['water', 'liquid', 1, 1, 0, 0, 4.2, 0.998, 0.998, 0],
  ['broth', 'liquid', 0.975, 0.975, 0, 0.01, 4.13, 1.005, 1.005, 0.8],
  ['broth-low-salt', 'liquid', 0.98, 0.98, 0, 0.01, 4.15, 1.003, 1.003, 0.3],
  ['wine-red', 'liquid', 0.865, 0.865, 0, 0.02, 3.84, 0.99, 0.99, 0],
  ['wine-white', 'liquid', 0.865, 0.865, 0, 0.02, 3.84, 0.99, 0.99, 0],
  ['soy-sauce', 'liquid', 0.7, 0.7, 0, 0.03, 3.39, 1.15, 1.15, 15],
  ['vinegar', 'liquid', 0.94, 0.94, 0, 0.01, 4.04, 1.01, 1.01, 0, undefined, ['acid']],
  ['lemon-juice', 'liquid', 0.92, 0.92, 0, 0.01, 3.98, 1.03, 1.03, 0, 45, ['acid']],
  ['coconut-milk', 'liquid', 0.73, 0.73, 0, 0.04, 3.47, 0.99, 0.99, 0.05],
  ['tomato-diced-canned', 'liquid', 0.94, 0.38, 0.17, 0.1, 4.04, 1.03, 1.02, 0.4, undefined, ['tomato', 'diced']],
  ['tomato-crushed-canned', 'liquid', 0.895, 0.45, 0.1, 0.12, 3.92, 1.04, 1.04, 0.4, undefined, ['tomato', 'thick']],
  ['tomato-sauce', 'liquid', 0.91, 0.6, 0.05, 0.12, 3.96, 1.04, 1.04, 0.5, undefined, ['tomato', 'thick']],
  ['tomato-paste', 'liquid', 0.735, 0.1, 0, 0.1, 3.48, 1.1, 1.1, 0.2, undefined, ['tomato', 'thick']],
  ['milk', 'dairy', 0.88, 0.88, 0, 0.01, 3.88, 1.03, 1.03, 0.1, undefined, ['curdles', 'foams']],
  ['cream-heavy', 'dairy', 0.577, 0.577, 0, 0.02, 3.06, 1.0, 1.0, 0.08],
  ['yogurt', 'dairy', 0.88, 0.6, 0.15, 0.1, 3.88, 1.03, 1.03, 0.1, undefined, ['curdles']],
  ['cheese-hard', 'dairy', 0.37, 0, 0, 0.05, 2.5, 1.1, 0.42, 1.7, undefined, ['delicate']],
  ['onion', 'vegetable', 0.89, 0, 0.4, 0.12, 3.9, 1.0, 0.63, 0, 150],
  ['shallot', 'vegetable', 0.8, 0, 0.35, 0.12, 3.7, 1.0, 0.63, 0, 30],
  ['leek', 'vegetable', 0.83, 0, 0.27, 0.1, 3.8, 0.95, 0.38, 0.05, 200],
  ['garlic', 'vegetable', 0.59, 0, 0.1, 0.05, 3.2, 1.05, 0.55, 0, 4, ['aromatic']],
  ['ginger', 'vegetable', 0.79, 0, 0.15, 0.05, 3.7, 1.0, 0.5, 0, 20, ['aromatic']],
  ['celery', 'vegetable', 0.954, 0, 0.35, 0.12, 4.08, 1.0, 0.43, 0.2, 40],
  ['carrot', 'vegetable', 0.883, 0, 0.12, 0.05, 3.88, 1.03, 0.54, 0.1, 60],
  ['bell-pepper', 'vegetable', 0.93, 0, 0.38, 0.12, 4.01, 0.95, 0.5, 0, 150],
  ['chili', 'vegetable', 0.88, 0, 0.25, 0.1, 3.9, 0.95, 0.4, 0, 12, ['aromatic']],
  ['tomato', 'vegetable', 0.945, 0.05, 0.6, 0.12, 4.05, 1.0, 0.76, 0, 120, ['tomato', 'diced']],
  ['mushroom', 'vegetable', 0.924, 0, 0.48, 0.1, 3.99, 0.95, 0.3, 0, 18],
  ['spinach', 'vegetable', 0.914, 0, 0.5, 0.12, 3.97, 0.95, 0.13, 0.2, undefined, ['delicate']],
  ['kale', 'vegetable', 0.88, 0, 0.25, 0.1, 3.88, 0.95, 0.1, 0.1, undefined, ['delicate']],
  ['peas-frozen', 'vegetable', 0.8, 0.04, 0.05, 0.04, 3.66, 1.02, 0.6, 0.1, undefined, ['delicate']],
  ['broccoli', 'vegetable', 0.893, 0, 0.18, 0.08, 3.91, 0.95, 0.38, 0.1, 300, ['delicate']],
  ['zucchini', 'vegetable', 0.948, 0, 0.42, 0.12, 4.06, 0.95, 0.5, 0, 200],
  ['fennel', 'vegetable', 0.9, 0, 0.3, 0.1, 3.9, 0.95, 0.38, 0.13, 250],
  ['squash', 'vegetable', 0.87, 0, 0.15, 0.08, 3.85, 1.0, 0.5, 0],
  ['green-beans', 'vegetable', 0.9, 0, 0.12, 0.06, 3.93, 1.0, 0.45, 0],
  ['oil-olive', 'fat', 0, 0, 0, 0, 1.97, 0.915, 0.915, 0],
  ['oil-neutral', 'fat', 0, 0, 0, 0, 1.97, 0.92, 0.92, 0],
  ['butter', 'fat', 0.16, 0, 0, 0.02, 2.3, 0.911, 0.95, 1.2],
  ['ghee', 'fat', 0, 0, 0, 0, 1.97, 0.91, 0.91, 0],
  ['salt', 'seasoning', 0, 0, 0, 0, 0.9, 2.16, 1.2, 100],
  ['salt-sea', 'seasoning', 0, 0, 0, 0, 0.9, 2.16, 1.116, 100],
  ['salt-flaky', 'seasoning', 0.01, 0, 0, 0, 0.9, 2.16, 0.79, 99],
  ['sugar', 'seasoning', 0, 0, 0, 0, 1.25, 1.59, 0.85, 0, undefined, ['sugary']],
  ['spice-ground', 'seasoning', 0.08, 0, 0, 0, 1.7, 1.2, 0.45, 0.1, undefined, ['aromatic']],
  ['spice-whole', 'seasoning', 0.09, 0, 0, 0, 1.7, 1.2, 0.45, 0.1, 1],
  ['herb-fresh', 'seasoning', 0.85, 0, 0.1, 0.05, 3.8, 0.95, 0.12, 0, 30, ['delicate']],
  ['herb-dried', 'seasoning', 0.08, 0, 0, 0, 1.7, 1.0, 0.2, 0.1, undefined, ['aromatic']],
  ['cheese-soft', 'dairy', 0.5, 0, 0.05, 0.05, 3.0, 1.05, 0.95, 0.9, undefined, ['curdles']],
  ['cream-cheese', 'dairy', 0.54, 0, 0, 0.05, 3.1, 1.0, 1.0, 0.8, undefined, ['curdles']],
  ['cauliflower', 'vegetable', 0.92, 0, 0.18, 0.08, 3.98, 0.95, 0.42, 0.08, 600, ['delicate']],
  ['okra', 'vegetable', 0.9, 0, 0.15, 0.1, 3.9, 0.95, 0.42, 0, 12],
  ['eggplant', 'vegetable', 0.92, 0, 0.4, 0.12, 3.95, 0.85, 0.35, 0, 300],
  ['potato', 'vegetable', 0.79, 0, 0, 0.04, 3.63, 1.08, 0.63, 0, 110],
  ['sweet-potato', 'vegetable', 0.773, 0, 0.03, 0.04, 3.59, 1.05, 0.56, 0.1, 200],
  ['mixed-frozen', 'vegetable', 0.83, 0.04, 0.12, 0.06, 3.75, 1.0, 0.55, 0.1, undefined, ['delicate']],
  ['beetroot', 'vegetable', 0.87, 0, 0.1, 0.06, 3.85, 1.03, 0.57, 0.2, 150],
  ['beans-canned', 'other', 0.7, 0.03, 0, 0.03, 3.39, 1.08, 0.75, 0.6],
  ['dried-fruit', 'other', 0.15, 0, -0.3, 0.1, 1.91, 1.35, 0.63, 0.05],
  ['nuts', 'other', 0.04, 0, 0, 0, 1.9, 1.05, 0.5, 0, undefined, ['crisp']],
  ['breadcrumbs', 'other', 0.07, 0, 0, 0, 1.8, 0.9, 0.42, 1.3, undefined, ['crisp']],
  ['mustard', 'seasoning', 0.8, 0.3, 0, 0.1, 3.7, 1.05, 1.05, 5],
  ['pesto', 'seasoning', 0.3, 0, 0, 0.05, 2.6, 1.0, 1.0, 2.5, undefined, ['delicate']],
  ['starch', 'seasoning', 0.12, 0, 0, 0, 1.7, 1.5, 0.54, 0, undefined, ['thickener']],
  ['beer', 'liquid', 0.92, 0.92, 0, 0.01, 3.98, 1.01, 1.01, 0, undefined, ['foams']],
  ['fish-sauce', 'liquid', 0.71, 0.71, 0, 0.03, 3.4, 1.2, 1.2, 20],
  ['worcestershire-sauce', 'liquid', 0.72, 0.72, 0, 0.04, 3.4, 1.12, 1.12, 2.5],
  ['hot-sauce', 'liquid', 0.9, 0.9, 0, 0.04, 3.9, 1.02, 1.02, 3, undefined, ['acid']],
  ['orange-juice', 'liquid', 0.88, 0.88, 0, 0.02, 3.88, 1.04, 1.04, 0, 75, ['acid']],
  ['salsa', 'liquid', 0.89, 0.45, 0.1, 0.12, 3.9, 1.03, 1.03, 1.5, undefined, ['tomato', 'thick']],
  ['milk-evaporated', 'dairy', 0.74, 0.74, 0, 0.02, 3.5, 1.07, 1.07, 0.27, undefined, ['curdles', 'foams']],
  ['milk-condensed', 'dairy', 0.27, 0.2, 0, 0.03, 2.3, 1.3, 1.3, 0.3, undefined, ['curdles', 'sugary', 'thick']],
  ['cream-sour', 'dairy', 0.73, 0.5, 0, 0.05, 3.5, 0.97, 0.97, 0.1, undefined, ['curdles']],
  ['spring-onion', 'vegetable', 0.9, 0, 0.3, 0.1, 3.9, 0.95, 0.42, 0.04, 15, ['delicate']],
  ['celeriac', 'vegetable', 0.88, 0, 0.12, 0.06, 3.85, 1.0, 0.6, 0.25, 600],
  ['parsnip', 'vegetable', 0.8, 0, 0.08, 0.05, 3.65, 1.03, 0.55, 0.03, 120],
  ['turnip', 'vegetable', 0.92, 0, 0.2, 0.08, 3.95, 1.0, 0.55, 0.17, 120],
  ['cabbage', 'vegetable', 0.92, 0, 0.3, 0.1, 3.95, 0.95, 0.3, 0.05, 900],
  ['corn', 'vegetable', 0.76, 0, 0.05, 0.04, 3.6, 1.05, 0.65, 0.1, 100],
  ['plantain', 'vegetable', 0.65, 0, 0.03, 0.04, 3.3, 1.05, 0.63, 0.01, 180],
  ['asparagus', 'vegetable', 0.93, 0, 0.25, 0.1, 3.97, 0.95, 0.55, 0, 15, ['delicate']],
  ['tomato-sun-dried', 'vegetable', 0.54, 0, 0, 0.1, 3.1, 1.05, 0.46, 0.7, undefined, ['tomato']],
  ['artichoke', 'vegetable', 0.88, 0.03, 0.05, 0.06, 3.85, 1.0, 0.7, 0.7, 40],
  ['olives', 'other', 0.78, 0.02, 0.02, 0.03, 3.5, 1.02, 0.57, 3.5, 4],
  ['capers', 'other', 0.84, 0.05, 0.05, 0.05, 3.7, 1.05, 0.58, 6],
  ['apple', 'vegetable', 0.86, 0, 0.35, 0.12, 3.8, 0.85, 0.5, 0, 180],
  ['pumpkin-puree', 'vegetable', 0.9, 0.15, 0, 0.1, 3.9, 1.03, 1.03, 0.02, undefined, ['thick']],
  ['honey', 'seasoning', 0.17, 0.17, 0, 0.05, 2.3, 1.42, 1.42, 0, undefined, ['sugary']],
  ['citrus-zest', 'seasoning', 0.81, 0, 0.05, 0.05, 3.7, 0.95, 0.4, 0, 6],
  ['curry-paste', 'seasoning', 0.62, 0.1, 0, 0.1, 3.2, 1.1, 1.1, 6, undefined, ['thick']],
  ['peanut-butter', 'other', 0.02, 0, 0, 0.02, 1.9, 1.08, 1.08, 1, undefined, ['thick']],
  ['tofu', 'other', 0.82, 0.02, 0.05, 0.05, 3.6, 1.05, 0.9, 0.02, 400],
  ['flour', 'seasoning', 0.12, 0, 0, 0, 1.8, 1.45, 0.53, 0, undefined, ['thickener']],
  ['vanilla', 'seasoning', 0.53, 0.53, 0, 0.05, 3.2, 0.88, 0.88, 0],
  ['stock-concentrate', 'seasoning', 0.05, 0, 0, 0, 1.8, 1.4, 0.9, 45, 10],
];

/**
 * Plants cooked as pieces: composition of public tables from memory, softness thresholds tuned to common practice
 * (softening minutes at 100 degC; sweet potato, squash and beetroot follow potato and carrot [derived]).
 */
const plants: Record<string, PlantRecord> = {
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
};

/** A plant's pieces as plain numbers: minutes at 100 degC until the core is soft, the mean is, and until it falls apart. */
interface PlantPiece extends Pick<PlantRecord, 'composition' | 'shape'> {
  freezeC: number;
  coreMin: number;
  meanMin: number;
  mostMin: number;
  thicknessMm: number;
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
  };
}

/**
 * Thin liquid at the base before the boil, share of the mass, where it is not what is free at the start: of diced tomato
 * with its juice .35 runs down, of crushed tomato and sauce .10, of paste, yogurt and mustard nothing [common practice].
 */
const thinAtBase: Record<string, number> = {
  'tomato-diced-canned': 0.35,
  'tomato-crushed-canned': 0.1,
  'tomato-sauce': 0.1,
  'tomato-paste': 0,
  yogurt: 0,
  mustard: 0,
  'beans-canned': 0,
  salsa: 0.1,
  'milk-condensed': 0,
  'cream-sour': 0,
  'pumpkin-puree': 0,
  'curry-paste': 0,
  artichoke: 0,
  olives: 0,
  capers: 0,
  tofu: 0,
  honey: 0,
};

const water: SourceCode = 'M';

export const wet: readonly FoodRecord[] = rows.map(
  ([id, kind, w, free, released, spread, cp, density, bulk, salt, pieceG, flags]) => ({
    id,
    kind,
    water: [w, water],
    free: [free, free === w ? 'M' : 'D'],
    thin: id in thinAtBase ? [thinAtBase[id]!, 'P'] : [free, 'D'],
    released: [released, 'D'],
    releaseSd: [spread, 'D'],
    cpKjPerKgK: [cp, 'D'],
    densityGPerMl: [density, 'M'],
    bulkGPerMl: [bulk, 'P'],
    saltPer100g: [salt, 'M'],
    ...(pieceG === undefined ? {} : { pieceG: [pieceG, 'P'] as const }),
    flags: flags ?? [],
    ...(plants[id] ? { plant: plants[id] } : {}),
  }),
);
