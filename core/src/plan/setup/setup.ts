import type { Kitchen } from '../../dish/kitchen';
import type { Dish } from '../../dish/schema';
import type { History } from '../../history';
import type { Load } from '../../pot/state';
import type { PotProfile } from '../../pot/profile';
import { issueAt, refusal, wordOf } from '../../problem';
import type { FryStep } from '../document/steps';
import { fryPlan } from './fry';
import { gather } from '../gather/gather';
import { goesUnderLid, type Gathered } from '../gather/item';
import { meatsOf, type Earlier } from '../gather/pieces';
import { panRun, withPan, type PanRun } from './pan';
import { asMeasured, potOfKitchen, withTaste } from './learned';
import { placeOf } from '../gather/place';
import { waterSources, type Sources } from './sources';

/** What a run under the lid has left in the pot for the next one: hot things, their liquid and history, less the steam. */
export interface Before {
  items: ReadonlySet<string>;
  liquidMl: number;
  /** how warm it stands when the lid goes on again, degC; left out, as after a first stage */
  standC?: number;
  steamG: number;
  earlier: Earlier;
}

/** Slow meat that cooks under its own pressure first; the starch joins it for a second, shorter stage. */
export interface FirstStage extends Before {
  /** the parts it is for */
  slow: string[];
  holdMin: number;
  pinUpMin: number;
  minutesToPressure: number;
  ventMin: number;
  whistles: number;
  /** thin liquid predicted in the pot when the lid opens between the stages, g */
  gravyG: number;
  /** what stands in the pot when its lid is locked, and its run */
  load: Load;
  history: History;
}

/** The setup of a dish: what is cooked, in what, worked out once. Every question about a dish starts from it. */
export interface Setup {
  g: Gathered;
  src: Sources;
  pot: PotProfile;
  kitchen: Kitchen;
  /** plain water under an inner bowl, so that the pot has its minimum of thin liquid; 0 elsewhere */
  outerMl: number;
  /** the first stage of a plan in two */
  first: FirstStage | null;
  /** runs that were broken off before this one; what they left behind has the first stage in it */
  broken: Before | null;
  /** the frying in order, and the pan after it; null where nothing is fried */
  fry: FryStep[];
  pan: PanRun | null;
  /** shorter holds are not offered: what was learned never shortens a safe one */
  leastHoldMin: number;
}

/** What the pot has cooked before this lid: runs that were broken off, a first stage, or nothing. */
export const beforeOf = ({ broken, first }: Pick<Setup, 'broken' | 'first'>): Before | null => broken ?? first;

/** Meats, each with its own cut and state, that one pot is planned for: more want a second pot [derived: a plan in a second]. */
const mostMeats = 6;

function checkMeats(g: Gathered): void {
  const n = meatsOf(g).length;
  if (n <= mostMeats) return;
  const most = mostMeats;
  throw refusal('too-many-meats', { count: n, most }, issueAt('ingredients', 'most-meats', { most }));
}

/** The setup of a dish in a kitchen, after checking that it can be planned as it is. Throws Problem. */
export function setUp(dish: Dish, kitchen: Kitchen, leastHoldMin = 0): Setup {
  const pot = potOfKitchen(kitchen);
  const gathered = withTaste(gather(asMeasured(dish, kitchen)), kitchen);
  const g = pot.bowl ? { ...gathered, bowl: pot.bowl } : gathered;
  checkCalibration(g);
  checkStarch(g);
  checkMeats(g);
  // Reading every place once tells about an impossible one before anything is computed.
  for (const i of g.items) placeOf(g, i);
  const ordered = fryPlan(g, pot);
  const pan = ordered.length > 0 ? panRun(g, pot, kitchen.altitudeM, ordered) : null;
  return {
    g,
    src: waterSources(g, pan?.reducedG ?? 0),
    pot,
    kitchen,
    outerMl: outerLiquidMl(g, pot),
    first: null,
    broken: null,
    fry: pan ? withPan(ordered, pan) : ordered,
    pan,
    leastHoldMin,
  };
}

/** What lies under the lid, L: foods by their own volume, without voids and without the liquid that is still to be set. */
const underLidLitres = (g: Gathered): number =>
  g.items.filter((i) => !i.main && goesUnderLid(i)).reduce((v, i) => v + i.grams / i.food.densityGPerMl[0], 0) / 1000;

/** Throws Problem `pot-too-small` where the food alone is more than the pot holds to its brim. */
export function checkFits({ g, pot }: Setup): void {
  const litres = underLidLitres(g);
  if (litres <= pot.litres) return;
  const params = { litres: litres.toFixed(1), pot: pot.litres.toFixed(1) };
  throw refusal('pot-too-small', params, issueAt('ingredients', 'scale-to-the-pot'));
}

/** Throws Problem `only-water-calibrates`: what is eaten is never cooked as a measurement. */
function checkCalibration({ dish, items }: Gathered): void {
  if (!dish.calibrates || items.every((i) => i.food.id === 'water')) return;
  throw refusal('only-water-calibrates', {}, issueAt('ingredients', 'water-alone'));
}

function checkStarch(g: Gathered): void {
  const { rule, dish } = g;
  const starches = g.items.filter((i) => i.food.grain && i.joins !== 'finish');
  // Pasta that waits for the open pot is no starch under the lid, but the dish has one.
  const late = g.items.some((i) => i.food.grain && i.joins === 'finish');
  const { family } = dish;
  const found = issueAt('ingredients', 'found', { foods: starches.map((i) => i.food.id).join(', ') });
  if (starches.length > 1) throw refusal('two-grains', {}, found);
  const one = starches[0];
  if (rule.starch === 'none') {
    if (one) throw refusal('grain-not-here', { family }, found);
    const steamed = g.items.some((i) => i.joins === 'stack' && (i.food.kind === 'vegetable' || i.food.kind === 'meat'));
    if (!steamed && !dish.calibrates) throw refusal('nothing-to-steam', {}, issueAt('ingredients', 'add-to-the-rack'));
    return;
  }
  const starch = wordOf(rule.starch === 'any' ? 'grain-or-pasta' : rule.starch);
  if (!one && !rule.starchOptional && !late)
    throw refusal('grain-missing', { starch }, issueAt('ingredients', 'add-one', { starch }));
  if (one && rule.starch !== 'any' && one.food.kind !== rule.starch)
    throw refusal('grain-wrong', { family, starch, food: one.food.id }, found);
}

/** Under an inner bowl or a rack without grain the pot still needs its minimum of thin liquid. */
function outerLiquidMl(g: Gathered, pot: PotProfile): number {
  if (!g.inBowl) return 0;
  const thin = g.items
    .filter((i) => goesUnderLid(i) && placeOf(g, i) !== 'inner-bowl' && !i.main)
    .reduce((s, i) => s + i.grams * i.food.thin[0], 0);
  return Math.max(0, Math.ceil((pot.minimumLiquidMl[0] - thin) / 10) * 10);
}
