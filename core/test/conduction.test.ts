import { mixture } from '../src/meat/properties';
import { cookPiece, type PieceInput } from '../src/meat/piece';

/*
 * Conduction against the exact series (Carslaw and Jaeger; coefficients as tabulated by Incropera and DeWitt, table 5.1):
 * theta = sum C e^(-z^2 Fo). Twenty terms, a surface coefficient, three shapes.
 */
const j0 = (x: number): number => bessel(x, 0);
const j1 = (x: number): number => bessel(x, 1);
const { cos, sin, PI } = Math;
/** Bessel function of the first kind by its integral: the trapezoid rule is exact to round-off once it outruns the argument. */
function bessel(x: number, order: 0 | 1): number {
  const n = 40 + Math.ceil(1.5 * x);
  let sum = 0;
  for (let k = 0; k < n; k++) {
    const t = (PI * (k + 0.5)) / n;
    sum += cos(order * t - x * sin(t));
  }
  return sum / n;
}

type Shape = 'slab' | 'cylinder' | 'sphere';
const equation: Record<Shape, (z: number, bi: number) => number> = {
  slab: (z, bi) => z * Math.sin(z) - bi * Math.cos(z),
  cylinder: (z, bi) => z * j1(z) - bi * j0(z),
  sphere: (z, bi) => z * Math.cos(z) + (bi - 1) * Math.sin(z),
};
const coefficient: Record<Shape, (z: number) => number> = {
  slab: (z) => (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z)),
  cylinder: (z) => (2 / z) * (j1(z) / (j0(z) ** 2 + j1(z) ** 2)),
  sphere: (z) => (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z)),
};

function roots(shape: Shape, bi: number, count: number): number[] {
  const f = (z: number): number => equation[shape](z, bi);
  const out: number[] = [];
  for (let z = 1e-6; out.length < count; z += 0.02) {
    if (Math.sign(f(z)) === Math.sign(f(z + 0.02))) continue;
    let [a, b] = [z, z + 0.02];
    for (let i = 0; i < 60; i++) {
      const m = (a + b) / 2;
      if (Math.sign(f(m)) === Math.sign(f(a))) a = m;
      else b = m;
    }
    out.push((a + b) / 2);
  }
  return out;
}

describe('first terms as tabulated', () => {
  // Incropera and DeWitt, table 5.1.
  test.each<[Shape, number, number, number]>([
    ['slab', 1, 0.8603, 1.1191],
    ['slab', 10, 1.4289, 1.262],
    ['cylinder', 1, 1.2558, 1.2071],
    ['cylinder', 10, 2.1795, 1.5677],
    ['sphere', 1, 1.5708, 1.2732],
    ['sphere', 10, 2.8363, 1.9249],
  ])('%s at Bi %d', (shape, bi, z1, c1) => {
    const [z] = roots(shape, bi, 1);
    expect(Math.abs(z! - z1)).toBeLessThan(1e-4);
    expect(Math.abs(coefficient[shape](z!) - c1)).toBeLessThan(1.2e-4);
  });
});

describe('the centre of a piece follows the series', () => {
  const lean = { water: 0.755, protein: 0.215, fat: 0.02, ash: 0.01 };
  // Properties in the middle of a narrow range, so that they are nearly constant, as the series wants them.
  const [fromC, toC] = [30, 50];
  const mid = mixture(lean, -1.5, 40);
  const hLiquid = 300;
  test.each<[Shape, number, number]>([
    ['slab', 0, 0.02],
    ['slab', 0, 0.04],
    ['cylinder', 1, 0.03],
    ['cylinder', 1, 0.05],
    ['sphere', 2, 0.03],
    ['sphere', 2, 0.05],
  ])('%s (exponent %d), %d m thick', (shape, exponent, thicknessM) => {
    const half = thicknessM / 2;
    const bi = (hLiquid * half) / mid.k;
    const z = roots(shape, bi, 20);
    const alpha = mid.k / (mid.rho * mid.cp);
    let worst = 0;
    for (const fo of [0.1, 0.2, 0.4, 0.7]) {
      const seconds = Math.round((fo * half * half) / alpha);
      const input: PieceInput = {
        composition: lean,
        freezeC: -1.5,
        species: 'poultry',
        thicknessM,
        exponent,
        startC: fromC,
        pre: [],
        tempC: new Float64Array(seconds + 1).fill(toC),
        dtS: 1,
        releaseAt: seconds + 1,
        place: 'liquid',
        restS: 0,
      };
      const theta = (toC - cookPiece(input).openCoreC) / (toC - fromC);
      const exact = z.reduce(
        (s, r) => s + coefficient[shape](r) * Math.exp(-r * r * ((seconds * alpha) / half ** 2)),
        0,
      );
      worst = Math.max(worst, Math.abs(theta - exact));
    }
    expect(worst).toBeLessThan(0.02);
  });
});

test('a frozen piece needs the heat of thawing first: Plank’s time within a third', () => {
  // Plank's equation for thawing a slab: t = rho L x / (Tf - T) (P a / h + R a^2 / k), P 1/2, R 1/8; heating comes on top.
  const lean = { water: 0.755, protein: 0.215, fat: 0.02, ash: 0.01 };
  const a = 0.03;
  const envC = 40;
  const latent = 333.6e3 * 0.613;
  const k = mixture(lean, -1.5, 5).k;
  const plank = ((1056 * latent) / (envC + 1.5)) * ((0.5 * a) / 300 + (0.125 * a * a) / k);
  const trace = { minutes: [] as number[], coreC: [] as number[] };
  cookPiece({
    composition: lean,
    freezeC: -1.5,
    species: 'poultry',
    thicknessM: a,
    exponent: 0,
    startC: -10,
    pre: [],
    tempC: new Float64Array(7200).fill(envC),
    dtS: 1,
    releaseAt: 7200,
    place: 'liquid',
    restS: 0,
    trace,
  });
  const thawed = 60 * trace.minutes[trace.coreC.findIndex((c) => c > -0.5)]!;
  expect(Math.abs(thawed / plank - 1)).toBeLessThan(0.33);
});
