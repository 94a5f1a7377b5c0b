import { cautiousVariation } from '../meat/cautious';
import { compositionOf } from '../meat/properties';
import { cookPiece } from '../meat/piece';
import type { CookRun } from '../pot/cook';
import type { PotProfile } from '../pot/profile';
import type { FinishStep } from './document';
import { finishMinutes as minutes, hotC, isFloret, isFrozenVegetable } from './finish-minutes';
import { goesUnderLid, hasFlag, isFinishSauce, type Gathered, type Item } from './gather';
import { minimumC } from './meat';
import { heatedTo, minutesTo, openedMixture, stands, stirIn, waitedC, type FinishHeat } from './mixing';
import type { FinishCode } from './step-id';

/** A heated step aims so much over what must be reached, K [common practice]. */
const overK = 4;
/** Seafood and eggs are brought into a mixture of at least this, degC [common practice]. */
const gentlyC = 85;
/** Keep-warm that takes longer than this is done on low sauté instead, stirring, min [common practice]. */
const mostWarmMin = 15;
const restPieceS = 1200;

const texts: Record<string, string> = {
  open: 'Pin down: open the lid away from you, vent clear of cupboards.',
  check: 'Check the thickest piece with a thermometer, away from bone.',
  'top-up': 'Stir in the rest of the liquid, boiling hot: it did not fit under the lid.',
  'simmer-pasta': 'Bring to a simmer, put the pasta in and cook it open.',
  seafood: 'Lay the seafood in and heat gently: opaque through.',
  'seafood-cooked': 'Warm the cooked seafood through.',
  'egg-raw': 'Stir the egg in over low heat until it sets.',
  reheat: 'Stir in what was cooked before and heat it through.',
  'stir-in': 'Stir in on the residual heat.',
  florets: 'Put the florets in, lid on, over low heat.',
  dairy: 'Off the boil: stir in.',
  back: 'Put back what was fried and taken out.',
  cheese: 'Cheese over it, lid shut, heat off: it melts.',
  warm: 'Lid on, keep warm.',
  'check-finish': 'Check what went in last with a thermometer.',
  herbs: 'Scatter over at the end.',
  simmer: 'Simmer open, stirring, until the sauce binds.',
  slurry: 'Stir in the starch with cold water and let it boil up.',
  topping: 'Put the topping on and brown it under strong heat.',
  scatter: 'Scatter the crisp things over.',
  stand: 'Let it stand: the pasta drinks on.',
  serve: 'Serve.',
  rest: 'Leave the lid off and wait before the fork: hot grains break.',
  'wide-dish': 'Move the grain out into a wide dish: a large batch goes on softening in its own heat.',
  fork: 'Loosen with a fork and serve.',
};

/** What the finish starts from. */
export interface FinishInput {
  run: CookRun;
  pot: PotProfile;
  altitudeM: number;
  hasMeat: boolean;
  bigBatch: boolean;
  /** hot liquid that did not fit under the lid, mL */
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
 * rest, fork. After every addition the mixture has a temperature; where it is too cold for what lies in it, heat and
 * minutes follow, and a thermometer where something must reach a minimum.
 */
export function finishPlan(g: Gathered, x: FinishInput): FinishStep[] {
  const held = g.items.filter((i) => i.joins === 'finish' || i.joins === 'topping');
  const out: FinishStep[] = [];
  let mix = openedMixture(x.run, x.pot, x.altitudeM);
  const add = (code: FinishCode, min: number, items: Item[] = [], more: Partial<FinishStep> = {}): void => {
    out.push({
      order: out.length + 1,
      code,
      text: texts[code]!,
      minutes: Math.round(min * 2) / 2,
      ingredients: items.flatMap((i) => i.rows),
      tempC: Math.round(mix.state.tempC),
      ...more,
    });
  };
  const taken = new Set<Item>();
  const take = (pick: (i: Item) => boolean): Item[] => {
    const hit = held.filter((i) => !taken.has(i) && pick(i));
    hit.forEach((i) => taken.add(i));
    return hit;
  };
  const stir = (items: Item[]): void => {
    mix = stirIn(
      mix,
      items.map((item) => ({ item, grams: item.grams, tempC: item.panOnly ? waitedC : item.startC })),
    );
  };
  /** Heat until the mixture is at `toC`: keep-warm under the lid while that is short, else low sauté. */
  const bring = (toC: number): { min: number; heat: FinishHeat } => {
    const warm = minutesTo(mix, toC, 'keep-warm');
    if (warm !== null && warm <= mostWarmMin) return { min: warm, heat: 'keep-warm' };
    return { min: minutesTo(mix, toC, 'saute') ?? mostWarmMin, heat: 'saute' };
  };
  /** A dish that went cold is warmed again under the lid. */
  const warmAgain = (): void => {
    if (mix.state.tempC >= hotC) return;
    const b = bring(hotC + 2);
    mix = heatedTo(mix, hotC + 2);
    add('warm', Math.max(1, b.min), [], { heat: b.heat, lidOn: b.heat === 'keep-warm' });
  };
  const must: { item: Item; minimumC: number }[] = [];
  /** Things that are cooked or heated through at the end: the mixture is brought up, then they get their own minutes. */
  const cookIn = (code: FinishCode, items: Item[], aimC: number, ownMin: number): void => {
    stir(items);
    const minutesUp = minutesTo(mix, aimC, 'saute') ?? mostWarmMin;
    const cold = mix.state.tempC;
    mix = heatedTo(mix, aimC);
    const minimum = Math.max(0, ...items.filter((i) => i.food.meat).map((i) => minimumC(i)));
    add(code, minutesUp + ownMin, items, {
      tempC: Math.round(cold),
      ...(minutesUp > 0.25 ? { heat: 'saute' as const } : {}),
      ...(minimum > 0 ? { minimumC: minimum } : {}),
    });
    for (const item of items) if (item.food.meat) must.push({ item, minimumC: minimumC(item) });
  };

  mix = stands(mix, minutes.open);
  add('open', minutes.open);
  if (x.hasMeat) {
    mix = stands(mix, minutes.check);
    add('check', minutes.check);
  }
  if (x.topUpMl > 0) {
    mix = stirIn(mix, [{ item: g.main, grams: x.topUpMl * g.main.food.bulkGPerMl[0], tempC: 95 }]);
    add('top-up', minutes.topUp, [g.main], { ml: x.topUpMl });
  }
  if (g.rule.simmerMin > 0 && g.grain) {
    mix = heatedTo(mix, 98);
    add('simmer', g.rule.simmerMin, [], { heat: 'saute' });
  }
  const pasta = take((i) => i.food.kind === 'pasta');
  if (pasta.length > 0) {
    stir(pasta);
    const up = minutesTo(mix, 97, 'saute') ?? mostWarmMin;
    mix = heatedTo(mix, 97);
    add('simmer-pasta', up + heldPastaMin(pasta[0]!), pasta, { heat: 'saute' });
  }
  const topping = take((i) => i.joins === 'topping');
  const seafood = take((i) => hasFlag(i, 'seafood'));
  const raw = seafood.filter((i) => i.state !== 'cooked');
  if (raw.length > 0)
    cookIn('seafood', raw, gentlyC, Math.max(minutes.seafood, ...raw.map((i) => throughMin(i, gentlyC))));
  const warm = seafood.filter((i) => i.state === 'cooked');
  if (warm.length > 0) cookIn('seafood-cooked', warm, hotC + overK, minutes.seafoodCooked);
  const eggs = take((i) => i.food.meat?.cut === 'egg' && !i.panOnly);
  if (eggs.length > 0) cookIn('egg-raw', eggs, minimumC(eggs[0]!) + overK, minutes.dairy);
  const cooked = take((i) => i.food.kind === 'meat' && i.state === 'cooked' && !i.panOnly);
  if (cooked.length > 0)
    cookIn(
      'reheat',
      cooked,
      cooked.some((i) => !i.ingredient.prep?.hot) ? minimumC(cooked[0]!) + overK : hotC,
      minutes.dairy,
    );
  const florets = take((i) => i.food.kind === 'vegetable' && isFloret(i) && !isFrozenVegetable(i));
  if (florets.length > 0) {
    stir(florets);
    add('florets', minutes.florets, florets, { heat: 'saute', lidOn: true });
    mix = heatedTo(mix, 92);
  }
  const delicate = take((i) => i.food.kind === 'vegetable');
  if (delicate.length > 0) {
    stir(delicate);
    add('stir-in', delicate.some(isFrozenVegetable) ? minutes.frozen : minutes.leaves, delicate);
    warmAgain();
  }
  const slurry = take((i) => hasFlag(i, 'thickener'));
  if (slurry.length > 0) {
    const up = minutesTo(mix, 95, 'saute') ?? mostWarmMin;
    mix = heatedTo(mix, 95);
    add('slurry', minutes.slurry + up, slurry, { heat: 'saute' });
  }
  const cheese = take((i) => i.food.id === 'cheese-hard' && g.rule.layered);
  const dairy = take((i) => i.food.kind === 'dairy' || isFinishSauce(i));
  if (dairy.length > 0) {
    stir(dairy);
    add('dairy', minutes.dairy, dairy);
    warmAgain();
  }
  const back = take((i) => i.panOnly);
  if (back.length > 0) {
    stir(back);
    add('back', minutes.back, back);
  }
  if (must.length > 0)
    add(
      'check-finish',
      minutes.check,
      must.map((m) => m.item),
      {
        minimumC: Math.max(...must.map((m) => m.minimumC)),
      },
    );
  if (cheese.length > 0) add('cheese', minutes.cheese, cheese, { lidOn: true });
  const raws = rawAtFinish(g);
  const late = held.filter((i) => !taken.has(i) && !raws.includes(i));
  if (late.length > 0) add('herbs', minutes.herbs, late);
  // Strong heat only where a crust belongs; elsewhere crisp things are scattered over.
  const crust = g.dish.family === 'casserole' || g.dish.family === 'layered-pasta';
  if (topping.length > 0) add(crust ? 'topping' : 'scatter', crust ? minutes.topping : minutes.herbs, topping);
  const separate = g.grain?.food.kind === 'grain' && g.rule.standMin > 0;
  if (separate) {
    add('rest', g.rule.standMin);
    // Its own heat would go on cooking a large heap.
    if (x.bigBatch) add('wide-dish', minutes.wide);
    add('fork', minutes.fork);
  } else if (g.grain?.food.kind === 'pasta' && g.dish.family !== 'noodle-soup') add('stand', minutes.stand);
  else add('serve', minutes.serve);
  return out;
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
  return g.items
    .filter((i) => i.joins === 'finish' || i.joins === 'topping')
    .flatMap((i) =>
      i.rows.map((ingredient) => ({
        ingredient,
        until: i.joins === 'topping' ? ('topping' as const) : ('finish' as const),
        why: why(i),
      })),
    );
}
