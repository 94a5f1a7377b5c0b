// Builds what is not built yet: each part remembers a fingerprint of its sources, so a second start rebuilds nothing.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { spawn } from 'node:child_process';
import { writeLicences } from './licences.mjs';
import { writeNonce } from './nonce.mjs';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Fingerprint of all files below the given paths: names, sizes and contents. */
export function fingerprint(paths) {
  const hash = createHash('sha256');
  const walk = (path) => {
    const full = join(root, path);
    if (!existsSync(full)) return;
    if (statSync(full).isDirectory()) {
      for (const name of readdirSync(full).sort()) {
        if (['node_modules', 'dist', '.angular', 'test', 'data'].includes(name)) continue;
        walk(join(path, name));
      }
      return;
    }
    hash.update(relative(root, full)).update('\0').update(readFileSync(full)).update('\0');
  };
  paths.forEach(walk);
  return hash.digest('hex');
}

/** Runs `build` unless `target` was built from the same sources. */
async function once(stamp, target, sources, build) {
  const print = fingerprint(sources);
  const file = join(root, stamp);
  if (existsSync(join(root, target)) && existsSync(file) && readFileSync(file, 'utf8') === print) return false;
  await build();
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, print);
  return true;
}

const packagesOf = (part) => JSON.parse(readFileSync(join(root, part, 'package.json'), 'utf8')).dependencies;
const corePackages = packagesOf('core');
const serverPackages = packagesOf('server');

const bundle = async (entry, outfile) => {
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: root,
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    // What the core needs comes in, shaken: its threads load faster and take less. Packages of the server find files of their own at run time.
    external: Object.keys(serverPackages).filter((name) => !(name in corePackages) && !name.startsWith('@einkorn')),
    mainFields: ['module', 'main'],
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module';\nconst require = requireFrom(import.meta.url);",
    },
    alias: {
      '@einkorn/core': join(root, 'core/src/index.ts'),
      '@einkorn/devices': join(root, 'devices/src/index.ts'),
    },
    minifyWhitespace: true,
    minifySyntax: true,
    sourcemap: true,
    logLevel: 'warning',
  });
};

/** A command line of the core: `cli` plans, `recipe-cli` reads recipes. */
export async function buildCli(name) {
  const sources = ['core/src', `scripts/${name}.ts`, 'scripts/cli-io.ts', 'scripts/build.mjs', 'package-lock.json'];
  await once(`dist/${name}.stamp`, `dist/${name}.mjs`, sources, () => bundle(`scripts/${name}.ts`, `dist/${name}.mjs`));
  return pathToFileURL(join(root, `dist/${name}.mjs`)).href;
}

export const buildServer = () =>
  once(
    'server/dist/stamp',
    'server/dist/main.mjs',
    ['core/src', 'devices/src', 'server/src', 'scripts/build.mjs', 'package-lock.json'],
    () =>
      Promise.all([
        bundle('server/src/main.ts', 'server/dist/main.mjs'),
        bundle('server/src/sums/worker.ts', 'server/dist/sums-worker.mjs'),
        bundle('server/src/devices/worker.ts', 'server/dist/devices-worker.mjs'),
        bundle('server/src/keep/cli.ts', 'server/dist/keep.mjs'),
      ]),
  );

export const buildWeb = () =>
  once(
    'web/dist/stamp',
    'web/dist/browser/index.html',
    [
      'core/src',
      'web/src',
      'web/public',
      'web/angular.json',
      'web/ngsw-config.json',
      'web/tsconfig.json',
      'web/tsconfig.app.json',
      'scripts/nonce.mjs',
      'package-lock.json',
    ],
    async () => {
      await run(process.execPath, [join(root, 'node_modules/@angular/cli/bin/ng.js'), 'build'], join(root, 'web'));
      writeNonce(join(root, 'web/dist/browser'), join(root, 'dist/nonce'));
      writeLicences(root, join(root, 'web/dist/browser/licences.txt'));
    },
  );

/** Runs a program, its output shown only when it fails. */
export function run(command, args, cwd = root, env = {}) {
  return new Promise((done, fail) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, NG_CLI_ANALYTICS: 'false', ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    child.stdout.on('data', (d) => (output += d));
    child.stderr.on('data', (d) => (output += d));
    child.on('error', fail);
    child.on('close', (code) =>
      code === 0 ? done(output) : fail(new Error(`${[command, ...args].join(' ')} ended with ${code}\n${output}`)),
    );
  });
}
