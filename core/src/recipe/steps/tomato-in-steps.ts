import { aboutOf, clausesOf, sentencesOf } from '../text/clause';
import { findFood } from '../../food/find';
import { isPlainLiquid } from '../../food/plain-liquids';
import { foodsInAny } from '../names/food-names';
import type { ReadLine } from '../line/line';
import { wordsOf } from '../text/words';

/** Words of a pan in which tomatoes lose their shape. */
const cooksDown =
  /\b(?:mush|pulp|collaps|break(?:s|ing)? down|broken down|soft|jammy|thick|reduc|(?:oil|fat|ghee) (?:separat|leav|float|comes)|fry|fries|fried|saut|cook(?:ed|ing)? (?:down|for|until|\d)|sofr[ie]|rehog|poch|deshag|deshac|evapor)/;

/**
 * Fresh tomatoes that the steps cook down in the pan before the liquid comes, as for a sofrito or a masala, are fried. Where the
 * steps only put them in, they lie on top: raw tomato on a hot base scorches.
 */
export function fryTomatoAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const sentences = sentencesOf(steps);
  const underLid = sentences.findIndex((s) => clausesOf(s).some((c) => aboutOf(c) === 'pressure'));
  const open = underLid < 0 ? sentences : sentences.slice(0, underLid);
  if (!open.some(isPanOfTomato)) return;
  for (const line of read) if (line.food === 'tomato' && !line.refused) line.joins ??= 'fry';
}

/** The water that they lose, or the liquid, is none that is poured. */
const ownWater =
  /\b(?:pierd|suelt|evapor|reduzc|los[et]|releas|until the|hasta que)\p{L}*[^,]{0,25}\b(?:agua|water|liquido|liquid|juices?|jugo)\b/gu;

/** With rice or stock beside them they only go in. */
function isPanOfTomato(said: string): boolean {
  const sentence = said.replace(ownWater, ' reduced ');
  const foods = foodsInAny(wordsOf(sentence)).map((f) => findFood(f.food));
  return (
    cooksDown.test(sentence) &&
    foods.some((f) => f.id === 'tomato') &&
    !foods.some((f) => f.grain !== undefined || isPlainLiquid(f.id))
  );
}
