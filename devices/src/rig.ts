import {
  resultOf,
  kitchenAt,
  loadOfFirst,
  loadOfPlan,
  potProfile,
  withFactors,
  type CookResult,
  type Cook,
  type CookRun,
  type Kitchen,
  type CookEvent,
} from '@einkorn/core';
import { SimulatedCooker, type CookerSetting, type Signal } from './cooker';
import { bell, stream } from './noise';

export const kitchenOf = (cook: Cook): Kitchen => kitchenAt(cook.plan.pot);

/** Thermometer and scale: one standard deviation of their readings. */
const probeNoiseC = 0.4;
const scaleNoiseG = 2;
/** How fast a piece cools while it is carried to the thermometer, K in the first minute [from memory]. */
const coolsKPerMin = 1.5;

/**
 * One cook on the simulated cooker: a function of the cook's own taps and the time. Events go in as they happen, signals
 * come out; after a restart the same events give the same cooker again.
 */
export class Rig {
  cooker: SimulatedCooker | null = null;
  lockMs: number | null = null;
  /** the lid is on the whole dish: in a plan of two stages, on the second */
  lockedWhole = false;
  /** the first of two stages, once the second lid is locked: how it went, and the signals of its cooker */
  first: { lockMs: number; run: CookRun; signals: readonly Signal[] } | null = null;
  private applied = new Set<string>();
  private readonly noise: () => number;

  constructor(readonly cook: Cook) {
    this.noise = stream((cook.practice?.seed ?? 1) ^ 0x5bd1e995);
  }

  /** Takes a tap of the cook; events that it told itself and repeats are nothing new. */
  feel(e: CookEvent): void {
    if (this.applied.has(e.id) || e.device !== undefined) return;
    this.applied.add(e.id);
    if (e.kind === 'done' && e.stepId === 'first-fill' && !this.cooker) this.lockFirst(e.atMs);
    if (e.kind === 'done' && e.stepId === 'lock' && !this.lockedWhole) this.lock(e.atMs);
    const c = this.cooker;
    if (!c) return;
    this.advance(e.atMs);
    if (e.kind === 'valve-open') c.openValve();
    // Who says that the pin is down has opened what was left to open.
    if (e.kind === 'pin-down' && c.gaugeKpa > 0.5) c.openValve();
    if (e.kind === 'hold-changed') c.setHoldMin(e.holdMin);
    if (e.kind === 'burn' || e.kind === 'off-plan') c.clearBurn();
    if (e.kind === 'rescued' && e.lockedAgain) c.lockAgain(e.minutes * 60, e.lockedAgain.holdMin);
  }

  private lockFirst(atMs: number): void {
    const { dish, plan } = this.cook;
    const load = loadOfFirst(dish, kitchenOf(this.cook), plan);
    const first = plan.firstStage;
    if (!load || !first) return;
    this.put(atMs, { load, pressure: 'high', holdMin: first.holdMin, whistles: first.whistles ?? null });
  }
  private lock(atMs: number): void {
    const { dish, plan } = this.cook;
    const { pressure, holdMin, whistles } = plan.program;
    this.advance(atMs);
    if (this.cooker) this.first = { lockMs: this.lockMs!, run: this.openRun()!, signals: this.cooker.signals };
    this.lockedWhole = true;
    const load = loadOfPlan(dish, kitchenOf(this.cook), plan, this.first?.run);
    this.put(atMs, { load, pressure, holdMin, whistles: whistles ?? null });
  }
  private put(atMs: number, program: Pick<CookerSetting, 'load' | 'pressure' | 'holdMin' | 'whistles'>): void {
    const { plan, practice } = this.cook;
    this.lockMs = atMs;
    this.cooker = new SimulatedCooker({
      pot: withFactors(potProfile(plan.pot), practice?.pot ?? {}),
      altitudeM: plan.pot.altitudeM,
      ...program,
      seed: practice?.seed ?? 1,
      // It burns once in an evening.
      faults: (practice?.faults ?? []).filter((f) => f !== 'burn-cut-out' || !this.burnSignalled()),
    });
  }

  private burnSignalled(): boolean {
    return this.first?.signals.some((s) => s.kind === 'burn') ?? false;
  }

  /** Signals up to the given moment, with their time of day. */
  advance(nowMs: number): (Signal & { atMs: number })[] {
    const lock = this.lockMs;
    if (!this.cooker || lock === null) return [];
    return this.cooker
      .advance(Math.min((nowMs - lock) / 1000, longestS))
      .map((s) => ({ ...s, atMs: Math.round(lock + s.atS * 1000) }));
  }

  /** What a thermometer in the thickest piece reads now, degC; null while the lid is on. */
  coreC(nowMs: number): number | null {
    const c = this.cooker;
    if (!c || c.pin || c.run().pinDownS === null) return null;
    const coldest = this.food()?.meats.reduce((m, v) => Math.min(m, v.coreC), Infinity) ?? Infinity;
    if (!Number.isFinite(coldest)) return null;
    const opened = this.cooker?.run().pinDownS ?? c.timeS;
    const waited = Math.max(0, (nowMs - this.lockMs!) / 60_000 - opened / 60);
    return Math.round((coldest - coolsKPerMin * Math.min(5, waited) + probeNoiseC * bell(this.noise)) * 10) / 10;
  }
  /** What the scale under the pot reads, food only, g. */
  weightG(): number | null {
    return this.cooker ? Math.round(this.cooker.contentsG + scaleNoiseG * bell(this.noise)) : null;
  }
  food(): CookResult | null {
    return this.cooker && this.lockedWhole
      ? resultOf({ ...this.cook, kitchen: kitchenOf(this.cook) }, this.openRun()!, this.first?.run)
      : null;
  }
  /** The run up to the moment when the pin fell: what comes after is open air. */
  private openRun() {
    const run = this.cooker?.run();
    if (!run || run.pinDownS === null) return run;
    const to = Math.round(run.pinDownS / run.history.dtS) + 1;
    return {
      ...run,
      openS: run.pinDownS,
      openC: run.history.tempC[to - 1] ?? run.openC,
      history: {
        ...run.history,
        tempC: run.history.tempC.slice(0, to),
        gaugeKpa: run.history.gaugeKpa.slice(0, to),
        releaseAt: Math.min(run.history.releaseAt, to - 1),
        openAt: to - 1,
      },
    };
  }
}
/** A pot that nobody looks after for so long is not simulated further, s. */
const longestS = 6 * 3600;
