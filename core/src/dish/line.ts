import { foods } from '../food/find';
import type { FoodRecord } from '../food/record';
import { nearest } from '../nearest';
import { Problem } from '../problem';
import { parseAmount, type Amount } from '../quantity/parse';
import { unitWords } from '../quantity/units';
import type { Ingredient } from './schema';

type Prep = NonNullable<Ingredient['prep']>;

/** One line as a cook types it, read into its parts; `rest` is what was not understood. */
export interface ParsedLine {
  food: string;
  amount: Amount;
  prep: Prep;
  rest: string[];
}

/** Words that say how a thing is cut or what has been done to it [a cook's words, common practice]. */
const shapes: Record<string, Prep['shape']> = {
  strip: 'strip',
  strips: 'strip',
  cube: 'cube',
  cubes: 'cube',
  cubed: 'cube',
  dice: 'cube',
  diced: 'cube',
  slice: 'slab',
  slices: 'slab',
  sliced: 'slab',
  slab: 'slab',
  whole: 'whole',
  ground: 'ground',
  minced: 'ground',
};
const states: Record<string, Prep['state']> = {
  raw: 'raw',
  frozen: 'frozen',
  browned: 'browned',
  'part-seared': 'part-seared',
  seared: 'part-seared',
  cooked: 'cooked',
  toasted: 'toasted',
};
/** Words of cut and state that are part of some foods' names too. */
const inNames = new Set(['ground', 'cooked', 'frozen', 'whole']);
const fillers = new Set(['of', 'a', 'an', 'the', 'in', 'and', 'with', 'pieces', 'thick', 'fresh']);
const lengthMm: Record<string, number> = { mm: 1, cm: 10, inch: 25.4, inches: 25.4, in: 25.4 };
const fallback: Amount = { value: 100, unit: 'g' };

/** What a food is called: the words of its id, in any order, and the names that a catalogue gives it. */
const wordsOf = (food: FoodRecord, name?: string): string[] => [
  ...new Set(
    `${food.id.replaceAll('-', ' ')} ${name ?? ''}`
      .toLowerCase()
      .split(/[^\p{L}0-9]+/u)
      .filter(Boolean),
  ),
];

const same = (typed: string, word: string): boolean =>
  typed === word || (typed.length > 2 && (`${word}s` === typed || `${word}es` === typed || word === `${typed}s`));

interface Scored {
  food: FoodRecord;
  score: number;
  used: Set<string>;
}

/** Foods by how many of the typed words they carry; words that a food has besides count a little against it. */
function matches(words: readonly string[], names: Readonly<Record<string, string>>): Scored[] {
  return foods
    .map((food): Scored => {
      const own = wordsOf(food, names[food.id]);
      const used = new Set<string>();
      let score = 0;
      for (const w of words) {
        const exact = own.some((o) => same(w, o));
        if (exact || (w.length > 2 && own.some((o) => o.startsWith(w)))) {
          used.add(w);
          score += exact ? 3 : 1.5;
        }
      }
      // The plainest food of the name wins: "rice" is long-grain before wild rice.
      return { food, score: score === 0 ? 0 : score - 0.2 * own.length, used };
    })
    .filter((m) => m.score > 0)
    .sort((a, b) => b.score - a.score);
}

/** Foods that fit what has been typed so far, best first, for completion while typing. */
export const suggestFoods = (text: string, names: Readonly<Record<string, string>> = {}, count = 8): string[] =>
  matches(
    tokens(text).filter((t) => !fillers.has(t) && !/^\d/.test(t)),
    names,
  )
    .slice(0, count)
    .map((m) => m.food.id);

const tokens = (text: string): string[] =>
  text
    .toLowerCase()
    .replaceAll(/[,;()]/g, ' ')
    .replaceAll(/(\d)(mm|cm)\b/g, '$1 $2')
    .split(/\s+/)
    .filter(Boolean);

/**
 * Reads "2 lb chicken breast strips 1 cm, part-seared": amount first (without one: 100 g), then the food, its cut, size and
 * state in any order.
 *
 * @param names what each food is called in the cook's language, by id
 * @throws Problem `line-empty` or `food-unknown`, with foods that come near
 */
export function parseLine(text: string, names: Readonly<Record<string, string>> = {}): ParsedLine {
  if (text.trim() === '')
    throw new Problem('line-empty', 'Type what you have, for example "2 lb chicken breast, cubes 2 cm".');
  const { amount, left } = takeAmount(text);
  const prep: Prep = {};
  let words = takeLength(takeSoak(tokens(left), prep), prep);
  words = words.filter((w) => {
    const shape = Object.hasOwn(shapes, w) ? shapes[w] : undefined;
    const state = Object.hasOwn(states, w) ? states[w] : undefined;
    if (w === 'rinsed') prep.rinse = true;
    else if (w === 'hot') prep.hot = true;
    else if (shape) prep.shape = shape;
    else if (state) prep.state = state;
    else return true;
    // "ground beef" and "cooked chicken" are foods of their own: the word stays for the name too.
    return w === 'minced' || inNames.has(w);
  });
  const asked = words.map((w) => (w === 'minced' ? 'ground' : w)).filter((w) => !fillers.has(w));
  const best = matches(asked, names)[0];
  if (!best) {
    const words = [...new Set(foods.flatMap((f) => wordsOf(f, names[f.id])))].filter((w) => w.length > 3);
    const close = asked.flatMap((w) => nearest(w, words, 1));
    const near = matches(close, names)
      .slice(0, 3)
      .map((m) => m.food.id);
    const hint = near.length > 0 ? ` Did you mean ${near.join(', ')}?` : ' Pick one from the list.';
    throw new Problem('food-unknown', `I do not know a food called "${asked.join(' ').slice(0, 40)}".${hint}`, [
      { path: 'food', message: 'Name a food of the list.' },
    ]);
  }
  const { food } = best;
  if (prep.shape === 'ground' && food.meat?.cut === 'ground') delete prep.shape;
  if (prep.state === 'cooked' && food.meat?.cut === 'cooked') delete prep.state;
  if (prep.state === 'frozen' && food.id.endsWith('-frozen')) delete prep.state;
  if (prep.shape === 'whole' && food.id.endsWith('-whole')) delete prep.shape;
  return {
    food: food.id,
    amount: fitting(amount, food) ?? fallback,
    prep,
    rest: asked.filter((w) => !best.used.has(w) && !inNames.has(w)),
  };
}

/** The amount at the head of the line: the longest beginning that reads as a number with a measure, or as pieces. */
function takeAmount(text: string): { amount: Amount | null; left: string } {
  const m = /^\s*([\d.,/½¼¾⅓⅔⅛\s]*[\d½¼¾⅓⅔⅛])\s*(\p{L}[\p{L}\d.-]*(?:\s+\p{L}[\p{L}.]*)?)?/u.exec(text);
  if (!m) return { amount: null, left: text };
  const after = text.slice(m.index + m[0].length);
  const two = (m[2] ?? '').trim();
  const one = two.split(/\s+/)[0] ?? '';
  for (const unit of [two, one]) {
    const word = unit.toLowerCase().replaceAll('.', '');
    if (word === '' || !Object.hasOwn(unitWords, word)) continue;
    return { amount: parseAmount(`${m[1]} ${unit}`), left: `${two.slice(unit.length)} ${after}` };
  }
  return { amount: parseAmount(m[1]!, 'piece'), left: `${two} ${after}` };
}

/** A bare number counts pieces where the food has some, and is grams where it has none. */
function fitting(amount: Amount | null, food: FoodRecord): Amount | null {
  return amount?.unit === 'piece' && !food.pieceG ? { value: amount.value, unit: 'g' } : amount;
}

function takeLength(words: string[], prep: Prep): string[] {
  const i = words.findIndex((w, k) => /^[\d./]+$/.test(w) && Object.hasOwn(lengthMm, words[k + 1] ?? ''));
  if (i < 0) return words;
  const [a, b] = words[i]!.split('/').map(Number);
  const value = b ? a! / b : a!;
  const mm = Math.round(value * lengthMm[words[i + 1]!]! * 10) / 10;
  if (mm >= 1 && mm <= 90) prep.thicknessMm = mm;
  return [...words.slice(0, i), ...words.slice(i + 2)];
}

function takeSoak(words: string[], prep: Prep): string[] {
  const i = words.indexOf('soaked');
  if (i < 0) return words;
  const value = Number(words[i + 1]);
  const unit = words[i + 2] ?? '';
  if (!Number.isFinite(value)) {
    prep.soakMin = 30;
    return words.filter((w) => w !== 'soaked');
  }
  const isHours = unit.startsWith('h');
  prep.soakMin = Math.min(1440, isHours ? value * 60 : value);
  return [...words.slice(0, i), ...words.slice(i + (isHours || unit.startsWith('min') ? 3 : 2))];
}
