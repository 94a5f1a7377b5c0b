import fc from 'fast-check';
import { kitchenSchema } from '../src/dish/kitchen';
import { findFood } from '../src/food/find';
import { ownMeasureG, ownMeasureMl, ownMeasureSchema, type OwnMeasure } from '../src/food/own-measure';
import { readLine } from '../src/recipe/line/line';
import { ownAmountOf } from '../src/recipe/line/own-measures';
import { readRecipe } from '../src/recipe/reading';

const mug: OwnMeasure = { id: 'own-my-mug', name: 'my mug', filledWith: 'water', grams: 310 };
const vaso: OwnMeasure = { id: 'own-vaso', name: 'vaso', filledWith: 'rice-long', grams: 170 };
const kitchen = { ownMeasures: [mug, vaso] };

test('what it holds follows from the scale', () => {
  // Water has 0.998 g/mL at 20 degC (CRC Handbook); long grain rice as it is poured some 0.78 (a cup of 237 mL weighs 185 g).
  expect(ownMeasureMl(mug)).toBe(311);
  expect(ownMeasureMl(vaso)).toBeGreaterThanOrEqual(212);
  expect(ownMeasureMl(vaso)).toBeLessThanOrEqual(222);
  expect(Math.abs(ownMeasureG(vaso, 'rice-long') - 170)).toBeLessThanOrEqual(0.5);
});

test.each([
  ['2 my mugs basmati', 'en', 'rice-basmati', 622],
  ['1 1/2 my mug water', 'en', 'water', 466.5],
  ['half my mug of red lentils', 'en', 'lentils-split', 155.5],
  ['my mug of red lentils', 'en', 'lentils-split', 311],
  ['a vaso of long grain rice', 'en', 'rice-long', ownMeasureMl(vaso)],
  ['2 vasos de arroz basmati', 'es', 'rice-basmati', 2 * ownMeasureMl(vaso)],
  ['medio vaso de agua', 'es', 'water', ownMeasureMl(vaso) / 2],
  ['un vaso de agua', 'es', 'water', ownMeasureMl(vaso)],
] as const)('"%s" is measured with it', (line, language, food, ml) => {
  const [read] = readLine(line, language, kitchen);
  expect(read).toMatchObject({ food, left: [] });
  expect(read!.amount).toEqual({ value: Math.round(ml * 10) / 10, unit: 'ml' });
  expect(Math.abs(read!.grams! - ml * findFood(food).bulkGPerMl[0])).toBeLessThan(0.02 * read!.grams!);
});

test('where it is no measure its word means what it always meant', () => {
  const glass: OwnMeasure = { ...mug, id: 'own-glass', name: 'glass' };
  const own = { ownMeasures: [glass] };
  expect(readLine('200 g glass noodles', 'en', own)).toEqual(readLine('200 g glass noodles', 'en'));
  expect(readLine('300 g rice', 'en', own)).toEqual(readLine('300 g rice', 'en'));
  expect(readLine('2 glasses basmati', 'en', own)[0]!.amount).toEqual({ value: 622, unit: 'ml' });
  // Without one of one's own it is the usual glass.
  expect(readLine('2 glasses basmati', 'en')[0]!.amount).not.toEqual({ value: 622, unit: 'ml' });
});

test('two foods on a line are both measured with it; beside another cup the line asks', () => {
  const both = readLine('1 my mug rice, 1 my mug red lentils', 'en', kitchen).map((l) => l.amount);
  expect(both).toEqual([
    { value: 311, unit: 'ml' },
    { value: 311, unit: 'ml' },
  ]);
  const mixed = readLine('1 my mug rice, 1 cup red lentils', 'en', kitchen);
  expect(mixed.some((l) => l.amount?.unit === 'cup-us' && l.food === 'lentils-split')).toBe(true);
  expect(mixed.some((l) => l.amount === null || l.certain < 0.7)).toBe(true);
});

test('a recipe that measures with it becomes a dish that any kitchen reads: in mL', () => {
  const { dish } = readRecipe('Rice\n2 my mugs basmati\n3 my mugs water\n1 tsp salt', 'en', kitchen);
  expect(dish!.ingredients.map((i) => i.amount)).toEqual([
    { value: 622, unit: 'ml' },
    { value: 933, unit: 'ml' },
    { value: 1, unit: 'tsp' },
  ]);
});

test('a field takes it too, as it is shown and as it is typed', () => {
  for (const text of ['2 my mugs', '2 × my mug', '2 x my mug'])
    expect(ownAmountOf(text, [mug])).toEqual({ value: 622, unit: 'ml' });
  expect(ownAmountOf('my mug', [mug])).toEqual({ value: 311, unit: 'ml' });
  for (const text of ['2 cups', '300 g', 'some my mug', '-1 my mug']) expect(ownAmountOf(text, [mug])).toBeNull();
});

test('so many times the glass is so many times the amount, whatever it holds', () => {
  fc.assert(
    fc.property(fc.integer({ min: 50, max: 900 }), fc.integer({ min: 1, max: 9 }), (grams, n) => {
      const own: OwnMeasure = { ...mug, grams };
      const [read] = readLine(`${n} my mug basmati`, 'en', { ownMeasures: [own] });
      expect(read!.amount!.value).toBeCloseTo(n * ownMeasureMl(own), 6);
    }),
    { numRuns: 40 },
  );
});

test('a thimble, a bucket, a name without a letter, an unknown filling, one id twice: refused at their field', () => {
  const at = (change: Partial<OwnMeasure>): string =>
    ownMeasureSchema.safeParse({ ...mug, ...change }).error?.issues[0]?.path.join('.') ?? 'fine';
  expect(at({ grams: 2 })).toBe('grams');
  expect(at({ grams: 9000 })).toBe('grams');
  expect(at({ grams: 0 })).toBe('grams');
  expect(at({ name: '12' })).toBe('name');
  expect(at({ filledWith: 'sand' })).toBe('filledWith');
  expect(at({})).toBe('fine');
  expect(kitchenSchema.safeParse({ ownMeasures: [mug, mug] }).success).toBe(false);
});

test('a heaped scoop counts for what can be heaped, and for nothing that is poured', () => {
  // Level, the mug holds 243 g of long grain rice; this cook heaps it by a fifth.
  const heaped: OwnMeasure = { ...mug, scoopedG: 1.2 * ownMeasureG(mug, 'rice-long') };
  const ml = (line: string): number => readLine(line, 'en', { ownMeasures: [heaped] })[0]!.amount!.value;
  expect(ml('1 my mug basmati')).toBeCloseTo(1.2 * 311, 0);
  expect(ml('1 my mug lentils')).toBeCloseTo(1.2 * 311, 0);
  expect(ml('1 my mug water')).toBe(311);
  expect(ml('1 my mug stock')).toBe(311);
  expect(ownMeasureSchema.safeParse({ ...mug, scoopedG: 900 }).error?.issues[0]?.path).toEqual(['scoopedG']);
});

test('"salt" and "stock" are what stands in this kitchen; a line that says which is believed', () => {
  const read = (line: string) => readLine(line, 'en', { usual: { salt: 'salt-flaky', broth: 'broth-low-salt' } })[0]!;
  expect(read('2 tsp salt').food).toBe('salt-flaky');
  // A spoon of flakes weighs less than one of table salt (fine 6 g, flakes about 4 and less).
  expect(read('2 tsp salt').grams!).toBeLessThan(0.8 * readLine('2 tsp salt')[0]!.grams!);
  expect(read('2 tsp table salt').food).toBe('salt');
  expect(read('1 tsp fine sea salt').food).toBe('salt-sea');
  expect(read('500 ml chicken stock')).toMatchObject({ food: 'broth-low-salt', name: 'chicken stock' });
  expect(read('salt to taste')).toMatchObject({ food: 'salt-flaky', grams: 0 });
  expect(read('300 g rice').food).toBe(readLine('300 g rice')[0]!.food);
});
