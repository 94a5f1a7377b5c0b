import type { Dish } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { rate } from '../src/grain/rate';
import { afterPlan, isBigBatch } from '../src/plan/write/after';
import { setUp } from '../src/plan/setup/setup';
import { sharesWater } from '../src/plan/gather/item';
import { slurryFor } from '../src/plan/write/leftovers';
import type { GrainOutcome } from '../src/plan/simulate/outcome';
import { evaporationKgPerS } from '../src/pot/open';
import { baseAreaCm2, pots } from '../src/pot/profile';
import { board, type Thing } from './helpers/board';
import { demoDish } from './helpers/demo';
import { hut, seaLevel } from './helpers/dishes';

/* What comes after the lid, each number by hand. */
const rice: Thing = { food: 'rice-long', g: 500 };
const plainly = (...things: Thing[]): Dish => board('one-pot-grain', rice, { food: 'water', g: 600 }, ...things);
const out = (upG: number, freeG = 40, equivalentMin = 9): GrainOutcome =>
  ({ upG, clock: { freeG, moisture: 0.6, equivalentMin } }) as GrainOutcome;
const after = (dish: Dish, o: GrainOutcome | null, addMl = 600, kitchen = seaLevel) =>
  afterPlan(setUp(dish, kitchen), o, addMl);

describe('a large batch', () => {
  const big = (dish: Dish, o: GrainOutcome | null): boolean => isBigBatch(setUp(dish, seaLevel).g, o);
  test('is separate grain over 1.2 kg cooked', () => {
    expect([big(plainly(), out(700)), big(plainly(), out(701))]).toEqual([false, true]);
    expect(big(plainly(), null)).toBe(false);
  });
  test('a risotto is served at once, pasta stands, and a stew has no grain to soften', () => {
    expect(big(board('risotto', { food: 'rice-arborio', g: 900 }, { food: 'broth' }), out(2000))).toBe(false);
    expect(big(board('one-pot-pasta', { food: 'penne', g: 900 }, { food: 'broth' }), out(2000))).toBe(false);
    expect(big(board('casserole', { food: 'beef-stew', g: 2000 }, { food: 'broth' }), out(2000))).toBe(false);
  });
  test('softens in five minutes by three points for every factor e of its equivalent minutes, less spread out', () => {
    const { drift } = after(plainly(), out(900));
    const { kinetics } = findFood('rice-long').grain!;
    expect(drift!.minutes).toBe(5);
    expect(drift!.closedPoints).toBeCloseTo(3 * Math.log((9 + 5 * rate(kinetics, 96)) / 9), 9);
    expect(drift!.spreadPoints).toBeGreaterThan(0);
    expect(drift!.spreadPoints).toBeLessThan(drift!.closedPoints);
    expect(after(plainly(), out(100)).drift).toBeNull();
    expect(after(plainly(), null).drift).toBeNull();
  });
});

describe('a thin sauce', () => {
  test('from 20 g on it is told how to bind it: by starch, by simmering, by standing', () => {
    expect(after(plainly(), out(700, 19.9)).thicken).toBeNull();
    const t = after(plainly(), out(700, 20)).thicken!;
    expect([t.freeG, t.standMin]).toEqual([20, 5]);
    expect(t.simmerGPerMin).toBeCloseTo(60_000 * evaporationKgPerS(95, 0), 9);
    expect(t).toMatchObject(slurryFor(20));
    // More than there is cannot be drunk.
    expect(t.standDrinksG).toBeLessThanOrEqual(20);
    const lots = after(plainly(), out(700, 500)).thicken!;
    expect(lots.standDrinksG).toBeGreaterThan(0);
    expect(lots.standDrinksG).toBeLessThan(500);
  });
  test('without a starch all the liquid is thin and nothing drinks it', () => {
    const stew = board('casserole', { food: 'beef-stew', g: 800 }, { food: 'broth', g: 300 });
    expect(after(stew, null, 300).thicken).toMatchObject({ freeG: 300, standDrinksG: 0 });
  });
});

describe('keeping', () => {
  test('everything on the board and what was poured, but the liquid to set only once', () => {
    const { keep } = after(plainly({ food: 'carrot', g: 150 }), out(700), 580);
    expect(keep.massG).toBeCloseTo(500 + 150 + 580, 9);
    expect(keep.areaCm2).toBeCloseTo(keep.massG / 0.95 / (keep.depthMm / 10), 9);
    expect([keep.reheatC, keep.freezePortions]).toEqual([74, 2]);
    expect(after({ ...plainly(), serves: 5 }, out(700)).keep.freezePortions).toBe(2);
    expect(after({ ...plainly(), serves: 6 }, out(700)).keep.freezePortions).toBe(3);
  });
  test('of rice in a bowl only the bowl', () => {
    const dish = demoDish('goat-curry-bowl-rice');
    const { g } = setUp(dish, hut);
    const bowl = g.items.filter((i) => sharesWater(g, i) && !i.main).reduce((s, i) => s + i.grams, 0);
    expect(after(dish, out(300), 250, hut).keep.massG).toBeCloseTo(bowl + 250, 6);
  });
});

test('a crust goes by the mouth of the pot, and only on a bake with a topping: nuts on plain rice are scattered', () => {
  const pot = pots.find((p) => p.id === seaLevel.potId)!;
  const bake = board('casserole', { food: 'rice-long', g: 300 }, { food: 'breadcrumbs', g: 60 }, { food: 'broth' });
  expect(after(bake, out(700)).crust!.areaCm2).toBeCloseTo(baseAreaCm2(pot), 9);
  expect(after(plainly({ food: 'nuts' }), out(700)).crust).toBeNull();
  expect(after(plainly(), out(700)).crust).toBeNull();
});
