import type { Ingredient } from '../dish/schema';
import type { UnitId } from '../quantity/units';
import { isToTaste } from '../quantity/parse';
import { ingredientName } from '../recipe/names/food-names';

/** How each unit is written in a recipe, so that it is read back as itself; a piece is a bare number. */
const words: Readonly<Record<UnitId, string>> = {
  g: 'g',
  kg: 'kg',
  ml: 'ml',
  l: 'l',
  'cup-us': 'cups',
  'cup-metric': 'metric cups',
  'cup-rice': 'rice cups',
  tbsp: 'tbsp',
  tsp: 'tsp',
  floz: 'fl oz',
  oz: 'oz',
  lb: 'lb',
  piece: '',
  'can-400': 'cans',
  'can-800': 'large cans',
  packet: 'packets',
  'to-taste': '',
};
const joins: Readonly<Partial<Record<NonNullable<Ingredient['joins']>, string>>> = {
  marinade: 'for the marinade',
  topping: 'for topping',
};
const shapes: Readonly<Partial<Record<NonNullable<NonNullable<Ingredient['prep']>['shape']>, string>>> = {
  cube: 'cubes',
  strip: 'strips',
  slab: 'slices',
  whole: 'whole',
};

/** What is done to it once the lid is open, as a line says it. */
export const onceOpen = { 'take-out': 'to take out', shred: 'to shred' } as const;

/** An ingredient as a line of a recipe in English: "500 g chicken thigh, cubes 25 mm, frozen". */
export function ingredientLine(of: Ingredient): string {
  const { amount, prep = {}, joins: use } = of;
  const name = ingredientName(of);
  const notes = [
    prep.pieceG ? `${prep.pieceG} g each` : '',
    prep.rinse ? 'rinsed' : '',
    prep.soakMin ? `soaked ${prep.soakMin} min` : '',
    [prep.shape ? (shapes[prep.shape] ?? '') : '', prep.thicknessMm ? `${prep.thicknessMm} mm` : '']
      .filter(Boolean)
      .join(' '),
    prep.slit ? 'slit' : '',
    prep.state ?? '',
    prep.packetMinutes ? `packet says ${prep.packetMinutes} min` : '',
    prep.hot ? 'hot' : '',
    prep.onceOpen ? onceOpen[prep.onceOpen] : '',
    use ? (joins[use] ?? '') : '',
    isToTaste(amount) ? 'to taste' : '',
  ].filter(Boolean);
  const value = isToTaste(amount) ? '' : Math.round(amount.value * 1e4) / 1e4;
  return `${[value, words[amount.unit], name].filter((x) => x !== '').join(' ')}${notes.map((n) => `, ${n}`).join('')}`;
}
