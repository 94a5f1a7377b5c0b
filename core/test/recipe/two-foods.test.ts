import { readLine } from '../../src/recipe/line/line';
import { readRecipe } from '../../src/recipe/reading';

const read = (text: string) =>
  readLine(text).map((l) => [l.food, l.grams === null ? null : Math.round(l.grams), l.joins]);

// Each was once one food with the other's amount, and no question.
test.each([
  [
    '3 tbsp yoghurt + 1 tsp garam masala for the marinade',
    [
      ['yogurt', 46, 'marinade'],
      ['spice-ground', 2, 'marinade'],
    ],
  ],
  [
    'cumin 2t, coriander 1t, cinnamon pinch',
    [
      ['spice-ground', 4, undefined],
      ['spice-ground', 2, undefined],
      ['spice-ground', 0, undefined],
    ],
  ],
  // A colour alone is another of the first.
  [
    '1 red pepper, 1 green',
    [
      ['bell-pepper', 150, undefined],
      ['bell-pepper', 150, undefined],
    ],
  ],
  [
    '2 pimientos rojos, 1 verde',
    [
      ['bell-pepper', 300, undefined],
      ['bell-pepper', 150, undefined],
    ],
  ],
  // What is weighed is a line of its own and asks, where nobody knows it too.
  [
    '1 tbsp blorptz, 1/2 tsp turmeric',
    [
      [null, null, undefined],
      ['spice-ground', 1, undefined],
    ],
  ],
  [
    '1/2 tsp each cumin, coriander and salt',
    [
      ['spice-ground', 1, undefined],
      ['spice-ground', 1, undefined],
      ['salt', 3, undefined],
    ],
  ],
  [
    '500ml boiling water with 2 stock cubes',
    [
      ['water', 499, undefined],
      ['stock-concentrate', 20, undefined],
    ],
  ],
  [
    '1 chicken stock cube dissolved in 500ml boiling water',
    [
      ['stock-concentrate', 10, undefined],
      ['water', 499, undefined],
    ],
  ],
  [
    '2 tbsp butter, plus 1 tbsp for finishing',
    [
      ['butter', 28, undefined],
      ['butter', 14, 'finish'],
    ],
  ],
  [
    'Toppings: sour cream, cilantro',
    [
      ['cream-sour', 0, 'topping'],
      ['herb-fresh', 0, 'topping'],
    ],
  ],
  [
    'saffron in 3 tbsp warm milk',
    [
      ['saffron', 0, undefined],
      ['milk', 46, undefined],
    ],
  ],
  [
    '1 onion and 2 carrots',
    [
      ['onion', 150, undefined],
      ['carrot', 120, undefined],
    ],
  ],
  [
    '1 large carrot, 1 celery stick, 1 onion - all diced',
    [
      ['carrot', 81, undefined],
      ['celery', 40, undefined],
      ['onion', 150, undefined],
    ],
  ],
  [
    '1 tsp cumin seeds, 1/4 tsp turmeric',
    [
      ['spice-whole', 2, undefined],
      ['spice-ground', 1, undefined],
    ],
  ],
  [
    '1/2 cdta de azafran, sal al gusto',
    [
      ['saffron', 0, undefined],
      ['salt', 0, undefined],
    ],
  ],
  [
    '2 tsp smoked paprika, salt',
    [
      ['spice-ground', 4, undefined],
      ['salt', 0, undefined],
    ],
  ],
  [
    'dill, lemon',
    [
      ['herb-fresh', 0, undefined],
      ['lemon-juice', 0, undefined],
    ],
  ],
  // What needs a weight asks for it, and is not lost behind the herb.
  [
    'parsley, olives',
    [
      ['herb-fresh', 0, undefined],
      ['olives', null, undefined],
    ],
  ],
])('"%s" is two lines', (text, lines) => {
  expect(read(text)).toEqual(lines);
});
test.each([
  '1 cup plus 2 tbsp long-grain rice',
  '1 and 1/2 cups long-grain rice',
  '2 cups rice and peas',
  '2 chicken breasts, 1 inch thick',
  '1 onion, 200 g',
  '500 g penne, 11 min',
])('"%s" stays one line', (text) => {
  expect(readLine(text)).toHaveLength(1);
});

const recipe = (title: string, method: string) =>
  readRecipe(`${title}\n\n200 g basmati rice\n2 chicken legs (250 g each)\n1 cup water\n\n${method}`);

test.each([
  ['Pork rice (feeds 5)', 'Pork rice', 5],
  ['Chicken biryani-ish for two', 'Chicken biryani-ish for two', 2],
  ['Arroz para cuatro', 'Arroz para cuatro', 4],
  ['Chicken drumsticks and rice, for 4', 'Chicken drumsticks and rice, for 4', 4],
  ['Mac and cheese with ham for 3 kids', 'Mac and cheese with ham for 3 kids', 3],
])('the title "%s" says for how many and stays a title', (line, title, serves) => {
  expect(recipe(line, 'Lock the lid.').dish).toMatchObject({ title, serves });
});

test.each([
  '30 minute chicken pasta',
  '5-ingredient chicken and rice',
  '3 cheese mac',
  'Rice with 3 meats',
  'Beef soup, 1987',
])('the number in the title "%s" counts no food', (title) => {
  const read = recipe(title, 'Cook 5 min.');
  expect(read.dish).toMatchObject({ title });
  expect(read.lines).toHaveLength(3);
});
test('a method in one line that begins with "Sear" is no ingredient', () => {
  const read = recipe('Beef and rice', 'Sear beef. Onion 5 min. Add broth, HP 10 min, QR. Stir in cream.');
  expect(read.lines).toHaveLength(3);
  expect(read.cooked).toMatchObject({ holdMin: 10, release: { kind: 'quick' } });
});
test.each(['chicken thighs 500 g', '500 g penne'])('a recipe that begins with "%s" has no title', (line) => {
  expect(recipe(line, 'Cook 5 min.').lines[0]).toMatchObject({ text: line, grams: 500 });
});

test('of two foods the last may have its amount behind it', () => {
  const lines = readLine('2 green chillies, ginger garlic paste 2 tbsp');
  expect(lines.map((l) => [l.food, l.amount])).toEqual([
    ['chili', { value: 2, unit: 'piece' }],
    ['ginger', { value: 30, unit: 'g' }],
  ]);
  for (const one of ['1 onion, about 150 g', '2 chicken breasts, each 200 g', '1 can tomatoes, drained 240 g'])
    expect(readLine(one)).toHaveLength(1);
});

test('sheets are eaten with much else: 240 g of them with their filling are for four', () => {
  const { dish } = readRecipe('Lasagne in the pot\n12 lasagne sheets\n500g mince\n700g jar tomato sauce\n250g ricotta');
  expect(dish?.serves).toBe(4);
});

test('minutes alone are the hold, and no food', () => {
  const { cooked, lines } = readRecipe('Rice\n200 g basmati rice\n1 cup water\n8 min');
  expect(cooked.holdMin).toBe(8);
  expect(lines).toHaveLength(2);
});

test('soupy rice by its name is a soup, with as much broth as was written', () => {
  const { dish } = readRecipe(
    'Arroz caldoso con conejo\n600 g conejo\n250 g arroz bomba\n1 litro y medio de caldo\n8 min',
  );
  expect(dish).toMatchObject({ family: 'noodle-soup' });
  expect(dish!.ingredients.at(-1)).toMatchObject({ food: 'broth', amount: { value: 1.5, unit: 'l' } });
});

test('a line that says for how many further down keeps its food', () => {
  const { lines, dish } = readRecipe(
    'Chicken rice\n\n200 g basmati rice\nfresh mint for 4\n1 cup water\n\nLock the lid.',
  );
  expect(lines.map((l) => l.food)).toContain('herb-fresh');
  expect(dish?.serves).toBe(4);
});

test.each([
  ['Rice on top, do not stir. 25 min high, NPR 15', 25, { kind: 'timed', naturalMin: 15 }],
  ['Fry the onion till brown. 8 minutes, wait 10 then release.', 8, { kind: 'timed', naturalMin: 10 }],
  ['Saute beef 5 mins, remove. Cook HP 3 mins, QR.', 3, { kind: 'quick' }],
  ['Pressure cook 9 minutes, let it come down itself.', 9, { kind: 'natural' }],
  ['4 min QR', 4, { kind: 'quick' }],
  ['Fry it all. 10 minutes, QR', 10, { kind: 'quick' }],
  ['Brown the chicken for 5 minutes on high. 6 minutes, then quick release.', 6, { kind: 'quick' }],
])('"%s" is %d minutes with its release', (method, holdMin, release) => {
  expect(recipe('Rice', method).cooked).toMatchObject({ holdMin, release });
});
test.each([
  ['Add rice and chops on top. 6 min high, NR 10', 6, 10],
  ['Then fry the sauce, add rice and goat, cook 8 min, natural release 10.', 8, 10],
  ['HP 4 min / 10 NR', 4, 10],
  ['lid on, 12 mins, leave 10', 12, 10],
  ['Cook on high for 10 minutes then let stand 10 minutes before releasing the pressure.', 10, 10],
  ['Cook at high pressure 4 mins; nat release 5 min and then quick', 4, 5],
  ['Close the lid, takes about 10 minutes to come to pressure, cook 3 minutes, NPR for 10 then QR', 3, 10],
])('"%s" is %d minutes and %d of natural release', (method, holdMin, naturalMin) => {
  expect(recipe('Rice', method).cooked).toMatchObject({ holdMin, release: { kind: 'timed', naturalMin } });
});
test.each([
  ['Sofreír, dorar el pollo, echar el arroz y el caldo, 6 minutos desde que sube, quitar presión', 6, 'quick'],
  ['tapar la olla, 5 min a potencia 2, despresurizar', 5, 'quick'],
  ['cerrar y 8 min, dejar que baje sola', 8, 'natural'],
  ['6 min manual, quick release', 6, 'quick'],
  ['HP 8 min QR, stir in shrimp, lid on 5 min', 8, 'quick'],
  ['6 min y quitar presión', 6, 'quick'],
  ['Close lid. 7 mins. Fast release.', 7, 'quick'],
  ['Bring to pressure, cook for 4 min, take off heat, leave until pressure drops', 4, 'natural'],
  ['Cook at pressure for a quarter of an hour, then release naturally', 15, 'natural'],
  ['Pressure cook 1 hour. Natural release 15 min, open, add rice, pressure cook 4 min more, QR', 4, 'quick'],
])('"%s" is %d minutes, %s release, and no frying', (method, holdMin, kind) => {
  const { cooked } = recipe('Rice', method);
  expect(cooked).toMatchObject({ holdMin, release: { kind } });
  expect(cooked.sauteMin).toBeUndefined();
});
test.each([
  [
    'Heat oil on sauté. Brown the chicken 3 minutes a side. Add stock. Lock lid and cook on high pressure for 8 minutes. Let pressure release naturally for 10 minutes, then quick-release. Rest 5 minutes and serve.',
    { holdMin: 8, release: { kind: 'timed', naturalMin: 10 }, sauteMin: 3 },
  ],
  [
    'Preheat the oven. Cook pasta at high pressure 4 min, quick release. Top with cheese and bake 15 minutes.',
    { holdMin: 4, release: { kind: 'quick' } },
  ],
  [
    'Cook over high heat until at pressure, about 8 minutes, lower the heat and cook 20 minutes. Let the pressure come down on its own, about 15 minutes.',
    { holdMin: 20, release: { kind: 'timed', naturalMin: 15 } },
  ],
  [
    'Cook at high pressure 6 minutes. Natural release. Serve within 5 minutes.',
    { holdMin: 6, release: { kind: 'natural' } },
  ],
  [
    'Dore el pollo 5 minutos. Añada el arroz y el caldo, cierre la olla y cocine 7 minutos desde que suba la presión. Deje reposar 5 minutos y abra.',
    { holdMin: 7, release: { kind: 'timed', naturalMin: 5 }, sauteMin: 5 },
  ],
])('"%s"', (method, expected) => {
  expect(recipe('Rice', method).cooked).toMatchObject(expected);
});
test.each(['Saute the onion for 5 min on high.', 'Simmer 10 minutes on high heat.', 'Rest for two minutes.'])(
  '"%s" is no hold',
  (method) => {
    expect(recipe('Rice', method).cooked.holdMin).toBeUndefined();
  },
);

// The second of each was on no list and in no step.
test.each([
  ['1 bay leaf, few sprigs thyme', ['bay leaf', 'thyme']],
  ['2 carrots, a sprig of rosemary', ['carrot', 'rosemary']],
  ['1 onion, some parsley', ['onion', 'parsley']],
  ['1 bay leaf, small piece cinnamon', ['bay leaf', 'cinnamon']],
  ['1 hoja de laurel, un trocito de canela', ['laurel', 'canela']],
  ['mint n coriander handful', ['mint', 'coriander']],
  ['whole spices: 2 bay leaf, 6 clove', ['bay leaf', 'clove']],
  ['2 dientes de ajo, unas hebras de azafrán', ['ajo', 'hebras de azafrán']],
  ['1 hoja de laurel y unas ramas de perejil', ['laurel', 'ramas de perejil']],
  ['1 pimiento, un poco de perejil', ['pimiento', 'perejil']],
  ['1 cabbage, a few outer leaves removed', ['cabbage']],
  ['1 chicken breast, few bones', ['chicken-breast']],
])('"%s" is so many foods, counted or not', (line, names) => {
  const { dish } = readRecipe(`Rice\n300 g rice\n${line}\n500 ml water`);
  const read = dish!.ingredients.filter((i) => !['rice-long', 'water'].includes(i.food));
  expect(read.map((i) => i.name ?? i.food)).toEqual(names);
});

test('each food of several has its own words as they were typed, so that an answer meets it alone', () => {
  expect(readLine('2 cups Rice + 1 tsp Cumin').map((l) => l.text)).toEqual(['2 cups Rice', '1 tsp Cumin']);
});

test('of several foods on a line none is lost, whatever is said of all of them', () => {
  const lines = readLine('1 carrot, 1 celery stick, 1 small onion all finely diced');
  expect(lines.map((l) => l.food)).toEqual(['carrot', 'celery', 'onion']);
  const asking = readLine('1 carrot, 2 onions in some unheard-of way');
  expect(asking.map((l) => l.food)).toEqual(['carrot', 'onion']);
});

test('what the meat is marinated with goes in with it, unfried where nothing is fried', () => {
  const biryani = (method: string) =>
    readRecipe(
      `Biryani (6)\n800 g chicken thighs\n150 g yogurt\njuice of 1 lemon\n400 g basmati\n600 ml water\n\n${method}`,
    );
  const raw = biryani('Marinate the chicken in yogurt and lemon. Lay the rice on top. HP 5 min, NPR 10.');
  const of = (r: typeof raw, food: string) => r.dish!.ingredients.find((i) => i.food === food)!;
  expect(raw.dish!.serves).toBe(6);
  expect(raw.dish!.title).toBe('Biryani');
  expect([of(raw, 'yogurt').joins, of(raw, 'lemon-juice').joins]).toEqual(['marinade', 'marinade']);
  expect(of(raw, 'chicken-thigh').prep?.state).toBe('raw');
  const seared = biryani('Marinate the chicken in yogurt and lemon. Brown it 5 min. Rice on top. HP 5 min, NPR 10.');
  expect(of(seared, 'chicken-thigh').prep?.state).toBeUndefined();
  const late = biryani('Brown the chicken. Yogurt, rice. HP 5 min, NPR 10. Squeeze over the lemon.');
  expect(of(late, 'lemon-juice').joins).toBe('finish');
});

test('what the steps put in only after the lid is open joins at the end', () => {
  const rice = (method: string) =>
    readRecipe(
      `Rice (4)\n600 g boneless chicken thighs\n300 g long grain rice\n400 ml stock\n80 g olives\n1 red pepper\n2 bay leaves\n30 g butter\n\n${method}`,
    );
  const joins = (method: string) => rice(method).dish!.ingredients.map((i) => i.joins ?? '');
  const [meat, grain, stock, olives, pepper, bay, butter] = [0, 1, 2, 3, 4, 5, 6];
  const late = joins(
    'Brown the chicken. Everything except the olives and butter in the pot. High pressure 5 min, NPR 10. Remove the bay leaves, stir in the butter and the olives. Scatter over the red pepper.',
  );
  expect([late[olives], late[butter], late[pepper], late[bay]]).toEqual(['finish', 'finish', 'topping', '']);
  expect([late[meat], late[grain], late[stock]]).toEqual(['', '', '']);
  // Named before the lid locks: that is when it goes in, whatever is stirred afterwards.
  const early = joins(
    'Fry the red pepper in the butter. Add olives, chicken, rice, stock, bay. HP 5 min, quick release. Stir the olives and butter through, add a splash of stock if dry.',
  );
  expect(early.every((j) => j === '')).toBe(true);
  // Of two pressures the last one counts.
  const twice = joins('Chicken, stock. HP 10 min, quick release. Add the olives and rice. HP 4 min, NPR 5. Serve.');
  expect(twice[olives]).toBe('');
  // Put in with the rice, it cooks with the rice, though nobody says that the lid goes on again.
  const withRice = joins(
    'Chicken, stock. HP 10 min, quick release. Open, add the rice and the olives, cook 6 min more.',
  );
  expect(withRice[olives]).toBe('');
});

test('drumsticks and thighs in one amount: both may be chosen', () => {
  for (const text of ['1kg chicken drumsticks and thighs', '1 kg chicken thighs and drumsticks'])
    expect(readLine(text)[0]!.choices).toEqual(expect.arrayContaining(['chicken-thigh', 'chicken-drumstick']));
});

test('a label before the first amount, and a list of what comes at the end, lose nothing', () => {
  expect(readLine('the trinity: 1 onion, 1 bell pepper, 2 celery').map((l) => l.food)).toEqual([
    'onion',
    'bell-pepper',
    'celery',
  ]);
  expect(readLine('soy, spring onion to finish').map((l) => [l.food, l.joins])).toEqual([
    ['soy-sauce', 'topping'],
    ['spring-onion', 'topping'],
  ]);
  expect(readLine('1 large onion, 3 cloves garlic, thumb ginger').map((l) => l.food)).toEqual([
    'onion',
    'garlic',
    'ginger',
  ]);
  expect(readLine('1 carrot 1 onion 1 celery').map((l) => l.food)).toEqual(['carrot', 'onion', 'celery']);
});

test('"a bit of oil" under the title is a line to taste, and no note', () => {
  const { lines, asks } = readRecipe('Chicken rice for 4\na bit of olive oil\n300 g paella rice\n500 ml stock');
  expect(lines.map((l) => l.food)).toEqual(['oil-olive', 'rice-medium', 'broth']);
  expect(lines[0]).toMatchObject({ amount: { unit: 'to-taste' }, said: { code: 'fat-planned' } });
  expect(asks).toEqual([]);
});

test('five times its weight in liquid and tinned tomato is a soup, by its name too', () => {
  const lines = '250 g ditalini\n1 can chopped tomatoes\n900 ml stock\n200 g canned beans';
  expect(readRecipe(`Beans and pasta\n${lines}`).dish).toMatchObject({ family: 'noodle-soup' });
  expect(readRecipe(`Pasta e fagioli\n${lines.replace('900', '600')}`).dish).toMatchObject({ family: 'noodle-soup' });
  expect(readRecipe(`Beans and pasta\n${lines.replace('900', '600').replace('250 g', '300 g')}`).dish).toMatchObject({
    family: 'one-pot-pasta',
  });
});

test('much meat in tomato and broth with its pasta is no soup', () => {
  const lines =
    '1 1/2 lb ground beef\n2 cups elbow macaroni\n1 can tomato sauce (15 oz)\n1 can diced tomatoes, 14.5 oz';
  const { dish } = readRecipe(`Weeknight pot\n${lines}\n2 1/2 cups beef broth`);
  expect(dish).toMatchObject({ family: 'one-pot-pasta' });
  // 225 g of pasta alone would be two people; with 680 g of meat it is more.
  expect(dish!.serves).toBe(3);
});

test('lentils drink beside the rice: their pot is no soup', () => {
  const { dish } = readRecipe('Rice and dal\n1 cup basmati rice\n1 cup moong dal\n6 cups water');
  expect(dish?.family).not.toBe('noodle-soup');
});

test('"a pinch of one in a quarter cup of another" are two foods, and one inch cubes are none', () => {
  expect(readLine('pinch saffron in 1/4 cup milk').map((l) => [l.food, Math.round(l.grams ?? 0)])).toEqual([
    ['saffron', 0],
    ['milk', 61],
  ]);
  expect(readLine('1 lb chicken breast in 1 inch cubes').map((l) => l.food)).toEqual(['chicken-breast']);
});

test('what stands in brackets behind a title makes neither a step nor an ingredient of it', () => {
  const { dish } = readRecipe(
    'Beef biryani in the cooker (3 whistles)\n1 kg beef chuck\n500 g basmati rice\n500 ml water',
  );
  expect(dish).toMatchObject({ title: 'Beef biryani in the cooker (3 whistles)', family: 'biryani' });
});

test('rice in a bowl: the title says so, and its water goes into the bowl with it', () => {
  const { dish } = readRecipe(
    'Chicken curry, pot in pot\n600 g chicken thighs in 3 cm cubes\n400 g crushed tomatoes\n300 g basmati rice\n450 ml water for the rice',
  );
  expect(dish!.family).toBe('pot-in-pot');
  expect(dish!.ingredients.filter((i) => i.place).map((i) => [i.food, i.place])).toEqual([['water', 'inner-bowl']]);
});

test('grain with five times its weight in liquid is a stew around meat, with more a soup', () => {
  const of = (ml: number) =>
    readRecipe(`Oxtail and barley\n1 kg oxtail\n300 g pearl barley\n${ml} ml beef stock`).dish!;
  expect([600, 1500, 2000].map((ml) => of(ml).family)).toEqual(['one-pot-grain', 'casserole', 'noodle-soup']);
});

test('a handful among several is a line of its own, and what is refused takes no neighbour with it', () => {
  const lines = readLine('1 potato, 1 carrot, handful beans, 1/2 cup peas');
  expect(lines.map((l) => [l.food, l.refused])).toEqual([
    ['potato', false],
    ['carrot', false],
    [null, true],
    ['peas-frozen', false],
  ]);
});

test('what one line fries is not the rice of the next', () => {
  const { dish } = readRecipe('Weeknight rice\n1 lb stir fry beef\n1 cup basmati rice\n1 1/4 cups water');
  expect(dish!.family).toBe('one-pot-grain');
  const plain = readRecipe('Supper\n2 tbsp oil for the fry pan\n1 cup basmati rice\n1 1/4 cups water');
  expect(plain.dish!.family).toBe('plain-grain');
});

const meatOf = (recipe: string) => readRecipe(recipe).dish!.ingredients[0]!.prep;

// A joint was once planned as so many cubes of 28 mm.
test.each([
  ['2 lb pork shoulder, whole piece', { shape: 'whole', pieceG: 907 }],
  ['3 lb chuck roast', { shape: 'whole', pieceG: 1361 }],
  ['2 kg beef short ribs', undefined],
  ['1 kg pork shoulder, cubed', { shape: 'cube' }],
  ['8 chicken tenders', { pieceG: 50 }],
])('%s is as thick as it comes', (line, prep) => {
  expect(meatOf(`Pot\n${line}\n2 cups brown rice`)).toEqual(prep);
});

test.each([
  ['1 kg lamb shoulder', 'Cut the lamb into 2-inch chunks.', { shape: 'cube', thicknessMm: 50.8 }],
  ['3 lb beef chuck roast', 'Cube the beef and brown it.', { shape: 'cube' }],
  ['500 g chicken breast', 'Slice the chicken into thin strips.', { shape: 'strip' }],
  ['500 g chicken breast', 'Chop the onion and add the chicken.', undefined],
  ['1 kg beef short ribs', 'Dice the onion. Add the beef, cut side down.', undefined],
  ['600 g de cerdo', 'Corte el cerdo en dados de 3 cm.', { shape: 'cube', thicknessMm: 30 }],
])('%s, and in the steps: %s', (line, step, prep) => {
  const read = meatOf(`Pot\n\nIngredients\n${line}\n2 cups brown rice\n\nSteps\n1. ${step}`);
  expect(read).toEqual(prep);
});

test('what is scattered at the table is each of it for the table, whatever stands between', () => {
  for (const text of ['spring onions + coriander to serve', 'fried garlic & scallions on top'])
    expect(readLine(text).map((l) => l.joins)).toEqual(['topping', 'topping']);
});

test.each([
  ['parsley lemon', ['herb-fresh', 'lemon-juice']],
  ['salt pepper', ['salt', 'spice-ground']],
  ['lemon pepper', ['spice-ground']],
  ['red onion', ['onion']],
])('names with nothing between them: %s', (line, foods) => {
  expect(readLine(line).map((l) => l.food)).toEqual(foods);
});

test('an amount that no dish can hold does not take the whole dish with it', () => {
  const { dish, asks } = readRecipe('Rice\n\n300 g basmati rice\n400 ml water\n0 onions\n1 small bay leaf');
  expect(dish?.ingredients.map((i) => i.food)).toEqual(['rice-basmati', 'water', 'spice-whole']);
  expect(asks.map((a) => a.path)).toEqual(['lines.2.grams']);
});
