import type { HeatedPot } from '../../pot/cook';
import type { Heated } from '../simulate/heated';

/** Half minutes below five, then whole minutes. */
export const holds: readonly number[] = [
  ...Array.from({ length: 10 }, (_, i) => i / 2),
  ...Array.from({ length: 56 }, (_, i) => i + 5),
];
const mostWhistles = 30;

/** A whistle cooker is held for a whole number of whistles. */
function whistleHolds(heated: HeatedPot): number[] {
  const out: number[] = [];
  for (let n = 1; n <= mostWhistles; n++) {
    const hold = heated.holdForWhistles(n);
    if (out.length > 0 && hold <= out[out.length - 1]!) continue;
    if (hold >= 60) break;
    out.push(hold);
  }
  return out.length > 0 ? out : [0];
}

/** The holds that this cooker can be set to at this pressure, min, shortest first: its programs, whole whistles, or any minute. */
export function holdsOf({ heated, setup: { leastHoldMin } }: Pick<Heated, 'heated' | 'setup'>): readonly number[] {
  const all = settable(heated);
  // A pot that never comes to pressure holds none: one hold says all there is to say.
  if (heated.countdownS === null) return all.slice(0, 1);
  const enough = all.filter((holdMin) => holdMin >= leastHoldMin - 1e-9);
  return enough.length > 0 ? enough : all.slice(-1);
}

function settable(heated: HeatedPot): readonly number[] {
  const { pot } = heated.state;
  if (pot.programs) {
    const own = pot.programs.filter((p) => p.pressure === heated.pressure).map((p) => p.holdMin);
    return [...new Set(own)].sort((a, b) => a - b);
  }
  return pot.whistle ? whistleHolds(heated) : holds;
}
