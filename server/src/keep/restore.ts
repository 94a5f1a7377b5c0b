import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { databaseIn, FolderProblem, snapshotName, snapshotNames, snapshotsIn, stampOf } from './folder';
import { holderOf } from './lock';
import { checkSound } from '../store/copy';

/**
 * Puts a snapshot in the place of the database; what was there is set beside it, never thrown away. The server must not run.
 * Throws FolderProblem with the way out.
 *
 * @returns where the database went that was there before; null where there was none
 */
export async function restoreSnapshot(folder: string, name: string, nowMs = Date.now()): Promise<string | null> {
  const holder = holderOf(folder);
  if (holder)
    throw new FolderProblem('in-use', `The server at ${holder.url} works on ${folder}. Stop it first, then restore.`);
  const from = join(snapshotsIn(folder), name);
  if (!snapshotName.test(name) || !existsSync(from))
    throw new FolderProblem(
      'missing',
      `There is no snapshot "${name}". There are: ${snapshotNames(folder).join(', ') || 'none'}.`,
    );
  await checkSound(from).catch((e: unknown) => {
    throw new FolderProblem('damaged', `The snapshot ${name} is damaged (${(e as Error).message}). Take an older one.`);
  });
  const file = databaseIn(folder);
  const aside = existsSync(file) ? `${file}.before-${stampOf(nowMs)}` : null;
  copyFileSync(from, `${file}.part`);
  if (aside) {
    renameSync(file, aside);
    for (const end of ['-wal', '-shm']) if (existsSync(file + end)) renameSync(file + end, aside + end);
  } else for (const end of ['-wal', '-shm']) rmSync(file + end, { force: true });
  renameSync(`${file}.part`, file);
  return aside;
}
