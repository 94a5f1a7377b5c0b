import { laws, planned, undominated } from './helpers/laws';

/*
 * A seeded sample of the laws; all of them over at least 1,000 dishes: npm run bench -- laws (docs/benchmarks.md).
 * Each law takes every other seed, so that together they see many dishes in little time.
 */
const sample = (from: number, count: number, step: number): number[] =>
  Array.from({ length: count }, (_, i) => from + i * step);

test.each(Object.entries(laws))('law %s holds', (name, law) => {
  const bad = sample(1001 + name.length, name === 'splitRows' || name === 'ownNumbers' ? 18 : 40, 7).flatMap((seed) => {
    const { c, p } = planned(seed);
    const broken = law(c, p);
    return broken ? [`${seed} ${c.dish.family}: ${broken}`] : [];
  });
  expect(bad).toEqual([]);
});

test('no stop that another program within the grid would avoid, and each that stays has a way out', () => {
  const avoids = undominated([0, 4, 10, 20, 35], [0.7, 1, 1.4]);
  const bad = sample(2001, 160, 1).flatMap((seed) => {
    const { c, p } = planned(seed);
    const stops = p.warnings.filter((w) => w.severity === 'stop');
    if (stops.length === 0) return [];
    const broken = avoids(c, p);
    if (p.proposals.length === 0) return [`${seed}: no way out of ${stops[0]!.code}`];
    return broken?.includes('[0,') ? [`${seed} ${broken}`] : [];
  });
  expect(bad).toEqual([]);
});
