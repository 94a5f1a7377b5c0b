import { kitchenSchema, type Plan } from '@einkorn/core';
import { Planner, PlanProblem } from '../src/app/workers/planner';
import { turkeyDish } from './dishes';
import { workers } from './spawn';

const kitchen = kitchenSchema.parse({});
const named = (title: string): Plan => ({ title }) as Plan;
const dish = (title: string) => ({ ...turkeyDish(), title });

beforeEach(() => workers.splice(0));

test('while one verdict is worked out only the newest question waits', () => {
  const planner = new Planner();
  const heard: string[] = [];
  for (const t of ['a', 'ab', 'abc']) planner.plan(dish(t), kitchen).subscribe((p) => heard.push(p.title));
  const worker = workers[0]!;
  expect(worker.asked.map((q) => q.ask.dish.title)).toEqual(['a']);
  worker.answer({ value: named('a') });
  worker.answer({ value: named('abc') });
  expect(worker.asked.map((q) => q.ask.dish.title)).toEqual(['a', 'abc']);
  expect(heard).toEqual(['a', 'abc']);
});

test('stopping a long question ends its worker and the next one starts afresh', () => {
  const planner = new Planner();
  const map = planner.map(dish('a'), kitchen, named('a')).subscribe();
  const shares: number[] = [];
  map.unsubscribe();
  expect(workers[0]!.ended).toBe(true);
  planner.map(dish('b'), kitchen, named('b')).subscribe((r) => shares.push(r.share));
  workers[1]!.answer({ type: 'progress', share: 0.5 });
  workers[1]!.answer({ type: 'done', value: { holdMin: [] } as never });
  expect(shares).toEqual([0.5, 1]);
});

test('a refusal and a crash reach the asker as a problem, and the line goes on', () => {
  const planner = new Planner();
  const codes: string[] = [];
  const ask = (t: string): void => {
    planner
      .plan(dish(t), kitchen)
      .subscribe({ error: (e: unknown) => codes.push(e instanceof PlanProblem ? e.problem.code : '?') });
  };
  ask('a');
  workers[0]!.answer({ type: 'problem', problem: { code: 'grain-missing', message: '', issues: [] } });
  ask('b');
  workers[0]!.dispatchEvent(Object.assign(new Event('error'), { message: 'boom' }));
  ask('c');
  expect(codes).toEqual(['grain-missing', 'worker']);
  expect(workers[1]!.asked.map((q) => q.ask.dish.title)).toEqual(['c']);
});
