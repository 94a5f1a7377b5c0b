import type { Logger } from 'pino';
import type { Store } from '../store/connect';
import { asBroken, cooksInBatches, isSound } from '../store/cooks';
import { beside, type Database } from '../store/copy';
import { defineModels } from '../store/models';
import { putAside, unreadable, type Found } from '../store/set-aside';
import { databaseIn } from './folder';
import { dayMs, snapshotsOf, takeSnapshot } from './snapshots';

const lookEveryMs = 60_000;
/** A little less than a day, so that a server that is started every evening takes one every evening. */
const dailyMs = dayMs - 4 * 3_600_000;

/** Once the first pages are out, ms. */
const lookThroughAfterMs = 20_000;

/** Cooks that are not what they should be, looked for one at a time beside the work of the server. */
async function brokenCooks(db: Database): Promise<Found[]> {
  const found: Found[] = [];
  for await (const some of cooksInBatches({ models: defineModels(db) }, 'oldest'))
    for (const cook of some) {
      if (!isSound(cook)) found.push(asBroken(cook));
      await new Promise((next) => setImmediate(next));
    }
  return found;
}

/** Looks at every record that the start did not look at; what cannot be read is set aside. */
export async function lookThrough(store: Store, log: Logger): Promise<number> {
  let aside = 0;
  // Only what is JSON can be read as a cook.
  for (const look of [(db: Database) => unreadable(db), brokenCooks]) {
    const found = await beside(databaseIn(store.folder), look);
    aside += await store.inTurn(() => putAside(store.sequelize, found));
  }
  if (aside > 0) log.warn({ records: aside }, 'records that cannot be read were set aside, see the Kitchen');
  return aside;
}

/** Takes the daily snapshot and folds the write-ahead log into the file in quiet minutes. Stops on calling the answer. */
export function keepSafe(store: Store, log: Logger): () => void {
  let atLastLook = -1;
  let folded = -1;
  const look = async (): Promise<void> => {
    const [newest] = snapshotsOf(store.folder);
    if (!newest || Date.now() - newest.atMs > dailyMs) await takeSnapshot(store.folder, { why: 'daily' });
    // A minute without a write after some: then everything goes into the one file, and a plain copy of it is whole.
    if (store.writes() === atLastLook && atLastLook !== folded) {
      await store.inTurn(() => store.sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)'));
      folded = store.writes();
    }
    atLastLook = store.writes();
  };
  const run = (): void => void look().catch((e: unknown) => log.error({ err: e }, 'snapshot failed'));
  run();
  const timer = setInterval(run, lookEveryMs);
  const later = setTimeout(
    () =>
      void lookThrough(store, log).catch((e: unknown) => log.error({ err: e }, 'the log could not be looked through')),
    lookThroughAfterMs,
  );
  timer.unref();
  later.unref();
  return () => {
    clearInterval(timer);
    clearTimeout(later);
  };
}
