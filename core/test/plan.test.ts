import fc from 'fast-check';
import { donenessMap } from '../src/plan/questions/map';
import { evaluate, plan } from '../src/plan/plan';
import { planSchema, type Plan } from '../src/plan/document/document';
import { compareSchools } from '../src/plan/questions/schools';
import type { Dish } from '../src/dish/schema';
import { scaleDish } from '../src/dish/scale';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

const asCooked = (ratio: number, cups = 2): Partial<Dish> => ({
  asCooked: {
    liquidMl: ratio * cups * 236.6,
    pressure: 'high',
    holdMin: 4,
    release: { kind: 'timed', naturalMin: 10 },
  },
});

describe('facts of the trade', () => {
  // Rinsed long-grain in a sealed pot, ratios by volume: what cooks get (common practice, docs/engine.md section 5).
  test.each([
    [1, 'firm'],
    [1.25, 'fluffy'],
    [2, 'mushy'],
  ])('water at %d to 1 gives %s rice', (ratio, band) => {
    expect(evaluate(plainRice(asCooked(ratio)), seaLevel).grain!.band).toBe(band);
  });
  test('the ratio does not scale: one cup needs more water per cup than four', () => {
    const perCup = (cups: number): number => plan(plainRice({}, cups), seaLevel).liquid.addMl / cups;
    expect(perCup(1)).toBeGreaterThan(perCup(4) + 5);
  });
  // Two cups rinsed to 66 %: 573 g by the closed sum of the notes; the simulated pot may differ by its own steam.
  test('two cups to fluffy want about 573 g', () => {
    expect(Math.abs(plan(plainRice(), seaLevel).liquid.addMl - 573)).toBeLessThan(25);
  });
  test('white rice is planned inside the working window of E 22 to 36, with some natural release', () => {
    const p = plan(plainRice(), seaLevel);
    expect(p.grain!.equivalentMin).toBeGreaterThan(22);
    expect(p.grain!.equivalentMin).toBeLessThan(36);
    expect(p.program.release.naturalMin ?? 99).toBeGreaterThanOrEqual(5);
  });
  test('food that brings water needs less broth than rice alone', () => {
    const rice: Dish = {
      ...plainRice(),
      ingredients: [{ ...plainRice().ingredients[0]!, amount: { value: 300, unit: 'g' } }],
    };
    expect(plan(turkeyRice(), seaLevel).liquid.addMl).toBeLessThan(plan(rice, seaLevel).liquid.addMl - 40);
  });
});

describe('the plan document', () => {
  const p = plan(turkeyRice(), hut);
  test('is what its schema says', () => expect(planSchema.safeParse(p).error).toBeUndefined());
  test('the water ledger closes to zero', () => {
    expect(Math.abs(p.liquid.ledger.reduce((s, r) => s + r.grams, 0))).toBeLessThan(1e-6);
  });
  test('every decided number and every row has a rule and terms', () => {
    const bare = [...Object.values(p.decided), ...p.liquid.ledger.map((r) => r.reason)].filter(
      (r) => !r.rule || r.terms.length === 0,
    );
    expect(bare).toEqual([]);
  });
  test('stack: liquid, turkey at the base, rice above it, leek on top, each above the last', () => {
    const solid = p.stack.filter((l) => l.kind !== 'liquid').map((l) => l.ingredient);
    expect(solid).toEqual(['turkey', 'garlic', 'rice', 'leek']);
    expect(p.stack.map((l) => l.position)).toEqual(p.stack.map((_, i) => i));
  });
  test('fries fat, meat, leek, garlic in that order and takes out what lies on top', () => {
    expect(p.fry.map((f) => f.ingredient)).toEqual(['oil', 'turkey', 'leek', 'garlic']);
    expect(p.fry.filter((f) => f.takeOut).map((f) => f.ingredient)).toEqual(['leek']);
  });
  test('meat names the published minimum and asks for a thermometer', () => {
    expect(p.meats[0]).toMatchObject({ ingredient: 'turkey', safeMinimumC: 74, ok: true });
    expect(p.warnings.map((w) => w.code)).toContain('thermometer');
    expect(p.finish.map((f) => f.code)).toContain('check');
  });
  test('parsley waits for the finish', () => expect(p.heldBack.map((h) => h.ingredient)).toEqual(['parsley']));
  test('the timeline has no gaps and matches the steps', () => {
    const gaps = p.timeline.slice(1).filter((s, i) => Math.abs(s.startMin - p.timeline[i]!.endMin) > 1e-9);
    expect(gaps).toEqual([]);
    expect(p.timeline[p.timeline.length - 1]!.endMin).toBeCloseTo(p.steps.reduce((s, x) => s + x.minutes, 0));
  });
  test('altitude lowers the pot and is told', () => {
    expect(p.program.steamC).toBeLessThan(plan(turkeyRice(), seaLevel).program.steamC - 2);
    expect(p.warnings.map((w) => w.code)).toContain('altitude');
  });
});

describe('overruling', () => {
  const codes = (p: Plan): string[] => p.warnings.filter((w) => w.severity !== 'info').map((w) => w.code);

  test('a number set by hand is kept, its consequence shown, and what it was remembered', () => {
    const own = plan(turkeyRice(), hut);
    const { holdMin, release } = own.program;
    const p = plan(turkeyRice({ overrides: { liquidMl: 600, holdMin, release } }), hut);
    expect(p.liquid.addMl).toBe(600);
    expect(p.decided.addMl.overruled).toBe(own.liquid.addMl);
    expect(p.grain!.textureIndex).toBeGreaterThan(own.grain!.textureIndex + 2);
  });
  test('releasing it returns to the same plan', () => {
    const { overrides: _, ...released } = turkeyRice({ overrides: { holdMin: 9, ledger: { sauce: 60 } } });
    expect(plan(released, hut)).toEqual(plan(turkeyRice(), hut));
  });
  test('a wish for sauce is met in grams', () => {
    const p = plan(turkeyRice({ overrides: { ledger: { sauce: 60 } } }), hut);
    expect(Math.abs(p.grain!.freeSauceG - 60)).toBeLessThan(5);
    expect(Math.abs(p.liquid.ledger.reduce((s, r) => s + r.grams, 0))).toBeLessThan(1e-6);
  });
  test('a quick release straight away stops the plan for the meat', () => {
    const thick = turkeyRice({ overrides: { holdMin: 0, release: { kind: 'quick' }, firstStage: false } });
    thick.ingredients[1] = { ...thick.ingredients[1]!, prep: { shape: 'slab', thicknessMm: 45 } };
    expect(codes(plan(thick, hut))).toContain('meat-under');
  });
  test('evaluating the plan’s own numbers gives the plan again', () => {
    const p = plan(turkeyRice(), hut);
    const { pressure, holdMin, release } = p.program;
    const again = evaluate(turkeyRice({ asCooked: { liquidMl: p.liquid.addMl, pressure, holdMin, release } }), hut);
    expect(again.grain).toEqual(p.grain);
    expect(again.meats).toEqual(p.meats);
  });
});

describe('limits and scorch', () => {
  const codes = (p: Plan): string[] => p.warnings.map((w) => w.code);
  test('over half the pot rice is told of its foam, over two thirds it is a stop with the way out', () => {
    const half = plan(plainRice({}, 9), seaLevel);
    expect(codes(half)).toContain('foam-line');
    expect(codes(half)).not.toContain('over-full');
    const full = plan(plainRice({}, 18), seaLevel);
    expect(codes(full)).toContain('over-full');
    expect(full.proposals[0]).toMatchObject({ code: 'smaller-batch', stops: 0 });
  });
  test('a cup of rice in the 8 L pot gets the liquid that the pot needs for its steam', () => {
    const p = plan(plainRice({}, 1), { ...seaLevel, potId: 'electric-8' });
    expect(p.pot.thinLiquidMl).toBeGreaterThanOrEqual(0.97 * p.pot.minimumLiquidMl);
    expect(p.liquid.bounds!.leastBy).toBe('pot-minimum');
    expect(p.pot.ok).toBe(true);
    const short = plan(plainRice({ overrides: { liquidMl: 200 } }, 1), { ...seaLevel, potId: 'electric-8' });
    expect(codes(short)).toContain('liquid-short');
    expect(short.pot.ok).toBe(false);
  });
  test('tomato sauce at the base raises the risk, on top it does not', () => {
    const withTomato = (place: 'base' | 'top'): Plan =>
      plan(
        turkeyRice({
          ingredients: [
            ...turkeyRice().ingredients,
            { id: 'sauce', food: 'tomato-sauce', amount: { value: 200, unit: 'g' }, place },
          ],
        }),
        seaLevel,
      );
    expect(withTomato('base').scorch.index).toBeGreaterThan(withTomato('top').scorch.index * 3);
    expect(withTomato('base').scorch.reasons.find((r) => r.code === 'thick-tomato-at-base')?.remedy).toBe(
      'tomato-on-top',
    );
  });
});

describe('properties', () => {
  const grams = fc.integer({ min: 120, max: 500 });
  test('more rice takes more liquid, same input same plan, the ledger always closes', () => {
    const bad: string[] = [];
    fc.assert(
      fc.property(grams, fc.constantFrom('firm' as const, 'fluffy' as const, 'soft' as const), (g, texture) => {
        const a = plan(turkeyRice({ texture }, g), hut);
        const b = plan(turkeyRice({ texture }, g + 60), hut);
        // A little rice stands in what the pot needs for its steam, and a little more brings some of that from its rinsing.
        const onLeast = b.liquid.addMl <= b.liquid.bounds!.leastMl + 5;
        const more = onLeast ? b.pot.thinLiquidMl > a.pot.thinLiquidMl - 5 : b.liquid.addMl > a.liquid.addMl;
        if (!more) bad.push(`liquid at ${g} g`);
        if (Math.abs(a.liquid.ledger.reduce((s, r) => s + r.grams, 0)) > 1e-6) bad.push(`ledger at ${g} g`);
        const free = a.liquid.addMl > a.liquid.bounds!.leastMl + 5;
        if (free && Math.abs(a.grain!.textureIndex - a.grain!.aimIndex) > 0.6) bad.push(`aim at ${g} g ${texture}`);
      }),
      { numRuns: 12 },
    );
    expect(bad).toEqual([]);
    expect(plan(turkeyRice(), hut)).toEqual(plan(turkeyRice(), hut));
  });
  // With one program: left to itself the planner answers more water with a shorter hold.
  test('more liquid is never drier', () => {
    const program = { holdMin: 4, release: { kind: 'timed', naturalMin: 6 } } as const;
    const at = (ml: number): number =>
      plan(turkeyRice({ overrides: { ...program, liquidMl: ml } }), hut).grain!.moisture;
    const m = [250, 350, 450, 600, 800].map(at);
    expect(m).toEqual([...m].sort((a, b) => a - b));
  });
  test('scaling scales the food, keeps the frying fat and drops overruled numbers', () => {
    const d = scaleDish(turkeyRice({ overrides: { liquidMl: 400 } }), 8);
    expect(d.ingredients.find((i) => i.id === 'rice')!.amount.value).toBe(600);
    expect(d.ingredients.find((i) => i.id === 'oil')!.amount.value).toBe(2);
    expect(d.overrides).toBeUndefined();
  });
});

test('schools: rising, firm to mushy alone, and wetter in a pot of juicy food up to the half', () => {
  const s = compareSchools(turkeyRice(), hut, plan(turkeyRice(), hut));
  const ratios = ['equal', 'quarter-more', 'half-more', 'double'];
  expect(s.filter((x) => ratios.includes(x.id)).map((x) => x.alone.band)).toEqual([
    'firm',
    'fluffy',
    'soft',
    expect.stringMatching(/soft|mushy/),
  ]);
  expect(s.map((x) => x.ml)).toEqual([...s.map((x) => x.ml)].sort((a, b) => a - b));
  const here = s.map((x) => x.here.index);
  // Once it swims the grain is full: more water only heats more slowly.
  expect(here.every((x, i) => i === 0 || x > here[i - 1]! - 0.05)).toBe(true);
  expect(here[0]!).toBeGreaterThan(s[0]!.alone.index);
});

test('doneness map: more hold or more natural release is never less done; progress reaches the end; it can be stopped', () => {
  const seen: number[] = [];
  const p = plan(turkeyRice(), hut);
  const m = donenessMap(turkeyRice(), hut, p, (x) => seen.push(x));
  const rising = (xs: number[]): boolean => xs.every((x, i) => i === 0 || x >= xs[i - 1]! - 1e-9);
  expect(m.equivalentMin.every(rising)).toBe(true);
  expect(m.holdMin.every((_, k) => rising(m.equivalentMin.map((row) => row[k]!)))).toBe(true);
  expect(seen[seen.length - 1]).toBe(1);
  expect(() =>
    donenessMap(turkeyRice(), hut, p, () => {
      throw new Error('stopped');
    }),
  ).toThrow('stopped');
});
