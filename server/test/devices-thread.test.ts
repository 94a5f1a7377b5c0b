import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import { startDevices } from '../src/devices/thread';

const folder = mkdtempSync(join(tmpdir(), 'devices-'));
afterAll(() => rmSync(folder, { recursive: true }));

test('devices that fault are started again, and the server goes on', async () => {
  const runs = join(folder, 'runs');
  writeFileSync(runs, '');
  // The first two runs fault; the third stands.
  writeFileSync(
    join(folder, 'faulty.mjs'),
    `import { appendFileSync, readFileSync } from 'node:fs';
     import { parentPort, workerData } from 'node:worker_threads';
     appendFileSync(${JSON.stringify(runs)}, workerData.baseUrl + '\\n');
     if (readFileSync(${JSON.stringify(runs)}, 'utf8').trim().split('\\n').length < 3) throw new Error('loose contact');
     parentPort.once('message', () => parentPort.close());
     parentPort.postMessage('up');`,
  );
  const lines: { msg: string; level: number }[] = [];
  const log = pino({ level: 'warn' }, { write: (line: string) => void lines.push(JSON.parse(line) as never) });
  const stop = startDevices(join(folder, 'faulty.mjs'), { baseUrl: 'http://localhost:1', log, pauseS: 0.01 });
  await until(() => readFileSync(runs, 'utf8').trim().split('\n').length === 3);
  stop();
  expect(lines.filter((l) => l.msg === 'The devices had a fault')).toHaveLength(2);
  expect(lines.filter((l) => l.msg.includes('started again'))).toHaveLength(2);
  expect(readFileSync(runs, 'utf8')).toMatch(/^(http:\/\/localhost:1\n){3}$/);
});

/** Looks again in each turn of the event loop, until it is so. */
async function until(is: () => boolean): Promise<void> {
  while (!is()) await new Promise((go) => setImmediate(go));
}
