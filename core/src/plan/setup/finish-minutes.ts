import type { FinishStep } from '../document/steps';
import { hasFlag, type Gathered, type Item } from '../gather/item';

/** A dish that is served hot is kept at or over this, degC: published minimum for keeping hot, recalled. */
export const hotC = 63;

/** Minutes of the last steps [common practice]. */
export const finishMinutes = {
  open: 0.5,
  check: 1,
  takeOut: 0.5,
  shred: 3,
  seafood: 4,
  seafoodCooked: 1.5,
  florets: 4.5,
  leaves: 1.5,
  frozen: 5,
  slurry: 2,
  topping: 10,
  cheese: 5,
  stand: 5,
  dairy: 1,
  herbs: 0.5,
  back: 1,
  topUp: 1,
  fork: 1,
  wide: 1.5,
  serve: 0.5,
} as const;

export const isFrozenVegetable = (i: Item): boolean =>
  i.food.kind === 'vegetable' && (i.food.id.endsWith('-frozen') || i.ingredient.prep?.state === 'frozen');
/** What is still raw after a minute or two in the heat that the dish has left [common practice]. */
const firmFoods = new Set([
  'broccoli',
  'cauliflower',
  'okra',
  'green-beans',
  'asparagus',
  'zucchini',
  'bell-pepper',
  'corn',
  'brussels-sprouts',
  'cabbage',
  'edamame',
  'broad-beans',
  'mushroom',
  'collards',
]);
export const isFirm = (i: Item): boolean => firmFoods.has(i.food.id);

/** Minutes for which the opened dish is kept warm over what joins at the end: in them its starch goes on drinking. */
export function warmFinishMin(g: Gathered): number {
  const late = g.items.filter((i) => i.joins === 'finish');
  const any = (is: (i: Item) => boolean): boolean => late.some(is);
  let minutes = 0;
  if (any((i) => hasFlag(i, 'seafood'))) minutes += finishMinutes.seafood;
  if (any(isFrozenVegetable)) minutes += finishMinutes.frozen;
  else if (any(isFirm)) minutes += finishMinutes.florets;
  if (any((i) => i.food.kind === 'dairy')) minutes += finishMinutes.dairy;
  return minutes;
}

/** The key of the words for the heat of a finish step: over a flame one stirs, unless the lid lies on. */
export const heatKey = ({ heat, lidOn }: Pick<FinishStep, 'heat' | 'lidOn'>): string =>
  heat === 'saute' && lidOn ? 'saute-lid' : (heat ?? '');
