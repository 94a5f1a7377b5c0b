import { foods, type Dish, type Family, type Plan } from '@einkorn/core';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Failure, StoredDish } from '../api/client';
import type { Reminder } from './reminders';
import type { Hit } from './search';

export const ShelfActions = createActionGroup({
  source: 'Shelf',
  events: {
    Load: emptyProps(),
    Loaded: props<{ dishes: StoredDish[] }>(),
    Failed: props<{ failure: Failure }>(),
    Reminded: props<{ reminders: Reminder[] }>(),
    'Wave Away': props<{ id: string }>(),
    'Verdict Found': props<{ id: string; plan: Plan }>(),
    'Verdict Refused': props<{ id: string; message: string }>(),
    Filter: props<{ filter: Partial<ShelfFilter> }>(),
    /** which dishes fit the words */
    Found: props<{ text: string; hits: Hit[] }>(),
    /** a dish that was made here (a starter, a variation, a file) goes on the shelf */
    Add: props<{ dish: Dish }>(),
    Added: props<{ stored: StoredDish }>(),
    'Show Archived': props<{ archived: boolean }>(),
    /** what would follow from a variation, planned for its dialog */
    Vary: props<{ dish: Dish }>(),
    Varied: props<{ dish: Dish; plan: Plan | null }>(),
    Duplicate: props<{ id: string; title: string }>(),
    /** the title, the people or the notes of a dish were changed */
    Reword: props<{ id: string; dish: Dish }>(),
    Reworded: props<{ stored: StoredDish }>(),
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
  /** dishes that fit the words of the filter, the best first; null while no words are looked for */
  found: { text: string; hits: Hit[] } | null;
  archived: boolean;
  varied: { dish: Dish; plan: Plan | null } | null;
  reminders: Reminder[];
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
      found: null,
      archived: false,
      varied: null,
      reminders: [],
      failure: null,
      plans: {},
      refused: {},
      removed: null,
    }),
    on(ShelfActions.loaded, (s, { dishes }) => adapter.setAll(dishes, { ...s, loaded: true, failure: null })),
    on(ShelfActions.failed, (s, { failure }) => ({ ...s, failure, loaded: true })),
    on(ShelfActions.reminded, (s, { reminders }) => ({ ...s, reminders })),
    on(ShelfActions.waveAway, (s, { id }) => ({ ...s, reminders: s.reminders.filter((r) => r.id !== id) })),
    on(ShelfActions.filter, (s, { filter }) => {
      const next = { ...s.filter, ...filter };
      return { ...s, filter: next, found: next.text.trim() === '' ? null : s.found };
    }),
    on(ShelfActions.found, (s, found) =>
      s.filter.text === found.text ? { ...s, found: { text: found.text, hits: found.hits } } : s,
    ),
    on(ShelfActions.showArchived, (s, { archived }) => ({ ...s, archived, removed: null })),
    on(ShelfActions.vary, (s, { dish }) => ({ ...s, varied: { dish, plan: null } })),
    on(ShelfActions.varied, (s, varied) => (s.varied?.dish === varied.dish ? { ...s, varied } : s)),
    on(ShelfActions.verdictFound, (s, { id, plan }) => ({ ...s, plans: { ...s.plans, [id]: plan } })),
    on(ShelfActions.verdictRefused, (s, { id, message }) => ({ ...s, refused: { ...s.refused, [id]: message } })),
    on(ShelfActions.duplicated, ShelfActions.added, ShelfActions.reworded, (s, { stored }) =>
      s.archived ? s : adapter.upsertOne(stored, { ...s, removed: null, failure: null }),
    ),
    // Back to where it came from: the shelf, or those put away.
    on(ShelfActions.restored, (s, { stored }) => adapter.upsertOne(stored, { ...s, removed: null })),
    on(ShelfActions.removed, (s, { id }) => adapter.removeOne(id, { ...s, removed: s.entities[id] ?? null })),
  ),
  extraSelectors: ({ selectShelfState, selectFilter, selectFound, selectPlans, selectRefused }) => {
    const selectAll = createSelector(selectShelfState, adapter.getSelectors().selectAll);
    return {
      selectAll,
      selectRows: createSelector(
        createSelector(selectAll, selectFound, inSearchOrder),
        selectFilter,
        selectPlans,
        selectRefused,
        (all, filter, plans, refused) =>
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

/** Dishes as the search ranks them, with what fits; all of them, in the order of the shelf, where nothing is looked for. */
function inSearchOrder(all: readonly StoredDish[], found: ShelfState['found']): (StoredDish & { why: Hit['why'] })[] {
  if (found === null) return all.map((d) => ({ ...d, why: [] }));
  const byId = new Map(all.map((d) => [d.id, d]));
  return found.hits.flatMap(({ id, why }) => {
    const d = byId.get(id);
    return d ? [{ ...d, why }] : [];
  });
}

/** A dish not yet planned passes every limit of time: it is never hidden for being slow to compute. */
function passes(f: ShelfFilter, dish: Dish, plan: Plan | null): boolean {
  return (
    (f.family === null || dish.family === f.family) &&
    (f.starch === null || starchOf(dish) === f.starch) &&
    (f.mostMin === null || plan === null || (plan.timeline.at(-1)?.endMin ?? 0) <= f.mostMin)
  );
}
