import { families, type Dish, type Ingredient } from '../../src/dish/schema';
import { foods } from '../../src/food/find';
import { potIds } from '../../src/pot/profile';
import { unitIds } from '../../src/quantity/units';
import { plausible, seeded } from './plausible';

/**
 * A document that the schema allows, with fields at or near the ends of their ranges: a plausible dish of which amounts,
 * preparation, places, overrides and the kitchen are pushed there, sometimes in another family.
 */
export function extreme(seed: number): { doc: unknown; kitchen: unknown } {
  const r = seeded(seed * 31 + 5);
  const pick = <T>(xs: readonly T[]): T => xs[Math.floor(r() * xs.length)]!;
  const maybe = <T>(p: number, x: () => T): T | undefined => (r() < p ? x() : undefined);
  const compact = (o: object): object => Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined));
  const { dish } = plausible(seed);
  const pushed = (i: Ingredient): object =>
    compact({
      ...i,
      amount:
        r() < 0.6
          ? { value: pick([1e-6, 0.01, 1, 50, 2000, 9000, 20_000]), unit: r() < 0.8 ? 'g' : pick(unitIds) }
          : i.amount,
      prep: compact({
        ...i.prep,
        rinse: maybe(0.2, () => true) ?? i.prep?.rinse,
        soakMin: maybe(0.2, () => pick([0, 1, 1440])) ?? i.prep?.soakMin,
        thicknessMm: maybe(0.4, () => pick([1, 90])) ?? i.prep?.thicknessMm,
        pieceG: maybe(0.1, () => pick([1, 3000])),
        shape: maybe(0.3, () => pick(['slab', 'strip', 'cube', 'ground', 'whole', 'sphere', 'cylinder'])),
        state: maybe(0.3, () => pick(['raw', 'frozen', 'half-frozen', 'part-seared', 'browned', 'cooked', 'toasted'])),
        brown: maybe(0.15, () => pick(['colour', 'half', 'brown'])),
        slit: maybe(0.15, () => true),
        packetMinutes: maybe(0.15, () => pick([0.01, 60])),
        coated: maybe(0.15, () => r() < 0.5),
        hot: maybe(0.15, () => true),
      }),
      place: maybe(0.12, () => pick(['base', 'liquid', 'grain', 'top', 'rack'])),
      joins: maybe(0.12, () => pick(['marinade', 'fry', 'stack', 'finish', 'topping'])),
      back: maybe(0.06, () => pick(['finish', 'top'])),
    });
  const overrides = (): object =>
    compact({
      liquidMl: maybe(0.4, () => pick([0, 1, 20_000])),
      holdMin: maybe(0.4, () => pick([0, 0.01, 120])),
      release: maybe(0.4, () =>
        pick([
          { kind: 'quick' },
          { kind: 'natural' },
          { kind: 'timed', naturalMin: 0 },
          { kind: 'timed', naturalMin: 90 },
        ]),
      ),
      pressure: maybe(0.3, () => pick(['high', 'low'])),
      gravyMl: maybe(0.2, () => pick([0, 20_000])),
      firstStage: maybe(0.3, () => r() < 0.5),
      stirredDown: maybe(0.2, () => true),
      keepWarmMin: maybe(0.2, () => pick([0, 600])),
      saltG: maybe(0.2, () => pick([0, 500])),
      ledger: maybe(0.2, () => ({ sauce: pick([0, 20_000]), steam: pick([0, 20_000]), film: 0 })),
    });
  const more = Array.from({ length: pick([0, 0, 0, 2, 40]) }, (_, k) => ({
    id: `more${k}`,
    food: pick(foods.filter((f) => !f.grain)).id,
    amount: { value: pick([0.01, 1, 400]), unit: 'g' },
  }));
  const doc: Omit<Partial<Dish>, 'ingredients'> & { ingredients: unknown[] } = {
    ...dish,
    family: r() < 0.15 ? pick(families) : dish.family,
    serves: pick([1, 4, 60]),
    ingredients: [...dish.ingredients.map(pushed), ...more].slice(0, 60),
  };
  return {
    doc: compact({
      ...doc,
      overrides: maybe(0.5, overrides),
      texture: maybe(0.3, () => pick(['firm', 'fluffy', 'soft'])),
    }),
    kitchen: { potId: pick(potIds), altitudeM: pick([-430, 0, 5500]) },
  };
}
