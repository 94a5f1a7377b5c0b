import { mkdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:https';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import pino from 'pino';
import { createApp } from './app';
import { startDevices } from './devices/thread';
import { seedDemo } from './demo/seed';
import { FolderProblem } from './keep/folder';
import { houseCertificate } from './keys/certificate';
import { Codes } from './keys/codes';
import { houseUrls } from './keys/own-addresses';
import { keepSafe } from './keep/keeper';
import { takeFolder } from './keep/lock';
import { openStore, type Store } from './store/connect';
import { openPool } from './sums/pool';

/** A house server shares its machine: the heap grows by a fifth and is tidied, where it would else double [derived, docs/scale.md]. */
setFlagsFromString('--heap-growing-percent=20');

const here = dirname(fileURLToPath(import.meta.url));
const root = join(here, '..', '..');
const port = Number(process.env['PORT'] ?? 4280);
/** Where the house is answered when it is let in: beside the own port, unless it is said. */
const housePort = Number(process.env['EINKORN_HOUSE_PORT'] ?? port + 1);
const folder = process.env['EINKORN_DATA'] ?? join(root, 'data');

if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT must be a number from 0 to 65535, not "${process.env['PORT'] ?? ''}".`);
  process.exit(1);
}

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string };

/** What cannot be used is told in plain words, with its path and the way out; nothing is put in its place. */
async function open(): Promise<{ store: Store; giveBack: () => void }> {
  mkdirSync(folder, { recursive: true });
  const giveBack = takeFolder(folder, `http://localhost:${port}`);
  try {
    return { store: await openStore(folder), giveBack };
  } catch (e) {
    giveBack();
    throw e;
  }
}
const { store, giveBack } = await open().catch((e: unknown) => {
  console.error(e instanceof FolderProblem ? e.message : e);
  process.exit(1);
});
await seedDemo(store);
const stopKeeping = keepSafe(store, log);
const pool = openPool(join(here, 'sums-worker.mjs'));
let stopDevices = (): void => undefined;
/** This machine only, unless the cook opens it to the house. */
const lan = process.env['EINKORN_LAN'] === '1';
const webFolder = join(root, 'web', 'dist', 'browser');
const certificate = lan ? await houseCertificate(folder, Date.now()) : null;
const house = certificate && { port: housePort, fingerprint: certificate.fingerprint };
const codes = new Codes();
const app = createApp(store, log, { webFolder, sums: pool.sums, house, codes, version });
/** The house is answered on a port of its own, and only under cover. */
const houseServer = certificate && createServer(certificate, app).listen(housePort, '0.0.0.0');
houseServer?.on('error', cannotListen);
const server = app.listen(port, '127.0.0.1', () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  stopDevices = startDevices(join(here, 'devices-worker.mjs'), { baseUrl: `http://localhost:${at}`, log });
  console.log(`Einkorn is ready: http://localhost:${at}`);
  console.log(`Version ${version}, data in ${folder}`);
  if (store.setAside > 0)
    console.log(`Records that could not be read: ${store.setAside}. They were set aside, see the Kitchen.`);
  if (house) {
    console.log(`Open to the house (EINKORN_LAN=1): ${houseUrls(house.port).join(', ')}`);
    console.log(`Its certificate is its own, SHA-256 ${house.fingerprint}`);
    console.log(
      `The first screen comes in with the code ${codes.make('cook', Date.now()).code}, good for ten minutes.`,
    );
  }
});
server.on('error', cannotListen);
function cannotListen(e: NodeJS.ErrnoException & { port?: number }): void {
  giveBack();
  console.error(
    e.code === 'EADDRINUSE'
      ? `Port ${e.port ?? port} is taken. Start with another: PORT=${port + 10} npm start`
      : e.message,
  );
  process.exit(1);
}

let stopping = false;
function stop(): void {
  if (stopping) return;
  stopping = true;
  stopDevices();
  stopKeeping();
  void pool.close();
  // What is being written is written to its end.
  server.close(() => void store.inTurn(() => store.sequelize.close()).then(ended));
  // Open streams have no end of their own.
  houseServer?.close();
  houseServer?.closeAllConnections();
  server.closeAllConnections();
  setTimeout(ended, 2000).unref();
}
function ended(): void {
  giveBack();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop);
// Started by another process that is gone: nobody could stop this one any more.
process.on('disconnect', stop);
