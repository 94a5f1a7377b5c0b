import type { Dish, Ingredient, Overrides } from '../src/dish/schema';
import { evaluate, plan } from '../src/plan/plan';
import type { Plan } from '../src/plan/document/document';
import { demo, demoDish as dishOf } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

const withOverrides = (dish: Dish, overrides: Overrides): Dish => ({ ...dish, overrides });
const withIngredient = (dish: Dish, id: string, change: Partial<Ingredient>): Dish => ({
  ...dish,
  ingredients: dish.ingredients.map((i) => (i.id === id ? { ...i, ...change } : i)),
});
const row = (p: Plan, item: string): number => p.liquid.ledger.find((r) => r.item === item)?.grams ?? 0;
const closes = (p: Plan): void => {
  expect(Math.abs(p.liquid.ledger.reduce((s, r) => s + r.grams, 0))).toBeLessThan(1e-6);
};

describe('overrules', () => {
  const cases: [string, Overrides][] = [
    ['liquid', { liquidMl: 500 }],
    ['minutes', { holdMin: 7 }],
    ['release', { release: { kind: 'quick' } }],
    ['low pressure', { pressure: 'low' }],
    ['salt', { saltG: 2 }],
    ['a stage of its own', { firstStage: true }],
    ['habits', { stirredDown: true, deglazed: false, keepWarmMin: 60 }],
    ['a row of the sum', { ledger: { 'from:turkey': 20 } }],
  ];
  test.each(cases)('%s: honoured, the sum still closes, and letting go returns the same plan', (_, overrides) => {
    const p = plan(turkeyRice({ overrides }), hut);
    closes(p);
    expect(p).not.toEqual(plan(turkeyRice(), hut));
    const { overrides: gone, ...free } = turkeyRice({ overrides });
    expect(gone).toEqual(overrides);
    expect(plan(free, hut)).toEqual(plan(turkeyRice(), hut));
  });
  test('a place and a moment of joining are honoured', () => {
    const moved = plan(withIngredient(turkeyRice(), 'turkey', { place: 'top' }), hut);
    const order = moved.stack.map((l) => l.ingredient);
    expect(order.indexOf('turkey')).toBeGreaterThan(order.indexOf('rice'));
    expect(moved.fry.find((f) => f.ingredient === 'turkey')?.takeOut).toBe(true);
    const held = plan(withIngredient(turkeyRice(), 'leek', { joins: 'finish' }), hut);
    expect(held.heldBack.find((h) => h.ingredient === 'leek')?.why).toBe('you-decided');
  });
  test('the planner still says what it would have chosen', () => {
    const p = plan(turkeyRice({ overrides: { holdMin: 7, saltG: 2, liquidMl: 500 } }), hut);
    const own = plan(turkeyRice(), hut);
    expect(p.decided.holdMin.overruled).toBe(own.program.holdMin);
    expect(p.decided.addMl.overruled).toBe(own.liquid.addMl);
    expect(p.salt.addG).toBe(2);
    expect(p.decided.saltG.overruled).toBeGreaterThan(2);
  });
  test.each([...demo.keys()])('%s: evaluating the plan’s own numbers gives the plan again', (id) => {
    const dish = dishOf(id);
    const p = plan(dish, hut);
    if (p.firstStage) return;
    const { pressure, holdMin, release } = p.program;
    const again = evaluate({ ...dish, asCooked: { liquidMl: p.liquid.addMl, pressure, holdMin, release } }, hut);
    expect({ grain: again.grain, pasta: again.pasta, meats: again.meats, curve: again.curve }).toEqual({
      grain: p.grain,
      pasta: p.pasta,
      meats: p.meats,
      curve: p.curve,
    });
  });
});

describe('two stages', () => {
  const biryani = dishOf('lamb-apricot-biryani');
  const own = plan(biryani, hut);
  test('the gravy that is measured replaces the predicted one: more of it, less to add, gram for gram', () => {
    const measured = (gravyMl: number): Plan => plan(withOverrides(biryani, { gravyMl }), hut);
    const same = measured(own.firstStage!.gravyG);
    expect(Math.abs(same.liquid.addMl - own.liquid.addMl)).toBeLessThanOrEqual(5);
    const more = measured(own.firstStage!.gravyG + 100);
    closes(more);
    expect(row(more, 'gravy')).toBeCloseTo(100, 6);
    expect(own.liquid.addMl - more.liquid.addMl).toBeGreaterThan(80);
    expect(own.liquid.addMl - more.liquid.addMl).toBeLessThan(120);
  });
  test('what is predicted is the liquid and the juice, less steam and film', () => {
    const f = own.firstStage!;
    expect(f.gravyG).toBeGreaterThan(50);
    expect(f.slow).toEqual(['lamb']);
  });
  test('a stage of its own can be asked for and refused', () => {
    expect(plan(withOverrides(biryani, { firstStage: false }), hut).firstStage).toBeNull();
    const asked = plan(turkeyRice({ overrides: { firstStage: true } }), hut);
    expect(asked.firstStage?.slow).toEqual(['turkey']);
    closes(asked);
  });
});

describe('frying', () => {
  const risotto = plan(dishOf('guinea-fowl-mushroom-risotto'), hut);
  test('wine is boiled down to half before the liquid, and its water is counted as gone', () => {
    const wine = risotto.fry.at(-1)!;
    expect(wine.until).toBe('reduced');
    // 120 mL of wine loses 60 g; a pan of 900 W takes two to eight minutes for that.
    expect(wine.minutes).toBeGreaterThan(2);
    expect(wine.minutes).toBeLessThan(8);
    expect(row(risotto, 'reduced')).toBeLessThan(-59);
    expect(row(risotto, 'reduced')).toBeGreaterThan(-95);
  });
  test('the plate is hot while it fries and near the boil once it is scraped', () => {
    const p = plan(turkeyRice(), seaLevel);
    for (const f of p.fry) expect(f.baseC!).toBeGreaterThan(140);
    expect(p.deglaze!.baseC).toBeGreaterThan(85);
    expect(p.deglaze!.baseC).toBeLessThan(135);
    expect(p.deglaze!.enough).toBe(true);
  });
  test('meat for a full base goes in batches and waits in a bowl, with the reason', () => {
    const many = withIngredient(turkeyRice(), 'turkey', {
      amount: { value: 1500, unit: 'g' },
      prep: { shape: 'cube', thicknessMm: 25, brown: 'half' },
    });
    const f = plan(many, hut).fry.find((x) => x.ingredient === 'turkey')!;
    expect(f.batches!).toBeGreaterThan(1);
    expect(f.takeOut).toBe(true);
    expect(f.takeOutWhy).toBe('base-is-needed');
  });
  test('browned on purpose takes longer by the thickness and starts warmer under the lid', () => {
    const brown = withIngredient(turkeyRice(), 'turkey', {
      prep: { shape: 'cube', thicknessMm: 25, state: 'browned' },
    });
    const f = (d: Dish) => plan(d, hut).fry.find((x) => x.ingredient === 'turkey')!;
    expect(f(brown).aim).toBe('half');
    expect(f(brown).minutes).toBeGreaterThan(f(turkeyRice()).minutes);
    const log = (d: Dish): number =>
      plan(withOverrides(d, { holdMin: 0, release: { kind: 'quick' } }), hut).meats[0]!.lossShare;
    expect(log(brown)).toBeGreaterThan(log(turkeyRice()));
  });
});

describe('a cooker with fixed programs', () => {
  const kitchen = { ...seaLevel, potId: 'program-5' };
  const allowed = ['low-5', 'low-12', 'low-20', 'high-5', 'high-15', 'high-25', 'high-35'];
  test.each(['plain-long-grain', 'chicken-rack-red-rice', 'venison-juniper-barley', 'small-potatoes-rack'])(
    '%s gets one of them, and says which',
    (id) => {
      const p = plan(dishOf(id), kitchen);
      expect(allowed).toContain(p.program.program);
      expect(p.program.program).toBe(`${p.program.pressure}-${p.program.holdMin}`);
    },
  );
  // Common practice: rice on low runs 12 minutes.
  test('white rice runs on a short program, red rice on a longer one', () => {
    expect(plan(plainRice(), kitchen).program.holdMin).toBeLessThanOrEqual(12);
    expect(plan(dishOf('chicken-rack-red-rice'), kitchen).program.holdMin).toBeGreaterThanOrEqual(12);
  });
});

describe('salt', () => {
  test('the same salt is more teaspoons of flaky than of table salt', () => {
    const { teaspoons, addG } = plan(turkeyRice(), hut).salt;
    const tsp = (kind: string): number => teaspoons.find((k) => k.kind === kind)!.tsp;
    expect(tsp('table')).toBeCloseTo(addG / 6, 9);
    expect(tsp('flaky')).toBeGreaterThan(tsp('sea'));
    expect(tsp('sea')).toBeGreaterThan(tsp('table'));
  });
  // Common practice: a teaspoon holds 6 g of table salt, 5.5 of fine sea salt, 3 to 4.8 of flaky.
  test.each([
    ['salt', 5.8, 6.1],
    ['salt-sea', 5.3, 5.6],
    ['salt-flaky', 3, 4.8],
  ])('a teaspoon of %s', (food, least, most) => {
    const dish = turkeyRice({
      ingredients: [...turkeyRice().ingredients, { id: 'pinch', food, amount: { value: 1, unit: 'tsp' } }],
    });
    const grams = plan(dish, hut).salt.sources.find((s) => s.item === 'pinch')!.grams;
    expect(grams).toBeGreaterThan(least);
    expect(grams).toBeLessThan(most);
  });
});

describe('scorch: each point with its remedy and what the remedy leaves', () => {
  const reasons = (d: Dish, kitchen = seaLevel): Plan['scorch'] => plan(d, kitchen).scorch;
  const has = (d: Dish, code: string, kitchen = seaLevel): void => {
    const s = reasons(d, kitchen);
    const r = s.reasons.find((x) => x.code === code)!;
    expect(r.remedy).toBeDefined();
    expect(r.after!).toBeLessThan(s.index);
  };
  test('a base that was not scraped', () => {
    has(turkeyRice({ overrides: { deglazed: false } }), 'fond-unscraped');
    expect(reasons(turkeyRice({ overrides: { deglazed: false } })).index).toBeGreaterThan(
      5 * reasons(turkeyRice()).index,
    );
  });
  test('grain stirred down', () => {
    has(turkeyRice({ overrides: { stirredDown: true } }), 'stirred-down');
  });
  test('starch that went in before the lid', () => {
    const d = turkeyRice();
    d.ingredients.push({ id: 'flour', food: 'starch', amount: { value: 20, unit: 'g' }, joins: 'stack' });
    has(d, 'thickener-at-base');
  });
  test('spices fried without fat', () => {
    const d = turkeyRice();
    has({ ...d, ingredients: d.ingredients.filter((i) => i.id !== 'oil') }, 'fried-dry');
  });
  test('a flame under the pot', () => {
    has(turkeyRice(), 'gas-flame', { ...seaLevel, potId: 'stovetop-6' });
  });
  test('a thick dish kept warm', () => {
    const d = turkeyRice({ overrides: { keepWarmMin: 60 } });
    d.ingredients.push({ id: 'sauce', food: 'tomato-sauce', amount: { value: 200, unit: 'g' }, place: 'top' });
    has(d, 'kept-warm');
  });
});

describe('after the lid', () => {
  test('a thin sauce: what stands, simmers and binds away, each less than what there is', () => {
    const { thicken } = plan(dishOf('beef-beetroot-dill-pasta'), hut).after;
    expect(thicken!.standDrinksG).toBeGreaterThan(5);
    expect(thicken!.standDrinksG).toBeLessThanOrEqual(thicken!.freeG);
    // 8 g of starch in 30 g of water for 250 mL [common practice].
    expect(thicken!.starchG).toBeCloseTo((8 * thicken!.freeG) / 250, 9);
    expect(thicken!.simmerGPerMin).toBeGreaterThan(8);
    expect(thicken!.simmerGPerMin).toBeLessThan(30);
  });
  test('the crust goes by the surface: a double batch has the same one', () => {
    const dish = withIngredient(dishOf('venison-juniper-barley'), 'barley', {});
    const crusted: Dish = {
      ...dish,
      ingredients: [
        ...dish.ingredients,
        { id: 'crumbs', food: 'breadcrumbs', amount: { value: 60, unit: 'g' }, joins: 'topping' },
      ],
    };
    const a = plan(crusted, hut).after.crust!;
    expect(plan({ ...crusted, serves: 2 * crusted.serves }, hut).after.crust).toEqual(a);
    expect(a.crumbG).toBeCloseTo(0.15 * a.areaCm2, 9);
    expect(plan(turkeyRice(), hut).after.crust).toBeNull();
  });
  test('a big batch is moved out, and in the closed pot it would soften more', () => {
    const big = plan(plainRice({}, 4), { ...seaLevel, potId: 'electric-8' });
    expect(big.finish.map((f) => f.code)).toContain('wide-dish');
    expect(big.after.drift!.closedPoints).toBeGreaterThan(big.after.drift!.spreadPoints);
    expect(plan(plainRice({}, 1), seaLevel).after.drift).toBeNull();
  });
  test('the keeping plan: a layer that cools in time, and the pan that it needs', () => {
    const { keep } = plan(turkeyRice(), hut).after;
    // The two-hour rule of food codes and 74 degC for reheating, recalled.
    expect(keep.withinMin).toBe(120);
    expect(keep.reheatC).toBe(74);
    expect(keep.depthMm).toBeLessThanOrEqual(40);
    expect(keep.areaCm2).toBeCloseTo(keep.massG / 0.95 / (keep.depthMm / 10), 6);
  });
});
