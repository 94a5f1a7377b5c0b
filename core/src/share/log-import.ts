import { problemOf } from '../zod-problem';
import Papa from 'papaparse';
import * as z from 'zod';
import { cookSchema, type Cook } from '../cook/cook';
import { ratingKeys, ratingsSchema, type Ratings } from '../cook/ratings';
import { fields } from '../dish/fields';
import { readDish } from '../dish/read';
import { releaseSchema } from '../dish/schema';
import { issueAt, Problem, refusal, says } from '../problem';
import { logFormat, shelvedSchema, type Shelved } from './log';

/** Why a cook of a file stays out: its place in the file, and the sentence. */
export interface LeftOut {
  at: string;
  message: string;
}

/** A cook of a table or of a notebook: its dish by title, and what was written down of it. */
export const notedRowSchema = z.strictObject({
  startedMs: z.number().int().min(0, says('date-least')).max(4_102_444_800_000, says('date-most')),
  dish: z.string().trim().min(1, says('dish-needed')).max(120),
  potId: z.string().max(60).optional(),
  serves: z
    .number()
    .int()
    .min(1)
    .max(60, says('at-most', { value: '60 people' }))
    .optional(),
  liquidMl: fields.liquidMl.optional(),
  holdMin: fields.holdMin.optional(),
  release: releaseSchema.optional(),
  toPinMin: z
    .number()
    .positive(says('number-above-0'))
    .max(120, says('at-most', { value: '120 min' }))
    .optional(),
  releaseMin: z
    .number()
    .min(0)
    .max(120, says('at-most', { value: '120 min' }))
    .optional(),
  coreC: z.number().min(-30).max(130, says('core-most')).optional(),
  ratings: ratingsSchema.optional(),
  note: z.string().max(4000).optional(),
});
export type NotedRow = z.infer<typeof notedRowSchema>;

/** What a file brings: cooks and dishes that can be read, and what stays out. */
export interface ImportedLog {
  cooks: Cook[];
  dishes: Shelved[];
  leftOut: LeftOut[];
}

const looseLog = z.looseObject({
  format: z.literal(logFormat),
  cooks: z.array(z.unknown()),
  dishes: z.array(z.unknown()).optional(),
});
const looseCook = z.looseObject({ format: z.string().startsWith('einkorn.cook/') });

/**
 * The cooks and dishes of a log file, or the one cook of a cook file, each read for itself: one that cannot be read stays
 * out, with its sentence. Throws Problem `log-invalid` where the file is neither.
 */
export function importLog(raw: unknown): ImportedLog {
  if (looseCook.safeParse(raw).success) return { ...each('cooks', [raw], readCook), dishes: [] };
  const file = looseLog.safeParse(raw);
  if (!file.success) throw problemOf('log-invalid', file.error);
  const { cooks, leftOut } = each('cooks', file.data.cooks, readCook);
  const shelf = each('dishes', file.data.dishes ?? [], readShelved);
  return { cooks, dishes: shelf.dishes, leftOut: [...shelf.leftOut, ...leftOut] };
}

/** Reads a list one by one, under the name that it has in the file. */
function each<K extends string, T>(name: K, list: readonly unknown[], read: (one: unknown) => T) {
  const good: T[] = [];
  const leftOut: LeftOut[] = [];
  list.forEach((one, i) => {
    try {
      good.push(read(one));
    } catch (e) {
      if (!(e instanceof Problem)) throw e;
      leftOut.push({ at: `${name}.${i}`, message: e.message });
    }
  });
  return { [name]: good, leftOut } as Record<K, T[]> & { leftOut: LeftOut[] };
}

function readCook(one: unknown): Cook {
  const read = cookSchema.safeParse(one);
  if (!read.success) throw problemOf('cook-invalid', read.error);
  return read.data;
}

function readShelved(one: unknown): Shelved {
  const read = shelvedSchema.safeParse(one);
  if (!read.success) throw problemOf('dish-invalid', read.error);
  return { ...read.data, dish: readDish(read.data.dish) };
}

const releases = ['quick', 'natural', 'timed'] as const;

/** The rows of a table as the Log saves it (docs/formats.md), each read for itself. Throws Problem `table-invalid`. */
export function importTable(csv: string): { rows: NotedRow[]; leftOut: LeftOut[] } {
  const table = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: true });
  const columns = table.meta.fields ?? [];
  const missing = ['startedAt', 'dish'].filter((c) => !columns.includes(c));
  if (missing.length > 0)
    throw refusal('table-invalid', { columns: missing.join('" and no "') }, issueAt('csv', 'columns-as-saved'));
  const rows: NotedRow[] = [];
  const leftOut: LeftOut[] = [];
  table.data.forEach((cells, i) => {
    const at = `line ${i + 2}`;
    if (cells['practice'] === 'yes') {
      leftOut.push({ at, message: issueAt(at, 'practice-cook').message });
      return;
    }
    const read = notedRowSchema.safeParse(rowOf(cells));
    if (read.success) rows.push(read.data);
    else leftOut.push({ at, message: problemOf('row-invalid', read.error).message });
  });
  return { rows, leftOut };
}

/** A row of the table as what was noted; an empty cell is nothing known, and a leading apostrophe only keeps a formula a text. */
function rowOf(cells: Readonly<Record<string, string>>): unknown {
  const text = (column: string): string => (cells[column] ?? '').replace(/^'(?=[=+\-@\t\r])/, '').trim();
  const number = (column: string): number | undefined => (text(column) === '' ? undefined : Number(text(column)));
  const kind = releases.find((r) => r === text('release'));
  const naturalMin = number('naturalMin');
  const given = {
    startedMs: Date.parse(text('startedAt')),
    dish: text('dish'),
    potId: text('pot') || undefined,
    serves: number('serves'),
    liquidMl: number('liquidMl'),
    holdMin: number('holdMin'),
    release: kind && { kind, ...(naturalMin === undefined ? {} : { naturalMin }) },
    toPinMin: number('toPinMin'),
    releaseMin: number('releaseMin'),
    coreC: number('coreC'),
    ratings: ratingsOf(number),
    note: text('note') || undefined,
  };
  return Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined));
}

const ratingsOf = (number: (column: string) => number | undefined): Ratings =>
  Object.fromEntries(ratingKeys.flatMap((key) => (number(key) === undefined ? [] : [[key, number(key)]])));
