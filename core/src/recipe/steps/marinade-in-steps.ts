import type { FoodRecord } from '../../food/record';
import { sentencesOf } from '../text/clause';
import { foodsInAny } from '../names/food-names';
import { foodIn, type ReadLine } from '../line/line';
import { wordsOf } from '../text/words';
import { namedClauses, type NamedClause } from './named-clauses';

const marinates = /\bmarinat|\bmarinar|\bmarina (?:el|la|los|las)\b|\bmacer(?:a|ar|amos)\b|\badob(?:a|ar|amos)\b/;
/** What comes fried is not fried by the steps that name it. */
const friedBefore = /\b(?:fried|browned|toasted|frit[oa]s?|dorad[oa]s?|tostad[oa]s?)\b/gi;
/** Put in its place, and not turned in the pan. */
const lays = /\b(?:lay|laid|layer|place|arrange|nestle|spread|coloc\w+|dispon\w+|acomod\w+)\b|\bon top\b|\bencima\b/;

/** Whether marinated meat goes in as it is: nothing is fried, or only other foods are and the meat is laid in. */
function isLaidRaw(clauses: readonly NamedClause[], line: ReadLine, food: FoodRecord): boolean {
  const fried = clauses.filter((c) => c.about === 'fry');
  if (fried.length === 0) return true;
  const isOther = (c: NamedClause): boolean => c.foods.size > 0 && !c.names(line, food);
  return fried.every(isOther) && clauses.some((c) => lays.test(c.text) && c.names(line, food));
}

/**
 * What the steps marinate the meat with goes in with it, and is not kept for the end: yogurt, lemon, vinegar. Marinated meat
 * that the steps do not fry is laid in as it is.
 */
export function marinateAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const sentences = sentencesOf(steps).filter((s) => marinates.test(s));
  if (sentences.length === 0) return;
  const named = new Set(sentences.flatMap((s) => foodsInAny(wordsOf(s)).map((f) => f.food)));
  const clauses = namedClauses(steps.map((s) => s.replace(friedBefore, ' ')));
  for (const line of read) {
    const food = foodIn(line);
    if (!food || line.refused) continue;
    // "Lemon" in a step is the juice of its line.
    const isNamed =
      named.has(food.id) || (food.id === 'lemon-juice' && sentences.some((s) => /\b(?:lemon|lime|limon|lima)/.test(s)));
    if (isNamed && (food.kind === 'dairy' || food.flags.includes('acid'))) line.joins ??= 'marinade';
    const cut = food.meat?.cut;
    if (cut && cut !== 'egg' && cut !== 'cured' && cut !== 'cooked' && isLaidRaw(clauses, line, food))
      line.prep = { state: 'raw', ...line.prep };
  }
}
