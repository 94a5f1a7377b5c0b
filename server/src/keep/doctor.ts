import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { databaseIn, FolderProblem, lookAt, roomIn, snapshotsIn } from './folder';
import { holderOf } from './lock';
import { checkSound } from '../store/copy';
import { dayMs, snapshotsOf } from './snapshots';

/** One thing the doctor looked at: right or not, and what to do about it. */
export interface Finding {
  ok: boolean;
  text: string;
}

const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;
/** No computer of this house has a clock before this; one that starts in 1970 has lost its battery. */
const firstYear = 2025;

/** Looks a data folder through without changing anything: the database, every snapshot, the disk and the clock. */
export async function examine(folder: string, nowMs = Date.now()): Promise<Finding[]> {
  const out: Finding[] = [];
  const say = (ok: boolean, text: string): void => void out.push({ ok, text });
  if (!existsSync(folder)) {
    say(true, `${folder} does not exist yet: the first start makes it.`);
    return out;
  }
  const holder = holderOf(folder);
  say(true, holder ? `A server works on it at ${holder.url} (process ${holder.pid}).` : 'No server works on it now.');
  try {
    const { fresh } = lookAt(folder);
    if (fresh) say(true, 'It holds no database yet.');
    else {
      await checkSound(databaseIn(folder));
      say(true, `The database ${databaseIn(folder)} is sound.`);
    }
  } catch (e) {
    say(false, e instanceof FolderProblem ? e.message : `The database is damaged (${(e as Error).message}).`);
  }
  const snapshots = snapshotsOf(folder);
  for (const s of snapshots)
    await checkSound(join(snapshotsIn(folder), s.name)).catch((e: unknown) =>
      say(false, `The snapshot ${s.name} is damaged (${(e as Error).message}). Delete it; the others stay.`),
    );
  const [newest] = snapshots;
  if (!newest) say(false, 'There is no snapshot yet. The server takes one when it starts, and one a day.');
  else {
    const days = Math.floor((nowMs - newest.atMs) / dayMs);
    const age = days < 1 ? 'from today' : days === 1 ? 'a day old' : `${days} days old`;
    say(
      days < 3,
      `${snapshots.length} snapshot${snapshots.length === 1 ? '' : 's'}, the newest ${age}${days < 3 ? '' : ': let the server run for a while'}.`,
    );
  }
  const room = roomIn(folder);
  say(room.ok, `${megabytes(room.freeBytes)} free${room.ok ? '' : ': make room'}.`);
  const year = new Date(nowMs).getFullYear();
  const right = year >= firstYear && (!newest || newest.atMs <= nowMs + dayMs);
  say(right, right ? 'The clock is plausible.' : 'The clock is wrong: set the time of this computer.');
  return out;
}
