import type { Ingredient } from '../dish/schema';
import { findFood, measurable } from '../food/find';
import { recordOf, type OwnFood } from '../food/own-food';
import type { FoodRecord } from '../food/record';
import { toGrams } from '../quantity/convert';
import type { Amount } from '../quantity/parse';
import { units } from '../quantity/units';
import { headAmount, measureOf } from './amount';
import { amountOf } from './amount-place';
import { foodsIn, namesOf, type Language } from './food-names';
import { isTin, openChoices } from './kinds';
import { foodOf } from './line-food';
import {
  eachWords,
  mostPieceG,
  sizedAmount,
  sizeInside,
  tasteWords,
  trust,
  type LineFacts,
  type Sized,
} from './line-size';
import { pieceByName } from './measures';
import { misfitIn } from './misfits';
import { nearFoods } from './near-foods';
import { ownFoodIn } from './own-foods';
import { headFood } from './name-head';
import { noteText, type NoteId } from './notes';
import { readPrep } from './prep';
import { isPlain } from './qualifiers';
import { plainLine, withoutBrackets, wordsOf } from './words';

type Prep = NonNullable<Ingredient['prep']>;

/** One ingredient line as it was read. What is not certain says so; nothing gets a made-up amount. */
export interface ReadLine {
  text: string;
  food: string | null;
  /** the packet, where it is a food of the cook's own */
  ownFood?: OwnFood;
  /** null: no amount that the dish can hold */
  amount: Amount | null;
  /** g; 0 where it is to taste; null where it is not known */
  grams: number | null;
  prep?: Prep;
  joins?: NonNullable<Ingredient['joins']>;
  /** words that were not understood */
  left: string[];
  /** 0 to 1; under .7 the line asks */
  certain: number;
  note?: string;
  /** what is in doubt, for the question */
  doubt?: 'food' | 'amount';
  /** foods that it may be */
  choices: string[];
  /** it does not belong in such a pot, and `note` says why */
  refused: boolean;
}

/** Below this a line asks. */
export const askedBelow = 0.7;
/** Of a tin of these, the share that is not brine, where the line says that it is drained [common practice: 240 g of 400 g]. */
const inBrine = new Set(['beans-canned', 'peas-frozen', 'corn']);
const drainedShare = 0.6;

/**
 * Reads one ingredient line; "salt and pepper" are two, so a list comes back.
 *
 * @param language which names and rules are tried first; a line that is plainly Spanish is read as such, and the other
 * language is tried where the first knows no food
 * @param ownFoods foods of the cook's own: their names come before those of the table
 */
export function readLine(text: string, language: Language = 'en', ownFoods: readonly OwnFood[] = []): ReadLine[] {
  const plain = plainLine(text);
  const each = eachOf(plain);
  if (each) return each.flatMap((part) => readLine(part, language, ownFoods)).map((line) => ({ ...line, text }));
  const own = ownFoodIn(plain, ownFoods, language);
  if (own) return [{ ...asOwn(readInEither(own.plain, language), own.food), text }];
  const seasonings = seasoningsOf(plain);
  const several = seasonings ? null : amountsOf(plain);
  const parts = seasonings ?? several ?? [plain];
  const texts = several ? partsOf(text) : [];
  return parts.map((part, i) => ({
    ...readInEither(withAmountFirst(part), language),
    // Each food of several has its own words, so that an answer is written to them alone.
    text: texts.length === parts.length ? texts[i]!.trim() : text,
  }));
}

/** "1/2 tsp each cumin, coriander and paprika" is three lines; null where not every one of them is a food. */
function eachOf(plain: string): string[] | null {
  const m = /^([\d\s/.-]+\p{L}+\.?) (?:each|de cada|cada un[oa])(?: of| de)?:? (.+)$/u.exec(plain);
  if (!m) return null;
  const foods = m[2]!.split(/\s*(?:,|&|\band\b|\by\b)\s*/).filter((p) => p !== '');
  const known = (p: string): boolean => (['en', 'es'] as const).some((l) => headFood(p, l) !== null);
  return foods.length > 1 && foods.every(known) ? foods.map((food) => `${m[1]} ${food}`) : null;
}

/** A line that was read as the food that stands in for it, as the cook's own food with its own weights. */
function asOwn(line: ReadLine, own: OwnFood): ReadLine {
  if (line.food !== own.like) return line;
  const measured = measurable(recordOf({ food: own.id, ownFood: own }), line.prep?.pieceG);
  const grams = line.amount ? Math.round(toGrams(line.amount, measured) * 100) / 100 : line.grams;
  return { ...line, food: own.id, ownFood: own, grams };
}

/** "Salt, pepper and cumin to taste": seasonings without a number, each of them a line; null for anything else. */
function seasoningsOf(plain: string): string[] | null {
  if (/\d/.test(plain)) return null;
  const taste = tasteWords.exec(plain)?.[0] ?? '';
  const parts = plain
    .replace(taste, '')
    .split(/\s*(?:,|&|\+|\band\b|\by\b)\s*/)
    .filter((p) => p !== '');
  return parts.length > 1 && parts.every(isSeasoning) ? parts.map((p) => `${p} ${taste}`.trim()) : null;
}

const isSeasoning = (part: string): boolean =>
  (['en', 'es'] as const).some((l) => findFood(headFood(part, l)?.food ?? 'water').kind === 'seasoning');

/** "400 g tin butter beans, drained": the mass is that of the tin. */
const tinWords = /\b(?:tin|can|lata|bote)s?\b/;

/** Words at the end of a line that are about all of it. */
const useWords =
  /\b(?:for|as) (?:the )?(?:marinade|topping|garnish)|to (?:serve|finish)|para (?:el |la )?(?:marinada|adobo|servir)$/;

/** Before the amount of another food: "3 tbsp yogurt + 1 tsp cumin", "1 carrot, 2 onions". */
const beforeAnother =
  /\s*(?:\+|&|,?\s+(?:plus|and|in|m[aá]s|y|en)\s|(?<!\d),|,(?=\s))\s*(?=\d|(?:a )?(?:handful|pinch) (?:of )?\p{L}|una? (?:pizca|punado) de)/iu;
/** Cubes that go into the water of the line. */
const beforeCubes = /(?<=\b(?:water|agua)\b[^,]*)\s(?:with|con)\s(?=\d)/i;
/** A seasoning without an amount after a food that has one: "2 tsp paprika, salt to taste". */
const beforeSeasoning = /,\s*(?=(?:salt|sal|pepper|pimienta)(?:\s+(?:to taste|al gusto))?$)/i;

/** Another food that has its amount behind it: "2 chillies, ginger paste 2 tbsp". */
const beforeAmountLast = /,\s*(?=\p{L}[\p{L}\s-]*\s\d[\d.,/]*\s*(?:g|kg|ml|l|lbs?|oz|cups?|tbsp|tsp|tazas?)\b\.?$)/iu;

/** "2 tbsp butter, plus 1 tbsp for finishing": the second amount is of the first food. */
const withItsFood = ([first = '', ...others]: string[]): string[] => [
  first,
  ...others.map((part) => {
    const { value, measure, rest } = headAmount(part);
    const isBare = value !== null && measure !== null && measure in units && /^(?:more|extra|for|to|para)\b/.test(rest);
    return isBare ? `${part.slice(0, part.length - rest.length)} ${headAmount(first).rest}, ${rest}` : part;
  }),
];

const partsOf = (line: string): string[] =>
  [beforeAnother, beforeCubes, beforeSeasoning, beforeAmountLast].reduce(
    (parts, before) => parts.flatMap((part) => part.split(before)),
    [line],
  );

/**
 * Several foods on a line, each with an amount of its own, are so many lines. Null where there is only one, or where a part
 * names no food: "1 cup plus 2 tbsp rice" and "2 breasts, 1 inch thick" are one.
 */
function amountsOf(plain: string): string[] | null {
  const use = useWords.exec(plain)?.[0] ?? '';
  const parts = withItsFood(partsOf(plain));
  const starts = /\d|^(?:a |una? )?(?:pinch|handful|pizca|punado)\b/.test(parts[0] ?? '');
  if (parts.length < 2 || !(starts || isSeasoning(parts[0]!))) return null;
  const names = (part: string): boolean =>
    (['en', 'es'] as const).some((l) => foodOf(amountOf(withoutBrackets(part)), part, l) !== null);
  // After a food that is known, a part with a food somewhere in it is a line that asks: nothing is swallowed.
  const speaksOf = (part: string): boolean =>
    (['en', 'es'] as const).some((l) => foodsIn(wordsOf(withoutBrackets(part)), l).length > 0);
  if (!names(parts[0]!) || !parts.every((part) => names(part) || speaksOf(part))) return null;
  return parts.map((part) => (use === '' || part.includes(use) ? part : `${part} ${use}`));
}

/** "Pork shoulder 900 g cut in chunks": the amount in the middle is set before the food. */
const withAmountFirst = (plain: string): string =>
  plain.replace(/^(\p{L}[^\d,(]*?)\s+(\d[\d.,/]*\s*(?:g|kg|ml|l|dl|lbs?|oz|cups?|tbsp|tsp)\b)\s+(?=\p{L})/u, '$2 $1, ');

/** Words that only a Spanish line has. */
const spanish =
  /\b(?:de|del|con|al|y|en|para|tazas?|cucharad(?:a|it)as?|picad[oa]s?|cortad[oa]s?|sal|arroz|pollo|agua|aceite)\b/;

/** The language of the line itself comes first; the other one is tried where it knows no food. */
function readInEither(plain: string, language: Language): ReadLine {
  const first = language === 'es' || spanish.test(plain) ? 'es' : 'en';
  const read = readOne(plain, first);
  if (read.food !== null || read.refused) return read;
  const other = readOne(plain, first === 'en' ? 'es' : 'en');
  // Where neither knows it, it is said in the language that was asked for.
  return other.food !== null || first !== language ? other : read;
}

function readOne(plain: string, language: Language): ReadLine {
  const misfit = misfitIn(plain);
  const nothing = { text: plain, food: null, amount: null, grams: null, left: [], choices: [], refused: false };
  if (misfit) return { ...nothing, certain: 1, note: misfit.reason[language], refused: true };
  const asides = [...plain.matchAll(/[([]([^)\]]*)[)\]]/g)].map((m) => m[1]!);
  const bare = withoutBrackets(plain);
  const head = amountOf(bare);
  const named = foodOf(head, plain, language);
  if (!named) return unknown(nothing, head.rest, language);
  return settle({ plain, bare, asides, head, language, ...named });
}

function unknown(nothing: Omit<ReadLine, 'certain'>, words: string, language: Language): ReadLine {
  const left = wordsOf(words).filter((w) => !isPlain(w));
  const named = [...new Set(wordsOf(words).flatMap((w) => headFood(w, language)?.food ?? []))];
  return {
    ...nothing,
    left,
    certain: 0.2,
    doubt: 'food',
    choices: named.length > 0 ? named.slice(0, 3) : nearFoods(left, language),
    note: noteText('unknown-food', language, { words: words.slice(0, 60) }),
  };
}

/** Puts food, amount and preparation together and weighs how certain it is. */
function settle(f: LineFacts): ReadLine {
  const food = findFood(f.food);
  const said = [...f.asides, f.around].join(' , ');
  const read = readPrep(said);
  const prep = fittingPrep(read.prep, food, f.plain);
  const sized = withSecond(f, sizedAmount(f, food, prep));
  const notes: NoteId[] = [];
  let certain = sized.certain;
  const doubt = (id: NoteId, factor: number): void => {
    notes.push(id);
    certain *= factor;
  };
  if (sized.note) notes.push(sized.note);
  const may = openChoices(f.hit.name, f.plain);
  // "Leftover chicken" is no longer open: its line has said which it is.
  const open = may.includes(f.food) ? may : [];
  const isCooked = prep.state === 'cooked' && food.grain !== undefined;
  if (open.length > 0) doubt('which-kind', trust.open);
  if (f.hit.standsIn) doubt('stands-in', trust.standsIn);
  // Two grains want two programs: which of them must be asked; of two fats one is as good.
  const grains = f.alternative !== null && food.grain !== undefined;
  if (f.alternative) doubt('first-of-two', grains ? trust.open : trust.usualSize);
  if (isCooked) doubt('already-cooked', trust.open);
  const joined = f.hit.others.length > 0 && /\b(?:and|y)\b|&/.test(f.head.rest);
  if (joined) doubt('two-foods', trust.twoFoods);
  const left = leftOver(f, read.rest);
  certain *= trust.leftWord ** Math.min(4, left.length);
  let amount = sized.amount;
  if (
    amount &&
    inBrine.has(f.food) &&
    read.drained &&
    units[amount.unit].kind === 'mass' &&
    (isTin(f.head.measure) || tinWords.test(f.plain))
  ) {
    amount = { value: Math.round(amount.value * units[amount.unit].size * drainedShare), unit: 'g' };
    notes.push('drained');
  }
  const grams = amount ? Math.round(toGrams(amount, measurable(food, prep.pieceG)) * 100) / 100 : sized.grams;
  const namedG = food.kind === 'meat' ? pieceByName(f.hit.name) : undefined;
  if (namedG && !prep.shape) prep.pieceG ??= namedG;
  if (isInOnePiece(f, food, prep)) Object.assign(prep, wholePrep(f, grams));
  const use = read.joins;
  return {
    text: f.plain,
    food: f.food,
    amount,
    grams,
    ...(Object.keys(prep).length > 0 ? { prep } : {}),
    ...(use ? { joins: use } : {}),
    left,
    certain: Math.round(certain * 100) / 100,
    ...(notes[0]
      ? {
          note: noteText(notes[0], f.language, {
            food: namesOf(f.food, f.language)[0] ?? f.food,
            measure: f.head.measureWord,
          }),
        }
      : {}),
    ...(certain < askedBelow
      ? { doubt: grams === null || sized.certain < askedBelow ? ('amount' as const) : ('food' as const) }
      : {}),
    choices: grains ? [f.food, f.alternative!] : [...open],
    refused: false,
  };
}

/** "1 cup 200 g rice": which of two amounts is meant must be asked. */
const withSecond = (f: LineFacts, sized: Sized): Sized =>
  /^\d[\d.,/]*(?!\s*%|[\d.,/])/.test(f.head.rest)
    ? { ...sized, certain: sized.certain * trust.twoFoods, note: 'second-amount' }
    : sized;

/** Words for a piece of meat that nobody has cut yet. */
const joint =
  /\b(?:whole|joint|in one piece|single piece|(?:chuck|rump|pot|shoulder|loin|leg|rib|beef|pork|lamb) roast|roasting|enter[oa]|en una pieza|de una pieza)\b/;
/** Cuts that are sold in a piece as well as cut up; whole thighs and breasts are as they are sold. */
const comesInJoints = (food: FoodRecord): boolean =>
  food.meat?.cut === 'stew' || ['pork-loin', 'beef-steak', 'turkey-breast'].includes(food.id);
const isInOnePiece = (f: LineFacts, food: FoodRecord, prep: Prep): boolean =>
  prep.state !== 'cooked' &&
  comesInJoints(food) &&
  joint.test(f.plain) &&
  (prep.shape ?? 'whole') === 'whole' &&
  prep.pieceG === undefined;
/** What one of so many weighs; without a number of them, it is one. */
function wholePrep(f: LineFacts, grams: number | null): Prep {
  const counted = f.head.measure === null && f.head.value !== null && Number.isInteger(f.head.value);
  const pieceG = Math.round((grams ?? 0) / (counted ? f.head.value! : 1));
  return { shape: 'whole', ...(pieceG >= 1 && pieceG <= mostPieceG ? { pieceG } : {}) };
}

const everySize = new RegExp(sizeInside, 'g');
/** Words that neither the food, nor the amount, nor the preparation has understood. */
function leftOver(f: LineFacts, rest: string): string[] {
  const sizeless = rest.replace(everySize, ' ').replace(eachWords, ' ').replace(tasteWords, ' ');
  return [
    ...new Set(
      wordsOf(sizeless).filter((w) => !isPlain(w) && measureOf(w) === null && headFood(w, f.language) === null),
    ),
  ];
}

/** Only what can be done to such a food stays: rice is not sliced, and spices that are "whole" are not pieces of meat. */
function fittingPrep(read: Prep, food: FoodRecord, plain: string): Prep {
  const isMeat = food.kind === 'meat';
  const inPieces = (isMeat && food.meat?.cut !== 'ground' && food.id !== 'egg') || food.plant !== undefined;
  const isGrain = food.grain !== undefined;
  const pours = food.kind === 'liquid' || food.kind === 'dairy';
  const isHot = read.hot === true || (food.id === 'water' && /\b(?:hot|boiling|warm|hirviendo|caliente)\b/.test(plain));
  const prep: Prep = {
    ...(inPieces && read.shape && read.shape !== 'ground' ? { shape: read.shape } : {}),
    ...(inPieces && read.thicknessMm ? { thicknessMm: read.thicknessMm } : {}),
    ...(isMeat && read.slit ? { slit: true } : {}),
    ...(isGrain && read.rinse ? { rinse: true } : {}),
    ...(isGrain && read.soakMin !== undefined ? { soakMin: read.soakMin } : {}),
    ...(isHot && (pours || read.state === 'cooked') ? { hot: true } : {}),
    ...(read.state && statesOf(food).includes(read.state) ? { state: read.state } : {}),
    ...(food.id === 'onion' && /\b(?:fried|frit[oa]s?)\b/.test(plain) ? { state: 'browned' as const } : {}),
  };
  const packet = food.packetMin && /(\d+)(?:\s*(?:-|to|a)\s*(\d+))?[\s-]*min/.exec(plain);
  if (packet && prep.soakMin === undefined)
    prep.packetMinutes = (Number(packet[1]) + Number(packet[2] ?? packet[1])) / 2;
  return prep;
}

/** The states that a food can be in when it comes to the pot; of what has only one, none is said. */
function statesOf(food: FoodRecord): readonly (Prep['state'] & string)[] {
  if (food.grain) return ['toasted', 'cooked'];
  if (food.kind === 'meat')
    return food.meat?.cut === 'cooked' ? [] : ['raw', 'frozen', 'half-frozen', 'part-seared', 'browned', 'cooked'];
  if (food.plant) return food.plant.staysHard ? ['cooked'] : ['frozen', 'browned', 'cooked'];
  return food.kind === 'vegetable' ? ['browned'] : [];
}
