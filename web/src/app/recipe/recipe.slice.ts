import type { Dish, Plan, Reading } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Failure } from '../api/client';

/** What the cook decided about the dish beside its lines. */
export type OwnWords = Partial<Pick<Dish, 'title' | 'serves' | 'family'>>;

export const RecipeActions = createActionGroup({
  source: 'Recipe',
  events: {
    Opened: emptyProps(),
    /** the text of an earlier visit, found in this browser */
    'Draft Found': props<{ text: string }>(),
    Typed: props<{ text: string }>(),
    /** a file or a pasted page: made plain text off the main thread, or a dish document */
    Brought: props<{ source: string }>(),
    'Not Brought': props<{ message: string }>(),
    Read: props<{ reading: Reading }>(),
    'Not Read': props<{ message: string }>(),
    'Own Words': props<{ own: OwnWords }>(),
    Planned: props<{ dish: Dish; ours: Plan; asWritten: Plan | null }>(),
    'Not Planned': props<{ message: string }>(),
    /** the dish goes on the shelf and opens on the Bench */
    Keep: props<{ asWritten: boolean }>(),
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
  planned: { dish: Dish; ours: Plan; asWritten: Plan | null } | null;
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
  planned: null,
  isKeeping: false,
  failure: null,
  refused: '',
};

export const recipeFeature = createFeature({
  name: 'recipe',
  reducer: createReducer<RecipeState>(
    empty,
    on(RecipeActions.opened, (s) => ({ ...empty, text: s.text })),
    on(RecipeActions.draftFound, RecipeActions.typed, (s, { text }) =>
      text.trim() === '' ? { ...empty, text } : { ...s, text, failure: null, refused: '' },
    ),
    on(RecipeActions.notBrought, (s, { message }) => ({ ...s, refused: message })),
    // An answer to a text that has been cleared meanwhile is stale.
    on(RecipeActions.read, (s, { reading }) => (s.text.trim() === '' ? s : { ...s, reading, message: '' })),
    on(RecipeActions.notRead, (s, { message }) => ({ ...s, reading: null, planned: null, message })),
    on(RecipeActions.ownWords, (s, { own }) => ({ ...s, own: { ...s.own, ...own } })),
    on(RecipeActions.planned, (s, { dish, ours, asWritten }) => ({
      ...s,
      planned: { dish, ours, asWritten },
      message: '',
    })),
    on(RecipeActions.notPlanned, (s, { message }) => ({ ...s, planned: null, message })),
    on(RecipeActions.keep, RecipeActions.keepDish, (s) => ({ ...s, isKeeping: true, failure: null })),
    on(RecipeActions.kept, () => empty),
    on(RecipeActions.failed, (s, { failure }) => ({ ...s, isKeeping: false, failure })),
  ),
  extraSelectors: ({ selectReading, selectOwn }) => ({
    /** the dish as it was read, with what the cook decided */
    selectDish: createSelector(selectReading, selectOwn, (reading, own) =>
      reading?.dish ? { ...reading.dish, ...own } : null,
    ),
  }),
});
