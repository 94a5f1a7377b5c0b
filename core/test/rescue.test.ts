import fc from 'fast-check';
import { plan } from '../src/plan/plan';
import { symptoms, type Answers, type Symptom } from '../src/rescue/moves';
import { firstSymptoms } from '../src/rescue/first-stage';
import { rescue } from '../src/rescue/rescue';
import { minutesToReach } from '../src/rescue/under-minimum';
import { Problem } from '../src/problem';
import { demoDish } from './helpers/demo';
import { hut, plainRice, turkeyRice } from './helpers/dishes';

const dish = turkeyRice();
const p = plan(dish, hut);
const all: Answers = {
  minutes: 20,
  coreC: 66,
  ingredient: 'turkey',
  waterLeft: false,
  extraMl: 200,
  saltPercent: 1.4,
  food: 'onion',
};
const small = demoDish('small-potatoes-rack');
const codes = (s: Symptom, a: Answers = all): string[] =>
  rescue(s, { dish, kitchen: hut, plan: p }, a).steps.map((x) => x.code);

test.each(Object.keys(symptoms) as Symptom[])(
  '%s: at most three questions, something to do, something not to do',
  (s) => {
    const m = rescue(s, { dish, kitchen: hut, plan: p }, all);
    expect(symptoms[s].asks.length).toBeLessThanOrEqual(3);
    expect(m.steps.length).toBeGreaterThan(0);
    expect(m.never.length).toBeGreaterThan(0);
    expect(JSON.stringify([m.steps, m.effect, m.clock ?? {}])).not.toMatch(/null|NaN/);
  },
);
test('a question that was not answered is asked for, not guessed', () => {
  expect(() => rescue('meat-under', { dish, kitchen: hut, plan: p }, { coreC: 60 })).toThrow(Problem);
});

describe('computed for this pot', () => {
  test('before its time plus five minutes the pin is only waited for; after it the lid is looked at', () => {
    expect(codes('no-pressure', { minutes: p.program.pinUpMin + 2 })).toEqual(['wait']);
    expect(codes('no-pressure', { minutes: p.program.pinUpMin + 6 })).toEqual(
      expect.arrayContaining(['heat-off', 'check-ring']),
    );
  });
  test('too little liquid is topped up by what is missing', () => {
    const one = plainRice({}, 1);
    const kitchen = { ...hut, potId: 'electric-8' };
    const q = plan(one, kitchen);
    const add = rescue('no-pressure', { dish: one, kitchen, plan: q }, { minutes: 40 }).steps.find(
      (s) => s.code === 'add-liquid',
    )!;
    expect(Number(add.params['ml'])).toBeGreaterThan(q.pot.minimumLiquidMl - q.pot.thinLiquidMl);
  });
  test('the later the burn warning, the shorter the new hold', () => {
    const hold = (minutes: number): number =>
      Number(rescue('burn-warning', { dish, kitchen: hut, plan: p }, { minutes }).effect['holdMin']);
    const holds = [4, 8, 12, 16].map(hold);
    expect(holds).toEqual([...holds].sort((a, b) => b - a));
  });
  test('a burn warning at once, before anything cooked, asks for no more than the planned minutes', () => {
    const m = rescue('burn-warning', { dish, kitchen: hut, plan: p }, { minutes: 1 });
    expect(Number(m.effect['holdMin'])).toBeLessThanOrEqual(p.program.holdMin + 1);
    expect(Number(m.effect['doneShare'])).toBeLessThan(0.05);
  });
  test('meat under its minimum: always ends at the thermometer, and the published minimum is named', () => {
    const m = rescue('meat-under', { dish, kitchen: hut, plan: p }, all);
    expect(m.steps.at(-1)).toEqual({ code: 'check-thermometer', params: { minimum: 74 } });
  });
  test('too salty: the unsalted mass that really dilutes', () => {
    // 1.4 % down to 1.0 % takes 40 % more mass (mass balance).
    const mass = dish.ingredients.filter((i) => i.food !== 'broth').length;
    expect(mass).toBeGreaterThan(0);
    const a = Number(rescue('too-salty', { dish, kitchen: hut, plan: p }, { saltPercent: 1.4 }).effect['addG']);
    const b = Number(rescue('too-salty', { dish, kitchen: hut, plan: p }, { saltPercent: 1.2 }).effect['addG']);
    expect(a / b).toBeCloseTo(2, 1);
    expect(codes('too-salty', { saltPercent: 0.8 })).toEqual(['nothing-to-do']);
  });
  test('a forgotten release softens in proportion to its logarithm and says what it became', () => {
    const points = (minutes: number): number =>
      Number(rescue('release-forgotten', { dish, kitchen: hut, plan: p }, { minutes }).effect['points']);
    expect([points(2), points(10), points(30)]).toEqual([...[points(2), points(10), points(30)]].sort((a, b) => a - b));
    expect(points(2)).toBeLessThan(0.6);
  });
  test('soup: more to lose takes longer, and thinner air on a mountain is told by the pot’s altitude', () => {
    const min = (extraMl: number): number =>
      Number(rescue('soup', { dish, kitchen: hut, plan: p }, { extraMl }).effect['minutes']);
    expect(min(300)).toBeGreaterThan(min(100));
  });
});

describe('what a move does to the clock', () => {
  const clock = (s: Symptom, a: Answers = all) => rescue(s, { dish, kitchen: hut, plan: p }, a).clock;
  test('the lid is locked again for what is left: never more than the plan, nothing once all is done', () => {
    const holds = [2, 10, p.program.minutesToPressure + p.program.holdMin].map(
      (minutes) => clock('burn-warning', { minutes })!.holdMin!,
    );
    expect(holds).toEqual([...holds].sort((a, b) => b - a));
    expect(holds[0]).toBeLessThanOrEqual(p.program.holdMin);
    expect(holds[2]).toBe(0);
  });
  test('a pot that boils without rising cooks: the longer it stood so, the shorter the hold', () => {
    const hold = (late: number): number => clock('no-pressure', { minutes: p.program.pinUpMin + late })!.holdMin!;
    expect(clock('no-pressure', { minutes: 3 })).toBeNull();
    const holds = [5, 6, 7, 12].map(hold);
    expect(holds).toEqual([...holds].sort((a, b) => b - a));
    expect(holds[0]).toBeLessThan(p.program.holdMin);
  });
  test('without a starch nothing is taken off the hold', () => {
    const roots = plan(small, hut);
    expect(rescue('burn-warning', { dish: small, kitchen: hut, plan: roots }, { minutes: 12 }).clock!.holdMin).toBe(
      Math.round(roots.program.holdMin),
    );
  });
  test('what only takes time says how long; what takes none says nothing', () => {
    expect(clock('too-dry')).toEqual({ minutes: 3 });
    expect(clock('meat-under')!.minutes).toBeGreaterThan(
      Number(rescue('meat-under', { dish, kitchen: hut, plan: p }, all).effect['minutes']) - 1,
    );
    expect(clock('too-salty')).toBeNull();
    expect(clock('forgotten-ingredient', { food: 'herb-fresh' })).toBeNull();
    expect(clock('forgotten-ingredient', { food: 'broth' })!.holdMin).toBeGreaterThan(0);
  });
});

test('a colder core and a thicker piece need more minutes', () => {
  const bad: string[] = [];
  const lean = [0.755, 0.215, 0.02, 0.01] as const;
  fc.assert(
    fc.property(fc.integer({ min: 12, max: 40 }), fc.integer({ min: 30, max: 70 }), (mm, core) => {
      const at = (t: number, c: number): number =>
        minutesToReach({
          piece: { thicknessMm: t, exponent: 0, cautiousExponent: 0, guessed: false, shape: 'slab' },
          composition: lean,
          species: 'poultry',
          coreC: c,
          potC: 113,
          minimumC: 74,
        });
      if (at(mm, core) > at(mm + 6, core)) bad.push(`thinner at ${mm}`);
      if (at(mm, core) > at(mm, core - 15)) bad.push(`colder at ${core}`);
    }),
    { numRuns: 15 },
  );
  expect(bad).toEqual([]);
});

/* In the first of two stages slow meat is alone in the pot: its own pin, hold and liquid, and no starch to be ruined. */
describe('in the first of two stages', () => {
  const lamb = demoDish('lamb-apricot-biryani');
  const two = plan(lamb, hut);
  const f = two.firstStage!;
  const first = (s: Symptom, a: Answers) => rescue(s, { dish: lamb, kitchen: hut, plan: two }, a, 'first-heat');
  const hold = (minutes: number): number => Number(first('burn-warning', { minutes }).effect['holdMin']);
  test('burning on the way up keeps the whole hold, later on what is left of it, at its end none', () => {
    expect(hold(2)).toBe(Math.ceil(f.holdMin));
    expect(hold(f.minutesToPressure + 10)).toBe(Math.ceil(f.holdMin - 10));
    expect(hold(f.minutesToPressure + f.holdMin + 1)).toBe(0);
    const over = first('burn-warning', { minutes: f.minutesToPressure + f.holdMin + 1 });
    expect(over.clock).not.toHaveProperty('holdMin');
    expect(over.steps.map((x) => x.code)).toContain('go-on-second');
  });
  test('what is poured in is poured less with the rest, and its own lid is locked again', () => {
    const m = first('burn-warning', { minutes: 8 });
    expect(m.clock).toMatchObject({ lid: 'first-heat' });
    const ml = (code: string): number => Number(m.steps.find((x) => x.code === code)!.params['ml']);
    expect(ml('less-later')).toBe(
      Math.min(m.clock!.addMl!, Number(two.steps.find((s) => s.id === 'stack')!.params['ml'])),
    );
    expect(ml('add-thin')).toBe(m.clock!.addMl);
  });
  test('it is waited for its own pin; boiling meanwhile takes nothing off the hold', () => {
    const pinMin = two.steps.find((s) => s.id === 'first-heat')!.minutes;
    expect(first('no-pressure', { minutes: pinMin + 3 }).steps.map((x) => x.code)).toEqual(['wait']);
    const late = first('no-pressure', { minutes: pinMin + 15 });
    expect(late.steps.map((x) => x.code)).toEqual(expect.arrayContaining(['check-valve', 'check-ring', 'lock-again']));
    expect(late.clock).toMatchObject({ holdMin: f.holdMin, lid: 'first-heat' });
  });
  test('meat under its minimum goes back under the same lid and ends at the thermometer', () => {
    const m = first('meat-under', { coreC: 55, ingredient: f.slow[0]! });
    expect(m.steps.at(-1)!.code).toBe('check-thermometer');
    expect(m.clock).toMatchObject({ lid: 'first-heat', holdMin: m.effect['minutes'] });
    expect(m.effect['grainPoints']).toBe(0);
  });
  test('a forgotten thing has the second lid; meat does not, and leaves go to the finish', () => {
    const codes = (food: string): string[] => first('forgotten-ingredient', { food }).steps.map((x) => x.code);
    expect(codes('carrot')).toEqual(['with-second']);
    expect(codes('chicken-thigh')).toEqual(['cook-apart', 'check-thermometer']);
    expect(codes('spinach')).toEqual(['at-the-finish']);
    expect(first('release-forgotten', { minutes: 20 }).effect).toEqual({});
  });
  test.each(firstSymptoms)('%s: something to do, with numbers', (s) => {
    const m = first(s, { ...all, ingredient: f.slow[0]! });
    expect(m.steps.length).toBeGreaterThan(0);
    expect(JSON.stringify([m.steps, m.effect, m.clock ?? {}])).not.toMatch(/null|NaN/);
  });
  test('a dish of one lid is not changed by the question', () => {
    const plain = rescue('burn-warning', { dish, kitchen: hut, plan: p }, all, 'first-heat');
    expect(plain).toEqual(rescue('burn-warning', { dish, kitchen: hut, plan: p }, all));
  });
});
