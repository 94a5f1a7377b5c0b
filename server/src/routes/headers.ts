import { createHash, randomUUID } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import type { RequestHandler } from 'express';
import helmet from 'helmet';

const emptyText = `'sha256-${createHash('sha256').digest('base64')}'`;

/** The nonce that a built page carries, for the style elements that it writes; null where there is no page. */
export function nonceOf(webFolder: string | undefined): string | null {
  const page = webFolder && join(webFolder, 'index.html');
  if (!page || !existsSync(page)) return null;
  return /ngcspnonce="([\w-]{16,})"/i.exec(readFileSync(page, 'utf8'))?.[1] ?? null;
}

/** What a page of this server may load and do: its own files, and of the device only keeping the screen awake at the stove. */
export const pageRules = (nonce: string | null): RequestHandler[] => [
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
        // The controls write style elements while they run, each with the nonce of the page; the charts fill an empty one by script
        // (the sum is that of no text at all), and place their words by attributes.
        'style-src': ["'self'", emptyText, ...(nonce === null ? [] : [`'nonce-${nonce}'`])],
        'style-src-attr': ["'unsafe-inline'"],
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
