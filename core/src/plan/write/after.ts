import type { GrainRecord } from '../../food/record';
import { drinksG } from '../../grain/clock';
import { rate } from '../../grain/rate';
import { timeTerm } from '../../grain/texture';
import { evaporationKgPerS } from '../../pot/open';
import { baseAreaCm2 } from '../../pot/profile';
import type { Plan } from '../document/document';
import { crusted, sharesWater, type Gathered } from '../gather/item';
import { coolingRule, crust, crustFor, deepestLayerMm, hotSpot, slurryFor } from './leftovers';
import type { Setup } from '../setup/setup';
import { saucyFrom } from '../setup/sauce';
import type { GrainOutcome } from '../simulate/outcome';

/** More cooked grain than this goes mushy in its own heat [common practice], g. */
const bigBatchG = 1200;
const standMin = 5;
/** An opened dish that stands is about so warm, degC [derived]. */
export const standC = 90;
const simmerC = 95;
/** A closed pot after opening stays about here for some minutes, degC [derived]. */
export const closedC = 96;
const driftMin = 5;
/** Cooked dishes weigh about a gram per millilitre and leave a little air [from memory]. */
const cookedGPerMl = 0.95;
/** Leftovers and their heat: published minimum, recalled. */
const reheatC = 74;

/** A large batch of separate grain: it is moved to a wide dish before it softens itself. */
export const isBigBatch = (g: Gathered, out: GrainOutcome | null): boolean =>
  out !== null && g.grain?.food.kind === 'grain' && g.rule.standMin > 0 && g.grain.grams + out.upG > bigBatchG;

/** What comes after the lid: thickening, standing, the crust, cooling and keeping, each from its own sum. */
export function afterPlan(setup: Setup, out: GrainOutcome | null, addMl: number): Plan['after'] {
  const { g, pot, kitchen } = setup;
  const freeG = out?.clock.freeG ?? addMl;
  const grain = g.grain;
  const drinks =
    grain && out
      ? drinksG(grain.food.grain!, { rawG: grain.grams, moisture: out.clock.moisture }, standC, standMin)
      : 0;
  const binder = kitchen.usual?.binder;
  const slurry = slurryFor(freeG, binder);
  const topping = crusted(g).length > 0;
  const areaCm2 = baseAreaCm2(pot);
  const massG =
    g.items.filter((i) => !i.main && (!g.inBowl || sharesWater(g, i))).reduce((s, i) => s + i.grams, 0) + addMl;
  const depthMm = deepestLayerMm('fridge-open');
  return {
    thicken:
      freeG < 20
        ? null
        : {
            freeG,
            simmerGPerMin: evaporationKgPerS(simmerC, kitchen.altitudeM) * 60_000,
            starchG: slurry.starchG,
            ...(binder && { binder }),
            waterMl: slurry.waterMl,
            standMin,
            standDrinksG: Math.min(freeG, drinks),
          },
    crust: topping ? { areaCm2, ...crustFor(areaCm2), ovenC: crust.ovenC, minutes: [...crust.minutes] } : null,
    drift:
      grain && out && isBigBatch(g, out) ? driftOf(grain.food.grain!, out, depthMm, g.sauceShare >= saucyFrom) : null,
    keep: {
      massG,
      depthMm,
      areaCm2: massG / cookedGPerMl / (depthMm / 10),
      withinMin: coolingRule.firstMin,
      freezePortions: Math.floor(g.dish.serves / 2),
      reheatC,
    },
  };
}

/** Minutes at 100 degC that a grain still gets while it lies spread out so deep for so many. */
export function spreadOutMin(kinetics: GrainRecord['kinetics'], depthMm: number, minutes: number): number {
  let more = 0;
  let last = 0;
  hotSpot(depthMm, 'room', minutes, (minute, hotC) => {
    more += rate(kinetics, hotC) * (minute - last);
    last = minute;
    return true;
  });
  return more;
}

/** Points that the grain goes on softening in five minutes, in the closed pot and spread out in a wide dish. */
function driftOf(
  rec: GrainRecord,
  out: GrainOutcome,
  depthMm: number,
  saucy: boolean,
): NonNullable<Plan['after']['drift']> {
  const e = out.clock.equivalentMin;
  const points = (more: number): number => timeTerm(e + more, e, out.freeShare, saucy);
  return {
    minutes: driftMin,
    closedPoints: points(rate(rec.kinetics, closedC) * driftMin),
    spreadPoints: points(spreadOutMin(rec.kinetics, depthMm, driftMin)),
  };
}
