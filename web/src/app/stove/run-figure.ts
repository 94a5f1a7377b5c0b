import { curveFromTaps, firstCurveFromTaps, isKind, type Cook, type CookTimeline, type PotCurve } from '@einkorn/core';
import type { Figure } from '../ui/chart';
import { sinceLidMin, wasLocked } from './panels';
import { stoveFigure, type StoveWords } from './stove-figure';

/** The run under the lid that is on, or was last: its curve as planned, and as the taps tell it. */
export function drawnRun(c: Cook, timed: CookTimeline | null, nowMs: number) {
  const first = timed?.lid === 'first-heat' ? firstCurveFromTaps(c, timed) : null;
  const lid = first ? ('first-heat' as const) : ('heat-up' as const);
  const lockMs = timed?.steps.find((s) => s.step.id === lid)?.startMs ?? c.startedMs;
  if (first)
    return { lid, lockMs, locked: sinceLidMin(timed, nowMs) > 0, planned: c.plan.firstStage!.curve!, taps: first };
  return { lid, lockMs, locked: wasLocked(timed), planned: c.plan.curve, taps: curveFromTaps(c) };
}

/** Its figure, with the rest as it now looks, and what the gauge of a device read. */
export function runFigure(
  c: Cook,
  { lid, lockMs, locked, planned, taps }: ReturnType<typeof drawnRun>,
  { nowMs, ahead }: { nowMs: number; ahead: PotCurve | null },
  say: StoveWords,
): Figure {
  const needle = c.events.filter(isKind('gauge-read')).filter((e) => e.atMs >= lockMs && e.atMs <= nowMs);
  return stoveFigure(
    {
      plan: { ...planned, altitudeM: c.plan.pot.altitudeM },
      taps,
      ahead: lid === 'heat-up' ? ahead : null,
      needle: needle.map((e) => ({ ms: e.atMs, kpa: e.gaugeKpa })),
    },
    { lockMs, nowMs, locked },
    say,
  );
}
