import fc from 'fast-check';
import { findFood, foods, measurable } from '../src/food/find';
import { Problem } from '../src/problem';
import { fromGrams, toGrams } from '../src/quantity/convert';
import { parseAmount } from '../src/quantity/parse';
import { roundKitchen } from '../src/measures';
import { showAmount, showFraction } from '../src/quantity/show';
import { unitIds, units } from '../src/quantity/units';

describe('reading an amount', () => {
  test.each([
    ['1 1/2 cups', 1.5, 'cup-us'],
    ['1½ cup', 1.5, 'cup-us'],
    ['300 g', 300, 'g'],
    ['300g', 300, 'g'],
    ['2 lbs', 2, 'lb'],
    ['1,5 l', 1.5, 'l'],
    ['1,200 g', 1200, 'g'],
    ['¾ tsp', 0.75, 'tsp'],
    ['2 Rice Cups', 2, 'cup-rice'],
    ['3 fl. oz', 3, 'floz'],
    ['1 tin', 1, 'can-400'],
  ])('%s', (text, value, unit) => expect(parseAmount(text)).toEqual({ value, unit }));

  test('a bare number takes the measure of its field', () =>
    expect(parseAmount('250', 'ml')).toEqual({ value: 250, unit: 'ml' }));

  test.each([
    ['2 cps', 'amount-unit', 'cups'],
    ['', 'amount-empty', 'Type an amount'],
    ['lots', 'amount-number', 'number'],
    ['-2 g', 'amount-range', 'above 0'],
    ['0 g', 'amount-range', 'above 0'],
    ['1e9 g', 'amount-unit', 'measure'],
    ['250', 'amount-unit', 'measure'],
  ])('"%s" says what is wrong', (text, code, part) => {
    const problem = catchProblem(() => parseAmount(text));
    expect([problem.code, problem.message]).toEqual([code, expect.stringContaining(part)]);
  });

  test('any text gives an amount or a Problem, nothing else', () => {
    fc.assert(
      fc.property(fc.string(), (s) => {
        try {
          const a = parseAmount(s);
          return a.value > 0 && unitIds.includes(a.unit);
        } catch (e) {
          return e instanceof Problem;
        }
      }),
    );
  });
});

test('a number alone, where it was to taste, asks for its measure; the words make it so', () => {
  expect(() => parseAmount('2', 'to-taste')).toThrow(/Which measure/);
  expect(parseAmount('2 tsp', 'to-taste')).toEqual({ value: 2, unit: 'tsp' });
  expect(parseAmount('To taste', 'g')).toEqual({ value: 1, unit: 'to-taste' });
});

describe('converting', () => {
  // Cup weights of food-composition tables, g per 236.6 mL (from memory; spread 6 to 12 g, see docs/engine.md).
  test.each([
    ['rice-long', 185],
    ['rice-short', 200],
    ['quinoa', 170],
    ['oats-rolled', 90],
    ['broth', 238],
  ])('a US cup of %s', (food, grams) => {
    const have = toGrams({ value: 1, unit: 'cup-us' }, measurable(findFood(food)));
    expect(Math.abs(have - grams)).toBeLessThan(1);
  });
  // Exact definitions: international avoirdupois pound, US gallon of 231 cubic inches.
  test('pounds and cups are the legal sizes', () => {
    expect(units.lb.size).toBe(453.59237);
    expect(units['cup-us'].size * 16).toBeCloseTo(231 * 2.54 ** 3, 6);
  });
  test('there and back for every food and every measure it has', () => {
    let worst = 0;
    for (const f of foods)
      for (const unit of unitIds) {
        if (units[unit].kind === 'taste') continue;
        if (units[unit].kind === 'count' && (unit === 'piece' ? !f.pieceG : !f.packetG)) continue;
        const m = measurable(f);
        worst = Math.max(worst, Math.abs(fromGrams(toGrams({ value: 1.7, unit }, m), unit, m).value - 1.7));
      }
    expect(worst).toBeLessThan(1e-9);
  });
});

describe('showing', () => {
  test.each([
    [1.5, '1½'],
    [0.25, '¼'],
    [2, '2'],
    [0.33, '⅓'],
    [0.98, '1'],
  ])('%d as %s', (x, text) => expect(showFraction(x)).toBe(text));
  test('grams and litres in kitchen precision, by locale', () => {
    expect(showAmount(1.25, 'l', 'es')).toBe('1,25');
    expect(showAmount(303.54, 'g')).toBe('304');
    expect([3.4, 353, 1463].map(roundKitchen)).toEqual([3, 355, 1460]);
  });
});

test('every food has sane numbers and a source beside each', () => {
  const bad = foods.filter((f) => {
    // Dried things drink: what they release is negative (its range: tables.test).
    const shares = [f.water, f.free, f.released[0] < 0 ? f.water : f.released];
    return (
      shares.some(([v, s]) => v < 0 || v > 1 || !'SPMD'.includes(s)) ||
      f.free[0] + f.released[0] > f.water[0] + 1e-9 ||
      f.bulkGPerMl[0] > f.densityGPerMl[0] * 1.05 ||
      (f.grain !== undefined &&
        !(
          f.grain.eMin[0] < f.grain.eRef[0] &&
          f.grain.eRef[0] < f.grain.eMax[0] &&
          f.grain.refMoisture[0] < f.grain.maxMoisture[0]
        ))
    );
  });
  expect(bad.map((f) => f.id)).toEqual([]);
  expect(new Set(foods.map((f) => f.id)).size).toBe(foods.length);
});

function catchProblem(f: () => unknown): Problem {
  try {
    f();
  } catch (e) {
    if (e instanceof Problem) return e;
  }
  throw new Error('no Problem was thrown');
}
