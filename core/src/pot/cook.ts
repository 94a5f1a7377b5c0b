import { ambientPa } from '../water/atmosphere';
import { saturationC } from '../water/saturation';
import { latentJPerKg, saturationSlope, steamDensity, waterJPerKgK } from '../water/steam';
import type { History } from '../history';
import { Recorder } from './history';
import type { PotAt } from './profile';
import { PotState, type Load, type SteamLost } from './state';
import { step } from './step';

const { max, min } = Math;

export interface Release {
  kind: 'quick' | 'natural' | 'timed';
  /** minutes of natural release before the valve is opened (timed only) */
  naturalMin?: number;
}

export interface Program {
  pressure: 'high' | 'low';
  holdMin: number;
  release: Release;
}

/** Minutes of natural release, to the valve or to the open lid. */
export const naturalMinOf = (run: Pick<PotRun, 'valveS' | 'openS' | 'releaseS'>): number =>
  ((run.valveS ?? run.openS) - run.releaseS) / 60;

export interface PotRun {
  history: History;
  pinUpS: number | null;
  countdownS: number | null;
  releaseS: number;
  /** when the valve was opened by hand, or null */
  valveS: number | null;
  pinDownS: number | null;
  openS: number;
  openC: number;
  lost: SteamLost;
  heaterJ: number;
  slowC: Float64Array;
  /** openings of the pop valve of a whistle cooker */
  whistles: number;
  /** the pot never reached pressure within the limit */
  neverSealed: boolean;
  dry: boolean;
  end: PotState;
}

/** A pot that has not come to pressure in an hour never will. */
const heatLimitS = 3600;
const naturalLimitMin = 90;
/** Within this of its opening a pop valve is stepped finely [derived], Pa; and into so many parts. */
const nearPopPa = 3000;
const popParts = 10;
/** From this gauge on with the pin still down steam drives the air out; it is followed in such steps [derived], Pa and s. */
const purgePa = 300;
const purgeStepS = 0.5;
/**
 * Where nothing bends, the pot takes long steps and the samples between are read off the line: heating well below the local
 * boil, a hold that has settled, a release under way [derived: within 0.1 K of a fine solver over an hour].
 */
const calm = { stepS: 10, riseS: 4, belowBoilK: 15, settleS: 12, holdS: 16, releaseS: 8, pinPa: 2500, shortPa: 12_000 };
/** A long step is at most this share of the food's own time constant against the plate and lid [derived: stable from .5 down]. */
const calmShare = 0.35;

/** Samples that a long step may span in this pot: a light load on a strong plate moves too fast for ten seconds. */
function calmSamples(s: PotState, dtS: number): number {
  const foodJPerK = s.dryJPerK + s.waterKg * waterJPerKgK;
  const ownS = (calmShare * foodJPerK) / (s.pot.baseWPerK + s.pot.lidSteamWPerK);
  return Math.max(1, Math.floor(Math.min(calm.stepS, ownS) / dtS));
}

/** With the pin down the float opening holds the gauge near nothing; a long step cannot follow the air through it. */
const shownKpa = (s: PotState): number => (s.pinUp ? s.gauge : min(max(s.gauge, 0), purgePa)) / 1000;

/** One step of so many samples, each recorded. */
function leap(
  s: PotState,
  recorder: Recorder,
  { dtS, samples, heaterW }: { dtS: number; samples: number; heaterW: number },
): void {
  const from = s.tempC;
  const fromKpa = shownKpa(s);
  step(s, dtS * samples, heaterW);
  const toKpa = shownKpa(s);
  for (let i = 1; i <= samples; i++) {
    const f = i / samples;
    recorder.push(from + (s.tempC - from) * f, fromKpa + (toKpa - fromKpa) * f);
  }
}

/** Share of the flame that is left on after the first whistle [common practice]. */
const lowFlame = 0.6;

/** State and samples of a cook at one moment; a branch starts from a copy. */
interface PotSnapshot {
  state: PotState;
  samples: number;
}

/**
 * One natural release, followed minute by minute for as long as somebody asks: a valve opened after any number of
 * minutes branches from it, so that a search pays for every second of falling pressure once.
 */
class NaturalRelease {
  /** the state at every whole minute since the end of the hold */
  readonly snapshots: PotSnapshot[];
  readonly recorder: Recorder;
  private readonly state: PotState;
  private readonly beganS: number;
  pinDownS: number | null = null;
  private atPinDown: PotSnapshot | null = null;

  constructor(
    start: PotState,
    samples: Recorder,
    private readonly dtS: number,
  ) {
    this.state = start;
    this.beganS = start.timeS;
    this.recorder = samples;
    this.snapshots = [{ state: start.clone(), samples: samples.length }];
    this.watchPin();
  }

  /** The last whole minute not after `minutes`: with the pin down the closed pot goes on cooling. */
  after(minutes: number): PotSnapshot {
    while (this.snapshots.length <= minutes) this.nextMinute();
    return this.snapshots[Math.floor(minutes)]!;
  }

  /** The moment the pin falls by itself. */
  pinDown(): PotSnapshot {
    while (!this.atPinDown) this.nextMinute();
    return this.atPinDown;
  }

  private watchPin(): void {
    const s = this.state;
    if (this.atPinDown || (s.pinUp && s.timeS - this.beganS < naturalLimitMin * 60)) return;
    this.pinDownS = s.timeS;
    this.atPinDown = { state: s.clone(), samples: this.recorder.length };
  }

  private nextMinute(): void {
    const s = this.state;
    const end = this.beganS + this.snapshots.length * 60;
    while (s.timeS < end - 1e-9) {
      const left = Math.max(1, Math.round((end - s.timeS) / this.dtS));
      const under = s.timeS - this.beganS >= calm.releaseS && s.gauge > s.pot.pinDropPa + calm.pinPa;
      leap(s, this.recorder, {
        dtS: this.dtS,
        samples: under || this.pinIsDown() ? Math.min(calmSamples(s, this.dtS), left) : 1,
        heaterW: 0,
      });
      this.watchPin();
    }
    this.snapshots.push({ state: s.clone(), samples: this.recorder.length });
  }

  /** Long enough under a fallen pin for its last breath to be gone. */
  private pinIsDown(): boolean {
    return this.pinDownS !== null && this.state.timeS - this.pinDownS >= calm.settleS;
  }
}

/**
 * Heats a closed pot to the countdown and holds it, keeping the state at every half minute of hold, so that any pair of
 * hold and release can branch from it without heating the pot again.
 *
 * A whistle cooker has no countdown: its hold begins at the first whistle, from where a lower flame goes on.
 */
export class HeatedPot {
  readonly recorder = new Recorder();
  pinUpS: number | null = null;
  countdownS: number | null = null;
  private readonly snapshots: PotSnapshot[] = [];
  private readonly releases = new Map<number, NaturalRelease>();
  private readonly setPa: number;
  private readonly calmBelowC: number;
  readonly state: PotState;

  constructor(
    { pot, altitudeM }: PotAt,
    load: Load,
    readonly pressure: 'high' | 'low',
    readonly dtS = 1,
  ) {
    this.state = new PotState(pot, altitudeM, load);
    this.calmBelowC = saturationC(ambientPa(altitudeM)) - calm.belowBoilK;
    this.setPa = 1000 * (pressure === 'high' || pot.lowKpa === null ? pot.highKpa : pot.lowKpa);
    const s = this.state;
    this.recorder.push(s.tempC, s.gaugePa() / 1000);
    while (s.timeS < heatLimitS && !s.dry) {
      const samples = this.heatSamples();
      this.advance(pot.whistle ? pot.powerW : heaterW(s, this.setPa, samples * dtS), samples);
      if (this.pinUpS === null && s.pinUp) this.pinUpS = s.timeS;
      if (s.pinUp && (pot.whistle ? s.whistles > 0 : s.gauge >= pot.startShare * this.setPa)) {
        this.countdownS = s.timeS;
        break;
      }
    }
    this.keep();
  }

  /** Samples of the next step on the way up: long ones well below the boil, and again between the pin and the set pressure. */
  private heatSamples(): number {
    const s = this.state;
    if (s.timeS < calm.settleS) return 1;
    if (!s.pinUp) return s.tempC < this.calmBelowC ? calmSamples(s, this.dtS) : 1;
    const since = s.timeS - (this.pinUpS ?? s.timeS);
    const smooth = !s.pot.whistle && s.pot.control === 'throttle' && since >= calm.riseS;
    return smooth && s.gauge < this.setPa * s.pot.startShare - calm.shortPa
      ? Math.min(calmSamples(s, this.dtS), Math.round(calm.riseS / this.dtS))
      : 1;
  }

  private keep(): void {
    this.snapshots.push({ state: this.state.clone(), samples: this.recorder.length });
  }

  private advance(heaterW: number, samples = 1): void {
    const s = this.state;
    if (samples > 1) {
      leap(s, this.recorder, { dtS: this.dtS, samples, heaterW });
      return;
    }
    const whistle = s.pot.whistle;
    // A pop valve empties the head space within a second: finer steps while it is open or about to. So does the last of
    // the purge: a coarse step could lift the pin on a single overshoot and shut the air in.
    const popping = whistle && (s.whistleOpen || s.gauge > whistle.openPa - nearPopPa);
    const purging = !s.pinUp && s.gauge > purgePa;
    const parts = popping ? popParts : purging ? Math.ceil(this.dtS / purgeStepS) : 1;
    for (let i = 0; i < parts; i++) step(s, this.dtS / parts, heaterW);
    this.recorder.push(s.tempC, s.gauge / 1000);
  }

  private holdW(stepS: number): number {
    const { pot } = this.state;
    return pot.whistle ? pot.powerW * lowFlame : heaterW(this.state, this.setPa, stepS);
  }

  /** The state after `halfMinutes` half minutes of hold, holding on as far as needed. */
  private at(halfMinutes: number): PotSnapshot {
    const perHalf = Math.round(30 / this.dtS);
    while (this.snapshots.length <= halfMinutes) {
      const steady = this.state.pot.control === 'throttle' && !this.state.pot.whistle;
      for (let i = 0; i < perHalf;) {
        const settled = steady && this.state.timeS - (this.countdownS ?? Infinity) >= calm.holdS;
        const samples = settled ? Math.min(calmSamples(this.state, this.dtS), perHalf - i) : 1;
        this.advance(this.holdW(samples * this.dtS), samples);
        i += samples;
      }
      this.keep();
    }
    return this.snapshots[halfMinutes]!;
  }

  /** Minutes on the way to the countdown at or over so many degrees. */
  minutesFrom(tempC: number): number {
    const end = this.snapshots[0]!.samples;
    const temps = this.recorder.columns().tempC.subarray(0, end);
    const from = temps.findIndex((c) => c >= tempC);
    return from < 0 ? 0 : ((end - from) * this.dtS) / 60;
  }

  /** Whistles heard by the end of a hold, and the hold that ends with the given whistle (to the half minute). */
  whistlesAt(holdMin: number): number {
    return this.at(Math.round(holdMin * 2)).state.whistles;
  }
  holdForWhistles(count: number): number {
    let half = 0;
    while (half < 240 && this.at(half).state.whistles < count) half += 1;
    return half / 2;
  }

  private releaseFrom(halfMinutes: number): NaturalRelease {
    let r = this.releases.get(halfMinutes);
    if (!r) {
      const start = this.at(halfMinutes);
      const state = start.state.clone();
      state.whistleOpen = false;
      r = new NaturalRelease(state, this.recorder.branch(start.samples), this.dtS);
      this.releases.set(halfMinutes, r);
    }
    return r;
  }

  /** One whole cook: hold (half minutes) and release from the shared heat-up. */
  finish(holdMin: number, release: Release): PotRun {
    const natural = this.releaseFrom(Math.round(holdMin * 2));
    const begun = natural.snapshots[0]!;
    const releaseAt = begun.samples - 1;
    const releaseS = begun.state.timeS;
    const minutes = release.kind === 'timed' ? Math.min(naturalLimitMin, release.naturalMin ?? 0) : 0;
    const from = release.kind === 'natural' ? natural.pinDown() : natural.after(minutes);
    const s = from.state.clone();
    const recorder = natural.recorder.branch(from.samples);
    const advance = (): void => {
      step(s, this.dtS, 0);
      recorder.push(s.tempC, s.gauge / 1000);
    };
    // Parts of a minute, when the cook asks for 7.5 min.
    const limitS = minutes * 60;
    while (release.kind !== 'natural' && s.timeS - releaseS < limitS - 1e-9) advance();
    const fell = natural.pinDownS;
    let pinDownS = s.pinUp ? null : fell !== null && fell <= s.timeS ? fell : s.timeS;
    let valveS: number | null = null;
    if (s.gauge > 200) {
      // With the pin still up the valve is opened; with it down the last breath leaves through the float opening.
      if (s.pinUp) valveS = s.timeS;
      s.quickOpen = true;
      while (s.gauge > 200 && s.timeS - releaseS < naturalLimitMin * 60) {
        advance();
        if (!s.pinUp) pinDownS ??= s.timeS;
      }
    }
    // The vapour of the head space leaves with the lid.
    s.lost.open += s.headM3 * steamDensity(s.tempC);
    const columns = recorder.columns();
    return {
      history: { dtS: this.dtS, ...columns, releaseAt, openAt: columns.tempC.length - 1 },
      pinUpS: this.pinUpS,
      countdownS: this.countdownS,
      releaseS,
      valveS,
      pinDownS,
      openS: s.timeS,
      openC: s.tempC,
      lost: s.lost,
      heaterJ: s.heaterJ,
      slowC: s.slowC,
      whistles: s.whistles,
      neverSealed: this.countdownS === null,
      dry: s.dry,
      end: s,
    };
  }
}

/**
 * Full power until the pin is up. Then throttled in proportion to what is missing, or switched off above the band and on
 * below it; the base sensor leads. Watts before the efficiency; `setPa` is the wanted gauge in Pa.
 *
 * The proportional law holds at the END of the step of `stepS` seconds: gauge and base are taken as linear in the heat
 * given (plate and food as two lumps, Clapeyron's slope), which is stable at any step. The heat is cut further where the
 * plate, hotter than the losses need, would still carry the pot over its band: slope x Cb / (Cb + C) Pa per K of it.
 */
export function heaterW(s: PotState, setPa: number, stepS = 1): number {
  const { pot } = s;
  if (!s.pinUp) return pot.powerW;
  if (pot.control === 'on-off') {
    const felt = s.gauge + pot.leadPaPerK * Math.max(0, s.baseC - s.tempC);
    s.heaterOn = s.heaterOn ? felt < setPa + pot.bandPa : felt <= setPa - pot.bandPa;
    return s.heaterOn ? pot.powerW : 0;
  }
  const foodJPerK = s.dryJPerK + s.waterKg * waterJPerKgK;
  const slope = saturationSlope(s.tempC, steamDensity(s.tempC, s.satPa), latentJPerKg(s.tempC));
  const half = (stepS / 2) * pot.baseWPerK;
  const base = ((pot.baseJPerK - half) * s.baseC + 2 * half * s.tempC) / (pot.baseJPerK + half);
  const basePerW = (stepS * pot.efficiency) / (pot.baseJPerK + half);
  // What the plate gives and the food does not keep goes to the walls and into the pieces.
  const lossW = pot.baseWPerK * (s.baseC - s.tempC) - foodJPerK * s.rateKPerS;
  const food = s.tempC + (stepS / foodJPerK) * (pot.baseWPerK * ((s.baseC + base) / 2 - s.tempC) - lossW);
  const foodPerW = ((stepS / foodJPerK) * pot.baseWPerK * basePerW) / 2;
  const sensor = base > food ? pot.leadPaPerK : 0;
  const felt = s.gauge + slope * (food - s.tempC) + sensor * (base - food);
  const feltPerW = slope * foodPerW + sensor * (basePerW - foodPerW);
  const wanted = (pot.powerW * (setPa + pot.bandPa - felt)) / (2 * pot.bandPa + pot.powerW * feltPerW);
  // What the plate still gives once the heat is off must not carry a light pot over its band.
  const gives = (slope * pot.baseJPerK) / (pot.baseJPerK + foodJPerK);
  const peak = s.gauge + slope * (food - s.tempC) + gives * Math.max(0, base - food - lossW / pot.baseWPerK);
  const peakPerW = slope * foodPerW + gives * (basePerW - foodPerW);
  const bearable = (setPa + peakBand * pot.bandPa - peak) / peakPerW;
  return Math.min(pot.powerW, Math.max(0, Math.min(wanted, bearable)));
}
/** Share of the band that the peak after a hot plate may use [derived]. */
const peakBand = 0.8;

/** One whole cook from the lid to the opening. `dtS` 1 s meets the tolerances of the notes; 0.5 s halves the error. */
export function cookPot(at: PotAt, load: Load, program: Program, dtS = 1): PotRun {
  return new HeatedPot(at, load, program.pressure, dtS).finish(program.holdMin, program.release);
}
