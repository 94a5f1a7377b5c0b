import type {
  Cook,
  Dish,
  DonenessMap,
  Issue,
  Kitchen,
  LessonId,
  LessonRun,
  Near,
  NextTime,
  Outlook,
  Own,
  Plan,
  Proposal,
  Ratios,
  Reading,
  Reality,
  Scaled,
  School,
  Uncertainty,
  WrittenKey,
} from '@einkorn/core';
import type { Difference } from '../ui/differences';

/** What each kind of question is answered with. */
export interface Answers {
  plan: Plan;
  /** what the numbers of a recipe will give */
  evaluate: Plan;
  /** the recipe's own numbers, and what each of ours alone changes of them */
  written: Judged;
  schools: School[];
  map: DonenessMap;
  /** what would make a plan better that seldom comes out */
  ways: Plan['proposals'];
  proposals: Proposal[];
  chances: Uncertainty;
  ratios: Ratios | null;
  'scale-pot': Scaled & { fits: boolean };
  outlook: Outlook;
  /** what would have brought a cook to what its cook likes */
  'next-time': NextTime | null;
}
export type Kind = keyof Answers;

/** A recipe as it is written, and for each of its numbers that is not ours what ours alone would change. */
export interface Judged {
  plan: Plan;
  changes: { key: WrittenKey; alone: Difference[] }[];
}

/** What a place asks of the planner off the main thread; a question about a plan brings it along. */
export interface Ask {
  kind: Kind;
  dish: Dish;
  kitchen: Kitchen;
  plan?: Plan;
  /** the program that stays if it is nearly as good */
  near?: Near;
  /** what has really happened, for the outlook */
  real?: Reality;
  /** the cook that is looked back at */
  cook?: Cook;
}

/** What a file or a pasted page holds: a text to correct, or a dish document. */
export interface Brought {
  text: string;
  dish: Dish | null;
}

/** A recipe to be read, or to be made plain text; it knows no dish yet. */
export interface ReadAsk {
  kind: 'recipe' | 'bring';
  text: string;
  /** what is the cook's own, by whose names lines are read too */
  own: Own;
}

/** A lesson of the lab with its slider somewhere; where the question has it if it is not said. */
export interface LessonAsk {
  kind: 'lesson';
  lesson: LessonId;
  value?: number;
}

/** Anything that the worker is asked. */
export type Question = Ask | ReadAsk | LessonAsk;

export interface ProblemDoc {
  code: string;
  message: string;
  issues: Issue[];
}

export type Reply =
  | { id: number; type: 'done'; value: Answers[Kind] | Reading | Brought | LessonRun }
  | { id: number; type: 'progress'; share: number }
  | { id: number; type: 'problem'; problem: ProblemDoc };
