import { cookTimeline, restarts, type Cook, type CookEvent, type Debrief, type Noticed } from '@einkorn/core';
import type { Signal } from './cooker';
import { Rig } from './rig';

/** A lag that nobody minds, min. */
const promptMin = 0.75;
/** The curve of a debrief has a point so often, s. */
const curveEveryS = 10;
/** A pot that was left comes down by itself within so long, min. */
const leftMin = 180;

/** Cooks a practice cook again from its taps and tells what they missed. Null when the lid was never locked. */
export function debrief(cook: Cook): Debrief | null {
  const rig = new Rig(cook);
  const events = [...cook.events].sort((a, b) => a.atMs - b.atMs);
  for (const e of events) rig.feel(e);
  if (!rig.cooker || rig.lockMs === null || !rig.lockedWhole) return null;
  const endMs = cook.finishedMs ?? events.at(-1)?.atMs ?? cook.startedMs;
  rig.advance(endMs);
  // Somebody who stopped early still has a pot that comes down by itself.
  for (let m = 1; rig.cooker.pin && m < leftMin; m++) rig.advance(endMs + m * 60_000);
  const p = cook.plan;
  return {
    faults: cook.practice?.faults ?? [],
    noticed: noticedIn(cook, rig, cookTimeline({ ...cook, events }, endMs)),
    food: rig.food(),
    planned: { band: p.grain?.band ?? p.pasta?.band ?? null, moisture: (p.grain ?? p.pasta)?.moisture ?? null },
    curve: curveOf(rig),
  };
}

function curveOf(rig: Rig): Debrief['curve'] {
  const { history } = rig.cooker!.run();
  const every = Math.max(1, Math.round(curveEveryS / history.dtS));
  const at = Array.from({ length: Math.ceil(history.tempC.length / every) }, (_, i) => i * every);
  return {
    minutes: at.map((i) => (i * history.dtS) / 60),
    tempC: at.map((i) => history.tempC[i]!),
    gaugeKpa: at.map((i) => history.gaugeKpa[i]!),
  };
}

/** What was to be noticed at the pot and when the cook did, in minutes from the lid. */
function noticedIn(cook: Cook, rig: Rig, { standing, ofRun }: ReturnType<typeof cookTimeline>): Noticed[] {
  const { program, steps } = cook.plan;
  const lockMs = rig.lockMs!;
  const again = restarts(standing).at(-1);
  // Once the lid was locked again the new run is what was to be noticed; a burn is of the first.
  const sinceMs = (again?.atMs ?? lockMs) - lockMs;
  const signalled = (kind: Signal['kind']): number | null => {
    const s = rig.cooker!.signals.find((x) => x.kind === kind && (kind === 'burn' || x.atS * 1000 >= sinceMs));
    return s ? s.atS / 60 : null;
  };
  const tapped = (...kinds: CookEvent['kind'][]): number | null => {
    const e = ofRun.find((x) => kinds.includes(x.kind) && x.device === undefined && x.atMs >= lockMs);
    return e ? (e.atMs - lockMs) / 60_000 : null;
  };
  const hasValve = program.release.kind !== 'natural';
  const byHand = (cook.practice?.hands ?? 'devices') === 'you';
  // A valve opened before the hold was over is held against the moment when it would have been.
  const counted = signalled('countdown');
  const holdMin = again?.lockedAgain?.holdMin ?? program.holdMin;
  const holdEnd = signalled('hold-end') ?? (counted === null ? null : counted + holdMin);
  return [
    ...(byHand ? row('pin-up', signalled('pin-up'), tapped('pin-up')) : []),
    ...row('burn', signalled('burn'), tapped('burn', 'off-plan')),
    ...burnInFirst(rig, standing),
    // With a valve to open, the moment for it is the end of the hold and the natural minutes.
    ...(hasValve && holdEnd !== null && steps.some((s) => s.id === 'vent')
      ? row('hold-end', holdEnd + (program.release.naturalMin ?? 0), tapped('valve-open', 'pin-down'))
      : []),
    ...(byHand && !hasValve ? row('pin-down', signalled('pin-down'), tapped('pin-down')) : []),
  ].sort((a, b) => a.atMin - b.atMin);
}

function row(what: Noticed['what'], atMin: number | null, seenMin: number | null): Noticed[] {
  if (atMin === null) return [];
  const lateMin = seenMin === null ? null : seenMin - atMin;
  return [{ what, atMin, seenMin, lateMin, prompt: lateMin !== null && Math.abs(lateMin) <= promptMin }];
}

/** A burn warning of the first of two stages, min after its own lid was locked. */
function burnInFirst(rig: Rig, standing: readonly CookEvent[]): Noticed[] {
  const { first, lockMs } = rig;
  const burn = first?.signals.find((s) => s.kind === 'burn');
  if (!first || !burn) return [];
  const seen = standing.find(
    (e) =>
      (e.kind === 'burn' || e.kind === 'off-plan') &&
      e.device === undefined &&
      e.atMs >= first.lockMs &&
      e.atMs < lockMs!,
  );
  return row('burn', burn.atS / 60, seen ? (seen.atMs - first.lockMs) / 60_000 : null);
}
