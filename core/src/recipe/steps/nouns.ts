import { findFood } from '../../food/find';
import type { FoodRecord } from '../../food/record';
import { foodsInAny, languages, namesOf } from '../names/food-names';
import type { ReadLine } from '../line/line';
import { fold, singulars, wordsOf } from '../text/words';

/** The words that a food goes by in its line and that the steps may call it again: "chicken" and "thigh", not "free range". */
export function nounsOf(line: Pick<ReadLine, 'text'>, food: FoodRecord): string[] {
  const names = new Set(languages.flatMap((l) => namesOf(food.id, l)).flatMap(wordsOf));
  return wordsOf(fold(line.text))
    .flatMap(singulars)
    .filter((w) => names.has(w));
}

const cutWords = new Set([
  'shank',
  'shoulder',
  'cheek',
  'fillet',
  'steak',
  'chop',
  'rib',
  'jarrete',
  'carrillera',
  'chuleta',
  'costilla',
]);

/** What these words of a step name. */
export interface Named {
  foods: ReadonlySet<string>;
  /** whether the food of a line is among it: by its name, or a meat by any word that its line has too */
  names: (line: Pick<ReadLine, 'text'>, food: FoodRecord) => boolean;
}
export function namedIn(words: readonly string[]): Named {
  const found = foodsInAny(words);
  const foods = new Set(found.map((f) => f.food));
  const meatWords = found
    .filter((f) => findFood(f.food).kind === 'meat')
    .flatMap((f) => words.slice(f.start, f.end).flatMap(singulars));
  // Cuts that no food is called by alone: "brown the shanks".
  const cutsNamed = words.flatMap(singulars).filter((w) => cutWords.has(w));
  const anyMeat = words.some((w) => w === 'meat' || w === 'carne');
  const names: Named['names'] = (line, food) =>
    foods.has(food.id) ||
    (food.kind === 'meat' &&
      (anyMeat || nounsOf(line, food).some((n) => meatWords.includes(n) || cutsNamed.includes(n))));
  return { foods, names };
}
