import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import {
  catchError,
  concatMap,
  debounceTime,
  EMPTY,
  exhaustMap,
  filter,
  from,
  map,
  merge,
  of,
  type Observable,
  switchMap,
  takeUntil,
  tap,
} from 'rxjs';
import {
  families,
  ownOf,
  starter,
  withWritten,
  type Dish,
  type Kitchen,
  type Plan,
  type WrittenKey,
} from '@einkorn/core';
import { Api, failureOf, type StoredDish } from '../api/client';
import { KitchenActions, kitchenFeature, knownKitchen } from '../state/kitchen';
import { Planner } from '../workers/planner';
import type { Judged } from '../workers/protocol';
import { draftText, keepDraft } from './draft';
import { RecipeActions, recipeFeature, type Planned } from './recipe.slice';

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

/** Each plain dish as the pot would hold it, until something is typed: that matters more. */
export const drawStarters = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner), known = knownKitchen()) =>
    actions.pipe(
      ofType(RecipeActions.opened),
      switchMap(() => known),
      concatLatestFrom(() => store.select(recipeFeature.selectStarters)),
      switchMap(([kitchen, drawn]) =>
        from(families.filter((f) => !drawn[f])).pipe(
          concatMap((family) =>
            planner.planLater(starter(family, family), kitchen).pipe(
              map((plan) => RecipeActions.starterDrawn({ family, plan })),
              catchError(() => EMPTY),
            ),
          ),
          takeUntil(actions.pipe(ofType(RecipeActions.typed, RecipeActions.brought, RecipeActions.draftFound))),
        ),
      ),
    ),
  { functional: true },
);

/** Foods of the newest dishes. */
export const findRecent = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(RecipeActions.opened),
      switchMap(() =>
        api.dishes().pipe(
          map((dishes) => RecipeActions.recentFound({ foods: recentFoods(dishes) })),
          // Without the server there is nothing recent to offer.
          catchError(() => EMPTY),
        ),
      ),
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
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    merge(
      actions.pipe(ofType(RecipeActions.typed, RecipeActions.draftFound)),
      // A new food or glass of one's own may be what a line was waiting for.
      actions.pipe(
        ofType(KitchenActions.change),
        filter(({ change }) =>
          (['ownFoods', 'ownMeasures', 'usual'] as const).some((key) => change[key] !== undefined),
        ),
      ),
    ).pipe(
      concatLatestFrom(() => [store.select(recipeFeature.selectText), store.select(kitchenFeature.selectKitchen)]),
      switchMap(([, text, kitchen]) =>
        text.trim() === ''
          ? EMPTY
          : planner.read(text, ownOf(kitchen)).pipe(
              map((reading) => RecipeActions.read({ reading })),
              catchError((e: unknown) => of(RecipeActions.notRead({ message: messageOf(e) }))),
            ),
      ),
    ),
  { functional: true },
);

export const bring = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(RecipeActions.brought),
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchen)),
      switchMap(([{ source }, kitchen]) =>
        planner.bring(source, ownOf(kitchen)).pipe(
          map(({ text, dish }) => (dish ? RecipeActions.keepDish({ dish }) : RecipeActions.typed({ text }))),
          catchError((e: unknown) => of(RecipeActions.notBrought({ message: messageOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** Our plan, the recipe's own numbers judged beside it, and the plan with those of them that were taken. */
export const planRead = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner), known = knownKitchen()) =>
    actions.pipe(
      ofType(RecipeActions.read, RecipeActions.ownWords, RecipeActions.take),
      debounceTime(planAfterMs),
      switchMap(() => known),
      concatLatestFrom(() => [store.select(recipeFeature.selectDish), store.select(recipeFeature.selectTaken)]),
      switchMap(([kitchen, dish, taken]) => {
        if (!dish) return EMPTY;
        return plansOf(planner, kitchen, dish, taken).pipe(
          map((planned) => RecipeActions.planned({ planned })),
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
      concatLatestFrom(() => store.select(recipeFeature.selectChosen)),
      exhaustMap(([action, chosen]) => {
        const dish = 'dish' in action ? action.dish : chosen;
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

function plansOf(planner: Planner, kitchen: Kitchen, dish: Dish, taken: readonly WrittenKey[]): Observable<Planned> {
  const judge = (ours: Plan): Observable<Judged | null> =>
    dish.asCooked ? planner.ask('written', dish, kitchen, ours) : of(null);
  const mix = (ours: Plan, written: Judged | null): Observable<Plan> =>
    written && taken.length > 0 ? planner.planLater(withWritten(dish, written.plan, taken), kitchen) : of(ours);
  return planner
    .planLater(withWritten(dish, null, []), kitchen)
    .pipe(
      switchMap((ours) =>
        judge(ours).pipe(
          switchMap((written) => mix(ours, written).pipe(map((mixed) => ({ dish, ours, written, mixed })))),
        ),
      ),
    );
}

/** How many foods are offered, of how many dishes. */
const most = { foods: 10, dishes: 6 };

function recentFoods(dishes: readonly StoredDish[]): string[] {
  const newest = [...dishes].sort((a, b) => b.updatedMs - a.updatedMs).slice(0, most.dishes);
  const foods = newest.flatMap((d) => d.dish.ingredients.map((i) => i.food)).filter((f) => f !== 'water');
  return [...new Set(foods)].slice(0, most.foods);
}

const messageOf = (e: unknown): string => (e instanceof Error ? e.message : String(e));
