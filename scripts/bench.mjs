// npm run bench: times the core and prints a table with ratios.
import { join } from 'node:path';
import { install } from './install.mjs';
install();
const { root } = await import('./build.mjs');
const { build } = await import('esbuild');
// Bundled first, so that what is measured is what ships, not a loader.
const outfile = join(root, 'dist', 'bench.mjs');
await build({
  absWorkingDir: root,
  entryPoints: ['bench/run.ts'],
  outfile,
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  packages: 'external',
  alias: { '@einkorn/core': join(root, 'core/src/index.ts') },
  define: { 'import.meta.dirname': JSON.stringify(join(root, 'bench')) },
});
await import(outfile);
