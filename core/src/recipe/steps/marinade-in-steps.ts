import { aboutOf, clausesOf, sentencesOf } from '../text/clause';
import { foodsInAny } from '../names/food-names';
import { foodIn, type ReadLine } from '../line/line';
import { fold, wordsOf } from '../text/words';

const marinates = /\bmarinat|\bmarinar|\bmarina (?:el|la|los|las)\b|\bmacer(?:a|ar|amos)\b|\badob(?:a|ar|amos)\b/;
/** What comes fried is not fried by the steps that name it. */
const friedBefore = /\b(?:fried|browned|toasted|frit[oa]s?|dorad[oa]s?|tostad[oa]s?)\b/g;
const fries = (steps: readonly string[]): boolean =>
  steps.some((s) => clausesOf(fold(s).replace(friedBefore, ' ')).some((c) => aboutOf(c) === 'fry'));

/**
 * What the steps marinate the meat with goes in with it, and is not kept for the end: yogurt, lemon, vinegar. Marinated meat
 * whose steps fry nothing is laid in as it is.
 */
export function marinateAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const sentences = sentencesOf(steps).filter((s) => marinates.test(s));
  if (sentences.length === 0) return;
  const named = new Set(sentences.flatMap((s) => foodsInAny(wordsOf(s)).map((f) => f.food)));
  const isRaw = !fries(steps);
  for (const line of read) {
    const food = foodIn(line);
    if (!food || line.refused) continue;
    // "Lemon" in a step is the juice of its line.
    const isNamed =
      named.has(food.id) || (food.id === 'lemon-juice' && sentences.some((s) => /\b(?:lemon|lime|limon|lima)/.test(s)));
    if (isNamed && (food.kind === 'dairy' || food.flags.includes('acid'))) line.joins ??= 'marinade';
    const cut = food.meat?.cut;
    if (isRaw && cut && cut !== 'egg' && cut !== 'cured' && cut !== 'cooked')
      line.prep = { state: 'raw', ...line.prep };
  }
}
