// npm start: installs, builds, migrates, seeds the demo and serves. A second start rebuilds nothing that has not changed.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { install } from './install.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Einkorn needs Node.js 20.19 or newer; this is ${process.version}.`);
  process.exit(1);
}
try {
  install();
  const { buildServer, buildWeb, root } = await import('./build.mjs');
  console.error('Checking the build …');
  await buildServer();
  if (await buildWeb()) console.error('The interface was built.');
  await import(pathToFileURL(join(root, 'server', 'dist', 'main.mjs')).href);
} catch (e) {
  console.error(e.message);
  process.exit(1);
}
