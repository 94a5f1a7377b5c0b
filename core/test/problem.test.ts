import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { issueAt, refusal, refusalAt } from '../src/problem';
import { problemWords } from '../src/words/problems';

test('a refusal has the sentence of the catalogue, filled, and what fills it', () => {
  const p = refusal('answer-missing', { answer: 'coreC' }, issueAt('coreC', 'answer-needed'));
  expect(p.toJSON()).toEqual({
    code: 'answer-missing',
    message: 'To help, say: coreC.',
    issues: [{ path: 'coreC', message: 'This answer is needed for the sum.' }],
  });
  expect(p.params).toEqual({ answer: 'coreC' });
});

test('several sentences may be one kind of refusal; one about a field alone says the same beside it', () => {
  expect(refusal('unit-unknown', { text: 'cps', hint: '' }).code).toBe('amount-unit');
  const p = refusalAt('food', 'food-unknown', { food: 'rize', hint: ' Did you mean rice-long?' });
  expect(p.issues).toEqual([{ path: 'food', message: p.message }]);
});

const root = join(__dirname, '..', '..');
const sources = ['core/src', 'server/src', 'web/src', 'scripts'].flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.ts$/.test(f) && !f.endsWith('words/problems.ts'))
    .map((f) => readFileSync(join(root, folder, f), 'utf8')),
);

test('every sentence of a refusal is used, and none stands anywhere else', () => {
  const all = sources.join('\n');
  const codes = Object.values(problemWords).flatMap((section) => Object.keys(section));
  expect(codes.filter((code) => !all.includes(`'${code}'`))).toEqual([]);
  // A refusal made of words in place is allowed to what hands on a problem from elsewhere, and to `refusal` itself.
  const inPlace = sources.flatMap((s) => [...s.matchAll(/new Problem\(\s*'[^']+',\s*['"`]/g)].map((m) => m[0]));
  expect(inPlace).toEqual([]);
});

test('no schema says a sentence of its own', () => {
  const own = sources.flatMap((s) =>
    [...s.matchAll(/\.(?:min|max|int|positive|regex|refine)\([^()]*'[A-Z][^']*\.'/g)].map((m) => m[0]),
  );
  expect(own).toEqual([]);
});
