import { numericQuantity } from 'numeric-quantity';
import { nearest } from '../nearest';
import { hintOf, refusal } from '../problem';
import { unitWords, type UnitId } from './units';

export interface Amount {
  value: number;
  unit: UnitId;
}

/** "To taste": it is named in the steps and weighed in no sum. */
export const toTaste: Amount = { value: 1, unit: 'to-taste' };
export const isToTaste = (amount: Amount): boolean => amount.unit === 'to-taste';

/** What a kitchen can hold of anything; beyond it a number is a slip of the finger. In the unit as typed. */
const largestValue = 100_000;

/**
 * Reads an amount as a cook types it: "1 1/2 cups", "1½ cup", "300 g", "2 lb", "1,5 l".
 *
 * @param text what was typed
 * @param fallback unit to use when only a number was typed
 * @returns value in the unit named
 * @throws Problem `amount-empty`, `amount-number`, `amount-range` or `amount-unit`, each with the way out
 */
export function parseAmount(text: string, fallback?: UnitId): Amount {
  const cleaned = text.trim().replace(/\s+/g, ' ');
  if (cleaned === '') throw refusal('amount-empty');
  if (unitWords[cleaned.toLowerCase()] === 'to-taste') return toTaste;
  // The unit starts at the first letter; everything before it must read as one number.
  const split = cleaned.search(/[a-zA-Z]/);
  const numberText = (split < 0 ? cleaned : cleaned.slice(0, split)).trim();
  const word = (split < 0 ? '' : cleaned.slice(split)).toLowerCase().replaceAll('.', '').trim();
  const value = readNumber(numberText);
  if (!Number.isFinite(value)) throw refusal('amount-number', { text: clip(text) });
  if (value <= 0 || value > largestValue) throw refusal('amount-range', { text: clip(text) });
  if (word === '') {
    // A number is no taste: it needs its measure.
    if (!fallback || fallback === 'to-taste') throw refusal('amount-unit', { text: clip(text) });
    return { value, unit: fallback };
  }
  const unit = Object.hasOwn(unitWords, word) ? unitWords[word] : undefined;
  if (unit) return { value, unit };
  const near = nearest(word, Object.keys(unitWords), 2);
  const hint = hintOf(
    near.map((n) => `"${n}"`),
    'try-units',
  );
  throw refusal('unit-unknown', { text: clip(word), hint });
}

/** "1 1/2", "1½", "1,5": a comma followed by one or two digits is a decimal comma; by exactly three, a thousands mark. NaN for none. */
export function readNumber(text: string): number {
  const plain = text.replace(/(\d),(\d{3})(?!\d)/g, '$1$2').replace(/(\d),(\d)/g, '$1.$2');
  return plain === '' ? NaN : numericQuantity(plain, { round: false });
}

const clip = (s: string): string => (s.length > 40 ? `${s.slice(0, 40)}…` : s);
