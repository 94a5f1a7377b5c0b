import type { Reality } from './outlook';
import type { Cook } from './record';
import { ownHoldMin, replan } from './replan';
import { keptEvents, restarts } from './rescued';

/** From here on a release that goes on past its plan is worth a look, min. */
const overMin = 2;

/**
 * What the taps of a running cook tell the outlook: the minutes to the pin (an overdue one counts while it is waited for),
 * the hold that was taken instead of the planned one, and a natural release that ended early or has run past its plan.
 * Null while nothing has happened that could change the rest, and once the pot was opened and locked again: the minutes
 * of its new hold come from the rescue, which counted what had cooked.
 */
export function lived(cook: Cook, nowMs: number): Reality | null {
  if (restarts(keptEvents(cook.events)).length > 0) return null;
  const { steps } = replan(cook.plan.steps, cook.startedMs, cook.events, nowMs);
  const find = (id: string) => steps.find((s) => s.step.id === id);
  const up = find('heat-up');
  if (!up) return null;
  const soFar = (nowMs - up.startMs) / 60_000;
  const overdue = !up.done && soFar > up.step.minutes;
  if (!up.done && !overdue) return null;
  const real: Reality = { toPinMin: up.done ? (up.endMs - up.startMs) / 60_000 : soFar };
  const own = ownHoldMin(cook.events);
  if (own !== null) real.holdMin = own;
  const natural = find('natural');
  if (natural && nowMs > natural.startMs) {
    const ran = ((natural.done ? natural.endMs : nowMs) - natural.startMs) / 60_000;
    const off = natural.done ? Math.abs(ran - natural.step.minutes) > 0.5 : ran > natural.step.minutes + overMin;
    if (off) {
      real.naturalMin = ran;
      real.holdMin ??= cook.plan.program.holdMin;
    }
  }
  return real;
}
