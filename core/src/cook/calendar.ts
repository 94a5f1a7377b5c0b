import type { Plan } from '../plan/document';
import { schedule } from './schedule';

/** Words that the calendar needs, in the cook's language: a title, a line for each step by its id, a caution. */
export interface CalendarWords {
  title: string;
  step: (id: string) => string;
  caution: string;
}

/** Waits shorter than this have no entry of their own, min; lines fold here, octets (RFC 5545, 3.1). */
const leastMin = 1;
const foldAt = 75;

/**
 * The evening as an iCalendar file (RFC 5545): one entry for the whole cook and one for each stretch of hands-on work and
 * each wait, with an alarm where hands are needed. Times are in UTC, so that every calendar shows its own clock.
 *
 * @param uid a name of this plan that stays the same when it is exported again
 */
export function calendar(plan: Plan, serveMs: number, nowMs: number, uid: string, words: CalendarWords): string {
  const s = schedule(plan, serveMs, nowMs);
  const entries = merged(
    s.slots
      .filter((x) => x.step.minutes > 0)
      .map((x) => ({
        id: x.step.id,
        hands: x.step.kind === 'do',
        startMs: x.startMs,
        endMs: x.endMs,
        text: words.step(x.step.id),
      })),
  );
  const entry = (e: Entry, name: string, alarm: boolean): string[] =>
    event(e, `${uid}-${name}`, words.caution, nowMs, alarm);
  const whole: Entry = { id: 'all', hands: false, startMs: s.startMs, endMs: serveMs, text: words.title };
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Einkorn//Evening//EN',
    'CALSCALE:GREGORIAN',
    ...entry(whole, 'all', true),
    ...entries.flatMap((e) => entry(e, e.id, e.hands)),
    'END:VCALENDAR',
  ];
  return `${lines.map(folded).join('\r\n')}\r\n`;
}

interface Entry {
  id: string;
  hands: boolean;
  startMs: number;
  endMs: number;
  text: string;
}

/** Hands-on steps that follow each other are one entry, so that an alarm rings once; short waits go with them. */
function merged(all: readonly Entry[]): Entry[] {
  const out: Entry[] = [];
  for (const e of all) {
    const last = out.at(-1);
    const short = !e.hands && e.endMs - e.startMs < leastMin * 60_000;
    if (last && (last.hands === e.hands || short)) {
      last.endMs = e.endMs;
      if (!last.text.includes(e.text)) last.text = `${last.text}; ${e.text}`;
    } else out.push({ ...e });
  }
  return out;
}

function event(e: Entry, uid: string, caution: string, nowMs: number, alarm: boolean): string[] {
  const title = escaped(e.text);
  return [
    'BEGIN:VEVENT',
    `UID:${escaped(uid)}@einkorn`,
    `DTSTAMP:${stamp(nowMs)}`,
    `DTSTART:${stamp(e.startMs)}`,
    `DTEND:${stamp(e.endMs)}`,
    `SUMMARY:${title}`,
    `DESCRIPTION:${escaped(caution)}`,
    ...(alarm ? ['BEGIN:VALARM', 'ACTION:DISPLAY', `DESCRIPTION:${title}`, 'TRIGGER:PT0S', 'END:VALARM'] : []),
    'END:VEVENT',
  ];
}

const stamp = (ms: number): string =>
  new Date(Math.round(ms / 1000) * 1000)
    .toISOString()
    .replace(/\.\d{3}/, '')
    .replaceAll(/[-:]/g, '');
const escaped = (s: string): string => s.replaceAll(/[\\;,]/g, (c) => `\\${c}`).replaceAll(/\r?\n/g, '\\n');

/** Lines of at most 75 octets; a line goes on after a line break with one space. */
function folded(line: string): string {
  const bytes = (s: string): number => Array.from(s).reduce((n, c) => n + octets(c.codePointAt(0)!), 0);
  const out: string[] = [];
  let now = '';
  for (const c of line) {
    if (bytes(now) + bytes(c) > foldAt - (out.length > 0 ? 1 : 0)) {
      out.push(now);
      now = '';
    }
    now += c;
  }
  out.push(now);
  return out.join('\r\n ');
}
/** Octets of a code point in UTF-8. */
const octets = (point: number): number => (point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4);
