import { actualOf, forecast, type Cook, type Debrief, type Outcome } from '@einkorn/core';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Failure } from '../api/client';

export const LogActions = createActionGroup({
  source: 'Log',
  events: {
    Load: emptyProps(),
    Loaded: props<{ cooks: Cook[] }>(),
    Failed: props<{ failure: Failure }>(),
    'Load One': props<{ id: string }>(),
    'Loaded One': props<{ cook: Cook }>(),
    'Looked Back': props<{ id: string; debrief: Debrief | null }>(),
    Rate: props<{ id: string; outcome: Outcome }>(),
  },
});

const adapter = createEntityAdapter<Cook>({ sortComparer: (a, b) => b.startedMs - a.startedMs });

export interface LogState extends EntityState<Cook> {
  loaded: boolean;
  failure: Failure | null;
  /** what a practice cook taught, by its id */
  debriefs: Record<string, Debrief | null>;
}

export const logFeature = createFeature({
  name: 'log',
  reducer: createReducer<LogState>(
    adapter.getInitialState({ loaded: false, failure: null, debriefs: {} }),
    on(LogActions.loaded, (s, { cooks }) => adapter.setAll(cooks, { ...s, loaded: true, failure: null })),
    on(LogActions.loadedOne, (s, { cook }) => adapter.upsertOne(cook, { ...s, failure: null })),
    on(LogActions.lookedBack, (s, { id, debrief }) => ({ ...s, debriefs: { ...s.debriefs, [id]: debrief } })),
    // The rating is shown at once; the server's answer replaces it.
    on(LogActions.rate, (s, { id, outcome }) => adapter.updateOne({ id, changes: { outcome } }, s)),
    on(LogActions.failed, (s, { failure }) => ({ ...s, failure, loaded: true })),
  ),
  extraSelectors: ({ selectLogState }) => {
    const selectAll = createSelector(selectLogState, adapter.getSelectors().selectAll);
    return {
      selectAll,
      /** what a row of the list shows: planned against actual */
      /** cooks with real food; practice counts in no statistic */
      selectReal: createSelector(selectAll, (cooks) => cooks.filter((c) => c.practice === undefined)),
      selectRows: createSelector(selectAll, (cooks) =>
        cooks.map((cook) => ({ cook, actual: actualOf(cook), forecast: forecast(cook.plan) })),
      ),
    };
  },
});
