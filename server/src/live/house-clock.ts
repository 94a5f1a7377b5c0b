import { uptime } from 'node:os';

/** A clock that nobody sets: ms since some moment, and the machine's sleep counts. */
function steadyClock(): () => number {
  // The steady clock of the process stands while the machine sleeps; the machine's own uptime, in whole seconds on some, does not.
  const apartMs = (): number => uptime() * 1000 - performance.now();
  let sleptMs = 0;
  const first = apartMs();
  return () => {
    const slept = apartMs() - first;
    if (slept - sleptMs > sleepFromMs) sleptMs = slept;
    return performance.now() + sleptMs;
  };
}
/** Less than this between the two clocks is their rounding, ms. */
const sleepFromMs = 2000;
/** A clock that is set by no more than this may be followed while somebody cooks: no countdown shows it, ms. */
const unseenMs = 500;

/**
 * What time it is in this house: every screen measures its own clock against it. It goes by a clock that nobody can set, so that
 * a system clock that is moved in the middle of a hold changes no countdown; where nobody cooks it follows the system's.
 */
export class HouseClock {
  private aheadMs: number;
  /** by how much the system clock has moved away while somebody cooks, ms */
  movedMs = 0;

  constructor(
    private readonly wall: () => number = Date.now,
    private readonly steady: () => number = steadyClock(),
  ) {
    this.aheadMs = wall() - steady();
  }

  /** Epoch ms. */
  readonly nowMs = (): number => Math.round(this.steady() + this.aheadMs);

  /** Looks at the system's clock: where nobody cooks it is followed. Returns true where it has just been moved during a cook. */
  look(isCooking: boolean): boolean {
    const apartMs = this.wall() - this.nowMs();
    if (!isCooking || Math.abs(apartMs) <= unseenMs) {
      this.aheadMs += apartMs;
      this.movedMs = 0;
      return false;
    }
    const isNew = Math.abs(apartMs - this.movedMs) > unseenMs;
    this.movedMs = apartMs;
    return isNew;
  }
}
