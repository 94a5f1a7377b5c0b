import type { Kitchen } from '../../dish/kitchen';
import type { Dish, Ingredient } from '../../dish/schema';
import type { FoodRecord } from '../../food/record';
import { levelLiquidG } from '../../grain/closed';
import { bandOf, pastaBand } from '../../grain/texture';
import { baseAreaCm2, type PotProfile } from '../../pot/profile';
import type { Plan } from '../document/document';
import { gather } from '../gather/gather';
import { setUp, type Setup } from '../setup/setup';
import { outcomeWith } from '../judge/runs';
import { setupOfPlan } from '../simulate/stages';
import { waterSources } from '../setup/sources';
import type { GrainOutcome } from '../simulate/outcome';

/** Ratios by volume that cooks go by, and what each was meant for [common practice]. */
export const schoolTable = [
  { id: 'equal', for: 'grain', ratio: 1 },
  { id: 'quarter-more', for: 'grain', ratio: 1.25 },
  { id: 'half-more', for: 'grain', ratio: 1.5 },
  { id: 'double', for: 'grain', ratio: 2 },
  { id: 'three-to-one', for: 'grain', ratio: 3 },
  { id: 'knuckle', for: 'grain' },
  { id: 'level', for: 'pasta' },
] as const;
/** A knuckle of water over the grain, mm [common practice]. */
const knuckleMm = 25;
/** Dry grain leaves so much of its room to water [common practice]. */
const grainVoids = 0.4;

type SchoolId = (typeof schoolTable)[number]['id'];

/** What a school pours on this starch in this pot, mL. */
function pouredMl(id: SchoolId, grams: number, food: FoodRecord, pot: PotProfile): number {
  const volumeMl = grams / food.bulkGPerMl[0];
  const row = schoolTable.find((s) => s.id === id)!;
  if ('ratio' in row) return volumeMl * row.ratio;
  if (id === 'level') return levelLiquidG(grams, food.bulkGPerMl[0]);
  // The finger is summaryOf over the level of the grain: it goes by the width of the pot, not by the grain.
  return volumeMl * grainVoids + (baseAreaCm2(pot) * knuckleMm) / 10;
}

export interface School {
  id: SchoolId;
  ml: number;
  /** what the school leaves out here, g: + what the dish brings besides, - what steam, film and sauce take */
  broughtG: number;
  lostG: number;
  /** the grain alone in this pot with so much water */
  alone: { index: number; band: string };
  /** the whole dish in this pot with so much liquid */
  here: { index: number; band: string; freeShare: number };
}

/** Each school computed in this pot with the plan's program: hollow is the grain alone, solid is the whole dish. */
export function compareSchools(dish: Dish, kitchen: Kitchen, chosen: Plan): School[] {
  const setup = setupOfPlan(setUp(dish, kitchen), chosen);
  const grain = setup.g.grain;
  if (!grain) return [];
  const pasta = grain.food.kind === 'pasta';
  const plainDish: Dish = {
    format: dish.format,
    title: dish.title,
    family: pasta ? 'one-pot-pasta' : 'plain-grain',
    serves: dish.serves,
    ingredients: [withoutPlace(grain.ingredient)],
  };
  const plainG = gather(plainDish);
  const plain: Setup = { ...setup, g: plainG, src: waterSources(plainG), outerMl: 0, first: null, fry: [], pan: null };
  const program = {
    pressure: chosen.program.pressure,
    holdMin: chosen.program.holdMin,
    release: chosen.program.release,
  };
  const packetMin = grain.food.packetMin?.[0] ?? 1;
  const summaryOf = (out: GrainOutcome): { index: number; band: string } => {
    if (!pasta) return { index: out.texture.index, band: bandOf(out.texture.index) };
    const x = (out.clock.equivalentMin * out.slowing) / packetMin;
    return { index: x, band: pastaBand(x, out.clock.moisture) };
  };
  const broughtG = setup.src.fromItems.reduce((s, x) => s + x.grams, 0) + setup.src.clingG + setup.src.soakG;
  return schoolTable
    .filter((s) => s.for === grain.food.kind)
    .map((s): School => {
      const ml = pouredMl(s.id, grain.grams, grain.food, setup.pot);
      const alone = outcomeWith(plain, ml, program);
      const here = outcomeWith(setup, ml, program);
      return {
        id: s.id,
        ml,
        broughtG,
        lostG: here.steamG + setup.src.filmG + setup.src.simmerG + setup.src.reducedG,
        alone: summaryOf(alone),
        here: { ...summaryOf(here), freeShare: here.freeShare },
      };
    })
    .sort((a, c) => a.ml - c.ml);
}

/** Alone in the pot there is no bowl to lie in. */
function withoutPlace(i: Ingredient): Ingredient {
  const { place: _, ...rest } = i;
  return rest;
}
