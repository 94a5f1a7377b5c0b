import type { Sourced } from '../source';

export type FoodKind = 'grain' | 'pasta' | 'meat' | 'vegetable' | 'liquid' | 'dairy' | 'fat' | 'seasoning' | 'other';

/**
 * - delicate: gone after a few minutes under pressure, so it waits for the finish
 * - curdles: splits under pressure
 * - foams: its starch or protein foams at the valve
 * - thick: sits on the base and scorches
 * - diced: scorches less than a sauce, more than broth
 * - renders: gives its own frying fat
 * - acid: firms the grain a little
 * - aromatic: goes in last when frying, burns within a minute
 * - tomato: slows the uptake of the grain in an unstirred pot
 * - sugary: burns on the base
 * - cured: salt comes with it
 * - crisp: loses its point in steam, so it waits for the plate
 * - thickener: binds the sauce, after the pressure
 * - seafood: minutes of residual heat are enough
 */
export type FoodFlag =
  | 'delicate'
  | 'curdles'
  | 'foams'
  | 'thick'
  | 'diced'
  | 'renders'
  | 'acid'
  | 'aromatic'
  | 'tomato'
  | 'sugary'
  | 'cured'
  | 'crisp'
  | 'thickener'
  | 'seafood';

/** What every food carries. Masses are shares of the food as it is added; see the source beside each number. */
export interface FoodRecord {
  id: string;
  kind: FoodKind;
  /** share of the mass that is water */
  water: Sourced;
  /** share of the mass that is thin liquid from the start */
  free: Sourced;
  /** share of the mass that is thin liquid at the base before the boil: it alone makes the first steam */
  thin: Sourced;
  /** share of the mass that comes out as juice while it cooks, from raw */
  released: Sourced;
  /** one standard deviation of free + released */
  releaseSd: Sourced;
  /** heat capacity, kJ/(kg K) */
  cpKjPerKgK: Sourced;
  /** density of the food itself, g/mL */
  densityGPerMl: Sourced;
  /** how it packs into a measure, g/mL */
  bulkGPerMl: Sourced;
  /** salt, g per 100 g */
  saltPer100g: Sourced;
  pieceG?: Sourced;
  packetG?: Sourced;
  flags: readonly FoodFlag[];
  grain?: GrainRecord;
  /** minutes on the packet (pasta) */
  packetMin?: Sourced;
  /** pasta: what is printed, where the log moved `packetMin` to this packet and this taste */
  printedMin?: Sourced;
  /** share of air in a loose bed (pasta) */
  porosity?: Sourced;
  plant?: PlantRecord;
  meat?: MeatRecord;
}

export type Kinetics = 'react' | 'diff' | 'pasta';

export interface GrainRecord {
  rawMoisture: Sourced;
  /** moisture of the reference cooked grain, wet basis */
  refMoisture: Sourced;
  /** moisture it ends at in plenty of water */
  maxMoisture: Sourced;
  /** minutes at 100 degC in plenty of water to the reference */
  boilMin: Sourced;
  /** equivalent minutes at 100 degC: least, reference, most */
  eMin: Sourced;
  eRef: Sourced;
  eMax: Sourced;
  kinetics: Kinetics;
  /** texture points added to the moisture: negative eats firmer */
  textureShift: Sourced;
  /** water that stays on the grain after rinsing and draining, g/g */
  clingGPerG: Sourced;
  /** moisture aimed at for "fluffy" */
  aimMoisture: Sourced;
  /** white and soft grains soak in minutes, bran and whole kernels slowly */
  bran: boolean;
}

/** A plant or egg cooked as a piece: composition for conduction and when it is soft. */
export interface PlantRecord {
  /** mass fractions: water, protein, fat, carbohydrate, fibre, ash */
  composition: readonly [water: number, protein: number, fat: number, carb: number, fibre: number, ash: number];
  freezeC: Sourced;
  /** softening minutes at 100 degC: least in the core, least and most in the mean */
  softCoreMin: Sourced;
  softMeanMin: Sourced;
  softMostMin: Sourced;
  defaultThicknessMm: Sourced;
  shape: 'sphere' | 'cylinder' | 'cube' | 'slab';
  /** dry seeds: hard under the tooth in any dish that is too short for them */
  staysHard?: true;
}

export type Species = 'poultry' | 'red' | 'game' | 'fish' | 'shellfish' | 'egg';
export interface MeatRecord {
  /** mass fractions: water, protein, fat, ash */
  composition: readonly [water: number, protein: number, fat: number, ash: number];
  compositionSource: Sourced[1];
  freezeC: Sourced;
  species: Species;
  cut: 'white' | 'dark' | 'ground' | 'cured' | 'cooked' | 'stew' | 'fish' | 'shrimp' | 'egg';
  /** collagen minutes at 116.5 degC that the core needs to be tender (dark and stew cuts) */
  tenderCoreMin?: Sourced;
  /** published minimum temperature in the centre, degC */
  safeMinimumC: Sourced;
  safeMinimumSource: string;
  defaultThicknessMm: Sourced;
  /** what a whole piece looks like, where its weight and thickness alone would mislead */
  shape?: 'cylinder' | 'sphere' | 'oblong';
}
