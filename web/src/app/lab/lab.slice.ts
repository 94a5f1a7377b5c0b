import type { Guess, Kitchen, LessonId, LessonRun } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';

export const LabActions = createActionGroup({
  source: 'Lab',
  events: {
    /** a lesson, or the list alone */
    Open: props<{ lesson: LessonId | null }>(),
    Guess: props<{ guess: Guess }>(),
    /** the slider, once the answer is there */
    Move: props<{ value: number }>(),
    /** the same question once more */
    Again: emptyProps(),
    Cooked: props<{ run: LessonRun }>(),
    'Not Cooked': props<{ message: string }>(),
  },
});

export interface LabState {
  lesson: LessonId | null;
  /** both pots, and the answer that is not shown before the guess */
  run: LessonRun | null;
  guess: Guess | null;
  message: string | null;
}

const closed: LabState = { lesson: null, run: null, guess: null, message: null };

export const labFeature = createFeature({
  name: 'lab',
  reducer: createReducer<LabState>(
    closed,
    on(LabActions.open, (_, { lesson }) => ({ ...closed, lesson })),
    on(LabActions.guess, (s, { guess }) => (s.run && s.guess === null ? { ...s, guess } : s)),
    on(LabActions.again, (s) => ({ ...closed, lesson: s.lesson })),
    // An answer for a lesson that was left is none of this one.
    on(LabActions.cooked, (s, { run }) => (run.id === s.lesson ? { ...s, run, message: null } : s)),
    on(LabActions.notCooked, (s, { message }) => ({ ...s, message })),
  ),
});

/** How the lessons went: for each the last guess, and how many were right at the first one. */
export interface Learnt {
  last: Partial<Record<LessonId, boolean>>;
  guessed: number;
  firstRight: number;
  nowRight: number;
}

export function learntOf(guesses: Kitchen['guesses'] = []): Learnt {
  const first = new Map<string, boolean>();
  const last = new Map<string, boolean>();
  for (const { lesson, right } of guesses) {
    if (!first.has(lesson)) first.set(lesson, right);
    last.set(lesson, right);
  }
  const count = (of: Map<string, boolean>): number => [...of.values()].filter(Boolean).length;
  return { last: Object.fromEntries(last), guessed: last.size, firstRight: count(first), nowRight: count(last) };
}
