import { firstWhole } from '../../bisect';
import type { PotRun, Release } from '../../pot/program';
import { holdAndNatural } from '../simulate/meat';

/** What the holds of one heated pot are looked through with; holds are told by their index on the grid. */
interface Looked {
  /** the longest hold */
  last: number;
  /** the release that helps most */
  longest: Release;
  runOf: (index: number, release: Release) => PotRun;
  /** are all pieces over their minimum after this run? */
  isSafe: (run: PotRun) => boolean;
}

/** A program that was looked at. */
type Seen = ReturnType<typeof holdAndNatural>;

/**
 * The shortest holds that make every piece safe, release by release. A longer hold with no shorter release is as safe as one
 * that is known to be, and a shorter one as unsafe as one that is known not to be: few have to be followed.
 */
export class ShortestSafe {
  private readonly safe: Seen[] = [];
  private readonly unsafe: Seen[] = [];
  private lastFound: number | null = null;
  private hopelessly: boolean | null = null;

  constructor(private readonly looked: Looked) {}

  /** It was found that not even the longest hold with a release all by itself makes every piece safe. */
  get hopeless(): boolean {
    return this.hopelessly === true;
  }

  /** The first index from `floor` on that is safe: looked for near where it was for the release before. */
  from(floor: number, release: Release): number {
    const { last } = this.looked;
    const safe = (i: number): boolean => this.isSafe(i, release);
    if (safe(floor) || this.isHopeless()) return floor;
    const guess = Math.min(last, Math.max(floor + 1, this.lastFound ?? floor + 2));
    const found = safe(guess) ? lowestFrom(guess, floor, safe) : firstIndex(guess + 1, last, safe);
    this.lastFound = found;
    return found;
  }

  private isHopeless(): boolean {
    this.hopelessly ??= !this.isSafe(this.looked.last, this.looked.longest);
    return this.hopelessly;
  }

  private isSafe(index: number, release: Release): boolean {
    const run = this.looked.runOf(index, release);
    if (run.neverSealed || run.dry) return false;
    const now = holdAndNatural(run);
    if (this.safe.some((s) => s.holdS <= now.holdS && s.naturalS <= now.naturalS)) return true;
    if (this.unsafe.some((s) => s.holdS >= now.holdS && s.naturalS >= now.naturalS)) return false;
    const isSafe = this.looked.isSafe(run);
    (isSafe ? this.safe : this.unsafe).push(now);
    return isSafe;
  }
}

/** From an index for which something holds downwards to the lowest one for which it still does, above `floor`. */
function lowestFrom(index: number, floor: number, holdsAt: (i: number) => boolean): number {
  let high = index;
  let low = floor;
  for (let span = 1; high - span > floor; span *= 2) {
    if (!holdsAt(high - span)) {
      low = high - span;
      break;
    }
    high -= span;
  }
  return firstWhole(low + 1, high, holdsAt);
}

/** The first index from `from` to `last` for which something holds, taken as lasting from there; `last` where it never does. */
export function firstIndex(from: number, last: number, holdsAt: (i: number) => boolean): number {
  let low = Math.min(from, last);
  let high = last;
  // The end of the grid is far and costs a long hold: widen the span first.
  for (let span = 4; low + span < high; span *= 2) {
    if (holdsAt(low + span)) {
      high = low + span;
      break;
    }
    low += span;
  }
  return firstWhole(low, high, holdsAt);
}
