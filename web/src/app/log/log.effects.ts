import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, debounceTime, EMPTY, exhaustMap, map, merge, of, switchMap } from 'rxjs';
import { Api, failureOf } from '../api/client';
import { LogActions, logFeature } from './log.slice';

/** After the last key of a search, ms. */
const searchAfterMs = 200;

export const load = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    merge(
      actions.pipe(ofType(LogActions.load)),
      actions.pipe(ofType(LogActions.ask), debounceTime(searchAfterMs)),
    ).pipe(
      concatLatestFrom(() => store.select(logFeature.selectQuery)),
      switchMap(([, query]) =>
        api.cooks(query).pipe(
          map((page) => LogActions.loaded({ page })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** The next page of the same part of the log. */
export const more = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(LogActions.more),
      concatLatestFrom(() => [store.select(logFeature.selectNext), store.select(logFeature.selectQuery)]),
      exhaustMap(([, next, query]) =>
        next === null
          ? EMPTY
          : api.cooks(query, next).pipe(
              map((page) => LogActions.moreLoaded({ page })),
              catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
            ),
      ),
    ),
  { functional: true },
);

/** How many cooks the panel of what was learned looks back at. */
const historyOf = 100;

export const loadHistory = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.load),
      switchMap(() =>
        api.cooks({ practice: false, limit: historyOf }).pipe(
          map(({ cooks }) => LogActions.historyLoaded({ cooks: cooks.filter((c) => c.finishedMs !== null) })),
          // The list says what is wrong; the panel stays without its figure.
          catchError(() => EMPTY),
        ),
      ),
    ),
  { functional: true },
);
