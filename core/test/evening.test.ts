import fc from 'fast-check';
import ICAL from 'ical.js';
import { eveningCalendar } from '../src/cook/calendar';
import { evening } from '../src/cook/evening';
import { cookTimeline } from '../src/cook/timeline';
import type { Plan } from '../src/plan/document/document';
import type { Step } from '../src/plan/document/steps';
import { plan } from '../src/plan/plan';
import { demoDish } from './helpers/demo';
import { hut } from './helpers/dishes';

const planned = (name: string, potId = hut.potId): Plan => plan(demoDish(name), { ...hut, potId });
const serveMs = Date.UTC(2026, 10, 20, 19);
const main = { id: 'main', plan: planned('turkey-leek-lemon') };
const side = { id: 'side', plan: planned('small-potatoes-rack', 'electric-3') };
const minute = 60_000;

test('the first dish is served to the minute, the other is moved until the hands are free', () => {
  const e = evening([main, side], serveMs);
  expect(e.dishes[0]!.waitsMin).toBe(0);
  expect(e.dishes[0]!.readyMs).toBe(serveMs);
  expect(e.clashes.filter((c) => c.kind === 'pot')).toEqual([]);
  const both = evening([main, { ...main, id: 'twin', plan: planned('turkey-leek-lemon', 'electric-8') }], serveMs);
  expect(both.dishes[1]!.waitsMin).toBeGreaterThan(0);
});
test('one pot cannot cook two dishes at once: they are put one after the other or the clash is said', () => {
  const e = evening([main, { id: 'side', plan: planned('small-potatoes-rack') }], serveMs);
  const apart = e.dishes[1]!.waitsMin > 10;
  expect(apart || e.clashes.some((c) => c.kind === 'pot')).toBe(true);
});

/** Plans made of nothing but steps, for the laws. */
const made = (steps: [kind: Step['kind'], minutes: number][], potId: string): Plan =>
  ({
    pot: { id: potId },
    steps: steps.map(([kind, minutes], i) => ({ id: `s${i}`, stage: i === 0 ? 'prep' : 'fry', kind, minutes })),
  }) as unknown as Plan;
const anyPlan = (potId: string) =>
  fc
    .array(fc.tuple(fc.constantFrom('do' as const, 'wait' as const), fc.integer({ min: 1, max: 25 })), {
      minLength: 1,
      maxLength: 7,
    })
    .map((steps) => made(steps, potId));

test('whatever the dishes: every task once, none after the table, all hands-on minutes kept, and the same again', () => {
  fc.assert(
    fc.property(anyPlan('a'), anyPlan('b'), (p, q) => {
      const dishes = [
        { id: 'p', plan: p },
        { id: 'q', plan: q },
      ];
      const e = evening(dishes, serveMs);
      expect(evening(dishes, serveMs)).toEqual(e);
      const hands = [...p.steps, ...q.steps].filter((s) => s.kind === 'do');
      expect(e.tasks).toHaveLength(hands.length);
      const total = e.tasks.reduce((m, t) => m + (t.endMs - t.startMs) / minute, 0);
      expect(total).toBeCloseTo(
        hands.reduce((m, s) => m + s.minutes, 0),
        6,
      );
      expect(Math.max(...e.dishes.map((d) => d.readyMs))).toBe(serveMs);
      expect(e.tasks.every((t) => t.endMs <= serveMs + 1)).toBe(true);
      // Told or not there: two tasks that overlap by more than a minute are a clash.
      for (const [i, a] of e.tasks.entries())
        for (const b of e.tasks.slice(i + 1)) {
          const overlap = Math.min(a.endMs, b.endMs) - Math.max(a.startMs, b.startMs);
          if (a.id !== b.id && overlap > minute + 1) expect(e.clashes.some((c) => c.kind === 'hands')).toBe(true);
        }
    }),
    { numRuns: 60 },
  );
});
test('by hand: a side of one short step goes into the wait of the main dish', () => {
  const e = evening(
    [
      {
        id: 'main',
        plan: made(
          [
            ['do', 10],
            ['wait', 20],
            ['do', 5],
          ],
          'a',
        ),
      },
      { id: 'side', plan: made([['do', 5]], 'b') },
    ],
    serveMs,
  );
  // The last five minutes belong to the main dish: the side is ready just before them.
  expect(e.dishes[1]!.waitsMin).toBe(5);
  expect(e.clashes).toEqual([]);
});

describe('one dish is on the stove and late', () => {
  const beganMs = serveMs - main.plan.steps.reduce((m, s) => m + s.minutes, 0) * minute;
  /** The main dish, begun to be ready at the asked time, with the first step ticked ten minutes late. */
  const first = main.plan.steps[0]!;
  const lateBy = 10;
  const nowMs = beganMs + (first.minutes + lateBy) * minute;
  const events = [{ id: 'e', kind: 'done' as const, stepId: first.id, atMs: nowMs }];
  const cooking = cookTimeline({ plan: main.plan, startedMs: beganMs, events }, nowMs).steps;
  const late = evening([side, { ...main, cooking }], serveMs, nowMs);

  test('the table waits for it, and what has not begun begins so much later', () => {
    expect(late.lateId).toBe('main');
    expect((late.serveMs - serveMs) / minute).toBeCloseTo(lateBy, 6);
    const asPlanned = evening(
      [side, { ...main, cooking: cookTimeline({ plan: main.plan, startedMs: beganMs, events: [] }, beganMs).steps }],
      serveMs,
      beganMs,
    );
    expect(asPlanned.lateId).toBeNull();
    expect(late.dishes[0]!.startMs).toBeGreaterThan(asPlanned.dishes[0]!.startMs);
    expect(late.dishes.map((d) => d.id)).toEqual(['side', 'main']);
  });
  test('what is over is no task any more, and no entry of the calendar', () => {
    expect(late.tasks.filter((t) => t.id === 'main' && t.step.id === first.id)).toEqual([]);
    const words = {
      title: 'Evening',
      step: (d: string, id: string) => `${d} ${id}`,
      dish: (id: string) => id,
      caution: '-',
    };
    const text = eveningCalendar(late, { nowMs, uid: 'u' }, words);
    const all = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent');
    const events = all.map((e) => new ICAL.Event(e));
    expect(events[0]!.endDate.toJSDate().getTime()).toBe(Math.round(late.serveMs / 1000) * 1000);
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
    expect(text).not.toContain(`main ${first.id}`);
    expect(events.slice(1).every((e) => /^(?:main|side): /.test(e.summary))).toBe(true);
    // Each entry is of a dish and rings: what only waits has no entry in an evening.
    expect(all.slice(1).every((e) => e.getAllSubcomponents('valarm').length === 1)).toBe(true);
  });
  test('begun too late for the asked time, a dish moves the table itself', () => {
    const lateNow = serveMs - 10 * minute;
    const e = evening([side], serveMs, lateNow);
    expect(e.lateId).toBe('side');
    expect(e.dishes[0]!.startMs).toBeCloseTo(lateNow, 0);
    expect(e.dishes[0]!.readyMs).toBe(e.serveMs);
  });
});

test('whatever is on the stove and whatever the clock: nothing begins before now, nothing waits for less than no time', () => {
  fc.assert(
    fc.property(
      anyPlan('a'),
      anyPlan('b'),
      fc.integer({ min: -120, max: 30 }),
      fc.integer({ min: 0, max: 40 }),
      (p, q, toMin, sinceMin) => {
        const nowMs = serveMs + toMin * minute;
        const cooking = cookTimeline({ plan: p, startedMs: nowMs - sinceMin * minute, events: [] }, nowMs).steps;
        const e = evening(
          [
            { id: 'p', plan: p, cooking },
            { id: 'q', plan: q },
          ],
          serveMs,
          nowMs,
        );
        expect(e.serveMs).toBeGreaterThanOrEqual(serveMs);
        expect(e.dishes[1]!.startMs).toBeGreaterThanOrEqual(nowMs - 1);
        for (const d of e.dishes) expect(d.waitsMin).toBeGreaterThanOrEqual(-1e-6);
        expect(e.dishes[0]!.steps).toBe(cooking);
      },
    ),
    { numRuns: 60 },
  );
});
