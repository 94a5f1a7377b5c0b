import type { HeadAmount } from './amount';
import type { Language } from '../names/food-names';
import { isPulse, kindOf, pulseWords } from './kinds';
import { headFood, type HeadFood } from '../names/name-head';
import { withoutBrackets } from '../text/words';

/** The food of a line. */
export interface Named {
  hit: HeadFood;
  food: string;
  /** the words of the line beside name and amount */
  around: string;
  /** the other food where two are named, "ghee or oil" */
  alternative: string | null;
}

/** The food of a line whose amount was taken off; null where no name is known. */
export function foodOf(head: HeadAmount, plain: string, language: Language): Named | null {
  if (isPulse(withoutBrackets(plain))) {
    const hit = {
      food: 'beans-canned',
      start: 0,
      end: 0,
      standsIn: false,
      name: 'beans',
      others: [],
      rest: '',
    };
    return { hit, food: 'beans-canned', around: head.rest.replace(pulseWords, ' '), alternative: null };
  }
  const phrases = phrasesOf(head);
  for (const [i, phrase] of phrases.entries()) {
    const picked = pick(phrase, language);
    if (!picked) continue;
    const around = [picked.hit.rest, ...phrases.filter((_, k) => k !== i)].join(' , ');
    return { ...picked, food: kindOf(picked.hit, plain, head.measure), around };
  }
  return null;
}

/** The parts of a line between its commas; a measure word that is a food by itself ("2 cloves") is one more. */
function phrasesOf(head: HeadAmount): string[] {
  const parts = head.rest.split(/\s*[,;]\s*|(?:^|\s+)-\s+|:\s+/).filter((p) => p !== '');
  // "4 cloves - ground": no garlic is.
  const isSpice = parts.length > 0 && parts.every((p) => /^(?:ground|whole|powdered)$/.test(p));
  if (head.measure === 'clove' && isSpice) return [head.measureWord, ...parts];
  return parts.length > 0 ? parts : [head.measureWord].filter(Boolean);
}

/** "Chicken or vegetable broth" is a broth; "oil or ghee" is the first of the two. */
function pick(phrase: string, language: Language): Pick<Named, 'hit' | 'alternative'> | null {
  const [left, right] = phrase.split(/\s+(?:or|o|u)\s+|\s*\/\s*(?=\p{L})/u);
  const whole = (p: string | undefined) => (p ? headFood(p, language) : null);
  if (left === undefined || right === undefined) {
    const hit = whole(phrase);
    return hit && { hit, alternative: null };
  }
  const second = whole(right);
  const shared = second && language === 'en' ? whole(`${left} ${second.name.split(' ').at(-1)}`) : null;
  const spans = shared?.name.includes(left.split(' ').at(-1)!) === true;
  if (shared && second && spans && shared.food === second.food) return { hit: shared, alternative: null };
  // "White or brown rice" names two; the first is the one that shares the last word.
  const first = whole(left) ?? (spans ? shared : null);
  const hit = first ?? second;
  return hit && { hit, alternative: first && second && first.food !== second.food ? second.food : null };
}
