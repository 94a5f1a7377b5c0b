import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import * as z from 'zod';
import { cookFormat, cookSchema, type Cook } from '../src/cook/cook';
import { kitchenSchema } from '../src/dish/kitchen';
import { learnedSchema } from '../src/dish/learned';
import { dishSchema } from '../src/dish/schema';
import { planSchema } from '../src/plan/document/document';
import { plan } from '../src/plan/plan';
import { readingSchema } from '../src/recipe/reading';
import { logColumns, logCsv, logFile, logSchema } from '../src/share/log';
import { hut, turkeyRice } from './helpers/dishes';

const schemas = {
  dish: dishSchema,
  plan: planSchema,
  kitchen: kitchenSchema,
  cook: cookSchema,
  reading: readingSchema,
  log: logSchema,
  learned: learnedSchema,
};
const folder = join(__dirname, '..', '..', 'docs', 'formats');

/* What stands in docs/formats is what the programs read and write; SCHEMAS=write makes the files anew. */
test.each(Object.entries(schemas))('the JSON Schema of a %s document is the one in docs/formats', (name, schema) => {
  const now = `${JSON.stringify(z.toJSONSchema(schema), null, 2)}\n`;
  const file = join(folder, `${name}.schema.json`);
  if (process.env['SCHEMAS'] === 'write') writeFileSync(file, now);
  expect(now).toBe(readFileSync(file, 'utf8'));
});

describe('the log as a file', () => {
  const dish = turkeyRice({ title: '=cmd|"x"' });
  const start = Date.UTC(2026, 10, 14, 17, 40);
  const cook: Cook = {
    format: cookFormat,
    id: 'c1',
    dishId: null,
    dish,
    plan: plan(dish, hut),
    startedMs: start,
    finishedMs: start + 58 * 60_000,
    events: [],
    outcome: { ratings: { grain: 2, salt: 4 }, coreC: 86.04, note: 'Good, "a touch" dry;\nnext time less' },
  };
  const read = (csv: string) => Papa.parse<Record<string, string>>(csv, { header: true });
  test('as JSON it comes back as it was', () => {
    const file = logFile(hut, [cook]);
    expect(logSchema.parse(JSON.parse(JSON.stringify(file)))).toEqual(JSON.parse(JSON.stringify(file)));
  });
  test('as a table every column has its name, and every cell comes back', () => {
    const { data, errors, meta } = read(logCsv([cook, { ...cook, id: 'c2', outcome: null }]));
    expect(errors).toEqual([]);
    expect(meta.fields).toEqual([...logColumns]);
    expect(data).toHaveLength(2);
    expect(data[0]).toMatchObject({
      startedAt: '2026-11-14T17:40:00.000Z',
      pot: 'electric-5.7',
      altitudeM: '1180',
      safeMinimumC: '74',
      coreC: '86',
      grain: '2',
      salt: '4',
      meat: '',
      totalMin: '58',
      toPinMin: '',
      note: 'Good, "a touch" dry;\nnext time less',
      practice: '',
    });
    expect(data[1]).toMatchObject({ grain: '', note: '', coreC: '' });
  });
  // A title that a spreadsheet would run is text: OWASP, "CSV injection".
  test('nothing in a cell is a formula', () => expect(read(logCsv([cook])).data[0]!['dish']).toBe('\'=cmd|"x"'));
});
