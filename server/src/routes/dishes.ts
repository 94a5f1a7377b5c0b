import { Router } from 'express';
import * as z from 'zod';
import { problemOf, readDish } from '@einkorn/core';
import type { Store } from '../store/connect';
import { lastCook } from '../store/cooks';
import { addDish, archiveDish, getDish, listDishes, removeDish, saveDish } from '../store/dishes';

const saving = z.strictObject({ dish: z.unknown(), revision: z.number().int().min(0) });

const putting = z.strictObject({ archived: z.boolean() });

/** /api/dishes: the shelf. */
export function dishRoutes(store: Store): Router {
  const r = Router();
  r.get('/', async (req, res) => void res.json(await listDishes(store, req.query['archived'] === 'true')));
  r.get('/:id', async (req, res) => void res.json(await getDish(store, req.params.id)));
  r.get('/:id/last-cook', async (req, res) => void res.json(await lastCook(store, req.params.id)));
  r.post('/', async (req, res) => void res.status(201).json(await addDish(store, readDish(req.body))));
  r.put('/:id', async (req, res) => {
    const parsed = saving.safeParse(req.body ?? {});
    if (!parsed.success) throw problemOf('dish-unsaved', parsed.error);
    res.json(await saveDish(store, req.params.id, readDish(parsed.data.dish), parsed.data.revision));
  });
  r.patch('/:id', async (req, res) => {
    const parsed = putting.safeParse(req.body ?? {});
    if (!parsed.success) throw problemOf('dish-not-put-away', parsed.error);
    res.json(await archiveDish(store, req.params.id, parsed.data.archived));
  });
  r.delete('/:id', async (req, res) => {
    await removeDish(store, req.params.id);
    res.status(204).end();
  });
  return r;
}
