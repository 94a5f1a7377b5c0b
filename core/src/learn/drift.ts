import type { Evidence, Jump } from './evidence';
import { innovationOf, type Innovation } from './information';
import { dot, withPriors } from './linear';
import { potKey, type PotParameter } from './parameters';
import { keysOf, tapRowsOf } from './rows';

/*
 * Has the pot changed? Page's test (E. S. Page, Biometrika 41, 1954, 100-115): for each suspected change the log likelihood
 * ratio of the innovations of every new cook against what the cooks before it taught, summed and never below nought.
 */

/** What can change at once in a kitchen, in prior spreads: a ring or an element, a ring that leaks, a lid that loses. */
const suspected: readonly { parameter: PotParameter; by: number }[] = [
  { parameter: 'heat', by: -0.9 },
  { parameter: 'heat', by: 0.9 },
  { parameter: 'leak', by: 2 },
  { parameter: 'loss', by: -1.2 },
  { parameter: 'loss', by: 1.2 },
];
/** The parameters that may have changed, each once. */
export const suspects: readonly PotParameter[] = [...new Set(suspected.map((s) => s.parameter))];
/** Low: whether it changed is then judged by all cooks (learn/change), one or two households in a hundred are told of a change that was none [derived: bench/learn]. */
const alarmAt = 3;
/** No single cook may call it: whitened innovations and their suspected shift are clipped, and so is what a cook adds. */
const clip = { innovation: 2, shift: 2.5, cook: 2 } as const;
/** A pot has to be known a little before it can change [derived: false alarms in simulated households]. */
const leastCooks = 4;

const clipped = (x: number, most: number): number => Math.max(-most, Math.min(most, x));

/** The first change that the cooks of one pot call for, in the order of the evenings, beside those that they know of; null where none is. */
export function alarmIn(cooks: readonly Evidence[]): Jump | null {
  const pages = suspected.map((s) => ({ ...s, sum: 0, since: 0 }));
  const filter = new Filter();
  for (const [n, cook] of cooks.entries()) {
    const news = filter.read(cook);
    if (!news) continue;
    if (n >= leastCooks) {
      const ratioOf = filter.ratiosOf(news);
      for (const page of pages) {
        if (page.sum === 0) page.since = n;
        page.sum = Math.max(0, page.sum + ratioOf(potKey(cook.observation.potId, page.parameter), page.by));
      }
      const worst = pages.reduce((a, b) => (b.sum > a.sum ? b : a));
      if (worst.sum > alarmAt) return jumpOf(cooks[worst.since]!, worst.parameter);
    }
    filter.take(news);
  }
  return null;
}

export function jumpOf({ observation: o }: Evidence, parameter: PotParameter): Jump {
  const key = `${potKey(o.potId, parameter)}@${o.cookId}`;
  return { key, potId: o.potId, parameter, sinceMs: o.startedMs, sinceCook: o.cookId };
}

/** What a cook says of the pot. */
interface News extends Innovation {
  residual: number[];
}

/** What the cooks so far taught, one at a time: mean and covariance, started at the prior (Kalman's filter). */
class Filter {
  readonly keys: string[] = [];
  private z: number[] = [];
  covariance: number[][] = [];

  private grow(e: Evidence): void {
    const fresh = keysOf(e).filter((k) => !this.keys.includes(k));
    if (fresh.length === 0) return;
    this.keys.push(...fresh);
    this.z.push(...fresh.map(() => 0));
    this.covariance = withPriors(this.covariance, fresh.length);
  }

  /** Taste moves on its own: of a cook only its taps are news. */
  read(e: Evidence): News | null {
    this.grow(e);
    const rows = tapRowsOf(e, new Map(this.keys.map((k, i) => [k, this.z[i]!]))).filter((r) => r.kind === 'tap');
    if (rows.length === 0) return null;
    return { ...innovationOf(e, rows, this), residual: rows.map((r) => r.residual) };
  }

  /** The log likelihood ratio of a cook for a shift of one parameter by so many of its spreads. */
  ratiosOf({ h, residual, spread }: News): (key: string, by: number) => number {
    const seen = spread.whitened(residual).map((x) => clipped(x, clip.innovation));
    return (key, by) => {
      const at = this.keys.indexOf(key);
      if (at < 0) return 0;
      const shift = spread.whitened(h.map((row) => by * row[at]!)).map((x) => clipped(x, clip.shift));
      return clipped(dot(shift, seen) - dot(shift, shift) / 2, clip.cook);
    };
  }

  take({ known, residual, spread }: News): void {
    const [rows, by] = [spread.whiten(known), spread.whitened(residual)];
    // A single cook moves nothing far here either.
    this.z = this.z.map(
      (v, i) =>
        v +
        clipped(
          rows.reduce((s, row, r) => s + row[i]! * by[r]!, 0),
          1,
        ),
    );
    for (const row of rows)
      this.covariance.forEach((of, i) => {
        for (let j = 0; j < of.length; j++) of[j]! -= row[i]! * row[j]!;
      });
  }
}
