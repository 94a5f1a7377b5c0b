import { gather } from '../src/plan/gather/gather';
import type { MeatVerdict } from '../src/plan/document/verdicts';
import type { Plan } from '../src/plan/document/document';
import { plan } from '../src/plan/plan';
import { normal } from '../src/normal';
import { grainVerdict, pastaVerdict, starchOf, worstMeat } from '../src/plan/judge/verdict';
import type { GrainOutcome } from '../src/plan/simulate/outcome';
import { findFood } from '../src/food/find';
import { board } from './helpers/board';
import { demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel } from './helpers/dishes';

/* The words and chances of a plan, by hand from its numbers. */

// Abramowitz and Stegun, Handbook of Mathematical Functions, Table 26.1.
test.each([
  [0, 0.5],
  [0.5, 0.6914624613],
  [1, 0.8413447461],
  [1.96, 0.9750021049],
  [2.5, 0.9937903347],
  [4, 0.9999683288],
])('the normal distribution at %d is %d, and its mirror', (x, p) => {
  expect(Math.abs(normal(x) - p)).toBeLessThan(7.5e-8);
  expect(Math.abs(normal(-x) - (1 - p))).toBeLessThan(7.5e-8);
});
test('far out it is nought and one', () => {
  expect([normal(-Infinity), normal(Infinity)]).toEqual([0, 1]);
});

const rice = gather(board('one-pot-grain', { food: 'rice-long' }, { food: 'broth' }));
const penne = gather(board('one-pot-pasta', { food: 'penne', prep: { packetMinutes: 10 } }, { food: 'broth' }));
const stew = gather(board('casserole', { food: 'beef-stew' }, { food: 'broth' }));
const out = (index: number, equivalentMin = 9, slowing = 1): GrainOutcome =>
  ({
    clock: { moisture: 0.61, equivalentMin, freeG: 33 },
    freeShare: 0.02,
    texture: { index, band: 'fluffy', done: 0.97 },
    slowing,
  }) as GrainOutcome;

describe('grain', () => {
  const chance = (index: number, sd: number): number => grainVerdict(rice, out(index), sd, 'fluffy')!.bandChance;
  test('is told with its numbers', () => {
    expect(grainVerdict(rice, out(66), 2, 'fluffy')).toMatchObject({
      food: 'rice-long',
      ingredient: 'rice-long',
      moisture: 0.61,
      band: 'fluffy',
      equivalentMin: 9,
      freeSauceG: 33,
      textureIndex: 66,
      spreadPoints: 2,
      done: 0.97,
    });
  });
  test('its chance is that of a normal error staying between the edges of its band: 59.5, 63.5, 68, 72.5', () => {
    // Halfway between two edges one deviation off on each side: twice 0.3413.
    expect(chance(65.75, 2.25)).toBeCloseTo(0.682689, 5);
    // On an edge it belongs to the upper band, and half the errors leave it downwards.
    expect(chance(63.5, 4.5)).toBeCloseTo(0.341345, 5);
    // The outer bands have one edge.
    expect(chance(55, 4.5)).toBeCloseTo(0.841345, 5);
    expect(chance(77, 4.5)).toBeCloseTo(0.841345, 5);
    expect(chance(70.25, 0.001)).toBeCloseTo(1, 9);
  });
  test('the aim follows the wish, but where the sauce sets the water the wish is one of time', () => {
    const aim = (g: typeof rice, wish: 'firm' | 'fluffy' | 'soft') => grainVerdict(g, out(66), 2, wish)!.aimIndex;
    expect(aim(rice, 'soft') - aim(rice, 'fluffy')).toBeCloseTo(4, 9);
    expect(aim(rice, 'firm') - aim(rice, 'fluffy')).toBeCloseTo(-4, 9);
    const saucy = { ...rice, sauceShare: 0.05 };
    expect(aim(saucy, 'soft')).toBe(aim(rice, 'fluffy'));
    expect(aim({ ...rice, sauceShare: 0.049 }, 'soft')).toBe(aim(rice, 'soft'));
  });
  test('is not told of pasta, of a stew, or before anything was worked out', () => {
    expect(grainVerdict(penne, out(66), 2, 'fluffy')).toBeNull();
    expect(grainVerdict(stew, out(66), 2, 'fluffy')).toBeNull();
    expect(grainVerdict(rice, null, 2, 'fluffy')).toBeNull();
  });
});

describe('pasta', () => {
  test('goes by its packet: minutes of the clock, slowed by what it stands in, over the printed ones', () => {
    const p = pastaVerdict(penne, out(0, 9, 1.2), 'fluffy')!;
    expect(p).toMatchObject({ food: 'penne', ingredient: 'penne', packetMin: 10, equivalentMin: 9, freeSauceG: 33 });
    expect(p.x).toBeCloseTo(1.08, 9);
    expect(p.spreadX).toBeCloseTo(0.09 * 1.08, 9);
    expect([p.band, p.moisture]).toEqual(['tender', 0.61]);
    // Edges at 0.85, 1.05 and 1.6 of the packet.
    expect(p.bandChance).toBeCloseTo(normal((1.6 - 1.08) / p.spreadX) - normal((1.05 - 1.08) / p.spreadX), 9);
    expect(pastaVerdict(penne, out(0, 9.5), 'fluffy')!.band).toBe('al-dente');
    expect(pastaVerdict(penne, out(0, 8), 'fluffy')!.bandChance).toBeCloseTo(normal((0.85 - 0.8) / (0.09 * 0.8)), 9);
  });
  test('the aim is 1.2 of the packet, less or more by the wish', () => {
    const aim = (wish: 'firm' | 'fluffy' | 'soft') => pastaVerdict(penne, out(0), wish)!.aimX;
    expect([aim('firm'), aim('fluffy'), aim('soft')]).toEqual([1.2 * 0.88, 1.2, 1.2 * 1.2]);
  });
  test('is not told of grain, of a stew, or before anything was worked out', () => {
    expect(pastaVerdict(rice, out(0), 'fluffy')).toBeNull();
    expect(pastaVerdict(stew, out(0), 'fluffy')).toBeNull();
    expect(pastaVerdict(penne, null, 'fluffy')).toBeNull();
  });
});

describe('the meat to look at first', () => {
  const meat = (ingredient: string, texture: MeatVerdict['texture'], over: number): MeatVerdict =>
    ({ ingredient, texture, cautiousCoreC: 74 + over, safeMinimumC: 74 }) as MeatVerdict;
  const first = (...meats: MeatVerdict[]) => worstMeat({ meats } as Plan)?.ingredient;
  test('not done, then tough, then dry, then firm, then the nearest to its minimum', () => {
    const all = [
      meat('juicy', 'juicy', 1),
      meat('firm', 'firm', 20),
      meat('dry', 'dry', 20),
      meat('tough', 'tough', 20),
      meat('under', 'under', 20),
    ];
    expect(first(...all)).toBe('under');
    expect(first(...all.slice(0, 4))).toBe('tough');
    expect(first(...all.slice(0, 3))).toBe('dry');
    expect(first(...all.slice(0, 2))).toBe('firm');
    expect(first(meat('far', 'juicy', 9), meat('near', 'tender', 2))).toBe('near');
    expect(first(meat('near', 'tender', 2), meat('far', 'juicy', 9))).toBe('near');
    expect(first()).toBeUndefined();
  });
});

describe('the starch as one thing to show', () => {
  test('grain on its scale of points, pasta on that of its packet, and nothing of a dish without', () => {
    const g = plan(plainRice(), seaLevel);
    expect(starchOf(g)).toMatchObject({
      kind: 'grain',
      at: g.grain!.textureIndex,
      spread: g.grain!.spreadPoints,
      chance: g.grain!.bandChance,
      scale: { edges: [59.5, 63.5, 68, 72.5] },
    });
    const p = plan(demoDish('pork-fennel-bean-rigatoni'), hut);
    expect(starchOf(p)).toMatchObject({
      kind: 'pasta',
      at: p.pasta!.x,
      spread: p.pasta!.spreadX,
      band: p.pasta!.band,
      scale: { edges: [0.85, 1.05, 1.6] },
    });
    expect(starchOf(plan(demoDish('small-potatoes-rack'), hut))).toBeNull();
  });
});

describe('how much sauce a dish is to have', () => {
  const share = (...args: Parameters<typeof board>): number => gather(board(...args)).sauceShare;
  test('a stew has the most, a baked one less, and a casserole with grain what its family has', () => {
    const stewed = share('casserole', { food: 'beef-stew' }, { food: 'broth' });
    const baked = share('casserole', { food: 'beef-stew' }, { food: 'broth' }, { food: 'nuts' });
    const grain = share('casserole', { food: 'beef-stew' }, { food: 'rice-long' }, { food: 'broth' });
    expect(stewed).toBeGreaterThan(baked);
    expect(new Set([stewed, baked, grain]).size).toBe(3);
    expect(share('casserole', { food: 'rice-long' }, { food: 'broth' }, { food: 'nuts' })).toBe(baked);
    // A crust on a pilaf changes nothing of its water.
    expect(share('one-pot-grain', { food: 'rice-long' }, { food: 'broth' }, { food: 'nuts' })).toBe(rice.sauceShare);
  });
  test('as much tomato as grain makes a tomato dish, all tomato counted', () => {
    const tomato = (g: number, more = 0) =>
      share(
        'one-pot-grain',
        { food: 'rice-long', g: 200 },
        { food: 'tomato-sauce', g },
        { food: 'tomato', g: Math.max(1, more) },
        { food: 'broth' },
      );
    const wet = tomato(2000);
    expect(wet).toBeGreaterThan(rice.sauceShare);
    expect(tomato(20)).toBe(rice.sauceShare);
    let least = 0;
    for (let g = 10; g <= 400 && least === 0; g += 10) if (tomato(g) === wet) least = g;
    expect(least).toBeGreaterThan(20);
    expect(tomato(least / 2, least / 2)).toBe(wet);
    expect(share('porridge', { food: 'oats-rolled' }, { food: 'water' }, { food: 'tomato-sauce', g: 900 })).not.toBe(
      wet,
    );
  });
});

describe('the liquid to set', () => {
  test('made up where there is none, under a name that is free', () => {
    const main = (id?: string) =>
      gather(board('one-pot-grain', { food: 'rice-long' }, { food: 'soy-sauce', g: 20, ...(id ? { id } : {}) })).main;
    expect(main()).toMatchObject({ ingredient: { id: 'water' }, grams: 0, main: true });
    expect(main('water').ingredient.id).toBe('water-to-add');
    expect(main().ingredient.place).toBeUndefined();
  });
  test('of a bowl is the bowl’s own, never the stew’s', () => {
    const g = gather(board('pot-in-pot', { food: 'beef-stew' }, { food: 'broth' }, { food: 'rice-long' }));
    expect(g.main).toMatchObject({ food: { id: 'water' }, ingredient: { place: 'inner-bowl' } });
    expect(g.items.find((i) => i.food.id === 'broth')!.main).toBe(false);
  });
  test('only what is fried makes a fried pot', () => {
    expect([rice.fried, gather(board('one-pot-grain', { food: 'rice-long' }, { food: 'onion' })).fried]).toEqual([
      false,
      true,
    ]);
    expect(findFood('onion').kind).toBe('vegetable');
  });
});
