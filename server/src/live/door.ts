import type { Kitchen } from '@einkorn/core';

/** A device that spoke to the server while a real cook was on. */
export interface Caller {
  device: string;
  lastMs: number;
}

/** So many callers are remembered; a house has fewer, a script that makes names up has more. */
const mostCallers = 20;
/** The simulated devices, which have a switch of their own. */
const simulated = new Set(['cooker', 'probe', 'scale']);

/** Does a real cook hear this device? Only what was let in by name: its readings move the clock and may pass the thermometer. */
export const isLetIn = (device: string, { devices, devicesLetIn }: Kitchen): boolean =>
  devicesLetIn.includes(device) || (devices && simulated.has(device));

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
