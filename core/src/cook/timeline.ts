import type { Plan } from '../plan/document/document';
import type { Step } from '../plan/document/steps';
import type { StepId } from '../plan/document/step-id';
import { isKind, type CookEvent, type EventKind, type Lid } from './events';
import { isDetour, isBroken, withHold, withRescues, type WithRescues } from './rescued-steps';
import { lidOf, ofThisRun, sinceRestart, standingEvents } from './runs';
import type { TimedStep } from './timed-step';

/** A cook as it stands at a moment: everything that a screen, a device or the log asks of it is read from here. */
export interface CookTimeline {
  steps: TimedStep[];
  /** index of the step in progress; steps.length when everything is done */
  current: number;
  serveMs: number;
  /** events that were not undone, in their order */
  standing: readonly CookEvent[];
  /** of these, what counts for the run under the lid that is on */
  ofRun: readonly CookEvent[];
  /** the lid that is on or was last: of the first of two stages until the whole dish is under its own */
  lid: Lid;
  /** the lid on the whole dish was locked again in the middle: its way to the pin is from warm */
  lockedAgain: boolean;
  /** minutes at pressure that the cook took instead of the planned ones in this run; null when none were taken */
  ownHoldMin: number | null;
  /** what the step in progress has left of its minutes, ms; negative when it is late, 0 when everything is done */
  leftMs: number;
}

/** What of a cook its timeline is made from. */
export interface CookSoFar {
  plan: Pick<Plan, 'steps'>;
  startedMs: number;
  events: readonly CookEvent[];
}

/**
 * Times every step from what happened: facts replace predictions, everything after moves. A step that should be over
 * but has not been ticked is still going on, so that the clock never runs ahead of the cook; waits that the pot ends by
 * itself (full pressure, the hold, a timed release) run through on their own.
 *
 * What the events say is read once and kept for as long as the same list of events is asked about: a tick of the clock
 * only lays the times out anew.
 *
 * @param nowMs the clock, ms since the epoch
 */
export function cookTimeline(cook: CookSoFar, nowMs: number): CookTimeline {
  const all = factsOf(cook);
  const timed = layOut(all, cook.startedMs, nowMs);
  const { standing, ofRun } = all;
  const now = timed.steps[timed.current];
  const lock = timed.steps.find((s) => s.step.id === 'lock');
  return {
    ...timed,
    standing,
    ofRun,
    lid: timed.steps.some((s) => s.step.stage === 'first') && !lock?.done ? 'first-heat' : 'heat-up',
    lockedAgain: timed.steps.some((s) => isBroken(s.step, 'heat-up')),
    ownHoldMin: ownHoldMin(ofRun),
    leftMs: now ? now.startMs + now.step.minutes * 60_000 - nowMs : 0,
  };
}

/** What events say of the steps, before a clock is looked at. */
interface StepFacts {
  steps: readonly Step[];
  facts: ReadonlyMap<StepId, number>;
  /** for every step the first fact of any step after it */
  later: readonly (number | undefined)[];
  heatOnMs: number | undefined;
}

interface EventFacts extends StepFacts {
  standing: readonly CookEvent[];
  ofRun: readonly CookEvent[];
}

/** What was read of a list of events, for the steps and the beginning that it was read with. */
const cache = new WeakMap<readonly CookEvent[], { steps: readonly Step[]; startedMs: number; all: EventFacts }>();

function factsOf({ plan, startedMs, events }: CookSoFar): EventFacts {
  const before = cache.get(events);
  if (before?.steps === plan.steps && before.startedMs === startedMs) return before.all;
  const standing = standingEvents(events);
  const x = withRescues(plan.steps, standing, (y, some, atMs) => layOut(readEvents(y, some), startedMs, atMs));
  const all = { ...readEvents(x, standing), standing, ofRun: ofThisRun(standing) };
  cache.set(events, { steps: plan.steps, startedMs, all });
  return all;
}

/** What events that stand say of a list of steps. */
function readEvents(x: WithRescues, standing: readonly CookEvent[]): StepFacts {
  const events = sinceRestart(standing);
  const steps = withOwnHold(x.steps, events);
  const facts = factsByStep(steps, events, standing);
  for (const [id, atMs] of x.facts) facts.set(id, atMs);
  return {
    steps,
    facts,
    later: laterFacts(steps, facts),
    heatOnMs: events.findLast((e) => e.kind === 'heat-on')?.atMs,
  };
}

/** The steps one after the other, each at its fact or at its minutes. */
function layOut(
  { steps, facts, later, heatOnMs }: StepFacts,
  startMs: number,
  nowMs: number,
): Pick<CookTimeline, 'steps' | 'current' | 'serveMs'> {
  const out: TimedStep[] = [];
  let at = startMs;
  let current = steps.length;
  // Nothing is fried before the heat is on: the gate between the board and the stove may take its time.
  const firstHot = steps.findIndex((s) => s.stage !== 'prep');
  steps.forEach((step, i) => {
    if (i === firstHot && heatOnMs !== undefined) at = Math.max(at, heatOnMs);
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
const ownHoldMin = (events: readonly CookEvent[]): number | null =>
  events.findLast(isKind('hold-changed'))?.holdMin ?? null;

function withOwnHold(steps: readonly Step[], events: readonly CookEvent[]): readonly Step[] {
  const own = ownHoldMin(events);
  if (own === null) return steps;
  return steps.map((s) => (s.id === 'hold' ? withHold(s, own) : s));
}

/** The pot or the clock ends these; nobody has to tap. */
export const runsByItself = (step: Step): boolean => step.kind === 'wait' && step.expects === undefined;

/** Steps that no tap is waited for, but which one ends all the same. */
const endedBy: Partial<Record<EventKind, readonly StepId[]>> = {
  countdown: ['first-full', 'to-full'],
  'valve-open': ['natural'],
};

/** Steps that a tap can end, in their order: its own, those that wait for it, or that it ends all the same. */
const endable = (steps: readonly Step[], e: CookEvent): number[] =>
  steps.flatMap((s, i) =>
    (e.kind === 'done' ? s.id === e.stepId : s.expects === e.kind || endedBy[e.kind]?.includes(s.id)) ? [i] : [],
  );

/**
 * Which step a tap ends. A pot of two stages lifts its pin twice: the tap belongs to the next step that waits for it, and
 * when there is none, to the last: there it corrects what was tapped before. A pot still in its first stage ends nothing
 * of the second by itself.
 */
function endedStep(steps: readonly Step[], e: CookEvent, facts: ReadonlyMap<StepId, number>): number {
  const can = endable(steps, e);
  if (e.kind === 'done') return can[0] ?? -1;
  const isKnown = (i: number): boolean => facts.has(steps[i]!.id);
  const last = steps.findLastIndex((_, i) => isKnown(i));
  const at = can.find((i) => !isKnown(i) && i > last) ?? can.find((i) => !isKnown(i)) ?? can.at(-1) ?? -1;
  const first = steps.findIndex((s) => s.stage === 'first' && s.expects !== undefined && !facts.has(s.id));
  const skips = first >= 0 && last < steps.findIndex((s) => s.id === 'first-open') && steps[at]?.stage !== 'first';
  return skips ? -1 : at;
}

/** The last fact wins. What was ticked under a lid before it was locked again, by one of `standing`, is to be done anew. */
function factsByStep(
  steps: readonly Step[],
  events: readonly CookEvent[],
  standing: readonly CookEvent[],
): Map<StepId, number> {
  const facts = new Map<StepId, number>();
  const again = standing.flatMap((e) => {
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

function laterFacts(steps: readonly Step[], facts: ReadonlyMap<StepId, number>): (number | undefined)[] {
  const out = new Array<number | undefined>(steps.length);
  let next: number | undefined;
  for (let i = steps.length - 1; i >= 0; i--) {
    out[i] = next;
    const own = facts.get(steps[i]!.id);
    if (own !== undefined) next = next === undefined ? own : Math.min(own, next);
  }
  return out;
}
