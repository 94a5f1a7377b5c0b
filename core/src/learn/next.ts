import type { Evidence } from './evidence';
import type { Fit } from './fit';
import { innovationOf } from './information';
import { dot, times, withPriors } from './linear';
import { unseen, type Observation } from './observation';
import { cookKey } from './parameters';
import { rowsOf, type Row } from './rows';
import { termsOf } from './terms';

/** One thing that could be written down next, and how much of the spread of the next dish it takes off. */
export interface Teaching {
  what: 'tap-pin' | 'natural-tapped' | 'weigh' | 'gauge' | 'rate-grain';
  potId: string;
  /** the outcome that it makes surer */
  of: 'pin' | 'natural' | 'grain';
  /** 0..1 */
  share: number;
}

/** What each thing would be as an observation; its value does not matter, only what it depends on. */
function wouldSee(o: Observation): Record<Teaching['what'], Observation> {
  const blank = unseen(o);
  const { plan } = o.setting;
  const letFall = { ...plan, program: { ...plan.program, release: { kind: 'natural' as const } } };
  const setting = { ...o.setting, plan: letFall, naturalMin: null };
  return {
    'tap-pin': { ...blank, taps: { pinMin: 1 } },
    'natural-tapped': { ...blank, setting, taps: { fullMin: 1, pinDownMin: 2 } },
    weigh: { ...blank, steamG: 1 },
    gauge: { ...blank, gaugeKpa: [1] },
    'rate-grain': { ...blank, ratings: { grain: 2 } },
  };
}
/** A cook of which only this was written down, and what it would say. */
interface Would {
  e: Evidence;
  rows: Row[];
}
type Seen = Record<Teaching['what'], Would>;

const things = ['tap-pin', 'natural-tapped', 'weigh', 'gauge', 'rate-grain'] as const;
/** Less than this share is not worth a tap [from memory]. */
const worthSaying = 0.05;

/**
 * Value of information: P' = P - P H' (S + H P H')^-1 H P for each thing that could be written down at the next cook of a
 * pot, and what is left of the spread of its minutes and its texture; the best first.
 *
 * @param last the newest cook of each pot, which stands for its next
 */
export function nextTeachings(fit: Fit, last: readonly Evidence[]): Teaching[] {
  return last
    .flatMap((e) => {
      const would = wouldSee(e.observation);
      const sees = (what: Teaching['what']): Would => {
        const blank = { ...e, observation: would[what] };
        return { e: blank, rows: rowsOf(blank, fit.z) };
      };
      const seen = Object.fromEntries(things.map((what) => [what, sees(what)])) as Seen;
      const spread = wider(fit, seen);
      const targets = targetsOf(seen);
      return things.flatMap((what): Teaching[] => {
        if (seen[what].rows.length === 0) return [];
        const best = targets
          .map((t) => ({ of: t.of, share: shareOff(spread, seen[what], t.slopes) }))
          .reduce((a, b) => (b.share > a.share ? b : a));
        return [{ what, potId: e.observation.potId, ...best }];
      });
    })
    .filter((t) => t.share >= worthSaying)
    .sort((a, b) => b.share - a.share);
}

/** The covariance with what this cook could speak of and the log never did: still at its prior. */
interface Spread {
  keys: string[];
  covariance: number[][];
}
function wider(fit: Fit, seen: Seen): Spread {
  const all = things.flatMap((what) => seen[what].rows.flatMap((r) => [...slopesOf(seen[what].e, r).keys()]));
  const fresh = [...new Set(all)].filter((k) => !fit.keys.includes(k));
  return { keys: [...fit.keys, ...fresh], covariance: withPriors(fit.covariance, fresh.length) };
}

/** The slopes of a row by parameter, where it has any. */
const slopesOf = (e: Evidence, { slopes }: Row): Map<string, number> =>
  new Map(termsOf(e).keys.flatMap((k, i) => (slopes[i] === 0 ? [] : [[k, slopes[i]!]])));

/** What the next dish hangs on: its minutes to the pin, its natural release, its texture. */
function targetsOf(seen: Seen): { of: Teaching['of']; slopes: ReadonlyMap<string, number> }[] {
  const of = (what: Teaching['what'], row: number): Map<string, number> | null => {
    const { e, rows } = seen[what];
    return rows[row] ? slopesOf(e, rows[row]) : null;
  };
  const pin = new Map([...of('tap-pin', 0)!].filter(([k]) => k !== cookKey('tap')));
  const full = of('natural-tapped', 0)!;
  const natural = new Map([...of('natural-tapped', 1)!].map(([k, s]) => [k, s - (full.get(k) ?? 0)]));
  const grain = of('rate-grain', 0);
  return [
    { of: 'pin', slopes: pin },
    { of: 'natural', slopes: natural },
    ...(grain ? [{ of: 'grain' as const, slopes: grain }] : []),
  ];
}

function shareOff(spread: Spread, { e, rows }: Would, target: ReadonlyMap<string, number>): number {
  const g = spread.keys.map((k) => target.get(k) ?? 0);
  const { known, spread: seen } = innovationOf(e, rows, spread);
  const off = seen.whitened(known.map((row) => dot(row, g)));
  const before = dot(times(g, spread.covariance), g);
  return before <= 0 ? 0 : 1 - Math.sqrt(Math.max(0, before - dot(off, off)) / before);
}
