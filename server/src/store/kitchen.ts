import { issueAt, readKitchen, refusal, threeWay, type Kitchen, type Learned } from '@einkorn/core';
import type { Store } from './connect';

const key = 'kitchen';

export async function getKitchen({ models }: Store): Promise<Kitchen> {
  const row = await models.Settings.findByPk(key);
  return readKitchen(row?.doc ?? {});
}

/** Keeps the settings. What was learned is the log's and not a screen's: it stays as it is; so does that nobody has begun. */
export const saveKitchen = (store: Store, kitchen: Kitchen): Promise<Kitchen> =>
  write(store, (before) => ({ ...kitchen, learned: before.learned, isNew: before.isNew }));

/** What one screen changed, as it had it before and as it wants it. */
export interface KitchenChange {
  had: Partial<Kitchen>;
  wanted: Partial<Kitchen>;
}

/** Brings a change into the settings as they are now. Throws Problem `kitchen-changed` where another screen changed the same. */
export const changeKitchen = (store: Store, { had, wanted }: KitchenChange): Promise<Kitchen> =>
  write(store, (before) => {
    const { merged, collisions } = threeWay(had, wanted, before);
    if (collisions.length > 0) throw refusal('kitchen-changed', {}, ...collisions.map(meanwhile));
    return { ...readKitchen(merged), learned: before.learned, isNew: before.isNew };
  });
export const meanwhile = (field: string) => issueAt(field, 'changed-meanwhile');

/** The kitchen of a folder that never held anything. */
export const newKitchen = (store: Store, kitchen: Kitchen): Promise<Kitchen> =>
  write(store, () => ({ ...kitchen, isNew: true }));

/** The cook has said what kitchen it is. */
export const beginKitchen = (store: Store): Promise<Kitchen> => write(store, ({ isNew: _, ...before }) => before);

/** Keeps what the log taught; the settings stay as they are. */
export const keepLearned = (store: Store, learned: Learned): Promise<Kitchen> =>
  write(store, (before) => ({ ...before, learned }));

const write = (store: Store, change: (before: Kitchen) => Kitchen): Promise<Kitchen> =>
  store.inTurn(async () => {
    const doc = change(await getKitchen(store));
    await store.models.Settings.upsert({ key, doc });
    return doc;
  });
