import type { Dish, DonenessMap, Issue, Kitchen, Plan, School } from '@einkorn/core';

/** What a place asks of the planner off the main thread. */
export type Ask =
  | { kind: 'plan'; dish: Dish; kitchen: Kitchen }
  | { kind: 'schools'; dish: Dish; kitchen: Kitchen; plan: Plan }
  | { kind: 'map'; dish: Dish; kitchen: Kitchen; plan: Plan };

export interface Answers {
  plan: Plan;
  schools: School[];
  map: DonenessMap;
}

export interface ProblemDoc {
  code: string;
  message: string;
  issues: Issue[];
}

export type Reply =
  | { id: number; type: 'done'; value: Plan | School[] | DonenessMap }
  | { id: number; type: 'progress'; share: number }
  | { id: number; type: 'problem'; problem: ProblemDoc };
