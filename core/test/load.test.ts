import type { Family } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { slowestTimeS, shapeExponent } from '../src/meat/geometry';
import type { PanRun } from '../src/plan/setup/pan';
import { gather } from '../src/plan/gather/gather';
import { type Gathered } from '../src/plan/gather/item';
import { depthCm, isSlow, loadOf, type HotAlready } from '../src/plan/setup/load';
import { waterSources } from '../src/plan/setup/sources';
import type { Load } from '../src/pot/state';
import { board, itemOf, type Thing } from './helpers/board';

/* What stands in the pot when the lid is locked, and how warm each thing is, by hand. */
const of = (family: Family, ...things: Thing[]): Gathered => gather(board(family, ...things));
const rice: Thing = { food: 'rice-long', g: 300 };
const water: Thing = { food: 'water', g: 500 };
const dry = (g: Gathered) => ({ ...waterSources(g), soakG: 0, clingG: 0 });
interface Set {
  addMl?: number;
  pan?: PanRun | null;
  hot?: HotAlready | null;
  outerMl?: number;
}
const load = (g: Gathered, x: Set = {}): Load =>
  loadOf({ g, src: dry(g), outerMl: x.outerMl ?? 0, pan: x.pan ?? null }, x.addMl ?? 500, x.hot ?? null);
/** grams and degrees of everything that follows the pot at once, and of what lags behind it */
const thin = (l: Load): [number, number][] => l.thin.map((i) => [Math.round(i.massKg * 1e4) / 10, i.tempC]);
const slow = (l: Load): [number, number][] => l.slow.map((i) => [Math.round(i.massKg * 1e4) / 10, i.tempC]);
const waterG = (ml: number): number => Math.round(ml * findFood('water').bulkGPerMl[0] * 10) / 10;
const pan: PanRun = { baseC: 131, foodC: 88, reducedG: 0, reduceMin: 0, steps: [] };

describe('from cold', () => {
  test('the grain and its water from the shelf, what clings to it, the water under a bowl; walls at room temperature', () => {
    const g = of('plain-grain', rice, water);
    const l = load(g);
    expect(thin(l)).toEqual([
      [300, 20],
      [waterG(500), 20],
    ]);
    expect([l.slow, l.wallC, l.baseC, l.lidC]).toEqual([[], 21, 21, 21]);
    const wet = loadOf({ g, src: { ...dry(g), soakG: 40, clingG: 25 }, outerMl: 250, pan: null }, 500);
    expect(thin(wet).slice(2)).toEqual([
      [65, 20],
      [250, 20],
    ]);
  });
  test('each with its own heat, water and density, in the units of the pot', () => {
    const food = findFood('rice-long');
    expect(load(of('plain-grain', rice, water)).thin[0]).toEqual({
      massKg: 0.3,
      cpJPerKgK: 1000 * food.cpKjPerKgK[0],
      water: food.water[0],
      densityKgPerM3: 1000 * food.densityGPerMl[0],
      tempC: 20,
    });
  });
  test('milk comes from the fridge, hot broth from the kettle; what is not poured is not there', () => {
    const g = of('plain-grain', rice, { food: 'milk', g: 100, joins: 'stack' }, { food: 'broth', prep: { hot: true } });
    expect(thin(load(g)).map(([, c]) => c)).toEqual([4, 20, 90]);
    expect(thin(load(g, { addMl: 0 }))).toHaveLength(2);
  });
  test('what joins at the end or tops the dish is not under the lid', () => {
    const g = of('one-pot-grain', rice, water, { food: 'spinach' }, { food: 'nuts' });
    expect(thin(load(g))).toHaveLength(2);
  });
});

describe('pieces that lag behind', () => {
  test('muscle of a centimetre and more, never mince; roots from a centimetre on', () => {
    const lags = (thing: Thing): boolean => {
      const g = of('one-pot-grain', thing, rice, water);
      return isSlow(g, itemOf(g, thing.food));
    };
    const cut = (food: string, thicknessMm: number): Thing => ({ food, prep: { thicknessMm } });
    expect([10, 9].map((mm) => lags(cut('chicken-thigh', mm)))).toEqual([true, false]);
    expect(lags(cut('beef-ground', 30))).toBe(false);
    expect([10, 9].map((mm) => lags(cut('potato', mm)))).toEqual([true, false]);
    expect(lags({ ...cut('onion', 30), joins: 'stack' })).toBe(false);
  });
  test('raw from the fridge, fried through once, roots from the shelf; time by thickness and shape', () => {
    const g = of(
      'one-pot-grain',
      { food: 'chicken-thigh', g: 500, joins: 'stack', prep: { thicknessMm: 24, shape: 'slab' } },
      { food: 'turkey-thigh', g: 400, prep: { thicknessMm: 20 } },
      { food: 'potato', g: 300, prep: { thicknessMm: 20 } },
      rice,
      water,
    );
    const l = load(g, { pan });
    expect(slow(l)).toEqual([
      [500, 4],
      [400, 35],
      [300, 20],
    ]);
    expect(l.slow[0]!.tauS).toBeCloseTo(0.85 * slowestTimeS(0.024, shapeExponent('slab')), 9);
    expect(l.slow[0]!.densityKgPerM3).toBeCloseTo(1000 * findFood('chicken-thigh').densityGPerMl[0], 9);
  });
  test('frozen it starts so much colder that thawing is paid for: 266 kJ/kg over 3.54 kJ/kgK under the fridge', () => {
    const g = of('one-pot-grain', { food: 'chicken-thigh', prep: { thicknessMm: 24, state: 'frozen' } }, rice, water);
    const [piece] = load(g).slow;
    expect(piece!.tempC).toBeCloseTo(4 - 266 / 3.54, 9);
    expect(piece!.tauS).toBeCloseTo(slowestTimeS(0.024, shapeExponent('slab')), 9);
  });
  test('rice in a bowl lags behind the pot through its wall, with its water; the stew under it does not', () => {
    const g = of('pot-in-pot', { food: 'tomato-sauce', g: 400 }, rice, { food: 'water', place: 'inner-bowl' });
    const l = load(g, { addMl: 300, outerMl: 200 });
    expect(slow(l)).toEqual([
      [300, 20],
      [waterG(300), 20],
    ]);
    expect(l.slow.every((i) => i.tauS === 150)).toBe(true);
    expect(l.slow[0]!.cpJPerKgK).toBeCloseTo(1000 * findFood('rice-long').cpKjPerKgK[0], 9);
    expect(l.slow[0]!.densityKgPerM3).toBeCloseTo(1000 * findFood('rice-long').densityGPerMl[0], 9);
    expect(thin(l)).toEqual([
      [400, 20],
      [200, 20],
    ]);
  });
});

describe('after the pan', () => {
  const g = of('one-pot-grain', { food: 'onion', g: 150 }, rice, water);
  test('what was fried and 120 mL that loosened the base are as warm as the pan, the rest comes from the jug', () => {
    const l = load(g, { pan });
    expect(thin(l)).toEqual(
      [
        [300, 20],
        [150, 88],
        [waterG(120), 88],
        [Math.round((waterG(500) - waterG(120)) * 10) / 10, 20],
      ].map(([grams, c]) => [expect.closeTo(grams!, 0), c]),
    );
    expect([l.wallC, l.baseC, l.lidC]).toEqual([88, 131, 21]);
    // Where less is poured, all of it went into the pan.
    expect(thin(load(g, { pan, addMl: 100 })).slice(2)).toEqual([[waterG(100), 88]]);
  });
  test('fried, but nobody told how warm the pan was left', () => expect(thin(load(g))[1]).toEqual([150, 75]));
});

describe('after a run under the lid', () => {
  const g = of(
    'one-pot-grain',
    { food: 'lamb-leg', g: 600, prep: { thicknessMm: 30 } },
    { food: 'tomato-sauce', g: 200 },
    rice,
    water,
  );
  const hot: HotAlready = { items: new Set(['lamb-leg', 'tomato-sauce']), liquidMl: 200 };
  test('what was in it is hot, pieces too; its liquid is hot and the rest is cold, the wall and the lid are warm', () => {
    const l = load(g, { hot });
    expect(l.slow).toEqual([]);
    expect(thin(l)).toEqual([
      [300, 20],
      [200, 92],
      [600, 92],
      [expect.closeTo(waterG(200), 0), 92],
      [expect.closeTo(waterG(300), 0), 20],
    ]);
    expect([l.wallC, l.baseC, l.lidC]).toEqual([92, 100, 60]);
  });
  test('how warm it stands is told where it is known', () => {
    const l = load(g, { hot: { ...hot, standC: 71 } });
    expect([...new Set(thin(l).map(([, c]) => c))].sort()).toEqual([20, 71]);
    expect([l.wallC, l.baseC]).toEqual([71, 71]);
  });
  test('all of the liquid, and none of it', () => {
    expect(thin(load(g, { hot: { ...hot, liquidMl: 900 } })).slice(3)).toEqual([[waterG(500), 92]]);
    expect(thin(load(g, { hot: { ...hot, liquidMl: 0 } })).slice(3)).toEqual([[waterG(500), 20]]);
  });
});

test('the bed is as deep as the volumes on the base, without what lies over it on a rack', () => {
  const flat = of('rack-over-grain', rice, water);
  const volume = 300 / findFood('rice-long').densityGPerMl[0] + waterG(500) / findFood('water').densityGPerMl[0];
  expect(depthCm(flat, load(flat), 380)).toBeCloseTo(volume / 380, 3);
  const over = of(
    'rack-over-grain',
    { food: 'chicken-thigh', g: 600, joins: 'stack', prep: { thicknessMm: 25 } },
    rice,
    water,
  );
  expect(itemOf(over, 'chicken-thigh').joins).toBe('stack');
  expect(depthCm(over, load(over), 380)).toBeCloseTo(volume / 380, 3);
  const inside = of(
    'one-pot-grain',
    { food: 'chicken-thigh', g: 600, joins: 'stack', prep: { thicknessMm: 25 } },
    rice,
    water,
  );
  const meatMl = 600 / findFood('chicken-thigh').densityGPerMl[0];
  expect(depthCm(inside, load(inside), 380)).toBeCloseTo((volume + meatMl) / 380, 3);
});
