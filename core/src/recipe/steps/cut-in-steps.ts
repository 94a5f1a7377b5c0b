import type { Ingredient } from '../../dish/schema';
import { readPrep } from '../line/prep';
import { fold, singulars } from '../text/words';

type Prep = NonNullable<Ingredient['prep']>;

const verbs = 'cut|cube|dice|chop|slice|corte|cortar|corta|trocear?|trocee';
const articles = 'the|your|all|both|el|la|los|las|up|each';
/** A verb of the knife, up to three words that it meets, and what is said of the pieces. */
const cut = new RegExp(String.raw`\b(${verbs})\s+(?:(?:${articles})\s+)*((?:\p{L}+\s+){0,2}\p{L}+)([^.;]{0,60})`, 'gu');
const cubes = /^(?:cube|dice|chop|troce)/;

const brokenUp = /\b(?:crumbl|break(?:ing)? (?:it |them |the (?:meat|sausages?) )?(?:up|apart)|broken up|desmenuz)/;
/** Whether the steps break the sausage up in the pan. */
export const crumbledInSteps = (steps: readonly string[]): boolean =>
  steps.some((s) =>
    fold(s)
      .split(/[.;]/)
      .some((part) => /\bsausages?\b|\bsalchicha|\blonganiza|\bit\b/.test(part) && brokenUp.test(part)),
  );

/**
 * How the steps of a recipe cut a meat whose own line does not say it: "Cut the pork into 2 inch chunks". Null where they
 * say nothing of it.
 *
 * @param nouns words that the meat goes by, folded and without their plural
 */
export function cutInSteps(
  steps: readonly string[],
  nouns: ReadonlySet<string>,
): Pick<Prep, 'shape' | 'thicknessMm'> | null {
  for (const step of steps)
    for (const [, verb, object, after] of fold(step).matchAll(cut)) {
      const words = object!.split(/\s+/);
      // What comes behind "and" or "into" is no longer what the knife meets.
      const stop = words.findIndex((w) => /^(?:and|into?|with|y|en|con)$/.test(w));
      const met = (stop < 0 ? words : words.slice(0, stop)).flatMap(singulars);
      if (!met.some((w) => nouns.has(w))) continue;
      const { shape, thicknessMm } = readPrep(`${stop < 0 ? '' : words.slice(stop).join(' ')} ${after!}`).prep;
      const cubed = shape ?? (cubes.test(verb!) || thicknessMm !== undefined ? 'cube' : undefined);
      if (cubed && cubed !== 'whole') return { shape: cubed, ...(thicknessMm === undefined ? {} : { thicknessMm }) };
    }
  return null;
}
