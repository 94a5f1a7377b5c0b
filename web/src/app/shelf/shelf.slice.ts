import { inject } from '@angular/core';
import { foods, type Dish, type Family, type Plan } from '@einkorn/core';
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
    Filter: props<{ filter: Partial<ShelfFilter> }>(),
    /** a dish that was made here (a starter, a variation, a file) goes on the shelf */
    Add: props<{ dish: Dish }>(),
    Added: props<{ stored: StoredDish }>(),
    'Show Archived': props<{ archived: boolean }>(),
    /** what would follow from a variation, planned for its dialog */
    Vary: props<{ dish: Dish }>(),
    Varied: props<{ dish: Dish; plan: Plan | null }>(),
    Duplicate: props<{ id: string; title: string }>(),
    Duplicated: props<{ stored: StoredDish }>(),
    Remove: props<{ id: string }>(),
    Removed: props<{ id: string }>(),
    Restore: emptyProps(),
    Restored: props<{ stored: StoredDish }>(),
  },
});

const adapter = createEntityAdapter<StoredDish>({ sortComparer: (a, b) => b.updatedMs - a.updatedMs });

export interface ShelfFilter {
  text: string;
  family: Family | null;
  /** food id of the grain or pasta */
  starch: string | null;
  /** minutes in all */
  mostMin: number | null;
}
const noFilter: ShelfFilter = { text: '', family: null, starch: null, mostMin: null };

export interface ShelfState extends EntityState<StoredDish> {
  loaded: boolean;
  filter: ShelfFilter;
  archived: boolean;
  varied: { dish: Dish; plan: Plan | null } | null;
  failure: Failure | null;
  plans: Record<string, Plan>;
  refused: Record<string, string>;
  /** the dish just taken off, for undo */
  removed: StoredDish | null;
}

export const shelfFeature = createFeature({
  name: 'shelf',
  reducer: createReducer<ShelfState>(
    adapter.getInitialState({
      loaded: false,
      filter: noFilter,
      archived: false,
      varied: null,
      failure: null,
      plans: {},
      refused: {},
      removed: null,
    }),
    on(ShelfActions.loaded, (s, { dishes }) => adapter.setAll(dishes, { ...s, loaded: true, failure: null })),
    on(ShelfActions.failed, (s, { failure }) => ({ ...s, failure, loaded: true })),
    on(ShelfActions.filter, (s, { filter }) => ({ ...s, filter: { ...s.filter, ...filter } })),
    on(ShelfActions.showArchived, (s, { archived }) => ({ ...s, archived, removed: null })),
    on(ShelfActions.vary, (s, { dish }) => ({ ...s, varied: { dish, plan: null } })),
    on(ShelfActions.varied, (s, varied) => (s.varied?.dish === varied.dish ? { ...s, varied } : s)),
    on(ShelfActions.verdictFound, (s, { id, plan }) => ({ ...s, plans: { ...s.plans, [id]: plan } })),
    on(ShelfActions.verdictRefused, (s, { id, message }) => ({ ...s, refused: { ...s.refused, [id]: message } })),
    on(ShelfActions.duplicated, ShelfActions.added, (s, { stored }) =>
      s.archived ? s : adapter.upsertOne(stored, { ...s, removed: null, failure: null }),
    ),
    // Back to where it came from: the shelf, or those put away.
    on(ShelfActions.restored, (s, { stored }) => adapter.upsertOne(stored, { ...s, removed: null })),
    on(ShelfActions.removed, (s, { id }) => adapter.removeOne(id, { ...s, removed: s.entities[id] ?? null })),
  ),
  extraSelectors: ({ selectShelfState, selectFilter, selectPlans, selectRefused }) => {
    const selectAll = createSelector(selectShelfState, adapter.getSelectors().selectAll);
    return {
      selectAll,
      selectRows: createSelector(selectAll, selectFilter, selectPlans, selectRefused, (all, filter, plans, refused) =>
        all
          .map((d) => ({ ...d, plan: plans[d.id] ?? null, refused: refused[d.id] ?? null }))
          .filter((d) => passes(filter, d.dish, d.plan)),
      ),
      /** families and starches that stand on the shelf, for the filters */
      selectChoices: createSelector(selectAll, (all) => ({
        families: [...new Set(all.map((d) => d.dish.family))].sort(),
        starches: [...new Set(all.flatMap((d) => starchOf(d.dish) ?? []))].sort(),
      })),
    };
  },
});

const starchOf = (dish: Dish): string | undefined => dish.ingredients.find((i) => starches.has(i.food))?.food;
const starches = new Set(foods.filter((f) => f.grain).map((f) => f.id));

/** A dish not yet planned passes every limit of time: it is never hidden for being slow to compute. */
function passes(f: ShelfFilter, dish: Dish, plan: Plan | null): boolean {
  const words = f.text.toLowerCase().split(/\s+/).filter(Boolean);
  const text = `${dish.title} ${dish.family} ${dish.ingredients.map((i) => i.food).join(' ')}`.toLowerCase();
  return (
    words.every((w) => text.includes(w)) &&
    (f.family === null || dish.family === f.family) &&
    (f.starch === null || starchOf(dish) === f.starch) &&
    (f.mostMin === null || plan === null || (plan.timeline.at(-1)?.endMin ?? 0) <= f.mostMin)
  );
}

export const load = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.load, ShelfActions.showArchived),
      switchMap((a) =>
        api.dishes('archived' in a && a.archived).pipe(
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
      ofType(ShelfActions.loaded, ShelfActions.duplicated, ShelfActions.added, ShelfActions.restored),
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

export const add = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(ShelfActions.add),
      concatMap(({ dish }) =>
        api.addDish(dish).pipe(
          map((stored) => ShelfActions.added({ stored })),
          catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const vary = createEffect(
  (actions = inject(Actions), store = inject(Store), planner = inject(Planner)) =>
    actions.pipe(
      ofType(ShelfActions.vary),
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchen)),
      switchMap(([{ dish }, kitchen]) =>
        planner.planLater(dish, kitchen).pipe(
          map((plan) => ShelfActions.varied({ dish, plan })),
          catchError(() => of(ShelfActions.varied({ dish, plan: null }))),
        ),
      ),
    ),
  { functional: true },
);

/** A dish is put away (or, among those put away, back on the shelf); undo brings it back with all its revisions. */
export const remove = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(ShelfActions.remove),
      concatLatestFrom(() => store.select(shelfFeature.selectArchived)),
      concatMap(([{ id }, archived]) =>
        api.archiveDish(id, !archived).pipe(
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
      concatLatestFrom(() => store.select(shelfFeature.selectShelfState)),
      concatMap(([, { removed, archived }]) =>
        removed
          ? api.archiveDish(removed.id, archived).pipe(
              map((stored) => ShelfActions.restored({ stored })),
              catchError((e: unknown) => of(ShelfActions.failed({ failure: failureOf(e) }))),
            )
          : of(),
      ),
    ),
  { functional: true },
);
