import { foods } from '../../food/find';
import { editDistance } from '../../nearest';
import { namesOf, type Language } from './food-names';
import { wordsOf } from '../text/words';

/** Letters that may be wrong in a word of so many: one in a short word, two in a long one; shorter words are no guess [common practice]. */
const leastLetters = 4;
const longFrom = 7;
const wrongLetters = (word: string): number => (word.length >= longFrom ? 2 : 1);
/** Words of a line that are looked at: more is a sentence. */
const mostWords = 4;

const known: Partial<Record<Language, ReadonlyMap<string, readonly string[]>>> = {};

/** Every word in a food's names, and the foods that have it as a whole name or as its last word (its head). */
function headsOf(language: Language): ReadonlyMap<string, readonly string[]> {
  const heads = new Map<string, string[]>();
  for (const { id } of foods)
    for (const name of namesOf(id, language)) {
      const words = wordsOf(name);
      const head = language === 'es' ? words[0] : words.at(-1);
      if (!head || head.length < leastLetters) continue;
      const at = heads.get(head) ?? [];
      if (!at.includes(id)) heads.set(head, [...at, id]);
    }
  return heads;
}

/**
 * Foods whose name is a slip of the finger away from a word that nobody knows ("caulifower", "zuchini"), the nearest first; to be
 * asked, never to be taken.
 */
export function nearFoods(words: readonly string[], language: Language, count = 3): string[] {
  const heads = (known[language] ??= headsOf(language));
  const found: { id: string; distance: number }[] = [];
  for (const word of words.filter((w) => w.length >= leastLetters).slice(0, mostWords))
    for (const [head, ids] of heads) {
      const most = wrongLetters(word);
      if (head[0] !== word[0] || Math.abs(head.length - word.length) > most) continue;
      const distance = editDistance(word.slice(0, 30), head);
      if (distance <= most) found.push(...ids.map((id) => ({ id, distance })));
    }
  found.sort((a, b) => a.distance - b.distance);
  return [...new Set(found.map((f) => f.id))].slice(0, count);
}
