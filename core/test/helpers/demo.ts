import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { readDish } from '../../src/dish/read';
import type { Dish } from '../../src/dish/schema';

const folder = join(__dirname, '..', '..', '..', 'server', 'src', 'demo', 'dishes');

/** The dishes of the demo by their id. */
export const demo = new Map(
  readdirSync(folder).map((f): [string, Dish] => [
    f.replace('.json', ''),
    readDish(JSON.parse(readFileSync(join(folder, f), 'utf8'))),
  ]),
);
export const demoDish = (id: string): Dish => demo.get(id)!;
