import type * as z from 'zod';
import { nearest } from './nearest';
import { codeOf, hintOf, issueAt, Problem, wordOf, type Issue } from './problem';
import { sentence, type Code } from './words/sentence';

/** So many findings are told at once; more would be read by nobody. */
const mostIssues = 20;
const mostKeys = 5;
const clipped = (key: string): string => key.slice(0, 60);

/** What Zod found as a refusal: the catalogue's sentence, the first finding after it, and every field with its own. */
export function problemOf(says: Code<'problem'>, error: z.ZodError): Problem {
  const issues = error.issues.slice(0, mostIssues).flatMap(issuesOf);
  const message = sentence('problem', says);
  const first = issues[0] ? `${message} ${issues[0].path}: ${issues[0].message}` : message;
  return new Problem(codeOf(says), first, issues);
}

function issuesOf(i: z.core.$ZodIssue): Issue[] {
  const path = i.path.map(String).join('.');
  switch (i.code) {
    case 'unrecognized_keys':
      return i.keys.slice(0, mostKeys).map((k) => {
        const field = clipped(k);
        return issueAt(path === '' ? field : `${path}.${field}`, 'field-unknown', { field });
      });
    case 'invalid_type':
      return [i.message.startsWith('Invalid') ? wrongType(path, i) : { path, message: i.message }];
    case 'invalid_value': {
      const values = i.values.map(String);
      const near = typeof i.input === 'string' ? nearest(i.input, values, 2) : [];
      const hint = hintOf(near);
      return [issueAt(path, 'use-one-of', { values: values.join(', '), hint })];
    }
    default:
      return [{ path, message: i.message }];
  }
}

const typeNames: Record<string, Code<'problem-word'>> = {
  number: 'a-number',
  string: 'text',
  array: 'a-list',
  object: 'an-object',
  boolean: 'true-or-false',
};

const wrongType = (path: string, i: { expected: string; message: string }): Issue => {
  const missing = i.message.endsWith('received undefined');
  const name = typeNames[i.expected];
  const want = name ? wordOf(name) : i.expected;
  return issueAt(path, missing ? 'field-missing' : 'field-type', { want });
};
