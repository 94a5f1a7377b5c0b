import type { Step } from '../plan/document';
import type { CookEvent, TimedStep } from './events';
import { lidOf, type Lid } from './runs';

/** A warm pot comes back to pressure in about half its first time [common practice]. */
const warmShare = 0.5;

/** A step that a rescue put in; nobody has to tick it before the pin rises again. */
export const isDetour = (s: Step): boolean => s.id.startsWith('rescue-');

/** A run under the lid that a rescue broke off, folded into one past step. */
export const isBroken = (s: Step, lid: Lid): boolean => s.text === 'broken-off' && s.stage === runOf[lid].stage;

/** The lid on the whole dish was locked again in the middle: its way to the pin is from warm. */
export const lockedAgain = (timed: { steps: readonly TimedStep[] }): boolean =>
  timed.steps.some((s) => isBroken(s.step, 'heat-up'));

const runOf = {
  'first-heat': { stage: 'first', detour: 'first', warm: ['first-heat', 'first-full'], hold: 'first-hold' },
  'heat-up': { stage: 'heat-up', detour: 'stack', warm: ['heat-up', 'to-full'], hold: 'hold' },
} as const;

export interface WithRescues {
  steps: readonly Step[];
  /** ends of steps that the rescues made: the run that was broken off */
  facts: ReadonlyMap<string, number>;
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
    const lid = lidOf(r);
    const detour: Step = {
      id: `rescue-${k}`,
      stage: timed[current]?.step.stage ?? last,
      kind: 'do',
      minutes,
      text: lid === null ? 'rescue' : 'rescue-restart',
      params: { note: r.note ?? '', minutes, ...(lid === null ? {} : { hold: r.holdMin! }) },
      ingredients: [],
      caution: 'never-force',
    };
    const heat = lid === null ? -1 : x.steps.findIndex((s) => s.id === lid);
    const locked = heat >= 0 && (timed.slice(0, heat).every((s) => s.done) || x.steps.some((s) => isBroken(s, lid!)));
    if (lid === null || !locked) {
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
      params: { held: heldMin(timed, run.hold, r.atMs), addMl: r.addMl ?? 0 },
      ingredients: [],
    };
    x = {
      steps: [
        ...x.steps.slice(0, heat),
        broken,
        { ...detour, stage: run.detour },
        ...planned.slice(planned.findIndex((s) => s.id === lid)).map((s) => again(s, run, r)),
      ],
      facts: new Map([...x.facts, [broken.id, r.atMs]]),
    };
  });
  return x;
}

/** Minutes at pressure that a run had when it was broken off. */
function heldMin(timed: readonly TimedStep[], hold: string, brokenMs: number): number {
  const s = timed.find((x) => x.step.id === hold);
  if (!s) return 0;
  return Math.max(0, (Math.min(s.endMs, brokenMs) - s.startMs) / 60_000 - beforeHold(s.step));
}

/** A step after the lid was locked again by `r`: warm on the way up, with the new hold, and what went in is not poured twice. */
function again(s: Step, run: (typeof runOf)[Lid], r: CookEvent): Step {
  if ((run.warm as readonly string[]).includes(s.id)) return { ...s, minutes: s.minutes * warmShare };
  if (s.id === 'stack')
    return { ...s, params: { ...s.params, ml: Math.max(0, Number(s.params['ml']) - (r.addMl ?? 0)) } };
  return s.id === run.hold ? withHold(s, r.holdMin!) : s;
}

/** Minutes of a hold's step before the hold: where whistles are counted it holds the way to the first of them too. */
const beforeHold = (s: Step): number => s.minutes - Number(s.params['hold'] ?? s.minutes);

/** The step of the hold with other minutes. */
export function withHold(s: Step, holdMin: number): Step {
  return { ...s, minutes: beforeHold(s) + holdMin, params: { ...s.params, hold: holdMin } };
}
