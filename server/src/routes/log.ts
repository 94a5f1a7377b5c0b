import { Router } from 'express';
import { logFile } from '@einkorn/core';
import type { Store } from '../store/connect';
import { listCooks } from '../store/cooks';
import { getKitchen } from '../store/kitchen';

/** /api/log: the kitchen and every cook, whole, as one file of the format `einkorn.log/1`. */
export function logRoutes(store: Store): Router {
  const r = Router();
  r.get('/', async (_req, res) => void res.json(logFile(await getKitchen(store), await listCooks(store))));
  return r;
}
