import { scaleBy } from '../../dish/scale';
import type { Kitchen } from '../../dish/kitchen';
import type { Dish } from '../../dish/schema';
import { setUp } from '../setup/setup';
import { solveBoth } from '../search/solve';

/** The liquid that batches of the same dish need, against what a ratio would pour. */
export interface Ratios {
  /** `takenG` is the water that the grain drinks: what is poured beyond it is the part that a ratio gets wrong */
  points: { factor: number; grainG: number; addMl: number; mlPerMl: number; takenG: number }[];
  /** addMl = perGrain x grain + constant, fitted through the points */
  perGrainMlPerG: number;
  constantMl: number;
}

const factors = [0.5, 1, 1.5, 2, 3];

/**
 * Why ratios fail when a dish is doubled: the liquid is a part that grows with the grain and a part that does not. Each
 * batch is solved anew in this pot, whatever its fill; null for a dish without grain or pasta.
 */
export function ratios(dish: Dish, kitchen: Kitchen): Ratios | null {
  const points = factors.flatMap((factor) => {
    if (dish.serves * factor > 60) return [];
    const setup = setUp(scaleBy(dish, factor).dish, kitchen);
    if (!setup.g.grain) return [];
    const { run } = solveBoth(setup, dish.texture ?? 'fluffy');
    const grainG = setup.g.grain.grams;
    const grainMl = grainG / setup.g.grain.food.bulkGPerMl[0];
    return [{ factor, grainG, addMl: run.addMl, mlPerMl: run.addMl / grainMl, takenG: run.outcome?.upG ?? 0 }];
  });
  if (points.length < 2) return null;
  const n = points.length;
  const mx = points.reduce((s, p) => s + p.grainG, 0) / n;
  const my = points.reduce((s, p) => s + p.addMl, 0) / n;
  const slope =
    points.reduce((s, p) => s + (p.grainG - mx) * (p.addMl - my), 0) /
    points.reduce((s, p) => s + (p.grainG - mx) ** 2, 0);
  return { points, perGrainMlPerG: slope, constantMl: my - slope * mx };
}
