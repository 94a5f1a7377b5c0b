import { readKitchen, readDish, solvePlan, type Dish, type Kitchen, type Learned, type Plan } from '@einkorn/core';
import type { Store } from '../store/connect';
import { addCooks, removeCooks } from '../store/cooks';
import { addDish, removeDishes } from '../store/dishes';
import { keepLearned, newKitchen } from '../store/kitchen';
import log from './cloudberry.json';
import { demoDishes } from './dishes';
import { cookOf, dishOf, type Evening } from './evening';

/** Cloudberry Hut, 1,180 m: its dishes and ten months of cooks, put into a folder only that never held anything. */
export async function seedDemo(store: Store): Promise<boolean> {
  const { models } = store;
  if (!store.fresh || (await models.Settings.count()) > 0 || (await models.Dishes.count()) > 0) return false;
  const kitchen = await newKitchen(store, readKitchen({ potId: 'electric-5.7', altitudeM: 1180 }));
  const read = new Map<string, Dish>(Object.entries(demoDishes).map(([id, doc]) => [id, readDish(doc)]));
  // The newest on the shelf comes first: the turkey dish is tonight's.
  let at = Date.parse('2026-11-13T12:00:00Z');
  for (const [id, dish] of read) await addDish(store, dish, id, (at += 3_600_000));
  const evenings = log.evenings as unknown as Evening[];
  const learned = log.learned as unknown as Record<string, Learned>;
  const planOf = planner(kitchen, learned);
  await addCooks(
    store,
    evenings.map((e) => {
      const dish = dishOf(e);
      return cookOf(e, dish, planOf(e, dish));
    }),
  );
  await keepLearned(store, learned[evenings.length]!);
  return true;
}

/** Takes the dishes and cooks of the demo away again; whatever else was made in the meantime stays. */
export async function clearDemo(store: Store): Promise<void> {
  await removeCooks(
    store,
    log.evenings.map((e) => e.id),
  );
  await removeDishes(store, Object.keys(demoDishes));
}

/** The plan of each evening with what was known by then; the same dish with the same knowledge is planned once. */
function planner(kitchen: Kitchen, learned: Record<string, Learned>): (e: Evening, dish: Dish) => Plan {
  const plans = new Map<string, Plan>();
  return (e, dish) => {
    const key = [e.dish, e.serves, e.knew].join(' ');
    const known = learned[e.knew];
    const plan = plans.get(key) ?? solvePlan(dish, known ? { ...kitchen, learned: known } : kitchen);
    plans.set(key, plan);
    return plan;
  };
}
