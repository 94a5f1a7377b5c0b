import type { CookEvent, EventKind } from './events';

const ending: ReadonlySet<EventKind> = new Set(['done', 'pin-up', 'pin-down', 'countdown', 'valve-open', 'rescued']);
/** Such a tap changes where the cook stands, and is what an undo takes back. */
export const endsSomething = (e: { kind: EventKind }): boolean => ending.has(e.kind);

/** The events that stand, in their order: an undo takes back the newest that `endsSomething`. */
export function standingEvents<E extends CookEvent>(events: readonly E[]): E[] {
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

/** The step that heats after a lid: of the whole dish, or of the first of two stages. */
export type Lid = 'heat-up' | 'first-heat';
/** Which lid a rescue locks again; null for one that locks none. */
export const lidOf = (e: CookEvent): Lid | null =>
  e.kind !== 'rescued' || e.holdMin === undefined ? null : e.step === 'first-heat' ? 'first-heat' : 'heat-up';

const relocks =
  (lid: Lid) =>
  <E extends CookEvent>(kept: readonly E[]): E[] =>
    kept.filter((e) => lidOf(e) === lid);
/** Rescues that locked the lid on the whole dish again, among events that stand. */
export const restarts = relocks('heat-up');
/** The same of the first of two stages. */
const firstRestarts = relocks('first-heat');

/** When the first of two stages was opened; one that was locked again has to be opened anew. */
function openedMs(kept: readonly CookEvent[]): number | undefined {
  const again = firstRestarts(kept).at(-1)?.atMs ?? -Infinity;
  return kept.findLast((e) => e.kind === 'done' && e.step === 'first-open' && e.atMs > again)?.atMs;
}

/** When the pot was last opened, between two stages or by a rescue that locks it again; undefined in its first run. */
export function openedForRunMs(kept: readonly CookEvent[]): number | undefined {
  const locked = kept.findLast((e) => lidOf(e) !== null)?.atMs;
  const opened = openedMs(kept);
  return opened === undefined ? locked : Math.max(opened, locked ?? opened);
}

/**
 * Of the events that stand, those that count for the run under the lid that is on: once the pot was opened and locked
 * again, what it told before belongs to the earlier run, and steam let off before the new pin does too. The second stage
 * of a two-stage cook is such a run.
 */
export const ofThisRun = <E extends CookEvent>(kept: readonly E[]): E[] => since(kept, openedForRunMs(kept));

/** What no rescue has made void: each of two stages keeps what was told since its own lid was last locked. */
export function sinceRestart<E extends CookEvent>(kept: readonly E[]): E[] {
  const first = firstRestarts(kept).at(-1)?.atMs;
  const whole = restarts(kept).at(-1)?.atMs;
  const opened = openedMs(kept);
  if (opened === undefined) return since(kept, whole ?? first);
  return since(since(kept, first, { toMs: opened }), whole, { fromMs: opened });
}

/** How often the lid was locked before this run. */
export const runsBefore = (kept: readonly CookEvent[]): number =>
  kept.filter((e) => lidOf(e) !== null || (e.kind === 'done' && e.step === 'first-open')).length;

/** Without what was told of a run up to `sinceMs`; only the stage between `fromMs` and `toMs` is looked at. */
function since<E extends CookEvent>(
  kept: readonly E[],
  sinceMs: number | undefined,
  { fromMs = -Infinity, toMs = Infinity } = {},
): E[] {
  if (sinceMs === undefined) return [...kept];
  const inStage = (e: E): boolean => e.atMs > fromMs && e.atMs <= toMs;
  const pin = kept.find((e) => e.kind === 'pin-up' && e.atMs > sinceMs && inStage(e))?.atMs ?? Infinity;
  const stands = (e: E): boolean => e.atMs > sinceMs && (!afterPin.has(e.kind) || e.atMs >= pin);
  return kept.filter((e) => !ofOneRun.has(e.kind) || !inStage(e) || stands(e));
}
