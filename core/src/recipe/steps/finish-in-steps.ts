import { isPrecooked } from '../../food/meats';
import { minutesOf } from '../text/clause';
import { findFood } from '../../food/find';
import type { FoodRecord } from '../../food/record';
import { foodIn, type ReadLine } from '../line/line';
import { namedClauses, type NamedClause } from './named-clauses';
import { fold } from '../text/words';

const takesOut =
  /\b(?:remov|discard|(?:fish|take|lift|pick) (?:it |them |the .{0,20})?out|retir|desech|sac(?:a|ar|amos)\b)/;
const scatters = /\b(?:sprinkl|scatter|garnish|top(?:ped)?(?:$| with| it)|decorat|espolvor|decor[ae])/;
const stirsIn =
  /\b(?:add|stir|mix|fold|toss|beat|swirl|pour|drizzle|squeeze|melt|tip|throw|put|finish|anad|agreg|incorpor|mezcl|ech[ae]|remuev|remov(?:er|emos))/;
/** What a pot that came out dry is thinned with is no ingredient of the end. */
const thinners = new Set(['water', 'broth', 'salt']);

/**
 * What the steps put in only once the lid is open again, and name nowhere before, joins at the end or goes on top at the table.
 * Starch and raw meat stay where the planner puts them: how long they cook is its work. Cooked meat is only heated through.
 */
export function finishAsInSteps(read: readonly ReadLine[], steps: readonly string[]): void {
  const clauses = namedClauses(steps);
  const closed = lastCooking(clauses);
  if (closed < 0) return;
  const before = clauses.slice(0, closed);
  const added = addedIn(clauses.slice(closed));
  const ids = read.map((l) => l.food);
  for (const line of read) {
    const food = foodIn(line);
    if (!food || line.refused || food.grain || food.kind === 'grain' || food.kind === 'pasta') continue;
    if (thinners.has(food.id) || (food.kind === 'meat' && !isCooked(line, food))) continue;
    // Of two lines of one food only their own words tell which is meant.
    const own = ids.filter((id) => id === line.food).length > 1 ? fold(line.name ?? line.text) : '';
    const names = (c: NamedClause): boolean => c.names(line, food) && c.text.includes(own);
    if (before.some(names)) continue;
    const how = added.find(names)?.how;
    // Cheese melts in the dish, and cooked meat is to be hot again.
    const isStirredIn = food.kind === 'dairy' || food.kind === 'meat';
    if (how) line.joins ??= how === 'topping' && isStirredIn ? 'finish' : how;
  }
}

const isCooked = (line: ReadLine, food: FoodRecord): boolean => isPrecooked(food, line.prep?.state);

/**
 * The last clause that cooks under pressure or lets it off; where the starch goes in only after that, the one that cooks
 * the starch: "open, add the rice and the saffron, cook 6 minutes more". -1 where none is under pressure.
 */
function lastCooking(clauses: readonly NamedClause[]): number {
  const closed = clauses.findLastIndex((c) => c.about === 'pressure' || c.about === 'natural' || c.about === 'quick');
  if (closed < 0) return closed;
  const starch = clauses.findIndex((c) => [...c.foods].some((id) => findFood(id).grain));
  if (starch <= closed) return closed;
  const cooked = clauses.findIndex((c, i) => i > starch && minutesOf(c.text) !== null);
  return cooked < 0 ? starch : cooked;
}

/** Clauses that put something in, with how; "stir in the peas", "and the olives" both do. */
function addedIn(clauses: readonly NamedClause[]): (NamedClause & { how: 'finish' | 'topping' })[] {
  let how: 'finish' | 'topping' | null = null;
  return clauses.flatMap((clause) => {
    const { text } = clause;
    if (takesOut.test(text)) how = null;
    else if (scatters.test(text)) how = 'topping';
    else if (stirsIn.test(text)) how = 'finish';
    return how ? [{ ...clause, how }] : [];
  });
}
