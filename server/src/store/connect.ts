import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Sequelize } from 'sequelize';
import { defineModels, type Models } from './models';
import { migrate } from './migrations';

export interface Store {
  sequelize: Sequelize;
  models: Models;
  /** runs writes one after another: SQLite has one writer, and taps and devices come at the same moment */
  inTurn: <T>(write: () => Promise<T>) => Promise<T>;
}

function queue(): Store['inTurn'] {
  let last: Promise<unknown> = Promise.resolve();
  return (write) => {
    const next = last.then(write, write);
    last = next.catch(() => undefined);
    return next;
  };
}

/** Opens (and on first use makes) the database below `folder`, brings it up to date and returns it. */
export async function openStore(folder: string): Promise<Store> {
  mkdirSync(folder, { recursive: true });
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: join(folder, 'einkorn.sqlite'), logging: false });
  await sequelize.query('PRAGMA journal_mode = WAL');
  await sequelize.query('PRAGMA foreign_keys = ON');
  await migrate(sequelize);
  return { sequelize, models: defineModels(sequelize), inTurn: queue() };
}
