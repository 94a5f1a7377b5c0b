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
  ['Brown the chicken in two batches.', /chicken/, 'half'],
  ['Add chicken stock and cook the onions until golden brown.', /chicken/, undefined],
  ['Dore la cebolla hasta que esté bien dorada.', /^onion$/, 'brown'],
])('how brown: %s', (steps, food, brown) => {
  expect(prepOf(food, pilaf, steps)['brown']).toBe(brown);
});

test('a cut that no food is called by alone is the meat of its line', () => {
  const lines = '4 lamb shanks, about 350 g each\n200 g pearl barley\n900 ml stock';
  expect(prepOf(/lamb/, lines, 'Season the shanks and brown well all over.')['brown']).toBe('brown');
});

/* Common practice: vinegar by the glass is what meat braises in; a spoon of it, or what comes after the lid, is an edge. */
test.each([
  [
    '80 ml cane vinegar',
    'Brown the thighs. Add soy sauce and vinegar, rice and water. High pressure 6 minutes.',
    'stack',
  ],
  [
    '1 tbsp vinegar',
    'Brown the thighs. Add soy sauce and vinegar, rice and water. High pressure 6 minutes.',
    undefined,
  ],
  [
    '80 ml vinegar',
    'Brown the thighs, add rice and water. High pressure 6 minutes. Open, stir in the vinegar.',
    'finish',
  ],
])('%s where the steps say "%s" joins: %s', (vinegar, steps, joins) => {
  const text = [
    'Sour chicken rice, for 4',
    '1 kg chicken thighs',
    '60 ml soy sauce',
    vinegar,
    '2 cups rice',
    '',
    'Method',
    steps,
  ];
  const { lines } = readRecipe(text.join('\n'));
  expect(lines.find((l) => l.food === 'vinegar')?.joins).toBe(joins);
});

test('what stands in a marinade goes in with the meat: no lemon at the end, no garlic between the layers, and the meat is fried', () => {
  const lines = [
    'For the marinade: 750 g chicken legs',
    '200 g yogurt',
    '1 tbsp ginger garlic paste',
    'juice of half a lemon',
    'For the rice:',
    '2 cups basmati rice',
    '2 tbsp ghee',
    '600 ml water',
  ].join('\n');
  const { dish } = readRecipe(
    `Chicken biryani for four\n\n${lines}\n\nMethod\n1. Marinate the chicken. Heat the ghee, fry the chicken, lay the rice over. High pressure 6 minutes.`,
  );
  const p = plan(dish!);
  const joins = Object.fromEntries(dish!.ingredients.map((i) => [i.food, i.joins ?? null]));
  expect(joins).toMatchObject({ 'chicken-leg': null, 'lemon-juice': 'marinade', ginger: 'marinade' });
  expect(p.fry.map((f) => f.ingredient)).toContain('chicken-leg');
  expect(p.finish.flatMap((f) => f.ingredients)).not.toContain('lemon-juice');
  expect(p.stack.find((l) => l.ingredient === 'ginger')).toMatchObject({ place: 'base' });
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

test.each([
  ['Fry the onions. Add the tomatoes and cook till mushy. Add rice and water. Pressure cook 4 minutes.', 'fry'],
  ['Soften the onions, add the tomatoes and cook for 5 minutes. High pressure 4 minutes.', 'fry'],
  ['Haga un sofrito con la cebolla y el tomate. Cocine 4 minutos a presión alta.', 'fry'],
  ['Fry the onions. Add the tomatoes, rice and water. Cook for 4 minutes at high pressure.', undefined],
  ['Add tomatoes. High pressure 4 minutes. Serve with fried tomatoes.', undefined],
])('tomatoes in the pan: %s', (steps, joins) => {
  const { dish } = withSteps(`${pilaf}\n2 tomatoes, chopped\n2 tbsp oil`, steps);
  expect(dish!.ingredients.find((i) => i.food === 'tomato')!.joins).toBe(joins);
});

test('tomatoes of a sofrito come after the spices, stay in the pan and make no layer on the rice', () => {
  const lines = `${pilaf}\n2 tomatoes, chopped\n2 tbsp oil\n1 tsp turmeric`;
  const p = plan(
    withSteps(lines, 'Fry the onions, add the tomatoes and cook till mushy. High pressure 4 minutes.').dish!,
  );
  const tomato = p.fry.find((f) => f.ingredient === 'tomato')!;
  expect(p.fry.at(-1)).toBe(tomato);
  expect(tomato).toMatchObject({ until: 'mush', takeOut: false });
  expect(tomato.minutes).toBeGreaterThan(4);
  expect(tomato.minutes).toBeLessThan(9);
  // Garlic and spices burn in a dry pan; what is wet cools it.
  expect(p.fry.flatMap((f) => f.trouble ?? [])).toEqual([]);
  expect(p.stack.find((l) => l.ingredient === 'tomato')!.place).toBe('base');
});

test.each([
  ['2 onions, thinly sliced and fried till brown', 'browned'],
  ['2 onions, fried until golden', 'browned'],
  ['2 onions, thinly sliced', undefined],
])('onions: %s', (line, state) => {
  const { dish, asks } = withSteps(pilaf.replace('2 onions, sliced', line), 'High pressure 4 minutes.');
  expect(asks.map((a) => a.path)).toEqual(['cooked.release']);
  expect(dish!.ingredients.find((i) => i.food === 'onion')!.prep?.state).toBe(state);
});

test.each([
  ['200 g cooked chicken, shredded', 'Cook on high for 5 minutes, quick release. Stir in the chicken.', 'finish'],
  ['200 g cooked chicken, shredded', 'Cook on high for 5 minutes, quick release. Top with the chicken.', 'finish'],
  ['200 g cooked chicken, shredded', 'Add the chicken. Cook on high for 5 minutes, quick release.', undefined],
  ['200 g chicken breast, diced', 'Cook on high for 5 minutes, quick release. Stir in the chicken.', undefined],
])('meat at the end only where it is cooked: %s %s', (line, steps, joins) => {
  const { dish } = withSteps(`300 g arborio rice\n1 onion\n700 ml chicken stock\n${line}`, steps);
  expect(dish!.ingredients.find((i) => i.food.startsWith('chicken'))!.joins).toBe(joins);
});

describe('half that is kept for the end', () => {
  const onions = (line: string, steps: string) =>
    withSteps(pilaf.replace('2 onions, sliced', line), `${steps} High pressure 4 minutes.`)
      .dish!.ingredients.filter((i) => i.food === 'onion')
      .map(({ amount, back, joins }) => [amount.value, back ?? null, joins ?? null]);
  const kept = [
    [1, null, null],
    [1, 'finish', 'topping'],
  ];
  test.each([
    ['2 onions, sliced', 'Fry the onions until deep brown; keep half for topping.', kept],
    ['2 onions, sliced', 'Fry the onions until deep brown. Remove half of them and set aside.', kept],
    ['2 onions, half of them for the top', 'Fry the onions.', kept],
    ['2 cebollas', 'Dore las cebollas; reserve la mitad para decorar.', kept],
    ['2 onions, sliced', 'Fry the onions. Keep half the chicken for tomorrow.', [[2, null, null]]],
    ['1 onion, half a clove of garlic', 'Fry the onions.', [[1, null, null]]],
  ])('%s: %s', (line, steps, wanted) => {
    expect(onions(line, steps)).toEqual(wanted);
  });
  test('it is browned first, waits in a bowl and is scattered after the fork', () => {
    const p = plan(
      withSteps(
        `${pilaf}\n2 tbsp oil`,
        'Fry the onions until deep brown; keep half for topping. High pressure 4 minutes.',
      ).dish!,
    );
    const pan = p.fry.filter((f) => f.ingredient.startsWith('onion'));
    // Both halves share the pan and its ten minutes; then one comes out.
    expect(pan.map((f) => [f.minutes, f.until, f.takeOut])).toEqual([
      [1, 'stirred-through', false],
      [10, 'deep-brown', true],
    ]);
    expect(p.finish.map((f) => f.code).slice(-3)).toEqual(['rest', 'fork', 'scatter']);
    expect(p.finish.at(-1)!.ingredients).toEqual([pan[1]!.ingredient]);
  });
});

test.each([
  ['Fry the carrots, set aside. Add rice and water, lay the carrots on top. High pressure 4 minutes.', 'top'],
  ['Fry the carrots. Add rice and water. High pressure 4 minutes. Serve with yogurt on top.', undefined],
  ['Add rice and water, put the carrots on top. High pressure 4 minutes.', undefined],
])('what is fried and then laid on top comes out of the pan for it: %s', (steps, back) => {
  const { dish } = withSteps(`${pilaf}\n2 carrots, julienned`, steps);
  expect(dish!.ingredients.find((i) => i.food === 'carrot')!.back).toBe(back);
});

/* Common practice: an egg on the rack is boiled in its shell; one that is scrambled or beaten goes through the pan. */
test.each([
  ['3 eggs', 'Fry the onions. High pressure 5 minutes. Scramble the eggs separately and fold them through.', 'finish'],
  ['3 eggs, beaten', 'Fry the onions. High pressure 5 minutes.', 'finish'],
  ['3 huevos', 'Freír la cebolla. Presión alta 5 minutos. Servir con los huevos revueltos.', 'finish'],
  ['3 eggs', 'Fry the onions. High pressure 5 minutes. Peel the eggs and halve them.', undefined],
])('%s where the steps say "%s" come back: %s', (eggs, steps, back) => {
  const egg = withSteps(`300 g long grain rice\n2 onions, sliced\n2 tbsp oil\n${eggs}\n600 ml water`, steps);
  expect(egg.dish!.ingredients.find((i) => i.food === 'egg')!.back).toBe(back);
});
test('a beaten egg binds meatballs and the cheese of a lasagne, and is scrambled in neither', () => {
  const joinsOf = (lines: string): unknown => withSteps(lines, 'Cook.').dish!.ingredients.find((i) => i.food === 'egg');
  const balls = 'Meatballs\n500 g minced beef\n1 egg, beaten\n300 g rice\n600 ml water';
  expect(readRecipe(`Rice with meatballs\n\nIngredients\n${balls}`).dish!.ingredients[1]).toMatchObject({
    food: 'egg',
    joins: 'marinade',
  });
  expect(joinsOf('9 lasagne sheets\n500 g ricotta\n1 egg, beaten\n700 ml tomato sauce')).not.toHaveProperty('back');
});

/* Common practice: a layered biryani fries its onions and lays the marinated meat in raw. */
test.each([
  ['Marinate the chicken in yogurt. Fry the onions until brown. Lay the chicken on top.', 'raw'],
  [
    'Marinate the chicken in yogurt. Fry the onions, add the chicken and brown it. Lay the rice over the chicken.',
    undefined,
  ],
  ['Marinate the chicken in yogurt. Fry for 5 minutes. Place the chicken in the pot.', undefined],
  ['Marinate the chicken in yogurt. Fry the onions. Stir in the chicken until no longer pink.', undefined],
])('marinated: %s', (steps, state) => {
  expect(prepOf(/chicken/, `${pilaf}\n150 g yogurt`, steps)['state']).toBe(state);
});
