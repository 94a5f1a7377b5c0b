import fc from 'fast-check';
import { readDish, readKitchen, saidAgain } from '../src';
import { en } from '../src/words/en';
import { es } from '../src/words/es';
import { sentence, type Code } from '../src/words/sentence';

const spanish = (section: keyof typeof es, code: string): string => (es[section] as Record<string, string>)[code]!;
const sections = ['problem', 'problem-field'] as const;
const codes = sections.flatMap((section) => Object.keys(en[section]).map((code) => [section, code] as const));
const named = (text: string): string[] => [...text.matchAll(/\{\{\s*(\w+)\s*\}\}/g)].map((m) => m[1]!);

test('every refusal is said again in Spanish, with what it was filled with', () => {
  for (const [section, code] of codes) {
    const text = (en[section] as Record<string, string>)[code]!;
    const params = Object.fromEntries(named(text).map((name, i) => [name, `x${i + 1}`]));
    const again = saidAgain(sentence(section, code as Code<typeof section>, params), spanish);
    const wanted = (es[section] as Record<string, string>)[code]!;
    // Two codes of one sentence in English may be one in Spanish too; what is said is never English.
    if (wanted.replace(/\{\{\s*(\w+)\s*\}\}/g, (_, n: string) => String(params[n])) !== again)
      expect([code, Object.values(es[section]).some((t) => named(t).length === 0 && t === again)]).toEqual([
        code,
        true,
      ]);
  }
});

const refusalOf = (run: () => unknown): string => {
  try {
    run();
  } catch (e) {
    return (e as Error).message;
  }
  return '';
};
test.each([
  [
    () => readDish({ format: 'einkorn.dish/1', title: 'x', family: 'risotto', serves: 0.5, ingredients: [] }),
    /^El plato no se puede leer\. \w+: (?:Solo personas enteras|Añada|Como mucho|Al menos)/,
  ],
  [
    () =>
      readDish({
        format: 'einkorn.dish/1',
        title: 'x',
        family: 'risotto',
        serves: 2,
        ingredients: [{ id: 'a', food: 'rize-long', amount: { value: 1, unit: 'kg' } }],
      }),
    /^No conozco el alimento "rize-long"\. ¿Quería decir rice-long/,
  ],
  [
    () => readKitchen({ altitudeM: 'high' }),
    /^Los ajustes de la cocina no se pueden leer\. altitudeM: Debe ser un número\.$/,
  ],
] as const)('a refusal of a document is whole in Spanish (%#)', (run, wanted) => {
  expect(saidAgain(refusalOf(run), spanish)).toMatch(wanted);
});

test('what no catalogue has stays as it is', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 60 }), (text) => {
      const plain = `§${text}`;
      expect(saidAgain(plain, spanish)).toBe(plain);
    }),
  );
});
