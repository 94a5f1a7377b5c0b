// npm run bench: times the core and prints a table with ratios. npm run bench -- residuals: the facts and the model.
// npm run bench -- laws: every law over a thousand dishes. npm run bench -- memory: the heap over ten thousand plans. npm run bench -- browser: keystroke to verdict in Chromium. npm run bench -- learn: simulated households. npm run bench -- rules: each rule of judgement taken away, and the test that misses it. npm run bench -- taps: a tap while plans are made. npm run bench -- kills: taps lost when the browser is killed. npm run bench -- scale: a log of 100, 1,000 and 10,000 cooks. npm run bench -- reliability: kills, broken requests, woven writers.
import { join } from 'node:path';
import { install } from './install.mjs';
install();
const { buildServer, buildWeb, root } = await import('./build.mjs');
const name =
  ['residuals', 'memory', 'kills', 'browser', 'laws', 'rules', 'taps', 'learn', 'scale', 'reliability'].find((x) =>
    process.argv.includes(x),
  ) ?? 'run';
if (['kills', 'browser', 'taps', 'scale', 'reliability'].includes(name)) {
  (await import('./chromium.mjs')).chromium();
  await buildServer();
  await buildWeb();
}
const { build } = await import('esbuild');
// Bundled first, so that what is measured is what ships, not a loader.
// What runs the server in its own process finds the server's packages.
const outfile = join(root, ...(name === 'reliability' ? ['server'] : []), 'dist', 'bench.mjs');
await build({
  absWorkingDir: root,
  entryPoints: [`bench/${name}.ts`],
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
