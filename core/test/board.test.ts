import type { Dish, Family } from '../src/dish/schema';
import { fryPlan, fryMinutes } from '../src/plan/setup/fry';
import { setUp } from '../src/plan/setup/setup';
import type { FinishStep } from '../src/plan/document/steps';
import { finishPlan, heldBack, type FinishInput } from '../src/plan/write/finish';
import { gather } from '../src/plan/gather/gather';
import { sharesWater, type Item } from '../src/plan/gather/item';
import { placeOf } from '../src/plan/gather/place';
import { plan } from '../src/plan/plan';
import { cookWith } from '../src/plan/judge/runs';
import { baseAreaCm2, pots } from '../src/pot/profile';
import { board as named, itemOf, type Thing } from './helpers/board';
import { demo, demoDish } from './helpers/demo';
import { hut, plainRice, turkeyRice } from './helpers/dishes';

/*
 * What a cook does with each thing before the lid locks, as it is done at the stove [common practice]: what is fried and
 * what waits, what lies where, in which order the pan is filled, and what comes after the pin.
 */
const pot = pots.find((p) => p.id === hut.potId)!;
const board = (family: Family, ...things: Thing[]): Dish =>
  named(family, ...things.map((t, i) => ({ id: `i${i}`, ...t })));
const starchOf: Partial<Record<Family, Thing>> = {
  'one-pot-pasta': { food: 'penne' },
  'layered-pasta': { food: 'lasagne-sheet' },
  'steamed-side': { food: 'carrot' },
  casserole: { food: 'beef-stew' },
};
/** One thing beside the starch (and the broth) of a family, as it stands on the board. */
const one = (family: Family, thing: Thing): { g: ReturnType<typeof gather>; item: Item } => {
  const g = gather(board(family, thing, starchOf[family] ?? { food: 'rice-long' }, { food: 'broth' }));
  return { g, item: itemOf(g, 'i0') };
};

/** The finish of a dish after three minutes at pressure and a quick release. */
const finishOf = (dish: Dish, more: Partial<FinishInput> = {}): FinishStep[] => {
  const setup = setUp(dish, hut);
  const { potRun: run } = cookWith(setup, 450, { pressure: 'high', holdMin: 3, release: { kind: 'quick' } });
  const input = {
    run,
    pot,
    altitudeM: hut.altitudeM,
    measured: 'check' as const,
    bigBatch: false,
    topUpMl: 0,
    ...more,
  };
  return finishPlan(setup.g, input);
};
const codesOf = (dish: Dish, more: Partial<FinishInput> = {}): string[] => finishOf(dish, more).map((f) => f.code);

describe('what joins when, and in what state it meets the lid', () => {
  const rows: [Family, Thing, Item['joins'], Item['state']][] = [
    ['one-pot-grain', { food: 'onion' }, 'fry', 'sweated'],
    ['one-pot-grain', { food: 'carrot' }, 'fry', 'sweated'],
    ['one-pot-grain', { food: 'zucchini' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'okra' }, 'stack', 'raw'],
    // Garlic alone in a dry pan would only burn.
    ['one-pot-grain', { food: 'garlic' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'spice-ground' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'spice-whole' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'wine-white' }, 'fry', 'raw'],
    // Fat alone is nothing to fry.
    ['one-pot-grain', { food: 'ghee' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'tomato', joins: 'fry' }, 'fry', 'mush'],
    ['one-pot-grain', { food: 'onion', prep: { brown: 'brown' } }, 'fry', 'browned'],
    ['rack-over-grain', { food: 'chicken-thigh' }, 'fry', 'part-seared'],
    ['rack-over-grain', { food: 'chicken-thigh', prep: { state: 'raw' } }, 'stack', 'raw'],
    ['biryani', { food: 'yogurt' }, 'stack', 'raw'],
    ['layered-pasta', { food: 'cheese-hard' }, 'finish', 'raw'],
    ['layered-pasta', { food: 'cheese-soft' }, 'stack', 'raw'],
    // Beaten into the cheese between the sheets, whatever fat there is.
    ['layered-pasta', { food: 'egg' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'egg', prep: { state: 'cooked' } }, 'finish', 'cooked'],
    ['biryani', { food: 'egg', prep: { state: 'cooked' } }, 'stack', 'cooked'],
    ['one-pot-grain', { food: 'chicken-thigh' }, 'fry', 'part-seared'],
    ['one-pot-grain', { food: 'chicken-thigh', prep: { state: 'browned', thicknessMm: 20 } }, 'fry', 'part-seared'],
    ['one-pot-grain', { food: 'chicken-thigh', prep: { state: 'browned', thicknessMm: 6 } }, 'fry', 'browned'],
    ['one-pot-grain', { food: 'chicken-thigh', prep: { state: 'browned', thicknessMm: 8 } }, 'fry', 'part-seared'],
    ['one-pot-grain', { food: 'chicken-thigh', joins: 'stack', prep: { state: 'browned' } }, 'stack', 'browned'],
    [
      'one-pot-grain',
      { food: 'chicken-thigh', joins: 'stack', prep: { state: 'part-seared' } },
      'stack',
      'part-seared',
    ],
    ['one-pot-grain', { food: 'beef-ground', prep: { state: 'browned' } }, 'fry', 'browned'],
    ['steamed-side', { food: 'cheese-hard' }, 'finish', 'raw'],
    ['steamed-side', { food: 'herb-fresh' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'chicken-thigh', prep: { state: 'frozen' } }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'chicken-cooked' }, 'stack', 'cooked'],
    ['one-pot-grain', { food: 'chicken-thigh', prep: { state: 'cooked' } }, 'stack', 'cooked'],
    ['one-pot-grain', { food: 'spinach' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'peas-frozen' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'herb-fresh' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'lemon-juice' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'yogurt' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'cream-sour' }, 'finish', 'raw'],
    ['one-pot-pasta', { food: 'yogurt' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'cheese-hard' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'cream-heavy' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'starch' }, 'finish', 'raw'],
    ['one-pot-grain', { food: 'nuts' }, 'topping', 'raw'],
    ['one-pot-grain', { food: 'tomato-sauce' }, 'stack', 'raw'],
    ['one-pot-grain', { food: 'carrot', place: 'rack' }, 'stack', 'raw'],
    ['plain-grain', { food: 'onion' }, 'stack', 'raw'],
    ['porridge', { food: 'milk' }, 'stack', 'raw'],
    ['porridge', { food: 'cream-heavy' }, 'finish', 'raw'],
    ['layered-pasta', { food: 'cream-heavy' }, 'stack', 'raw'],
    ['one-pot-pasta', { food: 'cream-heavy' }, 'finish', 'raw'],
    ['steamed-side', { food: 'broccoli' }, 'stack', 'raw'],
    ['steamed-side', { food: 'lemon-juice' }, 'finish', 'raw'],
    ['steamed-side', { food: 'onion' }, 'stack', 'raw'],
  ];
  test.each(rows)('%s: %j', (family, thing, joins, state) => {
    const { item } = one(family, thing);
    expect([item.joins, item.state]).toEqual([joins, state]);
  });
  test('the cook’s word goes before the planner’s', () => {
    expect(one('one-pot-grain', { food: 'spinach', joins: 'stack' }).item.joins).toBe('stack');
    expect(one('one-pot-grain', { food: 'zucchini', joins: 'fry' }).item.state).toBe('sweated');
  });
  test('spices bloom in fat or beside what is fried; alone in a dry pan they would only burn', () => {
    const spice = (...others: Thing[]): Item =>
      itemOf(gather(board('one-pot-grain', { food: 'spice-ground' }, { food: 'rice-long' }, ...others)), 'i0');
    expect(spice().joins).toBe('stack');
    expect(spice({ food: 'oil-olive' }).joins).toBe('fry');
    expect(spice({ food: 'onion' }).joins).toBe('fry');
    expect(spice({ food: 'garlic' }).joins).toBe('stack');
    expect(spice({ food: 'garlic' }, { food: 'oil-olive' }).joins).toBe('fry');
  });
  test('rice is turned in fat for a risotto and a pilaf, and where the cook says so; pasta never', () => {
    const joins = (family: Family, thing: Thing): string =>
      gather(board(family, thing, { food: 'broth' })).grain!.joins;
    expect(joins('risotto', { food: 'rice-arborio' })).toBe('fry');
    expect(joins('coated-grain', { food: 'rice-basmati' })).toBe('fry');
    expect(joins('one-pot-grain', { food: 'rice-long' })).toBe('stack');
    expect(joins('one-pot-grain', { food: 'rice-long', prep: { coated: true } })).toBe('fry');
    expect(joins('coated-grain', { food: 'rice-basmati', prep: { coated: false } })).toBe('stack');
  });
  test('the liquid to set is the first plain one under the lid; without any it is water', () => {
    const main = (...things: Thing[]) => gather(board('one-pot-grain', { food: 'rice-long' }, ...things)).main;
    expect(main({ food: 'soy-sauce' }, { food: 'coconut-milk' }).food.id).toBe('water');
    expect(main({ food: 'soy-sauce' }, { food: 'coconut-milk' }).grams).toBe(0);
    expect(main({ food: 'broth', joins: 'finish' }, { food: 'water' }).food.id).toBe('water');
    expect(main({ food: 'broth-low-salt' }, { food: 'water' }).food.id).toBe('broth-low-salt');
    const bowl = gather(demoDish('goat-curry-bowl-rice'));
    expect([bowl.main.ingredient.place, bowl.inBowl]).toEqual(['inner-bowl', true]);
    expect(bowl.items.filter((i) => sharesWater(bowl, i)).map((i) => i.food.id)).toEqual(['rice-long', 'water']);
  });
  test('pasta goes by the minutes on its own packet', () => {
    const at = (packetMinutes?: number) =>
      gather(board('one-pot-pasta', { food: 'penne', ...(packetMinutes ? { prep: { packetMinutes } } : {}) })).grain!;
    expect(at(7).food.packetMin![0]).toBe(7);
    expect(at(7).food.grain!.eRef[0]).toBeLessThan(at(13).food.grain!.eRef[0]);
    expect(at().food.packetMin![0]).toBeGreaterThan(8);
  });
});

test('every clear stock is poured to the sum; coconut milk and tomato are counted as they are', () => {
  const poured = (food: string): string => gather(board('one-pot-grain', { food: 'rice-long' }, { food })).main.food.id;
  for (const food of ['water', 'broth', 'broth-low-salt', 'broth-fish']) expect(poured(food)).toBe(food);
  for (const food of ['coconut-milk', 'tomato-sauce', 'cider']) expect(poured(food)).toBe('water');
});

describe('where it lies', () => {
  const rows: [Family, Thing, string][] = [
    ['one-pot-grain', { food: 'chicken-thigh' }, 'base'],
    ['one-pot-grain', { food: 'chicken-breast' }, 'top'],
    ['one-pot-grain', { food: 'chicken-cooked' }, 'top'],
    ['one-pot-grain', { food: 'egg' }, 'rack'],
    ['rack-over-grain', { food: 'chicken-thigh' }, 'rack'],
    ['noodle-soup', { food: 'chicken-breast' }, 'base'],
    ['risotto', { food: 'chicken-breast' }, 'base'],
    ['one-pot-grain', { food: 'onion' }, 'base'],
    ['one-pot-grain', { food: 'zucchini' }, 'top'],
    ['one-pot-grain', { food: 'tomato' }, 'top'],
    ['one-pot-grain', { food: 'tomato', joins: 'fry' }, 'base'],
    ['one-pot-grain', { food: 'tomato-sauce' }, 'top'],
    ['one-pot-grain', { food: 'soy-sauce' }, 'liquid'],
    ['one-pot-grain', { food: 'beans-canned' }, 'base'],
    ['one-pot-grain', { food: 'egg', joins: 'stack' }, 'rack'],
    // Boiled and peeled, it is only warmed where the cook lays it in.
    ['one-pot-grain', { food: 'egg', joins: 'stack', prep: { state: 'cooked' } }, 'top'],
    ['one-pot-grain', { food: 'cream-heavy', joins: 'stack' }, 'liquid'],
    ['biryani', { food: 'yogurt' }, 'base'],
    ['one-pot-grain', { food: 'yogurt' }, 'base'],
    ['biryani', { food: 'milk' }, 'top'],
    ['biryani', { food: 'herb-fresh' }, 'top'],
    ['one-pot-grain', { food: 'salt' }, 'liquid'],
    ['steamed-side', { food: 'broccoli' }, 'rack'],
    ['casserole', { food: 'zucchini' }, 'base'],
    ['casserole', { food: 'venison' }, 'base'],
    ['one-pot-grain', { food: 'onion', place: 'top' }, 'top'],
  ];
  test.each(rows)('%s: %j lies in or on: %s', (family, thing, place) => {
    const { g, item } = one(family, thing);
    expect(placeOf(g, item)).toBe(place);
  });
  test('grain stands in its water: level in the pot, or in the bowl of its own', () => {
    const grain = (dish: Dish): string => placeOf(gather(dish), gather(dish).grain!);
    expect(grain(turkeyRice())).toBe('grain');
    expect(grain(demoDish('goat-curry-bowl-rice'))).toBe('inner-bowl');
    for (const place of ['rack', 'liquid'] as const)
      expect(() => grain(board('one-pot-grain', { food: 'rice-long', place }))).toThrow(/cannot lie on a/);
    expect(() => one('one-pot-grain', { food: 'carrot', place: 'inner-bowl' }).g).not.toThrow();
    const { g, item } = one('one-pot-grain', { food: 'carrot', place: 'inner-bowl' });
    expect(() => placeOf(g, item)).toThrow(/pot-in-pot/);
  });
});

describe('the pan', () => {
  const fry = (dish: Dish) => fryPlan(gather(dish), pot);
  const full = board(
    'one-pot-grain',
    { food: 'garlic', amount: { value: 8, unit: 'g' } },
    { food: 'wine-white' },
    { food: 'onion' },
    { food: 'spice-ground', amount: { value: 5, unit: 'g' } },
    { food: 'celery' },
    { food: 'chicken-thigh', prep: { thicknessMm: 25 } },
    { food: 'beef-ground' },
    { food: 'oil-olive', amount: { value: 2, unit: 'tbsp' } },
    { food: 'rice-long', prep: { coated: true } },
    { food: 'broth' },
  );
  const foods = (dish: Dish, ids: readonly string[]): string[] =>
    ids.map((id) => dish.ingredients.find((i) => i.id === id)!.food);

  test('fat, crumbs, pieces, vegetables, garlic, spice, grain, wine: each until what the cook sees', () => {
    const steps = fry(full);
    expect(
      foods(
        full,
        steps.map((s) => s.ingredient),
      ),
    ).toEqual([
      'oil-olive',
      'beef-ground',
      'chicken-thigh',
      'onion',
      'celery',
      'garlic',
      'spice-ground',
      'rice-long',
      'wine-white',
    ]);
    expect(steps.map((s) => s.until)).toEqual([
      'fat-hot',
      'crumbs-half-brown',
      'no-pink-outside',
      'translucent',
      'softened',
      'fragrant',
      'fragrant',
      'every-kernel-coated',
      'reduced',
    ]);
    // 200 g of thighs for colour: 3 min and 1.5 min a kilo on this plate.
    const stirred = (3 + 1.5 * 0.2) * (920 / (pot.powerW * pot.efficiency));
    expect(steps.map((s) => s.minutes)).toEqual([4, 4, stirred, 4, 3, 0.75, 0.5, 1.5, 0]);
    expect(steps.map((s) => s.order)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
    expect(steps.every((s) => s.trouble === undefined)).toBe(true);
    expect(fryMinutes(steps)).toBeCloseTo(17.75 + stirred + 1.5, 9);
    expect(fryMinutes([])).toBe(0);
  });
  test('vegetables share the pan: a minute each, the last its own three, mushrooms until their water is gone', () => {
    const steps = fry(
      board(
        'one-pot-grain',
        { food: 'mushroom' },
        { food: 'bell-pepper', joins: 'fry' },
        { food: 'carrot' },
        { food: 'onion' },
        { food: 'rice-long' },
      ),
    );
    expect(steps.map((s) => [s.ingredient, s.minutes, s.until])).toEqual([
      ['i3', 4, 'translucent'],
      ['i2', 1, 'stirred-through'],
      ['i1', 1, 'stirred-through'],
      ['i0', 4, 'water-gone'],
    ]);
  });
  test('a piece covers its mass over density and thickness; what is over 85 % of the base goes in batches', () => {
    const pieces = (grams: number, thicknessMm: number) =>
      fry(
        board(
          'one-pot-grain',
          { food: 'chicken-thigh', amount: { value: grams, unit: 'g' }, prep: { thicknessMm, brown: 'half' } },
          { food: 'rice-long' },
        ),
      )[0]!;
    const density = gather(full).items.find((i) => i.food.id === 'chicken-thigh')!.food.densityGPerMl[0];
    expect(pieces(400, 20).coverCm2).toBeCloseTo(400 / density / 2, 6);
    const fits = 0.85 * baseAreaCm2(pot) * density * 2;
    expect(pieces(fits - 5, 20).batches).toBeUndefined();
    const two = pieces(fits + 5, 20);
    expect([two.batches, two.minutes, two.takeOut, two.takeOutWhy]).toEqual([2, 10, true, 'base-is-needed']);
    // Stirred for colour alone they go in together.
    const stirred = fry(
      board('one-pot-grain', { food: 'chicken-thigh', g: fits + 5, prep: { thicknessMm: 20 } }, { food: 'rice-long' }),
    )[0]!;
    expect([stirred.batches, stirred.takeOut]).toEqual([undefined, false]);
    expect(two.coverCm2).toBeCloseTo((fits + 5) / density / 2 / 2, 6);
    expect(pieces(fits - 5, 20).takeOut).toBe(false);
  });
  test('bacon is tossed in a heap until its fat runs, in one go however much it covers', () => {
    const bacon = fry(board('risotto', { food: 'bacon', g: 150 }, { food: 'rice-arborio' }))[0]!;
    // Facts of the trade: 150 g in bits give their fat in 5 to 6 min.
    expect(bacon).toMatchObject({ until: 'fat-out', takeOut: false });
    expect(bacon.batches).toBeUndefined();
    expect(bacon.minutes).toBeGreaterThanOrEqual(5);
    expect(bacon.minutes).toBeLessThanOrEqual(6.5);
  });
  test('browned on purpose: each of two sides by its thickness, from 2 to 6 minutes', () => {
    const minutes = (thicknessMm: number): number =>
      fry(
        board(
          'one-pot-grain',
          { food: 'chicken-thigh', prep: { thicknessMm, state: 'browned' } },
          { food: 'rice-long' },
        ),
      )[0]!.minutes;
    expect([10, 24, 40, 60].map(minutes)).toEqual([4, 6, 10, 12]);
    const step = fry(
      board(
        'one-pot-grain',
        { food: 'chicken-thigh', prep: { thicknessMm: 24, state: 'browned' } },
        { food: 'rice-long' },
      ),
    )[0]!;
    expect([step.until, step.aim]).toEqual(['brown-half-through', 'half']);
    expect(fry(full).find((s) => s.until === 'no-pink-outside')!.aim).toBe('colour');
  });
  test('what lies on top later waits in a bowl', () => {
    const d = board('one-pot-grain', { food: 'leek', place: 'top' }, { food: 'onion' }, { food: 'rice-long' });
    expect(fry(d).map((s) => [s.takeOut, s.takeOutWhy ?? null])).toEqual([
      [true, 'lies-on-top'],
      [false, null],
    ]);
  });
  test('fat alone is no list', () => {
    expect(fry(board('one-pot-grain', { food: 'oil-olive' }, { food: 'rice-long' }))).toEqual([]);
  });
  test('on a rack it gets its colour from the pan: well browned first, unless it is said to be raw, frozen or cooked', () => {
    const rack = (prep = {}) =>
      fry(
        board('rack-over-grain', { food: 'chicken-thigh', prep: { thicknessMm: 24, ...prep } }, { food: 'rice-red' }),
      );
    expect(rack()[0]).toMatchObject({ until: 'well-browned', aim: 'brown', takeOut: true });
    expect(rack()[0]!.minutes).toBeCloseTo(6 * 1.4, 9);
    for (const state of ['raw', 'frozen', 'half-frozen', 'cooked'] as const) expect(rack({ state })).toEqual([]);
  });
  test('onions go in before mushrooms; a dried mushroom lies in the liquid, for it drinks [common practice]', () => {
    const d = board(
      'one-pot-grain',
      { food: 'mushroom' },
      { food: 'onion' },
      { food: 'oil-olive' },
      { food: 'mushroom-dried' },
      { food: 'rice-long' },
    );
    expect(fry(d).map((s) => s.ingredient)).toEqual(['i2', 'i1', 'i0']);
    const g = gather(d);
    expect(
      placeOf(
        g,
        g.items.find((i) => i.food.id === 'mushroom-dried')!,
      ),
    ).toBe('base');
  });
  test('eggs in a dish with fat are scrambled first, taken out, and come back at the end', () => {
    const d = board('one-pot-grain', { food: 'egg' }, { food: 'oil-olive' }, { food: 'onion' }, { food: 'rice-long' });
    const steps = fry(d);
    expect(steps.map((s) => s.until)).toEqual(['fat-hot', 'egg-set', 'translucent']);
    expect(steps[1]).toMatchObject({ takeOut: true, takeOutWhy: 'back-at-the-end' });
    expect(codesOf(d)).toContain('back');
    expect(heldBack(gather(d))).toEqual([{ ingredient: 'i0', until: 'finish', why: 'fried-and-back' }]);
    // In their shell, on a rack or without fat they are not.
    const whole = board(
      'one-pot-grain',
      { food: 'egg', prep: { shape: 'whole' } },
      { food: 'oil-olive' },
      { food: 'onion' },
      { food: 'rice-long' },
    );
    expect(fry(whole).map((s) => s.until)).toEqual(['fat-hot', 'translucent']);
  });
  test('what is fried and comes back: cooked through for the end, or on top before the lid', () => {
    const d = (back: 'finish' | 'top') =>
      board(
        'one-pot-grain',
        { food: 'chicken-breast', back, prep: { thicknessMm: 20 } },
        { food: 'oil-olive' },
        { food: 'rice-long' },
      );
    const [, end] = fry(d('finish'));
    expect(end).toMatchObject({ until: 'cooked-through', takeOutWhy: 'back-at-the-end' });
    expect(gather(d('finish')).items.find((i) => i.food.id === 'chicken-breast')!.joins).toBe('finish');
    expect(fry(d('top'))[1]).toMatchObject({ takeOutWhy: 'lies-on-top' });
    const top = gather(d('top'));
    expect(placeOf(top, itemOf(top, 'i0'))).toBe('top');
  });
  test('a cook’s own order is kept, and what it costs is said', () => {
    const d = (order: string[]): Dish => ({
      ...board(
        'one-pot-grain',
        { food: 'oil-olive' },
        { food: 'chicken-thigh' },
        { food: 'onion' },
        { food: 'garlic' },
        { food: 'rice-long' },
      ),
      overrides: { fryOrder: order },
    });
    const trouble = (order: string[]) => fry(d(order)).map((s) => [s.ingredient, s.trouble ?? null]);
    expect(trouble(['i0', 'i2', 'i1', 'i3'])).toEqual([
      ['i0', null],
      ['i2', null],
      ['i1', 'steams'],
      ['i3', null],
    ]);
    expect(trouble(['i0', 'i3', 'i1', 'i2'])[1]).toEqual(['i3', 'burns']);
    expect(trouble(['i1', 'i0', 'i2', 'i3'])[0]).toEqual(['i1', 'sticks']);
    // What the cook did not name follows in the planner's order.
    expect(trouble(['i0']).map(([id]) => id)).toEqual(['i0', 'i1', 'i2', 'i3']);
    expect(trouble(['i0', 'i1', 'i3', 'i2'])[2]).toEqual(['i3', 'burns']);
  });
});

describe('after the pin', () => {
  const codes = codesOf;
  test('crumbs and thin slices are measured in the middle of the pot; one piece that can be probed is the thickest', () => {
    const codes = (...meat: Thing[]): string[] => {
      const p = plan(board('one-pot-grain', { food: 'rice-long' }, ...meat), hut);
      return [...p.finish.map((f) => f.code), ...p.warnings.map((w) => w.code)];
    };
    const bacon: Thing = { food: 'bacon', g: 60 };
    expect(codes(bacon)).toEqual(expect.arrayContaining(['check-pot', 'thermometer-pot']));
    expect(codes({ food: 'beef-ground', g: 300 })).toContain('check-pot');
    const both = codes(bacon, { food: 'chicken-thigh', g: 300 });
    expect(both).toEqual(expect.arrayContaining(['check', 'thermometer']));
    expect(both).not.toContain('check-pot');
  });
  test('open, thermometer, what cooks on the heat left, what only melts, herbs, crisp things, then rest and fork', () => {
    const d = board(
      'one-pot-grain',
      { food: 'rice-long' },
      { food: 'herb-fresh' },
      { food: 'cheese-hard' },
      { food: 'spinach' },
      { food: 'starch' },
      { food: 'nuts' },
      { food: 'chicken-thigh' },
    );
    expect(codes(d)).toEqual(['open', 'check', 'stir-in', 'slurry', 'dairy', 'herbs', 'rest', 'fork', 'scatter']);
    expect(codes(d, { measured: null })).not.toContain('check');
    expect(finishOf(d).map((f) => f.order)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
    expect(codes(d, { bigBatch: true })).toContain('wide-dish');
    const by = Object.fromEntries(finishOf(d).map((f) => [f.code, f]));
    expect(foodsOf(d, by['stir-in']!.ingredients)).toEqual(['spinach']);
    expect(foodsOf(d, by['scatter']!.ingredients)).toEqual(['nuts']);
    expect(foodsOf(d, by['dairy']!.ingredients)).toEqual(['cheese-hard']);
    expect(foodsOf(d, by['herbs']!.ingredients)).toEqual(['herb-fresh']);
    expect([by['rest']!.minutes, by['fork']!.minutes]).toEqual([4, 1]);
    // Strong heat only where a crust belongs.
    const baked = board('casserole', { food: 'rice-long' }, { food: 'beef-stew' }, { food: 'breadcrumbs' });
    expect(finishOf(baked).find((f) => f.code === 'topping')).toMatchObject({ minutes: 10, ingredients: ['i2'] });
    // Leaves and herbs only burn there: they are strewn over.
    const green = board('casserole', { food: 'beef-stew' }, { food: 'herb-fresh', joins: 'topping' });
    expect(codes(green)).toContain('scatter');
    expect(codes(green)).not.toContain('topping');
  });
  const foodsOf = (d: Dish, ids: readonly string[]): string[] =>
    ids.map((id) => d.ingredients.find((i) => i.id === id)!.food);
  test('frozen peas need longer than leaves, florets heat; raw seafood at least its four minutes and a thermometer', () => {
    const stir = (food: string) => finishOf(board('one-pot-grain', { food: 'rice-long' }, { food, g: 60 }))[2]!;
    expect([stir('peas-frozen').minutes, stir('mixed-frozen').minutes, stir('spinach').minutes]).toEqual([5, 5, 1.5]);
    expect(stir('broccoli')).toMatchObject({ code: 'florets', minutes: 4.5, heat: 'saute', lidOn: true });
    const both = board(
      'one-pot-grain',
      { food: 'rice-long' },
      { food: 'spinach', g: 20 },
      { food: 'peas-frozen', g: 20 },
    );
    expect(finishOf(both)[2]).toMatchObject({ minutes: 5 });
    const shrimp = finishOf(board('one-pot-grain', { food: 'rice-long' }, { food: 'shrimp', joins: 'finish' }));
    const raw = shrimp.find((f) => f.code === 'seafood')!;
    expect(raw.minutes).toBeGreaterThanOrEqual(4);
    expect(raw).toMatchObject({ heat: 'saute', minimumC: 63, ingredients: ['i1'] });
    expect(shrimp.find((f) => f.code === 'check-finish')).toMatchObject({ minimumC: 63, ingredients: ['i1'] });
    // A pot with more hot food than shrimp cooks them by itself: stirring over heat would break the grain.
    const many = board(
      'one-pot-grain',
      { food: 'rice-long' },
      { food: 'chicken-thigh', g: 900 },
      { food: 'shrimp', g: 60, joins: 'finish' },
    );
    const rested = finishOf(many).find((f) => f.code === 'seafood')!;
    expect(rested).toMatchObject({ heat: 'keep-warm', lidOn: true, minimumC: 63 });
    expect(rested.tempC!).toBeGreaterThan(67);
    expect(rested.minutes!).toBeLessThanOrEqual(10);
    const warm = finishOf(
      board('one-pot-grain', { food: 'rice-long' }, { food: 'shrimp', joins: 'finish', prep: { state: 'cooked' } }),
    ).find((f) => f.code === 'seafood-cooked')!;
    expect(warm.minutes).toBeLessThan(raw.minutes!);
  });
  test('the mixture has a temperature after each addition, and what went cold is kept warm under the lid', () => {
    const d = (g: number) =>
      board('casserole', { food: 'rice-long' }, { food: 'beef-stew' }, { food: 'mixed-frozen', g });
    const at = (g: number) => finishOf(d(g)).find((f) => f.code === 'stir-in')!.tempC!;
    expect(at(100)).toBeGreaterThan(at(300) + 8);
    expect(finishOf(d(60)).map((f) => f.code)).not.toContain('warm');
    const steps = finishOf(d(700));
    expect(steps.find((f) => f.code === 'stir-in')!.tempC!).toBeLessThan(63);
    const warm = steps.find((f) => f.code === 'warm')!;
    expect(['keep-warm', 'saute']).toContain(warm.heat);
    expect(warm.minutes!).toBeGreaterThan(2);
    expect(warm.tempC!).toBeGreaterThanOrEqual(63);
  });
  test('raw meat at the end is a stop, an egg is brought to its minimum, leftovers are heated again', () => {
    const raw = plan(board('one-pot-grain', { food: 'rice-long' }, { food: 'chicken-breast', joins: 'finish' }), hut);
    expect(raw.warnings[0]).toMatchObject({ code: 'raw-at-finish', severity: 'stop' });
    expect(raw.proposals[0]).toMatchObject({ code: 'under-the-lid', stops: 0 });
    const egg = finishOf(board('one-pot-pasta', { food: 'penne' }, { food: 'egg', joins: 'finish' }));
    expect(egg.find((f) => f.code === 'egg-raw')).toMatchObject({ minimumC: 71 });
    const again = finishOf(board('one-pot-pasta', { food: 'penne' }, { food: 'chicken-cooked', joins: 'finish' }));
    expect(again.find((f) => f.code === 'reheat')).toMatchObject({ minimumC: 74, heat: 'saute' });
  });
  test('risotto simmers and is served; pasta stands; soup and roots are served at once', () => {
    expect(codes(demoDish('guinea-fowl-mushroom-risotto')).slice(0, 3)).toEqual(['open', 'check', 'simmer']);
    expect(codes(demoDish('guinea-fowl-mushroom-risotto')).at(-1)).toBe('serve');
    expect(codes(demoDish('pork-fennel-bean-rigatoni')).at(-1)).toBe('stand');
    expect(codes(demoDish('rabbit-mustard-orzo-soup')).at(-1)).toBe('serve');
    expect(codes(demoDish('small-potatoes-rack'), { measured: null })).toEqual(
      expect.arrayContaining(['open', 'serve']),
    );
    expect(codes(plainRice(), { measured: null })).toEqual(['open', 'rest', 'fork']);
  });
  test('why each thing waits', () => {
    const why = (thing: Thing): string =>
      heldBack(gather(board('one-pot-grain', { food: 'rice-long' }, thing)))[0]!.why;
    expect(
      [
        { food: 'cream-sour' },
        { food: 'lemon-juice' },
        { food: 'nuts' },
        { food: 'cheese-hard' },
        { food: 'spinach' },
        { food: 'leek', joins: 'finish' as const },
      ].map(why),
    ).toEqual([
      'curdles-under-pressure',
      'acid-at-the-end',
      'stays-crisp',
      'melts-after-pressure',
      'gone-in-minutes',
      'you-decided',
    ]);
    const d = board('one-pot-grain', { food: 'rice-long' }, { food: 'nuts' }, { food: 'spinach' });
    expect(heldBack(gather(d)).map((h) => h.until)).toEqual(['topping', 'finish']);
  });
  test.each([...demo.keys()])('%s: everything on the board is used once, and nothing is left over', (id) => {
    const dish = demoDish(id);
    const p = plan(dish, hut);
    const used = [
      ...p.stack.map((l) => l.ingredient),
      ...p.finish.flatMap((f) => f.ingredients),
      ...p.fry.map((f) => f.ingredient),
    ];
    const seasonings = gather(dish).items.filter((i) => i.food.kind === 'seasoning' || i.food.kind === 'fat');
    const missing = dish.ingredients.filter(
      (i) => !used.includes(i.id) && !seasonings.some((s) => s.ingredient.id === i.id),
    );
    expect(missing.map((i) => i.id)).toEqual([]);
    const twice = p.finish.flatMap((f) => f.ingredients).filter((x) => p.stack.some((l) => l.ingredient === x));
    expect(twice).toEqual([]);
  });
});
