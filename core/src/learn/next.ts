import { Matrix } from 'ml-matrix';
import { inverse, spreadOf, type Fit } from './fit';
import type { Observation } from './observation';
import { cookKey } from './parameters';
import { rowsOf, scatters, type Evidence, type Row } from './rows';

/** One thing that could be written down next, and how much of the spread of the next dish it takes off. */
export interface Teaching {
  what: 'tap-pin' | 'natural-tapped' | 'weigh' | 'gauge' | 'rate-grain';
  potId: string;
  /** the outcome that it makes surer */
  of: 'pin' | 'natural' | 'grain';
  /** 0..1 */
  share: number;
}

const nothingSeen = { taps: {}, lateMin: null, gaugeKpa: [], steamG: null, ratings: {}, saltOverPercent: 0 } as const;

/** What each thing would be as an observation; its value does not matter, only what it depends on. */
function wouldSee(what: Teaching['what'], o: Observation): Observation {
  const blank: Observation = { ...o, ...nothingSeen, taps: {}, gaugeKpa: [], ratings: {} };
  const { plan } = o.setting;
  const letFall = { ...plan, program: { ...plan.program, release: { kind: 'natural' as const } } };
  const natural = { ...o.setting, plan: letFall, naturalMin: null };
  switch (what) {
    case 'tap-pin':
      return { ...blank, taps: { pinMin: 1 } };
    case 'natural-tapped':
      return { ...blank, setting: natural, taps: { fullMin: 1, pinDownMin: 2 } };
    case 'weigh':
      return { ...blank, steamG: 1 };
    case 'gauge':
      return { ...blank, gaugeKpa: [1] };
    case 'rate-grain':
      return { ...blank, ratings: { grain: 2 } };
  }
}

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
      const spread = wider(fit, e);
      const targets = targetsOf(e, fit);
      return things.flatMap((what): Teaching[] => {
        const rows = rowsOf({ ...e, observation: wouldSee(what, e.observation) }, fit.z);
        if (rows.length === 0) return [];
        const best = targets
          .map((t) => ({ of: t.of, share: shareOff(spread, rows, t.slopes) }))
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
function wider(fit: Fit, e: Evidence): Spread {
  const all = things.flatMap((what) => rowsOf({ ...e, observation: wouldSee(what, e.observation) }, fit.z));
  const fresh = [...new Set(all.flatMap((r) => [...r.slopes.keys()]))].filter((k) => !fit.keys.includes(k));
  const n = fit.keys.length;
  const p = Matrix.eye(n + fresh.length);
  for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) p.set(i, j, fit.covariance.get(i, j));
  return { keys: [...fit.keys, ...fresh], p };
}

/** What the next dish hangs on: its minutes to the pin, its natural release, its texture. */
function targetsOf(e: Evidence, fit: Fit): { of: Teaching['of']; slopes: ReadonlyMap<string, number> }[] {
  const see = (what: Teaching['what']): Row[] => rowsOf({ ...e, observation: wouldSee(what, e.observation) }, fit.z);
  const pin = see('tap-pin')[0]!.slopes;
  const [full, fallen] = see('natural-tapped');
  const natural = new Map([...fallen!.slopes].map(([k, s]) => [k, s - (full!.slopes.get(k) ?? 0)]));
  const grain = see('rate-grain')[0]?.slopes;
  const own = new Map([...pin].filter(([k]) => k !== cookKey('tap')));
  return [
    { of: 'pin', slopes: own },
    { of: 'natural', slopes: natural },
    ...(grain ? [{ of: 'grain' as const, slopes: grain }] : []),
  ];
}

function shareOff({ keys, p }: Spread, rows: readonly Row[], target: ReadonlyMap<string, number>): number {
  const g = Matrix.columnVector(keys.map((k) => target.get(k) ?? 0));
  const h = new Matrix(rows.map((r) => keys.map((k) => r.slopes.get(k) ?? 0)));
  const noise = spreadOf(
    rows,
    rows.map((r) => r.sd ** 2),
    scatters.map(() => 1),
  );
  const before = g.transpose().mmul(p).mmul(g).get(0, 0);
  const cross = h.mmul(p).mmul(g);
  const off = cross
    .transpose()
    .mmul(inverse(Matrix.add(noise, h.mmul(p).mmul(h.transpose()))))
    .mmul(cross)
    .get(0, 0);
  return before <= 0 ? 0 : 1 - Math.sqrt(Math.max(0, before - off) / before);
}
