import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import { evaluate, plan, readDish, readKitchen, type Dish } from '@einkorn/core';

/*
 * npm run bench: the dishes of the demo, solved and evaluated, in one run. Milliseconds are this machine's; what is
 * compared are the ratios.
 */
const folder = join(import.meta.dirname, '..', 'server', 'src', 'demo', 'dishes');
const dishes = readdirSync(folder).map((f): [string, Dish] => [
  f.replace('.json', ''),
  readDish(JSON.parse(readFileSync(join(folder, f), 'utf8'))),
]);
const kitchen = readKitchen({ altitudeM: 1180 });

const bench = new Bench({ iterations: 200, time: 0, warmupIterations: 20, warmupTime: 0 });
for (const [name, dish] of dishes) {
  const p = plan(dish, kitchen);
  const { pressure, holdMin, release } = p.program;
  const cooked: Dish = { ...dish, asCooked: { liquidMl: p.liquid.addMl, pressure, holdMin, release } };
  bench.add(`solve ${name}`, () => void plan(dish, kitchen));
  bench.add(`evaluate ${name}`, () => void evaluate(cooked, kitchen));
}
await bench.run();

const rows = bench.tasks.flatMap((t) => {
  const latency = t.result.state === 'completed' ? t.result.latency : null;
  return latency ? [{ name: t.name, p50: latency.p50, p99: latency.p99 }] : [];
});
const least = Math.min(...rows.map((r) => r.p50));
console.log('| what | p50 ms | p99 ms | times the fastest |');
console.log('|---|---|---|---|');
for (const r of rows)
  console.log(`| ${r.name} | ${r.p50.toFixed(1)} | ${r.p99.toFixed(1)} | ${(r.p50 / least).toFixed(1)} |`);
