import type { Dish, DonenessMap, Plan, School } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Failure, StoredDish } from '../api/client';
import type { ProblemDoc } from '../workers/protocol';

export const BenchActions = createActionGroup({
  source: 'Bench',
  events: {
    Open: props<{ id: string }>(),
    Opened: props<{ stored: StoredDish; draft: Dish | null }>(),
    'Open Failed': props<{ failure: Failure }>(),
    /** one change of the dish, one step of undo; `merge` folds quick repeats (a stepper) into one */
    Edit: props<{ dish: Dish; merge?: string }>(),
    /** text that cannot be read yet stays in its field */
    Draft: props<{ field: string; text: string; message: string }>(),
    'Clear Draft': props<{ field: string }>(),
    Undo: emptyProps(),
    Redo: emptyProps(),
    Planned: props<{ plan: Plan; dish: Dish }>(),
    'Plan Refused': props<{ problem: ProblemDoc }>(),
    'Schools Found': props<{ schools: School[] }>(),
    'Map Wanted': props<{ wanted: boolean }>(),
    'Map Progress': props<{ share: number }>(),
    'Map Found': props<{ map: DonenessMap }>(),
    Saving: emptyProps(),
    Saved: props<{ revision: number; dish: Dish }>(),
    'Save Failed': props<{ failure: Failure }>(),
    Compare: props<{ holdMin: number; naturalMin: number }>(),
    Compared: props<{ plan: Plan }>(),
    'Cook Now': props<{ nowMs: number }>(),
    'Cook Failed': props<{ failure: Failure }>(),
  },
});

export interface Draft {
  text: string;
  message: string;
}

export interface BenchState {
  id: string | null;
  revision: number;
  dish: Dish | null;
  past: Dish[];
  future: Dish[];
  lastMerge: string | null;
  plan: Plan | null;
  problem: ProblemDoc | null;
  schools: School[];
  mapWanted: boolean;
  map: DonenessMap | null;
  mapShare: number;
  other: Plan | null;
  drafts: Record<string, Draft>;
  save: 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict';
  failure: Failure | null;
}

const initial: BenchState = {
  id: null,
  revision: 0,
  dish: null,
  past: [],
  future: [],
  lastMerge: null,
  plan: null,
  problem: null,
  schools: [],
  mapWanted: false,
  map: null,
  mapShare: 0,
  other: null,
  drafts: {},
  save: 'saved',
  failure: null,
};

/** Steps of undo that are kept. */
const mostPast = 100;

export const benchReducer = createReducer<BenchState>(
  initial,
  on(BenchActions.open, (s, { id }) => (s.id === id && s.dish ? s : { ...initial, id, mapWanted: s.mapWanted })),
  on(BenchActions.opened, (s, { stored, draft }) => ({
    ...s,
    id: stored.id,
    revision: stored.revision,
    dish: draft ?? stored.dish,
    past: draft ? [stored.dish] : [],
    save: draft ? ('waiting' as const) : ('saved' as const),
    failure: null,
  })),
  on(BenchActions.openFailed, (s, { failure }) => ({ ...s, failure })),
  on(BenchActions.edit, (s, { dish, merge }) => {
    if (!s.dish) return s;
    const folded = merge !== undefined && merge === s.lastMerge;
    return {
      ...s,
      dish,
      past: folded ? s.past : [...s.past, s.dish].slice(-mostPast),
      future: [],
      lastMerge: merge ?? null,
      save: 'waiting' as const,
    };
  }),
  on(BenchActions.undo, (s) => {
    const before = s.past[s.past.length - 1];
    if (!s.dish || !before) return s;
    return {
      ...s,
      dish: before,
      past: s.past.slice(0, -1),
      future: [s.dish, ...s.future],
      lastMerge: null,
      drafts: {},
      save: 'waiting' as const,
    };
  }),
  on(BenchActions.redo, (s) => {
    const after = s.future[0];
    if (!s.dish || !after) return s;
    return {
      ...s,
      dish: after,
      past: [...s.past, s.dish],
      future: s.future.slice(1),
      lastMerge: null,
      drafts: {},
      save: 'waiting' as const,
    };
  }),
  on(BenchActions.draft, (s, { field, text, message }) => ({
    ...s,
    drafts: { ...s.drafts, [field]: { text, message } },
  })),
  on(BenchActions.clearDraft, (s, { field }) => {
    const { [field]: _, ...drafts } = s.drafts;
    return { ...s, drafts };
  }),
  // The map and the schools belong to the plan before: they stay visible until their own are there.
  on(BenchActions.planned, (s, { plan, dish }) => (s.dish === dish ? { ...s, plan, problem: null, mapShare: 0 } : s)),
  on(BenchActions.planRefused, (s, { problem }) => ({ ...s, problem })),
  on(BenchActions.schoolsFound, (s, { schools }) => ({ ...s, schools })),
  on(BenchActions.mapWanted, (s, { wanted }) => ({ ...s, mapWanted: wanted })),
  on(BenchActions.mapProgress, (s, { share }) => ({ ...s, mapShare: share })),
  on(BenchActions.mapFound, (s, { map }) => ({ ...s, map, mapShare: 1 })),
  on(BenchActions.compared, (s, { plan }) => ({ ...s, other: plan })),
  on(BenchActions.saving, (s) => ({ ...s, save: 'saving' as const })),
  on(BenchActions.saved, (s, { revision, dish }) => ({
    ...s,
    revision,
    save: s.dish === dish ? ('saved' as const) : ('waiting' as const),
    failure: null,
  })),
  on(BenchActions.saveFailed, (s, { failure }) => ({
    ...s,
    save: failure.code === 'dish-changed' ? ('conflict' as const) : ('offline' as const),
    failure,
  })),
  on(BenchActions.cookFailed, (s, { failure }) => ({ ...s, failure })),
);

export const benchFeature = createFeature({
  name: 'bench',
  reducer: benchReducer,
  extraSelectors: ({ selectDish, selectPlan, selectPast, selectFuture }) => ({
    selectCanUndo: createSelector(selectPast, (p) => p.length > 0),
    selectCanRedo: createSelector(selectFuture, (f) => f.length > 0),
    /** food of every ingredient on the bench, the solved liquid too, by ingredient id */
    selectFoods: createSelector(selectDish, selectPlan, (dish, plan) => {
      const out: Partial<Record<string, string>> = {};
      for (const i of dish?.ingredients ?? []) out[i.id] = i.food;
      for (const l of plan?.stack ?? []) out[l.ingredient] ??= l.ingredient;
      return out;
    }),
  }),
});
