import { foods } from '../food/find';
import { namesOf } from './names/food-names';
import { isPlain } from './names/qualifiers';
import { plainLine, wordsOf } from './text/words';

/**
 * Foods whose names begin like what has been typed so far, the plainest first, for completion while typing. `shown` is what
 * each food is called on the screen, by its id; the names of both languages count too.
 */
export function suggestFoods(text: string, shown: Readonly<Record<string, string>> = {}, count = 8): string[] {
  const typed = wordsOf(plainLine(text)).filter((w) => !/^\d/.test(w));
  const last = typed.at(-1);
  const words = typed.filter((w) => w === last || !isPlain(w));
  if (words.length === 0) return [];
  return foods
    .map((f) => {
      const names = [split(shown[f.id] ?? f.id.replaceAll('-', ' ')), ...knownNames(f.id)];
      return { id: f.id, score: Math.max(...names.map((n, i) => scoreOf(words, n, i))) };
    })
    .filter((f) => f.score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, count)
    .map((f) => f.id);
}

const split = (name: string): string[] => wordsOf(plainLine(name));
const known = new Map<string, string[][]>();

/** The names of a food as words; made once, for they are asked at every key. */
function knownNames(id: string): string[][] {
  const names = known.get(id) ?? [id.replaceAll('-', ' '), ...namesOf(id, 'en'), ...namesOf(id, 'es')].map(split);
  known.set(id, names);
  return names;
}

/** Words met whole count three, words begun one and a half; words that the name has besides, and its place in the list, count against it. */
function scoreOf(words: readonly string[], name: readonly string[], place: number): number {
  let score = 0;
  for (const w of words) score += name.includes(w) ? 3 : w.length > 1 && name.some((n) => n.startsWith(w)) ? 1.5 : 0;
  return score === 0 ? 0 : score - 0.2 * name.length - 0.01 * place;
}
