import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { createApp } from '../src/app';
import { openStore, type Store } from '../src/store/connect';

let folder: string;
let store: Store;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'einkorn-house-'));
  store = await openStore(folder);
});
afterAll(async () => {
  await store.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});
const house = { port: 4281, fingerprint: 'AA:BB' };
const open = (lan: boolean) => request(createApp(store, pino({ level: 'silent' }), { house: lan ? house : null }));

test.each([
  ['localhost:4280', 200, 200],
  ['127.0.0.1:4280', 200, 200],
  ['[::1]:4280', 200, 200],
  ['192.168.1.20:4280', 403, 401],
  ['10.0.0.5', 403, 401],
  ['172.20.0.2:4280', 403, 401],
  ['kitchen.local:4280', 403, 401],
  ['172.40.0.2', 403, 403],
  ['rebound.example:4280', 403, 403],
  ['localhost.rebound.example', 403, 403],
  ['8.8.8.8', 403, 403],
])('asked as %s: %d on this machine only, %d in the house', async (host, alone, inHouse) => {
  for (const [lan, status] of [[false, alone] as const, [true, inHouse] as const]) {
    const answer = await open(lan).get('/api/kitchen').set('Host', host);
    expect(answer.status).toBe(status);
    if (status !== 200) expect(answer.type).toBe('application/problem+json');
  }
});

test('a page of another origin cannot write; our own can', async () => {
  const write = (origin: string) =>
    open(false).put('/api/kitchen').set('Host', 'localhost:4280').set('Origin', origin).send({});
  expect((await write('http://localhost:4280')).status).toBe(200);
  for (const origin of ['http://localhost:9999', 'https://other.example', 'null', ''])
    expect([origin, (await write(origin)).status]).toEqual([origin, 403]);
});
