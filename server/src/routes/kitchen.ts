import { Router } from 'express';
import * as z from 'zod';
import { problemOf, readKitchen, refusal, type Kitchen } from '@einkorn/core';
import { clearDemo } from '../demo/seed';
import type { Bus } from '../live/bus';
import type { Store } from '../store/connect';
import { runningCooks } from '../store/cooks';
import type { Learning } from '../sums/learning';
import { beginKitchen, changeKitchen, getKitchen, saveKitchen } from '../store/kitchen';

/** With the demo or without it. */
const beginBody = z.strictObject({ demo: z.boolean() });

/** Fields as a screen had them and wants them; what they hold is read with the kitchen that comes of it. */
const changeBody = z.strictObject({
  had: z.record(z.string(), z.unknown()),
  wanted: z.record(z.string(), z.unknown()),
});

/** /api/kitchen: pot, altitude, units, theme, devices, and what the log taught. Switching the devices on or off reaches the cooks in progress. */
export function kitchenRoutes(store: Store, bus: Bus, learning: Learning): Router {
  const r = Router();
  r.get('/', async (_req, res) => void res.json(await getKitchen(store)));
  const keep = async (write: () => Promise<Kitchen>): Promise<Kitchen> => {
    const before = await getKitchen(store);
    const kitchen = await write();
    if (kitchen.devices !== before.devices)
      for (const cook of await runningCooks(store))
        if (!cook.practice)
          bus.command(kitchen.devices ? { kind: 'attach', cook } : { kind: 'detach', cookId: cook.id });
    return kitchen;
  };
  r.put('/', async (req, res) => void res.json(await keep(() => saveKitchen(store, readKitchen(req.body)))));
  r.patch('/', async (req, res) => {
    const asked = changeBody.safeParse(req.body ?? {});
    if (!asked.success) throw problemOf('request-invalid', asked.error);
    res.json(await keep(() => changeKitchen(store, asked.data)));
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
