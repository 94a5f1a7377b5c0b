import { Hut } from '../e2e/hut';

/*
 * npm run bench -- taps: how long the server takes to keep a tap while it has nothing else to do, and while four screens ask
 * for one plan after the other. A measurement, not a test: it prints a table.
 */
const taps = Number(process.argv.find((a) => /^\d+$/.test(a)) ?? 400);
const hut = await Hut.open();
const json = { 'content-type': 'application/json' };
const get = async <T>(path: string): Promise<T> => (await fetch(`${hut.url}${path}`)).json() as Promise<T>;
async function post(path: string, body: unknown): Promise<void> {
  const r = await fetch(`${hut.url}${path}`, { method: 'POST', headers: json, body: JSON.stringify(body) });
  const answer = await r.text();
  if (!r.ok) throw new Error(`${path} was answered with ${r.status}: ${answer}`);
}
const dishes = await get<{ id: string; dish: unknown }[]>('/api/dishes');
const { dish } = dishes.find((d) => d.id === 'goat-curry-bowl-rice')!;
const plan = (): Promise<void> => post('/api/plan', { dish });
// A cook that goes on, as every cook that is tapped: a finished one has its summary put out of date at each tap.
const [last] = (await get<{ cooks: { id: string }[] }>('/api/cooks')).cooks;
const cook = await get<object>(`/api/cooks/${last!.id}`);
const id = 'bench-cook';
await post('/api/cooks', { ...cook, id, startedMs: Date.now(), finishedMs: null, outcome: null, events: [] });

let count = 0;
async function tap(): Promise<number> {
  const event = { id: `bench-${count++}`, kind: 'noted', atMs: Date.now(), text: 'bench' };
  const start = performance.now();
  await post(`/api/cooks/${id}/events`, { events: [event] });
  return performance.now() - start;
}
const at = (sorted: readonly number[], share: number): number => sorted[Math.floor(share * (sorted.length - 1))]!;
async function measured(): Promise<{ p50: number; p99: number }> {
  const ms: number[] = [];
  for (let i = 0; i < taps; i++) ms.push(await tap());
  ms.sort((a, b) => a - b);
  return { p50: at(ms, 0.5), p99: at(ms, 0.99) };
}

await measured();
const idle = await measured();
let busy = true;
let plans = 0;
const screens = [1, 2, 3, 4].map(async () => {
  while (busy) {
    await plan();
    plans += 1;
  }
});
const under = await measured();
busy = false;
await Promise.all(screens);
await hut.close();

const row = (name: string, x: { p50: number; p99: number }): string =>
  `| ${name.padEnd(30)} | ${x.p50.toFixed(1).padStart(6)} | ${x.p99.toFixed(1).padStart(6)} | ${(x.p99 / idle.p99).toFixed(1).padStart(12)} |`;
console.log(
  ['| a tap is kept                  | p50 ms | p99 ms | p99 to idle  |', '| --- | --- | --- | --- |'].join('\n'),
);
console.log(row('nothing else to do', idle));
console.log(row(`while ${plans} plans are made`, under));
