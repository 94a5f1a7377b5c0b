import { kitchenSchema, plan, type Cook, type CookEvent, type Kitchen } from '@einkorn/core';
import { HttpErrorResponse } from '@angular/common/http';
import { Actions } from '@ngrx/effects';
import type { Action, Store } from '@ngrx/store';
import { BehaviorSubject, map, of, Subject, throwError, type Observable } from 'rxjs';
import type { Api } from '../src/app/api/client';
import { cookNow, planNow } from '../src/app/bench/bench.effects';
import { BenchActions, benchFeature, type BenchState } from '../src/app/bench/bench.slice';
import { kitchenFeature } from '../src/app/state/kitchen';
import { send } from '../src/app/stove/stove.effects';
import { StoveActions, stoveFeature, type StoveState } from '../src/app/stove/stove.slice';
import type { Planner } from '../src/app/workers/planner';
import { turkeyDish } from './dishes';

/* Effects with the store, the network and the planner put in by hand. */
const dish = turkeyDish();
const kitchen = kitchenSchema.parse({});
const planned = plan(dish, kitchen);
const changed = { ...dish, serves: dish.serves + 1 };
const changedPlan = plan(changed, kitchen);

/** A store of which only what is asked for changes. */
function storeOf(state: BehaviorSubject<object>): Store {
  const select = (selector: (s: object) => unknown): Observable<unknown> => state.pipe(map(selector));
  return { select } as unknown as Store;
}
const benchWith = (x: Partial<BenchState>, of: Kitchen = kitchen): object => ({
  [benchFeature.name]: { ...benchFeature.reducer(undefined, { type: '-' }), id: 'd', ...x },
  [kitchenFeature.name]: { kitchen: of, loaded: true, saving: false, failure: null },
});
const asActions = (actions: Subject<Action>): Actions => new Actions(actions);

describe('cook this now', () => {
  const start = (state: BehaviorSubject<object>) => {
    const actions = new Subject<Action>();
    const started: Cook[] = [];
    const api = { startCook: (c: Cook) => (started.push(c), of(c)) } as unknown as Api;
    const router = { navigate: () => Promise.resolve(true) } as never;
    cookNow(asActions(actions), storeOf(state), api, router).subscribe();
    return { actions, started };
  };
  const press = BenchActions.cookNow({ nowMs: 5 });

  test('waits for the plan of the dish as it stands, and starts one cook however often it is pressed', () => {
    const state = new BehaviorSubject(benchWith({ dish: changed, plan: planned, plannedDish: dish }));
    const { actions, started } = start(state);
    actions.next(press);
    actions.next(press);
    expect(started).toEqual([]);
    state.next(benchWith({ dish: changed, plan: changedPlan, plannedDish: changed }));
    expect(started).toMatchObject([{ dish: changed, plan: { madeFor: changedPlan.madeFor } }]);
  });
  test('a plan of another kitchen is not fresh', () => {
    const high = kitchenSchema.parse({ altitudeM: 1180 });
    const state = new BehaviorSubject(benchWith({ dish, plan: planned, plannedDish: dish }, high));
    const { actions, started } = start(state);
    actions.next(press);
    expect(started).toEqual([]);
    state.next(benchWith({ dish, plan: plan(dish, high), plannedDish: dish }, high));
    expect(started).toHaveLength(1);
  });
  test('a dish that was refused starts nothing', () => {
    const problem = { code: 'x', message: 'x', issues: [] };
    const state = new BehaviorSubject(benchWith({ dish: changed, plan: planned, plannedDish: dish, problem }));
    const { actions, started } = start(state);
    actions.next(press);
    expect(started).toEqual([]);
  });
});

describe('a new verdict', () => {
  test('beside the last plan for a small step, from nothing for a larger one', () => {
    const asked: unknown[] = [];
    const planner = { plan: (...x: unknown[]) => (asked.push(x[2]), of(planned)) } as unknown as Planner;
    const rice = (grams: number) => ({
      ...dish,
      ingredients: dish.ingredients.map((i, k) =>
        k === 0 ? { ...i, amount: { value: grams, unit: 'g' as const } } : i,
      ),
    });
    const before = rice(300);
    const state = new BehaviorSubject(benchWith({ dish: before, plan: null }));
    const out: Action[] = [];
    planNow(storeOf(state), planner).subscribe((a) => out.push(a));
    state.next(benchWith({ dish: rice(310), plan: planned, plannedDish: before }));
    state.next(benchWith({ dish: rice(600), plan: planned, plannedDish: before }));
    const { holdMin, release } = planned.program;
    expect(asked).toEqual([null, { holdMin, release }, null]);
    expect(out.map((a) => a.type)).toEqual(Array(3).fill(BenchActions.planned.type));
  });
});

describe('taps on their way to the server', () => {
  const tap: CookEvent = { id: 't', kind: 'whistle', atMs: 1 };
  const kept: CookEvent = { ...tap, seq: 1 };
  const sent = (addEvents: Api['addEvents'], unsent: CookEvent[] = [tap]): Action[] => {
    const stove = { cook: { id: 'c' }, unsent } as unknown as StoveState;
    const actions = new Subject<Action>();
    const out: Action[] = [];
    const state = new BehaviorSubject<object>({ [stoveFeature.name]: stove });
    send(asActions(actions), storeOf(state), { addEvents } as unknown as Api).subscribe((a) => out.push(a));
    actions.next(StoveActions.tapKept({ event: tap, isOnDisk: true }));
    return out;
  };
  test('are confirmed with the place that the server gave them', () => {
    expect(sent(() => of({ events: [kept] }))).toEqual([StoveActions.sent({ ids: ['t'], events: [kept] })]);
  });
  test('one that the server refuses is set aside; the others of its batch are kept', () => {
    const bad: CookEvent = { ...tap, id: 'bad' };
    const refused = new HttpErrorResponse({ status: 409, error: { code: 'cook-over', detail: 'over', issues: [] } });
    const out = sent(
      (_, events) => (events.some((e) => e.id === 'bad') ? throwError(() => refused) : of({ events: [kept] })),
      [tap, bad],
    );
    expect(out).toMatchObject([
      { type: StoveActions.sent.type, ids: ['t'] },
      { type: StoveActions.refused.type, ids: ['bad'], failure: { code: 'cook-over' } },
    ]);
  });
  test('and wait when it does not answer', () => {
    expect(sent(() => throwError(() => new Error('away')))[0]!.type).toBe(StoveActions.sendFailed.type);
  });
});
