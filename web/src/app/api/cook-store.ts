import { cookEventSchema, cookSchema, upgradeEvents, type Cook, type CookEvent } from '@einkorn/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { quietly } from './quietly';

interface Own extends DBSchema {
  cooks: { key: string; value: Cook };
  taps: { key: string; value: { id: string; cookId: string; event: CookEvent }; indexes: { cook: string } };
}

let opening: Promise<IDBPDatabase<Own>> | null = null;
const database = (): Promise<IDBPDatabase<Own>> => {
  opening ??= openDB<Own>('einkorn', 1, {
    upgrade(db) {
      db.createObjectStore('cooks', { keyPath: 'id' });
      db.createObjectStore('taps', { keyPath: 'id' }).createIndex('cook', 'cookId');
    },
  });
  return opening;
};

/**
 * The cooks of this browser on its own disk. Taps are written one by one and flushed before they count as written: the
 * browser's simpler store holds a large text back for minutes, and a killed browser would take the taps with it.
 */
export const cookStore = {
  /** Whether it is on the disk now. */
  keepTap: (cookId: string, event: CookEvent): Promise<boolean> =>
    quietly(async () => {
      const tx = (await database()).transaction('taps', 'readwrite', { durability: 'strict' });
      await tx.store.put({ id: event.id, cookId, event });
      await tx.done;
      return true;
    }, false),
  forgetTaps: (ids: readonly string[]): Promise<void> =>
    quietly(async () => {
      if (ids.length === 0) return;
      const tx = (await database()).transaction('taps', 'readwrite');
      await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
    }, undefined),
  keepCook: (cook: Cook): Promise<void> =>
    quietly(async () => {
      await (await database()).put('cooks', cook);
    }, undefined),
  /** A finished cook leaves the browser; its taps are with the server. */
  forgetCook: (id: string): Promise<void> => quietly(async () => (await database()).delete('cooks', id), undefined),
  /** The cook as this browser last knew it, and its taps that the server may not have, oldest first. */
  held: (id: string): Promise<{ cook: Cook | null; unsent: CookEvent[] }> =>
    quietly(
      async () => {
        const db = await database();
        const [raw, taps] = await Promise.all([db.get('cooks', id), db.getAllFromIndex('taps', 'cook', id)]);
        const cook = cookSchema.safeParse(raw);
        const oldest = taps.map((t) => t.event).sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1));
        // Taps that an older version of this page wrote and could not send are read as today's.
        const unsent = upgradeEvents(oldest, cook.data?.events ?? []).flatMap((e) => {
          const read = cookEventSchema.safeParse(e);
          return read.success ? [read.data] : [];
        });
        return { cook: cook.success ? cook.data : null, unsent };
      },
      { cook: null, unsent: [] },
    ),
};
