import { potProfile } from '../../src/pot/own-pot';
import { kitchenSchema } from '../../src/dish/kitchen';
import { findFood } from '../../src/food/find';
import { emulatorOf, type Emulator } from '../../src/learn/emulator';
import { Forward, type CookSetting, type Inputs } from '../../src/learn/forward';
import { tableLogOdds, unseen, type Observation } from '../../src/learn/observation';
import { inSteps, ratingEdges } from '../../src/learn/ordinal';
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
  type CookParameter,
} from '../../src/learn/parameters';
import { partsOf, type Evidence } from '../../src/learn/evidence';
import { scatters, type Scatter } from '../../src/learn/value';
import { solvePlan } from '../../src/plan/solve-plan';
import { plausible, seeded } from '../helpers/plausible';

/*
 * Households that nobody knows: hidden true parameters, one pot, evenings with their own scatter on the full forward model,
 * taps with Student-t scatter and misses, ratings by rounding. What is learned of them can be held against the truth.
 */

/** A dish with its plan, its forward model and its emulator: shared by all households. */
export interface PoolDish {
  setting: CookSetting;
  emulator: Emulator;
  forward: Forward;
  starch: Observation['starch'];
  potId: string;
}

/** So many plausible dishes with a grain or pasta for one pot, of which half let the pin fall by itself. */
export function poolOf(potId: string, size: number, firstSeed = 1): PoolDish[] {
  const out: PoolDish[] = [];
  for (let seed = firstSeed; out.length < size; seed++) {
    const { dish } = plausible(seed);
    const kitchen = kitchenSchema.parse({ potId });
    const natural = out.length % 2 === 0;
    try {
      const p = solvePlan(
        natural ? { ...dish, overrides: { ...dish.overrides, release: { kind: 'natural' } } } : dish,
        kitchen,
      );
      const starch = p.grain ?? p.pasta;
      if (!starch || p.firstStage) continue;
      const { release, holdMin } = p.program;
      const naturalMin = release.kind === 'natural' ? null : release.kind === 'timed' ? (release.naturalMin ?? 0) : 0;
      const setting = { dish, kitchen, plan: p, holdMin, naturalMin };
      const emulator = emulatorOf(setting, potProfile({ id: potId }));
      if (!emulator) continue;
      const kinetics = findFood(starch.food).grain!.kinetics;
      out.push({ setting, emulator, forward: new Forward(setting), starch: { food: starch.food, kinetics }, potId });
    } catch {
      // Dishes that the planner refuses are no dishes of a household.
    }
  }
  return out;
}

export interface Draws {
  uniform(): number;
  normal(): number;
  student(nu: number): number;
}
export function drawsOf(seed: number): Draws {
  const uniform = seeded(seed);
  const normal = (): number => Math.sqrt(-2 * Math.log(Math.max(1e-12, uniform()))) * Math.cos(2 * Math.PI * uniform());
  const student = (nu: number): number => {
    const chi = Array.from({ length: nu }, normal).reduce((s, x) => s + x * x, 0);
    return normal() / Math.sqrt(chi / nu);
  };
  return { uniform, normal, student };
}

export interface Household {
  draws: Draws;
  /** the truth: z by key, drawn when it is first asked for */
  truth: (key: string) => number;
}
export function householdOf(seed: number): Household {
  const draws = drawsOf(seed);
  const hidden = drawsOf(seed + 1_000_003);
  const known = new Map<string, number>();
  return {
    draws,
    truth: (key) => {
      if (!known.has(key)) known.set(key, hidden.normal());
      return known.get(key)!;
    },
  };
}

/** The inputs of a true evening; without draws its mean. */
export function trueInputs(h: Household, d: PoolDish, scatter: readonly number[] | null, lateMin = 0): Inputs {
  const o = { ...blank(d, 'mean', 0), lateMin };
  const x: Inputs = {};
  for (const [input, parts] of Object.entries(partsOf({ observation: o, jumps: [] })))
    x[input as keyof Inputs] = parts.reduce(
      (s, p) => s + p.by * ('key' in p ? h.truth(p.key) : (scatter?.[scatters.indexOf(p.scatter)] ?? 0)),
      input === 'lateMin' ? lateMin : 0,
    );
  return x;
}

const blank = ({ potId, setting, starch }: PoolDish, cookId: string, startedMs: number): Observation =>
  unseen({ cookId, startedMs, potId, setting, starch, scorchLogOdds: tableLogOdds(setting.plan.scorch) });

const misses = { tap: 0.12, rating: 0 };

/** The rated place of a dish less what this cook likes, in steps. */
export function feltPlace(at: (key: string) => number, d: PoolDish, index: number): number {
  const { food, kinetics } = d.starch!;
  const edges = ratingEdges[kinetics === 'pasta' ? 'pasta' : 'grain'];
  const taste = (name: CookParameter): number => cookParameters[name].sd * at(cookKey(name));
  return (
    inSteps(index, edges) +
    grainParameters.shift.sd * at(grainKey(food, 'shift')) -
    taste('like') -
    taste(classLike(kinetics))
  );
}

const rounded = (place: number): number => Math.max(0, Math.min(4, Math.round(place)));

/**
 * One evening of a household as the log has it; null where the pot never came to pressure.
 *
 * @param missed share of the taps that nobody made
 */
export function eveningOf(h: Household, d: PoolDish, n: number, missed = misses.tap): Evidence | null {
  const { draws, truth } = h;
  const scatter = scatters.map((s: Scatter) => (s === 'weighed' || s === 'tick' ? draws.student(3) : draws.normal()));
  const late =
    cookParameters.late.mean + cookParameters.late.sd * truth(cookKey('late')) + scatterSd.lateMin * draws.normal();
  const { holdMin, naturalMin } = d.setting;
  const lateMin = naturalMin === null ? 0 : Math.max(-naturalMin, late);
  const out = d.forward.run(trueInputs(h, d, scatter, lateMin));
  if (!Number.isFinite(out.pin)) return null;
  const o = blank(d, `cook-${n}`, n * 86_400_000);
  const handMin = cookParameters.tap.mean + cookParameters.tap.sd * truth(cookKey('tap'));
  const seen = (): boolean => draws.uniform() >= missed;
  const jitter = (): number => observedSd.tapMin * draws.student(4);
  const pin = Math.exp(out.pin) + scatterSd.tickMin * scatter[scatters.indexOf('tick')]!;
  const full =
    pin +
    Math.exp(out.toFull) +
    potParameter(potProfile({ id: d.potId }), 'sense').sd * truth(potKey(d.potId, 'sense'));
  if (seen()) o.taps.pinMin = pin + handMin + jitter();
  if (seen()) o.taps.fullMin = full + handMin + jitter();
  const fallen = full + holdMin + Math.exp(out.natural);
  const valve = full + holdMin + (naturalMin ?? 0) + lateMin;
  if (naturalMin === null || valve >= fallen) {
    if (seen()) o.taps.pinDownMin = fallen + handMin + jitter();
  } else if (seen()) {
    o.taps.valveMin = valve;
    if (seen() && Number.isFinite(out.vent)) o.taps.pinDownMin = valve + Math.exp(out.vent) + Math.abs(jitter());
  }
  if (o.taps.fullMin !== undefined && o.taps.valveMin !== undefined)
    o.lateMin = o.taps.valveMin - o.taps.fullMin - holdMin - (naturalMin ?? 0);
  const rated = (place: number): number => rounded(place + observedSd.ratingSteps * draws.normal());
  const index = Number.isFinite(out.grain) ? out.grain : out.pasta;
  if (d.starch && draws.uniform() > misses.rating) {
    o.ratings.grain = rated(feltPlace(truth, d, index));
    o.ratings.sauce = rated(inSteps(out.sauce, ratingEdges.sauce) - cookParameters.sauce.sd * truth(cookKey('sauce')));
    o.ratings.salt = rated(2 - cookParameters.salt.sd * truth(cookKey('salt')));
  }
  return { observation: o, emulator: d.emulator, jumps: [] };
}
