// npm start: installs, builds, migrates, seeds the demo and serves. A second start rebuilds nothing that has not changed.
import { install } from './install.mjs';
import { startServer } from './server-process.mjs';

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
  // The channel tells the server when this one is gone, however it went.
  const server = startServer(root, { stdio: ['inherit', 'inherit', 'inherit', 'ipc'] });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 1));
} catch (e) {
  console.error(e.message);
  process.exit(1);
}
