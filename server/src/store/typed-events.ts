import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';
import { cookEventSchema, upgradeEvents, type CookEvent } from '@einkorn/core';

interface OldRow {
  id: string;
  cookId: string;
  kind: string;
  [field: string]: unknown;
}

/**
 * Events get fields of their own kind, an id that is one within its cook, and a place that counts from one. What cannot be
 * read as any event stays as a note with its old words: nothing that was written down is lost.
 */
export async function typedEvents(q: QueryInterface): Promise<void> {
  const { STRING, INTEGER, JSON: json } = DataTypes;
  await q.createTable('events', {
    cookId: {
      type: STRING,
      primaryKey: true,
      references: { model: 'cooks', key: 'id' },
      onDelete: 'CASCADE',
    },
    id: { type: STRING, primaryKey: true },
    seq: { type: INTEGER, allowNull: false },
    doc: { type: json, allowNull: false },
  });
  await q.addIndex('events', ['cookId', 'seq'], { unique: true });
  const rows = await q.sequelize.query<OldRow>('SELECT * FROM cook_events ORDER BY cookId, seq, rowid', {
    type: QueryTypes.SELECT,
  });
  const byCook = new Map<string, OldRow[]>();
  for (const row of rows) {
    const own = byCook.get(row.cookId);
    if (own) own.push(row);
    else byCook.set(row.cookId, [row]);
  }
  for (const [cookId, own] of byCook) {
    const events = readable(own).map((e, i) => ({ ...e, seq: i + 1 }));
    if (events.length > 0)
      await q.bulkInsert(
        'events',
        events.map((e) => ({ cookId, id: e.id, seq: e.seq, doc: JSON.stringify(e) })),
      );
  }
  await q.dropTable('cook_events');
}

function readable(rows: readonly OldRow[]): CookEvent[] {
  const old = rows.map(({ cookId: _cookId, seq: _seq, ...e }) =>
    Object.fromEntries(
      Object.entries(e)
        .filter(([, v]) => v !== null)
        .map(([k, v]) => [k, k === 'atMs' ? Number(v) : v]),
    ),
  );
  return upgradeEvents(old).map((e) => {
    const parsed = cookEventSchema.safeParse(e);
    if (parsed.success) return parsed.data;
    const { id, atMs } = e as { id: string; atMs: number };
    return { kind: 'noted', id, atMs, text: JSON.stringify(e).slice(0, 500) };
  });
}
