import { plan, planInFull } from '../src/plan/plan';
import { poorOf100 } from '../src/plan/judge/chance';
import { board } from './helpers/board';
import { hut, turkeyRice } from './helpers/dishes';
import { planned } from './helpers/laws';

/* Plans that nothing forbids and that seldom come out. */
test('a batch too small for its pot is said to be poor, and the larger batch that was planned does better', () => {
  const dish = board('plain-grain', { food: 'rice-jasmine', g: 30 }, { food: 'water', g: 80 });
  const p = planInFull(dish, { ...hut, potId: 'electric-8' });
  expect(p.program.chance!.of100).toBeLessThan(poorOf100);
  expect(p.warnings.filter((w) => w.severity === 'caution')[0]).toMatchObject({ code: 'poor-chance' });
  const way = p.proposals[0]!;
  expect(way).toMatchObject({ code: 'larger-batch', stops: 0 });
  expect(way.of100!).toBeGreaterThan(p.program.chance!.of100 + 10);
});

test('a number of the cook that spoils the dish is the first to be given back', () => {
  const p = planInFull(turkeyRice({ overrides: { holdMin: 20 } }), hut);
  expect(p.program.chance!.of100).toBeLessThan(poorOf100);
  expect(p.proposals[0]).toMatchObject({ code: 'give-back', to: 'holdMin' });
});

test('a good plan says nothing and offers nothing', () => {
  const p = planInFull(turkeyRice(), hut);
  expect(p.warnings.map((w) => w.code)).not.toContain('poor-chance');
  expect(p.proposals).toEqual([]);
});

test('a risotto with thick thighs under one lid in a cooker of few programs is told to cut them, what helps more first', () => {
  const things = board(
    'risotto',
    { food: 'rice-arborio', g: 300 },
    { food: 'chicken-thigh', g: 500, prep: { thicknessMm: 36 } },
    { food: 'onion', g: 100 },
    { food: 'broth', g: 900 },
  );
  const dish = { ...things, overrides: { firstStage: false } };
  const p = planInFull(dish, { ...hut, potId: 'program-5' });
  expect(p.proposals.map((x) => [x.code, x.to])).toEqual([
    ['cut-thinner', 13],
    ['cut-thinner', 22],
  ]);
  const thinner = {
    ...dish,
    ingredients: dish.ingredients.map((i) => (i.id === 'chicken-thigh' ? { ...i, prep: { thicknessMm: 13 } } : i)),
  };
  expect(plan(thinner, { ...hut, potId: 'program-5' }).program.chance!.of100).toBeCloseTo(p.proposals[0]!.of100!, 1);
});

test('pasta that is seldom right with the shortest hold of a soup waits for the open pot', () => {
  const { p } = planned(102);
  expect(p.warnings.map((w) => w.code)).toContain('pasta-held-back');
  expect(p.program.chance!.of100).toBeGreaterThan(90);
});
