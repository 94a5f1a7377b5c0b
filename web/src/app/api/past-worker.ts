import type { HttpInterceptorFn } from '@angular/common/http';

/**
 * Sends what is asked of the server past the service worker, which keeps the page itself. While the worker fills its store for
 * the first time it holds back every request of the page, and a cook who has just tapped "Cook this now" would wait for it.
 */
export const pastWorker: HttpInterceptorFn = (request, next) =>
  next(request.clone({ setHeaders: { 'ngsw-bypass': 'true' } }));
