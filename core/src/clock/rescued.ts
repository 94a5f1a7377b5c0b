import type { Step } from '../plan/document';
import type { CookEvent, EventKind, TimedStep } from './event';

/** A warm pot comes back to pressure in about half its first time [common practice]. */
const warmShare = 0.5;

const ending: ReadonlySet<EventKind> = new Set(['done', 'pin-up', 'pin-down', 'countdown', 'valve-open', 'rescued']);
/** Such a tap changes where the cook stands, and is what an undo takes back. */
export const endsSomething = (e: { kind: EventKind }): boolean => ending.has(e.kind);

/** The events that stand, in their order: an undo takes back the newest that `endsSomething`. */
export function keptEvents<E extends CookEvent>(events: readonly E[]): E[] {
  const kept: E[] = [];
  for (const e of events) {
    if (e.kind !== 'undo') kept.push(e);
    else {
      const i = kept.findLastIndex(endsSomething);
      if (i >= 0) kept.splice(i, 1);
    }
  }
  return kept;
}

/** A step that a rescue put in; nobody has to tick it before the pin rises again. */
export const isDetour = (s: Step): boolean => s.id.startsWith('rescue-');

/** What a pot tells of one run under the lid. */
const ofOneRun: ReadonlySet<EventKind> = new Set([
  'pin-up',
  'countdown',
  'whistle',
  'valve-open',
  'pin-down',
  'hold-min',
]);
const afterPin: ReadonlySet<EventKind> = new Set(['valve-open', 'pin-down']);

/** Rescues that locked the lid again, among events that stand. */
export const restarts = <E extends CookEvent>(kept: readonly E[]): E[] =>
  kept.filter((e) => e.kind === 'rescued' && e.holdMin !== undefined);

/**
 * Of the events that stand, those that count for the run under the lid that is on: once the pot was opened and locked
 * again, what it told before belongs to the earlier run, and steam let off before the new pin does too. The second stage
 * of a two-stage cook is such a run.
 */
export function ofThisRun<E extends CookEvent>(kept: readonly E[]): E[] {
  const opened = kept.findLast((e) => e.kind === 'done' && e.step === 'first-open')?.atMs;
  const locked = restarts(kept).at(-1)?.atMs;
  return since(kept, opened === undefined ? locked : Math.max(opened, locked ?? opened));
}
/** The same without a look at stages: what no rescue has made void. */
export const sinceRestart = <E extends CookEvent>(kept: readonly E[]): E[] => since(kept, restarts(kept).at(-1)?.atMs);
/** How often the lid was locked before this run. */
export const runsBefore = (kept: readonly CookEvent[]): number =>
  restarts(kept).length + kept.filter((e) => e.kind === 'done' && e.step === 'first-open').length;

function since<E extends CookEvent>(kept: readonly E[], sinceMs: number | undefined): E[] {
  if (sinceMs === undefined) return [...kept];
  const pin = kept.find((e) => e.kind === 'pin-up' && e.atMs > sinceMs)?.atMs ?? Infinity;
  return kept.filter((e) => !ofOneRun.has(e.kind) || (e.atMs > sinceMs && (!afterPin.has(e.kind) || e.atMs >= pin)));
}

export interface WithRescues {
  steps: readonly Step[];
  /** ends of steps that the rescues made: the run that was broken off */
  facts: ReadonlyMap<string, number>;
}

/**
 * The planned steps with what was put right in between. A rescue that only takes time stands before the step that was in
 * progress; one that locks the lid again folds the broken run into one past step and lets the pot heat, hold and release
 * anew, from warm.
 *
 * @param timedAt times a list of steps by the events up to a moment
 */
export function withRescues(
  planned: readonly Step[],
  kept: readonly CookEvent[],
  timedAt: (x: WithRescues, events: readonly CookEvent[], nowMs: number) => { steps: TimedStep[]; current: number },
): WithRescues {
  let x: WithRescues = { steps: planned, facts: new Map() };
  const rescues = kept.filter((e) => e.kind === 'rescued').sort((a, b) => a.atMs - b.atMs);
  rescues.forEach((r, k) => {
    const before = kept.filter((e) => e.atMs <= r.atMs && !rescues.slice(k).includes(e));
    const { steps: timed, current } = timedAt(x, before, r.atMs);
    const minutes = r.value ?? 0;
    const last = timed.at(-1)?.step.stage ?? 'finish';
    const detour: Step = {
      id: `rescue-${k}`,
      stage: timed[current]?.step.stage ?? last,
      kind: 'do',
      minutes,
      text: r.holdMin === undefined ? 'rescue' : 'rescue-restart',
      params: { note: r.note ?? '', minutes, ...(r.holdMin === undefined ? {} : { hold: r.holdMin }) },
      ingredients: [],
      caution: 'never-force',
    };
    const heat = x.steps.findIndex((s) => s.id === 'heat-up');
    const locked = timed.slice(0, heat).every((s) => s.done) || x.facts.size > 0;
    if (r.holdMin === undefined || !locked) {
      x = { ...x, steps: [...x.steps.slice(0, current), detour, ...x.steps.slice(current)] };
      return;
    }
    const broken: Step = {
      id: `broken-off-${k}`,
      stage: 'heat-up',
      kind: 'wait',
      minutes: Math.max(0, (r.atMs - (timed[heat]?.startMs ?? r.atMs)) / 60_000),
      text: 'broken-off',
      params: {},
      ingredients: [],
    };
    x = {
      steps: [
        ...x.steps.slice(0, heat),
        broken,
        { ...detour, stage: 'stack' },
        ...planned.slice(planned.findIndex((s) => s.id === 'heat-up')).map((s) => again(s, r.holdMin!)),
      ],
      facts: new Map([...x.facts, [broken.id, r.atMs]]),
    };
  });
  return x;
}

/** A step of the pot in its second run: warm on the way up, and with the new hold. */
function again(s: Step, holdMin: number): Step {
  if (s.id === 'heat-up' || s.id === 'to-full') return { ...s, minutes: s.minutes * warmShare };
  return s.id === 'hold' ? withHold(s, holdMin) : s;
}

/** The step of the hold with other minutes; where whistles are counted it holds the way to the first of them too. */
export function withHold(s: Step, holdMin: number): Step {
  const before = s.minutes - Number(s.params['hold'] ?? s.minutes);
  return { ...s, minutes: before + holdMin, params: { ...s.params, hold: holdMin } };
}
