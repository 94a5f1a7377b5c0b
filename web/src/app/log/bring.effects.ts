import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, concatMap, map, of, switchMap } from 'rxjs';
import { Api, failureOf } from '../api/client';
import { LogActions } from './log.slice';

export const findTitles = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.bringOpened),
      switchMap(() =>
        api.dishes().pipe(
          map((dishes) => LogActions.titlesFound({ titles: dishes.map((d) => d.dish.title).sort() })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const bring = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(LogActions.bring),
      concatMap(({ body }) =>
        api.bringCooks(body).pipe(
          map((report) => LogActions.brought({ report })),
          catchError((e: unknown) => of(LogActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);
