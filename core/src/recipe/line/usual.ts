import { findFood, measurable } from '../../food/find';
import { toGrams } from '../../quantity/convert';
import type { Amount } from '../../quantity/parse';

/** What stands in this kitchen where a line says only "salt" or "stock". */
export interface Usual {
  salt?: 'salt' | 'salt-sea' | 'salt-flaky' | undefined;
  broth?: 'broth' | 'broth-low-salt' | undefined;
}

/** A line that says which salt or stock it means. */
const says = {
  salt: /\b(?:table|fine|cooking|namak|fina|gruesa|mesa)\b/,
  broth: /\b(?:salt(?:ed)?|sodium|sal|salado)\b/,
} as const;

/** A line that says only "salt" or "stock", as what stands in this kitchen: a spoon of flakes weighs less. */
export function asUsual<L extends { text: string; food: string | null; amount: Amount | null; grams: number | null }>(
  line: L,
  usual: Usual,
): L {
  const kind = line.food === 'salt' || line.food === 'broth' ? line.food : null;
  const food = kind && usual[kind];
  if (!kind || !food || food === kind || says[kind].test(line.text.toLowerCase())) return line;
  const grams = line.amount ? Math.round(toGrams(line.amount, measurable(findFood(food))) * 100) / 100 : line.grams;
  return { ...line, food, grams };
}
