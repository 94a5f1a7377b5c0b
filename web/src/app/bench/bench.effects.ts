import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { isSamePot, learnedMark, nearOf, potInUse, type Dish, type Kitchen, type Near, type Plan } from '@einkorn/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import {
  catchError,
  combineLatest,
  concat,
  concatMap,
  debounceTime,
  distinctUntilChanged,
  exhaustMap,
  filter,
  map,
  merge,
  of,
  switchMap,
  take,
  tap,
} from 'rxjs';
import { Api, failureOf } from '../api/client';
import { kitchenFeature } from '../state/kitchen';
import { newCook } from '../state/new-cook';
import { PlanProblem, Planner } from '../workers/planner';
import { lastTime } from './last-time';
import { BenchActions, benchFeature, type AsideKey, type BenchState } from './bench.slice';
import { withOverrides } from './edits';
import { Drafts } from './drafts';

export const open = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store), drafts = inject(Drafts)) =>
    actions.pipe(
      ofType(BenchActions.open),
      concatLatestFrom(() => store.select(benchFeature.selectBenchState)),
      filter(([, s]) => s.dish === null),
      switchMap(([{ id }]) =>
        api.dish(id).pipe(
          map((stored) => BenchActions.opened({ stored, draft: drafts.read(stored) })),
          catchError((e: unknown) => of(BenchActions.openFailed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** A small change of the dish leaves the program where it was, in the same kitchen. */
const nearOfLast = (plan: Plan | null, plannedDish: Dish | null, dish: Dish, kitchen: Kitchen): Near | null =>
  plan && plannedDish && isOfKitchen(plan, kitchen) ? nearOf(plan, plannedDish, dish) : null;

const isOfKitchen = (plan: Plan, kitchen: Kitchen): boolean =>
  isSamePot(plan.pot, potInUse(kitchen)) &&
  plan.pot.altitudeM === kitchen.altitudeM &&
  plan.learned?.mark === learnedMark(kitchen);

/** Is the plan that of the dish on the bench, in this kitchen? */
const isFresh = (s: Pick<BenchState, 'dish' | 'plan' | 'plannedDish'>, kitchen: Kitchen): boolean =>
  s.plannedDish === s.dish && s.plan !== null && isOfKitchen(s.plan, kitchen);

/** A new verdict for every change of the dish or the kitchen, while the cook types. */
export const planNow = createEffect(
  (store = inject(Store), planner = inject(Planner)) =>
    combineLatest([
      store.select(benchFeature.selectDish),
      store.select(kitchenFeature.selectKitchen),
      store.select(kitchenFeature.selectLoaded),
    ]).pipe(
      filter((x): x is [Dish, (typeof x)[1], boolean] => x[0] !== null && x[2]),
      distinctUntilChanged((a, b) => a[0] === b[0] && a[1] === b[1]),
      concatLatestFrom(() => store.select(benchFeature.selectBenchState)),
      switchMap(([[dish, kitchen], { plan, plannedDish }]) =>
        planner.plan(dish, kitchen, nearOfLast(plan, plannedDish, dish, kitchen)).pipe(
          map((plan) => BenchActions.planned({ plan, dish })),
          catchError((e: unknown) =>
            of(
              BenchActions.planRefused({
                problem: e instanceof PlanProblem ? e.problem : { code: 'internal', message: String(e), issues: [] },
              }),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Schools and map follow once the hands rest; a new verdict stops them. */
export const compareSchools = createEffect(
  (store = inject(Store), planner = inject(Planner)) =>
    store.select(benchFeature.selectPlan).pipe(
      filter((p) => p !== null),
      debounceTime(250),
      concatLatestFrom(() => [store.select(benchFeature.selectDish), store.select(kitchenFeature.selectKitchen)]),
      switchMap(([plan, dish, kitchen]) =>
        dish
          ? planner.ask('schools', dish, kitchen, plan).pipe(
              map((schools) => BenchActions.schoolsFound({ schools })),
              catchError(() => of(BenchActions.schoolsFound({ schools: [] }))),
            )
          : of(BenchActions.schoolsFound({ schools: [] })),
      ),
    ),
  { functional: true },
);

export const drawMap = createEffect(
  (store = inject(Store), planner = inject(Planner)) =>
    combineLatest([store.select(benchFeature.selectPlan), store.select(benchFeature.selectMapWanted)]).pipe(
      debounceTime(400),
      concatLatestFrom(() => [store.select(benchFeature.selectDish), store.select(kitchenFeature.selectKitchen)]),
      switchMap(([[plan, wanted], dish, kitchen]) =>
        wanted && plan && dish
          ? planner.map(dish, kitchen, plan).pipe(
              map((r) =>
                r.map ? BenchActions.mapFound({ map: r.map }) : BenchActions.mapProgress({ share: r.share }),
              ),
              catchError(() => of(BenchActions.mapProgress({ share: 0 }))),
            )
          : of(BenchActions.mapProgress({ share: 0 })),
      ),
    ),
  { functional: true },
);

/** How long the hands rest before each is asked, ms. They are answered one after the other, and a cook before a stop waits for nothing but the ways out of it. */
const restMs: Readonly<Record<AsideKey, number>> = { ways: 200, proposals: 450, chances: 450, ratios: 450 };
const asideKeys = Object.keys(restMs) as AsideKey[];

/** The longer sums of the open sheets, each once the hands rest; a new verdict or a closed sheet stops them. */
export const findAsides = createEffect(
  (store = inject(Store), planner = inject(Planner)) =>
    merge(
      ...asideKeys.map((key) =>
        combineLatest([
          store.select(benchFeature.selectPlan),
          store.select(benchFeature.selectWanted).pipe(
            map((w) => w[key]),
            distinctUntilChanged(),
          ),
        ]).pipe(
          debounceTime(restMs[key]),
          concatLatestFrom(() => [store.select(benchFeature.selectDish), store.select(kitchenFeature.selectKitchen)]),
          switchMap(([[plan, wanted], dish, kitchen]) =>
            wanted && plan && dish
              ? planner.ask(key, dish, kitchen, plan).pipe(
                  map((value) => BenchActions.asideFound({ key, value })),
                  catchError(() => of(BenchActions.asideFound({ key, value: null }))),
                )
              : of(BenchActions.asideFound({ key, value: null })),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** What would follow from one change. */
export const tryOne = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(BenchActions.try),
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchen)),
      switchMap(([{ key, dish }, kitchen]) =>
        planner.planLater(dish, kitchen).pipe(
          map((plan) => BenchActions.tried({ key, dish, plan })),
          catchError(() => of(BenchActions.tryOver())),
        ),
      ),
    ),
  { functional: true },
);

/** The largest batch that the pot takes becomes the batch on the bench. */
export const scalePot = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(BenchActions.scaleToPot),
      concatLatestFrom(() => store.select(benchFeature.selectBenchState)),
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchen)),
      switchMap(([[, s], kitchen]) =>
        s.dish
          ? planner.ask('scale-pot', s.dish, kitchen, s.plan).pipe(
              switchMap(({ dish, fits }) => [
                ...(fits ? [BenchActions.edit({ dish })] : []),
                BenchActions.scaledToPot({ fits, dish }),
              ]),
              catchError(() => of(BenchActions.tryOver())),
            )
          : of(BenchActions.tryOver()),
      ),
    ),
  { functional: true },
);

/** A second program beside the plan. */
export const compare = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(BenchActions.compare),
      concatLatestFrom(() => [
        store.select(benchFeature.selectDish),
        store.select(benchFeature.selectPlan),
        store.select(kitchenFeature.selectKitchen),
      ]),
      switchMap(([{ holdMin, naturalMin, liquidMl }, dish, plan, kitchen]) => {
        if (!dish || !plan) return of();
        const release = naturalMin > 0 ? ({ kind: 'timed', naturalMin } as const) : ({ kind: 'quick' } as const);
        const other = withOverrides(dish, { holdMin, release, liquidMl: liquidMl ?? plan.liquid.addMl });
        return planner.planLater(other, kitchen).pipe(
          map((p) => BenchActions.compared({ plan: p })),
          catchError(() => of()),
        );
      }),
    ),
  { functional: true },
);

/** The last real cook of the dish on the bench, for "as you did last time". */
export const findLast = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(BenchActions.open),
      switchMap(({ id }) =>
        api.lastCook(id).pipe(
          map((cook) => BenchActions.lastFound({ last: cook ? lastTime(cook) : null })),
          catchError(() => of(BenchActions.lastFound({ last: null }))),
        ),
      ),
    ),
  { functional: true },
);

/** Every change is kept in the browser at once and on the server a moment later. */
export const keepDraft = createEffect(
  (actions = inject(Actions), store = inject(Store), drafts = inject(Drafts)) =>
    actions.pipe(
      ofType(BenchActions.edit, BenchActions.undo, BenchActions.redo),
      concatLatestFrom(() => store.select(benchFeature.selectBenchState)),
      filter(([, s]) => s.id !== null && s.dish !== null),
      map(([, s]) => drafts.write(s.id!, s.revision, s.dish!)),
      distinctUntilChanged(),
      map((isKept) => BenchActions.draftKept({ isKept })),
    ),
  { functional: true },
);

export const save = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), drafts = inject(Drafts)) =>
    merge(
      actions.pipe(
        ofType(BenchActions.edit, BenchActions.undo, BenchActions.redo, BenchActions.opened),
        debounceTime(700),
      ),
      actions.pipe(ofType(BenchActions.saved)),
      actions.pipe(
        ofType(BenchActions.saveFailed),
        filter(({ failure }) => failure.offline),
        debounceTime(5000),
      ),
    ).pipe(
      concatLatestFrom(() => store.select(benchFeature.selectBenchState)),
      filter(([, s]) => s.id !== null && s.dish !== null && (s.save === 'waiting' || s.save === 'offline')),
      concatMap(([, s]) => {
        const saved = api.saveDish(s.id!, s.dish!, s.revision).pipe(
          map((stored) => BenchActions.saved({ revision: stored.revision, dish: s.dish! })),
          tap(({ revision }) => drafts.settle(s.id!, revision, s.dish!)),
          catchError((e: unknown) => of(BenchActions.saveFailed({ failure: failureOf(e) }))),
        );
        return concat(of(BenchActions.saving()), saved);
      }),
    ),
  { functional: true },
);

/** The plan of the dish as it now stands becomes a cook; one that is still being made is waited for. The Stove finds it by its id. */
export const cookNow = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), router = inject(Router)) =>
    actions.pipe(
      ofType(BenchActions.cookNow),
      exhaustMap(({ nowMs, practice }) =>
        combineLatest([store.select(benchFeature.selectBenchState), store.select(kitchenFeature.selectKitchen)]).pipe(
          filter(([s, kitchen]) => s.dish === null || s.problem !== null || isFresh(s, kitchen)),
          take(1),
          switchMap(([s]) => {
            if (!s.dish || !s.plan || s.problem) return of();
            const cook = newCook({ dishId: s.id, dish: s.dish, plan: s.plan }, nowMs, practice);
            return api.startCook(cook).pipe(
              tap(() => void router.navigate(['/stove', cook.id])),
              switchMap(() => of()),
              catchError((e: unknown) => of(BenchActions.cookFailed({ failure: failureOf(e) }))),
            );
          }),
        ),
      ),
    ),
  { functional: true },
);
