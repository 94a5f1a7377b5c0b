import type { Kitchen } from '../src/dish/kitchen';
import { readDish } from '../src/dish/read';
import { scaleDish } from '../src/dish/scale';
import type { Dish, Ingredient } from '../src/dish/schema';
import type { Plan } from '../src/plan/document/document';
import { toTaste } from '../src/quantity/parse';
import { heatKey } from '../src/plan/setup/finish-minutes';
import { gather } from '../src/plan/gather/gather';
import { plan } from '../src/plan/plan';
import { defaultThicknessMm, pieceOf } from '../src/plan/gather/shape';
import { findFood, foods } from '../src/food/find';
import { board, itemOf, type Thing } from './helpers/board';
import { demo, demoDish } from './helpers/demo';
import { seaLevel } from './helpers/dishes';
import { plausible } from './helpers/plausible';

/* What an old hand would laugh at: each of these was planned otherwise once. Facts of the trade, common practice. */

describe('how wet a soup or a stew is made is the wish of its recipe', () => {
  const soup = (ml: number): Dish =>
    board(
      'noodle-soup',
      { food: 'turkey-breast', g: 400 },
      { food: 'carrot', g: 120 },
      { food: 'rice-long', g: 150 },
      { food: 'broth', g: ml },
    );
  test.each([1200, 1500, 1800])('a recipe with %d mL of stock is planned with about that', (ml) => {
    const p = plan(soup(ml), seaLevel);
    expect(Math.abs(p.liquid.addMl + p.topUpMl - ml)).toBeLessThan(0.15 * ml);
  });
  test('a cup to start with is no wish, and no more than three quarters of a soup are broth', () => {
    const share = (ml: number): number => gather(soup(ml)).sauceShare;
    expect(share(250)).toBe(0.6);
    expect(share(6000)).toBe(0.75);
    expect(share(1500)).toBeGreaterThan(share(1300));
  });
  test('barley in a stew with much stock is saucy, not dry; a pilaf is what its grain drinks, whatever was written', () => {
    const stew = board(
      'casserole',
      { food: 'beef-stew', g: 600 },
      { food: 'barley-pearl', g: 200 },
      { food: 'broth', g: 1200 },
    );
    expect(gather(stew).sauceShare).toBe(0.3);
    const pilaf = (ml: number): number =>
      plan(board('coated-grain', { food: 'rice-long', g: 300 }, { food: 'broth', g: ml }), seaLevel).liquid.addMl;
    expect(pilaf(900)).toBe(pilaf(450));
  });
});

describe('fish', () => {
  const over = (grain: string, grams: number, more: Partial<Thing> = {}) => {
    const dish = board(
      'one-pot-grain',
      { food: 'salmon', g: grams, ...more },
      { food: grain, g: 170 },
      { food: 'broth' },
    );
    return itemOf(gather(dish), 'salmon');
  };
  test('more fish than the opened pot could heat is steamed on the rack over a white grain', () => {
    const heavy = over('quinoa', 600);
    expect([heavy.joins, heavy.ingredient.place]).toEqual(['stack', 'rack']);
    expect(over('quinoa', 150).joins).toBe('finish');
    // Over brown rice it would be cooked to straw; and the cook's own word stands.
    expect(over('rice-brown-long', 600).joins).toBe('finish');
    expect(over('quinoa', 600, { joins: 'finish' }).joins).toBe('finish');
  });
  test('it is safe there and still juicy', () => {
    const dish = board('one-pot-grain', { food: 'salmon', g: 600 }, { food: 'quinoa', g: 170 }, { food: 'broth' });
    const [m] = plan(dish, seaLevel).meats;
    expect(m).toMatchObject({ ok: true, texture: 'juicy' });
    expect(m!.cautiousCoreC).toBeGreaterThanOrEqual(63);
  });
});

describe('a joint in one piece is the block that it weighs, not so many of the cubes that are cut from it', () => {
  const piece = (food: string, pieceG: number) =>
    pieceOf(findFood(food), { id: 'i', food, amount: { value: pieceG, unit: 'g' }, prep: { pieceG } }, pieceG);
  // Facts of the trade: two pounds of shoulder are some 65 to 75 mm at their thinnest, a loin of 900 g hardly less.
  test.each([
    ['pork-shoulder', 907],
    ['beef-stew', 907],
    ['pork-loin', 907],
  ])('%s of %d g', (food, grams) => {
    const { thicknessMm, guessed } = piece(food, grams);
    expect(thicknessMm).toBeGreaterThan(60);
    expect(thicknessMm).toBeLessThan(75);
    expect(guessed).toBe(true);
  });
  test('a heavy breast is still a breast, and a cube a cube', () => {
    expect(piece('chicken-breast', 340).thicknessMm).toBeLessThan(32);
    expect(piece('beef-stew', 60).thicknessMm).toBeLessThan(40);
  });
  test('it gets an hour before the rice, where cubes get a third of it', () => {
    const dish = (prep: object) =>
      board(
        'one-pot-grain',
        { food: 'pork-shoulder', g: 907, prep },
        { food: 'rice-brown-long', g: 370 },
        { food: 'water' },
      );
    const minutes = (p: ReturnType<typeof plan>): number => p.program.holdMin + (p.firstStage?.holdMin ?? 0);
    const whole = minutes(plan(dish({ pieceG: 907 }), seaLevel));
    expect(whole).toBeGreaterThan(55);
    expect(minutes(plan(dish({ shape: 'cube', thicknessMm: 28 }), seaLevel))).toBeLessThan(whole / 2);
  });
});

test('half a breast on its bone gets the minutes of the trade: 10 to 15 and a natural release', () => {
  const dish = board(
    'casserole',
    { food: 'chicken-breast-bone', g: 640 },
    { food: 'potato', g: 500 },
    { food: 'onion', g: 150 },
    { food: 'broth', g: 240 },
  );
  const { program, meats } = plan(dish, seaLevel);
  expect(meats[0]).toMatchObject({ ok: true });
  expect(program.holdMin).toBeGreaterThanOrEqual(8);
  expect(program.holdMin).toBeLessThanOrEqual(18);
});

test('strips are cut no thicker than a finger, whatever the piece they come from', () => {
  const breast = findFood('chicken-breast');
  expect(defaultThicknessMm(breast, undefined, 'strip')).toBe(15);
  expect(defaultThicknessMm(breast)).toBe(25);
  expect(defaultThicknessMm(findFood('ham'), undefined, 'strip')).toBe(10);
});

test('rice of a full pot of soup is not boiled soft on the way: a part of the liquid waits for the open pot', () => {
  const dish = board(
    'noodle-soup',
    { food: 'rice-long', g: 150 },
    { food: 'fennel', g: 300 },
    { food: 'broth', g: 2300 },
  );
  const p = plan(dish, { ...seaLevel, potId: 'whistle-5' });
  expect(p.warnings.map((w) => w.code)).toContain('top-up-for-time');
  expect(p.topUpMl).toBeGreaterThan(400);
  expect(p.grain!.band).toBe('fluffy');
});

test('cream and cheese at the end are sauce, and no water for the pasta: it finds enough under the lid', () => {
  const dish = board(
    'one-pot-pasta',
    { food: 'penne', g: 340 },
    { food: 'chicken-breast', g: 380, prep: { shape: 'strip' } },
    { food: 'broth', g: 700 },
    { food: 'cream-heavy', g: 235 },
    { food: 'cheese-hard', g: 100 },
  );
  const p = plan(dish, seaLevel);
  expect(p.program.chance!.texture).toBeGreaterThan(90);
  expect(p.pasta!.moisture).toBeGreaterThan(0.575);
  // The recipe of a cook has 700 mL.
  expect(p.liquid.addMl).toBeGreaterThan(450);
  expect(p.liquid.addMl).toBeLessThan(750);
});

test('frozen meatballs are balls, each for itself: no block of mince, and not crumbled in the pan', () => {
  const dish = board(
    'one-pot-pasta',
    { food: 'spaghetti', g: 400 },
    { food: 'meatball', g: 500, prep: { state: 'frozen' } },
    { food: 'tomato-sauce', g: 650 },
    { food: 'water', g: 700 },
  );
  const p = plan(dish, seaLevel);
  expect(p.fry).toEqual([]);
  expect(p.firstStage).toBeNull();
  expect(p.meats).toMatchObject([{ ok: true, thicknessMm: 36, safeMinimumC: 71 }]);
  const poultry = itemOf(
    gather(board('one-pot-pasta', { food: 'spaghetti' }, { food: 'meatball-poultry' })),
    'meatball-poultry',
  );
  expect(poultry.food.meat!.safeMinimumC[0]).toBe(74);
});

test('an egg among sheets lies in their cheese, not on a rack, and is done', () => {
  const dish = board(
    'layered-pasta',
    { food: 'lasagne-sheet', g: 240 },
    { food: 'beef-ground', g: 400 },
    { food: 'tomato-sauce', g: 600 },
    { food: 'cheese-soft', g: 250 },
    { food: 'egg', g: 55 },
    { food: 'butter', g: 20 },
  );
  const p = plan(dish, seaLevel);
  const laid = p.stack.filter((l) => l.ingredient === 'egg');
  expect(laid.length).toBeGreaterThan(1);
  expect(new Set(laid.map((l) => l.place))).toEqual(new Set(['top']));
  expect(p.meats.find((m) => m.ingredient === 'egg')).toMatchObject({ ok: true, guessed: false });
});

test('dry lentils drink their water and are soft with the rice; without enough minutes the plan says they stay hard', () => {
  const rice = { food: 'rice-basmati', g: 200 } as const;
  const alone = plan(board('coated-grain', rice, { food: 'water', g: 500 }), seaLevel);
  const dish = board('coated-grain', rice, { food: 'lentils-split', g: 100 }, { food: 'water', g: 700 });
  const withLentils = plan(dish, seaLevel);
  expect(withLentils.plants).toMatchObject([{ ingredient: 'lentils-split', verdict: 'done' }]);
  // 100 g dry become 290 g of 69 % water [composition tables: cooked lentils 69.6 %].
  expect(withLentils.liquid.addMl - alone.liquid.addMl).toBeGreaterThan(170);
  expect(withLentils.liquid.addMl - alone.liquid.addMl).toBeLessThan(215);
  const whole = board('coated-grain', rice, { food: 'lentils-whole', g: 100 }, { food: 'water', g: 700 });
  const short = plan({ ...whole, overrides: { holdMin: 0 } }, seaLevel);
  expect(short.plants).toMatchObject([{ ingredient: 'lentils-whole', verdict: 'hard' }]);
  expect(short.warnings.map((w) => w.code)).toContain('plant-hard');
});

test('a soup that its recipe makes a little thick is not made with four times as much', () => {
  const dish = board(
    'noodle-soup',
    { food: 'rice-medium', g: 350 },
    { food: 'shrimp', g: 300 },
    { food: 'mussels', g: 500 },
    { food: 'broth-fish', g: 1250 },
  );
  const p = plan(dish, seaLevel);
  expect(p.liquid.addMl + p.topUpMl).toBeGreaterThan(1100);
  expect(p.liquid.addMl + p.topUpMl).toBeLessThan(2200);
});

// Cheese does not melt in a dish that a tin of cold milk has cooled to 50 degC.
test('much cold milk is warmed in the dish before the cheese of its sauce', () => {
  const mac = board(
    'one-pot-pasta',
    { food: 'rotini', g: 340 },
    { food: 'milk-evaporated', g: 340 },
    { food: 'cheese-hard', g: 280 },
    { food: 'peas-frozen', g: 140 },
    { food: 'water', g: 700 },
  );
  const finish = plan(mac, seaLevel).finish;
  const [milk, cheese] = finish.filter((f) => f.code === 'dairy');
  expect([milk!.ingredients, milk!.heat]).toEqual([['milk-evaporated'], 'saute']);
  expect([cheese!.ingredients, cheese!.heat]).toEqual([['cheese-hard'], undefined]);
  expect(cheese!.tempC!).toBeGreaterThan(65);
});
// A first stage of ribs leaves their juice in the pot: it covers the pasta too.
test('the second lid reckons with the juice of the first, and its liquid with the wine that boiled away', () => {
  const ragu = board(
    'one-pot-pasta',
    { food: 'beef-short-rib', g: 1300 },
    { food: 'wine-red', g: 235 },
    { food: 'fettuccine', g: 340 },
    { food: 'oil-olive', g: 20 },
    { food: 'broth' },
  );
  const p = plan(ragu, seaLevel);
  expect(p.firstStage).not.toBeNull();
  const wineLeft = 0.5 * 235;
  expect(p.firstStage!.liquidMl + wineLeft).toBeGreaterThan(0.9 * p.pot.minimumLiquidMl);
  expect(p.pot.thinLiquidMl).toBeGreaterThan(p.liquid.addMl + wineLeft);
});
test('tinned beans and raisins do not fall apart beside the meat: they wait for the rice', () => {
  const p = plan(
    board(
      'one-pot-grain',
      { food: 'pork-shoulder', g: 800, prep: { shape: 'cube', thicknessMm: 45 } },
      { food: 'beans-canned', g: 240 },
      { food: 'dried-fruit', g: 40 },
      { food: 'rice-long', g: 300 },
      { food: 'broth' },
    ),
    seaLevel,
  );
  expect(p.firstStage!.ingredients).toContain('pork-shoulder');
  for (const soft of ['beans-canned', 'dried-fruit']) {
    expect(p.firstStage!.ingredients).not.toContain(soft);
    expect(p.stack.map((l) => l.ingredient)).toContain(soft);
  }
});
test('cream and yogurt at the end do not take the water from the rice of a tomato dish', () => {
  const dish = board(
    'one-pot-grain',
    { food: 'rice-basmati', g: 370 },
    { food: 'chicken-thigh', g: 680, prep: { shape: 'cube', thicknessMm: 25 } },
    { food: 'tomato-crushed-canned', g: 400 },
    { food: 'water', g: 600 },
    { food: 'yogurt', g: 120 },
    { food: 'cream-heavy', g: 120 },
  );
  const p = plan(dish, seaLevel);
  expect(p.grain!.band).toBe('fluffy');
  expect(p.program.chance!.texture).toBeGreaterThan(60);
});

test('a fillet that has to be heated in the open pot is not stirred', () => {
  const dish = board(
    'one-pot-grain',
    { food: 'rice-brown-long', g: 275 },
    { food: 'salmon', g: 340, prep: { state: 'frozen' } },
    { food: 'water', g: 600 },
  );
  const step = plan(dish, seaLevel).finish.find((f) => f.code === 'seafood')!;
  expect(step).toMatchObject({ heat: 'saute', lidOn: true });
  expect(heatKey(step)).toBe('saute-lid');
});

test('rice in ten times its weight of water is a congee: its grains burst, and mush is no fault of it', () => {
  const rice = { food: 'rice-jasmine', g: 185 } as const;
  const congee = plan(board('porridge', rice, { food: 'water', g: 1850 }), seaLevel);
  const pudding = plan(board('porridge', rice, { food: 'water', g: 800 }), seaLevel);
  // Trade: 20 to 30 min under pressure with a natural release, against 3 to 6.
  expect(congee.program.holdMin).toBeGreaterThanOrEqual(15);
  expect(congee.program.holdMin).toBeLessThanOrEqual(30);
  expect(congee.program.release.kind).not.toBe('quick');
  expect(pudding.program.holdMin).toBeLessThan(8);
  expect(congee.warnings.map((w) => w.code)).not.toContain('mush');
  expect(congee.program.chance!.texture).toBeGreaterThan(90);
});

test('sausages in their skins are rolls that are measured; out of them they are crumbs', () => {
  const withSausage = (food: string) =>
    plan(board('one-pot-pasta', { food: 'rigatoni', g: 225 }, { food, g: 450 }, { food: 'broth', g: 600 }), seaLevel);
  const [links, crumbs] = [withSausage('sausage-fresh'), withSausage('sausage-meat')];
  // A cube of 28 mm heats through in two thirds of the time of a roll.
  expect(links.meats[0]!.guessed).toBe(true);
  expect(links.meats[0]!.cautiousCoreC).toBeLessThan(crumbs.meats[0]!.cautiousCoreC);
  expect(links.finish.map((f) => f.code)).toContain('check');
  expect(crumbs.fry[0]).toMatchObject({ until: 'crumbs-half-brown' });
  expect(crumbs.finish.map((f) => f.code)).toContain('check-pot');
});

test('shanks with risotto cook first, by themselves; rice is not turned in fat after them', () => {
  const dish = board(
    'risotto',
    { food: 'veal-stew', g: 1200, prep: { pieceG: 300 } },
    { food: 'rice-arborio', g: 320 },
    { food: 'butter', g: 60 },
    { food: 'broth', g: 1100 },
  );
  const p = plan(dish, seaLevel);
  expect(p.firstStage!.holdMin).toBeGreaterThan(30);
  expect(p.program.chance!.of100).toBeGreaterThan(70);
  expect(p.fry.map((f) => f.ingredient)).not.toContain('rice-arborio');
  expect(p.fry.map((f) => f.order)).toEqual(p.fry.map((_, i) => i + 1));
});

test('raw prawns laid into dry rice that they cool down are heated under the lid, and not stirred', () => {
  const p = plan(
    board('biryani', { food: 'rice-basmati', g: 300 }, { food: 'shrimp', g: 600 }, { food: 'water', g: 400 }),
    seaLevel,
  );
  expect(p.finish.find((f) => f.code === 'seafood')).toMatchObject({ heat: 'saute', lidOn: true });
});

test('whole spices open in the fat of separate rice before the meat; in a soup they steep', () => {
  const withSpice = (family: Parameters<typeof board>[0], food: string) =>
    plan(
      board(
        family,
        { food: 'ghee', g: 40 },
        { food: 'spice-whole', g: 3 },
        { food: 'chicken-thigh', g: 500, prep: { shape: 'cube' } },
        { food, g: 300 },
        { food: 'broth', g: family === 'noodle-soup' ? 1200 : 450 },
      ),
      seaLevel,
    ).fry.map((f) => f.ingredient);
  expect(withSpice('one-pot-grain', 'rice-basmati')).toEqual(['ghee', 'spice-whole', 'chicken-thigh']);
  expect(withSpice('noodle-soup', 'rice-basmati')).not.toContain('spice-whole');
});

test('onions brown in the spiced fat of a pulao before the mince; without spices they follow it', () => {
  const pan = (...spices: Thing[]) =>
    plan(
      board(
        'one-pot-grain',
        { food: 'ghee', g: 40 },
        ...spices,
        { food: 'lamb-ground', g: 500 },
        { food: 'onion', g: 200 },
        { food: 'ginger', g: 10 },
        { food: 'rice-basmati', g: 370 },
        { food: 'water', g: 500 },
      ),
      seaLevel,
    ).fry.map((f) => [f.ingredient, f.until, f.trouble]);
  expect(pan({ food: 'spice-whole', g: 5 })).toEqual([
    ['ghee', 'fat-hot', undefined],
    ['spice-whole', 'fragrant', undefined],
    ['onion', 'edges-brown', undefined],
    ['lamb-ground', 'crumbs-half-brown', undefined],
    ['ginger', 'fragrant', undefined],
  ]);
  expect(pan().map(([i]) => i)).toEqual(['ghee', 'lamb-ground', 'onion', 'ginger']);
});

describe('what has to melt gets the minutes of the tables, and no more', () => {
  const withRice = (food: string, g: number, rice: string) =>
    plan(board('one-pot-grain', { food, g }, { food: rice, g: 300 }, { food: 'broth', g: 700 }), seaLevel);
  // Single ribs: 20 to 25 min at high, then let off by itself, in the tables of makers [common practice].
  test('single ribs are bars and not a rack', () => {
    const p = withRice('pork-rib', 600, 'rice-medium');
    expect(p.firstStage!.holdMin).toBeGreaterThanOrEqual(18);
    expect(p.firstStage!.holdMin).toBeLessThanOrEqual(28);
    expect(p.meats[0]!.texture).toBe('tender');
  });
  test.each(['rice-medium', 'rice-brown-long'])('the leg of a duck is tender beside %s', (rice) => {
    expect(withRice('duck-leg', 500, rice).meats[0]!.texture).toBe('tender');
  });
});

test('a stock cube, a bay leaf and butter that are not fried go in with the liquid, and the cook is told', () => {
  const dish = board(
    'plain-grain',
    { food: 'rice-long', g: 370 },
    { food: 'water', g: 640 },
    { food: 'stock-concentrate', g: 10 },
    { food: 'spice-whole', g: 0.4 },
    { food: 'butter', g: 28 },
    { food: 'salt', g: 5 },
  );
  const p = plan(dish, seaLevel);
  expect(p.withLiquid!.map((x) => x.ingredient)).toEqual(['butter', 'spice-whole', 'stock-concentrate']);
  expect(p.steps.find((s) => s.id === 'stack')!.ingredients).toEqual(
    expect.arrayContaining(['stock-concentrate', 'spice-whole', 'butter', 'rice-long']),
  );
});

test('whatever is in a dish, some step names it; salt has a line of its own', () => {
  const silent = (dish: Dish, kitchen: Kitchen): string[] => {
    const named = new Set(plan(dish, kitchen).steps.flatMap((s) => s.ingredients));
    const foods = new Set(dish.ingredients.filter((i) => named.has(i.id)).map((i) => i.food));
    return dish.ingredients.filter((i) => i.food !== 'salt' && !foods.has(i.food)).map((i) => i.food);
  };
  for (const [slug, dish] of demo) expect([slug, silent(dish, seaLevel)]).toEqual([slug, []]);
  const small = foods.filter((f) => f.kind === 'seasoning' || f.kind === 'fat').map((f) => f.id);
  for (const [seed, food] of small.entries()) {
    const { dish, kitchen } = plausible(seed);
    const rest = dish.ingredients.filter((i) => i.food !== food);
    const extra = { id: 'extra', food, amount: { value: 6, unit: 'g' as const } };
    const seasoned = { ...dish, ingredients: [...rest, extra] };
    expect([seed, food, silent(seasoned, kitchen)]).toEqual([seed, food, []]);
  }
});

describe('what is to taste', () => {
  const risotto = demo.get('guinea-fowl-mushroom-risotto')!;
  const with_ = (food: string, more: Partial<Ingredient> = {}): Dish => ({
    ...risotto,
    ingredients: [...risotto.ingredients, { id: 'extra', food, amount: toTaste, ...more }],
  });
  test.each(['spice-ground', 'saffron', 'herb-fresh', 'cheese-hard', 'soy-sauce', 'garlic', 'nuts'])(
    '%s is named in a step and moves no number',
    (food) => {
      const [bare, seasoned] = [plan(risotto, seaLevel), plan(with_(food), seaLevel)];
      expect(seasoned.steps.some((s) => s.ingredients.includes('extra'))).toBe(true);
      const numbers = ({ liquid, program, meats, grain, salt, scorch, pot }: Plan): unknown => ({
        ...{ liquid, program, meats, grain, salt, scorch },
        pot: pot.fillFraction,
      });
      expect(numbers(seasoned)).toEqual(numbers(bare));
    },
  );
  test('leaves for the table are strewn there, pepper goes in with the liquid', () => {
    const at = (food: string, more: Partial<Ingredient> = {}): string[] =>
      plan(with_(food, more), seaLevel).steps.flatMap((s) => (s.ingredients.includes('extra') ? [s.id] : []));
    expect(at('spice-ground')).toEqual(['stack']);
    expect(at('herb-fresh', { joins: 'topping' })).toEqual(['finish-scatter']);
  });
  test('oil as needed films the base of the pan; what a plan is worked out from needs its amount', () => {
    const dry = board(
      'one-pot-grain',
      { food: 'chicken-thigh', g: 400 },
      { food: 'rice-long', g: 200 },
      { food: 'broth' },
    );
    const oiled: Dish = {
      ...dry,
      ingredients: [...dry.ingredients, { id: 'oil', food: 'oil-olive', amount: toTaste }],
    };
    expect(plan(oiled, seaLevel).fry[0]).toMatchObject({ ingredient: 'oil', until: 'fat-hot' });
    for (const food of ['rice-long', 'chicken-thigh', 'broth', 'salt'])
      for (const asked of [readDish, (dish: Dish) => plan(dish, seaLevel)])
        expect(() => asked(with_(food))).toThrow(/needs an amount/);
    expect(readDish(with_('spice-ground')).ingredients.at(-1)!.amount).toEqual(toTaste);
    expect(scaleDish(with_('spice-ground'), 9).ingredients.at(-1)!.amount).toEqual(toTaste);
  });
});

describe('meatballs', () => {
  const mince = { food: 'meatball', g: 500 };
  const rest = [
    { food: 'egg', g: 55 },
    { food: 'breadcrumbs', g: 50 },
  ].map((x) => ({ ...x, joins: 'marinade' as const }));
  const dish = board(
    'one-pot-grain',
    mince,
    ...rest,
    { food: 'rice-long', g: 300 },
    { food: 'onion', g: 150 },
    { food: 'broth' },
    { food: 'oil-olive', g: 14 },
  );
  test('egg and crumbs are mixed in and shaped, neither scrambled nor strewn, and weigh with the balls', () => {
    const p = plan(dish, seaLevel);
    expect(p.steps.find((s) => s.text === 'prep-shape')).toMatchObject({
      ingredients: ['meatball', 'egg', 'breadcrumbs'],
      caution: 'raw-meat',
    });
    expect(p.fry.map((f) => f.ingredient)).toEqual(['oil-olive', 'onion']);
    expect(p.stack.find((l) => l.ingredient === 'meatball')!.grams).toBe(605);
    expect(p.heldBack).toEqual([]);
  });
});

test('saffron that soaks in milk lies with it on top of a biryani; without milk it is in the liquid', () => {
  const with_ = (...more: Thing[]): Dish =>
    board(
      'biryani',
      { food: 'chicken-thigh', g: 400 },
      { food: 'rice-basmati', g: 300 },
      { food: 'water' },
      { food: 'saffron', g: 0.3 },
      ...more,
    );
  const milky = plan(with_({ food: 'milk', g: 30 }), seaLevel);
  expect(milky.stack.slice(-2).map((l) => l.ingredient)).toEqual(['milk', 'saffron']);
  expect(milky.withLiquid).toEqual([]);
  expect(plan(with_(), seaLevel).withLiquid!.map((x) => x.ingredient)).toEqual(['saffron']);
});

test('a bay leaf is no spiced fat: the onions only turn translucent', () => {
  const with_ = (g: number): Dish =>
    board(
      'one-pot-grain',
      { food: 'beef-stew', g: 300 },
      { food: 'onion', g: 150 },
      { food: 'spice-whole', g },
      { food: 'rice-long', g: 200 },
      { food: 'broth' },
      { food: 'oil-olive', g: 14 },
    );
  const until = (g: number): string => plan(with_(g), seaLevel).fry.find((f) => f.ingredient === 'onion')!.until;
  expect([until(0.4), until(4)]).toEqual(['translucent', 'edges-brown']);
});

describe('dry seeds beside a starch that is done sooner', () => {
  const soup = (...more: Thing[]): Dish =>
    board('noodle-soup', { food: 'lentils-whole', g: 300 }, { food: 'broth', g: 1500 }, ...more);
  test.each(['rice-long', 'ditalini'])(
    'lentils get a lid of their own before the %s of a soup, and are soft',
    (food) => {
      const p = plan(soup({ food, g: 100 }), seaLevel);
      expect(p.firstStage).toMatchObject({ slow: ['lentils-whole'] });
      expect(p.firstStage!.holdMin).toBeGreaterThanOrEqual(4);
      expect(p.firstStage!.holdMin).toBeLessThanOrEqual(10);
      expect(p.plants).toMatchObject([{ verdict: 'done' }]);
      expect((p.grain ?? p.pasta)!.band).toMatch(/fluffy|tender/);
    },
  );
  test('split ones are soft in the minutes of the rice, by one lid', () => {
    const p = plan(
      board('one-pot-grain', { food: 'lentils-split', g: 150 }, { food: 'rice-long', g: 150 }, { food: 'water' }),
      seaLevel,
    );
    expect(p.firstStage).toBeNull();
    expect(p.plants).toMatchObject([{ verdict: 'done' }]);
  });
  test('a first stage that the cook asks for begins with them, with the water that they drink', () => {
    const dish = board(
      'coated-grain',
      { food: 'lentils-whole', g: 200 },
      { food: 'rice-basmati', g: 200 },
      { food: 'water' },
    );
    const p = plan({ ...dish, overrides: { firstStage: true } }, seaLevel);
    expect(p.firstStage).toMatchObject({ slow: ['lentils-whole'] });
    expect(p.firstStage!.liquidMl).toBeGreaterThan(1.5 * 200);
    expect(p.plants).toMatchObject([{ verdict: 'done' }]);
  });
});

test('the stack is said by what must lie under the liquid, and pours none where there is none', () => {
  const said = (dish: Dish): unknown[] => {
    const { text, params } = plan(dish, seaLevel).steps.find((s) => s.id === 'stack')!;
    return [text, params['under']];
  };
  const milky = board('porridge', { food: 'rice-short', g: 200 }, { food: 'milk', g: 1030 });
  expect(said(milky)).toEqual(['stack-dry', 'grain']);
  expect(
    said(board('casserole', { food: 'beef-stew', g: 600 }, { food: 'potato', g: 400 }, { food: 'broth' })),
  ).toEqual(['stack', 'nothing']);
  expect(said(demo.get('pork-fennel-bean-rigatoni')!)[1]).toBe('pasta');
  expect(said(demo.get('aubergine-lamb-sheets')!)[1]).toBe('sheets');
});

test('a quarter of milk in a porridge is no pot of milk', () => {
  const base = (milkG: number): number =>
    plan(board('porridge', { food: 'oats-steel-cut', g: 170 }, { food: 'milk', g: milkG }, { food: 'water' }), seaLevel)
      .scorch.index;
  expect(base(200)).toBeLessThan(0.25);
  expect(base(800)).toBeGreaterThan(1.5 * base(200));
});

test('roots that are cut up by no size are cut to an inch: potatoes are a matter of minutes', () => {
  const cubes = board('steamed-side', { food: 'potato', g: 800, prep: { shape: 'cube' } }, { food: 'water' });
  expect(itemOf(gather(cubes), 'potato').thicknessMm).toBe(25);
  // Tables of makers: 5 min, 8 for a mash.
  expect(plan(cubes, seaLevel).program.holdMin).toBeLessThanOrEqual(8);
});

test('rice in its own bowl: the base is loosened with the broth of the curry, not with the water of the rice', () => {
  const p = plan(demoDish('goat-curry-bowl-rice'));
  expect(p.deglaze).toMatchObject({ ml: 120, food: 'broth-low-salt' });
  expect(p.steps.find((s) => s.id === 'deglaze')!.params).toEqual({ food: 'broth-low-salt', ml: 250 });
  expect(p.steps.find((s) => s.id === 'first-fill')!.text).toBe('first-fill-as-it-is');
});

describe('a porridge is sweet, savoury or tempered by what is in it', () => {
  const salted = (...more: Thing[]): { fry: string[]; percent: number } => {
    const p = plan(board('porridge', { food: 'rice-basmati', g: 185 }, ...more, { food: 'water', g: 1100 }), seaLevel);
    return { fry: p.fry.map((f) => f.ingredient), percent: p.salt.aimPercent };
  };
  test('khichdi opens its spices and onions in the ghee and is salted as a dish', () => {
    const { fry, percent } = salted(
      { food: 'lentils-split', g: 95 },
      { food: 'ghee', g: 25 },
      { food: 'spice-whole', g: 2 },
      { food: 'ginger', g: 10 },
    );
    expect(fry).toEqual(['ghee', 'spice-whole', 'ginger']);
    expect(percent).toBe(0.7);
  });
  test('congee fries nothing, and rice pudding takes a pinch', () => {
    expect(salted({ food: 'chicken-thigh', g: 300 }, { food: 'ginger', g: 10 })).toEqual({ fry: [], percent: 0.7 });
    expect(salted({ food: 'milk', g: 300 }, { food: 'sugar', g: 60 })).toEqual({ fry: [], percent: 0.3 });
  });
});

describe('firm vegetables at the end', () => {
  test('get minutes of heat, before the shrimp that must not cook so long', () => {
    const p = plan(
      board(
        'one-pot-grain',
        { food: 'rice-long', g: 300 },
        { food: 'okra', g: 200, joins: 'finish' },
        { food: 'shrimp', g: 300, joins: 'finish' },
        { food: 'broth', g: 600 },
      ),
      seaLevel,
    );
    const at = (food: string): number => p.finish.findIndex((f) => f.ingredients.includes(food));
    expect(p.finish[at('okra')]).toMatchObject({ code: 'florets', lidOn: true });
    expect(p.finish[at('okra')]!.minutes).toBeGreaterThan(4);
    expect(at('okra')).toBeLessThan(at('shrimp'));
  });
});
