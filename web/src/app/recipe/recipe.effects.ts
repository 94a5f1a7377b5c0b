import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, debounceTime, EMPTY, exhaustMap, filter, forkJoin, map, of, switchMap, tap } from 'rxjs';
import type { Dish } from '@einkorn/core';
import { Api, failureOf } from '../api/client';
import { kitchenFeature } from '../state/kitchen';
import { Planner } from '../workers/planner';
import { draftText, keepDraft } from './draft';
import { RecipeActions, recipeFeature } from './recipe.slice';

/** After the last key before the plan is worked out, ms; the reading itself follows every key. */
const planAfterMs = 250;

export const findDraft = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(RecipeActions.opened),
      map(() => draftText()),
      filter((text) => text !== ''),
      map((text) => RecipeActions.draftFound({ text })),
    ),
  { functional: true },
);

export const holdDraft = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(RecipeActions.typed, RecipeActions.kept),
      tap((a) => keepDraft('text' in a ? a.text : '')),
    ),
  { functional: true, dispatch: false },
);

export const read = createEffect(
  (actions = inject(Actions), planner = inject(Planner)) =>
    actions.pipe(
      ofType(RecipeActions.typed, RecipeActions.draftFound),
      switchMap(({ text }) =>
        text.trim() === ''
          ? EMPTY
          : planner.read(text).pipe(
              map((reading) => RecipeActions.read({ reading })),
              catchError((e: unknown) => of(RecipeActions.notRead({ message: messageOf(e) }))),
            ),
      ),
    ),
  { functional: true },
);

export const bring = createEffect(
  (actions = inject(Actions), planner = inject(Planner)) =>
    actions.pipe(
      ofType(RecipeActions.brought),
      switchMap(({ source }) =>
        planner.bring(source).pipe(
          map(({ text, dish }) => (dish ? RecipeActions.keepDish({ dish }) : RecipeActions.typed({ text }))),
          catchError((e: unknown) => of(RecipeActions.notBrought({ message: messageOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** Our plan, and beside it what the recipe's own numbers give in this pot. */
export const planRead = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(RecipeActions.read, RecipeActions.ownWords),
      debounceTime(planAfterMs),
      concatLatestFrom(() => [store.select(recipeFeature.selectDish), store.select(kitchenFeature.selectKitchen)]),
      switchMap(([, dish, kitchen]) => {
        if (!dish) return EMPTY;
        const asWritten = dish.asCooked ? planner.ask('evaluate', dish, kitchen, null) : of(null);
        return forkJoin({ ours: planner.planLater(ours(dish), kitchen), asWritten }).pipe(
          map((plans) => RecipeActions.planned({ dish, ...plans })),
          catchError((e: unknown) => of(RecipeActions.notPlanned({ message: messageOf(e) }))),
        );
      }),
    ),
  { functional: true },
);

export const keep = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), router = inject(Router)) =>
    actions.pipe(
      ofType(RecipeActions.keep, RecipeActions.keepDish),
      concatLatestFrom(() => store.select(recipeFeature.selectDish)),
      exhaustMap(([action, readDish]) => {
        const dish =
          'dish' in action ? action.dish : readDish && (action.asWritten ? written(readDish) : ours(readDish));
        if (!dish) return EMPTY;
        return api.addDish(dish).pipe(
          tap(({ id }) => void router.navigate(['/bench', id, 'gather'])),
          map(({ id }) => RecipeActions.kept({ id })),
          catchError((e: unknown) => of(RecipeActions.failed({ failure: failureOf(e) }))),
        );
      }),
    ),
  { functional: true },
);

const messageOf = (e: unknown): string => (e instanceof Error ? e.message : String(e));

/** The dish without the recipe's own numbers, which are no decision of this cook. */
function ours({ asCooked: _, ...dish }: Dish): Dish {
  return dish;
}

/** The recipe's own numbers as the cook's: each can be given back on the Bench, one by one. */
function written(dish: Dish): Dish {
  const { asCooked, ...rest } = dish;
  if (!asCooked) return rest;
  const { holdMin, release, pressure, liquidMl } = asCooked;
  return { ...rest, overrides: { holdMin, release, pressure, ...(liquidMl === undefined ? {} : { liquidMl }) } };
}
