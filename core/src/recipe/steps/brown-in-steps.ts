import type { Ingredient } from '../../dish/schema';
import { isMeatInPieces } from '../../food/meats';
import type { FoodRecord } from '../../food/record';
import { foodIn, type ReadLine } from '../line/line';
import { namedIn } from './nouns';
import { fold, wordsOf } from '../text/words';

type Brown = NonNullable<NonNullable<Ingredient['prep']>['brown']>;

const deep =
  /\b(?:(?:dark|deep(?:ly)?|well|rich(?:ly)?) brown(?:ed)?|carameli[sz]\w*|until (?:they are |it is )?(?:well |deeply |all )?brown(?:ed)?|brown(?:ed)? (?:it |them )?(?:very )?well|crisp(?:y|ed)?|(?:muy|bien) dorad[oa]s?|tostad[oa]s?|hasta que (?:este|se ponga)n? (?:marron|tostad)\w*)\b/;
const golden =
  /\b(?:golden|skin(?:[- ]side)? down|in (?:\w+ )?batches|on (?:all|both) sides|all over|dorad[oa]s?|se doren?|doren|por todos los lados|(?:por|en) (?:\w+ )?tandas)\b/;
/** Other vegetables soften: what turns golden in the pan with its sugar are these [common practice]. */
const onions = new Set(['onion', 'shallot', 'leek']);
/** Fish and eggs are left alone; mince is half brown anyway, and cured meat gives its fat first. */
const browns = (food: FoodRecord): boolean => onions.has(food.id) || isMeatInPieces(food);

/** "Fry the onions until dark brown, then add the garlic": each part of a sentence with its own foods. */
const partsOf = (step: string): string[] => fold(step).split(/[.;]|,? (?:then|luego|despues) /);

/**
 * How brown the steps want meat and onions, where their own lines do not say it: golden, or deep brown. Where the steps only
 * say "brown the chicken", the pan's usual colour stays: pressure finishes it.
 */
export function brownAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  for (const part of steps.flatMap(partsOf)) {
    const deeply = deep.exec(part);
    const said = deeply ?? golden.exec(part);
    if (!said) continue;
    const brown: Brown = deeply ? 'brown' : 'half';
    const { names } = namedIn(wordsOf(part.slice(0, said.index)));
    for (const line of read) {
      const food = foodIn(line);
      if (!food || line.refused || line.prep?.state || !browns(food)) continue;
      if (names(line, food) && line.prep?.brown === undefined) line.prep = { ...line.prep, brown };
    }
  }
}
