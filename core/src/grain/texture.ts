import type { GrainRecord } from '../food/record';

export type GrainBand = 'hard' | 'firm' | 'fluffy' | 'soft' | 'mushy';

/** Band edges on the texture index, moisture points [derived from kitchen facts]. */
export const bandEdges = [59.5, 63.5, 68, 72.5] as const;
/** Where sauce stands around the grain it is soft from 72 and mush only from 75 [from memory: rice in soup]. */
export const saucyEdges = [59.5, 63.5, 72, 75] as const;
/** Kernels of a porridge are meant to be soft: only from the last edge on there is no grain left [from memory]. */
export const porridgeEdges = [59.5, 63.5, 72, 90] as const;
const bandNames: readonly GrainBand[] = ['hard', 'firm', 'fluffy', 'soft', 'mushy'];

/** Texture points for each wish of the cook, relative to the grain's own "fluffy" aim [common practice]. */
export const wishShift = { firm: -4, fluffy: 0, soft: 4 } as const;
export type Texture = keyof typeof wishShift;

export interface TextureInput {
  moisture: number;
  equivalentMin: number;
  /** share of the usual time that a soaked grain needs, 1 is unsoaked */
  soakFactor: number;
  coated: boolean;
  /** lemon juice or vinegar, mL per 200 g raw grain */
  acidMlPer200g: number;
  /** free liquid as a share of the finished dish; only counted in dishes meant to have sauce */
  freeShare: number;
  saucy: boolean;
  /** kernels that may fall apart, as in rice pudding: they are soft where others are mush */
  porridge?: boolean;
}

export interface TextureResult {
  index: number;
  band: GrainBand;
  /** 0..1, how far the starch is done; under `hardCore` the core is hard whatever the water */
  done: number;
}

/** Doneness under which the core is hard, whatever the water [derived]. */
export const hardCore = 0.85;
/** Texture points that a factor of e in doneness is worth [derived]. */
export const timePoints = 3;
/** Free sauce that makes the moisture tell the whole time, share of the finished dish [derived]. */
const ampleSauceShare = 0.04;

/**
 * Texture points of the time alone: 3 phi ln(E / reference). Where free sauce stands around the grain, its moisture
 * already tells the time: phi falls to 0, so that it is not counted twice.
 *
 * @param saucy the dish is meant to have sauce
 */
export function timeTerm(equivalentMin: number, referenceMin: number, freeShare: number, saucy: boolean): number {
  const phi = saucy ? Math.max(0, 1 - freeShare / ampleSauceShare) : 1;
  return equivalentMin > 0 ? timePoints * phi * Math.log(equivalentMin / referenceMin) : -30;
}

/** How far a starch is done after so many minutes at 100 degC, 0..1. */
export const doneShare = (equivalentMin: number, leastMin: number): number =>
  1 - Math.exp((-2.5 * equivalentMin) / leastMin);

/** Soaked white grain needs three quarters of the time [derived, .65 to .85]; whole kernels after a night .58 [common practice, .5 to .65]. */
const soaked = { white: { least: 0.75, fullMin: 30 }, whole: { least: 0.58, fromMin: 120, fullMin: 360 } } as const;

/** Share of its usual time that a grain needs after a soak of so many minutes. */
export function soakFactorOf(g: GrainRecord, soakMin: number): number {
  const { white, whole } = soaked;
  if (g.kinetics === 'react') return 1 - (1 - white.least) * Math.min(1, soakMin / white.fullMin);
  if (g.kinetics === 'pasta' || !g.bran) return 1;
  const share = Math.min(1, Math.max(0, (soakMin - whole.fromMin) / (whole.fullMin - whole.fromMin)));
  return 1 - (1 - whole.least) * share;
}

/** Middle of "fluffy" on the scale: every grain is centred on its own aim, so that a right one is called right. */
const middle = 66;

/** The bands were made for separate long-grain; every other grain is centred on its own aim [derived]. */
export const centre = (g: GrainRecord): number => middle - (100 * g.aimMoisture[0] + g.textureShift[0]);

/** The texture index aimed at: the grain's own fluffy, moved by the cook's wish. */
export const aimIndexOf = (g: GrainRecord, wish: Texture): number =>
  100 * g.aimMoisture[0] + g.textureShift[0] + centre(g) + wishShift[wish];

/** Texture-equivalent moisture and its band: moisture, the grain's own shift, time, fat and acid. */
export function texture(g: GrainRecord, x: TextureInput): TextureResult {
  const f = x.soakFactor;
  const done = doneShare(x.equivalentMin, g.eMin[0] * f);
  const time = timeTerm(x.equivalentMin, g.eRef[0] * f, x.freeShare, x.saucy);
  const fat = x.coated ? -0.5 : 0;
  const acid = -Math.min(1.5, (0.5 * x.acidMlPer200g) / 15);
  const index = 100 * x.moisture + g.textureShift[0] + centre(g) + time + fat + acid;
  const { saucy, porridge = false } = x;
  const burst = porridge ? 'hard' : overdone(x.equivalentMin / (g.eMax[0] * f));
  const band = done < hardCore ? 'hard' : atLeast(bandOf(index, edgesOf(saucy, porridge)), burst);
  return { index, band, done };
}

/** A kernel that had more than its most minutes bursts, however dry it was kept; the share over them [derived]. */
const bursts = { soft: 1, mushy: 1.3 } as const;
const overdone = (share: number): GrainBand => (share > bursts.mushy ? 'mushy' : share > bursts.soft ? 'soft' : 'hard');
const atLeast = (a: GrainBand, b: GrainBand): GrainBand => (bandNames.indexOf(a) >= bandNames.indexOf(b) ? a : b);

/** Band edges on the texture index of a dish with or without sauce, or of a porridge. */
export const edgesOf = (saucy: boolean, porridge = false): readonly number[] =>
  porridge ? porridgeEdges : saucy ? saucyEdges : bandEdges;

export function bandOf(index: number, edges: readonly number[] = bandEdges): GrainBand {
  const i = edges.findIndex((edge) => index < edge);
  return bandNames[i < 0 ? 4 : i]!;
}

/** What the free liquid looks like on the plate, by its share of the finished dish [derived]. */
export type SauceBand = 'dry' | 'moist' | 'saucy' | 'soupy';
export const sauceBand = (share: number): SauceBand =>
  share < 0.04 ? 'dry' : share < 0.12 ? 'moist' : share < 0.28 ? 'saucy' : 'soupy';
/** The same around pasta, by its share of the sauce that such a dish wants [common practice]. */
export const pastaSauceBand = (ofWanted: number): SauceBand =>
  ofWanted < 0.3 ? 'dry' : ofWanted < 0.7 ? 'moist' : ofWanted < 2.2 ? 'saucy' : 'soupy';

export type PastaBand = 'hard' | 'al-dente' | 'tender' | 'soft';
/** Band edges of pasta on x = E / packet minutes [derived]. */
export const pastaEdges = [0.85, 1.05, 1.6] as const;
/** Past the last edge the clock alone says little: pasta that found no more water than this stays whole [derived]. */
const wholeMoisture = 0.62;

/**
 * Band of pasta. Up to x = 1.6 the clock decides. Beyond, limited or thickened water holds the pasta back, and cooks call
 * such a dish creamy, not mush: there its moisture decides.
 */
export function pastaBand(x: number, moisture: number): PastaBand {
  if (x < pastaEdges[0]) return 'hard';
  if (x < pastaEdges[1]) return 'al-dente';
  if (x < pastaEdges[2]) return 'tender';
  return moisture > wholeMoisture ? 'soft' : 'tender';
}

/** Doneness wanted, as multiples of the middle, where water cannot be used to set the texture [common practice]. */
export const wishTime = { firm: 0.88, fluffy: 1, soft: 1.2 } as const;
