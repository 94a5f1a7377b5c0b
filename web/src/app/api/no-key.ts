import { HttpErrorResponse, type HttpInterceptorFn } from '@angular/common/http';
import { DOCUMENT } from '@angular/common';
import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { tap } from 'rxjs';

/** A screen that was not let in, or whose key was taken away, is led to the door. */
export const noKey: HttpInterceptorFn = (request, next) => {
  const router = inject(Router);
  const { location } = inject(DOCUMENT);
  return next(request).pipe(
    tap({
      error: (e: unknown) => {
        // A code that came in the address of the door must not be lost.
        if (e instanceof HttpErrorResponse && e.status === 401 && !location.pathname.startsWith('/door'))
          void router.navigate(['/door']);
      },
    }),
  );
};
