import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { archiveManifest, type ArchiveFile } from '@einkorn/core';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { Store } from '../store/connect';
import { cooksInBatches } from '../store/cooks';
import { listShelved } from '../store/dishes';
import { getKitchen } from '../store/kitchen';

/** Quick, and a tenth of the size: cooks are mostly their plans. */
const level = 4;

/** Writes everything as one archive (docs/formats.md), a few cooks at a time: ten years of them need no more memory than one. */
export async function writeArchive(store: Store, out: Writable, version: string): Promise<void> {
  let failed: Error | null = null;
  const zip = new Zip((error, chunk, final) => {
    if (error) failed = error;
    else {
      out.write(chunk);
      if (final) out.end();
    }
  });
  const into = (name: ArchiveFile): ((text: string, last?: boolean) => Promise<void>) => {
    const file = new ZipDeflate(name, { level });
    zip.add(file);
    return async (text, last = false) => {
      file.push(strToU8(text), last);
      if (failed) throw failed;
      if (out.writableNeedDrain && !out.destroyed) await Promise.race([once(out, 'drain'), once(out, 'close')]);
    };
  };
  await into('einkorn.json')(JSON.stringify(archiveManifest(version, Date.now())), true);
  await into('kitchen.json')(JSON.stringify(await getKitchen(store)), true);
  await into('dishes.jsonl')(lines(await listShelved(store)), true);
  const cooks = into('cooks.jsonl');
  for await (const some of cooksInBatches(store, 'oldest')) {
    if (out.destroyed) return;
    await cooks(lines(some));
  }
  await cooks('', true);
  zip.end();
}

const lines = (docs: readonly unknown[]): string => docs.map((d) => `${JSON.stringify(d)}\n`).join('');
