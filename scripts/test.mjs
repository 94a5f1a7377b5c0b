// npm test: installs what is missing, then lint, types, Jest in every workspace, the build and Playwright. The last
// line counts everything that ran: "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { install } from './install.mjs';

install();
const { buildCli, buildServer, buildWeb, root } = await import('./build.mjs');
const { chromium } = await import('./chromium.mjs');

const reports = join(root, 'dist', 'reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });
const only = new Set(process.argv.slice(2));
const total = { passed: 0, failed: 0 };
const failures = [];

function count(name, passed, failed) {
  total.passed += passed;
  total.failed += failed;
  if (failed > 0) failures.push(name);
  console.log(`— ${name}: ${passed} passed, ${failed} failed`);
}

const tool = (...path) => join(root, 'node_modules', ...path);
const node = (args, options = {}) =>
  spawnSync(process.execPath, args, { cwd: root, stdio: 'inherit', env: process.env, ...options }).status ?? 1;

/** One check without a report of its own counts as one. */
function check(name, ...args) {
  if (only.size > 0 && !only.has('lint')) return;
  const ok = node(args) === 0;
  count(name, ok ? 1 : 0, ok ? 0 : 1);
}

function jest(workspace) {
  if (only.size > 0 && !only.has(workspace)) return;
  const file = join(reports, `${workspace}.json`);
  node([tool('jest', 'bin', 'jest.js'), '--json', `--outputFile=${file}`, '--silent=false'], {
    cwd: join(root, workspace),
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  // A run that could not even start has no report: that is one failure, not none.
  if (!existsSync(file)) return count(`Jest ${workspace}`, 0, 1);
  const r = JSON.parse(readFileSync(file, 'utf8'));
  count(`Jest ${workspace}`, r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites);
}

async function browser() {
  if (only.size > 0 && !only.has('e2e')) return;
  try {
    chromium();
    await buildServer();
    await buildWeb();
  } catch (e) {
    console.error(e.message);
    return count('Playwright', 0, 1);
  }
  const file = join(root, 'e2e', 'test-results', 'report.json');
  rmSync(file, { force: true });
  node([tool('@playwright', 'test', 'cli.js'), 'test'], { cwd: join(root, 'e2e') });
  if (!existsSync(file)) return count('Playwright', 0, 1);
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  // A test that only passed on a second try did not pass.
  count('Playwright', stats.expected, stats.unexpected + stats.flaky);
}

check('ESLint', tool('eslint', 'bin', 'eslint.js'), '.');
check('Prettier', tool('prettier', 'bin', 'prettier.cjs'), '--check', '.', '--log-level', 'warn');
check(
  'dependency rules',
  tool('dependency-cruiser', 'bin', 'dependency-cruise.mjs'),
  '--config',
  '.dependency-cruiser.cjs',
  'core/src',
  'devices/src',
  'server/src',
  'web/src',
);
for (const p of ['core', 'devices', 'server', 'e2e', 'scripts', 'bench'])
  check(`types ${p}`, tool('typescript', 'bin', 'tsc'), '-p', `${p}/tsconfig.json`, '--noEmit');
check(
  'types web',
  tool('@angular', 'compiler-cli', 'bundles', 'src', 'bin', 'ngc.js'),
  '-p',
  'web/tsconfig.app.json',
  '--noEmit',
);
check('types web worker', tool('typescript', 'bin', 'tsc'), '-p', 'web/tsconfig.worker.json', '--noEmit');
check('types web tests', tool('typescript', 'bin', 'tsc'), '-p', 'web/tsconfig.spec.json', '--noEmit');
for (const name of ['cli', 'recipe-cli']) await buildCli(name);
for (const w of ['core', 'devices', 'server', 'web']) jest(w);
await browser();

if (failures.length > 0) console.log(`Failed: ${failures.join(', ')}`);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed === 0 ? 0 : 1;
