import { kitchenSchema, plan, type Dish } from '@einkorn/core';
import { BenchActions, benchReducer, type BenchState } from '../src/app/bench/bench.slice';
import { addIngredient, withLedger, withOverrides, withServeShift } from '../src/app/bench/edits';
import { turkeyDish } from './dishes';

const stored = { id: 'turkey', revision: 3, updatedMs: 0, dish: turkeyDish() };
const start = (draft: Dish | null = null): BenchState =>
  [BenchActions.open({ id: 'turkey' }), BenchActions.opened({ stored, draft })].reduce(
    (s, a) => benchReducer(s, a),
    benchReducer(undefined, { type: 'init' }),
  );
const edit = (s: BenchState, dish: Dish, merge?: string): BenchState =>
  benchReducer(s, merge === undefined ? BenchActions.edit({ dish }) : BenchActions.edit({ dish, merge }));
const titled = (title: string): Dish => ({ ...turkeyDish(), title });

describe('undo and redo', () => {
  test('walk back and forth through every change, and a new change forgets the undone ones', () => {
    let s = edit(edit(start(), titled('one')), titled('two'));
    s = benchReducer(s, BenchActions.undo());
    expect([s.dish?.title, s.future.length]).toEqual(['one', 1]);
    s = benchReducer(s, BenchActions.redo());
    expect(s.dish?.title).toBe('two');
    s = edit(benchReducer(s, BenchActions.undo()), titled('three'));
    expect([s.dish?.title, s.future]).toEqual(['three', []]);
    s = benchReducer(benchReducer(s, BenchActions.undo()), BenchActions.undo());
    expect(s.dish).toEqual(stored.dish);
    expect(benchReducer(s, BenchActions.undo())).toBe(s);
  });
  test('keystrokes in one field are one step; another field starts a new one', () => {
    const s = edit(edit(edit(start(), titled('a'), 'title'), titled('ab'), 'title'), titled('abc'), 'other');
    expect(s.past.map((d) => d.title)).toEqual([stored.dish.title, 'ab']);
  });
});

describe('what must not get lost', () => {
  test('changes kept in the browser come back unsaved, with the server’s dish one undo away', () => {
    const s = start(titled('kept'));
    expect([s.dish?.title, s.save, s.past[0]?.title]).toEqual(['kept', 'waiting', stored.dish.title]);
  });
  test('a save that answers after the next change leaves that change waiting', () => {
    const first = titled('first');
    const s = edit(edit(start(), first), titled('second'));
    const after = benchReducer(s, BenchActions.saved({ revision: 4, dish: first }));
    expect([after.revision, after.save]).toEqual([4, 'waiting']);
  });
  test('a dish changed elsewhere is a conflict, a dead network only a wait', () => {
    const failure = { message: '', issues: [], offline: false };
    const fail = (code: string): string =>
      benchReducer(start(), BenchActions.saveFailed({ failure: { ...failure, code } })).save;
    expect([fail('dish-changed'), fail('offline')]).toEqual(['conflict', 'offline']);
  });
  test('a verdict for an older dish is dropped, and a refusal keeps the last good one', () => {
    const p = plan(stored.dish, kitchenSchema.parse({}));
    const s = benchReducer(start(), BenchActions.planned({ plan: p, dish: start().dish! }));
    const good = benchReducer(s, BenchActions.planned({ plan: p, dish: s.dish! }));
    expect(good.plan).toBe(p);
    const newer = edit(good, titled('newer'));
    expect(benchReducer(newer, BenchActions.planned({ plan: { ...p, title: 'old' }, dish: s.dish! })).plan).toBe(p);
    const problem = { code: 'x', message: 'no', issues: [] };
    const refused = benchReducer(newer, BenchActions.planRefused({ problem }));
    expect([refused.plan, refused.problem]).toEqual([p, problem]);
  });
  test('a bad amount stays in its field as it was typed', () => {
    const field = { field: 'rice', text: '2 cps', message: 'which measure?' };
    const s = benchReducer(start(), BenchActions.draft(field));
    expect(s.drafts['rice']).toEqual({ text: '2 cps', message: 'which measure?' });
    expect(benchReducer(s, BenchActions.clearDraft({ field: 'rice' })).drafts).toEqual({});
  });
});

describe('edits', () => {
  test('overruling and giving back leaves the document as it was', () => {
    const d = turkeyDish();
    expect(withLedger(withLedger(d, 'sauce', 40), 'sauce', undefined)).toEqual(d);
    expect(withOverrides(withOverrides(d, { holdMin: 9 }), { holdMin: undefined })).toEqual(d);
    expect(withLedger(withOverrides(d, { holdMin: 9 }), 'sauce', 40).overrides).toEqual({
      holdMin: 9,
      ledger: { sauce: 40 },
    });
  });
  test.each([
    ['19:00', 5, '19:05'],
    ['23:58', 5, '00:03'],
    ['00:02', -5, '23:57'],
  ])('serving at %s moved by %d min is %s', (from, by, to) => {
    expect(withServeShift({ ...turkeyDish(), serveAt: from }, by).serveAt).toBe(to);
  });
  test('the same food twice gets an id of its own', () => {
    const ids = addIngredient(addIngredient(turkeyDish(), 'onion'), 'onion').ingredients.map((i) => i.id);
    expect(ids.slice(-2)).toEqual(['onion', 'onion-2']);
  });
});
