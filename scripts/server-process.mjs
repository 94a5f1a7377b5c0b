import { spawn } from 'node:child_process';
import { join } from 'node:path';

/**
 * Starts the built server of a tree. A house shares its machine with other things: the engine is told to prefer room to speed,
 * and the allocator keeps one arena instead of one for each thread; both must be said before the process begins (docs/scale.md).
 *
 * @param {string} tree folder of the project
 * @param {{ env?: Record<string, string>, stdio: import('node:child_process').StdioOptions }} options
 */
export const startServer = (tree, { env = {}, stdio }) =>
  spawn(
    process.execPath,
    ['--optimize-for-size', '--max-semi-space-size=2', join(tree, 'server', 'dist', 'main.mjs')],
    { env: { MALLOC_ARENA_MAX: '1', ...process.env, ...env }, stdio },
  );
