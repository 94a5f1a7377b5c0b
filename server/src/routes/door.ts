import { Router, type RequestHandler } from 'express';
import { problemOf, refusal, says } from '@einkorn/core';
import * as z from 'zod';
import type { Codes } from '../keys/codes';
import { callerOf, cookieName } from '../keys/guard';
import type { Keys } from '../keys/keys';

const askSchema = z.strictObject({
  code: z.string().regex(/^\d{6}$/, says('code-form')),
  name: z
    .string()
    .trim()
    .min(1, says('name-needed'))
    .max(40, says('characters-at-most', { most: 40 })),
});
/** As long as browsers keep a cookie at most, ms [published: RFC 6265bis, 400 days]. */
const cookieMs = 400 * 86_400_000;

/** /api/door: whoever has no key yet shows a code here. */
export function doorRoutes({ keys, codes, limit }: { keys: Keys; codes: Codes; limit: RequestHandler }): Router {
  const r = Router();
  r.get('/', (_req, res) => {
    const { rights, key } = callerOf(res);
    res.json({ rights, name: key?.name ?? null });
  });
  r.post('/', limit, async (req, res) => {
    const asked = askSchema.safeParse(req.body ?? {});
    if (!asked.success) throw problemOf('code-invalid', asked.error);
    const { code, name } = asked.data;
    const rights = codes.use(code, Date.now());
    if (rights === null) {
      req.log.warn({ event: 'wrong-code', from: req.ip }, 'a wrong pairing code');
      throw refusal('code-wrong');
    }
    const { key, secret } = await keys.letIn(name, rights, Date.now());
    req.log.warn({ event: 'let-in', key: key.id, rights, from: req.ip }, 'a screen or device was let in');
    // A device keeps its key itself; a screen's is out of reach of every script.
    if (rights === 'device') return void res.status(201).json({ rights, name, key: secret });
    res.cookie(cookieName, secret, { httpOnly: true, sameSite: 'strict', secure: req.secure, maxAge: cookieMs });
    res.status(201).json({ rights, name });
  });
  return r;
}
