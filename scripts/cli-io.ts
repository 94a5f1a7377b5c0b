import { readFileSync, statSync } from 'node:fs';
import { Problem, refusal, issueAt } from '@einkorn/core';

/** No dish or recipe is larger, and no log, bytes: what is more is not read at all. */
const largestBytes = 8_000_000;
export const largestLogBytes = 128_000_000;

/** The text of a file. Throws Problem `file-missing` or `file-large`; `path` names the argument. */
export function readText(file: string, path: string, most = largestBytes): string {
  const shown = file.slice(0, 200);
  try {
    if (statSync(file).size <= most) return readFileSync(file, 'utf8');
  } catch {
    throw refusal('file-missing', { file: shown }, issueAt(path, 'no-such-file'));
  }
  throw refusal('file-large', { file: shown }, issueAt(path, 'most-megabytes', { megabytes: most / 1_000_000 }));
}

/** The JSON of a file. Throws Problem `not-json` too; `path` names the argument. */
export function readJson(file: string, path: string, most = largestBytes): unknown {
  const text = readText(file, path, most);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw refusal('file-not-json', { file: file.slice(0, 200) }, issueAt('', 'text-not-json'));
  }
}

/** A refusal of an argument; `path` names it. */
export const bad = (path: string, message: string): Problem => new Problem('arguments', message, [{ path, message }]);

/** Bad input: one error object on stderr, exit code 2; never a stack trace. */
export function failed(e: unknown, otherwise: string): 2 {
  const error = e instanceof Problem ? e.toJSON() : { code: 'internal', message: otherwise, issues: [] };
  process.stderr.write(`${JSON.stringify({ error })}\n`);
  return 2;
}
