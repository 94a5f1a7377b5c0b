import { createHash } from 'node:crypto';
import {
  cookFromNotes,
  fold,
  kitchenSchema,
  Problem,
  says,
  scaleDish,
  stableJson,
  type Cook,
  type Dish,
  type ImportedLog,
  type LeftOut,
  type NotedRow,
  type Plan,
} from '@einkorn/core';
import type { Store } from '../store/connect';
import { listDishes } from '../store/dishes';
import { getKitchen } from '../store/kitchen';
import type { Sums } from './sums';

/** Rows that are read at a time: each is planned. */
export const mostRows = 500;

interface Read {
  rows: readonly NotedRow[];
  leftOut: readonly LeftOut[];
}

/** Rows of a table or a notebook as cooks of the log: each on its dish of the shelf, planned as the row says it was cooked. */
export async function cooksOfRows(store: Store, sums: Sums, read: Read): Promise<ImportedLog> {
  const dishes = await listDishes(store);
  const byTitle = new Map(dishes.map((d) => [fold(d.dish.title), d]));
  const kitchen = kitchenSchema.parse({ ...(await getKitchen(store)), learning: false });
  const cooks: Cook[] = [];
  const leftOut = [...read.leftOut];
  for (const [i, row] of read.rows.entries()) {
    const at = `row ${i + 1}`;
    const stored = byTitle.get(fold(row.dish));
    if (i >= mostRows) leftOut.push({ at, message: says('rows-at-most', { most: mostRows }) });
    else if (!stored)
      leftOut.push({
        at,
        message: says('dish-not-on-the-shelf', { dish: row.dish }),
      });
    else
      try {
        const dish = asCooked(stored.dish, row);
        const plan = await sums('plan', { dish, kitchen: { ...kitchen, potId: row.potId ?? kitchen.potId } });
        cooks.push(cookFromNotes(notedOf(row, stored.id, plan), dish, plan));
      } catch (e) {
        if (!(e instanceof Problem)) throw e;
        leftOut.push({ at, message: e.message });
      }
  }
  return { cooks, dishes: [], leftOut };
}

/** The dish for as many as ate, with the numbers that were written down as its cook's decisions. */
function asCooked(dish: Dish, { serves, liquidMl, holdMin, release }: NotedRow): Dish {
  const scaled = serves && serves !== dish.serves ? scaleDish(dish, serves) : dish;
  const own = Object.entries({ liquidMl, holdMin, release }).filter(([, v]) => v !== undefined);
  return own.length === 0 ? scaled : { ...scaled, overrides: { ...scaled.overrides, ...Object.fromEntries(own) } };
}

function notedOf(row: NotedRow, dishId: string, plan: Plan) {
  const { program } = plan;
  const { toPinMin, releaseMin, coreC, note } = row;
  // The release is counted from the end of the hold, the taps from the lock of the lid.
  const holdEndMin = (toPinMin ?? program.pinUpMin) + program.minutesToPressure - program.pinUpMin + program.holdMin;
  return {
    // The same row brought twice is one cook.
    id: `noted-${createHash('sha256').update(stableJson(row)).digest('hex').slice(0, 24)}`,
    dishId,
    at: { startedMs: row.startedMs },
    noticed: {
      ...(toPinMin === undefined ? {} : { pinMin: toPinMin }),
      ...(releaseMin === undefined ? {} : { downMin: holdEndMin + releaseMin }),
    },
    outcome: {
      ratings: row.ratings ?? {},
      ...(coreC === undefined ? {} : { coreC }),
      ...(note === undefined ? {} : { note }),
    },
  };
}
