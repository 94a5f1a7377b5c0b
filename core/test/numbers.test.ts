import type { Dish, Overrides } from '../src/dish/schema';
import { evaluate, plan } from '../src/plan/plan';
import { roundMl } from '../src/plan/search/solve-once';
import { pots } from '../src/pot/profile';
import { board } from './helpers/board';
import { demo, demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

/* The numbers of a plan agree with each other, and each says where it comes from. */
const given = (dish: Dish, overrides: Overrides): Dish => ({ ...dish, overrides: { ...dish.overrides, ...overrides } });
const pot = pots.find((p) => p.id === hut.potId)!;

describe('the minutes', () => {
  test.each([...demo])('%s: its steps are its program, and end where its curve ends', (_, dish) => {
    const p = plan(dish, hut);
    const min = (id: string): number => p.steps.find((s) => s.id === id)?.minutes ?? 0;
    const { pinUpMin, minutesToPressure, holdMin, naturalFullMin } = p.program;
    expect(pinUpMin).toBeGreaterThan(1);
    expect(minutesToPressure).toBeGreaterThanOrEqual(pinUpMin);
    expect(minutesToPressure).toBeLessThan(40);
    expect(min('heat-up')).toBeCloseTo(pinUpMin, 9);
    expect(min('to-full') + min('hold')).toBeCloseTo(minutesToPressure - pinUpMin + holdMin, 9);
    const end = pinUpMin + min('to-full') + min('hold') + min('natural') + min('vent');
    // The curve is drawn every few seconds.
    expect(Math.abs(end - p.curve.minutes.at(-1)!)).toBeLessThan(0.35);
    const told = p.program.release;
    if (told.kind === 'timed') expect(min('natural')).toBeCloseTo(told.naturalMin!, 1);
    else expect(min('natural')).toBeLessThanOrEqual(naturalFullMin + 0.05);
    expect(naturalFullMin).toBeGreaterThan(2);
    const underLid = p.timeline.filter((t) => t.stage === 'hold' || t.stage === 'heat-up');
    expect(underLid.every((t) => t.peakC > 100 && t.peakC < 125)).toBe(true);
    const f = p.firstStage;
    if (f) expect(f.minutes).toBeCloseTo(f.minutesToPressure + f.holdMin + f.ventMin + 3, 9);
  });
  test('a timed release lasts its minutes: past the fall of the pin the lid stays shut, and the food cooks on', () => {
    const natural = plan(given(plainRice(), { release: { kind: 'natural' }, holdMin: 5 }), hut);
    const full = natural.program.naturalFullMin;
    const longer = plan(given(plainRice(), { release: { kind: 'timed', naturalMin: 30 }, holdMin: 5 }), hut);
    const min = (p: typeof natural, id: string): number | undefined => p.steps.find((s) => s.id === id)?.minutes;
    expect(full).toBeLessThan(20);
    expect(min(natural, 'natural')).toBeCloseTo(full, 0);
    expect(min(longer, 'natural')).toBeCloseTo(30, 1);
    // The pin is down long before: no valve is opened.
    expect(min(longer, 'vent')).toBeUndefined();
    expect(longer.curve.minutes.at(-1)! - natural.curve.minutes.at(-1)!).toBeCloseTo(30 - full, 0);
    expect(longer.grain!.equivalentMin).toBeGreaterThan(natural.grain!.equivalentMin + 4);
    // Closed it cools slowly, near the boil of the place.
    expect(longer.curve.tempC.at(-1)!).toBeGreaterThan(80);
    expect(longer.curve.tempC.at(-1)!).toBeLessThan(97);
    const timed = plan(given(plainRice(), { release: { kind: 'timed', naturalMin: 4 }, holdMin: 5 }), hut);
    expect(min(timed, 'natural')!).toBeCloseTo(4, 1);
    expect(min(timed, 'vent')!).toBeGreaterThan(0.3);
  });
});

describe('pressure', () => {
  test('high, low, and none where the pot never seals', () => {
    const at = (d: Dish, kitchen = hut) => plan(d, kitchen).program;
    expect(at(turkeyRice())).toMatchObject({ pressure: 'high', gaugeKpa: pot.highKpa });
    const low = plan(given(turkeyRice(), { pressure: 'low' }), hut);
    expect(low.program).toMatchObject({ pressure: 'low', gaugeKpa: pot.lowKpa });
    expect([low.decided.pressure.value, plan(turkeyRice(), hut).decided.pressure.value]).toEqual([
      pot.lowKpa,
      pot.highKpa,
    ]);
    const dry = plan(
      given(board('plain-grain', { food: 'rice-long', g: 40 }, { food: 'water', g: 20 }), { liquidMl: 20 }),
      hut,
    );
    if (dry.warnings.some((w) => w.code === 'never-seals')) expect(dry.program.gaugeKpa).toBe(0);
    expect(dry.pot.ok).toBe(false);
  });
  test('a cooker with programs names the one that it runs', () => {
    const { program } = plan(turkeyRice(), { ...hut, potId: 'program-5' });
    const own = pots.find((p) => p.id === 'program-5')!.programs!.find((p) => p.id === program.program)!;
    expect([own.pressure, own.holdMin]).toEqual([program.pressure, program.holdMin]);
    expect(plan(turkeyRice(), hut).program).not.toHaveProperty('program');
  });
  test('whistles are told of the pot that whistles', () => {
    const whistled = plan(turkeyRice(), { ...hut, potId: 'whistle-5' });
    expect(whistled.program.whistles).toBeGreaterThan(0);
    expect(plan(turkeyRice(), hut).program).not.toHaveProperty('whistles');
  });
});

describe('the liquid', () => {
  test('its range goes by what nobody knows: twenty grams where no starch drinks it, never under nothing', () => {
    const p = plan(demoDish('small-potatoes-rack'), hut);
    expect(p.liquid.rangeMl).toEqual([roundMl(p.liquid.addMl - 20), roundMl(p.liquid.addMl + 20)]);
    const few = plan(given(turkeyRice(), { liquidMl: 5 }), hut);
    expect(few.liquid.rangeMl[0]).toBe(0);
    for (const [, dish] of demo) {
      const { addMl, rangeMl } = plan(dish, hut).liquid;
      expect([rangeMl[0] <= addMl, rangeMl[1] >= addMl, rangeMl[1] - rangeMl[0] < 400]).toEqual([true, true, true]);
    }
  });
  test('what loosens the base is 120 mL of it, or all there is', () => {
    const deglaze = (liquidMl: number) => plan(given(turkeyRice(), { liquidMl }), hut).deglaze!;
    expect([deglaze(400).ml, deglaze(70).ml]).toEqual([120, 70]);
    expect(deglaze(400)).toMatchObject({ minutes: 1.5, enough: true });
    expect(plan(plainRice(), hut).deglaze).toBeNull();
  });
  test('a pot that is too full, or has too little thin liquid, is not in order', () => {
    expect(plan(turkeyRice(), hut).pot.ok).toBe(true);
    expect(plan(turkeyRice({}, 2600), hut).pot.ok).toBe(false);
    expect(plan(given(plainRice(), { liquidMl: 40 }), hut).pot.ok).toBe(false);
  });
});

describe('where a number comes from', () => {
  const own = plan(turkeyRice(), hut);
  test('the liquid: the sum without its last row, each with the other sign; yours when it is yours', () => {
    const { addMl } = own.decided;
    const rows = own.liquid.ledger.filter((r) => r.item !== 'added');
    expect(addMl.rule).toBe('ledger-closed-by-simulation');
    expect(addMl.terms.map((t) => [t.label, t.value])).toEqual(rows.map((r) => [r.item, -r.grams]));
    expect(addMl.terms.reduce((s, t) => s + t.value, 0)).toBeCloseTo(
      own.liquid.ledger.find((r) => r.item === 'added')!.grams,
      6,
    );
    expect(addMl.overruled).toBeUndefined();
    const yours = plan(given(turkeyRice(), { liquidMl: 500 }), hut).decided.addMl;
    expect([yours.rule, yours.value, yours.overruled]).toEqual(['yours', 500, own.liquid.addMl]);
  });
  test('hold and release: what the planner would have taken is kept beside what the cook set', () => {
    expect([own.decided.holdMin.overruled, own.decided.naturalMin.overruled]).toEqual([undefined, undefined]);
    const natural = own.program.release.naturalMin ?? 0;
    const set = plan(given(turkeyRice(), { holdMin: own.program.holdMin + 3, release: { kind: 'quick' } }), hut);
    expect(set.decided.holdMin.overruled).toBe(own.program.holdMin);
    expect([set.decided.naturalMin.value, set.decided.naturalMin.overruled]).toEqual([0, natural]);
    expect(set.decided.naturalMin.rule).toBe('release-quick');
  });
  test('sauce that was asked for says what the sum itself would have left', () => {
    const asked = plan(given(turkeyRice(), { ledger: { sauce: 90 } }), hut);
    const row = asked.liquid.ledger.find((r) => r.item === 'sauce')!;
    expect(row.reason.overruled).toBeCloseTo(own.grain!.freeSauceG, 0);
    expect(own.liquid.ledger.find((r) => r.item === 'sauce')!.reason.overruled).toBeUndefined();
  });
  test('gravy that was measured is told with the first stage', () => {
    const lamb = demoDish('lamb-apricot-biryani');
    expect(plan(lamb, hut).firstStage).not.toHaveProperty('measuredMl');
    expect(plan(given(lamb, { gravyMl: 400 }), hut).firstStage!.measuredMl).toBe(400);
  });
  test('what curdles under the lid is named, but not the milk of a porridge or the cheese of sheets', () => {
    const curdles = (d: Dish): boolean => plan(d, hut).warnings.some((w) => w.code === 'curdles');
    const cream = { food: 'cream-sour', g: 100, joins: 'stack' as const };
    expect(curdles(board('one-pot-grain', { food: 'rice-long' }, { food: 'broth' }, cream))).toBe(true);
    expect(
      curdles(board('one-pot-grain', { food: 'rice-long' }, { food: 'broth' }, { ...cream, joins: 'finish' })),
    ).toBe(false);
    // In a pulao it is fried with the spices.
    expect(
      curdles(board('one-pot-grain', { food: 'rice-long' }, { food: 'broth' }, { ...cream, food: 'yogurt' })),
    ).toBe(false);
    expect(curdles(board('porridge', { food: 'oats-rolled' }, { food: 'water' }, { food: 'milk' }))).toBe(false);
  });
});

describe('a cook’s own numbers', () => {
  const asCooked = { pressure: 'high', holdMin: 6, release: { kind: 'quick' } } as const;
  test('without liquid said, what is listed was poured', () => {
    const p = evaluate({ ...plainRice(), asCooked }, seaLevel);
    expect([p.mode, p.program.holdMin]).toEqual(['evaluate', 6]);
    // Two cups of the customary measure.
    expect(p.liquid.addMl).toBe(473);
    expect(evaluate({ ...plainRice(), asCooked: { ...asCooked, liquidMl: 350 } }, seaLevel).liquid.addMl).toBe(350);
    expect(() => evaluate(plainRice(), seaLevel)).toThrow(/say how it was cooked/);
  });
  test('a timed way to pressure makes the heater weaker or stronger until the model agrees, within reason', () => {
    const toFull = (minutesToPressure?: number): number =>
      evaluate(
        { ...plainRice(), asCooked: { ...asCooked, ...(minutesToPressure ? { minutesToPressure } : {}) } },
        seaLevel,
      ).program.minutesToPressure;
    const usual = toFull();
    for (const k of [0.75, 1.3, 1.6]) expect(toFull(k * usual) / (k * usual)).toBeCloseTo(1, 0);
    expect(toFull(1.4 * usual)).toBeGreaterThan(1.25 * usual);
    expect(toFull(0.8 * usual)).toBeLessThan(0.88 * usual);
    expect(toFull(60)).toBeCloseTo(toFull(3 * usual), 6);
  });
  test('whistles say the hold of a pot that whistles, and nothing of another', () => {
    const of = (potId: string, whistles?: number) =>
      evaluate({ ...plainRice(), asCooked: { ...asCooked, ...(whistles ? { whistles } : {}) } }, { ...seaLevel, potId })
        .program;
    expect(of('whistle-5', 3).whistles).toBe(3);
    expect(of('whistle-5', 5).holdMin).toBeGreaterThan(of('whistle-5', 3).holdMin);
    expect(of('electric-5.7', 3).holdMin).toBe(6);
    expect(of('whistle-5').holdMin).toBe(6);
  });
});
