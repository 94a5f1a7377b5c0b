import {
  cookFromNotes,
  readDish,
  scaleDish,
  type Cook,
  type Dish,
  type NotedCook,
  type Plan,
  type Ratings,
} from '@einkorn/core';
import { demoDishes } from './dishes';

/** One evening of the hut as its log tells it: what was tapped, how it came out. Minutes are from the lock of the lid. */
export interface Evening {
  id: string;
  dish: string;
  /** for another number of people than the dish is written for */
  serves?: number;
  /** when it stood on the table, UTC */
  served: string;
  /** how many of the earlier cooks had been learned from when it was planned */
  knew: number;
  /** minutes that the hands were slower than planned before the lid */
  slowMin: number;
  /** what was tapped; a tap that was forgotten is missing */
  tapped: NotedCook['noticed'];
  /** when the pin truly fell, tapped or not */
  openMin: number;
  ratings: Ratings;
  coreC?: number;
  note?: string;
}

/** The dish of an evening, for as many as ate. */
export function dishOf(e: Pick<Evening, 'dish' | 'serves'>): Dish {
  const dish = readDish(demoDishes[e.dish]);
  return e.serves ? scaleDish(dish, e.serves) : dish;
}

/** The evening as a cook of the log: the plan of the day with the taps that were made. */
export const cookOf = (e: Evening, dish: Dish, plan: Plan): Cook =>
  cookFromNotes(
    {
      id: e.id,
      dishId: e.dish,
      at: { servedMs: Date.parse(e.served) },
      slowMin: e.slowMin,
      noticed: e.tapped,
      openMin: e.openMin,
      outcome: {
        ratings: e.ratings,
        ...(e.coreC === undefined ? {} : { coreC: e.coreC }),
        ...(e.note === undefined ? {} : { note: e.note }),
      },
    },
    dish,
    plan,
  );
