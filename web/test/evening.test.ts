import { cookFormat, evening, kitchenSchema, plan, type Cook, type CookSummary } from '@einkorn/core';
import { asOnStove, cookOf, dishesOf, mostCourses, ofTonight } from '../src/app/evening/courses';
import { turkeyDish } from './dishes';

const nowMs = Date.UTC(2026, 10, 20, 18);
const hour = 3_600_000;
const minute = 60_000;
const dish = turkeyDish();
const planned = plan(dish, kitchenSchema.parse({ altitudeM: 1180 }));
const cook = (more: Partial<Cook>): Cook => ({
  format: cookFormat,
  id: 'c',
  dishId: 'turkey',
  dish,
  plan: planned,
  startedMs: nowMs - 10 * minute,
  finishedMs: null,
  events: [],
  outcome: null,
  ...more,
});
/** Only what the evening looks at. */
const summary = (dishId: string, finishedMs: number | null, practice = false): CookSummary =>
  ({ dishId, finishedMs, practice }) as CookSummary;
const turkey = { dishId: 'turkey', potId: 'electric-8' };
const potatoes = { dishId: 'potatoes', potId: 'electric-3' };
const stove = (cooking: Cook[], newest: CookSummary[] = []) => ({ cooking, newest });

describe('the evening as the stove has it', () => {
  test('what cooks is among the courses, once, in the pot that it cooks in', () => {
    const inItsPot = { dishId: 'turkey', potId: planned.pot.id };
    expect(asOnStove([potatoes], stove([cook({})]), nowMs)).toEqual([potatoes, inItsPot]);
    expect(asOnStove([turkey, potatoes], stove([cook({})]), nowMs)).toEqual([inItsPot, potatoes]);
  });
  test('a practice, a cook of another day and a dish that is not on the Shelf stay out', () => {
    const others = [
      cook({ practice: { seed: 1, speed: 10, fault: 'none' } as unknown as NonNullable<Cook['practice']> }),
      cook({ startedMs: nowMs - 20 * hour }),
      // Begun two hours ago and never tapped: nobody stands at it.
      cook({ startedMs: nowMs - 2 * hour }),
      cook({ dishId: null }),
    ];
    expect(asOnStove([potatoes], stove(others), nowMs)).toEqual([potatoes]);
    expect(ofTonight(others, nowMs).map((c) => c.dishId)).toEqual([null]);
  });
  test('a dish that was eaten a while ago leaves, unless it is cooked once more', () => {
    const eaten = [summary('turkey', nowMs - hour)];
    expect(asOnStove([turkey, potatoes], stove([], eaten), nowMs)).toEqual([potatoes]);
    expect(asOnStove([turkey], stove([cook({})], eaten), nowMs)).toHaveLength(1);
    for (const other of [
      summary('turkey', nowMs - 5 * hour),
      summary('turkey', nowMs + hour),
      summary('turkey', null),
      summary('turkey', nowMs - hour, true),
    ])
      expect(asOnStove([turkey], stove([], [other]), nowMs)).toEqual([turkey]);
  });
  test('never more than the hands can bring to one table', () => {
    const many = ['a', 'b', 'c', 'd'].map((dishId) => cook({ id: dishId, dishId }));
    expect(asOnStove([turkey], stove(many), nowMs)).toHaveLength(mostCourses);
  });
  test('of two cooks of one dish the newer one is meant, and it stands at the times of its steps', () => {
    const older = cook({ id: 'older', startedMs: nowMs - 2 * hour });
    const newer = cook({ id: 'newer', startedMs: nowMs - 30 * minute });
    expect(cookOf(turkey, [older, newer])?.id).toBe('newer');
    const known = [
      { dish, plan: null, problem: 'x', cook: undefined },
      { dish, plan: planned, problem: null, cook: newer },
    ];
    const [only] = dishesOf(known, nowMs);
    expect(only).toMatchObject({ id: '1', plan: planned });
    // Nobody has ticked a step for half an hour: its first one is still going on, and the table waits.
    const e = evening([only!], nowMs, nowMs);
    expect(e.lateId).toBe('1');
    expect(e.dishes[0]!.startMs).toBe(newer.startedMs);
    expect(e.serveMs).toBeGreaterThan(nowMs + 30 * minute);
  });
});
