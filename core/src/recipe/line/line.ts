import { amountSchema, type Ingredient } from '../../dish/schema';
import { findFood, measurable } from '../../food/find';
import { recordOf, type OwnFood } from '../../food/own-food';
import type { FoodRecord } from '../../food/record';
import { toGrams } from '../../quantity/convert';
import type { OwnMeasure } from '../../food/own-measure';
import type { Amount } from '../../quantity/parse';
import { headAmount, measureOf } from './amount';
import type { Params } from '../../words/sentence';
import { amountOf } from './amount-place';
import type { Language } from '../names/food-names';
import { openChoices } from './kinds';
import { foodOf } from './line-food';
import { partsOfLine, splitLine } from './line-parts';
import { asPiece, fittingPrep } from './line-prep';
import { withoutBrine } from './line-brine';
import type { LineFacts, Sized } from './line-facts';
import { eachWords, sizedAmount, sizeInside, trust } from './line-size';
import { tasteWords } from './line-unweighed';
import { misfitIn } from './misfits';
import { nearFoods } from '../names/near-foods';
import { ownFoodIn } from '../names/own-foods';
import { asMeasured, ownMeasureIn } from './own-measures';
import { headFood } from '../names/name-head';
import { said, saidIn, saidOfMisfit, type ReadingCode, type Said } from './said';
import { readPrep } from './prep';
import { asTyped, ownWords } from './own-words';
import { isPlain } from '../names/qualifiers';
import { asUsual, type Usual } from './usual';
import { plainLine, withoutBrackets, wordsOf } from '../text/words';

type Prep = NonNullable<Ingredient['prep']>;

/** One ingredient line as it was read. What is not certain says so; nothing gets a made-up amount. */
export interface ReadLine {
  text: string;
  food: string | null;
  /** the packet, where it is a food of the cook's own */
  ownFood?: OwnFood;
  /** the cook's own words for it, where the table has one name for many */
  name?: string;
  /** null: no amount that the dish can hold */
  amount: Amount | null;
  /** g; 0 where it is to taste; null where it is not known */
  grams: number | null;
  prep?: Prep;
  joins?: NonNullable<Ingredient['joins']>;
  /** fried and taken out, where it comes back */
  back?: NonNullable<Ingredient['back']>;
  /** words that were not understood */
  left: string[];
  /** 0 to 1; under .7 the line asks */
  certain: number;
  note?: string;
  /** the same as a code, for a screen in another language */
  said?: Said;
  /** what is in doubt, for the question */
  doubt?: 'food' | 'amount';
  /** foods that it may be */
  choices: string[];
  /** it does not belong in such a pot, and `note` says why */
  refused: boolean;
}

/** What a kitchen has of its own that lines may name: its foods come before those of the table, its glasses stand for what they hold, its salt and stock for those that no line describes. */
export interface Own {
  ownFoods?: readonly OwnFood[] | undefined;
  ownMeasures?: readonly OwnMeasure[] | undefined;
  usual?: Usual | undefined;
}

/** Only that of a kitchen, for a reader in another thread. */
export const ownOf = ({ ownFoods, ownMeasures, usual }: Own): Own => ({ ownFoods, ownMeasures, usual });

/** The record of the food of a line; null where none was understood. */
export const foodIn = (l: ReadLine): FoodRecord | null => (l.food === null ? null : recordOf({ ...l, food: l.food }));

/** Below this a line asks. */
export const askedBelow = 0.7;
/**
 * Reads one ingredient line; "salt and pepper" are two, so a list comes back.
 *
 * @param language which names and rules are tried first; a line that is plainly Spanish is read as such, and the other
 * language is tried where the first knows no food
 * @param kitchen foods and glasses of the cook's own, and which salt and stock stand there
 */
export function readLine(text: string, language: Language = 'en', kitchen: Own = {}): ReadLine[] {
  const plain = plainLine(text);
  const measured = ownMeasureIn(plain, kitchen.ownMeasures ?? []);
  return readPlain({ text, plain: measured?.plain ?? plain }, language, kitchen)
    .map((l) => (measured ? asMeasured(l, measured.measure) : l))
    .map((l) => asUsual(l, kitchen.usual ?? {}));
}

function readPlain(
  { text, plain }: { text: string; plain: string },
  language: Language,
  { ownFoods = [] }: Own,
): ReadLine[] {
  const own = ownFoodIn(plain, ownFoods, language);
  if (own) return [noted({ ...asOwn(readInEither(own.plain, language), own.food), text }, language)];
  const { parts, ownWords } = partsOfLine(plain);
  const texts = ownWords ? splitLine(text) : [];
  return parts.map((part, i) => {
    const read = readInEither(
      withKindFirst(withSlicesFirst(withSizeInBrackets(withCutApart(withSizeApart(withAmountFirst(part)))))),
      language,
    );
    const named = read.name ? { ...read, name: asTyped(read.name, text) } : read;
    // Each food of several has its own words, so that an answer is written to them alone.
    return noted({ ...named, text: texts.length === parts.length ? texts[i]!.trim() : text }, language);
  });
}

/** What is said of a line, as words of the language that was asked for. */
const noted = (line: ReadLine, language: Language): ReadLine =>
  line.said ? { ...line, note: saidIn(line.said, language) } : line;

/** A line that was read as the food that stands in for it, as the cook's own food with its own weights. */
function asOwn({ name: _, ...line }: ReadLine, own: OwnFood): ReadLine {
  if (line.food !== own.like) return line;
  const measured = measurable(recordOf({ food: own.id, ownFood: own }), line.prep?.pieceG);
  const grams = line.amount ? Math.round(toGrams(line.amount, measured) * 100) / 100 : line.grams;
  return { ...line, food: own.id, ownFood: own, grams };
}

/** "Pork shoulder 900 g cut in chunks", "onions 3 medium, sliced": the amount in the middle is set before the food; "two 15 oz cans" has its number there. */
const withAmountFirst = (plain: string): string =>
  headAmount(plain).value !== null
    ? plain
    : plain
        .replace(
          /^(\p{L}[^\d,(:]*?):?\s+(\d[\d.,/]*\s*(?:g|gms?|gr|kgs?|ml|l|dl|lbs?|oz|cups?|tbsp|tsp|tazas?|cdas?|cucharad(?:it)?as?)\b)(?:\s+(?=\p{L})|,\s+)/u,
          '$2 $1, ',
        )
        .replace(
          /^(\p{L}[^\d,(:]*?):?\s+(\d[\d/-]*) (small|medium|large|lrg|big|pequen[oa]s?|median[oa]s?|grandes?)(?![\p{L}-]),?\s*/u,
          '$2 $3 $1, ',
        );

/** "1 can coconut milk 400ml", "2 chicken breasts 500 g": the size at the end stands apart. */
function withSizeApart(plain: string): string {
  const m = /^(.*\p{L})\s+(\d[\d.]*\s?(?:g|gr|kg|ml|l|oz|lbs?))$/u.exec(plain);
  const before = m ? headAmount(m[1]!) : null;
  return before && before.value !== null && /\p{L}{3}/u.test(before.rest) ? `${m![1]}, ${m![2]}` : plain;
}

/** "1 jar 24 oz pasta sauce": the size of the jar stands in brackets. */
const withSizeInBrackets = (plain: string): string =>
  plain.replace(
    /^((?:\d+|an?|one|two) (?:jars?|cans?|tins?|cartons?|box(?:es)?|bottles?|packets?|packages?|bags?)) (\d[\d.]*\s?(?:g|ml|oz|lbs?))\b(?! ?\))/,
    '$1 ($2)',
  );

/** "4 ham slices" are 4 slices of ham, and no four hams. */
const withSlicesFirst = (plain: string): string =>
  plain.replace(/^(\d+) ((?!slices?\b)[^,(]+?) (slices?)(?=,|$)/, '$1 $3 $2');

/** "Rice, arborio" is arborio rice. */
const withKindFirst = (plain: string): string =>
  plain.replace(
    /\brice,\s*(arborio|carnaroli|basmati|jasmine|brown|wild|red|sushi|(?:long|short|medium)[\s-]grain)(?: rice)?(?=,|$)/,
    '$1 rice',
  );

/** "Mutton curry cut with bone": how it is cut is no part of its name. */
const withCutApart = (plain: string): string => plain.replace(/(?<=\p{L})\s+(?=curry[\s-]cut\b)/u, ', ');

/** Words that only a Spanish line has. */
const spanish =
  /\b(?:pimientos? (?:roj|verd|amarill|italian)\w+|de|del|con|al|y|en|para|tazas?|cucharad(?:a|it)as?|picad[oa]s?|cortad[oa]s?|sal|arroz|pollo|agua|aceite)\b/;

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
  if (misfit) return { ...nothing, certain: 1, said: saidOfMisfit(misfit), refused: true };
  const asides = [...plain.matchAll(/[([]([^)\]]*)[)\]]/g)].map((m) => m[1]!);
  const bare = withoutBrackets(plain);
  const head = amountOf(bare);
  const named = foodOf(head, plain, language);
  if (!named) return unknown(nothing, head.rest, language);
  return settle({ plain, bare, asides, head, language, ...named });
}

/** "2 … cubes": what comes in cubes by a name that nobody knows may be stock. */
const isCube = (words: string): boolean => /\b(?:cubes?|cubitos?|pastillas?)$/.test(words.trim());

function unknown(nothing: Omit<ReadLine, 'certain'>, words: string, language: Language): ReadLine {
  const left = wordsOf(words).filter((w) => !isPlain(w));
  const named = [...new Set(wordsOf(words).flatMap((w) => headFood(w, language)?.food ?? []))];
  return {
    ...nothing,
    left,
    certain: 0.2,
    doubt: 'food',
    choices: isCube(words) ? ['stock-concentrate'] : named.length > 0 ? named.slice(0, 3) : nearFoods(left, language),
    said: said('unknown-food', { words: words.slice(0, 60) }),
  };
}

/** Puts food, amount and preparation together and weighs how certain it is. */
function settle(f: LineFacts): ReadLine {
  const food = findFood(f.food);
  const read = readPrep([...f.asides, f.around].join(' , '));
  const prep = fittingPrep(read.prep, food, f.plain);
  const sized = possible(sizedAmount(f, food, prep));
  const { amount, note: poured } = withoutBrine(f, sized.amount);
  const grams = amount ? Math.round(toGrams(amount, measurable(food, prep.pieceG)) * 100) / 100 : sized.grams;
  asPiece(prep, f, food, grams);
  const left = leftOver(f, read.rest);
  const { doubts, choices } = doubtsOf(f, food, prep);
  const certain = doubts.reduce((c, d) => c * d.leaves, sized.certain * trust.leftWord ** Math.min(4, left.length));
  const name = ownWords(f, f.plain, f.language);
  const note = sized.note ?? doubts[0]?.note ?? poured;
  return {
    text: f.plain,
    food: f.food,
    ...(name ? { name } : {}),
    amount,
    grams,
    ...(Object.keys(prep).length > 0 ? { prep } : {}),
    ...joinsOf(read.joins, f),
    left,
    certain: Math.round(certain * 100) / 100,
    ...(note ? { said: said(note, paramsOf(note, f)) } : {}),
    ...(certain < askedBelow
      ? { doubt: grams === null || sized.certain < askedBelow ? ('amount' as const) : ('food' as const) }
      : {}),
    choices,
    refused: false,
  };
}

/** An amount that no dish can hold, "0 onions" or a million kilograms, is asked for: it would take the whole dish with it. */
const possible = (sized: Sized): Sized =>
  sized.amount === null || amountSchema.safeParse(sized.amount).success
    ? sized
    : { amount: null, grams: null, certain: 0.4, note: 'no-amount' };

/** Leaves that are tough and give their taste slowly cook with the rest, where the line says nothing else [common practice]. */
const hardyHerbs = /\b(?:rosemary|thyme|sage|curry lea(?:f|ves)|romero|tomillo|salvia)\b/;
function joinsOf(read: ReadLine['joins'], f: LineFacts): Pick<ReadLine, 'joins'> {
  const joins = read ?? (f.food === 'herb-fresh' && hardyHerbs.test(f.plain) ? 'stack' : undefined);
  return joins ? { joins } : {};
}

function paramsOf(note: ReadingCode, f: LineFacts): Params {
  if (note === 'stands-in' || note === 'first-of-two') return { food: f.food };
  if (note !== 'size-unknown') return {};
  // "Two jars": it is one of them that nobody knows.
  const one = f.head.measure?.replace(/-\d+$/, '');
  return { measure: one && f.head.measureWord.startsWith(one) ? one : f.head.measureWord };
}

/** Something that leaves only a part of the certainty, and its note. */
interface Doubt {
  note: ReadingCode;
  leaves: number;
}

/** What makes a line less certain than its amount is, and the foods that it may be. */
function doubtsOf(f: LineFacts, food: FoodRecord, prep: Prep): { doubts: Doubt[]; choices: string[] } {
  const doubts: Doubt[] = [];
  const doubt = (note: ReadingCode, leaves: number): void => void doubts.push({ note, leaves });
  const may = openChoices(f.hit.name, f.plain);
  // "Leftover chicken" is no longer open: its line has said which it is.
  const open = may.includes(f.food) ? may : [];
  if (open.length > 0) doubt('which-kind', trust.open);
  if (f.hit.standsIn) doubt('stands-in', trust.standsIn);
  // Two grains want two programs: which of them must be asked; of two fats one is as good.
  const twoGrains = f.alternative !== null && food.grain !== undefined;
  if (f.alternative) doubt('first-of-two', twoGrains ? trust.open : trust.usualSize);
  if (prep.state === 'cooked' && food.grain) doubt('already-cooked', trust.open);
  const joined = f.hit.others.length > 0 && /\b(?:and|y)\b|&/.test(f.head.rest);
  if (joined) doubt('two-foods', trust.twoFoods);
  const both = joined ? [...new Set([f.food, ...f.hit.others])] : [];
  return { doubts, choices: twoGrains ? [f.food, f.alternative!] : [...new Set([...open, ...both])] };
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
