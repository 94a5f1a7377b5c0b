import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { plan } from '../src/plan/plan';
import type { Plan } from '../src/plan/document/document';
import { demo } from './helpers/demo';
import { hut } from './helpers/dishes';

/*
 * Every number of the demo plans, six digits each, as they were before the code was moved about: a change of structure
 * changes none of them. A change of the model rewrites the file (GOLDEN=write) and says so in docs/decisions.md.
 */
const file = join(__dirname, 'golden', 'plans.json');
const digits = (_key: string, v: unknown): unknown => (typeof v === 'number' ? Number(v.toPrecision(6)) : v);

/** The plan without its long curves and without words: what a cook acts on. */
function figures({ curve, warnings, decided: _decided, madeFor: _madeFor, ...p }: Plan): unknown {
  return JSON.parse(
    JSON.stringify(
      {
        ...p,
        curvePoints: curve.minutes.length,
        lastC: curve.tempC.at(-1),
        warnings: warnings.map((w) => ({ code: w.code, severity: w.severity, params: w.params })),
      },
      (key, v: unknown) => (key === 'reason' || key === 'curve' ? undefined : digits(key, v)),
    ),
  );
}

test('the plans of all demo dishes are as they were', () => {
  const now = Object.fromEntries([...demo].map(([slug, dish]) => [slug, figures(plan(dish, hut))]));
  if (process.env['GOLDEN'] === 'write') writeFileSync(file, `${JSON.stringify(now)}\n`);
  const before = JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>;
  expect(Object.keys(now)).toEqual(Object.keys(before));
  for (const slug of demo.keys()) expect([slug, now[slug]]).toEqual([slug, before[slug]]);
});
