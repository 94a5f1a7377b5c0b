import fc from 'fast-check';
import { importDish } from '../src/dish/import';
import { Problem } from '../src/problem';
import { turkeyRice } from './helpers/dishes';

const good = (): Record<string, unknown> => structuredClone(turkeyRice());
const ingredients = (d: Record<string, unknown>): Record<string, unknown>[] => d['ingredients'] as never;

test('a good document comes in whole', () => {
  expect(importDish(good())).toEqual({ dish: turkeyRice(), leftOut: [] });
});
test('an unknown field, a bad wish and an unknown food are left out, each with its place', () => {
  const d = good();
  d['colour'] = 'blue';
  d['texture'] = 'crunchy';
  ingredients(d)[0]!['brand'] = 'x';
  ingredients(d).push({ id: 'moon', food: 'moon-dust', amount: { value: 1, unit: 'g' } });
  const { dish, leftOut } = importDish(d);
  expect(dish).toEqual(turkeyRice());
  expect(leftOut.map((i) => i.path).sort()).toEqual(['colour', 'ingredients.0.brand', 'ingredients.8.food', 'texture']);
});
test('an ingredient whose amount cannot be read goes, the rest stays', () => {
  const d = good();
  ingredients(d)[1]!['amount'] = { value: -3, unit: 'stone' };
  const { dish, leftOut } = importDish(d);
  expect(dish.ingredients.map((i) => i.id)).not.toContain('turkey');
  expect(leftOut.length).toBeGreaterThan(0);
});
test('overrides without their needed parts go as a whole', () => {
  const d = good();
  d['overrides'] = { release: { naturalMin: 4 } };
  expect(importDish(d).dish.overrides?.release).toBeUndefined();
});
test.each([null, 7, 'x', [], {}, { format: 'einkorn.dish/1' }, { format: 'other' }])(
  '%j is refused with a sentence',
  (raw) => {
    expect(() => importDish(raw)).toThrow(Problem);
  },
);
test('whatever JSON comes, it is a dish or a sentence, and what came is not changed', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const d = good();
      d['overrides'] = value;
      const before = JSON.stringify(d);
      try {
        expect(importDish(d).dish.title).toBe(turkeyRice().title);
      } catch (e) {
        if (!(e instanceof Problem)) throw e;
      }
      expect(JSON.stringify(d)).toBe(before);
    }),
    { numRuns: 100 },
  );
});
