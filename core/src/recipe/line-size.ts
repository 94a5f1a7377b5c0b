import type { Ingredient } from '../dish/schema';
import { findFood } from '../food/find';
import { isMince } from '../food/meats';
import { needsAmount } from '../food/plain-liquids';
import type { FoodRecord } from '../food/record';
import { toTaste, type Amount } from '../quantity/parse';
import { units, type UnitId } from '../quantity/units';
import { headAmount, isContainer, sizeFactor, type HeadAmount, type Measure } from './amount';
import type { Language } from './food-names';
import { isTin, isUncounted } from './kinds';
import type { Named } from './line-food';
import { measured, measures, pieceByName, type MeasureId } from './measures';
import type { ReadingCode } from './said';
import { numberSource } from './number';
import { readPrep } from './prep';

type Prep = NonNullable<Ingredient['prep']>;

/** A line with its food found: what its amount is settled from. */
export interface LineFacts extends Named {
  plain: string;
  bare: string;
  asides: string[];
  head: HeadAmount;
  language: Language;
}

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

export const tasteWords =
  /\b(?:to taste|as (?:needed|required|desired)|as much as you like|al gusto|cantidad necesaria|c\/n|a gusto|if needed)\b/;
export const eachWords = /\b(?:each|apiece|per piece|cada un[oa]|c\/u)\b/;
export const sizeInside = new RegExp(
  String.raw`(?:about |approx\.? |unos |de )?(${numberSource})(?:\s*(?:-|to|a)\s*(${numberSource}))?[\s-]*(kg|g|gr|gramos?|grams?|ml|l|litres?|liters?|litros?|oz|ounces?|fl oz|lbs?|pounds?|onzas?|libras?)\b`,
);

export interface Sized {
  amount: Amount | null;
  grams: number | null;
  certain: number;
  note?: ReadingCode;
}

/** How much of the food it is, in a unit that the dish document holds. Of "1 cup 200 g rice" it must be asked which is meant. */
export function sizedAmount(f: LineFacts, food: FoodRecord, prep: Prep): Sized {
  const sized = firstAmount(f, food, prep);
  const hasSecond = /^\d[\d.,/]*(?!\s*%|[\d.,/])/.test(f.head.rest);
  return hasSecond ? { ...sized, certain: sized.certain * trust.twoFoods, note: 'second-amount' } : sized;
}

/** Of a tin of these, the share that is not brine; the brine is poured off unless the line keeps it [common practice: 240 g of 400 g]. */
const inBrine = new Set(['beans-canned', 'peas-frozen', 'corn']);
const drainedShare = 0.6;
const withBrine =
  /\b(?:undrained|not drained|(?:with|in|and) (?:its |their |the )?(?:liquid|juices?|brine|sauce)|sin escurrir|con su (?:liquido|jugo|caldo))\b/;
/** "400 g tin butter beans, drained": the mass is that of the tin. */
const tinWords = /\b(?:tin|can|lata|bote)s?\b/;

/** What of a tin goes into the pot: the brine is poured off. The amount itself where it is no such tin. */
export function withoutBrine(f: LineFacts, amount: Amount | null): { amount: Amount | null; note?: ReadingCode } {
  if (!amount || units[amount.unit].kind !== 'mass') return { amount };
  const isTinned = inBrine.has(f.food) && (isTin(f.head.measure) || tinWords.test(f.plain));
  if (!isTinned || withBrine.test(f.plain)) return { amount };
  const said = saidDrained(f, amount);
  if (said) return { amount: said };
  const drainedG = Math.round(amount.value * units[amount.unit].size * drainedShare);
  return { amount: { value: drainedG, unit: 'g' }, note: 'drained' };
}

const drainedMassText = new RegExp(
  String.raw`${numberSource}\s*(?:g|gr|gramos?|grams?|oz|ounces?)\.? (?:drained|escurrid)`,
);

/** "2 cans (240 g drained)": the mass without brine as it is said, of one tin where one tin holds as much, of all otherwise. */
function saidDrained(f: LineFacts, total: Amount): Amount | null {
  const at = drainedMassText.exec(f.plain);
  if (!at) return null;
  const { value, measure } = headAmount(at[0]);
  if (value === null || !(measure === 'g' || measure === 'oz')) return null;
  const tins = isTin(f.head.measure) ? (f.head.value ?? 1) : 1;
  const tinG = (total.value * units[total.unit].size) / tins;
  return { value: value * units[measure].size > tinG * 1.01 ? value : value * tins, unit: measure };
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
  if (measure in units) return known({ value, unit: measure as UnitId });
  const id = measure as MeasureId;
  // "Rama de canela", "hoja de laurel": a piece of that spice.
  if (food.id === 'spice-whole' && measures[id].grams && pieceByName(f.hit.name)) return counted(f, food, known);
  const size = measured(value, id, food.id);
  if (!size) return measures[id].onLabel ? ask('size-unknown') : counted(f, food, known);
  const factor = f.head.size && size.unit !== 'ml' ? sizeFactor[f.head.size] : 1;
  return known(weighed({ ...size, value: size.value * factor }, food), trust.usualSize + 0.1);
}

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
  const each = pieceByName(f.hit.name) ?? food.pieceG?.[0];
  if (
    !each ||
    isUncounted(f.hit.name) ||
    isNumberOfJoints(f, food) ||
    /\b(?:per|each) person\b|\bpor persona\b/.test(f.plain) ||
    isMince(food)
  )
    return { amount: null, grams: null, certain: 0.4, note: 'no-amount' };
  const size = f.head.size ?? sizeIn([f.around, ...f.asides].join(' '));
  if (!size || size === 'medium' || food.id === 'egg')
    return known(
      each === food.pieceG?.[0] ? { value, unit: 'piece' } : { value: Math.round(value * each * 100) / 100, unit: 'g' },
    );
  return known({ value: Math.round(value * each * sizeFactor[size]), unit: 'g' }, trust.usualSize);
}

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

/** A bird of that weight that comes in pieces is no piece of it. */
const cutUp = /\b(?:jointed|cut (?:up|into)|pieces|trocead[oa]|despresad[oa])\b/;
/** The heaviest piece that a dish holds, g. */
export const mostPieceG = 3000;

/** So many of one size: the mass is the product, and of meat the piece's own weight is kept, for its thickness follows. */
function timesEach(
  value: number,
  each: Amount,
  { prep, food, measure, plain }: { prep: Prep; food: FoodRecord; measure: Measure | null; plain: string },
): Amount {
  const kind = units[each.unit].kind;
  if (
    food.kind === 'meat' &&
    !isContainer(measure) &&
    kind === 'mass' &&
    !prep.shape &&
    !isMince(food) &&
    !cutUp.test(plain)
  ) {
    const pieceG = Math.round(each.value * units[each.unit].size);
    if (pieceG >= 1 && pieceG <= mostPieceG) prep.pieceG = pieceG;
  }
  return { value: Math.round(value * each.value * 1000) / 1000, unit: each.unit };
}

/**
 * Whether the mass beside a count is of one piece or of all: "4 thighs (120 g)" are 480 g, "4 thighs (500 g)" are 500 g. What
 * is nearer to the usual piece decides; between the two the line asks.
 */
function sizeOfEach(count: number, size: Amount, food: FoodRecord): 'each' | 'total' | 'unclear' {
  // Crumbs are bought as the sausages they come out of.
  const bought = food.id === 'sausage-meat' ? findFood('sausage-fresh') : food;
  const typicalG = bought.pieceG?.[0];
  if (!typicalG || count <= 1 || isMince(bought) || units[size.unit].kind !== 'mass') return 'total';
  const middle = Math.log((size.value * units[size.unit].size) / typicalG) - Math.log(count) / 2;
  if (Math.abs(middle) < unclearLog) return 'unclear';
  return middle < 0 ? 'each' : 'total';
}
/** Within 15 % of the middle between one usual piece and all of them nobody can tell [derived]. */
const unclearLog = 0.14;

/** "4 breasts (about 1.2 kg)": one of them weighs its share, and its thickness follows. */
function shareOfTotal(count: number, total: Amount, { prep, food }: { prep: Prep; food: FoodRecord }): void {
  const typicalG = food.pieceG?.[0];
  if (
    food.kind !== 'meat' ||
    isMince(food) ||
    (prep.shape ?? 'whole') !== 'whole' ||
    !typicalG ||
    units[total.unit].kind !== 'mass'
  )
    return;
  const pieceG = Math.round((total.value * units[total.unit].size) / count);
  // Far from any such piece, the number was not one of pieces.
  const mostG = comesInJoints(food) ? mostPieceG : typicalG * shareSpan;
  if (pieceG >= typicalG / shareSpan && pieceG <= mostG) prep.pieceG = pieceG;
}
/** Cuts that are sold in a piece as well as cut up; whole thighs and breasts are as they are sold. */
export const comesInJoints = (food: FoodRecord): boolean =>
  food.meat?.cut === 'stew' || ['pork-loin', 'beef-steak', 'turkey-breast'].includes(food.id);
/** Pieces as sold differ from the usual one by no more than this factor [common practice]. */
const shareSpan = 5;

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

/** How much of a herb, a spice, a green onion or cheese to grate over is meant changes no liquid and no minute. */
const isHarmless = (food: FoodRecord): boolean => /^(?:herb|spice|saffron|spring-onion|cheese-hard)/.test(food.id);

/** It stays in the dish by its name; how much salt there is the plan works out. */
const unweighed = (food: FoodRecord): Pick<Sized, 'amount' | 'grams'> => ({
  amount: needsAmount(food) ? null : toTaste,
  grams: 0,
});

function withoutNumber(f: LineFacts, food: FoodRecord): Sized {
  const taste = tasteWords.test(f.plain);
  const garnish = readPrep([...f.asides, f.around].join(' , ')).joins === 'topping';
  if (food.kind === 'fat' && !garnish && (taste || food.id.startsWith('oil-')))
    return { ...unweighed(food), certain: 0.8, note: 'fat-planned' };
  const seasons = food.kind === 'seasoning' || food.flags.includes('aromatic');
  if (taste || isHarmless(food) || (seasons && !f.head.vague))
    return { ...unweighed(food), certain: taste ? 0.95 : 0.8, note: 'to-taste' };
  if (food.id === 'water') return { amount: null, grams: 0, certain: 0.8, note: 'liquid-planned' };
  return garnish
    ? { ...unweighed(food), certain: 0.75, note: 'to-taste' }
    : { amount: null, grams: null, certain: 0.4, note: 'no-amount' };
}
