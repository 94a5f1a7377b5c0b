import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { createApp } from '../src/app';
import { openStore, type Store } from '../src/store/connect';

let folder: string;
let store: Store;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-headers-'));
  store = await openStore(folder);
});
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});
const lines: string[] = [];
const app = () => createApp(store, pino({ level: 'error' }, { write: (line: string) => void lines.push(line) }));

test('a page loads nothing of another host, is framed by nobody, and may only keep the screen awake', async () => {
  const { headers } = await request(app()).get('/api/kitchen').set('Host', 'localhost');
  const rules = headers['content-security-policy']!;
  expect(rules).not.toMatch(/https?:/);
  expect(rules).toContain("script-src 'self';");
  expect(/style-src ([^;]*)/.exec(rules)![1]).not.toContain('unsafe-inline');
  expect(rules).toContain("frame-ancestors 'none'");
  expect(headers['permissions-policy']).toContain('camera=()');
  expect(headers['x-content-type-options']).toBe('nosniff');
});

test('the style elements of a page are its own by its nonce, which the header names too', async () => {
  const web = mkdtempSync(join(tmpdir(), 'einkorn-nonce-'));
  writeFileSync(join(web, 'index.html'), '<ek-root ngCspNonce="abcdefghijklmnopqrst"></ek-root>');
  const page = await request(createApp(store, pino({ level: 'silent' }), { webFolder: web }))
    .get('/')
    .set('Host', 'localhost');
  expect(page.headers['content-security-policy']).toContain("'nonce-abcdefghijklmnopqrst'");
  rmSync(web, { recursive: true, force: true });
});

test('what a kitchen says is not stored on the way', async () => {
  for (const path of ['/api/kitchen', '/api/cooks', '/api/nothing'])
    expect((await request(app()).get(path).set('Host', 'localhost')).headers['cache-control']).toBe('no-store');
});

test('a request has a name, in the answer and in its problem; two have two', async () => {
  const ask = () => request(app()).get('/api/dishes/nobody').set('Host', 'localhost');
  const [one, other] = [await ask(), await ask()];
  expect(one.body.instance).toBe(`urn:uuid:${one.headers['x-request-id']}`);
  expect(one.headers['x-request-id']).not.toBe(other.headers['x-request-id']);
});

test('an error of our own is in the log under the name that the answer gave', async () => {
  const broken = { ...store, models: null } as unknown as Store;
  const log = pino({ level: 'error' }, { write: (line: string) => void lines.push(line) });
  const answer = await request(createApp(broken, log)).get('/api/dishes').set('Host', 'localhost');
  expect(answer.status).toBe(500);
  expect(lines.some((l) => l.includes(answer.headers['x-request-id']!))).toBe(true);
});

describe('the page and its files', () => {
  let web: string;
  beforeAll(() => {
    web = mkdtempSync(join(tmpdir(), 'einkorn-web-'));
    writeFileSync(join(web, 'index.html'), '<!doctype html><title>Einkorn</title>');
    writeFileSync(join(web, 'manifest.webmanifest'), '{"name":"Einkorn"}');
  });
  afterAll(() => rmSync(web, { recursive: true, force: true }));
  const get = (path: string) =>
    request(createApp(store, pino({ level: 'silent' }), { webFolder: web }))
      .get(path)
      .set('Host', 'localhost');

  test('every place is the page, and its file is asked for again each time', async () => {
    const page = await get('/bench/plain-long-grain/water');
    expect([page.status, page.headers['cache-control']]).toEqual([200, 'no-cache']);
    expect(page.text).toContain('<title>Einkorn</title>');
  });
  test('a file of an older build is missing, and no page in its place', async () => {
    const gone = await get('/chunk-ABCDEFGH.js');
    expect(gone.status).toBe(404);
    expect(gone.headers['content-type']).toContain('application/problem+json');
  });
  test('the manifest says what it is', async () => {
    expect((await get('/manifest.webmanifest')).headers['content-type']).toContain('application/manifest+json');
  });
});
