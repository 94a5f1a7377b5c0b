import { Matrix } from 'ml-matrix';
import { choleskyOf, inverse, slopesOf, solve, spreadOf, withPriors } from './fit';
import { potKey, type PotParameter } from './parameters';
import { keysOf, rowsOf } from './rows';
import { type Evidence, type Jump } from './evidence';

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
const alarmAt = 5;
/** No single cook may call it: whitened innovations and their suspected shift are clipped, and so is what a cook adds. */
const clip = { innovation: 2, shift: 2.5, cook: 2 } as const;
/** A pot has to be known a little before it can change [derived: false alarms in simulated households]. */
const leastCooks = 4;

const clipped = (x: number, most: number): number => Math.max(-most, Math.min(most, x));

/** The changes that the cooks of one pot call for, in the order of the evenings; the evidence must be in that order. */
export function changesOf(evidence: readonly Evidence[], potId: string): Jump[] {
  const out: Jump[] = [];
  let from = 0;
  const ofPot = evidence.filter((e) => e.observation.potId === potId);
  for (;;) {
    const jump = firstChange(ofPot.slice(from), out);
    if (!jump) return out;
    out.push(jump);
    from = ofPot.findIndex((e) => e.observation.cookId === jump.sinceCook);
    if (ofPot.length - from <= leastCooks) return out;
  }
}

function firstChange(cooks: readonly Evidence[], before: readonly Jump[]): Jump | null {
  const pages = suspected.map((s) => ({ ...s, sum: 0, since: 0 }));
  const filter = new Filter();
  for (const [n, cook] of cooks.entries()) {
    const e = { ...cook, jumps: before };
    if (n >= leastCooks) {
      const ratioOf = filter.ratiosOf(e);
      for (const page of pages) {
        if (page.sum === 0) page.since = n;
        page.sum = Math.max(0, page.sum + ratioOf(potKey(e.observation.potId, page.parameter), page.by));
      }
      const worst = pages.reduce((a, b) => (b.sum > a.sum ? b : a));
      if (worst.sum > alarmAt) return jumpOf(cooks[worst.since]!, worst.parameter);
    }
    filter.take(e);
  }
  return null;
}

function jumpOf({ observation: o }: Evidence, parameter: PotParameter): Jump {
  const key = `${potKey(o.potId, parameter)}@${o.cookId}`;
  return { key, potId: o.potId, parameter, sinceMs: o.startedMs, sinceCook: o.cookId };
}

/** What the cooks so far taught, one at a time: mean and information, started at the prior. */
class Filter {
  private keys: string[] = [];
  private z: number[] = [];
  private information = Matrix.zeros(0, 0);

  private grow(e: Evidence): void {
    const fresh = keysOf(e).filter((k) => !this.keys.includes(k));
    this.keys.push(...fresh);
    this.z.push(...fresh.map(() => 0));
    this.information = withPriors(this.information, fresh.length);
  }

  /** What a cook says of the pot: taste moves on its own. */
  private read(e: Evidence): { h: Matrix; residual: number[]; noise: Matrix } | null {
    this.grow(e);
    const z = new Map(this.keys.map((k, i) => [k, this.z[i]!]));
    const rows = rowsOf(e, z).filter((r) => r.kind === 'tap');
    if (rows.length === 0) return null;
    return { h: new Matrix(slopesOf(rows, this.keys)), residual: rows.map((r) => r.residual), noise: spreadOf(rows) };
  }

  /** The log likelihood ratio of a cook for a shift of one parameter by so many of its spreads. */
  ratiosOf(e: Evidence): (key: string, by: number) => number {
    const said = this.read(e);
    if (!said) return () => 0;
    const { h, residual, noise } = said;
    const s = Matrix.add(noise, h.mmul(inverse(this.information)).mmul(h.transpose()));
    const whiten = choleskyOf(s).lowerTriangularMatrix;
    const seen = forward(whiten, residual).map((x) => clipped(x, clip.innovation));
    return (key, by) => {
      const column = this.keys.indexOf(key);
      if (column < 0) return 0;
      const shift = forward(
        whiten,
        h.getColumn(column).map((x) => x * by),
      ).map((x) => clipped(x, clip.shift));
      const ratio = shift.reduce((sum, d, i) => sum + d * seen[i]! - (d * d) / 2, 0);
      return clipped(ratio, clip.cook);
    };
  }

  take(e: Evidence): void {
    const said = this.read(e);
    if (!said) return;
    const { h, residual, noise } = said;
    const weighted = h.transpose().mmul(inverse(noise));
    this.information.add(weighted.mmul(h));
    const step = solve(this.information, weighted.mmul(Matrix.columnVector(residual)).to1DArray());
    // A single cook moves nothing far here either.
    this.z = this.z.map((v, i) => v + clipped(step[i]!, 1));
  }
}

/** Solves L y = b. */
function forward(l: Matrix, b: readonly number[]): number[] {
  const y: number[] = [];
  b.forEach((v, i) => y.push((v - y.reduce((s, x, k) => s + l.get(i, k) * x, 0)) / l.get(i, i)));
  return y;
}
