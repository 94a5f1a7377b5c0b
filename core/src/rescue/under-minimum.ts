import { shapeExponent } from '../meat/geometry';
import { cookPiece } from '../meat/piece';
import type { Bench } from '../plan/bench';
import { Problem } from '../problem';
import type { Answers } from './moves';

/**
 * The meat that was measured under its published minimum, degC, and the minutes that it still needs at `potC`.
 * Throws Problem `answer-unknown` when the dish has no such meat.
 */
export function underMinimum(b: Bench, a: Answers, potC: number): { minimum: number; more: number } {
  const item = b.g.items.find((i) => i.ingredient.id === a.ingredient && i.food.kind === 'meat');
  if (!item)
    throw new Problem('answer-unknown', 'This dish has no such meat.', [
      { path: 'ingredient', message: 'Name a meat of the dish.' },
    ]);
  const { composition, species, safeMinimumC } = item.food.meat!;
  const shape = item.ingredient.prep?.shape ?? 'cube';
  const more = minutesToReach(item.thicknessMm, shape, composition, species, a.coreC!, potC, safeMinimumC[0]);
  return { minimum: safeMinimumC[0], more };
}

/** Whole minutes at `potC` until the cautious core of a piece that was `coreC` throughout reaches `minimumC`. */
export function minutesToReach(
  thicknessMm: number,
  shape: Parameters<typeof shapeExponent>[0],
  composition: readonly [number, number, number, number],
  species: 'poultry' | 'red',
  coreC: number,
  potC: number,
  minimumC: number,
): number {
  const [water, protein, fat, ash] = composition;
  // Back to pressure first: a few minutes at the boil, then the pot's own temperature.
  const tempC = Float64Array.from({ length: 3600 }, (_, s) => Math.min(potC, 97 + s / 12));
  const trace = { minutes: [] as number[], coreC: [] as number[] };
  cookPiece({
    composition: { water, protein, fat, ash },
    freezeC: -1.5,
    species,
    thicknessM: thicknessMm / 1000,
    exponent: shapeExponent(shape),
    startC: coreC,
    pre: [],
    tempC,
    dtS: 1,
    releaseAt: tempC.length,
    place: 'steam',
    cautious: true,
    restS: 0,
    trace,
  });
  const i = trace.coreC.findIndex((c) => c >= minimumC);
  return i < 0 ? 60 : Math.max(1, Math.ceil(trace.minutes[i]!));
}
