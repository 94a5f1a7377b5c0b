import {
  ingredientNames,
  type IngredientNames,
  type Dish,
  type DonenessMap,
  type Plan,
  type Practice,
  type Proposal,
  type Ratios,
  type School,
  type Uncertainty,
} from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Failure, StoredDish } from '../api/client';
import type { ProblemDoc } from '../workers/protocol';
import { describeChange } from './describe';

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
    /** a longer sum that a sheet shows while it is open */
    'Last Found': props<{ last: LastTime | null }>(),
    'Aside Wanted': props<{ key: AsideKey; wanted: boolean }>(),
    'Aside Found': props<{ key: AsideKey; value: Asides[AsideKey] }>(),
    /** one thing changed, to see what follows; nothing is kept */
    Try: props<{ key: string; dish: Dish }>(),
    Tried: props<{ key: string; dish: Dish; plan: Plan | null }>(),
    'Try Over': emptyProps(),
    'Scale To Pot': emptyProps(),
    'Scaled To Pot': props<{ fits: boolean; dish: Dish }>(),
    'Map Progress': props<{ share: number }>(),
    'Map Found': props<{ map: DonenessMap }>(),
    'Draft Kept': props<{ isKept: boolean }>(),
    Saving: emptyProps(),
    Saved: props<{ revision: number; dish: Dish }>(),
    'Save Failed': props<{ failure: Failure }>(),
    Compare: props<{ holdMin: number; naturalMin: number; liquidMl?: number }>(),
    Compared: props<{ plan: Plan }>(),
    'Cook Now': props<{ nowMs: number; practice?: Practice }>(),
    'Cook Failed': props<{ failure: Failure }>(),
  },
});

/** What was really done the last time. */
export interface LastTime {
  startedMs: number;
  holdMin: number;
  naturalMin: number;
  liquidMl: number;
}

/** Sums that take longer than a verdict and are shown beside it. */
export interface Asides {
  ways: Plan['proposals'] | null;
  proposals: Proposal[] | null;
  chances: Uncertainty | null;
  ratios: Ratios | null;
}
export type AsideKey = keyof Asides;

export interface Tried {
  key: string;
  dish: Dish;
  /** null while it is computed */
  plan: Plan | null;
}

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
  /** the dish that `plan` was made for: while a newer one is planned it is not the one on the bench */
  plannedDish: Dish | null;
  problem: ProblemDoc | null;
  schools: School[];
  mapWanted: boolean;
  map: DonenessMap | null;
  mapShare: number;
  other: Plan | null;
  /** the last real cook of this dish */
  last: LastTime | null;
  wanted: Record<AsideKey, boolean>;
  asides: Asides;
  tried: Tried | null;
  /** the largest batch of this pot was asked for: null before, true or false after */
  potFits: boolean | null;
  drafts: Record<string, Draft>;
  save: 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict';
  /** what is not sent is not in this browser's store either */
  isFleeting: boolean;
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
  plannedDish: null,
  problem: null,
  schools: [],
  mapWanted: false,
  map: null,
  mapShare: 0,
  other: null,
  wanted: { ways: true, proposals: false, chances: false, ratios: false },
  last: null,
  asides: { ways: null, proposals: null, chances: null, ratios: null },
  tried: null,
  potFits: null,
  drafts: {},
  save: 'saved',
  isFleeting: false,
  failure: null,
};

/** Steps of undo that are kept. */
const mostPast = 100;

export const benchReducer = createReducer<BenchState>(
  initial,
  on(BenchActions.open, (s, { id }) =>
    s.id === id && s.dish ? s : { ...initial, id, mapWanted: s.mapWanted, wanted: s.wanted },
  ),
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
      tried: null,
      potFits: null,
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
  on(BenchActions.planned, (s, { plan, dish }) =>
    s.dish === dish
      ? { ...s, plan, plannedDish: dish, problem: null, mapShare: 0, asides: { ...s.asides, ways: null } }
      : s,
  ),
  on(BenchActions.planRefused, (s, { problem }) => ({ ...s, problem })),
  on(BenchActions.schoolsFound, (s, { schools }) => ({ ...s, schools })),
  on(BenchActions.mapWanted, (s, { wanted }) => ({ ...s, mapWanted: wanted })),
  on(BenchActions.mapProgress, (s, { share }) => ({ ...s, mapShare: share })),
  on(BenchActions.mapFound, (s, { map }) => ({ ...s, map, mapShare: 1 })),
  on(BenchActions.compared, (s, { plan }) => ({ ...s, other: plan })),
  on(BenchActions.lastFound, (s, { last }) => ({ ...s, last })),
  on(BenchActions.asideWanted, (s, { key, wanted }) => ({ ...s, wanted: { ...s.wanted, [key]: wanted } })),
  on(BenchActions.asideFound, (s, { key, value }) => ({ ...s, asides: { ...s.asides, [key]: value } })),
  on(BenchActions.try, (s, { key, dish }) => ({ ...s, tried: { key, dish, plan: null } })),
  on(BenchActions.tried, (s, tried) => (s.tried?.dish === tried.dish ? { ...s, tried } : s)),
  on(BenchActions.tryOver, (s) => ({ ...s, tried: null })),
  on(BenchActions.scaledToPot, (s, { fits }) => ({ ...s, potFits: fits })),
  on(BenchActions.draftKept, (s, { isKept }) => ({ ...s, isFleeting: !isKept })),
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
    /** what undo would take back and redo would bring, in the words of the catalogue */
    selectUndoName: createSelector(selectPast, selectDish, (past, dish) => {
      const before = past.at(-1);
      return before && dish ? describeChange(before, dish) : null;
    }),
    selectRedoName: createSelector(selectFuture, selectDish, (future, dish) =>
      future[0] && dish ? describeChange(dish, future[0]) : null,
    ),
    /** food of every ingredient on the bench, the solved liquid too, by ingredient id */
    selectFoods: createSelector(selectDish, selectPlan, (dish, plan) => {
      const out: Partial<Record<string, string>> = {};
      for (const i of dish?.ingredients ?? []) out[i.id] = i.food;
      for (const l of plan?.stack ?? []) out[l.ingredient] ??= l.ingredient;
      return out;
    }),
    /** what every ingredient is called, by its id */
    selectNames: createSelector(selectDish, (dish): IngredientNames => ingredientNames(dish?.ingredients ?? [])),
  }),
});
