import type { GrainRecord } from '../food/record';
import type { History } from '../history';
import { rateTable } from './rate';

const { min, max, round, log, exp } = Math;

/** How the grain's own temperature follows the pot, and what goes on after the lid opens. */
export interface Surroundings {
  /** lag of the bed, s; 0 for stirred dishes, soups and thin layers */
  lagS: number;
  /** separate rice keeps its heat after opening: minutes counted, 0 for none */
  standMin: number;
  /** minutes stirred at a simmer after opening, before any standing */
  simmerMin?: number;
}

/** Time constant of the lag, s, from the depth of the contents in cm [tuned: min(0.09 d2, 4.25) min]. */
export const bedLagS = (depthCm: number): number => 60 * min(0.09 * depthCm * depthCm, 4.25);

/** Room and cooling of an opened bed, from the notes' profile [common practice]. */
const roomC = 25;
const simmerC = 99;
const standTauMin = 45;

/**
 * Temperature of the grain at every sample of the pot's history, continued through the stand. Once the pressure falls,
 * the bed cannot stay more than 1 K above the pot: its water boils.
 */
export function grainTemps(history: History, around: Surroundings): Float64Array {
  const simmer = round(((around.simmerMin ?? 0) * 60) / history.dtS);
  const stand = round((around.standMin * 60) / history.dtS);
  const opened = history.tempC.length + simmer;
  const out = new Float64Array(opened + stand);
  const share = around.lagS > 0 ? 1 - exp(-history.dtS / around.lagS) : 1;
  let t = history.tempC[0]!;
  for (let i = 0; i < history.tempC.length; i++) {
    const pot = history.tempC[i]!;
    t += (pot - t) * share;
    if (i > history.releaseAt && t > pot + 1) t = pot + 1;
    out[i] = t;
  }
  out.fill(simmerC, history.tempC.length, opened);
  const open = simmer > 0 ? simmerC : min(t, 100);
  for (let i = 0; i < stand; i++)
    out[opened + i] = roomC + (open - roomC) * exp(-((i + 1) * history.dtS) / (60 * standTauMin));
  return out;
}

export interface ClockInput {
  grain: GrainRecord;
  /** raw grain, g */
  rawG: number;
  /** water already inside the grain from a soak, g */
  soakedG: number;
  /** free water the grain can reach, g: everything in the ledger but the soak */
  reachableG: number;
  /** slowing of the uptake by tomato in an unstirred pot, 0..1 (1 = none) */
  slowing: number;
  /** filled with the free water left after every sample, g, for a chart; one entry a sample */
  freeTraceG?: Float64Array;
}

export interface ClockResult {
  /** equivalent minutes at 100 degC */
  equivalentMin: number;
  /** moisture of the grain, wet basis */
  moisture: number;
  /** water left outside the grain, g */
  freeG: number;
}

/** First-order wetting: with little free water left, the surface is only partly wet [derived, one constant]. */
const wetting = 0.12;

/**
 * Doneness and uptake on one clock: E = integral of r(T), dM/dt = k r(T) (Me - M) w/(w + 0.12), dry basis, explicit
 * Euler on the samples of the history (1 s: error below 1e-6 in moisture against 0.1 s).
 */
export function runClock(temps: Float64Array, dtS: number, input: ClockInput): ClockResult {
  const g = input.grain;
  const raw = g.rawMoisture[0];
  const dry = input.rawG * (1 - raw);
  const full = g.maxMoisture[0] / (1 - g.maxMoisture[0]);
  const perMin = uptakePerMin(g) * input.slowing;
  const r = rateTable(g.kinetics);
  let m = raw / (1 - raw) + input.soakedG / dry;
  let w = max(0, input.reachableG) / dry;
  let e = 0;
  const dtMin = dtS / 60;
  const trace = input.freeTraceG;
  for (let i = 0; i < temps.length; i++) {
    const worth = r(temps[i]!) * dtMin;
    if (worth === 0) {
      if (trace) trace[i] = w * dry;
      continue;
    }
    e += worth;
    const d = min(w, max(0, perMin * worth * (full - m) * (w / (w + wetting))));
    m += d;
    w -= d;
    if (trace) trace[i] = w * dry;
  }
  return { equivalentMin: e, moisture: m / (1 + m), freeG: w * dry };
}

/** Uptake rate constant at 100 degC, 1/min, from the boiling time in plenty of water. */
export function uptakePerMin(g: GrainRecord): number {
  const db = (m: number): number => m / (1 - m);
  const full = db(g.maxMoisture[0]);
  return -log((full - db(g.refMoisture[0])) / (full - db(g.rawMoisture[0]))) / g.boilMin[0];
}

/** Water, g, that cooked grain or pasta still drinks in so many minutes at a temperature, with plenty around it. */
export function drinksG(
  g: GrainRecord,
  { rawG, moisture }: { rawG: number; moisture: number },
  tempC: number,
  minutes: number,
): number {
  const db = (m: number): number => m / (1 - m);
  const room = max(0, db(g.maxMoisture[0]) - db(moisture));
  const share = 1 - exp(-uptakePerMin(g) * rateTable(g.kinetics)(tempC) * minutes);
  return rawG * (1 - g.rawMoisture[0]) * room * share;
}

/** Equivalent minutes alone, for a search that only needs the clock. */
export function equivalentMin(temps: Float64Array, dtS: number, kinetics: GrainRecord['kinetics']): number {
  const r = rateTable(kinetics);
  let e = 0;
  for (let i = 0; i < temps.length; i++) e += r(temps[i]!);
  return (e * dtS) / 60;
}
