import { plan } from '../../src/plan/plan';
import { readRecipe } from '../../src/recipe/reading';

/** What the steps of a recipe say of foods whose own lines are silent; the ways of saying it are common practice. */
const withSteps = (lines: string, steps: string): ReturnType<typeof readRecipe> =>
  readRecipe(`Supper for four\n\nIngredients\n${lines}\n\nMethod\n1. ${steps}`);
const prepOf = (food: RegExp, lines: string, steps: string): Record<string, unknown> =>
  withSteps(lines, steps).dish!.ingredients.find((i) => food.test(i.food))!.prep ?? {};

const pilaf = '300 g basmati rice\n500 g boneless chicken thighs\n2 onions, sliced\n2 cloves garlic\n600 ml water';

test.each([
  ['Fry the onions slowly until dark brown, then add the garlic.', /^onion$/, 'brown'],
  ['Cook the onions until golden. Add rice and water.', /^onion$/, 'half'],
  ['Caramelise the rice; fry the onions.', /^onion$/, undefined],
  ['Brown the chicken. Add the onions.', /chicken/, undefined],
  ['Brown the chicken in batches.', /chicken/, 'half'],
  ['Sear the thighs skin side down for 8 minutes.', /chicken/, 'half'],
  ['Sear the meat until well browned.', /chicken/, 'brown'],
  ['Add chicken stock and cook the onions until golden brown.', /chicken/, undefined],
  ['Dore la cebolla hasta que esté bien dorada.', /^onion$/, 'brown'],
])('how brown: %s', (steps, food, brown) => {
  expect(prepOf(food, pilaf, steps)['brown']).toBe(brown);
});

test('golden onions take their minutes in the pan, and what follows them too', () => {
  const fried = (steps: string): [number, string][] =>
    plan(withSteps(`${pilaf}\n1 carrot, diced\n2 tbsp oil`, steps).dish!).fry.flatMap((f) =>
      ['onion', 'carrot'].includes(f.ingredient) ? [[f.minutes, f.until] as [number, string]] : [],
    );
  expect(fried('Soften the onions.')).toEqual([
    [4, 'translucent'],
    [3, 'softened'],
  ]);
  expect(fried('Fry the onions until golden.')).toEqual([
    [7, 'edges-brown'],
    [4, 'softened'],
  ]);
});

test.each([
  ['1 bay leaf', /spice-whole/, 'take-out'],
  ['2 sprigs rosemary', /herb-fresh/, 'take-out'],
  ['parmesan rind', /cheese-rind/, 'take-out'],
  ['2 pandan leaves, knotted', /pandan/, 'take-out'],
  ['1 rama de canela', /spice-whole/, 'take-out'],
  ['1 stalk lemongrass, minced', /lemongrass/, undefined],
  ['1 tsp cumin seeds', /spice-whole/, undefined],
])('what nobody eats comes out: %s', (line, food, wanted) => {
  const { dish, asks } = withSteps(`${pilaf}\n${line}`, 'Cook on high pressure for 5 minutes, quick release.');
  expect(asks).toEqual([]);
  expect(dish!.ingredients.find((i) => food.test(i.food))!.prep?.onceOpen).toBe(wanted);
});

test('meat that the steps shred is measured, lifted out and pulled apart after the lid', () => {
  const lines =
    '300 g basmati rice\n600 g boneless chicken thighs\n1 bay leaf\n100 g grated cheese\n600 ml chicken stock';
  const { dish } = withSteps(lines, 'High pressure 10 minutes, quick release. Shred the chicken and stir it back in.');
  const { finish } = plan(dish!);
  expect(finish.slice(0, 4).map((f) => [f.code, f.ingredients])).toEqual([
    ['open', []],
    ['check', []],
    ['take-out', ['spice-whole']],
    ['shred', ['chicken-thigh']],
  ]);
  expect(prepOf(/chicken/, lines, 'Stir in the shredded cheese.')['onceOpen']).toBeUndefined();
  expect(prepOf(/chicken/, lines, 'Quick release. Shred it.')['onceOpen']).toBe('shred');
});
