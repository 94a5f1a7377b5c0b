import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import { catchError, concatMap, filter, from, map, of, switchMap, tap } from 'rxjs';
import { Api, failureOf } from '../api/client';
import { kitchenFeature } from '../state/kitchen';
import { newCook } from '../state/new-cook';
import { Planner, PlanProblem } from '../workers/planner';
import { keepEvening } from './evening-store';
import { EveningActions, eveningFeature, planKey } from './evening.slice';

export const loadEvening = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(EveningActions.load),
      switchMap(() =>
        api.dishes().pipe(
          map((dishes) => EveningActions.loaded({ dishes })),
          catchError((e: unknown) => of(EveningActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** Every course that has no plan yet gets one, in its own pot at the kitchen's altitude. */
export const planCourses = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(EveningActions.courses, EveningActions.loaded),
      concatLatestFrom(() => [
        store.select(eveningFeature.selectEveningState),
        store.select(kitchenFeature.selectKitchen),
      ]),
      switchMap(([, s, kitchen]) =>
        from(s.courses.filter((c) => !s.plans[planKey(c)])).pipe(
          concatMap((c) => {
            const dish = s.dishes.find((d) => d.id === c.dishId)?.dish;
            if (!dish) return of();
            return planner.planLater(dish, { ...kitchen, potId: c.potId }).pipe(
              map((plan) => EveningActions.planned({ key: planKey(c), plan, problem: null })),
              catchError((e: unknown) =>
                of(
                  EveningActions.planned({
                    key: planKey(c),
                    plan: null,
                    problem: e instanceof PlanProblem ? e.problem.message : String(e),
                  }),
                ),
              ),
            );
          }),
        ),
      ),
    ),
  { functional: true },
);

/** The choice is still there after a reload. */
export const keepChoice = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(EveningActions.courses, EveningActions.serveAt),
      concatLatestFrom(() => store.select(eveningFeature.selectEveningState)),
      tap(([, s]) => keepEvening(s)),
    ),
  { functional: true, dispatch: false },
);

export const startCourse = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), router = inject(Router)) =>
    actions.pipe(
      ofType(EveningActions.start),
      concatLatestFrom(() => store.select(eveningFeature.selectEveningState)),
      map(([{ course, nowMs }, s]) => {
        const dish = s.dishes.find((d) => d.id === course.dishId)?.dish;
        const plan = s.plans[planKey(course)]?.plan;
        if (!dish || !plan) return null;
        return newCook({ dishId: course.dishId, dish, plan }, nowMs);
      }),
      filter((cook) => cook !== null),
      concatMap((cook) =>
        api.startCook(cook).pipe(
          tap(() => void router.navigate(['/stove', cook.id])),
          switchMap(() => of()),
          catchError((e: unknown) => of(EveningActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);
