import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { RequestHandler } from 'express';
import helmet from 'helmet';

/** What a page of this server may load and do: its own files, and of the device only keeping the screen awake at the stove. */
export const pageRules: RequestHandler[] = [
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'self'"],
        'base-uri': ["'self'"],
        'connect-src': ["'self'"],
        'font-src': ["'self'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'object-src': ["'none'"],
        'script-src': ["'self'"],
        'script-src-attr': ["'none'"],
        // The control library and the charts write style elements while they run.
        'style-src': ["'self'", "'unsafe-inline'"],
        'worker-src': ["'self'", 'blob:'],
      },
    },
    // The kitchen's own network has no certificate.
    strictTransportSecurity: false,
  }),
  (_req, res, next) => {
    res.setHeader(
      'Permissions-Policy',
      'camera=(), geolocation=(), microphone=(), payment=(), screen-wake-lock=(self)',
    );
    next();
  },
];

/** What a kitchen says belongs to its screens, not to a cache on the way. */
export const neverStored: RequestHandler = (_req, res, next) => {
  res.setHeader('Cache-Control', 'no-store');
  next();
};

/** A name for each request, in the log, in the answer and in a problem: what a cook can quote and a log be searched for. */
export function requestId(_req: IncomingMessage, res: ServerResponse): string {
  const id = randomUUID();
  res.setHeader('X-Request-Id', id);
  return id;
}
