import { statSync } from 'node:fs';
import type { Store } from '../store/connect';
import { schemaOf } from '../store/copy';
import { databaseIn, roomIn } from './folder';
import { dayMs, snapshotsOf } from './snapshots';

/** A snapshot is expected every day; after three the keeping has failed. */
const lateSnapshotMs = 3 * dayMs;

/** How the server is, for a monitor and for the doctor. */
export interface Health {
  ok: boolean;
  version: string;
  /** name of the last migration that ran */
  schema: string | null;
  database: { ok: boolean; bytes: number };
  disk: { ok: boolean; freeBytes: number };
  lastSnapshot: { ok: boolean; atMs: number } | null;
}

/** The database with what has not been folded into it yet. */
const bytesOf = (folder: string): number =>
  ['', '-wal'].reduce((n, end) => n + (statSync(databaseIn(folder) + end, { throwIfNoEntry: false })?.size ?? 0), 0);

/** Reads the health of the store; `startedMs` is when the server began, so that a new one is not late with its first snapshot. */
export async function healthOf(
  store: Store,
  { version, startedMs, nowMs = Date.now() }: { version: string; startedMs: number; nowMs?: number },
): Promise<Health> {
  const schema = await schemaOf(store.sequelize);
  const [newest] = snapshotsOf(store.folder);
  const snapshotOk = nowMs - (newest?.atMs ?? startedMs) < lateSnapshotMs;
  const parts = {
    database: { ok: schema !== null, bytes: bytesOf(store.folder) },
    disk: roomIn(store.folder),
    lastSnapshot: newest ? { ok: snapshotOk, atMs: newest.atMs } : null,
  };
  return { ok: parts.database.ok && parts.disk.ok && snapshotOk, version, schema, ...parts };
}
