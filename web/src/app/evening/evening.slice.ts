import type { Cook, CookSummary, Plan } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Failure, StoredDish } from '../api/client';
import { asOnStove, type Course } from './courses';
import { eveningKept } from './evening-store';

export const EveningActions = createActionGroup({
  source: 'Evening',
  events: {
    Load: emptyProps(),
    Loaded: props<{ dishes: StoredDish[] }>(),
    Courses: props<{ courses: Course[] }>(),
    'Serve At': props<{ time: string }>(),
    Planned: props<{ key: string; plan: Plan | null; problem: string | null }>(),
    /** what is on the stove, and what came off it last */
    'Stove Seen': props<{ cooking: Cook[]; newest: CookSummary[]; nowMs: number }>(),
    /** a course goes on the stove now */
    Start: props<{ course: Course; nowMs: number }>(),
    /** the page is closed */
    Leave: emptyProps(),
    Failed: props<{ failure: Failure }>(),
  },
});

export interface EveningState {
  dishes: StoredDish[];
  /** the dishes of the Shelf are here */
  loaded: boolean;
  courses: Course[];
  /** "19:00" of the kitchen's day */
  serveAt: string;
  plans: Record<string, { plan: Plan | null; problem: string | null }>;
  cooking: Cook[];
  failure: Failure | null;
}

export const eveningFeature = createFeature({
  name: 'evening',
  reducer: createReducer<EveningState>(
    {
      dishes: [],
      loaded: false,
      courses: [],
      serveAt: '19:00',
      plans: {},
      cooking: [],
      failure: null,
      ...eveningKept(),
    },
    // A dish may have been changed on the Bench since: plans are made anew.
    on(EveningActions.loaded, (s, { dishes }) => ({
      ...s,
      dishes,
      loaded: true,
      // A dish that is no longer on the Shelf leaves the evening.
      courses: s.courses.filter((c) => dishes.some((d) => d.id === c.dishId)),
      plans: {},
      failure: null,
    })),
    on(EveningActions.courses, (s, { courses }) => ({ ...s, courses })),
    on(EveningActions.serveAt, (s, { time }) => ({ ...s, serveAt: time })),
    on(EveningActions.planned, (s, { key, plan, problem }) => ({
      ...s,
      plans: { ...s.plans, [key]: { plan, problem } },
    })),
    on(EveningActions.stoveSeen, (s, { cooking, newest, nowMs }) => ({
      ...s,
      cooking,
      courses: asOnStove(s.courses, { cooking, newest }, nowMs),
    })),
    on(EveningActions.failed, (s, { failure }) => ({ ...s, failure })),
  ),
});
