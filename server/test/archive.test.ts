import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import pino from 'pino';
import request from 'supertest';
import type { Kitchen, LogFile } from '@einkorn/core';
import { createApp } from '../src/app';
import { seedDemo } from '../src/demo/seed';
import { openStore, type Store } from '../src/store/connect';

const stores: { store: Store; folder: string }[] = [];
async function house(demo: boolean) {
  const folder = mkdtempSync(join(tmpdir(), 'einkorn-archive-'));
  const store = await openStore(folder);
  stores.push({ store, folder });
  if (demo) await seedDemo(store);
  return request(createApp(store, pino({ level: 'silent' }), { version: '1.2.3' }));
}
type House = Awaited<ReturnType<typeof house>>;
afterAll(async () => {
  for (const { store, folder } of stores) {
    await store.sequelize.close();
    rmSync(folder, { recursive: true, force: true });
  }
});

const saved = async (api: House): Promise<Buffer> => {
  const answer = await api
    .get('/api/archive')
    .buffer(true)
    .parse((res, done) => {
      const parts: Buffer[] = [];
      res.on('data', (part: Buffer) => parts.push(part));
      res.on('end', () => done(null, Buffer.concat(parts)));
    });
  expect(answer.status).toBe(200);
  return answer.body as Buffer;
};
const bring = (api: House, file: Buffer | Uint8Array) =>
  api.post('/api/archive').set('Content-Type', 'application/zip').send(Buffer.from(file));
const settings = async (api: House): Promise<Kitchen> => (await api.get('/api/kitchen')).body as Kitchen;
const everything = async (api: House): Promise<LogFile> => (await api.get('/api/log')).body as LogFile;

let demo: House;
let file: Buffer;
beforeAll(async () => {
  demo = await house(true);
  await demo.put('/api/kitchen').send({ ...(await settings(demo)), altitudeM: 1234, units: 'cups' });
  file = await saved(demo);
});
/** The archive with other files in it. */
const changed = (change: (files: Record<string, string>) => Record<string, string>): Uint8Array => {
  const texts = Object.fromEntries(Object.entries(unzipSync(file)).map(([name, bytes]) => [name, strFromU8(bytes)]));
  return zipSync(Object.fromEntries(Object.entries(change(texts)).map(([n, t]) => [n, strToU8(t)])));
};

test('an archive is a plain zip that says what it is, with a document a line', () => {
  const files = unzipSync(file);
  expect(Object.keys(files)).toEqual(['einkorn.json', 'kitchen.json', 'dishes.jsonl', 'cooks.jsonl']);
  expect(JSON.parse(strFromU8(files['einkorn.json']!))).toMatchObject({
    format: 'einkorn.archive/1',
    version: '1.2.3',
    formats: { cook: 'einkorn.cook/2', dish: 'einkorn.dish/1' },
  });
  expect(strFromU8(files['cooks.jsonl']!).trim().split('\n')).toHaveLength(60);
});

test('it comes back whole into an empty kitchen, its settings too; a second time nothing is new', async () => {
  const empty = await house(false);
  const report = await bring(empty, file);
  expect([report.status, report.body]).toEqual([
    200,
    { added: 60, already: 0, newDishes: 17, kitchen: 'taken', leftOut: [] },
  ]);
  const [there, back] = [await everything(demo), await everything(empty)];
  expect(back.cooks).toEqual(there.cooks);
  expect(back.dishes).toEqual(there.dishes);
  expect(await settings(empty)).toMatchObject({ altitudeM: 1234, units: 'cups' });
  expect((await bring(empty, file)).body).toEqual({
    added: 0,
    already: 60,
    newDishes: 0,
    kitchen: 'kept',
    leftOut: [],
  });
});

test('a kitchen that has cooked keeps its settings, and gets the pots that it had not', async () => {
  const used = await house(true);
  await used.post('/api/kitchen/begin').send({ demo: true });
  const own = { id: 'pot-mine', name: 'Mine', like: 'electric-5.7' };
  await used.put('/api/kitchen').send({ ...(await settings(used)), altitudeM: 5, ownPots: [own] });
  const theirs = { id: 'pot-theirs', name: 'Theirs', like: 'electric-8' };
  const other = changed((f) => ({
    ...f,
    'kitchen.json': JSON.stringify({
      ...(JSON.parse(f['kitchen.json']!) as object),
      ownPots: [theirs, { ...own, name: 'Other' }],
    }),
  }));
  expect((await bring(used, other)).body).toMatchObject({ added: 0, already: 60, kitchen: 'kept' });
  expect(await settings(used)).toMatchObject({ altitudeM: 5, ownPots: [own, theirs] });
});

test('settings that cannot be read, or are too many together, stay out with their sentence, and the rest comes in', async () => {
  const used = await house(true);
  await used.post('/api/kitchen/begin').send({ demo: true });
  const pots = (from: number): object[] =>
    Array.from({ length: 30 }, (_, i) => ({ id: `pot-${from + i}`, name: `Pot ${from + i}`, like: 'electric-5.7' }));
  await used.put('/api/kitchen').send({ ...(await settings(used)), ownPots: pots(0) });
  const before = await settings(used);
  const brought = (kitchen: unknown): Uint8Array =>
    changed((f) => ({
      ...f,
      'kitchen.json': typeof kitchen === 'string' ? kitchen : JSON.stringify({ ...before, ...(kitchen as object) }),
    }));
  for (const kitchen of [{ ownPots: pots(30) }, { altitudeM: 'high' }, 'no JSON']) {
    const { status, body } = await bring(used, brought(kitchen));
    const report = body as { kitchen: string; already: number; leftOut: { at: string; message: string }[] };
    expect([status, report.kitchen, report.already]).toEqual([200, 'missing', 60]);
    expect(report.leftOut.map((l) => l.at)).toEqual(['kitchen.json']);
    expect(await settings(used)).toEqual(before);
  }
});

test('a new kitchen that is brought its settings is asked nothing more', async () => {
  const fresh = await house(true);
  expect((await settings(fresh)).isNew).toBe(true);
  expect((await bring(fresh, file)).body).toMatchObject({ kitchen: 'taken' });
  expect(await settings(fresh)).toMatchObject({ altitudeM: 1234, units: 'cups' });
  expect((await settings(fresh)).isNew).toBeUndefined();
});

test('one cook that cannot be read stays out with its line, the others come in', async () => {
  const empty = await house(false);
  const spoilt = changed((f) => ({
    ...f,
    'cooks.jsonl': f['cooks.jsonl']!.split('\n')
      .map((line, i) => (i === 7 ? '{"format":"einkorn.cook/2"}' : i === 58 ? 'no JSON' : line))
      .join('\n'),
  }));
  const { body } = (await bring(empty, spoilt)) as { body: { added: number; leftOut: { at: string }[] } };
  expect(body.added).toBe(58);
  expect(body.leftOut.map((l) => l.at)).toEqual(['cooks.7', 'cooks.58']);
});

test('a file that was cut brings what it has, and says that it was cut', async () => {
  const empty = await house(false);
  const { body, status } = await bring(empty, file.subarray(0, Math.round(file.length * 0.7)));
  expect(status).toBe(200);
  const report = body as { added: number; newDishes: number; leftOut: { at: string; message: string }[] };
  expect(report.newDishes).toBe(17);
  expect(report.added).toBeGreaterThan(5);
  expect(report.added).toBeLessThan(60);
  expect(report.leftOut.at(-1)).toMatchObject({ at: 'cooks.jsonl', message: expect.stringContaining('ends here') });
});

test.each<[string, () => Uint8Array, number, string]>([
  ['nothing', () => new Uint8Array(0), 400, 'archive-invalid'],
  ['a text', () => strToU8('{"format":"einkorn.log/1"}'), 400, 'archive-invalid'],
  ['another zip', () => zipSync({ 'readme.txt': strToU8('hello') }), 400, 'archive-invalid'],
  [
    'one of another format',
    () => changed((f) => ({ ...f, 'einkorn.json': '{"format":"other/1"}' })),
    400,
    'archive-invalid',
  ],
  [
    'one of a later version',
    () => changed((f) => ({ ...f, 'einkorn.json': '{"format":"einkorn.archive/2"}' })),
    400,
    'archive-newer',
  ],
  [
    'a zip that is packed to burst',
    () => changed((f) => ({ ...f, 'cooks.jsonl': '1\n'.repeat(4_000_000) })),
    400,
    'archive-invalid',
  ],
  ['one endless line', () => changed((f) => ({ ...f, 'cooks.jsonl': ' '.repeat(9_000_000) })), 400, 'archive-invalid'],
])('%s is refused in plain words', async (_name, bytes, status, code) => {
  const empty = await house(false);
  const answer = await bring(empty, bytes());
  expect([answer.status, (answer.body as { code: string }).code]).toEqual([status, code]);
  expect((await everything(empty)).cooks).toEqual([]);
});

test('a download that is broken off harms nothing', async () => {
  const written: string[] = [];
  const { store } = stores[0]!;
  const log = pino({ level: 'warn' }, { write: (line: string) => void written.push(line) });
  const server = createServer(createApp(store, log)).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  for (const path of ['/api/archive', '/api/log', '/api/log/table']) {
    const gone = new AbortController();
    const { body } = await fetch(`${base}${path}`, { signal: gone.signal });
    await body!.getReader().read();
    gone.abort();
  }
  expect((await fetch(`${base}/api/health`)).status).toBe(200);
  expect(written.filter((line) => line.includes('"level":50'))).toEqual([]);
  server.closeAllConnections();
  server.close();
});

test('one that says to be larger than 300 MB is refused before it is read', async () => {
  const api = await house(false);
  const answer = await api
    .post('/api/archive')
    .set('Content-Length', '300000001')
    .send('x')
    .catch((e: unknown) => e);
  expect(answer).toMatchObject({ status: 413 });
});
