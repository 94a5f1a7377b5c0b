import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readKitchen } from '@einkorn/core';
import { cookDiary } from '../src/demo/household';

const file = join(__dirname, '..', 'src', 'demo', 'cloudberry.json');

// The log of the demo is made by the simulated cooker, not written by hand; DEMO=write makes it anew.
test('the log of the demo is what the simulated household cooks', () => {
  const made = cookDiary(readKitchen({ potId: 'electric-5.7', altitudeM: 1180 }));
  if (process.env['DEMO'] === 'write') writeFileSync(file, `${JSON.stringify(made, null, 1)}\n`);
  expect(JSON.parse(JSON.stringify(made))).toEqual(JSON.parse(readFileSync(file, 'utf8')));
});
