import type { Cook, CookEvent } from '@einkorn/core';
import type { Action } from '@ngrx/store';
import { defer, NEVER, of, throwError } from 'rxjs';
import { openCook, type Held } from '../src/app/stove/open-cook';
import { StoveActions, stoveReducer } from '../src/app/stove/stove.slice';

const tap = (id: string): CookEvent => ({ id, kind: 'whistle', atMs: 0 });
const cook = (...events: CookEvent[]): Cook => ({ id: 'c', events }) as unknown as Cook;
const nothing: Held = { cook: null, unsent: [] };
/** whatever is asked, after the promises that are settled have been heard and the time has gone by */
const after = (ms: number): Promise<void> => jest.advanceTimersByTimeAsync(ms);

function hear(held: Promise<Held>, server: Parameters<typeof openCook>[1]): Action[] {
  const heard: Action[] = [];
  openCook(held, server).subscribe((a) => heard.push(a));
  return heard;
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('the server answers, and taps that it may not have come from the disk', async () => {
  const heard = hear(Promise.resolve({ cook: null, unsent: [tap('a')] }), of(cook()));
  await after(0);
  expect(heard).toEqual([StoveActions.opened({ cook: cook(), unsent: [tap('a')], fromServer: true })]);
});

test('a disk that does not answer holds nothing up, and its taps are found when it does', async () => {
  let give: (h: Held) => void = () => undefined;
  const heard = hear(new Promise((done) => (give = done)), of(cook(tap('a'))));
  await after(1999);
  expect(heard).toEqual([]);
  await after(1);
  expect(heard).toEqual([StoveActions.opened({ cook: cook(tap('a')), unsent: [], fromServer: true })]);
  give({ cook: null, unsent: [tap('a'), tap('b')] });
  await after(0);
  const state = [...heard, StoveActions.tapKept({ event: tap('c'), isOnDisk: true })].reduce(
    stoveReducer,
    undefined as never,
  );
  // a is with the server already; b was tapped before, c while the disk was silent
  expect(state.cook?.events.map((e) => e.id).sort()).toEqual(['a', 'b', 'c']);
  expect(state.unsent.map((e) => e.id).sort()).toEqual(['b', 'c']);
});

test('a network that swallows the question counts as away when the browser knows the cook', async () => {
  const heard = hear(Promise.resolve({ cook: cook(tap('a')), unsent: [tap('a')] }), NEVER);
  await after(3999);
  expect(heard).toEqual([]);
  await after(1);
  expect(heard).toEqual([StoveActions.opened({ cook: cook(tap('a')), unsent: [tap('a')], fromServer: false })]);
});

test('with nothing of its own the browser asks again and waits', async () => {
  let asked = 0;
  const heard = hear(
    Promise.resolve(nothing),
    defer(() => (++asked === 1 ? NEVER : of(cook()))),
  );
  await after(4000);
  expect(asked).toBe(2);
  expect(heard).toEqual([StoveActions.opened({ cook: cook(), unsent: [], fromServer: true })]);
});

test('a refusal is told; it is not a network that is away', async () => {
  const heard = hear(
    Promise.resolve({ cook: cook(), unsent: [] }),
    throwError(() => new Error('gone')),
  );
  await after(0);
  expect(heard.map((a) => a.type)).toEqual([StoveActions.failed.type]);
});
