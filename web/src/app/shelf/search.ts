import { namesOf } from '@einkorn/core';
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

/** Lower case without accents, so that a name is found however it is typed. */
const fold = (s: string): string => s.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase();

const allNames = (food: string): string[] => [
  food.replaceAll('-', ' '),
  ...namesOf(food, 'en'),
  ...namesOf(food, 'es'),
];

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
      foods: foodsOf.get(id)!.flatMap(allNames).join('\n'),
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
  const fitting = allNames(food).filter((name) =>
    fold(name)
      .split(/[^\p{L}\d]+/u)
      .some((w) => terms.includes(w)),
  );
  const name = fitting.sort((a, b) => a.length - b.length)[0];
  return name === undefined ? [] : [{ food, name }];
}
