import { Router } from 'express';
import * as z from 'zod';
import { problemOf, readLinkedData, readRecipe } from '@einkorn/core';

const lang = z.enum(['en', 'es']).optional();
const body = z.union([
  z.strictObject({ text: z.string(), lang }),
  z.strictObject({ jsonld: z.union([z.record(z.string(), z.unknown()), z.array(z.unknown())]), lang }),
]);

/** POST /api/recipe {text, lang?} or {jsonld, lang?}: the reader of recipes over HTTP. Nothing is stored. */
export function recipeRoutes(): Router {
  const r = Router();
  r.post('/', (req, res) => {
    const parsed = body.safeParse(req.body ?? {});
    if (!parsed.success)
      throw problemOf('request-invalid', 'Send {"text": …} or {"jsonld": …} with the recipe.', parsed.error);
    const asked = parsed.data;
    res.json('text' in asked ? readRecipe(asked.text, asked.lang) : readLinkedData(asked.jsonld, asked.lang));
  });
  return r;
}
