import type { Step } from '../plan/document';
import type { CookEvent, EventKind, TimedStep } from './events';
import { isDetour, withHold, withRescues, type WithRescues } from './rescued-steps';
import { standingEvents, lidOf, sinceRestart } from './runs';

export interface CookTimeline {
  steps: TimedStep[];
  /** index of the step in progress; steps.length when everything is done */
  current: number;
  serveMs: number;
}

/**
 * Times every step from what happened: facts replace predictions, everything after moves. A step that should be over
 * but has not been ticked is still going on, so that the clock never runs ahead of the cook; waits that the pot ends by
 * itself (full pressure, the hold, a timed release) run through on their own.
 *
 * @param startMs when the first step began
 * @param nowMs the clock
 */
export function cookTimeline(
  planned: readonly Step[],
  startMs: number,
  events: readonly CookEvent[],
  nowMs: number,
): CookTimeline {
  const kept = standingEvents(events);
  const x = withRescues(planned, kept, (y, known, at) => timed(y, startMs, known, at));
  return timed(x, startMs, kept, nowMs);
}

/** Times a list of steps by events that stand. */
function timed(x: WithRescues, startMs: number, kept: readonly CookEvent[], nowMs: number): CookTimeline {
  const events = sinceRestart(kept);
  const steps = withOwnHold(x.steps, events);
  const facts = factsByStep(steps, events, kept);
  for (const [id, atMs] of x.facts) facts.set(id, atMs);
  const later = laterFacts(steps, facts);
  const out: TimedStep[] = [];
  let at = startMs;
  let current = steps.length;
  // Nothing is fried before the heat is on: the gate between the board and the stove may take its time.
  const heatOn = events.findLast((e) => e.kind === 'heat-on')?.atMs;
  const firstHot = steps.findIndex((s) => s.stage !== 'prep');
  steps.forEach((step, i) => {
    if (i === firstHot && heatOn !== undefined) at = Math.max(at, heatOn);
    const due = at + step.minutes * 60_000;
    const next = later[i];
    let end = facts.get(step.id) ?? due;
    let done = facts.has(step.id);
    if (!done && next !== undefined) {
      // Something after this step has happened, so this one is over: by itself at its time, or by then.
      end = runsByItself(step) || isDetour(step) ? Math.min(due, next) : next;
      done = true;
    } else if (!done && current === steps.length) {
      if (runsByItself(step) && due <= nowMs) done = true;
      else {
        current = i;
        end = Math.max(due, nowMs);
      }
    }
    end = Math.max(end, at);
    out.push({ step, startMs: at, endMs: end, done });
    at = end;
  });
  return { steps: out, current, serveMs: at };
}

/** Minutes at pressure that the cook took instead of the planned ones; the newest counts, null when none were taken. */
export function ownHoldMin(events: readonly Pick<CookEvent, 'kind' | 'note'>[]): number | null {
  const note = events.findLast((e) => e.kind === 'hold-min')?.note;
  const own = note === undefined || note.trim() === '' ? NaN : Number(note);
  return Number.isFinite(own) && own >= 0 ? own : null;
}

/** The cook took other minutes at pressure than planned (their note): the newest counts. */
function withOwnHold(steps: readonly Step[], events: readonly CookEvent[]): readonly Step[] {
  const own = ownHoldMin(events);
  if (own === null) return steps;
  return steps.map((s) => (s.id === 'hold' ? withHold(s, own) : s));
}

/** The pot or the clock ends these; nobody has to tap. */
export const runsByItself = (step: Step): boolean => step.kind === 'wait' && step.expects === undefined;

/** Steps that no tap is waited for, but which one ends all the same. */
const endedBy: Partial<Record<EventKind, readonly string[]>> = {
  countdown: ['first-full', 'to-full'],
  'valve-open': ['natural'],
};

/** Steps that a tap can end, in their order: its own, those that wait for it, or that it ends all the same. */
const endable = (steps: readonly Step[], e: CookEvent): number[] =>
  steps.flatMap((s, i) =>
    (e.kind === 'done' ? s.id === e.step : s.expects === e.kind || endedBy[e.kind]?.includes(s.id)) ? [i] : [],
  );

/**
 * Which step a tap ends. A pot of two stages lifts its pin twice: the tap belongs to the next step that waits for it, and
 * when there is none, to the last: there it corrects what was told before. A pot still in its first stage ends nothing of
 * the second by itself.
 */
function endedStep(steps: readonly Step[], e: CookEvent, facts: ReadonlyMap<string, number>): number {
  const can = endable(steps, e);
  if (e.kind === 'done') return can[0] ?? -1;
  const known = (i: number): boolean => facts.has(steps[i]!.id);
  const last = steps.findLastIndex((_, i) => known(i));
  const at = can.find((i) => !known(i) && i > last) ?? can.find((i) => !known(i)) ?? can.at(-1) ?? -1;
  const first = steps.findIndex((s) => s.stage === 'first' && s.expects !== undefined && !facts.has(s.id));
  const skips = first >= 0 && last < steps.findIndex((s) => s.id === 'first-open') && steps[at]?.stage !== 'first';
  return skips ? -1 : at;
}

/** The last fact wins. What was ticked under a lid before it was locked again, by one of `kept`, is to be done anew. */
function factsByStep(
  steps: readonly Step[],
  events: readonly CookEvent[],
  kept: readonly CookEvent[],
): Map<string, number> {
  const facts = new Map<string, number>();
  const again = kept.flatMap((e) => {
    const lid = lidOf(e);
    return lid === null ? [] : [{ from: steps.findIndex((s) => s.id === lid), atMs: e.atMs }];
  });
  for (const e of events) {
    const i = endedStep(steps, e, facts);
    const anew = again.some((r) => i >= r.from && e.atMs <= r.atMs);
    if (i >= 0 && !anew) facts.set(steps[i]!.id, e.atMs);
  }
  return facts;
}

/** For every step the first fact of any step after it. */
function laterFacts(steps: readonly Step[], facts: ReadonlyMap<string, number>): (number | undefined)[] {
  const out = new Array<number | undefined>(steps.length);
  let next: number | undefined;
  for (let i = steps.length - 1; i >= 0; i--) {
    out[i] = next;
    const own = facts.get(steps[i]!.id);
    if (own !== undefined) next = next === undefined ? own : Math.min(own, next);
  }
  return out;
}
