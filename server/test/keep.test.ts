import {
  appendFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import pino from 'pino';
import request from 'supertest';
import { createApp } from '../src/app';
import { seedDemo } from '../src/demo/seed';
import { examine } from '../src/keep/doctor';
import { databaseIn, lookAt, snapshotsIn } from '../src/keep/folder';
import { healthOf } from '../src/keep/health';
import { lookThrough } from '../src/keep/keeper';
import { holderOf, takeFolder } from '../src/keep/lock';
import { restoreSnapshot } from '../src/keep/restore';
import { dayMs, keptOf, snapshotsOf, takeSnapshot } from '../src/keep/snapshots';
import { openStore, type Store } from '../src/store/connect';
import { unreadable } from '../src/store/set-aside';

/* What keeps ten years of cooking: snapshots, restoring them, and refusing what cannot be trusted, in plain words. */
// The demo is sixty cooks, planned anew.
jest.setTimeout(60_000);

let folder: string;
const opened: Store[] = [];
const open = async (): Promise<Store> => {
  const store = await openStore(folder);
  opened.push(store);
  return store;
};
const close = async (): Promise<void> => {
  for (const store of opened.splice(0)) await store.sequelize.close();
};
const titles = async (store: Store): Promise<string[]> =>
  (await store.models.Dishes.findAll()).map((d) => (d.doc as { title: string }).title).sort();
const apiOf = (store: Store) => request(createApp(store, pino({ level: 'silent' })));

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-'));
});
afterEach(async () => {
  await close();
  rmSync(folder, { recursive: true, force: true });
});

const plainRice = {
  format: 'einkorn.dish/1',
  title: 'Only rice',
  family: 'plain-grain',
  serves: 2,
  ingredients: [{ id: 'rice', food: 'rice-long', amount: { value: 200, unit: 'g' } }],
};

describe('snapshots', () => {
  test('one taken while dishes are written is whole; restored, it brings back what was there, and what was after it is set aside', async () => {
    const store = await open();
    await seedDemo(store);
    const before = await titles(store);
    const writing = Array.from({ length: 20 }, () => apiOf(store).post('/api/dishes').send(plainRice));
    const [taken] = await Promise.all([apiOf(store).post('/api/snapshots'), ...writing]);
    expect(taken.status).toBe(201);
    const after = await titles(store);
    expect(after.length).toBe(before.length + 20);
    await close();
    const aside = await restoreSnapshot(folder, taken.body.name as string);
    expect(aside).toContain('.before-');
    const again = await open();
    const back = await titles(again);
    expect(back.filter((t) => t !== 'Only rice')).toEqual(before);
    expect(back.length).toBeLessThanOrEqual(after.length);
    // The demo is not put in again, and the whole log is there.
    expect(await seedDemo(again)).toBe(false);
    expect((await apiOf(again).get('/api/cooks')).body.found).toBe(60);
    expect(readdirSync(folder)).toContain(aside!.split('/').at(-1));
  });

  test('is listed newest first, downloaded as a database, and a name that is none is answered 404', async () => {
    const store = await open();
    await takeSnapshot(folder, { why: 'daily', nowMs: Date.parse('2026-11-01T08:00:00Z') });
    await takeSnapshot(folder, { why: 'asked', nowMs: Date.parse('2026-11-20T08:00:00Z') });
    const list = (await apiOf(store).get('/api/snapshots')).body as { name: string; why: string; atMs: number }[];
    expect(list.map((s) => [s.why, s.atMs])).toEqual([
      ['asked', Date.parse('2026-11-20T08:00:00Z')],
      ['daily', Date.parse('2026-11-01T08:00:00Z')],
    ]);
    const file = await apiOf(store)
      .get(`/api/snapshots/${list[0]!.name}`)
      .buffer()
      .parse((res, done) => {
        const parts: Buffer[] = [];
        res.on('data', (d: Buffer) => parts.push(d));
        res.on('end', () => done(null, Buffer.concat(parts)));
      });
    expect((file.body as Buffer).subarray(0, 15).toString()).toBe('SQLite format 3');
    for (const name of ['x.sqlite', '..%2Feinkorn.sqlite', '2020-01-01T00-00-00Z-daily.sqlite']) {
      const missing = await apiOf(store).get(`/api/snapshots/${name}`);
      expect([missing.status, missing.body.code]).toEqual([404, 'snapshot-missing']);
    }
  });

  test('of a year of daily ones stay seven days, four weeks and twelve months, whatever the day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), (offset) => {
        const end = Date.parse('2026-06-15T20:00:00Z') + offset * dayMs;
        // Rotated every evening, as it happens; not all at once.
        let held: { name: string; atMs: number }[] = [];
        for (let day = 420; day >= 0; day--) {
          const atMs = end - day * dayMs;
          held = [...held, { name: String(atMs), atMs }];
          const kept = keptOf(held);
          held = held.filter((s) => kept.has(s.name));
        }
        const ages = held.map((s) => Math.round((end - s.atMs) / dayMs)).sort((a, b) => a - b);
        expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
        expect(held.length).toBeLessThanOrEqual(7 + 4 + 12);
        expect(new Set(held.map((s) => new Date(s.atMs).toISOString().slice(0, 7))).size).toBe(12);
        expect(ages.filter((a) => a <= 28).length).toBeGreaterThanOrEqual(9);
      }),
      { numRuns: 25 },
    );
  });

  test('of several on one day the newest five stay: the one before an update outlives that evening', () => {
    const at = (h: number): { name: string; atMs: number } => ({
      name: `h${h}`,
      atMs: Date.parse('2026-11-29T10:00:00Z') + h * 3_600_000,
    });
    expect([...keptOf([0, 1, 2, 3, 4, 5, 6].map(at))].sort()).toEqual(['h2', 'h3', 'h4', 'h5', 'h6']);
  });

  test('is taken before the tables of an older database change', async () => {
    const store = await open();
    await store.sequelize.query("DELETE FROM SequelizeMeta WHERE name LIKE '007%'");
    await store.sequelize.query('DROP TABLE log_rows');
    await close();
    await open();
    expect(snapshotsOf(folder).map((s) => s.why)).toEqual(['migration']);
  });
});

describe('a folder that cannot be trusted is refused with its path and the way out', () => {
  const filled = async (): Promise<string> => {
    const store = await open();
    await seedDemo(store);
    const { name } = await takeSnapshot(folder, { why: 'daily' });
    await close();
    return name;
  };
  const refusal = async (): Promise<{ code: string; message: string }> =>
    open().then(
      () => ({ code: 'opened', message: '' }),
      (e: unknown) => e as { code: string; message: string },
    );

  test('a database that is gone is not replaced by the demo', async () => {
    const name = await filled();
    rmSync(databaseIn(folder));
    const { code, message } = await refusal();
    expect(code).toBe('missing');
    expect(message).toContain(databaseIn(folder));
    expect(message).toContain(`npm run restore -- ${name}`);
    await restoreSnapshot(folder, name);
    expect((await titles(await open())).length).toBeGreaterThan(10);
  });
  test('one that was overwritten, cut in the middle, or broken inside is damaged', async () => {
    const name = await filled();
    const whole = readFileSync(databaseIn(folder));
    const harms = [
      () => writeFileSync(databaseIn(folder), 'not a database'.repeat(100)),
      () => truncateSync(databaseIn(folder), 50),
      () => truncateSync(databaseIn(folder), Math.floor(whole.length / 2)),
      () =>
        writeFileSync(
          databaseIn(folder),
          Buffer.concat([whole.subarray(0, 8192), Buffer.alloc(whole.length - 8192, 7)]),
        ),
    ];
    for (const harm of harms) {
      writeFileSync(databaseIn(folder), whole);
      harm();
      const { code, message } = await refusal();
      expect([code, message.includes(name)]).toEqual(['damaged', true]);
    }
  });
  test('one of a newer server is left alone', async () => {
    const store = await open();
    await store.sequelize.query("INSERT INTO SequelizeMeta (name) VALUES ('999-later')");
    await close();
    expect(await refusal()).toMatchObject({ code: 'newer', message: expect.stringContaining('999-later') });
  });
  test('a damaged snapshot is not put in place, and the database stays', async () => {
    const name = await filled();
    const before = readFileSync(databaseIn(folder));
    truncateSync(join(snapshotsIn(folder), name), 3000);
    await expect(restoreSnapshot(folder, name)).rejects.toMatchObject({ code: 'damaged' });
    expect(readFileSync(databaseIn(folder)).equals(before)).toBe(true);
    await expect(restoreSnapshot(folder, '../../etc/passwd')).rejects.toMatchObject({ code: 'missing' });
  });
  test('what a killed server had written only beside the file is in the file again, so that a plain copy is whole', async () => {
    const store = await open();
    await apiOf(store).post('/api/dishes').send(plainRice);
    // A kill leaves file and log as they are: copied here while both are open.
    const killed = mkdtempSync(join(tmpdir(), 'einkorn-'));
    for (const end of ['', '-wal']) writeFileSync(databaseIn(killed) + end, readFileSync(databaseIn(folder) + end));
    await close();
    const again = await openStore(killed);
    const alone = mkdtempSync(join(tmpdir(), 'einkorn-'));
    writeFileSync(databaseIn(alone), readFileSync(databaseIn(killed)));
    const copied = await openStore(alone);
    expect(await titles(copied)).toEqual(['Only rice']);
    await Promise.all([again.sequelize.close(), copied.sequelize.close()]);
    for (const f of [killed, alone]) rmSync(f, { recursive: true, force: true });
  });
  test('an empty file of a first second that was cut short is a fresh folder', () => {
    writeFileSync(databaseIn(folder), '');
    expect(lookAt(folder)).toEqual({ fresh: true });
  });
});

describe('one folder, one server', () => {
  test('a second one is refused with the address of the first; what a killed one left is taken over', () => {
    // The parent of this test is a process that lives.
    writeFileSync(join(folder, 'einkorn.lock'), JSON.stringify({ pid: process.ppid, url: 'http://localhost:4280' }));
    expect(holderOf(folder)).toMatchObject({ url: 'http://localhost:4280' });
    expect(() => takeFolder(folder, 'http://localhost:4281')).toThrow(/http:\/\/localhost:4280/);
    writeFileSync(join(folder, 'einkorn.lock'), JSON.stringify({ pid: 2 ** 22 + 1, url: 'http://localhost:4280' }));
    const giveBack = takeFolder(folder, 'http://localhost:4281');
    giveBack();
    expect(readdirSync(folder)).not.toContain('einkorn.lock');
    writeFileSync(join(folder, 'einkorn.lock'), 'half a wri');
    expect(holderOf(folder)).toBeNull();
  });
  test('nothing is restored under a running server', async () => {
    await open();
    const { name } = await takeSnapshot(folder, { why: 'asked' });
    writeFileSync(join(folder, 'einkorn.lock'), JSON.stringify({ pid: process.ppid, url: 'http://localhost:4280' }));
    await expect(restoreSnapshot(folder, name)).rejects.toMatchObject({ code: 'in-use' });
  });
});

describe('health', () => {
  test('tells version, schema, database, disk and the last snapshot, and answers 503 when it is not well', async () => {
    const store = await open();
    const well = await apiOf(store).get('/api/health');
    expect(well.status).toBe(200);
    expect(well.body).toMatchObject({ ok: true, database: { ok: true }, disk: { ok: true }, lastSnapshot: null });
    expect(well.body.schema).toMatch(/^\d{3}-/);
    await takeSnapshot(folder, { why: 'daily', nowMs: Date.now() - 5 * dayMs });
    const late = await apiOf(store).get('/api/health');
    expect([late.status, late.body.lastSnapshot.ok]).toEqual([503, false]);
    await takeSnapshot(folder, { why: 'daily' });
    expect((await apiOf(store).get('/api/health')).status).toBe(200);
    const startedMs = Date.now();
    await store.sequelize.close();
    opened.length = 0;
    expect(await healthOf(store, { version: '1', startedMs })).toMatchObject({ ok: false, database: { ok: false } });
  });
});

test('the doctor says what is wrong and what to do, and changes nothing', async () => {
  const wrong = async (nowMs?: number): Promise<string[]> =>
    (await examine(folder, nowMs)).filter((f) => !f.ok).map((f) => f.text);
  expect(await examine(join(folder, 'none'))).toEqual([{ ok: true, text: expect.stringContaining('does not exist') }]);
  await open();
  await takeSnapshot(folder, { why: 'daily' });
  await close();
  expect(await wrong()).toEqual([]);
  expect(await wrong(Date.now() + 9 * dayMs)).toEqual([expect.stringContaining('9 days old')]);
  expect(await wrong(Date.parse('1970-01-02'))).toEqual([expect.stringContaining('set the time')]);
  const [newest] = snapshotsOf(folder);
  truncateSync(join(snapshotsIn(folder), newest!.name), 2000);
  appendFileSync(databaseIn(folder), '');
  expect(await wrong()).toEqual([expect.stringContaining(newest!.name)]);
  mkdirSync(join(folder, 'other'), { recursive: true });
  writeFileSync(databaseIn(folder), 'x'.repeat(4096));
  expect((await wrong())[0]).toContain('not a database any more');
});

describe('a record that cannot be read', () => {
  const apiOf = (store: Store) => request(createApp(store, pino({ level: 'silent' })));

  test('is set aside with what it was; everything else is there, and the server starts', async () => {
    const first = await open();
    await seedDemo(first);
    const shelf = await titles(first);
    const [dish, other] = await first.models.Dishes.findAll({ order: [['id', 'ASC']], limit: 2 });
    const cook = await first.models.Cooks.findOne();
    const cooks = await first.models.Cooks.count();
    const breaks = [
      [`UPDATE dishes SET doc = '{ "title": ' WHERE id = :id`, dish!.id],
      [`UPDATE dishes SET doc = '{"title":"no dish"}' WHERE id = :id`, other!.id],
      [`UPDATE cooks SET plan = 'cut o' WHERE id = :id`, cook!.id],
      [`UPDATE settings SET doc = '{"altitudeM":"high"}' WHERE "key" = :id`, 'kitchen'],
    ] as const;
    await first.models.Settings.upsert({ key: 'kitchen', doc: {} });
    for (const [sql, id] of breaks) await first.sequelize.query(sql, { replacements: { id } });
    await close();

    const again = await open();
    expect(again.setAside).toBe(4);
    expect(await titles(again)).toHaveLength(shelf.length - 2);
    expect(await again.models.Cooks.count()).toBe(cooks - 1);
    const api = apiOf(again);
    expect((await api.get('/api/kitchen').set('Host', 'localhost')).body.altitudeM).toBe(0);
    const { body } = await api.get('/api/set-aside').set('Host', 'localhost');
    const whys = (body as { kind: string; why: string }[]).map((r) => `${r.kind} ${r.why}`).sort();
    expect(whys).toEqual(['cooks no-json', 'dishes no-dish', 'dishes no-json', 'settings no-kitchen']);
    const ofCook = (body as { id: number; kind: string }[]).find((r) => r.kind === 'cooks')!;
    const text = await api.get(`/api/set-aside/${ofCook.id}`).set('Host', 'localhost');
    expect(text.headers['content-disposition']).toContain('attachment');
    expect(text.body).toMatchObject({ kind: 'cooks', record: { id: cook!.id, plan: 'cut o' } });
    expect((text.body as { events: unknown[] }).events.length).toBeGreaterThan(0);
    await close();
    // Once is enough: nothing is looked at twice, and nothing more is taken out.
    expect((await open()).setAside).toBe(0);
  });

  test('a cook whose plan is none is set aside when it is asked for, or beside the work; the other open cook is there', async () => {
    const store = await open();
    await seedDemo(store);
    const [one, running, other] = await store.models.Cooks.findAll({ order: [['id', 'ASC']], limit: 3 });
    for (const c of [running!, other!]) await c.update({ finishedMs: null, practice: null });
    for (const c of [one!, running!])
      await store.sequelize.query(`UPDATE cooks SET plan = '{"steps":[]}' WHERE id = :id`, {
        replacements: { id: c.id },
      });
    const api = apiOf(store);
    const left = await api.get('/api/cooks?running=true').set('Host', 'localhost');
    expect((left.body as { id: string }[]).map((c) => c.id)).toEqual([other!.id]);
    expect(await lookThrough(store, pino({ level: 'silent' }))).toBe(1);
    expect((await api.get(`/api/cooks/${one!.id}`).set('Host', 'localhost')).status).toBe(404);
    const { body } = await api.get('/api/set-aside').set('Host', 'localhost');
    expect((body as { key: string; why: string }[]).map((r) => `${r.key} ${r.why}`).sort()).toEqual(
      [one!, running!].map((c) => `${c.id} no-cook`).sort(),
    );
  });

  test('an old one is found beside the work, not before the start', async () => {
    const store = await open();
    await seedDemo(store);
    const oldest = await store.models.Cooks.findOne({ order: [['startedMs', 'ASC']] });
    await store.sequelize.query(`UPDATE cooks SET plan = 'cut o' WHERE id = :id`, { replacements: { id: oldest!.id } });
    expect(await unreadable(store.sequelize, { newest: 59 })).toEqual([]);
    expect(await unreadable(store.sequelize)).toEqual([{ kind: 'cooks', key: oldest!.id, why: 'no-json' }]);
    expect(await lookThrough(store, pino({ level: 'silent' }))).toBe(1);
    expect(await store.models.Cooks.count()).toBe(59);
    expect(await lookThrough(store, pino({ level: 'silent' }))).toBe(0);
  });
});
