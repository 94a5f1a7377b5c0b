import type { Cook, CookTimeline, EventKind, Outlook, StepId } from '@einkorn/core';

/** What the outlook of a running cook comes down to for the one who stands at it. */
export interface OutlookWords {
  /** of its sentence in the text catalogue */
  key: string;
  /** how much later than planned the pin came that it goes by, whole min; negative is early */
  lateMin: number;
  /** what a tap can take of it: the new hold, or the rest of a first stage that was ended early */
  take: 'hold' | 'first' | null;
  /** the sauce, where it is no longer what was planned */
  sauce: Outlook['sauce'];
}

/**
 * Sentence and tap of an outlook. After the lid was locked again the minutes follow from what has cooked, not from a pin;
 * in the first of two stages they are of a lid that is still to be locked, and nothing is to be taken yet. The hold can be
 * changed while it lasts, once.
 */
export function outlookWords(o: Outlook, cook: Cook, timed: CookTimeline, nowMs: number): OutlookWords {
  const find = (id: StepId) => timed.steps.find((s) => s.step.id === id);
  const happened = (kind: EventKind): boolean => timed.ofRun.some((e) => e.kind === kind);
  const { lid } = timed;
  const lidAhead = lid === 'first-heat';
  const up = find(lid);
  const hold = find('hold');
  const planned = (cook.plan.grain ?? cook.plan.pasta)?.sauce;
  const opened = happened('valve-open') || (find('first-vent')?.done ?? false);
  const canTake =
    o.holdChangeMin !== 0 &&
    !lidAhead &&
    happened('pin-up') &&
    !happened('hold-changed') &&
    hold !== undefined &&
    nowMs < hold.endMs;
  return {
    key: `outlook.${keyOf(o, timed.lockedAgain, lidAhead, opened)}`,
    // Against the plan of this run: a pot that was locked again comes up from warm.
    lateMin: up ? Math.round(((up.done ? up.endMs : nowMs) - up.startMs) / 60_000 - up.step.minutes) : 0,
    take: o.advice === 'first-short' ? (lidAhead && opened ? 'first' : null) : canTake ? 'hold' : null,
    sauce: o.sauce && o.sauce.band !== planned ? o.sauce : null,
  };
}

function keyOf(o: Outlook, again: boolean, lidAhead: boolean, opened: boolean): string {
  if (o.advice === 'first-short')
    return !lidAhead ? 'first-short-locked' : opened ? 'first-short' : 'first-short-closed';
  if (o.advice !== 'hold-less' && o.advice !== 'hold-more') return o.advice;
  if (again) return `${o.advice}-again`;
  if (lidAhead) return o.holdMin === 0 ? 'no-hold-first' : `${o.advice}-first`;
  return o.advice;
}
