import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { pastaBand } from '../grain/texture';
import { setUp } from '../plan/setup/setup';
import { kitchenOfPlan } from '../plan/setup/learned';
import type { MeatVerdict } from '../plan/document/verdicts';
import type { Plan } from '../plan/document/document';
import { baseAreaCm2 } from '../pot/profile';
import { depthCm, loadOf } from '../plan/setup/load';
import { runMeats } from '../plan/simulate/meat';
import type { Setup } from '../plan/setup/setup';
import { setupOfPlan, earlierOf } from '../plan/simulate/stages';
import { grainOutcome, steamG } from '../plan/simulate/outcome';
import type { PotRun } from '../pot/program';
import type { Load } from '../pot/state';

/** What a pot's real history made of the food. */
export interface CookResult {
  band: string | null;
  moisture: number | null;
  equivalentMin: number | null;
  freeSauceG: number | null;
  /** texture points (pasta: hundredths of the packet's minutes) softer than planned; null without a starch */
  softer: number | null;
  meats: MeatVerdict[];
}

/** The setup of a plan; its first stage, where it has one, as it really ran instead of as planned. */
function setupOf(dish: Dish, kitchen: Kitchen, plan: Plan, first: PotRun | null): Setup {
  const setup = setupOfPlan(setUp(dish, kitchenOfPlan(kitchen, plan)), plan);
  if (!setup.first || !first) return setup;
  const earlier = earlierOf(first.history, setup.first.items);
  return { ...setup, first: { ...setup.first, earlier, steamG: steamG(first) } };
}

/**
 * What stands in the pot when the lid is locked on this plan (the second stage of a two-stage one).
 *
 * @param first the run of the first stage as it really was; null as it was planned
 */
export function loadOfPlan(dish: Dish, kitchen: Kitchen, plan: Plan, first: PotRun | null = null): Load {
  const setup = setupOf(dish, kitchen, plan, first);
  return loadOf(setup, plan.liquid.addMl, setup.first);
}

/** What stands in the pot when the lid is locked on its first stage; null in a plan without one. */
export function loadOfFirst(dish: Dish, kitchen: Kitchen, plan: Plan): Load | null {
  return setupOfPlan(setUp(dish, kitchenOfPlan(kitchen, plan)), plan).first?.load ?? null;
}

/** Grain or pasta and every meat, from a history that really ran, and that of a `first` stage. */
export function resultOf(
  { dish, kitchen, plan }: { dish: Dish; kitchen: Kitchen; plan: Plan },
  run: PotRun,
  first: PotRun | null = null,
): CookResult {
  const setup = setupOf(dish, kitchen, plan, first);
  const load = loadOf(setup, plan.liquid.addMl, setup.first);
  const depth = depthCm(setup.g, load, baseAreaCm2(setup.pot));
  const out = setup.g.grain
    ? grainOutcome(
        setup.g,
        setup.src,
        { run, addMl: plan.liquid.addMl, depthCm: depth },
        { earlierSteamG: setup.first?.steamG ?? 0 },
      )
    : null;
  const x = out && plan.pasta ? (out.clock.equivalentMin * out.slowing) / plan.pasta.packetMin : null;
  return {
    band: out ? (x === null ? out.texture.band : pastaBand(x, out.clock.moisture)) : null,
    moisture: out?.clock.moisture ?? null,
    equivalentMin: out?.clock.equivalentMin ?? null,
    freeSauceG: out?.clock.freeG ?? null,
    softer: !out
      ? null
      : plan.grain
        ? out.texture.index - plan.grain.textureIndex
        : plan.pasta && x !== null
          ? 100 * (x - plan.pasta.x)
          : null,
    meats: runMeats(setup.g, run, { depthCm: depth, earlier: setup.first?.earlier ?? null }).map((m) => m.verdict),
  };
}
