import { ambientPa } from '../water/atmosphere';
import { saturationC } from '../water/saturation';
import { steamDensity } from '../water/steam';
import { heaterW } from './heater';
import { Recorder } from './history';
import { calm, calmSamples, leap, purgePa } from './leap';
import { NaturalRelease, naturalLimitMin, type PotSnapshot } from './natural-release';
import type { PotAt } from './profile';
import type { PotRun, Program, Release } from './program';
import { PotState, type Load } from './state';
import { step } from './step';

/** A pot that has not come to pressure in an hour never will. */
const heatLimitS = 3600;
/** Within this of its opening a pop valve is stepped finely [derived], Pa; and in such steps, s. */
const nearPopPa = 3000;
const popStepS = 0.1;
/** The purge is followed in such steps [derived], s. */
const purgeStepS = 0.5;
/** Share of the flame that is left on after the first whistle [common practice]. */
const lowFlame = 0.6;

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
  /** Where each whistle of the hold has shut again. */
  private readonly whistleEnds: PotSnapshot[] = [];
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
    if (samples > 1) leap(this.state, this.recorder, { dtS: this.dtS, samples, heaterW });
    else {
      this.shortStep(this.state, this.recorder, heaterW);
      // One may open and shut within a single step.
      if (!this.state.whistleOpen && this.state.whistles > this.whistleEnds.length)
        this.whistleEnds.push({ state: this.state.clone(), samples: this.recorder.length });
    }
  }

  /** One sample, in parts where something happens within it. */
  private shortStep(s: PotState, recorder: Recorder, heaterW: number): void {
    const whistle = s.pot.whistle;
    // A pop valve empties the head space within a second: finer steps while it is open or about to. So does the last of
    // the purge: a coarse step could lift the pin on a single overshoot and shut the air in.
    const popping = whistle && (s.whistleOpen || s.gauge > whistle.openPa - nearPopPa);
    const purging = !s.pinUp && s.gauge > purgePa;
    const parts = popping ? Math.ceil(this.dtS / popStepS) : purging ? Math.ceil(this.dtS / purgeStepS) : 1;
    for (let i = 0; i < parts; i++) step(s, this.dtS / parts, heaterW);
    recorder.push(s.tempC, s.gauge / 1000);
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

  /** The flame of a whistle cooker goes off as its last whistle ends, wherever that falls within a half minute. */
  private endOfHold(halfMinutes: number): PotSnapshot {
    const end = this.at(halfMinutes);
    return this.whistleEnds[end.state.whistles - 1] ?? end;
  }

  private releaseFrom(halfMinutes: number): NaturalRelease {
    let r = this.releases.get(halfMinutes);
    if (!r) {
      const start = this.endOfHold(halfMinutes);
      const state = start.state.clone();
      const samples = this.recorder.branch(start.samples);
      // The flame goes off, and a valve that pops still blows until it shuts.
      while (state.whistleOpen && state.pinUp) this.shortStep(state, samples, 0);
      r = new NaturalRelease(state, samples, this.dtS);
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

/** One whole cook from the lid to the opening. `dtS` 1 s meets the tolerances of the notes; 0.5 s halves the error. */
export function cookPot(at: PotAt, load: Load, program: Program, dtS = 1): PotRun {
  return new HeatedPot(at, load, program.pressure, dtS).finish(program.holdMin, program.release);
}
