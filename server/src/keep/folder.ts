import {
  closeSync,
  constants,
  accessSync,
  existsSync,
  fstatSync,
  openSync,
  readdirSync,
  readSync,
  statfsSync,
} from 'node:fs';
import { join } from 'node:path';

/** Why a data folder cannot be used, in words for whoever starts the server: what is wrong, and the way out. */
export class FolderProblem extends Error {
  constructor(
    readonly code: 'missing' | 'damaged' | 'newer' | 'read-only' | 'in-use',
    message: string,
  ) {
    super(message);
    this.name = 'FolderProblem';
  }
}

export const databaseIn = (folder: string): string => join(folder, 'einkorn.sqlite');
export const snapshotsIn = (folder: string): string => join(folder, 'snapshots');

/** Names of the snapshots of a folder, newest first; they begin with their moment. */
export const snapshotNames = (folder: string): string[] =>
  existsSync(snapshotsIn(folder))
    ? readdirSync(snapshotsIn(folder))
        .filter((name) => snapshotName.test(name))
        .sort()
        .reverse()
    : [];
export const snapshotName = /^\d{4}-\d\d-\d\dT\d\d-\d\d-\d\dZ-(?:daily|migration|asked)\.sqlite$/;

/** A moment as a part of a file name: `2026-11-29T10-15-00Z`; it sorts, and holds no sign that a file system minds. */
export const stampOf = (ms: number): string => `${new Date(ms).toISOString().slice(0, 19).replaceAll(':', '-')}Z`;

/** The sentence that leads to the newest snapshot, or says that there is none. */
export function wayBack(folder: string): string {
  const [newest] = snapshotNames(folder);
  return newest
    ? `The newest snapshot is ${newest}: put it in its place with "npm run restore -- ${newest}".`
    : 'There is no snapshot of it. Put a copy of the file in its place, or start with another folder (EINKORN_DATA).';
}

/** First bytes of every database file [published: the file format of SQLite]. */
const magic = 'SQLite format 3\0';
const headerBytes = 100;

/**
 * Looks at a data folder before anything is opened in it. Throws FolderProblem where a database is missing though there was
 * one, was cut or overwritten, or cannot be written.
 *
 * @returns whether the folder ever held anything: only a fresh one gets the demo
 */
export function lookAt(folder: string): { fresh: boolean } {
  const file = databaseIn(folder);
  if (!existsSync(file)) {
    if (snapshotNames(folder).length > 0 || existsSync(`${file}-wal`))
      throw new FolderProblem('missing', `The database ${file} is gone. ${wayBack(folder)}`);
    return { fresh: true };
  }
  for (const path of [folder, file])
    if (!writable(path))
      throw new FolderProblem('read-only', `${path} cannot be written. Give this user the right to write there.`);
  const head = headOf(file);
  // A server that was stopped in its first second leaves an empty file behind.
  if (head.length === 0) return { fresh: true };
  if (head.length < headerBytes || !head.toString('latin1').startsWith(magic))
    throw new FolderProblem('damaged', `${file} is not a database any more. ${wayBack(folder)}`);
  return { fresh: false };
}

function writable(path: string): boolean {
  try {
    accessSync(path, constants.W_OK);
    return true;
  } catch {
    return false;
  }
}

function headOf(file: string): Buffer {
  const handle = openSync(file, 'r');
  try {
    const head = Buffer.alloc(Math.min(headerBytes, fstatSync(handle).size));
    readSync(handle, head, 0, head.length, 0);
    return head;
  } finally {
    closeSync(handle);
  }
}

/** Less room than this on the disk is no longer safe to write on, bytes [common practice]. */
const leastFreeBytes = 100_000_000;

/** Room on the disk of a folder for this user, bytes. */
export function roomIn(folder: string): { ok: boolean; freeBytes: number } {
  const disk = statfsSync(folder);
  const freeBytes = disk.bavail * disk.bsize;
  return { ok: freeBytes >= leastFreeBytes, freeBytes };
}
