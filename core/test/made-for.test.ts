import fc from 'fast-check';
import { dishSchema, type Dish } from '../src/dish/schema';
import { checkPlanOf, isPlanOf, markOf } from '../src/plan/made-for';
import { evaluate, plan } from '../src/plan/plan';
import { hut, seaLevel, turkeyRice } from './helpers/dishes';
import { planned } from './helpers/laws';

/* A plan and a dish that are kept together belong together. */
const dish = turkeyRice();
const p = plan(dish, hut);

test('the plan of a dish is its plan, after a trip through JSON with its fields in another order too', () => {
  expect(isPlanOf(p, dish)).toBe(true);
  const turned = (x: unknown): unknown =>
    Array.isArray(x)
      ? x.map(turned)
      : typeof x === 'object' && x !== null
        ? Object.fromEntries(
            Object.entries(x)
              .reverse()
              .map(([k, v]) => [k, turned(v)]),
          )
        : x;
  expect(isPlanOf(p, dishSchema.parse(turned(JSON.parse(JSON.stringify(dish)))))).toBe(true);
  expect(isPlanOf(p, { ...dish, title: 'Sunday', notes: 'for six' })).toBe(true);
  const cooked = turkeyRice({ asCooked: { pressure: 'high', holdMin: 4, release: { kind: 'quick' } } });
  expect(isPlanOf(evaluate(cooked, hut), cooked)).toBe(true);
});
test('a plan that holds the pasta back is still the plan of the dish as it was written', () => {
  const { c, p: held } = planned(102);
  expect(held.warnings.map((w) => w.code)).toContain('pasta-held-back');
  expect(isPlanOf(held, c.dish)).toBe(true);
});
test.each<[string, Dish]>([
  ['an amount', { ...dish, ingredients: dish.ingredients.map((i) => ({ ...i, amount: { ...i.amount, value: 7 } })) }],
  ['the people', { ...dish, serves: 9 }],
  ['a number of the cook', { ...dish, overrides: { holdMin: 9 } }],
  ['the order of the rows', { ...dish, ingredients: [...dish.ingredients].reverse() }],
])('another one by %s is refused with a sentence', (_, other) => {
  expect(isPlanOf(p, other)).toBe(false);
  expect(() => checkPlanOf(p, other)).toThrow(/another dish/);
});
test('another kitchen has another mark; a plan from before there were marks is taken on trust', () => {
  expect(plan(dish, seaLevel).madeFor).not.toBe(p.madeFor);
  const { madeFor: _, ...old } = p;
  expect(isPlanOf(old, { ...dish, serves: 9 })).toBe(true);
});
test('marks of different dishes differ', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }), (a, b) => {
      const mark = (serves: number): string =>
        markOf({ ...dish, serves }, { pot: { id: 'electric-5.7' }, altitudeM: 0 });
      expect(mark(a) === mark(b)).toBe(a === b);
    }),
  );
});
