import type { FryStep } from '../src/plan/document/steps';
import { gather } from '../src/plan/gather/gather';
import { type Gathered } from '../src/plan/gather/item';
import { panRun, reducedG, withPan } from '../src/plan/setup/pan';
import { openFor } from '../src/pot/open';
import { pots } from '../src/pot/profile';
import { board, type Thing } from './helpers/board';

/* The pan second by second: what heat and water must add up to, whatever the constants are. */
const pot = pots.find((p) => p.id === 'electric-5.7')!;
const of = (...things: Thing[]): Gathered =>
  gather(board('one-pot-grain', ...things, { food: 'rice-long' }, { food: 'broth' }));
const step = (ingredient: string, minutes: number, more: Partial<FryStep> = {}): FryStep =>
  ({ ingredient, minutes, until: 'translucent', takeOut: false, ...more }) as FryStep;
const run = (g: Gathered, ...fry: FryStep[]) => panRun(g, pot, 0, fry);
const grams = (g: Gathered, id: string) => g.items.find((i) => i.ingredient.id === id)!;

test('food goes in as cold as it is kept, meat from the fridge: the mixture of the first moment by hand', () => {
  for (const [food, fromC] of [
    ['chicken-thigh', 4],
    ['onion', 20],
  ] as const) {
    const g = of({ food, g: 300 });
    const { food: f } = grams(g, food);
    const heat = 0.3 * 1000 * f.cpKjPerKgK[0];
    const mixed = (pot.wallJPerK * pot.roomC + heat * fromC) / (pot.wallJPerK + heat);
    expect(run(g, step(food, 0)).steps).toEqual([
      { ingredient: food, foodC: expect.closeTo(mixed, 9), baseC: pot.roomC, evaporatedG: 0 },
    ]);
  }
});
test('the plate of the first step is that of the open pot on its fire for so many seconds', () => {
  const g = of({ food: 'onion', g: 200 });
  const { food } = grams(g, 'onion');
  const heat = 0.2 * 1000 * food.cpKjPerKgK[0];
  const from = {
    tempC: (pot.wallJPerK * pot.roomC + heat * 20) / (pot.wallJPerK + heat),
    baseC: pot.roomC,
    heatJPerK: pot.wallJPerK + heat,
    evaporatedKg: 0,
    waterKg: 0.2 * food.water[0],
  };
  const after = openFor({ pot, altitudeM: 0 }, from, 240, 'saute');
  const [s] = run(g, step('onion', 4)).steps;
  expect([s!.foodC, s!.baseC]).toEqual([expect.closeTo(after.tempC, 9), expect.closeTo(after.baseC, 9)]);
  expect(s!.evaporatedG).toBeCloseTo(1000 * after.evaporatedKg, 9);
  expect(s!.evaporatedG).toBeGreaterThan(1);
});
test('two batches are the two halves one after the other', () => {
  const whole = of({ food: 'onion', g: 400 });
  const halves = of({ food: 'onion', g: 200 }, { food: 'onion', g: 200, id: 'more', prep: { shape: 'strip' } });
  const batches = run(whole, step('onion', 10, { batches: 2 }));
  const apart = run(halves, step('onion', 5), step('more', 5));
  expect(batches.foodC).toBeCloseTo(apart.foodC, 9);
  expect(batches.steps[0]!.evaporatedG).toBeCloseTo(apart.steps[0]!.evaporatedG + apart.steps[1]!.evaporatedG, 9);
});
test('what is taken out takes its heat and what is left of its water along', () => {
  const g = of({ food: 'chicken-thigh', g: 600 }, { food: 'onion', g: 150 });
  const out = run(g, step('chicken-thigh', 6, { takeOut: true }), step('onion', 3));
  const stays = run(g, step('chicken-thigh', 6), step('onion', 3));
  expect(out.steps[0]!.foodC).toBeCloseTo(stays.steps[0]!.foodC, 9);
  // The same deglazing liquid cools the emptier pan more.
  expect(out.steps[1]!.foodC - out.foodC).toBeGreaterThan(stays.steps[1]!.foodC - stays.foodC);
  // Nothing boils off twice: the onions' step can lose no more than the onions hold, with a dry pan before them.
  expect(out.steps[1]!.evaporatedG).toBeLessThanOrEqual(150 * grams(g, 'onion').food.water[0] + 1e-6);
});
test('a dry pan goes over the boil, a wet one never', () => {
  const g = of({ food: 'onion', g: 300 });
  expect(run(g, step('onion', 4)).steps[0]!.foodC).toBeLessThanOrEqual(100.2);
  const dry = run(g, step('onion', 40)).steps[0]!;
  expect(dry.evaporatedG).toBeCloseTo(300 * grams(g, 'onion').food.water[0], 0);
  expect(dry.foodC).toBeGreaterThan(101);
});
describe('wine', () => {
  const onion: Thing = { food: 'onion', g: 150 };
  const wine = (g: number): Thing => ({ food: 'wine-white', g });
  const fry = [step('onion', 4), step('wine-white', 0, { until: 'reduced' })];
  test('is boiled down to half in quarters of a minute, more of it for longer', () => {
    const g = of(onion, wine(150));
    expect(reducedG(grams(g, 'wine-white'))).toBe(75);
    const less = run(g, ...fry);
    const more = run(of(onion, wine(250)), ...fry);
    expect(less.steps.map((s) => s.ingredient)).toEqual(['onion']);
    expect([(less.reduceMin * 4) % 1, less.reduceMin > 0]).toEqual([0, true]);
    expect(more.reduceMin).toBeGreaterThan(less.reduceMin);
    // Half of it, and what the scraping boils off besides; the last quarter of a minute may go over.
    expect(less.reducedG).toBeGreaterThanOrEqual(75);
    expect(less.reducedG).toBeLessThan(75 + 30);
    expect(more.reducedG - less.reducedG).toBeGreaterThan(30);
  });
  test('a reduction that never ends is stopped after twelve minutes', () => {
    expect(run(of(onion, wine(4000)), ...fry).reduceMin).toBe(12);
  });
  test('without it nothing is reduced, and the deglazing liquid cools the plate', () => {
    const g = of(onion);
    const plain = run(g, step('onion', 4));
    expect(plain.reduceMin).toBe(0);
    expect(plain.reducedG).toBeLessThan(20);
    expect(plain.baseC).toBeLessThan(plain.steps[0]!.baseC - 20);
    expect(plain.foodC).toBeLessThan(100);
  });
});
test('the steps are told their temperatures, and the wine its minutes', () => {
  const g = of({ food: 'onion' }, { food: 'carrot' }, { food: 'wine-white' });
  const fry = [step('onion', 4), step('carrot', 3), step('wine-white', 0, { until: 'reduced' }), step('nobody', 1)];
  const pan = panRun(g, pot, 0, fry.slice(0, 3));
  const told = withPan(fry, pan);
  expect(told.map((f) => f.minutes)).toEqual([4, 3, pan.reduceMin, 1]);
  expect(told[0]).toMatchObject({ foodC: pan.steps[0]!.foodC, evaporatedG: pan.steps[0]!.evaporatedG });
  expect(told[1]).toMatchObject({ baseC: pan.steps[1]!.baseC });
  expect(told[2]!.foodC).toBeUndefined();
  expect(told[3]).toEqual(fry[3]);
});
