import { lastWhole } from '../bisect';
import { withFood } from '../dish/ingredient-names';
import type { Kitchen } from '../dish/kitchen';
import type { Dish, Ingredient } from '../dish/schema';
import { findFood, foods } from '../food/find';
import { recordOf } from '../food/own-food';
import type { FoodRecord } from '../food/record';
import { slowFromMin } from '../food/meats';
import type { Plan } from './document/document';
import type { MeatVerdict, PlantVerdict } from './document/verdicts';
import { solvePlan } from './solve-plan';
import { stopCount } from './judge/verdict';
import { hardCore } from '../grain/texture';

/** A change of the dish that lets one program serve all, with the plan it gives. */
export interface Proposal {
  code:
    | 'cut-thinner'
    | 'cut-thicker'
    | 'cut-pieces'
    | 'on-the-rack'
    | 'lower'
    | 'hold-back'
    | 'sear-more'
    | 'start-earlier'
    | 'swap-grain'
    | 'swap-cut';
  ingredient: string;
  /** millimetres for a cut, a food id for a swap */
  to?: number | string;
  dish: Dish;
  plan: Plan;
  /** troubles left: stop warnings weigh 10, tough, dry or hard parts 3, cautions 1 */
  trouble: number;
}

/** Bite-size, mm [common practice]. */
const smallestPieceMm = 15;
const largestPieceMm = 35;
const thinnestMm = 6;
const thickestMm = 40;

/** For a stage as short as this nobody opens the pot twice: the meat is cut smaller, min [common practice]. */
const shortStageMin = 8;
/** Quick meat that has a short stage of its own only because it lies there in large pieces. */
const apart = (p: Plan): string[] =>
  p.firstStage === null ||
  p.firstStage.holdMin > shortStageMin ||
  p.meats.some((m) => (m.tenderCoreMin ?? 0) >= slowFromMin)
    ? []
    : p.firstStage.slow;

/** A part that this program does not serve, and how: not done, tough, dry, hard, soft, or apart in a stage of its own for nothing. */
export interface Struggle {
  ingredient: string;
  trouble: MeatVerdict['texture'] | PlantVerdict['verdict'] | 'apart';
}

const badTextures: readonly string[] = ['under', 'tough', 'dry'];

/** Every part that this program does not serve, each once. */
export function struggles(p: Plan): Struggle[] {
  const bad: Struggle[] = [
    ...p.meats.flatMap(({ ingredient, texture: t }) => (badTextures.includes(t) ? [{ ingredient, trouble: t }] : [])),
    ...p.plants.flatMap(({ ingredient, verdict: v }) => (v === 'done' ? [] : [{ ingredient, trouble: v }])),
  ];
  const only = apart(p).filter((id) => !bad.some((b) => b.ingredient === id));
  return [...only.map((ingredient): Struggle => ({ ingredient, trouble: 'apart' })), ...bad];
}

export const strugglers = (p: Plan): string[] => struggles(p).map((s) => s.ingredient);

export const troubleOf = (p: Plan): number =>
  10 * stopCount(p) +
  p.warnings.filter((w) => w.severity === 'caution').length +
  3 * strugglers(p).length +
  3 * Number(p.grain ? p.grain.done < hardCore || Math.abs(p.grain.textureIndex - p.grain.aimIndex) > 6 : false);

/**
 * When parts need different times: what to change so that one program serves all. Every proposal is planned anew and
 * only kept when it leaves less trouble than before; the best comes first.
 *
 * @param planned how a changed dish is planned
 */
export function equalise(
  dish: Dish,
  kitchen: Kitchen,
  chosen: Plan,
  planned: (changed: Dish) => Plan = (changed) => solvePlan(changed, kitchen),
): Proposal[] {
  const trial = new Trials(dish, troubleOf(chosen), planned);
  const parts = struggles(chosen);
  for (const { ingredient, trouble } of parts) {
    const item = dish.ingredients.find((i) => i.id === ingredient)!;
    if (trouble === 'dry' || trouble === 'soft') gentler(trial, dish, item);
    else if (trouble === 'apart') together(trial, item);
    else sooner(trial, { dish, chosen, item });
  }
  const grain = dish.ingredients.find((i) => recordOf(i).kind === 'grain');
  if (grain && parts.length > 0)
    for (const to of otherGrains(recordOf(grain), chosen)) trial.of('swap-grain', withFood(grain, to), to);
  const endMin = (x: Proposal): number => x.plan.timeline.at(-1)!.endMin;
  return trial.better.sort((a, b) => a.trouble - b.trouble || endMin(a) - endMin(b));
}

/** Changed dishes, each planned anew; what leaves less trouble than the plan that stands is kept. */
class Trials {
  readonly better: Proposal[] = [];

  constructor(
    private readonly dish: Dish,
    private readonly before: number,
    private readonly planned: (changed: Dish) => Plan,
  ) {}

  /** One ingredient changed. @returns whether that helps */
  of(code: Proposal['code'], item: Ingredient, to?: number | string): boolean {
    return this.ofDish(code, { item: item.id, changed: withIngredient(this.dish, item) }, to);
  }

  ofDish(code: Proposal['code'], { item, changed }: { item: string; changed: Dish }, to?: number | string): boolean {
    const plan = this.planned(changed);
    const trouble = troubleOf(plan);
    const helps = trouble < this.before;
    if (helps)
      this.better.push({ code, ingredient: item, dish: changed, plan, trouble, ...(to === undefined ? {} : { to }) });
    return helps;
  }

  /** Whether a change helps, without keeping it. */
  helps(item: Ingredient, isGood: (p: Plan) => boolean = () => true): boolean {
    const plan = this.planned(withIngredient(this.dish, item));
    return troubleOf(plan) < this.before && isGood(plan);
  }
}

const cutTo = (item: Ingredient, mm: number): Ingredient => ({ ...item, prep: { ...item.prep, thicknessMm: mm } });
/** Bite-size: as wide as it is thick. */
const inPieces = (item: Ingredient, mm: number): Ingredient => {
  const { pieceG: _, ...prep } = item.prep ?? {};
  return { ...item, prep: { ...prep, shape: 'cube', thicknessMm: mm } };
};
/** A flat piece without bones that a knife makes into cubes. */
function isFillet(item: Ingredient): boolean {
  const { meat } = recordOf(item);
  const shape = item.prep?.shape ?? 'whole';
  return (meat?.cut === 'white' || meat?.cut === 'dark') && meat.shape === undefined && shape === 'whole';
}

function cutMm(item: Ingredient): number {
  const food = recordOf(item);
  return item.prep?.thicknessMm ?? food.meat?.defaultThicknessMm[0] ?? food.plant?.defaultThicknessMm[0] ?? usualMm;
}
const usualMm = 20;

/** For a part that gets too much: larger pieces take longer to come up, later or higher it gets less. */
function gentler(trial: Trials, dish: Dish, item: Ingredient): void {
  const mm = cutMm(item);
  for (const to of [Math.round(mm * 1.4), Math.round(mm * 1.8)])
    if (to <= thickestMm && trial.of('cut-thicker', cutTo(item, to), to)) break;
  trial.of('hold-back', { ...item, joins: 'finish' });
  if (dish.family !== 'pot-in-pot') trial.of('on-the-rack', { ...item, place: 'rack' });
}

/** For a part that needs a lid of its own: the largest pieces that are good under the lid of the starch. */
function together(trial: Trials, item: Ingredient): void {
  if (!isFillet(item)) return;
  const isGood = (p: Plan): boolean =>
    p.firstStage === null && p.meats.some((m) => m.ingredient === item.id && ['juicy', 'tender'].includes(m.texture));
  const fits = (mm: number): boolean => trial.helps(inPieces(item, mm), isGood);
  if (!fits(smallestPieceMm)) return;
  const mm = lastWhole(smallestPieceMm, largestPieceMm, fits);
  trial.of('cut-pieces', inPieces(item, mm), mm);
}

/** For a part that gets too little: thinner, lower, seared, started earlier, or a quicker cut of it. */
function sooner(trial: Trials, { dish, chosen, item }: { dish: Dish; chosen: Plan; item: Ingredient }): void {
  const meat = chosen.meats.find((m) => m.ingredient === item.id);
  const state = item.prep?.state;
  const thinner = thickestHelpfulMm(trial, item);
  if (thinner !== null) trial.of('cut-thinner', cutTo(item, thinner), thinner);
  if (item.place === 'top' || item.place === 'rack') trial.of('lower', { ...item, place: 'base' });
  if (!meat) return;
  if (state !== 'browned' && state !== 'frozen')
    trial.of('sear-more', { ...item, prep: { ...item.prep, state: 'browned' } });
  if (chosen.firstStage === null && dish.family !== 'steamed-side') {
    const changed = { ...dish, overrides: { ...dish.overrides, firstStage: true } };
    trial.ofDish('start-earlier', { item: item.id, changed });
  }
  if (meat.texture === 'tough')
    for (const to of quickerCuts(recordOf(item).id)) trial.of('swap-cut', withFood(item, to), to);
}

/** The thickest cut that still helps, mm: thinner is never less done. Null where even the thinnest does not. */
function thickestHelpfulMm(trial: Trials, item: Ingredient): number | null {
  const helps = (mm: number): boolean => trial.helps(cutTo(item, mm));
  const mostMm = Math.floor(cutMm(item)) - 1;
  return mostMm < thinnestMm || !helps(thinnestMm) ? null : lastWhole(thinnestMm, mostMm, helps);
}

const withIngredient = (dish: Dish, changed: Ingredient): Dish => ({
  ...dish,
  ingredients: dish.ingredients.map((i) => (i.id === changed.id ? changed : i)),
});

/** Cuts of the same animal that are tender sooner. */
function quickerCuts(id: string): string[] {
  const need = findFood(id).meat?.tenderCoreMin?.[0] ?? 0;
  const animal = id.split('-')[0]!;
  return foods
    .filter(
      (f) => f.kind === 'meat' && f.id !== id && f.id.startsWith(animal) && (f.meat!.tenderCoreMin?.[0] ?? 0) < need,
    )
    .map((f) => f.id)
    .slice(0, 2);
}

/** Grains that want more time when something is not done, less when something is overdone: the two nearest. */
function otherGrains(grain: FoodRecord, p: Plan): string[] {
  const own = grain.grain!.eRef[0];
  const slower =
    apart(p).length > 0 ||
    p.meats.some((m) => m.texture === 'tough' || m.texture === 'under') ||
    p.plants.some((v) => v.verdict === 'hard');
  return foods
    .filter(
      (f) =>
        f.kind === 'grain' &&
        !f.id.startsWith('oats') &&
        (slower ? f.grain!.eRef[0] > own + 4 : f.grain!.eRef[0] < own - 4),
    )
    .sort((a, b) => Math.abs(a.grain!.eRef[0] - own) - Math.abs(b.grain!.eRef[0] - own))
    .map((f) => f.id)
    .slice(0, 2);
}
