import { evaluate } from '../src/plan/plan';
import { seaLevel } from './helpers/dishes';
import { facts } from './helpers/facts/all';
import { dish, minutes, natural, rice, water } from './helpers/facts/grains';

// Sources: common practice, as listed with their windows in docs/engine.md, section 5. A known miss is held to where it lies.
describe('facts of the trade', () => {
  test.each(facts.map((f) => [f.id, f.what, f] as const))('%s %s', (_, __, f) => {
    const v = f.value();
    const [low, high] = f.miss ?? f.window;
    expect(v).toBeGreaterThanOrEqual(low);
    expect(v).toBeLessThanOrEqual(high);
  });
  test('a row is called a miss only if it is one', () => {
    for (const f of facts.filter((x) => x.miss)) {
      const v = f.value();
      expect(v < f.window[0] || v > f.window[1]).toBe(true);
    }
  });
});

test('one clock holds the schedules that cooks call equal', () => {
  // 3 + 10, 6 + 10, 6 + 6 and 4 + 12 of one load: within a factor of 1.3 (docs/engine.md, section 5).
  const e = [natural(3, 10, 600), natural(6, 10, 600), natural(6, 6, 600), natural(4, 12, 600)].map((c) =>
    minutes(evaluate(dish('plain-grain', [rice, water], c), seaLevel)),
  );
  expect(Math.max(...e) / Math.min(...e)).toBeLessThan(1.3);
});
