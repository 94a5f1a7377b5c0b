import type { HttpInterceptorFn } from '@angular/common/http';

/** the one answer of the server that the service worker keeps for a kitchen without a network */
const neverCached = '/api/kitchen';

/**
 * Sends what is asked of the server past the service worker. While the worker fills its store for the first time it holds
 * back every request of the page, and a cook who has just tapped "Cook this now" would wait for it.
 */
export const pastWorker: HttpInterceptorFn = (request, next) =>
  next(
    request.method === 'GET' && request.url === neverCached
      ? request
      : request.clone({ setHeaders: { 'ngsw-bypass': 'true' } }),
  );
