import type { Dish, Family } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import type { FryStep } from '../src/plan/document/steps';
import type { MeatVerdict, PlantVerdict } from '../src/plan/document/verdicts';
import { gather } from '../src/plan/gather/gather';
import { plan } from '../src/plan/plan';
import type { Run } from '../src/plan/judge/run';
import { releaseAdvice } from '../src/plan/judge/release';
import { warningsOf } from '../src/plan/write/warnings';
import { pots } from '../src/pot/profile';
import { steamC } from '../src/water/atmosphere';
import { board, type Thing } from './helpers/board';
import { demoDish } from './helpers/demo';
import { hut, plainRice, turkeyRice } from './helpers/dishes';

/* What the cook is told before the lid locks: each word by what brings it about, on both sides of its limit. */

describe('warnings of whole plans', () => {
  const worst = (dish: Dish, kitchen = hut) => plan(dish, kitchen).warnings.map((w) => [w.severity, w.code]);
  test('stops come first, and the manual is always named', () => {
    const d = turkeyRice({ overrides: { holdMin: 0, release: { kind: 'quick' } } }, 2600);
    const list = worst(d);
    const rank = list.map(([s]) => ['stop', 'caution', 'info'].indexOf(s!));
    expect(rank).toEqual([...rank].sort((a, b) => a - b));
    expect(list).toContainEqual(['stop', 'over-full']);
    expect(list.at(-1)).toEqual(['info', 'manual']);
  });
  test('altitude is told from 300 m on', () => {
    const told = (altitudeM: number): boolean =>
      worst(plainRice(), { ...hut, altitudeM }).some(([, c]) => c === 'altitude');
    expect([told(299), told(300)]).toEqual([false, true]);
  });
  test('rice over the water stops, pasta that peeks is only pressed under', () => {
    expect(worst(plainRice({ overrides: { liquidMl: 20 } }))).toContainEqual(['stop', 'grain-dry']);
    const pasta = demoDish('pork-fennel-bean-rigatoni');
    const shares = [100, 300, 500, 600, 610, 620, 640, 700, 900].map((liquidMl) =>
      worst({ ...pasta, overrides: { liquidMl } })
        .map(([, c]) => c)
        .filter((c) => c === 'pasta-peeks' || c === 'grain-dry'),
    );
    // From dry over peeking to covered, never back.
    expect([...new Set(shares.flat())]).toEqual(['grain-dry', 'pasta-peeks']);
    expect(shares.at(-1)).toEqual([]);
    expect(shares.findIndex((s) => s.length === 0)).toBeGreaterThan(shares.findLastIndex((s) => s.length > 0));
    expect(shares.every((s) => s.length <= 1)).toBe(true);
  });
  test('what is put under pressure though it curdles is named', () => {
    const d = { ...turkeyRice() };
    d.ingredients = [
      ...d.ingredients,
      { id: 'cream', food: 'cream-sour', amount: { value: 100, unit: 'g' }, joins: 'stack' },
    ];
    const w = plan(d, hut).warnings.find((x) => x.code === 'curdles')!;
    expect([w.severity, w.text.includes('cream')]).toEqual(['caution', true]);
    expect(plan(turkeyRice(), hut).warnings.some((x) => x.code === 'curdles')).toBe(false);
  });
});

type Context = Parameters<typeof warningsOf>[0];
type Outcome = NonNullable<Context['outcome']>;
const pot = pots.find((p) => p.id === hut.potId)!;

describe('each warning by itself', () => {
  const rice = gather(board('one-pot-grain', { food: 'rice-long' }, { food: 'broth' }));
  const pasta = gather(board('one-pot-pasta', { food: 'penne' }, { food: 'broth' }));
  const penneMin = findFood('penne').packetMin![0];
  const things = (family: Family, ...more: Thing[]) =>
    gather(board(family, { food: 'rice-long' }, { food: 'broth' }, ...more));
  const calm = {
    fillFraction: 0.4,
    limitFraction: 2 / 3,
    foamFraction: 0.5 as number | null,
    shares: { starch: 0.3, liquid: 0.5, other: 0.2 },
    dryGrainShare: 0,
    thinLiquidMl: pot.minimumLiquidMl[0],
    bowlFraction: 0,
  };
  const run = { neverSealed: false, dry: false };
  const meat = {
    ingredient: 'm',
    ok: true,
    texture: 'juicy',
    kind: 'cook',
    cautiousCoreC: 80,
    safeMinimumC: 74,
  } as MeatVerdict;
  const fry = (minutes: number, more: Partial<FryStep> = {}): FryStep =>
    ({ ingredient: 'f', minutes, takeOut: false, ...more }) as FryStep;
  interface Change extends Partial<Omit<Context, 'geo' | 'potRun' | 'outcome'>> {
    geo?: Partial<typeof calm>;
    run?: Partial<typeof run>;
    done?: number;
    /** times the packet's minutes */
    x?: number;
  }
  const told = (c: Change = {}): string[] => {
    const { geo, run: r, done, x, ...rest } = c;
    const list = warningsOf({
      g: rice,
      pot,
      altitudeM: 0,
      plants: [],
      meats: [],
      fry: [],
      finish: [],
      scorch: 'low',
      chance: 1,
      spray: 0,
      grainBand: null,
      topUpMl: 0,
      bounds: null,
      curdles: [],
      missed: false,
      boundBy: null,
      heldPasta: null,
      ...rest,
      geo: { ...calm, ...geo } as Context['geo'],
      potRun: { ...run, ...r },
      outcome:
        done === undefined && x === undefined
          ? null
          : ({ texture: { done }, slowing: 1, clock: { equivalentMin: (x ?? 1) * penneMin } } as Outcome),
    });
    return list.map((x) => `${x.severity} ${x.code}`);
  };
  const only = ['info manual'];

  test('a calm pot is told only of its manual', () => expect(told()).toEqual(only));
  const rows: [string, Change, string, Change][] = [
    ['seals', { run: { neverSealed: true } }, 'stop never-seals', { run: { neverSealed: false } }],
    ['boils dry', { run: { dry: true } }, 'stop boils-dry', { run: { dry: false } }],
    ['fill', { geo: { fillFraction: 0.68 } }, 'stop over-full', { geo: { fillFraction: 0.5 } }],
    ['foam', { geo: { fillFraction: 0.51 } }, 'caution foam-line', { geo: { fillFraction: 0.51, foamFraction: null } }],
    ['hardly any liquid', { geo: { thinLiquidMl: 119 } }, 'stop liquid-far-short', {}],
    ['seldom as wanted', { chance: 0.29 }, 'caution poor-chance', { chance: 0.31 }],
    ['spray', { spray: 0.07 }, 'caution spray', { spray: 0.05 }],
    ['mush', { done: 1, grainBand: 'mushy' }, 'caution mush', { done: 1, grainBand: 'soft' }],
    ['pasta past its minutes', { g: pasta, x: 1.7 }, 'caution pasta-past', { g: pasta, x: 1.5 }],
    ['pasta short of them', { g: pasta, x: 0.8 }, 'caution hard-core', { g: pasta, x: 0.9 }],
    [
      'roots gone to pieces',
      { plants: [{ ingredient: 'p', verdict: 'soft', softShare: 1.5 } as PlantVerdict] },
      'caution plant-gone',
      { plants: [{ ingredient: 'p', verdict: 'soft', softShare: 1.1 } as PlantVerdict] },
    ],
    [
      'raw at the end',
      { g: things('one-pot-grain', { food: 'chicken-breast', joins: 'finish' }) },
      'stop raw-at-finish',
      { g: things('one-pot-grain', { food: 'spinach', joins: 'finish' }) },
    ],
    [
      'a frozen lump',
      { g: things('one-pot-grain', { food: 'beef-ground', prep: { state: 'frozen' } }) },
      'caution frozen-lump',
      { g: things('one-pot-grain', { food: 'beef-ground' }) },
    ],
    [
      'milk under pressure',
      { g: things('porridge', { food: 'milk' }) },
      'caution milk-under-pressure',
      { g: things('porridge', { food: 'milk', joins: 'finish' }) },
    ],
    ['topped up', { topUpMl: 150 }, 'info top-up', { topUpMl: 0 }],
    [
      'topped up for the sake of the time',
      { topUpMl: 150, bounds: { leastMl: 0, leastBy: 'nothing', mostMl: 900, mostBy: 'heat-up' } },
      'info top-up-for-time',
      { topUpMl: 0 },
    ],
    ['pasta that waits', { heldPasta: 'p' }, 'info pasta-held-back', { heldPasta: null }],
    ['too small a batch', { missed: true, boundBy: 'pot-minimum' }, 'caution wetter-by-minimum', {}],
    ['covered first', { missed: true, boundBy: 'covers-starch' }, 'info wetter-to-cover', {}],
    ['dry grain', { geo: { dryGrainShare: 0.06 } }, 'stop grain-dry', { geo: { dryGrainShare: 0.05 } }],
    [
      'pasta on the shore',
      { g: pasta, geo: { dryGrainShare: 0.3 } },
      'caution pasta-peeks',
      { g: pasta, geo: { dryGrainShare: 0.15 } },
    ],
    ['pasta that dries', { g: pasta, geo: { dryGrainShare: 0.31 } }, 'stop grain-dry', { g: pasta }],
    [
      'thin liquid',
      { geo: { thinLiquidMl: calm.thinLiquidMl * 0.96 } },
      'caution liquid-short',
      // The minimum is met within 3 %.
      { geo: { thinLiquidMl: calm.thinLiquidMl * 0.98 } },
    ],
    [
      'a hard root',
      { plants: [{ ingredient: 'p', verdict: 'hard' } as PlantVerdict] },
      'caution plant-hard',
      { plants: [{ ingredient: 'p', verdict: 'done' } as PlantVerdict] },
    ],
    ['the bowl', { geo: { bowlFraction: 0.67 } }, 'stop bowl-full', { geo: { bowlFraction: 2 / 3 } }],
    ['curdling', { curdles: ['yogurt'] }, 'caution curdles', { curdles: [] }],
    ['its minutes', { done: 0.84 }, 'caution hard-core', { done: 0.86 }],
    ['its texture', { missed: true }, 'caution texture-missed', { missed: false }],
    ['the base', { scorch: 'high' }, 'caution scorch', { scorch: 'low' }],
    ['the base, watched', { scorch: 'watch' }, 'caution scorch-watch', { scorch: 'low' }],
    ['frying', { fry: [fry(16), fry(15)] }, 'caution saute-ends', { fry: [fry(15), fry(13.5)] }],
    ['order', { fry: [fry(3, { trouble: 'burns' })] }, 'caution fry-burns', { fry: [fry(3)] }],
    ['height', { altitudeM: 300 }, 'info altitude', { altitudeM: 299 }],
  ];
  test.each(rows)('%s', (_, change, code, otherwise) => {
    expect([...told(change)].sort()).toEqual([code, ...only].sort());
    expect(told(otherwise)).toEqual(only);
  });
  test('the worst comes first, whatever was found first', () => {
    const hard = [{ ingredient: 'p', verdict: 'hard' } as PlantVerdict];
    expect(told({ altitudeM: 900, meats: [meat], plants: hard, geo: { bowlFraction: 0.7 }, missed: true })).toEqual([
      'stop bowl-full',
      'caution plant-hard',
      'caution texture-missed',
      'info thermometer',
      'info altitude',
      'info manual',
    ]);
  });
  test('meat: the thermometer always, a stop when it is under, a caution when it stays tough', () => {
    expect(told({ meats: [meat] })).toEqual(['info thermometer', ...only]);
    expect(told({ meats: [meat, { ...meat, ok: false }] }).at(0)).toBe('stop meat-under');
    expect(told({ meats: [{ ...meat, texture: 'tough' }] }).at(0)).toBe('caution meat-tough');
    expect(told({ meats: [{ ...meat, texture: 'dry' }] }).at(0)).toBe('caution meat-dry');
    expect(told({ meats: [{ ...meat, guessed: true }] }).at(0)).toBe('caution thickness-guessed');
    // A guess that could be wrong by a good deal without harm is said, and no alarm.
    const sure = { ...meat, guessed: true, cautiousCoreC: 94 };
    expect(told({ meats: [sure] })).toContain('info thickness-assumed');
    expect(told({ meats: [{ ...sure, cautiousCoreC: 93.9 }] })).toContain('caution thickness-guessed');
    // What is heated again is told in words of heating again, and what is hot needs no thermometer.
    expect(told({ meats: [{ ...meat, ok: false, kind: 'reheat' }] }).at(0)).toBe('caution reheat-short');
    expect(told({ meats: [{ ...meat, kind: 'none' }] })).toEqual(only);
    const two = warningsOf({ ...contextOf([meat, { ...meat, safeMinimumC: 63 }]) });
    const told74 = two.find((x) => x.code === 'thermometer')!;
    expect(told74.params!['minimum']).toBe(74);
    expect(told74.text).toContain('74 °C');
  });
  const contextOf = (meats: MeatVerdict[]): Context => ({
    g: rice,
    pot,
    altitudeM: 0,
    plants: [],
    meats,
    fry: [],
    finish: [],
    scorch: 'low',
    chance: 1,
    spray: 0,
    grainBand: null,
    topUpMl: 0,
    bounds: null,
    curdles: [],
    missed: false,
    boundBy: null,
    heldPasta: null,
    geo: calm as Context['geo'],
    potRun: run,
    outcome: null,
  });
  test('the numbers in the sentences are those of the pot', () => {
    const of = (change: Partial<Context>, code: string) =>
      warningsOf({ ...contextOf([]), ...change }).find((x) => x.code === code)!;
    const full = of({ geo: { ...calm, fillFraction: 0.714 } as Context['geo'] }, 'over-full');
    expect(full.params).toEqual({ fill: 71, limit: 67, starch: 30, water: 50, other: 20 });
    expect(full.text).toContain('71 %');
    const high = of({ altitudeM: 1180 }, 'altitude').params!['temp'] as number;
    expect(high).toBe(Number(steamC(pot.highKpa, 1180).toFixed(1)));
    const short = of({ geo: { ...calm, thinLiquidMl: 120.4 } as Context['geo'] }, 'liquid-short');
    expect(short.params).toEqual({ have: 120, minimum: pot.minimumLiquidMl[0] });
    expect(of({ fry: [fry(3, { trouble: 'steams' })] }, 'fry-steams').text).toContain('f goes in after wet');
  });
});

describe('what speaks for and against a release', () => {
  const meatOf = (thicknessMm: number, food = 'chicken-thigh') => ({ item: { thicknessMm, food: findFood(food) } });
  const say = (
    family: Family,
    things: Thing[],
    x: { fill?: number; waitMin?: number; meats?: ReturnType<typeof meatOf>[] } = {},
  ): string[] =>
    releaseAdvice({
      g: gather(board(family, ...things)),
      fill: x.fill ?? 0.3,
      run: { meats: x.meats ?? [] } as unknown as Run,
      naturalFullMin: x.waitMin ?? 10,
    }).map((a) => `${a.release} ${a.weight} ${a.code}`);
  const rice: Thing[] = [{ food: 'rice-long' }, { food: 'broth' }];
  const separate = ['quick against starch-sprays', 'natural for cooks-on-gently'];

  test('separate rice sprays and goes on cooking gently; a fuller pot says so instead', () => {
    expect(say('one-pot-grain', rice)).toEqual(separate);
    expect(say('one-pot-grain', rice, { fill: 0.5 })).toEqual(separate);
    expect(say('one-pot-grain', rice, { fill: 0.51 })).toEqual([
      'quick against full-and-starchy',
      'natural for cooks-on-gently',
    ]);
  });
  test('pasta stops by a quick release and runs past al dente in a natural one', () => {
    expect(say('one-pot-pasta', [{ food: 'penne' }, { food: 'broth' }])).toEqual([
      'quick against foam-at-the-valve',
      'quick for pasta-stops',
      'natural against past-al-dente',
    ]);
  });
  test('what foams is told before all else, as long as it is under the lid', () => {
    const foams = say('porridge', [{ food: 'oats-steel-cut' }, { food: 'water' }], { fill: 0.6 });
    expect(foams[0]).toBe('quick against foam-at-the-valve');
    expect(foams).not.toContain('quick against full-and-starchy');
    expect(foams).not.toContain('natural for only-time-is-lost');
    expect(say('one-pot-grain', [...rice, { food: 'milk', joins: 'stack' }])[0]).toBe(
      'quick against foam-at-the-valve',
    );
    expect(say('one-pot-grain', [...rice, { food: 'milk', joins: 'finish' }])).toEqual(separate);
    const stew: Thing[] = [{ food: 'beef-stew' }, { food: 'milk', joins: 'stack' }];
    expect(say('casserole', stew)).toEqual(['quick against foam-at-the-valve']);
  });
  test('a risotto is stirred anyway, so nothing speaks against the valve', () => {
    expect(say('risotto', [{ food: 'rice-arborio' }, { food: 'broth' }])).toEqual([
      'quick for stirred-anyway',
      'natural for cooks-on-gently',
    ]);
  });
  test('one large piece of muscle is enough; mince and small pieces lose nothing', () => {
    const juice = 'quick against large-pieces-lose-juice';
    const told = (...meats: ReturnType<typeof meatOf>[]) => say('one-pot-grain', rice, { meats });
    expect(told(meatOf(25), meatOf(10))).toContain(juice);
    expect(told(meatOf(24))).not.toContain(juice);
    expect(told(meatOf(40, 'beef-ground'))).not.toContain(juice);
  });
  test('without a starch only time is lost, and a long wait is said from a quarter of an hour on', () => {
    const stew = (waitMin: number) => say('casserole', [{ food: 'beef-stew' }, { food: 'broth' }], { waitMin });
    expect(stew(15)).toEqual(['natural for only-time-is-lost']);
    expect(stew(15.1)).toEqual(['natural against long-wait', 'natural for only-time-is-lost']);
  });
  test('rice in a bowl of its own sprays nothing', () => {
    const g = gather(demoDish('goat-curry-bowl-rice'));
    const told = releaseAdvice({ g, fill: 0.6, run: { meats: [] } as unknown as Run, naturalFullMin: 10 });
    expect(told.map((a) => a.code)).toEqual([]);
  });
});
