import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { Action } from '@ngrx/store';
import {
  catchError,
  concatMap,
  EMPTY,
  exhaustMap,
  filter,
  forkJoin,
  from,
  map,
  mergeMap,
  Observable,
  of,
  switchMap,
  tap,
} from 'rxjs';
import { Api, failureOf } from '../api/client';
import { Outbox } from '../api/outbox';
import { cookChange, cooksInOutbox } from '../api/cook-change';
import { withNextTime, type Cook } from '@einkorn/core';
import { knownKitchen } from '../state/kitchen';
import { Planner } from '../workers/planner';
import { LogActions } from './log.slice';

export const loadOne = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.loadOne),
      switchMap(({ id }) =>
        api.cook(id).pipe(
          map((cook) => LogActions.loadedOne({ cook })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const loadSome = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.loadSome),
      switchMap(({ ids }) =>
        forkJoin(ids.map((id) => api.cook(id))).pipe(
          map((cooks) => LogActions.loadedSome({ cooks })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** A practice cook is looked back at once it is over. */
export const lookBack = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.loadedOne),
      filter(({ cook }) => cook.practice !== undefined && cook.finishedMs !== null),
      switchMap(({ cook }) =>
        api.debrief(cook.id).pipe(
          map((debrief) => LogActions.lookedBack({ id: cook.id, debrief })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** Looked for again after each rating. */
export const findNextTime = createEffect(
  (actions = inject(Actions), planner = inject(Planner), known = knownKitchen()) =>
    actions.pipe(
      ofType(LogActions.loadedOne),
      filter(({ cook }) => cook.practice === undefined && cook.finishedMs !== null),
      switchMap(({ cook }) =>
        known.pipe(
          switchMap((kitchen) => planner.nextTime(cook, kitchen)),
          map((next) => LogActions.nextTimeFound({ id: cook.id, next })),
          catchError(() => EMPTY),
        ),
      ),
    ),
  { functional: true },
);

/** The dish on the shelf takes the change as a decision; where it is gone, the cook's own copy goes there again. */
export const cookSo = createEffect(
  (actions = inject(Actions), api = inject(Api), router = inject(Router)) =>
    actions.pipe(
      ofType(LogActions.cookSo),
      exhaustMap(({ cook, next }) => {
        const changed =
          cook.dishId === null
            ? api.addDish(withNextTime(cook.dish, next))
            : api.dish(cook.dishId).pipe(switchMap((d) => api.saveDish(d.id, withNextTime(d.dish, next), d.revision)));
        return changed.pipe(
          tap(({ id }) => void router.navigate(['/bench', id, 'pressure'])),
          map(() => LogActions.load()),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        );
      }),
    ),
  { functional: true },
);

export const rate = createEffect(
  (actions = inject(Actions), outbox = inject(Outbox)) =>
    actions.pipe(
      ofType(LogActions.rate),
      concatMap(({ id, outcome, had }) =>
        from(outbox.send<Cook>(cookChange(id, { outcome, had }))).pipe(
          mergeMap((done): Action[] => {
            if (done.state === 'kept') return [LogActions.loadedOne({ cook: done.value })];
            // What waits is on the screen already; of a question the other screen's word is shown.
            return done.state === 'asked' ? [LogActions.loadOne({ id })] : [];
          }),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** What had waited is at the server: the cook is shown as it is there. */
export const sentLater = createEffect(
  (outbox = inject(Outbox)) =>
    new Observable<Action>((out) => {
      outbox.onKept(cooksInOutbox, (cook) => out.next(LogActions.loadedOne({ cook: cook as Cook })));
    }),
  { functional: true },
);

export const close = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.close),
      concatMap(({ id, finishedMs }) =>
        api.changeCook(id, { finishedMs }).pipe(
          map((cook) => LogActions.loadedOne({ cook })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const discard = createEffect(
  (actions = inject(Actions), api = inject(Api), router = inject(Router)) =>
    actions.pipe(
      ofType(LogActions.discard),
      concatMap(({ id }) =>
        api.removeCook(id).pipe(
          tap(() => void router.navigate(['/log'])),
          map(() => LogActions.discarded({ id })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);
