import fc from 'fast-check';
import { brickExponent, shapeExponent } from '../src/meat/geometry';
import { logPerS } from '../src/meat/lethality';
import { cookPiece, type PieceInput } from '../src/meat/piece';
import { iceShare, mixture } from '../src/meat/properties';

const chicken = { water: 0.755, protein: 0.215, fat: 0.02, ash: 0.01 };
const beef = { water: 0.71, protein: 0.2, fat: 0.08, ash: 0.01 };

/** The stand-in pot of the meat notes: to 100 degC in `upS`, 90 s to 116.5, hold, natural (270 s time constant) or quick. */
function pot(
  upS: number,
  fromC: number,
  holdMin: number,
  naturalMin: number | null,
): { tempC: Float64Array; releaseAt: number } {
  const t: number[] = [];
  for (let s = 0; s <= upS; s++) t.push(fromC + ((100 - fromC) * s) / upS);
  for (let s = 1; s <= 90; s++) t.push(100 + (16.5 * s) / 90);
  for (let s = 1; s <= holdMin * 60; s++) t.push(116.5);
  const releaseAt = t.length - 1;
  for (let s = 1; s <= (naturalMin ?? 0) * 60; s++) t.push(100 + 16.5 * Math.exp(-s / 270));
  const top = t[t.length - 1]!;
  const ventS = Math.round((60 * (top - 100)) / 16.5);
  for (let s = 1; s <= ventS; s++) t.push(top - ((top - 100) * s) / ventS);
  return { tempC: Float64Array.from(t), releaseAt };
}

const base = (p: ReturnType<typeof pot>): PieceInput => ({
  composition: chicken,
  freezeC: -1.5,
  species: 'poultry',
  thicknessM: 0.025,
  exponent: 0,
  startC: 4,
  pre: [],
  ...p,
  dtS: 1,
  place: 'steam',
  restS: 180,
});

describe('golden pieces', () => {
  // Golden cases G1, G6, G7 of docs/engine.md (another grid or step: temperatures 0.6 K, integrals 6 %).
  test('25 mm breast in steam, 5 + 10', () => {
    const r = cookPiece(base(pot(420, 60, 5, 10)));
    expect(Math.abs(r.openCoreC - 94.74)).toBeLessThan(0.6);
    expect(Math.abs(r.peakCoreC - 96.41)).toBeLessThan(0.6);
    expect(r.overcookMeanMin / 3.274).toBeCloseTo(1, 1);
    expect(r.collagenCoreMin / 1.832).toBeCloseTo(1, 1);
    expect(r.lossShare).toBeCloseTo(0.261, 2);
  });
  test('a piece 8 % thicker under six tenths of the surface is 8 K colder', () => {
    const r = cookPiece({
      ...base(pot(420, 60, 5, 10)),
      vary: { thickness: 1.08, surface: 0.6, startK: 0, heatUp: 1 },
    });
    expect(Math.abs(r.openCoreC - 86.99)).toBeLessThan(0.6);
  });
  test('15 mm cut, 5 + quick: overcooking integral and loss', () => {
    const r = cookPiece({ ...base(pot(420, 60, 5, null)), thicknessM: 0.015 });
    expect(r.overcookMeanMin / 3.44).toBeCloseTo(1, 1);
    expect(r.lossShare).toBeCloseTo(0.215, 2);
  });
  test('30 mm beef cubes, tossed 5 min, 25 + 10 in liquid: collagen', () => {
    const r = cookPiece({
      ...base(pot(420, 60, 25, 10)),
      composition: beef,
      freezeC: -1.7,
      species: 'red',
      thicknessM: 0.03,
      exponent: shapeExponent('cube'),
      pre: [{ durationS: 300, envC: 92.8, hWPerM2K: 73.75 }],
      place: 'liquid',
    });
    expect(r.collagenCoreMin / 23.86).toBeCloseTo(1, 1);
    expect(r.overcookMeanMin / 27.68).toBeCloseTo(1, 1);
  });
});

describe('properties and geometry', () => {
  // Choi & Okos in ASHRAE Refrigeration, chapter 19; the values are the notes' own sums, lean chicken.
  test('lean chicken: density, heat capacity, conductivity, ice at -18 degC', () => {
    const p = mixture(chicken, -1.5, 20);
    expect(p.rho).toBeCloseTo(1056, -1);
    expect(p.cp / 1000).toBeCloseTo(3.64, 1);
    expect(p.k).toBeCloseTo(0.486, 2);
    expect(iceShare(chicken, -1.5, -18)).toBeCloseTo(0.613, 3);
  });
  test('a cube has exponent 1.21 and a strip 0.16 (docs/engine.md, product of slab series)', () => {
    expect(brickExponent(1, 1, 1)).toBeCloseTo(1.21, 2);
    expect(brickExponent(12, 20, 60)).toBeGreaterThan(0.1);
  });
  // Derived: the law's own seconds for 7 log at 60, 65.6 and 70 degC. It holds the law still; it is no outside reference.
  test.each([
    [60, 2100],
    [65.6, 188],
    [70, 27],
  ])('7 log of poultry at %d degC takes %d s', (c, s) => expect(7 / logPerS('poultry', c) / s).toBeCloseTo(1, 1));
});

// Only while the pot heats and holds: once the pressure falls, a thin piece cools first.
test('thicker is never hotter at the core, longer never colder', () => {
  const bad: string[] = [];
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 50 }), fc.integer({ min: 0, max: 12 }), (mm, hold) => {
      const run = (t: number, h: number): number => {
        const p = pot(420, 60, h, null);
        return cookPiece({ ...base({ ...p, tempC: p.tempC.slice(0, p.releaseAt + 1) }), thicknessM: t / 1000 })
          .openCoreC;
      };
      const here = run(mm, hold);
      if (run(mm + 3, hold) > here + 0.05 || run(mm, hold + 2) < here - 0.05) bad.push(`${mm} mm ${hold} min`);
    }),
    { numRuns: 12 },
  );
  expect(bad).toEqual([]);
});
