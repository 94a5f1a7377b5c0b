import fc from 'fast-check';
import { evening } from '../src/cook/evening';
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
