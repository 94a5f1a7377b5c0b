import type { BrokenRun } from './broken';
import type { FirstRun } from './first-run';
import type { Reality } from './outlook';
import type { StepId } from '../plan/document/step-id';
import type { Cook } from './cook';
import { isBroken } from './rescued-steps';
import type { TimedStep } from './timed-step';
import { cookTimeline } from './timeline';

/** From here on a release that goes on past its plan is worth a look, min. */
const overMin = 2;
/** A tap is this good, min. */
const tappedMin = 0.5;

/**
 * What the taps of a running cook tell the outlook: the minutes to the pin (an overdue one counts while it is waited for),
 * the first stage where it went otherwise, the hold that was taken instead of the planned one, and a natural release that
 * ended early or has run past its plan.
 * Null while nothing has happened that could change the rest. Once the pot was opened and locked again, all that is told
 * of the run that is on, and the runs before it as they were broken off.
 */
export function realityOf(cook: Cook, nowMs: number): Reality | null {
  const { steps, ownHoldMin: own } = cookTimeline(cook, nowMs);
  const find = (id: StepId) => steps.find((s) => s.step.id === id);
  const up = find('heat-up');
  if (!up) return null;
  const soFar = (nowMs - up.startMs) / 60_000;
  const overdue = !up.done && soFar > up.step.minutes;
  const first = firstAsRun(steps, cook.plan.firstStage?.holdMin ?? 0, nowMs);
  const broken = brokenOff(steps);
  if (!up.done && !overdue && broken.length === 0 && !first) return null;
  const real: Reality = up.done || overdue ? { toPinMin: up.done ? minutes(up) : soFar } : {};
  if (first) real.first = first;
  if (broken.length > 0) {
    real.givenMin = broken.at(-1)!.givenMin;
    real.broken = broken.map((x) => x.run);
  }
  if (own !== null) real.holdMin = own;
  const natural = find('natural');
  if (natural && nowMs > natural.startMs) {
    const ran = ((natural.done ? natural.endMs : nowMs) - natural.startMs) / 60_000;
    const off = natural.done ? Math.abs(ran - natural.step.minutes) > tappedMin : ran > natural.step.minutes + overMin;
    if (off) {
      real.naturalMin = ran;
      real.holdMin ??= real.givenMin ?? cook.plan.program.holdMin;
    }
  }
  return real;
}

/** Runs of the whole dish that a rescue broke off, each with the hold that the rescue after it gave. */
const brokenOff = (steps: readonly TimedStep[]): { run: BrokenRun; givenMin: number }[] =>
  steps.flatMap((s, i) => {
    if (!isBroken(s.step, 'heat-up')) return [];
    const rescue = steps[i + 1]!;
    const run = { atMin: minutes(s), detourMin: minutes(rescue), addMl: Number(s.step.params['addMl']) };
    return [{ run, givenMin: Number(rescue.step.params['hold']) }];
  });

/**
 * The first stage as it went, or goes while its pin is overdue; null where it goes as planned. Locked again, its holds
 * count together, and the way up from warm tells nothing of the heater.
 */
function firstAsRun(steps: readonly TimedStep[], plannedHoldMin: number, nowMs: number): FirstRun | null {
  const heat = steps.find((s) => s.step.id === 'first-heat');
  const hold = steps.find((s) => s.step.id === 'first-hold');
  if (!heat || !hold) return null;
  const broken = steps.filter((s) => isBroken(s.step, 'first-heat'));
  const had = broken.reduce((m, s) => m + Number(s.step.params['held']), 0);
  const longer = hold.done ? minutes(hold) - hold.step.minutes : 0;
  const heldMin = Math.max(0, had + Number(hold.step.params['hold']) + longer);
  const off = Math.abs(heldMin - plannedHoldMin) > tappedMin;
  if (broken.length > 0) return off ? { holdMin: heldMin } : null;
  const late = (heat.done ? minutes(heat) : (nowMs - heat.startMs) / 60_000) - heat.step.minutes;
  const out: FirstRun = {};
  if (heat.done ? Math.abs(late) > tappedMin : late > 0) out.toPinMin = heat.step.minutes + late;
  if (off) out.holdMin = heldMin;
  return Object.keys(out).length > 0 ? out : null;
}

const minutes = (s: TimedStep): number => (s.endMs - s.startMs) / 60_000;
