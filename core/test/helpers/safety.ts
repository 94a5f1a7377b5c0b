import { kitchenSchema } from '../../src/dish/kitchen';
import { families, type Family, type Ingredient } from '../../src/dish/schema';
import { foods } from '../../src/food/find';
import { cookPiece } from '../../src/meat/piece';
import { minimumC, placementOf } from '../../src/plan/gather/pieces';
import { plan } from '../../src/plan/plan';
import { setUp } from '../../src/plan/setup/setup';
import { heat } from '../../src/plan/simulate/heated';
import { setupOfPlan } from '../../src/plan/simulate/stages';
import { potIds } from '../../src/pot/profile';
import { Problem } from '../../src/problem';
import { readDish } from '../../src/dish/read';
import { guessedThicker } from '../../src/meat/cautious';
import { seeded } from './plausible';
import type { Plan } from '../../src/plan/document/document';

/*
 * Safety: every meat of the tables, raw, half thawed and frozen, typed as a cook types it, in every family and pot, at the
 * sea and at 2,500 m. The solved program, run again on the largest piece that the words could mean (a slab where no shape
 * was told, a guessed thickness and 15 % more), reaches the published minimum, or the plan stops, or says what to measure.
 */
const starches: Partial<Record<Family, string>> = {
  'one-pot-pasta': 'penne',
  'layered-pasta': 'lasagne-sheet',
  'noodle-soup': 'noodles-short',
  risotto: 'rice-arborio',
  porridge: 'oats-steel-cut',
  'rack-over-grain': 'rice-red',
};
const meats = foods.filter((f) => f.kind === 'meat').map((f) => f.id);

export interface Typed {
  food: string;
  family: Family;
  potId: string;
  altitudeM: number;
  prep: NonNullable<Ingredient['prep']>;
  grams: number;
}

export function typed(seed: number): Typed {
  const r = seeded(seed);
  const pick = <T>(xs: readonly T[]): T => xs[Math.floor(r() * xs.length)]!;
  const prep: Typed['prep'] = {};
  const state = pick([undefined, undefined, 'raw', 'frozen', 'half-frozen'] as const);
  if (state) prep.state = state;
  if (r() < 0.4) prep.shape = pick(['slab', 'strip', 'cube', 'whole', 'cylinder'] as const);
  if (r() < 0.4) prep.thicknessMm = Math.round(8 + 50 * r());
  if (r() < 0.25) prep.pieceG = Math.round(60 + 300 * r());
  if (r() < 0.1) prep.slit = true;
  return {
    food: meats[seed % meats.length]!,
    family: families[Math.floor(seed / meats.length) % families.length]!,
    potId: pick(potIds),
    altitudeM: pick([0, 2500]),
    prep,
    grams: Math.round(350 + 400 * r()),
  };
}

/** What is wrong with the plan of one typed meat, or null. */
export function unsafe(t: Typed): string | null {
  const starch =
    t.family === 'steamed-side'
      ? []
      : [{ id: 'starch', food: starches[t.family] ?? 'rice-long', amount: { value: 280, unit: 'g' } }];
  const dish = readDish({
    format: 'einkorn.dish/1',
    title: 'Safety',
    family: t.family,
    serves: 4,
    ingredients: [
      { id: 'meat', food: t.food, amount: { value: t.grams, unit: 'g' }, prep: t.prep },
      ...starch,
      { id: 'broth', food: 'broth', amount: { value: 600, unit: 'ml' } },
    ],
  });
  const kitchen = kitchenSchema.parse({ potId: t.potId, altitudeM: t.altitudeM });
  let p: Plan;
  try {
    p = plan(dish, kitchen);
  } catch (e) {
    if (e instanceof Problem) return null;
    throw e;
  }
  if (p.warnings.some((w) => w.severity === 'stop' || w.code === 'thickness-guessed' || w.code === 'reheat-short'))
    return null;
  // What goes in at the end has its own minutes and its own thermometer step.
  const late = p.finish.filter((f) => f.ingredients.includes('meat'));
  if (late.length > 0)
    return late.some((f) => f.minimumC !== undefined) || p.heldBack.some((h) => h.why === 'fried-and-back')
      ? null
      : 'at the finish without a minimum';
  const setup = setupOfPlan(setUp(dish, kitchen), p);
  const item = setup.g.items.find((i) => i.rows.includes('meat'))!;
  if (item.state === 'cooked') return null;
  const measured = p.finish.some((f) => f.code === 'check' || f.code === 'check-pot');
  if (!measured || !p.warnings.some((w) => w.code.startsWith('thermometer'))) return 'no thermometer';
  const h = heat(setup, { addMl: p.liquid.addMl, pressure: p.program.pressure, texture: p.texture, dtS: 1 });
  const run = h.heated.finish(p.program.holdMin, p.program.release);
  const before = setup.first?.earlier.tempC.get('meat') ?? new Float64Array(0);
  const tempC = new Float64Array(before.length + run.history.tempC.length);
  tempC.set(before);
  tempC.set(run.history.tempC, before.length);
  const rec = item.food.meat!;
  const [water, protein, fat, ash] = rec.composition;
  const slit = t.prep.slit === true && item.startC >= 0 ? 0.75 : 1;
  const largest = cookPiece({
    composition: { water, protein, fat, ash },
    freezeC: rec.freezeC[0],
    species: rec.species,
    thicknessM: (item.thicknessMm / 1000) * slit * (t.prep.thicknessMm === undefined ? guessedThicker : 1),
    exponent: item.piece.cautiousExponent,
    startC: item.startC,
    pre: [],
    tempC,
    dtS: 1,
    releaseAt: run.history.releaseAt + before.length,
    place: placementOf(setup.g, item),
    restS: 0,
  });
  const minimum = minimumC(item);
  return largest.openCoreC >= minimum ? null : `${largest.openCoreC.toFixed(1)} of ${minimum}`;
}
