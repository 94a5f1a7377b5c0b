import { DestroyRef, inject, signal, type Signal } from '@angular/core';

/** The width under which panels stand under each other, as in the style sheets. */
const narrowPx = 760;

/** Whether this is a phone's width, kept up to date while the component lives. */
export function narrow(): Signal<boolean> {
  const query = matchMedia(`(max-width: ${narrowPx}px)`);
  const is = signal(query.matches);
  const changed = (e: MediaQueryListEvent): void => is.set(e.matches);
  query.addEventListener('change', changed);
  inject(DestroyRef).onDestroy(() => query.removeEventListener('change', changed));
  return is.asReadonly();
}
