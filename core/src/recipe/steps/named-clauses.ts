import { aboutOf, clausesOf, type About } from '../text/clause';
import { namedIn, type Named } from './nouns';
import { fold, wordsOf } from '../text/words';

/** A clause of the steps with what it is about and the foods that it names. */
export interface NamedClause extends Named {
  text: string;
  about: About;
}

/** "Everything except the peas": they are named, but not put in. */
const exceptions = /\b(?:except|apart from|but not|excepto|salvo|menos)\b[^.;]*/g;

export const namedClauses = (steps: readonly string[]): NamedClause[] =>
  steps
    .flatMap((s) => clausesOf(fold(s).replace(exceptions, ' ')))
    .map((text) => ({ text, about: aboutOf(text), ...namedIn(wordsOf(text)) }));
