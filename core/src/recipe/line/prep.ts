import { readNumber } from '../../quantity/parse';
import type { Ingredient } from '../../dish/schema';
import { numberSource } from '../text/number';
import { mmPerInch } from '../../measures';

type Prep = NonNullable<Ingredient['prep']>;

/** What the words around a food say has been, or will be, done to it. */
export interface ReadPrep {
  prep: Prep;
  joins?: NonNullable<Ingredient['joins']>;
  /** the text without the words that were understood */
  rest: string;
}

/** mm of a unit of length, by how its word begins. */
const mmOf = (unit: string): number => (unit === 'mm' ? 1 : unit.startsWith('c') ? 10 : mmPerInch);

const length = new RegExp(
  String.raw`(${numberSource})[\s-]*(?:(?:-|to|a)\s*(${numberSource})[\s-]*)?(mm|cm|centimet(?:re|er)s?|centimetros?|in(?:ch(?:es)?)?|pulgadas?|")(?![\p{L}])\.?`,
  'u',
);

/** Pieces that a name of a cut says [common practice]. */
const namedSizes: readonly (readonly [RegExp, Prep])[] = [
  [/\b(?:bite[\s-]?sized?(?: pieces| chunks)?|tamano bocado)\b/, { shape: 'cube', thicknessMm: 25 }],
  [/\bcurry[\s-]?cut\b/, { shape: 'cube', thicknessMm: 35 }],
  [/\b(?:julienned?|matchsticks?|en juliana|juliana)\b/, { shape: 'strip', thicknessMm: 4 }],
];
const shapes: readonly (readonly [RegExp, Prep['shape']])[] = [
  [
    /\b(?:cubed?|cubes|diced?|dice|chunk(?:s|ed|y)?|stew(?:ing)? pieces|en (?:cubos|dados|trozos)|cubos|dados|troceados?|troceadas?)\b/,
    'cube',
  ],
  [/\b(?:strips?|en tiras|tiras)\b/, 'strip'],
  [
    /\b(?:slices?|sliced|slabs?|coins?|rounds|half[\s-]?moons?|(?:en )?(?:rodajas|laminas|filetes)|fileteados?|laminad[oa]s?)\b/,
    'slab',
  ],
  [/\b(?:ground|minced|picad[oa]s? fin[oa])\b/, 'ground'],
  [/\b(?:whole|enter[oa]s?)\b/, 'whole'],
];
const states: readonly (readonly [RegExp, Prep['state']])[] = [
  [
    /\b(?:half[\s-]?frozen|partly (?:frozen|thawed)|partially (?:frozen|thawed)|half[\s-]?thawed|medio congelad[oa]s?)\b/,
    'half-frozen',
  ],
  [/\b(?:thawed|defrosted|descongelad[oa]s?)\b/, 'raw'],
  [/\b(?:frozen|from frozen|congelad[oa]s?)\b/, 'frozen'],
  [/\b(?:part[\s-]?seared|lightly seared|seared|sellad[oa]s?)\b/, 'part-seared'],
  [
    /\b(?:(?:well |deeply? )?browned|fried (?:until (?:it is |they are )?)?(?:well |very |dark|deep|golden|brown|crisp)|(?:until )?(?:dark|deep|golden) brown|carameli[sz]ed|(?:bien )?dorad[oa]s?|carameli[sz]ad[oa]s?)\b/,
    'browned',
  ],
  [
    /\b(?:already cooked|(?<!par[\s-])boiled|pre[\s-]?cooked|cooked|confit(?:ed|ad[oa]s?)?|leftover|cocid[oa]s?|asad[oa]s?)\b/,
    'cooked',
  ],
  [/\b(?:toasted|tostad[oa]s?)\b/, 'toasted'],
  [/\b(?:raw|uncooked|crud[oa]s?)\b/, 'raw'],
];
const joins: readonly (readonly [RegExp, NonNullable<Ingredient['joins']>])[] = [
  [
    /\b(?:(?:for|to) finish(?:ing)?(?: the dish)?|to stir in(?: at the end)?|stirred in at the end|para terminar|al final)\b/,
    'finish',
  ],
  [
    /\b(?:for (?:the )?marinade|to marinate|para (?:la marinada|marinar|el adobo)|(?:for|to) (?:dredg|dust|coat)(?:e|ing)?|para (?:rebozar|enharinar))\b/,
    'marinade',
  ],
  [
    /\b(?:(?:for|to) (?:the )?(?:serving|serve|garnish(?:ing)?|topping|decorate)|for (?:sprinkling|scattering) on top|as (?:a )?(?:garnish|topping)|para (?:servir|decorar|adornar|espolvorear|acompanar)|on top|al gusto para servir)\b/,
    'topping',
  ],
];

/** Slices and strips that somebody calls thin, and how thick they are at most [common practice]. */
const thinly =
  /\b(?:thin(?:ly)?[\s-]?(?:slices?d?|strips?|shaved)|thinly cut|(?:slices?d?|cut|shaved) (?:very |really )?thin(?:ly)?|(?:slices?d?|cut) into (?:very |really )?thin (?:slices|strips)|(?:tiras|rodajas|laminas|lonchas|filetes) (?:muy )?fin[oa]s)\b/;
const thinMm = 8;

/** Takes what is understood of cut, size, state and use out of a folded text (lower case, no accents). */
export function readPrep(folded: string): ReadPrep {
  const prep: Prep = {};
  let text = folded;
  const take = (re: RegExp): boolean => {
    if (!re.test(text)) return false;
    text = text.replace(re, ' ');
    return true;
  };
  let use: ReadPrep['joins'];
  for (const [re, j] of joins) if (take(re)) use ??= j;
  takeSoak();
  take(/\b(?:not|un|do not)[\s-]?(?:rinsed?|washed?)\b|sin lavar\b/);
  if (take(/\b(?:rinsed|washed|well rinsed|enjuagad[oa]s?|lavad[oa]s?)\b/)) prep.rinse = true;
  if (take(/\b(?:slit|scored|slashed|cut to the bone|con cortes)\b/)) prep.slit = true;
  if (take(/\b(?:hot|boiling|warm|hirviendo|calientes?)\b(?! (?:sauce|italian|pepper|chil|paprika|dog))/))
    prep.hot = true;
  if (take(/\b(?:to (?:take|lift) out|para sacar)\b/)) prep.onceOpen = 'take-out';
  if (take(/\b(?:to shred|to pull apart|para (?:deshebrar|desmechar|desmenuzar))\b/)) prep.onceOpen = 'shred';
  take(/\b(?:drained|(?:and )?drain(?:ed)? and rinsed|escurrid[oa]s?)\b/);
  for (const [re, p] of namedSizes) if (take(re)) Object.assign(prep, p);
  takeLength();
  if (thinly.test(text)) prep.thicknessMm ??= thinMm;
  for (const [re, s] of states) if (take(re)) prep.state ??= s;
  for (const [re, s] of shapes) if (take(re)) prep.shape ??= s;
  // Pieces of a given size are as thick as they are wide.
  if (prep.thicknessMm !== undefined && take(/\b(?:pieces|bits|trozos|pedazos)\b/)) prep.shape ??= 'cube';
  return { prep, ...(use ? { joins: use } : {}), rest: text };

  function takeLength(): void {
    const m = length.exec(text);
    if (!m) return;
    // Of a range the thicker end counts: it is the piece that is done last.
    const value = readNumber(m[2] ?? m[1]!);
    const mm = Math.round(value * mmOf(m[3]!) * 10) / 10;
    if (!Number.isFinite(mm) || mm < 1 || mm > 90) return;
    prep.thicknessMm = mm;
    text = text.replace(m[0], ' ');
  }

  function takeSoak(): void {
    const m =
      /\b(?:soaked|remojad[oa]s?|en remojo)\b(?:\s*(?:for|in water for|durante|por)?\s*(?:about )?(\d+)\s*(h(?:ours?|oras?|rs?)?|min(?:ute|uto)?s?)\b)?/.exec(
        text,
      );
    if (!m) return;
    // A soak without its minutes is the usual half an hour [common practice].
    const minutes = m[1] ? Number(m[1]) * (m[2]!.startsWith('h') ? 60 : 1) : 30;
    prep.soakMin = Math.min(1440, minutes);
    text = text.replace(m[0], ' ');
  }
}
