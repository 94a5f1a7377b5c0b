import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/*
 * Positive definite systems. The information of a whole fit is a matrix of the library; what one cook says are four to nine
 * rows, some thousand times for a fit, and there the library's objects cost more than the sums: that one stands here in full.
 */

const jitter = 1e-9;

/** Cholesky's decomposition; where rounding has cost a matrix its definiteness, with a little on its diagonal. */
function choleskyOf(given: Matrix): CholeskyDecomposition {
  // Symmetric to the last bit, as the decomposition asks.
  const a = given.isSymmetric() ? given : Matrix.add(given, given.transpose()).mul(0.5);
  let by = 0;
  for (;;) {
    const d = new CholeskyDecomposition(by === 0 ? a : Matrix.add(a, Matrix.mul(Matrix.eye(a.rows), by)));
    if (d.isPositiveDefinite()) return d;
    by = by === 0 ? jitter * (1 + a.max()) : by * 10;
  }
}

/** Solves a positive definite system. */
export const solve = (a: Matrix, b: readonly number[]): number[] =>
  choleskyOf(a)
    .solve(Matrix.columnVector(Array.from(b)))
    .to1DArray();

/** The library solves for one unit column after another, and takes eight times as long. */
export const inverse = (a: Matrix): number[][] => new Lower(a.to2DArray()).inverse();

export const zeros = (n: number): number[] => new Array<number>(n).fill(0);

/** A covariance of parameters, and so many more of which nothing is known: still at their prior. */
export function withPriors(known: readonly (readonly number[])[], more: number): number[][] {
  const size = known.length + more;
  return Array.from({ length: size }, (_, i) => {
    const row = zeros(size);
    known[i]?.forEach((v, j) => (row[j] = v));
    if (!known[i]) row[i] = 1;
    return row;
  });
}

export function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** A row times a matrix; where the row is 0 nothing is read. */
export function times(row: readonly number[], of: readonly (readonly number[])[]): number[] {
  const out = zeros(of[0]?.length ?? 0);
  for (let i = 0; i < row.length; i++) {
    const by = row[i]!;
    if (by === 0) continue;
    const more = of[i]!;
    for (let j = 0; j < out.length; j++) out[j]! += by * more[j]!;
  }
  return out;
}

/** Cholesky's decomposition L L' of a few rows; of `a` the lower triangle is read. */
export class Lower {
  private readonly l: readonly (readonly number[])[];

  constructor(a: readonly (readonly number[])[]) {
    const l = a.map((row) => row.slice());
    for (let i = 0; i < l.length; i++)
      for (let j = 0; j <= i; j++) {
        let sum = a[i]![j]!;
        for (let k = 0; k < j; k++) sum -= l[i]![k]! * l[j]![k]!;
        l[i]![j] = i === j ? Math.sqrt(Math.max(leastPivot, sum)) : sum / l[j]![j]!;
      }
    this.l = l;
  }

  /** L^-1 times a matrix of as many rows. */
  whiten(rows: readonly (readonly number[])[]): number[][] {
    const out = rows.map((r) => r.slice());
    for (let i = 0; i < out.length; i++) {
      const y = out[i]!;
      for (let k = 0; k < i; k++) {
        const by = this.l[i]![k]!;
        const before = out[k]!;
        for (let j = 0; j < y.length; j++) y[j]! -= by * before[j]!;
      }
      const by = 1 / this.l[i]![i]!;
      for (let j = 0; j < y.length; j++) y[j]! *= by;
    }
    return out;
  }
  /** L^-1 times one column. */
  whitened(column: readonly number[]): number[] {
    const y = column.slice();
    for (let i = 0; i < y.length; i++) {
      const row = this.l[i]!;
      let sum = y[i]!;
      for (let k = 0; k < i; k++) sum -= row[k]! * y[k]!;
      y[i] = sum / row[i]!;
    }
    return y;
  }
  /** Solves L L' x = b. */
  solve(b: readonly number[]): number[] {
    const x = this.whitened(b);
    for (let i = x.length - 1; i >= 0; i--) {
      let sum = x[i]!;
      for (let k = i + 1; k < x.length; k++) sum -= this.l[k]![i]! * x[k]!;
      x[i] = sum / this.l[i]![i]!;
    }
    return x;
  }
  /** (L L')^-1. */
  inverse(): number[][] {
    const half = this.whiten(this.l.map((row, i) => row.map((_, j) => Number(i === j))));
    return half.map((_, i) =>
      times(
        half.map((row) => row[i]!),
        half,
      ),
    );
  }
}
/** Rounding must not cost a matrix its definiteness. */
const leastPivot = 1e-12;
