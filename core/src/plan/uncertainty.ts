import { bandOf, doneShare, hardCore, pastaBand, soakFactorOf, timeTerm } from '../grain/texture';
import { runClock } from '../grain/clock';
import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { pieceSd } from '../meat/cautious';
import { eveningHeatSd } from '../pot/factors';
import { setBench, type Bench } from './bench';
import { textureSd } from './chance';
import type { Plan } from './document';
import { learnedIn } from './learned';
import type { Gathered } from './item';
import { minimumC, runMeats } from './meat';
import { heat } from './cooked';
import { benchOfPlan } from './stages';
import { grainEdges, grainOutcome, saucyFrom, starchTemps } from './water';

/** Chances of every outcome of a plan, and which input moves it most. */
export interface Uncertainty {
  draws: number;
  /** chance of each band of the grain or pasta */
  bands: { band: string; chance: number }[];
  /** chance that the nominal core of each meat reaches its published minimum */
  meats: { ingredient: string; chance: number }[];
  /** share of the spread of the texture that each input explains, largest first; subject is an ingredient id */
  movers: { input: string; subject?: string; share: number }[];
}

/** One standard deviation of each input that is not in the ledger [derived; heat-up and thickness common practice]. */
const sd = {
  heatUp: pieceSd.heatUp,
  kinetics: textureSd.kinetics,
  uptake: 0.04,
  thickness: pieceSd.thickness,
  steamG: 12,
};
/** A pot that is known heats up less uncertainly than one of the table. */
const heatUpSdOf = (kitchen: Kitchen): number => {
  const heat = learnedIn(kitchen)?.pots[kitchen.potId]?.['heat'];
  return heat ? Math.min(sd.heatUp, Math.hypot(heat.sd, eveningHeatSd)) : sd.heatUp;
};
/** Heat-ups that are simulated; draws take the nearest. */
const heatUps = [0.8, 0.9, 1, 1.1, 1.25];
/** Thicknesses that are simulated; draws interpolate. */
const thicknesses = [0.7, 0.85, 1, 1.15, 1.3, 1.5];

/**
 * Draws the spreads of the ledger, the heat-up, the thickness, the kinetics and the uptake with a low-discrepancy
 * sequence (Halton, rotated by the seed), and cooks each. Same plan, same seed, same answer.
 *
 * @param draws how many cooks; 1,000 is enough for two digits
 * @param seed any number; it turns the sequence, nothing else is random
 */
export function uncertainty(
  dish: Dish,
  kitchen: Kitchen = kitchenSchema.parse({}),
  chosen: Plan,
  { draws = 1000, seed = 1 }: { draws?: number; seed?: number } = {},
): Uncertainty {
  const b = benchOfPlan(setBench(dish, kitchen), chosen);
  const { g, src } = b;
  const addMl = chosen.liquid.addMl;
  const cooks = heatUps.map((f) => cookAt(b, f, chosen));
  const juicy = src.fromItems.filter((x) => x.spreadG > 0);
  const inputs: { input: string; subject?: string }[] = [
    { input: 'heat-up' },
    { input: 'kinetics' },
    { input: 'uptake' },
    { input: 'steam' },
    ...juicy.map((x) => ({ input: 'juice', subject: x.item.ingredient.id })),
  ];
  const heatUpSd = heatUpSdOf(kitchen);
  const saucy = g.sauceShare >= saucyFrom;
  const edges = grainEdges(g);
  const rec0 = g.grain?.food.grain;
  const hardAt = rec0 ? rec0.eMin[0] * soakFactorOf(rec0, g.grain!.ingredient.prep?.soakMin ?? 0) : 1;
  const bands = new Map<string, number>();
  const at: number[] = [];
  const drawn: number[][] = inputs.map(() => []);
  const base = g.grain
    ? grainOutcome(
        g,
        src,
        { run: cooks[2]!.run, addMl, depthCm: cooks[2]!.depthCm },
        { earlierSteamG: b.first?.steamG ?? 0 },
      )
    : null;
  const meats = g.items.filter((i) => i.food.kind === 'meat' && cooks[2]!.cores.has(i.ingredient.id));
  const reached = meats.map(() => 0);
  for (let n = 1; n <= draws; n++) {
    const z = inputs.map((_, k) => gaussian(halton(n, primes[k % primes.length]!, seed + k)));
    const cook = nearest(cooks, 1 + heatUpSd * z[0]!);
    z.forEach((v, k) => drawn[k]!.push(v));
    if (g.grain && base) {
      const water = sd.steamG * z[3]! + juicy.reduce((s, x, k) => s + x.spreadG * z[4 + k]!, 0);
      const rec = g.grain.food.grain!;
      // A faster or slower clock is the same as longer or shorter seconds.
      const clock = runClock(cook.temps!, cook.run.history.dtS * Math.max(0.5, 1 + sd.kinetics * z[1]!), {
        grain: rec,
        rawG: g.grain.grams,
        soakedG: src.soakG,
        reachableG: cook.reachableG + water,
        slowing: base.slowing * Math.max(0.5, 1 + sd.uptake * z[2]!),
      });
      const time = (o: { equivalentMin: number }): number =>
        timeTerm(o.equivalentMin, base.clock.equivalentMin, base.freeShare, saucy);
      const packet = g.grain.food.packetMin?.[0];
      const x = packet ? (clock.equivalentMin * base.slowing) / packet : 0;
      const index = base.texture.index + 100 * (clock.moisture - base.clock.moisture) + time(clock);
      const hard = doneShare(clock.equivalentMin, hardAt) < hardCore;
      const band = packet ? pastaBand(x, clock.moisture) : hard ? 'hard' : bandOf(index, edges);
      bands.set(band, (bands.get(band) ?? 0) + 1);
      at.push(packet ? x : index);
    }
    const thick = 1 + sd.thickness * gaussian(halton(n, primes[inputs.length % primes.length]!, seed + 97));
    meats.forEach((m, k) => {
      if (interpolate(cook.cores.get(m.ingredient.id)!, thick) >= minimumC(m)) reached[k]! += 1;
    });
  }
  return {
    draws,
    bands: [...bands].map(([band, count]) => ({ band, chance: count / draws })).sort((p, q) => q.chance - p.chance),
    meats: meats.map((m, k) => ({ ingredient: m.ingredient.id, chance: reached[k]! / draws })),
    movers: inputs
      .map((i, k) => ({ ...i, share: at.length > 0 ? correlation(drawn[k]!, at) ** 2 : 0 }))
      .sort((p, q) => q.share - p.share),
  };
}

interface OneCook {
  factor: number;
  run: ReturnType<ReturnType<typeof heat>['heated']['finish']>;
  depthCm: number;
  temps: Float64Array | null;
  reachableG: number;
  /** nominal core at opening for each simulated thickness */
  cores: Map<string, number[]>;
}

/** The plan as it stands in a pot that heats up by `factor` slower. */
function cookAt(b: Bench, factor: number, chosen: Plan): OneCook {
  const { holdMin, release, pressure } = chosen.program;
  const addMl = chosen.liquid.addMl;
  const pot = { ...b.pot, efficiency: b.pot.efficiency / factor };
  const h = heat({ ...b, pot }, { addMl, pressure, texture: chosen.texture });
  const run = h.heated.finish(holdMin, release);
  const cores = new Map<string, number[]>();
  for (const t of thicknesses) {
    const g: Gathered = { ...b.g, items: b.g.items.map((i) => ({ ...i, thicknessMm: i.thicknessMm * t })) };
    for (const m of runMeats(g, run, { depthCm: h.depthCm, earlier: h.earlier, coarse: true })) {
      const id = m.item.ingredient.id;
      cores.set(id, [...(cores.get(id) ?? []), m.nominal.openCoreC]);
    }
  }
  const out = b.g.grain
    ? grainOutcome(b.g, b.src, { run, addMl, depthCm: h.depthCm }, { earlierSteamG: b.first?.steamG ?? 0 })
    : null;
  return {
    factor,
    run,
    depthCm: h.depthCm,
    temps: b.g.grain ? starchTemps(b.g, run, addMl, h.depthCm) : null,
    reachableG: out ? out.upG - b.src.soakG + out.clock.freeG : 0,
    cores,
  };
}

const nearest = (cooks: readonly OneCook[], factor: number): OneCook =>
  cooks.reduce((a, c) => (Math.abs(c.factor - factor) < Math.abs(a.factor - factor) ? c : a));

function interpolate(cores: readonly number[], thick: number): number {
  const t = Math.min(thicknesses.at(-1)!, Math.max(thicknesses[0]!, thick));
  const i = Math.max(
    1,
    thicknesses.findIndex((x) => x >= t),
  );
  const f = (t - thicknesses[i - 1]!) / (thicknesses[i]! - thicknesses[i - 1]!);
  return cores[i - 1]! + f * (cores[i]! - cores[i - 1]!);
}

const primes = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53];

/** The n-th point of Halton's sequence in a base, turned round the unit circle by the seed. */
export function halton(n: number, base: number, seed: number): number {
  let f = 1;
  let r = 0;
  for (let i = n; i > 0; i = Math.floor(i / base)) {
    f /= base;
    r += f * (i % base);
  }
  return (r + ((seed * 0.6180339887498949) % 1)) % 1;
}

/** Normal deviate of a probability: Acklam's rational approximation in its central and tail parts, error below 1.2e-9. */
export function gaussian(u: number): number {
  const p = Math.min(1 - 1e-9, Math.max(1e-9, u));
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
  ];
  const b = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ];
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const poly = (k: readonly number[], x: number): number => k.reduce((s, v) => s * x + v, 0);
  const low = 0.02425;
  const tail = (q: number): number => poly(c, q) / (poly(d, q) * q + 1);
  if (p < low) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - low) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (poly(a, r) * q) / (poly(b, r) * r + 1);
}

function correlation(x: readonly number[], y: readonly number[]): number {
  const n = x.length;
  const mean = (v: readonly number[]): number => v.reduce((s, a) => s + a, 0) / n;
  const [mx, my] = [mean(x), mean(y)];
  let [sxy, sxx, syy] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    sxy += (x[i]! - mx) * (y[i]! - my);
    sxx += (x[i]! - mx) ** 2;
    syy += (y[i]! - my) ** 2;
  }
  return sxx * syy > 0 ? sxy / Math.sqrt(sxx * syy) : 0;
}
