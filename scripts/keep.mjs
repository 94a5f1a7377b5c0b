// npm run doctor: looks at the data folder, the database, the snapshots and the clock. npm run restore -- SNAPSHOT: puts one in place.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { install } from './install.mjs';

install();
const { buildServer, root } = await import('./build.mjs');
await buildServer();
const { main } = await import(pathToFileURL(join(root, 'server', 'dist', 'keep.mjs')).href);
process.exitCode = await main(process.argv.slice(2), process.env['EINKORN_DATA'] ?? join(root, 'data'));
