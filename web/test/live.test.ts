import type { StoredEvent } from '@einkorn/core';
import { cookNow, dialsAfter, dialsSeen, merged, noDials, type Dials, type StreamReading } from '../src/app/stove/live';
import { StoveActions, stoveReducer, type StoveState } from '../src/app/stove/stove.slice';

const event = (id: string, atMs = 0): StoredEvent => ({ id, kind: 'done', step: id, atMs });
const ids = (xs: readonly StoredEvent[]): string => xs.map((e) => e.id).join('');

describe('events of several screens', () => {
  const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((x) => event(x)) as [
    StoredEvent,
    StoredEvent,
    StoredEvent,
    StoredEvent,
  ];
  test('new ones are added, repeats are one', () => {
    expect(ids(merged([a, b], [b, c], false))).toBe('abc');
    expect(ids(merged([a, b], [], false))).toBe('ab');
  });
  test('the whole list sets the order; what was not sent yet stays behind it', () => {
    expect(ids(merged([a, d, b], [b, a, c], true))).toBe('bacd');
    expect(ids(merged([d], [], true))).toBe('d');
  });
  test('whatever comes in whatever bites, two screens end with the same events', () => {
    let one: StoredEvent[] = [a];
    let two: StoredEvent[] = [b];
    for (const bite of [[b], [a, c], [d]]) {
      one = merged(one, bite, false);
      two = merged(two, bite, false);
    }
    expect(ids(merged(one, [a, b, c, d], true))).toBe(ids(merged(two, [a, b, c, d], true)));
  });
});

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
  const e = (kind: StoredEvent['kind'], more: Partial<StoredEvent> = {}): StoredEvent => ({
    id: kind,
    kind,
    atMs: 9,
    ...more,
  });
  expect(dialsSeen(burning, [e('note'), e('burn', { device: 'c' })]).burn).toBe(true);
  for (const kind of ['burn', 'off-plan', 'rescued'] as const) expect(dialsSeen(burning, [e(kind)]).burn).toBe(false);
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
