import type * as z from 'zod';
import { nearest } from './nearest';
import { codeOf, hintOf, issueAt, Problem, says, wordOf, type Issue } from './problem';
import { sentence, type Code } from './words/sentence';

/** So many findings are told at once; more would be read by nobody. */
const mostIssues = 20;
const mostKeys = 5;
const clipped = (key: string): string => key.slice(0, 60);

/** What Zod found as a refusal: the catalogue's sentence, the first finding after it, and every field with its own. */
export function problemOf(refused: Code<'problem'>, error: z.ZodError): Problem {
  const issues = error.issues.slice(0, mostIssues).flatMap(issuesOf);
  const message = sentence('problem', refused);
  const first = issues[0] ? `${message} ${issues[0].path}: ${issues[0].message}` : message;
  return new Problem(codeOf(refused), first, issues);
}

function issuesOf(i: z.core.$ZodIssue): Issue[] {
  const path = i.path.map(String).join('.');
  switch (i.code) {
    case 'unrecognized_keys':
      return i.keys.slice(0, mostKeys).map((k) => {
        const field = clipped(k);
        return issueAt(path === '' ? field : `${path}.${field}`, 'field-unknown', { field });
      });
    case 'invalid_value': {
      const values = i.values.map(String);
      const near = typeof i.input === 'string' ? nearest(i.input, values, 2) : [];
      const hint = hintOf(near);
      return [issueAt(path, 'use-one-of', { values: values.join(', '), hint })];
    }
    default:
      return [{ path, message: messageOf(i) }];
  }
}

/** What Zod says where a schema gives no sentence of its own. */
const isZods = /^(?:Too (?:small|big): |Invalid\b)/;

/** The sentence of a finding: that of its schema, or the catalogue's in place of Zod's own. */
export function messageOf(i: z.core.$ZodIssue): string {
  if (!isZods.test(i.message)) return i.message;
  switch (i.code) {
    case 'invalid_type':
      return wrongType(i);
    case 'too_small':
      return boundOf(i.origin, i.inclusive !== false, Number(i.minimum), least);
    case 'too_big':
      return boundOf(i.origin, i.inclusive !== false, Number(i.maximum), most);
    case 'invalid_union':
      return 'options' in i && i.options
        ? says('use-one-of', { values: i.options.join(', '), hint: '' })
        : says('form-unknown');
    default:
      return says('form-wrong');
  }
}

type Bounds = Readonly<Record<'number' | 'open' | 'string' | 'array', Code<'problem-field'>>>;
const least: Bounds = { number: 'at-least', open: 'more-than', string: 'characters-at-least', array: 'items-at-least' };
const most: Bounds = { number: 'at-most', open: 'less-than', string: 'characters-at-most', array: 'items-at-most' };

function boundOf(origin: string, isInclusive: boolean, value: number, bounds: Bounds): string {
  if (origin === 'string' || origin === 'array') return says(bounds[origin], { least: value, most: value });
  return says(isInclusive ? bounds.number : bounds.open, { value });
}

const typeNames: Record<string, Code<'problem-word'>> = {
  number: 'a-number',
  int: 'a-whole-number',
  string: 'text',
  array: 'a-list',
  object: 'an-object',
  record: 'an-object',
  boolean: 'true-or-false',
};

const wrongType = (i: { expected: string; message: string }): string => {
  const missing = i.message.endsWith('received undefined');
  const name = typeNames[i.expected];
  const want = name ? wordOf(name) : i.expected;
  return says(missing ? 'field-missing' : 'field-type', { want });
};
