import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import {
  cookTimeline,
  donenessMap,
  equalise,
  evaluate,
  outlook,
  plan,
  readDish,
  readKitchen,
  uncertainty,
  type CookEvent,
  type Dish,
} from '@einkorn/core';
import { atEqualError, ours, solver } from './odex';

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

// The shortest sum first: what ran before would have shaped how the shared code was compiled.
const equal = atEqualError();
const pot = await time(
  { 'our integrator, 1 s': () => void ours(), 'odex, same error': () => void solver(equal.tolerance) },
  200,
);
print('an hour of one pot', pot);
console.log(
  `\nworst error: ours ${equal.oursK.toFixed(3)} K, odex ${equal.solverK.toFixed(3)} K at a tolerance of ${equal.tolerance}; ours is ${(pot[1]!.p50 / pot[0]!.p50).toFixed(0)} times as fast`,
);

// A tick of the Stove: the clock of a cook with a hundred events, as it is and with everything read anew.
const evening = plan(dishOf('turkey-leek-lemon'), kitchen);
const locked = evening.steps.findIndex((s) => s.id === 'lock') + 1;
const events: CookEvent[] = evening.steps
  .slice(0, locked)
  .map((s, i): CookEvent => ({ id: s.id, kind: 'done', stepId: s.id, atMs: i * 60_000 }));
while (events.length < 100)
  events.push({ id: `g${events.length}`, kind: 'gauge-read', gaugeKpa: 70, atMs: events.length * 60_000 });
const soFar = { plan: evening, startedMs: 0, events };
const tick = await time(
  {
    'a tick, 100 events': () => void cookTimeline(soFar, 4_000_000),
    'the same list read anew': () => void cookTimeline({ ...soFar, events: [...events] }, 4_000_000),
  },
  5000,
);
print('the clock of a running cook', tick);
console.log(
  `\na tick takes ${(1000 * tick[0]!.p50).toFixed(1)} us at the median, ${(1000 * tick[0]!.p99).toFixed(1)} us at p99`,
);

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
const toughBeef: Dish = {
  ...turkey,
  family: 'rack-over-grain',
  ingredients: turkey.ingredients.map((i) =>
    i.id === 'turkey' ? { ...i, food: 'beef-stew', prep: { shape: 'cube', thicknessMm: 38 } } : i,
  ),
};
const toughPlan = plan(toughBeef, kitchen);
print(
  'longer sums',
  await time(
    {
      'doneness map, 25 x 31': () => void donenessMap(turkey, kitchen, turkeyPlan),
      'uncertainty, 1,000 draws': () => void uncertainty(turkey, kitchen, turkeyPlan, { draws: 1000 }),
      'outlook, the pin 4 min late': () =>
        void outlook(turkey, kitchen, turkeyPlan, { toPinMin: turkeyPlan.program.pinUpMin + 4 }),
      'equaliser, tough beef on a rack': () => void equalise(toughBeef, kitchen, toughPlan),
    },
    12,
  ),
);

/** The same dish with more of its small things, and with more of its meats. */
const more = (n: number, pick: (id: string) => boolean): Dish => ({
  ...turkey,
  ingredients: turkey.ingredients.flatMap((i) => [
    i,
    ...(pick(i.id) ? Array.from({ length: n }, (_, k) => ({ ...i, id: `${i.id}-${k}` })) : []),
  ]),
});
const grown: Record<string, () => void> = {};
for (const n of [0, 4, 12, 24]) {
  const d = more(n, (id) => id === 'leek');
  grown[`${d.ingredients.length} ingredients, 1 meat`] = () => void plan(d, kitchen);
}
for (const n of [1, 3]) {
  const d = more(n, (id) => id === 'turkey');
  grown[`${d.ingredients.length} ingredients, ${n + 1} meats`] = () => void plan(d, kitchen);
}
print('solve by ingredients', await time(grown, 24));

const lengths: Record<string, () => void> = {};
for (const holdMin of [5, 15, 30, 60]) {
  const d: Dish = { ...turkey, asCooked: { liquidMl: 400, pressure: 'high', holdMin, release: { kind: 'natural' } } };
  lengths[`evaluate, ${holdMin} min of hold`] = () => void evaluate(d, kitchen);
}
print('evaluate by length', await time(lengths, 40));
