import fc from 'fast-check';
import { readDish, readKitchen } from '../src/dish/read';
import { plan, evaluate } from '../src/plan/plan';
import { Problem } from '../src/problem';
import { nearest } from '../src/nearest';
import { plainRice, seaLevel } from './helpers/dishes';

const good = (): Record<string, unknown> => JSON.parse(JSON.stringify(plainRice())) as Record<string, unknown>;
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a document to be broken in any place
type Change = (d: any) => void;

function refuse(change: Change): Problem {
  const d = good();
  change(d);
  try {
    plan(readDish(d), seaLevel);
  } catch (e) {
    if (e instanceof Problem) return e;
    throw e;
  }
  throw new Error('it was accepted');
}

describe('bad documents say what, where and what to do', () => {
  const cases: [string, Change, string, string, RegExp][] = [
    ['unknown food', (d) => (d.ingredients[0].food = 'rice-lnog'), 'food-unknown', 'ingredients.0.food', /rice-long/],
    [
      'zero amount',
      (d) => (d.ingredients[0].amount.value = 0),
      'dish-invalid',
      'ingredients.0.amount.value',
      /above 0/,
    ],
    [
      'a ton of rice',
      (d) => (d.ingredients[0].amount = { value: 900, unit: 'kg' }),
      'dish-invalid',
      'ingredients.0.amount.value',
      /more than any pot/,
    ],
    ['NaN', (d) => (d.ingredients[0].amount.value = NaN), 'dish-invalid', 'ingredients.0.amount.value', /number/],
    ['unit', (d) => (d.ingredients[0].amount.unit = 'cups-us'), 'dish-invalid', 'ingredients.0.amount.unit', /cup-us/],
    ['text for a number', (d) => (d.serves = 'four'), 'dish-invalid', 'serves', /must be a number/],
    ['missing title', (d) => delete d.title, 'dish-invalid', 'title', /missing/],
    ['unknown field', (d) => (d.ingredients[0].colour = 'white'), 'dish-invalid', 'ingredients.0.colour', /not part/],
    ['same id twice', (d) => (d.ingredients[1].id = 'rice'), 'dish-invalid', 'ingredients.1.id', /share the id/],
    [
      'piece of broth',
      (d) => (d.ingredients[1].amount.unit = 'piece'),
      'amount-count',
      'ingredients.1.amount.unit',
      /weighs/,
    ],
    ['no ingredients', (d) => (d.ingredients = []), 'dish-invalid', 'ingredients', /at least one/],
    [
      '10,000 ingredients',
      (d) => (d.ingredients = Array.from({ length: 10_000 }, (_, i) => ({ ...d.ingredients[0], id: `i${i}` }))),
      'dish-invalid',
      'ingredients',
      /60/,
    ],
    ['no format', (d) => delete d.format, 'format-unknown', 'format', /einkorn.dish/],
    ['a newer version', (d) => (d.format = 'einkorn.dish/7'), 'format-version', 'format', /newer/],
    ['grain in a family of pasta', (d) => (d.family = 'one-pot-pasta'), 'grain-wrong', 'ingredients', /rice-long/],
    ['grain in a steamed side', (d) => (d.family = 'steamed-side'), 'grain-not-here', 'ingredients', /rice-long/],
    ['a family that is none', (d) => (d.family = 'risoto'), 'dish-invalid', 'family', /risotto/],
    [
      'a piece heavier than all of it',
      (d) => (d.ingredients[1].prep = { pieceG: 900 }),
      'dish-invalid',
      'ingredients.1.prep.pieceG',
      /more than the/,
    ],
    [
      'a shape that is none',
      (d) => (d.ingredients[1].prep = { shape: 'cubes' }),
      'dish-invalid',
      'ingredients.1.prep.shape',
      /cube/,
    ],
    [
      'two grains',
      (d) => d.ingredients.push({ ...d.ingredients[0], id: 'more', food: 'einkorn' }),
      'two-grains',
      'ingredients',
      /Found/,
    ],
    [
      'ten meats in one pot',
      (d) =>
        [
          ...['beef-stew', 'lamb-leg', 'goat-leg', 'pork-loin', 'turkey-thigh'],
          ...['turkey-breast', 'duck-leg', 'guinea-fowl', 'pork-shoulder'],
        ].forEach((food) => d.ingredients.push({ id: `more-${food}`, food, amount: { value: 40, unit: 'g' } })),
      'too-many-meats',
      'ingredients',
      /at most 6/,
    ],
    [
      'a bowl in an open dish',
      (d) => (d.ingredients[0].place = 'inner-bowl'),
      'place-not-here',
      'ingredients.0.place',
      /pot-in-pot/,
    ],
    ['no grain', (d) => (d.ingredients = [d.ingredients[1]]), 'grain-missing', 'ingredients', /grain/],
    ['rack', (d) => (d.ingredients[0].place = 'rack'), 'place-not-here', 'ingredients.0.place', /base/],
  ];
  test.each(cases)('%s', (_, change, code, path, message) => {
    const p = refuse(change);
    expect([p.code, p.issues[0]?.path]).toEqual([code, path]);
    expect(p.issues.map((i) => i.message).join(' ')).toMatch(message);
    // Nothing of the sentence stays open.
    expect(JSON.stringify(p)).not.toContain('{{');
  });

  test.each([null, 7, 'dish', [], { format: {} }, JSON.parse('{"__proto__": {"format": "einkorn.dish/1"}}')])(
    'not a dish: %j',
    (x) => {
      expect(() => readDish(x)).toThrow(Problem);
    },
  );

  test('any JSON is a dish or a Problem', () => {
    fc.assert(
      fc.property(
        fc.jsonValue(),
        fc.constantFrom('title', 'family', 'serves', 'ingredients', 'asCooked', 'overrides'),
        (x, field) => {
          try {
            readDish({ ...good(), [field]: x });
            return true;
          } catch (e) {
            return e instanceof Problem && e.message.length > 0 && e.issues.length > 0;
          }
        },
      ),
    );
  });

  test('evaluate without asCooked says what to add', () => {
    expect(() => evaluate(plainRice(), seaLevel)).toThrow(/say how it was cooked/);
  });
  test('kitchens: unknown pots name the known ones', () => {
    expect(() => readKitchen({ potId: 'kettle' })).toThrow(/electric-5.7/);
  });
});

test.each([
  ['chickn-brest', 'chicken-breast'],
  ['basmati', 'rice-basmati'],
  ['oil', 'oil-olive'],
  ['onoin', 'onion'],
])('near names: %s finds %s', (word, want) => {
  expect(nearest(word, ['chicken-breast', 'rice-basmati', 'rice-long', 'oil-olive', 'onion', 'leek'])).toContain(want);
});
