import fc from 'fast-check';
import { scaleBy, scaleToGrain } from '../src/dish/scale';
import { findFood } from '../src/food/find';
import { plan } from '../src/plan/plan';
import { ratios } from '../src/plan/ratios';
import { scaleToPot } from '../src/plan/scale';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

const value = (d: ReturnType<typeof turkeyRice>, id: string): number =>
  d.ingredients.find((i) => i.id === id)!.amount.value;

describe('what grows with the batch', () => {
  const spiced = turkeyRice();
  spiced.ingredients.push(
    { id: 'cumin', food: 'spice-ground', amount: { value: 6, unit: 'g' } },
    { id: 'crumbs', food: 'breadcrumbs', amount: { value: 40, unit: 'g' }, joins: 'topping' },
  );
  const { dish, notScaled } = scaleBy(spiced, 2);
  test('food in proportion, spices a little less, frying fat and topping not at all', () => {
    expect(value(dish, 'rice')).toBe(600);
    expect(value(dish, 'turkey')).toBe(1040);
    expect(value(dish, 'cumin')).toBeCloseTo(6 * 2 ** 0.9, 2);
    expect(value(dish, 'oil')).toBe(2);
    expect(value(dish, 'crumbs')).toBe(40);
  });
  test('it says what does not, and for what: herbs go with the spices', () => {
    const by = Object.fromEntries(notScaled.map((n) => [n.code, n.ingredients]));
    expect(by['frying-fat']).toEqual(['oil']);
    expect(by['topping']).toEqual(['crumbs']);
    expect(by['spices']).toEqual(['parsley', 'cumin']);
    expect(Object.keys(by)).toEqual(expect.arrayContaining(['minutes', 'heat-up', 'water']));
    expect(scaleBy(spiced, 1).notScaled).toEqual([]);
  });
  test('there and back again', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 6, noNaN: true }), (k) => {
        const back = scaleBy(scaleBy(spiced, k).dish, 1 / k).dish;
        return back.ingredients.every(
          (i, n) => Math.abs(i.amount.value / spiced.ingredients[n]!.amount.value - 1) < 0.02,
        );
      }),
      { numRuns: 50 },
    );
  });
  test('nonsense is refused with a sentence', () => {
    expect(() => scaleBy(spiced, 0)).toThrow('between one and sixty');
    expect(() => scaleBy(spiced, NaN)).toThrow('between one and sixty');
    expect(() => scaleBy(spiced, 99)).toThrow('between one and sixty');
  });
});

describe('by the packet and by the pot', () => {
  test('the rest follows so much grain', () => {
    const { dish, factor } = scaleToGrain(turkeyRice(), 450);
    expect(factor).toBeCloseTo(1.5, 9);
    expect(value(dish, 'rice')).toBe(450);
    expect(value(dish, 'turkey')).toBe(780);
    const noGrain = turkeyRice();
    expect(() =>
      scaleToGrain({ ...noGrain, ingredients: noGrain.ingredients.filter((i) => !findFood(i.food).grain) }, 100),
    ).toThrow('no grain');
  });
  test.each(['electric-3', 'electric-5.7', 'electric-8'])(
    'the largest batch of %s is under its limit, a tenth more is not',
    (potId) => {
      const kitchen = { ...seaLevel, potId };
      const s = scaleToPot(plainRice(), kitchen);
      expect(s.fits).toBe(true);
      const fill = (d: ReturnType<typeof plainRice>): number => {
        const { fillFraction, limitFraction } = plan(d, kitchen).pot;
        return fillFraction / limitFraction;
      };
      expect(fill(s.dish)).toBeLessThanOrEqual(1);
      expect(fill(scaleBy(plainRice(), s.factor * 1.15).dish)).toBeGreaterThan(1);
    },
  );
  test('a larger pot takes a larger batch', () => {
    const k = (potId: string): number => scaleToPot(turkeyRice(), { ...hut, potId }).factor;
    expect(k('electric-8')).toBeGreaterThan(k('electric-5.7'));
    expect(k('electric-5.7')).toBeGreaterThan(k('electric-3'));
  });
  test('the constant part of the sum is what a ratio leaves out', () => {
    const r = ratios(plainRice(), seaLevel)!;
    expect(r.constantMl).toBeGreaterThan(5);
    expect(r.constantMl).toBeLessThan(120);
    // Every batch drinks what its own minutes ask for; what is poured for a gram that is drunk falls all the way.
    const perDrunkG = r.points.map((p) => p.addMl / p.takenG);
    expect(perDrunkG.every((x, i) => i === 0 || x < perDrunkG[i - 1]!)).toBe(true);
    const ratio = r.points.map((p) => p.mlPerMl);
    expect(ratio.at(-1)!).toBeLessThan(ratio[0]! - 0.03);
  });
  // The part of the liquid that does not grow is why ratios fail (docs/engine.md, section 4).
  test('twice the rice takes less than twice the water', () => {
    const ml = (k: number): number => plan(scaleBy(plainRice(), k).dish, seaLevel).liquid.addMl;
    expect(ml(2)).toBeLessThan(2 * ml(1));
    expect(ml(2)).toBeGreaterThan(1.6 * ml(1));
  });
});
