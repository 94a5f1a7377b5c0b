import type { Cook, CookPage, CookSummary, Debrief, NextTime, Outcome } from '@einkorn/core';
import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { BringReport, Failure, LogQuery } from '../api/client';

export const LogActions = createActionGroup({
  source: 'Log',
  events: {
    Load: emptyProps(),
    /** another part of the log, or another order */
    Ask: props<{ query: LogQuery }>(),
    Loaded: props<{ page: CookPage }>(),
    /** the next page of older cooks */
    More: emptyProps(),
    'More Loaded': props<{ page: CookPage }>(),
    Failed: props<{ failure: Failure }>(),
    'Load One': props<{ id: string }>(),
    /** the cooks of a comparison */
    'Load Some': props<{ ids: string[] }>(),
    'Loaded Some': props<{ cooks: Cook[] }>(),
    /** every cook of late, whatever the list shows */
    'History Loaded': props<{ cooks: CookSummary[] }>(),
    'Loaded One': props<{ cook: Cook }>(),
    'Bring Opened': emptyProps(),
    /** titles of the dishes on the shelf, for the notebook */
    'Titles Found': props<{ titles: string[] }>(),
    Bring: props<{ body: unknown }>(),
    Brought: props<{ report: BringReport }>(),
    'Next Time Found': props<{ id: string; next: NextTime | null }>(),
    /** the dish of a cook is cooked again with the one change */
    'Cook So': props<{ cook: Cook; next: NextTime }>(),
    'Looked Back': props<{ id: string; debrief: Debrief | null }>(),
    /** a cook that was left open ended then */
    Close: props<{ id: string; finishedMs: number }>(),
    /** a cook that never was one */
    Discard: props<{ id: string }>(),
    Discarded: props<{ id: string }>(),
    /** `had`: how it came out as this screen had it */
    Rate: props<{ id: string; outcome: Outcome; had: Outcome | null }>(),
  },
});

const adapter = createEntityAdapter<Cook>();

/** The cooks that were opened, whole, and the rows of the list, which are not. */
export interface LogState extends EntityState<Cook> {
  query: LogQuery;
  rows: CookSummary[];
  /** the newest real cooks that are over, for the panel of what was learned */
  history: CookSummary[];
  /** cooks that fit the query */
  found: number;
  potIds: string[];
  /** where the next page begins; null when all are here */
  next: string | null;
  /** cooks in the whole log */
  real: number;
  practised: number;
  loaded: boolean;
  failure: Failure | null;
  /** what a practice cook taught, by its id */
  titles: string[];
  isBringing: boolean;
  report: BringReport | null;
  debriefs: Record<string, Debrief | null>;
  /** what would have made a cook just right, by its id */
  nextTimes: Record<string, NextTime | null | undefined>;
}

const start = {
  query: {},
  rows: [],
  history: [],
  found: 0,
  potIds: [],
  next: null,
  real: 0,
  practised: 0,
  loaded: false,
  failure: null,
  titles: [],
  isBringing: false,
  report: null,
  debriefs: {},
  nextTimes: {},
};
const counts = ({ next, found, potIds, real, practised }: CookPage) => ({
  next,
  found,
  potIds,
  real,
  practised,
  loaded: true,
  failure: null,
});

export const logFeature = createFeature({
  name: 'log',
  reducer: createReducer<LogState>(
    adapter.getInitialState(start),
    on(LogActions.ask, (s, { query }) => ({ ...s, query: { ...s.query, ...query } })),
    on(LogActions.loaded, (s, { page }) => ({ ...s, ...counts(page), rows: page.cooks })),
    on(LogActions.moreLoaded, (s, { page }) => {
      const here = new Set(s.rows.map((r) => r.id));
      return { ...s, ...counts(page), rows: [...s.rows, ...page.cooks.filter((c) => !here.has(c.id))] };
    }),
    on(LogActions.loadedSome, (s, { cooks }) => adapter.upsertMany(cooks, { ...s, failure: null })),
    on(LogActions.historyLoaded, (s, { cooks }) => ({ ...s, history: cooks })),
    on(LogActions.loadedOne, (s, { cook }) => adapter.upsertOne(cook, { ...s, failure: null })),
    on(LogActions.lookedBack, (s, { id, debrief }) => ({ ...s, debriefs: { ...s.debriefs, [id]: debrief } })),
    on(LogActions.bringOpened, (s) => ({ ...s, report: null, failure: null })),
    on(LogActions.titlesFound, (s, { titles }) => ({ ...s, titles })),
    on(LogActions.bring, (s) => ({ ...s, isBringing: true, report: null, failure: null })),
    on(LogActions.brought, (s, { report }) => ({ ...s, isBringing: false, report })),
    on(LogActions.nextTimeFound, (s, { id, next }) => ({ ...s, nextTimes: { ...s.nextTimes, [id]: next } })),
    // The rating is shown at once; the server's answer replaces it.
    on(LogActions.rate, (s, { id, outcome }) => adapter.updateOne({ id, changes: { outcome } }, s)),
    on(LogActions.discarded, (s, { id }) => adapter.removeOne(id, { ...s, rows: s.rows.filter((r) => r.id !== id) })),
    on(LogActions.failed, (s, { failure }) => ({ ...s, failure, loaded: true, isBringing: false })),
  ),
});
