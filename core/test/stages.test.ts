import type { Dish } from '../src/dish/schema';
import { setUp, type Setup } from '../src/plan/setup/setup';
import { juiceLeft, type Item } from '../src/plan/gather/item';
import { isTenderAim } from '../src/plan/gather/pieces';
import { runMeats } from '../src/plan/simulate/meat';
import { heat } from '../src/plan/simulate/heated';
import { setupOfPlan, betweenMin, firstStage, withFirst, type Then } from '../src/plan/simulate/stages';
import { pots } from '../src/pot/profile';
import { board, type Thing } from './helpers/board';
import { hut, seaLevel } from './helpers/dishes';

/* What cooks under its own pressure first: what is in it, how much liquid, how long, and what it leaves behind. */
const lamb: Thing = { food: 'lamb-leg', g: 700, joins: 'stack', prep: { thicknessMm: 30, shape: 'cube' } };
const biryani = (...more: Thing[]): Dish =>
  board(
    'biryani',
    lamb,
    { food: 'onion', g: 150 },
    ...more,
    { food: 'rice-basmati', g: 350 },
    { food: 'water', g: 600 },
  );
const stage = (
  dish: Dish,
  x: { laterHoldMin?: number; addMl?: number; fixed?: number; potId?: string; tough?: string[] } = {},
) => {
  const setup = setUp(dish, { ...hut, potId: x.potId ?? hut.potId });
  const tough = setup.g.items.filter((i) => (x.tough ?? ['lamb-leg']).includes(i.ingredient.id));
  const addMl = x.addMl ?? 500;
  const fixed = x.fixed === undefined ? undefined : { holdMin: x.fixed };
  return {
    b: setup,
    first: firstStage(setup, tough, { addMl, then: secondLid(setup, tough, addMl, x.laterHoldMin) }, fixed),
  };
};
/** The second lid with so long a hold, let off at once; null where nothing is said to follow. */
const secondLid = (setup: Setup, tough: Item[], addMl: number, holdMin?: number): Then | null => {
  if (holdMin === undefined) return null;
  const h = heat(withFirst(setup, firstStage(setup, tough, { addMl }, { holdMin: 12 })), { addMl, pressure: 'high' });
  return { run: h.heated.finish(holdMin, { kind: 'quick' }), depthCm: h.depthCm };
};

describe('what is in it', () => {
  // Common practice: what is cooked already only dries in a stage that is not for it.
  test('ready sausage and cooked chicken wait for the grain; raw pieces at the base go along', () => {
    const { first } = stage(
      biryani(
        { food: 'chicken-cooked', place: 'base' },
        { food: 'sausage-smoked', place: 'base', prep: { state: 'cooked' } },
        { food: 'chicken-thigh', place: 'base' },
      ),
    );
    expect(first.items).not.toContain('chicken-cooked');
    expect(first.items).not.toContain('sausage-smoked');
    expect(first.items).toContain('chicken-thigh');
  });
  test('the slow meat, what lies at the base, and the liquid; no starch, nothing that lies on top or waits', () => {
    const dish = biryani(
      { food: 'zucchini' },
      { food: 'spinach' },
      { food: 'nuts' },
      { food: 'soy-sauce', g: 20 },
      { food: 'okra', joins: 'stack', place: 'base' },
    );
    const { first, b: setup } = stage(dish);
    const delicate = setup.g.items.filter((i) => i.food.flags.includes('delicate')).map((i) => i.ingredient.id);
    expect([...first.items].sort()).toEqual(
      ['lamb-leg', 'onion', 'soy-sauce', 'water', ...(delicate.includes('okra') ? [] : ['okra'])].sort(),
    );
    expect(first.slow).toEqual(['lamb-leg']);
  });
  test('slow meat that lies high goes in all the same', () => {
    expect([...stage(biryani()).first.items]).toContain('lamb-leg');
    const high = board('biryani', { ...lamb, place: 'top' }, { food: 'rice-basmati' }, { food: 'water' });
    expect([...stage(high).first.items]).toContain('lamb-leg');
  });
});

describe('its liquid', () => {
  const minimumMl = pots.find((p) => p.id === hut.potId)!.minimumLiquidMl[0];
  test('what the pot needs to make steam, less what runs to the base from its things, and what the pan boiled off', () => {
    const { first, b: setup } = stage(biryani());
    const free = setup.g.items
      .filter((i) => first.items.has(i.ingredient.id) && !i.main)
      .reduce((s, i) => s + i.grams * i.food.thin[0], 0);
    // The minimum is met within 3 %, however little the starch would like.
    expect(setup.src.reducedG).toBeGreaterThan(0);
    expect(first.liquidMl).toBeCloseTo(0.97 * minimumMl - free + setup.src.reducedG, 9);
    expect(stage(biryani(), { addMl: 50 }).first.liquidMl).toBe(first.liquidMl);
    const wet = stage(biryani({ food: 'tomato-sauce', g: 900, joins: 'stack', place: 'base' }));
    expect(wet.first.liquidMl).toBeLessThan(first.liquidMl);
  });
  test('a soup is boiled whole', () => {
    const soup = board('noodle-soup', lamb, { food: 'noodles-short' }, { food: 'broth', g: 1500 });
    expect(stage(soup, { addMl: 1400 }).first.liquidMl).toBe(1400);
  });
});

describe('its minutes', () => {
  test('whole minutes, the fewest that make the meat tender; less where the second stage adds to it, more when thicker', () => {
    const own = stage(biryani()).first.holdMin;
    expect(own).toBe(Math.round(own));
    expect(own).toBeGreaterThan(5);
    const helped = stage(biryani(), { laterHoldMin: 6 }).first.holdMin;
    expect(helped).toBeLessThan(own - 3);
    expect(stage(biryani(), { laterHoldMin: 12 }).first.holdMin).toBeLessThan(helped);
    const thick = board('biryani', { ...lamb, prep: { thicknessMm: 45 } }, { food: 'rice-basmati' }, { food: 'water' });
    expect(stage(thick).first.holdMin).toBeGreaterThan(own);
  });
  test('both lids together are just enough: a minute less of the first leaves the meat tough or under its minimum', () => {
    const { b: setup, first } = stage(biryani(), { laterHoldMin: 5 });
    const then = secondLid(
      setup,
      [...setup.g.items].filter((i) => i.ingredient.id === 'lamb-leg'),
      500,
      5,
    )!;
    const after = (holdMin: number) => {
      const again = firstStage(setup, [], { addMl: 500 }, { holdMin });
      const g = { ...setup.g, items: setup.g.items.filter((i) => first.slow.includes(i.ingredient.id)) };
      const earlier = {
        ...first.earlier,
        tempC: new Map(g.items.map((i) => [i.ingredient.id, again.earlier.tempC.values().next().value!])),
      };
      return runMeats(g, then.run, { depthCm: then.depthCm, earlier })[0]!;
    };
    const enough = after(first.holdMin);
    expect(enough.verdict.ok && isTenderAim(enough.item, enough.nominal.collagenCoreMin)).toBe(true);
    expect(isTenderAim(enough.item, after(first.holdMin - 1).nominal.collagenCoreMin)).toBe(false);
  });
  test('safe comes before tender: drumsticks that nothing has to soften are still held until they are done', () => {
    const sticks = (mm: number): Dish =>
      board(
        'biryani',
        { food: 'chicken-drumstick', g: 900, prep: { thicknessMm: mm } },
        { food: 'rice-basmati' },
        { food: 'water' },
      );
    const of = (mm: number): number =>
      stage(sticks(mm), { tough: ['chicken-drumstick'], laterHoldMin: 2 }).first.holdMin;
    expect(of(40)).toBeGreaterThan(1);
    expect(of(55)).toBeGreaterThan(of(40));
    // Common practice: eight to fifteen minutes of their own before the rice joins them, not twenty.
    expect(of(45)).toBeGreaterThanOrEqual(8);
    expect(of(45)).toBeLessThanOrEqual(15);
  });
  test('of two slow meats the slower one decides', () => {
    const both = biryani({ ...lamb, id: 'goat', food: 'goat-leg' });
    const of = (...tough: string[]) => stage(both, { tough }).first.holdMin;
    expect(of('lamb-leg', 'goat')).toBe(of('goat'));
    expect(of('goat')).toBeGreaterThan(of('lamb-leg'));
  });
  test('meat that has no collagen to soften wants only to be done', () => {
    const breast = biryani({ food: 'chicken-breast', joins: 'stack', prep: { thicknessMm: 20 } });
    expect(stage(breast, { tough: ['chicken-breast'] }).first.holdMin).toBeLessThan(stage(biryani()).first.holdMin);
  });
  test('a hold that is given is taken as it is', () => {
    expect([7.5, 33].map((fixed) => stage(biryani(), { fixed }).first.holdMin)).toEqual([7.5, 33]);
  });
  test('a cooker with programs runs the shortest high one that is long enough, a whistle cooker whole whistles', () => {
    const fixed = pots.find((p) => p.programs)!;
    const own = stage(biryani(), { potId: fixed.id });
    const high = fixed.programs!.filter((p) => p.pressure === 'high').map((p) => p.holdMin);
    expect(high).toContain(own.first.holdMin);
    const shorter = Math.max(...high.filter((x) => x < own.first.holdMin));
    const atShorter = stage(biryani(), { potId: fixed.id, fixed: shorter }).first;
    expect(atShorter.holdMin).toBe(shorter);
    expect(stage(biryani(), { potId: fixed.id, laterHoldMin: 40 }).first.holdMin).toBe(Math.min(...high));
    const whistled = stage(biryani(), { potId: 'whistle-5' }).first;
    expect(whistled.whistles).toBeGreaterThanOrEqual(1);
    expect(stage(biryani(), { potId: 'whistle-5', laterHoldMin: 40 }).first.whistles).toBeGreaterThanOrEqual(1);
  });
});

describe('what it leaves', () => {
  const { first, b: setup } = stage(biryani());
  test('the way to the pin, to pressure, and the quick release, min; three minutes between the lids at 92 degC', () => {
    expect(first.pinUpMin).toBeGreaterThan(1);
    expect(first.minutesToPressure).toBeGreaterThanOrEqual(first.pinUpMin);
    expect(first.minutesToPressure).toBeLessThan(30);
    expect(first.ventMin).toBeGreaterThan(0.2);
    expect(first.ventMin).toBeLessThan(6);
    const tempC = [...first.earlier.tempC.values()][0]!;
    const wholeS = 60 * (first.minutesToPressure + first.holdMin + first.ventMin + betweenMin);
    expect(Math.abs(tempC.length - wholeS)).toBeLessThan(5);
    expect([...tempC.slice(-60 * betweenMin)].every((c) => c === 92)).toBe(true);
    expect(tempC.at(-60 * betweenMin - 1)).toBeGreaterThan(92);
    expect(new Set(first.earlier.tempC.keys())).toEqual(first.items);
  });
  test('thin gravy: its liquid and the juice of its things, less steam, less what a pan took and what stays as a film', () => {
    const juice = setup.g.items
      .filter((i) => first.items.has(i.ingredient.id) && !i.main)
      .reduce((s, i) => s + i.grams * (i.food.free[0] + i.food.released[0] * juiceLeft[i.state]), 0);
    const { mainWaterPerMl, reducedG, filmG } = setup.src;
    expect(first.gravyG).toBeCloseTo(first.liquidMl * mainWaterPerMl + juice - reducedG - filmG - first.steamG, 6);
    expect(first.steamG).toBeGreaterThan(5);
    expect(first.gravyG).toBeGreaterThan(100);
  });
  test('gravy that the cook measured takes the place of the predicted one', () => {
    expect(withFirst(setup, first).src).toBe(setup.src);
    const measured = setUp({ ...biryani(), overrides: { gravyMl: 420 } }, hut);
    const with420 = withFirst(measured, first);
    expect(with420.src.gravyG).toBeCloseTo(420 - first.gravyG, 9);
    expect(with420.first).toBe(first);
  });
  test('a plan that stands gets its own first stage again, and one without gets none', () => {
    const chosen = { liquid: { addMl: 500 }, firstStage: { holdMin: first.holdMin, slow: ['lamb-leg'] } };
    const again = setupOfPlan(setUp(biryani(), hut), chosen).first!;
    expect(again.holdMin).toBe(first.holdMin);
    expect(again.slow).toEqual(['lamb-leg']);
    expect([...again.earlier.tempC]).toEqual([...first.earlier.tempC]);
    const plain = setUp(biryani(), seaLevel);
    expect(setupOfPlan(plain, { ...chosen, firstStage: null })).toBe(plain);
  });
});
