import { readNumber } from '../../quantity/parse';
import { units, unitWords, type UnitId } from '../../quantity/units';
import { measures, measureWords, type MeasureId } from './measures';
import { numberSource, numberWords } from '../text/number';
import { moreUnitWords } from './unit-words';

export type Measure = UnitId | MeasureId;
export type Size = 'small' | 'medium' | 'large';

/** The amount at the head of a plain line, and what is left of the line after it. */
export interface HeadAmount {
  /** null: no number was given */
  value: number | null;
  /** null: a bare number, which counts pieces */
  measure: Measure | null;
  /** the word that was read as the measure, so that it can be given back to the food ("2 cloves" is the spice) */
  measureWord: string;
  /** the size of one container or piece, where it stands before its name: "2 x 400 g tins" */
  each: { value: number; unit: UnitId } | null;
  size: Size | null;
  /** a range, "about", or a heaped spoon: less sure than a number */
  about: boolean;
  /** two numbers were given and the middle is taken */
  range: boolean;
  /** the words of an amount that is none: "some", "a few" */
  vague: boolean;
  rest: string;
}

const sizes: Readonly<Record<string, Size>> = {
  ...{
    small: 'small',
    little: 'small',
    medium: 'medium',
    med: 'medium',
    large: 'large',
    lrg: 'large',
    lge: 'large',
    big: 'large',
    jumbo: 'large',
  },
  ...{ pequeno: 'small', pequena: 'small', pequenos: 'small', pequenas: 'small', mediano: 'medium', mediana: 'medium' },
  ...{ medianos: 'medium', medianas: 'medium', grande: 'large', grandes: 'large' },
};
/** What one of that size weighs against the usual one [common practice]. */
export const sizeFactor: Readonly<Record<Size, number>> = { small: 0.7, medium: 1, large: 1.35 };
/** A heaped spoon holds about half as much again, a scant one a tenth less [common practice]. */
const heaps: Readonly<Record<string, number>> = {
  ...{
    heaped: 1.5,
    heaping: 1.5,
    rounded: 1.25,
    generous: 1.15,
    scant: 0.9,
    level: 1,
    levelled: 1,
    packed: 1,
  },
  ...{ colmada: 1.5, colmadas: 1.5, colmado: 1.5, rasa: 1, rasas: 1, generosa: 1.15, escasa: 0.9 },
};

const vagueHead = /^(?:some|a few|a little|a bit of|several|plenty of|un poco de|algo de|algun[oa]s?|bastante)\b/;
const oneOf =
  /^(?:(?:(?:heaped|heaping|rounded|level|scant|generous) )?(?:tsp|tbsp|teaspoon|tablespoon|cucharad(?:it)?a) (?:of |de )?(?:colmada |rasa )?(?:de )?|(?:pinch|dash|splash|drizzle|handful|knob|thumb|bunch|sprig|pizca|chorrito|punado|manojo) (?:of |de )?|(?:glass|mug|cup|tin|can|packet|vaso|vasito|copa|taza|lata) (?:of|de) )(?=[a-z])/;
const aboutHead =
  /^(?:about|approximately|approx|around|roughly|circa|ca|aprox|aproximadamente|unos|unas|alrededor de|up to|at least)\b\.?\s*/;
const rangeHead = new RegExp(String.raw`^(${numberSource})\s*(?:-|\bto\b|\bor\b|\ba\b|\bo\b)\s*(${numberSource})`);
const numberHead = new RegExp(`^(${numberSource})`);
const timesHead = /^\s*(?:x|×|por)\s*(?=\d)/;
/** The size of one tin or piece: number and unit. */
const sizeSource = String.raw`(${numberSource})[\s-]*(g|gr|kg|ml|l|oz|ounces?|lbs?)\b\.?`;
/** "2 400 g tins" and "2 x 400 g" are so many of that size. */
const eachHead = new RegExp(String.raw`^[\s-]*${sizeSource}[\s-]*`);
/** "2 latas de 400 g de tomate", "1 can of 400 g tomatoes": the size stands after the name of the tin. */
const eachAfter = new RegExp(String.raw`^(?:de|of) ${sizeSource}\s*(?=(?:de|of|\p{L}))`, 'u');
const plusAmount = new RegExp(
  String.raw`^(plus|and|\+|y|mas)?\s*(${numberSource})\s*(fl\.? oz|\p{L}+)\.?(?!\p{L})`,
  'u',
);
/** Two amounts closer than this are one, said in two units [derived: rounding of "1 kg 2.2 lb"]. */
const sameShare = 0.05;
const isUnit = (m: Measure | null): m is UnitId => m !== null && m in units;
/** A tin, packet or jar: what holds so much is on its label. */
export const isContainer = (m: Measure | null): boolean =>
  m === 'can-400' ||
  m === 'can-800' ||
  m === 'packet' ||
  (m !== null && !(m in units) && measures[m as MeasureId].onLabel === true);
const plusHalf = /^\s*(?:y|and)\s+(?:an?\s+|una?\s+)?(media|medio|half|quarter|cuarto)\b/;

/** The unit or kitchen measure that a folded word names. */
export function measureOf(word: string): Measure | null {
  const bare = word.replaceAll('.', '');
  for (const table of [unitWords, moreUnitWords, measureWords] as const)
    if (Object.hasOwn(table, bare)) return (table as Readonly<Record<string, Measure>>)[bare]!;
  return null;
}

/**
 * Reads the amount at the head of a plain line without its brackets: number, range, words, "2 x 400 g", sizes, spoons heaped
 * or level, and the measure. Never makes an amount up: without a number `value` is null.
 *
 * The number is read by `numeric-quantity`; what stands around it (brackets, "x", words, decimal commas, Spanish) is ours.
 */
export function headAmount(plain: string): HeadAmount {
  const reader = new AmountReader(plain.trim());
  reader.read();
  const value = reader.value === null ? null : Math.round(reader.value * 1e4) / 1e4;
  const { measure, measureWord, each, size, about, range, vague } = reader;
  const rest = reader.text.replace(/^(?:of|de las|de los|de la|del|de)\s+/, '');
  return { value, measure, measureWord, each, size, about, range, vague, rest };
}

class AmountReader {
  value: number | null = null;
  measure: Measure | null = null;
  measureWord = '';
  each: HeadAmount['each'] = null;
  size: Size | null = null;
  about = false;
  range = false;
  vague = false;

  constructor(public text: string) {}

  read(): void {
    if (this.take(vagueHead)) {
      this.vague = true;
      return;
    }
    const start = this.text;
    this.about = this.take(aboutHead) !== null;
    this.readValue();
    if (this.value === null) {
      this.text = start;
      // "Pinch of salt" is one pinch.
      if (oneOf.test(this.text)) {
        this.value = 1;
        this.readMeasure();
      } else this.takeSize();
      return;
    }
    const times = this.take(timesHead) !== null;
    this.readEach(eachHead);
    if (!times || this.each) this.readMeasure();
    if (!this.each && isContainer(this.measure)) this.readEach(eachAfter);
  }

  private readEach(pattern: RegExp): void {
    const size = this.take(pattern);
    if (size) this.each = { value: readNumber(size[1]!), unit: measureOf(size[2]!) as UnitId };
  }

  private take(pattern: RegExp): RegExpExecArray | null {
    const found = pattern.exec(this.text);
    if (found) this.text = this.text.slice(found[0].length).trimStart();
    return found;
  }

  private readValue(): void {
    // "1 and 1/2" and "1-1/2" are one and a half; "1/4-1/2" is a range.
    this.text = this.text.replace(/^(\d+)(?:\s+(?:and|y)\s+|-)(?=\d+\/\d)/, '$1 ');
    const range = this.take(rangeHead);
    if (range) {
      this.value = (readNumber(range[1]!) + readNumber(range[2]!)) / 2;
      this.about = true;
      this.range = true;
    } else {
      const one = this.take(numberHead);
      this.value = one ? readNumber(one[1]!) : this.readNumberWords();
    }
    if (this.value !== null && !(Number.isFinite(this.value) && this.value > 0)) this.value = null;
  }

  private readNumberWords(): number | null {
    let value: number | null = null;
    for (;;) {
      const m = /^(\p{L}+)\s+/u.exec(this.text);
      const n = m && Object.hasOwn(numberWords, m[1]!) ? numberWords[m[1]!]! : null;
      if (!m || n === null) return value;
      // "half a lemon" is a half, "a couple" two: the word that is not "a" decides.
      value = value === null || value === 1 ? n : n === 1 ? value : value * n;
      this.text = this.text.slice(m[0].length).replace(/^(?:of|de)\s+(?=an?\b|una?\b)/, '');
    }
  }

  private readHalf(): void {
    const half = this.value === null ? null : this.take(plusHalf);
    if (half) this.value! += numberWords[half[1]!]!;
  }

  private takeSize(): boolean {
    const m = /^(\p{L}+)(?:\s+|$)/u.exec(this.text);
    if (!m || !Object.hasOwn(sizes, m[1]!)) return false;
    this.size = sizes[m[1]!]!;
    this.text = this.text.slice(m[0].length);
    return true;
  }

  private takeHeap(): boolean {
    const m = /^(\p{L}+)\s+/u.exec(this.text);
    if (!m || !Object.hasOwn(heaps, m[1]!)) return false;
    this.value! *= heaps[m[1]!]!;
    this.about ||= heaps[m[1]!] !== 1;
    this.text = this.text.slice(m[0].length);
    return true;
  }

  private readMeasure(): void {
    this.readHalf();
    this.take(/^-(?=\p{L})/u);
    this.take(/^de (?=(?:taza|kilo|litro|cucharad|vaso))/);
    for (let round = 0; round < 3 && this.measure === null; round++) {
      const two = /^(\p{L}[\p{L}.]*)[\s-]+(\p{L}+)/u.exec(this.text);
      const one = /^(\p{L}[\p{L}]*)\.?(?![\p{L}])/u.exec(this.text);
      if (!one) return;
      const pair = two ? `${two[1]!.replaceAll('.', '')} ${two[2]}` : '';
      if (Object.hasOwn(unitWords, pair)) this.accept(unitWords[pair]!, two![0]);
      else if (this.takeHeap()) continue;
      else if (measureOf(one[1]!) !== null) this.accept(measureOf(one[1]!)!, one[0]);
      else if (!this.takeSize()) return;
    }
    if (this.measure === 'tbsp' || this.measure === 'tsp') this.take(/^(?:soperas?|de (?:sopa|postre|cafe))\b/);
    this.takeHeap();
    this.readHalf();
    this.readSecond();
  }

  /** "1 cup plus 2 tbsp", "1 lb 8 oz": the second amount is added in the unit of the first; "1 kg 2.2 lb" is one amount. */
  private readSecond(): void {
    const m = plusAmount.exec(this.text);
    const second = m ? measureOf(m[3]!.replace(/^fl\.? oz$/, 'floz')) : null;
    if (!m || !isUnit(this.measure) || !isUnit(second)) return;
    const [a, b] = [units[this.measure], units[second]];
    if (a.kind !== b.kind || a.kind === 'count') return;
    const more = (readNumber(m[2]!) * b.size) / a.size;
    const isSame = m[1] === undefined && Math.abs(more - this.value!) < sameShare * this.value!;
    if (m[1] === undefined && !isSame && b.size >= a.size) return;
    if (!isSame) this.value! += more;
    this.text = this.text.slice(m[0].length).trimStart();
  }

  private accept(measure: Measure, word: string): void {
    this.measure = measure;
    this.measureWord = word;
    this.text = this.text.slice(word.length).trimStart();
  }
}
