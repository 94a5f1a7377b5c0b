import { cookTimeline, type Cook, type CookTimeline } from '@einkorn/core';

/** A cook that began longer ago than this is not of this evening; and so many others have room beside this one. */
const eveningMs = 12 * 3_600_000;
const mostOthers = 2;
/** Panels of time that have room beside each other. */
const mostTimers = 3;

export interface OtherPot {
  id: string;
  title: string;
  /** ms to the end of its step; negative when it is overdue */
  left: number;
}

/** Other pots of the same evening, each with the clock of its own step; practices stay out of it. */
export function otherPots(running: readonly Cook[], own: string, nowMs: number): OtherPot[] {
  return running
    .filter((c) => c.id !== own && c.practice === undefined && Math.abs(nowMs - c.startedMs) < eveningMs)
    .slice(0, mostOthers)
    .map((c) => ({ id: c.id, title: c.dish.title, left: cookTimeline(c, nowMs).leftMs }));
}

/** The lid on the whole dish has been locked. */
export const wasLocked = (timed: CookTimeline | null): boolean =>
  timed?.steps.some((s) => s.step.id === 'lock' && s.done) ?? false;

/** A lid is on: that of the first stage, or the one on the whole dish. */
export function lidIsOn(timed: CookTimeline | null): boolean {
  const lids = ['first-fill', 'first-open', 'lock'];
  const last = timed?.steps.filter((s) => s.done && lids.includes(s.step.id)).at(-1)?.step.id;
  return last === 'first-fill' || last === 'lock';
}

/** Closing a pot again that stands open, min [common practice]. */
export const lidBackMin = 1;

/** Minutes since that lid was locked, for the questions of a rescue; 0 before. */
export function sinceLidMin(timed: CookTimeline | null, nowMs: number): number {
  const lid = timed?.lid ?? 'heat-up';
  const heat = timed?.steps.find((s) => s.step.id === lid);
  const locked = timed?.steps.find((s) => s.step.id === (lid === 'first-heat' ? 'first-fill' : 'lock'))?.done;
  return heat && locked ? Math.max(0, (nowMs - heat.startMs) / 60_000) : 0;
}

export interface PinTap {
  kind: 'pin-up' | 'pin-down';
  atMs: number | null;
  /** when it was tapped, or is due */
  whenMs: number | null;
  ready: boolean;
  /** path of its drawing, 44 by 40 */
  drawn: string;
}

/** The two taps of the pin: when each was made or is due, and whether it can be made now. */
export function pinTaps(timed: CookTimeline | null, upMs: number | null, downMs: number | null): PinTap[] {
  const pin = (kind: PinTap['kind'], atMs: number | null, open: boolean, drawn: string): PinTap => {
    const waits = timed?.steps.filter((s) => s.step.expects === kind);
    const dueMs = (waits?.find((s) => !s.done) ?? waits?.at(-1))?.endMs ?? null;
    return { kind, atMs, whenMs: atMs ?? dueMs, ready: open && atMs === null, drawn };
  };
  return [
    pin('pin-up', upMs, lidIsOn(timed), 'M4 35h36M14 35V16h10v19M34 26V8m-6 6l6-6 6 6'),
    pin('pin-down', downMs, upMs !== null, 'M4 35h36M14 35v-6h10v6M34 8v18m-6-6l6 6 6-6'),
  ];
}

export interface TimeTo {
  key: 'lid' | 'open' | 'serve';
  ms: number;
  /** of the way from the beginning of the cook, 0..1 */
  share: number;
}

/** Time to the lid, to its opening and to the table, as many as there is room for beside `taken` others. */
export function timesTo(timed: CookTimeline, startMs: number, nowMs: number, taken: number): TimeTo[] {
  const out: TimeTo[] = [];
  const add = (key: TimeTo['key'], at: number | undefined): void => {
    if (at !== undefined && at > nowMs)
      out.push({ key, ms: at - nowMs, share: (nowMs - startMs) / Math.max(1, at - startMs) });
  };
  const lock = timed.steps.find((s) => s.step.id === 'lock');
  if (!lock?.done) add('lid', lock?.endMs);
  add(
    'open',
    timed.steps.find((s) => s.step.id === 'finish-open')?.startMs ??
      timed.steps.filter((s) => s.step.stage === 'natural').at(-1)?.endMs,
  );
  add('serve', timed.serveMs);
  return out.slice(0, Math.max(1, mostTimers - taken));
}
