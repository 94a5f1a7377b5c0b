import { existsSync, mkdirSync } from 'node:fs';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { databaseIn, FolderProblem, lookAt, wayBack } from '../keep/folder';
import { takeSnapshot } from '../keep/snapshots';
import { HouseClock } from '../live/house-clock';
import { unsoundness } from './copy';
import { defineModels, type Models } from './models';
import { migrate } from './migrations';
import { putAside, unreadable } from './set-aside';

export interface Store {
  /** the folder of the database and its snapshots */
  folder: string;
  /** it never held anything before */
  fresh: boolean;
  /** records that could not be read at this start, and were set aside */
  setAside: number;
  sequelize: Sequelize;
  models: Models;
  /** what time it is for cooks */
  clock: HouseClock;
  /** runs writes one after another: SQLite has one writer, and taps and devices come at the same moment */
  inTurn: <T>(write: () => Promise<T>) => Promise<T>;
  /** how many writes there have been since the start */
  writes: () => number;
}

/** Cooks that are looked at before a start, after a stop in good order. */
const lookedAtFirst = 200;

/** The driver without its verbose mode, which writes down the stack at every question: a third of a millisecond of each. */
const driver = { ...sqlite3, verbose: () => sqlite3 };

function queue(): Pick<Store, 'inTurn' | 'writes'> {
  let last: Promise<unknown> = Promise.resolve();
  let count = 0;
  return {
    inTurn: (write) => {
      count += 1;
      const next = last.then(write, write);
      last = next.catch(() => undefined);
      return next;
    },
    writes: () => count,
  };
}

/**
 * Opens (and on first use makes) the database below `folder`, brings it up to date and returns it. Throws FolderProblem where
 * it is missing, damaged, newer or cannot be written; a snapshot is taken before its tables change.
 */
export async function openStore(folder: string, clock = new HouseClock()): Promise<Store> {
  mkdirSync(folder, { recursive: true });
  const { fresh } = lookAt(folder);
  // A server that was killed has not folded its last writes into the file yet.
  const killed = existsSync(`${databaseIn(folder)}-wal`);
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: driver,
    storage: databaseIn(folder),
    logging: false,
  });
  let setAside = 0;
  try {
    if (!fresh) await readThrough(sequelize, folder);
    await sequelize.query('PRAGMA journal_mode = WAL');
    await sequelize.query('PRAGMA foreign_keys = ON');
    // The log is folded into the file in quiet minutes (keeper); until it is 64 MB long no tap waits for that.
    await sequelize.query('PRAGMA wal_autocheckpoint = 16384');
    if (killed) await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)');
    await migrate(sequelize, () => takeSnapshot(folder, { why: 'migration' }));
    // What was closed in good order was written by this server: the newest are looked at, and the others beside the work (keeper).
    const newest = killed ? {} : { newest: lookedAtFirst };
    if (!fresh) setAside = await putAside(sequelize, await unreadable(sequelize, newest));
  } catch (e) {
    await sequelize.close();
    throw e;
  }
  return { folder, fresh, setAside, sequelize, models: defineModels(sequelize), clock, ...queue() };
}

async function readThrough(sequelize: Sequelize, folder: string): Promise<void> {
  const wrong = await unsoundness(sequelize);
  if (wrong !== null)
    throw new FolderProblem('damaged', `${databaseIn(folder)} is damaged (${wrong}). ${wayBack(folder)}`);
}
