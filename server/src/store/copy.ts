import { existsSync } from 'node:fs';
import { QueryTypes, Sequelize } from 'sequelize';

/** An open database. */
export type Database = Sequelize;

/** Writes the database into a file of its own while it is in use: one consistent moment, taps go on. */
export const copyInto = (db: Database, file: string): Promise<unknown> =>
  db.query('VACUUM INTO $file', { bind: { file } });

/** What is wrong with an open database, in the words of the database itself; null where it is sound. */
export async function unsoundness(db: Database): Promise<string | null> {
  try {
    const [found] = await db.query<{ quick_check: string }>('PRAGMA quick_check(1)', { type: QueryTypes.SELECT });
    return found?.quick_check === 'ok' ? null : (found?.quick_check ?? 'it cannot be read');
  } catch (e) {
    return (e as Error).message;
  }
}

/** Does long work on a connection of its own: no tap waits for it. */
export async function beside<T>(file: string, work: (db: Database) => Promise<T>): Promise<T> {
  const db = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  return work(db).finally(() => db.close());
}

/** Opens a database file and reads it through. Throws an Error with what is wrong with it. */
export async function checkSound(file: string): Promise<void> {
  if (!existsSync(file)) throw new Error(`${file} is not there.`);
  const wrong = await beside(file, unsoundness);
  if (wrong !== null) throw new Error(wrong);
}

/** Name of the last migration that ran; null where the database does not answer. */
export const schemaOf = (db: Database): Promise<string | null> =>
  db
    .query<{ name: string }>('SELECT name FROM SequelizeMeta ORDER BY name DESC LIMIT 1', { type: QueryTypes.SELECT })
    .then(([row]) => row?.name ?? null)
    .catch(() => null);
