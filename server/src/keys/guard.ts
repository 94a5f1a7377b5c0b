import { refusal } from '@einkorn/core';
import { parseCookie } from 'cookie';
import type { Request, RequestHandler, Response } from 'express';
import type { Key } from '../store/keys';
import { isOwnName } from '../routes/same-house';
import type { Keys } from './keys';
import { isAllowed, type Rights } from './rights';

export const cookieName = 'einkorn-key';

/** Who asks: this machine, a screen or device with a key, or somebody who has none. */
export interface Caller {
  rights: Rights | null;
  key: Key | null;
}
export const callerOf = (res: Response): Caller => res.locals['caller'] as Caller;

const loopback = /^(?:::ffff:)?127\.|^::1$/;
/** Asked on this machine, under its own name, and not passed on by a proxy for somebody else. */
const isHome = (req: Request): boolean =>
  loopback.test(req.socket.remoteAddress ?? '') &&
  isOwnName(req.headers.host ?? '') &&
  req.headers['x-forwarded-for'] === undefined &&
  req.headers.forwarded === undefined;

function secretOf(req: Request): string | null {
  const bearer = /^Bearer ([\w-]{20,100})$/.exec(req.headers.authorization ?? '')?.[1];
  return bearer ?? parseCookie(req.headers.cookie ?? '')[cookieName] ?? null;
}

/** Finds out who asks; refuses nobody. */
export function whoAsks(keys: Keys): RequestHandler {
  return async (req, res, next) => {
    const secret = secretOf(req);
    const home = isHome(req);
    const key = secret === null || home ? null : await keys.of(secret, Date.now());
    res.locals['caller'] = { rights: home ? 'home' : (key?.rights ?? null), key } satisfies Caller;
    next();
  };
}

/** Lets through what the caller has the right to; the rest is 401 or 403, and written down. */
export function onlyWithRight(keys: Keys): RequestHandler {
  return (req, res, next) => {
    const { rights, key } = callerOf(res);
    const path = req.originalUrl.split('?')[0]!;
    if (rights === null) {
      req.log.warn({ event: 'no-key', method: req.method, path, from: req.ip }, 'asked without a key');
      throw refusal('key-needed');
    }
    if (!isAllowed(rights, req.method, path)) {
      req.log.warn({ event: 'no-right', method: req.method, path, key: key?.id, rights }, 'asked without the right to');
      throw refusal('right-missing');
    }
    if (key && !keys.admit(key.id, res)) throw refusal('busy');
    next();
  };
}
