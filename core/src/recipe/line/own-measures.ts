import { recordOf, type OwnFood } from '../../food/own-food';
import { ownMeasureMl, scoopOf, type OwnMeasure } from '../../food/own-measure';
import { readNumber, type Amount } from '../../quantity/parse';
import { units } from '../../quantity/units';
import { numberWords } from '../text/number';
import { nameIn } from '../names/own-foods';
import { plainLine } from '../text/words';

/** What a line measures with is named after its number, or begins the line: "2 my mugs rice", "half my mug of water". */
const before = String.raw`(?<=(?:^|[\d½¼¾⅓⅔⅛/]|\b(?:an?|half|medi[oa]|quarter|${Object.keys(numberWords).join('|')}))\s*(?:(?:an?|of|my|the|de|mis?)\s+)?)`;

const anyCup = /\b(?:cups?|tazas?)\b/;

/** A line that measures with a glass of the cook's own, and the same line with a cup in its place. */
export interface OwnMeasured {
  measure: OwnMeasure;
  plain: string;
}

/** The glass of the cook's own that a plain line measures with, the longest name first; null where there is none. */
export function ownMeasureIn(plain: string, own: readonly OwnMeasure[]): OwnMeasured | null {
  for (const measure of [...own].sort((a, b) => b.name.length - a.name.length)) {
    const name = new RegExp(before + nameIn(measure.name).source, 'gu');
    const others = plain.replace(name, ' ');
    // Beside another cup nobody could tell which is which: such a line asks.
    if (others !== plain && !anyCup.test(others))
      return { measure, plain: plain.replace(name, (_, at: number) => (isBare(plain.slice(0, at)) ? '1 cup' : 'cup')) };
  }
  return null;
}

/** "My mug rice": the glass begins the line, and it is one of it. */
const isBare = (head: string): boolean => /^\s*(?:(?:my|the|mis?)\s+)?$/.test(head);

/** What of a line that was read is measured. */
interface Measured {
  food: string | null;
  ownFood?: OwnFood | undefined;
  amount: Amount | null;
  grams: number | null;
}

/** A line that was read with a cup, with what the glass holds instead: in mL, so that any kitchen can read it. */
export function asMeasured<L extends Measured>(line: L, own: OwnMeasure): L {
  const unit = line.amount && units[line.amount.unit];
  if (!line.amount || unit?.kind !== 'volume' || !line.amount.unit.startsWith('cup')) return line;
  const heap = isHeaped(line) ? scoopOf(own) : 1;
  const ml = line.amount.value * ownMeasureMl(own) * heap;
  const share = ml / (line.amount.value * unit.size);
  return {
    ...line,
    amount: { value: Math.round(ml * 10) / 10, unit: 'ml' },
    grams: line.grams === null ? null : Math.round(line.grams * share * 100) / 100,
  };
}

/** Dry grains, pasta and pulses stand over the brim; what is poured does not. */
function isHeaped({ food: id, ...of }: Measured): boolean {
  const food = id === null ? null : recordOf({ ...of, food: id });
  return food !== null && (food.kind === 'grain' || food.kind === 'pasta' || food.plant?.staysHard === true);
}

/** "1½ my mug", "2 × my mug", as fields show it: level, in mL; null where the text names no glass of the cook's own. */
export function ownAmountOf(text: string, own: readonly OwnMeasure[]): Amount | null {
  const plain = plainLine(text);
  for (const measure of own) {
    const head = new RegExp(`^(.*?)\\s*[×x*]?\\s*${nameIn(measure.name).source}$`, 'u').exec(plain);
    const value = head ? (head[1] === '' ? 1 : readNumber(head[1]!)) : NaN;
    if (Number.isFinite(value) && value > 0)
      return { value: Math.round(value * ownMeasureMl(measure) * 10) / 10, unit: 'ml' };
  }
  return null;
}
