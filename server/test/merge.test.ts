import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { createApp } from '../src/app';
import { seedDemo } from '../src/demo/seed';
import { openStore, type Store } from '../src/store/connect';

/* Two screens that change the same thing: what differs is merged, what collides is asked. */
let folder: string;
let store: Store;
let api: ReturnType<typeof request>;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-merge-'));
  store = await openStore(folder);
  await seedDemo(store);
  api = request(createApp(store, pino({ level: 'silent' })));
});
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});

test('settings: other fields of two screens are both kept, the same field is a question, sent twice it is none', async () => {
  await api.patch('/api/kitchen').send({ had: { altitudeM: 1180 }, wanted: { altitudeM: 800 } });
  const other = await api.patch('/api/kitchen').send({ had: { units: 'metric' }, wanted: { units: 'cups' } });
  expect(other.body).toMatchObject({ altitudeM: 800, units: 'cups' });
  const late = await api
    .patch('/api/kitchen')
    .send({ had: { altitudeM: 1180 }, wanted: { altitudeM: 1200, theme: 'dark' } });
  expect([late.status, late.body.code, late.body.issues[0].path]).toEqual([409, 'kitchen-changed', 'altitudeM']);
  const held = (await api.get('/api/kitchen')).body;
  expect(held.altitudeM).toBe(800);
  expect(held.theme).not.toBe('dark');
  const again = await api.patch('/api/kitchen').send({ had: { units: 'metric' }, wanted: { units: 'cups' } });
  expect(again.status).toBe(200);
});
test('settings that are none are refused with their field, and what the log taught is no screen’s', async () => {
  const bad = await api.patch('/api/kitchen').send({ had: { altitudeM: 800 }, wanted: { altitudeM: 99_999 } });
  expect([bad.status, bad.body.issues[0].path]).toEqual([400, 'altitudeM']);
  const { learned } = (await api.get('/api/kitchen')).body;
  await api.patch('/api/kitchen').send({ had: { learned }, wanted: { learned: null } });
  expect((await api.get('/api/kitchen')).body.learned).toEqual(learned);
});
test('ratings: the grain of one screen and the note of another are both kept; the same rating twice is a question', async () => {
  const { cooks } = (await api.get('/api/cooks?limit=1')).body;
  const path = `/api/cooks/${cooks[0].id}`;
  await api.patch(path).send({ outcome: { ratings: { grain: 1 } } });
  const had = { ratings: { grain: 1 } };
  await api.patch(path).send({ had, outcome: { ratings: { grain: 2 } } });
  const noted = await api.patch(path).send({ had, outcome: { ratings: { grain: 1 }, note: 'more lemon' } });
  expect(noted.body.outcome).toEqual({ ratings: { grain: 2 }, note: 'more lemon' });
  const other = await api.patch(path).send({ had, outcome: { ratings: { grain: 3 } } });
  expect([other.status, other.body.issues[0].path]).toEqual([409, 'ratings.grain']);
});
test('a save whose answer was lost is no conflict with oneself', async () => {
  const [stored] = (await api.get('/api/dishes')).body;
  const dish = { ...stored.dish, title: 'Lost answer' };
  const body = { dish, revision: stored.revision };
  const first = await api.put(`/api/dishes/${stored.id}`).send(body);
  const again = await api.put(`/api/dishes/${stored.id}`).send(body);
  expect([again.status, again.body.revision]).toEqual([200, first.body.revision]);
  const other = await api.put(`/api/dishes/${stored.id}`).send({ ...body, dish: { ...dish, title: 'Another' } });
  expect(other.body.code).toBe('dish-changed');
});
test('a tap with the id of another is refused; the same one sent again, corrected or not, is kept once', async () => {
  const { cooks } = (await api.get('/api/cooks?limit=1')).body;
  const { startedMs } = (await api.get(`/api/cooks/${cooks[0].id}`)).body;
  const path = `/api/cooks/${cooks[0].id}/events`;
  const tap = { id: 'one', kind: 'noted', text: 'salt', atMs: startedMs - 5000 };
  const send = (event: object) => api.post(path).send({ events: [event] });
  const [first, again] = [await send(tap), await send(tap)];
  expect(again.body).toEqual(first.body);
  const other = await send({ ...tap, text: 'pepper' });
  expect([other.status, other.body.code]).toEqual([409, 'tap-id-taken']);
});
test('a double tap starts one cook; its id with another dish is refused', async () => {
  const { cooks } = (await api.get('/api/cooks?limit=1')).body;
  const cook = { ...(await api.get(`/api/cooks/${cooks[0].id}`)).body, id: 'twice', finishedMs: null, outcome: null };
  const [a, b] = await Promise.all([api.post('/api/cooks').send(cook), api.post('/api/cooks').send(cook)]);
  expect([a.status, b.status]).toEqual([201, 201]);
  expect((await api.get('/api/cooks?running=true')).body.filter((c: { id: string }) => c.id === 'twice')).toHaveLength(
    1,
  );
  const [dish] = (await api.get('/api/dishes')).body.filter(
    (d: { dish: { title: string } }) => d.dish.title !== cook.dish.title,
  );
  const { body: plan } = await api.post('/api/plan').send({ dish: dish.dish });
  const other = await api.post('/api/cooks').send({ ...cook, dish: dish.dish, plan });
  expect([other.status, other.body.code]).toEqual([409, 'id-taken']);
});
