import { baseAreaCm2, type PotProfile } from '../pot/profile';
import type { FryStep } from './document';
import { hasFlag, type Gathered, type Item } from './gather';
import { placeOf } from './place';

/** The order of the pan and its minutes [common practice]. `until` is a key of the text catalogue. */
const classes = [
  { key: 'fat', minutes: 4, until: 'fat-hot', is: (i: Item) => i.food.kind === 'fat' },
  { key: 'renders', minutes: 4, until: 'fat-out', is: (i: Item) => hasFlag(i, 'renders') },
  { key: 'ground', minutes: 4, until: 'crumbs-half-brown', is: (i: Item) => i.food.meat?.cut === 'ground' },
  { key: 'meat', minutes: 5, until: 'no-pink-outside', is: (i: Item) => i.food.kind === 'meat' },
  {
    key: 'vegetable',
    minutes: 4,
    until: 'translucent',
    is: (i: Item) => i.food.kind === 'vegetable' && !hasFlag(i, 'aromatic'),
  },
  {
    key: 'aromatic',
    minutes: 0.75,
    until: 'fragrant',
    is: (i: Item) => hasFlag(i, 'aromatic') && i.food.kind === 'vegetable',
  },
  { key: 'spice', minutes: 0.5, until: 'fragrant', is: (i: Item) => hasFlag(i, 'aromatic') },
  { key: 'grain', minutes: 1.5, until: 'every-kernel-coated', is: (i: Item) => i.food.grain !== undefined },
] as const;

/** Minutes to scrape the base clean after the liquid goes in [common practice]. */
export const deglazeMin = 1.5;
/** Vegetables share the pan: each more than the first adds so much [common practice]. */
const togetherMin = 1;
/** A full single layer covers this share of the base; more meat steams instead of browning [common practice]. */
const singleLayer = 0.85;

/** Meat in a single layer: how many batches the base needs. Footprint = mass / (density x thickness). */
export function batchesOf(item: Item, pot: PotProfile): number {
  const footprintCm2 = item.grams / item.food.densityGPerMl[0] / (item.thicknessMm / 10);
  return Math.max(1, Math.ceil(footprintCm2 / (singleLayer * baseAreaCm2(pot))));
}

/** What is fried, in which order, for how long and until what. */
export function fryPlan(g: Gathered, pot: PotProfile): FryStep[] {
  const frying = g.items.filter((i) => i.joins === 'fry');
  const out: FryStep[] = [];
  const left = new Set(frying);
  for (const c of classes) {
    for (const item of frying) {
      if (!left.has(item) || !c.is(item)) continue;
      left.delete(item);
      const batches = item.food.kind === 'meat' && item.food.meat?.cut !== 'ground' ? batchesOf(item, pot) : 1;
      out.push({
        order: out.length + 1,
        ingredient: item.ingredient.id,
        minutes: c.key === 'vegetable' && out[out.length - 1]?.until === c.until ? togetherMin : c.minutes * batches,
        until: c.until,
        // Whatever lies on top later must come out, or it ends up under the grain.
        takeOut: ['top', 'rack'].includes(placeOf(g, item)) || (batches > 1 && item.food.kind === 'meat'),
        ...(batches > 1 ? { batches } : {}),
      });
    }
  }
  return out;
}

export const fryMinutes = (steps: readonly FryStep[]): number =>
  steps.length === 0 ? 0 : steps.reduce((s, f) => s + f.minutes, 0) + deglazeMin;
