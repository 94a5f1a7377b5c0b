import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Cook, CookEvent, Dish, Plan } from '@einkorn/core';
import pino from 'pino';
import { Hut } from '../e2e/hut';
import { createApp } from '../server/src/app';
import { seedDemo } from '../server/src/demo/seed';
import { openStore } from '../server/src/store/connect';

/*
 * npm run bench -- reliability [kills] [requests]: kills the server (SIGKILL) in the middle of saves, taps and snapshots and counts what it
 * had acknowledged and lost; sends it broken and half-right requests and counts answers of 500; lets two screens and a device write
 * at once, each resending what it is not sure of, and compares the histories. A measurement, not a test: it prints a table.
 */
const [kills = 200, requests = 20_000, interleavings = 300] = process.argv.filter((a) => /^\d+$/.test(a)).map(Number);
let seed = 20261201;
/** A repeatable number in [0, 1). */
const random = (): number => {
  seed = (seed * 1_664_525 + 1_013_904_223) % 4_294_967_296;
  return seed / 4_294_967_296;
};
const upTo = (n: number): number => Math.floor(random() * n);
const oneOf = <T>(all: readonly T[]): T => all[upTo(all.length)]!;
const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
const json = { 'content-type': 'application/json' };
const hut = await Hut.open();
let url = hut.url;
const send = (method: string, path: string, body?: unknown): Promise<Response> =>
  fetch(`${url}/api/${path}`, {
    method,
    headers: json,
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
const get = async <T>(path: string): Promise<T> => (await (await send('GET', path)).json()) as T;
interface Stored {
  id: string;
  revision: number;
  dish: Dish;
}

async function begin(id: string): Promise<void> {
  const [stored] = await get<Stored[]>('dishes');
  const { dish } = stored!;
  const plan = (await (await send('POST', 'plan', { dish })).json()) as Plan;
  const cook = { format: 'einkorn.cook/2', id, dishId: stored!.id, dish, plan, startedMs: Date.now() - 3_600_000 };
  await send('POST', 'cooks', { ...cook, finishedMs: null, events: [], outcome: null });
}
const note = (id: string): object => ({ id, kind: 'noted', text: id, atMs: Date.now() });

/* Kills: what was acknowledged must be there again. */
await begin('killed');
const acknowledged = new Set<string>();
let title = '';
let lost = 0;
let unsound = 0;
const startedMs: number[] = [];
let running = true;
async function taps(): Promise<void> {
  for (let i = 0; running; i++) {
    const id = `k${acknowledged.size}-${i}`;
    const answer = await send('POST', 'cooks/killed/events', { events: [note(id)] }).catch(() => null);
    if (answer?.status === 200) acknowledged.add(id);
    await pause(60);
  }
}
async function saves(): Promise<void> {
  for (let i = 0; running; i++) {
    const stored = await get<Stored>('dishes/plain-long-grain').catch(() => null);
    if (!stored) await pause(20);
    else {
      const next = `Saved ${i}`;
      const body = { dish: { ...stored.dish, title: next }, revision: stored.revision };
      const answer = await send('PUT', 'dishes/plain-long-grain', body).catch(() => null);
      if (answer?.status === 200) title = next;
      await pause(200);
    }
  }
}
async function snapshots(): Promise<void> {
  while (running) {
    await send('POST', 'snapshots').catch(() => null);
    await pause(200);
  }
}
const killing = kills > 0 ? [taps(), saves(), snapshots()] : [];
for (let i = 0; i < kills; i++) {
  await pause(50 + random() * 400);
  await hut.kill();
  const [sure, saved] = [[...acknowledged], title];
  const began = performance.now();
  await hut.start();
  startedMs.push(performance.now() - began);
  const { events } = await get<Cook>('cooks/killed');
  const there = new Set(events.map((e) => e.id));
  lost += sure.filter((id) => !there.has(id)).length;
  // A save that was answered stands, or one after it.
  if (saved !== '' && !/^Saved/.test((await get<Stored>('dishes/plain-long-grain')).dish.title)) lost += 1;
  if (!(await get<{ ok: boolean }>('health')).ok) unsound += 1;
  // A cook takes 2,000 events; the next one is begun in time.
  if (events.length > 1500) acknowledged.clear();
}
running = false;
await Promise.all(killing);
await hut.close();

/* The same server in this process, without the limit of requests a minute. */
const folder = mkdtempSync(join(tmpdir(), 'einkorn-fuzz-'));
const store = await openStore(folder);
await seedDemo(store);
const server = createApp(store, pino({ level: 'silent' }), { mostPerMin: 1e9 }).listen(0, '127.0.0.1');
await once(server, 'listening');
url = `http://localhost:${(server.address() as AddressInfo).port}`;
await begin('killed');

/* Fuzz: whatever is sent, the server never answers with an error of its own. */
const [dish] = await get<Stored[]>('dishes');
const plan = (await (await send('POST', 'plan', { dish: dish!.dish })).json()) as Plan;
const bodies: unknown[] = [
  dish!.dish,
  { dish: dish!.dish },
  { dish: dish!.dish, revision: 1 },
  { events: [note('fuzz')] },
  { finishedMs: 1, outcome: { ratings: { grain: 1 } }, had: null },
  { had: { altitudeM: 0 }, wanted: { altitudeM: 900 } },
  { text: 'Rice\n\n200 g basmati rice\n300 ml water' },
  {
    format: 'einkorn.cook/2',
    id: 'f',
    dishId: null,
    dish: dish!.dish,
    plan,
    startedMs: 1,
    finishedMs: null,
    events: [],
    outcome: null,
  },
  { device: 'd', readings: [{ kind: 'pin', value: 'up', atMs: 1 }] },
];
const asked = [
  'POST dishes',
  'PUT dishes/plain-long-grain',
  'PATCH dishes/plain-long-grain',
  'GET dishes/none',
  'POST cooks',
  'PATCH cooks/killed',
  'POST cooks/killed/events',
  'POST cooks/none/events',
  'POST cooks/killed/commands',
  'GET cooks/killed/debrief',
  'PUT kitchen',
  'PATCH kitchen',
  'POST plan',
  'POST recipe',
  'POST log',
  'POST devices/readings',
  'POST keys/codes',
  'POST door',
  'GET snapshots/x.sqlite',
  'GET set-aside/1',
  'DELETE keys/none',
  'GET cooks?after=%00&limit=9e9',
  'GET cooks?text=%F0%9F%92%A5&sort=__proto__',
  'POST archive',
  'GET nothing/%ff',
  'POST time',
];
const odd: unknown[] = [
  null,
  '',
  ' ',
  -1,
  0,
  1e308,
  5e-324,
  NaN,
  '\u0000',
  '💥'.repeat(40),
  [],
  {},
  [[]],
  true,
  '__proto__',
  9e15,
  '2026-13-45',
];
/** The same body with one of its parts replaced, taken away or repeated. */
function broken(x: unknown): unknown {
  if (typeof x !== 'object' || x === null || random() < 0.15) return oneOf(odd);
  if (Array.isArray(x))
    return x.length === 0 || random() < 0.1
      ? [...(x as unknown[]), oneOf(odd)]
      : (x as unknown[]).map((v, i) => (i === 0 ? broken(v) : v));
  const entries = Object.entries(x);
  if (entries.length === 0 || random() < 0.1) return { ...x, [String(oneOf(odd))]: oneOf(odd) };
  const at = upTo(entries.length);
  return Object.fromEntries(
    entries.flatMap(([k, v], i) => (i !== at ? [[k, v]] : random() < 0.2 ? [] : [[k, broken(v)]])),
  );
}
const own: string[] = [];
const kindsOf = new Map<number, number>();
async function fuzz(count: number): Promise<void> {
  for (let i = 0; i < count; i++) {
    const [method, path] = oneOf(asked).split(' ') as [string, string];
    const whole = JSON.stringify(broken(oneOf(bodies)) ?? null);
    const body = method === 'GET' ? undefined : random() < 0.05 ? whole.slice(0, upTo(whole.length)) : whole;
    const answer = await send(method, path, body);
    await answer.arrayBuffer();
    kindsOf.set(answer.status, (kindsOf.get(answer.status) ?? 0) + 1);
    if (answer.status >= 500 && answer.status !== 503) own.push(`${method} ${path} ${body?.slice(0, 200)}`);
    if (answer.status === 429) await pause(1000);
  }
}
const fuzzing = performance.now();
await Promise.all([0, 1, 2, 3].map(() => fuzz(requests / 4)));
const fuzzS = (performance.now() - fuzzing) / 1000;

/* Interleavings: three writers with lost answers end in one history. */
let unlike = 0;
for (let i = 0; i < interleavings; i++) {
  const id = `woven-${i}`;
  await begin(id);
  const writer = async (name: string): Promise<void> => {
    const sure: object[] = [];
    for (let k = 0; k < 4; k++) {
      const own = [
        note(`${name}${k}`),
        ...(k > 0 && random() < 0.4
          ? [{ id: `u-${name}${k}`, kind: 'undone', targetId: `${name}${k - 1}`, atMs: Date.now() }]
          : []),
      ];
      sure.push(...own);
      await pause(upTo(6));
      // An answer that was lost: everything is sent again, twice at once.
      const again = random() < 0.5 ? sure : own;
      await Promise.all([
        send('POST', `cooks/${id}/events`, { events: again }),
        ...(random() < 0.5 ? [send('POST', `cooks/${id}/events`, { events: again })] : []),
      ]);
    }
  };
  await Promise.all(['a', 'b', 'd'].map(writer));
  const seen = await Promise.all([1, 2].map(() => get<Cook>(`cooks/${id}`)));
  const history = (c: Cook): string => JSON.stringify(c.events);
  const { events } = seen[0]!;
  const inPlace = events.every((e: CookEvent, k) => e.seq === k + 1);
  const once = new Set(events.map((e) => e.id)).size === events.length;
  const inOrder = ['a', 'b', 'd'].every((n) => {
    const mine = events.filter((e) => e.id.startsWith(n)).map((e) => e.id);
    return mine.length === 4 && mine.join() === [...mine].sort().join();
  });
  if (history(seen[0]!) !== history(seen[1]!) || !inPlace || !once || !inOrder) unlike += 1;
}
server.closeAllConnections();
server.close();
await store.sequelize.close();
rmSync(folder, { recursive: true, force: true });

const most = Math.max(0, ...startedMs);
console.log(`
| what | tried | wrong |
| --- | --- | --- |
| server killed in the middle of taps, saves and snapshots: acknowledged and lost | ${kills} | ${lost} |
| the same: not well after its start (slowest start ${most.toFixed(0)} ms) | ${kills} | ${unsound} |
| broken requests answered by 500 (in ${fuzzS.toFixed(0)} s; ${[...kindsOf]
  .sort()
  .map(([k, n]) => `${k}: ${n}`)
  .join(', ')}) | ${requests} | ${own.length} |
| histories of two screens and a device with lost answers that differ, double or leave a gap | ${interleavings} | ${unlike} |
`);
for (const o of own.slice(0, 10)) console.log(o);
process.exit(lost + unsound + own.length + unlike > 0 ? 1 : 0);
