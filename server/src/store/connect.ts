import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Sequelize } from 'sequelize';
import { defineModels, type Models } from './models';
import { migrate } from './migrations';

export interface Store {
  sequelize: Sequelize;
  models: Models;
}

/** Opens (and on first use makes) the database below `folder`, brings it up to date and returns it. */
export async function openStore(folder: string): Promise<Store> {
  mkdirSync(folder, { recursive: true });
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: join(folder, 'einkorn.sqlite'), logging: false });
  await sequelize.query('PRAGMA journal_mode = WAL');
  await sequelize.query('PRAGMA foreign_keys = ON');
  await migrate(sequelize);
  return { sequelize, models: defineModels(sequelize) };
}
