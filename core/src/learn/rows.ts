import { perStep } from '../plan/setup/learned';
import { emulated } from './emulator';
import type { Evidence } from './evidence';
import { inputs, type Inputs, type Output } from './forward';
import type { Observation } from './observation';
import { zeros } from './linear';
import { baseLikelihood, inSteps, overLikelihood, ratingEdges, ratingLikelihood, stepsPerUnit } from './ordinal';
import { cookParameters, observedSd, scatterSd } from './parameters';
import { termsOf, type Term, type Terms } from './terms';
import { added, scaled, type Value } from './value';

/** One thing that was seen: how far it is from what was expected, and what would move that. */
export interface Row {
  kind: 'tap' | 'normal' | 'ordinal';
  /** seen less expected */
  residual: number;
  /** one standard deviation of what is seen when everything is known */
  sd: number;
  /** slope of the expected in each parameter of the cook (z), and behind them in each scatter */
  slopes: number[];
}

/** Everything that a cook says at these parameters (z by key; what is missing is 0, the scatters at their middle). */
export function rowsOf(e: Evidence, z: ReadonlyMap<string, number>): Row[] {
  return new Reading(e, z).rows();
}

/** What its taps say, and whether the pin was still up. */
export const tapRowsOf = (e: Evidence, z: ReadonlyMap<string, number>): Row[] => new Reading(e, z).tapRows();

const keysKnown = new WeakMap<Evidence, readonly string[]>();

/** The parameters that a cook speaks of. */
export function keysOf(e: Evidence): readonly string[] {
  const known = keysKnown.get(e);
  if (known) return known;
  const rows = rowsOf(e, new Map());
  const keys = termsOf(e).keys.filter((_, i) => rows.some((r) => r.slopes[i] !== 0));
  keysKnown.set(e, keys);
  return keys;
}

class Reading {
  private readonly x: Inputs = {};
  private readonly terms: Terms;
  private readonly z: number[];
  private readonly o: Observation;

  constructor(
    private readonly e: Evidence,
    z: ReadonlyMap<string, number>,
  ) {
    this.o = e.observation;
    this.terms = termsOf(e);
    // The scatters stay at their middle.
    this.z = zeros(this.terms.width);
    this.terms.keys.forEach((k, i) => (this.z[i] = z.get(k) ?? 0));
    for (const input of inputs) {
      const made = this.terms.inputs[input];
      if (made) this.x[input] = made.terms.reduce((s, t) => s + t.by * this.z[t.at]!, made.mean);
    }
  }

  rows(): Row[] {
    return [...this.tapRows(), ...this.gaugeRows(), ...this.steamRows(), ...this.ratingRows()];
  }

  private fixed(value: number): Value {
    return { value, slopes: zeros(this.terms.width) };
  }

  /** An output with its slopes in parameters and scatters. */
  private out(output: Output): Value {
    const v = this.fixed(0);
    v.value = emulated(this.e.emulator, output, this.x, (input, slope) => {
      for (const t of this.terms.inputs[input]?.terms ?? []) v.slopes[t.at]! += slope * t.by;
    });
    return v;
  }
  private minutes(output: Output): Value {
    const v = this.out(output);
    const min = Math.exp(v.value);
    return scaled({ value: min, slopes: v.slopes }, min);
  }
  /** A value moved by a parameter. */
  private shift({ value, slopes }: Value, { at, by }: Term): Value {
    const moved = slopes.slice();
    moved[at]! += by;
    return { value: value + by * this.z[at]!, slopes: moved };
  }
  private tapped(v: Value): Value {
    return this.shift({ ...v, value: v.value + cookParameters.tap.mean }, this.terms.own.tap);
  }

  tapRows(): Row[] {
    const { pinMin, fullMin, valveMin, pinDownMin } = this.o.taps;
    const { holdMin } = this.o.setting;
    const rows: Row[] = [];
    const tap = (seen: number, v: Value, sd: number = observedSd.tapMin): void =>
      void rows.push({ kind: 'tap', residual: seen - v.value, sd, slopes: v.slopes });
    const pin = this.minutes('pin');
    // The lid's own mood moves everything after it.
    pin.slopes[this.terms.scatter.tick]! += scatterSd.tickMin;
    if (pinMin !== undefined) tap(pinMin, this.tapped(pin));
    // The pot's own countdown comes so much after the pressure.
    const full = this.shift(added(pin, this.minutes('toFull')), this.terms.own.sense);
    if (fullMin !== undefined) tap(fullMin, this.tapped(full));
    const holdEnd = { ...full, value: full.value + holdMin };
    const fallen = (): Value => added(holdEnd, this.minutes('natural'));
    const vents = Number.isFinite(this.e.emulator.base.vent);
    const opened = this.opened(holdEnd);
    if (valveMin === undefined) {
      // Where a valve was planned and its tap forgotten, the pin fell after it.
      if (pinDownMin !== undefined && opened && vents) tap(pinDownMin, added(opened, this.minutes('vent')));
      else if (pinDownMin !== undefined) tap(pinDownMin, this.tapped(fallen()));
      return rows;
    }
    if (opened) tap(valveMin, opened);
    if (pinDownMin !== undefined && vents)
      tap(pinDownMin - valveMin, this.minutes('vent'), observedSd.tapMin * Math.SQRT2);
    // The pin was still up when the valve was opened: it would have fallen later.
    if (pinDownMin !== undefined && pinDownMin > valveMin) {
      const natural = fallen();
      rows.push(ordinal(overLikelihood(natural.value - valveMin, observedSd.stillUpMin), natural));
    }
    return rows;
  }

  /** When the valve is opened: as planned, and as late as these hands are; null where the pin is let fall by itself. */
  private opened(holdEnd: Value): Value | null {
    const { release } = this.o.setting.plan.program;
    if (release.kind === 'natural') return null;
    const plannedMin = release.kind === 'timed' ? (release.naturalMin ?? 0) : 0;
    const late = this.shift(
      { ...holdEnd, value: holdEnd.value + plannedMin + cookParameters.late.mean },
      this.terms.own.late,
    );
    late.slopes[this.terms.scatter.late]! += scatterSd.lateMin;
    return late;
  }

  private gaugeRows(): Row[] {
    const { pot } = this.terms;
    const { pressure } = this.o.setting.plan.program;
    const kpa = (pressure === 'high' || pot.lowKpa === null ? pot.highKpa : pot.lowKpa) * Math.exp(this.x.set ?? 0);
    const { slopes } = this.fixed(kpa);
    for (const t of this.terms.inputs.set?.terms ?? []) slopes[t.at]! += kpa * t.by;
    return this.o.gaugeKpa.map((seen) => ({ kind: 'normal', residual: seen - kpa, sd: observedSd.gaugeKpa, slopes }));
  }

  private steamRows(): Row[] {
    const seen = this.o.steamG;
    if (seen === null) return [];
    const { value, slopes } = this.out('steamG');
    return [{ kind: 'normal', residual: seen - value, sd: observedSd.steamG, slopes }];
  }

  private ratingRows(): Row[] {
    const { ratings, starch, saltOverPercent, scorchLogOdds } = this.o;
    const rows: Row[] = [];
    if (ratings.grain !== undefined && starch) {
      const pasta = starch.kinetics === 'pasta';
      const place = this.place(pasta ? 'pasta' : 'grain', ratingEdges[pasta ? 'pasta' : 'grain']);
      if (place)
        rows.push(
          rated(
            ratings.grain,
            this.terms.taste.reduce((v, t) => this.shift(v, t), place),
          ),
        );
    }
    if (ratings.sauce !== undefined && starch) {
      const place = this.place('sauce', ratingEdges.sauce);
      // A dish that is meant to be dry says nothing of the sauce that this cook likes.
      if (place && this.e.emulator.base.sauce >= ratingEdges.sauce[0])
        rows.push(rated(ratings.sauce, this.shift(place, this.terms.own.sauce)));
    }
    if (ratings.bottom !== undefined) {
      const odds = this.shift(this.fixed(scorchLogOdds), this.terms.own.scorch);
      rows.push(ordinal(baseLikelihood(ratings.bottom, odds.value), odds));
    }
    if (ratings.salt !== undefined) {
      const place = this.fixed(right + saltOverPercent / perStep.saltPercent);
      rows.push(rated(ratings.salt, this.shift(place, this.terms.own.salt)));
    }
    return rows;
  }

  private place(output: Output, edges: readonly [number, number, number, number]): Value | null {
    if (!Number.isFinite(this.e.emulator.base[output])) return null;
    const v = this.out(output);
    return scaled({ ...v, value: inSteps(v.value, edges) }, stepsPerUnit(v.value, edges));
  }
}

/** The middle of five steps. */
const right = 2;

/** A likelihood as the normal that has its slope and curvature in this place. */
const ordinal = ({ slope, curvature }: { slope: number; curvature: number }, v: Value): Row => ({
  kind: 'ordinal',
  residual: slope / curvature,
  sd: 1 / Math.sqrt(curvature),
  slopes: v.slopes,
});
const rated = (rating: number, v: Value): Row => ordinal(ratingLikelihood(rating, v.value, observedSd.ratingSteps), v);
