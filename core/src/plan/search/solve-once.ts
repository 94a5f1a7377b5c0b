import { closedLiquidG } from '../../grain/closed';
import { type Texture, wishShift } from '../../grain/texture';
import { uptakeGPerG } from '../../grain/uptake';
import type { Release } from '../../pot/program';
import { issueAt, refusal } from '../../problem';
import type { Setup } from '../setup/setup';
import { liquidBounds, type LiquidBounds } from '../setup/bounds';
import { heat } from '../simulate/heated';
import type { Run } from '../judge/run';
import { runOf } from '../judge/runs';
import { holdsOf } from './holds';
import { missOf } from './liquid';
import { type Fixed, type Near, Search } from './search';
import { sameRelease } from './releases';
import { soupFrom } from '../setup/target';
import { finishedMass, saucyFrom, wantedSauceG } from '../setup/sauce';
import type { GrainOutcome } from '../simulate/outcome';
import { better } from '../judge/weigh';

/** Temperature at which a pot is opened after most natural releases, degC [derived]. */
const openedC = 102.4;

/** The closed sum as a first guess: for the starch alone, + sauce wanted - what soak and food bring, in mL to add. */
export function firstGuessMl(setup: Setup, texture: Texture): number {
  const { g, src, pot } = setup;
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
/** The liquid that a program wants has come to rest within this, mL, or this share of it: it moves the heat-up by a second. */
const settledMl = 4;
const settledShare = 0.005;
const mostRounds = 5;

/** Without a starch the liquid is what the pot needs to make steam, the sauce wanted, and what pasta drinks at the end. */
function liquidWithoutStarch(setup: Setup, bounds: LiquidBounds): number {
  const { g, src } = setup;
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
  run: Run;
  /** what was asked for could not be reached with any liquid */
  missed: boolean;
  bounds: LiquidBounds;
}

/** A program that serves the starch at least this often, with every piece safe and tender, is not doubted. */
export const servedFrom = 0.5;
/** The program that was found for a dish under one lid, as the search sees it, with what its starch alone would have liked. */
export interface OneLid {
  best: Run;
  /** the liquid to a jug mark, mL */
  addMl: number;
  /** the best program of the first heat-up while every piece is taken as perfect */
  perfect: Run;
  missed: boolean;
  bounds: LiquidBounds;
}

/** The program that was found, cooked in full resolution. */
export const inFull = ({ best, addMl, missed, bounds }: OneLid): Solved => ({
  run: surely(best, addMl),
  missed,
  bounds,
});

/**
 * A full pot of soup is long under way, and its rice is past its best before the lid comes to pressure: then a part of the
 * liquid waits, and is stirred in boiling hot after the opening.
 */
export function solveOnce(setup: Setup, texture: Texture, near: Near | null): OneLid {
  const bounds = liquidBounds(setup);
  const whole = lessScorched(setup, texture, near, solveWithin(setup, texture, near, bounds));
  if (!isLateSoup(whole)) return whole;
  return underLidShares.reduce((found, share) => {
    const mostMl = Math.max(bounds.leastMl, share * whole.addMl);
    const less = solveWithin(setup, texture, near, { ...bounds, mostMl, mostBy: 'heat-up' });
    const [a, c] = [found.best, less.best];
    return c.stops <= a.stops && 100 * (c.chance.all - a.chance.all) > worthWaiting ? less : found;
  }, whole);
}
/** Shares of the liquid of a soup that are tried under the lid. */
const underLidShares = [0.75, 0.5] as const;
/** Liquid that waits is one more step: it must bring so many points of chance [from memory]. */
const worthWaiting = 4;

/**
 * A quicker release costs steam and wants more liquid, and more liquid spares the base: a round of the search has one heat-up
 * and cannot see it. Where the base is in doubt, and a clean one would win enough, each such release is solved with the liquid
 * that it wants itself.
 */
function lessScorched(setup: Setup, texture: Texture, near: Near | null, found: OneLid): OneLid {
  const o = setup.g.dish.overrides ?? {};
  const { best, bounds } = found;
  if (best.chance.base >= cleanFrom || o.release !== undefined || o.liquidMl !== undefined) return found;
  const worth = near === null ? worthQuicker.fromNothing : worthQuicker.besideLast;
  const byCleanBase = best.chance.all / best.chance.base - best.chance.all;
  if (100 * byCleanBase <= worth) return found;
  const others = (setup.pot.whistle ? quickerWhistles : quicker).filter((r) => !sameRelease(r, best.release));
  return others.reduce((a, release) => {
    const other = solveWithin(setup, texture, near, bounds, release);
    const [now, then] = [a.best, other.best];
    return then.stops <= now.stops && 100 * (then.chance.all - now.chance.all) > worth ? other : a;
  }, found);
}
/** A base that stays clean as often is in no doubt [from memory]. */
const cleanFrom = 0.9;
/** Points of chance that another release must bring: nearer to each other they are one plan, the more so beside the last one [from memory]. */
const worthQuicker = { fromNothing: 1, besideLast: 4 } as const;
const quickerWhistles: readonly Release[] = [{ kind: 'quick' }];
const quicker: readonly Release[] = [...quickerWhistles, { kind: 'timed', naturalMin: 8 }];

/** A soup whose grain seldom comes out right with the shortest hold there is. */
function isLateSoup({ best, perfect }: OneLid): boolean {
  const { dish, grain, rule, sauceShare } = best.h.setup.g;
  if (grain?.food.kind !== 'grain' || !rule.stirred || sauceShare < soupFrom) return false;
  const o = dish.overrides ?? {};
  if (o.liquidMl !== undefined || o.holdMin !== undefined) return false;
  return best.holdMin === holdsOf(perfect.h)[0] && best.chance.texture < servedFrom;
}

function solveWithin(
  setup: Setup,
  texture: Texture,
  near: Near | null,
  bounds: LiquidBounds,
  ownRelease?: Release,
): OneLid {
  const o = setup.g.dish.overrides ?? {};
  const release = ownRelease ?? o.release;
  const fixed: Fixed = {
    ...(o.holdMin === undefined ? {} : { holdMin: o.holdMin }),
    ...(release === undefined ? {} : { release }),
    ...(o.liquidMl === undefined ? {} : { liquidMl: o.liquidMl }),
  };
  const miss = missOf(setup, texture);
  let addMl =
    o.liquidMl ??
    (setup.g.grain
      ? Math.min(bounds.mostMl, Math.max(bounds.leastMl, firstGuessMl(setup, texture)))
      : liquidWithoutStarch(setup, bounds));
  let found: Found | null = null;
  let perfect: Run | null = null;
  const seen: Near[] = [];
  for (let round = 0; round < mostRounds; round++) {
    const from: Run | null = found && found.best;
    const pressures: readonly ('high' | 'low')[] = from ? [from.h.heated.pressure] : pressuresOf(setup);
    const tried: Found[] = pressures.map((pressure): Found => {
      const search = new Search(heat(setup, { addMl, pressure, texture, dtS: searchDtS }), { miss, bounds, fixed });
      const best = from ? search.around(from, near) : search.best(near);
      return { best, perfect: search.perfect! };
    });
    const won: Found = tried.reduce((a, x) => (better(a.best, x.best) === x.best ? x : a));
    found = won;
    perfect ??= won.perfect;
    const { best } = won;
    const moved = Math.abs(best.addMl - addMl);
    const settled = Math.max(settledMl, settledShare * addMl);
    // A program that comes back after another goes round in a circle.
    const again = seen.some((r) => r.holdMin === best.holdMin && sameRelease(r.release, best.release));
    if (o.liquidMl !== undefined || !setup.g.grain || (again && moved < settled) || moved < 1) break;
    seen.push({ holdMin: best.holdMin, release: best.release });
    addMl = best.addMl;
  }
  const { best } = found!;
  if (o.liquidMl === undefined) addMl = rounded(best.addMl, bounds);
  const out = best.outcome;
  const missed = out !== null && miss !== null && o.liquidMl === undefined && isMissed(setup, miss.of(out), out);
  return { best, addMl, perfect: perfect!, missed, bounds };
}
type Found = Pick<OneLid, 'best' | 'perfect'>;

/** A texture this far from what is wanted is reported, points; a sauce by so much of what is wanted, g [common practice]. */
const reportedMiss = { points: 1.5, sauceShare: 0.8, sauceG: 80 } as const;
function isMissed(setup: Setup, by: number, out: GrainOutcome): boolean {
  if (setup.g.sauceShare < saucyFrom && setup.g.saucePerStarch === null) return Math.abs(by) > reportedMiss.points;
  return Math.abs(by) > Math.max(reportedMiss.sauceG, reportedMiss.sauceShare * wantedSauceG(setup.g, out.finishedG));
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

/** Pressures that this cooker can be set to here. A cooker with programs only has its own pairs of pressure and minutes. */
function pressuresOf(setup: Setup): ('high' | 'low')[] {
  const o = setup.g.dish.overrides ?? {};
  const own = setup.pot.programs;
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

/** Slow cuts that stay tough. */
export const toughMeats = ({ meats }: Run): number => meats.filter((m) => m.verdict.texture === 'tough').length;

/**
 * The chosen program in full resolution. The search was coarser: where that let a piece stay under its minimum or tough, or
 * a root hard, the hold grows by minutes, or where it is fixed the natural release, until it does not.
 */
function surely(found: Run, addMl: number): Run {
  const { setup, heated, texture } = found.h;
  const h = heat(setup, { addMl, pressure: heated.pressure, texture });
  const first = runOf(h, found.holdMin, found.release);
  const hard = (r: Run): number => r.plants.filter((v) => v.verdict === 'hard').length;
  const short = (r: Run): boolean =>
    r.stops > found.stops || toughMeats(r) > toughMeats(found) || hard(r) > hard(found);
  if (!short(first)) return first;
  const o = setup.g.dish.overrides ?? {};
  const holds: Near[] =
    o.holdMin === undefined
      ? holdsOf(h)
          .filter((x) => x > found.holdMin + 1e-9)
          .slice(0, mostExtra)
          .map((holdMin) => ({ holdMin, release: found.release }))
      : [];
  const soFarMin = found.release.naturalMin ?? 0;
  const timed: Near[] =
    o.release === undefined && found.release.kind !== 'natural'
      ? moreNaturalMin.map((more) => ({
          holdMin: found.holdMin,
          release: { kind: 'timed', naturalMin: soFarMin + more },
        }))
      : [];
  const run = ({ holdMin, release }: Near): Run => runOf(h, holdMin, release);
  let best = first;
  for (const longer of [holds, timed]) {
    const last = longer.at(-1);
    if (!last) continue;
    const most = run(last);
    // What the longest does not mend none of the shorter ones does: in full resolution each is dear.
    if (short(most)) {
      best = better(best, most);
      continue;
    }
    for (const shorter of longer.slice(0, -1)) {
      const r = run(shorter);
      if (!short(r)) return r;
    }
    return most;
  }
  return best;
}
/** Minutes of natural release more than the search's that are tried. */
const moreNaturalMin = [2, 4, 8, 12] as const;
/** Longer holds that are tried. */
const mostExtra = 4;
