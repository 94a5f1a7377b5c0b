import { isSlowCut } from '../../food/meats';
import type { Gathered, Item } from '../gather/item';
import { meatsOf, plantsOf } from '../gather/pieces';

/** More meats than this in one pot are seldom; the search follows those that need longest, the plan then looks at all. */
const mostLeading = 3;
/** Ice and collagen make a piece slower than its thickness tells, times [derived]. */
const slower = { ice: 2.2, stew: 3 } as const;

/** Those pieces that can decide the minutes. */
export interface Leading {
  /** the dish with only these, the slowest meat first */
  all: Gathered;
  /** the same with the slowest meat alone: what it says no to needs no look at the others; null where there is no other piece */
  slowest: Gathered | null;
  /** what is left of `all` beside it; where there is no slowest, all */
  others: Gathered;
}

export function leadingPieces(g: Gathered): Leading {
  const need = (i: Item): number =>
    (i.thicknessMm ** 2 / (1 + i.piece.cautiousExponent)) *
    (i.startC < 0 ? slower.ice : 1) *
    (isSlowCut(i.food) ? slower.stew : 1);
  const slowestFirst = (pieces: readonly Item[]): Item[] => [...pieces].sort((a, b) => need(b) - need(a));
  const [meats, plants] = [slowestFirst(meatsOf(g)), slowestFirst(plantsOf(g))];
  const pieces = new Set([...meats, ...plants]);
  const [first, ...others] = meats.slice(0, mostLeading);
  const led = [...others, ...plants.slice(0, mostLeading)];
  const rest = g.items.filter((i) => !pieces.has(i));
  const having = (some: readonly Item[]): Gathered => ({ ...g, items: [...some, ...rest] });
  const all = having(first ? [first, ...led] : led);
  return first && led.length > 0
    ? { all, slowest: having([first]), others: having(led) }
    : { all, slowest: null, others: all };
}
