import ical, { ICalAlarmType, type ICalCalendar } from 'ical-generator';
import type { Plan } from '../plan/document/document';
import type { Evening } from './evening';
import { schedule, type Slot } from './schedule';

/** Words that the calendar needs, in the cook's language: a title, a line for each step by its id, a caution. */
export interface CalendarWords {
  title: string;
  step: (id: string) => string;
  caution: string;
}

/** Waits shorter than this have no entry of their own, min. */
const leastMin = 1;

/** When it is written, and a name that stays when it is written again. */
export interface Written {
  nowMs: number;
  uid: string;
}

/**
 * A cook as an iCalendar file (RFC 5545): one entry for the whole of it and one for each stretch of hands-on work and
 * each wait, with an alarm where hands are needed. Times are in UTC, so that every calendar shows its own clock.
 */
export function calendar(
  plan: Plan,
  { serveMs, ...written }: Written & { serveMs: number },
  words: CalendarWords,
): string {
  const s = schedule(plan, serveMs, written.nowMs);
  const whole: Entry = { id: 'all', hands: true, startMs: s.startMs, endMs: serveMs, text: words.title };
  return fileOf([whole, ...entriesOf(s.slots, words.step)], written, words.caution);
}

/** Words of the calendar of an evening: a title, a line for a step of a dish, the dish by its id, a caution. */
export interface EveningWords {
  title: string;
  step: (dishId: string, stepId: string) => string;
  dish: (dishId: string) => string;
  caution: string;
}

/** An evening of several dishes as one such file: what the hands do for each of them, by its name; what is over stays out. */
export function eveningCalendar(e: Evening, written: Written, words: EveningWords): string {
  const whole: Entry = { id: 'all', hands: true, startMs: e.startMs, endMs: e.serveMs, text: words.title };
  const entries = e.dishes.flatMap(({ id, steps }) =>
    entriesOf(
      steps.filter((s) => !s.done),
      (stepId) => words.step(id, stepId),
    ).map((x) => ({ ...x, id: `${id}-${x.id}`, text: `${words.dish(id)}: ${x.text}` })),
  );
  return fileOf([whole, ...entries.filter((x) => x.hands)], written, words.caution);
}

const entriesOf = (slots: readonly Slot[], text: (stepId: string) => string): Entry[] =>
  merged(
    slots
      .filter((x) => x.endMs > x.startMs)
      .map(({ step, startMs, endMs }) => ({
        id: step.id,
        hands: step.kind === 'do',
        startMs,
        endMs,
        text: text(step.id),
      })),
  );

function fileOf(entries: readonly Entry[], written: Written, caution: string): string {
  const file = ical({ prodId: { company: 'Einkorn', product: 'Evening' } });
  for (const e of entries) write(file, e, written, caution);
  return `${file.toString().trimEnd()}\r\n`;
}

/** One entry, with an alarm at its start where hands are needed. */
function write(file: ICalCalendar, e: Entry, { uid, nowMs }: Written, caution: string): void {
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
