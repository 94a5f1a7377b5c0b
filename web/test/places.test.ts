import { cookFormat, kitchenSchema, plan, type Cook, type CookEvent } from '@einkorn/core';
import { summaryOf, type CookPage } from '@einkorn/core';
import { Drafts } from '../src/app/bench/drafts';
import { sameDoneness } from '../src/app/bench/doneness-figure';
import { namedWhereClear } from '../src/app/bench/map-names';
import { logFeature, LogActions } from '../src/app/log/log.slice';
import { shelfFeature, ShelfActions } from '../src/app/shelf/shelf.slice';
import { stoveReducer, StoveActions } from '../src/app/stove/stove.slice';
import { KitchenActions, kitchenFeature } from '../src/app/state/kitchen';
import { turkeyDish } from './dishes';

const dish = turkeyDish();
const turkeyPlan = plan(dish, kitchenSchema.parse({}));
const tap = (id: string, kind: 'pin-up' | 'pin-down' | 'whistle', atMs: number): CookEvent => ({ id, kind, atMs });
const cook = (events: CookEvent[] = [], startedMs = 0): Cook => ({
  format: cookFormat,
  id: `c${startedMs}`,
  dishId: null,
  dish,
  plan: turkeyPlan,
  startedMs,
  finishedMs: null,
  events,
  outcome: null,
});

describe('stove', () => {
  const opened = (server: CookEvent[], unsent: CookEvent[], fromServer = true) =>
    stoveReducer(undefined, StoveActions.opened({ cook: cook(server), unsent, fromServer }));
  test('a cook that is opened once more, asked for before the last tap here, keeps that tap', () => {
    const [a, b] = [tap('a', 'pin-up', 1), tap('b', 'pin-down', 2)];
    const tapped = stoveReducer(opened([a], []), StoveActions.tapKept({ event: b, isOnDisk: true }));
    const again = stoveReducer(tapped, StoveActions.opened({ cook: cook([a]), unsent: [], fromServer: true }));
    expect(again.cook?.events.map((e) => e.id)).toEqual(['a', 'b']);
    expect(again.unsent.map((e) => e.id)).toEqual(['b']);
    const other = stoveReducer(tapped, StoveActions.opened({ cook: cook([], 5), unsent: [], fromServer: true }));
    expect(other.unsent).toEqual([]);
  });
  test('taps the server never got are taken from the browser, once', () => {
    const a = tap('a', 'pin-up', 1);
    const b = tap('b', 'pin-down', 2);
    const s = opened([a], [a, b]);
    expect(s.cook?.events.map((e) => e.id)).toEqual(['a', 'b']);
    expect(s.unsent.map((e) => e.id)).toEqual(['b']);
  });
  test('opened without the server, every tap that was not confirmed still waits to be sent', () => {
    const [a, b] = [tap('a', 'pin-up', 1), tap('b', 'pin-down', 2)];
    const s = opened([a, b], [b], false);
    expect(s.cook?.events.map((e) => e.id)).toEqual(['a', 'b']);
    expect(s.unsent.map((e) => e.id)).toEqual(['b']);
  });
  test('only confirmed taps leave the waiting line', () => {
    let s = opened([], []);
    for (const id of ['a', 'b', 'c'])
      s = stoveReducer(s, StoveActions.tapKept({ event: tap(id, 'whistle', 1), isOnDisk: true }));
    const kept = [
      { ...tap('c', 'whistle', 1), seq: 1 },
      { ...tap('a', 'whistle', 1), seq: 2 },
    ];
    s = stoveReducer(s, StoveActions.sent({ ids: ['a', 'c'], events: kept }));
    expect(s.unsent.map((e) => e.id)).toEqual(['b']);
    expect(s.cook?.events.map((e) => e.id)).toEqual(['c', 'a', 'b']);
  });
});

describe('shelf', () => {
  const stored = (id: string, title: string, updatedMs: number) => ({
    id,
    revision: 1,
    updatedMs,
    dish: { ...dish, title },
  });
  const state = (search: string) =>
    [
      ShelfActions.loaded({ dishes: [stored('a', 'Turkey rice', 1), stored('b', 'Plain', 2)] }),
      ShelfActions.filter({ filter: { text: search } }),
    ].reduce((s, a) => shelfFeature.reducer(s, a), shelfFeature.reducer(undefined, { type: 'init' }));
  const shown = (s: ReturnType<typeof state>): string[] => shelfFeature.selectRows({ shelf: s }).map((r) => r.id);
  test('without words everything stands there, newest first; with words what was found, the best first, and why', () => {
    expect(shown(state(''))).toEqual(['b', 'a']);
    const hits = [
      { id: 'a', why: [{ food: 'leek', name: 'leek' }] },
      { id: 'gone', why: [] },
    ];
    const found = shelfFeature.reducer(state('leek'), ShelfActions.found({ text: 'leek', hits }));
    expect(shown(found)).toEqual(['a']);
    expect(shelfFeature.selectRows({ shelf: found })[0]!.why).toEqual(hits[0]!.why);
    // An answer to words that are no longer there is stale; no words, no search.
    expect(shown(shelfFeature.reducer(state('beef'), ShelfActions.found({ text: 'leek', hits })))).toEqual(['b', 'a']);
    expect(shown(shelfFeature.reducer(found, ShelfActions.filter({ filter: { text: ' ' } })))).toEqual(['b', 'a']);
  });
  test('filters narrow by family, starch and time; a dish not yet planned is never hidden by its time', () => {
    const all = shelfFeature.reducer(state(''), ShelfActions.verdictFound({ id: 'a', plan: turkeyPlan }));
    const ids = (filter: Parameters<typeof ShelfActions.filter>[0]['filter']) =>
      shelfFeature.selectRows({ shelf: shelfFeature.reducer(all, ShelfActions.filter({ filter })) }).map((r) => r.id);
    expect(ids({ family: 'risotto' })).toEqual([]);
    expect(ids({ family: 'one-pot-grain' })).toEqual(['b', 'a']);
    expect(ids({ starch: 'rice-long' })).toEqual(['b', 'a']);
    expect(ids({ mostMin: 30 })).toEqual(['b']);
    expect(ids({ mostMin: 90 })).toEqual(['b', 'a']);
  });
  test('what was taken off can be put back', () => {
    const s = shelfFeature.reducer(state(''), ShelfActions.removed({ id: 'a' }));
    expect([s.ids, s.removed?.id]).toEqual([['b'], 'a']);
  });
});

test('log: pages follow one another, and a cook that stands on two of them is one row', () => {
  const page = (ids: string[], next: string | null): CookPage => ({
    cooks: ids.map((id) => ({ ...summaryOf(cook([], 0)), id })),
    next,
    found: ids.length,
    potIds: [],
    real: 5,
    practised: 1,
  });
  const first = logFeature.reducer(undefined, LogActions.loaded({ page: page(['e', 'd', 'c'], '9.c') }));
  expect([first.next, first.real, first.practised, first.loaded]).toEqual(['9.c', 5, 1, true]);
  const both = logFeature.reducer(first, LogActions.moreLoaded({ page: page(['c', 'b', 'a'], null) }));
  expect(both.rows.map((r) => r.id)).toEqual(['e', 'd', 'c', 'b', 'a']);
  expect(both.next).toBeNull();
});

test('kitchen: a change that the schema refuses changes nothing', () => {
  const change = (altitudeM: number) =>
    kitchenFeature.reducer(undefined, KitchenActions.change({ change: { altitudeM } })).kitchen.altitudeM;
  expect([change(1180), change(9000)]).toEqual([1180, 0]);
});

describe('drafts in the browser', () => {
  const drafts = new Drafts();
  const stored = { id: 'd', revision: 2, updatedMs: 0, dish };
  const changed = { ...dish, title: 'changed' };
  beforeEach(() => localStorage.clear());
  test('are found again over the same revision only, and not when they say the same', () => {
    drafts.write('d', 2, changed);
    expect(drafts.read(stored)).toEqual(changed);
    expect(drafts.read({ ...stored, revision: 3 })).toBeNull();
    drafts.write('d', 2, dish);
    expect(drafts.read(stored)).toBeNull();
  });
  test('a newer draft survives the confirmation of an older one', () => {
    drafts.write('d', 2, changed);
    drafts.settle('d', 3, dish);
    expect(drafts.read({ ...stored, revision: 3 })).toEqual(changed);
    drafts.settle('d', 4, changed);
    expect(localStorage).toHaveLength(0);
  });
  test('a broken store is an empty one', () => {
    localStorage.setItem('einkorn.draft.d', '{"revision":2,"dish":{"format":"no"}}');
    expect(drafts.read(stored)).toBeNull();
  });
});

test('the hold of equal doneness is read between the columns of the map', () => {
  const map = {
    holdMin: [0, 1, 2],
    naturalMin: [0, 10],
    equivalentMin: [
      [10, 20, 30],
      [40, 50, 60],
    ],
    index: [],
    meatFromMin: [],
    naturalFullMin: 12,
    bandEdges: [],
    sprayUnderMin: 0,
  };
  const at = (e: number, n: number) =>
    sameDoneness(map, { ...turkeyPlan, grain: { ...turkeyPlan.grain!, equivalentMin: e } }, n);
  expect([at(25, 0), at(10, 0), at(31, 0), at(55, 10)]).toEqual([1.5, 0, null, 1.5]);
});

test('a program known to cooks is named on the map where its name has room: not under a letter, not over another', () => {
  const map = { holdMin: [0, 15], naturalFullMin: 19 };
  const known = [
    { holdMin: 3, naturalMin: 10 },
    { holdMin: 4, naturalMin: 17 },
    { holdMin: 5, naturalMin: 17 },
    { holdMin: 14, naturalMin: 0 },
  ];
  expect(namedWhereClear(known, [{ x: 2.5, y: 10 }], map)).toEqual([false, true, false, true]);
  // Nor where the word of a zone stands.
  const zone = { x: 5.5, y: 17, text: 'fluffy' };
  expect(namedWhereClear(known.slice(1, 2), [zone], map)).toEqual([false]);
});
