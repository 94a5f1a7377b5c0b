import { Router } from 'express';
import * as z from 'zod';
import { problemOf } from '@einkorn/core';
import type { Sums } from '../sums/sums';

const body = z.strictObject({
  dish: z.unknown(),
  kitchen: z.unknown().optional(),
  mode: z.enum(['solve', 'evaluate']).optional(),
  texture: z.enum(['firm', 'fluffy', 'soft']).optional(),
});

/** POST /api/plan {dish, kitchen?, mode?, texture?}: the headless planner over HTTP. */
export function planRoutes(sums: Sums): Router {
  const r = Router();
  r.post('/', async (req, res) => {
    const parsed = body.safeParse(req.body ?? {});
    if (!parsed.success) throw problemOf('request-invalid', parsed.error);
    res.type('json').send(await sums('plan-json', parsed.data));
  });
  return r;
}
