import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import pino from 'pino';
import request from 'supertest';
import {
  actualOf,
  cookFormat,
  kitchenSchema,
  plan,
  type Cook,
  type CookEvent,
  type Dish,
  type EventKind,
  type Plan,
  summaryOf,
  type CookPage,
  type LogFile,
} from '@einkorn/core';
import { createApp } from '../src/app';
import log from '../src/demo/cloudberry.json';
import type { Evening } from '../src/demo/evening';
import { seedDemo } from '../src/demo/seed';
import { openStore, type Store } from '../src/store/connect';

const evening = (id: string) => (log.evenings as unknown as Evening[]).find((e) => e.id === id)!;

let folder: string;
let store: Store;
let api: ReturnType<typeof request>;

async function open(): Promise<void> {
  store = await openStore(folder);
  api = request(createApp(store, pino({ level: 'silent' })));
}

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-'));
  await open();
  await seedDemo(store);
});
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});

const dishes = async (): Promise<{ id: string; revision: number; dish: Dish }[]> => (await api.get('/api/dishes')).body;
const turkey = async () => (await dishes()).find((d) => d.id === 'turkey-leek-lemon')!;

describe('database', () => {
  test('is in WAL mode with foreign keys on', async () => {
    const [mode] = await store.sequelize.query('PRAGMA journal_mode');
    const [keys] = await store.sequelize.query('PRAGMA foreign_keys');
    expect([mode, keys]).toEqual([[{ journal_mode: 'wal' }], { foreign_keys: 1 }]);
  });
  test('the demo is put in once', async () => {
    expect(await seedDemo(store)).toBe(false);
    expect(await dishes()).toHaveLength(17);
  });
});

describe('shelf', () => {
  test('a saved dish survives closing the database, with its revision', async () => {
    const d = await turkey();
    const changed = { ...d.dish, title: 'Turkey and leek' };
    const saved = await api.put(`/api/dishes/${d.id}`).send({ dish: changed, revision: d.revision });
    expect(saved.body.revision).toBe(d.revision + 1);
    await store.sequelize.close();
    await open();
    expect((await turkey()).dish.title).toBe('Turkey and leek');
  });
  test('a change over an older revision is refused and changes nothing', async () => {
    const d = await turkey();
    const r = await api
      .put(`/api/dishes/${d.id}`)
      .send({ dish: { ...d.dish, title: 'Lost' }, revision: d.revision - 1 });
    expect([r.status, r.body.code, r.type]).toEqual([409, 'dish-changed', 'application/problem+json']);
    expect((await turkey()).dish.title).not.toBe('Lost');
  });
  test('a dish put away leaves the shelf, is found among those put away, and comes back unchanged', async () => {
    const d = await turkey();
    const put = (archived: unknown) => api.patch(`/api/dishes/${d.id}`).send({ archived });
    expect((await put(true)).status).toBe(200);
    expect((await dishes()).map((x) => x.id)).not.toContain(d.id);
    const away = (await api.get('/api/dishes?archived=true')).body as { id: string }[];
    expect(away.map((x) => x.id)).toEqual([d.id]);
    expect((await api.get(`/api/dishes/${d.id}`)).body).toEqual(d);
    expect((await put(false)).body).toEqual(d);
    expect(await turkey()).toEqual(d);
    expect((await put('yes')).status).toBe(400);
    expect((await api.patch('/api/dishes/nowhere').send({ archived: true })).status).toBe(404);
  });
  test('add, read and remove; a removed dish keeps its cooks in the log', async () => {
    const { dish } = await turkey();
    const made = await api.post('/api/dishes').send(dish);
    expect(made.status).toBe(201);
    const cook = await startCook(made.body.id);
    expect((await api.delete(`/api/dishes/${made.body.id}`)).status).toBe(204);
    expect((await api.get(`/api/dishes/${made.body.id}`)).status).toBe(404);
    expect((await api.get(`/api/cooks/${cook.id}`)).body.dishId).toBeNull();
  });
  test('a bad dish names the field and the way out', async () => {
    const { dish } = await turkey();
    const bad = { ...dish, ingredients: [{ ...dish.ingredients[0], food: 'rise-long' }] };
    const r = await api.post('/api/dishes').send(bad);
    expect([r.status, r.body.code, r.body.issues[0].path]).toEqual([400, 'food-unknown', 'ingredients.0.food']);
    expect(r.body.detail).toContain('rice-long');
  });
});

async function startCook(dishId: string): Promise<Cook> {
  const { dish } = await turkey();
  const cook: Cook = {
    format: cookFormat,
    id: `cook-${Math.round(performance.now() * 1000)}`,
    dishId,
    dish,
    plan: plan(dish),
    startedMs: Date.UTC(2026, 10, 20, 17),
    finishedMs: null,
    events: [],
    outcome: null,
  };
  const r = await api.post('/api/cooks').send(cook);
  expect(r.status).toBe(201);
  return r.body;
}

describe('cooks', () => {
  test('taps are kept in order, a repeated send once, and the outcome is found again', async () => {
    const cook = await startCook('turkey-leek-lemon');
    const at = cook.startedMs;
    const first = { id: `${cook.id}-a`, kind: 'done', stepId: 'lock', atMs: at + 60_000 };
    const second = { id: `${cook.id}-b`, kind: 'pin-up', atMs: at + 600_000 };
    await api.post(`/api/cooks/${cook.id}/events`).send({ events: [first] });
    await api.post(`/api/cooks/${cook.id}/events`).send({ events: [first, second] });
    await api
      .patch(`/api/cooks/${cook.id}`)
      .send({ finishedMs: at + 1_800_000, outcome: { ratings: { grain: 2 }, coreC: 86 } });
    const read: Cook = (await api.get(`/api/cooks/${cook.id}`)).body;
    expect(read.events).toEqual([
      { ...first, seq: 1 },
      { ...second, seq: 2 },
    ]);
    expect(read.outcome).toEqual({ ratings: { grain: 2 }, coreC: 86 });
    expect(actualOf(read).toPinMin).toBeCloseTo(9, 5);
  });
  test('a plan of another dish is refused with a sentence', async () => {
    const { dish } = await turkey();
    const cook = { ...(await startCook('turkey-leek-lemon')), id: 'mixed', dish: { ...dish, serves: dish.serves + 1 } };
    const r = await api.post('/api/cooks').send(cook);
    expect([r.status, r.body.code]).toEqual([400, 'plan-of-another-dish']);
    expect(r.body.detail).toContain('Plan the dish again');
  });
  test('starting the same cook twice is one cook', async () => {
    const cook = await startCook('turkey-leek-lemon');
    const page = async (): Promise<CookPage> => (await api.get('/api/cooks')).body;
    const before = await page();
    await api.post('/api/cooks').send(cook);
    expect(await page()).toEqual(before);
  });
  test('the log comes in pages of summaries, newest first, each cook once, and whole as one file', async () => {
    const all: CookPage = (await api.get('/api/cooks?limit=200')).body;
    expect(all.next).toBeNull();
    expect(all.cooks).toHaveLength(all.real + all.practised);
    const begun = all.cooks.map((c) => c.startedMs);
    expect(begun).toEqual([...begun].sort((a, b) => b - a));
    const paged: CookPage['cooks'] = [];
    for (let next: string | null = ''; next !== null;) {
      const page: CookPage = (await api.get('/api/cooks').query({ limit: 3, ...(next ? { after: next } : {}) })).body;
      expect(page.cooks.length).toBeLessThanOrEqual(3);
      paged.push(...page.cooks);
      next = page.next;
    }
    expect(paged).toEqual(all.cooks);
    const whole: Cook = (await api.get('/api/cooks/demo-cook-60')).body;
    expect(all.cooks.find((c) => c.id === whole.id)).toEqual(JSON.parse(JSON.stringify(summaryOf(whole))));
    const log: LogFile = (await api.get('/api/log')).body;
    expect(log.format).toBe('einkorn.log/1');
    expect(log.cooks.map((c) => c.id).sort()).toEqual(all.cooks.map((c) => c.id).sort());
    for (const query of ['limit=0', 'limit=many', 'after=yesterday', `after=${'9'.repeat(200)}`])
      expect([query, (await api.get(`/api/cooks?${query}`)).status]).toEqual([query, 400]);
  });
  test('the demo cooks came out as their evenings say: tapped at their minute, served on theirs', async () => {
    const cook: Cook = (await api.get('/api/cooks/demo-cook-60')).body;
    const actual = actualOf(cook);
    expect(actual.toPinMin).toBeCloseTo(evening('demo-cook-60').tapped.pinMin!, 2);
    expect(actual.servedMs).toBe(Date.parse('2026-11-14T19:03:00Z'));
  });
  test('the log is sorted, filtered and searched, by notes and by foods in both languages', async () => {
    const page = async (query: object): Promise<CookPage> =>
      (await api.get('/api/cooks').query({ limit: 200, practice: 'false', ...query })).body;
    const ids = async (query: object) => (await page(query)).cooks.map((c) => c.id);
    const grains = (await page({ sort: 'rating' })).cooks.map((c) => c.ratings.grain);
    expect(grains).toEqual([...grains].sort());
    const titles = (await page({ sort: 'title' })).cooks.map((c) => c.title);
    expect(titles).toEqual([...titles].sort());
    expect(await ids({ text: 'cut out' })).toEqual(['demo-cook-34']);
    expect(await ids({ outcome: 'trouble' })).toEqual(['demo-cook-34']);
    expect(await ids({ text: 'REMOLACHA' })).toEqual(await ids({ text: 'beetroot' }));
    expect(await ids({ text: '%' })).toHaveLength((await page({})).found);
    const softer = await page({ outcome: 'softer', potId: 'electric-5.7' });
    expect(softer.found).toBe(softer.cooks.length);
    expect(softer.cooks.every((c) => c.ratings.grain! > 2)).toBe(true);
    expect(await ids({ potId: 'electric-3' })).toEqual([]);
    expect((await page({ text: 'first try' })).cooks[0]).toMatchObject({ id: 'demo-cook-1', trouble: false });
    for (const query of ['sort=loudest', 'outcome=nice', 'practice=maybe', `text=${'x'.repeat(201)}`])
      expect([query, (await api.get(`/api/cooks?${query}`)).status]).toEqual([query, 400]);
  });
  test('a row of the log follows its cook: a rating, a note and a late tap are in it at once', async () => {
    const row = async () =>
      ((await api.get('/api/cooks').query({ text: 'nutmeg' })).body as CookPage).cooks.map((c) => [
        c.id,
        c.ratings.grain,
      ]);
    expect(await row()).toEqual([]);
    const cook: Cook = (await api.get('/api/cooks/demo-cook-5')).body;
    await api.patch('/api/cooks/demo-cook-5').send({ outcome: { ratings: { grain: 1 }, note: 'Nutmeg!' } });
    expect(await row()).toEqual([['demo-cook-5', 1]]);
    await api.patch('/api/cooks/demo-cook-5').send({ outcome: cook.outcome });
    expect(await row()).toEqual([]);
    await api
      .post('/api/cooks/demo-cook-5/events')
      .send({ events: [{ id: 'late', kind: 'burn', atMs: cook.startedMs + 1000 }] });
    const troubled: CookPage = (await api.get('/api/cooks').query({ outcome: 'trouble' })).body;
    expect(troubled.cooks.find((c) => c.id === 'demo-cook-5')).toMatchObject({ trouble: true });
  });
  test('an event comes back as it was sent, to its last field, with its place', async () => {
    const cook = await startCook('turkey-leek-lemon');
    const at = { atMs: cook.startedMs + 60_000, device: 'my-cooker' };
    const lockedAgain = { lid: 'first-heat', holdMin: 5.5, addMl: 60 };
    const sent: Record<EventKind, object> = {
      done: { stepId: 'finish-check' },
      'heat-on': {},
      hot: {},
      'pin-up': {},
      countdown: {},
      whistle: {},
      'valve-open': {},
      'pin-down': {},
      undone: { targetId: 'e-hot' },
      'hold-changed': { holdMin: 4.5 },
      burn: { text: 'smells' },
      'off-plan': { text: 'lid' },
      'probe-read': { coreC: 74.5 },
      'weight-read': { grams: 1840 },
      'gauge-read': { gaugeKpa: 71.2 },
      noted: { text: 'more salt' },
      'timer-started': { minutes: 7, name: 'eggs' },
      'timer-stopped': { timerId: 'e-timer-started' },
      'thermometer-skipped': {},
      rescued: { minutes: 4, text: 'scraped', lockedAgain },
    };
    const events = Object.entries(sent).map(([kind, own]) => ({ id: `e-${kind}`, kind, ...at, ...own }));
    const answer = await api.post(`/api/cooks/${cook.id}/events`).send({ events });
    const kept = events.map((e, i) => ({ ...e, seq: i + 1 }));
    expect(answer.body.events).toEqual(kept);
    expect(((await api.get(`/api/cooks/${cook.id}`)).body as Cook).events).toEqual(kept);
  });
  test('ids are of their own cook, and a batch that is sent again keeps its places', async () => {
    const [a, b] = [await startCook('turkey-leek-lemon'), await startCook('turkey-leek-lemon')];
    const tap = (id: string, cook: Cook) => ({ id, kind: 'whistle', atMs: cook.startedMs });
    await api.post(`/api/cooks/${a.id}/events`).send({ events: [tap('x', a), tap('y', a)] });
    await api.post(`/api/cooks/${b.id}/events`).send({ events: [tap('x', b)] });
    const again = await api.post(`/api/cooks/${a.id}/events`).send({ events: [tap('y', a), tap('z', a), tap('x', a)] });
    expect((again.body.events as CookEvent[]).map((e) => [e.id, e.seq])).toEqual([
      ['y', 2],
      ['z', 3],
      ['x', 1],
    ]);
    expect(((await api.get(`/api/cooks/${b.id}`)).body as Cook).events).toHaveLength(1);
  });
  test('a tap in the words of version 1 is kept as today, and its undo names what it took back', async () => {
    const cook = await startCook('turkey-leek-lemon');
    const at = cook.startedMs;
    await api.post(`/api/cooks/${cook.id}/events`).send({
      events: [
        { id: 'l', kind: 'done', step: 'lock', atMs: at },
        { id: 'p', kind: 'pin-up', atMs: at + 1 },
      ],
    });
    const r = await api
      .post(`/api/cooks/${cook.id}/events`)
      .send({ events: [{ id: 'u', kind: 'undo', atMs: at + 2 }] });
    expect(r.body.events).toEqual([{ id: 'u', kind: 'undone', targetId: 'p', atMs: at + 2, seq: 3 }]);
  });
  test('events of a cook that is not there are a 404, an unknown kind a 400', async () => {
    const event = { id: 'x', kind: 'pin-up', atMs: 1 };
    expect((await api.post('/api/cooks/none/events').send({ events: [event] })).status).toBe(404);
    expect((await api.post('/api/cooks/none/events').send({ events: [{ ...event, kind: 'boom' }] })).status).toBe(400);
  });
});

describe('kitchen and plan', () => {
  test('the kitchen is kept; a pot that is not there is refused', async () => {
    await api.put('/api/kitchen').send({ potId: 'electric-8', altitudeM: 300 });
    expect((await api.get('/api/kitchen')).body).toMatchObject({ potId: 'electric-8', altitudeM: 300 });
    const r = await api.put('/api/kitchen').send({ potId: 'kettle' });
    expect([r.status, r.body.issues[0].path]).toEqual([400, 'potId']);
    await api.put('/api/kitchen').send({ potId: 'electric-5.7', altitudeM: 1180 });
  });
  test('a kitchen that is in use begins once; nothing of it is thrown away, and no screen makes it new again', async () => {
    const before = ((await api.get('/api/dishes')).body as unknown[]).length;
    expect((await api.get('/api/kitchen')).body.isNew).toBe(true);
    await api.post('/api/kitchen/begin').send({ demo: true }).expect(200);
    await api.put('/api/kitchen').send({ potId: 'electric-5.7', altitudeM: 1180, isNew: true });
    expect((await api.get('/api/kitchen')).body.isNew).toBeUndefined();
    const r = await api.post('/api/kitchen/begin').send({ demo: false });
    expect([r.status, r.body.code]).toEqual([409, 'kitchen-begun']);
    await api.post('/api/kitchen/begin').send({ demo: 'yes' }).expect(400);
    expect((await api.get('/api/dishes')).body).toHaveLength(before);
  });
  test('what the log teaches is kept in the kitchen, no screen can overwrite it, and the next plan says so', async () => {
    const { body: kitchen } = await api.post('/api/kitchen/learn');
    expect(kitchen.learned.cooks.used).toBeGreaterThanOrEqual(8);
    expect(kitchen.learned.pots['electric-5.7'].heat).toMatchObject({ priorSd: 0.15 });
    await api.put('/api/kitchen').send({ ...kitchen, learned: undefined, altitudeM: 1180 });
    expect((await api.get('/api/kitchen')).body.learned).toEqual(kitchen.learned);
    const { dish } = await turkey();
    const own: Plan = (await api.post('/api/plan').send({ dish, kitchen })).body;
    expect(own.learned!.moved.map((m) => m.parameter)).toContain('heat');
    const factory: Plan = (await api.post('/api/plan').send({ dish, kitchen: { ...kitchen, learning: false } })).body;
    expect(factory.learned).toBeUndefined();
    expect(own.program.pinUpMin).toBeGreaterThan(factory.program.pinUpMin);
  });
  test('POST /api/plan gives the plan of the core', async () => {
    const { dish } = await turkey();
    const r = await api.post('/api/plan').send({ dish, kitchen: { altitudeM: 1180 } });
    const body: Plan = r.body;
    expect(body).toEqual(JSON.parse(JSON.stringify(plan(dish, kitchenSchema.parse({ altitudeM: 1180 })))));
  });
  test('evaluate without numbers, broken JSON, wrong version, unknown route: a sentence, never a 500', async () => {
    const { dish } = await turkey();
    const answers = await Promise.all([
      api.post('/api/plan').send({ dish, mode: 'evaluate' }),
      api.post('/api/plan').set('Content-Type', 'application/json').send('{"dish": '),
      api.post('/api/plan').send({ dish: { ...dish, format: 'einkorn.dish/9' } }),
      api.post('/api/plan').send({ dish, mode: 'guess' }),
      api.get('/api/nothing'),
      api
        .post('/api/plan')
        .set('Content-Type', 'application/json')
        .send(`"${'x'.repeat(3_000_000)}"`),
      api.get('/api/dishes/%E0%A4%A'),
    ]);
    expect(answers.map((a) => a.status)).toEqual([400, 400, 400, 400, 404, 413, 400]);
    expect(
      answers.every(
        (a) => a.type === 'application/problem+json' && a.body.detail.length > 10 && !/\\n\s+at /.test(a.text),
      ),
    ).toBe(true);
  });
  test('an id of control characters, in a body or in a path, is bad input', async () => {
    const event = { id: '\u0000', kind: 'noted', text: 'x', atMs: 1 };
    expect((await api.post('/api/cooks/demo-cook-1/events').send({ events: [event] })).status).toBe(400);
    for (const path of [
      'cooks/%00',
      'dishes/%00',
      'cooks/%00/debrief',
      'dishes/%00/last-cook',
      'set-aside/%00',
      'snapshots/%00',
    ])
      expect((await api.get(`/api/${path}`)).status).toBeLessThan(500);
    for (const path of ['cooks/%00', 'dishes/%00', 'keys/%00'])
      expect((await api.delete(`/api/${path}`)).status).toBeLessThan(500);
  });
  test('any JSON body is answered below 500', async () => {
    const routes = ['/api/plan', '/api/recipe', '/api/dishes', '/api/cooks', '/api/cooks/demo-cook-1/events'];
    const statuses: number[] = [];
    await fc.assert(
      fc.asyncProperty(fc.jsonValue(), fc.constantFrom(...routes), async (x, route) => {
        const r = await api.post(route).set('Content-Type', 'application/json').send(JSON.stringify(x));
        statuses.push(r.status);
      }),
      { numRuns: 60 },
    );
    expect(statuses.filter((s) => s >= 500)).toEqual([]);
  });
});
