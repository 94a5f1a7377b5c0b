import fc from 'fast-check';
import { realityOf } from '../src/cook/reality';
import { actualOf } from '../src/cook/actual';
import { cookFormat, type Cook } from '../src/cook/cook';
import { curveFromTaps } from '../src/cook/tapped-curve';
import type { CookEvent } from '../src/cook/events';
import { standingEvents, ofThisRun } from '../src/cook/runs';
import { plan } from '../src/plan/plan';
import { happened, timelineAt, undoNewest } from './helpers/happened';
import { hut, turkeyRice } from './helpers/dishes';

/* The rules of the Stove: facts replace predictions, and nothing after the second lock of the lid comes from the first run. */
const dish = turkeyRice();
const planned = plan(dish, hut);
const { steps } = planned;
const t0 = Date.UTC(2026, 10, 14, 17, 0);
const min = (m: number): number => t0 + m * 60_000;
const locked: CookEvent[] = steps
  .slice(0, steps.findIndex((s) => s.id === 'lock') + 1)
  .map((s, i, all) => happened({ kind: 'done', stepId: s.id }, min((30 * (i + 1)) / all.length)));
/** The lid is locked again after four minutes, for so many at pressure. */
const burnAt = (atMs: number, holdMin = 5): CookEvent =>
  happened({ kind: 'rescued', minutes: 4, text: 'scrape', lockedAgain: { lid: 'heat-up', holdMin, addMl: 60 } }, atMs);
const burn = burnAt(min(36));
const at = (events: CookEvent[], now: number) => {
  const r = timelineAt(steps, t0, events, min(now));
  const find = (id: string) => r.steps.find((s) => s.step.id === id)!;
  return { r, find, now: r.steps[r.current]?.step.id ?? null };
};

describe('the lid was locked again', () => {
  const events = [...locked, burn];
  test('the broken run is past, what is to be done comes first, then the pot heats again from warm', () => {
    const { r, find, now } = at(events, 37);
    expect(now).toBe('rescue-0');
    expect(find('broken-off-0')).toMatchObject({ done: true, endMs: min(36) });
    expect(find('rescue-0').endMs).toBe(min(40));
    expect(find('heat-up').endMs).toBeCloseTo(min(40 + planned.program.pinUpMin / 2), -2);
    expect(find('hold').step.minutes).toBe(5);
    expect(r.steps.every((s, i) => i === 0 || s.startMs === r.steps[i - 1]!.endMs)).toBe(true);
  });
  test('what the pot told before no longer counts, and steam let off before the new pin is no end', () => {
    const early: CookEvent[] = [
      ...locked,
      happened({ kind: 'pin-up' }, min(35)),
      burn,
      happened({ kind: 'pin-down' }, min(37)),
    ];
    const done: CookEvent = happened({ kind: 'done', stepId: 'rescue-0' }, min(41));
    expect(at([...early, done], 42).now).toBe('heat-up');
    const again = at([...early, done, happened({ kind: 'pin-up' }, min(46))], 47);
    expect(again.now).toBe('to-full');
    expect(again.find('heat-up')).toMatchObject({ startMs: min(41), endMs: min(46), done: true });
  });
  test('told while the lid is still off it is a detour: no run was broken off, and the way to the pin counts', () => {
    const early: CookEvent[] = [burnAt(min(3)), ...locked];
    const cook = (events: CookEvent[]): Cook =>
      ({ plan: planned, startedMs: t0, finishedMs: null, events }) as unknown as Cook;
    const pin: CookEvent = happened({ kind: 'pin-up' }, min(30 + planned.program.pinUpMin));
    expect(realityOf(cook([...early, pin]), min(31 + planned.program.pinUpMin))).not.toHaveProperty('broken');
    expect(at([...early, pin], 45).find('hold').step.minutes).toBe(planned.program.holdMin);
    expect(actualOf(cook([...early, pin])).toPinMin).toBeCloseTo(planned.program.pinUpMin, 6);
  });
  test('a hold taken before the rescue gives way to its own; one taken after it counts', () => {
    const own = (m: number, atMin: number): CookEvent => happened({ kind: 'hold-changed', holdMin: m }, min(atMin));
    expect(at([...locked, own(9, 33), burn], 40).find('hold').step.minutes).toBe(5);
    expect(at([...locked, burn, own(3, 44)], 44).find('hold').step.minutes).toBe(3);
  });
  test('opened at the finish, the finish is done anew', () => {
    const finish: CookEvent[] = [
      ...locked,
      happened({ kind: 'pin-up' }, min(41)),
      happened({ kind: 'pin-down' }, min(60)),
      happened({ kind: 'done', stepId: 'finish-open' }, min(61)),
    ];
    const r = at([...finish, burnAt(min(62))], 63);
    expect(r.now).toBe('rescue-0');
    expect(r.find('finish-open').done).toBe(false);
    expect(r.r.serveMs).toBeGreaterThan(at(finish, 63).r.serveMs);
  });
  test('twice is possible; undo takes the newest back', () => {
    const ticked: CookEvent = happened({ kind: 'done', stepId: 'rescue-0' }, min(41));
    const twice = [...events, ticked, burnAt(min(50), 2)];
    const { find, now } = at(twice, 51);
    expect(now).toBe('rescue-1');
    expect(find('hold').step.minutes).toBe(2);
    expect(find('broken-off-1').startMs).toBe(min(41));
    expect(find('heat-up').step.minutes).toBeCloseTo(planned.program.pinUpMin / 2, 6);
    expect(at(undoNewest(twice, min(52)), 52).find('hold').step.minutes).toBe(5);
    expect(at(undoNewest(events, min(37)), 37).now).toBe('heat-up');
  });
});

test('before the lid a rescue only takes its time', () => {
  const half = locked.slice(0, 4);
  const r = at([...half, burnAt(half[3]!.atMs + 60_000)], 20);
  expect(r.now).toBe('rescue-0');
  expect(r.find('hold').step.minutes).toBe(planned.program.holdMin);
});
test('a rescue without a lid stands before the step in progress and moves supper by its minutes', () => {
  const events: CookEvent[] = [
    ...locked,
    happened({ kind: 'pin-up' }, min(41)),
    happened({ kind: 'pin-down' }, min(62)),
  ];
  const before = at(events, 62);
  const after = at([...events, happened({ kind: 'rescued', minutes: 7, text: '' }, min(62))], 62);
  expect(after.now).toBe('rescue-0');
  expect(after.r.serveMs - before.r.serveMs).toBe(7 * 60_000);
});
test('whenever it is told, no step overlaps, the clock never goes back, and undo is as if it was never told', () => {
  const bad: string[] = [];
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 90, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      fc.option(fc.integer({ min: 0, max: 30 }), { nil: undefined }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      (atMin, value, holdMin, later) => {
        const pot: CookEvent[] = [
          ...locked,
          happened({ kind: 'pin-up' }, min(42)),
          happened({ kind: 'pin-down' }, min(64)),
        ];
        const before = pot.filter((e) => e.atMs <= min(atMin));
        const lockedAgain =
          holdMin === undefined ? {} : { lockedAgain: { lid: 'heat-up' as const, holdMin, addMl: 0 } };
        const r = happened({ kind: 'rescued', minutes: value, text: '', ...lockedAgain }, min(atMin));
        const timed = timelineAt(steps, t0, [...before, r], min(atMin + later));
        if (timed.steps.some((s, i) => s.endMs < s.startMs || (i > 0 && s.startMs !== timed.steps[i - 1]!.endMs)))
          bad.push(`overlap at ${atMin}`);
        if (!timed.steps.some((s) => s.step.id === 'rescue-0')) bad.push(`lost at ${atMin}`);
        const undone = timelineAt(steps, t0, undoNewest([...before, r], min(atMin + later)), min(95));
        if (JSON.stringify(undone) !== JSON.stringify(timelineAt(steps, t0, before, min(95))))
          bad.push(`undo at ${atMin}`);
      },
    ),
    { numRuns: 60 },
  );
  expect(bad).toEqual([]);
});

describe('what is read from such a cook', () => {
  const cook = (events: CookEvent[]): Cook => ({
    format: cookFormat,
    id: 'c',
    dishId: null,
    dish,
    plan: planned,
    startedMs: t0,
    finishedMs: null,
    events,
    outcome: null,
  });
  const again: CookEvent[] = [
    ...locked,
    happened({ kind: 'pin-up' }, min(38)),
    burnAt(min(40)),
    happened({ kind: 'pin-up' }, min(49)),
  ];
  test('its way to the pin from warm teaches nothing about a heat-up', () => {
    expect(actualOf(cook(again.slice(0, -2))).toPinMin).toBeCloseTo(8, 6);
    expect(actualOf(cook(again)).toPinMin).toBeNull();
    const real = realityOf(cook(again), min(52))!;
    expect(real.toPinMin).toBeCloseTo(5, 6);
    expect(real.givenMin).toBe(5);
    expect(real.broken).toEqual([{ atMin: expect.closeTo(10, 6), detourMin: expect.closeTo(4, 6), addMl: 60 }]);
    // Between the locks nothing is known of the pin yet, but what was broken off counts already.
    const waits = realityOf(cook(again.slice(0, -1)), min(43))!;
    expect([waits.toPinMin, waits.broken!.length]).toEqual([undefined, 1]);
    expect(curveFromTaps(cook(again)).minutes.every(Number.isFinite)).toBe(true);
  });
  test('undone taps are gone, and only the last run counts', () => {
    const kinds = (list: CookEvent[]): string[] =>
      ofThisRun(standingEvents(list))
        .map((e) => e.kind)
        .filter((k) => k !== 'done');
    expect(kinds(again)).toEqual(['rescued', 'pin-up']);
    expect(kinds(undoNewest(again, min(50)))).toEqual(['rescued']);
    expect(kinds(again.slice(0, -2))).toEqual(['pin-up']);
  });
});
