import { readKitchen, type Kitchen } from '@einkorn/core';
import type { Store } from './connect';

const key = 'kitchen';

export async function getKitchen({ models }: Store): Promise<Kitchen> {
  const row = await models.Settings.findByPk(key);
  return readKitchen(row?.doc ?? {});
}

export async function saveKitchen({ models, inTurn }: Store, kitchen: Kitchen): Promise<Kitchen> {
  await inTurn(() => models.Settings.upsert({ key, doc: kitchen }));
  return kitchen;
}
