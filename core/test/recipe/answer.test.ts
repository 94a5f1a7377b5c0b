import { answeredLine } from '../../src/recipe/answer';
import { readLine } from '../../src/recipe/line/line';
import { recipeText } from '../../src/recipe/page/recipe-text';
import { readRecipe } from '../../src/recipe/reading';

test.each([
  ['2 cups rice, rinsed', { food: 'rice-basmati' }, 'rice-basmati', 370],
  ['500g chicken, cut into 1-inch pieces', { food: 'chicken-breast' }, 'chicken-breast', 500],
  ['1 packet penne, 11 min', { amount: '400 g' }, 'penne', 400],
  ['olive oil', { amount: '2 tbsp' }, 'oil-olive', 27],
  ['1 jar pesto', { amount: '190 g' }, 'pesto', 190],
  ['4 sausages', { food: 'sausage-smoked' }, 'sausage-smoked', 320],
] as const)('%s, answered, is certain and says so in its own words', (line, answer, food, grams) => {
  const read = readLine(answeredLine(line, answer, 'en'))[0]!;
  expect(read.food).toBe(food);
  expect(Math.round(read.grams!)).toBeCloseTo(grams, -1);
  expect(read.certain).toBeGreaterThanOrEqual(0.7);
});
test('what stands around the answer stays', () => {
  expect(answeredLine('2 cups rice, rinsed', { food: 'rice-jasmine' }, 'en')).toBe('2 cups jasmine rice, rinsed');
  expect(readLine(answeredLine('1 packet penne, 11 min', { amount: '400 g' }, 'en'))[0]!.prep).toEqual({
    packetMinutes: 11,
  });
});
test('a structured recipe as text is read the same', () => {
  const doc = JSON.stringify({
    '@type': 'Recipe',
    name: 'Barley soup',
    recipeYield: 'Serves 3',
    recipeIngredient: ['150 g pearl barley', '1 l chicken stock', '2 carrots'],
    recipeInstructions: 'Cook at high pressure for 18 minutes. Natural release.',
  });
  const text = recipeText(doc)!;
  expect(text).toContain('Ingredients\n150 g pearl barley');
  expect(readRecipe(text).dish).toEqual(readRecipe(doc).dish);
});
