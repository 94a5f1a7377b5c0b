import type { Amount } from '../../quantity/parse';
import type { HeadAmount } from './amount';
import type { Language } from '../names/food-names';
import type { Named } from './line-food';
import type { ReadingCode } from './said';

/** A line with its food found: what its amount is settled from. */
export interface LineFacts extends Named {
  plain: string;
  bare: string;
  asides: string[];
  head: HeadAmount;
  language: Language;
}

/** How much of its food a line was read to say. */
export interface Sized {
  amount: Amount | null;
  grams: number | null;
  certain: number;
  note?: ReadingCode;
}
