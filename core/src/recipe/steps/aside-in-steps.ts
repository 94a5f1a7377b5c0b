import { findFood } from '../../food/find';
import type { FoodRecord } from '../../food/record';
import { aboutOf, clausesOf, sentencesOf } from '../text/clause';
import { foodsInAny } from '../names/food-names';
import { askedBelow, foodIn, type ReadLine } from '../line/line';
import { fold, wordsOf } from '../text/words';

const kept = [
  /\b(?:keep|reserv\w+|set(?:ting)? aside|save|put aside|take out|remove|scoop out|guard\w+|apart\w+|retir\w+)\b.{0,20}\b(?:half|mitad)\b/,
  /\b(?:half|mitad)\b.{0,30}\b(?:aside|reserved|for (?:the )?(?:top\w*|garnish\w*|serving|end)|to (?:serve|garnish|top|finish)|para (?:decorar|servir|encima|el final|poner encima))/,
];
const onTop = /\bon (?:the )?top\b|\bover the (?:rice|grain)\b|\b(?:por )?encima\b/;
const saysHalf = (part: string): boolean => kept.some((re) => re.test(part));
const foodsOf = (part: string): FoodRecord[] => foodsInAny(wordsOf(part)).map((f) => findFood(f.food));
/** What is kept is a vegetable of the pan, or cheese, herbs and nuts for the table; half of the meat or the stock is another matter. */
const mayBeKept = ({ kind, id }: FoodRecord): boolean =>
  kind === 'vegetable' || kind === 'dairy' || id === 'herb-fresh' || id === 'nuts' || id === 'onion-fried';

/**
 * Half of a food that its line or the steps keep for the end becomes a line of its own: fried with the rest and taken out, or
 * scattered over at the table. Vegetables that are fried and then laid on top come out of the pan for it.
 */
export function setAsideAsInSteps(read: readonly ReadLine[], steps: readonly string[]): ReadLine[] {
  const parts = sentencesOf(steps);
  const halved = parts.flatMap((part, i) => {
    if (!saysHalf(part)) return [];
    // "Slice the onions and fry them; keep half": the food stands in the part before.
    const named = foodsOf(part);
    return named.length > 0 ? named : foodsOf(parts[i - 1] ?? '');
  });
  const laid = laidOnTop(parts);
  return read.flatMap((line) => {
    const food = foodIn(line);
    if (!food || line.refused || line.certain < askedBelow || !mayBeKept(food)) return [line];
    const isHalved = saysHalf(fold(line.text)) || halved.some((f) => f.id === food.id);
    if (isHalved && line.amount && (line.grams ?? 0) > 0) return halvesOf(line, food);
    if (!line.joins && laid.has(food.id)) line.back = 'top';
    return [line];
  });
}

function halvesOf(line: ReadLine, food: FoodRecord): ReadLine[] {
  const half: ReadLine = {
    ...line,
    amount: line.amount && { ...line.amount, value: line.amount.value / 2 },
    grams: line.grams === null ? null : line.grams / 2,
  };
  return [half, { ...half, joins: 'topping', ...(food.kind === 'vegetable' ? { back: 'finish' } : {}) }];
}

/** Vegetables that a clause fries and a later one, still before the pressure, lays on top. */
function laidOnTop(parts: readonly string[]): ReadonlySet<string> {
  const clauses = parts.flatMap(clausesOf);
  const lid = clauses.findLastIndex((c) => aboutOf(c) === 'pressure');
  const before = lid < 0 ? clauses : clauses.slice(0, lid);
  const fried = new Set(before.filter((c) => aboutOf(c) === 'fry').flatMap((c) => foodsOf(c).map((f) => f.id)));
  const laid = before.filter((c) => onTop.test(c)).flatMap(foodsOf);
  return new Set(laid.filter((f) => f.kind === 'vegetable' && fried.has(f.id)).map((f) => f.id));
}
