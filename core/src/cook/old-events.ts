import type { CookEvent } from './events';
import { endsSomething, standingEvents } from './runs';

/** An event as it was kept until version 2 of the format: one shape for all, minutes and ids as text in `note`. */
interface OldEvent {
  id: string;
  kind: string;
  atMs: number;
  device?: string;
  step?: string;
  note?: string;
  value?: number;
  holdMin?: number;
  addMl?: number;
}

const isOld = (x: unknown): x is OldEvent =>
  typeof x === 'object' && x !== null && 'kind' in x && 'id' in x && 'atMs' in x;
const oldKinds = new Set(['undo', 'hold-min', 'core', 'weight', 'gauge', 'note', 'timer', 'timer-stop']);

/** Was it written before events had fields of their own? */
const wasOld = (e: OldEvent): boolean =>
  oldKinds.has(e.kind) ||
  (e.kind === 'rescued' && !('minutes' in e)) ||
  ['step', 'note', 'value', 'holdMin', 'addMl'].some((k) => k in e && e.kind !== 'hold-changed');

/** Is there an undo of before among them, which took back "the newest" and has to be read beside what came before it? */
export const hasOldUndo = (events: readonly unknown[]): boolean => events.some((x) => isOld(x) && x.kind === 'undo');

/**
 * Events of any version as today's, in their order; what is not an event at all is left for the schema to refuse. An old
 * undo took back the newest event that ended something: here it names that one, or falls away where there was none. A
 * hold without a number of minutes said nothing and falls away too.
 *
 * @param before events that stand before these, for the undo
 */
export function upgradeEvents(events: readonly unknown[], before: readonly CookEvent[] = []): unknown[] {
  const out: unknown[] = [];
  for (const x of events) {
    if (!isOld(x) || !wasOld(x)) {
      out.push(x);
      continue;
    }
    const now = upgraded(x, () => [...before, ...(out as CookEvent[])]);
    if (now) out.push(now);
  }
  return out;
}

function upgraded(e: OldEvent, before: () => readonly CookEvent[]): object | null {
  const { id, kind, atMs, device, step, note, value, holdMin, addMl } = e;
  const base = { id, atMs, ...(device === undefined ? {} : { device }) };
  const text = note === undefined ? {} : { text: note };
  switch (kind) {
    case 'done':
      return { ...base, kind, stepId: step };
    case 'undo': {
      const target = standingEvents(before()).findLast(endsSomething);
      return target ? { ...base, kind: 'undone', targetId: target.id } : null;
    }
    case 'hold-min': {
      const own = note === undefined || note.trim() === '' ? NaN : Number(note);
      return Number.isFinite(own) && own >= 0 ? { ...base, kind: 'hold-changed', holdMin: own } : null;
    }
    case 'core':
      return value === undefined ? null : { ...base, kind: 'probe-read', coreC: value };
    case 'weight':
      return value === undefined ? null : { ...base, kind: 'weight-read', grams: value };
    case 'gauge':
      return value === undefined ? null : { ...base, kind: 'gauge-read', gaugeKpa: value };
    case 'note':
      return { ...base, kind: 'noted', text: note ?? '' };
    case 'timer':
      return { ...base, kind: 'timer-started', minutes: value ?? 0, name: note ?? '' };
    case 'timer-stop':
      return note ? { ...base, kind: 'timer-stopped', timerId: note } : null;
    case 'rescued': {
      const lid = step === 'first-heat' ? step : 'heat-up';
      const lockedAgain = holdMin === undefined ? {} : { lockedAgain: { lid, holdMin, addMl: addMl ?? 0 } };
      return { ...base, kind, minutes: value ?? 0, text: note ?? '', ...lockedAgain };
    }
    case 'burn':
    case 'off-plan':
      return { ...base, kind, ...text };
    default:
      return { ...base, kind };
  }
}
