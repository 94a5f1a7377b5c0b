import { findFood } from '../../food/find';
import { units } from '../../quantity/units';
import { headAmount } from './amount';
import { amountOf } from './amount-place';
import { foodsIn, languages } from '../names/food-names';
import { foodOf } from './line-food';
import { tasteWords } from './line-unweighed';
import { headFood } from '../names/name-head';
import { isPlain } from '../names/qualifiers';
import { withoutBrackets, wordsOf } from '../text/words';

/** A plain line as the lines of its foods, one each; `ownWords` where each has words of its own in what was typed. */
export interface LineParts {
  parts: string[];
  ownWords: boolean;
}

/** "The trinity: 1 onion, 2 celery", "whole spices: 2 bay leaves": a label that is no food of its own is no part of the first line. */
function withoutLabel(plain: string): string {
  const m = /^(\p{L}[\p{L} ]{2,40}):\s+(?=\d)/u.exec(plain);
  return m && (!isFood(m[1]!) || /\b(?:spices|especias)$/.test(m[1]!)) ? plain.slice(m[0].length) : plain;
}

/** The foods that a plain line names, each with its amount: "1 carrot, 2 onions" is two lines, most lines are one. */
export function partsOfLine(line: string): LineParts {
  const plain = withoutLabel(line);
  const shared = eachOf(plain) ?? toppingsOf(plain) ?? seasoningsOf(plain);
  if (shared) return { parts: shared, ownWords: false };
  const several = amountsOf(plain) ?? amountsInARow(plain) ?? amountsLast(plain);
  return several ? { parts: several, ownWords: true } : { parts: [plain], ownWords: false };
}

/** "1/2 tsp each cumin, coriander and paprika" is three lines; null where not every one of them is a food. */
function eachOf(plain: string): string[] | null {
  const m = /^([\d\s/.-]+\p{L}+\.?) (?:each|de cada|cada un[oa])(?: of| de)?:? (.+)$/u.exec(plain);
  if (!m) return null;
  const foods = listed(m[2]!);
  return foods.length > 1 && foods.every(isFood) ? foods.map((food) => `${m[1]} ${food}`) : null;
}

/** "Toppings: sour cream, coriander", "soy, spring onion to finish": each of them is for the table; null where one of them is no food. */
function toppingsOf(plain: string): string[] | null {
  const m = /^(?:optional )?(?:toppings?|to serve|for serving|to garnish|garnish|para servir)\s*:\s*([^\d]+)$/.exec(
    plain,
  );
  const last =
    /^([^\d]+?) (?:to (?:serve|finish|garnish|top)|on top|for (?:serving|garnish)|para (?:servir|decorar)|por encima)$/.exec(
      plain,
    );
  const foods = m ? listed(m[1]!) : last ? listed(last[1]!) : [];
  return foods.length > (m ? 0 : 1) && foods.every(isFood) ? foods.map((food) => `${food} to serve`) : null;
}

/** The things of a list in a sentence: "cumin, coriander and paprika". */
const listed = (text: string): string[] => text.split(/\s*(?:,|&|\+|\band\b|\by\b)\s*/).filter((p) => p !== '');

const isFood = (part: string): boolean => languages.some((l) => headFood(part, l) !== null);

/** "1 carrot 1 onion 1 celery" is three lines; null where not each of them is an amount of a food. */
function amountsInARow(plain: string): string[] | null {
  const parts = plain.split(/(?<=\p{L})\s+(?=\d[\d./]*\s+\p{L}{3})/u);
  return parts.length > 1 && parts.every((p) => /^\d/.test(p) && namesFood(p)) ? parts : null;
}

const namesFood = (part: string): boolean =>
  languages.some((l) => foodOf(amountOf(withoutBrackets(part)), part, l) !== null);

/** "Cumin 2 tsp, coriander 1 tsp, cinnamon pinch": each food has its amount behind it; null where one of them is no food. */
function amountsLast(plain: string): string[] | null {
  const parts = plain.split(/\s*,\s*/);
  const isOne = (part: string): boolean => /^\p{L}.*(?:\d\s?\p{L}*|\bpinch|\bhandful)$/u.test(part) && namesFood(part);
  if (parts.length < 2 || !parts.every(isOne)) return null;
  return parts.map((part) => part.replace(/^(.*) (pinch|handful)$/, '1 $2 $1'));
}

/** "Salt, pepper and cumin to taste", "oil, salt", "dill and lemon": seasonings or fats among foods without a number, each of them a line; null for anything else. */
function seasoningsOf(plain: string): string[] | null {
  if (/\d/.test(plain)) return null;
  const taste = tasteWords.exec(plain)?.[0] ?? '';
  const parts = plain
    .replace(taste, '')
    .split(/\s*(?:,|&|\+|\/|\band\b|\by\b)\s*/)
    .filter((p) => p !== '');
  const each =
    parts.length === 1 ? namesInARow(parts[0]!) : parts.some(isSeasoning) && parts.every(isFood) ? parts : [];
  return each.length > 1 ? each.map((p) => `${p} ${taste}`.trim()) : null;
}

/** "Parsley lemon", "salt pepper": the names of seasonings with nothing between them. */
function namesInARow(plain: string): string[] {
  const words = wordsOf(plain);
  for (const l of languages) {
    const found = foodsIn(words, l);
    const named = found.reduce((n, f) => n + f.end - f.start, 0);
    const strewn = found.every((f) => findFood(f.food).kind === 'seasoning' || findFood(f.food).flags.includes('acid'));
    if (named === words.length && strewn) return found.map((f) => words.slice(f.start, f.end).join(' '));
  }
  return [];
}

const isSeasoning = (part: string): boolean =>
  languages.some((l) => ['seasoning', 'fat'].includes(findFood(headFood(part, l)?.food ?? 'water').kind));

/** A weight or a volume of something with a name, known or not: it is a line of its own, and asks. */
function isMeasured(part: string): boolean {
  const { value, measure, rest } = headAmount(part);
  return value !== null && measure !== null && measure in units && wordsOf(rest).some((w) => !isPlain(w));
}

/** Words at the end of a line that are about all of it. */
const useWords =
  /\b(?:for|as) (?:the )?(?:marinade|topping|garnish)|to (?:serve|finish)|para (?:el |la )?(?:marinada|adobo|servir)$/;

/** The beginning of an amount that is not counted: "a handful of parsley", "few sprigs thyme", "unas hebras de azafrán". */
const uncounted =
  '(?:a )?(?:(?:small|large|big|little) )?(?:handful|pinch|thumb|knob|splash|dash|sprig|piece|stick|blade) (?:of )?\\p{L}|' +
  'una? (?:pizca|punado|trozo|trocito|rama|ramita|hoja|hojita)(?: (?:pequen[oa]|grande))? de|' +
  // "in some way" is no food.
  '(?<!\\b(?:in|en)\\s)(?:(?:a )?few \\p{L}|some (?!of\\b)\\p{L}|un[oa]s (?:cuant[oa]s )?\\p{L}|un poco de)';
/** Before the amount of another food: "3 tbsp yogurt + 1 tsp cumin", "1 carrot, 2 onions". */
const beforeAnother = new RegExp(
  `\\s*(?:\\+|&|,?\\s+(?:plus|and|in|m[aá]s|y|en)\\s|(?<!\\d),|,(?=\\s))\\s*(?=\\d|${uncounted})`,
  'iu',
);
/** Cubes that go into the water of the line. */
const beforeCubes = /(?<=\b(?:water|agua)\b[^,]*)\s(?:with|con)\s(?=\d)/i;
/** A seasoning without an amount after a food that has one: "2 tsp paprika, salt to taste". */
const beforeSeasoning = /,\s*(?=(?:salt|sal|pepper|pimienta)(?:\s+(?:to taste|al gusto))?$)/i;

/** Another food that has its amount behind it: "2 chillies, ginger paste 2 tbsp". */
const beforeAmountLast = /,\s*(?=\p{L}[\p{L}\s-]*\s\d[\d.,/]*\s*(?:g|kg|ml|l|lbs?|oz|cups?|tbsp|tsp|tazas?)\b\.?$)/iu;

/** "1 red pepper, 1 green": a number and a colour alone are of the first food. */
const colours = '(?:red|green|yellow|orange|white|brown|purple|black)';
const colores = '(?:roj|verd|amarill|blanc|negr)[a-z]+';
const colourAlone = new RegExp(`^(\\d[\\d./]*|one|an?|un[oa]?) (?:(${colours})(?: one)?|(${colores}))$`);
function withColour([, count, colour, spanish]: RegExpExecArray, first: string): string {
  const named = first.replace(new RegExp(`\\b${colours} | ${colores}\\b`), '');
  return spanish ? `${count} ${named} ${spanish}` : `${count} ${colour} ${named}`;
}

/** "2 tbsp butter, plus 1 tbsp for finishing": the second amount is of the first food. */
const withItsFood = ([first = '', ...others]: string[]): string[] => [
  first,
  ...others.map((part) => {
    const colour = colourAlone.exec(part);
    if (colour && !namesFood(part)) return withColour(colour, headAmount(first).rest);
    const { value, measure, rest } = headAmount(part);
    const isBare = value !== null && measure !== null && measure in units && /^(?:more|extra|for|to|para)\b/.test(rest);
    return isBare ? `${part.slice(0, part.length - rest.length)} ${amountOf(first).rest}, ${rest}` : part;
  }),
];

/** The parts of a line, as typed or plain, where another food with its amount begins. */
export const splitLine = (line: string): string[] =>
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
  const parts = withItsFood(splitLine(plain));
  const starts = /\d|^(?:a |una? )?(?:pinch|handful|pizca|punado)\b/.test(parts[0] ?? '');
  if (parts.length < 2 || !(starts || isSeasoning(parts[0]!))) return null;
  // After a food that is known, a part with a food somewhere in it is a line that asks: nothing is swallowed.
  const speaksOf = (part: string): boolean =>
    languages.some((l) => foodsIn(wordsOf(withoutBrackets(part)), l).length > 0);
  const isKnown = (part: string): boolean => namesFood(part) || speaksOf(part);
  const isRow = namesFood(parts[0]!) ? parts.every(isKnown) : parts.every((p) => isMeasured(p) || isKnown(p));
  if (!isRow || !parts.some(namesFood)) return null;
  return parts.map((part) => (use === '' || part.includes(use) ? part : `${part} ${use}`));
}
