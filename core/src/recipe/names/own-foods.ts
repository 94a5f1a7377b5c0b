import type { OwnFood } from '../../food/own-food';
import { namesOf, type Language } from './food-names';
import { plainLine } from '../text/words';

/** A line that names a food of the cook's own, and the same line with the name of the food that it behaves like instead. */
export interface OwnNamed {
  food: OwnFood;
  plain: string;
}

/**
 * The food of the cook's own that a plain line names, the longest name first; null where it names none. The line is read on
 * as the food it behaves like, so that amounts, cuts and states are understood in the same way.
 */
export function ownFoodIn(plain: string, ownFoods: readonly OwnFood[], language: Language): OwnNamed | null {
  const byLength = [...ownFoods].sort((a, b) => b.name.length - a.name.length);
  for (const food of byLength) {
    const name = nameIn(food.name);
    if (name.test(plain)) return { food, plain: plain.replace(name, standIn(food.like, language)) };
  }
  return null;
}

const standIn = (food: string, language: Language): string =>
  namesOf(food, language)[0] ?? namesOf(food, 'en')[0] ?? food.replaceAll('-', ' ');

/** A name as whole words, one or many of it. */
export function nameIn(name: string): RegExp {
  const words = plainLine(name)
    .split(' ')
    .map((w) => w.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    .join('\\s+');
  return new RegExp(`(?<![\\p{L}\\d])${words}(?:e?s)?(?![\\p{L}\\d])`, 'u');
}
