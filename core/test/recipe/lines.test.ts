import fc from 'fast-check';
import { foodIds } from '../../src/food/find';
import { namesOf } from '../../src/recipe/names/food-names';
import { askedBelow, readLine } from '../../src/recipe/line/line';
import { suggestFoods } from '../../src/recipe/suggest';
import type { LineFact } from './line-fact';
import { linesEn } from './lines-en';
import { linesEs } from './lines-es';

/** Weighed by hand from round numbers: within 1 % or a twentieth of a gram. */
const near = (a: number, b: number): boolean => Math.abs(a - b) <= Math.max(0.05, 0.01 * b);

function check([line, food, grams, more = {}]: LineFact, language: 'en' | 'es'): void {
  const { asks = false, refused = false, joins, ...prep } = more;
  const read = readLine(line, language)[0]!;
  expect({ food: read.food, asks: read.certain < askedBelow, refused: read.refused }).toEqual({ food, asks, refused });
  expect(read.grams === null || grams === null ? read.grams === grams : near(read.grams, grams)).toBe(true);
  expect(read.prep ?? {}).toEqual(prep);
  if (joins) expect(read.joins).toBe(joins);
}

test.each(linesEn)('%s', (...fact) => check(fact as unknown as LineFact, 'en'));
test.each(linesEs)('%s', (...fact) => check(fact as unknown as LineFact, 'es'));

test('a line of the other language is read without being told so', () => {
  expect(readLine('200 g de cebolla', 'en')[0]!.food).toBe('onion');
  expect(readLine('2 cups chicken stock', 'es')[0]!.food).toBe('broth');
});
test('salt and pepper are two', () => {
  expect(readLine('salt and pepper to taste').map((l) => [l.food, l.grams])).toEqual([
    ['salt', 0],
    ['spice-ground', 0],
  ]);
  expect(readLine('Sal, pimienta y comino al gusto', 'en').map((l) => l.food)).toEqual([
    'salt',
    'spice-ground',
    'spice-ground',
  ]);
  expect(readLine('sal y pimienta al gusto', 'es').map((l) => l.food)).toEqual(['salt', 'spice-ground']);
});
test.each([
  ['1 tsp turmeric', 'turmeric'],
  ['1 tsp red chilli powder, 1/2 tsp haldi', 'red chilli powder'],
  ['1 sobre de Sazón', 'Sazón'],
  ['100 g Pancetta, diced', 'Pancetta'],
  ['2 tbsp avocado oil', 'avocado oil'],
  ['1 cup mozzarella', 'mozzarella'],
  ['200 g butternut squash, cubed', 'butternut squash'],
  ['1 lb cod fillets', 'cod fillets'],
  ['juice of 2 limes', 'lime juice'],
  ['1 can (400 g) chickpeas, drained', 'canned chickpeas'],
  ['400g tin black beans', 'canned black beans'],
  // What decides the plan, and what was only assumed, goes by the table's name.
  ['2 tbsp oil', undefined],
  ['2 onions', undefined],
  ['200 ml cream', undefined],
  ['1 cup peas', undefined],
  ['200 g sushi rice', undefined],
  ['500 g mutton mince', undefined],
  ['1 tsp coriander', undefined],
] as const)('"%s" goes by the cook’s own words where they say more: %s', (line, name) => {
  expect(readLine(line)[0]!.name).toBe(name);
});
test('a name in the cook’s own words is read as the same food again', () => {
  for (const id of foodIds)
    for (const name of namesOf(id, 'en')) {
      const first = readLine(`100 g ${name}`)[0]!;
      if (first.name && !first.refused)
        expect([name, readLine(`100 g ${first.name}`)[0]!.food]).toEqual([name, first.food]);
    }
});
test('what was not understood is shown, word by word', () => {
  expect(readLine('2 lb sparkling chicken breast')[0]!.left).toEqual(['sparkling']);
});
test('no amount is ever made up: without a number a food that weighs has none', () => {
  for (const food of ['penne', 'butter', 'chicken breast', 'onion', 'milk', 'basmati rice'])
    expect(readLine(food)[0]).toMatchObject({ amount: null, grams: null });
});
test('every food is found by the words of its own id and by each of its names', () => {
  const lost = foodIds.flatMap((id) =>
    [id.replaceAll('-', ' '), ...namesOf(id, 'en')].filter((name) => {
      const { food, refused } = readLine(`100 g ${name}`)[0]!;
      // A pulse that is not said to be cooked is refused, whatever it is called.
      return food !== id && !refused;
    }),
  );
  expect(lost).toEqual([]);
});
test('completion offers what begins so, the plainest first', () => {
  expect(suggestFoods('300 g chick')).toContain('chicken-breast');
  expect(suggestFoods('rice')[0]).toBe('rice-long');
  expect(suggestFoods('cebol')).toContain('onion');
  expect(suggestFoods('zzz')).toEqual([]);
});
test('any line at all is answered, and its food is one of the table', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 80, unit: 'grapheme' }), (line) => {
      for (const read of readLine(line)) {
        expect(read.food === null || foodIds.includes(read.food)).toBe(true);
        expect(read.grams === null || read.grams >= 0).toBe(true);
      }
    }),
    { numRuns: 400 },
  );
});
