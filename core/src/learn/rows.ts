import { perStep } from '../plan/setup/learned';
import { emulated } from './emulator';
import { partsOf, potOf, type Evidence } from './evidence';
import type { Input, Inputs, Output } from './forward';
import type { Observation } from './observation';
import { baseLikelihood, inSteps, overLikelihood, ratingEdges, ratingLikelihood, stepsPerUnit } from './ordinal';
import {
  classLike,
  cookKey,
  cookParameters,
  grainKey,
  grainParameters,
  observedSd,
  potKey,
  potParameter,
  scatterSd,
} from './parameters';
import { added, addPart, fixed, scaled, type Part, type Sparse, type Value } from './value';

/** One thing that was seen: how far it is from what was expected, and what would move that. */
export interface Row {
  kind: 'tap' | 'normal' | 'ordinal';
  /** seen less expected */
  residual: number;
  /** one standard deviation of what is seen when everything is known */
  sd: number;
  /** slope of the expected in each parameter (z) and in each scatter */
  slopes: Sparse;
  scatter: number[];
}

/** Everything that a cook says at these parameters (z by key; what is missing is 0, the scatters at their middle). */
export function rowsOf(e: Evidence, z: ReadonlyMap<string, number>): Row[] {
  return new Reading(e, z).rows();
}

/** The parameters that a cook can speak of. */
export const keysOf = (e: Evidence): string[] => [
  ...new Set(rowsOf(e, new Map()).flatMap((r) => [...r.slopes.keys()])),
];

class Reading {
  private readonly x: Inputs = {};
  private readonly parts: Partial<Record<Input, Part[]>>;
  private readonly o: Observation;

  constructor(
    private readonly e: Evidence,
    private readonly z: ReadonlyMap<string, number>,
  ) {
    this.parts = partsOf(e);
    this.o = e.observation;
    for (const [input, parts] of Object.entries(this.parts) as [Input, Part[]][]) {
      const mean = input === 'lateMin' ? (this.o.lateMin ?? cookParameters.late.mean) : 0;
      this.x[input] = parts.reduce((s, p) => s + ('key' in p ? p.by * this.at(p.key) : 0), mean);
    }
  }

  rows(): Row[] {
    return [...this.tapRows(), ...this.gaugeRows(), ...this.steamRows(), ...this.ratingRows()];
  }

  private at(key: string): number {
    return this.z.get(key) ?? 0;
  }

  /** An output with its slopes in parameters and scatters. */
  private out(output: Output): Value {
    const { value, slopes } = emulated(this.e.emulator, output, this.x);
    const v = fixed(value);
    for (const [input, slope] of Object.entries(slopes) as [Input, number][])
      for (const p of this.parts[input] ?? []) addPart(v, p, slope);
    return v;
  }
  private minutes(output: Output): Value {
    const v = this.out(output);
    return scaled({ ...v, value: Math.exp(v.value) }, Math.exp(v.value));
  }
  /** A parameter that is added as it stands. */
  private plus(v: Value, name: 'tap' | 'late'): Value {
    const { mean, sd } = cookParameters[name];
    return this.shift(added(v, fixed(mean)), cookKey(name), sd);
  }

  private tapRows(): Row[] {
    const { pinMin, fullMin, valveMin, pinDownMin } = this.o.taps;
    const { holdMin } = this.o.setting;
    const rows: Row[] = [];
    const tap = (seen: number, v: Value, sd: number = observedSd.tapMin): void =>
      void rows.push({ kind: 'tap', residual: seen - v.value, sd, slopes: v.slopes, scatter: v.scatter });
    const pin = this.minutes('pin');
    // The lid's own mood moves everything after it.
    addPart(pin, { scatter: 'tick', by: scatterSd.tickMin }, 1);
    if (pinMin !== undefined) tap(pinMin, this.plus(pin, 'tap'));
    const full = this.sensed(added(pin, this.minutes('toFull')));
    if (fullMin !== undefined) tap(fullMin, this.plus(full, 'tap'));
    const holdEnd = added(full, fixed(holdMin));
    const fallen = added(holdEnd, this.minutes('natural'));
    const vents = Number.isFinite(this.e.emulator.base.vent);
    const opened = this.opened(holdEnd);
    if (valveMin === undefined) {
      // Where a valve was planned and its tap forgotten, the pin fell after it.
      if (pinDownMin !== undefined && opened && vents) tap(pinDownMin, added(opened, this.minutes('vent')));
      else if (pinDownMin !== undefined) tap(pinDownMin, this.plus(fallen, 'tap'));
      return rows;
    }
    if (opened) tap(valveMin, opened);
    if (pinDownMin !== undefined && vents)
      tap(pinDownMin - valveMin, this.minutes('vent'), observedSd.tapMin * Math.SQRT2);
    // The pin was still up when the valve was opened: it would have fallen later.
    if (pinDownMin !== undefined && pinDownMin > valveMin) {
      const over = overLikelihood(fallen.value - valveMin, observedSd.stillUpMin);
      rows.push(ordinal(over, fallen));
    }
    return rows;
  }

  /** When the valve is opened: as planned, and as late as these hands are; null where the pin is let fall by itself. */
  private opened(holdEnd: Value): Value | null {
    const { release } = this.o.setting.plan.program;
    if (release.kind === 'natural') return null;
    const planned = added(holdEnd, fixed(release.kind === 'timed' ? (release.naturalMin ?? 0) : 0));
    const late = this.plus(planned, 'late');
    addPart(late, { scatter: 'late', by: scatterSd.lateMin }, 1);
    return late;
  }

  /** The pot's own countdown comes so much after the pressure. */
  private sensed(v: Value): Value {
    const { sd } = potParameter(potOf(this.o), 'sense');
    return this.shift(added(v, fixed(0)), potKey(this.o.potId, 'sense'), sd);
  }

  private gaugeRows(): Row[] {
    const pot = potOf(this.o);
    const { pressure } = this.o.setting.plan.program;
    const kpa = (pressure === 'high' || pot.lowKpa === null ? pot.highKpa : pot.lowKpa) * Math.exp(this.x.set ?? 0);
    const { slopes, scatter } = fixed(kpa);
    for (const p of this.parts.set ?? []) addPart({ value: kpa, slopes, scatter }, p, kpa);
    return this.o.gaugeKpa.map((seen) => ({
      kind: 'normal',
      residual: seen - kpa,
      sd: observedSd.gaugeKpa,
      slopes,
      scatter,
    }));
  }

  private steamRows(): Row[] {
    const seen = this.o.steamG;
    if (seen === null) return [];
    const { value, slopes, scatter } = this.out('steamG');
    return [{ kind: 'normal', residual: seen - value, sd: observedSd.steamG, slopes, scatter }];
  }

  private ratingRows(): Row[] {
    const { ratings, starch, saltOverPercent, scorchLogOdds } = this.o;
    const rows: Row[] = [];
    if (ratings.grain !== undefined && starch) {
      const pasta = starch.kinetics === 'pasta';
      const place = this.place(pasta ? 'pasta' : 'grain', ratingEdges[pasta ? 'pasta' : 'grain']);
      if (place) {
        this.shift(place, grainKey(starch.food, 'shift'), grainParameters.shift.sd);
        this.shift(place, cookKey('like'), -cookParameters.like.sd);
        const of = classLike(starch.kinetics);
        this.shift(place, cookKey(of), -cookParameters[of].sd);
        rows.push(rated(ratings.grain, place));
      }
    }
    if (ratings.sauce !== undefined && starch) {
      const place = this.place('sauce', ratingEdges.sauce);
      // A dish that is meant to be dry says nothing of the sauce that this cook likes.
      if (place && this.e.emulator.base.sauce >= ratingEdges.sauce[0]) {
        this.shift(place, cookKey('sauce'), -cookParameters.sauce.sd);
        rows.push(rated(ratings.sauce, place));
      }
    }
    if (ratings.bottom !== undefined) {
      const odds = this.shift(
        fixed(scorchLogOdds),
        potKey(this.o.potId, 'scorch'),
        potParameter(potOf(this.o), 'scorch').sd,
      );
      rows.push(ordinal(baseLikelihood(ratings.bottom, odds.value), odds));
    }
    if (ratings.salt !== undefined) {
      const place = fixed(right + saltOverPercent / perStep.saltPercent);
      this.shift(place, cookKey('salt'), -cookParameters.salt.sd);
      rows.push(rated(ratings.salt, place));
    }
    return rows;
  }

  private place(output: Output, edges: readonly [number, number, number, number]): Value | null {
    if (!Number.isFinite(this.e.emulator.base[output])) return null;
    const v = this.out(output);
    return scaled({ ...v, value: inSteps(v.value, edges) }, stepsPerUnit(v.value, edges));
  }
  /** Moves a value by a parameter, so much a spread of it. */
  private shift(v: Value, key: string, by: number): Value {
    v.value += by * this.at(key);
    addPart(v, { key, by }, 1);
    return v;
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
  scatter: v.scatter,
});
const rated = (rating: number, v: Value): Row => ordinal(ratingLikelihood(rating, v.value, observedSd.ratingSteps), v);
