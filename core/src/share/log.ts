import { problemOf } from '../zod-problem';
import Papa from 'papaparse';
import * as z from 'zod';
import { actualOf } from '../cook/actual';
import { cookSchema, type Cook } from '../cook/cook';
import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import { dishSchema } from '../dish/schema';
import { ratingKeys } from '../cook/ratings';

export const logFormat = 'einkorn.log/1';

/** A dish of the shelf in a log file, under the id by which cooks name it. */
export const shelvedSchema = z.strictObject({
  id: z.string().min(1).max(60),
  dish: dishSchema,
  archived: z.boolean().optional(),
});
export type Shelved = z.infer<typeof shelvedSchema>;

/** Everything in one file: the kitchen, every cook with its dish, its plan and its taps, and the dishes of the shelf. */
export const logSchema = z.strictObject({
  format: z.literal(logFormat),
  kitchen: kitchenSchema,
  cooks: z.array(cookSchema),
  /** missing in files of before */
  dishes: z.array(shelvedSchema).optional(),
});
export type LogFile = z.infer<typeof logSchema>;

/** Reads a log as it was exported. Throws Problem `log-invalid` with the place of what cannot be read. */
export function readLog(raw: unknown): LogFile {
  const parsed = logSchema.safeParse(raw);
  if (!parsed.success) throw problemOf('log-invalid', parsed.error);
  return parsed.data;
}

export const logFile = (kitchen: Kitchen, cooks: readonly Cook[], dishes?: readonly Shelved[]): LogFile => ({
  format: logFormat,
  kitchen,
  cooks: [...cooks],
  ...(dishes ? { dishes: [...dishes] } : {}),
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
export const logCsv = (cooks: readonly Cook[], { heading = true } = {}): string =>
  Papa.unparse(
    { fields: [...logColumns], data: cooks.map(rowOf) },
    { header: heading, columns: [...logColumns], escapeFormulae: true },
  );

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
