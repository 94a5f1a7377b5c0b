import { isKind, type CookEvent, type EventKind, type EventOf, type Lid } from './events';

const ending: ReadonlySet<EventKind> = new Set(['done', 'pin-up', 'pin-down', 'countdown', 'valve-open', 'rescued']);
/** Such a tap changes where the cook stands, and is what the undo of the Stove takes back. */
export const endsSomething = (e: { kind: EventKind }): boolean => ending.has(e.kind);

/** The events that stand, in their order: what an `undone` names is gone, wherever in the list either of them is. */
export function standingEvents(events: readonly CookEvent[]): CookEvent[] {
  const undone = new Set(events.filter(isKind('undone')).map((e) => e.targetId));
  return undone.size === 0 ? [...events] : events.filter((e) => e.kind !== 'undone' && !undone.has(e.id));
}

/** What a pot tells of one run under the lid. */
const ofOneRun: ReadonlySet<EventKind> = new Set([
  'pin-up',
  'countdown',
  'whistle',
  'valve-open',
  'pin-down',
  'hold-changed',
]);
const afterPin: ReadonlySet<EventKind> = new Set(['valve-open', 'pin-down']);

/** Which lid a rescue locks again; null for one that locks none, and for everything else. */
export const lidOf = (e: CookEvent): Lid | null => (e.kind === 'rescued' ? (e.lockedAgain?.lid ?? null) : null);

const relocks =
  (lid: Lid) =>
  (standing: readonly CookEvent[]): EventOf<'rescued'>[] =>
    standing.filter(isKind('rescued')).filter((e) => lidOf(e) === lid);
/** Rescues that locked the lid on the whole dish again, among events that stand. */
export const restarts = relocks('heat-up');
/** The same of the first of two stages. */
const firstRestarts = relocks('first-heat');

/** When the first of two stages was opened; one that was locked again has to be opened anew. */
function openedMs(standing: readonly CookEvent[]): number | undefined {
  const again = firstRestarts(standing).at(-1)?.atMs ?? -Infinity;
  return standing.findLast((e) => e.kind === 'done' && e.stepId === 'first-open' && e.atMs > again)?.atMs;
}

/** When the pot was last opened, between two stages or by a rescue that locks it again; undefined in its first run. */
export function openedForRunMs(standing: readonly CookEvent[]): number | undefined {
  const locked = standing.findLast((e) => lidOf(e) !== null)?.atMs;
  const opened = openedMs(standing);
  return opened === undefined ? locked : Math.max(opened, locked ?? opened);
}

/**
 * Of the events that stand, those that count for the run under the lid that is on: once the pot was opened and locked
 * again, what it told before belongs to the earlier run, and steam let off before the new pin does too. The second stage
 * of a two-stage cook is such a run.
 */
export const ofThisRun = (standing: readonly CookEvent[]): CookEvent[] => since(standing, openedForRunMs(standing));

/** What no rescue has made void: each of two stages keeps what was told since its own lid was last locked. */
export function sinceRestart(standing: readonly CookEvent[]): CookEvent[] {
  const first = firstRestarts(standing).at(-1)?.atMs;
  const whole = restarts(standing).at(-1)?.atMs;
  const opened = openedMs(standing);
  if (opened === undefined) return since(standing, whole ?? first);
  return since(since(standing, first, { toMs: opened }), whole, { fromMs: opened });
}

/** How often the lid was locked before this run. */
export const runsBefore = (standing: readonly CookEvent[]): number =>
  standing.filter((e) => lidOf(e) !== null || (e.kind === 'done' && e.stepId === 'first-open')).length;

/** Without what was told of a run up to `sinceMs`; only the stage between `fromMs` and `toMs` is looked at. */
function since(
  standing: readonly CookEvent[],
  sinceMs: number | undefined,
  { fromMs = -Infinity, toMs = Infinity } = {},
): CookEvent[] {
  if (sinceMs === undefined) return [...standing];
  const inStage = (e: CookEvent): boolean => e.atMs > fromMs && e.atMs <= toMs;
  const pin = standing.find((e) => e.kind === 'pin-up' && e.atMs > sinceMs && inStage(e))?.atMs ?? Infinity;
  const stands = (e: CookEvent): boolean => e.atMs > sinceMs && (!afterPin.has(e.kind) || e.atMs >= pin);
  return standing.filter((e) => !ofOneRun.has(e.kind) || !inStage(e) || stands(e));
}
