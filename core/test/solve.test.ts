import type { Dish, Overrides } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { aimIndexOf } from '../src/grain/texture';
import { setUp } from '../src/plan/setup/setup';
import { plan } from '../src/plan/plan';
import { roundMl } from '../src/plan/search/solve-once';
import { finishedMass } from '../src/plan/setup/sauce';
import { pots } from '../src/pot/profile';
import { board, type Thing } from './helpers/board';
import { demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

/* Liquid and program together: what is wanted is what comes out, and what cannot come out is said. */
const wanting = (dish: Dish, overrides: Overrides, texture?: Dish['texture']): Dish => ({
  ...dish,
  ...(texture ? { texture } : {}),
  overrides: { ...dish.overrides, ...overrides },
});
const codes = (d: Dish, kitchen = hut): string[] => plan(d, kitchen).warnings.map((w) => w.code);
const stepMl = 5;

describe('the liquid', () => {
  test.each(['firm', 'fluffy', 'soft'] as const)('sets the texture of separate grain: %s', (texture) => {
    for (const [dish, food] of [
      [plainRice(), 'rice-long'],
      [turkeyRice(), 'rice-long'],
      [board('plain-grain', { food: 'rice-basmati', g: 320 }, { food: 'water' }), 'rice-basmati'],
    ] as const) {
      const p = plan(wanting(dish, {}, texture), hut);
      const aim = aimIndexOf(findFood(food).grain!, texture);
      expect(p.grain!.aimIndex).toBeCloseTo(aim, 9);
      // A jug shows five millilitres, which are about 0.3 points here.
      expect(Math.abs(p.grain!.textureIndex - aim)).toBeLessThan(0.45);
      expect(p.liquid.addMl % stepMl).toBe(0);
    }
  });
  test('sets the sauce of a risotto, and the wish is then one of time', () => {
    const dish = demoDish('guinea-fowl-mushroom-risotto');
    const { sauceShare } = setUp(dish, hut).g;
    expect(sauceShare).toBeGreaterThanOrEqual(0.05);
    for (const texture of ['firm', 'soft'] as const) {
      const p = plan(wanting(dish, {}, texture), hut);
      const finishedG = p.liquid.ledger
        .find((r) => r.item === 'sauce')!
        .reason.terms.find((t) => t.label === 'finished-dish')!;
      // What is stirred in at the end is sauce too, and the film on things is stirred in with it.
      expect(Math.abs(p.grain!.sauceG! / finishedG.value - sauceShare)).toBeLessThan(0.006);
    }
    const minutes = (texture: Dish['texture']) => plan(wanting(dish, {}, texture), hut).grain!.equivalentMin;
    expect(minutes('soft')).toBeGreaterThan(minutes('firm') + 2);
  });
  test('leaves pasta four tenths of a gram of sauce for a gram, with the cream that joins at the end; or what covers it, or what it drinks', () => {
    const cream = board(
      'one-pot-pasta',
      { food: 'penne', g: 400 },
      { food: 'cream-heavy', g: 120 },
      { food: 'broth', g: 800 },
    );
    const dry = board('one-pot-pasta', { food: 'penne', g: 400 }, { food: 'broth', g: 800 });
    for (const d of [cream, dry, demoDish('beef-beetroot-dill-pasta')]) {
      const p = plan(d, hut);
      const grams = setUp(d, hut).g.grain!.grams;
      const bound = p.liquid.addMl <= p.liquid.bounds!.leastMl + 5;
      // A tenth of a gram stays loose under the lid, else the pasta would have drunk more.
      const drinks = Math.abs(p.pasta!.freeSauceG / grams - 0.1) < 0.01;
      if (!bound && !drinks) expect(Math.abs(p.pasta!.sauceG! / grams - 0.4)).toBeLessThan(0.02);
      else expect(p.pasta!.sauceG! / grams).toBeGreaterThan(0.38);
    }
    // The cream is sauce: so much less stands free under the lid.
    expect(plan(cream, hut).pasta!.freeSauceG).toBeLessThan(plan(dry, hut).pasta!.freeSauceG - 80);
  });
  test('sets the grams of sauce that a cook asks for', () => {
    for (const sauce of [20, 120])
      for (const dish of [turkeyRice(), demoDish('beef-beetroot-dill-pasta')]) {
        const p = plan(wanting(dish, { ledger: { sauce } }), hut);
        expect(Math.abs((p.grain ?? p.pasta)!.freeSauceG - sauce)).toBeLessThan(6);
      }
  });
  test('grain that is only to be moist is not drowned for its sauce', () => {
    const moist = board(
      'one-pot-grain',
      { food: 'rice-long', g: 300 },
      { food: 'tomato-sauce', g: 500, joins: 'stack' },
      { food: 'broth' },
    );
    const { sauceShare } = setUp(moist, hut).g;
    const g = plan(moist, hut).grain!;
    expect(g.textureIndex).toBeLessThan(aimIndexOf(findFood('rice-long').grain!, 'fluffy') + 3.6);
    expect(g.freeShare).toBeLessThan(sauceShare + 0.008);
  });
  test('that no amount can give is said, and the pot is not flooded for it', () => {
    const undone = wanting(plainRice(), { holdMin: 0, release: { kind: 'quick' } }, 'soft');
    expect(codes(undone).some((c) => c === 'texture-missed' || c === 'hard-core')).toBe(true);
    const p = plan(undone, hut);
    expect(p.grain!.freeShare).toBeLessThan(0.25);
    expect(codes(plainRice())).not.toContain('texture-missed');
    const wet = board(
      'plain-grain',
      { food: 'rice-long', g: 200 },
      { food: 'zucchini', g: 1200, joins: 'stack' },
      { food: 'water' },
    );
    const drowned = plan(wanting(wet, {}, 'firm'), hut);
    // No more than the pot needs for its steam.
    expect(drowned.liquid.addMl).toBeLessThanOrEqual(drowned.liquid.bounds!.leastMl + 5);
    expect(drowned.warnings.map((w) => w.code)).toContain('wetter-by-minimum');
  });
  test('of a dish without a starch: what the pot needs to make steam, or the sauce that is wanted', () => {
    const least = pots.find((p) => p.id === hut.potId)!.minimumLiquidMl[0];
    const roots = board('steamed-side', { food: 'potato', g: 600 }, { food: 'water' });
    const free = 600 * findFood('potato').free[0];
    // The minimum is met within 3 %.
    expect(plan(roots, hut).liquid.addMl).toBe(Math.ceil((0.97 * least - free) / 5) * 5);
    const stew: Thing[] = [
      { food: 'beef-stew', g: 2000, prep: { thicknessMm: 30 } },
      { food: 'onion', g: 300 },
    ];
    const dish = board('casserole', ...stew, { food: 'broth', g: 300 });
    const { g, src } = setUp(dish, hut);
    const given = src.fromItems.reduce((s, x) => s + x.grams, 0);
    const sauce = (g.sauceShare * finishedMass(g, 0) - given + src.filmG) / (1 - g.sauceShare) / src.mainWaterPerMl;
    const needed =
      0.97 * least -
      g.items.filter((i) => !i.main && i.joins === 'stack').reduce((s, i) => s + i.grams * i.food.thin[0], 0);
    expect(plan(dish, hut).liquid.addMl).toBe(sauce > needed ? roundMl(sauce) : Math.ceil(needed / 5) * 5);
  });
  test('five millilitres is what a jug shows', () => {
    expect([0, 2.4, 2.5, 7.6, 481].map(roundMl)).toEqual([0, 0, 5, 10, 480]);
  });
});

describe('the program', () => {
  test('a cooker with programs runs one of its own, and only those of the pressure that was asked for', () => {
    const kitchen = { ...hut, potId: 'program-5' };
    const own = pots.find((p) => p.id === 'program-5')!.programs!;
    const ran = (d: Dish) => {
      const { pressure, holdMin } = plan(d, kitchen).program;
      return own.filter((p) => p.pressure === pressure && p.holdMin === holdMin).length;
    };
    expect(ran(turkeyRice())).toBeGreaterThan(0);
    for (const pressure of ['high', 'low'] as const) {
      const p = plan(wanting(turkeyRice(), { pressure }), kitchen);
      expect(p.program.pressure).toBe(pressure);
      expect(own.filter((x) => x.pressure === pressure).map((x) => x.holdMin)).toContain(p.program.holdMin);
    }
  });
  test('what the coarse search let pass is lengthened by minutes, but never what the cook has set', () => {
    const slab = (mm: number): Dish => {
      const d = turkeyRice();
      d.ingredients[1] = { ...d.ingredients[1]!, prep: { shape: 'slab', thicknessMm: mm } };
      return d;
    };
    for (let mm = 20; mm <= 32; mm += 1.5) expect(plan(slab(mm), hut).meats[0]!.ok).toBe(true);
    const raw = plan(wanting(slab(32), { holdMin: 0, release: { kind: 'quick' }, firstStage: false }), hut);
    expect([raw.program.holdMin, raw.meats[0]!.ok]).toEqual([0, false]);
  });
});

describe('who gets a first stage', () => {
  const slow = (d: Dish): string[] | null => plan(d, hut).firstStage?.slow ?? null;
  const dish = (family: Dish['family'], ...things: Thing[]): Dish =>
    board(
      family,
      ...things,
      { food: family === 'risotto' ? 'rice-arborio' : 'rice-basmati', g: 300 },
      { food: 'broth' },
    );
  const lamb: Thing = { food: 'lamb-leg', g: 500, prep: { thicknessMm: 35 } };
  test('stew cuts that no hold of this grain makes tender, in a family that is cooked so', () => {
    expect(slow(dish('biryani', lamb))).toEqual(['lamb-leg']);
    expect(slow(dish('risotto', lamb))).toEqual(['lamb-leg']);
    expect(slow(dish('plain-grain', lamb))).toBeNull();
    expect(codes(dish('plain-grain', lamb))).toContain('meat-tough');
    expect(slow(dish('biryani', { food: 'chicken-thigh', g: 500 }))).toBeNull();
    expect(slow(dish('biryani', { ...lamb, prep: { state: 'cooked' } }))).toBeNull();
    // Barley wants nearly as long as the meat.
    expect(slow(demoDish('venison-juniper-barley'))).toBeNull();
  });
  test('the cook may ask for one, or for none', () => {
    expect(slow(wanting(dish('biryani', lamb), { firstStage: false }))).toBeNull();
    expect(slow(wanting(dish('plain-grain', lamb), { firstStage: true }))).toEqual(['lamb-leg']);
    const birds = dish(
      'biryani',
      { food: 'chicken-thigh', g: 300, prep: { thicknessMm: 20 } },
      { food: 'turkey-thigh', g: 300, prep: { thicknessMm: 34 } },
      { food: 'chicken-cooked', g: 200, prep: { thicknessMm: 50 } },
    );
    // Without a stew cut it is the thickest raw meat that is meant.
    expect(slow(wanting(birds, { firstStage: true }))).toEqual(['turkey-thigh']);
    expect(
      slow(
        wanting(dish('biryani', lamb, { food: 'chicken-thigh', g: 300, prep: { thicknessMm: 60 } }), {
          firstStage: true,
        }),
      ),
    ).toEqual(['lamb-leg']);
    expect(slow(wanting(plainRice(), { firstStage: true }))).toBeNull();
  });
  test('only the meat that needs it is told to be slow', () => {
    const p = plan(dish('biryani', lamb, { food: 'chicken-thigh', g: 300, prep: { thicknessMm: 20 } }), seaLevel);
    expect(p.firstStage!.slow).toEqual(['lamb-leg']);
    expect(p.meats.find((m) => m.ingredient === 'lamb-leg')!.texture).toBe('tender');
  });
});
