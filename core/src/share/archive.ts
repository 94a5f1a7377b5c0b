import * as z from 'zod';
import { refusal } from '../problem';
import { problemOf } from '../zod-problem';
import { cookFormat } from '../cook/cook';
import { kitchenFormat } from '../dish/kitchen';
import { dishFormat } from '../dish/schema';

export const archiveFormat = 'einkorn.archive/1';

/** Files of an archive, in the order in which they stand in it; `.jsonl` has one document a line. */
export const archiveFiles = ['einkorn.json', 'kitchen.json', 'dishes.jsonl', 'cooks.jsonl'] as const;
export type ArchiveFile = (typeof archiveFiles)[number];

/** The first file of an archive: what it is, and the versions of the documents in it. */
const manifestSchema = z.looseObject({
  format: z.literal(archiveFormat),
  /** of the programme that made it */
  version: z.string(),
  madeMs: z.number(),
  formats: z.record(z.string(), z.string()),
});
export type ArchiveManifest = z.infer<typeof manifestSchema>;

export const archiveManifest = (version: string, madeMs: number): ArchiveManifest => ({
  format: archiveFormat,
  version,
  madeMs,
  formats: { kitchen: kitchenFormat, dish: dishFormat, cook: cookFormat },
});

/** Reads the first file of an archive. Throws Problem `archive-newer` for one of a later version, else `archive-invalid`. */
export function readArchiveManifest(text: string): ArchiveManifest {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw refusal('archive-invalid');
  }
  const read = manifestSchema.safeParse(raw);
  if (read.success) return read.data;
  const format = (raw as { format?: unknown } | null)?.format;
  if (typeof format === 'string' && /^einkorn\.archive\/\d+$/.test(format)) throw refusal('archive-newer', { format });
  throw problemOf('archive-invalid', read.error);
}
