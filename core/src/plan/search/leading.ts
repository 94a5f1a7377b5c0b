import { isSlowCut } from '../../food/meats';
import type { Gathered, Item } from '../gather/item';
import { meatsOf, plantsOf } from '../gather/pieces';

/** More meats than this in one pot are seldom; the search follows those that need longest, the plan then looks at all. */
const mostLeading = 4;
/** Ice and collagen make a piece slower than its thickness tells, times [derived]. */
const slower = { ice: 2.2, stew: 3 } as const;

/** The dish with only those pieces that can decide the minutes. */
export function leadingPieces(g: Gathered): Gathered {
  const need = (i: Item): number =>
    (i.thicknessMm ** 2 / (1 + i.piece.cautiousExponent)) *
    (i.startC < 0 ? slower.ice : 1) *
    (isSlowCut(i.food) ? slower.stew : 1);
  const after = (pieces: readonly Item[]): Item[] => [...pieces].sort((a, b) => need(b) - need(a)).slice(mostLeading);
  const left = new Set([...after(meatsOf(g)), ...after(plantsOf(g))]);
  return left.size === 0 ? g : { ...g, items: g.items.filter((i) => !left.has(i)) };
}
