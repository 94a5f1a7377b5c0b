import { foods } from '../src/food/find';
import { calmSamples } from '../src/pot/leap';
import { potProfile } from '../src/pot/own-pot';
import { drinksG } from '../src/grain/clock';
import { gather } from '../src/plan/gather/gather';
import { outcomeWith } from '../src/plan/judge/runs';
import { plan } from '../src/plan/plan';
import { defaultThicknessMm } from '../src/plan/gather/shape';
import { warmFinishMin } from '../src/plan/setup/finish-minutes';
import { geometryOf, liquidBounds } from '../src/plan/setup/bounds';
import { setUp } from '../src/plan/setup/setup';
import { assemble } from '../src/plan/write/assemble';
import { openedMixture, stirIn } from '../src/plan/write/mixing';
import { cookWith } from '../src/plan/judge/runs';
import { findFood } from '../src/food/find';
import { board, itemOf } from './helpers/board';
import { seaLevel } from './helpers/dishes';

/* Rules of judgement that no other test would miss; `npm run bench -- rules` takes each away in turn and wants a failure. */

test('twice the weight of a piece is the cube root of two of its thickness', () => {
  const breast = findFood('chicken-breast');
  expect(defaultThicknessMm(breast, 340) / defaultThicknessMm(breast, 170)).toBeCloseTo(2 ** (1 / 3), 6);
});

test('a cube on the bed is nearly as warm as one on the rack: only one of its six faces lies on grain', () => {
  const core = (place: 'top' | 'rack'): number =>
    cookWith(
      setUp(
        board(
          'one-pot-grain',
          { food: 'chicken-breast', g: 300, place, prep: { shape: 'cube', thicknessMm: 35 } },
          { food: 'rice-long', g: 300 },
          { food: 'broth', g: 400 },
        ),
        seaLevel,
      ),
      400,
      { pressure: 'high', holdMin: 8, release: { kind: 'quick' } },
    ).meats[0]!.nominal.openCoreC;
  expect(Math.abs(core('top') - core('rack'))).toBeLessThan(10);
});

test('the least liquid covers the starch: no more than 15 % of pasta may peek', () => {
  const setup = setUp(board('one-pot-pasta', { food: 'penne', g: 600 }, { food: 'broth', g: 500 }), seaLevel);
  const { leastMl, leastBy } = liquidBounds(setup);
  expect(leastBy).toBe('covers-starch');
  expect(geometryOf(setup, leastMl).dryGrainShare).toBeLessThanOrEqual(0.15);
  expect(geometryOf(setup, leastMl - 50).dryGrainShare).toBeGreaterThan(0.15);
});

test('frozen food takes the heat of its ice: T = (sum m c T - latent heat) / sum m c', () => {
  const dish = board(
    'risotto',
    { food: 'rice-arborio', g: 300 },
    { food: 'peas-frozen', g: 300 },
    { food: 'broth', g: 900 },
  );
  const setup = setUp(dish, seaLevel);
  const run = cookWith(setup, 900, { pressure: 'high', holdMin: 5, release: { kind: 'quick' } });
  const hot = openedMixture(run.potRun, setup.pot, 0);
  const item = itemOf(setup.g, 'peas-frozen');
  const { tempC, heatJPerK } = hot.state;
  // Heat of fusion of ice 333.6 kJ/kg, nine tenths of the water frozen; frozen food has about .55 of its heat capacity.
  const cp = item.food.cpKjPerKgK[0] * 1000;
  const fromIce = 0.3 * (333_600 * 0.9 * item.food.water[0] + 0.55 * cp * 18);
  const wanted = (heatJPerK * tempC - fromIce) / (heatJPerK + 0.3 * cp);
  expect(stirIn(hot, [{ item, grams: 300, tempC: -18 }]).state.tempC).toBeCloseTo(wanted, 6);
});

test('a little raw seafood cooks in the heat that is there; much of it is heated to its minimum', () => {
  const step = (shrimpG: number) =>
    plan(
      board('one-pot-pasta', { food: 'penne', g: 300 }, { food: 'broth', g: 600 }, { food: 'shrimp', g: shrimpG }),
      seaLevel,
    ).finish.find((f) => f.code === 'seafood')!;
  expect(step(150)).toMatchObject({ heat: 'keep-warm', lidOn: true, minimumC: 63 });
  expect(step(1200)).toMatchObject({ heat: 'saute', minimumC: 63 });
  expect(step(1200).minutes).toBeGreaterThan(step(150).minutes!);
});

// Published minimum temperatures of public food-safety authorities, recalled: degC.
test('poultry is done at 74, mince and egg at 71, whole cuts, fish and shellfish at 63, game at 71', () => {
  const wrong = foods.flatMap(({ id, meat }) => {
    if (!meat) return [];
    const { species, cut, safeMinimumC } = meat;
    const isReheated = cut === 'cooked';
    const wanted =
      species === 'poultry' || isReheated
        ? 74
        : cut === 'ground' || species === 'egg' || species === 'game' || (cut === 'cured' && id !== 'ham')
          ? 71
          : 63;
    return safeMinimumC[0] === wanted ? [] : [[id, safeMinimumC[0], wanted]];
  });
  expect(wrong).toEqual([]);
});

test('the starch drinks on while what joins at the end is warmed: its minutes add up', () => {
  const minutes = (...late: string[]): number =>
    warmFinishMin(
      gather(board('one-pot-pasta', { food: 'penne' }, { food: 'broth', g: 500 }, ...late.map((food) => ({ food })))),
    );
  expect(minutes()).toBe(0);
  expect(minutes('cream-heavy')).toBe(1);
  expect(minutes('shrimp', 'peas-frozen', 'cream-heavy')).toBe(10);
});

test('film that is stirred into a risotto with its cream is sauce again', () => {
  const setup = setUp(
    board('risotto', { food: 'rice-arborio', g: 300 }, { food: 'broth', g: 900 }, { food: 'cream-heavy', g: 100 }),
    seaLevel,
  );
  const out = outcomeWith(setup, 900, { pressure: 'high', holdMin: 5, release: { kind: 'quick' } });
  const wet = out.clock.freeG + 100;
  const drinks = drinksG(setup.g.grain!.food.grain!, { rawG: 300, moisture: out.clock.moisture }, 80, 1);
  expect(out.sauceG).toBeCloseTo(wet + setup.src.filmG - Math.min(drinks, 0.5 * wet), 6);
});

test('tomatoes fried to mush bring their free juice and four tenths of the rest', () => {
  const dish = board(
    'one-pot-grain',
    { food: 'oil-olive', g: 20 },
    { food: 'tomato', g: 300, joins: 'fry' },
    { food: 'rice-long', g: 300 },
    { food: 'broth', g: 400 },
  );
  const { free, released } = findFood('tomato');
  const row = plan(dish, seaLevel).liquid.ledger.find((r) => r.item === 'from:tomato')!;
  expect(Math.abs(row.grams)).toBeCloseTo(300 * (free[0] + 0.4 * released[0]), 6);
});

describe('salt is counted over what is eaten', () => {
  test('a steamed side is salted at the table, an egg in its shell not at all', () => {
    const side = (...more: string[]) =>
      plan(
        board(
          'steamed-side',
          { food: 'potato', g: 500 },
          { food: 'water', g: 300 },
          ...more.map((food) => ({ food, g: 220 })),
        ),
        seaLevel,
      ).salt;
    expect(side().addG).toBe(0);
    expect(side().tableG).toBeGreaterThan(3);
    // Four eggs would take two grams by their weight; they bring .8 of their own.
    expect(side('egg').tableG).toBeLessThanOrEqual(side().tableG);
  });
  test('the rice of a bowl and the stew under it are salted as one meal', () => {
    const salt = (stewG: number): number =>
      plan(
        board(
          'pot-in-pot',
          { food: 'beef-stew', g: stewG },
          { food: 'tomato-crushed-canned', g: 300 },
          { food: 'rice-basmati', g: 250, place: 'inner-bowl' },
          { food: 'water', g: 300, place: 'inner-bowl' },
        ),
        seaLevel,
      ).salt.addG;
    // .9 % of another 400 g, less the .15 % that beef has of its own [the table].
    expect(salt(900) - salt(500)).toBeGreaterThan(2);
  });
});

test('layers that come in turn are built one by one', () => {
  const dish = board(
    'layered-pasta',
    { food: 'lasagne-sheet', g: 200 },
    { food: 'beef-ground', g: 400 },
    { food: 'tomato-crushed-canned', g: 500 },
    { food: 'cheese-soft', g: 200 },
    { food: 'water', g: 250 },
  );
  expect(plan(dish, seaLevel).steps.filter((s) => s.text === 'stack-layer').length).toBeGreaterThan(5);
});

describe('the base', () => {
  const rice = (stirredDown: boolean) =>
    plan(
      {
        ...board(
          'one-pot-grain',
          { food: 'oil-olive', g: 20 },
          { food: 'rice-long', g: 300, prep: { coated: true } },
          { food: 'tomato-crushed-canned', g: 300 },
          { food: 'broth', g: 350 },
        ),
        overrides: { stirredDown },
      },
      seaLevel,
    ).scorch;
  test('tomato stirred into the starch there is watched; spread on top it is not', () => {
    expect(rice(true).reasons).toContainEqual(
      expect.objectContaining({ code: 'tomato-and-starch-mixed', points: 1.5 }),
    );
    expect(rice(true).level).not.toBe('low');
    expect(rice(false).level).toBe('low');
  });
  test('a spoon of paste among the barley is no layer of tomato; a whole tube of it is one', () => {
    const barley = (g: number) =>
      plan(
        board(
          'risotto',
          { food: 'butter', g: 15 },
          { food: 'barley-pearl', g: 250 },
          { food: 'tomato-paste', g },
          { food: 'broth', g: 900 },
        ),
        seaLevel,
      ).scorch.reasons.find((r) => r.code === 'tomato-and-starch-mixed')!.points;
    expect(barley(15)).toBeLessThan(0.5);
    expect(barley(30)).toBeCloseTo(2 * barley(15), 6);
    expect(barley(150)).toBe(1.5);
  });
  test('every minute over five of full heat between 80 degC and the countdown is a tenth of a point', () => {
    const soup = (ml: number) =>
      plan(board('noodle-soup', { food: 'orzo', g: 150 }, { food: 'broth', g: ml }), seaLevel).scorch.reasons.find(
        (r) => r.code === 'long-heat-up',
      );
    expect(soup(800)).toBeUndefined();
    expect(soup(2800)!.points).toBeGreaterThan(0.15);
  });
});

test('a light pot on a strong plate takes shorter steps than a full one', () => {
  const samples = (waterKg: number): number =>
    calmSamples({ dryJPerK: 200, waterKg, pot: potProfile({ id: 'stovetop-6' }) }, 1);
  expect(samples(3)).toBe(10);
  expect(samples(0.03)).toBeLessThan(5);
});

test('a number that is none does not leave the core: the plan is refused by its field', () => {
  const setup = setUp(board('plain-grain', { food: 'rice-long', g: 300 }, { food: 'water', g: 400 }), seaLevel);
  const run = cookWith(setup, 400, { pressure: 'high', holdMin: 3, release: { kind: 'quick' } });
  const written = (addMl: number) =>
    assemble({
      run: { ...run, addMl },
      mode: 'evaluate',
      texture: 'fluffy',
      missed: false,
      own: run,
      bounds: null,
      topUpMl: 0,
      heldPasta: null,
    });
  expect(written(400).liquid.addMl).toBe(400);
  expect(() => written(NaN)).toThrow(expect.objectContaining({ code: 'not-a-number' }));
});
