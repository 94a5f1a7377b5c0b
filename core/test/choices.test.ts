import fc from 'fast-check';
import type { Dish } from '../src/dish/schema';
import { plan } from '../src/plan/plan';
import { halton } from '../src/halton';
import { normalDeviate } from '../src/normal';
import { uncertainty } from '../src/plan/questions/uncertainty';
import { demo, demoDish } from './helpers/demo';
import { hut, plainRice, seaLevel, turkeyRice } from './helpers/dishes';

describe('the dishes of the hut', () => {
  test.each([...demo])('%s is planned without a stop, its meat done, its starch as wanted', (_, dish) => {
    const p = plan(dish, hut);
    expect(p.warnings.filter((w) => w.severity === 'stop')).toEqual([]);
    expect(p.meats.filter((m) => !m.ok || m.texture === 'tough')).toEqual([]);
    expect(p.plants.filter((v) => v.verdict !== 'done')).toEqual([]);
    expect(Math.abs(p.liquid.ledger.reduce((s, r) => s + r.grams, 0))).toBeLessThan(1e-6);
    if (p.grain) expect(['fluffy', 'soft']).toContain(p.grain.band);
    if (p.pasta) expect(['al-dente', 'tender']).toContain(p.pasta.band);
  });
  test('slow lamb goes first under its own pressure, and only then the rice', () => {
    const p = plan(demoDish('lamb-apricot-biryani'), hut);
    expect(p.firstStage!.ingredients).toContain('lamb');
    expect(p.firstStage!.ingredients).not.toContain('rice');
    // Common practice: cubes of lamb want about 20 min at high pressure.
    expect(p.firstStage!.holdMin).toBeGreaterThanOrEqual(15);
    expect(p.firstStage!.holdMin).toBeLessThanOrEqual(28);
  });
  test('venison and barley want nearly the same time: one stage is enough', () => {
    expect(plan(demoDish('venison-juniper-barley'), hut).firstStage).toBeNull();
  });
  test('a whistle cooker is held for whistles and vents more steam than a sealed pot', () => {
    const p = plan(plainRice(), { ...hut, potId: 'whistle-5' });
    expect(p.program.whistles).toBeGreaterThanOrEqual(2);
    const steam = (id: string): number =>
      -plan(plainRice(), { ...hut, potId: id }).liquid.ledger.find((r) => r.item === 'steam')!.grams;
    expect(steam('whistle-5')).toBeGreaterThan(steam('electric-5.7'));
  });
  test('frozen meat lengthens the wait to pressure', () => {
    const frozen = demoDish('chicken-rack-red-rice');
    const chicken = frozen.ingredients.find((i) => i.id === 'chicken')!;
    const cold: Dish = {
      ...frozen,
      ingredients: frozen.ingredients.map((i) => (i === chicken ? { ...i, prep: { ...i.prep, state: 'frozen' } } : i)),
    };
    expect(plan(cold, hut).program.minutesToPressure).toBeGreaterThan(
      plan(frozen, hut).program.minutesToPressure + 0.5,
    );
  });
});

describe('uncertainty', () => {
  // Abramowitz & Stegun, table 26.5: the normal deviates of .5, .975, .001 and .2.
  test.each([
    [0.5, 0],
    [0.975, 1.959964],
    [0.001, -3.090232],
    [0.2, -0.841621],
  ])('the normal deviate of %d', (p, z) => expect(normalDeviate(p)).toBeCloseTo(z, 5));
  test('Halton in base 2 begins 1/2, 1/4, 3/4, 1/8 and fills the line evenly', () => {
    expect([1, 2, 3, 4].map((n) => halton(n, 2, 0))).toEqual([0.5, 0.25, 0.75, 0.125]);
    const mean = Array.from({ length: 1000 }, (_, i) => halton(i + 1, 3, 5)).reduce((a, b) => a + b, 0) / 1000;
    expect(mean).toBeCloseTo(0.5, 2);
  });
  const p = plan(turkeyRice(), hut);
  const u = uncertainty(turkeyRice(), hut, p, { draws: 400, seed: 7 });
  test('chances add up, the wanted band is the likeliest, the same seed gives the same answer', () => {
    expect(u.bands.reduce((s, b) => s + b.chance, 0)).toBeCloseTo(1, 9);
    expect(u.bands[0]!.band).toBe('fluffy');
    expect(uncertainty(turkeyRice(), hut, p, { draws: 400, seed: 7 })).toEqual(u);
  });
  test('another seed moves the chances by a few points only', () => {
    const other = uncertainty(turkeyRice(), hut, p, { draws: 400, seed: 8 }).bands.find(
      (b) => b.band === 'fluffy',
    )!.chance;
    expect(Math.abs(other - u.bands[0]!.chance)).toBeLessThan(0.06);
  });
  test('turkey reaches its minimum in nearly every cook, a thick slab hardly held does not', () => {
    expect(u.meats[0]!.chance).toBeGreaterThan(0.97);
    const raw = turkeyRice({ overrides: { holdMin: 0, release: { kind: 'quick' }, firstStage: false } });
    raw.ingredients[1] = { ...raw.ingredients[1]!, prep: { shape: 'slab', thicknessMm: 38 } };
    expect(uncertainty(raw, hut, plan(raw, hut), { draws: 200 }).meats[0]!.chance).toBeLessThan(0.5);
  });
  test('the chance of a slab is that of its thickness: half where the nominal core just reaches its minimum', () => {
    const chance = (mm: number): number => {
      const d = turkeyRice({ overrides: { holdMin: 5, release: { kind: 'quick' }, firstStage: false } });
      d.ingredients[1] = { ...d.ingredients[1]!, prep: { shape: 'slab', thicknessMm: mm } };
      return uncertainty(d, hut, plan(d, hut), { draws: 400 }).meats[0]!.chance;
    };
    const core = (mm: number): number => {
      const d = turkeyRice({ overrides: { holdMin: 5, release: { kind: 'quick' }, firstStage: false } });
      d.ingredients[1] = { ...d.ingredients[1]!, prep: { shape: 'slab', thicknessMm: mm } };
      return plan(d, hut).meats[0]!.coreC;
    };
    let [low, high] = [10, 60];
    for (let i = 0; i < 12; i++) {
      const mid = (low + high) / 2;
      if (core(mid) >= 74) low = mid;
      else high = mid;
    }
    // One deviation of thickness is 8 %; a weak heater and a strong one nearly cancel.
    expect(Math.abs(chance(low) - 0.5)).toBeLessThan(0.08);
    expect(Math.abs(chance(low / 1.08) - 0.841)).toBeLessThan(0.08);
    expect(Math.abs(chance(low / 0.92) - 0.159)).toBeLessThan(0.08);
  });
  test('the draws agree with the spread that the plan itself tells', () => {
    const shown = p.grain!.bandChance;
    expect(Math.abs(u.bands.find((b) => b.band === p.grain!.band)!.chance - shown)).toBeLessThan(0.12);
  });
  test('rice and water alone move by heat, clock, uptake and steam; pasta is told in its own words', () => {
    const plain = uncertainty(plainRice(), seaLevel, plan(plainRice(), seaLevel), { draws: 200 });
    expect(plain.movers.map((m) => m.input).sort()).toEqual(['heat-up', 'kinetics', 'steam', 'uptake']);
    expect(plain.meats).toEqual([]);
    const dish = demoDish('pork-fennel-bean-rigatoni');
    const pasta = uncertainty(dish, hut, plan(dish, hut), { draws: 200 });
    expect(pasta.bands.every((b) => ['hard', 'al-dente', 'tender', 'soft'].includes(b.band))).toBe(true);
    expect(pasta.movers[0]!.input).toBe('kinetics');
    const side = demoDish('small-potatoes-rack');
    const none = uncertainty(side, hut, plan(side, hut), { draws: 50 });
    expect([none.bands, none.movers.every((m) => m.share === 0)]).toEqual([[], true]);
  });
  test('the movers are the inputs that have a spread, in falling order, and explain most of it', () => {
    const shares = u.movers.map((m) => m.share);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(shares.reduce((a, b) => a + b, 0)).toBeGreaterThan(0.7);
  });
});

describe('properties of any family', () => {
  const someDish = fc.constantFrom(...[...demo].map(([, d]) => d));
  test('more hold is never less done, more liquid never drier, scaling never changes what stands in the ledger’s balance', () => {
    const bad: string[] = [];
    fc.assert(
      fc.property(someDish, fc.integer({ min: 0, max: 12 }), (dish, hold) => {
        const at = (holdMin: number, liquidMl: number): ReturnType<typeof plan> =>
          plan({ ...dish, overrides: { holdMin, release: { kind: 'quick' }, liquidMl } }, seaLevel);
        const [a, b] = [at(hold, 500), at(hold + 3, 500)];
        const e = (p: typeof a): number => (p.grain ?? p.pasta)?.equivalentMin ?? 0;
        const m = (p: typeof a): number => (p.grain ?? p.pasta)?.moisture ?? 0;
        if (e(b) < e(a)) bad.push(`${dish.title}: ${hold} less done`);
        // A fuller pot swings less far over its law: the same heat takes a minute more, and with it more liquid is never drier.
        const full = at(hold, 700);
        const c = e(full) < e(a) ? at(hold + 1, 700) : full;
        if (e(c) < e(a) && dish.family !== 'pot-in-pot') bad.push(`${dish.title}: a minute more is not the same heat`);
        // In an inner bowl more water also heats more slowly, so there it may.
        if (dish.family !== 'pot-in-pot' && m(c) < m(a) - 1e-9) bad.push(`${dish.title}: drier`);
        if (Math.abs(c.liquid.ledger.reduce((s, r) => s + r.grams, 0)) > 1e-6) bad.push(`${dish.title}: ledger`);
      }),
      { numRuns: 14 },
    );
    expect(bad).toEqual([]);
  });
});
