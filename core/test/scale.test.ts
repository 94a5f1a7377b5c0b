import fc from 'fast-check';
import { scaleBy, scaleToGrain } from '../src/dish/scale';
import { findFood } from '../src/food/find';
import { plan } from '../src/plan/plan';
import { ratios } from '../src/plan/questions/ratios';
import { scaleToPot } from '../src/plan/questions/scale';
import { demoDish } from './helpers/demo';
import { board } from './helpers/board';
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
  test('whole people where that costs little, and one more would be over the limit', () => {
    for (const potId of ['electric-3', 'electric-5.7']) {
      const s = scaleToPot(plainRice(), { ...seaLevel, potId });
      expect(s.dish.serves).toBe(Math.round(4 * s.factor));
      expect(4 * s.factor).toBeCloseTo(s.dish.serves, 9);
      const { fillFraction, limitFraction } = plan(scaleBy(plainRice(), (s.dish.serves + 1) / 4).dish, {
        ...seaLevel,
        potId,
      }).pot;
      expect(fillFraction).toBeGreaterThan(limitFraction);
    }
  });
  test('for a party of one or two the pot’s own size counts, since whole people would leave a tenth of it empty', () => {
    const s = scaleToPot(plainRice({ serves: 1 }, 4), { ...seaLevel, potId: 'electric-3' });
    expect(s.fits).toBe(true);
    expect(Number.isInteger(s.factor) || s.factor < 1).toBe(true);
    const two = scaleToPot(plainRice({ serves: 2 }, 9), { ...seaLevel, potId: 'electric-5.7' });
    const over = plan(scaleBy(plainRice({ serves: 2 }, 9), two.factor * 1.12).dish, {
      ...seaLevel,
      potId: 'electric-5.7',
    });
    expect(over.pot.fillFraction).toBeGreaterThan(over.pot.limitFraction);
  });
  test('a batch that is far too large fits in no size, and a small one stops at sixty people or twelve times', () => {
    const huge = scaleToPot(board('plain-grain', { food: 'rice-long', g: 19_500 }), {
      ...seaLevel,
      potId: 'electric-3',
    });
    expect([huge.fits, huge.factor]).toEqual([false, 0.1]);
    const crowd = scaleToPot(plainRice({ serves: 30 }, 0.5), seaLevel);
    expect([crowd.fits, crowd.dish.serves]).toEqual([true, 60]);
    const pinch = scaleToPot(plainRice({ serves: 2 }, 0.1), seaLevel);
    expect(pinch.factor).toBe(12);
  });
  test('a bowl of its own has a limit of its own, two thirds', () => {
    const dish = demoDish('goat-curry-bowl-rice');
    const s = scaleToPot(dish, hut);
    const stops = (d: typeof dish): string[] =>
      plan(d, hut)
        .warnings.map((w) => w.code)
        .filter((c) => c === 'over-full' || c === 'bowl-full');
    expect(stops(s.dish)).toEqual([]);
    expect(stops(scaleBy(dish, s.factor * 1.25).dish)).not.toEqual([]);
  });
  test('the line is the least-squares line of the batches, and no batch is for more than sixty', () => {
    const r = ratios(turkeyRice(), hut)!;
    const off = r.points.map((p) => p.addMl - r.constantMl - r.perGrainMlPerG * p.grainG);
    // The normal equations: what is left over has no mean and no slope.
    expect(off.reduce((a, b) => a + b, 0)).toBeCloseTo(0, 6);
    expect(off.reduce((a, b, i) => a + b * r.points[i]!.grainG, 0)).toBeCloseTo(0, 3);
    for (const p of r.points)
      expect(p.mlPerMl).toBeCloseTo((p.addMl * findFood('rice-long').bulkGPerMl[0]) / p.grainG, 9);
    expect(r.points.map((p) => p.factor)).toEqual([0.5, 1, 1.5, 2, 3]);
    expect(ratios(turkeyRice({ serves: 30 }), hut)!.points.map((p) => p.factor)).toEqual([0.5, 1, 1.5, 2]);
    expect(ratios(turkeyRice({ serves: 60 }), hut)!.points).toHaveLength(2);
    expect(ratios(demoDish('small-potatoes-rack'), hut)).toBeNull();
  });
});
