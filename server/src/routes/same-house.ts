import { hostname } from 'node:os';
import type { RequestHandler } from 'express';
import { refusal } from '@einkorn/core';
import { ownAddresses } from '../keys/own-addresses';

/** Names by which this machine calls itself. */
const own = new Set(['localhost', '127.0.0.1', '[::1]']);
/** Private addresses of a house (RFC 1918, RFC 4193, RFC 3927) and names that only its own network gives out (RFC 6762). */
const inHouse =
  /^(?:10(?:\.\d{1,3}){3}|192\.168(?:\.\d{1,3}){2}|172\.(?:1[6-9]|2\d|3[01])(?:\.\d{1,3}){2}|169\.254(?:\.\d{1,3}){2}|\[f[cd][\da-f:]+\]|[a-z\d-]+\.local)$/i;

/** The name without its port. */
const nameOf = (host: string): string => host.replace(/:\d{1,5}$/, '').toLowerCase();

/** Is a server so called only by the machine that it runs on? */
export const isOwnName = (host: string): boolean => own.has(nameOf(host));

/**
 * Lets in only what was asked under a name of this house: a foreign name that points here (DNS rebinding) and a page of
 * another origin that writes here (cross-site request) are answered with 403. `lan` lets the house's own addresses in too.
 */
export function sameHouse(lan: boolean): RequestHandler {
  return (req, _res, next) => {
    const host = req.headers.host ?? '';
    const name = nameOf(host);
    const isKnown = own.has(name) || (lan && (inHouse.test(name) || isThisMachine(name)));
    if (!isKnown) throw refusal('foreign-host');
    const { origin } = req.headers;
    const isReading = ['GET', 'HEAD', 'OPTIONS'].includes(req.method);
    if (!isReading && origin !== undefined && !isSameOrigin(origin, host)) throw refusal('foreign-origin');
    next();
  };
}

const isThisMachine = (name: string): boolean => name === hostname().toLowerCase() || ownAddresses().includes(name);

function isSameOrigin(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host.toLowerCase();
  } catch {
    return false;
  }
}
