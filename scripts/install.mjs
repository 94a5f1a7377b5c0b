// Installs what is missing, once per lock file: packages from the lock without their scripts, then the one native
// addon (SQLite), against Debian's library where it is there, else compiled from its own source.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { spawnSync } from 'node:child_process';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = join(root, 'node_modules', '.einkorn-installed');

function npm(args, env = {}) {
  const cli = process.env.npm_execpath;
  const [command, first] = cli ? [process.execPath, [cli]] : ['npm', []];
  const r = spawnSync(command, [...first, ...args], {
    cwd: root,
    stdio: ['ignore', 2, 2],
    env: { ...process.env, ...env },
  });
  if (r.status !== 0)
    throw new Error(
      `npm ${args.join(' ')} did not finish (code ${r.status}). Check the network to the package registry and try again.`,
    );
}

const sqliteWorks = () =>
  spawnSync(process.execPath, ['-e', "require('sqlite3')"], { cwd: root, stdio: 'ignore' }).status === 0;

export function install() {
  const print = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .update(process.version)
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === print) return false;
  console.error('Installing packages (about a minute) …');
  npm(['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']);
  const system = existsSync('/usr/include/sqlite3.h');
  console.error(
    system
      ? 'Building the SQLite addon against the system library …'
      : 'Compiling SQLite from source (about two minutes, once) …',
  );
  npm(['rebuild', 'sqlite3', '--loglevel=error'], system ? { npm_config_sqlite: '/usr' } : {});
  if (!sqliteWorks() && system) npm(['rebuild', 'sqlite3', '--loglevel=error']);
  if (!sqliteWorks())
    throw new Error(
      'The SQLite addon could not be built: it needs python3, make and g++ (Debian: apt-get install python3 make g++).',
    );
  writeFileSync(stamp, print);
  return true;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  try {
    install();
  } catch (e) {
    console.error(e.message);
    process.exit(1);
  }
}
