import { interpolated } from '../../interpolate';
import { bandOf, doneShare, hardCore, pastaBand, soakFactorOf, timeTerm } from '../../grain/texture';
import { runClock } from '../../grain/clock';
import { kitchenSchema, type Kitchen } from '../../dish/kitchen';
import type { Dish } from '../../dish/schema';
import { halton, primes } from '../../halton';
import { pieceSd } from '../../meat/cautious';
import { normalDeviate } from '../../normal';
import type { PotRun } from '../../pot/program';
import { setUp, type Setup } from '../setup/setup';
import { textureSd } from '../judge/chance';
import type { Plan } from '../document/document';
import { heatUpSd } from '../setup/learned';
import type { Gathered } from '../gather/item';
import { minimumC } from '../gather/pieces';
import { runMeats } from '../simulate/meat';
import { heat, piecesOf, type Heated } from '../simulate/heated';
import { outcomeOf } from '../judge/runs';
import { setupOfPlan } from '../simulate/stages';
import { grainEdges, saucyFrom } from '../setup/sauce';
import { starchTemps } from '../simulate/outcome';

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
  kinetics: textureSd.kinetics,
  uptake: 0.04,
  thickness: pieceSd.thickness,
  steamG: 12,
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
  const setup = setupOfPlan(setUp(dish, kitchen), chosen);
  const heatSd = heatUpSd(kitchen);
  const cooks = heatUps.map((f) => cookAt(setup, f, chosen));
  const asPlanned = cooks[heatUps.indexOf(1)]!;
  const inputs = inputsOf(setup);
  const starch = starchOf(asPlanned);
  const meats = setup.g.items.filter((i) => i.food.kind === 'meat' && asPlanned.cores.has(i.ingredient.id));
  const bands = new Map<string, number>();
  const texture: number[] = [];
  const drawn: number[][] = inputs.map(() => []);
  const reached = meats.map(() => 0);
  for (let n = 1; n <= draws; n++) {
    const z = inputs.map((_, k) => normalDeviate(halton(n, primes[k % primes.length]!, seed + k)));
    z.forEach((v, k) => drawn[k]!.push(v));
    const cook = nearest(cooks, 1 + heatSd * z[0]!);
    if (starch) {
      const { band, at } = drawnTexture(starch, cook, z);
      bands.set(band, (bands.get(band) ?? 0) + 1);
      texture.push(at);
    }
    const thick = 1 + sd.thickness * normalDeviate(halton(n, primes[inputs.length % primes.length]!, seed + 97));
    meats.forEach((m, k) => {
      if (interpolated(thicknesses, cook.cores.get(m.ingredient.id)!, thick) >= minimumC(m)) reached[k]! += 1;
    });
  }
  return {
    draws,
    bands: [...bands].map(([band, count]) => ({ band, chance: count / draws })).sort((x, y) => y.chance - x.chance),
    meats: meats.map((m, k) => ({ ingredient: m.ingredient.id, chance: reached[k]! / draws })),
    movers: inputs
      .map((i, k) => ({ ...i, share: texture.length > 0 ? correlation(drawn[k]!, texture) ** 2 : 0 }))
      .sort((x, y) => y.share - x.share),
  };
}

/** The inputs that are drawn, in the order of a draw's deviates; the juice of each ingredient that gives any comes last. */
const inputsOf = (setup: Setup): { input: string; subject?: string }[] => [
  { input: 'heat-up' },
  { input: 'kinetics' },
  { input: 'uptake' },
  { input: 'steam' },
  ...juicyOf(setup).map((x) => ({ input: 'juice', subject: x.item.ingredient.id })),
];
const juicyOf = (setup: Setup) => setup.src.fromItems.filter((x) => x.spreadG > 0);

/** The starch of a plan as it comes out where nothing differs, and what its texture is read by. */
function starchOf({ h, run }: OneCook) {
  const { setup } = h;
  const item = setup.g.grain;
  const base = outcomeOf(h, run);
  if (!item || !base) return null;
  const record = item.food.grain!;
  return {
    base,
    record,
    rawG: item.grams,
    soakG: setup.src.soakG,
    juiceSpreadsG: juicyOf(setup).map((x) => x.spreadG),
    packetMin: item.food.packetMin?.[0],
    edges: grainEdges(setup.g),
    isSaucy: setup.g.sauceShare >= saucyFrom,
    /** minutes at 100 degC under which a kernel keeps a hard core */
    hardMin: record.eMin[0] * soakFactorOf(record, item.ingredient.prep?.soakMin ?? 0),
  };
}
type Starch = NonNullable<ReturnType<typeof starchOf>>;

/** One draw: the band, and where in it (texture index; for pasta, times its packet minutes). */
function drawnTexture(s: Starch, cook: OneCook, z: readonly number[]): { band: string; at: number } {
  const { base } = s;
  const [, kinetics, uptake, steam, ...juices] = z;
  const waterG = sd.steamG * steam! + juices.reduce((sum, x, k) => sum + s.juiceSpreadsG[k]! * x, 0);
  // A faster or slower clock is the same as longer or shorter seconds.
  const dtS = cook.run.history.dtS * Math.max(0.5, 1 + sd.kinetics * kinetics!);
  const clock = runClock(cook.temps!, dtS, {
    grain: s.record,
    rawG: s.rawG,
    soakedG: s.soakG,
    reachableG: cook.reachableG + waterG,
    slowing: base.slowing * Math.max(0.5, 1 + sd.uptake * uptake!),
  });
  if (s.packetMin) {
    const times = (clock.equivalentMin * base.slowing) / s.packetMin;
    return { band: pastaBand(times, clock.moisture), at: times };
  }
  const longer = timeTerm(clock.equivalentMin, base.clock.equivalentMin, base.freeShare, s.isSaucy);
  const index = base.texture.index + 100 * (clock.moisture - base.clock.moisture) + longer;
  const isHard = doneShare(clock.equivalentMin, s.hardMin) < hardCore;
  return { band: isHard ? 'hard' : bandOf(index, s.edges), at: index };
}

interface OneCook {
  factor: number;
  h: Heated;
  run: PotRun;
  temps: Float64Array | null;
  reachableG: number;
  /** nominal core at opening for each simulated thickness */
  cores: Map<string, number[]>;
}

/** The plan as it stands in a pot that heats up by `factor` slower. */
function cookAt(setup: Setup, factor: number, chosen: Plan): OneCook {
  const { holdMin, release, pressure } = chosen.program;
  const addMl = chosen.liquid.addMl;
  const pot = { ...setup.pot, efficiency: setup.pot.efficiency / factor };
  const h = heat({ ...setup, pot }, { addMl, pressure, texture: chosen.texture });
  const run = h.heated.finish(holdMin, release);
  const cores = new Map<string, number[]>();
  for (const t of thicknesses) {
    const g: Gathered = { ...setup.g, items: setup.g.items.map((i) => ({ ...i, thicknessMm: i.thicknessMm * t })) };
    for (const m of runMeats(g, run, { ...piecesOf(h), coarse: true })) {
      const id = m.item.ingredient.id;
      cores.set(id, [...(cores.get(id) ?? []), m.nominal.openCoreC]);
    }
  }
  const out = outcomeOf(h, run);
  return {
    factor,
    h,
    run,
    temps: setup.g.grain ? starchTemps(setup.g, run, addMl, h.depthCm) : null,
    reachableG: out ? out.upG - setup.src.soakG + out.clock.freeG : 0,
    cores,
  };
}

const nearest = (cooks: readonly OneCook[], factor: number): OneCook =>
  cooks.reduce((a, c) => (Math.abs(c.factor - factor) < Math.abs(a.factor - factor) ? c : a));

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
