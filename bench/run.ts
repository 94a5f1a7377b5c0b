import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import { donenessMap, evaluate, plan, readDish, readKitchen, uncertainty, type Dish } from '@einkorn/core';

/*
 * npm run bench: the dishes of the demo, solved and evaluated, and the longer sums, all in one run. Milliseconds are this machine's; what is compared are the ratios.
 */
const folder = join(import.meta.dirname, '..', 'server', 'src', 'demo', 'dishes');
const dishes = readdirSync(folder).map((f): [string, Dish] => [
  f.replace('.json', ''),
  readDish(JSON.parse(readFileSync(join(folder, f), 'utf8'))),
]);
const kitchen = readKitchen({ altitudeM: 1180 });
const dishOf = (id: string): Dish => dishes.find(([name]) => name === id)![1];

interface Row {
  name: string;
  p50: number;
  p99: number;
}
async function time(tasks: Record<string, () => void>, iterations: number): Promise<Row[]> {
  const bench = new Bench({ iterations, time: 0, warmupIterations: Math.ceil(iterations / 8), warmupTime: 0 });
  for (const [name, f] of Object.entries(tasks)) bench.add(name, f);
  await bench.run();
  return bench.tasks.flatMap((t) => {
    const latency = t.result.state === 'completed' ? t.result.latency : null;
    return latency ? [{ name: t.name, p50: latency.p50, p99: latency.p99 }] : [];
  });
}
const print = (title: string, rows: Row[]): void => {
  const least = Math.min(...rows.map((r) => r.p50));
  console.log(`\n| ${title} | p50 ms | p99 ms | times the fastest |`);
  console.log('|---|---|---|---|');
  for (const r of rows)
    console.log(`| ${r.name} | ${r.p50.toFixed(1)} | ${r.p99.toFixed(1)} | ${(r.p50 / least).toFixed(1)} |`);
};
const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;

const solve: Record<string, () => void> = {};
const judge: Record<string, () => void> = {};
for (const [name, dish] of dishes) {
  const p = plan(dish, kitchen);
  const { pressure, holdMin, release } = p.program;
  const cooked: Dish = { ...dish, asCooked: { liquidMl: p.liquid.addMl, pressure, holdMin, release } };
  solve[name] = () => void plan(dish, kitchen);
  judge[name] = () => void evaluate(cooked, kitchen);
}
const solved = await time(solve, 60);
const judged = await time(judge, 60);
print('solve', solved);
console.log(
  `\nmedian over the dishes: solve ${median(solved.map((r) => r.p50)).toFixed(1)} ms, evaluate ${median(judged.map((r) => r.p50)).toFixed(1)} ms`,
);
print('evaluate', judged);

const turkey = dishOf('turkey-leek-lemon');
const turkeyPlan = plan(turkey, kitchen);
const twice: Dish = {
  ...turkey,
  ingredients: [
    ...turkey.ingredients,
    ...turkey.ingredients.filter((i) => i.id !== 'rice' && i.id !== 'broth').map((i) => ({ ...i, id: `${i.id}-2` })),
  ],
};
print(
  'longer sums',
  await time(
    {
      'doneness map': () => void donenessMap(turkey, kitchen, turkeyPlan),
      'uncertainty, 1,000 draws': () => void uncertainty(turkey, kitchen, turkeyPlan, 1000),
      'solve, 8 ingredients': () => void plan(turkey, kitchen),
      'solve, 14 ingredients': () => void plan(twice, kitchen),
    },
    12,
  ),
);

const gc = (globalThis as { gc?: () => void }).gc;
const heap = (): number => {
  gc?.();
  return process.memoryUsage().heapUsed / 1e6;
};
const before = heap();
const plain = dishOf('plain-long-grain');
for (let i = 0; i < 1000; i++) plan({ ...plain, serves: 1 + (i % 8) }, kitchen);
console.log(`\nheap before ${before.toFixed(0)} MB, after 1,000 plans ${heap().toFixed(0)} MB`);
