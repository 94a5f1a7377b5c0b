import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { setUp, type Setup } from '../plan/setup/setup';
import type { Plan } from '../plan/document/document';
import type { Gathered, Item } from '../plan/gather/item';
import { depthCm, loadOf } from '../plan/setup/load';
import { setupOfPlan } from '../plan/simulate/stages';
import { grainOutcome, starchTemps, steamG } from '../plan/simulate/outcome';
import { HeatedPot } from '../pot/cook';
import { naturalMinOf, type PotRun } from '../pot/program';
import { withFactors, type PotFactors } from '../pot/factors';
import { baseAreaCm2 } from '../pot/profile';
import type { Load } from '../pot/state';
import { sauceOffset } from '../plan/setup/learned';
import { units } from '../quantity/units';

/** What moves an outcome, each in its own unit: logarithms of factors, but for K, sd of the ledger and minutes. */
export const inputs = [
  'heat',
  'loss',
  'leak',
  'vent',
  'set',
  'metal',
  'purge',
  'scoop',
  'jug',
  'juice',
  'startK',
  'load',
  'speed',
  'lateMin',
] as const;
export type Input = (typeof inputs)[number];
export type Inputs = Partial<Record<Input, number>>;

/** What a cook can see of it. Logarithms of minutes where they are positive. */
export const outputs = ['pin', 'toFull', 'natural', 'vent', 'steamG', 'grain', 'pasta', 'sauce'] as const;
export type Output = (typeof outputs)[number];
/**
 * `pin`, `toFull`, `natural`, `vent`: ln of minutes to the pin, from the pin to the countdown, of a release that ends by
 * itself, and from the opened valve to the fallen pin. `grain`: texture index. `pasta`: 100 ln of multiples of the packet.
 * `sauce`: ln(share of the finished dish + .02). NaN where the cook has none.
 */
export type Outcome = Record<Output, number>;

/** A cook as it was done: its dish, its plan, and what the cook took instead of the planned minutes. */
export interface CookSetting {
  dish: Dish;
  kitchen: Kitchen;
  plan: Plan;
  holdMin: number;
  /** minutes of natural release before the valve; null where the pin fell by itself */
  naturalMin: number | null;
}

/** Step of the pot's model, s: half as fine as a plan's, for what is read off it are differences. */
const stepS = 2;

const leastMin = 0.02;
const lnMinutes = (seconds: number): number => Math.log(Math.max(leastMin, seconds / 60));

/** The forward model of one cook: any number of times with other inputs, set up once. */
export class Forward {
  private readonly setup: Setup;
  private middle: Brought | null = null;

  constructor(private readonly c: CookSetting) {
    this.setup = setUp(c.dish, c.kitchen);
  }

  /** Which inputs this cook has at all: cups of grain are scooped, grams are weighed; a mended release has no lateness. */
  feels(input: Input): boolean {
    const { g } = this.setup;
    if (input === 'scoop') return g.grain !== null && isByVolume(g.grain);
    if (input === 'speed') return g.grain !== null;
    if (input === 'juice') return this.setup.src.fromItems.some((x) => x.spreadG > 0);
    if (input === 'lateMin') return this.c.naturalMin !== null;
    return true;
  }

  /** @throws nothing; a pot that does not come to pressure with these inputs gives NaN throughout */
  run(x: Inputs): Outcome {
    const { holdMin, naturalMin } = this.c;
    const { setup, addMl, load, heated } = this.brought(x);
    if (heated.countdownS === null || heated.pinUpS === null) return { ...nothing };
    const natural = heated.finish(holdMin, { kind: 'natural' });
    const minutes = naturalMin === null ? null : Math.max(0, naturalMin + (x.lateMin ?? 0));
    const run = minutes === null ? natural : heated.finish(holdMin, { kind: 'timed', naturalMin: minutes });
    return {
      pin: lnMinutes(heated.pinUpS),
      toFull: lnMinutes(heated.countdownS - heated.pinUpS),
      natural: Math.log(Math.max(leastMin, naturalMinOf(natural))),
      vent: run.valveS === null ? NaN : lnMinutes((run.pinDownS ?? run.openS) - run.valveS),
      steamG: steamG(run) + (setup.first?.steamG ?? 0),
      ...starchOf(setup, run, { addMl, load, speed: Math.exp(x.speed ?? 0) }),
    };
  }

  /** The pot on its way to pressure. The clock of the grain and the hand at the valve do not touch it: they share the middle one. */
  private brought(x: Inputs): Brought {
    const isMiddle = Object.keys(x).every((input) => input === 'speed' || input === 'lateMin');
    return isMiddle ? (this.middle ??= this.bring({})) : this.bring(x);
  }
  private bring(x: Inputs): Brought {
    const { plan } = this.c;
    const setup = setupOfPlan(changed(this.setup, x), plan);
    const addMl = plan.liquid.addMl * Math.exp((x.jug ?? 0) + (x.load ?? 0));
    const load = warmer(loadOf(setup, addMl, setup.first), x.startK ?? 0);
    const at = { pot: setup.pot, altitudeM: setup.kitchen.altitudeM };
    return { setup, addMl, load, heated: new HeatedPot(at, load, plan.program.pressure, stepS) };
  }
}

interface Brought {
  setup: Setup;
  addMl: number;
  load: Load;
  heated: HeatedPot;
}

const nothing: Outcome = {
  pin: NaN,
  toFull: NaN,
  natural: NaN,
  vent: NaN,
  steamG: NaN,
  grain: NaN,
  pasta: NaN,
  sauce: NaN,
};

const isByVolume = (i: Item): boolean => units[i.ingredient.amount.unit].kind === 'volume';

/** The setup with other masses, juices and another pot. */
function changed(setup: Setup, x: Inputs): Setup {
  const load = Math.exp(x.load ?? 0);
  const scoop = setup.g.grain && isByVolume(setup.g.grain) ? Math.exp(x.scoop ?? 0) : 1;
  const items = setup.g.items.map((i) => ({ ...i, grams: i.grams * load * (i === setup.g.grain ? scoop : 1) }));
  const same = (i: Item): Item => items[setup.g.items.indexOf(i)]!;
  const g: Gathered = { ...setup.g, items, grain: setup.g.grain && same(setup.g.grain), main: same(setup.g.main) };
  const grainTimes = load * scoop;
  const src = {
    ...setup.src,
    soakG: setup.src.soakG * grainTimes,
    clingG: setup.src.clingG * grainTimes,
    fromItems: setup.src.fromItems.map((f) => ({
      ...f,
      item: setup.g.items.includes(f.item) ? same(f.item) : f.item,
      grams: (f.grams + (x.juice ?? 0) * f.spreadG) * load,
    })),
  };
  const factors: PotFactors = x;
  return { ...setup, g, src, pot: withFactors(setup.pot, factors) };
}

const warmer = (load: Load, byK: number): Load => ({
  ...load,
  thin: load.thin.map((i) => ({ ...i, tempC: i.tempC + byK })),
  slow: load.slow.map((i) => ({ ...i, tempC: i.tempC + byK })),
});

/** Texture and sauce of the starch, its clock running at `speed`. */
function starchOf(
  setup: Setup,
  run: PotRun,
  { addMl, load, speed }: { addMl: number; load: Load; speed: number },
): Pick<Outcome, 'grain' | 'pasta' | 'sauce'> {
  const { g } = setup;
  if (!g.grain) return { grain: NaN, pasta: NaN, sauce: NaN };
  const depth = depthCm(g, load, baseAreaCm2(setup.pot));
  const temps = starchTemps(g, run, addMl, depth);
  const clocked = { ...run, history: { ...run.history, dtS: run.history.dtS * speed } };
  const out = grainOutcome(
    g,
    setup.src,
    { run: clocked, addMl, depthCm: depth },
    { earlierSteamG: setup.first?.steamG ?? 0, temps },
  );
  const packet = g.grain.food.packetMin?.[0];
  return {
    grain: packet ? NaN : out.texture.index,
    pasta: packet ? 100 * Math.log(Math.max(0.01, (out.clock.equivalentMin * out.slowing) / packet)) : NaN,
    sauce: Math.log(Math.max(0, out.sauceG / Math.max(1, out.finishedG)) + sauceOffset),
  };
}
