import type { ImportedLog, LeftOut } from '@einkorn/core';
import type { Store } from './connect';
import { addCooks } from './cooks';
import { addShelved } from './dishes';

/** What came of a file: cooks that are new, cooks that were there already, and what stays out with the reason. */
export interface BringReport {
  added: number;
  already: number;
  /** dishes that the shelf did not have */
  newDishes: number;
  leftOut: LeftOut[];
}

/** Adds what is not there yet. Dishes first: cooks keep their link to those that are there. */
export async function bring(store: Store, { cooks, dishes, leftOut }: ImportedLog): Promise<BringReport> {
  const newDishes = await addShelved(store, dishes);
  const added = await addCooks(store, cooks);
  return { added, already: cooks.length - added, newDishes, leftOut };
}
