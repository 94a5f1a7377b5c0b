import type { Species } from '../food/record';
import { cautiousVariation } from '../meat/cautious';
import { compositionOf } from '../meat/properties';
import { cookPiece } from '../meat/piece';
import type { Setup } from '../plan/setup/setup';
import { minimumC } from '../plan/gather/pieces';
import type { Piece } from '../plan/gather/shape';
import { issueAt, refusal } from '../problem';
import type { Answers } from './moves';

/**
 * The meat that was measured under its published minimum, degC, and the minutes that it still needs at `potC`.
 * Throws Problem `answer-unknown` when the dish has no such meat.
 */
export function underMinimum(setup: Setup, a: Answers, potC: number): { minimum: number; more: number } {
  const item = setup.g.items.find((i) => i.ingredient.id === a.ingredient && i.food.kind === 'meat');
  if (!item) throw refusal('answer-unknown', {}, issueAt('ingredient', 'meat-of-the-dish'));
  const { composition, species } = item.food.meat!;
  const minimum = minimumC(item);
  const more = minutesToReach({ piece: item.piece, composition, species, coreC: a.coreC!, potC, minimumC: minimum });
  return { minimum, more };
}

/** A piece that was measured, and the pot that it goes back into. */
export interface Measured {
  piece: Piece;
  composition: readonly [number, number, number, number];
  species: Species;
  coreC: number;
  potC: number;
  minimumC: number;
}
/** Back at the boil in about so many seconds: what the spread of the heat-up is taken from. */
const backUpS = 200;

/** Whole minutes at `potC` until the cautious core of a piece that was `coreC` throughout reaches `minimumC`. */
export function minutesToReach({ piece, composition, species, coreC, potC, minimumC }: Measured): number {
  // Back to pressure first: a few minutes at the boil, then the pot's own temperature.
  const tempC = Float64Array.from({ length: 3600 }, (_, s) => Math.min(potC, 97 + s / 12));
  const trace = { minutes: [] as number[], coreC: [] as number[] };
  cookPiece({
    composition: compositionOf(composition),
    freezeC: -1.5,
    species,
    thicknessM: piece.thicknessMm / 1000,
    exponent: piece.cautiousExponent,
    startC: coreC,
    pre: [],
    tempC,
    dtS: 1,
    releaseAt: tempC.length,
    place: 'steam',
    vary: cautiousVariation(piece.thicknessMm / 2000, 'steam', backUpS, piece.guessed),
    restS: 0,
    trace,
  });
  const i = trace.coreC.findIndex((c) => c >= minimumC);
  return i < 0 ? 60 : Math.max(1, Math.ceil(trace.minutes[i]!));
}
