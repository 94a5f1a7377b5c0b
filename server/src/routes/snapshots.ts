import { join } from 'node:path';
import { Router } from 'express';
import { refusal } from '@einkorn/core';
import { snapshotName, snapshotNames, snapshotsIn } from '../keep/folder';
import { snapshotsOf, takeSnapshot } from '../keep/snapshots';
import type { Store } from '../store/connect';

/** /api/snapshots: copies of the whole database, taken every day, before its tables change, and when somebody asks for one. */
export function snapshotRoutes(store: Store): Router {
  const r = Router();
  r.get('/', (_req, res) => void res.json(snapshotsOf(store.folder)));
  r.post('/', async (_req, res) => {
    res.status(201).json(await takeSnapshot(store.folder, { why: 'asked' }));
  });
  r.get('/:name', (req, res) => {
    const { name } = req.params;
    if (!snapshotName.test(name) || !snapshotNames(store.folder).includes(name)) throw refusal('snapshot-missing');
    res.download(join(snapshotsIn(store.folder), name), name);
  });
  return r;
}
