import { kitchenSchema } from '../dish/kitchen';
import { evaluate } from '../plan/plan';
import type { Guess, Lesson, LessonPot, LessonRun } from './lesson';

/** The pot of every lesson, so that its answer is the same in each kitchen [derived: the commonest of the table]. */
const labPot = 'electric-5.7';

/** One pot of a lesson, cooked by the model. */
export function lessonPot(lesson: Lesson, value: number): LessonPot {
  const kitchen = kitchenSchema.parse({ potId: labPot, altitudeM: lesson.altitudeM?.(value) ?? 0 });
  const dish = lesson.dishAt(value);
  const plan = evaluate(dish, kitchen);
  return { value, dish, plan, rows: lesson.rows(plan, value) };
}

const known = new Map<string, LessonPot>();
/** A pot that stays where it is while the slider moves: cooked once. */
function fixedPot(lesson: Lesson, value: number): LessonPot {
  const key = `${lesson.id} ${value}`;
  const pot = known.get(key) ?? lessonPot(lesson, value);
  known.set(key, pot);
  return pot;
}

/** What one pot has of what is asked of, against another. */
function against({ sameWithin }: Lesson, left: LessonPot, right: LessonPot): Guess {
  const by = right.rows.at(-1)!.value - left.rows.at(-1)!.value;
  if (Math.abs(by) < sameWithin) return 'same';
  return by > 0 ? 'more' : 'less';
}

/** Both pots of a lesson with its slider at `value`, and what its question is answered with. */
export function cookLesson(lesson: Lesson, value: number = lesson.slider.asked): LessonRun {
  const { id, slider, scale } = lesson;
  const left = fixedPot(lesson, slider.from);
  const asked = fixedPot(lesson, slider.asked);
  const right = value === slider.asked ? asked : lessonPot(lesson, value);
  return { id, slider, scale, left, right, answer: against(lesson, left, asked), now: against(lesson, left, right) };
}
