import { Router } from 'express';
import * as z from 'zod';
import {
  checkPlanOf,
  cookEventSchema,
  cookSchema,
  hasOldUndo,
  logOutcomes,
  logSorts,
  momentSchema,
  outcomeSchema,
  problemOf,
  says,
  upgradeEvents,
  type Code,
  type Cook,
  type CookPage,
} from '@einkorn/core';
import { drawFaults } from '@einkorn/devices';
import type { Bus } from '../live/bus';
import { openStream } from '../live/stream';
import type { Store } from '../store/connect';
import type { Learning } from '../sums/learning';
import type { Sums } from '../sums/sums';
import { getKitchen } from '../store/kitchen';
import { addCook, addEvents, changeCook, getCook, removeCook, runningCooks } from '../store/cooks';
import { mostOnPage, pageOfCooks } from '../store/log-page';
import { lookAtClock } from './time';

const mostEvents = 200;
const eventsBody = z.strictObject({ events: z.array(z.unknown()).min(1).max(mostEvents) });
const eventsOfToday = z.object({ events: z.array(cookEventSchema) });
const changeBody = z.strictObject({
  finishedMs: momentSchema.nullable().optional(),
  outcome: outcomeSchema.optional(),
  had: outcomeSchema.nullable().optional(),
});

const pageQuery = z.object({
  limit: z.coerce.number().int().min(1).max(mostOnPage).default(50),
  after: z.string().max(80).optional(),
  sort: z.enum(logSorts).optional(),
  text: z
    .string()
    .max(200, says('characters-at-most', { most: 200 }))
    .optional(),
  potId: z.string().max(60).optional(),
  outcome: z.enum(logOutcomes).optional(),
  practice: z
    .enum(['true', 'false'])
    .transform((x) => x === 'true')
    .optional(),
});
const logPage = (store: Store, query: unknown): Promise<CookPage> =>
  pageOfCooks(store, read(pageQuery, query, 'page-invalid'));

function read<T>(schema: z.ZodType<T>, body: unknown, says: Code<'problem'>): T {
  const parsed = schema.safeParse(body ?? {});
  if (!parsed.success) throw problemOf(says, parsed.error);
  return parsed.data;
}

/** What a screen asks of the devices of its cook. */
const commandBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('measure'), what: z.enum(['temperature', 'weight']) }),
  z.strictObject({ kind: z.literal('speed'), speed: z.number().min(1).max(60) }),
]);

interface Beside {
  store: Store;
  bus: Bus;
  sums: Sums;
  learning: Learning;
}

/**
 * /api/cooks: cooks in progress and the log. Events are only ever added; each has an id, so a repeat is harmless, and
 * every screen of a cook is told of them as they come.
 */
export function cookRoutes(beside: Beside): Router {
  const r = Router();
  wholeCooks(r, beside);
  liveCook(r, beside);
  return r;
}

/** Cooks as a whole: the log, one of them, begun, ended, looked back on, removed. */
function wholeCooks(r: Router, { store, bus, sums, learning }: Beside): void {
  /** The devices take part in a practice, and in any cook where the kitchen lets them. */
  const attach = async (cook: Cook): Promise<void> => {
    if (cook.finishedMs === null && (cook.practice || (await getKitchen(store)).devices))
      bus.command({ kind: 'attach', cook });
  };
  r.get(
    '/',
    async (req, res) =>
      void res.json(req.query['running'] === 'true' ? await runningCooks(store) : await logPage(store, req.query)),
  );
  r.get('/:id', async (req, res) => void res.json(await getCook(store, req.params.id)));
  r.post('/', async (req, res) => {
    const cook = read(cookSchema, req.body, 'cook-not-started');
    checkPlanOf(cook.plan, cook.dish);
    await lookAtClock(store, req.log);
    // Nothing begins in the future.
    if (!cook.practice) cook.startedMs = Math.min(cook.startedMs, store.clock.nowMs());
    if (cook.practice?.surprise)
      cook.practice.faults = drawFaults(cook.practice.seed, cook.plan.program.whistles !== undefined);
    await addCook(store, cook);
    const kept = await getCook(store, cook.id);
    await attach(kept);
    res.status(201).json(kept);
  });
  r.get('/:id/debrief', async (req, res) => {
    const cook = await getCook(store, req.params.id);
    res.json(cook.practice ? await sums('look-back', cook) : null);
  });
  r.patch('/:id', async (req, res) => {
    const { id } = req.params;
    const change = read(changeBody, req.body, 'outcome-invalid');
    await changeCook(store, id, change);
    const cook = await getCook(store, id);
    const { finishedMs } = change;
    if (finishedMs === null) {
      bus.publish(id, { name: 'taken-up', data: {} });
      await attach(cook);
    }
    if (cook.finishedMs !== null) {
      bus.publish(id, { name: 'finished', data: { finishedMs: cook.finishedMs } });
      bus.command({ kind: 'detach', cookId: id });
      if (!cook.practice) learning.soon();
    }
    res.json(cook);
  });
  r.delete('/:id', async (req, res) => {
    await removeCook(store, req.params.id);
    bus.forget(req.params.id);
    res.status(204).end();
  });
}

/** A cook while it goes on: its taps, what its screens are told, and what they ask of the devices. */
function liveCook(r: Router, { store, bus }: Beside): void {
  r.post('/:id/events', async (req, res) => {
    const { id } = req.params;
    const sent = read(eventsBody, req.body, 'tap-invalid').events;
    // Only an undo of an older page has to be read beside what the cook has; a tap of today reads nothing first.
    const before = hasOldUndo(sent) ? (await getCook(store, id)).events : [];
    const { events } = read(eventsOfToday, { events: upgradeEvents(sent, before) }, 'tap-invalid');
    const kept = await addEvents(store, id, events);
    bus.publish(id, { name: 'events', data: { events: kept } });
    bus.command({ kind: 'events', cookId: id, events: kept });
    res.json({ events: kept });
  });
  r.get('/:id/stream', async (req, res) => {
    const { id } = req.params;
    const cook = await getCook(store, id);
    const stop = bus.watch(id, (n) => send(n.name, n.data));
    const send = openStream(req, res, stop);
    // What happened while nobody listened comes first.
    send('events', { events: cook.events, all: true });
    for (const n of bus.shown(id)) send(n.name, n.data);
    if (cook.finishedMs !== null) send('finished', { finishedMs: cook.finishedMs });
  });
  r.post('/:id/commands', async (req, res) => {
    const { id } = req.params;
    await getCook(store, id);
    bus.command({ ...read(commandBody, req.body, 'command-invalid'), cookId: id });
    res.status(202).json({ ok: true });
  });
}
