// npm run shots [NAME ...]: builds what is needed, drives the demo and refreshes docs/screenshots.
import { install } from './install.mjs';
install();
const { buildServer, buildWeb, root, run } = await import('./build.mjs');
const { chromium } = await import('./chromium.mjs');
chromium();
await buildServer();
await buildWeb();
try {
  console.log(await run(process.execPath, ['--import', 'tsx', 'e2e/shots.ts', ...process.argv.slice(2)], root));
} catch (e) {
  console.error(e.message);
  process.exit(1);
}
