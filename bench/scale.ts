import { spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { createReadStream, createWriteStream, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate } from 'fflate';
import { Hut } from '../e2e/hut';

/*
 * npm run bench -- scale [cooks …]: one house with a log of 100, 1,000 and 10,000 cooks: bringing it in, starting on it, pages and
 * searches of the log, a tap, the export, a snapshot put back, and the memory of the server. A measurement, not a test: it prints the table of docs/scale.md.
 */
const given = process.argv.filter((a) => /^\d+$/.test(a)).map(Number);
const sizes = given.length > 0 ? given : [100, 1000, 10_000];
const json = { 'content-type': 'application/json' };
const at = (xs: readonly number[], share: number): number =>
  [...xs].sort((a, b) => a - b)[Math.floor(share * (xs.length - 1))]!;
const both = (xs: readonly number[]): string =>
  [at(xs, 0.5), at(xs, 0.99), Math.max(...xs)].map((ms) => ms.toFixed(0)).join(' / ');
const folder = mkdtempSync(join(tmpdir(), 'einkorn-scale-'));

/** The demo's archive with its cooks repeated, an evening and a half apart, until there are so many. */
async function archiveOf(count: number, like: Record<string, string>): Promise<string> {
  const path = join(folder, `${count}.zip`);
  const out = createWriteStream(path);
  const zip = new Zip((error, chunk, final) => {
    if (error) throw error;
    out.write(chunk);
    if (final) out.end();
  });
  for (const [name, text] of Object.entries(like)) {
    const file = new ZipDeflate(name, { level: 1 });
    zip.add(file);
    if (name !== 'cooks.jsonl') file.push(strToU8(text), true);
    else {
      const cooks = text
        .trim()
        .split('\n')
        .map((l) => JSON.parse(l) as { id: string; startedMs: number; finishedMs: number; dish: { title: string } });
      for (let i = 0; i < count; i++) {
        const cook = cooks[i % cooks.length]!;
        const byMs = Date.UTC(2015, 0, 1) + i * 36 * 3_600_000 - cook.startedMs;
        const moved = {
          ...cook,
          id: `scale-${i}`,
          startedMs: cook.startedMs + byMs,
          finishedMs: cook.finishedMs + byMs,
        };
        file.push(strToU8(`${JSON.stringify(moved)}\n`), i === count - 1);
        if (out.writableNeedDrain) await once(out, 'drain');
      }
    }
  }
  zip.end();
  await once(out, 'close');
  return path;
}

const took = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};
/** Memory of a process as the kernel counts it, MB: now, and at its highest. */
function memory(pid: number): { now: number; most: number } {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  const of = (name: string): number => Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)![1]) / 1024;
  return { now: of('VmRSS'), most: of('VmHWM') };
}
const nowhere = (): Writable & { bytes: number } => {
  const sink = new Writable({
    write(chunk: Buffer, _e, done) {
      (this as Writable & { bytes: number }).bytes += chunk.length;
      done();
    },
  });
  return Object.assign(sink, { bytes: 0 });
};
const download = (url: string): Promise<number> =>
  new Promise((done, failed) => {
    request(url, (res) => {
      const sink = nowhere();
      pipeline(res, sink).then(() => done(sink.bytes), failed);
    })
      .on('error', failed)
      .end();
  });
async function bring(url: string, path: string): Promise<unknown> {
  const sent = request(`${url}/api/archive`, {
    method: 'POST',
    headers: { 'content-type': 'application/zip', 'content-length': statSync(path).size },
  });
  const answered = once(sent, 'response');
  await pipeline(createReadStream(path), sent);
  const [res] = (await answered) as [AsyncIterable<Buffer>];
  let text = '';
  for await (const part of res) text += part.toString();
  return JSON.parse(text);
}

const rows: string[][] = [];
for (const size of sizes) {
  const like = await Hut.open();
  const files = unzipSync(new Uint8Array(await (await fetch(`${like.url}/api/archive`)).arrayBuffer()));
  await like.close();
  const path = await archiveOf(
    size,
    Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, strFromU8(bytes)])),
  );
  const hut = await Hut.open({ asNew: true });
  await fetch(`${hut.url}/api/kitchen/begin`, { method: 'POST', headers: json, body: JSON.stringify({ demo: false }) });
  let report: unknown;
  const inMs = await took(async () => (report = await bring(hut.url, path)));
  if ((report as { added: number }).added !== size) throw new Error(JSON.stringify(report).slice(0, 400));
  // What was brought in is learned from.
  await fetch(`${hut.url}/api/kitchen/learn`, { method: 'POST' });
  const bringing = memory(hut.pid!);
  await hut.stop();
  const starts: number[] = [];
  for (let i = 0; i < 3; i++) {
    starts.push(await took(() => hut.start()));
    if (i < 2) await hut.stop();
  }
  const asks = async (urls: readonly string[]): Promise<number[]> => {
    const ms: number[] = [];
    for (const url of urls) ms.push(await took(async () => (await fetch(`${hut.url}${url}`)).text()));
    return ms;
  };
  const started = memory(hut.pid!);
  const page = (i: number): string => `/api/cooks?limit=50&after=${(i * 50) % Math.max(50, size - 50)}`;
  // The first of them as well, by code that has not run before.
  const pages = await asks(Array.from({ length: 220 }, (_, i) => page(7 * i)));
  const words = ['turkey', 'risotto', 'berries', 'autumn', 'once more', 'nothing like it', 'leek lemon', 'full hut'];
  const searches = await asks(
    Array.from({ length: 200 }, (_, i) => `/api/cooks?limit=50&text=${words[i % words.length]}`),
  );
  const [newest] = ((await (await fetch(`${hut.url}/api/cooks?limit=1`)).json()) as { cooks: { id: string }[] }).cooks;
  const cook = (await (await fetch(`${hut.url}/api/cooks/${newest!.id}`)).json()) as { dish: object };
  const running = { ...cook, id: 'scale-now', startedMs: Date.now(), finishedMs: null, outcome: null, events: [] };
  await fetch(`${hut.url}/api/cooks`, { method: 'POST', headers: json, body: JSON.stringify(running) });
  const taps: number[] = [];
  for (let i = 0; i < 200; i++) {
    const event = { id: `scale-tap-${i}`, kind: 'noted', atMs: Date.now(), text: 'bench' };
    taps.push(
      await took(() =>
        fetch(`${hut.url}/api/cooks/scale-now/events`, {
          method: 'POST',
          headers: json,
          body: JSON.stringify({ events: [event] }),
        }),
      ),
    );
  }
  const plan = { method: 'POST', headers: json, body: JSON.stringify({ dish: running.dish }) };
  for (let i = 0; i < 8; i++) await (await fetch(`${hut.url}/api/plan`, plan)).text();
  const asked = memory(hut.pid!);
  let bytes = 0;
  const outMs = await took(async () => (bytes = await download(`${hut.url}/api/archive`)));
  const tableMs = await took(() => download(`${hut.url}/api/log/table`));
  const exported = memory(hut.pid!);
  const snapshot = (await (await fetch(`${hut.url}/api/snapshots`, { method: 'POST' })).json()) as { name: string };
  await hut.stop();
  const backMs = await took(async () => {
    const keep = [join(import.meta.dirname, '..', 'scripts', 'keep.mjs'), 'restore', snapshot.name];
    const { status, stderr } = spawnSync(process.execPath, keep, { env: { ...process.env, EINKORN_DATA: hut.folder } });
    if (status !== 0) throw new Error(stderr.toString());
    await hut.start();
  });
  await hut.close();
  rows.push([
    size.toLocaleString('en'),
    (inMs / 1000).toFixed(1),
    (at(starts, 0.5) / 1000).toFixed(2),
    both(pages),
    both(searches),
    both(taps),
    `${(outMs / 1000).toFixed(1)} (${(bytes / 1e6).toFixed(1)} MB)`,
    (tableMs / 1000).toFixed(1),
    (backMs / 1000).toFixed(1),
    [started.now, asked.now, exported.most, bringing.most].map((m) => m.toFixed(0)).join(' / '),
  ]);
}
rmSync(folder, { recursive: true, force: true });

const heads = [
  'cooks',
  'brought in, s',
  'start, s',
  'a page, ms',
  'a search, ms',
  'a tap, ms',
  'exported, s',
  'as a table, s',
  'a snapshot put back and started on, s',
  'memory started / used / exporting / bringing in, MB',
];
console.log(`| ${heads.join(' | ')} |\n|${heads.map(() => ' --- ').join('|')}|`);
for (const r of rows) console.log(`| ${r.join(' | ')} |`);
