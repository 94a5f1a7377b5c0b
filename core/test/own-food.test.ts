import * as fc from 'fast-check';
import { foods, findFood } from '../src/food/find';
import { ownFoodId, ownFoodSchema, recordOf, type OwnFood } from '../src/food/own-food';
import { plan } from '../src/plan/plan';
import { readLine } from '../src/recipe/line/line';
import { readRecipe } from '../src/recipe/reading';
import { card } from '../src/share/card';
import { board } from './helpers/board';
import { seaLevel } from './helpers/dishes';

const smokedTofu: OwnFood = ownFoodSchema.parse({
  id: 'own-smoked-tofu',
  name: 'Smoked tofu',
  like: 'tofu',
  per100g: { energyKj: 740, proteinG: 16.7, fatG: 10.4, carbG: 1.2, fibreG: 1.5, saltG: 1.3 },
  pieceG: 200,
});
const of = (own: OwnFood) => recordOf({ food: own.id, ownFood: own });

test('water follows from the label by difference, salt and weights are the packet’s', () => {
  const food = of(smokedTofu);
  // 100 - 16.7 - 10.4 - 1.2 - 1.5 - 1.3, worked by hand.
  expect(food.water[0]).toBeCloseTo(0.689, 3);
  expect(food.saltPer100g).toEqual([1.3, 'P']);
  expect(food.pieceG).toEqual([200, 'P']);
  expect(food.flags).toEqual(findFood('tofu').flags);
});

test('a food of one’s own made from the numbers of a known one is that food, within what a label leaves out', () => {
  for (const food of foods.filter((f) => !f.meat && !f.plant)) {
    const own = ownFoodSchema.safeParse({
      id: 'own-same',
      name: 'Same',
      like: food.id,
      per100g: { waterG: 100 * food.water[0], saltG: food.saltPer100g[0] },
    });
    const same = of(own.data!);
    expect([food.id, same.water[0], same.free[0], same.thin[0]]).toEqual([
      food.id,
      expect.closeTo(food.water[0], 9),
      expect.closeTo(Math.min(food.free[0], food.water[0]), 9),
      expect.closeTo(Math.min(food.thin[0], food.water[0]), 9),
    ]);
    expect(same.cpKjPerKgK[0]).toBeCloseTo(food.cpKjPerKgK[0], 9);
  }
});

test('shares stay shares, whatever the label says', () => {
  const g = fc.double({ min: 0, max: 60, noNaN: true });
  fc.assert(
    fc.property(fc.constantFrom(...foods.map((f) => f.id)), g, g, g, g, (like, proteinG, fatG, carbG, saltG) => {
      const own = ownFoodSchema.safeParse({ id: 'own-x', name: 'X', like, per100g: { proteinG, fatG, carbG, saltG } });
      if (!own.success) return;
      const f = of(own.data);
      expect(f.free[0]).toBeLessThanOrEqual(f.water[0]);
      expect(f.thin[0]).toBeLessThanOrEqual(f.free[0]);
      expect(f.free[0] + Math.max(0, f.released[0])).toBeLessThanOrEqual(f.water[0] + 1e-9);
      const parts = (f.meat ?? f.plant)?.composition ?? [1];
      expect(parts.reduce((s, x) => s + x, 0)).toBeCloseTo(1, 1);
    }),
  );
});

test.each([
  ['no water and no label', { saltG: 1 }, 'waterG', /protein, fat and carbohydrate/],
  ['more than 100 g in 100 g', { proteinG: 50, fatG: 40, carbG: 30, saltG: 1 }, 'carbG', /add up to 121 g/],
  [
    'energy in kcal typed as kJ',
    { energyKj: 177, proteinG: 16.7, fatG: 10.4, carbG: 1.2, saltG: 1.3 },
    'energyKj',
    /kcal/,
  ],
])('a label with %s is refused at its field', (_what, per100g, field, words) => {
  const read = ownFoodSchema.safeParse({ id: 'own-x', name: 'X', like: 'tofu', per100g });
  expect(read.error!.issues.map((i) => [i.path.at(-1), i.message])).toEqual([[field, expect.stringMatching(words)]]);
});

test('a wet food is not planned as a dry grain', () => {
  const read = ownFoodSchema.safeParse({
    id: 'own-ready-rice',
    name: 'Ready rice',
    like: 'rice-long',
    per100g: { waterG: 62, saltG: 0.4 },
  });
  expect(read.error!.issues[0]!.message).toMatch(/62 % water, rice long 1\d %/);
});

test('meat of one’s own keeps the minimum temperature of what it is', () => {
  const own = ownFoodSchema.parse({
    id: 'own-farm-hen',
    name: 'Farm hen breast',
    like: 'chicken-breast',
    per100g: { waterG: 72, saltG: 0.2 },
  });
  expect(of(own).meat!.safeMinimumC).toEqual(findFood('chicken-breast').meat!.safeMinimumC);
});

test('pasta of one’s own goes by the minutes on its packet', () => {
  const own = ownFoodSchema.parse({
    id: 'own-lentil-penne',
    name: 'Lentil penne',
    like: 'penne',
    per100g: { waterG: 11, saltG: 0.03 },
    packetMin: 7,
  });
  expect(of(own).grain!.eRef[0]).toBeLessThan(findFood('penne').grain!.eRef[0]);
});

test('lines are read by its name, one or many, in grams and in pieces', () => {
  const read = (text: string) => readLine(text, 'en', { ownFoods: [smokedTofu] })[0]!;
  expect(read('300 g smoked tofu, cubes')).toMatchObject({ food: 'own-smoked-tofu', grams: 300, left: [] });
  expect(read('2 smoked tofus')).toMatchObject({ food: 'own-smoked-tofu', grams: 400 });
  expect(read('300 g tofu')).toMatchObject({ food: 'tofu' });
});

test('a recipe that names it becomes a dish that can be planned, written and read anywhere', () => {
  const { dish } = readRecipe('Smoked rice\nServes 4\n300 g long-grain rice\n200 g Smoked tofu', 'en', {
    ownFoods: [smokedTofu],
  });
  const p = plan(dish!, seaLevel);
  expect(dish!.ingredients[1]).toMatchObject({ food: 'own-smoked-tofu', ownFood: { like: 'tofu' } });
  expect(card(dish!, p)).toContain('Smoked tofu');
});

test('more salt in the packet is more salt in the plan, and its row keeps its own id', () => {
  const salted = (saltG: number) =>
    plan(
      board(
        'one-pot-grain',
        { food: 'rice-long', g: 300 },
        { food: 'water', g: 400 },
        { food: 'own-smoked-tofu', ownFood: { ...smokedTofu, per100g: { waterG: 70, saltG } } },
      ),
      seaLevel,
    );
  expect(salted(3).salt.percent).toBeGreaterThan(salted(0).salt.percent);
});

test('ids are free and plain', () => {
  expect(ownFoodId('Nan’s Käse')).toBe('own-nan-s-kase');
  expect(ownFoodId('Tofu', ['own-tofu'])).toBe('own-tofu-2');
  expect(ownFoodId('豆腐')).toBe('own-food');
});
