import { degreesIn, entries } from '../src/app/i18n/entry';

// Published: the safe minimum temperatures as they are printed in both scales. A reading of the one is the other, not a hair under it.
test.each([
  [165, 74],
  [160, 71],
  [145, 63],
])('%d °F on the thermometer is the published %d °C, and a degree less is under it', (f, c) => {
  expect(entries.fahrenheit.toStored(f)).toBe(c);
  expect(entries.fahrenheit.toStored(f - 1)).toBeLessThan(c);
});
test('what was typed is shown again as it was typed', () => {
  for (let f = -40; f <= 400; f++) expect(entries.fahrenheit.toShown(entries.fahrenheit.toStored(f))).toBe(f);
  for (let ft = -300; ft <= 18_000; ft += 7) expect(entries.feet.toShown(entries.feet.toStored(ft))).toBe(ft);
  for (let oz = 0.5; oz <= 160; oz += 0.5)
    expect(entries.ounces.toShown(entries.ounces.toStored(oz))).toBeCloseTo(oz, 1);
});
test('the ticks of a chart stand at round degrees of the kitchen', () => {
  const { at, of, step } = degreesIn('fahrenheit');
  expect(of(at(step))).toBeCloseTo(step, 9);
  expect(of(100)).toBe(212);
});
