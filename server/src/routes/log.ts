import { Router } from 'express';
import * as z from 'zod';
import { importLog, importTable, logFile, notedRowSchema, problemOf, type LeftOut } from '@einkorn/core';
import type { Store } from '../store/connect';
import { addCooks, listCooks } from '../store/cooks';
import { addShelved, listShelved } from '../store/dishes';
import { getKitchen } from '../store/kitchen';
import type { Learning } from '../sums/learning';
import { cooksOfRows, mostRows } from '../sums/noted';
import type { Sums } from '../sums/sums';

/** What came of a file: cooks that are new, cooks that were there already, and those that stay out with the reason. */
interface Report {
  added: number;
  already: number;
  /** dishes that the shelf did not have */
  newDishes: number;
  leftOut: LeftOut[];
}

const notedBody = z.strictObject({
  noted: z.array(notedRowSchema).min(1).max(mostRows),
});
const tableBody = z.strictObject({ csv: z.string() });
const has = (body: unknown, key: string): boolean => typeof body === 'object' && body !== null && key in body;

/**
 * /api/log: everything as one file of the format `einkorn.log/1`: kitchen, cooks and dishes; sent back the same file, a table of
 * cooks (`{csv}`) or cooks of a notebook (`{noted}`) add what is not there yet and answer with a report.
 */
export function logRoutes(store: Store, sums: Sums, learning: Learning): Router {
  const r = Router();
  r.get(
    '/',
    async (_req, res) =>
      void res.json(logFile(await getKitchen(store), await listCooks(store), await listShelved(store))),
  );
  r.post('/', async (req, res) => {
    const { cooks, leftOut, dishes } = await read(req.body);
    // Dishes first: cooks keep their link to those that are there.
    const newDishes = await addShelved(store, dishes);
    const added = await addCooks(store, cooks);
    if (added > 0) learning.soon();
    const report: Report = { added, already: cooks.length - added, newDishes, leftOut };
    res.json(report);
  });

  function read(body: unknown) {
    if (has(body, 'csv')) {
      const parsed = tableBody.safeParse(body);
      if (!parsed.success) throw problemOf('csv-invalid', parsed.error);
      return cooksOfRows(store, sums, importTable(parsed.data.csv));
    }
    if (has(body, 'noted')) {
      const parsed = notedBody.safeParse(body);
      if (!parsed.success) throw problemOf('cooks-invalid', parsed.error);
      return cooksOfRows(store, sums, { rows: parsed.data.noted, leftOut: [] });
    }
    return importLog(body);
  }
  return r;
}
