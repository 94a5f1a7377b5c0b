import { Router } from 'express';
import { readKitchen } from '@einkorn/core';
import type { Bus } from '../live/bus';
import type { Store } from '../store/connect';
import { runningCooks } from '../store/cooks';
import type { Learning } from '../sums/learning';
import { getKitchen, saveKitchen } from '../store/kitchen';

/** /api/kitchen: pot, altitude, units, theme, devices, and what the log taught. Switching the devices on or off reaches the cooks in progress. */
export function kitchenRoutes(store: Store, bus: Bus, learning: Learning): Router {
  const r = Router();
  r.get('/', async (_req, res) => void res.json(await getKitchen(store)));
  r.put('/', async (req, res) => {
    const before = await getKitchen(store);
    const kitchen = await saveKitchen(store, readKitchen(req.body));
    if (kitchen.devices !== before.devices)
      for (const cook of await runningCooks(store))
        if (!cook.practice)
          bus.command(kitchen.devices ? { kind: 'attach', cook } : { kind: 'detach', cookId: cook.id });
    res.json(kitchen);
  });
  r.post('/learn', async (_req, res) => void res.json(await learning.now()));
  return r;
}
