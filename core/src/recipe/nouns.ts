import type { FoodRecord } from '../food/record';
import { languages, namesOf } from './food-names';
import type { ReadLine } from './line';
import { fold, singulars, wordsOf } from './words';

/** The words that a food goes by in its line and that the steps may call it again: "chicken" and "thigh", not "free range". */
export function nounsOf(line: Pick<ReadLine, 'text'>, food: FoodRecord): string[] {
  const names = new Set(languages.flatMap((l) => namesOf(food.id, l)).flatMap(wordsOf));
  return wordsOf(fold(line.text))
    .flatMap(singulars)
    .filter((w) => names.has(w));
}
