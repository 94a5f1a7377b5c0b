import { equivalentMin } from '../grain/clock';
import { rate } from '../grain/rate';
import { soakFactor, wishTime, type Texture } from '../grain/texture';
import type { CookRun, HeatedPot, Release } from '../pot/cook';
import type { Term } from '../reasoned';
import type { PlantVerdict } from './document';
import { hasFlag, type Gathered } from './gather';
import { runMeats, runPlants, type Earlier, type MeatRun } from './meat';
import { isSoakedWhite, saucyFrom, slowingOf, starchTemps } from './water';

export interface Candidate {
  holdMin: number;
  release: Release;
  run: CookRun;
  /** temperatures of the starch along the run; none in a dish without one */
  temps?: Float64Array;
  /** minutes at 100 degC of the starch; 0 without one */
  equivalentMin: number;
  meats: MeatRun[];
  plants: PlantVerdict[];
  meatOk: boolean;
  cost: number;
  terms: Term[];
}

/** A heated pot with what is in it: everything that a pair of hold and release is judged by. */
export interface Heated {
  g: Gathered;
  heated: HeatedPot;
  depthCm: number;
  addMl: number;
  texture: Texture;
  earlier: Earlier | null;
}

/** Half minutes below five, then whole minutes. */
const holds: readonly number[] = [
  ...Array.from({ length: 10 }, (_, i) => i / 2),
  ...Array.from({ length: 56 }, (_, i) => i + 5),
];
const naturals: readonly Release[] = [
  { kind: 'quick' },
  ...[2, 4, 5, 6, 8, 10, 12, 15].map((n): Release => ({ kind: 'timed', naturalMin: n })),
  { kind: 'natural' },
];
/** A whistle cooker is let down by itself, or its weight is lifted. */
const whistleReleases: readonly Release[] = [{ kind: 'natural' }, { kind: 'quick' }];
const mostWhistles = 25;

/** What each choice costs, in texture points squared or their like [common practice]. */
const price = {
  perWaitMin: 0.1,
  /** too little time cannot be mended with water: the grain would only drink it half */
  underReference: 30,
  underLeast: 60,
  /** a hold under three minutes leaves the doneness to a heat-up that nobody controls */
  perUncontrolledMin2: 0.15,
  surestHoldMin: 3,
  quickStarch: 4,
  /** pasta is let off at once by custom, unless it stands high in the pot */
  quickPasta: 0.6,
  /** risotto and soup are let off at once by custom too */
  quickStirred: 1,
  highFill: 0.5,
  quickLargeMeat: 2,
  dryMeat: 4,
  firmMeat: 0.5,
  toughMeat: 9,
  hardPlant: 25,
  softPlant: 3,
  comfortableNaturalMin: 10,
} as const;
/** E is held between the least that cooks the core and one and a half times the reference. */
const mostOfReference = 1.5;

/** From this share of free liquid on a dish is a soup; its grain has a hard core under so much of its boiling time [derived]. */
const soupFrom = 0.3;
const soupLeast = 0.8;

export interface TargetE {
  least: number;
  want: number;
  most: number;
}

/**
 * Minutes at 100 degC this starch wants here: its reference, a quarter less after a real soak. Where the sauce sets the
 * water (pasta, risotto), the cook's wish for firm or soft is met with time.
 */
export function targetE(g: Gathered, texture: Texture, addMl: number): TargetE {
  const rec = g.grain!.food.grain!;
  const pasta = g.grain!.food.kind === 'pasta';
  const f = pasta ? 1 / slowingOf(g, addMl) : isSoakedWhite(g.grain!) ? soakFactor : 1;
  const wish = g.sauceShare >= saucyFrom || pasta ? wishTime[texture] : 1;
  // In a soup the grain finds all the water it can drink: it is done at its boiling time, not at the reference of a dry pot.
  const soup = g.sauceShare >= soupFrom && !pasta;
  const want = (soup ? rec.boilMin[0] : rec.eRef[0]) * f * wish;
  return {
    least: (soup ? soupLeast * rec.boilMin[0] : rec.eMin[0]) * f,
    want,
    most: Math.max(want, rec.eRef[0] * f * mostOfReference),
  };
}

/**
 * Searches hold and release. For every release the hold of least cost near the wanted doneness (E grows with the hold);
 * then the meats, cheapest pair first: where one is not done, the hold grows until it is or the grain has had too much.
 * Cost: distance in doneness, wait, minutes nobody controls, spray of a starchy quick release, dry or tough meat.
 */
export function searchProgram(
  h: Heated,
  fixed: { holdMin?: number; release?: Release } = {},
  only?: readonly number[],
): Candidate {
  const whistles = h.heated.state.pot.whistle !== null;
  // A cooker with fixed programs is searched on what it allows.
  const grid = only ? [...only].sort((a, b) => a - b) : whistles ? whistleHolds(h.heated) : holds;
  const releases = fixed.release ? [fixed.release] : whistles ? whistleReleases : naturals;
  if (!h.g.grain) return searchWithoutStarch(h, grid, releases, fixed.holdMin);
  const want = targetE(h.g, h.texture, h.addMl);
  const at = (holdMin: number, release: Release): Trial => trial(h, holdMin, release, want);
  let guess = grid.find((x) => x >= 5) ?? grid.at(-1)!;
  const perMin = Math.max(0.5, rate(h.g.grain.food.grain!.kinetics, h.heated.state.tempC));
  const trials = releases.map((release) => {
    if (fixed.holdMin !== undefined) return at(fixed.holdMin, release);
    const best = bestHold(grid, guess, (x) => at(x, release), want.want, perMin);
    guess = best.holdMin;
    return best;
  });
  trials.sort((a, b) => a.cost - b.cost);
  let best: Candidate | null = null;
  for (const t of trials) {
    if (best?.meatOk && t.cost >= best.cost) break;
    let c = withPieces(h, t);
    if (fixed.holdMin === undefined) {
      for (let i = indexOf(grid, t.holdMin) + 1; !c.meatOk && i < grid.length; i++) {
        const next = at(grid[i]!, t.release);
        if (next.equivalentMin > want.most) break;
        c = withPieces(h, next);
      }
    }
    best = better(best, c);
  }
  return best!;
}

export const better = (best: Candidate | null, c: Candidate): Candidate =>
  !best || (c.meatOk && !best.meatOk) || (c.meatOk === best.meatOk && c.cost < best.cost) ? c : best;

/** Without a starch the pieces alone decide: the hold of least cost, found from below, since more is never less done. */
function searchWithoutStarch(
  h: Heated,
  grid: readonly number[],
  releases: readonly Release[],
  holdMin?: number,
): Candidate {
  let best: Candidate | null = null;
  for (const release of releases) {
    let low = 0;
    let high = grid.length - 1;
    const at = (i: number): Candidate => withPieces(h, trial(h, grid[i]!, release, null));
    if (holdMin !== undefined) {
      best = better(best, withPieces(h, trial(h, holdMin, release, null)));
      continue;
    }
    const enough = (c: Candidate): boolean =>
      c.meatOk &&
      c.plants.every((p) => p.verdict !== 'hard') &&
      c.meats.every((m) => m.verdict.texture !== 'tough' && m.verdict.texture !== 'under');
    while (low < high) {
      const mid = (low + high) >> 1;
      if (enough(at(mid))) high = mid;
      else low = mid + 1;
    }
    best = better(best, at(low));
  }
  return best!;
}

const indexOf = (grid: readonly number[], holdMin: number): number => {
  const i = grid.findIndex((h) => h >= holdMin - 1e-9);
  return i < 0 ? grid.length - 1 : i;
};

/** A whistle cooker is held for a whole number of whistles. */
function whistleHolds(heated: HeatedPot): number[] {
  const out: number[] = [];
  for (let n = 1; n <= mostWhistles; n++) {
    const hold = heated.holdForWhistles(n);
    if (out.length > 0 && hold <= out[out.length - 1]!) continue;
    if (hold >= 60) break;
    out.push(hold);
  }
  return out.length > 0 ? out : [0];
}

/** The hold of least cost for one release: one jump along the known slope, then downhill on the grid. */
function bestHold(
  grid: readonly number[],
  guess: number,
  at: (holdMin: number) => Trial,
  wantE: number,
  perMin: number,
): Trial {
  const first = at(guess);
  const jump = indexOf(grid, Math.max(0, guess + (wantE - first.equivalentMin) / perMin));
  let best = grid[jump] === guess ? first : at(grid[jump]!);
  for (const direction of [1, -1]) {
    let moved = false;
    for (let k = jump + direction; k >= 0 && k < grid.length; k += direction) {
      const next = at(grid[k]!);
      if (next.cost >= best.cost) break;
      best = next;
      moved = true;
    }
    if (moved) break;
  }
  return best;
}

interface Trial {
  holdMin: number;
  release: Release;
  run: CookRun;
  /** temperatures of the starch along the run; none in a dish without one */
  temps?: Float64Array;
  equivalentMin: number;
  naturalMin: number;
  cost: number;
  terms: Term[];
}

function trial(h: Heated, holdMin: number, release: Release, want: TargetE | null): Trial {
  const { g, heated } = h;
  const run = heated.finish(holdMin, release);
  const waitMin = (run.openS - (run.countdownS ?? 0)) / 60;
  const naturalMin = ((run.valveS ?? run.openS) - run.releaseS) / 60;
  const wait = price.perWaitMin * waitMin;
  const terms: Term[] = [];
  let cost = wait;
  let eMin = 0;
  let temps: Float64Array | undefined;
  if (g.grain && want) {
    temps = starchTemps(g, run, h.addMl, h.depthCm);
    eMin = equivalentMin(temps, run.history.dtS, g.grain.food.grain!.kinetics);
    const short = eMin < want.least ? price.underLeast : eMin < want.want ? price.underReference : 1;
    const distance = short * (3 * Math.log(Math.max(1e-3, eMin) / want.want)) ** 2;
    terms.push(
      { label: 'doneness-wanted', value: want.want, unit: 'min', source: 'derived' },
      { label: 'doneness-here', value: eMin, unit: 'min', source: 'derived' },
      { label: 'cost-doneness', value: distance, unit: 'points' },
    );
    const loose = price.perUncontrolledMin2 * Math.max(0, price.surestHoldMin - holdMin) ** 2;
    const spray = sprayPrice(g, heated.state.fill) * Math.max(0, 1 - naturalMin / price.comfortableNaturalMin) ** 2;
    if (loose > 0) terms.push({ label: 'cost-uncontrolled', value: loose, unit: 'points', source: 'common-practice' });
    if (spray > 0) terms.push({ label: 'cost-spray', value: spray, unit: 'points', source: 'common-practice' });
    cost += distance + loose + spray;
  }
  terms.push({ label: 'cost-wait', value: wait, unit: 'points' });
  return { holdMin, release, run, equivalentMin: eMin, naturalMin, cost, terms, ...(temps ? { temps } : {}) };
}

/** How much a quick release costs here: starch in thin liquid sprays, more so in a full pot or with foam. */
function sprayPrice(g: Gathered, fill: number): number {
  if (g.inBowl) return 0;
  const high = fill > price.highFill ? 2 : 1;
  if (g.grain?.food.kind === 'pasta') return price.quickPasta * high;
  const foams = g.items.some((i) => hasFlag(i, 'foams') && i.joins === 'stack');
  if (g.rule.stirred && !foams) return price.quickStirred * high;
  return price.quickStarch * (foams ? 2 : high);
}

function withPieces(h: Heated, t: Trial, coarse = true, pieces = true): Candidate {
  const meats = pieces ? runMeats(h.g, t.run, h.depthCm, h.earlier, coarse) : [];
  const plants = pieces ? runPlants(h.g, t.run, coarse) : [];
  const terms = [...t.terms];
  let cost = t.cost;
  const charge = (value: number, subject: string, label = 'cost-meat'): void => {
    if (value === 0) return;
    terms.push({ label, value, unit: 'points', subject, source: 'common-practice' });
    cost += value;
  };
  for (const m of meats) {
    const large = m.item.thicknessMm >= 25 && t.naturalMin < 2 ? price.quickLargeMeat : 0;
    const v = m.verdict;
    const short = v.tenderCoreMin ? Math.max(0, 1 - (v.collagenCoreMin ?? 0) / v.tenderCoreMin) : 0;
    const eating =
      v.texture === 'dry'
        ? price.dryMeat
        : v.texture === 'tough'
          ? price.toughMeat * short
          : v.texture === 'firm'
            ? price.firmMeat
            : 0;
    charge(large + eating, m.item.ingredient.id);
  }
  for (const p of plants)
    charge(
      p.verdict === 'hard' ? price.hardPlant : p.verdict === 'soft' ? price.softPlant : 0,
      p.ingredient,
      'cost-plant',
    );
  return { ...t, meats, plants, meatOk: meats.every((m) => m.verdict.ok), cost, terms };
}

/** One pair of hold and release with what it gives and what it costs; `pieces` false leaves meat and roots out. */
export const candidate = (h: Heated, holdMin: number, release: Release, pieces = true): Candidate =>
  withPieces(h, trial(h, holdMin, release, h.g.grain ? targetE(h.g, h.texture, h.addMl) : null), false, pieces);
