import { cookFormat, kitchenSchema, plan, readDish, type Cook, type CookEvent } from '@einkorn/core';
import { demoDishes } from '../../server/src/demo/dishes';
import { lastTime } from '../src/app/bench/last-time';
import { placeOf, warningsAt } from '../src/app/bench/warning-places';

const dish = readDish(demoDishes['turkey-leek-lemon']);
const planned = plan(dish, kitchenSchema.parse({ altitudeM: 1180 }));
const startedMs = Date.UTC(2026, 10, 14, 17);
const cook = (events: CookEvent[]): Cook => ({
  format: cookFormat,
  id: 'c',
  dishId: null,
  dish,
  plan: planned,
  startedMs,
  finishedMs: startedMs + 7_200_000,
  events,
  outcome: null,
});

describe('as you did last time', () => {
  test('nobody tapped: as it was planned', () => {
    expect(lastTime(cook([]))).toEqual({
      startedMs,
      holdMin: planned.program.holdMin,
      naturalMin: planned.program.release.naturalMin,
      liquidMl: planned.liquid.addMl,
    });
  });
  test('a hold that was taken and a release that ran longer count as they were', () => {
    const before = planned.steps.slice(
      0,
      planned.steps.findIndex((s) => s.id === 'heat-up'),
    );
    const lidMs = startedMs + before.reduce((m, s) => m + s.minutes, 0) * 60_000;
    const { pinUpMin, minutesToPressure } = planned.program;
    const holdEndMs = lidMs + (minutesToPressure + 5) * 60_000;
    const was = lastTime(
      cook([
        { id: '1', kind: 'pin-up', atMs: lidMs + pinUpMin * 60_000 },
        { id: '2', kind: 'hold-changed', atMs: lidMs + pinUpMin * 60_000, holdMin: 5 },
        { id: '3', kind: 'pin-down', atMs: holdEndMs + 14 * 60_000 },
      ]),
    );
    expect(was.holdMin).toBe(5);
    expect(Math.abs(was.naturalMin - 14)).toBeLessThanOrEqual(1);
  });
});

test('every warning has a sheet; a sheet shows its stops and cautions, not what is only good to know', () => {
  expect(placeOf({ code: 'fry-burns' })).toBe('fry');
  expect(placeOf({ code: 'meat-under' })).toBe('pressure');
  const all = [
    { code: 'over-full', severity: 'stop' as const },
    { code: 'scorch', severity: 'caution' as const },
    { code: 'thermometer', severity: 'info' as const },
    { code: 'liquid-short', severity: 'caution' as const },
  ];
  expect(warningsAt(all, 'stack').map((w) => w.code)).toEqual(['over-full', 'scorch']);
  expect(warningsAt(all, 'finish')).toEqual([]);
  expect(warningsAt(all, 'water').map((w) => w.code)).toEqual(['liquid-short']);
});
