import { learnedFormat, type Learned, type LearnedValue } from '../dish/learned';
import { en } from '../words/en';
import { notKnownCode, sentence, sentenceOf } from '../words/sentence';
import { potsOf, type Explained } from './change';
import { jumpSdTimes, potOf, type Evidence, type Jump } from './evidence';
import type { Fit } from './fit';
import { nextTeachings } from './next';
import {
  cookKey,
  cookParameters,
  grainKey,
  grainParameters,
  potKey,
  potParameter,
  potParameters,
  type CookParameter,
  type GrainParameter,
  type Parameter,
  type PotParameter,
} from './parameters';
import { keysOf, tapRowsOf } from './rows';

/**
 * What was fitted, with how sure it is, what it cannot tell, where a pot changed, and what would teach most next.
 *
 * @param given cooks of the log, those too that teach nothing
 */
export function learnedOf({ evidence, jumps, fitted }: Explained, given: number): Learned {
  const potIds = potsOf(evidence);
  const r = new Reader(fitted, evidence, jumps);
  const foods = [...new Set(evidence.flatMap((e) => e.observation.starch?.food ?? []))].sort();
  const trusted = new Set(potIds.filter((id) => forecastsBetter(fitted, evidence, id)));
  const last = potIds.map((id) => evidence.findLast((e) => e.observation.potId === id)!);
  const profiles = new Map(last.map(({ observation: o }) => [o.potId, potOf(o)]));
  const pots = Object.fromEntries(
    potIds.map((id) => [
      id,
      Object.fromEntries(
        potParameters.map((name) => [
          name,
          // The base is told by how it looked, and not by taps.
          r.value(potKey(id, name), potParameter(profiles.get(id)!, name), name === 'scorch' || trusted.has(id)),
        ]),
      ),
    ]),
  );
  const cookNames = Object.keys(cookParameters) as CookParameter[];
  const cook = Object.fromEntries(cookNames.map((name) => [name, r.value(cookKey(name), cookParameters[name])]));
  const grainNames = Object.keys(grainParameters) as GrainParameter[];
  const grains = Object.fromEntries(
    foods.map((food) => [
      food,
      Object.fromEntries(grainNames.map((name) => [name, r.value(grainKey(food, name), grainParameters[name])])),
    ]),
  );
  return {
    format: learnedFormat,
    pots,
    cook,
    grains,
    notIdentified: [
      ...potIds.flatMap((id) => (trusted.has(id) ? unknownOf(id, pots[id]!) : [notKnown(id, 'all')])),
      ...unknownOf('cook', cook),
      ...foods.flatMap((food) => unknownOf(food, grains[food]!)),
    ],
    drift: jumps.map((j) => ({
      pot: j.potId,
      parameter: j.parameter,
      sinceCook: j.sinceCook,
      ...changeOf(j.parameter, (fitted.z.get(j.key) ?? 0) > 0),
    })),
    next: nextTeachings(fitted, last).map((t) => ({
      code: t.what,
      what: sentence('teaching', t.what),
      why: sentence('teaching-why', t.of, { percent: Math.round(100 * t.share) }),
      pot: t.potId,
      of: t.of,
      share: round(t.share),
    })),
    cooks: { used: evidence.length, leftOut: given - evidence.length },
  };
}

const digits = 1e6;
const round = (x: number): number => Math.round(x * digits) / digits;

/** Reads values with their spread out of a fit. */
class Reader {
  private readonly index: ReadonlyMap<string, number>;
  private readonly counts = new Map<string, number>();

  constructor(
    private readonly fitted: Fit,
    evidence: readonly Evidence[],
    private readonly jumps: readonly Jump[],
  ) {
    this.index = new Map(fitted.keys.map((k, i) => [k, i]));
    for (const e of evidence) for (const k of keysOf(e)) this.counts.set(k, (this.counts.get(k) ?? 0) + 1);
  }

  /** A parameter as it stands today: with every jump of its pot since. */
  value(key: string, p: Parameter, trusted = true): LearnedValue {
    const cooks = this.counts.get(key) ?? 0;
    const mine = [
      { key, by: 1 },
      ...this.jumps.filter((j) => j.key.startsWith(`${key}@`)).map((j) => ({ key: j.key, by: jumpSdTimes })),
    ];
    const known = trusted ? mine.filter((m) => this.index.has(m.key)) : [];
    const z = known.reduce((s, m) => s + m.by * this.fitted.z.get(m.key)!, 0);
    const variance = known.reduce(
      (s, a) =>
        s +
        known.reduce(
          (t, b) => t + a.by * b.by * this.fitted.covariance[this.index.get(a.key)!]![this.index.get(b.key)!]!,
          0,
        ),
      0,
    );
    const value = round(p.mean + p.sd * z);
    return {
      value,
      sd: round(p.sd * (known.length > 0 ? Math.sqrt(variance) : 1)),
      priorSd: p.sd,
      cooks,
      ...(p.mean === 0 ? {} : { priorMean: p.mean }),
      ...(p.unit === 'ln' ? { factor: round(Math.exp(value)) } : {}),
    };
  }
}

/** A change that an alarm calls for: which parameter, and to which side. */
function changeOf(parameter: PotParameter, up: boolean): { code: string; text: string } {
  const side = up ? 'more' : 'less';
  const code = `${parameter}-${side}` in en.change ? `${parameter}-${side}` : `other-${side}`;
  return { code, text: sentenceOf('change', code) };
}

const notKnown = (of: string, parameter: string): Learned['notIdentified'][number] => ({
  of,
  parameter,
  text: sentenceOf('not-known', notKnownCode(parameter)),
});

/** What is left of the prior spread from which on a value is said to be unknown. */
export const unknownFrom = 0.8;

const unknownOf = (of: string, values: Readonly<Record<string, LearnedValue>>): Learned['notIdentified'] =>
  Object.entries(values)
    .filter(([, v]) => v.sd > unknownFrom * v.priorSd)
    .map(([parameter]) => notKnown(of, parameter));

/** Cooks of a pot from which on its forecasts are held against the table's. */
const judgedFrom = 3;
/** A tap this far off is a blunder: it says nothing of who forecasts better, min. */
const farOffMin = 4;

/** Does what the other cooks of a pot taught forecast each of them at least as well as the table of pots? */
function forecastsBetter(fitted: Fit, evidence: readonly Evidence[], potId: string): boolean {
  const mine = evidence
    .map((e, i) => ({ e, without: new Map(fitted.keys.map((k, j) => [k, fitted.without[i]![j]!])) }))
    .filter((x) => x.e.observation.potId === potId);
  if (mine.length < judgedFrom) return true;
  const missed = (e: Evidence, z: ReadonlyMap<string, number>): number =>
    tapRowsOf(e, z)
      .filter((r) => r.kind === 'tap')
      .reduce((s, r) => s + Math.min(farOffMin, Math.abs(r.residual)) ** 2, 0);
  const table = new Map<string, number>();
  return mine.reduce((s, { e, without }) => s + missed(e, without) - missed(e, table), 0) <= 0;
}
