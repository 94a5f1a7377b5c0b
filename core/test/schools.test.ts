import type { Dish } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { levelLiquidG } from '../src/grain/closed';
import { plan } from '../src/plan/plan';
import { compareSchools, type School } from '../src/plan/questions/schools';
import { baseAreaCm2, pots } from '../src/pot/profile';
import { demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

/* The ratios that cooks go by, each by hand, and each worked out as the plan itself would have it. */
const schoolsOf = (dish: Dish, kitchen = hut) => compareSchools(dish, kitchen, plan(dish, kitchen));
const ml = (list: School[]): Record<string, number> => Object.fromEntries(list.map((s) => [s.id, s.ml]));

test('ratios go by the volume of the grain, a knuckle by the width of the pot; told from little to much', () => {
  const dish = turkeyRice();
  const grainMl = 300 / findFood('rice-long').bulkGPerMl[0];
  const list = schoolsOf(dish);
  const poured = ml(list);
  const by = { equal: 1, 'quarter-more': 1.25, 'half-more': 1.5, double: 2, 'three-to-one': 3 };
  for (const [id, k] of Object.entries(by)) expect(poured[id]).toBeCloseTo(k * grainMl, 9);
  // An inch of 25 mm over the grain, and the two fifths of its own volume that are air.
  const pot = pots.find((p) => p.id === hut.potId)!;
  expect(poured['knuckle']).toBeCloseTo(0.4 * grainMl + 2.5 * baseAreaCm2(pot), 9);
  expect(list.map((s) => s.ml)).toEqual(Object.values(poured).sort((a, b) => a - b));
  expect(ml(schoolsOf(plainRice(), { ...seaLevel, potId: 'electric-8' }))['knuckle']!).toBeGreaterThan(
    1.4 * ml(schoolsOf(plainRice(), { ...seaLevel, potId: 'electric-3' }))['knuckle']!,
  );
});
test('pasta goes by level, and level penne needs no draining', () => {
  const [level, ...others] = schoolsOf(demoDish('beef-beetroot-dill-pasta'));
  expect([level!.id, others]).toEqual(['level', []]);
  const dish = demoDish('beef-beetroot-dill-pasta');
  const pasta = dish.ingredients.find((i) => findFood(i.food).kind === 'pasta')!;
  const own = findFood(pasta.food);
  expect(level!.ml).toBeCloseTo(levelLiquidG(pasta.amount.value, own.bulkGPerMl[0]), 6);
  expect(level!.alone.band).not.toBe('hard');
});
test.each(['guinea-fowl-mushroom-risotto', 'beef-beetroot-dill-pasta', 'turkey-leek-lemon', 'lamb-apricot-biryani'])(
  '%s with a school’s liquid is what its plan with so much liquid says',
  (id) => {
    const dish = demoDish(id);
    const chosen = plan(dish, hut);
    for (const s of compareSchools(dish, hut, chosen)) {
      const { holdMin, release, pressure } = chosen.program;
      const overrides = { ...dish.overrides, liquidMl: s.ml, holdMin, release, pressure };
      const p = plan({ ...dish, overrides }, hut);
      // A first stage of its own takes other minutes for another liquid.
      const digits = chosen.firstStage ? 1 : 3;
      if (p.grain)
        expect([s.here.index, s.here.band]).toEqual([expect.closeTo(p.grain.textureIndex, digits), p.grain.band]);
      else expect([s.here.index, s.here.band]).toEqual([expect.closeTo(p.pasta!.x, 3), p.pasta!.band]);
      // The ledger: what is taken and held, then what is lost; what is brought, and last what is poured.
      const rows = p.liquid.ledger.map((r) => r.grams);
      const lost = rows.slice(2).filter((g) => g < 0);
      const brought = rows.slice(2, -1).filter((g) => g > 0);
      if (chosen.firstStage) continue;
      expect(s.lostG).toBeCloseTo(-lost.reduce((a, b) => a + b, 0), 3);
      expect(s.broughtG).toBeCloseTo(
        brought.reduce((a, b) => a + b, 0),
        3,
      );
    }
  },
);
test('alone in the pot the same water makes another grain than in the dish', () => {
  const [equal] = schoolsOf(turkeyRice());
  // Leek, turkey and broth bring more water than steam and film take here.
  expect(equal!.here.index).toBeGreaterThan(equal!.alone.index + 1);
  expect(equal!.broughtG).toBeGreaterThan(equal!.lostG);
  const plain = schoolsOf(plainRice(), seaLevel)[0]!;
  expect(plain.here.index).toBeCloseTo(plain.alone.index, 1);
});
test('a dish without a starch has no schools', () => {
  expect(schoolsOf(demoDish('small-potatoes-rack'))).toEqual([]);
});

test('the grain alone knows nothing of a first stage', () => {
  const dish = demoDish('lamb-apricot-biryani');
  const chosen = plan(dish, hut);
  expect(chosen.firstStage).not.toBeNull();
  const alone = (firstStage: typeof chosen.firstStage) =>
    compareSchools(dish, hut, { ...chosen, firstStage }).map((s) => s.alone.index);
  expect(alone(chosen.firstStage)).toEqual(alone(null));
});
