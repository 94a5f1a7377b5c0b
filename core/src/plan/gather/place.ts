import { issueAt, refusal } from '../../problem';
import { hasFlag, type Gathered, type Item } from './item';

export type Place = 'liquid' | 'base' | 'grain' | 'top' | 'rack' | 'inner-bowl';

/** Where an ingredient lies when the lid closes: the cook's word, else the planner's. */
export function placeOf(g: Gathered, item: Item): Place {
  const said = item.ingredient.place;
  if (said === 'inner-bowl' && !g.inBowl) {
    const at = g.items.indexOf(item);
    throw refusal('bowl-not-here', {}, issueAt(`ingredients.${at}.place`, 'places-outside-a-bowl'));
  }
  if (said && item.food.grain && (said === 'rack' || said === 'liquid')) {
    const at = g.items.indexOf(item);
    throw refusal('place-not-here', { place: said }, issueAt(`ingredients.${at}.place`, 'places-of-grain'));
  }
  if (said) return said;
  if (item.food.grain) return g.inBowl ? 'inner-bowl' : 'grain';
  if (item.food.kind === 'liquid') return hasFlag(item, 'tomato') ? 'top' : 'liquid';
  if (g.dish.family === 'steamed-side' && (item.food.kind === 'vegetable' || item.food.kind === 'meat')) return 'rack';
  if (item.food.kind === 'meat') {
    const cut = item.food.meat!.cut;
    if (g.dish.family === 'rack-over-grain') return 'rack';
    if (cut === 'egg' && item.state !== 'cooked') return 'rack';
    // In a stew without starch, or in a soup, everything lies in the liquid.
    if (!g.grain || g.inBowl || g.rule.stirred) return 'base';
    return cut === 'white' || cut === 'cooked' || cut === 'fish' || cut === 'egg' ? 'top' : 'base';
  }
  if (item.food.kind === 'vegetable') {
    if (!g.grain || g.inBowl) return 'base';
    // What is dried drinks: it lies in the liquid, not above it.
    if (item.food.released[0] < 0 && !hasFlag(item, 'crisp')) return 'base';
    return item.joins === 'fry' || item.joins === 'marinade' ? 'base' : 'top';
  }
  if (item.food.kind === 'dairy') {
    // What pours runs through to the base; yogurt is the marinade, and in a biryani milk carries the saffron on top.
    if (item.food.id === 'yogurt' && g.grain?.food.kind === 'grain') return 'base';
    if (g.dish.family === 'biryani') return 'top';
    return isPourable(item) ? 'liquid' : 'top';
  }
  if (item.food.kind === 'other') return 'base';
  return isLayered(g, item) ? 'top' : 'liquid';
}

/** Leaves are a layer of their own in a biryani, and saffron lies on top with the milk that it soaked in [common practice]. */
export const isLayered = (g: Gathered, i: Item): boolean =>
  g.dish.family === 'biryani' && (i.food.id === 'herb-fresh' || (i.food.id === 'saffron' && g.items.some(isMilkOnTop)));
const isMilkOnTop = (i: Item): boolean => i.food.id === 'milk' && i.joins === 'stack';

const pourable = new Set(['milk', 'milk-evaporated', 'buttermilk', 'cream-single', 'cream-heavy']);
/** Dairy that runs like a liquid. */
export const isPourable = (item: Item): boolean => pourable.has(item.food.id);
