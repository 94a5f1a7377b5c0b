import { readRecipe, type Language } from '../../src';
import { saidIn } from '../../src/recipe/line/said';

const recipes: readonly [Language, string][] = [
  [
    'en',
    '300 g rice or barley\n2 chicken breasts 500 g\nchicken stock\nsalt to taste\n3 jars of passata\n2 dragon fruits\n2-3 carrots\n200 g cooked rice\n400 g couscous\n1 tin of beans\n100 g ghee and onions\nCook at high pressure for 8 minutes.',
  ],
  [
    'es',
    '300 g de arroz\n500 g de pollo\ncaldo de pollo\nsal al gusto\n3 tarros de salsa\n2 pitahayas\n2-3 zanahorias\n200 g de arroz cocido\n400 g de cuscús\n1 bote de garbanzos\nCocine a presión alta 8 minutos.',
  ],
];

test.each(recipes)(
  'what is said of a recipe in %s is whole in its own language and in the other one',
  (language, text) => {
    const { lines, asks, report } = readRecipe(text);
    const said = [
      ...lines.flatMap((l) => (l.said ? [{ words: l.note, said: l.said }] : [])),
      ...asks.map((a) => ({ words: a.question, said: a.said })),
      ...report.filter((r) => r.line === undefined).map((r) => ({ words: r.text, said: r.said! })),
    ];
    expect(new Set(said.map((s) => s.said.code)).size).toBeGreaterThan(8);
    for (const { words, said: what } of said) {
      expect(saidIn(what, language)).toBe(words);
      const other = saidIn(what, language === 'en' ? 'es' : 'en');
      expect([words, other, `${words}${other}`.includes('{{')]).toEqual([words, other, false]);
      expect(other).not.toBe(words);
    }
  },
);

test('a food, a family and its reason are named in the language that is asked for', () => {
  expect(saidIn({ section: 'reading', code: 'stands-in', params: { food: 'chicken-thigh' } }, 'es')).toMatch(
    /^Contado como contramuslo de pollo/,
  );
  const params = { family: 'one-pot-grain', because: 'meat-and-grain' };
  expect(saidIn({ section: 'reading', code: 'read-as', params }, 'en')).toBe(
    'Read as: grain and meat together (meat and grain). You can change it.',
  );
  expect(saidIn({ section: 'reading', code: 'read-as', params }, 'es')).toBe(
    'Leído como: grano y carne juntos (carne y grano). Se puede cambiar.',
  );
});

test.each([
  ['500 g chicken thighs\n300 g long grain rice', 'Chicken thigh and long grain rice'],
  ['500 g de contramuslos de pollo\n300 g de arroz largo', 'Contramuslo de pollo con arroz de grano largo'],
  ['400 ml de caldo\n2 cebollas', 'Plato nuevo'],
])('a recipe without a title is called by its foods: %s', (text, title) => {
  expect(readRecipe(text).dish!.title).toBe(title);
});
