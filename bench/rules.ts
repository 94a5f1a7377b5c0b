import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { rules, type Rule } from './rules-table';

/*
 * npm run bench -- rules: takes each rule of judgement away in a copy of the core and runs the suite that must miss it.
 * Prints the table of docs/rules.md; ends with 1 where a rule is missed by nobody, or its line or its suite is not there any more.
 */
const root = join(import.meta.dirname, '..');
const copy = mkdtempSync(join(tmpdir(), 'einkorn-rules-'));
for (const part of ['core', 'server/src', 'docs', 'tsconfig.base.json', 'package.json'])
  cpSync(join(root, part), join(copy, part), { recursive: true });
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));

const core = join(copy, 'core');
const passes = (...suites: string[]): boolean =>
  spawnSync('npx', ['jest', '--bail', `test/(${suites.join('|')})\\.test`], { cwd: core }).status === 0;
if (!passes(...new Set(rules.map(([, , , , , suite]) => suite))))
  throw new Error('a suite fails with every rule in place');

/** What is wrong with a rule once it is taken away; null where its suite misses it. */
function wrongWith([, , file, from, to, suite]: Rule): string | null {
  const path = join(core, 'src', file);
  const text = readFileSync(path, 'utf8');
  if (text.split(from).length !== 2 || !existsSync(join(core, 'test', `${suite}.test.ts`)))
    return '**its line is gone**';
  writeFileSync(
    path,
    text.replace(from, () => to),
  );
  const isMissed = !passes(suite);
  writeFileSync(path, text);
  return isMissed ? null : '**nobody**';
}

let missed = 0;
console.log('| rule | says | in core/src | held by core/test |\n|---|---|---|---|');
for (const rule of rules) {
  const [id, says, file, , , suite] = rule;
  const wrong = wrongWith(rule);
  if (wrong) missed += 1;
  console.log(`| ${id} | ${says} | ${file} | ${wrong ?? suite} |`);
}
rmSync(copy, { recursive: true });
console.log(`\n${rules.length - missed} of ${rules.length} held`);
process.exitCode = missed > 0 ? 1 : 0;
