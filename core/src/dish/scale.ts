import { recordOf } from '../food/own-food';
import type { FoodRecord } from '../food/record';
import { issueAt, refusal } from '../problem';
import { toGrams } from '../quantity/convert';
import { isToTaste } from '../quantity/parse';
import { measurable } from '../food/find';
import type { Dish, Ingredient } from './schema';

/**
 * How an amount grows with the batch, as a power of its factor [common practice]: spices a little less; frying fat with
 * the base of the pot and a topping with the surface, which do not grow at all; everything else in proportion.
 */
const powers = { spice: 0.9, surface: 0, other: 1 } as const;

function powerOf(food: FoodRecord, i: Ingredient): number {
  if (food.kind === 'fat' || i.joins === 'topping' || food.flags.includes('crisp')) return powers.surface;
  // Salt goes by the mass of the dish.
  if (food.kind === 'seasoning' && food.saltPer100g[0] < 50) return powers.spice;
  return powers.other;
}

/** What does not grow in proportion, as codes of the text catalogue; the ingredients that stand for it. */
export interface NotScaled {
  code: 'minutes' | 'heat-up' | 'frying-fat' | 'topping' | 'spices' | 'water';
  ingredients: string[];
}
export interface Scaled {
  dish: Dish;
  factor: number;
  notScaled: NotScaled[];
}

/**
 * The dish `factor` times as large. Overruled numbers of the old batch are released: they meant that batch.
 * Throws Problem `scale-invalid` when the factor is not above 0 or the people would be more than 60.
 */
export function scaleBy(dish: Dish, factor: number): Scaled {
  if (!(factor > 0) || dish.serves * factor > 60.5)
    throw refusal('scale-invalid', {}, issueAt('factor', 'factor-above-0'));
  const { overrides: _overrides, asCooked: _asCooked, ...rest } = dish;
  const by = (code: NotScaled['code'], pick: (food: FoodRecord, i: Ingredient) => boolean): NotScaled[] => {
    const ingredients = dish.ingredients.filter((i) => pick(recordOf(i), i)).map((i) => i.id);
    return ingredients.length > 0 ? [{ code, ingredients }] : [];
  };
  const surface = (food: FoodRecord, i: Ingredient): boolean => powerOf(food, i) === powers.surface;
  return {
    factor,
    dish: {
      ...rest,
      serves: Math.max(1, Math.round(dish.serves * factor)),
      ingredients: dish.ingredients.map((i) => {
        if (isToTaste(i.amount)) return i;
        const value = i.amount.value * factor ** powerOf(recordOf(i), i);
        return { ...i, amount: { ...i.amount, value: Math.max(0.01, Math.round(value * 100) / 100) } };
      }),
    },
    notScaled:
      Math.abs(factor - 1) < 1e-9
        ? []
        : [
            { code: 'minutes', ingredients: [] },
            { code: 'heat-up', ingredients: [] },
            { code: 'water', ingredients: [] },
            ...by('frying-fat', (f, i) => f.kind === 'fat' && surface(f, i)),
            ...by('topping', (f, i) => f.kind !== 'fat' && surface(f, i)),
            ...by('spices', (f, i) => powerOf(f, i) === powers.spice),
          ],
  };
}

/** The dish for another number of people. */
export const scaleDish = (dish: Dish, serves: number): Dish => ({
  ...scaleBy(dish, serves / dish.serves).dish,
  serves,
});

/**
 * The dish for so much of its grain or pasta, g: the rest follows the packet.
 * Throws Problem `grain-missing` when it has none.
 */
export function scaleToGrain(dish: Dish, grainG: number): Scaled {
  const grain = dish.ingredients.find((i) => recordOf(i).grain);
  if (!grain) throw refusal('nothing-to-scale-by', {}, issueAt('ingredients', 'scale-otherwise'));
  return scaleBy(dish, grainG / toGrams(grain.amount, measurable(recordOf(grain))));
}
