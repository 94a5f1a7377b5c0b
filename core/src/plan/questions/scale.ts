import { turnBetween } from '../../bisect';
import type { Kitchen } from '../../dish/kitchen';
import { scaleBy, type Scaled } from '../../dish/scale';
import type { Dish } from '../../dish/schema';
import { setUp } from '../setup/setup';
import { geometryOf } from '../setup/bounds';
import { solveBoth } from '../search/solve';

/** Sizes looked at, times the dish as it stands, and how near the limit is near enough. */
const range = { least: 0.1, most: 12 };
const steps = 9;

/**
 * The largest batch that this pot takes under its fill limit, with the liquid that such a batch needs. Found by
 * bisection: a larger batch never fills the pot less.
 *
 * @returns the dish, the factor and what does not scale; `fits` is false when even the smallest batch is over the limit
 */
export function scaleToPot(dish: Dish, kitchen: Kitchen): Scaled & { fits: boolean } {
  const most = Math.min(range.most, 60 / dish.serves);
  const fits = (k: number): boolean => {
    const setup = setUp(scaleBy(dish, k).dish, kitchen);
    const { run } = solveBoth(setup, dish.texture ?? 'fluffy');
    const geo = geometryOf(setup, run.addMl);
    return geo.fillFraction <= geo.limitFraction && geo.bowlFraction <= 2 / 3;
  };
  if (!fits(range.least)) return { ...scaleBy(dish, range.least), fits: false };
  const tooMuch = (log: number): boolean => !fits(Math.exp(log));
  const low = fits(most) ? most : Math.exp(turnBetween(Math.log(range.least), Math.log(most), tooMuch, { steps }).low);
  // Whole people where that costs little.
  const people = Math.floor(dish.serves * low);
  const k = people >= 1 && people / (dish.serves * low) > 0.9 ? people / dish.serves : low;
  return { ...scaleBy(dish, k), fits: true };
}
