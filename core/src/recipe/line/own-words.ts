import { findFood } from '../../food/find';
import type { FoodRecord } from '../../food/record';
import { foodName, type Language } from '../names/food-names';
import { pulseNamed } from './kinds';
import type { Named } from './line-food';
import { headFood } from '../names/name-head';
import { fold, singulars } from '../text/words';

/** Starch, meat and water are called as the table calls them: what they are decides the plan, and must be seen. */
const goesByTable = ({ kind, id }: FoodRecord): boolean =>
  id === 'water' || ((kind === 'grain' || kind === 'pasta' || kind === 'meat') && !manyMeats.has(id));
/** Meats of the table that stand for many. */
const manyMeats = new Set(['white-fish', 'sausage-smoked', 'bacon', 'ham']);
/** A state that the table's name has and the cook's has not must be seen as well: "peas" are planned as frozen ones. */
const states = ['frozen', 'canned', 'cooked'];

/**
 * What the cook calls the food of a line, where the table has one name for many: "turmeric" of the ground spices. Nothing
 * where the table's own name is as good, or where the words alone would be read as another food.
 */
export function ownWords({ hit, food: id }: Named, plain: string, language: Language): string | undefined {
  const food = findFood(id);
  if (id === 'beans-canned') {
    const pulse = pulseNamed(plain);
    return pulse && (language === 'es' ? `${pulse} de bote` : `canned ${pulse}`);
  }
  const name = hit.name;
  const table = foodName(id);
  if (name === '' || goesByTable(food) || saysNoMore(name, table)) return undefined;
  if (states.some((s) => table.includes(s) && !name.includes(s))) return undefined;
  return headFood(name, language)?.food === id ? name : undefined;
}

/** "Oil" for a neutral oil: every word of the name is in the table's. */
function saysNoMore(name: string, table: string): boolean {
  const known = table.split(' ').flatMap(singulars);
  return name.split(' ').every((w) => singulars(w).some((s) => known.includes(s)));
}

/** Folded words as they stand in the text, with their accents and capitals; the words themselves where they do not. */
export function asTyped(words: string, text: string): string {
  const wanted = words.split(' ');
  const typed = [...text.matchAll(/\p{L}[\p{L}\p{M}]*/gu)];
  const at = typed.findIndex((_, i) => wanted.every((w, k) => fold(typed[i + k]?.[0] ?? '') === w));
  if (at < 0) return words;
  const last = typed[at + wanted.length - 1]!;
  return text.slice(typed[at]!.index, last.index + last[0].length);
}
