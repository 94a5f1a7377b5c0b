import type { Language } from './names/food-names';
import { askedBelow, foodIn, type ReadLine } from './line/line';
import type { Method } from './steps/method';
import { said, saidIn, type Said } from './line/said';

/** A question that decides the plan; `path` is the place in the reading, without choices it asks for an amount. */
export interface Ask {
  path: string;
  question: string;
  said: Said;
  choices: string[];
}

/** What is to be said of a reading; where it is a refusal of a document of our own it has no code. */
export interface Remark {
  severity: 'info' | 'caution';
  text: string;
  said?: Said;
  line?: number;
}

/** A remark in the words of a language and as a code. */
export const remark = (severity: Remark['severity'], what: Said, language: Language): Remark => ({
  severity,
  text: saidIn(what, language),
  said: what,
});

const mostAsks = 3;

/** What is to be said of one line: its note, and the words that were not understood. */
export function remarks(l: ReadLine, line: number, language: Language): Remark[] {
  const out: Remark[] = [];
  if (l.note)
    out.push({
      severity: l.refused || l.certain < askedBelow ? 'caution' : 'info',
      text: `${l.text}: ${l.note}`,
      ...(l.said ? { said: l.said } : {}),
      line,
    });
  if (l.left.length > 0 && l.food) {
    const words = l.left.join(' ');
    out.push({ ...remark('info', said('not-understood', { line: l.text, words }), language), line });
  }
  return out;
}

/** At most three questions: first about what decides the plan, the starch, then the meat, then what is most. */
export function asksOf(read: readonly ReadLine[], method: Method, language: Language): Ask[] {
  const asked = (what: Said) => ({ question: saidIn(what, language), said: what });
  const rank = (l: ReadLine): number => {
    const kind = foodIn(l)?.kind ?? 'other';
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
        ...asked(said(amount ? 'how-much' : 'which-food', { line: l.text })),
        choices: amount ? [] : l.choices,
      };
    });
  if (method.holdMin !== undefined && !method.release)
    asks.push({ path: 'cooked.release', ...asked(said('which-release')), choices: ['quick', 'natural', 'timed'] });
  return asks.slice(0, mostAsks);
}
