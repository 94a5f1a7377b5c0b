import { cookTimeline, type Cook, type CookSummary, type Dish, type EveningDish, type Plan } from '@einkorn/core';

/** One dish of the evening and the pot that it cooks in. */
export interface Course {
  dishId: string;
  potId: string;
}
export const planKey = (c: Course): string => `${c.dishId}@${c.potId}`;
/** So many dishes one pair of hands can bring to one table. */
export const mostCourses = 3;

/** A cook that began longer ago, or was over longer ago, is not of this evening. */
const eveningMs = 12 * 3_600_000;
const eatenMs = 3 * 3_600_000;

/** A step that is overdue by more belongs to a cook that nobody stands at any more: no table waits for it. */
const forgottenMs = 3_600_000;

/** What is on the stove of this evening; practices and forgotten cooks stay out of it. */
export const ofTonight = (cooks: readonly Cook[], nowMs: number): Cook[] =>
  cooks.filter(
    (c) =>
      c.practice === undefined &&
      c.finishedMs === null &&
      Math.abs(nowMs - c.startedMs) < eveningMs &&
      cookTimeline(c, nowMs).leftMs > -forgottenMs,
  );

/** Dishes that were cooked to their end a little while ago: they leave the evening. */
function eaten(newest: readonly CookSummary[], nowMs: number): Set<string | null> {
  const isEaten = ({ practice, finishedMs }: CookSummary): boolean =>
    !practice && finishedMs !== null && finishedMs <= nowMs && nowMs - finishedMs < eatenMs;
  return new Set(newest.filter(isEaten).map((c) => c.dishId));
}

/** The courses as the stove has them: what is eaten leaves, what cooks is among them, in the pot that it cooks in. */
export function asOnStove(
  courses: readonly Course[],
  { cooking, newest }: { cooking: readonly Cook[]; newest: readonly CookSummary[] },
  nowMs: number,
): Course[] {
  const onStove = ofTonight(cooking, nowMs);
  const gone = eaten(newest, nowMs);
  const inPot = (c: Course): Course => {
    const cook = cookOf(c, onStove);
    return cook && cook.plan.pot.id !== c.potId ? { ...c, potId: cook.plan.pot.id } : c;
  };
  const kept = courses.filter((c) => !gone.has(c.dishId) || cookOf(c, onStove)).map(inPot);
  const more = onStove
    .filter((c) => c.dishId !== null && !kept.some((k) => k.dishId === c.dishId))
    .map((c) => ({ dishId: c.dishId!, potId: c.plan.pot.id }));
  return [...kept, ...more].slice(0, mostCourses);
}

/** The newest cook of a course that is on the stove. */
export const cookOf = (course: Course, onStove: readonly Cook[]): Cook | undefined =>
  onStove.filter((c) => c.dishId === course.dishId).sort((a, b) => b.startedMs - a.startedMs)[0];

/** A course with all that is known of it: its dish, its plan, and its cook where it is on the stove. */
export interface Known {
  dish: Dish | undefined;
  plan: Plan | null;
  problem: string | null;
  cook: Cook | undefined;
}

/** The courses that can be placed, by their number; what is on the stove at the times of its steps. */
export const dishesOf = (known: readonly Known[], nowMs: number): EveningDish[] =>
  known.flatMap(({ plan, cook }, i) => {
    const id = String(i);
    if (cook) return [{ id, plan: cook.plan, cooking: cookTimeline(cook, nowMs).steps }];
    return plan ? [{ id, plan }] : [];
  });
