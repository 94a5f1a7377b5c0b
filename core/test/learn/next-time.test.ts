import type { Cook } from '../../src/cook/cook';
import { cookFormat } from '../../src/cook/cook';
import { nextTime, withNextTime } from '../../src/learn/next-time';
import { plan } from '../../src/plan/plan';
import { demoDish } from '../helpers/demo';
import { hut } from '../helpers/dishes';

const cooked = (id: string, grain: number | undefined): Cook => {
  const dish = demoDish(id);
  return {
    format: cookFormat,
    id: 'c',
    dishId: id,
    dish,
    plan: plan(dish, hut),
    startedMs: 0,
    finishedMs: 3_600_000,
    events: [],
    outcome: { ratings: grain === undefined ? {} : { grain } },
  };
};

test('what was right, or was not rated, is left as it is', () => {
  expect(nextTime(cooked('plain-long-grain', 2), hut)).toBeNull();
  expect(nextTime(cooked('plain-long-grain', undefined), hut)).toBeNull();
});

test.each([
  ['plain-long-grain', 3, -1],
  ['plain-long-grain', 1, 1],
  ['turkey-leek-lemon', 3, -1],
  ['pork-fennel-bean-rigatoni', 3, -1],
  ['einkorn-berries', 1, 1],
] as const)('%s rated %s is to be cooked %s: one number, in that direction, likelier right', (id, grain, direction) => {
  const next = nextTime(cooked(id, grain), hut)!;
  const numbers = [next.change.holdMin, next.change.liquidMl, next.change.release].filter((x) => x !== undefined);
  expect(numbers).toHaveLength(1);
  expect(next.changed).toBeGreaterThan(next.same);
  const { holdMin, liquidMl, release } = next.change;
  const by =
    holdMin !== undefined
      ? holdMin - next.was.holdMin
      : liquidMl !== undefined
        ? liquidMl - next.was.liquidMl!
        : release!.naturalMin! - next.was.release.naturalMin!;
  expect(Math.sign(by)).toBe(direction);
});

test('taken, the change is a decision that the planner keeps, and no meat comes under its minimum', () => {
  const cook = cooked('turkey-leek-lemon', 3);
  const next = nextTime(cook, hut)!;
  const p = plan(withNextTime(cook.dish, next), hut);
  if (next.change.holdMin !== undefined) expect(p.program.holdMin).toBe(next.change.holdMin);
  if (next.change.liquidMl !== undefined) expect(p.liquid.addMl).toBe(next.change.liquidMl);
  expect(p.meats.filter((m) => m.coreC < m.safeMinimumC)).toEqual([]);
});
