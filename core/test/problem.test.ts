import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as z from 'zod';
import { messageOf } from '../src';
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

test.each([
  [z.number().min(2), 1, 'At least 2.'],
  [z.number().positive(), 0, 'More than 0.'],
  [z.number().max(2), 3, 'At most 2.'],
  [z.number().lt(2), 2, 'Less than 2.'],
  [z.int(), 1.5, 'This must be a whole number.'],
  [z.number(), Number.NaN, 'This must be a number.'],
  [z.string().min(2), 'a', 'Use at least 2 characters.'],
  [z.string().max(1), 'ab', 'Use at most 1 characters.'],
  [z.array(z.string()).min(1), [], 'At least 1 of these.'],
  [z.array(z.string()).max(1), ['a', 'b'], 'At most 1 of these.'],
  [z.string().regex(/^a/), 'b', 'This is not written in the form that is asked for.'],
  [z.union([z.string(), z.number()]), true, 'This has none of the forms that are understood.'],
  [z.discriminatedUnion('kind', [z.object({ kind: z.literal('quick') })]), { kind: 'slow' }, 'Use one of: quick.'],
  [z.number().min(2, 'Two or more.'), 1, 'Two or more.'],
  [z.string(), undefined, 'This field is missing; it must be text.'],
] as const)(
  'what a schema finds without a sentence of its own is said in the words of the catalogue: %#',
  (schema, value, message) => {
    expect(messageOf(schema.safeParse(value).error!.issues[0]!)).toBe(message);
  },
);
