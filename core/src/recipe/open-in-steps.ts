import { foodIn, type ReadLine } from './line';
import { nounsOf } from './nouns';
import { fold } from './words';

/** What nobody eats: it gives its taste and comes out again [common practice]. */
const inedible =
  /\b(?:bay|laurel|sprigs?|ram(?:a|ita)s? de|bouquet garni|pandan|lemon ?grass|rinds?|corteza|kombu|lime lea(?:f|ves)|star anise|anis estrellado|cinnamon stick|stick cinnamon|canela en rama|kaffir)\b/;
const shreds = /\b(?:shred|pull (?:it |them |the \w+ )?apart|deshebr|desmech|desmenuz|deshilach)/;

/**
 * What is done to a food once the lid is open: bay leaves, sprigs and rinds come out; meat that the steps shred is pulled
 * apart and goes back.
 */
export function openAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const shredding = steps.flatMap((s) =>
    fold(s)
      .split(/[.;]/)
      .filter((part) => shreds.test(part) && !/\b(?:cheese|queso|cabbage|carrots?)\b/.test(part)),
  );
  const meats = read.filter((l) => isShreddable(l));
  for (const line of read) {
    const food = foodIn(line);
    if (!food || line.refused || line.joins === 'finish' || line.joins === 'topping') continue;
    if (food.kind === 'seasoning' && inedible.test(fold(line.text))) line.prep = { ...line.prep, onceOpen: 'take-out' };
  }
  for (const line of meats) {
    // With one meat in the pot "shred it" is that one.
    const isNamed = shredding.some(
      (part) => meats.length === 1 || nounsOf(line, foodIn(line)!).some((noun) => part.includes(noun)),
    );
    if (isNamed) line.prep = { ...line.prep, onceOpen: 'shred' };
  }
}

/** Raw meat in pieces; mince has nothing to pull apart, and fish falls apart by itself. */
function isShreddable(line: ReadLine): boolean {
  const cut = foodIn(line)?.meat?.cut;
  return (
    !line.refused &&
    (cut === 'white' || cut === 'dark' || cut === 'stew') &&
    line.prep?.state !== 'cooked' &&
    line.joins !== 'finish' &&
    line.joins !== 'topping'
  );
}
