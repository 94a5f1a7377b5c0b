import { inject } from '@angular/core';
import type { Plan } from '@einkorn/core';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import {
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  emptyProps,
  on,
  props,
  Store,
} from '@ngrx/store';
import { catchError, concatMap, from, map, mergeMap, of, switchMap } from 'rxjs';
import { Api, failureOf, type Failure, type StoredDish } from '../api/client';
import { kitchenFeature } from '../state/kitchen';
import { Planner } from '../workers/planner';

export const ShelfActions = createActionGroup({
  source: 'Shelf',
  events: {
    Load: emptyProps(),
    Loaded: props<{ dishes: StoredDish[] }>(),
    Failed: props<{ failure: Failure }>(),
    'Verdict Found': props<{ id: string; plan: Plan }>(),
    'Verdict Refused': props<{ id: string; message: string }>(),
    Search: props<{ text: string }>(),
    Duplicate: props<{ id: string; title: string }>(),
    Duplicated: props<{ stored: StoredDish }>(),
    Remove: props<{ id: string }>(),
    Removed: props<{ id: string }>(),
    Restore: emptyProps(),
    Restored: props<{ stored: StoredDish }>(),
  },
});

const adapter = createEntityAdapter<StoredDish>({ sortComparer: (a, b) => b.updatedMs - a.updatedMs });

export interface ShelfState extends EntityState<StoredDish> {
  loaded: boolean;
  search: string;
  failure: Failure | null;
  plans: Record<string, Plan>;
  refused: Record<string, string>;
  /** the dish just taken off, for undo */
  removed: StoredDish | null;
}

export const shelfFeature = createFeature({
  name: 'shelf',
  reducer: createReducer<ShelfState>(
    adapter.getInitialState({ loaded: false, search: '', failure: null, plans: {}, refused: {}, removed: null }),
    on(ShelfActions.loaded, (s, { dishes }) => adapter.setAll(dishes, { ...s, loaded: true, failure: null })),
    on(ShelfActions.failed, (s, { failure }) => ({ ...s, failure, loaded: true })),
    on(ShelfActions.search, (s, { text }) => ({ ...s, search: text })),
    on(ShelfActions.verdictFound, (s, { id, plan }) => ({ ...s, plans: { ...s.plans, [id]: plan } })),
    on(ShelfActions.verdictRefused, (s, { id, message }) => ({ ...s, refused: { ...s.refused, [id]: message } })),
    on(ShelfActions.duplicated, ShelfActions.restored, (s, { stored }) =>
      adapter.upsertOne(stored, { ...s, removed: null }),
    ),
    on(ShelfActions.removed, (s, { id }) => adapter.removeOne(id, { ...s, removed: s.entities[id] ?? null })),
  ),
  extraSelectors: ({ selectShelfState, selectSearch, selectPlans, selectRefused }) => {
    const selectAll = createSelector(selectShelfState, adapter.getSelectors().selectAll);
    return {
      selectAll,
      selectRows: createSelector(selectAll, selectSearch, selectPlans, selectRefused, (all, search, plans, refused) => {
        const words = search.toLowerCase().split(/\s+/).filter(Boolean);
        return all
          .filter((d) => {
            const text =
              `${d.dish.title} ${d.dish.family} ${d.dish.ingredients.map((i) => i.food).join(' ')}`.toLowerCase();
            return words.every((w) => text.includes(w));
          })
          .map((d) => ({ ...d, plan: plans[d.id] ?? null, refused: refused[d.id] ?? null }));
      }),
    };
  },
});

export const load = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.load),
      switchMap(() =>
        api.dishes().pipe(
          map((dishes) => ShelfActions.loaded({ dishes })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** The verdicts of every dish on the shelf, one after the other in the background. */
export const verdicts = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(ShelfActions.loaded, ShelfActions.duplicated, ShelfActions.restored),
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchen)),
      mergeMap(([action, kitchen]) =>
        from('dishes' in action ? action.dishes : [action.stored]).pipe(
          concatMap((d) =>
            planner.planLater(d.dish, kitchen).pipe(
              map((plan) => ShelfActions.verdictFound({ id: d.id, plan })),
              catchError((e: unknown) =>
                of(ShelfActions.verdictRefused({ id: d.id, message: e instanceof Error ? e.message : String(e) })),
              ),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
);

export const duplicate = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.duplicate),
      concatLatestFrom(() => store.select(shelfFeature.selectEntities)),
      concatMap(([{ id, title }, all]) => {
        const dish = all[id]?.dish;
        if (!dish) return of();
        return api.addDish({ ...dish, title }).pipe(
          map((stored) => ShelfActions.duplicated({ stored })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        );
      }),
    ),
  { functional: true },
);

export const remove = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.remove),
      concatMap(({ id }) =>
        api.removeDish(id).pipe(
          map(() => ShelfActions.removed({ id })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const restore = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.restore),
      concatLatestFrom(() => store.select(shelfFeature.selectRemoved)),
      concatMap(([, removed]) =>
        removed
          ? api.addDish(removed.dish).pipe(
              map((stored) => ShelfActions.restored({ stored })),
              catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
            )
          : of(),
      ),
    ),
  { functional: true },
);
