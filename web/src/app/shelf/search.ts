import { fold, foods, namesOf } from '@einkorn/core';
import MiniSearch from 'minisearch';
import type { StoredDish } from '../api/client';

/** A dish that fits the words, and what of it does beside its title: foods, under the name that fits. */
export interface Hit {
  id: string;
  why: { food: string; name: string }[];
}

interface Entry {
  id: string;
  title: string;
  family: string;
  foods: string;
  notes: string;
}

/** A name of a food, and the words by which it is found. */
interface Name {
  name: string;
  words: string[];
}

/** Which food a single word means: "lamb" is the meat, though there is lamb stock. */
const meant = new Map<string, string>();
for (const language of ['en', 'es'] as const)
  for (const { id } of foods) for (const name of namesOf(id, language)) if (!name.includes(' ')) meant.set(name, id);

const cache = new Map<string, Name[]>();

/** The names of a food; of one that names another food too, only its head is looked for. */
function allNames(food: string): Name[] {
  const known = cache.get(food);
  if (known) return known;
  const of = (name: string, headFirst: boolean): Name => {
    const words = name.split(/[^\p{L}\d]+/u).map(fold);
    const other = words.some((w) => (meant.get(w) ?? food) !== food);
    return { name, words: other ? [words.at(headFirst ? 0 : -1)!] : words };
  };
  const id = food.replaceAll('-', ' ');
  const names = [
    { name: id, words: id.split(' ') },
    ...namesOf(food, 'en').map((n) => of(n, false)),
    ...namesOf(food, 'es').map((n) => of(n, true)),
  ];
  cache.set(food, names);
  return names;
}

/** The first letters are enough; longer words may be a letter off, short ones would be others ("pavo", "pato"). */
const options = {
  prefix: true,
  fuzzy: (term: string): number | false => (term.length > 4 ? 0.2 : false),
  combineWith: 'AND',
  boost: { title: 3, family: 2 },
} as const;

/**
 * Dishes by words: in their title, their family in plain words, their notes and every name of their foods in English and
 * Spanish. The best comes first.
 */
export function searchDishes(dishes: readonly StoredDish[], text: string, family: (id: string) => string): Hit[] {
  const index = new MiniSearch<Entry>({
    fields: ['title', 'family', 'foods', 'notes'],
    processTerm: (term) => fold(term) || null,
    searchOptions: options,
  });
  const foodsOf = new Map(dishes.map((d) => [d.id, [...new Set(d.dish.ingredients.map((i) => i.food))]]));
  index.addAll(
    dishes.map(({ id, dish }) => ({
      id,
      title: dish.title,
      family: family(dish.family),
      foods: foodsOf
        .get(id)!
        .flatMap((food) => allNames(food).flatMap((n) => n.words))
        .join(' '),
      notes: dish.notes ?? '',
    })),
  );
  return index.search(text).map((hit) => {
    const id = hit.id as string;
    const terms = Object.entries(hit.match).flatMap(([term, fields]) => (fields.includes('foods') ? [term] : []));
    return { id, why: foodsOf.get(id)!.flatMap((food) => namedBy(food, terms)) };
  });
}

/** The shortest name of a food that holds one of the words. */
function namedBy(food: string, terms: readonly string[]): Hit['why'] {
  const fitting = allNames(food).filter(({ words }) => words.some((w) => terms.includes(w)));
  const shortest = fitting.sort((a, b) => a.name.length - b.name.length)[0];
  return shortest === undefined ? [] : [{ food, name: shortest.name }];
}
