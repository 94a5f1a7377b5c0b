import { Router } from 'express';
import * as z from 'zod';
import { importLog, importTable, logCsv, logFile, notedRowSchema, problemOf } from '@einkorn/core';
import { bring } from '../store/bring';
import type { Store } from '../store/connect';
import { cooksInBatches } from '../store/cooks';
import { listShelved } from '../store/dishes';
import { getKitchen } from '../store/kitchen';
import type { Learning } from '../sums/learning';
import { sendAll } from './send';
import { cooksOfRows, mostRows } from '../sums/noted';
import type { Sums } from '../sums/sums';

const notedBody = z.strictObject({
  noted: z.array(notedRowSchema).min(1).max(mostRows),
});
const tableBody = z.strictObject({ csv: z.string() });
const has = (body: unknown, key: string): boolean => typeof body === 'object' && body !== null && key in body;

/**
 * /api/log: everything as one file of the format `einkorn.log/1`: kitchen, cooks and dishes, or its cooks as a table; sent back the same file, a table of
 * cooks (`{csv}`) or cooks of a notebook (`{noted}`) add what is not there yet and answer with a report.
 */
export function logRoutes(store: Store, sums: Sums, learning: Learning): Router {
  const r = Router();
  r.get('/', async (_req, res) => {
    res.attachment('einkorn-log.json').type('json');
    await sendAll(res, logText(store));
  });
  r.get('/table', async (_req, res) => {
    res.attachment('einkorn-log.csv').type('text/csv');
    await sendAll(res, tableText(store));
  });
  r.post('/', async (req, res) => {
    const report = await bring(store, await read(req.body));
    if (report.added > 0) learning.soon();
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

/** A log file, a few cooks at a time: ten years of them need no more memory than one. */
async function* logText(store: Store): AsyncGenerator<string> {
  const { cooks: _, ...rest } = logFile(await getKitchen(store), [], await listShelved(store));
  yield `${JSON.stringify(rest).slice(0, -1)},"cooks":[`;
  let isFirst = true;
  for await (const some of cooksInBatches(store, 'newest')) {
    yield `${isFirst ? '' : ','}${JSON.stringify(some).slice(1, -1)}`;
    isFirst = false;
  }
  yield ']}';
}

/** The log as a table: its heading, then the rows of a few cooks at a time. */
async function* tableText(store: Store): AsyncGenerator<string> {
  yield logCsv([]);
  for await (const some of cooksInBatches(store, 'newest')) yield `\r\n${logCsv(some, { heading: false })}`;
}
