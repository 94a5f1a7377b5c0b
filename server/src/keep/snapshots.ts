import { mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { beside, checkSound, copyInto } from '../store/copy';
import { databaseIn, snapshotNames, snapshotsIn, stampOf } from './folder';

export type SnapshotWhy = 'daily' | 'migration' | 'asked';

/** A copy of the whole database that was opened and found sound. */
export interface Snapshot {
  name: string;
  atMs: number;
  why: SnapshotWhy;
  bytes: number;
}

const nameOf = (atMs: number, why: SnapshotWhy): string => `${stampOf(atMs)}-${why}.sqlite`;

function momentOf(name: string): number {
  const [day, time] = name.slice(0, 19).split('T') as [string, string];
  return Date.parse(`${day}T${time.replaceAll('-', ':')}Z`);
}

/** Snapshots of a folder, newest first. */
export const snapshotsOf = (folder: string): Snapshot[] =>
  snapshotNames(folder).map((name) => ({
    name,
    atMs: momentOf(name),
    why: name.slice(21, -'.sqlite'.length) as SnapshotWhy,
    bytes: statSync(join(snapshotsIn(folder), name)).size,
  }));

/**
 * Copies the database into a file of its own while it is in use, opens the copy and checks it, and only then gives it its
 * name. Older ones are let go by `keptOf`.
 */
export async function takeSnapshot(
  folder: string,
  { why, nowMs = Date.now() }: { why: SnapshotWhy; nowMs?: number },
): Promise<Snapshot> {
  const into = snapshotsIn(folder);
  mkdirSync(into, { recursive: true });
  const name = nameOf(nowMs, why);
  const part = join(into, `${name}.part`);
  rmSync(part, { force: true });
  try {
    await beside(databaseIn(folder), (db) => copyInto(db, part));
    await checkSound(part);
    renameSync(part, join(into, name));
  } finally {
    rmSync(part, { force: true });
  }
  const kept = keptOf(snapshotsOf(folder));
  for (const old of snapshotNames(folder)) if (!kept.has(old)) rmSync(join(into, old), { force: true });
  return snapshotsOf(folder).find((s) => s.name === name)!;
}

/** How many are kept: the newest whatever their day, so that the one before an update outlives that evening, and one for each of so many days, weeks and months that have one [common practice]. */
const keeps = { newest: 5, days: 7, weeks: 4, months: 12 } as const;

/** Names of the snapshots that stay: the newest ones, and the newest of each of the last days, weeks and months. */
export function keptOf(snapshots: readonly Pick<Snapshot, 'name' | 'atMs'>[]): Set<string> {
  const newestFirst = [...snapshots].sort((a, b) => b.atMs - a.atMs);
  const kept = new Set(newestFirst.slice(0, keeps.newest).map((s) => s.name));
  const keep = (most: number, periodOf: (ms: number) => string | number): void => {
    const seen = new Set<string | number>();
    for (const s of newestFirst) {
      const period = periodOf(s.atMs);
      if (seen.has(period)) continue;
      if (seen.size === most) return;
      seen.add(period);
      kept.add(s.name);
    }
  };
  keep(keeps.days, (ms) => Math.floor(ms / dayMs));
  // Weeks begin on a Monday; the first day of the count was a Thursday.
  keep(keeps.weeks, (ms) => Math.floor((ms / dayMs + 3) / 7));
  keep(keeps.months, (ms) => new Date(ms).toISOString().slice(0, 7));
  return kept;
}
export const dayMs = 86_400_000;
