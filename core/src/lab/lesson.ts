import type { Plan } from '../plan/document/document';
import type { guesses } from '../dish/kitchen';
import type { Dish } from '../dish/schema';

export const lessonIds = [
  'ratio',
  'wait',
  'tomato',
  'natural',
  'strips',
  'rinse',
  'altitude',
  'two-stages',
  'rack',
  'salt',
  'stand',
  'spread',
] as const;
export type LessonId = (typeof lessonIds)[number];

/** What a lesson asks of; its three answers are less, the same and more of it. */
export type Scale = 'soft' | 'late' | 'burnt' | 'hot' | 'tender' | 'salty' | 'saucy' | 'wet';
export type Guess = (typeof guesses)[number];

/** What a line of a sum is about. */
export type RowCode =
  | 'rice'
  | 'liquid'
  | 'juice'
  | 'steam'
  | 'water-per-gram'
  | 'moisture'
  | 'texture'
  | 'minutes-at-100'
  | 'natural'
  | 'fill'
  | 'steam-at'
  | 'pin'
  | 'tomato'
  | 'burnt'
  | 'cling'
  | 'thickness'
  | 'at-worst'
  | 'minimum'
  | 'core'
  | 'collagen-needed'
  | 'collagen'
  | 'salt-in'
  | 'salt-aim'
  | 'salt'
  | 'sauce-at-opening'
  | 'drunk'
  | 'sauce'
  | 'minutes-closed'
  | 'minutes-more'
  | 'texture-spread';

/** One line of the sum of a pot; the last one is what is asked of. */
export interface LessonRow {
  code: RowCode;
  /** the food that the line is about, where there are several of its kind */
  food?: string;
  value: number;
  unit: 'g' | 'ml' | 'min' | 'C' | 'mm' | 'm' | 'percent' | 'points' | 'in100' | 'g/g';
}

/** One dish and one slider: its first value is the left pot, any other the right one. */
export interface Lesson {
  id: LessonId;
  /** `asked` is the value that the question is about; a `choice` is 0 or 1 */
  slider: { unit: LessonRow['unit'] | 'choice'; from: number; to: number; step: number; asked: number };
  scale: Scale;
  /** a difference that no cook would notice, in the unit of what is asked of */
  sameWithin: number;
  dishAt: (value: number) => Dish;
  /** height of the kitchen, m; sea level where it is left out */
  altitudeM?: (value: number) => number;
  rows: (plan: Plan, value: number) => LessonRow[];
}

/** A pot of a lesson as the model cooks it. */
export interface LessonPot {
  /** where the slider stood */
  value: number;
  dish: Dish;
  plan: Plan;
  rows: LessonRow[];
}

/** The two pots of a lesson, and the answer to its question. */
export interface LessonRun extends Pick<Lesson, 'id' | 'slider' | 'scale'> {
  left: LessonPot;
  right: LessonPot;
  /** what the pot that is asked about has against the left one */
  answer: Guess;
  /** what the right pot has against it, wherever the slider stands */
  now: Guess;
}
