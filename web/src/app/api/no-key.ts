import { HttpErrorResponse, type HttpInterceptorFn } from '@angular/common/http';
import { DOCUMENT } from '@angular/common';
import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { tap } from 'rxjs';
import { LastVisit } from './last-visit';

/** A screen that was not let in, or whose key was taken away, is led to the door, and keeps nothing of the house. */
export const noKey: HttpInterceptorFn = (request, next) => {
  const router = inject(Router);
  const visit = inject(LastVisit);
  const { location } = inject(DOCUMENT);
  return next(request).pipe(
    tap({
      error: (e: unknown) => {
        if (!(e instanceof HttpErrorResponse) || e.status !== 401) return;
        void visit.forget();
        // A code that came in the address of the door must not be lost.
        if (!location.pathname.startsWith('/door')) void router.navigate(['/door']);
      },
    }),
  );
};
