import { bedLagS, equivalentMin, grainTemps } from '../grain/clock';
import { soakFactor } from '../grain/texture';
import { rate } from '../grain/rate';
import type { CookRun, HeatedPot, Release } from '../pot/cook';
import type { Term } from '../reasoned';
import type { Gathered } from './gather';
import { runMeats, type MeatRun } from './meat';
import { standMin } from './water';

export interface Candidate {
  holdMin: number;
  release: Release;
  run: CookRun;
  equivalentMin: number;
  meats: MeatRun[];
  meatOk: boolean;
  cost: number;
  terms: Term[];
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
  quickLargeMeat: 2,
  dryMeat: 4,
  firmMeat: 0.5,
  comfortableNaturalMin: 10,
} as const;
/** E is held between the least that cooks the core and one and a half times the reference. */
const mostOfReference = 1.5;

/** Minutes at 100 degC this grain wants here: its reference, a quarter less after a real soak. */
export function targetE(g: Gathered): { least: number; want: number; most: number } {
  const rec = g.grain!.food.grain!;
  const f = !rec.bran && (g.grain!.ingredient.prep?.soakMin ?? 0) >= 30 ? soakFactor : 1;
  return { least: rec.eMin[0] * f, want: rec.eRef[0] * f, most: rec.eRef[0] * f * mostOfReference };
}

/**
 * Searches hold and release. For every release the hold of least cost near the wanted doneness (E grows with the hold);
 * then the meats, cheapest pair first: where one is not done, the hold grows until it is or the grain has had too much.
 * Cost: distance in doneness, wait, minutes nobody controls, spray of a starchy quick release, dry meat.
 */
export function searchProgram(
  g: Gathered,
  heated: HeatedPot,
  depthCm: number,
  fixed: { holdMin?: number; release?: Release } = {},
): Candidate {
  const want = targetE(g);
  const at = (holdMin: number, release: Release): Trial => trial(g, heated, depthCm, holdMin, release, want);
  const releases = fixed.release ? [fixed.release] : naturals;
  let guess = 5;
  const trials = releases.map((release) => {
    if (fixed.holdMin !== undefined) return at(fixed.holdMin, release);
    const best = bestHold(guess, (h) => at(h, release), want.want, steamRate(g, heated));
    guess = best.holdMin;
    return best;
  });
  trials.sort((a, b) => a.cost - b.cost);
  let best: Candidate | null = null;
  for (const t of trials) {
    if (best?.meatOk && t.cost >= best.cost) break;
    let c = withMeats(g, depthCm, t);
    if (fixed.holdMin === undefined) {
      for (let i = indexOf(t.holdMin) + 1; !c.meatOk && i < holds.length; i++) {
        const next = at(holds[i]!, t.release);
        if (next.equivalentMin > want.most) break;
        c = withMeats(g, depthCm, next);
      }
    }
    if (!best || (c.meatOk && !best.meatOk) || (c.meatOk === best.meatOk && c.cost < best.cost)) best = c;
  }
  return best!;
}

/** Equivalent minutes per minute of hold: what one more minute is worth, for the first jump of the search. */
const steamRate = (g: Gathered, heated: HeatedPot): number =>
  Math.max(0.5, rate(g.grain!.food.grain!.kinetics, heated.state.tempC));

const indexOf = (holdMin: number): number => {
  const i = holds.findIndex((h) => h >= holdMin - 1e-9);
  return i < 0 ? holds.length - 1 : i;
};

/** The hold of least cost for one release: one jump along the known slope, then downhill on the grid. */
function bestHold(guess: number, at: (holdMin: number) => Trial, wantE: number, perMin: number): Trial {
  const first = at(guess);
  const jump = indexOf(Math.max(0, guess + (wantE - first.equivalentMin) / perMin));
  let i = jump;
  let best = holds[i] === guess ? first : at(holds[i]!);
  for (const direction of [1, -1]) {
    for (let k = jump + direction; k >= 0 && k < holds.length; k += direction) {
      const next = at(holds[k]!);
      if (next.cost >= best.cost) break;
      best = next;
      i = k;
    }
    if (i !== jump) break;
  }
  return best;
}

interface Trial {
  holdMin: number;
  release: Release;
  run: CookRun;
  equivalentMin: number;
  naturalMin: number;
  cost: number;
  terms: Term[];
}

function trial(
  g: Gathered,
  heated: HeatedPot,
  depthCm: number,
  holdMin: number,
  release: Release,
  want: ReturnType<typeof targetE>,
): Trial {
  const run = heated.finish(holdMin, release);
  const kinetics = g.grain!.food.grain!.kinetics;
  const eMin = equivalentMin(grainTemps(run.history, { lagS: bedLagS(depthCm), standMin }), run.history.dtS, kinetics);
  const waitMin = (run.openS - (run.countdownS ?? 0)) / 60;
  const naturalMin = ((run.valveS ?? run.openS) - run.releaseS) / 60;
  const short = eMin < want.least ? price.underLeast : eMin < want.want ? price.underReference : 1;
  const distance = short * (3 * Math.log(Math.max(1e-3, eMin) / want.want)) ** 2;
  const wait = price.perWaitMin * waitMin;
  const loose = price.perUncontrolledMin2 * Math.max(0, price.surestHoldMin - holdMin) ** 2;
  const spray = price.quickStarch * Math.max(0, 1 - naturalMin / price.comfortableNaturalMin) ** 2;
  const terms: Term[] = [
    { label: 'doneness-wanted', value: want.want, unit: 'min', source: 'derived' },
    { label: 'doneness-here', value: eMin, unit: 'min', source: 'derived' },
    { label: 'cost-doneness', value: distance, unit: 'points' },
    { label: 'cost-wait', value: wait, unit: 'points' },
  ];
  if (loose > 0) terms.push({ label: 'cost-uncontrolled', value: loose, unit: 'points', source: 'common-practice' });
  if (spray > 0) terms.push({ label: 'cost-spray', value: spray, unit: 'points', source: 'common-practice' });
  return { holdMin, release, run, equivalentMin: eMin, naturalMin, cost: distance + wait + loose + spray, terms };
}

function withMeats(g: Gathered, depthCm: number, t: Trial): Candidate {
  const meats = runMeats(g, t.run, depthCm);
  const terms = [...t.terms];
  let cost = t.cost;
  for (const m of meats) {
    const large = m.item.thicknessMm >= 25 && t.naturalMin < 2 ? price.quickLargeMeat : 0;
    const dry = m.verdict.texture === 'dry' ? price.dryMeat : m.verdict.texture === 'firm' ? price.firmMeat : 0;
    if (large + dry === 0) continue;
    terms.push({
      label: 'cost-meat',
      value: large + dry,
      unit: 'points',
      subject: m.item.ingredient.id,
      source: 'common-practice',
    });
    cost += large + dry;
  }
  return { ...t, meats, meatOk: meats.every((m) => m.verdict.ok), cost, terms };
}

/** One pair of hold and release with what it gives and what it costs. */
export const candidate = (
  g: Gathered,
  heated: HeatedPot,
  depthCm: number,
  holdMin: number,
  release: Release,
): Candidate => withMeats(g, depthCm, trial(g, heated, depthCm, holdMin, release, targetE(g)));
