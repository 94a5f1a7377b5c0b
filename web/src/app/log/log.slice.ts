import type { Cook, CookPage, CookSummary, Debrief, Outcome } from '@einkorn/core';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Failure } from '../api/client';

export const LogActions = createActionGroup({
  source: 'Log',
  events: {
    Load: emptyProps(),
    Loaded: props<{ page: CookPage }>(),
    /** the next page of older cooks */
    More: emptyProps(),
    'More Loaded': props<{ page: CookPage }>(),
    Failed: props<{ failure: Failure }>(),
    'Load One': props<{ id: string }>(),
    'Loaded One': props<{ cook: Cook }>(),
    'Looked Back': props<{ id: string; debrief: Debrief | null }>(),
    Rate: props<{ id: string; outcome: Outcome }>(),
  },
});

const adapter = createEntityAdapter<Cook>();

/** The cooks that were opened, whole, and the rows of the list, which are not. */
export interface LogState extends EntityState<Cook> {
  rows: CookSummary[];
  /** where the next page begins; null when all are here */
  next: string | null;
  /** cooks in the whole log */
  real: number;
  practised: number;
  loaded: boolean;
  failure: Failure | null;
  /** what a practice cook taught, by its id */
  debriefs: Record<string, Debrief | null>;
}

const start = { rows: [], next: null, real: 0, practised: 0, loaded: false, failure: null, debriefs: {} };
const counts = ({ next, real, practised }: CookPage) => ({ next, real, practised, loaded: true, failure: null });

export const logFeature = createFeature({
  name: 'log',
  reducer: createReducer<LogState>(
    adapter.getInitialState(start),
    on(LogActions.loaded, (s, { page }) => ({ ...s, ...counts(page), rows: page.cooks })),
    on(LogActions.moreLoaded, (s, { page }) => {
      const here = new Set(s.rows.map((r) => r.id));
      return { ...s, ...counts(page), rows: [...s.rows, ...page.cooks.filter((c) => !here.has(c.id))] };
    }),
    on(LogActions.loadedOne, (s, { cook }) => adapter.upsertOne(cook, { ...s, failure: null })),
    on(LogActions.lookedBack, (s, { id, debrief }) => ({ ...s, debriefs: { ...s.debriefs, [id]: debrief } })),
    // The rating is shown at once; the server's answer replaces it.
    on(LogActions.rate, (s, { id, outcome }) => adapter.updateOne({ id, changes: { outcome } }, s)),
    on(LogActions.failed, (s, { failure }) => ({ ...s, failure, loaded: true })),
  ),
});
