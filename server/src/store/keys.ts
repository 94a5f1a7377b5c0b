import type { KeyRights } from '../keys/rights';
import type { Store } from './connect';

/** A screen or a device that was let in. Of its secret only the hash is kept. */
export interface Key {
  id: string;
  name: string;
  rights: KeyRights;
  createdMs: number;
  /** when it was last heard, to the hour */
  lastMs: number;
}
interface Stored extends Key {
  hash: string;
}

export async function storedKeys({ models: { Keys } }: Store): Promise<Stored[]> {
  const rows = await Keys.findAll({ order: [['createdMs', 'ASC']] });
  return rows.map(({ id, name, rights, createdMs, lastMs, hash }) => ({ id, name, rights, createdMs, lastMs, hash }));
}

export const addKey = (store: Store, key: Stored): Promise<unknown> =>
  store.inTurn(() => store.models.Keys.create({ ...key }));

export const keyHeard = (store: Store, id: string, lastMs: number): Promise<unknown> =>
  store.inTurn(() => store.models.Keys.update({ lastMs }, { where: { id } }));

/** @returns whether there was such a key */
export const removeKey = (store: Store, id: string): Promise<boolean> =>
  store.inTurn(async () => (await store.models.Keys.destroy({ where: { id } })) > 0);
