import {
  heaterW,
  PotState,
  Recorder,
  stepPot,
  type CookRun,
  type Fault,
  type Load,
  type PotProfile,
} from '@einkorn/core';
import { bell, stream } from './noise';

export interface CookerSetting {
  pot: PotProfile;
  altitudeM: number;
  /** what stands in it when the lid is locked */
  load: Load;
  pressure: 'high' | 'low';
  holdMin: number;
  whistles: number | null;
  seed: number;
  faults: readonly Fault[];
}

/** What the cooker tells, `atS` seconds after the lid was locked. */
export interface Signal {
  kind: 'pin-up' | 'pin-down' | 'countdown' | 'hold-end' | 'whistle' | 'burn' | 'gauge';
  atS: number;
  /** gauge only: kPa as the sensor reads it */
  value?: number;
}

const dtS = 0.5;
/** How far one cooker is from the next of its kind, one standard deviation [common practice: a tenth in heat-up]. */
const spread = { efficiency: 0.05, losses: 0.12, float: 0.1, quick: 0.1 };
/** What each fault does [derived: strong enough to be noticed, weak enough to be cooked with]. */
const harm = {
  sealFloat: 5,
  sealS: 170,
  steamPa: 300,
  ringM2: 0.55e-6,
  // At two thirds one pot in twelve never came to pressure.
  heater: 0.76,
  popPa: 25_000,
  burnC: 88,
  stirC: 8,
};
const gaugeEveryS = 5;
const gaugeNoiseKpa = 0.7;
/** After a burn warning the lid is opened, the base scraped and the lid locked again: so long it stays off, s. */
const scrapeS = 120;
const lowFlame = 0.6;

/**
 * A cooker on the bench of the practice kitchen: the product's own pot with hidden true parameters of its own, a noisy
 * needle, and faults. It knows nothing of plans; it heats what was put in, holds the pressure it was set to and lets go.
 * Everything is a function of its setting, the commands and the time: the same again gives the same again.
 */
export class SimulatedCooker {
  private readonly s: PotState;
  private readonly recorder = new Recorder();
  private readonly noise: () => number;
  private readonly setPa: number;
  private readonly lateSealS: number;
  /** every signal it ever gave, for the look back at the end */
  readonly signals: Signal[] = [];
  private holdS: number;
  private countdownS: number | null = null;
  private releaseS: number | null = null;
  private releaseAt = 0;
  private pinUpS: number | null = null;
  private pinDownS: number | null = null;
  private valveS: number | null = null;
  private offUntilS: number | null = null;
  /** the valve is open and then the lid, until then */
  private openUntilS: number | null = null;
  private toStir = true;
  private burnt = false;
  private heard = 0;
  private readonly float: number;
  /** the pot as it truly is; a ring that settles late changes its opening */
  private readonly truth: { floatM2: number };
  private steamSinceS: number | null = null;

  constructor(private readonly setting: CookerSetting) {
    const next = stream(setting.seed);
    const has = (f: Fault): boolean => setting.faults.includes(f);
    const off = (sd: number): number => Math.max(0.5, 1 + sd * bell(next));
    const p = setting.pot;
    const losses = off(spread.losses);
    this.float = p.floatM2 * off(spread.float);
    const truth: PotProfile = {
      ...p,
      efficiency: p.efficiency * off(spread.efficiency) * (has('weak-heater') ? harm.heater : 1),
      sideLossWPerK: p.sideLossWPerK * losses,
      lidLossWPerK: p.lidLossWPerK * losses,
      floatM2: this.float * (has('slow-seal') ? harm.sealFloat : 1),
      quickM2: p.quickM2 * off(spread.quick),
      leakM2: p.leakM2 + (has('leaking-ring') ? harm.ringM2 : 0),
      ...(p.whistle && has('late-whistle') ? { whistle: { ...p.whistle, openPa: p.whistle.openPa + harm.popPa } } : {}),
    };
    this.noise = next;
    this.lateSealS = harm.sealS * (0.75 + 0.5 * next());
    this.holdS = setting.holdMin * 60;
    this.setPa = 1000 * (setting.pressure === 'low' && p.lowKpa !== null ? p.lowKpa : p.highKpa);
    this.truth = truth;
    this.s = new PotState(truth, setting.altitudeM, setting.load);
    this.recorder.push(this.s.tempC, 0);
  }

  get timeS(): number {
    return this.s.timeS;
  }
  get gaugeKpa(): number {
    return this.s.gauge / 1000;
  }
  get tempC(): number {
    return this.s.tempC;
  }
  get pin(): boolean {
    return this.s.pinUp;
  }
  /** Mass of what stands in the pot, g: what went in less the steam that left. */
  get contentsG(): number {
    const { thin, slow } = this.setting.load;
    const went = [...thin, ...slow].reduce((sum, i) => sum + i.massKg, 0);
    const { purge, leak, relief, quick, open } = this.s.lost;
    return 1000 * (went - purge - leak - relief - quick - open);
  }

  openValve(): void {
    this.valveS ??= this.s.timeS;
    this.releaseNow();
    this.s.quickOpen = true;
  }
  heatOff(): void {
    this.releaseNow();
  }
  setHoldMin(min: number): void {
    this.holdS = min * 60;
  }
  /** The base was scraped and thinned: it heats again, a little colder, once the lid is back. */
  clearBurn(): void {
    if (!this.burnt || this.offUntilS !== null) return;
    this.offUntilS = this.s.timeS + scrapeS;
    this.stirred();
  }
  /** A scraped base is no hotter than the food, and stirred food cools. */
  private stirred(): void {
    this.s.baseC = Math.min(this.s.baseC, this.s.tempC);
    this.s.tempC -= harm.stirC;
  }

  /** Let off, opened, put right and locked again `forS` seconds later, for another hold: a new run from warm. */
  lockAgain(forS: number, holdMin: number): void {
    const s = this.s;
    this.holdS = holdMin * 60;
    // Scraped a moment ago for the burn warning, the food is not stirred cold a second time.
    this.toStir = this.offUntilS === null || s.timeS >= this.offUntilS;
    this.burnt = true;
    this.offUntilS = this.openUntilS = s.timeS + forS;
    s.quickOpen = true;
    s.whistleOpen = false;
    s.whistles = this.heard = 0;
    this.countdownS = this.releaseS = this.pinUpS = this.pinDownS = this.valveS = null;
  }
  /** The lid is back: the ring sits, the stirred food and the scraped base have cooled. */
  private locked(): void {
    this.openUntilS = null;
    this.s.quickOpen = false;
    if (this.toStir) this.stirred();
    this.truth.floatM2 = this.float;
  }

  private releaseNow(): void {
    if (this.releaseS !== null) return;
    this.releaseS = this.s.timeS;
    this.releaseAt = this.recorder.length - 1;
    this.s.whistleOpen = false;
  }

  /** Runs on to `toS` seconds after the lid was locked and returns the signals on the way. */
  advance(toS: number): Signal[] {
    const from = this.signals.length;
    while (this.s.timeS < toS - 1e-9) this.tick();
    return this.signals.slice(from);
  }

  private tell(kind: Signal['kind'], value?: number): void {
    this.signals.push({ kind, atS: this.s.timeS, ...(value === undefined ? {} : { value }) });
  }

  private tick(): void {
    const s = this.s;
    const was = s.pinUp;
    if (s.gauge > harm.steamPa) this.steamSinceS ??= s.timeS;
    if (this.steamSinceS !== null && s.timeS - this.steamSinceS > this.lateSealS) this.truth.floatM2 = this.float;
    if (this.openUntilS !== null && s.timeS >= this.openUntilS) this.locked();
    stepPot(s, dtS, this.power());
    this.recorder.push(s.tempC, s.gauge / 1000);
    if (s.pinUp && !was) {
      this.pinUpS ??= s.timeS;
      this.tell('pin-up');
    }
    if (!s.pinUp && was) {
      this.pinDownS = s.timeS;
      this.tell('pin-down');
    }
    while (this.heard < s.whistles) {
      this.heard += 1;
      this.tell('whistle', this.heard);
      if (this.countdownS === null) this.startCountdown();
      if (this.setting.whistles !== null && this.heard >= this.setting.whistles) this.endHold();
    }
    const locked = this.openUntilS === null;
    if (locked && this.countdownS === null && !s.pot.whistle && s.pinUp && s.gauge >= s.pot.startShare * this.setPa)
      this.startCountdown();
    if (
      this.countdownS !== null &&
      this.releaseS === null &&
      this.setting.whistles === null &&
      s.timeS - this.countdownS >= this.holdS
    )
      this.endHold();
    if (!this.burnt && this.setting.faults.includes('burn-cut-out') && s.tempC >= harm.burnC) {
      this.burnt = true;
      this.tell('burn');
    }
    if (Math.round(s.timeS / dtS) % Math.round(gaugeEveryS / dtS) === 0)
      this.tell('gauge', Math.max(0, Math.round((s.gauge / 1000 + gaugeNoiseKpa * bell(this.noise)) * 10) / 10));
  }

  private startCountdown(): void {
    this.countdownS = this.s.timeS;
    this.tell('countdown');
  }
  private endHold(): void {
    if (this.releaseS !== null) return;
    this.releaseNow();
    this.tell('hold-end');
  }

  private power(): number {
    const s = this.s;
    if (this.releaseS !== null) return 0;
    if (this.offUntilS === null ? this.burnt : s.timeS < this.offUntilS) return 0;
    if (!s.pot.whistle) return heaterW(s, this.setPa);
    return s.pot.powerW * (s.whistles > 0 ? lowFlame : 1);
  }

  /** The cook as it was, up to now: what grain and meat read. */
  run(): CookRun {
    const s = this.s;
    const columns = this.recorder.columns();
    const at = this.releaseS === null ? columns.tempC.length - 1 : this.releaseAt;
    return {
      history: { dtS, ...columns, releaseAt: at, openAt: columns.tempC.length - 1 },
      pinUpS: this.pinUpS,
      countdownS: this.countdownS,
      releaseS: this.releaseS ?? s.timeS,
      valveS: this.valveS,
      pinDownS: this.pinDownS,
      openS: s.timeS,
      openC: s.tempC,
      lost: { ...s.lost },
      heaterJ: s.heaterJ,
      slowC: s.slowC.slice(),
      whistles: s.whistles,
      neverSealed: this.countdownS === null,
      dry: s.dry,
      end: s.clone(),
    };
  }
}
