import { isMeatInPieces } from '../../food/meats';
import { foodIn, type ReadLine } from '../line/line';
import { nounsOf } from './nouns';
import { fold } from '../text/words';

/** What nobody eats: it gives its taste and comes out again [common practice]. */
const inedible =
  /\b(?:bay|laurel|sprigs?|ram(?:a|ita)s? de|bouquet garni|pandan|lemon ?grass|rinds?|corteza|kombu|lime lea(?:f|ves)|star anise|anis estrellado|cinnamon stick|stick cinnamon|canela en rama|kaffir)\b/;
/** Cut small it stays, and is eaten. */
const cutSmall = /\b(?:minced|chopped|sliced|ground|grated|crushed|picad[oa]s?|molid[oa]s?|rallad[oa]s?)\b/;
const shreds = /\b(?:shred|pull (?:it |them |the \w+ )?apart|deshebr|desmech|desmenuz|deshilach)/;
/** What is shredded with a grater or a knife. */
const otherShreds = /\b(?:cheese|queso|cabbage|carrots?)\b/;

/**
 * What is done to a food once the lid is open: bay leaves, sprigs and rinds come out; meat that the steps shred is pulled
 * apart and goes back.
 */
export function openAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const shredding = steps.flatMap((s) =>
    fold(s)
      .split(/[.;]/)
      .filter((part) => shreds.test(part) && !otherShreds.test(part)),
  );
  const under = read.filter((l) => !l.refused && l.joins !== 'finish' && l.joins !== 'topping');
  const meats = under.filter(isShreddable);
  // With one meat in the pot "shred it" is that one.
  const isShredded = (meat: ReadLine): boolean =>
    shredding.some((part) => meats.length === 1 || nounsOf(meat, foodIn(meat)!).some((noun) => part.includes(noun)));
  for (const line of meats) if (isShredded(line)) line.prep = { ...line.prep, onceOpen: 'shred' };
  for (const line of under)
    if (foodIn(line)?.kind === 'seasoning' && isInedible(fold(line.text)))
      line.prep = { ...line.prep, onceOpen: 'take-out' };
}

const isInedible = (line: string): boolean => inedible.test(line) && !cutSmall.test(line);

/** Raw meat in pieces; mince has nothing to pull apart, and fish falls apart by itself. */
function isShreddable(line: ReadLine): boolean {
  const food = foodIn(line);
  return food !== null && isMeatInPieces(food) && line.prep?.state !== 'cooked';
}
