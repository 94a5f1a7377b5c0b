import { evaluate } from '../src/plan/plan';
import { seaLevel } from './helpers/dishes';
import { dish, facts, minutes, natural, rice, water } from './helpers/facts';

// Sources: common practice, as listed with their windows in docs/engine.md, section 5.
describe('facts of the trade', () => {
  test.each(facts.map((f) => [f.id, f.what, f] as const))('%s %s', (_, __, f) => {
    const v = f.value(evaluate(f.cook, seaLevel));
    expect(v).toBeGreaterThanOrEqual(f.window[0]);
    expect(v).toBeLessThanOrEqual(f.window[1]);
  });
});

test('one clock holds the schedules that cooks call equal', () => {
  // 3 + 10, 6 + 10, 6 + 6 and 4 + 12 of one load: within a factor of 1.3 (docs/engine.md, section 5).
  const e = [natural(3, 10, 600), natural(6, 10, 600), natural(6, 6, 600), natural(4, 12, 600)].map((c) =>
    minutes(evaluate(dish('plain-grain', [rice, water], c), seaLevel)),
  );
  expect(Math.max(...e) / Math.min(...e)).toBeLessThan(1.3);
});
