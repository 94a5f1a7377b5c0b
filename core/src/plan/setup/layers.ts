import { baseAreaCm2, type PotProfile } from '../../pot/profile';
import { goesUnderLid, hasFlag, type Gathered, type Item } from '../gather/item';
import { isLayered, isPourable, placeOf, type Place } from '../gather/place';

/** A layer before it is given its height: what, how much of it, and why it lies there. */
export interface Laid {
  item: Item;
  /** share of the item that lies in this layer, 0..1 */
  share: number;
  note: string;
}

/** Saffron goes with the milk that it soaked in. */
const poursOver = (i: Item): boolean => i.food.kind === 'liquid' || i.food.kind === 'dairy' || i.food.id === 'saffron';

/** One layer of sheets broken to fit covers the base, g/cm2 [common practice: about 14 g/dm2]. */
const sheetGPerCm2 = 0.14;

export const reasonsByPlace: Record<Place, string> = {
  liquid: 'thin-over-scraped-base',
  base: 'slow-nearest-heat',
  grain: 'level-pressed-under',
  top: 'cooks-in-steam',
  rack: 'on-the-rack-in-steam',
  'inner-bowl': 'bowl-over-water',
};

/** How many layers of sheets this pot takes: each covers its base once. */
export const sheetLayers = (sheetsG: number, pot: PotProfile): number =>
  Math.max(1, Math.round(sheetsG / (sheetGPerCm2 * baseAreaCm2(pot))));

/** Thick sauces and tomato: they scorch below, and are spread last. */
export const isThick = (i: Item): boolean =>
  (i.food.kind === 'liquid' && hasFlag(i, 'tomato')) || (i.food.kind === 'dairy' && !isPourable(i));

/** Everything that is solid or thick in the pot itself, from the base up; racks and bowls stand above it. */
export function layersOf(g: Gathered, pot: PotProfile): Laid[] {
  const inPot = g.items
    .filter(goesUnderLid)
    .filter((i) => i.food.kind !== 'fat' && (i.food.kind !== 'seasoning' || isLayered(g, i)));
  const at = (p: Place): Item[] => inPot.filter((i) => placeOf(g, i) === p);
  const starch = inPot.find((i) => i.food.grain && placeOf(g, i) !== 'inner-bowl') ?? null;
  const starchAt = starch && placeOf(g, starch);
  const whole = (item: Item, note: string): Laid => ({ item, share: 1, note });
  const base = at('base').filter((i) => i !== starch);
  // Thick things are the last layer, above what pours.
  const rank = (i: Item): number => (isThick(i) ? 2 : poursOver(i) ? 1 : 0);
  const top = at('top')
    .filter((i) => i !== starch)
    .sort((a, b) => rank(a) - rank(b));
  const beside = at('grain').filter((i) => i !== starch);
  const below = base.map((i) => whole(i, reasonsByPlace.base));
  const among = beside.map((i) => whole(i, reasonsByPlace.grain));
  const noteOfTop = (i: Item): string => (rank(i) > 0 ? 'thick-scorches-below' : reasonsByPlace.top);
  if (!starch) return [...below, ...among, ...top.map((i) => whole(i, noteOfTop(i)))];
  if (g.dish.family === 'layered-pasta' && starchAt === 'grain')
    return sheets(g, pot, starch, [...base, ...beside, ...top]);
  const bare = g.rule.coats && base.every((i) => i.food.kind === 'vegetable');
  const note = bare ? 'coated-under-the-liquid' : reasonsByPlace.grain;
  const over = top.map((i) => whole(i, noteOfTop(i)));
  if (starchAt === 'base') return [whole(starch, note), ...below, ...among, ...over];
  if (starchAt === 'top') return [...below, ...among, ...over, whole(starch, note)];
  const between = g.rule.layered ? top.filter((i) => rank(i) === 0 && i.food.kind !== 'meat') : [];
  if (between.length === 0) return [...below, ...among, whole(starch, note), ...over];
  const half: Laid = { item: starch, share: 0.5, note };
  return [
    ...below,
    ...among,
    half,
    ...between.map((i) => whole(i, 'between-the-grain')),
    half,
    ...over.filter((l) => !between.includes(l.item)),
  ];
}

/** Sheets, filling and sauce in turn: the liquid lies under the first sheets, sauce covers the last. */
function sheets(g: Gathered, pot: PotProfile, starch: Item, others: readonly Item[]): Laid[] {
  const n = sheetLayers(starch.grams, pot);
  const sauces = others.filter(isThick);
  const filling = others.filter((i) => !isThick(i));
  const gaps = Math.max(1, n - 1);
  const out: Laid[] = [];
  for (let k = 0; k < n; k++) {
    out.push({ item: starch, share: 1 / n, note: k === 0 ? 'sheets-over-the-liquid' : 'sheets-in-turn' });
    if (k < gaps) for (const item of filling) out.push({ item, share: 1 / gaps, note: 'filling-in-turn' });
    for (const item of sauces)
      out.push({ item, share: 1 / n, note: k === n - 1 ? 'sauce-covers-the-last' : 'sauce-in-turn' });
  }
  return out;
}
