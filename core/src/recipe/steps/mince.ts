import { isMince } from '../../food/meats';
import type { Language } from '../names/food-names';
import { foodIn, type ReadLine } from '../line/line';
import { nameIn, said } from '../line/said';
import type { RecipeParts } from '../page/sections';
import { fold } from '../text/words';

const balls =
  /\bmeat ?balls?\b|\balbondig|\bko(?:f|p)t[ae]s?\b|\bkefta\b|\bpolpett|\b(?:into|en|formar|shape) (?:\w+ )?(?:balls|bolas|bolitas)\b/;
/** What binds a mince into balls. */
const binders = new Set(['egg', 'breadcrumbs']);

/** Mince that its title or its steps make into balls is no crumbs in the pan, and what binds it goes into it. */
export function shapeMeatballs(read: ReadLine[], { title, steps }: RecipeParts, language: Language): void {
  const mince = read.filter((l) => {
    const food = foodIn(l);
    return !l.refused && food !== null && isMince(food);
  });
  if (mince.length === 0 || ![title, ...steps].some((t) => balls.test(fold(t)))) return;
  for (const line of mince) {
    line.name ??= nameIn(line.food!, language);
    line.food = foodIn(line)!.meat!.species === 'poultry' ? 'meatball-poultry' : 'meatball';
    line.said ??= said('as-meatballs');
    delete line.prep;
  }
  for (const line of read) if (line.food !== null && binders.has(line.food)) line.joins ??= 'marinade';
}

/** Sausage between sheets is broken up, where its line says no shape [common practice]. */
export function crumbleInSheets(line: ReadLine): void {
  if (line.food === 'sausage-fresh' && line.prep?.shape === undefined) line.food = 'sausage-meat';
}
