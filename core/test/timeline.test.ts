import type { CookEvent } from '../src/cook/events';
import { whatMoved } from '../src/cook/moved';
import { cookTimeline } from '../src/cook/timeline';
import { plan } from '../src/plan/plan';
import { happened } from './helpers/happened';
import { hut, turkeyRice } from './helpers/dishes';

const p = plan(turkeyRice(), hut);
const startedMs = Date.UTC(2026, 10, 14, 17, 0);
const min = (m: number): number => startedMs + m * 60_000;
const locked = p.steps
  .slice(0, p.steps.findIndex((s) => s.id === 'lock') + 1)
  .map((s, i, all) => happened({ kind: 'done', stepId: s.id }, min((30 * (i + 1)) / all.length)));
const events: CookEvent[] = [...locked, happened({ kind: 'pin-up' }, min(40))];

test('the same list of events asked twice is read once, and tells the same as a list that was never seen', () => {
  const cook = { plan: p, startedMs, events };
  const first = cookTimeline(cook, min(41));
  const later = cookTimeline(cook, min(60));
  expect(later.standing).toBe(first.standing);
  expect(later).toEqual(cookTimeline({ ...cook, events: [...events] }, min(60)));
  expect(later.current).toBeGreaterThan(first.current);
});
test('another plan or another beginning with the same list is read anew', () => {
  const cook = { plan: p, startedMs, events };
  const at = cookTimeline(cook, min(41)).serveMs;
  expect(cookTimeline({ ...cook, startedMs: startedMs + 60_000 }, min(42)).serveMs).toBe(at);
  const longer = { ...p, steps: p.steps.map((s) => (s.id === 'hold' ? { ...s, minutes: s.minutes + 7 } : s)) };
  expect(cookTimeline({ ...cook, plan: longer }, min(41)).serveMs).toBe(at + 7 * 60_000);
});
test('late is what the step in progress has gone on past its minutes', () => {
  const heat = p.steps.find((s) => s.id === 'heat-up')!.minutes;
  const cook = { plan: p, startedMs, events: locked };
  expect(Math.max(0, -cookTimeline(cook, min(30 + heat - 1)).leftMs)).toBe(0);
  expect(-cookTimeline(cook, min(30 + heat + 3)).leftMs).toBeCloseTo(3 * 60_000, -1);
});
test('a hold that the cook took is known until the lid is locked again', () => {
  const own = happened({ kind: 'hold-changed', holdMin: 2 }, min(41));
  const lockedAgain = { lid: 'heat-up', holdMin: 5, addMl: 0 } as const;
  const rescue = happened({ kind: 'rescued', minutes: 4, text: '', lockedAgain }, min(42));
  const held = (list: CookEvent[]) => cookTimeline({ plan: p, startedMs, events: list }, min(43));
  expect(held([...events, own]).ownHoldMin).toBe(2);
  expect(held([...events, own, rescue])).toMatchObject({ ownHoldMin: null, lockedAgain: true, lid: 'heat-up' });
});

describe('what moves the serving', () => {
  const planned = p.steps.reduce((m, s) => m + s.minutes, 0);
  const minutesOf = (stage: string): number => p.steps.reduce((m, s) => m + (s.stage === stage ? s.minutes : 0), 0);
  const movedAt = (list: CookEvent[], at: number) => {
    const { steps, serveMs } = cookTimeline({ plan: p, startedMs, events: list }, min(at));
    const moved = whatMoved(p.steps, steps);
    return { moved, byMin: (serveMs - startedMs) / 60_000 - planned };
  };
  test('a cook as planned moves nothing', () => {
    const { moved, byMin } = movedAt([], 0);
    expect(moved).toEqual([]);
    expect(byMin).toBeCloseTo(0, 6);
  });
  test('a quick board and a slow pin are told one by one, what moves most first, and add up to the whole', () => {
    const { moved, byMin } = movedAt(events, 41);
    const of = (stage: string) => moved.find((m) => m.stage === stage)?.min ?? 0;
    // The lid was locked at 30 min, the pin came at 40.
    const beforeLid = ['prep', 'fry', 'stack'].reduce((m, s) => m + minutesOf(s), 0);
    expect(of('prep') + of('fry') + of('stack')).toBeCloseTo(30 - beforeLid, 6);
    expect(moved.reduce((m, x) => m + x.min, 0)).toBeCloseTo(byMin, 0);
    expect(moved.map((m) => Math.abs(m.min))).toEqual(moved.map((m) => Math.abs(m.min)).sort((a, b) => b - a));
  });
  test('what was put right counts for itself, not for the stage that it was in', () => {
    const rescued = happened({ kind: 'rescued', minutes: 4, text: '' }, min(41));
    const { moved } = movedAt([...events, rescued], 41);
    expect(moved.find((m) => m.stage === 'rescue')?.min).toBeCloseTo(4, 6);
  });
});
