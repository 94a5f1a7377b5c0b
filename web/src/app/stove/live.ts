import type { Cook, CookEvent } from '@einkorn/core';

/** What the devices of this cook showed last. */
export interface Dials {
  kpa: number | null;
  pinUp: boolean | null;
  /** the cooker warns of burning */
  burn: boolean;
  whistles: number;
  /** what the cooker itself says it does */
  display: 'heating' | 'hold' | 'over';
}
export const noDials: Dials = { kpa: null, pinUp: null, burn: false, whistles: 0, display: 'heating' };

/** A reading as the stream brings it; kinds that this page does not know are left alone. */
export interface StreamReading {
  device: string;
  kind: string;
  value?: string;
  kpa?: number;
  count?: number;
  atMs: number;
}

export function dialsAfter(d: Dials, r: StreamReading): Dials {
  switch (r.kind) {
    case 'pressure':
      return { ...d, kpa: r.kpa ?? null };
    case 'pin':
      return { ...d, pinUp: r.value === 'up' };
    case 'burn':
      return { ...d, burn: true };
    case 'whistle':
      return { ...d, whistles: r.count ?? d.whistles + 1 };
    case 'countdown':
      return { ...d, display: 'hold' };
    case 'hold-end':
      return { ...d, display: 'over' };
    default:
      return d;
  }
}

/** Who says that it burns, or puts it right, has seen it: the dial need not go on telling. */
export function dialsSeen(d: Dials, events: readonly CookEvent[]): Dials {
  const seen = events.some(
    (e) => e.device === undefined && (e.kind === 'burn' || e.kind === 'off-plan' || e.kind === 'rescued'),
  );
  return d.burn && seen ? { ...d, burn: false } : d;
}

/** Where the practice clock stood, at which moment of the wall clock, and how fast it runs (0 while it stands). */
export interface PracticeClock {
  atMs: number;
  wallMs: number;
  speed: number;
}

/**
 * What time it is for a cook, epoch ms: the wall clock, or in a practice the practice clock. Before that one was heard it
 * stands at the last thing that happened.
 */
export function cookNow(
  cook: Pick<Cook, 'practice' | 'events' | 'startedMs'> | null,
  clock: PracticeClock | null,
  wallMs: number,
): number {
  if (!cook?.practice) return wallMs;
  if (clock) return Math.round(clock.atMs + Math.max(0, wallMs - clock.wallMs) * clock.speed);
  return cook.events.reduce((m, e) => Math.max(m, e.atMs), cook.startedMs);
}
