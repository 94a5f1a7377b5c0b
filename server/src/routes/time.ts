import { Router } from 'express';
import type { Logger } from 'pino';
import type { Store } from '../store/connect';
import { isCooking } from '../store/cooks';

/** /api/time: what time it is in this house, for screens to measure their own clocks against. */
export function timeRoutes(store: Store): Router {
  const r = Router();
  r.get('/', async (req, res) => {
    await lookAtClock(store, req.log);
    res.json({ nowMs: store.clock.nowMs(), movedMs: store.clock.movedMs });
  });
  return r;
}

/** Looks whether somebody set the system's clock; in the middle of a cook that is written down. */
export async function lookAtClock(store: Store, log: Pick<Logger, 'warn'>): Promise<void> {
  const { clock } = store;
  if (clock.look(await isCooking(store)))
    log.warn(
      { event: 'clock-moved', movedMs: clock.movedMs },
      'the system clock was set while somebody cooks; the cook goes by the old one',
    );
}
