import { cautiousVariation } from '../../meat/cautious';
import { compositionOf } from '../../meat/properties';
import { cookPiece } from '../../meat/piece';
import type { PotRun } from '../../pot/program';
import type { PotProfile } from '../../pot/profile';
import type { FinishStep } from '../document/steps';
import { finishMinutes as minutes, hotC, isFirm, isFrozenVegetable } from '../setup/finish-minutes';
import { FinishWriter, mostWarmMin } from './finish-writer';
import { crusted, goesUnderLid, hasFlag, isFinishSauce, type Gathered, type Item } from '../gather/item';
import { isPourable } from '../gather/place';
import { minimumC } from '../gather/pieces';
import { openedMixture } from './mixing';

/** A heated step aims so much over what must be reached, K [common practice]. */
const overK = 4;
/** Seafood and eggs are brought into a mixture of at least this, degC [common practice]. */
const gentlyC = 85;
/** Liquid from the kettle as it reaches the pot, degC [common practice]. */
const hotTopUpC = 95;
const restPieceS = 1200;
/** Under the shut lid a dish cools by about this while something cooks through in it, K; it is not left for longer, min [derived; common practice]. */
const coolsK = 3;
const mostRestMin = 10;

/** What the finish starts from. */
export interface FinishInput {
  run: PotRun;
  pot: PotProfile;
  altitudeM: number;
  /** how meat under the lid is measured; null where there is none to measure */
  measured: 'check' | 'check-pot' | null;
  bigBatch: boolean;
  /** liquid that waited for the open pot, boiling hot, mL */
  topUpMl: number;
}

/** Meat that would have to be cooked from raw after the lid: it never is. */
export const rawAtFinish = (g: Gathered): Item[] =>
  g.items.filter(
    (i) =>
      i.food.kind === 'meat' &&
      !goesUnderLid(i) &&
      !i.panOnly &&
      i.state !== 'cooked' &&
      !hasFlag(i, 'seafood') &&
      i.food.meat!.cut !== 'egg',
  );

/**
 * The order after the pin: open away, check, what must still cook, delicate things, dairy off the boil, acid and herbs,
 * rest, fork, and what is scattered at the table. After every addition the mixture has a temperature; where it is too cold for what lies in it, heat and
 * minutes follow, and a thermometer where something must reach a minimum.
 */
export function finishPlan(g: Gathered, x: FinishInput): FinishStep[] {
  const w = new FinishWriter(g, openedMixture(x.run, x.pot, x.altitudeM));
  opening(w, g, x);
  const pasta = w.take((i) => i.food.kind === 'pasta');
  if (pasta.length > 0) {
    w.stirIn(pasta);
    const upMin = w.heatTo(97);
    w.add('simmer-pasta', upMin + heldPastaMin(pasta[0]!), pasta, { heat: 'saute' });
  }
  const topping = w.take((i) => i.joins === 'topping');
  firmVegetables(w);
  cookedThrough(w, g);
  leaves(w);
  bound(w, g);
  checkAndCheese(w, g);
  const baked = crusted(g).filter((i) => topping.includes(i));
  if (baked.length > 0) w.add('topping', minutes.topping, baked);
  serving(w, g, x.bigBatch);
  // At the table: the fork would bury it.
  const strewn = topping.filter((i) => !baked.includes(i));
  if (strewn.length > 0) w.add('scatter', minutes.herbs, strewn);
  return w.steps;
}

/** The lid comes off; pieces are measured, liquid that waited goes in, and what must bind is simmered. */
function opening(w: FinishWriter, g: Gathered, x: FinishInput): void {
  w.stand(minutes.open);
  w.add('open', minutes.open);
  if (x.measured) {
    w.stand(minutes.check);
    w.add(x.measured, minutes.check);
  }
  doneOnceOpen(w, g);
  if (x.topUpMl > 0) {
    w.pour([{ item: g.main, grams: x.topUpMl * g.main.food.bulkGPerMl[0], tempC: hotTopUpC }]);
    w.add('top-up', minutes.topUp, [g.main], { ml: x.topUpMl });
  }
  if (g.rule.simmerMin > 0 && g.grain) {
    w.heatTo(98);
    w.add('simmer', g.rule.simmerMin, [], { heat: 'saute' });
  }
}

/** Leaves and sticks come out; meat that is to be shredded is measured first, pulled apart and put back. */
function doneOnceOpen(w: FinishWriter, g: Gathered): void {
  const under = [...g.items, ...g.seasonedWith].filter(goesUnderLid);
  for (const [what, minutesOf] of [
    ['take-out', minutes.takeOut],
    ['shred', minutes.shred],
  ] as const) {
    const items = under.filter((i) => i.ingredient.prep?.onceOpen === what);
    if (items.length === 0) continue;
    w.stand(minutesOf);
    w.add(what, minutesOf, items);
  }
}

/** Seafood, eggs and what was cooked before: brought to heat in the dish. */
function cookedThrough(w: FinishWriter, g: Gathered): void {
  const seafood = w.take((i) => hasFlag(i, 'seafood'));
  const raw = seafood.filter((i) => i.state !== 'cooked');
  if (raw.length > 0) seafoodIn(w, g, raw);
  const cooked = seafood.filter((i) => i.state === 'cooked');
  if (cooked.length > 0) w.cookIn('seafood-cooked', cooked, { aimC: hotC + overK, ownMin: minutes.seafoodCooked });
  const eggs = w.take((i) => i.food.meat?.cut === 'egg' && i.state !== 'cooked' && !i.panOnly);
  if (eggs.length > 0) w.cookIn('egg-raw', eggs, { aimC: minimumC(eggs[0]!) + overK, ownMin: minutes.dairy });
  const meat = w.take((i) => i.food.kind === 'meat' && i.state === 'cooked' && !i.panOnly);
  if (meat.length === 0) return;
  const cold = meat.some((i) => !i.ingredient.prep?.hot);
  w.cookIn('reheat', meat, { aimC: cold ? minimumC(meat[0]!) + overK : hotC, ownMin: minutes.dairy });
}

/**
 * Raw seafood cooks in the heat that the dish has, under the lid, where that is enough: stirring over heat would break the
 * grain. Only a dish that is too cold for it is heated.
 */
function seafoodIn(w: FinishWriter, g: Gathered, raw: readonly Item[]): void {
  const least = (mixC: number): number => Math.max(minutes.seafood, ...raw.map((i) => throughMin(i, mixC)));
  const restC = w.wouldBeC(raw) - coolsK;
  const restMin = least(restC);
  const isWarm = restC > Math.max(...raw.map(minimumC)) + overK;
  // A fillet that is stirred falls apart, and so do the layers and the separate kernels of rice.
  const lidOn = raw.some((i) => i.food.meat!.cut === 'fish') || (g.grain?.food.kind === 'grain' && !g.rule.stirred);
  if (isWarm && restMin <= mostRestMin) w.restIn('seafood', raw, restMin);
  else w.cookIn('seafood', raw, { aimC: gentlyC, ownMin: least(gentlyC), lidOn });
}

const isVegetable = (i: Item): boolean => i.food.kind === 'vegetable' && !i.panOnly;

/** Florets and their like get their minutes under the lid, before anything that must not cook so long. */
function firmVegetables(w: FinishWriter): void {
  const firm = w.take((i) => isVegetable(i) && isFirm(i) && !isFrozenVegetable(i));
  if (firm.length === 0) return;
  w.stirIn(firm);
  w.add('florets', minutes.florets, firm, { heat: 'saute', lidOn: true });
  w.heatTo(92);
}
/** Leaves and frozen things go in on the residual heat. */
function leaves(w: FinishWriter): void {
  const delicate = w.take(isVegetable);
  if (delicate.length === 0) return;
  w.stirIn(delicate);
  w.add('stir-in', delicate.some(isFrozenVegetable) ? minutes.frozen : minutes.leaves, delicate);
  w.warmAgain();
}

/** A dish must be so hot for the cheese of a sauce to melt; much cold milk or cream is warmed in it first until it steams, degC [common practice]. */
const meltsC = 70;
const steamsC = 80;

/** What binds the sauce, what must not boil, and what was fried and taken out. */
function bound(w: FinishWriter, g: Gathered): void {
  const slurry = w.take((i) => hasFlag(i, 'thickener'));
  if (slurry.length > 0) {
    const upMin = w.heatTo(95);
    w.add('slurry', minutes.slurry + upMin, slurry, { heat: 'saute' });
  }
  const dairy = w.take((i) => (i.food.kind === 'dairy' && !meltsOver(i, g)) || isFinishSauce(i));
  const milks = dairy.filter(isPourable);
  const warmed = milks.length > 0 && w.wouldBeC(milks) < meltsC ? milks : [];
  if (warmed.length > 0) w.cookIn('dairy', warmed, { aimC: steamsC, ownMin: minutes.dairy });
  const rest = dairy.filter((i) => !warmed.includes(i));
  if (rest.length > 0) {
    w.stirIn(rest);
    w.add('dairy', minutes.dairy, rest);
    w.warmAgain();
  }
  const back = w.take((i) => i.panOnly);
  if (back.length > 0) {
    w.stirIn(back);
    w.add('back', minutes.back, back);
  }
}

/** Hard cheese over layers melts under the shut lid. */
const meltsOver = (i: Item, g: Gathered): boolean => i.food.id === 'cheese-hard' && g.rule.layered;

/** The thermometer for what was cooked here, then what melts and what is scattered at the end. */
function checkAndCheese(w: FinishWriter, g: Gathered): void {
  if (w.mustReach.length > 0) {
    const minimumC = Math.max(...w.mustReach.map((m) => m.minimumC));
    const items = w.mustReach.map((m) => m.item);
    w.add('check-finish', minutes.check, items, { minimumC });
  }
  const cheese = w.take((i) => meltsOver(i, g));
  if (cheese.length > 0) w.add('cheese', minutes.cheese, cheese, { lidOn: true });
  const raws = rawAtFinish(g);
  const late = w.take((i) => !raws.includes(i));
  if (late.length > 0) w.add('herbs', minutes.herbs, late);
}

/** Separate grains rest before the fork; pasta stands and drinks on; the rest is served. */
function serving(w: FinishWriter, g: Gathered, bigBatch: boolean): void {
  if (g.dish.calibrates) w.add('pour-away', minutes.serve);
  else if (g.grain?.food.kind === 'grain' && g.rule.standMin > 0) {
    w.add('rest', g.rule.standMin);
    // Its own heat would go on cooking a large heap.
    if (bigBatch) w.add('wide-dish', minutes.wide);
    w.add('fork', minutes.fork);
  } else if (g.grain?.food.kind === 'pasta' && g.dish.family !== 'noodle-soup') w.add('stand', minutes.stand);
  else w.add('serve', minutes.serve);
}

/** Pasta that waits for the finish cooks its packet minutes less one [common practice]. */
const heldPastaMin = (i: Item): number => Math.max(1, (i.food.packetMin?.[0] ?? 10) - 1);

/** Minutes that a raw piece needs in a mixture of `mixC` until its cautious core is at its minimum. */
function throughMin(item: Item, mixC: number): number {
  const rec = item.food.meat!;
  const trace = { minutes: [] as number[], coreC: [] as number[] };
  const halfM = item.thicknessMm / 2000;
  cookPiece({
    composition: compositionOf(rec.composition),
    freezeC: rec.freezeC[0],
    species: rec.species,
    thicknessM: 2 * halfM,
    exponent: item.piece.cautiousExponent,
    startC: item.startC,
    pre: [],
    tempC: new Float64Array(restPieceS).fill(mixC),
    dtS: 1,
    releaseAt: restPieceS,
    place: 'liquid',
    vary: cautiousVariation(halfM, 'liquid', 0, item.piece.guessed),
    restS: 0,
    coarse: true,
    trace,
  });
  const at = trace.coreC.findIndex((c) => c >= minimumC(item));
  return at < 0 ? mostWarmMin : trace.minutes[at]!;
}

/** Why each held-back thing waits. */
export function heldBack(g: Gathered): { ingredient: string; until: 'finish' | 'topping'; why: string }[] {
  const why = (i: Item): string => {
    if (i.panOnly) return 'fried-and-back';
    if (i.ingredient.joins) return 'you-decided';
    if (i.food.kind === 'pasta') return 'soft-on-the-way';
    if (hasFlag(i, 'curdles')) return 'curdles-under-pressure';
    if (hasFlag(i, 'acid')) return 'acid-at-the-end';
    if (hasFlag(i, 'crisp')) return 'stays-crisp';
    return i.food.kind === 'dairy' ? 'melts-after-pressure' : 'gone-in-minutes';
  };
  return [...g.items, ...g.seasonedWith]
    .filter((i) => i.joins === 'finish' || i.joins === 'topping')
    .flatMap((i) =>
      i.rows.map((ingredient) => ({
        ingredient,
        until: i.joins === 'topping' ? ('topping' as const) : ('finish' as const),
        why: why(i),
      })),
    );
}
