import { parse, serialize } from 'tinyduration';

/** The times that stand over a recipe, minutes. */
export interface RecipeTimes {
  prepMin?: number;
  cookMin?: number;
  totalMin?: number;
}

const minutesIn = { years: 525_600, months: 43_800, weeks: 10_080, days: 1440, hours: 60, minutes: 1, seconds: 1 / 60 };
/** A time longer than this is a mistake or a ferment, min: nothing in this pot takes a week. */
const longestMin = 10_080;

/** Minutes of an ISO 8601 duration ("PT1H30M"); null where it is none, negative, nothing or absurd. */
export function isoMinutes(text: string): number | null {
  try {
    const d = parse(text.trim().toUpperCase());
    const units = Object.entries(minutesIn) as [keyof typeof minutesIn, number][];
    const min = Math.round(units.reduce((sum, [unit, each]) => sum + (d[unit] ?? 0) * each, 0));
    return d.negative || min <= 0 || min > longestMin ? null : min;
  } catch {
    return null;
  }
}

/** So many minutes as an ISO 8601 duration. */
export const isoDuration = (min: number): string =>
  serialize({ hours: Math.floor(min / 60), minutes: Math.round(min % 60) });
