import { kitchenSchema } from '../src/dish/kitchen';
import { readDish } from '../src/dish/read';
import type { Dish } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { setUp } from '../src/plan/setup/setup';
import { sprayChance } from '../src/plan/judge/chance';
import { gather } from '../src/plan/gather/gather';
import { plan } from '../src/plan/plan';
import { outlook } from '../src/cook/outlook';
import { uncertainty } from '../src/plan/questions/uncertainty';
import { liquidBounds } from '../src/plan/setup/bounds';
import { holds } from '../src/plan/search/holds';
import { Search, type Fixed, type Near } from '../src/plan/search/search';
import type { Run } from '../src/plan/judge/run';
import { runOf } from '../src/plan/judge/runs';
import { better } from '../src/plan/judge/weigh';
import { heat, type Heated } from '../src/plan/simulate/heated';
import { targetE } from '../src/plan/setup/target';
import { pots } from '../src/pot/profile';
import type { Release } from '../src/pot/program';
import { board } from './helpers/board';
import { demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

/* The search for minutes and release: against trying everything, and its price by hand. */
const heated = (dish: Dish, addMl: number, kitchen = hut): Heated =>
  heat(setUp(dish, kitchen), { addMl, pressure: 'high', texture: dish.texture ?? 'fluffy' });
/** The search in one heated pot, with its liquid as it is unless something else is fixed. */
const searched = (h: Heated, fixed: Fixed = {}, only?: readonly number[], near: Near | null = null): Run =>
  new Search(h, { miss: null, bounds, fixed: { liquidMl: h.addMl, ...fixed } }, only).best(near);
const bounds = liquidBounds(setUp(plainRice(), seaLevel));
const releases: Release[] = [
  { kind: 'quick' },
  ...[2, 4, 6, 8, 10, 12, 15].map((naturalMin): Release => ({ kind: 'timed', naturalMin })),
  { kind: 'natural' },
];

describe('minutes that a starch wants', () => {
  const want = (dish: Dish, texture: 'firm' | 'fluffy' | 'soft' = 'fluffy') => targetE(gather(dish), texture, 400);
  const long = findFood('rice-long').grain!;
  const rice = (prep = {}): Dish => board('one-pot-grain', { food: 'rice-long', prep }, { food: 'broth' });
  test('the reference of the grain, from what cooks its core to where its band ends', () => {
    expect(want(rice())).toMatchObject({
      least: long.eMin[0],
      want: long.eRef[0],
      most: Math.min(long.eMax[0], long.eRef[0] * Math.exp(2 / 3)),
    });
    // 85 % done, 1 - exp(-2.5 E / least), is where the core stops being hard.
    expect(want(rice()).hard).toBeCloseTo((-Math.log(0.15) / 2.5) * long.eMin[0], 9);
    // Where water sets the texture, the wish takes no time.
    expect(want(rice(), 'soft')).toEqual(want(rice()));
  });
  test('a quarter less after a soak of half an hour, which bran does not let in', () => {
    expect(want(rice({ soakMin: 30 })).want).toBeCloseTo(0.75 * long.eRef[0], 9);
    expect(want(rice({ soakMin: 30 })).least).toBeCloseTo(0.75 * long.eMin[0], 9);
    expect(want(rice({ soakMin: 15 })).want).toBeCloseTo(0.875 * long.eRef[0], 9);
    const brown = board('one-pot-grain', { food: 'rice-brown-long', prep: { soakMin: 60 } }, { food: 'broth' });
    expect(want(brown).want).toBe(findFood('rice-brown-long').grain!.eRef[0]);
  });
  test('pasta and what stands in sauce take the wish in time', () => {
    const pasta = board('one-pot-pasta', { food: 'penne' }, { food: 'broth' });
    const ref = findFood('penne').grain!.eRef[0];
    expect(want(pasta).want).toBeCloseTo(ref, 9);
    expect([want(pasta, 'firm').want / ref, want(pasta, 'soft').want / ref]).toEqual([
      expect.closeTo(0.88, 9),
      expect.closeTo(1.2, 9),
    ]);
    const risotto = board('risotto', { food: 'rice-arborio' }, { food: 'broth' });
    expect(want(risotto, 'soft').want).toBeCloseTo(1.2 * findFood('rice-arborio').grain!.eRef[0], 9);
  });
  test('grain in a soup is done at its boiling time', () => {
    const soup = board('noodle-soup', { food: 'rice-long' }, { food: 'broth', g: 1500 });
    const t = want(soup);
    expect(t.want).toBe(long.boilMin[0]);
    expect(t.least).toBeCloseTo(0.8 * long.boilMin[0], 9);
    expect(t.most).toBe(Math.min(long.eMax[0], long.eRef[0] * Math.exp(2 / 3)));
    const noodles = board('noodle-soup', { food: 'noodles-short' }, { food: 'broth', g: 1500 });
    expect(want(noodles).want).toBeCloseTo(findFood('noodles-short').grain!.eRef[0], 6);
  });
});

describe('the price of a program', () => {
  const of = (c: Run, label: string): number =>
    c.terms.filter((t) => t.label === label).reduce((s, t) => s + t.value, 0);
  const cases: [string, Heated][] = [
    ['turkey and rice', heated(turkeyRice(), 390)],
    ['plain rice', heated(plainRice(), 470, seaLevel)],
    ['pasta', heated(demoDish('pork-fennel-bean-rigatoni'), 450)],
    ['risotto', heated(demoDish('guinea-fowl-mushroom-risotto'), 500)],
    ['potatoes', heated(demoDish('small-potatoes-rack'), 250)],
    ['porridge', heated(board('porridge', { food: 'oats-steel-cut' }, { food: 'water', g: 600 }), 600)],
    ['bowl', heated(demoDish('goat-curry-bowl-rice'), 300)],
  ];
  test.each(cases)('%s: a hundred times its chance, less the sum of what it names', (_, h) => {
    for (const holdMin of [0, 2.5, 7, 20])
      for (const release of [releases[0]!, releases[4]!, releases.at(-1)!]) {
        const c = runOf(h, holdMin, release);
        const named = c.terms.filter((t) => t.label.startsWith('cost-')).reduce((s, t) => s + t.value, 0);
        // What costs under half a hundredth of a point is not named.
        expect(Math.abs(c.score - (100 * c.chance.all - named))).toBeLessThan(0.02);
        const { texture, pieces, base, release: calm } = c.chance;
        expect(c.chance.all).toBeCloseTo(texture * pieces * base * calm, 12);
        expect(Math.min(texture, pieces, base, calm)).toBeGreaterThanOrEqual(0);
        expect(Math.max(texture, pieces, base, calm)).toBeLessThanOrEqual(1);
      }
  });
  test.each(cases)('%s: wait, time and a short hold by hand', (_, h) => {
    for (const holdMin of [0, 1.5, 3, 9])
      for (const release of [releases[0]!, releases[2]!, releases.at(-1)!]) {
        const c = runOf(h, holdMin, release);
        expect(of(c, 'cost-wait')).toBeCloseTo((0.15 * (c.potRun.openS - c.potRun.countdownS!)) / 60, 9);
        if (!h.setup.g.grain) {
          expect(of(c, 'cost-doneness')).toBe(0);
          continue;
        }
        const off = 3 * Math.log(c.equivalentMin / targetE(h.setup.g, h.texture, h.addMl).want);
        const weight = h.setup.g.sauceShare >= 0.05 ? 6 : 1.5;
        expect(
          Math.abs(of(c, 'cost-doneness') - weight * ((1 + c.chance.texture) / 2) * Math.min(16, off * off)),
        ).toBeLessThan(0.006);
        expect(of(c, 'cost-uncontrolled')).toBeCloseTo(1.6 * Math.max(0, 3 - holdMin) ** 2, 9);
      }
  });
  test('spray falls with the fill and with every minute of natural release; a bowl of its own never sprays', () => {
    const h = heated(demoDish('pork-fennel-bean-rigatoni'), 450);
    const at = (fill: number, naturalMin: number): number => sprayChance({ setup: h.setup, fill }, naturalMin);
    expect(at(0.16, 0)).toBeLessThan(0.02);
    expect(at(0.6, 0)).toBeGreaterThan(0.2);
    expect(at(0.6, 5)).toBeCloseTo(at(0.6, 0) * Math.exp(-2), 9);
    expect(sprayChance(heated(demoDish('goat-curry-bowl-rice'), 300), 0)).toBe(0);
  });
  // Facts of the trade: milk porridge boils up into a valve that is opened.
  test('milk under pressure comes down by itself, in any pot', () => {
    const milkOats = readDish({
      format: 'einkorn.dish/1',
      title: 'Milk oats',
      family: 'porridge',
      serves: 4,
      ingredients: [
        { id: 'oats', food: 'oats-steel-cut', amount: { value: 160, unit: 'g' } },
        { id: 'milk', food: 'milk', amount: { value: 400, unit: 'ml' }, joins: 'stack' },
      ],
    });
    for (const potId of ['electric-3', 'electric-5.7', 'stovetop-6', 'whistle-5'] as const) {
      const p = plan(milkOats, kitchenSchema.parse({ potId }));
      expect(p.program.release.kind === 'natural' || p.program.release.naturalMin! >= 6).toBe(true);
      expect(p.warnings.map((w) => w.code)).toContain('milk-under-pressure');
    }
  });
  // Facts of the trade: the saffron's spoons of milk are no pot of milk.
  test('three spoons of milk with the saffron do not boil up', () => {
    const biryani = demoDish('lamb-apricot-biryani');
    const milk = (ml: number): Dish =>
      readDish({
        ...biryani,
        ingredients: [
          ...biryani.ingredients,
          { id: 'milk-more', food: 'milk', amount: { value: ml, unit: 'ml' }, joins: 'stack' },
        ],
      });
    const codes = (ml: number): string[] => plan(milk(ml), seaLevel).warnings.map((w) => w.code);
    expect(codes(45)).not.toContain('milk-under-pressure');
    expect(codes(250)).toContain('milk-under-pressure');
  });
  test('the texture’s chance is what drawing a thousand cooks says, within six in a hundred', () => {
    for (const [d, kitchen] of [
      [plainRice(), seaLevel],
      [turkeyRice(), hut],
      [demoDish('lamb-apricot-biryani'), hut],
      [demoDish('beef-beetroot-dill-pasta'), hut],
    ] as const) {
      const p = plan(d, kitchen);
      const u = uncertainty(d, kitchen, p, { draws: 1000 });
      const right = u.bands
        .filter((b) => (p.grain ? b.band === 'fluffy' : ['al-dente', 'tender'].includes(b.band)))
        .reduce((s, b) => s + b.chance, 0);
      expect(Math.abs(right - p.program.chance!.texture / 100)).toBeLessThan(0.09);
    }
  });
});

describe('the search', () => {
  /** what trying every pair finds, without the pieces, as the search itself looks at them first */
  const everything = (h: Heated, only: readonly number[] = holds): number => {
    let best: Run | null = null;
    for (const release of releases) for (const x of only) best = better(best, runOf(h, x, release, false));
    return best!.score;
  };
  test.each([
    ['plain rice', heated(plainRice(), 470, seaLevel)],
    ['plain rice with little water', heated(plainRice(), 300, seaLevel)],
    ['porridge', heated(board('porridge', { food: 'oats-steel-cut' }, { food: 'water', g: 600 }), 600)],
    ['brown rice', heated(board('plain-grain', { food: 'rice-brown-long', g: 300 }, { food: 'water' }), 450)],
    ['orzo', heated(board('one-pot-pasta', { food: 'orzo', g: 300 }, { food: 'broth' }), 500)],
  ])('%s: nothing of all pairs is better than what it finds, by more than a coarse clock can tell', (_, h) => {
    const found = searched(h);
    expect(found.score).toBeGreaterThan(everything(h) - 0.5);
    expect(holds).toContain(found.holdMin);
  });
  test('with the pieces nothing that is done is better either', () => {
    const h = heated(turkeyRice(), 390);
    const found = searched(h);
    expect(found.meatOk).toBe(true);
    for (const release of releases)
      for (const x of [2, 3, 4, 5, 6, 7, 8, 10, 12]) {
        const c = runOf(h, x, release);
        if (c.meatOk) expect(c.score).toBeLessThan(found.score + 0.6);
      }
  });
  test('what the cook has fixed is kept, and programs of the cooker are all there is', () => {
    const h = heated(turkeyRice(), 390);
    expect(searched(h, { holdMin: 7.3 }).holdMin).toBe(7.3);
    expect(searched(h, { release: { kind: 'quick' } }).release).toEqual({ kind: 'quick' });
    expect(searched(h, { holdMin: 0, release: { kind: 'natural' } })).toMatchObject({
      holdMin: 0,
      release: { kind: 'natural' },
    });
    expect([4, 9, 30]).toContain(searched(h, {}, [30, 4, 9]).holdMin);
    expect(searched(h, {}, [30]).holdMin).toBe(30);
  });
  test('thick meat lengthens the hold until it is done: safe comes before the grain', () => {
    const thick = (mm: number): Run => {
      const d = turkeyRice();
      d.ingredients[1] = { ...d.ingredients[1]!, prep: { shape: 'slab', thicknessMm: mm } };
      return searched(heated(d, 390));
    };
    const [thin, middling, huge] = [10, 32, 60].map(thick) as [Run, Run, Run];
    expect([thin.meatOk, middling.meatOk, huge.meatOk]).toEqual([true, true, true]);
    expect(middling.potRun.openS).toBeGreaterThan(thin.potRun.openS);
    expect(huge.equivalentMin).toBeGreaterThan(targetE(gather(turkeyRice()), 'fluffy', 390).most);
    expect(huge.chance.texture).toBeLessThan(0.1);
  });
  test('the program of a neighbour stays unless another is better by two points', () => {
    const h = heated(turkeyRice(), 390);
    const own = searched(h);
    const beside = { holdMin: own.holdMin + 0.5, release: own.release };
    const far = { holdMin: 25, release: own.release };
    expect(own.score - runOf(h, beside.holdMin, beside.release).score).toBeLessThan(2);
    expect(searched(h, {}, undefined, beside).holdMin).toBe(beside.holdMin);
    expect(searched(h, {}, undefined, far).holdMin).toBe(own.holdMin);
  });
  test('a whistle cooker is held for whole whistles, and let down by itself or by its weight', () => {
    const h = heated(turkeyRice(), 390, { ...hut, potId: 'whistle-5' });
    const whole = Array.from({ length: 25 }, (_, i) => h.heated.holdForWhistles(i + 1));
    const found = searched(h);
    expect(whole.some((x) => Math.abs(x - found.holdMin) < 1e-9)).toBe(true);
    expect(['natural', 'quick']).toContain(found.release.kind);
  });
  // A fact of the trade: a weight that has lifted falls back at its own lower pressure, flame or no flame.
  test('a whistle that is heard as the flame goes off blows until it shuts, in steps of one and of two seconds', () => {
    const { openPa, closePa } = pots.find((p) => p.id === 'whistle-5')!.whistle!;
    const setup = setUp(turkeyRice(), { ...hut, potId: 'whistle-5' });
    const opened = [1, 2].map((dtS) => {
      const run = heat(setup, { addMl: 390, pressure: 'high', dtS }).heated.finish(0, { kind: 'natural' });
      expect(Math.max(...run.history.gaugeKpa) * 1000).toBeGreaterThan(0.99 * openPa);
      expect(run.history.gaugeKpa[run.history.releaseAt]! * 1000).toBeLessThan(1.01 * closePa);
      return run.openS - run.releaseS;
    });
    expect(opened[1]! / opened[0]!).toBeCloseTo(1, 1);
  });
  test('without a starch the pieces decide: tender with something to spare, and not a long while more', () => {
    const stew = board(
      'casserole',
      { food: 'beef-stew', g: 700, prep: { thicknessMm: 30 } },
      { food: 'broth', g: 400 },
    );
    const h = heated(stew, 400);
    const found = searched(h);
    const times = (c: Run): number => c.meats[0]!.verdict.collagenCoreMin! / c.meats[0]!.verdict.tenderCoreMin!;
    expect(found.meatOk).toBe(true);
    expect(times(found)).toBeGreaterThan(1.15);
    expect(times(found)).toBeLessThan(1.6);
    expect(searched(h, { holdMin: 12 }).holdMin).toBe(12);
  });
  test('no stop goes before more points, and the first of equals stays', () => {
    const c = (stops: number, score: number): Run => ({ stops, score }) as Run;
    const [low, high, raw] = [c(0, 20), c(0, 90), c(1, 95)];
    expect(better(null, raw)).toBe(raw);
    expect(better(raw, low)).toBe(low);
    expect(better(low, raw)).toBe(low);
    expect(better(low, high)).toBe(high);
    expect(better(high, c(0, 90))).toBe(high);
  });
});

// Common practice: a pudding of whole kernels takes three to four volumes of liquid to one under a lid, oats are their own measure.
test.each([
  ['rice-short', 3, 4],
  ['barley-pearl', 3, 4.5],
])(
  'porridge of %s is planned with %d to %d times its volume of milk and water, and stands in it',
  (food, least, most) => {
    const grainMl = 160 / 0.85;
    const p = plan(board('porridge', { food, g: 160 }, { food: 'milk', g: 475 }), { ...hut, potId: 'stovetop-6' });
    const liquidMl = p.liquid.addMl + 475 / 1.03;
    expect(liquidMl / grainMl).toBeGreaterThan(least);
    expect(liquidMl / grainMl).toBeLessThan(most);
    expect(p.grain!.sauce).toMatch(/saucy|soupy/);
    // Soft is what it is meant to be, with a pinch of salt.
    expect(['fluffy', 'soft']).toContain(p.grain!.band);
    expect(p.warnings.map((w) => w.code)).not.toContain('mush');
    expect(p.program.chance!.texture).toBeGreaterThan(70);
    expect(p.salt.aimPercent).toBe(0.3);
  },
);

test('a rice pudding is called alike by its plan, by a thousand cooks of it and by the rest of a running one', () => {
  const dish = board('porridge', { food: 'rice-short', g: 200 }, { food: 'milk', g: 485 });
  const p = plan(dish, seaLevel);
  expect(p.grain!.band).toBe('soft');
  expect(p.grain!.bandChance).toBeGreaterThan(0.3);
  expect(uncertainty(dish, seaLevel, p).bands.map((b) => b.band)).not.toContain('mushy');
  expect(outlook(dish, seaLevel, p, {}).band).toBe('soft');
});
