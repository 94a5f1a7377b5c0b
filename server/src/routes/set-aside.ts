import { Router } from 'express';
import type { Store } from '../store/connect';
import { listSetAside, textOfSetAside } from '../store/set-aside';

/** /api/set-aside: records that could not be read when the server started, as the text that they are. */
export function setAsideRoutes(store: Store): Router {
  const r = Router();
  r.get('/', async (_req, res) => void res.json(await listSetAside(store.sequelize)));
  r.get('/:id', async (req, res) => {
    const text = await textOfSetAside(store.sequelize, Number(req.params.id) || 0);
    res.attachment(`set-aside-${req.params.id}.json`).type('application/json').send(text);
  });
  return r;
}
