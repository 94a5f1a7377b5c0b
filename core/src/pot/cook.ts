import { steamDensity } from '../water/steam';
import { Recorder, type History } from './history';
import type { PotProfile } from './profile';
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

export interface CookRun {
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
 * Where nothing bends, the pot takes long steps and the samples between are read off the line: heating well below the boil,
 * a hold that has settled, a release under way [derived: within 0.1 K of a fine solver over an hour].
 */
const calm = { stepS: 10, riseS: 4, belowC: 85, settleS: 12, holdS: 16, releaseS: 8, pinPa: 2500, shortPa: 12_000 };
const calmSamples = (dtS: number): number => Math.max(1, Math.round(calm.stepS / dtS));

/** With the pin down the float opening holds the gauge near nothing; a long step cannot follow the air through it. */
const shownKpa = (s: PotState): number => (s.pinUp ? s.gauge : min(max(s.gauge, 0), purgePa)) / 1000;

/** One step of so many samples, each recorded. */
function leap(s: PotState, recorder: Recorder, dtS: number, samples: number, heaterW: number): void {
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
interface Kept {
  state: PotState;
  samples: number;
}

/**
 * One natural release, followed minute by minute for as long as somebody asks: a valve opened after any number of
 * minutes branches from it, so that a search pays for every second of falling pressure once.
 */
class NaturalRelease {
  readonly kept: Kept[];
  readonly recorder: Recorder;
  private readonly state: PotState;
  private readonly beganS: number;
  pinDownS: number | null = null;

  constructor(
    start: PotState,
    samples: Recorder,
    private readonly dtS: number,
  ) {
    this.state = start;
    this.beganS = start.timeS;
    this.recorder = samples;
    this.kept = [{ state: start.clone(), samples: samples.length }];
    if (!start.pinUp) this.pinDownS = start.timeS;
  }

  /** The moment `minutes` after the end of the hold, or the fall of the pin if that comes first. */
  after(minutes: number): Kept {
    while (this.kept.length <= minutes && this.pinDownS === null) this.nextMinute();
    return this.kept[Math.min(this.kept.length - 1, Math.floor(minutes))]!;
  }

  private nextMinute(): void {
    const s = this.state;
    const from = s.timeS;
    while (s.pinUp && s.timeS - from < 60 - 1e-9) {
      const left = Math.round((60 - (s.timeS - from)) / this.dtS);
      const under = s.timeS - this.beganS >= calm.releaseS && s.gauge > s.pot.pinDropPa + calm.pinPa;
      leap(s, this.recorder, this.dtS, under ? Math.max(1, Math.min(calmSamples(this.dtS), left)) : 1, 0);
    }
    if (!s.pinUp || s.timeS > 20_000) this.pinDownS = s.timeS;
    this.kept.push({ state: s.clone(), samples: this.recorder.length });
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
  private readonly kept: Kept[] = [];
  private readonly releases = new Map<number, NaturalRelease>();
  private readonly setPa: number;
  readonly state: PotState;

  constructor(
    pot: PotProfile,
    altitudeM: number,
    load: Load,
    readonly pressure: 'high' | 'low',
    readonly dtS = 1,
  ) {
    this.state = new PotState(pot, altitudeM, load);
    this.setPa = 1000 * (pressure === 'high' || pot.lowKpa === null ? pot.highKpa : pot.lowKpa);
    const s = this.state;
    this.recorder.push(s.tempC, s.gaugePa() / 1000);
    while (s.timeS < heatLimitS && !s.dry) {
      this.advance(pot.whistle ? pot.powerW : heaterW(s, this.setPa), this.heatSamples());
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
    if (!s.pinUp) return s.tempC < calm.belowC ? calmSamples(this.dtS) : 1;
    const since = s.timeS - (this.pinUpS ?? s.timeS);
    const smooth = !s.pot.whistle && s.pot.control === 'throttle' && since >= calm.riseS;
    return smooth && s.gauge < this.setPa * s.pot.startShare - calm.shortPa ? Math.round(calm.riseS / this.dtS) : 1;
  }

  private keep(): void {
    this.kept.push({ state: this.state.clone(), samples: this.recorder.length });
  }

  private advance(heaterW: number, samples = 1): void {
    const s = this.state;
    if (samples > 1) {
      leap(s, this.recorder, this.dtS, samples, heaterW);
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

  private holdW(): number {
    const { pot } = this.state;
    return pot.whistle ? pot.powerW * lowFlame : heaterW(this.state, this.setPa);
  }

  /** The state after `halfMinutes` half minutes of hold, holding on as far as needed. */
  private at(halfMinutes: number): Kept {
    const perHalf = Math.round(30 / this.dtS);
    while (this.kept.length <= halfMinutes) {
      const steady = this.state.pot.control === 'throttle' && !this.state.pot.whistle;
      for (let i = 0; i < perHalf;) {
        const settled = steady && this.state.timeS - (this.countdownS ?? Infinity) >= calm.holdS;
        const samples = settled ? Math.min(calmSamples(this.dtS), perHalf - i) : 1;
        this.advance(this.holdW(), samples);
        i += samples;
      }
      this.keep();
    }
    return this.kept[halfMinutes]!;
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
  finish(holdMin: number, release: Release): CookRun {
    const natural = this.releaseFrom(Math.round(holdMin * 2));
    const begun = natural.kept[0]!;
    const releaseAt = begun.samples - 1;
    const releaseS = begun.state.timeS;
    const minutes =
      release.kind === 'quick' ? 0 : release.kind === 'natural' ? naturalLimitMin : (release.naturalMin ?? 0);
    const from = natural.after(minutes);
    const s = from.state.clone();
    const recorder = natural.recorder.branch(from.samples);
    const advance = (): void => {
      step(s, this.dtS, 0);
      recorder.push(s.tempC, s.gauge / 1000);
    };
    // Parts of a minute, when the cook asks for 7.5 min.
    const limitS = minutes * 60;
    while (s.pinUp && s.timeS - releaseS < limitS - 1e-9) advance();
    let pinDownS = s.pinUp ? null : s.timeS;
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
 */
export function heaterW(s: PotState, setPa: number): number {
  if (!s.pinUp) return s.pot.powerW;
  const felt = s.gauge + s.pot.leadPaPerK * Math.max(0, s.baseC - s.tempC);
  if (s.pot.control === 'on-off') {
    s.heaterOn = s.heaterOn ? felt < setPa + s.pot.bandPa : felt <= setPa - s.pot.bandPa;
    return s.heaterOn ? s.pot.powerW : 0;
  }
  return s.pot.powerW * Math.min(1, Math.max(0, (setPa + s.pot.bandPa - felt) / (2 * s.pot.bandPa)));
}

/** One whole cook from the lid to the opening. `dtS` 1 s meets the tolerances of the notes; 0.5 s halves the error. */
export function cookPot(pot: PotProfile, altitudeM: number, load: Load, program: Program, dtS = 1): CookRun {
  return new HeatedPot(pot, altitudeM, load, program.pressure, dtS).finish(program.holdMin, program.release);
}
