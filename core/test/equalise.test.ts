import type { Dish, Ingredient } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import type { MeatVerdict, PlantVerdict } from '../src/plan/document/verdicts';
import type { Plan, Severity } from '../src/plan/document/document';
import { equalise, strugglers, troubleOf } from '../src/plan/equalise';
import { plan } from '../src/plan/plan';
import { board, type Thing } from './helpers/board';
import { hut, turkeyRice } from './helpers/dishes';

describe('equaliser', () => {
  const tough = turkeyRice();
  tough.ingredients[1] = {
    id: 'beef',
    food: 'beef-stew',
    amount: { value: 450, unit: 'g' },
    prep: { shape: 'cube', thicknessMm: 38 },
  };
  const dish: Dish = { ...tough, family: 'rack-over-grain' };
  const before = plan(dish, hut);
  const proposals = equalise(dish, hut, before);
  test('names the part that this program does not serve and proposes what serves it better', () => {
    expect(strugglers(before)).toEqual(['beef']);
    expect(proposals.length).toBeGreaterThan(0);
    expect(proposals.every((p) => p.trouble < troubleOf(before))).toBe(true);
  });
  test('each proposal is a dish that gives exactly the plan it shows, best first', () => {
    expect(proposals.map((p) => plan(p.dish, hut))).toEqual(proposals.map((p) => p.plan));
    expect(proposals.map((p) => p.trouble)).toEqual([...proposals.map((p) => p.trouble)].sort((a, b) => a - b));
  });
  test('a plan that serves all needs no proposal', () => {
    expect(equalise(turkeyRice(), hut, plan(turkeyRice(), hut))).toEqual([]);
  });
  test('fillets that would need a short lid of their own are cut into pieces instead, as large as one lid bears', () => {
    const orzo = board(
      'one-pot-pasta',
      { food: 'chicken-thigh', g: 680 },
      { food: 'orzo', g: 290 },
      { food: 'broth', g: 700 },
    );
    const twice = plan(orzo, hut);
    expect([twice.firstStage!.holdMin <= 8, strugglers(twice)]).toEqual([true, ['chicken-thigh']]);
    const [cut] = equalise(orzo, hut, twice);
    expect(cut).toMatchObject({ code: 'cut-pieces', ingredient: 'chicken-thigh', plan: { firstStage: null } });
    expect(cut!.to).toBeGreaterThanOrEqual(15);
    expect(cut!.plan.timeline.at(-1)!.endMin).toBeLessThan(twice.timeline.at(-1)!.endMin);
    expect(cut!.plan.meats[0]!.ok).toBe(true);
  });
  test('legs on the bone are not cut, and a long stage is one that a cook would give them', () => {
    const legs = board(
      'one-pot-pasta',
      { food: 'chicken-drumstick', g: 600 },
      { food: 'orzo', g: 290 },
      { food: 'broth', g: 700 },
    );
    expect(strugglers(plan(legs, hut))).toEqual([]);
  });
});

/* What is thought of for each kind of trouble, with a planner that says what the test wants it to say. */
interface Says {
  meat?: MeatVerdict['texture'];
  plant?: PlantVerdict['verdict'];
  grain?: { done: number; off: number };
  warnings?: Severity[];
  endMin?: number;
  first?: boolean;
}
const says = (x: Says): Plan =>
  ({
    meats: x.meat ? [{ ingredient: 'part', texture: x.meat }] : [],
    plants: x.plant ? [{ ingredient: 'part', verdict: x.plant }] : [],
    grain: x.grain ? { done: x.grain.done, textureIndex: 66 + x.grain.off, aimIndex: 66 } : null,
    warnings: (x.warnings ?? []).map((severity) => ({ severity })),
    timeline: [{ endMin: x.endMin ?? 30 }],
    firstStage: x.first ? { holdMin: 20, slow: [] } : null,
  }) as unknown as Plan;

describe('trouble by its weight', () => {
  const rows: [Says, number][] = [
    [{}, 0],
    [{ warnings: ['info'] }, 0],
    [{ warnings: ['stop'] }, 10],
    [{ warnings: ['caution', 'caution', 'stop', 'info'] }, 12],
    [{ meat: 'tough' }, 3],
    [{ meat: 'dry', plant: 'hard' }, 6],
    [{ meat: 'under' }, 3],
    [{ meat: 'juicy', plant: 'done' }, 0],
    [{ plant: 'soft' }, 3],
    [{ grain: { done: 0.84, off: 0 } }, 3],
    [{ grain: { done: 0.86, off: 6 } }, 0],
    [{ grain: { done: 1, off: 6.1 } }, 3],
    [{ grain: { done: 1, off: -6.1 } }, 3],
  ];
  test.each(rows)('%j weighs %d', (x, weight) => expect(troubleOf(says(x))).toBe(weight));
});

describe('what is thought of', () => {
  const dishOf = (part: Thing, family: Dish['family'] = 'one-pot-grain', starch = 'rice-long'): Dish =>
    board(family, { ...part, id: 'part' }, { food: starch }, { food: 'broth' });
  const part = (d: Dish): Ingredient => d.ingredients.find((i) => i.id === 'part')!;
  /** every change that would help, when all do: its code and what it changes to */
  const ideas = (dish: Dish, now: Says, then: (d: Dish) => Says = () => ({})): string[] =>
    equalise(dish, hut, says(now), (d) => says(then(d))).map((p) =>
      p.to === undefined ? p.code : `${p.code} ${p.to}`,
    );
  const beef: Thing = { food: 'beef-stew', prep: { shape: 'cube', thicknessMm: 38 } };

  test('a tough part: thinner, browned through, a start of its own, a quicker cut, a slower grain', () => {
    expect(ideas(dishOf(beef), { meat: 'tough' }).sort()).toEqual(
      [
        'cut-thinner 37',
        'sear-more',
        'start-earlier',
        'swap-cut beef-ground',
        'swap-cut beef-steak',
        'swap-grain rice-brown-basmati',
        'swap-grain einkorn',
      ].sort(),
    );
  });
  test('the thickest cut that still helps is found, and none is told when not even the thinnest does', () => {
    const from =
      (mm: number) =>
      (d: Dish): Says =>
        part(d).prep!.thicknessMm! <= mm ? {} : { meat: 'tough' };
    expect(ideas(dishOf(beef), { meat: 'tough' }, from(21))).toEqual(['cut-thinner 21']);
    expect(ideas(dishOf(beef), { meat: 'tough' }, from(6))).toEqual(['cut-thinner 6']);
    expect(ideas(dishOf(beef), { meat: 'tough' }, from(5))).toEqual([]);
    const thin = { ...beef, prep: { thicknessMm: 6 } };
    expect(ideas(dishOf(thin), { meat: 'tough' }).filter((c) => c.startsWith('cut'))).toEqual([]);
    expect(ideas(dishOf({ ...beef, prep: { thicknessMm: 7 } }), { meat: 'tough' })).toContain('cut-thinner 6');
    // A part whose thickness nobody gave has that of its food.
    const own = Math.floor(findFood('beef-stew').meat!.defaultThicknessMm[0]) - 1;
    expect(ideas(dishOf({ food: 'beef-stew' }), { meat: 'tough' })).toContain(`cut-thinner ${own}`);
    const root = Math.floor(findFood('carrot').plant!.defaultThicknessMm[0]) - 1;
    expect(ideas(dishOf({ food: 'carrot' }), { plant: 'hard' })).toContain(`cut-thinner ${root}`);
  });
  test('what lies high is laid lower, and only that', () => {
    for (const place of ['top', 'rack'] as const)
      expect(ideas(dishOf({ ...beef, place }), { meat: 'tough' })).toContain('lower');
    expect(ideas(dishOf({ ...beef, place: 'base' }), { meat: 'tough' })).not.toContain('lower');
  });
  test('what is browned or frozen is not browned again; a first stage is proposed once, and not for a steamed side', () => {
    for (const state of ['browned', 'frozen'] as const)
      expect(ideas(dishOf({ ...beef, prep: { thicknessMm: 38, state } }), { meat: 'tough' })).not.toContain(
        'sear-more',
      );
    expect(ideas(dishOf(beef), { meat: 'tough', first: true })).not.toContain('start-earlier');
    const side = board('steamed-side', { ...beef, id: 'part' }, { food: 'carrot' }, { food: 'water' });
    expect(ideas(side, { meat: 'tough' })).not.toContain('start-earlier');
    const asked = equalise(dishOf(beef), hut, says({ meat: 'tough' }), () => says({}));
    expect(asked.find((p) => p.code === 'start-earlier')!.dish.overrides).toEqual({ firstStage: true });
    expect(part(asked.find((p) => p.code === 'sear-more')!.dish).prep).toEqual({ ...beef.prep, state: 'browned' });
  });
  test('not done is not tough: no other cut, but the slower grains', () => {
    const told = ideas(dishOf(beef), { meat: 'under' });
    expect(told.some((c) => c.startsWith('swap-cut'))).toBe(false);
    expect(told).toContain('swap-grain rice-brown-basmati');
  });
  test('a dry part: thicker, held back, on the rack, a quicker grain', () => {
    const dry: Thing = { food: 'chicken-breast', prep: { thicknessMm: 20 } };
    expect(ideas(dishOf(dry), { meat: 'dry' }).sort()).toEqual(
      ['cut-thicker 28', 'hold-back', 'on-the-rack', 'swap-grain quinoa', 'swap-grain rice-arborio'].sort(),
    );
    const helps =
      (mm: number) =>
      (d: Dish): Says =>
        part(d).prep!.thicknessMm! >= mm ? {} : { meat: 'dry' };
    expect(ideas(dishOf(dry), { meat: 'dry' }, helps(30))).toEqual(['cut-thicker 36']);
    expect(ideas(dishOf(dry), { meat: 'dry' }, helps(37))).toEqual([]);
    // Nobody cuts thicker than 40 mm.
    expect(
      ideas(dishOf({ ...dry, prep: { thicknessMm: 30 } }), { meat: 'dry' }).filter((c) => c.startsWith('cut')),
    ).toEqual([]);
    const moved = equalise(dishOf(dry), hut, says({ meat: 'dry' }), () => says({}));
    const of = (code: string) => part(moved.find((p) => p.code === code)!.dish);
    expect([of('hold-back').joins, of('on-the-rack').place]).toEqual(['finish', 'rack']);
    const bowl = board('pot-in-pot', { ...dry, id: 'part' }, { food: 'broth' }, { food: 'rice-long' });
    expect(ideas(bowl, { meat: 'dry' })).not.toContain('on-the-rack');
  });
  test('a root that stays hard or goes soft is helped as meat is, without the pan', () => {
    const carrot: Thing = { food: 'carrot', prep: { thicknessMm: 25 } };
    const hard = ideas(dishOf(carrot), { plant: 'hard' });
    expect(hard).toContain('cut-thinner 24');
    expect(hard).toContain('swap-grain rice-brown-basmati');
    expect(hard.filter((c) => c === 'sear-more' || c === 'start-earlier')).toEqual([]);
    const soft = ideas(dishOf({ food: 'carrot', prep: { thicknessMm: 10 } }), { plant: 'soft' });
    expect(soft).toEqual(expect.arrayContaining(['cut-thicker 14', 'hold-back', 'swap-grain quinoa']));
  });
  test('only what leaves less trouble is kept, the least first, and among equals the earliest', () => {
    expect(ideas(dishOf(beef), { meat: 'tough' }, () => ({ meat: 'tough' }))).toEqual([]);
    const then = (d: Dish): Says => {
      if (d.overrides?.firstStage) return { endMin: 60 };
      if (part(d).prep?.state === 'browned') return { warnings: ['caution'], endMin: 10 };
      return part(d).food === 'beef-ground' ? { endMin: 40 } : { meat: 'tough' };
    };
    expect(ideas(dishOf(beef), { meat: 'tough' }, then)).toEqual([
      'swap-cut beef-ground',
      'start-earlier',
      'sear-more',
    ]);
  });
  test('every part is helped by itself', () => {
    const two = board(
      'one-pot-grain',
      { ...beef, id: 'meat' },
      { food: 'carrot', id: 'root', prep: { thicknessMm: 10 } },
      { food: 'rice-long' },
      { food: 'broth' },
    );
    const now = {
      ...says({}),
      meats: [
        { ingredient: 'other', texture: 'juicy' },
        { ingredient: 'meat', texture: 'tough' },
      ],
      plants: [
        { ingredient: 'other', verdict: 'done' },
        { ingredient: 'root', verdict: 'soft' },
      ],
    } as unknown as Plan;
    const found = equalise(two, hut, now, () => says({}));
    const of = (id: string): string[] =>
      [...new Set(found.filter((p) => p.ingredient === id).map((p) => p.code))].sort();
    expect(of('meat')).toEqual(['cut-thinner', 'sear-more', 'start-earlier', 'swap-cut']);
    expect(of('root')).toEqual(['cut-thicker', 'hold-back', 'on-the-rack']);
    for (const p of found.filter((x) => x.ingredient === 'root'))
      expect(p.dish.ingredients.find((i) => i.id === 'meat')).toEqual(two.ingredients[0]);
  });
  test('grain that is asked for by nobody’s trouble is left alone', () => {
    expect(ideas(dishOf(beef), { grain: { done: 0.5, off: 0 } })).toEqual([]);
    expect(strugglers(says({ meat: 'juicy', plant: 'done' }))).toEqual([]);
    const pasta = dishOf(beef, 'one-pot-pasta', 'penne');
    expect(ideas(pasta, { meat: 'tough' }).filter((c) => c.startsWith('swap-grain'))).toEqual([]);
  });
});
