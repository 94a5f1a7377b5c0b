import fc from 'fast-check';
import { plan } from '../../src/plan/plan';
import { readKitchen } from '../../src/dish/read';
import { starter } from '../../src/dish/starters';
import { Problem } from '../../src/problem';
import { readLinkedData, readRecipe, readingSchema, type Reading } from '../../src/recipe/reading';
import { isoMinutes } from '../../src/recipe/text/times';
import { recipeLinkedData } from '../../src/share/recipe';
import { demoDish } from '../helpers/demo';
import { hut } from '../helpers/dishes';

const plain = `Weeknight chicken and rice

Serves 4

Ingredients
1½ lb boneless, skinless chicken thighs, cut into 1-inch pieces
1 tbsp olive oil
1 large onion, chopped
1 1/2 cups long grain white rice, rinsed
1 3/4 cups low-sodium chicken broth
Salt and pepper to taste

For the topping:
1/4 cup chopped cilantro

Directions
1. Set the pot to sauté and brown the chicken for 5 minutes.
2. Pour in the broth. Spread the rice over the top, do not stir.
3. Lock the lid and cook on high pressure for 8 minutes. Let the pressure release naturally for 10 minutes, then quick release.`;

const markdown = `# Arroz con pollo

Para 6 personas

## Ingredientes
- 1 kg de contramuslos de pollo
- 400 g de arroz bomba
- 1 cebolla grande picada
- 1 litro de caldo de pollo
- sal al gusto

## Preparación
1. Sofríe el pollo 8 minutos.
2. Cierra la tapa y cocina a presión alta durante 7 minutos.
3. Abre con liberación rápida.`;

const recipe = {
  '@type': ['Recipe'],
  name: 'Mushroom risotto',
  recipeYield: ['4', '4 servings'],
  recipeIngredient: ['1 1/2 cups arborio rice', '4 cups vegetable broth', '8 oz mushrooms, sliced', '2 tbsp butter'],
  recipeInstructions: [
    {
      '@type': 'HowToSection',
      name: 'Cook',
      itemListElement: [
        { '@type': 'HowToStep', text: 'Saut&eacute; the mushrooms for 4 minutes.' },
        { '@type': 'HowToStep', text: 'Pressure cook on HIGH for 6 minutes, then quick release.' },
      ],
    },
  ],
};
const graph = { '@context': 'https://schema.org', '@graph': [{ '@type': 'WebPage' }, recipe] };
const page = `<!doctype html><html><head><title>x</title><script type="application/ld+json">${JSON.stringify(graph)}</script>
<script>throw new Error('a page is never run')</script></head><body><nav>2 cups of advertising</nav><p>hello</p></body></html>`;

const foods = (r: Reading): (string | undefined)[] => r.dish?.ingredients.map((i) => i.food) ?? [];

describe('a recipe in each format', () => {
  test('plain text: people, groups, lines, and what it says to do', () => {
    const r = readRecipe(plain);
    expect(r.dish).toMatchObject({ title: 'Weeknight chicken and rice', family: 'layered-grain', serves: 4 });
    expect(foods(r)).toEqual([
      'chicken-thigh',
      'oil-olive',
      'onion',
      'rice-long',
      'broth-low-salt',
      'spice-ground',
      'herb-fresh',
    ]);
    expect(r.dish!.ingredients.at(-1)!.joins).toBe('topping');
    expect(r.cooked).toMatchObject({
      holdMin: 8,
      pressure: 'high',
      release: { kind: 'timed', naturalMin: 10 },
      sauteMin: 5,
      liquidMl: 414,
    });
    expect(r.dish!.asCooked).toMatchObject({ holdMin: 8, release: { kind: 'timed', naturalMin: 10 } });
    expect(r.asks).toEqual([]);
  });
  test('Markdown in Spanish', () => {
    const r = readRecipe(markdown);
    expect(r.language).toBe('es');
    expect(r.dish).toMatchObject({ title: 'Arroz con pollo', family: 'one-pot-grain', serves: 6 });
    expect(foods(r)).toEqual(['chicken-thigh', 'rice-medium', 'onion', 'broth']);
    expect(r.cooked).toMatchObject({ holdMin: 7, pressure: 'high', release: { kind: 'quick' }, sauteMin: 8 });
  });
  test.each([
    ['alone', JSON.stringify(recipe)],
    ['in a graph', JSON.stringify(graph)],
    ['in a saved page', page],
  ])('a schema.org recipe %s', (_, text) => {
    const r = readRecipe(text);
    expect(r.dish).toMatchObject({ title: 'Mushroom risotto', family: 'risotto', serves: 4 });
    expect(foods(r)).toEqual(['rice-arborio', 'broth', 'mushroom', 'butter']);
    expect(r.cooked).toMatchObject({ holdMin: 6, release: { kind: 'quick' }, sauteMin: 4 });
    expect(readLinkedData(graph).dish).toEqual(r.dish);
  });
  test('a page without one: its visible text is read', () => {
    const r = readRecipe('<html><body><h1>Rice</h1><ul><li>300 g basmati rice</li><li>1 onion</li></ul></body></html>');
    expect(foods(r)).toEqual(['rice-basmati', 'onion']);
  });
  test('a dish of our own comes back as it is', () => {
    const own = starter('biryani', 'Sunday');
    expect(readRecipe(JSON.stringify(own)).dish).toEqual(own);
  });
  test.each([
    ['Serves 4', 4],
    ['Para 4', 4],
    ['for 2 people', 2],
    ['Yield: 6 servings', 6],
    ['Raciones: 3', 3],
    ['4 to 6 servings', 6],
  ])('for how many: %s', (text, people) => {
    expect(readRecipe(`Rice\n${text}\n\n300 g basmati rice`).dish!.serves).toBe(people);
  });
  test('a food that nobody knows is asked for with its near ones, and none is taken', () => {
    const r = readRecipe('Rice\n\n300 g basmati rice\n200 g caulifower\n2 zuchini\n1 xyzzyplugh\n300 ml water');
    const of = (text: string) => r.lines.find((l) => l.text === text)!;
    expect(of('200 g caulifower')).toMatchObject({ food: null, grams: null, choices: ['cauliflower'] });
    expect(of('2 zuchini')).toMatchObject({ food: null, choices: ['zucchini'] });
    expect(of('1 xyzzyplugh').choices).toEqual([]);
    expect(r.asks.map((a) => a.choices)).toContainEqual(['cauliflower']);
  });
  test('foods without an amount among the lines are lines too, and Spanish verbs in the infinitive begin a step', () => {
    const r = readRecipe(
      'Arroz con chorizo\n\n300 g de arroz bomba\n150 g de chorizo\n1 pimiento rojo\naceite de oliva\nsal\n\n' +
        'Sofreír el chorizo y el pimiento. Añadir el arroz y 700 ml de caldo. Cocer 5 minutos a presión y despresurizar.',
    );
    expect(r.lines.map((l) => [l.text, l.food, l.grams])).toEqual([
      ['300 g de arroz bomba', 'rice-medium', 300],
      ['150 g de chorizo', 'sausage-smoked', 150],
      ['1 pimiento rojo', 'bell-pepper', 150],
      ['aceite de oliva', 'oil-olive', 0],
      ['sal', 'salt', 0],
    ]);
    expect(r.cooked).toMatchObject({ holdMin: 5 });
    const english = readRecipe(
      'Beef rice\n\n1 lb stewing beef\n1 cup basmati rice\nsalt and pepper\n\nBrown the beef with the oil.',
    );
    expect(english.lines.map((l) => l.food)).toEqual(['beef-stew', 'rice-basmati', 'salt', 'spice-ground']);
  });
  test('lines alone, as typed in a hurry: two questions, a family, people by the amounts', () => {
    const r = readRecipe('2 cups rice\n500g chicken\n1 onion\n2 cups stock');
    expect(r.dish).toMatchObject({ family: 'one-pot-grain', serves: 5 });
    expect(r.asks.map((a) => [a.path, a.choices[0]])).toEqual([
      ['lines.0.food', 'rice-long'],
      ['lines.1.food', 'chicken-thigh'],
    ]);
  });
});

describe('what a recipe says to do under pressure', () => {
  const method = (step: string): Reading['cooked'] => readRecipe(`Rice\n1 cup basmati rice\n${step}`).cooked;
  test.each([
    ['Cook at high pressure for 5 minutes.', { holdMin: 5, pressure: 'high' }],
    ['Seal and pressure cook 12 min on low pressure.', { holdMin: 12, pressure: 'low' }],
    ['Set the timer to 4 minutes, then do a quick release.', { holdMin: 4, release: { kind: 'quick' } }],
    ['Cook 10 minutes at high pressure with a natural release.', { holdMin: 10, release: { kind: 'natural' } }],
    [
      'High pressure 6 minutes, natural release 15 minutes.',
      { holdMin: 6, release: { kind: 'timed', naturalMin: 15 } },
    ],
    ['Let the pressure come down naturally for 5-10 minutes.', { release: { kind: 'timed', naturalMin: 7.5 } }],
    ['Close the lid and cook for 3 whistles.', { whistles: 3 }],
    ['Cocina 8 minutos a presión alta.', { holdMin: 8, pressure: 'high' }],
    ['Cocinar 8 minutos a presión alta y soltar la presión de golpe.', { holdMin: 8, release: { kind: 'quick' } }],
    ['Cocine a presión alta 8 minutos.\nLiberación rápida.', { holdMin: 8, release: { kind: 'quick' } }],
    [
      'Cocine a presión alta 8 minutos.\nLiberación natural de 10 minutos.',
      { holdMin: 8, release: { kind: 'timed', naturalMin: 10 } },
    ],
    ['Olla a presión 8 min. Liberación natural', { holdMin: 8, release: { kind: 'natural' } }],
    // On a flame the minutes count from the valve, over a low one.
    ['Cuando suba la válvula, 8 minutos a fuego suave. Esperar a que baje sola.', { holdMin: 8 }],
    ['When it comes to pressure, cook 8 minutes over low heat.', { holdMin: 8 }],
    ['6 min high, quick.', { holdMin: 6, release: { kind: 'quick' } }],
    ['Cerrar la olla, 6 minutos a presión, abrir enseguida.', { holdMin: 6, release: { kind: 'quick' } }],
    ['8 minutes HP, let it sit 10, then open', { holdMin: 8, release: { kind: 'timed', naturalMin: 10 } }],
  ] as const)('%s', (step, expected) => {
    expect(method(step)).toMatchObject(expected);
  });
  test('minutes of an oven or of a simmer are not taken for a hold', () => {
    expect(method('Bake for 25 minutes until golden.').holdMin).toBeUndefined();
    expect(method('Simmer 20 minutes, covered.').holdMin).toBeUndefined();
  });
  test('a hold without a release asks for it and is not planned as cooked', () => {
    const r = readRecipe('Rice\n1 cup basmati rice\nCook at high pressure for 5 minutes.');
    expect(r.asks.at(-1)).toMatchObject({ path: 'cooked.release', choices: ['quick', 'natural', 'timed'] });
    expect(r.dish!.asCooked).toBeUndefined();
    for (const [step, kind] of [
      ['Quick release.', 'quick'],
      ['Natural release.', 'natural'],
      ['Natural release 10 minutes.', 'timed'],
    ] as const)
      expect(
        readRecipe(`Rice\n1 cup basmati rice\nCook at high pressure for 5 minutes.\n${step}`).dish!.asCooked!.release
          .kind,
      ).toBe(kind);
  });
});

test.each([
  ['Sausage jambalaya', ['1 cup long grain rice', '300 g chicken thighs'], 'layered-grain'],
  ['Chicken biryani', ['1 cup basmati rice', '300 g chicken thighs'], 'biryani'],
  ['Rice pudding', ['1 cup short grain rice', '1 l milk'], 'porridge'],
  ['Arroz caldo', ['1 cup jasmine rice', '1 kg chicken wings', '8 cups water'], 'porridge'],
  ['Chicken noodle soup', ['200 g egg noodles', '2 l chicken stock'], 'noodle-soup'],
  ['Penne with beef', ['400 g penne', '400 g ground beef', '700 ml beef stock'], 'one-pot-pasta'],
  ['Lasagne', ['12 lasagne sheets', '500 g ground beef'], 'layered-pasta'],
  ['Rice', ['2 cups basmati rice', '2 cups water', '1 tsp salt'], 'plain-grain'],
  ['Rice pilaf', ['2 cups basmati rice', '1 onion', '30 g butter'], 'coated-grain'],
  ['Beef stew', ['1 kg stewing beef', '3 carrots', '500 ml beef stock'], 'casserole'],
  ['Potatoes', ['1 kg potatoes', '1 cup water'], 'steamed-side'],
  ['Arroz meloso de pollo', ['300 g arroz bomba', '400 g de pollo', '1 l de caldo'], 'risotto'],
  ['Arroz caldoso con costilla', ['300 g arroz bomba', '400 g de costilla de cerdo', '1.5 l de caldo'], 'noodle-soup'],
] as const)('%s is recognised as what it is', (title, lines, family) => {
  expect(readRecipe([title, ...lines].join('\n')).dish!.family).toBe(family);
});

test('what was read is planned without an error, or carries its own stop', () => {
  for (const text of [plain, markdown, page]) {
    const { dish } = readRecipe(text);
    expect(plan(dish!, readKitchen(undefined)).liquid.addMl).toBeGreaterThan(100);
  }
});

describe('hostile input', () => {
  const answered = (text: string): void => {
    try {
      expect(readingSchema.safeParse(readRecipe(text)).success).toBe(true);
    } catch (e) {
      if (!(e instanceof Problem)) throw e;
      expect(e.message.length).toBeGreaterThan(20);
    }
  };
  test('nothing, nonsense and too much are refused with a sentence', () => {
    for (const bad of ['', '   \n', '{"a":1}', '[]', 'x'.repeat(2_000_001)])
      expect(() => readRecipe(bad)).toThrow(Problem);
  });
  test('giant nesting and fake prototypes change nothing', () => {
    answered(`${'['.repeat(50_000)}${']'.repeat(50_000)}`);
    answered(`${'<div>'.repeat(20_000)}1 onion`);
    answered(
      '{"@type":"Recipe","__proto__":{"polluted":1},"constructor":{"prototype":{"polluted":1}},"recipeIngredient":["1 onion"]}',
    );
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
  test('any text is answered with a reading of its own schema, or with a sentence', () => {
    const word = fc.constantFrom(
      '1',
      '1/2',
      'cup',
      'of',
      'rice',
      '(',
      ')',
      'chicken',
      ',',
      'min',
      'pressure',
      '\n',
      '#',
      '-',
      '<p>',
      '{',
      '½',
      'x',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 400 }),
          fc.array(word, { maxLength: 200 }).map((w) => w.join(' ')),
        ),
        answered,
      ),
      { numRuns: 300 },
    );
  });
  test('200 kB of one line, of many lines and of open brackets are answered', () => {
    for (const text of [
      '1 cup rice '.repeat(18_000),
      '1 cup rice\n'.repeat(18_000),
      '('.repeat(200_000),
      '1 '.repeat(100_000),
    ])
      answered(text);
  });
});

// ISO 8601-1:2019, 5.5.2: designators of durations; the examples are of the standard's own kinds.
test.each([
  ['PT30M', 30],
  ['PT1H30M', 90],
  ['P0DT0H45M', 45],
  ['P1D', 1440],
  ['pt20m', 20],
  ['PT90S', 2],
  ['30 minutes', null],
  ['', null],
  ['PT0M', null],
  ['-PT5M', null],
  ['P9Y', null],
])('the duration %s is %s minutes', (text, minutes) => {
  expect(isoMinutes(text)).toBe(minutes);
});

test('the times of a recipe are said beside the reading, and of a plan of ours they are read back', () => {
  const timed = (times: object) =>
    readLinkedData({ '@type': 'Recipe', name: 'Rice', recipeIngredient: ['300 g rice'], ...times }).report.flatMap(
      ({ said }) => (said?.code.startsWith('own-clock') ? [[said.code, said.params]] : []),
    );
  expect(timed({ prepTime: 'PT10M', cookTime: 'PT25M' })).toEqual([['own-clock', { minutes: 35 }]]);
  expect(timed({ prepTime: 'PT10M', cookTime: 'PT25M', totalTime: 'PT50M' })).toEqual([['own-clock', { minutes: 50 }]]);
  expect(timed({ prepTime: 'x', cookTime: 'PT25M' })).toEqual([['own-clock-cook', { minutes: 25 }]]);
  expect(timed({ prepTime: 'PT10M', cookTime: 'x' })).toEqual([]);
  const data = recipeLinkedData(demoDish('plain-long-grain'), plan(demoDish('plain-long-grain'), hut));
  expect(isoMinutes(data['totalTime'] as string)).toBe(
    Math.round(plan(demoDish('plain-long-grain'), hut).timeline.at(-1)!.endMin),
  );
});

test('what has no amount stays in the dish to taste, long lines of it too; salt is worked out', () => {
  const r = readRecipe(
    'Congee\n3/4 cup jasmine rice\n7 cups water\n3 bone-in chicken thighs\nsalt and white pepper\nscallions\n' +
      'soy sauce and sesame oil to serve\nchicken stock as needed',
  );
  const unweighed = r.dish!.ingredients.filter((i) => i.amount.unit === 'to-taste');
  expect(unweighed.map((i) => [i.food, i.joins])).toEqual([
    ['spice-ground', undefined],
    ['spring-onion', undefined],
    ['soy-sauce', 'topping'],
    ['oil-sesame', 'topping'],
  ]);
  expect(r.lines.find((l) => l.food === 'salt')).toMatchObject({ amount: null, grams: 0 });
  expect(r.lines.find((l) => l.food === 'broth')).toMatchObject({ amount: null });
});

test.each([
  ['Turkey meatballs and orzo', '500g turkey mince', 'meatball-poultry', 'marinade'],
  ['Albóndigas con arroz', '500 g de carne picada de ternera', 'meatball', 'marinade'],
  ['Beef and orzo', '500g beef mince', 'beef-ground', undefined],
])('%s: the mince is %s, and what binds it goes into it', (title, line, food, joins) => {
  const r = readRecipe(`${title}\n${line}\n1 egg\n50 g breadcrumbs\n300 g orzo\n700 ml stock`);
  const [mince, egg, crumbs] = r.dish!.ingredients;
  expect(mince!.food).toBe(food);
  expect([egg!.joins, crumbs!.joins]).toEqual([joins, joins]);
});

test('a chili is a stew, and the sausage of a lasagne is broken up', () => {
  const chili = readRecipe(
    'Veggie quinoa chili\n1 cup quinoa\n2 cans kidney beans\n28 oz can diced tomatoes\n3 cups broth',
  );
  expect(chili.dish!.family).toBe('casserole');
  const sheets = readRecipe(
    'Lasagna\n6 lasagna noodles\n1 lb italian sausage\n24 oz marinara\n15 oz ricotta\n1 cup water',
  );
  expect(sheets.dish!.ingredients.map((i) => i.food)).toContain('sausage-meat');
});

/* Common practice: steps are numbered with and without a dot, and a brown onion is no order. */
test('steps that are numbered without a dot, under no heading, are steps', () => {
  const r = readRecipe(
    [
      'Sausage rice',
      'Serves 5',
      '300 g long-grain rice',
      '1 brown onion, peeled and thinly sliced into half moons.',
      '300 g smoked sausage, sliced',
      '600 ml chicken stock',
      '200 g raw prawns',
      '',
      '1 Brown the sausage in its own fat for 5 mins. Add the onion.',
      '2 Stir in rice and stock. Lock the lid and cook at high pressure for 5 mins.',
      '3 Stir through the prawns until pink. Serve.',
    ].join('\n'),
  );
  expect(r.lines.map((l) => l.food)).toEqual(['rice-long', 'onion', 'sausage-smoked', 'broth', 'shrimp']);
  expect(r.cooked.holdMin).toBe(5);
});

test('bullets that begin after a list without them are steps', () => {
  const list = ['Stroganoff', 'for 4', '600 g beef chuck', '1 onion', '500 ml beef stock', '250 g egg noodles', ''];
  const r = readRecipe(
    [...list, '- brown beef, add onion', '- stock in, lid on, 25 mins high. QR.', '- noodles in'].join('\n'),
  );
  expect(r.lines).toHaveLength(4);
  expect(r.cooked.holdMin).toBe(25);
  const more = readRecipe([...list.slice(0, -1), '- salt', '- parsley'].join('\n'));
  expect(more.lines).toHaveLength(6);
});
