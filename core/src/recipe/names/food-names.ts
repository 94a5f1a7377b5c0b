import { foodIds } from '../../food/find';
import type { FoodOf } from '../../food/own-food';
import { namesEn } from './names-en';
import { namesEs } from './names-es';
import { isPlain } from './qualifiers';
import { singulars } from '../text/words';

export const languages = ['en', 'es'] as const;
export type Language = (typeof languages)[number];

/** A food found in a row of words: from word `start` up to, not with, `end`. */
export interface NamedFood {
  food: string;
  start: number;
  end: number;
  /** the food only stands in for what was named: near enough in water, salt and fat */
  standsIn: boolean;
}

interface Name {
  words: readonly string[];
  food: string;
  standsIn: boolean;
}

type Index = ReadonlyMap<string, readonly Name[]>;

const tables: Record<Language, Readonly<Record<string, string>>> = { en: namesEn, es: namesEs };

/** Every name, by its first word, the longest first. */
function indexOf(names: Readonly<Record<string, string>>, ids: readonly string[]): Index {
  const index = new Map<string, Name[]>();
  const add = (text: string, food: string): void => {
    const standsIn = text.startsWith('~');
    const words = text.replace('~', '').split(' ');
    index.set(words[0]!, [...(index.get(words[0]!) ?? []), { words, food, standsIn }]);
  };
  for (const [food, list] of Object.entries(names)) for (const name of list.split(', ')) add(name, food);
  for (const id of ids) add(id.replaceAll('-', ' '), id);
  for (const list of index.values()) list.sort((a, b) => b.words.length - a.words.length);
  return index;
}

const indexes: Partial<Record<Language, Index>> = {};
/** Made at the first line that is read: most pages read none. */
const indexFor = (language: Language): Index =>
  (indexes[language] ??= indexOf(tables[language], language === 'en' ? foodIds : []));

/** The names of a food in a language, as the catalogue has them; of a food that has none, none. */
export const namesOf = (food: string, language: Language): string[] =>
  (tables[language][food] ?? '').split(', ').filter((n) => n !== '' && !n.startsWith('~'));

/** What a food is called in a sentence: its first English name, or the words of its id where those are the plural of it. */
export function foodName(food: string): string {
  const idWords = food.replaceAll('-', ' ');
  const first = namesOf(food, 'en')[0];
  return !first || idWords.startsWith(first) ? idWords : first;
}

/** What the food of an ingredient is called: in the cook's own words, where there are any. */
export const ingredientName = (of: FoodOf): string => of.ownFood?.name ?? of.name ?? foodName(of.food);

/** All foods named in folded words, in either language: a step does not say which it is in. */
export const foodsInAny = (words: readonly string[]): NamedFood[] => languages.flatMap((l) => foodsIn(words, l));

/** All foods named in a row of folded words, from left to right, the longest name at each place; names do not overlap. */
export function foodsIn(words: readonly string[], language: Language): NamedFood[] {
  const found: NamedFood[] = [];
  const index = indexFor(language);
  const forms = words.map(singulars);
  let at = 0;
  while (at < words.length) {
    const hit = longestAt(forms, at, index);
    if (hit && language === 'en' && isPlain(words[at]!) && endsLater(forms, at, index, hit.words.length)) {
      at += 1;
      continue;
    }
    if (hit) found.push({ food: hit.food, standsIn: hit.standsIn, start: at, end: at + hit.words.length });
    at += hit ? hit.words.length : 1;
  }
  return found;
}

/** "Diced lamb shoulder" is the shoulder: a name that begins with the second word goes on beyond the first one. */
const endsLater = (forms: readonly (readonly string[])[], at: number, index: Index, length: number): boolean =>
  length > 1 && 1 + (longestAt(forms, at + 1, index)?.words.length ?? 0) > length;

function longestAt(forms: readonly (readonly string[])[], at: number, index: Index): Name | undefined {
  let best: Name | undefined;
  for (const form of forms[at] ?? [])
    for (const name of index.get(form) ?? []) {
      if (best && name.words.length <= best.words.length) break;
      if (name.words.every((w, k) => forms[at + k]?.includes(w))) best = name;
    }
  return best;
}
