import type { GrainRecord } from '../food/record';

export type GrainBand = 'hard' | 'firm' | 'fluffy' | 'soft' | 'mushy';

/** Band edges on the texture index, moisture points [derived from kitchen facts]. */
export const bandEdges = [59.5, 63.5, 68, 72.5] as const;
const bandNames: readonly GrainBand[] = ['hard', 'firm', 'fluffy', 'soft', 'mushy'];

/** Texture points for each wish of the cook, relative to the grain's own "fluffy" aim [common practice]. */
export const wishShift = { firm: -4, fluffy: 0, soft: 4 } as const;
export type Texture = keyof typeof wishShift;

export interface TextureInput {
  moisture: number;
  equivalentMin: number;
  soakedWhite: boolean;
  coated: boolean;
  /** lemon juice or vinegar, mL per 200 g raw grain */
  acidMlPer200g: number;
  /** free liquid as a share of the finished dish; only counted in dishes meant to have sauce */
  freeShare: number;
  saucy: boolean;
}

export interface TextureResult {
  index: number;
  band: GrainBand;
  /** 0..1, how far the starch is done; under 0.9 the core is hard whatever the water */
  done: number;
}

/** Soaked white grain needs three quarters of the time [derived, range .65 to .85]. */
export const soakFactor = 0.75;

/** Middle of "fluffy" on the scale, where grains other than rice are centred on their own aim. */
const middle = 66;

/** The bands were made for separate white rice; every other grain is centred on its own reference. [derived] */
const centre = (g: GrainRecord): number =>
  g.kinetics === 'react' ? 0 : middle - (100 * g.aimMoisture[0] + g.textureShift[0]);

/** The texture index aimed at: the grain's own fluffy, moved by the cook's wish. */
export const aimIndexOf = (g: GrainRecord, wish: Texture): number =>
  100 * g.aimMoisture[0] + g.textureShift[0] + centre(g) + wishShift[wish];

/** Texture-equivalent moisture and its band: moisture, the grain's own shift, time, fat and acid. */
export function texture(g: GrainRecord, x: TextureInput): TextureResult {
  const f = x.soakedWhite ? soakFactor : 1;
  const done = 1 - Math.exp((-2.5 * x.equivalentMin) / (g.eMin[0] * f));
  // Where free sauce stands around the grain, its moisture already tells the whole time: do not count it twice.
  const phi = x.saucy ? Math.max(0, 1 - x.freeShare / 0.04) : 1;
  const time = x.equivalentMin > 0 ? 3 * phi * Math.log(x.equivalentMin / (g.eRef[0] * f)) : -30;
  const fat = x.coated ? -0.5 : 0;
  const acid = -Math.min(1.5, (0.5 * x.acidMlPer200g) / 15);
  const index = 100 * x.moisture + g.textureShift[0] + centre(g) + time + fat + acid;
  const band: GrainBand = done < 0.85 ? 'hard' : bandOf(index);
  return { index, band, done };
}

export function bandOf(index: number): GrainBand {
  const i = bandEdges.findIndex((edge) => index < edge);
  return bandNames[i < 0 ? 4 : i]!;
}

/** What the free liquid looks like on the plate, by its share of the finished dish [derived]. */
export type SauceBand = 'dry' | 'moist' | 'saucy' | 'soupy';
export const sauceBand = (share: number): SauceBand =>
  share < 0.04 ? 'dry' : share < 0.12 ? 'moist' : share < 0.28 ? 'saucy' : 'soupy';

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
