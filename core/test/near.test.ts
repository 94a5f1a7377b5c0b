import type { Dish } from '../src/dish/schema';
import { nearOf } from '../src/plan/search/near';
import { plan } from '../src/plan/plan';
import { hut, turkeyRice } from './helpers/dishes';

/* What is a small step of the same dish, for which the program of the last plan stays. */
const before = turkeyRice();
const last = plan(before, hut);
const program = { holdMin: last.program.holdMin, release: last.program.release };
const changed = (id: string, change: (i: Dish['ingredients'][number]) => Dish['ingredients'][number]): Dish => ({
  ...before,
  ingredients: before.ingredients.map((i) => (i.id === id ? change(i) : i)),
});
const amount = (id: string, times: number): Dish =>
  changed(id, (i) => ({ ...i, amount: { ...i.amount, value: i.amount.value * times } }));
const thick = (thicknessMm: number): Dish => changed('turkey', (i) => ({ ...i, prep: { ...i.prep, thicknessMm } }));

test.each([
  ['one percent more rice', amount('rice', 1.01)],
  ['a tenth less broth', amount('broth', 0.9)],
  ['a millimetre more turkey', thick(26)],
  ['another title', { ...before, title: 'Sunday rice' }],
])('%s is a small step', (_, dish) => {
  expect(nearOf(last, before, dish)).toEqual(program);
});

test.each([
  ['half as much rice again', amount('rice', 1.5)],
  ['turkey of twice the thickness', thick(50)],
  ['another grain', changed('rice', (i) => ({ ...i, food: 'rice-basmati' }))],
  ['without the leek', { ...before, ingredients: before.ingredients.filter((i) => i.id !== 'leek') }],
  ['another texture', { ...before, texture: 'soft' as const }],
  ['a hold of the cook', { ...before, overrides: { holdMin: 9 } }],
])('%s is planned from nothing', (_, dish) => {
  expect(nearOf(last, before, dish)).toBeNull();
});

test('a number that the cook has given back leaves nothing behind', () => {
  expect(nearOf(last, { ...before, overrides: { holdMin: 9 } }, { ...before, overrides: { holdMin: 9 } })).toBeNull();
});
