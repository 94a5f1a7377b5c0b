import type { FinishStep } from './document';
import type { Gathered, Item } from './gather';
import { hasFlag } from './gather';

/** Minutes of the last steps [common practice]. */
const minutes = { open: 0.5, check: 1, leaves: 1.5, peas: 5, cheese: 1, herbs: 0.5, rest: 4, fork: 1 };

const texts: Record<string, string> = {
  open: 'Pin down: open the lid away from you, vent clear of cupboards.',
  check: 'Check the thickest piece with a thermometer, away from bone.',
  'stir-in': 'Stir in on the residual heat.',
  dairy: 'Off the boil: stir in.',
  herbs: 'Scatter over at the end.',
  rest: 'Leave the lid off and wait before the fork: hot grains break.',
  fork: 'Loosen with a fork and serve.',
};

/** The order after the pin: open away, check, delicate things, dairy off the boil, acid and herbs, rest, fork. */
export function finishPlan(g: Gathered, hasMeat: boolean): FinishStep[] {
  const held = g.items.filter((i) => i.joins === 'finish' || i.joins === 'topping');
  const out: FinishStep[] = [];
  const add = (code: string, min: number, items: Item[] = []): void => {
    out.push({
      order: out.length + 1,
      code,
      text: texts[code]!,
      minutes: min,
      ingredients: items.map((i) => i.ingredient.id),
    });
  };
  add('open', minutes.open);
  if (hasMeat) add('check', minutes.check);
  const delicate = held.filter((i) => i.food.kind === 'vegetable' && hasFlag(i, 'delicate'));
  if (delicate.length > 0)
    add('stir-in', delicate.some((i) => i.food.id === 'peas-frozen') ? minutes.peas : minutes.leaves, delicate);
  const dairy = held.filter((i) => i.food.kind === 'dairy');
  if (dairy.length > 0) add('dairy', minutes.cheese, dairy);
  const late = held.filter((i) => !delicate.includes(i) && !dairy.includes(i));
  if (late.length > 0) add('herbs', minutes.herbs, late);
  add('rest', minutes.rest);
  add('fork', minutes.fork);
  return out;
}

/** Why each held-back thing waits. */
export function heldBack(g: Gathered): { ingredient: string; until: 'finish' | 'topping'; why: string }[] {
  return g.items
    .filter((i) => i.joins === 'finish' || i.joins === 'topping')
    .map((i) => ({
      ingredient: i.ingredient.id,
      until: i.joins === 'topping' ? ('topping' as const) : ('finish' as const),
      why: i.ingredient.joins
        ? 'you-decided'
        : hasFlag(i, 'curdles')
          ? 'curdles-under-pressure'
          : hasFlag(i, 'acid')
            ? 'acid-at-the-end'
            : i.food.kind === 'dairy'
              ? 'melts-after-pressure'
              : 'gone-in-minutes',
    }));
}
