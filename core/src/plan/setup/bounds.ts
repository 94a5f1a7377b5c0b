import { turnBetween } from '../../bisect';
import { bowlCapacityLitres } from '../../pot/inner-bowl';
import { juiceG } from '../gather/item';
import { beforeOf, type Setup } from './setup';
import { fillLimits, stackPlan, thinAtBaseMl, type Geometry, type StackInput } from './stack';

/** How little and how much liquid may be added, mL, and what sets each. */
export interface LiquidBounds {
  leastMl: number;
  leastBy: 'nothing' | 'pot-minimum' | 'covers-starch';
  mostMl: number;
  /** `heat-up`: more of it would keep the pot so long under way that the grain is past its best */
  mostBy: 'pot' | 'fill' | 'bowl' | 'heat-up';
}

/** What the liquid stands on when it is at its least, to a jug mark; null above that. */
export const boundBy = <By extends string>(addMl: number, bounds: { leastMl: number; leastBy: By }): By | null =>
  addMl <= bounds.leastMl + jugMarkMl ? bounds.leastBy : null;
const jugMarkMl = 5;

/** The minimum is met within this share of it. */
export const minimumSlack = 0.03;
/** Thin liquid that meets the minimum of a pot, mL. */
export const leastThinMl = (minimumMl: number): number => minimumMl * (1 - minimumSlack);

/** Share of the starch that may stand dry: pasta may peek [common practice]. */
export const dryLimits = { grain: 0.05, pasta: 0.15, pastaStop: 0.3 } as const;
/** An inner bowl holds its grain and water up to two thirds [common practice]. */
export const bowlLimit = 2 / 3;
const leastInBowlMl = 50;
const closeMl = 1;

const stackOf = (setup: Setup, addMl: number): StackInput => ({
  g: setup.g,
  pot: setup.pot,
  addMl,
  clingG: setup.src.clingG,
  goneG: setup.src.reducedG - gravyGainG(setup),
  outerMl: setup.outerMl,
});

/** What the things of a first stage gave or drank, less its steam and with what the cook measured: it stands in the pot before the second lid, g. */
function gravyGainG({ g, src, first }: Setup): number {
  if (!first) return 0;
  const given = g.items.filter((i) => first.items.has(i.ingredient.id) && !i.main).reduce((s, i) => s + juiceG(i), 0);
  return given - first.steamG + src.gravyG;
}

export const geometryOf = (setup: Setup, addMl: number): Geometry => stackPlan(stackOf(setup, addMl));

/**
 * Bounds of the liquid while it is solved: never under the pot's minimum less what is thin at the base, never under what
 * covers the starch, never over the fill that is planned for. Where both cannot be, the lower one stands.
 */
export function liquidBounds(setup: Setup): LiquidBounds {
  const { g, pot } = setup;
  const potMl = pot.litres * 1000;
  if (g.inBowl) {
    const mostMl = bowlLimit * bowlCapacityLitres(g.bowl) * 1000 - (g.grain ? g.grain.grams / 1.45 : 0);
    return { leastMl: leastInBowlMl, leastBy: 'nothing', mostMl: Math.max(leastInBowlMl, mostMl), mostBy: 'bowl' };
  }
  const thinElse = thinAtBaseMl(stackOf(setup, 0));
  const perMl = g.main.food.bulkGPerMl[0] / g.main.food.densityGPerMl[0];
  const minimumMl = Math.max(0, (leastThinMl(pot.minimumLiquidMl[0]) - thinElse) / perMl);
  const limit = g.grain?.food.kind === 'pasta' ? dryLimits.pasta : dryLimits.grain;
  const coverMl = g.grain ? firstFrom(0, potMl, (ml) => geometryOf(setup, ml).dryGrainShare <= limit) : 0;
  // What made the steam of a first stage is in the pot already.
  const leastMl = Math.max(minimumMl, coverMl, beforeOf(setup)?.liquidMl ?? 0);
  const fits = (ml: number): boolean => geometryOf(setup, ml).fillFraction <= fillLimits.solvedOfMost * pot.fillShare;
  // What is too much for the pot with its least liquid is a stop; its liquid is then what the starch wants, and is scaled with it.
  const tooMuch = geometryOf(setup, leastMl).fillFraction > pot.fillShare;
  const full = fits(potMl) || tooMuch ? potMl : firstFrom(0, potMl, (ml) => !fits(ml));
  return {
    leastMl,
    leastBy: leastMl === 0 ? 'nothing' : coverMl > minimumMl ? 'covers-starch' : 'pot-minimum',
    mostMl: Math.max(leastMl, full),
    mostBy: 'fill',
  };
}

/** The least number from which on something holds; `from` where it holds at once. */
const firstFrom = (from: number, to: number, holds: (x: number) => boolean): number =>
  holds(from) ? from : turnBetween(from, to, holds, { within: closeMl }).high;
