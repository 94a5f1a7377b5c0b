import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { createApp } from '../src/app';
import { houseCertificate } from '../src/keys/certificate';
import { Codes } from '../src/keys/codes';
import { openStore, type Store } from '../src/store/connect';

let folder: string;
let store: Store;
let codes: Codes;
let server: Server;
let base: string;
const written: string[] = [];
const house = { port: 4281, fingerprint: 'AA:BB' };

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-keys-'));
  store = await openStore(folder);
  codes = new Codes();
  written.length = 0;
  const log = pino({ level: 'warn' }, { write: (line: string) => void written.push(line) });
  server = createServer(createApp(store, log, { house, codes }));
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(async () => {
  server.closeAllConnections();
  await new Promise((closed) => server.close(closed));
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});

type Method = 'get' | 'post' | 'put' | 'delete';
/** As somebody in the house asks: under an address of it. */
const abroad = (method: Method, path: string) => request(base)[method](path).set('Host', '192.168.1.20:4281');
const atHome = (method: Method, path: string) => request(base)[method](path).set('Host', 'localhost:4280');

async function codeFor(rights: string): Promise<string> {
  const made = await atHome('post', '/api/keys/codes').send({ rights });
  expect(made.status).toBe(201);
  return (made.body as { code: string }).code;
}
async function cookieFor(rights: string, name = 'Stove screen'): Promise<string> {
  const came = await abroad('post', '/api/door').send({ code: await codeFor(rights), name });
  expect(came.status).toBe(201);
  return String(came.headers['set-cookie']).split(';')[0]!;
}
const codeOf = (answer: { body: unknown }): unknown => (answer.body as { code?: unknown }).code;

describe('who has no key', () => {
  test.each<[Method, string]>([
    ['get', '/api/kitchen'],
    ['get', '/api/cooks'],
    ['post', '/api/plan'],
    ['get', '/api/devices/stream'],
    ['get', '/api/health'],
    ['post', '/api/keys/codes'],
    ['get', '/api/snapshots'],
    ['get', '/api/nothing-here'],
  ])('%s %s is refused with the way in, and written down', async (method, path) => {
    const answer = await abroad(method, path);
    expect([answer.status, codeOf(answer)]).toEqual([401, 'key-needed']);
    expect(written.join()).toContain('"event":"no-key"');
  });

  test('this machine needs none, but nobody comes in through a proxy on it', async () => {
    expect((await atHome('get', '/api/kitchen')).status).toBe(200);
    expect((await atHome('get', '/api/kitchen').set('X-Forwarded-For', '192.168.1.9')).status).toBe(401);
    expect((await atHome('get', '/api/door')).body).toEqual({ rights: 'home', name: null });
    expect((await abroad('get', '/api/door')).body).toEqual({ rights: null, name: null });
  });

  test('a made-up key is none', async () => {
    const answer = await abroad('get', '/api/kitchen').set('Authorization', `Bearer ${'x'.repeat(43)}`);
    expect(answer.status).toBe(401);
  });
});

describe('a pairing code', () => {
  test('lets in once, and the key it gives stays out of reach of scripts', async () => {
    const code = await codeFor('cook');
    const came = await abroad('post', '/api/door').send({ code, name: 'Phone' });
    const cookie = String(came.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    expect(came.body).toEqual({ rights: 'cook', name: 'Phone' });
    const mine = cookie.split(';')[0]!;
    expect((await abroad('put', '/api/kitchen').set('Cookie', mine).send({})).status).toBe(200);
    const again = await abroad('post', '/api/door').send({ code, name: 'Thief' });
    expect([again.status, codeOf(again)]).toEqual([403, 'code-wrong']);
  });

  test('is good for ten minutes', () => {
    const { code, untilMs } = codes.make('look', 1000);
    expect(untilMs).toBe(1000 + 600_000);
    expect(codes.use(code, untilMs)).toBeNull();
    const other = codes.make('look', 1000);
    expect(codes.use(other.code, other.untilMs - 1)).toBe('look');
  });

  test('dies after ten wrong guesses; a new one is good again', () => {
    const { code } = codes.make('cook', 0);
    const wrong = code === '000000' ? '000001' : '000000';
    for (let n = 0; n < 10; n++) expect(codes.use(wrong, 1)).toBeNull();
    expect(codes.use(code, 1)).toBeNull();
    expect(codes.use(codes.make('cook', 0).code, 1)).toBe('cook');
  });

  test.each([
    [{ code: '12345', name: 'Phone' }, 'code'],
    [{ code: '123456', name: ' ' }, 'name'],
    [{}, 'code'],
  ])('%j is refused with its field', async (body, path) => {
    const answer = await abroad('post', '/api/door').send(body);
    expect(answer.status).toBe(400);
    expect((answer.body as { issues: { path: string }[] }).issues.map((i) => i.path)).toContain(path);
  });
});

describe('what a key allows', () => {
  test('who looks on reads and reckons, and writes nothing', async () => {
    const cookie = await cookieFor('look');
    const as = (method: Method, path: string) => abroad(method, path).set('Cookie', cookie);
    expect((await as('get', '/api/cooks')).status).toBe(200);
    expect((await as('post', '/api/plan').send({})).status).toBe(400);
    for (const [method, path] of [
      ['put', '/api/kitchen'],
      ['post', '/api/cooks'],
      ['delete', '/api/dishes/x'],
      ['get', '/api/keys'],
      ['post', '/api/keys/codes'],
      ['get', '/api/snapshots'],
    ] as const) {
      const answer = await as(method, path).send({});
      expect([path, answer.status, codeOf(answer)]).toEqual([path, 403, 'right-missing']);
    }
  });

  test('a device sends readings in its own name, and nothing else', async () => {
    const came = await abroad('post', '/api/door').send({ code: await codeFor('device'), name: 'probe-1' });
    expect(came.headers['set-cookie']).toBeUndefined();
    const { key } = came.body as { key: string };
    const as = (method: Method, path: string) => abroad(method, path).set('Authorization', `Bearer ${key}`);
    const readings = (device: string) =>
      as('post', '/api/devices/readings').send({ format: 'einkorn.device/1', device, readings: [] });
    expect((await as('get', '/api/cooks')).status).toBe(403);
    expect((await readings('probe-1')).status).toBe(202);
    const { keys } = (await atHome('get', '/api/keys')).body as { keys: { rights: string; name: string }[] };
    expect(keys).toMatchObject([{ rights: 'device', name: 'probe-1' }]);
    const other = await readings('probe-2');
    expect([other.status, codeOf(other)]).toEqual([403, 'right-missing']);
  });

  test('taken away, it opens nothing any more, and its stream is cut', async () => {
    const cookie = await cookieFor('cook', 'Lost phone');
    const stream = await fetch(`${base}/api/devices/stream`, {
      headers: { cookie, 'x-forwarded-for': '192.168.1.9' },
    });
    expect(stream.status).toBe(200);
    const { keys } = (await atHome('get', '/api/keys')).body as { keys: { id: string; name: string }[] };
    const ended = stream.text().then(
      () => 'ended',
      () => 'cut',
    );
    expect((await atHome('delete', `/api/keys/${keys.find((k) => k.name === 'Lost phone')!.id}`)).status).toBe(204);
    expect(await ended).toBe('cut');
    expect((await abroad('get', '/api/cooks').set('Cookie', cookie)).status).toBe(401);
    expect((await atHome('delete', '/api/keys/none')).status).toBe(404);
  });

  test('it is kept over a restart, as a hash', async () => {
    const cookie = await cookieFor('cook');
    const anew = createApp(store, pino({ level: 'silent' }), { house, codes });
    const answer = await request(anew).get('/api/cooks').set('Host', '192.168.1.20:4281').set('Cookie', cookie);
    expect(answer.status).toBe(200);
    const [row] = await store.models.Keys.findAll();
    expect(JSON.stringify(row)).not.toContain(cookie.split('=')[1]);
  });

  test('sixty-four open answers are the most of one key', async () => {
    const cookie = await cookieFor('cook');
    const headers = { cookie, 'x-forwarded-for': '192.168.1.9' };
    const ask = (): Promise<Response> => fetch(`${base}/api/devices/stream`, { headers });
    const open = await Promise.all(Array.from({ length: 64 }, ask));
    expect(open.every((r) => r.status === 200)).toBe(true);
    expect((await ask()).status).toBe(503);
    await Promise.all(open.map((r) => r.body!.cancel()));
  });
});

test('the certificate is made once, for this house, and only its owner reads its key', async () => {
  const now = Date.now();
  const made = await houseCertificate(folder, now);
  const x509 = new X509Certificate(made.cert);
  expect(x509.checkHost('localhost')).toBe('localhost');
  expect(x509.fingerprint256).toBe(made.fingerprint);
  expect(Date.parse(x509.validTo) - Date.parse(x509.validFrom)).toBeLessThanOrEqual(825 * 86_400_000);
  expect(statSync(join(folder, 'house.key')).mode & 0o077).toBe(0);
  expect((await houseCertificate(folder, now)).cert).toBe(readFileSync(join(folder, 'house.crt'), 'utf8'));
  expect((await houseCertificate(folder, now + 800 * 86_400_000)).fingerprint).not.toBe(made.fingerprint);
});
