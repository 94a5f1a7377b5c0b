import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { plan, readDish, readKitchen } from '@einkorn/core';

/** npm run bench -- memory: the heap over ten thousand plans. It must stay flat. */
const file = join(import.meta.dirname, '..', 'server', 'src', 'demo', 'dishes', 'plain-long-grain.json');
const plain = readDish(JSON.parse(readFileSync(file, 'utf8')));
const kitchen = readKitchen({ altitudeM: 1180 });
const gc = (globalThis as { gc?: () => void }).gc;
const heap = (): number => {
  gc?.();
  return process.memoryUsage().heapUsed / 1e6;
};
const run = (from: number, to: number): void => {
  for (let i = from; i < to; i++) plan({ ...plain, serves: 1 + (i % 8), title: `Batch ${i}` }, kitchen);
};
run(0, 200);
const marks = [heap()];
for (let k = 0; k < 4; k++) {
  run(k * 2500, (k + 1) * 2500);
  marks.push(heap());
}
console.log(`\nheap after 200 plans and each further 2,500 to 10,000: ${marks.map((m) => m.toFixed(1)).join(', ')} MB`);
