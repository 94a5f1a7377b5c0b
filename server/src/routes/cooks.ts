import { Router } from 'express';
import * as z from 'zod';
import { cookEventSchema, cookSchema, outcomeSchema, problemOf } from '@einkorn/core';
import type { Store } from '../store/connect';
import { addCook, addEvents, finishCook, getCook, listCooks, removeCook } from '../store/cooks';

const eventsBody = z.strictObject({ events: z.array(cookEventSchema).min(1).max(200) });
const finishBody = z.strictObject({
  finishedMs: z.number().int().min(0).max(4_102_444_800_000).optional(),
  outcome: outcomeSchema.optional(),
});

function read<T>(schema: z.ZodType<T>, body: unknown, what: string): T {
  const parsed = schema.safeParse(body ?? {});
  if (!parsed.success) throw problemOf('request-invalid', what, parsed.error);
  return parsed.data;
}

/** /api/cooks: cooks in progress and the log. Events are only ever added; each has an id, so a repeat is harmless. */
export function cookRoutes(store: Store): Router {
  const r = Router();
  r.get('/', async (_req, res) => void res.json(await listCooks(store)));
  r.get('/:id', async (req, res) => void res.json(await getCook(store, req.params.id)));
  r.post('/', async (req, res) => {
    const cook = read(cookSchema, req.body, 'The cook cannot be started.');
    await addCook(store, cook);
    res.status(201).json(await getCook(store, cook.id));
  });
  r.post('/:id/events', async (req, res) => {
    await addEvents(store, req.params.id, read(eventsBody, req.body, 'The tap cannot be kept.').events);
    res.json(await getCook(store, req.params.id));
  });
  r.patch('/:id', async (req, res) => {
    await finishCook(store, req.params.id, read(finishBody, req.body, 'The outcome cannot be kept.'));
    res.json(await getCook(store, req.params.id));
  });
  r.delete('/:id', async (req, res) => {
    await removeCook(store, req.params.id);
    res.status(204).end();
  });
  return r;
}
