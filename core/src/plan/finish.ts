import type { FinishStep } from './document';
import type { Gathered, Item } from './gather';
import { hasFlag } from './gather';

/** Minutes of the last steps [common practice]. */
const minutes = {
  open: 0.5,
  check: 1,
  seafood: 4,
  leaves: 1.5,
  peas: 5,
  slurry: 2,
  topping: 10,
  stand: 5,
  cheese: 1,
  herbs: 0.5,
  fork: 1,
  wide: 1.5,
  serve: 0.5,
};

const texts: Record<string, string> = {
  open: 'Pin down: open the lid away from you, vent clear of cupboards.',
  check: 'Check the thickest piece with a thermometer, away from bone.',
  seafood: 'Lay the seafood in, lid on, on the residual heat: opaque through and 63 degC.',
  'stir-in': 'Stir in on the residual heat.',
  dairy: 'Off the boil: stir in.',
  herbs: 'Scatter over at the end.',
  simmer: 'Simmer open, stirring, until the sauce binds.',
  slurry: 'Stir in the starch with cold water and let it boil up.',
  topping: 'Put the topping on and brown it under strong heat.',
  stand: 'Let it stand: the pasta drinks on.',
  serve: 'Serve.',
  rest: 'Leave the lid off and wait before the fork: hot grains break.',
  'wide-dish': 'Move the grain out into a wide dish: a large batch goes on softening in its own heat.',
  fork: 'Loosen with a fork and serve.',
};

/** The order after the pin: open away, check, delicate things, dairy off the boil, acid and herbs, rest, fork. */
export function finishPlan(g: Gathered, hasMeat: boolean, bigBatch = false): FinishStep[] {
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
  if (g.rule.simmerMin > 0) add('simmer', g.rule.simmerMin);
  const taken = new Set<Item>();
  const take = (pick: (i: Item) => boolean): Item[] => {
    const hit = held.filter((i) => !taken.has(i) && pick(i));
    hit.forEach((i) => taken.add(i));
    return hit;
  };
  const topping = take((i) => i.joins === 'topping');
  const seafood = take((i) => hasFlag(i, 'seafood'));
  if (seafood.length > 0) add('seafood', minutes.seafood, seafood);
  const delicate = take((i) => i.food.kind === 'vegetable' && hasFlag(i, 'delicate'));
  const frozen = delicate.some((i) => i.food.id === 'peas-frozen' || i.food.id === 'mixed-frozen');
  if (delicate.length > 0) add('stir-in', frozen ? minutes.peas : minutes.leaves, delicate);
  const slurry = take((i) => hasFlag(i, 'thickener'));
  if (slurry.length > 0) add('slurry', minutes.slurry, slurry);
  const dairy = take((i) => i.food.kind === 'dairy');
  if (dairy.length > 0) add('dairy', minutes.cheese, dairy);
  const late = held.filter((i) => !taken.has(i));
  if (late.length > 0) add('herbs', minutes.herbs, late);
  if (topping.length > 0) add('topping', minutes.topping, topping);
  const separate = g.grain?.food.kind === 'grain' && g.rule.standMin > 0;
  if (separate) {
    add('rest', g.rule.standMin);
    // Its own heat would go on cooking a large heap.
    if (bigBatch) add('wide-dish', minutes.wide);
    add('fork', minutes.fork);
  } else if (g.grain?.food.kind === 'pasta' && g.dish.family !== 'noodle-soup') add('stand', minutes.stand);
  else add('serve', minutes.serve);
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
            : hasFlag(i, 'crisp')
              ? 'stays-crisp'
              : i.food.kind === 'dairy'
                ? 'melts-after-pressure'
                : 'gone-in-minutes',
    }));
}
