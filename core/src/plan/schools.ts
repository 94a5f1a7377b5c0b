import type { Kitchen } from '../dish/kitchen';
import type { Dish, Ingredient } from '../dish/schema';
import { bandOf, type GrainBand } from '../grain/texture';
import type { Plan } from './document';
import { gather } from './gather';
import { setBench, type Bench } from './bench';
import { cookWith } from './solve';
import { benchOfPlan } from './stages';
import { waterSources } from './water';

/** Ratios by volume that cooks go by, and what each was meant for [common practice]. */
export const schoolTable = [
  { id: 'equal', ratio: 1 },
  { id: 'quarter-more', ratio: 1.25 },
  { id: 'half-more', ratio: 1.5 },
  { id: 'double', ratio: 2 },
] as const;

export interface School {
  id: (typeof schoolTable)[number]['id'];
  ml: number;
  /** the grain alone in this pot with so much water */
  alone: { index: number; band: GrainBand };
  /** the whole dish in this pot with so much liquid */
  here: { index: number; band: GrainBand; freeShare: number };
}

/** Each school computed in this pot with the plan's program: hollow is the grain alone, solid is the whole dish. */
export function compareSchools(dish: Dish, kitchen: Kitchen, chosen: Plan): School[] {
  const b = benchOfPlan(setBench(dish, kitchen), chosen);
  const grain = b.g.grain;
  // Ratios are told of separate grain; pasta and sauce are not measured by them.
  if (grain?.food.kind !== 'grain') return [];
  const plainDish: Dish = {
    format: dish.format,
    title: dish.title,
    family: 'plain-grain',
    serves: dish.serves,
    ingredients: [withoutPlace(grain.ingredient)],
  };
  const plainG = gather(plainDish);
  const plain: Bench = { ...b, g: plainG, src: waterSources(plainG), outerMl: 0, first: null };
  const program = {
    pressure: chosen.program.pressure,
    holdMin: chosen.program.holdMin,
    release: chosen.program.release,
  };
  const volumeMl = grain.grams / grain.food.bulkGPerMl[0];
  return schoolTable.map((s) => {
    const ml = volumeMl * s.ratio;
    const alone = cookWith(plain, ml, program).outcome!;
    const here = cookWith(b, ml, program).outcome!;
    return {
      id: s.id,
      ml,
      alone: { index: alone.texture.index, band: bandOf(alone.texture.index) },
      here: { index: here.texture.index, band: bandOf(here.texture.index), freeShare: here.freeShare },
    };
  });
}

/** Alone in the pot there is no bowl to lie in. */
function withoutPlace(i: Ingredient): Ingredient {
  const { place: _, ...rest } = i;
  return rest;
}
