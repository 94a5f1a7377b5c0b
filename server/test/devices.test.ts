import type { AddressInfo } from 'node:net';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { EventSource } from 'eventsource';
import pino from 'pino';
import request from 'supertest';
import {
  cookFormat,
  kitchenSchema,
  plan,
  readDish,
  type Cook,
  type Debrief,
  type Practice,
  type CookEvent,
} from '@einkorn/core';
import { runSimulatedDevices } from '@einkorn/devices';
import { createApp } from '../src/app';
import { demoDishes } from '../src/demo/dishes';
import { openStore, type Store } from '../src/store/connect';

let folder: string;
let store: Store;
let server: Server;
let url: string;
let api: ReturnType<typeof request>;
const dish = readDish(demoDishes['turkey-leek-lemon']);
const planned = plan(dish, kitchenSchema.parse({ altitudeM: 1180 }));
const startedMs = Date.UTC(2026, 10, 20, 17);
const format = 'einkorn.device/1';

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-devices-'));
  store = await openStore(folder);
  server = createApp(store, pino({ level: 'silent' })).listen(0);
  url = `http://localhost:${(server.address() as AddressInfo).port}`;
  api = request(url);
  await letIn('my-cooker', 'probe', 'c', 'scale', 'a', ...Array.from({ length: 12 }, (_, i) => `d${2 * i}`));
});
afterAll(async () => {
  server.close();
  server.closeAllConnections();
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});

async function letIn(...devicesLetIn: string[]): Promise<void> {
  const kitchen = (await api.get('/api/kitchen')).body as object;
  await api
    .put('/api/kitchen')
    .send({ ...kitchen, devicesLetIn })
    .expect(200);
}

let made = 0;
async function start(practice?: Partial<Practice>): Promise<Cook> {
  const cook: Cook = {
    format: cookFormat,
    id: `cook-${(made += 1)}`,
    dishId: null,
    dish,
    plan: planned,
    startedMs: startedMs + made * 3_600_000,
    finishedMs: null,
    events: [],
    outcome: null,
    ...(practice
      ? { practice: { seed: 5, faults: [], surprise: false, speed: 60, hands: 'devices', ...practice } }
      : {}),
  };
  return (await api.post('/api/cooks').send(cook).expect(201)).body as Cook;
}
const kinds = async (id: string): Promise<string[]> =>
  ((await api.get(`/api/cooks/${id}`)).body as Cook).events.map((e) => e.kind);

describe('a device that speaks einkorn.device/1', () => {
  test('its pin, whistle, core and weight become events; sent twice they are one', async () => {
    const cook = await start();
    const readings = [
      { kind: 'pin', value: 'up', atMs: cook.startedMs + 60_000 },
      { kind: 'pressure', kpa: 71.5, atMs: cook.startedMs + 61_000 },
      { kind: 'pressure', kpa: 71.9, atMs: cook.startedMs + 63_000 },
      { kind: 'temperature', celsius: 78.5, atMs: cook.startedMs + 90_000 },
      { kind: 'weight', grams: 1840, atMs: cook.startedMs + 95_000 },
    ];
    for (let i = 0; i < 2; i++)
      await api
        .post('/api/devices/readings')
        .send({ format, device: 'my-cooker', cook: cook.id, readings })
        .expect(202);
    expect(await kinds(cook.id)).toEqual(['pin-up', 'gauge-read', 'probe-read', 'weight-read']);
    const kept = ((await api.get(`/api/cooks/${cook.id}`)).body as Cook).events;
    expect(kept).toMatchObject([{ kind: 'pin-up' }, { gaugeKpa: 71.5 }, { coreC: 78.5 }, { grams: 1840 }]);
    expect(kept.every((e) => e.device === 'my-cooker')).toBe(true);
  });
  test('without a word about the cook it means the newest one in progress', async () => {
    await start();
    const newest = await start();
    const r = await api
      .post('/api/devices/readings')
      .send({ format, device: 'probe', readings: [{ kind: 'temperature', celsius: 70, atMs: newest.startedMs }] });
    expect(r.body).toEqual({ cook: newest.id, kept: 1 });
  });
  test('a dozen devices and hands that write in the same moment: nothing is refused, nothing is doubled', async () => {
    const cook = await start();
    const readings = [{ kind: 'pin', value: 'up', atMs: cook.startedMs + 9000 }];
    const answers = await Promise.all(
      Array.from({ length: 24 }, (_, i) =>
        i % 2 === 0
          ? api.post('/api/devices/readings').send({ format, device: `d${i}`, cook: cook.id, readings })
          : api
              .post(`/api/cooks/${cook.id}/events`)
              .send({ events: [{ id: `tap-${i % 6}`, kind: 'noted', text: 'x', atMs: cook.startedMs + (i % 6) }] }),
      ),
    );
    expect(answers.map((r) => r.status).filter((s) => s >= 300)).toEqual([]);
    const all = await kinds(cook.id);
    expect(all.filter((k) => k === 'pin-up')).toHaveLength(1);
    expect(all.filter((k) => k === 'noted')).toHaveLength(3);
  });
  test('burning is told once in each run under the lid; what comes late of the run before is not a new one', async () => {
    const cook = await start();
    const burns = async (...atS: number[]): Promise<number> => {
      const readings = atS.map((s) => ({ kind: 'burn', atMs: cook.startedMs + s * 1000 }));
      await api.post('/api/devices/readings').send({ format, device: 'c', cook: cook.id, readings }).expect(202);
      return (await kinds(cook.id)).filter((k) => k === 'burn').length;
    };
    expect(await burns(60, 62)).toBe(1);
    const again: CookEvent = {
      id: 'r',
      kind: 'rescued',
      minutes: 4,
      text: '',
      lockedAgain: { lid: 'heat-up', holdMin: 5, addMl: 0 },
      atMs: cook.startedMs + 90_000,
    };
    await api.post(`/api/cooks/${cook.id}/events`).send({ events: [again] });
    expect(await burns(64)).toBe(1);
    expect(await burns(600)).toBe(2);
  });
  test('a pin that the cook already tapped is not told again', async () => {
    const cook = await start();
    const tap: CookEvent = { id: 'hand', kind: 'pin-up', atMs: cook.startedMs + 1000 };
    await api.post(`/api/cooks/${cook.id}/events`).send({ events: [tap] });
    await api.post('/api/devices/readings').send({
      format,
      device: 'c',
      cook: cook.id,
      readings: [{ kind: 'pin', value: 'up', atMs: cook.startedMs + 2000 }],
    });
    expect(await kinds(cook.id)).toEqual(['pin-up']);
  });
  test.each([
    ['nothing', {}],
    ['another format', { format: 'other/1', device: 'a', readings: [] }],
    ['a name with spaces', { format, device: 'a b', readings: [] }],
    ['a pressure without a number', { format, device: 'a', readings: [{ kind: 'pressure', atMs: 1 }] }],
    ['an impossible temperature', { format, device: 'a', readings: [{ kind: 'temperature', celsius: 9e9, atMs: 1 }] }],
    ['a kind that nobody knows', { format, device: 'a', readings: [{ kind: 'smell', atMs: 1 }] }],
  ])('%s is refused with a clear sentence and the field', async (_, body) => {
    const r = await api.post('/api/devices/readings').send(body);
    expect(r.status).toBe(400);
    expect(r.body.detail).toMatch(/readings cannot be understood/);
    expect(r.body.issues.length).toBeGreaterThan(0);
  });
  test('a screen that opens later is told what the dials show, as long as the cook is on', async () => {
    const cook = await start();
    const readings = [
      { kind: 'pressure', kpa: 20, atMs: cook.startedMs + 1 },
      { kind: 'pin', value: 'up', atMs: cook.startedMs + 2 },
      { kind: 'whistle', count: 1, atMs: cook.startedMs + 3 },
      { kind: 'pressure', kpa: 33, atMs: cook.startedMs + 4 },
    ];
    await api.post('/api/devices/readings').send({ format, device: 'c', cook: cook.id, readings }).expect(202);
    /** Readings of a stream up to the first that is sent after it opened. */
    const shown = (): Promise<unknown[]> =>
      new Promise((found) => {
        const seen: unknown[] = [];
        const stream = new EventSource(`${url}/api/cooks/${cook.id}/stream`);
        stream.addEventListener('reading', (e: { data: string }) => {
          const r = JSON.parse(e.data) as { kind: string; kpa?: number; value?: string };
          if (r.kind === 'weight') {
            stream.close();
            found(seen);
          } else seen.push(r.kpa ?? r.value);
        });
        stream.addEventListener('events', () => {
          const weight = [{ kind: 'weight', grams: 900, atMs: cook.startedMs + 5 }];
          void api
            .post('/api/devices/readings')
            .send({ format, device: 'scale', cook: cook.id, readings: weight })
            .then(() => undefined);
        });
      });
    expect((await shown()).sort()).toEqual([33, 'up']);
  });
  test('a device that was not let in moves nothing, is told so, and stands at the door; in a practice all may speak', async () => {
    const readings = [
      { kind: 'pin', value: 'down', atMs: startedMs },
      { kind: 'temperature', celsius: 90, atMs: startedMs },
    ];
    const said = async (cook: Cook): Promise<unknown> =>
      (
        await api
          .post('/api/devices/readings')
          .send({ format, device: 'stranger', cook: cook.id, readings })
          .expect(202)
      ).body;
    const cook = await start();
    expect(await said(cook)).toEqual({ cook: cook.id, kept: 0, letIn: false });
    expect(await kinds(cook.id)).toEqual([]);
    const door = (await api.get('/api/devices')).body as { callers: { device: string }[]; letIn: string[] };
    expect(door.callers[0]!.device).toBe('stranger');
    expect(door.letIn).not.toContain('stranger');
    expect(await said(await start({}))).toMatchObject({ kept: 2 });
    // One name more than the door remembers, and the first is forgotten.
    for (let i = 0; i < 20; i++)
      await api.post('/api/devices/readings').send({ format, device: `x${i}`, cook: cook.id, readings: [] });
    const { callers } = (await api.get('/api/devices')).body as { callers: { device: string }[] };
    expect([callers.length, callers.some((c) => c.device === 'stranger')]).toEqual([20, false]);
  });
  test('a cook that is over takes no more readings, a cook that never was is told so', async () => {
    const cook = await start();
    await api.patch(`/api/cooks/${cook.id}`).send({ finishedMs: cook.startedMs + 1 });
    const readings = [{ kind: 'burn', atMs: cook.startedMs }];
    expect(
      (await api.post('/api/devices/readings').send({ format, device: 'a', cook: cook.id, readings })).body.kept,
    ).toBe(0);
    await api.post('/api/devices/readings').send({ format, device: 'a', cook: 'nobody', readings }).expect(404);
  });
});

describe('the practice bench at sixty times', () => {
  let stop: () => void;
  beforeAll(() => (stop = runSimulatedDevices(url)));
  afterAll(() => stop());

  /** Resolves with the first event of a kind that the stream of a cook brings. */
  const heard = (id: string, kind: CookEvent['kind']): Promise<CookEvent> =>
    new Promise((found) => {
      const stream = new EventSource(`${url}/api/cooks/${id}/stream`);
      stream.addEventListener('events', (e: { data: string }) => {
        const event = (JSON.parse(e.data) as { events: CookEvent[] }).events.find((x) => x.kind === kind);
        if (!event) return;
        stream.close();
        found(event);
      });
    });
  const lock = (cook: Cook): CookEvent => ({
    id: `${cook.id}-lock`,
    kind: 'done',
    stepId: 'lock',
    atMs: cook.startedMs,
  });

  test('the simulated cooker comes to pressure on its own clock, and the screens hear of it', async () => {
    const cook = await start({});
    const up = heard(cook.id, 'pin-up');
    await api.post(`/api/cooks/${cook.id}/events`).send({ events: [lock(cook)] });
    const min = ((await up).atMs - cook.startedMs) / 60_000;
    expect(min / planned.program.pinUpMin).toBeGreaterThan(0.6);
    expect(min / planned.program.pinUpMin).toBeLessThan(1.5);
  });
  test('a practice by hand keeps the pin to itself, and the look back tells when it rose', async () => {
    const cook = await start({ hands: 'you' });
    const gauge = heard(cook.id, 'gauge-read');
    await api.post(`/api/cooks/${cook.id}/events`).send({ events: [lock(cook)] });
    await gauge;
    expect(await kinds(cook.id)).not.toContain('pin-up');
    await api.patch(`/api/cooks/${cook.id}`).send({ finishedMs: cook.startedMs + 3_600_000 });
    const d = (await api.get(`/api/cooks/${cook.id}/debrief`)).body as Debrief;
    const pin = d.noticed.find((n) => n.what === 'pin-up')!;
    expect(pin.atMin).toBeGreaterThan(2);
    expect(pin.seenMin).toBeNull();
    expect(d.food!.band).toBeTruthy();
  });
  test('surprise faults are drawn by the server and stay the same', async () => {
    const cook = await start({ surprise: true, seed: 11 });
    expect(cook.practice!.faults.length).toBeGreaterThan(0);
    expect(((await api.get(`/api/cooks/${cook.id}`)).body as Cook).practice).toEqual(cook.practice);
  });
  test('no real cook has a look back', async () => {
    expect((await api.get(`/api/cooks/${(await start()).id}/debrief`)).body).toBeNull();
  });
});
