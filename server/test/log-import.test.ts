import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { actualOf, logCsv, type Cook, type LogFile } from '@einkorn/core';
import { createApp } from '../src/app';
import { seedDemo } from '../src/demo/seed';
import { openStore, type Store } from '../src/store/connect';

const stores: { store: Store; folder: string }[] = [];
async function kitchen(demo: boolean) {
  const folder = mkdtempSync(join(tmpdir(), 'einkorn-log-'));
  const store = await openStore(folder);
  stores.push({ store, folder });
  if (demo) await seedDemo(store);
  return request(createApp(store, pino({ level: 'silent' })));
}
afterAll(async () => {
  for (const { store, folder } of stores) {
    await store.sequelize.close();
    rmSync(folder, { recursive: true, force: true });
  }
});
const countOf = async (api: ReturnType<typeof request>): Promise<number> => (await api.get('/api/cooks')).body.real;

test('a whole log goes out and comes back the same, into an empty kitchen; a second time nothing is new', async () => {
  const api = await kitchen(true);
  const log: LogFile = (await api.get('/api/log')).body;
  const empty = await kitchen(false);
  const sent = await empty.post('/api/log').send(log);
  expect(sent.body).toEqual({ added: 60, already: 0, newDishes: 17, leftOut: [] });
  const back: LogFile = (await empty.get('/api/log')).body;
  expect(back.cooks).toEqual(log.cooks);
  expect(back.dishes).toEqual(log.dishes);
  expect((await empty.post('/api/log').send(log)).body).toEqual({ added: 0, already: 60, newDishes: 0, leftOut: [] });
});

test('a cook by itself comes back; where its dish is gone it keeps its own copy', async () => {
  const api = await kitchen(true);
  const cook: Cook = (await api.get('/api/cooks/demo-cook-3')).body;
  const empty = await kitchen(false);
  expect((await empty.post('/api/log').send(cook)).body).toMatchObject({ added: 1, newDishes: 0 });
  expect((await empty.get('/api/cooks/demo-cook-3')).body).toEqual({ ...cook, dishId: null });
});

test('a cook that cannot be read stays out with its place, the others come in', async () => {
  const api = await kitchen(true);
  const log: LogFile = (await api.get('/api/log')).body;
  const [first, second] = log.cooks as [Cook, Cook];
  const broken = { ...first, id: 'broken', startedMs: 'yesterday' };
  const { body } = await api.post('/api/log').send({ ...log, cooks: [broken, { ...second, id: 'fresh' }] });
  expect(body).toMatchObject({ added: 1, already: 0, leftOut: [{ at: 'cooks.0' }] });
  expect(body.leftOut[0].message).toMatch(/startedMs/);
});

test('a table goes out and comes back as cooks with the same minutes and ratings', async () => {
  const api = await kitchen(true);
  const log: LogFile = (await api.get('/api/log')).body;
  const some = log.cooks.slice(0, 5);
  const other = await kitchen(true);
  const before = await countOf(other);
  const sent = await other.post('/api/log').send({ csv: logCsv(some) });
  expect(sent.body).toEqual({ added: 5, already: 0, newDishes: 0, leftOut: [] });
  expect(await countOf(other)).toBe(before + 5);
  const there: LogFile = (await other.get('/api/log')).body;
  for (const c of some) {
    const noted = there.cooks.find((x) => x.id.startsWith('noted-') && Math.abs(x.startedMs - c.startedMs) < 60_000)!;
    expect(noted.outcome!.ratings).toEqual(c.outcome!.ratings);
    expect(noted.plan.program.holdMin).toBe(c.plan.program.holdMin);
    const [was, is] = [actualOf(c), actualOf(noted)];
    if (was.toPinMin !== null) expect(is.toPinMin).toBeCloseTo(was.toPinMin, 1);
    if (was.releaseMin !== null && was.toPinMin !== null) expect(is.releaseMin).toBeCloseTo(was.releaseMin, 0);
  }
  expect((await other.post('/api/log').send({ csv: logCsv(some) })).body).toMatchObject({ added: 0, already: 5 });
});

test('a notebook’s cook is planned on its dish; one of an unknown dish is told of', async () => {
  const api = await kitchen(true);
  const noted = [
    {
      startedMs: Date.UTC(2025, 11, 24, 17),
      dish: 'plain rinsed Long-grain',
      toPinMin: 9.5,
      ratings: { grain: 3 },
      note: 'Christmas',
    },
    { startedMs: Date.UTC(2025, 11, 25, 17), dish: 'Unicorn stew' },
    { startedMs: Date.UTC(2025, 11, 26, 17), dish: 'Plain rinsed long-grain', potId: 'nopot' },
  ];
  const { body } = await api.post('/api/log').send({ noted });
  expect(body.added).toBe(1);
  expect(body.leftOut.map((l: { at: string }) => l.at)).toEqual(['row 2', 'row 3']);
  const page = (await api.get('/api/cooks').query({ text: 'christmas' })).body;
  expect(page.cooks[0]).toMatchObject({ actual: { toPinMin: 9.5 }, ratings: { grain: 3 } });
});

test.each([
  [{ csv: 'a,b\n1,2' }, 'table-invalid'],
  [{ csv: 7 }, 'request-invalid'],
  [{ noted: [] }, 'request-invalid'],
  [{ noted: [{ dish: 'x', startedMs: -1 }] }, 'request-invalid'],
  [{ format: 'einkorn.dish/1' }, 'log-invalid'],
  [{}, 'log-invalid'],
])('bad input %j is refused with its reason', async (body, code) => {
  const api = await kitchen(false);
  const sent = await api.post('/api/log').send(body);
  expect([sent.status, sent.body.code]).toEqual([400, code]);
});

test('rows of a table that cannot be read, and practice, stay out with their line', async () => {
  const api = await kitchen(true);
  const csv = [
    'startedAt,dish,toPinMin,grain,practice',
    '2026-01-02T18:00:00Z,Plain rinsed long-grain,9,2,',
    'soon,Plain rinsed long-grain,9,2,',
    '2026-01-03T18:00:00Z,Plain rinsed long-grain,9,9,',
    '2026-01-04T18:00:00Z,Plain rinsed long-grain,9,2,yes',
  ].join('\n');
  const { body } = await api.post('/api/log').send({ csv });
  expect(body.added).toBe(1);
  expect(body.leftOut.map((l: { at: string }) => l.at)).toEqual(['line 3', 'line 4', 'line 5']);
});
