import { aboutOf, clausesOf } from '../text/clause';
import { headAmount } from '../line/amount';
import { amountOf } from '../line/amount-place';
import { foodsInAny } from '../names/food-names';
import type { RecipeTimes } from '../text/times';
import { fold, plainLine, wordsOf } from '../text/words';

/** A recipe as text, taken apart; nothing is understood yet. */
export interface RecipeParts {
  title: string;
  serves: number | null;
  lines: { text: string; group?: 'marinade' | 'topping' | 'finish' }[];
  steps: string[];
  notes: string[];
  times?: RecipeTimes;
}

type Section = 'start' | 'lines' | 'steps' | 'notes';

const headings: readonly (readonly [Section, RegExp])[] = [
  [
    'lines',
    /^(?:ingredients?|what you need|you need|shopping list|ingredientes?|lista de ingredientes|necesitas)\b[^.]{0,30}$/,
  ],
  [
    'steps',
    /^(?:method|directions?|instructions?|steps?|preparation|how to(?: make it| cook)?|procedure|cooking|preparacion|elaboracion|pasos|instrucciones|modo de preparacion|procedimiento|como se hace)\b[^.]{0,20}$/,
  ],
  ['notes', /^(?:notes?|tips?|storage|nutrition|notas?|consejos?|trucos?)\b[^.]{0,20}$/],
];
const servesWords =
  /\b(?:serves|servings?|yields?|makes|feeds|for (?=\d+ (?:people|persons))|raciones|porciones|comensales|para (?=\d+ (?:personas|raciones|porciones)))\D{0,12}?(\d{1,2})\b|\b(\d{1,2})\s+(?:servings|people|persons|pers|pax|ppl|portions|raciones|porciones|personas|comensales)\b/;
/** People in words: "for two", "para cuatro"; minutes in words are none. */
const peopleWords: Readonly<Record<string, number>> = {
  ...{ two: 2, three: 3, four: 4, five: 5, six: 6, eight: 8, ten: 10 },
  ...{ dos: 2, tres: 3, cuatro: 4, cinco: 5, seis: 6, ocho: 8, diez: 10 },
};
const wordNumbers = new RegExp(
  `\\b(serves|feeds|for|para)\\s+(${Object.keys(peopleWords).join('|')})\\b(?!\\s*(?:more\\s+)?(?:min|h|seg|cups?|spoon|taza))`,
);
const isGroup = /^(?:for|para)\b.{2,40}:?$|^[^\d.]{3,40}:$/;
const englishVerbs =
  'add|heat|cook|pressure cook|stir|mix|set|lock|close|seal|fry|brown|saute|saut|pour|rinse|wash|soak|season|place|put|turn|press|release|let|open|serve|remove|bring|combine|melt|chop|cut|drain|deglaze|scrape|layer|marinate|taste|fluff|garnish|sprinkle|once|when|after|while|in a|in the|using|toss|simmer|return|sear|deglaze|carameli[sz]e|whisk|throw|dump|sweat|soften|dredge|preheat|select|meanwhile|cover|scatter|make|form|shape|roll|transfer|divide|reserve|keep|grate|peel|stuff|shred|flake|swirl|drop';
/** Stems with their forms: "añade", "añadir", "añadimos", "añadid". */
const spanishVerbs =
  '(?:anad|agreg|cocin|coc|cuec|calent|calient|sofri|sofre|mezcl|cerr|cierr|liber|serv|sirv|pon|vert|viert|dej|lav|cort|pic|abr|dor|remov|remuev|incorpor|tap|ech|salpiment|salpimient|program|rehog|poch|mach|marin|derret|derrit|retir)(?:a|e|i|ar|er|ir|amos|emos|imos|ad|ed|id|en|an|iendo|ando)(?:lo|la|los|las)?|pon|sofreir|una vez|cuando';
const verbs = new RegExp(`^(?:${englishVerbs}|${spanishVerbs})\\b`);

/** The people that a line or a yield in words speaks of: "Serves 4", "4 to 6 servings" (the larger), "Para 6 personas". */
export function servesIn(spoken: string): number | null {
  const text = fold(spoken).replace(
    wordNumbers,
    (_, forWhom: string, n: string) => `${forWhom} ${peopleWords[n]} people`,
  );
  const m = servesWords.exec(text) ?? /^\W*(?:para|for|serves)\W+(\d{1,2})\W*$/.exec(text);
  const n = Number(m?.[1] ?? m?.[2] ?? forPeople.exec(text)?.[1]);
  return Number.isInteger(n) && n >= 1 && n <= 60 ? n : null;
}
/** "Drumsticks and rice, for 4": so many people at the end of what is no method and no amount. */
const forPeople =
  /^\D+\b(?:for|para|per)\s+(\d{1,2})(?:\s+(?:hungry )?(?:kids|children|adults|guests|eaters|persone|ninos|adultos|invitados))?\W*$/;

/** The use that a group of ingredients names: "For the marinade:". */
export const groupUse = (text: string): 'marinade' | 'topping' | 'finish' | undefined => {
  const t = fold(text);
  return /marinad|adobo|macerar/.test(t)
    ? 'marinade'
    : /topping|garnish|to serve|for serving|servir|decorar/.test(t)
      ? 'topping'
      : /to finish|for finishing|para terminar|al final/.test(t)
        ? 'finish'
        : undefined;
};

/** Takes plain text or Markdown apart into title, ingredient lines and steps, in any usual order, with or without headings. */
export function partsOf(text: string): RecipeParts {
  const out: RecipeParts = { title: '', serves: null, lines: [], steps: [], notes: [] };
  let section: Section = 'start';
  let group: 'marinade' | 'topping' | 'finish' | undefined;
  let isBulleted = false;
  for (const raw of text.split(/\r?\n/).flatMap(withOwnHeading)) {
    const line = raw
      .replace(/^\s*>\s?/, '')
      .replace(/^\s*#{1,6}\s*/, '')
      .trim();
    if (line === '' || /^[-=*_\s]{3,}$/.test(line)) continue;
    const plain = plainLine(line).replace(/:$/, '');
    const heading = headings.find(([, re]) => re.test(plain));
    if (heading && !(section === 'steps' && /^(?:cook|step|prepar)/.test(plain) && plain.split(' ').length > 2)) {
      section = heading[0];
      group = undefined;
      out.serves ??= servesIn(line);
      continue;
    }
    const people = servesIn(line);
    if (people !== null && plain.length < 60 && !verbs.test(plain)) {
      out.serves ??= people;
      const isFirst = out.title === '' && section === 'start';
      if (isFirst) out.title = titleBeside(line);
      // "Rice for 4" further down is a line of its own.
      if (isFirst || !forPeople.test(plain)) continue;
    }
    if (
      out.title === '' &&
      section === 'start' &&
      out.lines.length + out.steps.length === 0 &&
      !isAmountOfFood(withoutAside(plain)) &&
      plain.length <= 120 &&
      !isStep(line, withoutAside(plain))
    ) {
      out.title = line.replace(/\*\*|__/g, '').replace(peopleInBrackets, '');
      out.serves ??= Number(peopleInBrackets.exec(line)?.[1]) || null;
      continue;
    }
    if (
      section !== 'steps' &&
      section !== 'notes' &&
      isGroup.test(plain + (line.endsWith(':') ? ':' : '')) &&
      headAmount(plain).value === null
    ) {
      group = groupUse(plain);
      continue;
    }
    place(line, plain);
  }
  return out;

  function place(line: string, plain: string): void {
    // A list without bullets is over where they begin with an order: "- melt butter, brown beef".
    const isBullet = bullet.test(line);
    if (isBullet && !isBulleted && section !== 'notes' && out.lines.length >= 3 && isOrder(fold(bare(line))))
      section = 'steps';
    isBulleted ||= isBullet;
    if (section === 'notes') out.notes.push(line);
    else if (section === 'steps') out.steps.push(stepText(line));
    else if (section === 'lines' && !(isStep(line, plain) && plain.length > 60))
      out.lines.push({ text: bare(line), ...(group ? { group } : {}) });
    else if (isStep(line, plain)) out.steps.push(stepText(line));
    else if (looksLikeIngredient(plain) || (out.lines.length > 0 && out.steps.length === 0 && isBareFood(line, plain)))
      out.lines.push({ text: bare(line), ...(group ? { group } : {}) });
    else out.notes.push(line);
  }
}

/** "For the marinade: 750 g chicken legs": the first line of a group beside its heading. */
function withOwnHeading(raw: string): string[] {
  const m = /^(\s*(?:for|para)\b[^:.\d]{2,40}:)\s+(\d.*)$/i.exec(raw);
  return m ? [m[1]!, m[2]!] : [raw];
}

/** "Jambalaya for a crowd (8)", "Pulao (4-6)": nothing else of a title is a bare number; of two the larger. */
const peopleInBrackets = /\s*\((?:\d{1,2}\s*(?:-|–|to|a)\s*)?(\d{1,2})\)\s*$/;

/** "Biryani (3 whistles)": what stands in brackets at its end makes no step and no ingredient of a title. */
const withoutAside = (plain: string): string => plain.replace(/\s*\([^)]*\)$/, '');

/** What a line that says for how many it is says besides: a title ("Pork rice (feeds 5)", "Biryani for two"), or nothing. */
function titleBeside(line: string): string {
  const title = line.replace(/\*\*|__/g, '').replace(/\s*[([][^)\]]*\d[^)\]]*[)\]]\s*$/, '');
  const words = fold(title)
    .replace(servesWords, ' ')
    .replace(wordNumbers, ' ')
    .match(/\p{L}{3,}/gu);
  return (words ?? []).filter((w) => !servingWords.has(w)).length > 0 ? title : '';
}
const servingWords = new Set(
  'serves serving servings yield yields makes feeds for people persons portions para personas raciones porciones comensales about approx'.split(
    ' ',
  ),
);

const bullet = /^(?:[-*•·▢□☐]|\[\s?[xX]?\])\s+/u;
const bare = (line: string): string => line.replace(bullet, '');
/** A step's number without a dot: "2 Add the rice". */
const bareNumber = /^\d{1,2}\s+(?=\p{L})/u;
/** "1 brown onion" is no order, "brown the onion" and "brown beef" are. */
const isOrder = (text: string): boolean => verbs.test(text) && (!/^brown /.test(text) || browns.test(text));
const browns =
  /^brown (?:the|it|them|in|on|all|off|well|meat|mince|beef|veal|pork|lamb|chicken|turkey|sausages?|bacon|ham)\b/;

function stepText(line: string): string {
  const text = line.replace(/^\s*(?:\d+[.)]\s*|[-*•]\s+|step \d+[:.]?\s*)/i, '');
  const withoutNumber = text.replace(bareNumber, '');
  return isOrder(fold(withoutNumber)) ? withoutNumber : text;
}

/** A sentence that tells the cook to do something. */
function isStep(line: string, plain: string): boolean {
  const bare = plain.replace(/^\d+[.)]\s*/, '');
  if (
    /\b(?:high|low|alta|baja) (?:pressure|presion)\b|presion (?:alta|baja)|\b(?:natural|quick) (?:pressure )?release\b|\bwhistles\b|\bnpr\b|\b(?:liberacion|despresurizacion) (?:rapida|natural)|^olla (?:a presion|express)\b|\bmin\w* (?:on |at )?high\b/.test(
      plain,
    )
  )
    return true;
  if (isTimeUnderLid(plain) || /^(?:hp|lp|n?pr|nr|qr|manual|lid on|pressure cook)\b/.test(plain)) return true;
  if (/^\d+[.)]\s+\D/.test(plain) && bare.length > 15) return true;
  const isSentence = line.endsWith('.') || /[.;] /.test(plain);
  if (bareNumber.test(plain) && isSentence && isOrder(plain.replace(bareNumber, ''))) return true;
  return (
    verbs.test(bare) &&
    !(headAmount(plain).value !== null && plain.length < 40) &&
    (plain.length > 25 || line.endsWith('.'))
  );
}

/** Minutes or whistles, alone or with a release: "8 min", "4 min QR", "10 minutes, then quick", "6 min y quitar presión". */
function isTimeUnderLid(plain: string): boolean {
  const head = /^\d{1,2}\s*(?:min\w*|'|whistles?|pitidos?)/.exec(plain)?.[0];
  if (head === undefined) return false;
  const isAlone = plain === head || plain === `${head}.`;
  return (
    isAlone ||
    releaseWords.test(plain) ||
    clausesOf(plain).some((c) => ['natural', 'quick', 'pressure'].includes(aboutOf(c)))
  );
}
const releaseWords = /\b(?:quick|rapid[ao]|liberacion)\b/;

/** "30-minute pasta", "3 cheese mac": a number at the head of a title counts no food. */
const titleNumber =
  /^\d{1,2}[\s-]*(?:minutes?|mins?|hours?|ingredients?|cheeses?|spices?|pots?|steps?|ways?|meats?|grains?)\b/;

/** An ingredient, where a title may stand as well: an amount of a food, and not any number ("Rice with 3 meats"). */
function isAmountOfFood(plain: string): boolean {
  if (titleNumber.test(plain)) return false;
  if (headAmount(plain).value !== null || !/\d/.test(plain)) return looksLikeIngredient(plain);
  return amountOf(plain).measure !== null && looksLikeIngredient(plain);
}

/** A number at its head, or a short line that names a food. */
function looksLikeIngredient(plain: string): boolean {
  if (plain.length > 140) return false;
  const head = headAmount(plain);
  const words = wordsOf(plain);
  const named = foodsInAny(words).length > 0;
  if (head.value !== null && (head.measure !== null || /^\d/.test(plain))) return true;
  return (
    named &&
    (/\bto taste\b|\bal gusto\b|\bpinch\b/.test(plain) || /\d/.test(plain) || (head.vague && words.length <= 7))
  );
}

/** "Soy sauce and sesame oil, to serve": what it is for makes no longer line of it. */
const servedWith =
  /,?\s*(?:to|for) (?:serv(?:e|ing)|garnish(?:ing)?|finish(?:ing)?)$|,?\s*para (?:servir|decorar|terminar)$/;

/** "Olive oil", "Salt and pepper": a few words without an amount, among the ingredients, one of them a food's. */
function isBareFood(line: string, plain: string): boolean {
  const words = wordsOf(plain.replace(servedWith, ''));
  return words.length <= 6 && !/[.!?]$/.test(line) && foodsInAny(words).length > 0;
}
