import { Router } from 'express';
import { problemOf, refusal } from '@einkorn/core';
import { readingsSchema } from '@einkorn/devices';
import { callerOf } from '../keys/guard';
import type { Bus } from '../live/bus';
import { Door, isLetIn } from '../live/door';
import { eventsOf } from '../live/readings';
import { openStream } from '../live/stream';
import type { Store } from '../store/connect';
import { addEvents, getCook, newestRunning, runningCooks } from '../store/cooks';
import { getKitchen } from '../store/kitchen';

/** /api/devices: whatever speaks einkorn.device/1 posts its readings here and may listen for commands. */
export function deviceRoutes(store: Store, bus: Bus): Router {
  const r = Router();
  const door = new Door();
  r.get('/', async (_req, res) => {
    const { devicesLetIn } = await getKitchen(store);
    res.json({ letIn: devicesLetIn, callers: door.all() });
  });
  r.get('/stream', async (req, res) => {
    const stop = bus.onCommand((c) => send('command', c));
    const send = openStream(req, res, stop);
    const { devices } = await getKitchen(store);
    for (const cook of await runningCooks(store)) {
      if (!cook.practice && !devices) continue;
      send('command', { kind: 'attach', cook });
      if (bus.watched(cook.id)) send('command', { kind: 'resume', cookId: cook.id });
    }
  });
  r.post('/readings', async (req, res) => {
    const parsed = readingsSchema.safeParse(req.body ?? {});
    if (!parsed.success) throw problemOf('readings-invalid', parsed.error);
    const { device, cook: id, clock, readings } = parsed.data;
    const { key } = callerOf(res);
    // Nobody speaks in the name of a device that was let in.
    if (key?.rights === 'device' && key.name !== device) throw refusal('right-missing');
    const cook = id === undefined ? await newestRunning(store) : await getCook(store, id);
    if (!cook || cook.finishedMs !== null) return void res.status(202).json({ cook: null, kept: 0 });
    // In a practice everything may speak.
    if (!cook.practice) {
      door.called(device, Date.now());
      // One that was given a key was let in by that.
      if (key?.rights !== 'device' && !isLetIn(device, await getKitchen(store)))
        return void res.status(202).json({ cook: cook.id, kept: 0, letIn: false });
    }
    if (clock) bus.publish(cook.id, { name: 'clock', data: clock });
    for (const reading of readings) bus.publish(cook.id, { name: 'reading', data: { device, ...reading } });
    const known = new Set(cook.events.map((e) => e.id));
    const events = eventsOf(cook, device, readings).filter((e) => !known.has(e.id));
    if (events.length > 0) {
      const kept = await addEvents(store, cook.id, events);
      bus.publish(cook.id, { name: 'events', data: { events: kept } });
    }
    res.status(202).json({ cook: cook.id, kept: events.length });
  });
  return r;
}
