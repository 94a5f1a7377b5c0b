import { kitchenSchema, readDish, Problem, refusal } from '@einkorn/core';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

/*
 * A record that cannot be read must not keep the others from being read. It is looked for once, as the store opens, taken out
 * of its table and kept as the text that it was, so that nothing is lost and somebody can mend it.
 */

/** A record that was set aside. */
export interface SetAside {
  id: number;
  /** the table that it stood in, and its key there */
  kind: string;
  key: string;
  why: 'no-json' | 'no-dish' | 'no-kitchen' | 'no-cook';
  atMs: number;
}

/** Tables with the columns that must hold JSON, and their key. Events lie below their cook and go with it. */
const tables = [
  { kind: 'dishes', key: 'id', columns: ['doc'] },
  { kind: 'cooks', key: 'id', columns: ['dish', 'plan', 'outcome', 'practice'] },
  { kind: 'settings', key: 'key', columns: ['doc'] },
] as const;

export interface Found {
  kind: (typeof tables)[number]['kind'];
  key: string;
  why: SetAside['why'];
}

const rows = <T extends object>(
  sequelize: Sequelize,
  sql: string,
  options: { replacements?: Record<string, unknown>; transaction?: Transaction } = {},
): Promise<T[]> => sequelize.query<T>(sql, { ...options, type: QueryTypes.SELECT });

/** Rows whose text is no JSON; the database itself looks, so that no plan of ten years is read for it. */
async function withoutJson(sequelize: Sequelize, newest: number): Promise<Found[]> {
  const found: Found[] = [];
  for (const { kind, key, columns } of tables) {
    const broken = columns.map((c) => `("${c}" IS NOT NULL AND NOT json_valid("${c}"))`).join(' OR ');
    const some = kind === 'cooks' ? `id IN (${newestCooks}) AND ` : '';
    const sql = `SELECT "${key}" AS "key" FROM ${kind} WHERE ${some}(${broken})`;
    for (const r of await rows<{ key: string }>(sequelize, sql, { replacements: { newest } }))
      found.push({ kind, key: r.key, why: 'no-json' });
  }
  const events = `SELECT DISTINCT "cookId" AS "key" FROM events WHERE "cookId" IN (${newestCooks}) AND NOT json_valid(doc)`;
  for (const r of await rows<{ key: string }>(sequelize, events, { replacements: { newest } }))
    if (!found.some((f) => f.kind === 'cooks' && f.key === r.key))
      found.push({ kind: 'cooks', key: r.key, why: 'no-json' });
  return found;
}
/** As the database counts, -1 is all of them. */
const newestCooks = 'SELECT id FROM cooks ORDER BY "startedMs" DESC LIMIT :newest';

const isDish = (doc: unknown): boolean => {
  try {
    readDish(doc);
    return true;
  } catch (e) {
    if (e instanceof Problem) return false;
    throw e;
  }
};

/** Dishes and settings that are JSON and are not what they should be. There are few, and each is read at every start. */
async function notAsTheyShould(sequelize: Sequelize): Promise<Found[]> {
  const dishes = await rows<{ id: string; doc: string }>(sequelize, 'SELECT id, doc FROM dishes WHERE json_valid(doc)');
  const kitchens = await rows<{ key: string; doc: string }>(
    sequelize,
    `SELECT "key", doc FROM settings WHERE "key" = 'kitchen' AND json_valid(doc)`,
  );
  return [
    ...dishes
      .filter((r) => !isDish(JSON.parse(r.doc)))
      .map((r): Found => ({ kind: 'dishes', key: r.id, why: 'no-dish' })),
    ...kitchens
      .filter((r) => !kitchenSchema.safeParse(JSON.parse(r.doc)).success)
      .map((r): Found => ({ kind: 'settings', key: r.key, why: 'no-kitchen' })),
  ];
}

/** Records that cannot be read; of the cooks only so many of the newest, if it is said. */
export const unreadable = async (sequelize: Sequelize, { newest = -1 } = {}): Promise<Found[]> => [
  ...(await withoutJson(sequelize, newest)),
  ...(await notAsTheyShould(sequelize)),
];

/** Takes what cannot be read out of its table; what somebody else has just taken out is gone already. Returns how many records that were. */
export async function putAside(sequelize: Sequelize, found: readonly Found[], nowMs = Date.now()): Promise<number> {
  if (found.length === 0) return 0;
  let taken = 0;
  await sequelize.transaction(async (transaction) => {
    for (const { kind, key, why } of found) {
      const id = tables.find((t) => t.kind === kind)!.key;
      const options = { replacements: { key }, transaction };
      const [record] = await rows(sequelize, `SELECT * FROM ${kind} WHERE "${id}" = :key`, options);
      if (!record) continue;
      taken += 1;
      const events =
        kind === 'cooks'
          ? await rows(sequelize, 'SELECT * FROM events WHERE "cookId" = :key ORDER BY seq', options)
          : [];
      const text = JSON.stringify({ kind, record, ...(events.length > 0 ? { events } : {}) });
      await sequelize.query(
        'INSERT INTO set_aside (kind, "key", doc, why, "atMs") VALUES (:kind, :key, :text, :why, :nowMs)',
        { transaction, replacements: { kind, key, text, why, nowMs } },
      );
      await sequelize.query(`DELETE FROM ${kind} WHERE "${id}" = :key`, options);
    }
  });
  return taken;
}

/** What was set aside, newest first. */
export const listSetAside = (sequelize: Sequelize): Promise<SetAside[]> =>
  rows<SetAside>(sequelize, 'SELECT id, kind, "key", why, "atMs" FROM set_aside ORDER BY id DESC');

/** The record as the text that it was, with everything that stood beside it. */
export async function textOfSetAside(sequelize: Sequelize, id: number): Promise<string> {
  const [row] = await rows<{ doc: string }>(sequelize, 'SELECT doc FROM set_aside WHERE id = :id', {
    replacements: { id },
  });
  if (!row) throw refusal('set-aside-missing');
  return row.doc;
}
