import { archiveManifest, type ArchiveFile } from '@einkorn/core';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { Store } from '../store/connect';
import { cooksInBatches } from '../store/cooks';
import { listShelved } from '../store/dishes';
import { getKitchen } from '../store/kitchen';

/** Quick, and a tenth of the size: cooks are mostly their plans. */
const level = 4;

/** Everything as one archive (docs/formats.md), a few cooks at a time: ten years of them need no more memory than one. */
export async function* archive(store: Store, version: string): AsyncGenerator<Uint8Array> {
  const packed: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    packed.push(chunk);
  });
  const add = (name: ArchiveFile, text?: string): ZipDeflate => {
    const file = new ZipDeflate(name, { level });
    zip.add(file);
    if (text !== undefined) file.push(strToU8(text), true);
    return file;
  };
  add('einkorn.json', JSON.stringify(archiveManifest(version, Date.now())));
  add('kitchen.json', JSON.stringify(await getKitchen(store)));
  add('dishes.jsonl', lines(await listShelved(store)));
  const cooks = add('cooks.jsonl');
  for await (const some of cooksInBatches(store, 'oldest')) {
    cooks.push(strToU8(lines(some)));
    yield* packed.splice(0);
  }
  cooks.push(new Uint8Array(0), true);
  zip.end();
  yield* packed;
}

const lines = (docs: readonly unknown[]): string => docs.map((d) => `${JSON.stringify(d)}\n`).join('');
