import fc from 'fast-check';
import {
  celsius,
  fahrenheit,
  metric,
  showHeight,
  showLength,
  showTemperature,
  showWeight,
  type Shown,
} from '../src/measures';
import { en } from '../src/words/en';
import { filled } from '../src/words/sentence';

const plain = (x: number, digits = 0): string => String(Number(x.toFixed(digits)));
const us: Shown = { units: 'cups', temperature: 'fahrenheit', weights: 'ounces', lengths: 'inches' };

// Published: the safe minimum temperatures of poultry, mince, whole cuts and leftovers, as printed in both scales.
test.each([
  [74, '165 °F'],
  [71, '160 °F'],
  [63, '145 °F'],
  [100, '212 °F'],
  [-18, '0 °F'],
])('%d °C is %s', (c, shown) => {
  expect(showTemperature(c, us, plain)).toBe(shown);
  expect(showTemperature(c, metric, plain)).toBe(`${c} °C`);
});
// As it is said in a kitchen: no "14.1 oz"; an avoirdupois pound is 453.592 g.
test.each([
  [400, '14 oz'],
  [454, '1 lb'],
  [680, '1 lb 8 oz'],
  [907, '2 lb'],
  [448, '1 lb'],
  [113, '4 oz'],
  [185, '6½ oz'],
  [64, '2¼ oz'],
  [6.5, '0.2 oz'],
  // No ounce scale shows less than a tenth.
  [2.2, '2.2 g'],
])('%d g is %s', (g, shown) => expect(showWeight(g, us, plain)).toBe(shown));
test.each([
  [25.4, '1 in'],
  [19, '¾ in'],
  [6.4, '¼ in'],
  [38.1, '1½ in'],
  [1, '1/16 in'],
  [220, '8¾ in'],
  [406, '16 in'],
])('%d mm is %s', (mm, shown) => expect(showLength(mm, us, plain)).toBe(shown));
test.each([
  [2.2, '2.2 g'],
  [453, '455 g'],
  [1340, '1340 g'],
  [2350, '2.35 kg'],
])('%d g on a metric scale are %s', (g, shown) => expect(showWeight(g, metric, plain)).toBe(shown));
test('heights are told to ten feet', () => {
  expect(showHeight(1180, us, plain)).toBe('3870 ft');
  expect(showHeight(1180, metric, plain)).toBe('1180 m');
});
test('a temperature comes back from Fahrenheit as it went', () => {
  fc.assert(
    fc.property(fc.double({ min: -60, max: 400, noNaN: true }), (c) => {
      expect(celsius(fahrenheit(c))).toBeCloseTo(c, 9);
    }),
  );
});
test('a weight in ounces is within half of its step', () => {
  fc.assert(
    fc.property(fc.double({ min: 15, max: 9000, noNaN: true }), (g) => {
      const m = /^(?:(\d+) lb ?)?(?:([\d.]*)([½¼¾]?) oz)?$/.exec(showWeight(g, us, plain))!;
      const part = { '½': 0.5, '¼': 0.25, '¾': 0.75 }[m[3] ?? ''] ?? 0;
      const ounces = Number(m[1] ?? 0) * 16 + Number(m[2] || 0) + part;
      expect(Math.abs(ounces - g / 28.349523125)).toBeLessThanOrEqual(0.5);
    }),
  );
});

test('a figure of a sentence that stands with its measure is filled in metric units; words stay words', () => {
  expect(filled('{{ c:temperature }} at {{ m:height }}', { c: 74, m: '1180' })).toBe('74 °C at 1180 m');
  expect(filled('{{ g:weight }} of {{ food }}', { g: 452, food: 'rice' })).toBe('450 g of rice');
  expect(filled('minutes at {{ 100:temperature }}')).toBe('minutes at 100 °C');
  expect(filled('{{ ml:volume }}', { ml: '–' })).toBe('–');
});
// A refusal speaks of the document, which is in metric units.
test('no sentence of the core has a unit of its own, but refusals', () => {
  const own = Object.entries(en)
    .filter(([section]) => !section.startsWith('problem'))
    .flatMap(([, section]) => Object.values(section as Record<string, unknown>))
    .filter((x): x is string => typeof x === 'string')
    .filter((x) => /\}\} ?(?:°C|mm|cm|m|g|mL)\b/.test(x));
  expect(own).toEqual([]);
});
