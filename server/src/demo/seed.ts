import { readDish, readKitchen, scaleDish, type Dish } from '@einkorn/core';
import type { Store } from '../store/connect';
import { addCook } from '../store/cooks';
import { addDish } from '../store/dishes';
import { saveKitchen } from '../store/kitchen';
import { cookOf, evenings } from './cooks';
import { demoDishes } from './dishes';

/** Cloudberry Hut, 1,180 m: fourteen dishes and a handful of past cooks, put into an empty database only. */
export async function seedDemo(store: Store): Promise<boolean> {
  const { models } = store;
  if ((await models.Settings.count()) > 0 || (await models.Dishes.count()) > 0) return false;
  const kitchen = await saveKitchen(store, readKitchen({ potId: 'electric-5.7', altitudeM: 1180 }));
  const read = new Map<string, Dish>(Object.entries(demoDishes).map(([id, doc]) => [id, readDish(doc)]));
  // The newest on the shelf comes first: the turkey dish is tonight's.
  let at = Date.parse('2026-11-13T12:00:00Z');
  for (const [id, dish] of read) await addDish(store, dish, id, (at += 3_600_000));
  for (const e of evenings) {
    const dish = read.get(e.dish)!;
    await addCook(store, cookOf(e, e.serves ? scaleDish(dish, e.serves) : dish, kitchen));
  }
  return true;
}
