// The headless planner: npm run -s plan -- DISH.json [--mode solve|evaluate] [--pot ID] [--altitude M] [--texture T] [--pretty] [--schema dish|plan]
import { existsSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
if (!existsSync(join(root, 'node_modules', 'esbuild'))) {
  const install = spawnSync(process.execPath, [join(root, 'scripts', 'install.mjs')], { stdio: ['ignore', 2, 2] });
  if (install.status !== 0) process.exit(install.status ?? 1);
}
const { buildCli } = await import('./build.mjs');
const file = await buildCli('cli');
const { main } = await import(file);
process.exitCode = await main(process.argv.slice(2));
