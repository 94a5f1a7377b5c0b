import fc from 'fast-check';
import { cookLesson, lessonPot } from '../../src/lab/cook-lesson';
import { lessonIds, type Guess, type LessonId } from '../../src/lab/lesson';
import { lessons } from '../../src/lab/lessons';
import { lessonOfPractice } from '../../src/lab/of-practice';

// What any cook of some years would say: facts of the trade.
const known: Record<LessonId, Guess> = {
  ratio: 'more',
  wait: 'more',
  tomato: 'more',
  natural: 'more',
  strips: 'less',
  rinse: 'less',
  altitude: 'less',
  'two-stages': 'more',
  rack: 'less',
  salt: 'more',
  stand: 'less',
  spread: 'more',
};
const measuredAt = (id: LessonId, value: number): number => lessonPot(lessons[id], value).rows.at(-1)!.value;

test.each(lessonIds)('%s: the model answers as an old hand would', (id) => {
  const run = cookLesson(lessons[id]);
  expect([run.answer, run.now]).toEqual([known[id], known[id]]);
  expect(run.left.value).toBe(run.slider.from);
  // Both pots tell the same lines, so that they can be read side by side; what is left out of one is only a food.
  const codes = (pot: typeof run.left) => pot.rows.filter((r) => r.food === undefined).map((r) => r.code);
  expect(codes(run.right)).toEqual(codes(run.left));
});

test('a slider that is not moved is the same pot, and its answer stays that of the question', () => {
  for (const id of lessonIds) {
    const run = cookLesson(lessons[id], lessons[id].slider.from);
    expect([id, run.now, run.answer]).toEqual([id, 'same', known[id]]);
  }
});

test('wherever a slider stands the pot can be cooked, and every figure is a number', () => {
  fc.assert(
    fc.property(fc.constantFrom(...lessonIds), fc.double({ min: 0, max: 1, noNaN: true }), (id, share) => {
      const { from, to, step } = lessons[id].slider;
      const value = from + step * Math.round((share * (to - from)) / step);
      for (const row of lessonPot(lessons[id], value).rows) expect(Number.isFinite(row.value)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

// More of its cause is never less of its effect, to the rounding of the model's steps.
test.each<[LessonId, 1 | -1]>([
  ['wait', 1],
  ['natural', 1],
  ['strips', -1],
  ['altitude', -1],
  ['two-stages', 1],
  ['salt', 1],
  ['stand', -1],
  ['spread', 1],
])('%s: further along the slider is further along the answer', (id, sign) => {
  const { from, to } = lessons[id].slider;
  const along = [0, 0.25, 0.5, 0.75, 1].map((share) => sign * measuredAt(id, from + share * (to - from)));
  along.slice(1).forEach((x, i) => expect(x).toBeGreaterThanOrEqual(along[i]! - 0.05));
});

describe('the lesson of a practice', () => {
  const meat = (ok: boolean) => ({ ingredient: 'chicken', coreC: ok ? 80 : 60, safeMinimumC: 74, ok });
  const food = (ok: boolean) => ({ band: null, moisture: null, meats: [meat(ok)] }) as never;
  const late = (what: 'pin-up' | 'hold-end') => ({ what, atMin: 5, seenMin: 9, lateMin: 4, prompt: false });
  test('raw meat comes first, then what was noticed late, then the fault', () => {
    expect(lessonOfPractice({ food: food(false), noticed: [late('hold-end')], faults: [] })).toBe('strips');
    expect(lessonOfPractice({ food: food(true), noticed: [late('hold-end')], faults: ['burn-cut-out'] })).toBe(
      'natural',
    );
    expect(lessonOfPractice({ food: null, noticed: [], faults: ['burn-cut-out'] })).toBe('tomato');
    expect(
      lessonOfPractice({ food: food(true), noticed: [{ ...late('pin-up'), prompt: true }], faults: [] }),
    ).toBeNull();
  });
});
