import { Router } from 'express';
import * as z from 'zod';
import { ownOf, problemOf } from '@einkorn/core';
import type { Store } from '../store/connect';
import { getKitchen } from '../store/kitchen';
import type { Sums } from '../sums/sums';

const lang = z.enum(['en', 'es']).optional();
const body = z.union([
  z.strictObject({ text: z.string(), lang }),
  z.strictObject({ jsonld: z.union([z.record(z.string(), z.unknown()), z.array(z.unknown())]), lang }),
]);

/** POST /api/recipe {text, lang?} or {jsonld, lang?}: the reader of recipes over HTTP, with the foods and glasses of this kitchen. Nothing is stored. */
export function recipeRoutes(store: Store, sums: Sums): Router {
  const r = Router();
  r.post('/', async (req, res) => {
    const parsed = body.safeParse(req.body ?? {});
    if (!parsed.success) throw problemOf('recipe-invalid', parsed.error);
    res.json(await sums('recipe', { ...parsed.data, ...ownOf(await getKitchen(store)) }));
  });
  return r;
}
