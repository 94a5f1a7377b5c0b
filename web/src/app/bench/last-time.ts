import { actualOf, isKind, type Cook } from '@einkorn/core';
import type { LastTime } from './bench.slice';

/** The program of a cook as it was, as far as the taps tell; where nobody tapped it was as planned. */
export function lastTime(cook: Cook): LastTime {
  const { program, liquid } = cook.plan;
  const planned =
    program.release.kind === 'quick' ? 0 : (program.release.naturalMin ?? Math.round(program.naturalFullMin));
  const release = actualOf(cook).releaseMin;
  return {
    startedMs: cook.startedMs,
    holdMin: cook.events.findLast(isKind('hold-changed'))?.holdMin ?? program.holdMin,
    // A quick release takes its minute; more than that was time under falling pressure.
    naturalMin: release === null ? planned : planned === 0 && release < 3 ? 0 : Math.round(release),
    liquidMl: liquid.addMl,
  };
}
