import { plan, readDish, summaryOf, kitchenSchema, type Cook, type CookSummary } from '@einkorn/core';
import { demoDishes } from '../../server/src/demo/dishes';
import { lastMissed, lastWithin, missedOf } from '../src/app/log/forecasts-figure';
import { LogActions, logFeature, type LogState } from '../src/app/log/log.slice';
import { remindersOf, waveAway } from '../src/app/shelf/reminders';

const dish = readDish(demoDishes['plain-long-grain']);
const cook = (id: string, more: Partial<Cook> = {}): Cook => ({
  format: 'einkorn.cook/2',
  id,
  dishId: null,
  dish,
  plan: plan(dish, kitchenSchema.parse({})),
  startedMs: 0,
  finishedMs: 3_600_000,
  events: [],
  outcome: null,
  ...more,
});
const row = (id: string, toPinMin: number | null, more: Partial<CookSummary> = {}): CookSummary => {
  const s = summaryOf(cook(id));
  return { ...s, planned: { ...s.planned, toPinMin: 10 }, actual: { ...s.actual, toPinMin }, ...more };
};
const { reducer } = logFeature;
const after = (...actions: Parameters<typeof reducer>[1][]): LogState =>
  actions.reduce<LogState>((s, a) => reducer(s, a), reducer(undefined, { type: '-' }));
const page = (cooks: CookSummary[], next: string | null) => ({
  cooks,
  next,
  found: cooks.length,
  real: 3,
  practised: 0,
  potIds: ['electric-5.7'],
});

test('a question keeps what was asked before; a page that overlaps the last shows each cook once', () => {
  const s = after(
    LogActions.ask({ query: { text: 'rice' } }),
    LogActions.ask({ query: { sort: 'title' } }),
    LogActions.loaded({ page: page([row('a', 9), row('b', 9)], '2') }),
    LogActions.moreLoaded({ page: page([row('b', 9), row('c', 9)], null) }),
  );
  expect(s.query).toEqual({ text: 'rice', sort: 'title' });
  expect(s.rows.map((r) => r.id)).toEqual(['a', 'b', 'c']);
  expect(s.next).toBeNull();
});
test('a cook that was thrown away leaves the list, and a failed bringing can be tried again', () => {
  const failure = { code: 'offline', message: '', issues: [], offline: true };
  const s = after(
    LogActions.loaded({ page: page([row('a', 9), row('b', 9)], null) }),
    LogActions.discarded({ id: 'a' }),
    LogActions.bring({ body: {} }),
    LogActions.failed({ failure }),
  );
  expect(s.rows.map((r) => r.id)).toEqual(['b']);
  expect(s).toMatchObject({ isBringing: false, failure });
});

test('how far plans were off: of this pot, with a tapped pin, without trouble, oldest first', () => {
  const cooks = [
    row('new', 12, { startedMs: 3 }),
    row('old', 9, { startedMs: 1 }),
    row('untapped', null),
    row('other', 20, { potId: 'electric-3' }),
    row('burnt', 30, { trouble: true }),
  ];
  const missed = missedOf(cooks, 'electric-5.7');
  expect(missed.map((m) => [m.id, m.share])).toEqual([
    ['old', expect.closeTo(-0.1, 9)],
    ['new', expect.closeTo(0.2, 9)],
  ]);
  // Of plans that knew no spread nothing was expected; of one that did, eight of ten such pins: 1.28 sd, with the tap's own .3 min.
  const { toPinSdMin: _, ...before } = row('a', 9).planned;
  const unsure = [9, 10, 11].map((min) => missedOf([row('a', min, { planned: before })], 'electric-5.7')[0]!);
  expect(unsure[0]!.expected).toBeUndefined();
  const planned = { ...row('a', 9).planned, toPinMin: 10, toPinSdMin: 0.4 };
  const [sure] = missedOf([row('a', 10.5, { planned }), row('b', 9)], 'electric-5.7').filter((m) => m.id === 'a');
  expect(sure!.expected).toBeCloseTo(0.0641, 4);
  expect(lastWithin([sure!, { ...sure!, share: 0.07 }, { ...sure!, share: -0.06 }])).toEqual({ within: 2, of: 3 });
  expect(lastWithin(unsure)).toBeNull();
  expect(lastMissed(missed)).toBeNull();
  expect(lastMissed([...missed, { id: 'x', atMs: 4, share: 0 }])).toBeCloseTo(0.1, 9);
});

test('the shelf asks for the newest unrated meal and for a cook that was left, until it is waved away', () => {
  const nowMs = 10 * 86_400_000;
  const hour = 3_600_000;
  const unrated = [
    row('cooking', null, { finishedMs: null }),
    row('yesterday', 9, { finishedMs: nowMs - 20 * hour }),
    row('long-ago', 9, { finishedMs: nowMs - 100 * hour }),
  ];
  const running = [cook('now', { startedMs: nowMs - hour }), cook('left', { startedMs: nowMs - 9 * hour })];
  const asked = () => remindersOf(unrated, running, nowMs).map((r) => [r.kind, r.id]);
  expect(asked()).toEqual([
    ['left', 'left'],
    ['rate', 'yesterday'],
  ]);
  waveAway('yesterday');
  expect(asked()).toEqual([['left', 'left']]);
});
