import { inject } from '@angular/core';
import { TranslocoService } from '@jsverse/transloco';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, concatMap, EMPTY, filter, forkJoin, from, map, mergeMap, of, switchMap, tap } from 'rxjs';
import { Api, failureOf } from '../api/client';
import { kitchenFeature, knownKitchen } from '../state/kitchen';
import { Planner } from '../workers/planner';
import { remindersOf, waveAway } from './reminders';
import { ShelfActions, shelfFeature } from './shelf.slice';
import { HouseClock } from '../state/clock';

/** Words are looked for in every name of every food; the names come when they are first needed. */
export const search = createEffect(
  (actions = inject(Actions), store = inject(Store), transloco = inject(TranslocoService)) =>
    actions.pipe(
      ofType(
        ShelfActions.filter,
        ShelfActions.loaded,
        ShelfActions.added,
        ShelfActions.duplicated,
        ShelfActions.restored,
      ),
      concatLatestFrom(() => [store.select(shelfFeature.selectFilter), store.select(shelfFeature.selectAll)]),
      filter(([, { text }]) => text.trim() !== ''),
      switchMap(([, { text }, dishes]) =>
        from(import('./search')).pipe(
          map(({ searchDishes }) =>
            ShelfActions.found({
              text,
              hits: searchDishes(dishes, text, (id) =>
                [transloco.translate(`family.${id}`), transloco.translate(`family-plain.${id}`)].join(' '),
              ),
            }),
          ),
        ),
      ),
    ),
  { functional: true },
);

export const load = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.load, ShelfActions.showArchived),
      switchMap((a) =>
        api.dishes('archived' in a && a.archived).pipe(
          map((dishes) => ShelfActions.loaded({ dishes })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** What the log would like to know. */
export const remind = createEffect(
  (actions = inject(Actions), api = inject(Api), clock = inject(HouseClock)) =>
    actions.pipe(
      ofType(ShelfActions.load),
      switchMap(() =>
        forkJoin([api.cooks({ outcome: 'unrated', practice: false, limit: 5 }), api.runningCooks()]).pipe(
          map(([{ cooks }, running]) => ShelfActions.reminded({ reminders: remindersOf(cooks, running, clock.now()) })),
          // The shelf itself says that the server is away.
          catchError(() => EMPTY),
        ),
      ),
    ),
  { functional: true },
);

export const holdWavedAway = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(ShelfActions.waveAway),
      tap(({ id }) => waveAway(id)),
    ),
  { functional: true, dispatch: false },
);

/** The verdicts of every dish on the shelf, one after the other in the background. */
export const verdicts = createEffect(
  (actions = inject(Actions), planner = inject(Planner), known = knownKitchen()) =>
    actions.pipe(
      ofType(
        ShelfActions.loaded,
        ShelfActions.duplicated,
        ShelfActions.added,
        ShelfActions.reworded,
        ShelfActions.restored,
      ),
      mergeMap((action) => known.pipe(map((kitchen) => ({ action, kitchen })))),
      mergeMap(({ action, kitchen }) =>
        from('dishes' in action ? action.dishes : [action.stored]).pipe(
          concatMap((d) =>
            planner.planLater(d.dish, kitchen).pipe(
              map((plan) => ShelfActions.verdictFound({ id: d.id, plan })),
              catchError((e: unknown) =>
                of(ShelfActions.verdictRefused({ id: d.id, message: e instanceof Error ? e.message : String(e) })),
              ),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
);

export const reword = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.reword),
      concatLatestFrom(() => store.select(shelfFeature.selectEntities)),
      concatMap(([{ id, dish }, entities]) =>
        api.saveDish(id, dish, entities[id]?.revision ?? 0).pipe(
          map((stored) => ShelfActions.reworded({ stored })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const duplicate = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.duplicate),
      concatLatestFrom(() => store.select(shelfFeature.selectEntities)),
      concatMap(([{ id, title }, all]) => {
        const dish = all[id]?.dish;
        if (!dish) return of();
        return api.addDish({ ...dish, title }).pipe(
          map((stored) => ShelfActions.duplicated({ stored })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        );
      }),
    ),
  { functional: true },
);

export const add = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.add),
      concatMap(({ dish }) =>
        api.addDish(dish).pipe(
          map((stored) => ShelfActions.added({ stored })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const vary = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(ShelfActions.vary),
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchen)),
      switchMap(([{ dish }, kitchen]) =>
        planner.planLater(dish, kitchen).pipe(
          map((plan) => ShelfActions.varied({ dish, plan })),
          catchError(() => of(ShelfActions.varied({ dish, plan: null }))),
        ),
      ),
    ),
  { functional: true },
);

/** A dish is put away (or, among those put away, back on the shelf); undo brings it back with all its revisions. */
export const remove = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(ShelfActions.remove),
      concatLatestFrom(() => store.select(shelfFeature.selectArchived)),
      concatMap(([{ id }, archived]) =>
        api.archiveDish(id, !archived).pipe(
          map(() => ShelfActions.removed({ id })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const restore = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.restore),
      concatLatestFrom(() => store.select(shelfFeature.selectShelfState)),
      concatMap(([, { removed, archived }]) =>
        removed
          ? api.archiveDish(removed.id, archived).pipe(
              map((stored) => ShelfActions.restored({ stored })),
              catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
            )
          : of(),
      ),
    ),
  { functional: true },
);
