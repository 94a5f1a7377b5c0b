import { amountOf } from './line/amount-place';
import { namesOf, type Language } from './names/food-names';
import { headFood } from './names/name-head';
import { fold, plainLine, withoutBrackets } from './text/words';

/**
 * A line with the cook's answer written into it, so that what was answered stands in the text like everything else: a food
 * takes the place of the name ("2 cups rice" → "2 cups basmati rice"), an amount stands at the head ("1 packet penne" →
 * "500 g penne").
 */
export function answeredLine(line: string, answer: { food: string } | { amount: string }, language: Language): string {
  const { rest } = amountOf(withoutBrackets(plainLine(line)));
  if ('amount' in answer) return `${answer.amount.trim()} ${rest}`.trim();
  const name = namesOf(answer.food, language)[0] ?? answer.food.replaceAll('-', ' ');
  const old = headFood(rest.split(',')[0]!, language)?.name;
  const at = old ? fold(line).indexOf(old) : -1;
  // Folding may change the length of a line; then the amount and the new name are written anew.
  const same = fold(line).length === line.length;
  if (old && at >= 0 && same) return line.slice(0, at) + name + line.slice(at + old.length);
  const amount = line.slice(0, Math.max(0, line.length - rest.length)).trim();
  return `${amount} ${name}`.trim();
}
