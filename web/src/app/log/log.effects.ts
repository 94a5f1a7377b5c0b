import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, concatMap, filter, map, of, switchMap } from 'rxjs';
import { Api, failureOf } from '../api/client';
import { LogActions } from './log.slice';

export const load = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.load),
      switchMap(() =>
        api.cooks().pipe(
          map((cooks) => LogActions.loaded({ cooks })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

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

export const rate = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.rate),
      concatMap(({ id, outcome }) =>
        api.finishCook(id, { outcome }).pipe(
          map((cook) => LogActions.loadedOne({ cook })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);
