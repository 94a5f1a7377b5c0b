import type { CookResult } from './result';
import type { Fault } from './cook';

/** One thing that a practice cook had to see. */
export interface Noticed {
  what: 'pin-up' | 'burn' | 'hold-end' | 'pin-down';
  /** when it happened, min after the lid was locked */
  atMin: number;
  /** when the cook said so, or acted; null: never */
  seenMin: number | null;
  lateMin: number | null;
  prompt: boolean;
}

/** The look back at a practice cook: what really happened, what was noticed late, and what the food became. */
export interface Debrief {
  faults: readonly Fault[];
  noticed: Noticed[];
  food: CookResult | null;
  /** the same plan without faults and slips, for the comparison */
  planned: { band: string | null; moisture: number | null };
  curve: { minutes: number[]; tempC: number[]; gaugeKpa: number[] };
}
