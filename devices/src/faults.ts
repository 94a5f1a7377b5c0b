import type { Fault } from '@einkorn/core';
import { stream } from './noise';

/** Faults drawn for a surprise: one or two that this pot can have. */
export function drawFaults(seed: number, whistle: boolean): Fault[] {
  const next = stream(seed ^ 0x2545f491);
  const can: Fault[] = whistle
    ? ['slow-seal', 'leaking-ring', 'weak-heater', 'late-whistle']
    : ['slow-seal', 'leaking-ring', 'burn-cut-out', 'weak-heater'];
  const first = can[Math.floor(next() * can.length)]!;
  const second = can[Math.floor(next() * can.length)]!;
  return next() < 0.35 && second !== first ? [first, second] : [first];
}
