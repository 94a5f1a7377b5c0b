import fc from 'fast-check';
import { parseLine, suggestFoods } from '../src/dish/line';
import { foodIds } from '../src/food/find';
import { Problem } from '../src/problem';

// Lines as cooks type them; what each means is common practice.
test.each([
  [
    '2 lb chicken breast strips 1 cm, part-seared',
    'chicken-breast',
    2,
    'lb',
    { shape: 'strip', thicknessMm: 10, state: 'part-seared' },
  ],
  ['1 1/2 cups long rice, rinsed', 'rice-long', 1.5, 'cup-us', { rinse: true }],
  ['300 g basmati rice rinsed soaked 30 min', 'rice-basmati', 300, 'g', { rinse: true, soakMin: 30 }],
  ['450g ground beef', 'beef-ground', 450, 'g', {}],
  ['2 onions', 'onion', 2, 'piece', {}],
  ['500 g lamb leg, cubes 3cm', 'lamb-leg', 500, 'g', { shape: 'cube', thicknessMm: 30 }],
  ['1 kg frozen chicken thighs', 'chicken-thigh', 1, 'kg', { state: 'frozen' }],
  ['200 g frozen peas', 'peas-frozen', 200, 'g', {}],
  ['½ cup white wine', 'wine-white', 0.5, 'cup-us', {}],
  ['2 tbsp olive oil', 'oil-olive', 2, 'tbsp', {}],
  ['salt', 'salt', 100, 'g', {}],
  ['400 g penne', 'penne', 400, 'g', {}],
  ['355 ml hot broth', 'broth', 355, 'ml', { hot: true }],
  ['1 can-400 of crushed tomato', 'tomato-crushed-canned', 1, 'can-400', {}],
  ['200 g minced pork', 'pork-ground', 200, 'g', {}],
  ['300 g rice', 'rice-long', 300, 'g', {}],
] as const)('%s', (line, food, value, unit, prep) => {
  const p = parseLine(line);
  expect(p).toEqual({ food, prep, amount: { value, unit }, rest: [] });
});
test('what was not understood is told, not lost', () => {
  expect(parseLine('2 lb sparkling chicken breast').rest).toEqual(['sparkling']);
});
test('an unknown food is refused with near ones, an empty line with an example', () => {
  expect(() => parseLine('200 g chikcen')).toThrow(/Did you mean chicken/);
  expect(() => parseLine('   ')).toThrow('for example');
});
test('names of another language are understood', () => {
  expect(parseLine('200 g cebolla', { onion: 'cebolla' }).food).toBe('onion');
});
test('completion offers what begins so, the plainest first', () => {
  expect(suggestFoods('300 g chick')).toContain('chicken-breast');
  expect(suggestFoods('rice')[0]).toBe('rice-long');
  expect(suggestFoods('zzz')).toEqual([]);
});
test('every food is found by the words of its own id', () => {
  expect(foodIds.filter((id) => parseLine(`100 g ${id.replaceAll('-', ' ')}`).food !== id)).toEqual([]);
});
test('any line at all gives a food or a sentence', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 60 }), (line) => {
      try {
        expect(foodIds).toContain(parseLine(line).food);
      } catch (e) {
        if (!(e instanceof Problem)) throw e;
      }
    }),
    { numRuns: 300 },
  );
});
