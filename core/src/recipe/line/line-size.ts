import type { Ingredient } from '../../dish/schema';
import { isMince } from '../../food/meats';
import type { FoodRecord } from '../../food/record';
import type { Amount } from '../../quantity/parse';
import { units, type UnitId } from '../../quantity/units';
import { headAmount, isContainer, sizeFactor, type HeadAmount } from './amount';
import { isUncounted } from './kinds';
import type { LineFacts, Sized } from './line-facts';
import { measured, measures, pieceByName, type MeasureId } from './measures';
import { boughtAs, shareOfTotal, sizeOfEach, timesEach } from './line-pieces';
import { withoutNumber } from './line-unweighed';
import type { ReadingCode } from './said';
import { numberSource } from '../text/number';

type Prep = NonNullable<Ingredient['prep']>;

/** What each doubt leaves of the certainty [derived: one clear doubt must ask, a small one must not]. */
export const trust = {
  standsIn: 0.85,
  open: 0.6,
  leftWord: 0.88,
  twoFoods: 0.6,
  usualSize: 0.85,
  about: 0.95,
  packet: 0.6,
} as const;

export const eachWords = /\b(?:each|apiece|per piece|cada un[oa]|c\/u)\b/;
export const sizeInside = new RegExp(
  String.raw`(?:about |approx\.? |unos |de )?(${numberSource})(?:\s*(?:-|to|a)\s*(${numberSource}))?[\s-]*(kg|g|gr|gramos?|grams?|ml|l|litres?|liters?|litros?|oz|ounces?|fl oz|lbs?|pounds?|onzas?|libras?)\b`,
);

/** How much of the food it is, in a unit that the dish document holds. Of "1 cup 200 g rice" it must be asked which is meant. */
export function sizedAmount(f: LineFacts, food: FoodRecord, prep: Prep): Sized {
  const sized = firstAmount(f, food, prep);
  const hasSecond = /^\d[\d.,/]*(?!\s*%|[\d.,/])/.test(f.head.rest);
  return hasSecond ? { ...sized, certain: sized.certain * trust.twoFoods, note: 'second-amount' } : sized;
}

function firstAmount(f: LineFacts, food: FoodRecord, prep: Prep): Sized {
  const { value, measure } = f.head;
  if (value === null) return withoutNumber(f, food);
  const known = (amount: Amount, certain = 1, note?: ReadingCode): Sized => ({
    amount,
    grams: null,
    certain: certain * (f.head.about ? trust.about : 1),
    ...(note ? { note } : f.head.range ? { note: 'range' as const } : {}),
  });
  const inside = sizeBeside(f);
  if (f.head.each) return known(timesEach(value, f.head.each, { prep, food, measure, plain: f.plain }));
  if (inside) {
    const pieces = inside.each || isContainer(measure) || (/^[\d\s/.]+\(/.test(f.plain) && measure === null);
    if (pieces) return known(timesEach(value, inside, { prep, food, measure, plain: f.plain }));
    // What a scale says is surer than a cup or a count; of two masses the first is kept.
    if (measure === null || !(measure in units) || units[measure as UnitId].kind !== 'mass') {
      if (measure !== null && measure !== 'piece') return known({ value: inside.value, unit: inside.unit });
      const size = sizeOfEach(value, inside, food);
      if (size === 'each') return known(timesEach(value, inside, { prep, food, measure, plain: f.plain }));
      shareOfTotal(value, inside, { prep, food });
      const total = { value: inside.value, unit: inside.unit };
      return size === 'unclear' ? known(total, trust.twoFoods, 'each-or-all') : known(total);
    }
  }
  return plainAmount(f, food, known);
}

function plainAmount(
  f: LineFacts,
  food: FoodRecord,
  known: (a: Amount, certain?: number, note?: ReadingCode) => Sized,
): Sized {
  const { measure } = f.head;
  const value = f.head.value!;
  const ask = (note: ReadingCode): Sized => ({ amount: null, grams: null, certain: 0.4, note });
  if (measure === null || measure === 'piece') return counted(f, food, known);
  if (measure === 'can-400' || measure === 'can-800')
    return f.head.size || !inUsualTins.has(food.id)
      ? ask('size-unknown')
      : known({ value, unit: measure }, trust.usualSize, 'usual-size');
  if (measure === 'packet')
    return food.packetG ? known({ value, unit: 'packet' }, trust.packet, 'size-unknown') : ask('size-unknown');
  if (measure in units) {
    const { kind, size } = units[measure as UnitId];
    if (kind === 'volume' && isGroundRoot(f)) return known({ value: Math.round(value * size), unit: 'g' });
    return known({ value, unit: measure as UnitId });
  }
  const id = measure as MeasureId;
  // "Rama de canela", "hoja de laurel": a piece of that spice.
  if (food.id === 'spice-whole' && measures[id].grams && pieceByName(f.hit.name)) return counted(f, food, known);
  const size = measured(value, id, food.id);
  if (!size) return measures[id].onLabel ? ask('size-unknown') : counted(f, food, known);
  const factor = f.head.size && size.unit !== 'ml' ? sizeFactor[f.head.size] : 1;
  return known(weighed({ ...size, value: size.value * factor }, food), trust.usualSize + 0.1);
}

/** Ginger or garlic ground to a paste fills its spoon: about as heavy as water [common practice]. */
const isGroundRoot = ({ food, hit }: LineFacts): boolean =>
  (food === 'ginger' || food === 'garlic') && /\bpaste$/.test(hit.name);

/** What is sold in the tin of 400 g everywhere; fish, paste, milk and pickles come in tins of many sizes [common practice]. */
const inUsualTins = new Set([
  'tomato-diced-canned',
  'tomato-crushed-canned',
  'tomato-sauce',
  'coconut-milk',
  'beans-canned',
  'refried-beans',
  'baked-beans',
  'milk-condensed',
  'artichoke',
  'pumpkin-puree',
  'peas-frozen',
  'corn',
]);

/** A bare number counts pieces where the food comes in such; of what is poured or weighed it says nothing. */
function counted(
  f: LineFacts,
  food: FoodRecord,
  known: (a: Amount, certain?: number, note?: ReadingCode) => Sized,
): Sized {
  const value = f.head.value!;
  const bought = boughtAs(food);
  const isLeaf = f.head.measure === 'slice' && food.meat?.cut === 'fish' && /\bsmoked\b|\bahumad/.test(f.plain);
  const each = isLeaf ? smokedLeafG : (pieceByName(f.hit.name) ?? bought.pieceG?.[0]);
  if (
    !each ||
    isUncounted(f.hit.name) ||
    isNumberOfJoints(f, food) ||
    /\b(?:per|each) person\b|\bpor persona\b/.test(f.plain) ||
    isMince(bought)
  )
    return { amount: null, grams: null, certain: 0.4, note: 'no-amount' };
  const size = f.head.size ?? sizeIn([f.around, ...f.asides].join(' '));
  if (!size || size === 'medium' || food.id === 'egg')
    return known(
      each === food.pieceG?.[0] ? { value, unit: 'piece' } : { value: Math.round(value * each * 100) / 100, unit: 'g' },
    );
  const grams = value * each * sizeFactor[size];
  // A small bay leaf is no whole gram.
  return known({ value: grams < 10 ? Math.round(grams * 10) / 10 : Math.round(grams), unit: 'g' }, trust.usualSize);
}

/** Fish that is smoked cold comes in leaves, not in fillets; one of them, g [common practice]. */
const smokedLeafG = 25;

/** The piece of a stewing cut is a cube: "2 shanks", "1 lamb shoulder" and "2 racks of ribs" are no such cubes. */
const isNumberOfJoints = (f: LineFacts, food: FoodRecord): boolean =>
  /\bracks?\b|\bcostillares?\b/.test(f.plain) ||
  (food.meat?.cut === 'stew' &&
    food.pieceG![0] <= cubeG &&
    !/\b(?:cubes?|chunks?|pieces?|dados|trozos)\b/.test(f.plain));
/** A stewing cube weighs no more, g [common practice]. */
const cubeG = 40;

const sizeIn = (text: string): HeadAmount['size'] =>
  /\b(?:small|pequen[oa]s?)\b/.test(text) ? 'small' : /\b(?:large|big|grandes?)\b/.test(text) ? 'large' : null;

/** Pieces stay a count where one of them has a weight; everything else is rounded as a scale shows it. */
function weighed(amount: Amount, food: FoodRecord): Amount {
  if (amount.unit === 'piece' && food.pieceG && Number.isInteger(amount.value * 2)) return amount;
  const value = amount.unit === 'piece' ? amount.value * (food.pieceG?.[0] ?? 0) : amount.value;
  return { value: Math.round(value * 100) / 100, unit: amount.unit === 'piece' ? 'g' : amount.unit };
}

/** A size in brackets or after a comma: "(14.5 oz)", "about 170 g each". */
function sizeBeside(f: LineFacts): (Amount & { each: boolean }) | null {
  for (const text of [...f.asides, ...f.bare.split(',').slice(1)]) {
    const m = sizeInside.exec(text);
    if (!m) continue;
    // An extra part ("plus 30 g for the top") is not the size of the whole.
    if (/\b(?:plus|extra|more|mas)\b/.test(text)) continue;
    const { value, measure } = headAmount(text.slice(m.index + m[0].indexOf(m[1]!)));
    if (value !== null && measure !== null && measure in units)
      return { value, unit: measure as UnitId, each: eachWords.test(text) };
  }
  return null;
}
