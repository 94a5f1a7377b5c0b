import { recordOf } from '../food/own-food';
import type { Language } from './food-names';
import { askedBelow, type ReadLine } from './line';
import type { Method } from './method';
import { saying } from './sayings';

/** A question that decides the plan; `path` is the place in the reading, without choices it asks for an amount. */
export interface Ask {
  path: string;
  question: string;
  choices: string[];
}

export interface Remark {
  severity: 'info' | 'caution';
  text: string;
  line?: number;
}

const mostAsks = 3;

/** What is to be said of one line: its note, and the words that were not understood. */
export function remarks(l: ReadLine, line: number, language: Language): Remark[] {
  const say = saying[language];
  const out: Remark[] = [];
  if (l.note)
    out.push({
      severity: l.refused || l.certain < askedBelow ? 'caution' : 'info',
      text: `${l.text}: ${l.note}`,
      line,
    });
  if (l.left.length > 0 && l.food) out.push({ severity: 'info', text: say.left(l.text, l.left.join(' ')), line });
  return out;
}

/** At most three questions: first about what decides the plan, the starch, then the meat, then what is most. */
export function asksOf(read: readonly ReadLine[], method: Method, language: Language): Ask[] {
  const say = saying[language];
  const rank = (l: ReadLine): number => {
    const kind = l.food ? recordOf({ ...l, food: l.food }).kind : 'other';
    return kind === 'grain' || kind === 'pasta' ? 0 : kind === 'meat' ? 1 : l.food ? 3 : 2;
  };
  const asks = read
    .map((l, i) => ({ l, i }))
    .filter(({ l }) => l.certain < askedBelow && !l.refused && l.joins !== 'topping')
    .sort((a, b) => rank(a.l) - rank(b.l))
    .map(({ l, i }): Ask => {
      const amount = l.food !== null && (l.doubt === 'amount' || l.choices.length === 0);
      return {
        path: `lines.${i}.${amount ? 'grams' : 'food'}`,
        question: amount ? say.howMuch(l.text) : say.whichFood(l.text),
        choices: amount ? [] : l.choices,
      };
    });
  if (method.holdMin !== undefined && !method.release)
    asks.push({ path: 'cooked.release', question: say.release, choices: ['quick', 'natural', 'timed'] });
  return asks.slice(0, mostAsks);
}
