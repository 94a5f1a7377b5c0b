import { DestroyRef, inject, Injectable, signal, type Signal } from '@angular/core';

/** The wall clock as a signal, four times a second while somebody looks. The one place that asks what time it is. */
@Injectable({ providedIn: 'root' })
export class WallClock {
  /** Ticks for as long as the calling component lives. */
  ticking(): Signal<number> {
    const now = signal(Date.now());
    const tick = (): void => now.set(Date.now());
    const timer = setInterval(tick, 250);
    // A tab that slept has missed its ticks; the first look sets it right.
    document.addEventListener('visibilitychange', tick);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    });
    return now;
  }
}
