import { BreakpointObserver } from '@angular/cdk/layout';
import { inject, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';

/** Whether this is a phone's width, under which panels stand under each other as in the style sheets. */
export const narrow = (): Signal<boolean> =>
  toSignal(
    inject(BreakpointObserver)
      .observe('(max-width: 760px)')
      .pipe(map((x) => x.matches)),
    { requireSync: true },
  );
