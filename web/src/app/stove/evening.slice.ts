import type { Plan } from '@einkorn/core';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Failure, StoredDish } from '../api/client';
import { eveningKept } from './evening-store';

/** One dish of the evening and the pot that it cooks in. */
export interface Course {
  dishId: string;
  potId: string;
}
export const planKey = (c: Course): string => `${c.dishId}@${c.potId}`;

export const EveningActions = createActionGroup({
  source: 'Evening',
  events: {
    Load: emptyProps(),
    Loaded: props<{ dishes: StoredDish[] }>(),
    Courses: props<{ courses: Course[] }>(),
    'Serve At': props<{ time: string }>(),
    Planned: props<{ key: string; plan: Plan | null; problem: string | null }>(),
    /** a course goes on the stove now */
    Start: props<{ course: Course; nowMs: number }>(),
    Failed: props<{ failure: Failure }>(),
  },
});

export interface EveningState {
  dishes: StoredDish[];
  courses: Course[];
  /** "19:00" of the kitchen's day */
  serveAt: string;
  plans: Record<string, { plan: Plan | null; problem: string | null }>;
  failure: Failure | null;
}

export const eveningFeature = createFeature({
  name: 'evening',
  reducer: createReducer<EveningState>(
    { dishes: [], courses: [], serveAt: '19:00', plans: {}, failure: null, ...eveningKept() },
    // A dish may have been changed on the Bench since: plans are made anew.
    on(EveningActions.loaded, (s, { dishes }) => ({
      ...s,
      dishes,
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
    on(EveningActions.failed, (s, { failure }) => ({ ...s, failure })),
  ),
});
