import { steamDensity } from '../water/steam';
import { Recorder, type History } from './history';
import type { PotProfile } from './profile';
import { PotState, type Load, type SteamLost } from './state';
import { step } from './step';

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
  /** the pot never reached pressure within the limit */
  neverSealed: boolean;
  dry: boolean;
  end: PotState;
}

/** A pot that has not come to pressure in an hour never will. */
const heatLimitS = 3600;
const naturalLimitS = 5400;

/**
 * Heats a closed pot to the countdown and holds it, keeping the state at every half minute of hold, so that any pair of
 * hold and release can branch from it without heating the pot again.
 */
export class HeatedPot {
  readonly recorder = new Recorder();
  pinUpS: number | null = null;
  countdownS: number | null = null;
  private readonly kept: { state: PotState; samples: number }[] = [];
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
      this.advance();
      if (this.pinUpS === null && s.pinUp) this.pinUpS = s.timeS;
      if (s.pinUp && s.gauge >= pot.startShare * this.setPa) {
        this.countdownS = s.timeS;
        break;
      }
    }
    this.keep();
  }

  private keep(): void {
    this.kept.push({ state: this.state.clone(), samples: this.recorder.length });
  }

  private advance(): void {
    const s = this.state;
    step(s, this.dtS, throttledW(s, this.setPa));
    this.recorder.push(s.tempC, s.gauge / 1000);
  }

  /** The state after `halfMinutes` half minutes of hold, holding on as far as needed. */
  private at(halfMinutes: number): { state: PotState; samples: number } {
    const perHalf = Math.round(30 / this.dtS);
    while (this.kept.length <= halfMinutes) {
      for (let i = 0; i < perHalf; i++) this.advance();
      this.keep();
    }
    return this.kept[halfMinutes]!;
  }

  /** One whole cook: hold (half minutes) and release from the shared heat-up. */
  finish(holdMin: number, release: Release): CookRun {
    const start = this.at(Math.round(holdMin * 2));
    const s = start.state.clone();
    const recorder = this.recorder.branch(start.samples);
    const releaseAt = recorder.length - 1;
    const releaseS = s.timeS;
    const advance = (): void => {
      step(s, this.dtS, 0);
      recorder.push(s.tempC, s.gauge / 1000);
    };
    const limitS =
      release.kind === 'quick' ? 0 : release.kind === 'natural' ? naturalLimitS : (release.naturalMin ?? 0) * 60;
    let pinDownS: number | null = null;
    while (s.pinUp && s.timeS - releaseS < limitS - 1e-9) advance();
    if (!s.pinUp) pinDownS = s.timeS;
    let valveS: number | null = null;
    if (s.gauge > 200) {
      // With the pin still up the valve is opened; with it down the last breath leaves through the float opening.
      if (s.pinUp) valveS = s.timeS;
      s.quickOpen = true;
      while (s.gauge > 200 && s.timeS - releaseS < naturalLimitS) {
        advance();
        if (pinDownS === null && !s.pinUp) pinDownS = s.timeS;
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
      neverSealed: this.countdownS === null,
      dry: s.dry,
      end: s,
    };
  }
}

/** Throttled heater: full until the pin is up, then in proportion to what is missing; the base sensor leads. */
function throttledW(s: PotState, setPa: number): number {
  if (!s.pinUp) return s.pot.powerW;
  const felt = s.gauge + s.pot.leadPaPerK * Math.max(0, s.baseC - s.tempC);
  return s.pot.powerW * Math.min(1, Math.max(0, (setPa + s.pot.bandPa - felt) / (2 * s.pot.bandPa)));
}

/** One whole cook from the lid to the opening. `dtS` 1 s meets the tolerances of the notes; 0.5 s halves the error. */
export function cookPot(pot: PotProfile, altitudeM: number, load: Load, program: Program, dtS = 1): CookRun {
  return new HeatedPot(pot, altitudeM, load, program.pressure, dtS).finish(program.holdMin, program.release);
}
