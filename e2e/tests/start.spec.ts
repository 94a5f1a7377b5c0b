import { once } from 'node:events';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { startServer } from '../../scripts/server-process.mjs';

test('a server whose starter is gone stops by itself and gives its folder back', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'einkorn-start-'));
  const server = startServer(join(import.meta.dirname, '..', '..'), {
    env: { PORT: '0', EINKORN_DATA: folder },
    stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
  });
  await once(server.stdout!, 'data');
  expect(existsSync(join(folder, 'einkorn.lock'))).toBe(true);
  const gone = once(server, 'exit');
  server.disconnect();
  expect(await gone).toEqual([0, null]);
  expect(existsSync(join(folder, 'einkorn.lock'))).toBe(false);
  rmSync(folder, { recursive: true, force: true });
});
