import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { FolderProblem } from './folder';

interface Holder {
  pid: number;
  /** where that server answers */
  url: string;
}

const lockIn = (folder: string): string => join(folder, 'einkorn.lock');

/** The server that works on this folder now; null where none does. A lock of a process that is gone is none. */
export function holderOf(folder: string): Holder | null {
  const file = lockIn(folder);
  if (!existsSync(file)) return null;
  try {
    const { pid, url } = JSON.parse(readFileSync(file, 'utf8')) as Holder;
    return Number.isInteger(pid) && pid !== process.pid && isAlive(pid) ? { pid, url } : null;
  } catch {
    return null;
  }
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (e) {
    // It runs, under another user.
    return (e as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** Takes the folder for this server, so that a second one is refused. Throws FolderProblem `in-use`. Gives it back on calling the answer. */
export function takeFolder(folder: string, url: string): () => void {
  const holder = holderOf(folder);
  if (holder)
    throw new FolderProblem(
      'in-use',
      `Another Einkorn (process ${holder.pid}) works on ${folder}, at ${holder.url}. Use that one, stop it, or start with another folder (EINKORN_DATA).`,
    );
  writeFileSync(lockIn(folder), JSON.stringify({ pid: process.pid, url } satisfies Holder));
  return () => rmSync(lockIn(folder), { force: true });
}
