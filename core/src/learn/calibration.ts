import { dishFormat, type Dish } from '../dish/schema';
import type { PotProfile } from '../pot/profile';

/** Water that shows the minutes to the pin and the loss best, mL; a pot whose manual asks for more gets that [derived: bench/learn]. */
const waterMl = 500;
const toMl = 50;
/** Minutes at pressure in which the walls and the lid come to their heat and a leak can be weighed [derived: bench/learn]. */
const holdMin = 10;

/** The program of the pot's own that is nearest to the minutes; where it has others, those minutes. */
function programOf(pot: PotProfile): { pressure: 'high' | 'low'; holdMin: number } {
  const own = [...(pot.programs ?? [])].sort(
    (a, b) =>
      Number(a.pressure === 'low') - Number(b.pressure === 'low') ||
      Math.abs(a.holdMin - holdMin) - Math.abs(b.holdMin - holdMin),
  )[0];
  return own ? { pressure: own.pressure, holdMin: own.holdMin } : { pressure: 'high', holdMin };
}

/**
 * Water alone at pressure, let fall by itself: its taps say how fast a pot heats, how fast it loses its heat and when its
 * countdown starts; weighed before and after also how much it leaks (docs/learning.md).
 *
 * @param title as it stands in the log, in the cook's language
 */
export function calibrationDish(pot: PotProfile, title: string): Dish {
  const ml = Math.max(waterMl, Math.ceil(pot.minimumLiquidMl[0] / toMl) * toMl);
  return {
    format: dishFormat,
    title,
    family: 'steamed-side',
    serves: 1,
    calibrates: true,
    ingredients: [{ id: 'water', food: 'water', amount: { value: ml, unit: 'ml' } }],
    overrides: { liquidMl: ml, ...programOf(pot), release: { kind: 'natural' } },
  };
}
