import { inject } from '@angular/core';
import { kitchenSchema, type Kitchen } from '@einkorn/core';
import { TranslocoService } from '@jsverse/transloco';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props, Store } from '@ngrx/store';
import {
  catchError,
  combineLatest,
  debounceTime,
  distinctUntilChanged,
  filter,
  map,
  of,
  switchMap,
  tap,
  withLatestFrom,
} from 'rxjs';
import { Api, failureOf, type Failure } from '../api/client';

/** The kitchen is read by every place, so its slice stands beside them, not inside one. */
export const KitchenActions = createActionGroup({
  source: 'Kitchen',
  events: {
    Load: emptyProps(),
    Loaded: props<{ kitchen: Kitchen }>(),
    Change: props<{ change: Partial<Kitchen> }>(),
    /** the server has the settings as they were after so many changes */
    Saved: props<{ changes: number }>(),
    /** reads the whole log again for what it teaches */
    Learn: emptyProps(),
    Failed: props<{ failure: Failure }>(),
  },
});

export interface KitchenState {
  kitchen: Kitchen;
  loaded: boolean;
  saving: boolean;
  /** changes made since the page was opened */
  changes: number;
  /** the server is reading the log */
  learning: boolean;
  failure: Failure | null;
}

export const kitchenFeature = createFeature({
  name: 'kitchen',
  reducer: createReducer<KitchenState>(
    { kitchen: kitchenSchema.parse({}), loaded: false, saving: false, changes: 0, learning: false, failure: null },
    // Settings that are on their way to the server stand; only what the log taught and that it has begun is news.
    on(KitchenActions.loaded, (s, { kitchen }) => ({
      ...s,
      kitchen: s.saving ? { ...s.kitchen, learned: kitchen.learned, isNew: kitchen.isNew } : kitchen,
      loaded: true,
      learning: false,
      failure: null,
    })),
    on(KitchenActions.learn, (s) => ({ ...s, learning: true, failure: null })),
    on(KitchenActions.change, (s, { change }) => {
      const next = kitchenSchema.safeParse({ ...s.kitchen, ...change });
      return next.success ? { ...s, kitchen: next.data, saving: true, changes: s.changes + 1, failure: null } : s;
    }),
    // A change that was made while an older one travelled is still to be saved.
    on(KitchenActions.saved, (s, { changes }) => ({ ...s, saving: s.changes !== changes })),
    on(KitchenActions.failed, (s, { failure }) => ({ ...s, saving: false, learning: false, loaded: true, failure })),
  ),
});

export const loadKitchen = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(KitchenActions.load),
      switchMap(() =>
        api.kitchen().pipe(
          map((kitchen) => KitchenActions.loaded({ kitchen })),
          catchError((e: unknown) => of(KitchenActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const learnFromLog = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(KitchenActions.learn),
      switchMap(() =>
        api.learn().pipe(
          map((kitchen) => KitchenActions.loaded({ kitchen })),
          catchError((e: unknown) => of(KitchenActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const saveKitchen = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(KitchenActions.change),
      debounceTime(300),
      withLatestFrom(store.select(kitchenFeature.selectKitchenState)),
      filter(([, { saving }]) => saving),
      switchMap(([, { kitchen, changes }]) =>
        api.saveKitchen(kitchen).pipe(
          map(() => KitchenActions.saved({ changes })),
          catchError((e: unknown) => of(KitchenActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** The cook's own foods are called by the cook's names, wherever a food is named. */
export const nameOwnFoods = createEffect(
  (store = inject(Store), transloco = inject(TranslocoService)) =>
    combineLatest([
      store.select(kitchenFeature.selectKitchen).pipe(
        map(({ ownFoods }) => ownFoods),
        distinctUntilChanged(),
      ),
      transloco.langChanges$.pipe(distinctUntilChanged()),
    ]).pipe(
      tap(([all = [], language]) => {
        const food = Object.fromEntries(all.map((f) => [f.id, f.name]));
        transloco.setTranslation({ food }, language, { merge: true });
      }),
    ),
  { functional: true, dispatch: false },
);
