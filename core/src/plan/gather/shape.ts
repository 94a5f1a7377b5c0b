import type { Ingredient } from '../../dish/schema';
import { isMince } from '../../food/meats';
import type { FoodRecord } from '../../food/record';
import { blockSides, shapeExponent, type PieceShape } from '../../meat/geometry';

/** A piece as the heat sees it. */
export interface Piece {
  /** smallest size, mm */
  thicknessMm: number;
  /** area exponent by the words of the cook, or by the piece that the food usually is */
  exponent: number;
  /** the same for the largest piece that the words could mean: what safety is judged by */
  cautiousExponent: number;
  /** nobody told the thickness: safety is judged at a thicker one */
  guessed: boolean;
  /** the default shape by name, for charts and sentences */
  shape: PieceShape;
}

/** More than so many cubes of its own thickness, and a piece is flat [derived]. */
const flatFrom = 3;
/**
 * So many times the usual piece, a stewing cube or a chop and a fillet, meat is a joint in one piece, about 2 : 1.4 : 1
 * [common practice]: by the cube root alone a loin of 900 g would be a slab of 45 mm and not a block of 68.
 */
const jointFrom: Partial<Record<NonNullable<FoodRecord['meat']>['cut'], number>> = { stew: 8, white: 3.5 };
/** A frozen packet of mince is a block of about 4 : 2 : 1 [common practice]. */
const blockCubes = 8;
const otherMm = 10;
/** Who cuts strips cuts them no thicker than a finger, mm [common practice: 10 to 15]. */
const stripMm = 15;
/** A sausage that is sliced, mm [from memory: coins of half an inch]. */
const coinMm = 12;
/** Roots that are cut up, by a cook who says no size, mm [common practice: an inch, half of it]. */
const cutRootMm: Partial<Record<PieceShape, number>> = { cube: 25, slab: 12, strip: stripMm };

/**
 * Shape of a piece that nobody described, from what it weighs and how thick it is: volume / thickness3 over 3 is a slab
 * (breast, thigh, loin, fillet), else a cube; a drumstick, a shrimp and an egg are what they are.
 */
export function defaultShape(food: FoodRecord, pieceG?: number): PieceShape {
  if (food.plant) return food.plant.shape;
  const meat = food.meat;
  if (!meat) return 'cube';
  if (meat.shape) return meat.shape;
  if (isMince(food)) return 'ground';
  if (isJoint(food, pieceG)) return 'block';
  const volumeMm3 = (1000 * (food.pieceG?.[0] ?? 0)) / food.densityGPerMl[0];
  return volumeMm3 / meat.defaultThicknessMm[0] ** 3 > flatFrom ? 'slab' : 'cube';
}

/** Thickness of a piece that nobody measured, mm: it follows its weight, t = t0 (m / m0)^(1/3); strips are cut thin. */
export function defaultThicknessMm(food: FoodRecord, pieceG?: number, shape?: PieceShape): number {
  const usualMm = (food.meat ?? food.plant)?.defaultThicknessMm[0] ?? otherMm;
  if (shape === 'block' && pieceG !== undefined) {
    const [a, b, c] = blockSides;
    return Math.cbrt((1000 * pieceG) / food.densityGPerMl[0] / (a * b * c));
  }
  const isCoin = food.meat?.shape === 'cylinder' && food.meat.cut === 'ground' && shape === 'slab';
  const cutMm = food.plant ? shape && cutRootMm[shape] : shape === 'strip' ? stripMm : isCoin ? coinMm : undefined;
  const mm = Math.min(usualMm, cutMm ?? usualMm);
  const typicalG = food.pieceG?.[0];
  return pieceG === undefined || typicalG === undefined ? mm : mm * Math.cbrt(pieceG / typicalG);
}

/**
 * The piece that an ingredient means.
 *
 * @param grams of the ingredient in all: mince that comes frozen is one block of them
 */
export function pieceOf(food: FoodRecord, ingredient: Ingredient, grams: number): Piece {
  const prep = ingredient.prep ?? {};
  const frozenPack = isMince(food) && isFrozen(ingredient) && prep.thicknessMm === undefined;
  const said = prep.shape === 'whole' ? undefined : prep.shape;
  const shape = frozenPack ? 'slab' : (said ?? defaultShape(food, prep.pieceG));
  const thicknessMm =
    prep.thicknessMm ??
    (frozenPack
      ? Math.cbrt((1000 * grams) / food.densityGPerMl[0] / blockCubes)
      : defaultThicknessMm(food, prep.pieceG, shape));
  const exponent = shapeExponent(shape);
  const certain =
    said !== undefined || shape === 'block' || food.meat?.shape !== undefined || isMince(food) || !food.meat;
  return {
    thicknessMm,
    exponent,
    cautiousExponent: certain ? exponent : 0,
    guessed: prep.thicknessMm === undefined,
    shape,
  };
}

function isJoint(food: FoodRecord, pieceG = 0): boolean {
  const times = food.meat && jointFrom[food.meat.cut];
  return times !== undefined && pieceG >= times * (food.pieceG?.[0] ?? Infinity);
}

export const isFrozen = (i: Ingredient): boolean => i.prep?.state === 'frozen' || i.prep?.state === 'half-frozen';
