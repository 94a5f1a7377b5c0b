import { DateTime } from 'luxon';

/** Where a clock hangs: an IANA zone; the browser's own where none is said. */
type Zone = string | undefined;

const at = (ms: number, zone: Zone): DateTime => DateTime.fromMillis(ms, zone === undefined ? {} : { zone });

/** A day is told apart from the one before it by half of it, h. */
const halfDayH = 12;

/**
 * The moment, epoch ms, at which the clock shows this time of the day ("19:00") on the evening that is meant: today, or
 * tomorrow where today's lies more than half a day back. A time that the change to summer time leaves out is an hour later.
 */
export function timeOfDayMs(time: string, nowMs: number, zone?: string): number {
  const [hour, minute] = time.split(':').map(Number) as [number, number];
  const today = at(nowMs, zone).set({ hour, minute, second: 0, millisecond: 0 });
  return (today.toMillis() < nowMs - halfDayH * 3_600_000 ? today.plus({ days: 1 }) : today).toMillis();
}

/** A moment as the field of a local date and time takes it: 2026-11-29T18:07. */
export const localMinute = (ms: number, zone?: string): string => at(ms, zone).toFormat("yyyy-MM-dd'T'HH:mm");

/** The moment of a local day and time of the day, epoch ms; NaN where it is none. */
export const localMs = (day: string, time: string, zone?: string): number =>
  DateTime.fromISO(`${day}T${time}`, zone === undefined ? {} : { zone }).toMillis();

/** A time of the day, always of 24 hours: a kitchen plans across the evening. */
export const shownTime = (ms: number, locale: string): string =>
  at(ms, undefined).setLocale(locale).toLocaleString({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

/** A day, with its year or of this year. */
export const shownDay = (ms: number, locale: string, withYear: boolean): string =>
  at(ms, undefined)
    .setLocale(locale)
    .toLocaleString({ day: 'numeric', month: 'short', ...(withYear ? { year: 'numeric' as const } : {}) });
