import { Matrix } from 'ml-matrix';
import { inverse, slopesOf, spreadOf, withPriors, type Fit } from './fit';
import { unseen, type Observation } from './observation';
import { cookKey } from './parameters';
import { rowsOf, type Row } from './rows';
import type { Evidence } from './evidence';

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
type Seen = Record<Teaching['what'], Row[]>;

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
      const rowsFor = (what: Teaching['what']): Row[] => rowsOf({ ...e, observation: would[what] }, fit.z);
      const seen = Object.fromEntries(things.map((what) => [what, rowsFor(what)])) as Seen;
      const spread = wider(fit, seen);
      const targets = targetsOf(seen);
      return things.flatMap((what): Teaching[] => {
        if (seen[what].length === 0) return [];
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
  p: Matrix;
}
function wider(fit: Fit, seen: Seen): Spread {
  const all = things.flatMap((what) => seen[what].flatMap((r) => [...r.slopes.keys()]));
  const fresh = [...new Set(all)].filter((k) => !fit.keys.includes(k));
  return { keys: [...fit.keys, ...fresh], p: withPriors(fit.covariance, fresh.length) };
}

/** What the next dish hangs on: its minutes to the pin, its natural release, its texture. */
function targetsOf(seen: Seen): { of: Teaching['of']; slopes: ReadonlyMap<string, number> }[] {
  const pin = new Map([...seen['tap-pin'][0]!.slopes].filter(([k]) => k !== cookKey('tap')));
  const [full, fallen] = seen['natural-tapped'];
  const natural = new Map([...fallen!.slopes].map(([k, s]) => [k, s - (full!.slopes.get(k) ?? 0)]));
  const grain = seen['rate-grain'][0]?.slopes;
  return [
    { of: 'pin', slopes: pin },
    { of: 'natural', slopes: natural },
    ...(grain ? [{ of: 'grain' as const, slopes: grain }] : []),
  ];
}

function shareOff({ keys, p }: Spread, rows: readonly Row[], target: ReadonlyMap<string, number>): number {
  const g = Matrix.columnVector(keys.map((k) => target.get(k) ?? 0));
  const h = new Matrix(slopesOf(rows, keys));
  const before = g.transpose().mmul(p).mmul(g).get(0, 0);
  const cross = h.mmul(p).mmul(g);
  const off = cross
    .transpose()
    .mmul(inverse(Matrix.add(spreadOf(rows), h.mmul(p).mmul(h.transpose()))))
    .mmul(cross)
    .get(0, 0);
  return before <= 0 ? 0 : 1 - Math.sqrt(Math.max(0, before - off) / before);
}
