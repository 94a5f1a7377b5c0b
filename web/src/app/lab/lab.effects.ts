import { inject } from '@angular/core';
import { mostGuesses } from '@einkorn/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, EMPTY, filter, map, of, switchMap } from 'rxjs';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { Planner } from '../workers/planner';
import { LabActions, labFeature } from './lab.slice';

export const cookBoth = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(LabActions.open, LabActions.again, LabActions.move),
      concatLatestFrom(() => store.select(labFeature.selectLesson)),
      switchMap(([action, lesson]) => {
        if (lesson === null) return EMPTY;
        return planner.lesson(lesson, 'value' in action ? action.value : undefined).pipe(
          map((run) => LabActions.cooked({ run })),
          catchError((e: Error) => of(LabActions.notCooked({ message: e.message }))),
        );
      }),
    ),
  { functional: true },
);

/** A guess is kept in the kitchen, so that a cook sees what they have learned. */
export const keepGuess = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(LabActions.guess),
      concatLatestFrom(() => [store.select(labFeature.selectRun), store.select(kitchenFeature.selectKitchen)]),
      filter(([, run]) => run !== null),
      map(([{ guess }, run, kitchen]) => {
        const now = { lesson: run!.id, guess, right: guess === run!.answer, atMs: Date.now() };
        return KitchenActions.change({ change: { guesses: [...(kitchen.guesses ?? []), now].slice(-mostGuesses) } });
      }),
    ),
  { functional: true },
);
