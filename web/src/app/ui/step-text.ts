import { ingredientNames, type Cook, type Dish, type Step } from '@einkorn/core';
import type { Format } from '../i18n/format';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** Fills the parameters of a step in the cook's words: foods by name, amounts in kitchen precision. */
export function stepParams(
  step: Step,
  cook: Pick<Cook, 'dish' | 'plan'>,
  fmt: Format,
  t: Words,
): Record<string, unknown> {
  const names = ingredientNames(cook.dish.ingredients);
  const foods = step.ingredients.map((id) => fmt.namesOf(names, id));
  const p = step.params;
  return {
    ...p,
    foods: foods.join(', '),
    food: typeof p['food'] === 'string' ? t(`food.${p['food']}`) : (foods[0] ?? ''),
    liquid: typeof p['ml'] === 'number' ? `${fmt.ml(p['ml'])} (${fmt.mlOther(p['ml'])})` : '',
    under: t(`under.${typeof p['under'] === 'string' ? p['under'] : 'grain'}`),
    until: typeof p['until'] === 'string' ? t(`until.${p['until']}`) : '',
    amounts: amountsOf(p['grams'], foods, fmt),
    counted: typeof p['whistles'] === 'number' ? fmt.counted('whistle', p['whistles']) : '',
    minutes: fmt.minutes(step.minutes),
    pressure: typeof p['pressure'] === 'string' ? t(`pressure.${p['pressure']}`) : '',
    minimum: Math.max(0, ...cook.plan.meats.map((m) => m.safeMinimumC)),
  };
}

/** Each food of a layer with its weight; the weights stand in the order of the foods. */
function amountsOf(grams: string | number | undefined, foods: readonly string[], fmt: Format): string {
  if (grams === undefined) return '';
  const each = String(grams).split(' ').map(Number);
  return each.map((g, i) => (each.length > 1 ? `${fmt.grams(g)} ${foods[i] ?? ''}` : fmt.grams(g))).join(', ');
}

/** Stages whose steps are about things that were measured, and do not name their amounts otherwise. */
const measured: readonly Step['stage'][] = ['prep', 'fry', 'finish'];

/** What a step is about in the amounts of the cook: "520 g turkey thigh", the amount alone where it is one thing; empty where it names no thing. */
export function stepAmounts(step: Step, dish: Pick<Dish, 'ingredients'>, fmt: Format): string {
  if (!measured.includes(step.stage)) return '';
  const names = ingredientNames(dish.ingredients);
  const things = step.ingredients.flatMap((id) => dish.ingredients.find((i) => i.id === id) ?? []);
  return things
    .map((i) => (things.length > 1 ? `${fmt.amount(i.amount)} ${fmt.namesOf(names, i.id)}` : fmt.amount(i.amount)))
    .join(', ');
}
