import type { Kitchen } from '../dish/kitchen';
import type { Dish, Ingredient } from '../dish/schema';
import { findFood, foods } from '../food/find';
import { recordOf } from '../food/own-food';
import type { FoodRecord } from '../food/record';
import type { Plan } from './document';
import { solvePlan } from './solve-plan';
import { stopCount } from './verdict';
import { hardCore } from '../grain/texture';

/** A change of the dish that lets one program serve all, with the plan it gives. */
export interface Proposal {
  code:
    | 'cut-thinner'
    | 'cut-thicker'
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

const thinnestMm = 6;
const thickestMm = 40;

/** Parts that this program does not serve: not done, tough, dry, hard, or gone soft. */
export function strugglers(p: Plan): string[] {
  return [
    ...p.meats.filter((m) => ['under', 'tough', 'dry'].includes(m.texture)).map((m) => m.ingredient),
    ...p.plants.filter((v) => v.verdict !== 'done').map((v) => v.ingredient),
  ];
}

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
  const before = troubleOf(chosen);
  const out: Proposal[] = [];
  const consider = (code: Proposal['code'], ingredient: string, changed: Dish, to?: number | string): Proposal => {
    const p = planned(changed);
    const found: Proposal = {
      code,
      ingredient,
      dish: changed,
      plan: p,
      trouble: troubleOf(p),
      ...(to === undefined ? {} : { to }),
    };
    if (found.trouble < before) out.push(found);
    return found;
  };
  for (const id of strugglers(chosen)) {
    const item = dish.ingredients.find((i) => i.id === id)!;
    const food = recordOf(item);
    const meat = chosen.meats.find((m) => m.ingredient === id);
    const plant = chosen.plants.find((v) => v.ingredient === id);
    const mm = item.prep?.thicknessMm ?? food.meat?.defaultThicknessMm[0] ?? food.plant?.defaultThicknessMm[0] ?? 20;
    const cut = (to: number): Dish => withIngredient(dish, { ...item, prep: { ...item.prep, thicknessMm: to } });
    if (meat?.texture === 'dry' || plant?.verdict === 'soft') {
      // Larger pieces take longer to come up: the same program is gentler on them.
      for (const to of [Math.round(mm * 1.4), Math.round(mm * 1.8)])
        if (to <= thickestMm && consider('cut-thicker', id, cut(to), to).trouble < before) break;
      consider('hold-back', id, withIngredient(dish, { ...item, joins: 'finish' }));
      if (dish.family !== 'pot-in-pot') consider('on-the-rack', id, withIngredient(dish, { ...item, place: 'rack' }));
    } else {
      let low = thinnestMm;
      let high = Math.floor(mm) - 1;
      // The thickest cut that still helps: thinner is never less done.
      if (high >= low && consider('cut-thinner', id, cut(low), low).trouble < before) {
        out.pop();
        while (low < high) {
          const mid = (low + high + 1) >> 1;
          if (troubleOf(planned(cut(mid))) < before) low = mid;
          else high = mid - 1;
        }
        consider('cut-thinner', id, cut(low), low);
      }
      if (item.place === 'top' || item.place === 'rack')
        consider('lower', id, withIngredient(dish, { ...item, place: 'base' }));
      if (meat && item.prep?.state !== 'browned' && item.prep?.state !== 'frozen')
        consider('sear-more', id, withIngredient(dish, { ...item, prep: { ...item.prep, state: 'browned' } }));
      if (meat && chosen.firstStage === null && dish.family !== 'steamed-side')
        consider('start-earlier', id, { ...dish, overrides: { ...dish.overrides, firstStage: true } });
      if (meat?.texture === 'tough')
        for (const to of quickerCuts(food.id)) consider('swap-cut', id, withIngredient(dish, swapped(item, to)), to);
    }
  }
  const grain = dish.ingredients.find((i) => recordOf(i).kind === 'grain');
  if (grain && strugglers(chosen).length > 0)
    for (const to of otherGrains(recordOf(grain), chosen))
      consider('swap-grain', grain.id, withIngredient(dish, swapped(grain, to)), to);
  return out.sort((a, b) => a.trouble - b.trouble || a.plan.timeline.at(-1)!.endMin - b.plan.timeline.at(-1)!.endMin);
}

/** The ingredient with another food of the table in its place. */
const swapped = ({ ownFood: _, ...item }: Ingredient, food: string): Ingredient => ({ ...item, food });

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
    p.meats.some((m) => m.texture === 'tough' || m.texture === 'under') || p.plants.some((v) => v.verdict === 'hard');
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
