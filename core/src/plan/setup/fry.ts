import { isMince } from '../../food/meats';
import { baseAreaCm2, type PotProfile } from '../../pot/profile';
import type { FryStep } from '../document/steps';
import { hasFlag, type Gathered, type Item } from '../gather/item';
import { isBoiledDown } from '../gather/joins';
import { placeOf } from '../gather/place';

/** The order of the pan and its minutes [common practice]. `until` is a key of the text catalogue. */
const classes = [
  { key: 'fat', minutes: 4, until: 'fat-hot', is: (i: Item) => i.food.kind === 'fat' },
  {
    key: 'egg',
    minutes: 2,
    until: 'egg-set',
    is: (i: Item) => i.food.meat?.cut === 'egg',
  },
  { key: 'whole-spice', minutes: 1, until: 'fragrant', is: (i: Item) => isWholeSpice(i) },
  // Onions fry in the spiced fat before the meat; where no spices open in it they follow the meat as a vegetable.
  {
    key: 'spiced-onion',
    minutes: 7,
    until: 'edges-brown',
    is: (i: Item, pan: readonly Item[]) => onions.has(i.food.id) && spicesOpen(pan),
  },
  { key: 'renders', minutes: 4, until: 'fat-out', is: (i: Item) => hasFlag(i, 'renders') && !isMince(i.food) },
  {
    key: 'ground',
    minutes: 4,
    until: 'crumbs-half-brown',
    is: (i: Item) => isMince(i.food),
  },
  { key: 'meat', minutes: 5, until: 'no-pink-outside', is: (i: Item) => i.food.kind === 'meat' },
  {
    key: 'vegetable',
    minutes: 4,
    until: 'translucent',
    is: (i: Item) => i.food.kind === 'vegetable' && !hasFlag(i, 'aromatic') && !isTomato(i),
  },
  {
    key: 'aromatic',
    minutes: 0.75,
    until: 'fragrant',
    is: (i: Item) => hasFlag(i, 'aromatic') && i.food.kind === 'vegetable',
  },
  { key: 'spice', minutes: 0.5, until: 'fragrant', is: (i: Item) => hasFlag(i, 'aromatic') },
  // It cools the pan, so that nothing that is in it burns: after the spices, as in a masala.
  { key: 'tomato', minutes: 5, until: 'mush', is: (i: Item) => isTomato(i) },
  { key: 'grain', minutes: 1.5, until: 'every-kernel-coated', is: (i: Item) => i.food.grain !== undefined },
  // Its minutes are computed from the heat of the pan, see pan.ts.
  { key: 'wine', minutes: 0, until: 'reduced', is: (i: Item) => isReduced(i) },
] as const;
type PanClass = (typeof classes)[number];

/** Thin liquid that loosens the base, mL [common practice]. */
export const deglazeMl = 120;
/** Minutes to scrape the base clean after the liquid goes in [common practice]. */
export const deglazeMin = 1.5;
/** Vegetables share the pan: each more than the first adds a minute, the last one gets its own, mushrooms until their water is gone [common practice]. */
const together = { nextMin: 1, lastMin: 3, mushroomMin: 4 } as const;
/** A full single layer covers this share of the base; more meat steams instead of browning [common practice]. */
const singleLayer = 0.85;

/** Meat in a single layer: how many batches the base needs. Footprint = mass / (density x thickness). */
export function batchesOf(item: Item, pot: PotProfile): number {
  return Math.max(1, Math.ceil(footprintCm2(item) / (singleLayer * baseAreaCm2(pot))));
}
const footprintCm2 = (item: Item): number => item.grams / item.food.densityGPerMl[0] / (item.thicknessMm / 10);

/** It goes into the pan before the liquid and is boiled down to half [common practice]. */
export const isReduced = (i: Item): boolean => i.joins === 'fry' && isBoiledDown(i.food);

export type Brown = 'colour' | 'half' | 'brown';
/** How brown a meat gets: the cook's word, else no pink outside; on a rack it gets its colour from the pan alone. */
export function brownOf(g: Gathered, item: Item): Brown {
  const prep = item.ingredient.prep;
  if (prep?.brown) return prep.brown;
  if (prep?.state === 'browned') return 'half';
  return placeOf(g, item) === 'rack' ? 'brown' : 'colour';
}

/** Stirred until no pink is outside: 3 min and 1.5 min a kilo on a plate of this power [common practice]. */
const colour = { min: 3, perKgMin: 1.5, plateW: 920 } as const;
/** Each of two sides by its thickness, and so much longer for a deep brown [common practice]. */
const perSide = { mmPerMin: 8, least: 2, most: 6, brownTimes: 1.4 } as const;
/** What comes back only at the end is cooked through in the pan [common practice]. */
const throughTimes = 1.8;

/** Minutes of searing: tossed for colour, or side by side for half and brown. */
export function searMinutes(item: Item, brown: Brown): number {
  const through = item.panOnly ? throughTimes : 1;
  if (brown === 'colour') return through * (colour.min + (colour.perKgMin * item.grams) / 1000);
  const side = Math.min(perSide.most, Math.max(perSide.least, item.thicknessMm / perSide.mmPerMin));
  return through * 2 * side * (brown === 'brown' ? perSide.brownTimes : 1);
}

/** Bacon in bits or thin slices is tossed in a heap until its fat runs, mm; min and min a kilo on a plate of `colour.plateW` [common practice: 150 g in 5 to 6 min]. */
const tossedMm = 6;
const tossedMinutes = (item: Item): number => 3 + (15 * item.grams) / 1000;

/** Fresh tomato loses its shape, and its water boils off: two in 6 min, a pound in 9 [common practice]. */
const mushMinutes = (item: Item): number => 4 + (10 * item.grams) / 1000;

/** Minutes that go by how much there is, on a plate of `colour.plateW`; null where they do not. */
function minutesByMass(c: PanClass, item: Item, brown: Brown): number | null {
  if (c.key === 'meat') return searMinutes(item, brown);
  if (c.key === 'tomato') return mushMinutes(item);
  return isTossed(c, item) ? tossedMinutes(item) : null;
}
const isTossed = (c: PanClass, item: Item): boolean => c.key === 'renders' && item.thicknessMm <= tossedMm;

/** Why something comes out of the pan again and waits in a bowl; null when it stays. */
function takeOutWhy(g: Gathered, item: Item, batches: number): string | null {
  if (item.panOnly) return 'back-at-the-end';
  // Whatever lies on top later must come out, or it ends up under the grain.
  if (['top', 'rack'].includes(placeOf(g, item))) return 'lies-on-top';
  if (item.food.kind === 'meat' && batches > 1) return 'base-is-needed';
  return null;
}

/** Garlic and spices stand so much more frying before they burn, min [common practice]. */
const burnsAfterMin = 3;

/** Onions go in before all other vegetables, hard roots next, what gives water and softens soon last [common practice]. */
const onions = new Set(['onion', 'shallot', 'leek', 'spring-onion']);
/** Onions and their like turn translucent before they brown; other vegetables only soften. */
export const turnsTranslucent = (food: string): boolean => onions.has(food);
const hardRoots = new Set(['carrot', 'celery', 'celeriac', 'fennel', 'parsnip', 'turnip', 'swede', 'kohlrabi']);
const isTomato = (i: Item): boolean => i.food.id === 'tomato';
const isWholeSpice = (i: Item): boolean => i.food.id === 'spice-whole';
/** A bay leaf or two are no spiced fat; cloves, cardamom and a stick of cinnamon are, g [common practice]. */
const leavesG = 0.8;
const spicesOpen = (pan: readonly Item[]): boolean =>
  pan.filter(isWholeSpice).reduce((g, i) => g + i.grams, 0) > leavesG;
const isMushroom = (i: Item): boolean => i.food.id.startsWith('mushroom');
const softeningRank = (i: Item): number =>
  onions.has(i.food.id) ? 0 : hardRoots.has(i.food.id) ? 1 : isMushroom(i) ? 3 : 2;

/** The classes of the pan in the planner's order, or in the cook's. */
function inOrder(g: Gathered): { item: Item; c: PanClass }[] {
  const frying = g.items.filter((i) => i.joins === 'fry' || i.panOnly);
  const own = classes.flatMap((c) =>
    frying
      .filter((i) => classes.find((x) => x.is(i, frying)) === c)
      // What comes out again goes in before its like that stays; two halves of one onion fry together.
      .sort(
        (a, b) =>
          softeningRank(a) - softeningRank(b) || (Number(b.panOnly) - Number(a.panOnly)) * (friesAlike(a, b) ? -1 : 1),
      )
      .map((item) => ({ item, c })),
  );
  const wish = g.dish.overrides?.fryOrder;
  if (!wish) return own;
  const at = (id: string): number => {
    const i = wish.indexOf(id);
    return i < 0 ? wish.length : i;
  };
  return own
    .map((x, i) => ({ ...x, i }))
    .sort((x, y) => at(x.item.ingredient.id) - at(y.item.ingredient.id) || x.i - y.i);
}

/** What is fried, in which order, for how long and until what; a cook's own order is honoured, with what it costs. */
export function fryPlan(g: Gathered, pot: PotProfile): FryStep[] {
  const order = inOrder(g);
  const out: FryStep[] = [];
  for (const [at, { item, c }] of order.entries()) {
    const pieces = item.food.kind === 'meat' && !isMince(item.food) && item.food.meat?.cut !== 'egg';
    const brown = brownOf(g, item);
    const layered = pieces && !isTossed(c, item) && (c.key !== 'meat' || brown !== 'colour');
    const batches = layered ? batchesOf(item, pot) : 1;
    const why = takeOutWhy(g, item, batches);
    const power = brown === 'colour' ? colour.plateW / (pot.powerW * pot.efficiency) : 1;
    const byMass = minutesByMass(c, item, brown);
    const each = byMass === null ? c.minutes : byMass * power;
    const before = order[at - 1];
    const isNext =
      isVegetable(c) && before?.c === c && !aheadOf.has(out[at - 1]?.until ?? '') && !friesAlike(before.item, item);
    const isLast = order[at + 1]?.c !== c;
    const own = isVegetable(c) ? friedTo(item) : null;
    const after = order[at + 1]?.item;
    const joined = after !== undefined && friesAlike(item, after);
    out.push({
      order: out.length + 1,
      ingredient: item.ingredient.id,
      minutes: joined ? together.nextMin : isNext ? nextMinutes(item, isLast) : (own?.minutes ?? each) * batches,
      until:
        joined || (isNext && !isLast && !isMushroom(item))
          ? 'stirred-through'
          : (own?.until ?? untilOf(c, item, brown)),
      takeOut: why !== null,
      ...(why === null ? {} : { takeOutWhy: why }),
      ...(batches > 1 ? { batches } : {}),
      ...(pieces ? { thicknessMm: item.thicknessMm, coverCm2: footprintCm2(item) / batches } : {}),
      ...(c.key === 'meat' ? { aim: brown } : {}),
    });
  }
  out.forEach((step, i) => {
    const trouble = troubleOf(order, out, i);
    if (trouble) step.trouble = trouble;
  });
  return out;
}

/** Minutes of a vegetable that joins others in the pan. */
const nextMinutes = (item: Item, isLast: boolean): number =>
  isMushroom(item) ? together.mushroomMin : isLast ? together.lastMin : together.nextMin;

/** How far a vegetable is fried where the cook says it: onions in three ways, others only until they are brown; min [common practice: 3 to 5, 6 to 8, 8 to 12]. */
function friedTo(item: Item): { minutes: number; until: string } | null {
  const { brown: wanted, state } = item.ingredient.prep ?? {};
  // What waits in a bowl counts as cooked; it is browned all the same.
  const isBrowned = item.state === 'browned' || (item.panOnly && (wanted === 'brown' || state === 'browned'));
  if (isBrowned) return { minutes: 10, until: 'deep-brown' };
  const brown = onions.has(item.food.id) ? wanted : undefined;
  if (brown === 'half') return classOf('spiced-onion');
  return brown === 'colour' ? classOf('vegetable') : null;
}
/** The same food, as brown: they share the pan, and one half of it comes out again. */
function friesAlike(a: Item, b: Item): boolean {
  if (a === b || a.food.id !== b.food.id || a.panOnly === b.panOnly) return false;
  const until = friedTo(a)?.until;
  return until !== undefined && until === friedTo(b)?.until;
}
const classOf = (key: (typeof classes)[number]['key']): { minutes: number; until: string } =>
  classes.find((c) => c.key === key)!;
/** What has its colour before other vegetables join it, which get minutes of their own then. */
const aheadOf: ReadonlySet<string> = new Set(['deep-brown', 'edges-brown']);

const isVegetable = (c: PanClass): boolean => c.key === 'vegetable' || c.key === 'spiced-onion';

function untilOf(c: PanClass, item: Item, brown: Brown): string {
  if (c.key === 'vegetable') return onions.has(item.food.id) ? c.until : isMushroom(item) ? 'water-gone' : 'softened';
  if (c.key !== 'meat') return c.until;
  // Cured meat keeps its pink.
  if (item.food.meat?.cut === 'cured' && brown === 'colour') return 'edges-brown';
  if (item.panOnly) return 'cooked-through';
  return brown === 'colour' ? c.until : brown === 'half' ? 'brown-half-through' : 'well-browned';
}

/** What an order of the pan costs: garlic in too early burns, meat after wet vegetables steams, anything before fat sticks. */
function troubleOf(
  order: readonly { item: Item; c: PanClass }[],
  steps: readonly FryStep[],
  at: number,
): FryStep['trouble'] {
  const { item, c } = order[at]!;
  const before = order.slice(0, at).map((x) => x.c.key);
  // Tomato and wine cool the pan.
  const wet = order.findIndex((x, i) => i > at && (x.c.key === 'tomato' || x.c.key === 'wine'));
  const later = steps.slice(at + 1, wet < 0 ? undefined : wet).reduce((s, f) => s + f.minutes, 0);
  if ((c.key === 'aromatic' || c.key === 'spice') && !steps[at]!.takeOut && later > burnsAfterMin) return 'burns';
  if (item.food.kind === 'meat' && c.key !== 'renders' && c.key !== 'egg' && before.includes('vegetable'))
    return 'steams';
  const fatLater = order.slice(at + 1).some((x) => x.c.key === 'fat' || x.c.key === 'renders');
  if (c.key !== 'fat' && c.key !== 'renders' && fatLater && !before.includes('fat') && !before.includes('renders'))
    return 'sticks';
  return undefined;
}

export const fryMinutes = (steps: readonly FryStep[]): number =>
  steps.length === 0 ? 0 : steps.reduce((s, f) => s + f.minutes, 0) + deglazeMin;
