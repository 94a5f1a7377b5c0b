/** The first try again comes after so long, each further one after twice as long, up to a minute, ms. */
const firstMs = 2000;
const mostMs = 60_000;

export interface BackOff {
  /** asks for another try, later than the one before */
  again: () => void;
  /** it worked: the next trouble begins anew */
  done: () => void;
}

/** Tries again later and later; at once when the browser finds its network again. */
export function backOff(tryAgain: () => void): BackOff {
  let tries = 0;
  let timer: ReturnType<typeof setTimeout> | null = null;
  const now = (): void => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    tryAgain();
  };
  addEventListener('online', () => {
    if (timer !== null) now();
  });
  return {
    again: () => {
      if (timer !== null) return;
      timer = setTimeout(now, waitMs(tries));
      tries += 1;
    },
    done: () => {
      tries = 0;
    },
  };
}

/** How long to wait after so many failures, ms. */
export const waitMs = (failures: number): number => Math.min(mostMs, firstMs * 2 ** failures);
