// npm run bench: times the core and prints a table with ratios. npm run bench -- residuals: the facts and the model.
// npm run bench -- memory: the heap over ten thousand plans.
import { join } from 'node:path';
import { install } from './install.mjs';
install();
const { root } = await import('./build.mjs');
const { build } = await import('esbuild');
// Bundled first, so that what is measured is what ships, not a loader.
const outfile = join(root, 'dist', 'bench.mjs');
await build({
  absWorkingDir: root,
  entryPoints: [`bench/${['residuals', 'memory'].find((x) => process.argv.includes(x)) ?? 'run'}.ts`],
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
