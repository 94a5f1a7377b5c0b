import { isSlowCut } from '../../food/meats';
import { timePoints } from '../../grain/texture';
import type { Term } from '../../reasoned';
import { chanceOf, piecesChance, sprayChance, textureChance } from './chance';
import type { PlantVerdict } from '../document/verdicts';
import type { Heated } from '../simulate/heated';
import type { Gathered } from '../gather/item';
import { seedTimes, wantedCollagenMin } from '../gather/pieces';
import type { MeatRun } from '../simulate/meat';
import type { Run } from './run';
import { targetE, wantedBand } from '../setup/target';
import { saucyFrom, wantedSauceG } from '../setup/sauce';
import type { GrainOutcome } from '../simulate/outcome';

/** What a plan loses beside its chance, in points of a hundred [from memory: how much a cook would give for each]. */
const price = {
  perWaitMin: 0.15,
  /** a sauce all missing; one twice as much as wanted, which can be poured off or boiled down */
  sauceMissing: 20,
  sauceOver: 8,
  /** a hold under three minutes leaves the doneness to a heat-up that nobody controls */
  perUncontrolledMin2: 1.6,
  /** the square of the texture points by which the time is off its reference: water mends it only half */
  perTimePoint2: 1.5,
  /** the same where the sauce sets the water: there the cook's wish is one of time */
  perSaucyPoint2: 6,
  surestHoldMin: 3,
  /** large lean pieces that are let off at once boil inside */
  quickLargeMeat: 2,
  dryMeat: 12,
  firmMeat: 2,
  toughMeat: 16,
  /** tough is tough, however little is missing */
  toughAtAll: 4,
  hardPlant: 25,
  softPlant: 8,
  barelyDone: 4,
} as const;
const largeMm = 25;
/** Roots are aimed at so many times their least softening, where they bear it [common practice: potato core 3 minutes]. */
const plantTimes = 3.4;

/** The better of two: fewer stops, then more points; of equals the first. */
export const better = (best: Run | null, c: Run): Run =>
  !best || c.stops < best.stops || (c.stops === best.stops && c.score > best.score + 1e-9) ? c : best;

/** A run before it is weighed. */
export type Unweighed = Omit<Run, 'meatOk' | 'chance' | 'stops' | 'score' | 'terms'>;

/** A run with its chance and its price. */
export function weighed(d: Unweighed): Run {
  const { h } = d;
  const { g } = h.setup;
  const terms: Term[] = [];
  let paid = 0;
  const charge = (label: string, value: number, subject?: string): void => {
    if (value < 0.005) return;
    terms.push({ label, value, unit: 'points', ...(subject ? { subject } : {}), source: 'from-memory' });
    paid += value;
  };
  let texture = 1;
  if (g.grain && d.outcome) {
    const target = targetE(g, h.texture, d.addMl);
    terms.push(
      { label: 'doneness-wanted', value: target.want, unit: 'min', source: 'derived' },
      { label: 'doneness-here', value: d.equivalentMin, unit: 'min', source: 'derived' },
    );
    texture = textureChance(h.setup, d.outcome, wantedBand(g, h.texture), target);
    const off = timePoints * Math.log(Math.max(1e-3, d.equivalentMin) / target.want);
    const perPoint2 = g.sauceShare >= saucyFrom ? price.perSaucyPoint2 : price.perTimePoint2;
    // Where the texture is not had anyway, its time has less to lose.
    charge('cost-doneness', ((1 + texture) / 2) * perPoint2 * Math.min(off * off, 16));
    const loose = Math.max(0, price.surestHoldMin - d.holdMin);
    charge('cost-uncontrolled', price.perUncontrolledMin2 * loose * loose);
    charge('cost-sauce', sauceCost(h, d.outcome));
  }
  const chance = chanceOf({
    texture,
    pieces: piecesChance(d.meats),
    base: 1 - h.scorch.index,
    release: 1 - sprayChance(h, d.naturalMin),
  });
  for (const m of d.meats) charge('cost-meat', eatingCost(m, d.naturalMin), m.item.ingredient.id);
  for (const p of d.plants) charge('cost-plant', plantCost(p, isSeed(g, p.ingredient)), p.ingredient);
  charge('cost-wait', price.perWaitMin * ((d.potRun.openS - (d.potRun.countdownS ?? 0)) / 60));
  for (const part of ['texture', 'pieces', 'base', 'release'] as const)
    if (part !== 'texture' || g.grain)
      terms.push({ label: `chance-${part}`, value: 100 * chance[part], unit: 'percent', source: 'derived' });
  const meatOk = d.meats.every((m) => m.verdict.ok);
  const stops =
    d.meats.filter((m) => !m.verdict.ok).length + Number(d.potRun.neverSealed) * 10 + Number(d.potRun.dry) * 5;
  return { ...d, meatOk, chance, stops, score: 100 * chance.all - paid, terms };
}

/** What a sauce loses that is not as wanted, points. */
function sauceCost(h: Heated, out: GrainOutcome): number {
  const wanted = Math.max(1, wantedSauceG(h.setup.g, out.finishedG), leastSauceShare * out.finishedG);
  const over = Math.max(0, out.sauceG - wanted) / wanted;
  const under = Math.max(0, wanted - out.sauceG) / wanted;
  // A dry dish has none to miss.
  const missing = h.setup.g.sauceShare > 0 || h.setup.g.saucePerStarch !== null ? Math.min(1, under) : 0;
  return price.sauceOver * Math.min(2, over) + price.sauceMissing * missing;
}
const leastSauceShare = 0.04;

function eatingCost(m: MeatRun, naturalMin: number): number {
  const v = m.verdict;
  const large = m.item.thicknessMm >= largeMm && naturalMin < 2 && m.item.state !== 'cooked' ? price.quickLargeMeat : 0;
  const need = wantedCollagenMin(m.item);
  const short = need > 0 ? Math.max(0, 1 - (v.collagenCoreMin ?? 0) / need) : 0;
  if (v.texture === 'dry') return large + price.dryMeat;
  if (need > 0 && !isSlowCut(m.item.food)) return large + price.firmMeat * short;
  if (need > 0) return large + price.toughMeat * short + (v.texture === 'tough' ? price.toughAtAll : 0);
  return large + (v.texture === 'firm' ? price.firmMeat : 0);
}

const isSeed = (g: Gathered, id: string): boolean =>
  g.items.find((i) => i.ingredient.id === id)?.food.plant?.staysHard === true;

function plantCost(p: PlantVerdict, seed: boolean): number {
  if (p.verdict === 'hard') return price.hardPlant * (1 - 0.5 * Math.min(1, p.doneTimes));
  if (p.verdict === 'soft') return price.softPlant * Math.min(3, p.softShare);
  if (seed) return (price.hardPlant / 2) * Math.max(0, 1 - (p.doneTimes - 1) / (seedTimes - 1));
  // Middle of the window: well over the least, well under the most.
  const under = Math.max(0, plantTimes - p.doneTimes) / plantTimes;
  const near = Math.max(0, p.softShare - 0.7) / 0.3;
  return price.barelyDone * (under + near);
}
