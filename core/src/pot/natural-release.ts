import type { Recorder } from './history';
import { calm, calmSamples, leap } from './leap';
import type { PotState } from './state';

/** A pin that is still up after so long is taken as down, min [derived]. */
export const naturalLimitMin = 90;

/** State and samples of a cook at one moment; a branch starts from a copy. */
export interface PotSnapshot {
  state: PotState;
  samples: number;
}

/**
 * One natural release, followed minute by minute for as long as somebody asks: a valve opened after any number of
 * minutes branches from it, so that a search pays for every second of falling pressure once.
 */
export class NaturalRelease {
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
