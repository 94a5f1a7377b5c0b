import type { Dish } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { setBench } from '../src/plan/bench';
import { gather } from '../src/plan/gather';
import { better, candidate, searchProgram, targetE, type Candidate, type Heated } from '../src/plan/pressure';
import { heat } from '../src/plan/solve';
import type { Release } from '../src/pot/cook';
import { board } from './helpers/board';
import { demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

/* The search for minutes and release: against trying everything, and its price by hand. */
const heated = (dish: Dish, addMl: number, kitchen = hut): Heated =>
  heat(setBench(dish, kitchen), addMl, 'high', dish.texture ?? 'fluffy');
const holds = [...Array.from({ length: 10 }, (_, i) => i / 2), ...Array.from({ length: 56 }, (_, i) => i + 5)];
const releases: Release[] = [
  { kind: 'quick' },
  ...[2, 4, 5, 6, 8, 10, 12, 15].map((naturalMin): Release => ({ kind: 'timed', naturalMin })),
  { kind: 'natural' },
];

describe('minutes that a starch wants', () => {
  const want = (dish: Dish, texture: 'firm' | 'fluffy' | 'soft' = 'fluffy') => targetE(gather(dish), texture, 400);
  const long = findFood('rice-long').grain!;
  const rice = (prep = {}): Dish => board('one-pot-grain', { food: 'rice-long', prep }, { food: 'broth' });
  test('the reference of the grain, from what cooks its core to one and a half times as much', () => {
    expect(want(rice())).toEqual({ least: long.eMin[0], want: long.eRef[0], most: 1.5 * long.eRef[0] });
    // Where water sets the texture, the wish takes no time.
    expect(want(rice(), 'soft')).toEqual(want(rice()));
  });
  test('a quarter less after a soak of half an hour, which bran does not let in', () => {
    expect(want(rice({ soakMin: 30 })).want).toBeCloseTo(0.75 * long.eRef[0], 9);
    expect(want(rice({ soakMin: 30 })).least).toBeCloseTo(0.75 * long.eMin[0], 9);
    expect(want(rice({ soakMin: 29 })).want).toBe(long.eRef[0]);
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
    expect(t.most).toBe(Math.max(long.boilMin[0], 1.5 * long.eRef[0]));
    const noodles = board('noodle-soup', { food: 'noodles-short' }, { food: 'broth', g: 1500 });
    expect(want(noodles).want).toBeCloseTo(findFood('noodles-short').grain!.eRef[0], 6);
  });
});

describe('the price of a program', () => {
  const of = (c: Candidate, label: string): number =>
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
  test.each(cases)('%s: it is the sum of what it names', (_, h) => {
    for (const holdMin of [0, 2.5, 7, 20])
      for (const release of [releases[0]!, releases[4]!, releases.at(-1)!]) {
        const c = candidate(h, holdMin, release);
        const named = c.terms.filter((t) => t.label.startsWith('cost-')).reduce((s, t) => s + t.value, 0);
        expect(c.cost).toBeCloseTo(named, 9);
        expect(c.cost).toBeGreaterThan(0);
      }
  });
  test.each(cases)('%s: wait, doneness, a short hold and spray by hand', (name, h) => {
    for (const holdMin of [0, 1.5, 3, 9])
      for (const release of [releases[0]!, releases[2]!, releases.at(-1)!]) {
        const c = candidate(h, holdMin, release);
        const { run } = c;
        const natural = ((run.valveS ?? run.openS) - run.releaseS) / 60;
        expect(of(c, 'cost-wait')).toBeCloseTo((0.1 * (run.openS - run.countdownS!)) / 60, 9);
        if (!h.g.grain) {
          expect(of(c, 'cost-doneness') + of(c, 'cost-spray')).toBe(0);
          continue;
        }
        const want = targetE(h.g, h.texture, h.addMl);
        const e = c.equivalentMin;
        const weight = e < want.least ? 60 : e < want.want ? 30 : 1;
        expect(of(c, 'cost-doneness')).toBeCloseTo(weight * 9 * Math.log(Math.max(1e-3, e) / want.want) ** 2, 6);
        expect(of(c, 'cost-uncontrolled')).toBeCloseTo(0.15 * Math.max(0, 3 - holdMin) ** 2, 9);
        const high = h.heated.state.fill > 0.5 ? 2 : 1;
        const perSpray =
          name === 'bowl'
            ? 0
            : name === 'pasta'
              ? 0.6 * high
              : name === 'risotto'
                ? high
                : name === 'porridge'
                  ? 8
                  : 4 * high;
        expect(of(c, 'cost-spray')).toBeCloseTo(perSpray * Math.max(0, 1 - natural / 10) ** 2, 9);
      }
  });
  test('pieces: dry, firm and tough meat, large pieces let off at once, hard and soft roots', () => {
    for (const [, h] of cases)
      for (const holdMin of [0, 8, 40])
        for (const release of [releases[0]!, releases.at(-1)!]) {
          const c = candidate(h, holdMin, release);
          const natural = ((c.run.valveS ?? c.run.openS) - c.run.releaseS) / 60;
          const meat = c.meats.reduce((s, { verdict: v, item }) => {
            const short = v.tenderCoreMin ? Math.max(0, 1 - (v.collagenCoreMin ?? 0) / v.tenderCoreMin) : 0;
            const eating = { dry: 4, firm: 0.5, tough: 9 * short }[v.texture as string] ?? 0;
            return s + eating + (item.thicknessMm >= 25 && natural < 2 ? 2 : 0);
          }, 0);
          expect(of(c, 'cost-meat')).toBeCloseTo(meat, 9);
          const plants = c.plants.reduce((s, p) => s + ({ hard: 25, soft: 3 }[p.verdict as string] ?? 0), 0);
          expect(of(c, 'cost-plant')).toBe(plants);
          expect(c.meatOk).toBe(c.meats.every((m) => m.verdict.ok));
        }
  });
});

describe('the search', () => {
  /** what trying every pair finds, without the pieces, as the search itself looks at them first */
  const everything = (h: Heated, only = holds): number => {
    let best: Candidate | null = null;
    for (const release of releases) for (const x of only) best = better(best, candidate(h, x, release, false));
    return best!.cost;
  };
  test.each([
    ['plain rice', heated(plainRice(), 470, seaLevel)],
    ['plain rice with little water', heated(plainRice(), 300, seaLevel)],
    ['porridge', heated(board('porridge', { food: 'oats-steel-cut' }, { food: 'water', g: 600 }), 600)],
    ['brown rice', heated(board('plain-grain', { food: 'rice-brown-long', g: 300 }, { food: 'water' }), 450)],
    ['orzo', heated(board('one-pot-pasta', { food: 'orzo', g: 300 }, { food: 'broth' }), 500)],
  ])('%s: nothing of all pairs is cheaper than what it finds', (_, h) => {
    const found = searchProgram(h);
    expect(found.cost).toBeLessThanOrEqual(everything(h) + 1e-9);
    expect(holds).toContain(found.holdMin);
  });
  test('with the pieces nothing that is done is cheaper either', () => {
    const h = heated(turkeyRice(), 390);
    const found = searchProgram(h);
    expect(found.meatOk).toBe(true);
    for (const release of releases)
      for (const x of [2, 3, 4, 5, 6, 7, 8, 10, 12]) {
        const c = candidate(h, x, release);
        if (c.meatOk) expect(c.cost).toBeGreaterThanOrEqual(found.cost - 0.6);
      }
  });
  test('what the cook has fixed is kept, and programs of the cooker are all there is', () => {
    const h = heated(turkeyRice(), 390);
    expect(searchProgram(h, { holdMin: 7.3 }).holdMin).toBe(7.3);
    expect(searchProgram(h, { release: { kind: 'quick' } }).release).toEqual({ kind: 'quick' });
    expect(searchProgram(h, { holdMin: 0, release: { kind: 'natural' } })).toMatchObject({
      holdMin: 0,
      release: { kind: 'natural' },
    });
    expect([4, 9, 30]).toContain(searchProgram(h, {}, [30, 4, 9]).holdMin);
    expect(searchProgram(h, {}, [30]).holdMin).toBe(30);
  });
  test('thick meat lengthens the hold until it is done, unless the grain would have too much', () => {
    const thick = (mm: number): Candidate => {
      const d = turkeyRice();
      d.ingredients[1] = { ...d.ingredients[1]!, prep: { shape: 'slab', thicknessMm: mm } };
      return searchProgram(heated(d, 390));
    };
    const [thin, middling, huge] = [10, 32, 90].map(thick) as [Candidate, Candidate, Candidate];
    expect([thin.meatOk, middling.meatOk, huge.meatOk]).toEqual([true, true, false]);
    expect(middling.run.openS).toBeGreaterThan(thin.run.openS);
    const { most } = targetE(gather(turkeyRice()), 'fluffy', 390);
    expect(huge.equivalentMin).toBeLessThanOrEqual(most + 1e-9);
  });
  test('a whistle cooker is held for whole whistles, and let down by itself or by its weight', () => {
    const h = heated(turkeyRice(), 390, { ...hut, potId: 'whistle-5' });
    const whole = Array.from({ length: 25 }, (_, i) => h.heated.holdForWhistles(i + 1));
    const found = searchProgram(h);
    expect(whole.some((x) => Math.abs(x - found.holdMin) < 1e-9)).toBe(true);
    expect(['natural', 'quick']).toContain(found.release.kind);
  });
  test('without a starch the shortest hold that makes the pieces tender is taken', () => {
    const stew = board(
      'casserole',
      { food: 'beef-stew', g: 700, prep: { thicknessMm: 30 } },
      { food: 'broth', g: 400 },
    );
    const h = heated(stew, 400);
    const found = searchProgram(h);
    const good = (c: Candidate): boolean => c.meatOk && c.meats.every((m) => m.verdict.texture !== 'tough');
    expect(good(found)).toBe(true);
    const i = holds.indexOf(found.holdMin);
    expect(good(candidate(h, holds[i - 1]!, found.release))).toBe(false);
    expect(searchProgram(h, { holdMin: 12 }).holdMin).toBe(12);
  });
  test('done goes before cheap, and cheap among equals', () => {
    const c = (meatOk: boolean, cost: number): Candidate => ({ meatOk, cost }) as Candidate;
    const [dear, cheap, raw] = [c(true, 9), c(true, 2), c(false, 1)];
    expect(better(null, raw)).toBe(raw);
    expect(better(raw, dear)).toBe(dear);
    expect(better(dear, raw)).toBe(dear);
    expect(better(dear, cheap)).toBe(cheap);
    expect(better(cheap, c(true, 2))).toBe(cheap);
  });
});
