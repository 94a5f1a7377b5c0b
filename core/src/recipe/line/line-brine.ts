import { numberSource } from '../text/number';
import type { Amount } from '../../quantity/parse';
import { units } from '../../quantity/units';
import { headAmount } from './amount';
import { isTin } from './kinds';
import type { LineFacts } from './line-facts';
import type { ReadingCode } from './said';

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
