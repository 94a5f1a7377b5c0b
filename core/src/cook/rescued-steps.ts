import type { Step } from '../plan/document/steps';
import type { StepId } from '../plan/document/step-id';
import { isKind, type CookEvent, type EventOf, type Lid } from './events';
import type { TimedStep } from './timed-step';

/** A warm pot comes back to pressure in about half its first time [common practice]. */
const warmShare = 0.5;

/** A step that a rescue put in; nobody has to tick it before the pin rises again. */
export const isDetour = (s: Step): boolean => s.id.startsWith('rescue-');

/** A run under the lid that a rescue broke off, folded into one past step. */
export const isBroken = (s: Step, lid: Lid): boolean => s.text === 'broken-off' && s.stage === runOf[lid].stage;

const runOf = {
  'first-heat': { stage: 'first', detour: 'first', warm: ['first-heat', 'first-full'], hold: 'first-hold' },
  'heat-up': { stage: 'heat-up', detour: 'stack', warm: ['heat-up', 'to-full'], hold: 'hold' },
} as const;

export interface WithRescues {
  steps: readonly Step[];
  /** ends of steps that the rescues made: the run that was broken off */
  facts: ReadonlyMap<StepId, number>;
}

/**
 * The planned steps with what was put right in between. A rescue that only takes time stands before the step that was in
 * progress; one that locks the lid again folds the broken run into one past step and lets the pot heat, hold and release
 * anew, from warm; in the first of two stages the second follows as planned.
 *
 * @param timedAt times a list of steps by the events up to a moment
 */
export function withRescues(
  planned: readonly Step[],
  standing: readonly CookEvent[],
  timedAt: (x: WithRescues, events: readonly CookEvent[], nowMs: number) => { steps: TimedStep[]; current: number },
): WithRescues {
  let x: WithRescues = { steps: planned, facts: new Map() };
  const rescues = standing.filter(isKind('rescued')).sort((a, b) => a.atMs - b.atMs);
  rescues.forEach((r, k) => {
    const later = new Set<CookEvent>(rescues.slice(k));
    const before = standing.filter((e) => e.atMs <= r.atMs && !later.has(e));
    const { steps: timed, current } = timedAt(x, before, r.atMs);
    const { minutes, lockedAgain } = r;
    const last = timed.at(-1)?.step.stage ?? 'finish';
    const detour: Step = {
      id: `rescue-${k}`,
      stage: timed[current]?.step.stage ?? last,
      kind: 'do',
      minutes,
      text: lockedAgain ? 'rescue-restart' : 'rescue',
      params: { note: r.text, minutes, ...(lockedAgain ? { hold: lockedAgain.holdMin } : {}) },
      ingredients: [],
      caution: 'never-force',
    };
    const lid = lockedAgain?.lid;
    const heat = lid ? x.steps.findIndex((s) => s.id === lid) : -1;
    const locked =
      lid && heat >= 0 && (timed.slice(0, heat).every((s) => s.done) || x.steps.some((s) => isBroken(s, lid)));
    if (!lockedAgain || !lid || !locked) {
      x = { ...x, steps: [...x.steps.slice(0, current), detour, ...x.steps.slice(current)] };
      return;
    }
    const run = runOf[lid];
    const broken: Step = {
      id: `broken-off-${k}`,
      stage: run.stage,
      kind: 'wait',
      minutes: Math.max(0, (r.atMs - (timed[heat]?.startMs ?? r.atMs)) / 60_000),
      text: 'broken-off',
      params: { held: heldMin(timed, run.hold, r.atMs), addMl: lockedAgain.addMl },
      ingredients: [],
    };
    x = {
      steps: [
        ...x.steps.slice(0, heat),
        broken,
        { ...detour, stage: run.detour },
        ...planned.slice(planned.findIndex((s) => s.id === lid)).map((s) => again(s, run, lockedAgain)),
      ],
      facts: new Map([...x.facts, [broken.id, r.atMs]]),
    };
  });
  return x;
}

/** Minutes at pressure that a run had when it was broken off. */
function heldMin(timed: readonly TimedStep[], hold: StepId, brokenMs: number): number {
  const s = timed.find((x) => x.step.id === hold);
  if (!s) return 0;
  return Math.max(0, (Math.min(s.endMs, brokenMs) - s.startMs) / 60_000 - beforeHold(s.step));
}

type LockedAgain = NonNullable<EventOf<'rescued'>['lockedAgain']>;

/** A step after the lid was locked again by `r`: warm on the way up, with the new hold, and what went in is not poured twice. */
function again(s: Step, run: (typeof runOf)[Lid], r: LockedAgain): Step {
  if ((run.warm as readonly StepId[]).includes(s.id)) return { ...s, minutes: s.minutes * warmShare };
  if (s.id === 'stack') return { ...s, params: { ...s.params, ml: Math.max(0, Number(s.params['ml']) - r.addMl) } };
  return s.id === run.hold ? withHold(s, r.holdMin) : s;
}

/** Minutes of a hold's step before the hold: where whistles are counted it holds the way to the first of them too. */
const beforeHold = (s: Step): number => s.minutes - Number(s.params['hold'] ?? s.minutes);

/** The step of the hold with other minutes. */
export function withHold(s: Step, holdMin: number): Step {
  return { ...s, minutes: beforeHold(s) + holdMin, params: { ...s.params, hold: holdMin } };
}
