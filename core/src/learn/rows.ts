import { perStep } from '../plan/setup/learned';
import { potProfile } from '../pot/own-pot';
import type { PotProfile } from '../pot/profile';
import { emulated, type Emulator } from './emulator';
import type { Input, Inputs, Output } from './forward';
import type { Observation } from './observation';
import { inSteps, overLikelihood, ratingEdges, ratingLikelihood, stepsPerUnit } from './ordinal';
import {
  classLike,
  classSpeed,
  cookKey,
  cookParameters,
  grainKey,
  grainParameters,
  juiceCommon,
  observedSd,
  potKey,
  potParameter,
  scatterSd,
  type CookParameter,
  type PotParameter,
} from './parameters';

/** From evening to evening, each a standard normal; integrated out, never fitted. */
export const scatters = ['heat', 'scoop', 'jug', 'juice', 'start', 'load', 'weighed', 'speed', 'late', 'tick'] as const;
export type Scatter = (typeof scatters)[number];
/** Where a few cooks are far off: their scatter is Student-t. */
export const heavyTailed: readonly Scatter[] = ['weighed', 'tick'];

/** A standard normal, learned or not: what each is worth in an input of the forward model. */
export type Part = { key: string; by: number } | { scatter: Scatter; by: number };
type Sparse = Map<string, number>;

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

/** A cook with its emulator: everything that it says. */
export interface Evidence {
  observation: Observation;
  emulator: Emulator;
  /** a pot that changed: parameters that jumped, for the cooks since */
  jumps: readonly Jump[];
}
/** A suspected change of a pot: a parameter that moved at once; its spread before it is known is twice the prior's. */
export interface Jump {
  key: string;
  potId: string;
  parameter: PotParameter;
  sinceMs: number;
  sinceCook: string;
}
export const jumpSdTimes = 2;

/** The pot that a cook was in, as its plan keeps it. */
export const potOf = (o: Pick<Observation, 'setting'>): PotProfile => potProfile(o.setting.plan.pot);

/** What each input of the forward model is made of in this cook. */
export function partsOf({ observation: o, jumps }: Omit<Evidence, 'emulator'>): Partial<Record<Input, Part[]>> {
  const pot = potOf(o);
  const ofPot = (name: PotParameter): Part[] => {
    const { sd } = potParameter(pot, name);
    const jumped = jumps.filter((j) => j.potId === o.potId && j.parameter === name && o.startedMs >= j.sinceMs);
    return [{ key: potKey(o.potId, name), by: sd }, ...jumped.map((j) => ({ key: j.key, by: jumpSdTimes * sd }))];
  };
  const hand = (name: CookParameter): Part => ({ key: cookKey(name), by: cookParameters[name].sd });
  const flame = pot.kind !== 'electric';
  return {
    heat: [...ofPot('heat'), { scatter: 'heat', by: flame ? scatterSd.flameHeat : scatterSd.heat }],
    loss: ofPot('loss'),
    leak: ofPot('leak'),
    vent: ofPot('vent'),
    set: ofPot('set'),
    metal: ofPot('metal'),
    purge: ofPot('purge'),
    scoop: [hand('scoop'), { scatter: 'scoop', by: scatterSd.scoop }],
    jug: [hand('jug'), { scatter: 'jug', by: scatterSd.jug }],
    juice: [
      { key: cookKey('juice'), by: Math.sqrt(juiceCommon) },
      { scatter: 'juice', by: Math.sqrt(1 - juiceCommon) },
    ],
    startK: [{ scatter: 'start', by: scatterSd.startK }],
    load: [
      { scatter: 'load', by: scatterSd.load },
      { scatter: 'weighed', by: scatterSd.weighed },
    ],
    speed: o.starch
      ? [
          hand(classSpeed(o.starch.kinetics)),
          { key: grainKey(o.starch.food, 'speed'), by: grainParameters.speed.sd },
          { scatter: 'speed', by: scatterSd.speed },
        ]
      : [],
    lateMin: o.lateMin === null ? [hand('late'), { scatter: 'late', by: scatterSd.lateMin }] : [],
  };
}

/** Everything that a cook says at these parameters (z by key; what is missing is 0, the scatters at their middle). */
export function rowsOf(e: Evidence, z: ReadonlyMap<string, number>): Row[] {
  return new Reading(e, z).rows();
}

/** The parameters that a cook can speak of. */
export const keysOf = (e: Evidence): string[] => [
  ...new Set(rowsOf(e, new Map()).flatMap((r) => [...r.slopes.keys()])),
];

interface Value {
  value: number;
  slopes: Sparse;
  scatter: number[];
}

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
    const { ratings, starch, saltOverPercent } = this.o;
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

const fixed = (value: number): Value => ({ value, slopes: new Map(), scatter: scatters.map(() => 0) });

function addPart(v: Value, p: Part, slope: number): void {
  if ('key' in p) v.slopes.set(p.key, (v.slopes.get(p.key) ?? 0) + slope * p.by);
  else v.scatter[scatters.indexOf(p.scatter)]! += slope * p.by;
}

/** The slopes of a value times a number; the value as given. */
const scaled = (v: Value, by: number): Value => ({
  value: v.value,
  slopes: new Map([...v.slopes].map(([k, s]) => [k, s * by])),
  scatter: v.scatter.map((s) => s * by),
});

function added(a: Value, b: Value): Value {
  const slopes = new Map(a.slopes);
  for (const [k, s] of b.slopes) slopes.set(k, (slopes.get(k) ?? 0) + s);
  return { value: a.value + b.value, slopes, scatter: a.scatter.map((s, i) => s + b.scatter[i]!) };
}

/** A likelihood as the normal that has its slope and curvature in this place. */
const ordinal = ({ slope, curvature }: { slope: number; curvature: number }, v: Value): Row => ({
  kind: 'ordinal',
  residual: slope / curvature,
  sd: 1 / Math.sqrt(curvature),
  slopes: v.slopes,
  scatter: v.scatter,
});
const rated = (rating: number, v: Value): Row => ordinal(ratingLikelihood(rating, v.value, observedSd.ratingSteps), v);
