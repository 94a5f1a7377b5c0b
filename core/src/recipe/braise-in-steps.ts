import { aboutOf, clausesOf } from './clause';
import { foodIn, type ReadLine } from './line';
import { namedIn } from './nouns';
import { fold, wordsOf } from './words';

/** From here on vinegar is what the meat braises in, and not the edge of a finished dish, g [common practice]. */
const braisesFromG = 40;

/** Vinegar by the glass that the steps put in before the lid goes on cooks with the meat; stirred in at the end it would bite. */
export function braiseAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const clauses = steps
    .flatMap((s) => clausesOf(fold(s)))
    .map((text) => ({ about: aboutOf(text), ...namedIn(wordsOf(text)) }));
  const closed = clauses.findIndex((c) => c.about === 'pressure');
  for (const line of read) {
    const food = foodIn(line);
    if (food?.id !== 'vinegar' || line.refused || (line.grams ?? 0) < braisesFromG) continue;
    const at = clauses.findIndex((c) => c.names(line, food));
    if (at >= 0 && at <= closed) line.joins ??= 'stack';
  }
}
