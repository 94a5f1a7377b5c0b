import { dishFormat, type AsCooked, type Dish, type Family, type Ingredient } from '../dish/schema';

export const grams = (food: string, value: number, more: Partial<Ingredient> = {}): Ingredient => ({
  id: food,
  food,
  amount: { value, unit: 'g' },
  ...more,
});
export const ml = (food: string, value: number, more: Partial<Ingredient> = {}): Ingredient => ({
  id: food,
  food,
  amount: { value, unit: 'ml' },
  ...more,
});
export const cubes = (thicknessMm: number): Partial<Ingredient> => ({ prep: { shape: 'cube', thicknessMm } });
export const rinsed: Partial<Ingredient> = { prep: { rinse: true } };

interface Cooked extends Partial<AsCooked> {
  holdMin: number;
  naturalMin?: number;
}
/** A dish of a lesson with its program: high pressure, let off at once where no natural minutes are said. */
export function dish(
  family: Family,
  serves: number,
  ingredients: Ingredient[],
  { naturalMin = 0, ...as }: Cooked,
): Dish {
  const release = naturalMin > 0 ? { kind: 'timed' as const, naturalMin } : { kind: 'quick' as const };
  return {
    format: dishFormat,
    title: 'Lesson',
    family,
    serves,
    ingredients,
    asCooked: { pressure: 'high', release, ...as },
  };
}

/** No slider of a food goes to nothing: it is left out there. */
export const unlessNone = (i: Ingredient): Ingredient[] => (i.amount.value > 0 ? [i] : []);
