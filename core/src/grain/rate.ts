import type { Kinetics } from '../food/record';

const { min, floor, exp } = Math;

const gasKjPerMolK = 8.314e-3;
/** The reaction law of white rice bends here: above it diffusion, not gelatinisation, is the slow part. */
const bendC = 110;
const startC = 70;

/** Activation energies, kJ/mol, below and above 110 degC [research on rice, recalled; diff and pasta derived]. */
export const activationKjPerMol: Record<Kinetics, readonly [low: number, high: number]> = {
  react: [79.5, 37],
  diff: [37, 37],
  pasta: [32, 32],
};

/** Minutes at 100 degC that one minute at `tempC` is worth (Arrhenius, 0 below 70 degC). */
export function rate(kinetics: Kinetics, tempC: number): number {
  if (tempC < startC) return 0;
  const [low, high] = activationKjPerMol[kinetics];
  const k = tempC + 273.15;
  if (tempC <= bendC) return exp((low / gasKjPerMolK) * (1 / 373.15 - 1 / k));
  const atBend = exp((low / gasKjPerMolK) * (1 / 373.15 - 1 / (bendC + 273.15)));
  return atBend * exp((high / gasKjPerMolK) * (1 / (bendC + 273.15) - 1 / k));
}

const tableFrom = 60;
const tableStep = 0.05;
const tables = new Map<Kinetics, Float64Array>();

/** The same rate from a table of 0.05 K steps: the clock reads it some thousand times a cook. */
export function rateTable(kinetics: Kinetics): (tempC: number) => number {
  let table = tables.get(kinetics);
  if (!table) {
    table = Float64Array.from({ length: 1601 }, (_, i) => rate(kinetics, tableFrom + i * tableStep));
    tables.set(kinetics, table);
  }
  const t = table;
  return (c) => {
    if (c < startC) return 0;
    const x = min(1599.999, (c - tableFrom) / tableStep);
    const i = floor(x);
    return t[i]! + (x - i) * (t[i + 1]! - t[i]!);
  };
}
