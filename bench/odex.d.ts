/** The package ships its source as types; only this much of it is used here. */
type Output = (n: number, xOld: number, x: number, y: number[]) => unknown;
interface Solver {
  absoluteTolerance: number;
  relativeTolerance: number;
  denseOutput: boolean;
  grid(dx: number, see: (x: number, y: number[]) => void): Output;
  solve(f: (x: number, y: number[]) => number[], x0: number, y0: number[], x1: number, out?: Output): { y: number[] };
}
declare const odex: { Solver: new (n: number) => Solver };
export default odex;
