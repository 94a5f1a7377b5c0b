import { Router } from 'express';
import { problemOf, refusal } from '@einkorn/core';
import * as z from 'zod';
import type { Codes } from '../keys/codes';
import { callerOf } from '../keys/guard';
import type { Keys } from '../keys/keys';
import { houseUrls } from '../keys/own-addresses';
import { keyRights } from '../keys/rights';

/** Where the house finds this server, when it is open to it. */
export interface HouseDoor {
  port: number;
  /** of its certificate */
  fingerprint: string;
}

const codeSchema = z.strictObject({ rights: z.enum(keyRights) });
/** /api/keys: who was let in, a code for the next one, and the way out. */
export function keyRoutes(keys: Keys, codes: Codes, house: HouseDoor | null): Router {
  const r = Router();
  r.get('/', async (_req, res) => {
    const at = house && { addresses: houseUrls(house.port), fingerprint: house.fingerprint };
    res.json({ house: at, own: callerOf(res).key?.id ?? null, keys: await keys.list() });
  });
  r.post('/codes', (req, res) => {
    const asked = codeSchema.safeParse(req.body ?? {});
    if (!asked.success) throw problemOf('code-invalid', asked.error);
    res.status(201).json(codes.make(asked.data.rights, Date.now()));
  });
  r.delete('/:id', async (req, res) => {
    if (!(await keys.revoke(req.params.id))) throw refusal('key-missing');
    req.log.warn({ event: 'revoked', key: req.params.id }, 'a key was taken away');
    res.status(204).end();
  });
  return r;
}
