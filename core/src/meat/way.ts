import type { Cells } from './cells';

export interface Snapshot {
  atS: number;
  cells: Float64Array;
  peak: number;
  startJ: number;
  lidCoreC: number;
}

/** A snapshot is kept so often, s. */
export const wayS = 60;

/** Snapshots of a piece along a way that several runs share, about one a minute, and the cells that walk it. */
export class Way {
  solver: Cells | null = null;
  private readonly snapshots: Snapshot[] = [];
  /** The latest snapshot not after `until` s. */
  from(until: number): Snapshot | null {
    for (let i = this.snapshots.length - 1; i >= 0; i--)
      if (this.snapshots[i]!.atS <= until + 1e-6) return this.snapshots[i]!;
    return null;
  }
  keep(atS: number, cells: Cells, rest: Omit<Snapshot, 'atS' | 'cells'>): void {
    const last = this.snapshots[this.snapshots.length - 1];
    if (last && atS < last.atS + wayS) return;
    this.snapshots.push({ atS, cells: cells.saved(), ...rest });
  }
}
