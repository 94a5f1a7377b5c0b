import type { InnerBowl } from './inner-bowl';
import type { Sourced } from '../source';

/**
 * One cooker, as the lumped model needs it. Provenance of the whole set: given ranges and common kitchen facts, tuned
 * once on the 5.7 L electric pot; the others are scaled from it by area and mass and are not calibrated.
 */
export interface PotProfile {
  id: string;
  kind: 'electric' | 'spring' | 'whistle';
  litres: number;
  /** inner diameter, mm */
  diameterMm: number;
  powerW: number;
  /** share of the power that reaches the plate */
  efficiency: number;
  baseJPerK: number;
  /** plate to food, W/K */
  baseWPerK: number;
  wallJPerK: number;
  lidJPerK: number;
  /** head space to lid, W/K, in air and in pure steam */
  lidAirWPerK: number;
  lidSteamWPerK: number;
  sideLossWPerK: number;
  fillLossWPerK: number;
  lidLossWPerK: number;
  /** effective openings, m2 (discharge coefficient times area) */
  floatM2: number;
  quickM2: number;
  leakM2: number;
  pinUpPa: number;
  pinDropPa: number;
  /** how the heater is held at the set pressure; outputs are only compared with a throttled one */
  control: 'throttle' | 'on-off';
  bandPa: number;
  leadPaPerK: number;
  /** countdown starts at this share of the set pressure */
  startShare: number;
  highKpa: number;
  lowKpa: number | null;
  relief: { openPa: number; spanPa: number; areaM2: number } | null;
  /** valve of a whistle cooker: pops at open, shuts at close */
  whistle: { openPa: number; closePa: number; areaM2: number } | null;
  /** the only programs it has, where pressure and time cannot be chosen */
  programs: readonly { id: string; pressure: 'high' | 'low'; holdMin: number }[] | null;
  minimumLiquidMl: Sourced;
  /** its highest mark, as a share of its litres */
  fillShare: number;
  roomC: number;
  /** what its log taught of its base: points on the log odds that it catches, with one standard deviation */
  scorch?: { points: number; sd: number } | undefined;
  /** height of its rack's feet, mm, and the bowl that goes into it, where the cook told of them */
  rackMm?: number | undefined;
  bowl?: InnerBowl | undefined;
}

const electric57: PotProfile = {
  id: 'electric-5.7',
  kind: 'electric',
  litres: 5.7, // common practice: a usual size; its diameter and power too
  diameterMm: 222,
  powerW: 1000,
  efficiency: 0.92, // tuned: minutes to the pin
  baseJPerK: 600, // tuned
  baseWPerK: 22, // tuned
  wallJPerK: 620, // tuned
  lidJPerK: 520, // tuned
  lidAirWPerK: 3, // from memory; the facts do not feel it
  lidSteamWPerK: 30, // from memory; the facts do not feel it
  sideLossWPerK: 0.46, // tuned: natural release
  fillLossWPerK: 0.85, // tuned: natural release, small against full
  lidLossWPerK: 0.45, // from memory; only its sum with the side can be told
  floatM2: 3.4e-6, // tuned, weakly
  quickM2: 3.5e-6, // tuned: minutes of a quick release
  leakM2: 0.02e-6, // from memory: 0.3 g of steam a minute
  pinUpPa: 3000, // from memory
  pinDropPa: 2000, // from memory, within 2 to 4 kPa
  control: 'throttle',
  bandPa: 5000, // from memory
  leadPaPerK: 300, // from memory
  startShare: 0.9, // from memory
  highKpa: 75, // common practice: 70 to 80
  lowKpa: 40, // common practice: 35 to 50
  relief: null,
  whistle: null,
  programs: null,
  minimumLiquidMl: [240, 'P'],
  fillShare: 2 / 3, // common practice
  roomC: 21, // common practice
};

/** A pot where it stands. */
export interface PotAt {
  pot: PotProfile;
  altitudeM: number;
}

/** Another size of the same cooker: surfaces and metal grow with the area, volume^(2/3). [derived, not calibrated] */
export function resized(pot: PotProfile, litres: number): PotProfile {
  const area = (litres / pot.litres) ** (2 / 3);
  return {
    ...pot,
    litres,
    baseJPerK: pot.baseJPerK * area,
    baseWPerK: pot.baseWPerK * area,
    wallJPerK: pot.wallJPerK * area,
    lidJPerK: pot.lidJPerK * area,
    lidAirWPerK: pot.lidAirWPerK * area,
    lidSteamWPerK: pot.lidSteamWPerK * area,
    sideLossWPerK: pot.sideLossWPerK * area,
    fillLossWPerK: pot.fillLossWPerK * area,
    lidLossWPerK: pot.lidLossWPerK * area,
  };
}

/** The electric cooker in another size, with its own power and width. */
function scaled({
  litres,
  minimumMl,
  ...own
}: Pick<PotProfile, 'id' | 'litres' | 'powerW' | 'diameterMm'> & { minimumMl: number }): PotProfile {
  return { ...resized(electric57, litres), ...own, minimumLiquidMl: [minimumMl, 'P'] };
}

/** A program that is called by what it does. */
const unnamed = (pressure: 'low' | 'high', holdMin: number) => ({ id: `${pressure}-${holdMin}`, pressure, holdMin });

/** The flames are from memory and not calibrated; of the whistle only its shutting was tuned, to 5 to 15 g of steam each. */
export const pots: readonly PotProfile[] = [
  electric57,
  scaled({ id: 'electric-8', litres: 8, powerW: 1200, diameterMm: 244, minimumMl: 350 }),
  scaled({ id: 'electric-3', litres: 3, powerW: 700, diameterMm: 178, minimumMl: 180 }),
  {
    ...scaled({ id: 'program-5', litres: 5, powerW: 900, diameterMm: 212, minimumMl: 230 }),
    // Minutes of such cookers as cooks tell them [common practice].
    programs: [
      ...[5, 12, 20].map((holdMin) => unnamed('low', holdMin)),
      ...[5, 15, 25, 35].map((holdMin) => unnamed('high', holdMin)),
    ],
  },
  {
    ...electric57,
    id: 'stovetop-6',
    kind: 'spring',
    litres: 6,
    powerW: 1800,
    efficiency: 0.5,
    baseWPerK: 150,
    sideLossWPerK: 1.8,
    fillLossWPerK: 0.6,
    lidLossWPerK: 0.7,
    highKpa: 100,
    lowKpa: 55,
    relief: { openPa: 108e3, spanPa: 10e3, areaM2: 8e-6 },
    minimumLiquidMl: [250, 'P'],
  },
  {
    ...electric57,
    id: 'whistle-5',
    kind: 'whistle',
    litres: 5,
    diameterMm: 215,
    powerW: 2000,
    efficiency: 0.45,
    baseWPerK: 150,
    sideLossWPerK: 1.8,
    fillLossWPerK: 0.6,
    lidLossWPerK: 0.7,
    floatM2: 0.8e-6,
    highKpa: 100,
    lowKpa: null,
    whistle: { openPa: 100e3, closePa: 72e3, areaM2: 10e-6 },
    minimumLiquidMl: [250, 'P'],
  },
];

export const potIds: readonly string[] = pots.map((p) => p.id);

/** Area of the base in cm2. */
export const baseAreaCm2 = (pot: PotProfile): number => (Math.PI / 4) * (pot.diameterMm / 10) ** 2;
