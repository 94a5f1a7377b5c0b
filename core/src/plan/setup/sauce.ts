import { edgesOf } from '../../grain/texture';
import { hasFlag, sharesWater, type Gathered, type Item } from '../gather/item';
import { isLoosePorridge } from '../gather/sauce-wanted';

/** From this wanted share on a dish is meant to have sauce [derived]. */
export const saucyFrom = 0.05;

/** Sauce wanted at the table, g: by the dry pasta, or by the share of the finished dish. */
export const wantedSauceG = (g: Gathered, finishedG: number): number =>
  g.saucePerStarch === null ? g.sauceShare * finishedG : g.saucePerStarch * g.grain!.grams;

/** Band edges of the grain of this dish on the texture index. */
export const grainEdges = (g: Gathered): readonly number[] => edgesOf(g.sauceShare >= saucyFrom, isLoosePorridge(g));

/** Tomato in an unstirred pot slows the uptake by up to 35 % [derived from one fact; range .5 to .9]. */
const tomatoSlowing = 0.35;

/**
 * Tomato (and, around pasta, cream) slows the uptake in an unstirred pot; 1 is not at all. Pasta is judged on the slowed
 * clock too: that is why 7 min and a natural release in cream and tomato come out creamy, not as mush.
 */
export function slowingOf(g: Gathered, addMl: number): number {
  if (g.rule.stirred) return 1;
  const thick = (i: Item): boolean =>
    hasFlag(i, 'tomato') || (g.grain?.food.kind === 'pasta' && i.food.id === 'cream-heavy');
  const thickG = sum(g, (i) => thick(i) && sharesWater(g, i));
  const other = addMl + sum(g, (i) => i.food.kind === 'liquid' && !thick(i) && !i.main && sharesWater(g, i));
  return 1 - tomatoSlowing * Math.min(1, thickG / Math.max(1, other));
}

/** Mass of everything that goes into the finished dish, g. */
export const finishedMass = (g: Gathered, addMl: number): number =>
  g.items.reduce((s, i) => s + (i.main || (g.inBowl && !sharesWater(g, i)) ? 0 : i.grams), 0) +
  addMl * g.main.food.bulkGPerMl[0];

/** Grams of the items that fit. */
export const sum = (g: Gathered, pick: (i: Item) => boolean): number =>
  g.items.reduce((s, i) => s + (pick(i) ? i.grams : 0), 0);
