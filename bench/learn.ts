import { Matrix } from 'ml-matrix';
import { explain, explainFrom, standingOf } from '../core/src/learn/change';
import { emulated, emulatorOf } from '../core/src/learn/emulator';
import { fit, type Fit } from '../core/src/learn/fit';
import type { Outcome } from '../core/src/learn/forward';
import { placesIn, whitened } from '../core/src/learn/information';
import { inverse } from '../core/src/learn/linear';
import { keysOf, rowsOf } from '../core/src/learn/rows';
import { scatters } from '../core/src/learn/value';
import { potOf, type Evidence } from '../core/src/learn/evidence';
import { potParameters, potKey } from '../core/src/learn/parameters';

import {
  eveningOf,
  feltPlace,
  householdOf,
  poolOf,
  trueInputs,
  type Household,
  type PoolDish,
} from '../core/test/learn/household';

/*
 * npm run bench -- learn [households] [pot]: simulated households with hidden parameters, what is learned of them after
 * 1 to 20 cooks, and how a changed pot is seen. The table stands in docs/learning.md.
 */

const numbers = process.argv.slice(2).filter((a) => /^\d+$/.test(a));
const households = Number(numbers[0] ?? 200);
const potId = process.argv.find((a) => /^(electric|stovetop|whistle)-/.test(a)) ?? 'electric-5.7';
const counts = [0, 1, 2, 3, 5, 10, 20] as const;
/** Points of the texture index that one step of its scale is worth. */
const pointsPerStep = 4.33;
const z80 = 1.2816;

const pool = poolOf(potId, 40);
const fresh = poolOf(potId, 12, 5001);

const rms = (xs: readonly number[]): number => Math.sqrt(mean(xs.map((x) => x * x)));
const mean = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0) / Math.max(1, xs.length);

function cooksOf(h: Household, most: number, dish: () => PoolDish): Evidence[] {
  const out: Evidence[] = [];
  for (let n = 0; out.length < most && n < 3 * most; n++) {
    const e = eveningOf(h, dish(), n);
    if (e) out.push(e);
  }
  return out;
}

type Errors = Record<'pin' | 'pinMean' | 'natural' | 'felt', number[]>;
const noErrors = (): Errors => ({ pin: [], pinMean: [], natural: [], felt: [] });

/** What a dish that was never cooked comes to in a household: in the middle of its evenings, and on one of them. */
interface NewDish {
  d: PoolDish;
  truth: Outcome;
  evening: Outcome;
}
/** The same evenings for every number of cooks: else one that hardly sealed stands in one column and not in the next. */
const newDishesOf = (h: Household): NewDish[] =>
  fresh.flatMap((d) => {
    const truth = d.forward.run(trueInputs(h, d, null));
    const scatter = scatters.map(() => h.draws.normal());
    const evening = d.forward.run(trueInputs(h, d, scatter));
    return Number.isFinite(truth.pin) && Number.isFinite(evening.pin) ? [{ d, truth, evening }] : [];
  });

/** Forecasts of dishes that were never cooked, against the truth. */
function errorsOf(h: Household, f: Fit, { dishes, into }: { dishes: readonly NewDish[]; into: Errors }): void {
  const at = (key: string): number => f.z.get(key) ?? 0;
  for (const { d, truth, evening } of dishes) {
    const x = trueInputs({ ...h, truth: at }, d, null);
    const predicted = (output: 'pin' | 'natural' | 'grain' | 'pasta'): number => emulated(d.emulator, output, x);
    into.pin.push(Math.exp(predicted('pin')) - Math.exp(evening.pin));
    into.pinMean.push(Math.exp(predicted('pin')) - Math.exp(truth.pin));
    into.natural.push(Math.exp(predicted('natural')) - Math.exp(truth.natural));
    const scale = d.starch!.kinetics === 'pasta' ? 'pasta' : 'grain';
    into.felt.push(pointsPerStep * (feltPlace(at, d, predicted(scale)) - feltPlace(h.truth, d, truth[scale])));
  }
}

/**
 * What is left of the felt texture, points, for who takes from these evenings all that is in them (the information of Fisher at
 * the truth, with the prior; van Trees): nobody can be nearer on average.
 */
function boundOf(h: Household, cooks: readonly Evidence[], dishes: readonly NewDish[]): number[] {
  const asked = new Set<string>();
  const placeAt = ({ d }: NewDish, at: (key: string) => number): number => {
    const scale = d.starch!.kinetics === 'pasta' ? 'pasta' : 'grain';
    return pointsPerStep * feltPlace(at, d, emulated(d.emulator, scale, trueInputs({ ...h, truth: at }, d, null)));
  };
  for (const dish of dishes) placeAt(dish, (key) => (asked.add(key), h.truth(key)));
  const keys = [...new Set([...cooks.flatMap(keysOf), ...asked])];
  const place = new Map(keys.map((k, i) => [k, i]));
  const truth = new Map(keys.map((k) => [k, h.truth(k)]));
  const information = Matrix.eye(keys.length);
  for (const e of cooks) {
    const { at, slopes } = whitened(rowsOf(e, truth), placesIn(e, place));
    for (const row of slopes)
      for (const [i, a] of at.entries())
        for (const [j, b] of at.entries()) information.set(a, b, information.get(a, b) + row[i]! * row[j]!);
  }
  const covariance = inverse(information);
  const step = 0.05;
  return dishes.map((dish) => {
    const slope = keys.map((key) => {
      if (!asked.has(key)) return 0;
      const moved = (by: number): number => placeAt(dish, (k) => h.truth(k) + (k === key ? by : 0));
      return (moved(step) - moved(-step)) / (2 * step);
    });
    return Math.sqrt(slope.reduce((s, a, i) => s + slope.reduce((t, b, j) => t + a * b * covariance[i]![j]!, 0), 0));
  });
}

const errors = counts.map(noErrors);
const bound = counts.map((): number[] => []);
const twoNatural = counts.map(noErrors);
const covered = counts.map((): number[] => []);
const left = new Map<string, number[][]>();
const falseAlarms: number[] = [];
let fitMs = 0;
for (let s = 0; s < households; s++) {
  const h = householdOf(7 * s + 1);
  const any = (): PoolDish => pool[Math.floor(h.draws.uniform() * pool.length)]!;
  const cooks = cooksOf(h, 20, any);
  const dishes = newDishesOf(h);
  counts.forEach((k, c) => {
    const some = cooks.slice(0, k);
    const began = performance.now();
    const f = fit(some);
    if (k === 20) fitMs += performance.now() - began;
    errorsOf(h, f, { dishes, into: errors[c]! });
    bound[c]!.push(...boundOf(h, some, dishes));
    const letFall = some.filter((e) => e.observation.setting.naturalMin === null && e.observation.taps.pinDownMin);
    if (letFall.length >= 2) errorsOf(h, f, { dishes, into: twoNatural[c]! });
    f.keys.forEach((key, j) => {
      const sd = Math.sqrt(f.covariance[j]![j]!);
      covered[c]!.push(Number(Math.abs(f.z.get(key)! - h.truth(key)) < z80 * sd));
      const name = key.split('/').pop()!;
      if (!left.has(name))
        left.set(
          name,
          counts.map(() => []),
        );
      left.get(name)![c]!.push(sd);
    });
  });
  falseAlarms.push(explain(cooks).jumps.length);
}

/** A pot that changes after ten cooks: how many cooks until it is seen, and how often within ten. */
function delays(parameter: 'heat' | 'leak' | 'loss', by: number): { seen: number; delay: number } {
  const found: number[] = [];
  const tried = Math.min(60, households);
  for (let s = 0; s < tried; s++) {
    const h = householdOf(7 * s + 1);
    const any = (): PoolDish => pool[Math.floor(h.draws.uniform() * pool.length)]!;
    const before = cooksOf(h, 10, any);
    const key = potKey(potId, parameter);
    const changed: Household = { ...h, truth: (k) => h.truth(k) + (k === key ? by : 0) };
    const after = cooksOf(changed, 10, any).map((e, n) => ({
      ...e,
      observation: { ...e.observation, cookId: `after-${n}`, startedMs: (100 + n) * 86_400_000 },
    }));
    for (let n = 1; n <= after.length; n++)
      if (explain([...before, ...after.slice(0, n)]).jumps.length > 0) {
        found.push(n);
        break;
      }
  }
  return { seen: found.length / tried, delay: mean(found) };
}

const row = (name: string, xs: readonly number[], digits = 2): string =>
  `| ${name} | ${xs.map((x) => (Number.isFinite(x) ? x.toFixed(digits) : '')).join(' | ')} |`;
console.log(`${households} households, ${potId}; fit of 20 cooks ${(fitMs / households).toFixed(0)} ms on average\n`);
console.log(`| cooks | ${counts.join(' | ')} |\n|---|${counts.map(() => '---').join('|')}|`);
console.log(
  row(
    'min to the pin, rms',
    errors.map((e) => rms(e.pin)),
  ),
);
console.log(
  row(
    'its mean, without the scatter of the evening',
    errors.map((e) => rms(e.pinMean)),
  ),
);
console.log(
  row(
    'min of natural release',
    errors.map((e) => rms(e.natural)),
  ),
);
console.log(
  row(
    '... where two were tapped to the end',
    twoNatural.map((e) => (e.natural.length > 0 ? rms(e.natural) : NaN)),
  ),
);
console.log(
  row(
    'felt texture, points',
    errors.map((e) => rms(e.felt)),
  ),
);
console.log(row('the bound: what five-step ratings can tell', bound.map(rms)));
console.log(
  row(
    'covered by the 80 % interval',
    covered.map((c) => (c.length > 0 ? mean(c) : NaN)),
  ),
);
console.log(
  `\nFalse alarms in 20 cooks of an unchanged pot: ${mean(falseAlarms.map((n) => Number(n > 0))).toFixed(3)}`,
);
for (const [parameter, by] of [
  ['heat', -0.9],
  ['heat', 0.9],
  ['leak', 2],
  ['loss', 1.2],
] as const) {
  const d = delays(parameter, by);
  console.log(
    `A jump of ${parameter} by ${by} sd: seen within ten cooks ${d.seen.toFixed(2)}, after ${d.delay.toFixed(1)}`,
  );
}
/** Sixty cooks at once, one more from where they stood, and how far that is from all of them read anew, in prior spreads; NaN where then another change is found. */
function oneMore(s: number): { allMs: number; moreMs: number; emulatorMs: number; off: number } {
  const h = householdOf(7 * s + 1);
  const cooks = cooksOf(h, 61, () => pool[Math.floor(h.draws.uniform() * pool.length)]!);
  const timed = <T>(work: () => T): { ms: number; made: T } => {
    const began = performance.now();
    const made = work();
    return { ms: performance.now() - began, made };
  };
  const fresh = (some: readonly Evidence[]): Evidence[] => some.map((e) => ({ ...e }));
  const sixty = fresh(cooks.slice(0, -1));
  const all = timed(() => explain(sixty));
  const { observation } = cooks.at(-1)!;
  const emulator = timed(() => emulatorOf(observation.setting, potOf(observation)));
  const withIt = fresh(cooks);
  const more = timed(() => explainFrom(standingOf(all.made), withIt));
  const { fitted } = explain(fresh(cooks));
  const off = Math.max(...fitted.keys.map((k) => Math.abs(fitted.z.get(k)! - (more.made.fitted.z.get(k) ?? NaN))));
  return { allMs: all.ms, moreMs: more.ms, emulatorMs: emulator.ms, off };
}
const timings = Array.from({ length: Math.min(30, households) }, (_, s) => oneMore(s));
const median = (xs: readonly number[]): number => xs.toSorted((a, b) => a - b)[Math.floor(xs.length / 2)]!;
const of = (what: keyof (typeof timings)[number]): number => median(timings.map((t) => t[what]));
const alike = timings.map((t) => t.off).filter((off) => !Number.isNaN(off));
console.log(
  `\n60 cooks ${of('allMs').toFixed(0)} ms, one more ${of('moreMs').toFixed(0)} and its emulator ${of('emulatorMs').toFixed(0)} (medians); ` +
    `beside all of them anew within ${Math.max(...alike).toFixed(3)} prior sd, in ${timings.length - alike.length} of ${timings.length} another change is found`,
);

console.log('\nLeft of one prior sd after 5 / 20 cooks:');
for (const name of [...potParameters, 'late', 'salt', 'sauce', 'like', 'scoop', 'shift']) {
  const of = left.get(name);
  if (of) console.log(`${name} ${mean(of[4]!).toFixed(2)} / ${mean(of[6]!).toFixed(2)}`);
}
