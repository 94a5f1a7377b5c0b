// Starts a command line of the core with the arguments given; on a fresh machine it installs first, quietly.
import { existsSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');

export async function runCli(name) {
  if (!existsSync(join(root, 'node_modules', 'esbuild'))) {
    const install = spawnSync(process.execPath, [join(root, 'scripts', 'install.mjs')], { stdio: ['ignore', 2, 2] });
    if (install.status !== 0) process.exit(install.status ?? 1);
  }
  const { buildCli } = await import('./build.mjs');
  const { main } = await import(await buildCli(name));
  process.exitCode = await main(process.argv.slice(2));
}
