import { Router } from 'express';
import { readKitchen } from '@einkorn/core';
import type { Store } from '../store/connect';
import { getKitchen, saveKitchen } from '../store/kitchen';

/** /api/kitchen: pot, altitude, units, theme. */
export function kitchenRoutes(store: Store): Router {
  const r = Router();
  r.get('/', async (_req, res) => void res.json(await getKitchen(store)));
  r.put('/', async (req, res) => void res.json(await saveKitchen(store, readKitchen(req.body))));
  return r;
}
