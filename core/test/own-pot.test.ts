import fc from 'fast-check';
import { atPlace, kitchenAt, kitchenSchema, potsOffered } from '../src/dish/kitchen';
import { isPlanOf } from '../src/plan/made-for';
import { plan } from '../src/plan/plan';
import { isSamePot, ownPotId, ownPotSchema, potProfile, type OwnPot } from '../src/pot/own-pot';
import { potIds, pots } from '../src/pot/profile';
import { Problem } from '../src/problem';
import { readKitchen } from '../src/dish/read';
import { bowlHistory, usualBowl, type InnerBowl } from '../src/pot/inner-bowl';
import { board } from './helpers/board';
import { demoDish } from './helpers/demo';

/* Pots of the cook's own: what the manual says, and the known pot that it is like for the rest. */
const own = (more: Partial<OwnPot> = {}): OwnPot =>
  ownPotSchema.parse({ id: 'pot-blue', name: 'Blue pot', like: 'electric-5.7', ...more });
const profile = (p: OwnPot) => potProfile({ id: p.id, own: p });
const rice = board('coated-grain', { food: 'rice-long', g: 300 }, { food: 'butter', g: 20 }, { food: 'broth' });
const kitchenWith = (p: OwnPot) => kitchenSchema.parse({ potId: p.id, ownPots: [p], altitudeM: 300 });

test('a pot of one’s own with nothing but its name is the known pot', () => {
  for (const like of potIds) {
    const { id: _, ...same } = pots.find((p) => p.id === like)!;
    const made = profile(own({ like }));
    expect(made).toMatchObject({ ...same, minimumLiquidMl: [expect.closeTo(same.minimumLiquidMl[0], 6), 'D'] });
  }
});

test('its plan is the known pot’s plan', () => {
  const own57 = plan(rice, kitchenWith(own()));
  const known = plan(rice, kitchenSchema.parse({ altitudeM: 300 }));
  expect(own57.liquid.addMl).toBe(known.liquid.addMl);
  expect(own57.program).toEqual(known.program);
  expect(own57.pot).toMatchObject({ id: 'pot-blue', own: { name: 'Blue pot' } });
});

test('between two sizes of the table a pot of one’s own lies between them', () => {
  const [small, large] = ['electric-5.7', 'electric-8'].map((id) => pots.find((p) => p.id === id)!);
  fc.assert(
    fc.property(fc.double({ min: 5.7, max: 8, noNaN: true }), (litres) => {
      const p = profile(own({ litres }));
      for (const key of ['baseJPerK', 'wallJPerK', 'sideLossWPerK', 'lidJPerK'] as const)
        expect(p[key] >= small![key] - 1e-9 && p[key] <= large![key] + 1e-9).toBe(true);
    }),
  );
});

test('what the manual says is used: more power is sooner hot, its highest mark is the limit, its least liquid the least', () => {
  const weak = plan(rice, kitchenWith(own({ powerW: 700 })));
  const strong = plan(rice, kitchenWith(own({ powerW: 1400 })));
  expect(strong.program.pinUpMin).toBeLessThan(0.7 * weak.program.pinUpMin);
  expect(plan(rice, kitchenWith(own({ fillShare: 0.5 }))).pot.limitFraction).toBe(0.5);
  expect(plan(rice, kitchenWith(own({ minimumMl: 600 }))).pot.minimumLiquidMl).toBe(600);
  expect(plan(rice, kitchenWith(own({ highKpa: 100 }))).program.gaugeKpa).toBe(100);
});

test('weights open in proportion to the pressure they hold', () => {
  const spring = profile(own({ like: 'stovetop-6', highKpa: 80 }));
  expect(spring.relief!.openPa).toBeCloseTo(108e3 * 0.8, 6);
  const whistle = profile(own({ like: 'whistle-5', highKpa: 80 }));
  expect([whistle.whistle!.openPa, whistle.whistle!.closePa]).toEqual([80e3, expect.closeTo(57.6e3, 6)]);
});

test('a cooker with buttons of its own is planned with nothing else', () => {
  const p = own({
    programs: [
      { id: 'Grain', pressure: 'high', holdMin: 4 },
      { id: 'Long', pressure: 'low', holdMin: 30 },
    ],
  });
  expect([4, 30]).toContain(plan(rice, kitchenWith(p)).program.holdMin);
});

test.each([
  ['a pan', { litres: 1.5, diameterMm: 400 }, 'diameterMm'],
  ['a tube', { litres: 10, diameterMm: 130 }, 'diameterMm'],
  ['low over high', { highKpa: 60, lowKpa: 70 }, 'lowKpa'],
  ['filled to the brim', { fillShare: 0.9 }, 'fillShare'],
  ['no known pot', { like: 'pot-x' }, 'like'],
  ['no name', { name: ' ' }, 'name'],
  [
    'a button on a pressure it has not',
    { lowKpa: null, programs: [{ id: 'a', pressure: 'low', holdMin: 5 }] },
    'programs',
  ],
])('%s is refused at its field', (_, more, path) => {
  const read = ownPotSchema.safeParse({ id: 'pot-x', name: 'x', like: 'electric-5.7', ...more });
  expect(read.success).toBe(false);
  expect(read.error!.issues.map((i) => i.path[0])).toContain(path);
});

describe('in the kitchen', () => {
  test('only its own pots and those of the table can be used', () => {
    expect(() => readKitchen({ potId: 'pot-gone' })).toThrow(Problem);
    expect(readKitchen({ potId: 'pot-blue', ownPots: [own()] }).potId).toBe('pot-blue');
  });
  test('a pot that was put away is not offered, and plans made for it still are its plans', () => {
    const kitchen = kitchenWith(own({ retired: true }));
    expect(potsOffered(kitchen).map((p) => p.id)).toEqual(potIds);
    const p = plan(rice, kitchenWith(own()));
    expect(isPlanOf(p, rice)).toBe(true);
    expect(isSamePot(p.pot, { id: 'pot-blue', own: own({ retired: true, name: 'Old blue' }) })).toBe(true);
    expect(isSamePot(p.pot, { id: 'pot-blue', own: own({ powerW: 900 }) })).toBe(false);
  });
  test('a cook keeps its pot: the place of a plan needs no kitchen', () => {
    const p = plan(rice, kitchenWith(own({ powerW: 1400 })));
    expect(plan(rice, kitchenAt(p.pot)).program).toEqual(p.program);
    const later = atPlace(kitchenWith(own({ powerW: 700 })), p.pot);
    expect(plan(rice, later).program).toEqual(p.program);
  });
  test('a name becomes an id that no other pot has', () => {
    expect(ownPotId('Großer Topf!')).toBe('pot-gro-er-topf');
    expect(ownPotId('Blue', ['pot-blue'])).toBe('pot-blue-2');
    expect(ownPotId('…')).toBe('pot-own');
  });
});

describe('its rack and its bowl', () => {
  const bowl = { diameterMm: 160, heightMm: 90, wall: 'steel' } as const;
  const at = (more: Partial<OwnPot>): string[] =>
    (
      ownPotSchema.safeParse({ id: 'pot-blue', name: 'Blue pot', like: 'electric-5.7', ...more }).error?.issues ?? []
    ).map((i) => i.path.join('.'));
  const inBowl = demoDish('goat-curry-bowl-rice');
  const planIn = (more: Partial<OwnPot>) => plan(inBowl, kitchenWith(own(more)));

  test('a bowl that does not go in is refused at its field', () => {
    expect(at({ bowl })).toEqual([]);
    expect(at({ bowl: { ...bowl, diameterMm: 260 } })).toEqual(['bowl.diameterMm']);
    expect(at({ bowl: { ...bowl, heightMm: 240 } })).toEqual(['bowl.heightMm']);
    // On a high rack the same bowl stands over the rim.
    expect(at({ bowl, rackMm: 120 })).toEqual(['bowl.heightMm']);
  });
  test('the usual bowl told of is the usual bowl', () => {
    const usual = planIn({});
    const told = planIn({ bowl: usualBowl });
    expect([told.program, told.liquid.addMl]).toEqual([usual.program, usual.liquid.addMl]);
  });
  test('a small one is full before the dish is in it, a larger one is not', () => {
    const stops = (p: ReturnType<typeof planIn>): boolean => p.warnings.some((w) => w.code === 'bowl-full');
    expect(stops(planIn({ bowl: { ...bowl, diameterMm: 110, heightMm: 60 } }))).toBe(true);
    expect(stops(planIn({ bowl: { ...bowl, diameterMm: 190, heightMm: 110 } }))).toBe(false);
  });
  test('glass lets the heat through more slowly than steel; a wide bowl more than a narrow one', () => {
    const n = 2400;
    const pot = {
      dtS: 1,
      tempC: new Float64Array(n).fill(116),
      gaugeKpa: new Float64Array(n),
      releaseAt: n - 1,
      openAt: n - 1,
    };
    const hot = (b: InnerBowl, rawG: number): number =>
      bowlHistory(pot, { rawG, waterG: 1.25 * rawG, startC: 20 }, b).tempC.findIndex((c) => c > 95);
    fc.assert(
      fc.property(
        fc.integer({ min: 120, max: 220 }),
        fc.integer({ min: 5, max: 60 }),
        fc.integer({ min: 100, max: 500 }),
        (diameterMm, wider, rawG) => {
          const steel = { ...bowl, diameterMm };
          expect(hot({ ...steel, wall: 'glass' }, rawG)).toBeGreaterThan(hot(steel, rawG));
          expect(hot({ ...steel, diameterMm: diameterMm + wider }, rawG)).toBeLessThanOrEqual(hot(steel, rawG));
        },
      ),
      { numRuns: 30 },
    );
    expect(planIn({ bowl: { ...bowl, wall: 'glass' } }).program.holdMin).toBeGreaterThanOrEqual(
      planIn({ bowl }).program.holdMin,
    );
  });
  test('a rack stands as high as its feet', () => {
    const from = (more: Partial<OwnPot>): number =>
      Math.min(
        ...planIn(more)
          .stack.filter((l) => l.place === 'inner-bowl')
          .map((l) => l.fromMm),
      );
    expect(from({ rackMm: 60 })).toBeGreaterThanOrEqual(60);
    expect(from({})).toBeLessThan(60);
  });
});
