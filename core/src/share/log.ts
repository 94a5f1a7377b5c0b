import Papa from 'papaparse';
import * as z from 'zod';
import { actualOf } from '../cook/actual';
import { cookSchema, type Cook } from '../cook/cook';
import { problemOf } from '../dish/read';
import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import { ratingKeys } from '../cook/ratings';

export const logFormat = 'einkorn.log/1';

/** The whole log in one file: the kitchen, and every cook with its dish, its plan and its taps. */
export const logSchema = z.strictObject({
  format: z.literal(logFormat),
  kitchen: kitchenSchema,
  cooks: z.array(cookSchema),
});
export type LogFile = z.infer<typeof logSchema>;

/** Reads a log as it was exported. Throws Problem `log-invalid` with the place of what cannot be read. */
export function readLog(raw: unknown): LogFile {
  const parsed = logSchema.safeParse(raw);
  if (!parsed.success) throw problemOf('log-invalid', 'The log cannot be read.', parsed.error);
  return parsed.data;
}

export const logFile = (kitchen: Kitchen, cooks: readonly Cook[]): LogFile => ({
  format: logFormat,
  kitchen,
  cooks: [...cooks],
});

/** The columns of the log as a table, one row a cook: units in the names, an empty cell where nothing is known. */
export const logColumns = [
  'startedAt',
  'dish',
  'family',
  'serves',
  'pot',
  'altitudeM',
  'liquidMl',
  'pressure',
  'holdMin',
  'release',
  'naturalMin',
  'plannedToPinMin',
  'toPinMin',
  'releaseMin',
  'totalMin',
  'safeMinimumC',
  'coreC',
  ...ratingKeys,
  'note',
  'practice',
] as const;

/**
 * The log as CSV (RFC 4180). Ratings are 0 to 4 on their scales; times of day are in UTC. A cell that a spreadsheet would
 * take for a formula is written as text.
 */
export const logCsv = (cooks: readonly Cook[]): string =>
  Papa.unparse(cooks.map(rowOf), { columns: [...logColumns], escapeFormulae: true });

function rowOf(cook: Cook): Record<(typeof logColumns)[number], string | number> {
  const { plan, outcome } = cook;
  const { program } = plan;
  const actual = actualOf(cook);
  const tenth = (x: number | null | undefined): number | '' => (x == null ? '' : Math.round(x * 10) / 10);
  return {
    startedAt: new Date(cook.startedMs).toISOString(),
    dish: cook.dish.title,
    family: cook.dish.family,
    serves: cook.dish.serves,
    pot: plan.pot.id,
    altitudeM: plan.pot.altitudeM,
    liquidMl: plan.liquid.addMl,
    pressure: program.pressure,
    holdMin: program.holdMin,
    release: program.release.kind,
    naturalMin: program.release.naturalMin ?? '',
    plannedToPinMin: tenth(program.pinUpMin),
    toPinMin: tenth(actual.toPinMin),
    releaseMin: tenth(actual.releaseMin),
    totalMin: tenth(actual.totalMin),
    safeMinimumC: plan.meats[0]?.safeMinimumC ?? '',
    coreC: tenth(outcome?.coreC),
    ...Object.fromEntries(ratingKeys.map((key) => [key, outcome?.ratings[key] ?? ''])),
    note: outcome?.note ?? '',
    practice: cook.practice ? 'yes' : '',
  } as Record<(typeof logColumns)[number], string | number>;
}
