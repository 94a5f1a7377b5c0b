import { withWritten, type Dish, type Family, type Plan, type Reading, type WrittenKey } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Failure } from '../api/client';
import type { Judged } from '../workers/protocol';

/** Our plan of a dish that was read, the recipe's own numbers judged beside it, and the plan with those that were taken. */
export interface Planned {
  dish: Dish;
  ours: Plan;
  written: Judged | null;
  mixed: Plan;
}

/** What the cook decided about the dish beside its lines. */
export type OwnWords = Partial<Pick<Dish, 'title' | 'serves' | 'family'>>;

export const RecipeActions = createActionGroup({
  source: 'Recipe',
  events: {
    Opened: emptyProps(),
    /** the text of an earlier visit, found in this browser */
    'Draft Found': props<{ text: string }>(),
    /** the plan of the plain dish of a family, for its picture */
    'Starter Drawn': props<{ family: Family; plan: Plan }>(),
    /** foods of the dishes that were touched last */
    'Recent Found': props<{ foods: string[] }>(),
    Typed: props<{ text: string }>(),
    /** a file or a pasted page: made plain text off the main thread, or a dish document */
    Brought: props<{ source: string }>(),
    'Not Brought': props<{ message: string }>(),
    Read: props<{ reading: Reading }>(),
    'Not Read': props<{ message: string }>(),
    'Own Words': props<{ own: OwnWords }>(),
    Planned: props<{ planned: Planned }>(),
    /** the recipe's numbers that are taken as they are written; the rest is ours */
    Take: props<{ keys: WrittenKey[] }>(),
    'Not Planned': props<{ message: string }>(),
    /** the dish goes on the shelf with the numbers that were taken, and opens on the Bench */
    Keep: emptyProps(),
    /** a dish that needs no reading (a starter, a dish document) does the same */
    'Keep Dish': props<{ dish: Dish }>(),
    Kept: props<{ id: string }>(),
    Failed: props<{ failure: Failure }>(),
  },
});

export interface RecipeState {
  text: string;
  reading: Reading | null;
  /** why the text could not be read, or not be planned */
  message: string;
  own: OwnWords;
  starters: Partial<Record<Family, Plan>>;
  recent: string[];
  taken: WrittenKey[];
  planned: Planned | null;
  isKeeping: boolean;
  failure: Failure | null;
  /** why a file could not be read; the text stays */
  refused: string;
}

const empty: RecipeState = {
  text: '',
  reading: null,
  message: '',
  own: {},
  starters: {},
  recent: [],
  taken: [],
  planned: null,
  isKeeping: false,
  failure: null,
  refused: '',
};

export const recipeFeature = createFeature({
  name: 'recipe',
  reducer: createReducer<RecipeState>(
    empty,
    on(RecipeActions.opened, (s) => ({ ...empty, text: s.text, starters: s.starters, recent: s.recent })),
    on(RecipeActions.starterDrawn, (s, { family, plan }) => ({ ...s, starters: { ...s.starters, [family]: plan } })),
    on(RecipeActions.recentFound, (s, { foods }) => ({ ...s, recent: foods })),
    on(RecipeActions.draftFound, RecipeActions.typed, (s, { text }) =>
      text.trim() === ''
        ? { ...empty, text, starters: s.starters, recent: s.recent }
        : { ...s, text, failure: null, refused: '' },
    ),
    on(RecipeActions.notBrought, (s, { message }) => ({ ...s, refused: message })),
    // An answer to a text that has been cleared meanwhile is stale.
    on(RecipeActions.read, (s, { reading }) => (s.text.trim() === '' ? s : { ...s, reading, message: '' })),
    on(RecipeActions.notRead, (s, { message }) => ({ ...s, reading: null, planned: null, message })),
    on(RecipeActions.ownWords, (s, { own }) => ({ ...s, own: { ...s.own, ...own } })),
    on(RecipeActions.take, (s, { keys }) => ({ ...s, taken: keys })),
    on(RecipeActions.planned, (s, { planned }) => ({ ...s, planned, message: '' })),
    on(RecipeActions.notPlanned, (s, { message }) => ({ ...s, planned: null, message })),
    on(RecipeActions.keep, RecipeActions.keepDish, (s) => ({ ...s, isKeeping: true, failure: null })),
    on(RecipeActions.kept, () => empty),
    on(RecipeActions.failed, (s, { failure }) => ({ ...s, isKeeping: false, failure })),
  ),
  extraSelectors: ({ selectReading, selectOwn, selectPlanned, selectTaken }) => {
    /** the dish as it was read, with what the cook decided */
    const selectDish = createSelector(selectReading, selectOwn, (reading, own) =>
      reading?.dish ? { ...reading.dish, ...own } : null,
    );
    return {
      selectDish,
      /** the same with the recipe's numbers that were taken as the cook's, ours for the rest */
      selectChosen: createSelector(
        selectDish,
        selectPlanned,
        selectTaken,
        (dish, planned, taken) => dish && withWritten(dish, planned?.written?.plan ?? null, taken),
      ),
    };
  },
});
