import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import {
  catchError,
  concatMap,
  exhaustMap,
  filter,
  forkJoin,
  from,
  map,
  of,
  switchMap,
  takeUntil,
  tap,
  timer,
} from 'rxjs';
import { Api, failureOf } from '../api/client';
import { HouseClock } from '../state/clock';
import { knownKitchen } from '../state/kitchen';
import { newCook } from '../state/new-cook';
import { Planner, PlanProblem } from '../workers/planner';
import { keepEvening } from './evening-store';
import { planKey } from './courses';
import { EveningActions, eveningFeature } from './evening.slice';

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

/** The stove is looked at while the page is open: a dish that is late there moves the others. */
const lookEveryMs = 15_000;
/** What was cooked this evening is among the newest of the log. */
const newestLooked = 10;

export const watchStove = createEffect(
  (actions = inject(Actions), api = inject(Api), clock = inject(HouseClock)) =>
    actions.pipe(
      ofType(EveningActions.loaded),
      switchMap(() =>
        timer(0, lookEveryMs).pipe(
          takeUntil(actions.pipe(ofType(EveningActions.leave))),
          exhaustMap(() =>
            forkJoin({ cooking: api.runningCooks(), page: api.cooks({ limit: newestLooked }) }).pipe(
              map(({ cooking, page }) => EveningActions.stoveSeen({ cooking, newest: page.cooks, nowMs: clock.now() })),
              // Without the server the evening stays as it was last seen.
              catchError(() => of()),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
);

/** Every course that has no plan yet gets one, in its own pot at the kitchen's altitude. */
export const planCourses = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner), known = knownKitchen()) =>
    actions.pipe(
      ofType(EveningActions.courses, EveningActions.loaded, EveningActions.stoveSeen),
      switchMap(() => known),
      concatLatestFrom(() => store.select(eveningFeature.selectEveningState)),
      switchMap(([kitchen, s]) =>
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
      ofType(EveningActions.courses, EveningActions.serveAt, EveningActions.stoveSeen),
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
