import { Agent, request } from 'node:http';
import { Hut } from '../e2e/hut';

/*
 * npm run bench -- taps: how long the server takes to keep a tap while it has nothing else to do, and while four screens ask
 * for one plan after the other; an empty answer beside it says what of that is the machine. A measurement, not a test: it
 * prints a table.
 */
const taps = Number(process.argv.find((a) => /^\d+$/.test(a)) ?? 250);
const hut = await Hut.open();
const json = { 'content-type': 'application/json' };
const get = async <T>(path: string): Promise<T> => (await fetch(`${hut.url}${path}`)).json() as Promise<T>;
// The screens share the two cores with the server they measure: they keep their connections and read no answer they need not.
const agent = new Agent({ keepAlive: true });
const ask = (method: string, path: string, body?: string): Promise<number> =>
  new Promise((answered, failed) => {
    const sent = request(`${hut.url}${path}`, { method, agent, headers: json }, (r) => {
      r.resume().on('end', () => answered(r.statusCode!));
    });
    sent.on('error', failed).end(body);
  });
async function post(path: string, body: unknown): Promise<void> {
  const status = await ask('POST', path, JSON.stringify(body));
  if (status >= 300) throw new Error(`${path} was answered with ${status}`);
}
const dishes = await get<{ id: string; dish: unknown }[]>('/api/dishes');
const { dish } = dishes.find((d) => d.id === 'goat-curry-bowl-rice')!;
const plan = (): Promise<void> => post('/api/plan', { dish });
// A cook that goes on, as every cook that is tapped: a finished one has its summary put out of date at each tap.
const [last] = (await get<{ cooks: { id: string }[] }>('/api/cooks')).cooks;
const cook = await get<object>(`/api/cooks/${last!.id}`);
/** A long evening at the stove has so many taps; then the next cook is begun. */
const tapsOfACook = 100;
let count = 0;
async function tap(): Promise<number> {
  const id = `bench-cook-${Math.floor(count / tapsOfACook)}`;
  if (count % tapsOfACook === 0)
    await post('/api/cooks', { ...cook, id, startedMs: Date.now(), finishedMs: null, outcome: null, events: [] });
  const event = { id: `bench-${count++}`, kind: 'noted', atMs: Date.now(), text: 'bench' };
  const start = performance.now();
  await post(`/api/cooks/${id}/events`, { events: [event] });
  return performance.now() - start;
}
const at = (sorted: readonly number[], share: number): number => sorted[Math.floor(share * (sorted.length - 1))]!;
/** What any answer takes on this machine: a question that no route knows. */
async function nothing(): Promise<number> {
  const start = performance.now();
  await ask('GET', '/api/nothing');
  return performance.now() - start;
}
async function measured(once: () => Promise<number>): Promise<{ p50: number; p99: number }> {
  const ms: number[] = [];
  for (let i = 0; i < taps; i++) ms.push(await once());
  ms.sort((a, b) => a - b);
  return { p50: at(ms, 0.5), p99: at(ms, 0.99) };
}

await measured(tap);
const idle = { empty: await measured(nothing), tap: await measured(tap) };
let busy = true;
let plans = 0;
const screens = [1, 2, 3, 4].map(async () => {
  while (busy) {
    await plan();
    plans += 1;
  }
});
const beside = { empty: await measured(nothing), tap: await measured(tap) };
busy = false;
await Promise.all(screens);
await hut.close();

type Both = typeof idle;
const row = (name: string, { empty, tap: kept }: Both): string =>
  `| ${name} | ${[empty.p50, empty.p99, kept.p50, kept.p99].map((x) => x.toFixed(1)).join(' | ')} | ${(kept.p99 / idle.tap.p99).toFixed(1)} |`;
console.log('| | an empty answer, p50 ms | p99 ms | a tap is kept, p50 ms | p99 ms | p99 to idle |');
console.log('| --- | --- | --- | --- | --- | --- |');
console.log(row('nothing else to do', idle));
console.log(row(`while ${plans} plans are made`, beside));
