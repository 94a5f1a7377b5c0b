import type { Cook, CookSummary } from '@einkorn/core';
import { leftAfterMs } from '@einkorn/core';

/** One line on the Shelf: a meal to be rated from the couch, or a cook that nobody ended. */
export interface Reminder {
  kind: 'rate' | 'left';
  id: string;
  title: string;
}

/** Older meals are not remembered well enough to be asked for, ms. */
const rateWithinMs = 3 * 86_400_000;
const key = 'einkorn.reminders-off';

/** What is asked for, at most one of each kind; what the cook waved away stays away. */
export function remindersOf(unrated: readonly CookSummary[], running: readonly Cook[], nowMs: number): Reminder[] {
  const off = wavedAway();
  const meal = unrated.find((c) => c.finishedMs !== null && nowMs - c.finishedMs < rateWithinMs && !off.includes(c.id));
  const left = running.find((c) => nowMs - c.startedMs > leftAfterMs && !off.includes(c.id));
  return [
    ...(left ? [{ kind: 'left' as const, id: left.id, title: left.dish.title }] : []),
    ...(meal ? [{ kind: 'rate' as const, id: meal.id, title: meal.title }] : []),
  ];
}

function wavedAway(): string[] {
  try {
    return (localStorage.getItem(key) ?? '').split(' ').filter(Boolean);
  } catch {
    return [];
  }
}

/** Not asked for again in this browser. */
export function waveAway(id: string): void {
  try {
    localStorage.setItem(key, [...wavedAway(), id].slice(-20).join(' '));
  } catch {
    // A browser that keeps nothing asks again.
  }
}
