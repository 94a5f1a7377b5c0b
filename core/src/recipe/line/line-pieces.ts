import type { Ingredient } from '../../dish/schema';
import { findFood } from '../../food/find';
import { isMince } from '../../food/meats';
import type { FoodRecord } from '../../food/record';
import type { Amount } from '../../quantity/parse';
import { units } from '../../quantity/units';
import { isContainer, type Measure } from './amount';

type Prep = NonNullable<Ingredient['prep']>;

/** A bird of that weight that comes in pieces is no piece of it. */
const cutUp = /\b(?:jointed|cut (?:up|into)|pieces|trocead[oa]|despresad[oa])\b/;
/** The heaviest piece that a dish holds, g. */
export const mostPieceG = 3000;

/** So many of one size: the mass is the product, and of meat the piece's own weight is kept, for its thickness follows. */
export function timesEach(
  value: number,
  each: Amount,
  { prep, food, measure, plain }: { prep: Prep; food: FoodRecord; measure: Measure | null; plain: string },
): Amount {
  const kind = units[each.unit].kind;
  if (
    food.kind === 'meat' &&
    !isContainer(measure) &&
    kind === 'mass' &&
    !prep.shape &&
    !isMince(food) &&
    !cutUp.test(plain)
  ) {
    const pieceG = Math.round(each.value * units[each.unit].size);
    if (pieceG >= 1 && pieceG <= mostPieceG) prep.pieceG = pieceG;
  }
  return { value: Math.round(value * each.value * 1000) / 1000, unit: each.unit };
}

/** What is counted in the shop: crumbs are bought as the sausages that they come out of. */
export const boughtAs = (food: FoodRecord): FoodRecord =>
  food.id === 'sausage-meat' ? findFood('sausage-fresh') : food;

/**
 * Whether the mass beside a count is of one piece or of all: "4 thighs (120 g)" are 480 g, "4 thighs (500 g)" are 500 g. What
 * is nearer to the usual piece decides; between the two the line asks.
 */
export function sizeOfEach(count: number, size: Amount, food: FoodRecord): 'each' | 'total' | 'unclear' {
  const bought = boughtAs(food);
  const typicalG = bought.pieceG?.[0];
  if (!typicalG || count <= 1 || isMince(bought) || units[size.unit].kind !== 'mass') return 'total';
  const middle = Math.log((size.value * units[size.unit].size) / typicalG) - Math.log(count) / 2;
  if (Math.abs(middle) < unclearLog) return 'unclear';
  return middle < 0 ? 'each' : 'total';
}
/** Within 15 % of the middle between one usual piece and all of them nobody can tell [derived]. */
const unclearLog = 0.14;

/** "4 breasts (about 1.2 kg)": one of them weighs its share, and its thickness follows. */
export function shareOfTotal(count: number, total: Amount, { prep, food }: { prep: Prep; food: FoodRecord }): void {
  const typicalG = food.pieceG?.[0];
  if (
    food.kind !== 'meat' ||
    isMince(food) ||
    (prep.shape ?? 'whole') !== 'whole' ||
    !typicalG ||
    units[total.unit].kind !== 'mass'
  )
    return;
  const pieceG = Math.round((total.value * units[total.unit].size) / count);
  // Far from any such piece, the number was not one of pieces.
  const mostG = comesInJoints(food) ? mostPieceG : typicalG * shareSpan;
  if (pieceG >= typicalG / shareSpan && pieceG <= mostG) prep.pieceG = pieceG;
}
/** Cuts that are sold in a piece as well as cut up; whole thighs and breasts are as they are sold. */
export const comesInJoints = (food: FoodRecord): boolean =>
  food.meat?.cut === 'stew' || ['pork-loin', 'beef-steak', 'turkey-breast'].includes(food.id);
/** Pieces as sold differ from the usual one by no more than this factor [common practice]. */
const shareSpan = 5;
