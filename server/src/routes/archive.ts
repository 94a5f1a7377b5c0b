import { Router } from 'express';
import { refusal } from '@einkorn/core';
import { readArchive } from '../keep/archive-in';
import { archive } from '../keep/archive-out';
import { stampOf } from '../keep/folder';
import type { Store } from '../store/connect';
import type { Learning } from '../sums/learning';
import { sendAll } from './send';

/** Ten years of a house are some 60 MB packed. */
const mostBytes = 300_000_000;

/** /api/archive: everything as one file, and such a file brought back. */
export function archiveRoutes(store: Store, learning: Learning, version: string): Router {
  const r = Router();
  r.get('/', async (_req, res) => {
    res.attachment(`einkorn-${stampOf(Date.now())}.zip`).type('application/zip');
    await sendAll(res, archive(store, version));
  });
  r.post('/', async (req, res) => {
    if (Number(req.headers['content-length'] ?? 0) > mostBytes) throw refusal('archive-too-large');
    const report = await readArchive(store, upTo(mostBytes, req));
    if (report.added > 0 || report.kitchen === 'taken') learning.soon();
    res.json(report);
  });
  return r;
}

async function* upTo(most: number, arriving: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  let bytes = 0;
  for await (const chunk of arriving) {
    bytes += chunk.length;
    if (bytes > most) throw refusal('archive-too-large');
    yield chunk;
  }
}
