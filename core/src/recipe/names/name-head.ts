import { foodsIn, type Language, type NamedFood } from './food-names';
import { isPlain } from './qualifiers';
import { wordsOf } from '../text/words';

/** The food that a phrase is about, by its head noun. */
export interface HeadFood extends NamedFood {
  /** the words of its name as typed */
  name: string;
  /** the other foods named in the phrase */
  others: string[];
  /** the phrase without the name */
  rest: string;
}

/** After these an English phrase only says how the food comes: "tomatoes in juice", "chicken with skin". */
const stopsEn = new Set([
  'in',
  'with',
  'from',
  'without',
  'for',
  'at',
  'cut',
  'until',
  'packed',
  'on',
  'into',
  'plus',
  'about',
  'preferably',
  'such',
  'like',
  'to',
  'per',
]);
const stopsEs = new Set(['en', 'con', 'sin', 'para', 'cortado', 'cortada', 'cortados', 'cortadas', 'mas', 'cada']);

/**
 * Finds the food of one phrase. In English the last word of the noun phrase is its head and must belong to the name: "cream
 * of chicken soup" is no chicken. In Spanish the first one is: "sopa de pollo" is none either.
 */
export function headFood(phrase: string, language: Language): HeadFood | null {
  const words = wordsOf(phrase);
  const found = foodsIn(words, language);
  if (found.length === 0) return null;
  const stops = language === 'en' ? stopsEn : stopsEs;
  const stop = words.findIndex((w, i) => i >= found[0]!.end && stops.has(w));
  const end = stop < 0 ? words.length : stop;
  const inside = found.filter((f) => f.end <= end);
  const head = language === 'en' ? inside.at(-1) : inside[0];
  if (!head) return null;
  const covered = (i: number): boolean => found.some((f) => i >= f.start && i < f.end);
  const unknown = (from: number, to: number): boolean =>
    words.slice(from, to).some((w, k) => !covered(from + k) && !isPlain(w));
  if (language === 'en' ? unknown(head.end, end) : unknown(0, head.start)) return null;
  const others = found.filter((f) => f !== head && f.end <= end).map((f) => f.food);
  const outside = words.filter((_, i) => i < head.start || i >= head.end);
  return {
    ...head,
    name: words.slice(head.start, head.end).join(' '),
    others: [...new Set(others)].filter((id) => id !== head.food),
    rest: outside.join(' '),
  };
}
