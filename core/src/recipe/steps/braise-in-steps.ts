import { foodIn, type ReadLine } from '../line/line';
import { namedClauses } from './named-clauses';

/** From here on vinegar is what the meat braises in, and not the edge of a finished dish, g [common practice]. */
const braisesFromG = 40;
const isGlassful = (line: ReadLine): boolean =>
  foodIn(line)?.id === 'vinegar' && !line.refused && (line.grams ?? 0) >= braisesFromG;

/** Vinegar by the glass that the steps put in before the lid goes on cooks with the meat; stirred in at the end it would bite. */
export function braiseAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const glasses = read.filter(isGlassful);
  if (glasses.length === 0) return;
  const clauses = namedClauses(steps);
  const closed = clauses.findIndex((c) => c.about === 'pressure');
  for (const line of glasses) {
    const at = clauses.findIndex((c) => c.names(line, foodIn(line)!));
    if (at >= 0 && at <= closed) line.joins ??= 'stack';
  }
}
