import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { HouseClock } from '../src/app/state/clock';

/* The clock of the house on a device whose own is wrong, is set, or sleeps. */
const evening = Date.UTC(2026, 10, 20, 17);
const hour = 3_600_000;

beforeEach(() => {
  jest.useFakeTimers({ now: evening, doNotFake: ['nextTick', 'queueMicrotask'] });
  localStorage.clear();
});
afterEach(() => {
  jest.useRealTimers();
});

function open() {
  TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
  const clock = TestBed.inject(HouseClock);
  const ticking = TestBed.runInInjectionContext(() => clock.ticking());
  const http = TestBed.inject(HttpTestingController);
  const answer = async (nowMs: number, movedMs = 0): Promise<void> => {
    for (const r of http.match('/api/time')) r.flush({ nowMs, movedMs });
    for (let i = 0; i < 5; i++) await Promise.resolve();
  };
  return { clock, ticking, http, answer };
}

test('a device that is an hour behind goes by the house, and knows so at its next opening', async () => {
  const { clock, answer } = open();
  expect(clock.now()).toBe(evening);
  await answer(evening + hour);
  expect(clock.now()).toBe(evening + hour);
  expect(clock.moved()).toBeNull();
  TestBed.resetTestingModule();
  expect(open().clock.now()).toBe(evening + hour);
});
test.each([hour, -hour])('set by %s ms while somebody cooks, it moves no countdown, and says so', async (byMs) => {
  const { clock, ticking, http, answer } = open();
  await answer(evening);
  jest.advanceTimersByTime(10_000);
  jest.setSystemTime(Date.now() + byMs);
  jest.advanceTimersByTime(1000);
  expect(Math.abs(ticking() - (evening + 11_000))).toBeLessThanOrEqual(250);
  expect(Math.round(clock.moved()!.by / 1000)).toBe(byMs / 1000);
  // The house is asked, and agrees.
  expect(http.match('/api/time').length).toBeGreaterThan(0);
  jest.advanceTimersByTime(60_000);
  expect(Math.abs(ticking() - (evening + 71_000))).toBeLessThanOrEqual(250);
});
test('the clock of the house itself was set: it is told', async () => {
  const { clock, answer } = open();
  await answer(evening, 2 * hour);
  expect(clock.moved()).toEqual({ by: 2 * hour, whose: 'house' });
});
