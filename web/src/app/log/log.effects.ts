import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, concatMap, EMPTY, exhaustMap, filter, map, of, switchMap } from 'rxjs';
import { Api, failureOf } from '../api/client';
import { LogActions, logFeature } from './log.slice';

export const load = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.load),
      switchMap(() =>
        api.cooks(null).pipe(
          map((page) => LogActions.loaded({ page })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** Older cooks, a page at a time. */
export const more = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(LogActions.more),
      concatLatestFrom(() => store.select(logFeature.selectNext)),
      exhaustMap(([, next]) =>
        next === null
          ? EMPTY
          : api.cooks(next).pipe(
              map((page) => LogActions.moreLoaded({ page })),
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
