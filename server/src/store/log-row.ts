import {
  fold,
  ingredientName,
  namesOf,
  summaryOf,
  troubleKinds,
  type Cook,
  type CookEvent,
  type Dish,
} from '@einkorn/core';
import type { Transaction } from 'sequelize';
import type { Store } from './connect';

/*
 * What a page of the log shows, finds and sorts by, apart from the cooks with their plans and taps. A row whose summary is
 * missing (the cook goes on, or something was added) is made anew when a page asks for it.
 */

/** The row of a cook as it is now. A cook that goes on has no summary: every tap would change it. */
export function logRowOf(cook: Cook) {
  const summary = cook.finishedMs === null ? null : summaryOf(cook);
  return {
    cookId: cook.id,
    startedMs: cook.startedMs,
    title: cook.dish.title,
    potId: cook.plan.pot.id,
    practice: cook.practice !== undefined,
    grain: cook.outcome?.ratings.grain ?? null,
    trouble: bringsTrouble(cook.events),
    words: fold([cook.dish.title, ...foodNames(cook.dish), cook.outcome?.note ?? ''].join(' ')),
    summary,
  };
}

/** Whether events tell of something that went wrong. */
export const bringsTrouble = (events: readonly CookEvent[]): boolean =>
  events.some((e) => troubleKinds.includes(e.kind));

/** Events were added to a cook: its summary is out of date, and it may have come into trouble. */
export const outdate = (
  { models }: Store,
  cookId: string,
  added: readonly CookEvent[],
  transaction: Transaction,
): Promise<unknown> =>
  models.LogRows.update(
    { summary: null, ...(bringsTrouble(added) ? { trouble: true } : {}) },
    { where: { cookId }, transaction },
  );

/** What the foods of a dish are called, in both languages. */
const foodNames = (dish: Dish): string[] =>
  dish.ingredients.flatMap((i) => [ingredientName(i), namesOf(i.food, 'es')[0] ?? '']);
