import type { Cook, Kitchen } from '@einkorn/core';

/** A device that spoke to the server while a real cook was on. */
export interface Caller {
  device: string;
  lastMs: number;
}

/** So many callers are remembered; a house has fewer, a script that makes names up has more. */
const mostCallers = 20;
/** The simulated devices, which have a switch of their own. */
const simulated = new Set(['cooker', 'probe', 'scale']);

/**
 * Does the cook hear this device? In a practice everything may speak; in a real cook only what was let in by name, for its
 * readings move the clock and may pass the thermometer.
 */
export const isLetIn = (cook: Cook, device: string, { devices, devicesLetIn }: Kitchen): boolean =>
  Boolean(cook.practice) || devicesLetIn.includes(device) || (devices && simulated.has(device));

/** Who has spoken since the server started, the last one first, so that the cook can let it in. */
export class Door {
  private readonly callers = new Map<string, number>();

  called(device: string, atMs: number): void {
    this.callers.delete(device);
    this.callers.set(device, atMs);
    if (this.callers.size > mostCallers) this.callers.delete(this.callers.keys().next().value!);
  }

  all(): Caller[] {
    return [...this.callers].map(([device, lastMs]) => ({ device, lastMs })).reverse();
  }
}
