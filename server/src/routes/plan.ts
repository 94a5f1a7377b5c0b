import { Router } from 'express';
import * as z from 'zod';
import { evaluate, plan, problemOf, readDish, readKitchen } from '@einkorn/core';

const body = z.strictObject({
  dish: z.unknown(),
  kitchen: z.unknown().optional(),
  mode: z.enum(['solve', 'evaluate']).optional(),
  texture: z.enum(['firm', 'fluffy', 'soft']).optional(),
});

/** POST /api/plan {dish, kitchen?, mode?, texture?}: the headless planner over HTTP. */
export function planRoutes(): Router {
  const r = Router();
  r.post('/', (req, res) => {
    const parsed = body.safeParse(req.body ?? {});
    if (!parsed.success) throw problemOf('request-invalid', 'The request cannot be read.', parsed.error);
    const { dish, kitchen, mode, texture } = parsed.data;
    const options = texture ? { texture } : {};
    const d = readDish(dish);
    const k = readKitchen(kitchen);
    res.json(mode === 'evaluate' ? evaluate(d, k, options) : plan(d, k, options));
  });
  return r;
}
