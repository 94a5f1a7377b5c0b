import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { cookFormat, plan, type Cook, type CookEvent, type Dish } from '@einkorn/core';
import { createApp } from '../src/app';
import { HouseClock } from '../src/live/house-clock';
import { openStore, type Store } from '../src/store/connect';

/* What time it is: the house's clock, which nobody can set, and the moments of taps against it. */
const evening = Date.UTC(2026, 10, 20, 17);
const min = 60_000;

describe('the clock of the house', () => {
  const both = { wall: evening, steady: 5000 };
  const go = (ms: number): void => {
    both.wall += ms;
    both.steady += ms;
  };
  const clock = new HouseClock(
    () => both.wall,
    () => both.steady,
  );
  test('it follows the system where nobody cooks, by hours too', () => {
    go(min);
    both.wall += 60 * min;
    expect(clock.look(false)).toBe(false);
    expect(clock.nowMs()).toBe(evening + 61 * min);
  });
  test.each([60 * min, -60 * min])('set by %s ms during a cook, it goes on as it was and says so once', (byMs) => {
    const before = clock.nowMs();
    both.wall += byMs;
    expect(clock.look(true)).toBe(true);
    go(min);
    expect(clock.look(true)).toBe(false);
    expect(clock.nowMs()).toBe(before + min);
    expect(clock.movedMs).toBe(byMs);
    clock.look(false);
    expect(clock.movedMs).toBe(0);
    expect(clock.nowMs()).toBe(both.wall);
  });
  test('a correction that no countdown shows is followed at once', () => {
    both.wall += 300;
    expect(clock.look(true)).toBe(false);
    expect(clock.nowMs()).toBe(both.wall);
  });
});

let folder: string;
let store: Store;
let api: ReturnType<typeof request>;
const both = { wall: evening, steady: 0 };
const go = (ms: number): void => {
  both.wall += ms;
  both.steady += ms;
};
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-clock-'));
  const clock = new HouseClock(
    () => both.wall,
    () => both.steady,
  );
  store = await openStore(folder, clock);
  api = request(createApp(store, pino({ level: 'silent' })));
});
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});

const dish: Dish = {
  format: 'einkorn.dish/1',
  title: 'Rice',
  family: 'plain-grain',
  serves: 2,
  ingredients: [{ id: 'rice', food: 'rice-basmati', amount: { value: 200, unit: 'g' } }],
};
async function begin(id: string, more: Partial<Cook> = {}): Promise<Cook> {
  const cook: Cook = {
    format: cookFormat,
    id,
    dishId: null,
    dish,
    plan: plan(dish),
    startedMs: both.wall,
    finishedMs: null,
    events: [],
    outcome: null,
    ...more,
  };
  return (await api.post('/api/cooks').send(cook)).body as Cook;
}
const tap = async (cook: string, event: Partial<CookEvent>) => {
  const sent = { id: `e${event.atMs}`, kind: 'pin-up', ...event };
  return api.post(`/api/cooks/${cook}/events`).send({ events: [sent] });
};

test('a tap before the start or in the future happens when it could, and says what its screen had said', async () => {
  await begin('taps');
  go(10 * min);
  const early = await tap('taps', { atMs: evening - 60 * min });
  const late = await tap('taps', { atMs: evening + 70 * min });
  const right = await tap('taps', { atMs: evening + 9 * min });
  expect(early.body.events[0]).toMatchObject({ atMs: evening, saidMs: evening - 60 * min });
  expect(late.body.events[0]).toMatchObject({ atMs: evening + 10 * min, saidMs: evening + 70 * min });
  expect(right.body.events[0]).not.toHaveProperty('saidMs');
});
test('nothing begins in the future, and nothing ends there or before it began', async () => {
  const cook = await begin('ahead', { startedMs: both.wall + 60 * min });
  expect(cook.startedMs).toBe(both.wall);
  const end = async (finishedMs: number) => (await api.patch('/api/cooks/ahead').send({ finishedMs })).body.finishedMs;
  expect(await end(cook.startedMs - min)).toBe(cook.startedMs);
  expect(await end(both.wall + 300 * min)).toBeLessThanOrEqual(both.wall + 1000);
});
test('the system clock set by an hour during a cook moves neither its start nor its taps, and is told', async () => {
  await begin('moved');
  const began = (await api.get('/api/cooks/moved')).body.startedMs as number;
  both.wall += 60 * min;
  const { nowMs, movedMs } = (await api.get('/api/time')).body as { nowMs: number; movedMs: number };
  expect([nowMs, movedMs]).toEqual([began, 60 * min]);
  go(5 * min);
  expect((await tap('moved', { atMs: began + 5 * min })).body.events[0].atMs).toBe(began + 5 * min);
  for (const c of ['taps', 'moved']) await api.patch(`/api/cooks/${c}`).send({ finishedMs: began + 5 * min });
  expect((await api.get('/api/time')).body).toEqual({ nowMs: both.wall, movedMs: 0 });
});
test('after the end nothing happens any more, until the cook is taken up again; a tap of before may come late', async () => {
  const { startedMs } = await begin('over');
  go(20 * min);
  await api.patch('/api/cooks/over').send({ finishedMs: startedMs + 20 * min });
  go(5 * min);
  const refused = await tap('over', { atMs: startedMs + 24 * min });
  expect([refused.status, refused.body.code]).toEqual([409, 'cook-over']);
  expect((await tap('over', { atMs: startedMs + 19 * min })).status).toBe(200);
  expect((await api.patch('/api/cooks/over').send({ finishedMs: null })).body.finishedMs).toBeNull();
  expect((await tap('over', { atMs: startedMs + 24 * min })).status).toBe(200);
});
