import ical, { ICalAlarmType, type ICalCalendar } from 'ical-generator';
import type { Plan } from '../plan/document/document';
import { schedule } from './schedule';

/** Words that the calendar needs, in the cook's language: a title, a line for each step by its id, a caution. */
export interface CalendarWords {
  title: string;
  step: (id: string) => string;
  caution: string;
}

/** Waits shorter than this have no entry of their own, min. */
const leastMin = 1;

/** The evening that is written: when it is served, when it is written, and a name that stays when it is written again. */
export interface Evening {
  serveMs: number;
  nowMs: number;
  uid: string;
}

/**
 * The evening as an iCalendar file (RFC 5545): one entry for the whole cook and one for each stretch of hands-on work and
 * each wait, with an alarm where hands are needed. Times are in UTC, so that every calendar shows its own clock.
 */
export function calendar(plan: Plan, evening: Evening, words: CalendarWords): string {
  const s = schedule(plan, evening.serveMs, evening.nowMs);
  const slots = s.slots.filter((x) => x.step.minutes > 0);
  const entries = merged(
    slots.map(({ step, startMs, endMs }) => ({
      id: step.id,
      hands: step.kind === 'do',
      startMs,
      endMs,
      text: words.step(step.id),
    })),
  );
  const whole: Entry = { id: 'all', hands: true, startMs: s.startMs, endMs: evening.serveMs, text: words.title };
  const file = ical({ prodId: { company: 'Einkorn', product: 'Evening' } });
  for (const e of [whole, ...entries]) write(file, e, evening, words.caution);
  return `${file.toString().trimEnd()}\r\n`;
}

/** One entry, with an alarm at its start where hands are needed. */
function write(file: ICalCalendar, e: Entry, { uid, nowMs }: Evening, caution: string): void {
  const event = file.createEvent({
    id: `${uid}-${e.id}@einkorn`,
    stamp: toSecond(nowMs),
    start: toSecond(e.startMs),
    end: toSecond(e.endMs),
    summary: e.text,
    description: caution,
  });
  if (e.hands) event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: e.text });
}

const toSecond = (ms: number): Date => new Date(Math.round(ms / 1000) * 1000);

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
