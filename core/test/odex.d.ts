/** The package ships its source as types; only this much of it is used here. */
export class Solver {
  constructor(n: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(f: (x: number, y: number[]) => number[], x0: number, y0: number[], x1: number): { y: number[] };
}
