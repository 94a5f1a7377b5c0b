import { kitchenSchema } from '../src/dish/kitchen';
import type { Dish, Family, Ingredient } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { gather } from '../src/plan/gather/gather';
import { geometryOf } from '../src/plan/setup/bounds';
import { setUp } from '../src/plan/setup/setup';
import { stackPlan, type Geometry } from '../src/plan/setup/stack';
import { moistureSpread } from '../src/plan/simulate/outcome';
import { slowingOf } from '../src/plan/setup/sauce';
import { waterSources } from '../src/plan/setup/sources';
import { pots } from '../src/pot/profile';
import { board, type Thing } from './helpers/board';
import { demoDish } from './helpers/demo';

/*
 * The stack to scale and the water that is already there, by hand from the volumes: mass over density, loose beds with
 * their share of air (grain 2/5, pieces 3/10, chopped 9/20 [common practice]), a straight-sided pot.
 */
const pot = pots.find((p) => p.id === 'electric-5.7')!;
const areaCm2 = (Math.PI / 4) * (pot.diameterMm / 10) ** 2;
const mm = (ml: number): number => (10 * ml) / areaCm2;
const stack = (dish: Dish, addMl: number, clingG = 0, outerMl = 0): Geometry =>
  stackPlan({ g: gather(dish), pot, addMl, clingG, outerMl });
const layer = (geo: Geometry, id: string) => geo.layers.find((l) => l.ingredient === id)!;
const tall = (geo: Geometry, id: string): number => layer(geo, id).toMm - layer(geo, id).fromMm;
const density = (id: string): number => findFood(id).densityGPerMl[0];
const waterMl = (ml: number): number => (ml * findFood('water').bulkGPerMl[0]) / density('water');
const rice: Thing = { food: 'rice-long', g: 300 };
const water: Thing = { food: 'water', g: 500 };

describe('the stack', () => {
  const thighs: Thing = { food: 'chicken-thigh', g: 500, prep: { thicknessMm: 25 } };
  const meatMl = 500 / density('chicken-thigh') / 0.7;
  const riceMl = 300 / findFood('rice-long').bulkGPerMl[0];
  const gaps = 0.3 * meatMl;
  const bedMl = Math.max(0.3 * riceMl, riceMl - gaps);
  const freeOf = (thing: Thing): number => thing.g! * findFood(thing.food).free[0];
  const dish = board('one-pot-grain', thighs, rice, water);

  test('pieces with grain in their gaps, the grain on them, the liquid from below', () => {
    const geo = stack(dish, 600, 45);
    const thin = waterMl(600) + 45 + freeOf(thighs) + freeOf(rice);
    expect(geo.thinLiquidMl).toBeCloseTo(thin, 6);
    expect(tall(geo, 'chicken-thigh')).toBeCloseTo(mm(meatMl), 9);
    expect(tall(geo, 'rice-long')).toBeCloseTo(mm(bedMl), 9);
    // Grain settles in the gaps with its own two fifths of air.
    const meatVoid = gaps - 0.6 * Math.min(riceMl, gaps);
    const level = mm(meatMl) + mm(bedMl) + mm(thin - meatVoid - 0.4 * bedMl);
    expect(geo.liquidLevelMm).toBeCloseTo(level, 6);
    expect(geo.fillLitres).toBeCloseTo((level / 10) * (areaCm2 / 1000), 9);
    expect(layer(geo, 'water').toMm).toBe(geo.liquidLevelMm);
    expect(layer(geo, 'water').litres).toBeCloseTo(waterMl(600) / 1000, 9);
    expect([geo.barrier, geo.grainOnBase, geo.dryGrainShare]).toEqual([true, false, 0]);
    expect(layer(geo, 'chicken-thigh').waterG).toBeCloseTo(500 * findFood('chicken-thigh').water[0], 9);
  });
  test('with little liquid the level stands among the pieces, and all the grain is dry', () => {
    const geo = stack(dish, 30);
    const meatVoid = gaps - 0.6 * Math.min(riceMl, gaps);
    const thin = waterMl(30) + freeOf(thighs) + freeOf(rice);
    expect(thin).toBeLessThan(meatVoid);
    expect(geo.liquidLevelMm).toBeCloseTo(mm(meatMl) * (thin / meatVoid), 6);
    expect(geo.dryGrainShare).toBe(1);
    expect(geo.fillLitres).toBeCloseTo(((mm(meatMl) + mm(bedMl)) / 10) * (areaCm2 / 1000), 9);
  });
  test('half the gaps of the bed filled: half of it stands dry', () => {
    const geo = stack(
      board('plain-grain', rice, water),
      (0.2 * riceMl * density('water')) / findFood('water').bulkGPerMl[0],
    );
    expect(geo.dryGrainShare).toBeCloseTo(0.5, 6);
    expect(geo.liquidLevelMm).toBeCloseTo(mm(riceMl) / 2, 6);
    expect(geo.grainOnBase).toBe(true);
  });
  test('pasta lies on the pieces with the air of its own shape, and nothing of it settles', () => {
    const penne = findFood('penne');
    const geo = stack(board('one-pot-pasta', thighs, { food: 'penne', g: 300 }, water), 900);
    const bed = 300 / penne.densityGPerMl[0] / (1 - penne.porosity![0]);
    expect(tall(geo, 'penne')).toBeCloseTo(mm(bed), 9);
    const thin = waterMl(900) + freeOf(thighs) + 300 * penne.free[0];
    expect(geo.liquidLevelMm).toBeCloseTo(mm(meatMl) + mm(bed) + mm(thin - gaps - penne.porosity![0] * bed), 6);
  });
  test('chopped things lie loose on the grain, sauce is spread last without gaps', () => {
    const sauce: Thing = { food: 'tomato-sauce', g: 250 };
    const geo = stack(board('one-pot-grain', { food: 'zucchini' }, sauce, rice, water), 600);
    expect(geo.layers.map((l) => l.ingredient)).toEqual(['water', 'rice-long', 'zucchini', 'tomato-sauce']);
    expect(geo.layers.map((l) => l.position)).toEqual([0, 1, 2, 3]);
    expect(geo.layers.map((l) => l.kind)).toEqual(['liquid', 'grain', 'vegetable', 'thick']);
    expect(tall(geo, 'zucchini')).toBeCloseTo(mm(200 / density('zucchini') / 0.55), 9);
    expect(tall(geo, 'tomato-sauce')).toBeCloseTo(mm(250 / density('tomato-sauce')), 9);
    expect(layer(geo, 'tomato-sauce').note).toBe('thick-scorches-below');
    expect(layer(geo, 'zucchini').note).toBe('cooks-in-steam');
    const meatOnTop = stack(board('one-pot-grain', rice, { food: 'chicken-breast' }, water), 600);
    expect(tall(meatOnTop, 'chicken-breast')).toBeCloseTo(mm(200 / density('chicken-breast') / 0.7), 9);
  });
  test('what waits, what seasons and what fries is no layer', () => {
    const geo = stack(
      board(
        'one-pot-grain',
        rice,
        water,
        { food: 'spinach' },
        { food: 'nuts' },
        { food: 'salt', g: 5 },
        { food: 'ghee', g: 20 },
      ),
      600,
    );
    expect(geo.layers.map((l) => l.ingredient)).toEqual(['water', 'rice-long']);
  });
  test('a rack hangs over what swells below it, as high as the piece is thick', () => {
    const geo = stack(
      board('rack-over-grain', rice, water, { food: 'chicken-thigh', g: 600, prep: { thicknessMm: 30 } }),
      450,
    );
    const top = Math.max(geo.liquidLevelMm, layer(geo, 'rice-long').toMm);
    expect([layer(geo, 'chicken-thigh').fromMm, tall(geo, 'chicken-thigh')]).toEqual([
      expect.closeTo(top + 8, 9),
      expect.closeTo(30, 9),
    ]);
    expect([geo.barrier, geo.grainOnBase]).toEqual([false, true]);
  });
  test('the cook may turn it over: grain on the base, or on top of everything', () => {
    const low = stack(board('one-pot-grain', thighs, { ...rice, place: 'base' }, water), 600);
    expect(low.layers.map((l) => l.ingredient)).toEqual(['water', 'rice-long', 'chicken-thigh']);
    expect([low.barrier, low.grainOnBase]).toEqual([false, true]);
    const high = stack(board('one-pot-grain', thighs, { food: 'zucchini' }, { ...rice, place: 'top' }, water), 600);
    expect(high.layers.map((l) => l.ingredient)).toEqual(['water', 'chicken-thigh', 'zucchini', 'rice-long']);
    expect(high.barrier).toBe(true);
    // Onions keep no grain off the base; meat does.
    const onions = stack(board('one-pot-grain', { food: 'onion' }, rice, water), 600);
    expect([onions.barrier, onions.grainOnBase]).toEqual([false, false]);
  });
  test('tomato at the base, thick or diced, and tomato on top', () => {
    const at = (thing: Thing) => stack(board('one-pot-grain', thing, rice, water), 600).tomatoAtBase;
    expect(at({ food: 'tomato-sauce', place: 'base' })).toEqual({ thick: true, diced: false });
    expect(at({ food: 'tomato-diced-canned', place: 'base' })).toEqual({ thick: false, diced: true });
    expect(at({ food: 'tomato-sauce' })).toEqual({ thick: false, diced: false });
  });
  test('two thirds is the end for everything, half the line for what foams; water under a bowl counts', () => {
    const limits = (d: Dish) => [stack(d, 300).limitFraction, stack(d, 300).foamFraction];
    expect(limits(board('plain-grain', rice, water))).toEqual([2 / 3, 0.5]);
    expect(limits(board('steamed-side', { food: 'potato' }, water))).toEqual([2 / 3, null]);
    const milk = board('casserole', { food: 'beef-stew' }, { food: 'milk', joins: 'stack' }, water);
    expect(limits(milk)).toEqual([2 / 3, 0.5]);
    const bowl = demoDish('goat-curry-bowl-rice');
    const dry = stack(bowl, 300);
    expect(stack(bowl, 300, 0, 120).thinLiquidMl - dry.thinLiquidMl).toBeCloseTo(120, 9);
    expect(stack(bowl, 300, 50).thinLiquidMl).toBeCloseTo(dry.thinLiquidMl, 9);
    // Swollen to three times its dry room, at least.
    const swollenMl = (3 * 225) / findFood('rice-long').bulkGPerMl[0];
    expect(dry.bowlFraction).toBeGreaterThan(0);
    expect(stack(bowl, 900).bowlFraction).toBeGreaterThan(dry.bowlFraction);
    expect(swollenMl).toBeGreaterThan(700);
    expect(stack(board('plain-grain', rice, water), 300).bowlFraction).toBe(0);
    expect(layer(dry, 'rice').fromMm).toBeGreaterThanOrEqual(15);
  });
});

describe('thin liquid at the base', () => {
  // What runs down before the boil [common practice]: .35 of diced tomato with its juice, .10 of crushed and sauce, none of paste.
  test.each([
    ['tomato-diced-canned', 0.35],
    ['tomato-crushed-canned', 0.1],
    ['tomato-sauce', 0.1],
    ['tomato-paste', 0],
    ['spinach', 0],
    // Fat makes no steam and wets no starch: it never stands for water.
    ['oil-olive', 0],
    ['butter', 0],
  ])('of %s on top %d runs down', (food, share) => {
    const d = board('one-pot-grain', rice, water, { food, g: 200, joins: 'stack' });
    const bare = stack(board('one-pot-grain', rice, water), 300).thinLiquidMl;
    expect(stack(d, 300).thinLiquidMl - bare).toBeCloseTo(200 * share, 6);
  });
  // Half of the wine leaves the pan before the lid locks: it makes no steam under it.
  test('what the pan boils off is not there any more', () => {
    const d = board(
      'risotto',
      { food: 'oil-olive', g: 15 },
      { food: 'wine-white', g: 200 },
      { food: 'rice-arborio' },
      water,
    );
    const setup = setUp(d, kitchenSchema.parse({}));
    expect(setup.src.reducedG).toBeGreaterThan(100);
    const poured = stack(d, 600).thinLiquidMl;
    expect(poured - geometryOf(setup, 600).thinLiquidMl).toBeCloseTo(setup.src.reducedG, 6);
  });
});

describe('layers in turn', () => {
  const ids = (geo: Geometry): string[] => geo.layers.map((l) => l.ingredient);
  test('sheets: each layer covers the base with 14 g/dm2, filling and sauce between, sauce last', () => {
    const d = board(
      'layered-pasta',
      { food: 'lasagne-sheet', g: 165 },
      { food: 'lamb-ground', g: 300 },
      { food: 'tomato-sauce', g: 450 },
      { food: 'cheese-hard', g: 60 },
    );
    const geo = stack(d, 240);
    // 222 mm across: about 54 g a layer.
    expect(0.14 * areaCm2).toBeCloseTo(54, 0);
    expect(ids(geo)).toEqual([
      'water',
      ...['lasagne-sheet', 'lamb-ground', 'tomato-sauce'],
      ...['lasagne-sheet', 'lamb-ground', 'tomato-sauce'],
      ...['lasagne-sheet', 'tomato-sauce'],
    ]);
    const sum = (id: string): number => geo.layers.filter((l) => l.ingredient === id).reduce((s, l) => s + l.grams, 0);
    for (const [id, g] of [
      ['lasagne-sheet', 165],
      ['lamb-ground', 300],
      ['tomato-sauce', 450],
    ] as const)
      expect(sum(id)).toBeCloseTo(g, 9);
    expect(geo.layers.map((l) => l.position)).toEqual(geo.layers.map((_, i) => i));
    expect(geo.dryGrainShare).toBe(0);
    // Several rows of sheets are one starch.
    const two = board(
      'layered-pasta',
      { food: 'lasagne-sheet', g: 100 },
      { id: 'more', food: 'lasagne-sheet', g: 65 },
      { food: 'lamb-ground', g: 300 },
      { food: 'tomato-sauce', g: 450 },
    );
    expect(ids(stack(two, 240)).filter((i) => i === 'lasagne-sheet')).toHaveLength(3);
  });
  test('biryani: meat and its marinade, half the rice, herbs, rice, saffron milk', () => {
    const d = board(
      'biryani',
      { food: 'rice-basmati', g: 300 },
      { food: 'lamb-leg', g: 400 },
      { food: 'yogurt', g: 100 },
      { food: 'herb-fresh', g: 20 },
      { food: 'milk', g: 40 },
      water,
    );
    expect(ids(stack(d, 300))).toEqual([
      'water',
      'yogurt',
      'lamb-leg',
      'rice-basmati',
      'herb-fresh',
      'rice-basmati',
      'milk',
    ]);
    const plain = stack(board('biryani', { food: 'rice-basmati', g: 300 }, { food: 'lamb-leg' }, water), 300);
    expect(ids(plain)).toEqual(['water', 'lamb-leg', 'rice-basmati']);
  });
});

describe('the water that is already there', () => {
  const sources = (d: Dish, reducedG = 0) => waterSources(gather(d), reducedG);
  test('juice by the state of the piece; on a rack three tenths of it stay on the rack', () => {
    const juice = (family: Family, thing: Thing): number => {
      const s = sources(board(family, rice, water, thing));
      return s.fromItems.find((x) => x.item.food.id === thing.food)?.grams ?? 0;
    };
    const thigh = findFood('chicken-thigh');
    const raw = 300 * thigh.released[0];
    const at = (state: 'raw' | 'browned' | 'frozen', thicknessMm = 25): Thing => ({
      food: 'chicken-thigh',
      g: 300,
      joins: 'stack',
      prep: { state, thicknessMm },
    });
    expect(juice('one-pot-grain', at('raw'))).toBeCloseTo(raw + 300 * thigh.free[0], 9);
    expect(juice('one-pot-grain', at('browned'))).toBeCloseTo(0.3 * raw + 300 * thigh.free[0], 9);
    // On a rack it was seared first, which leaves three quarters.
    expect(juice('rack-over-grain', at('raw'))).toBeCloseTo(0.7 * raw + 300 * thigh.free[0], 9);
  });
  test('how sure it is goes by the mass and by what is still to come; a number of the cook is sure', () => {
    const d = board('one-pot-grain', rice, water, { food: 'leek', g: 240 }, { food: 'coconut-milk', g: 150 });
    const by = (x: Dish, id: string) => sources(x).fromItems.find((y) => y.item.food.id === id)!;
    expect(by(d, 'leek').spreadG).toBeCloseTo(240 * findFood('leek').releaseSd[0] * 0.7, 9);
    expect(by(d, 'coconut-milk').spreadG).toBeCloseTo(150 * findFood('coconut-milk').releaseSd[0], 9);
    const own = by({ ...d, overrides: { ledger: { 'from:leek': 10 } } }, 'leek');
    expect([own.grams, own.spreadG, own.overruledFrom]).toEqual([10, 0, expect.closeTo(by(d, 'leek').grams, 9)]);
    expect(by(d, 'leek').overruledFrom).toBeUndefined();
    // Half a gram is where a row begins; what the cook set stays even at nothing.
    const salt = board('one-pot-grain', rice, water, { food: 'herb-dried', g: 2 });
    expect(sources(salt).fromItems).toEqual([]);
    expect(sources({ ...d, overrides: { ledger: { 'from:leek': 0 } } }).fromItems.map((x) => x.item.food.id)).toContain(
      'leek',
    );
  });
  test('film on the pot, on the food, and inside a bowl; what boils off is handed through', () => {
    const d = board('one-pot-grain', rice, water, { food: 'okra', g: 300 }, { food: 'coconut-milk', g: 150 });
    expect(sources(d).filmG).toBeCloseTo(8 + 0.04 * 300, 9);
    expect(sources(demoDish('goat-curry-bowl-rice')).filmG).toBe(5);
    expect(sources(d, 33).reducedG).toBe(33);
    expect(
      sources({ ...d, overrides: { ledger: { film: 3, reduced: 4, cling: 5, soak: 6, simmer: 7 } } }, 33),
    ).toMatchObject({
      filmG: 3,
      reducedG: 4,
      clingG: 5,
      soakG: 6,
      simmerG: 7,
    });
    expect(sources(d).mainWaterPerMl).toBeCloseTo(findFood('water').water[0] * findFood('water').bulkGPerMl[0], 12);
  });
  test('rinsed grain drips; soaked grain was rinsed too, holds less on the outside and more inside', () => {
    const at = (prep: Ingredient['prep']) => sources(board('plain-grain', { ...rice, prep }, water));
    expect([at({}).clingG, at({}).soakG]).toEqual([0, 0]);
    expect(at({ rinse: true }).clingG).toBeCloseTo(0.15 * 300, 9);
    const soaked = at({ soakMin: 30 });
    expect(soaked.clingG).toBeLessThan(at({ rinse: true }).clingG);
    expect(soaked.clingG).toBeGreaterThan(0);
    expect(soaked.soakG).toBeGreaterThan(40);
    expect(at({ soakMin: 60 }).soakG).toBeGreaterThanOrEqual(soaked.soakG);
  });
  test('tomato slows the uptake of an unstirred pot by up to 35 %, by its share of the liquid; cream only around pasta', () => {
    const slowing = (d: Dish, addMl: number): number => slowingOf(gather(d), addMl);
    const tomato: Thing = { food: 'tomato-crushed-canned', g: 200 };
    const dish = board('one-pot-grain', rice, water, tomato, { food: 'soy-sauce', g: 100 }, { food: 'okra' });
    expect(slowing(dish, 300)).toBeCloseTo(1 - (0.35 * 200) / (300 + 100), 9);
    expect(slowing(dish, 10)).toBeCloseTo(0.65, 9);
    expect(slowing(board('one-pot-grain', rice, water), 300)).toBe(1);
    expect(slowing(board('noodle-soup', { food: 'orzo' }, water, tomato), 300)).toBe(1);
    const late = board('one-pot-grain', rice, water, { ...tomato, joins: 'finish' });
    expect(slowing(late, 300)).toBe(1);
    const cream: Thing = { food: 'cream-heavy', g: 150, joins: 'stack' };
    expect(slowing(board('one-pot-grain', rice, water, cream), 300)).toBe(1);
    expect(slowing(board('one-pot-pasta', { food: 'penne' }, water, cream), 300)).toBeCloseTo(
      1 - (0.35 * 150) / 300,
      9,
    );
  });
  test('the spread of the water is that of its parts, independent of each other; and what it is in moisture', () => {
    const g = gather(board('one-pot-grain', rice, water, { food: 'leek', g: 240 }));
    const src = waterSources(g);
    const outcome = { clock: { freeG: 50, moisture: 0.66, equivalentMin: 9 }, upG: 480 } as Parameters<
      typeof moistureSpread
    >[2];
    const juice = 240 * findFood('leek').releaseSd[0] * 0.7;
    const spread = moistureSpread(g, src, outcome);
    const wet = Math.hypot(juice, 12, 0.04 * 300, 0.03 * 50);
    expect(spread.waterG).toBeCloseTo(wet, 9);
    // A little more water w on the grain: moisture m = 1 - dry / (grain + up), so dm = dry w / (grain + up)^2.
    const dry = 300 * (1 - findFood('rice-long').grain!.rawMoisture[0]);
    expect(spread.points).toBeCloseTo((100 * dry * wet) / (300 + 480) ** 2, 6);
    expect(moistureSpread(g, src, outcome, 0).waterG).toBeLessThan(wet);
  });
});
