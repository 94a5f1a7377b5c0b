import { Router } from 'express';
import * as z from 'zod';
import { problemOf, readKitchen, refusal } from '@einkorn/core';
import { clearDemo } from '../demo/seed';
import type { Bus } from '../live/bus';
import type { Store } from '../store/connect';
import { runningCooks } from '../store/cooks';
import type { Learning } from '../sums/learning';
import { beginKitchen, getKitchen, saveKitchen } from '../store/kitchen';

/** With the demo or without it. */
const beginBody = z.strictObject({ demo: z.boolean() });

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
  r.post('/begin', async (req, res) => {
    const asked = beginBody.safeParse(req.body ?? {});
    if (!asked.success) throw problemOf('request-invalid', asked.error);
    if (!asked.data.demo) {
      if (!(await getKitchen(store)).isNew) throw refusal('kitchen-begun');
      await clearDemo(store);
      await learning.now();
    }
    res.json(await beginKitchen(store));
  });
  r.post('/learn', async (_req, res) => void res.json(await learning.now()));
  return r;
}
