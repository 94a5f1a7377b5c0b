import type { Logger } from 'pino';
import type { Store } from '../store/connect';
import { dayMs, snapshotsOf, takeSnapshot } from './snapshots';

const lookEveryMs = 60_000;
/** A little less than a day, so that a server that is started every evening takes one every evening. */
const dailyMs = dayMs - 4 * 3_600_000;

/** Takes the daily snapshot and folds the write-ahead log into the file in quiet minutes. Stops on calling the answer. */
export function keepSafe(store: Store, log: Logger): () => void {
  let atLastLook = -1;
  let folded = -1;
  const look = async (): Promise<void> => {
    const [newest] = snapshotsOf(store.folder);
    if (!newest || Date.now() - newest.atMs > dailyMs)
      await takeSnapshot(store.sequelize, store.folder, { why: 'daily' });
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
  timer.unref();
  return () => clearInterval(timer);
}
