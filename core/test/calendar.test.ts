import ICAL from 'ical.js';
import { calendar } from '../src/cook/calendar';
import { realityOf } from '../src/cook/reality';
import { cookFormat, type Cook } from '../src/cook/cook';
import { plan } from '../src/plan/plan';
import { timelineAt } from './helpers/happened';
import { hut, seaLevel, turkeyRice } from './helpers/dishes';

const p = plan(turkeyRice(), hut);
const serve = Date.UTC(2026, 10, 25, 19, 0);
const words = {
  title: 'Truthahn, Lauch; mit "Zitrone" \\ und einem sehr langen Namen, der über jede Zeile hinausgeht',
  step: (id: string) => `Schritt ${id}`,
  caution: 'The pin must be down before the lid moves.\nA thermometer decides.',
};
const text = calendar(p, { serveMs: serve, nowMs: serve - 7_200_000, uid: 'dish-1' }, words);

describe('the evening as a calendar, read back by an independent parser of RFC 5545', () => {
  const events = new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((e) => ({ e: new ICAL.Event(e), alarms: e.getAllSubcomponents('valarm') }));
  const ms = (t: { toJSDate: () => Date }): number => t.toJSDate().getTime();
  test('every line is at most 75 octets and ends as the standard wants', () => {
    const lines = text.split('\r\n');
    expect(lines.at(-1)).toBe('');
    expect(text.replaceAll('\r\n', '')).not.toContain('\n');
    for (const l of lines) expect(Buffer.byteLength(l)).toBeLessThanOrEqual(75);
  });
  test('the first entry is the whole evening and ends on the table; words come back letter for letter', () => {
    expect(events[0]!.e.summary).toBe(words.title);
    expect(ms(events[0]!.e.endDate)).toBe(serve);
    expect(events[0]!.e.description).toBe(words.caution);
  });
  test('the entries follow each other without a gap, each under a name of its own', () => {
    const rest = events.slice(1);
    expect(new Set(events.map((x) => x.e.uid)).size).toBe(events.length);
    rest
      .slice(1)
      .forEach((x, i) => expect(Math.abs(ms(x.e.startDate) - ms(rest[i]!.e.endDate))).toBeLessThanOrEqual(1000));
  });
  test('an alarm rings where hands are needed, and not for waits', () => {
    const ring = events.slice(1).map((x) => x.alarms.length);
    expect(ring.filter((n) => n === 1).length).toBeGreaterThan(1);
    expect(ring).toContain(0);
  });
  test('exported again it is the same calendar', () => {
    expect(calendar(p, { serveMs: serve, nowMs: serve - 7_200_000, uid: 'dish-1' }, words)).toBe(text);
  });
});

describe('what the taps tell', () => {
  const at = (min: number): number => serve + min * 60_000;
  const cook = (events: Cook['events']): Cook => ({
    format: cookFormat,
    id: 'c',
    dishId: null,
    dish: turkeyRice(),
    plan: p,
    startedMs: serve,
    finishedMs: null,
    events,
    outcome: null,
  });
  const lid = p.steps.slice(0, p.steps.findIndex((s) => s.id === 'lock') + 1).reduce((m, s) => m + s.minutes, 0);
  const lock = { id: 'l', kind: 'done' as const, stepId: 'lock' as const, atMs: at(lid) };
  const up = { id: 'u', kind: 'pin-up' as const, atMs: at(lid + 11) };
  test('before the lid nothing can change; an overdue pin counts while it is waited for', () => {
    expect(realityOf(cook([]), at(3))).toBeNull();
    expect(realityOf(cook([lock]), at(lid + 3))).toBeNull();
    const late = p.program.pinUpMin + 5;
    expect(realityOf(cook([lock]), at(lid + late))!.toPinMin).toBeCloseTo(late, 6);
  });
  test('the pin, and the hold that was taken instead', () => {
    const own = { id: 'h', kind: 'hold-changed' as const, holdMin: 1.5, atMs: at(lid + 11) };
    const now = at(lid + 11);
    const real = realityOf(cook([lock, up, own]), now)!;
    expect(real.toPinMin).toBeCloseTo(11, 6);
    expect(real.holdMin).toBe(1.5);
    const held = timelineAt(p.steps, serve, [lock, up, own], now).steps.find((s) => s.step.id === 'hold')!;
    expect((held.endMs - held.startMs) / 60_000).toBeCloseTo(1.5, 6);
  });
  test('in a whistle cooker the counting lasts from the pin to the last whistle, and never no time', () => {
    const q = plan(turkeyRice(), { ...seaLevel, potId: 'whistle-5' });
    const ids = q.steps.map((s) => s.id);
    expect(ids).not.toContain('to-full');
    const hold = q.steps.find((s) => s.id === 'hold')!;
    const toFull = q.program.minutesToPressure - q.program.pinUpMin;
    expect(hold.minutes).toBeCloseTo(toFull + q.program.holdMin, 6);
    const own = { id: 'h', kind: 'hold-changed' as const, holdMin: 6, atMs: at(1) };
    const taken = timelineAt(q.steps, serve, [own], at(1)).steps.find((s) => s.step.id === 'hold')!;
    expect((taken.endMs - taken.startMs) / 60_000).toBeCloseTo(toFull + 6, 6);
  });
  test('a release that goes on long after its minutes is told as it runs', () => {
    const release = { id: 'd', kind: 'pin-down' as const, atMs: at(lid + 11 + 45) };
    const real = realityOf(cook([lock, up, release]), at(lid + 11 + 46));
    expect(real!.toPinMin).toBeCloseTo(11, 6);
  });
});
