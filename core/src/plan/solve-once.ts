import { closedLiquidG } from '../grain/closed';
import { type Texture, wishShift } from '../grain/texture';
import { uptakeGPerG } from '../grain/uptake';
import type { Program, Release } from '../pot/cook';
import { issueAt, refusal } from '../problem';
import type { Bench } from './bench';
import { liquidBounds, type LiquidBounds } from './bounds';
import { type Cooked, cookHeated, heat } from './cooked';
import type { Heated } from './heated';
import { holdsOf } from './holds';
import { missOf } from './liquid';
import { type Fixed, type Near, sameRelease, Search } from './search';
import { soupFrom } from './target';
import { finishedMass, type GrainOutcome, saucyFrom, wantedSauceG } from './water';
import { better, type Candidate } from './weigh';

/** Temperature at which a pot is opened after most natural releases, degC [derived]. */
const openedC = 102.4;

/** The closed sum as a first guess: for the starch alone, + sauce wanted - what soak and food bring, in mL to add. */
export function firstGuessMl(b: Bench, texture: Texture): number {
  const { g, src, pot } = b;
  const rec = g.grain!.food.grain!;
  const grams = g.grain!.grams;
  const aim = rec.aimMoisture[0] + (g.sauceShare < saucyFrom ? wishShift[texture] / 100 : 0);
  const alone = closedLiquidG(rec, { rawG: grams, clingG: src.clingG, moisture: aim }, openedC);
  const sauce = wantedSauceG(g, finishedMass(g, 0) + grams * uptakeGPerG(rec.rawMoisture[0], aim));
  const brought = src.soakG + src.fromItems.reduce((s, x) => s + x.grams, 0);
  return Math.max(
    g.inBowl ? 50 : pot.minimumLiquidMl[0] / 2,
    (alone + sauce + src.simmerG - brought) / src.mainWaterPerMl,
  );
}

/** Step of the pot while searching, s: within 1 % of the fine one; what is shown is cooked at 1 s. */
export const searchDtS = 2;
/** The liquid that a program wants has come to rest within this, mL. */
const settledMl = 4;
const mostRounds = 5;

/** Without a starch the liquid is what the pot needs to make steam, the sauce wanted, and what pasta drinks at the end. */
function liquidWithoutStarch(b: Bench, bounds: LiquidBounds): number {
  const { g, src } = b;
  const given = src.fromItems.reduce((s, x) => s + x.grams, 0);
  const late = g.items.filter((i) => i.joins === 'finish' && i.food.grain);
  const drinks = late.reduce(
    (s, i) => s + i.grams * uptakeGPerG(i.food.grain!.rawMoisture[0], i.food.grain!.refMoisture[0]),
    0,
  );
  const sauce = (g.sauceShare * (finishedMass(g, 0) + drinks) - given + src.filmG) / (1 - g.sauceShare);
  return Math.min(bounds.mostMl, Math.max(bounds.leastMl, (sauce + drinks) / src.mainWaterPerMl));
}

export interface Solved {
  cooked: Cooked;
  /** what was asked for could not be reached with any liquid */
  missed: boolean;
  bounds: LiquidBounds;
}

/** A program that serves the starch at least this often, with every piece safe and tender, is not doubted. */
export const servedFrom = 0.5;
/** The program that was found for a dish under one lid, as the search sees it, with what its starch alone would have liked. */
export interface OneLid {
  b: Bench;
  texture: Texture;
  addMl: number;
  pressure: 'high' | 'low';
  best: Candidate;
  missed: boolean;
  bounds: LiquidBounds;
  h: Heated;
  /** the best program while every piece is taken as perfect */
  perfect: Candidate;
}

/** The program that was found, cooked in full resolution. */
export function inFull({ b, texture, addMl, pressure, best, missed, bounds }: OneLid): Solved {
  const program = { pressure, holdMin: best.holdMin, release: best.release };
  return { cooked: surely(b, addMl, program, texture), missed, bounds };
}

/**
 * A full pot of soup is long under way, and its rice is past its best before the lid comes to pressure: then a part of the
 * liquid waits, and is stirred in boiling hot after the opening.
 */
export function solveOnce(b: Bench, texture: Texture, near: Near | null): OneLid {
  const bounds = liquidBounds(b);
  const whole = solveWithin(b, texture, near, bounds);
  if (!isLateSoup(whole)) return whole;
  return underLidShares.reduce((found, share) => {
    const mostMl = Math.max(bounds.leastMl, share * whole.addMl);
    const less = solveWithin(b, texture, near, { ...bounds, mostMl, mostBy: 'heat-up' });
    const [a, c] = [found.best, less.best];
    return c.stops <= a.stops && 100 * (c.chance.all - a.chance.all) > worthWaiting ? less : found;
  }, whole);
}
/** Shares of the liquid of a soup that are tried under the lid. */
const underLidShares = [0.75, 0.5] as const;
/** Liquid that waits is one more step: it must bring so many points of chance [from memory]. */
const worthWaiting = 4;

/** A soup whose grain seldom comes out right with the shortest hold there is. */
function isLateSoup({ b, h, best }: OneLid): boolean {
  const { dish, grain, rule, sauceShare } = b.g;
  if (grain?.food.kind !== 'grain' || !rule.stirred || sauceShare < soupFrom) return false;
  const o = dish.overrides ?? {};
  if (o.liquidMl !== undefined || o.holdMin !== undefined) return false;
  return best.holdMin === holdsOf(h)[0] && best.chance.texture < servedFrom;
}

function solveWithin(b: Bench, texture: Texture, near: Near | null, bounds: LiquidBounds): OneLid {
  const o = b.g.dish.overrides ?? {};
  const fixed: Fixed = {
    ...(o.holdMin === undefined ? {} : { holdMin: o.holdMin }),
    ...(o.release === undefined ? {} : { release: o.release }),
    ...(o.liquidMl === undefined ? {} : { liquidMl: o.liquidMl }),
  };
  const miss = missOf(b, texture);
  const choices = pressuresOf(b);
  let addMl =
    o.liquidMl ??
    (b.g.grain
      ? Math.min(bounds.mostMl, Math.max(bounds.leastMl, firstGuessMl(b, texture)))
      : liquidWithoutStarch(b, bounds));
  let best: Candidate | null = null;
  let one: Found | null = null;
  let pressure = choices[0]!;
  for (let round = 0; round < mostRounds; round++) {
    const from: Candidate | null = best;
    const found: Found[] = choices
      .filter((c) => from === null || c === pressure)
      .map((c): Found => {
        const search = new Search(heat(b, { addMl, pressure: c, texture, dtS: searchDtS }), { miss, bounds, fixed });
        const best = from ? search.around(from, near) : search.best(near);
        return { pressure: c, best, h: search.h, perfect: search.perfect! };
      });
    const won: Found = found.reduce((a, x) => (better(a.best, x.best) === x.best ? x : a));
    const same = from !== null && won.best.holdMin === from.holdMin && sameRelease(won.best.release, from.release);
    const moved = Math.abs(won.best.addMl - addMl);
    ({ best, pressure } = won);
    one ??= won;
    if (o.liquidMl !== undefined || !b.g.grain || (same && moved < settledMl) || (round > 0 && moved < 1)) break;
    addMl = won.best.addMl;
  }
  if (o.liquidMl === undefined) addMl = rounded(best!.addMl, bounds);
  const out = best!.outcome;
  const missed = out !== null && miss !== null && o.liquidMl === undefined && isMissed(b, miss.of(out), out);
  const { h, perfect } = one!;
  return { b, texture, addMl, pressure, best: best!, missed, bounds, h, perfect };
}

/** A texture this far from what is wanted is reported, points; a sauce by so much of what is wanted, g [common practice]. */
const reportedMiss = { points: 1.5, sauceShare: 0.8, sauceG: 80 } as const;
function isMissed(b: Bench, by: number, out: GrainOutcome): boolean {
  if (b.g.sauceShare < saucyFrom && b.g.saucePerStarch === null) return Math.abs(by) > reportedMiss.points;
  return Math.abs(by) > Math.max(reportedMiss.sauceG, reportedMiss.sauceShare * wantedSauceG(b.g, out.finishedG));
}

/** Five millilitres is what a jug shows. */
export const roundMl = (ml: number): number => Math.round(ml / 5) * 5;

/** The same within the bounds. */
function rounded(ml: number, bounds: LiquidBounds): number {
  const near = roundMl(ml);
  const least = Math.ceil(bounds.leastMl / 5) * 5;
  if (near < bounds.leastMl) return least;
  return near > bounds.mostMl ? Math.max(least, Math.floor(bounds.mostMl / 5) * 5) : near;
}

type Found = Pick<OneLid, 'pressure' | 'best' | 'h' | 'perfect'>;

/** Pressures that this cooker can be set to here. A cooker with programs only has its own pairs of pressure and minutes. */
function pressuresOf(b: Bench): ('high' | 'low')[] {
  const o = b.g.dish.overrides ?? {};
  const own = b.pot.programs;
  if (!own) return [o.pressure ?? 'high'];
  const fits = own.filter(
    (p) =>
      (o.pressure === undefined || p.pressure === o.pressure) && (o.holdMin === undefined || p.holdMin === o.holdMin),
  );
  if (fits.length === 0) {
    const list = own.map((p) => `${p.holdMin} min ${p.pressure}`).join(', ');
    throw refusal(
      'program-not-here',
      { programs: list },
      issueAt('overrides.holdMin', 'use-one-of', { values: list, hint: '' }),
    );
  }
  return [...new Set(fits.map((p) => p.pressure))];
}

/**
 * The chosen program in full resolution. The search was coarser: where that let a piece stay under its minimum or a
 * root hard, the hold grows by minutes, or where it is fixed the natural release, until it does not.
 */
function surely(b: Bench, addMl: number, program: Program, texture: Texture): Cooked {
  const h = heat(b, { addMl, pressure: program.pressure, texture });
  const first = cookHeated(b, h, program);
  const short = (c: Cooked): boolean => c.chosen.stops > 0 || c.chosen.plants.some((v) => v.verdict === 'hard');
  if (!short(first)) return first;
  const o = b.g.dish.overrides ?? {};
  let best = first;
  const consider = (holdMin: number, release: Release): boolean => {
    const next = cookHeated(b, h, { holdMin, release });
    const fewer = next.chosen.stops < best.chosen.stops;
    if (fewer || (next.chosen.stops === best.chosen.stops && next.chosen.score > best.chosen.score)) best = next;
    return !short(next);
  };
  if (o.holdMin === undefined)
    for (const holdMin of holdsOf(h)
      .filter((x) => x > program.holdMin + 1e-9)
      .slice(0, mostExtra))
      if (consider(holdMin, program.release)) return best;
  if (o.release === undefined && program.release.kind !== 'natural')
    for (const more of [2, 4, 8, 12]) {
      const naturalMin = (program.release.naturalMin ?? 0) + more;
      if (consider(program.holdMin, { kind: 'timed', naturalMin })) return best;
    }
  return best;
}
/** Longer holds that are tried. */
const mostExtra = 4;
