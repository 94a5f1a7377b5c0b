import type { Family } from '../src/dish/schema';
import { findFood } from '../src/food/find';
import { cautiousVariation, pieceSd } from '../src/meat/cautious';
import { lethalityLaw } from '../src/meat/lethality';
import { cookPiece, type PieceInput } from '../src/meat/piece';
import { halton } from '../src/halton';
import { normalDeviate } from '../src/normal';
import { thresholds } from '../src/meat/tenderness';
import { gather } from '../src/plan/gather/gather';
import { type Gathered } from '../src/plan/gather/item';
import { meatsOf, placementOf, plantsOf } from '../src/plan/gather/pieces';
import { runMeats } from '../src/plan/simulate/meat';
import { runPlants } from '../src/plan/simulate/plants';
import type { PotRun } from '../src/pot/program';
import { board, itemOf, type Thing } from './helpers/board';

/* What a piece is called after a run of the pot: safe by its minimum and both runs, then by how it eats. */
const of = (thing: Thing, family: Family = 'one-pot-grain'): Gathered =>
  gather(
    family === 'steamed-side'
      ? board(family, thing, { food: 'water' })
      : board(family, thing, { food: 'rice-long' }, { food: 'broth' }),
  );
/** A pot that stands at `tempC` for so many minutes: the pieces are all that is asked about. */
const held = (minutes: number, tempC = 112): PotRun => {
  const tempCs = new Float64Array(Math.round(minutes * 60) + 1).fill(tempC);
  return {
    history: {
      dtS: 1,
      tempC: tempCs,
      gaugeKpa: tempCs.map(() => 60),
      releaseAt: tempCs.length - 1,
      openAt: tempCs.length - 1,
    },
  } as unknown as PotRun;
};
/** The same from the shelf up: 20 K a minute. */
const rising = (minutes: number): PotRun => {
  const run = held(minutes);
  const tempC = run.history.tempC.map((c, i) => Math.min(c, 20 + i / 3));
  return { ...run, history: { ...run.history, tempC } };
};
const piece = (thing: Thing, minutes: number, tempC = 112) =>
  runMeats(of({ joins: 'stack', ...thing }), held(minutes, tempC), { depthCm: 6 })[0]!;
const cut = (food: string, thicknessMm: number, more: Partial<Thing> = {}): Thing => ({
  food,
  prep: { thicknessMm },
  ...more,
});

describe('safe', () => {
  const rows: [string, Thing][] = [
    ['chicken breast', cut('chicken-breast', 25)],
    ['pork loin', cut('pork-loin', 30)],
    ['minced beef', cut('beef-ground', 20)],
    ['white fish', cut('white-fish', 25)],
  ];
  test.each(rows)(
    '%s: the 95th percentile of the core over the published minimum, with the log reduction of its kind',
    (_, thing) => {
      const rec = findFood(thing.food).meat!;
      const minimum = rec.safeMinimumC[0];
      let [was, changes] = [false, 0];
      for (let minutes = 0.5; minutes <= 40; minutes += minutes < 14 ? 0.5 : 2) {
        const { verdict, nominal, cautious } = piece(thing, minutes);
        const log = cautious.log10Reduction >= lethalityLaw[rec.species].targetLog;
        const safe = Math.min(cautious.openCoreC, nominal.openCoreC) >= minimum && log;
        expect(verdict.ok).toBe(safe);
        expect(verdict.texture === 'under').toBe(!safe);
        expect(verdict.cautiousCoreC).toBeCloseTo(Math.min(nominal.openCoreC, cautious.openCoreC), 1);
        if (verdict.ok !== was) changes += 1;
        was = verdict.ok;
      }
      // Raw at first, done at last, and never raw again.
      expect([was, changes]).toEqual([true, 1]);
    },
  );
  test('the 95th percentile is what drawing the four spreads one by one says, never warmer by more than 1 K', () => {
    // 256 draws of a low-discrepancy sequence against the one run that stands for them.
    for (const [mm, exponent, place, startC] of [
      [25, 0, 'steam', 4],
      [35, 0, 'liquid', 4],
      [30, 0, 'grains', 4],
      [25, 0, 'steam', -18],
      [45, 1, 'steam', 4],
    ] as const) {
      const tempC = rising(Math.round((mm * mm * (startC < 0 ? 1.5 : 0.9)) / 60 / (exponent + 1)) + 4).history.tempC;
      const base: PieceInput = {
        composition: { water: 0.755, protein: 0.215, fat: 0.02, ash: 0.01 },
        freezeC: -1.5,
        species: 'poultry',
        thicknessM: mm / 1000,
        exponent,
        startC,
        pre: [],
        tempC,
        dtS: 1,
        releaseAt: tempC.length - 1,
        countdownAt: 270,
        place,
        restS: 0,
      };
      const one = cookPiece({ ...base, vary: cautiousVariation(mm / 2000, place, 270, false) }).openCoreC;
      const drawn = Array.from({ length: 256 }, (_, n) => {
        const z = [2, 3, 5, 7].map((prime, k) => normalDeviate(halton(n + 1, prime, 1 + k)));
        return cookPiece({
          ...base,
          coarse: true,
          vary: {
            thickness: 1 + pieceSd.thickness * z[0]!,
            surface: Math.exp(pieceSd.surface * z[1]!),
            startK: pieceSd.startK * z[2]!,
            heatUp: Math.exp(pieceSd.heatUp * z[3]!),
          },
        }).openCoreC;
      }).sort((a, b) => a - b);
      const percentile = drawn[Math.floor(0.05 * drawn.length)]!;
      expect(one).toBeLessThan(percentile + 1);
      expect(one).toBeGreaterThan(percentile - 3);
    }
  });
  test('a thickness that nobody measured is judged 15 % thicker, and is to be measured', () => {
    const measured = piece(cut('chicken-breast', 25, { place: 'base' }), 6);
    const guessed = piece({ food: 'chicken-breast', place: 'base' }, 6);
    expect(guessed.nominal.openCoreC).toBeCloseTo(measured.nominal.openCoreC, 6);
    expect(guessed.cautious.openCoreC).toBeLessThan(measured.cautious.openCoreC - 4);
    expect([measured.verdict.guessed, guessed.verdict.guessed]).toEqual([false, true]);
    expect(cautiousVariation(0.0125, 'steam', 500, true).thickness).toBeCloseTo(
      1.15 * cautiousVariation(0.0125, 'steam', 500, false).thickness,
      12,
    );
  });
  test('what is cooked already is no raw meat: hot it has no minimum, cold it is heated again to 74', () => {
    const at = (prep: Thing['prep'], minutes: number) => piece({ food: 'beef-stew', prep }, minutes).verdict;
    expect(at({ state: 'cooked', hot: true, thicknessMm: 28 }, 0.5)).toMatchObject({ kind: 'none', ok: true });
    const cold = at({ state: 'cooked', thicknessMm: 28 }, 0.5);
    expect(cold).toMatchObject({ kind: 'reheat', safeMinimumC: 74, ok: false });
    expect(at({ state: 'cooked', thicknessMm: 28 }, 40).ok).toBe(true);
    expect(itemOf(of({ food: 'chicken-cooked', prep: { hot: true } }), 'chicken-cooked').startC).toBe(85);
  });
  test('fish, shellfish, eggs and game have species of their own', () => {
    const species = (food: string) => findFood(food).meat!.species;
    expect(['white-fish', 'shrimp', 'egg', 'rabbit', 'venison'].map(species)).toEqual([
      'fish',
      'shellfish',
      'egg',
      'game',
      'game',
    ]);
  });
  test('the cautious run is never the warmer one, and its log reduction is given up to twelve', () => {
    for (const minutes of [3, 8, 30]) {
      const { nominal, cautious, verdict } = piece(cut('chicken-thigh', 30), minutes);
      expect(cautious.openCoreC).toBeLessThanOrEqual(nominal.openCoreC + 1e-9);
      expect(verdict.log10Reduction).toBeLessThanOrEqual(12);
    }
    expect(piece(cut('chicken-thigh', 12), 30).verdict.log10Reduction).toBe(12);
  });
  test('frozen is colder for longer, half thawed less so; a slit drumstick is warm sooner than a whole one', () => {
    const core = (thing: Thing) => piece(thing, 6).nominal.openCoreC;
    expect(core(cut('chicken-thigh', 25, { prep: { thicknessMm: 25, state: 'frozen' } }))).toBeLessThan(
      core(cut('chicken-thigh', 25)) - 10,
    );
    const drum = (prep: Thing['prep']): number =>
      core({ food: 'chicken-drumstick', prep: { thicknessMm: 40, ...prep } });
    expect(drum({ slit: true })).toBeGreaterThan(drum({}) + 4);
    // Never into ice.
    expect(drum({ slit: true, state: 'frozen' })).toBeCloseTo(drum({ state: 'frozen' }), 9);
    expect(drum({ state: 'half-frozen' })).toBeGreaterThan(drum({ state: 'frozen' }));
  });
  test('a piece from the pan starts warmer, and the cautious run gives no credit for it', () => {
    const fried = runMeats(of({ ...cut('chicken-thigh', 25), joins: 'fry' }), held(3), { depthCm: 6 })[0]!;
    const raw = piece(cut('chicken-thigh', 25), 3);
    expect(fried.nominal.openCoreC).toBeGreaterThan(raw.nominal.openCoreC + 1);
    expect(fried.cautious.openCoreC).toBeCloseTo(raw.cautious.openCoreC, 6);
  });
});

describe('how it eats', () => {
  test('lean meat goes from juicy over firm to dry by the minutes over its limit', () => {
    for (const [food, by] of [
      ['chicken-breast', thresholds.white],
      ['white-fish', thresholds.fish],
      ['shrimp', thresholds.shrimp],
    ] as const) {
      const seen = new Set<string>();
      for (let minutes = 1; minutes <= 80; minutes += minutes < 12 ? 0.5 : 4) {
        const { verdict, nominal } = piece(cut(food, 14), minutes);
        if (!verdict.ok) continue;
        const oc = nominal.overcookMeanMin;
        expect(verdict.texture).toBe(oc <= by.juicy ? 'juicy' : oc <= by.firm ? 'firm' : 'dry');
        seen.add(verdict.texture);
      }
      expect(seen.has('dry')).toBe(true);
    }
  });
  test('what has collagen is tender once its minutes are there: stew cuts are tough before, thighs only firm', () => {
    for (const [food, before] of [
      ['beef-stew', 'tough'],
      ['chicken-thigh', 'firm'],
    ] as const) {
      const need = findFood(food).meat!.tenderCoreMin![0];
      const seen = new Set<string>();
      for (let minutes = 3; minutes <= 60; minutes += 1.5) {
        const { verdict, nominal } = piece(cut(food, 20), minutes, 116);
        expect(verdict.tenderCoreMin).toBe(need);
        if (!verdict.ok) continue;
        expect(verdict.texture).toBe(nominal.collagenCoreMin >= need ? 'tender' : before);
        seen.add(verdict.texture);
      }
      expect([...seen]).toEqual(expect.arrayContaining([before, 'tender']));
    }
    expect(piece(cut('chicken-breast', 14), 8).verdict).not.toHaveProperty('tenderCoreMin');
  });
  test('mince, ham and cooked meat have no juice that anybody would miss', () => {
    for (const food of ['beef-ground', 'ham', 'chicken-cooked']) {
      const { verdict, nominal } = piece(cut(food, 12), 12);
      expect([verdict.texture, nominal.overcookMeanMin <= thresholds.fallingApart]).toEqual(['tender', true]);
      const long = piece(cut(food, 12), 400);
      expect(long.verdict.texture).toBe(long.nominal.overcookMeanMin > thresholds.fallingApart ? 'dry' : 'tender');
    }
  });
  test('an egg is hard or not by the peak in its middle', () => {
    for (const minutes of [4, 6, 8, 12]) {
      const { verdict, nominal } = piece({ food: 'egg' }, minutes, 105);
      if (verdict.ok) expect(verdict.texture).toBe(nominal.peakCoreC >= thresholds.eggHardC ? 'firm' : 'juicy');
    }
    expect(piece({ food: 'egg' }, 22, 105).verdict.texture).toBe('firm');
  });
});

describe('where it lies and what it has behind it', () => {
  test('on a rack in steam, on grain slowly, else in the liquid', () => {
    const place = (thing: Thing, family?: Family) => {
      const g = of(thing, family);
      return placementOf(g, itemOf(g, thing.food));
    };
    expect(place({ food: 'chicken-thigh', place: 'rack' })).toBe('steam');
    expect(place({ food: 'chicken-thigh', place: 'top' })).toBe('grains');
    expect(place({ food: 'chicken-thigh', place: 'base' })).toBe('liquid');
  });
  test('only what goes under pressure is judged', () => {
    const ids = (thing: Thing): number => meatsOf(of(thing)).length;
    expect([
      ids({ food: 'shrimp', joins: 'finish' }),
      ids({ food: 'bacon', joins: 'topping' }),
      ids({ food: 'ham' }),
    ]).toEqual([0, 0, 1]);
  });
  test('a first stage counts: the trace of the second begins at its own lid, and the core is hotter from the start', () => {
    const g = of({ joins: 'stack', ...cut('lamb-leg', 30) });
    const hot = new Float64Array(900).fill(114);
    const earlier = { dtS: 1, tempC: new Map([['lamb-leg', hot]]) };
    const [after] = runMeats(g, held(6), { depthCm: 6, earlier });
    const [alone] = runMeats(g, held(6), { depthCm: 6 });
    expect(after!.trace.minutes[0]).toBeGreaterThanOrEqual(0);
    expect(after!.trace.minutes[0]!).toBeLessThan(1);
    expect(after!.trace.coreC[0]!).toBeGreaterThan(alone!.trace.coreC[0]! + 40);
    expect(after!.nominal.collagenCoreMin).toBeGreaterThan(alone!.nominal.collagenCoreMin + 5);
    const [other] = runMeats(g, held(6), { depthCm: 6, earlier: { ...earlier, tempC: new Map([['somebody', hot]]) } });
    expect(other!.nominal).toEqual(alone!.nominal);
    // A quarter of an hour is a quarter of an hour, however often it was written down.
    for (const dtS of [0.5, 2]) {
      const same = { dtS, tempC: new Map([['lamb-leg', new Float64Array(900 / dtS).fill(114)]]) };
      const [again] = runMeats(g, held(6), { depthCm: 6, earlier: same });
      expect(again!.nominal.collagenCoreMin).toBeCloseTo(after!.nominal.collagenCoreMin, 1);
    }
  });
  test('in an unstirred bed the cautious run lags with the bed; on a rack, stirred or without grain it does not', () => {
    const cautious = (thing: Thing, family: Family, depthCm: number): number =>
      runMeats(of({ joins: 'stack', ...thing }, family), rising(6), { depthCm: depthCm })[0]!.cautious.openCoreC;
    const thigh = cut('chicken-thigh', 15);
    expect(cautious(thigh, 'one-pot-grain', 9)).toBeLessThan(cautious(thigh, 'one-pot-grain', 1) - 0.5);
    expect(cautious({ ...thigh, place: 'rack' }, 'rack-over-grain', 9)).toBeCloseTo(
      cautious({ ...thigh, place: 'rack' }, 'rack-over-grain', 1),
      9,
    );
    expect(cautious(thigh, 'risotto', 9)).toBeCloseTo(cautious(thigh, 'risotto', 1), 9);
  });
});

describe('roots', () => {
  const root = (food: string, thicknessMm: number, minutes: number, state?: 'frozen') =>
    runPlants(of({ food, joins: 'stack', prep: { thicknessMm, ...(state ? { state } : {}) } }), held(minutes))[0]!;
  test('hard until core and mean have their minutes, then done, then soft', () => {
    const p = findFood('potato').plant!;
    const seen: string[] = [];
    for (let minutes = 1; minutes <= 60; minutes += 1) {
      const v = root('potato', 25, minutes);
      const done = v.softCoreMin >= p.softCoreMin[0] - 0.06 && v.softMeanMin >= p.softMeanMin[0] - 0.06;
      const sure = Math.abs(v.softCoreMin - p.softCoreMin[0]) > 0.1 && Math.abs(v.softMeanMin - p.softMeanMin[0]) > 0.1;
      if (sure) expect(v.verdict === 'hard').toBe(!done);
      if (seen.at(-1) !== v.verdict) seen.push(v.verdict);
    }
    expect(seen).toEqual(['hard', 'done', 'soft']);
  });
  test('thicker and frozen ones are harder', () => {
    expect(root('carrot', 40, 12).softCoreMin).toBeLessThan(root('carrot', 20, 12).softCoreMin);
    expect(root('carrot', 25, 12, 'frozen').softCoreMin).toBeLessThan(root('carrot', 25, 12).softCoreMin);
  });
  test('given for pieces, and for all that is steamed for itself', () => {
    expect(plantsOf(of({ food: 'carrot', joins: 'stack' }))).toHaveLength(0);
    expect(plantsOf(of(cut('carrot', 20, { joins: 'stack' })))).toHaveLength(1);
    expect(plantsOf(of(cut('carrot', 20, { joins: 'finish' })))).toHaveLength(0);
    expect(plantsOf(of({ food: 'broccoli' }, 'steamed-side'))).toHaveLength(1);
    expect(
      plantsOf(of({ food: 'mushroom', joins: 'stack', prep: { thicknessMm: 20 } })).every((i) => i.food.plant),
    ).toBe(true);
  });
});
