import type { CookEvent, Happening } from '@einkorn/core';
import { cookNow, dialsAfter, dialsSeen, noDials, type Dials, type StreamReading } from '../src/app/stove/live';
import { StoveActions, stoveReducer, type StoveState } from '../src/app/stove/stove.slice';

const event = (id: string, atMs = 0): CookEvent => ({ id, kind: 'whistle', atMs });

describe('what time it is for a cook', () => {
  const cook = { startedMs: 1000, events: [event('x', 5000)] };
  const practice = { seed: 1, faults: [], surprise: false, speed: 60, hands: 'you' as const };
  test('the wall clock for a real one, the practice clock for a practice', () => {
    expect(cookNow(cook, null, 77)).toBe(77);
    expect(cookNow({ ...cook, practice }, { atMs: 10_000, wallMs: 100, speed: 60 }, 600)).toBe(40_000);
    expect(cookNow({ ...cook, practice }, { atMs: 10_000, wallMs: 100, speed: 0 }, 600)).toBe(10_000);
  });
  test('a practice clock that was not heard yet stands at the last event, and never runs backwards', () => {
    expect(cookNow({ ...cook, practice }, null, 9e9)).toBe(5000);
    expect(cookNow({ ...cook, practice }, { atMs: 10_000, wallMs: 700, speed: 60 }, 600)).toBe(10_000);
  });
});

test('the dial tells of burning until somebody has seen it', () => {
  const burning = dialsAfter(noDials, { device: 'c', kind: 'burn', atMs: 5 });
  const e = (what: Happening, device?: string): CookEvent => ({
    id: what.kind,
    atMs: 9,
    ...(device ? { device } : {}),
    ...what,
  });
  expect(dialsSeen(burning, [e({ kind: 'noted', text: '' }), e({ kind: 'burn' }, 'c')]).burn).toBe(true);
  const seen: Happening[] = [{ kind: 'burn' }, { kind: 'off-plan' }, { kind: 'rescued', minutes: 1, text: '' }];
  for (const what of seen) expect(dialsSeen(burning, [e(what)]).burn).toBe(false);
});
test('the dials follow the readings and leave alone what they do not know', () => {
  const read: StreamReading[] = [
    { device: 'cooker', kind: 'pressure', kpa: 42, atMs: 1 },
    { device: 'cooker', kind: 'pin', value: 'up', atMs: 2 },
    { device: 'cooker', kind: 'countdown', atMs: 3 },
    { device: 'cooker', kind: 'whistle', count: 2, atMs: 4 },
    { device: 'cooker', kind: 'smell', atMs: 5 },
  ];
  const want: Dials = { kpa: 42, pinUp: true, burn: false, whistles: 2, display: 'hold' };
  expect(read.reduce(dialsAfter, noDials)).toEqual(want);
});

test('a tap that comes back over the stream is sent', () => {
  const tap = event('t', 9);
  const state = {
    cook: { id: 'c', events: [tap] },
    unsent: [tap],
    dials: noDials,
  } as unknown as StoveState;
  const next = stoveReducer(state, StoveActions.eventsHeard({ events: [tap] }));
  expect(next.unsent).toEqual([]);
  expect(next.cook!.events).toEqual([tap]);
});
