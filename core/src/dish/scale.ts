import { findFood } from '../food/find';
import type { Dish } from './schema';

/** How an amount grows with the people: spices a little less, frying fat with the base of the pot (not at all). */
const exponents = { seasoning: 0.9, fat: 0, other: 1 } as const;

/** The dish for another number of people. Overruled numbers of the old batch are released: they meant that batch. */
export function scaleDish(dish: Dish, serves: number): Dish {
  const k = serves / dish.serves;
  const { overrides: _overrides, asCooked: _asCooked, ...rest } = dish;
  return {
    ...rest,
    serves,
    ingredients: dish.ingredients.map((i) => {
      const kind = findFood(i.food).kind;
      const exponent =
        kind === 'seasoning' && i.food !== 'salt'
          ? exponents.seasoning
          : kind === 'fat'
            ? exponents.fat
            : exponents.other;
      const value = i.amount.value * k ** exponent;
      return { ...i, amount: { ...i.amount, value: Math.round(value * 100) / 100 } };
    }),
  };
}
