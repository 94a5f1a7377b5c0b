import fc from 'fast-check';
import { readDish, readKitchen } from '../src/dish/read';
import { families } from '../src/dish/schema';
import { plan } from '../src/plan/plan';
import { Problem } from '../src/problem';
import { plainRice, seaLevel } from './helpers/dishes';

/** A whole dish, to be broken in one place. */
const good = (): Record<string, unknown> => JSON.parse(JSON.stringify(plainRice())) as Record<string, unknown>;

const nasty = fc.oneof(
  fc.constantFrom(
    NaN,
    Infinity,
    -Infinity,
    -1,
    0,
    1e308,
    -1e-9,
    2 ** 53,
    '',
    'NaN',
    '1e9',
    '\u0000',
    '__proto__',
    null,
    [],
    {},
    true,
  ),
  fc.string({ maxLength: 40 }),
  fc.jsonValue(),
);
const places = [
  ['title'], ['family'], ['serves'], ['texture'], ['serveAt'], ['format'], ['ingredients'], ['ingredients', '0'],
  ['ingredients', '0', 'id'], ['ingredients', '0', 'food'], ['ingredients', '0', 'amount'], ['ingredients', '0', 'amount', 'value'],
  ['ingredients', '0', 'amount', 'unit'], ['ingredients', '0', 'prep'], ['ingredients', '0', 'prep', 'soakMin'], ['ingredients', '0', 'prep', 'thicknessMm'],
  ['ingredients', '1', 'place'], ['ingredients', '1', 'joins'], ['overrides'], ['overrides', 'liquidMl'], ['overrides', 'holdMin'], ['overrides', 'ledger'],
  ['overrides', 'release'], ['asCooked'], ['asCooked', 'holdMin'], ['colour'],
]; // prettier-ignore

function put(doc: Record<string, unknown>, path: readonly string[], value: unknown): void {
  let at: Record<string, unknown> = doc;
  for (const key of path.slice(0, -1)) {
    at[key] ??= {};
    at = at[key] as Record<string, unknown>;
  }
  at[path.at(-1)!] = value;
}

/** What is quoted is what the cook typed; the sentence around it must be ours. */
const unquoted = (message: string): string => message.replace(/"[^"]*"/g, '');

/** A plan, or one Problem with a sentence; anything else is a fault of ours. */
function answer(doc: unknown): 'plan' | 'problem' {
  try {
    plan(readDish(doc), seaLevel);
    return 'plan';
  } catch (e) {
    if (e instanceof Problem && e.message.length > 10 && !/\bundefined\b|\bNaN\b|\[object/.test(unquoted(e.message)))
      return 'problem';
    throw e;
  }
}

test('two hundred documents broken in one place are answered with a plan or a sentence', () => {
  const seen = { plan: 0, problem: 0 };
  fc.assert(
    fc.property(fc.constantFrom(...places), nasty, (path, value) => {
      const doc = good();
      put(doc, path, value);
      seen[answer(doc)] += 1;
    }),
    { numRuns: 200 },
  );
  expect(seen.problem).toBeGreaterThan(100);
});

test('documents that hold themselves, ten thousand ingredients, a megabyte of title', () => {
  const loop: Record<string, unknown> = good();
  loop['notes'] = loop;
  expect(answer(loop)).toBe('problem');
  const deep = good();
  put(
    deep,
    ['ingredients'],
    Array.from({ length: 10_000 }, (_, i) => ({ id: `i${i}`, food: 'rice-long', amount: { value: 1, unit: 'g' } })),
  );
  expect(answer(deep)).toBe('problem');
  expect(answer({ ...good(), title: 'x'.repeat(1_000_000) })).toBe('problem');
});

test('any real food, any amount, any family, any place: a plan whose numbers are numbers, or a sentence', () => {
  const foods = [
    'rice-long',
    'penne',
    'chicken-breast',
    'beef-stew',
    'egg',
    'potato',
    'milk',
    'tomato-paste',
    'dried-fruit',
    'starch',
    'water',
    'broth',
  ];
  const ingredient = fc.record({
    food: fc.constantFrom(...foods),
    grams: fc.constantFrom(1, 40, 300, 900, 4000),
    place: fc.option(fc.constantFrom('base', 'liquid', 'grain', 'top', 'rack', 'inner-bowl'), { nil: undefined }),
    joins: fc.option(fc.constantFrom('marinade', 'fry', 'stack', 'finish', 'topping'), { nil: undefined }),
    mm: fc.option(fc.constantFrom(1, 15, 60, 90), { nil: undefined }),
  });
  const bad: string[] = [];
  fc.assert(
    fc.property(
      fc.constantFrom(...families),
      fc.array(ingredient, { minLength: 1, maxLength: 6 }),
      fc.constantFrom('electric-5.7', 'electric-3', 'whistle-5', 'stovetop-6'),
      (family, list, potId) => {
        const doc = {
          ...good(),
          family,
          ingredients: list.map((x, i) => ({
            id: `i${i}`,
            food: x.food,
            amount: { value: x.grams, unit: 'g' },
            ...(x.place ? { place: x.place } : {}),
            ...(x.joins ? { joins: x.joins } : {}),
            ...(x.mm ? { prep: { thicknessMm: x.mm } } : {}),
          })),
        };
        try {
          const p = plan(readDish(doc), readKitchen({ potId, altitudeM: 600 }));
          const text = JSON.stringify(p);
          // JSON writes NaN and Infinity as null; the only nulls of a plan are whole parts that it does not have.
          const nulls =
            (text.match(/:null/g) ?? []).length -
            (
              text.match(/"(grain|pasta|firstStage|outerLiquidMl|deglaze|thicken|crust|drift|foamFraction)":null/g) ??
              []
            ).length;
          if (nulls > 0 || /\[null|,null/.test(text)) bad.push(`${family}: ${JSON.stringify(doc.ingredients)}`);
        } catch (e) {
          if (!(e instanceof Problem)) bad.push(`${family} ${String(e)}: ${JSON.stringify(doc.ingredients)}`);
        }
      },
    ),
    { numRuns: 120 },
  );
  expect(bad.slice(0, 3)).toEqual([]);
});
