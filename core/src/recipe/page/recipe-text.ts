import type { RecipeParts } from './sections';
import { isStructured, sourceOf } from './source-text';

/**
 * The recipe of a saved page or of JSON-LD as plain text that a cook can read and correct; plain text stays as it is. `null`
 * for a dish document, which has no text.
 */
export function recipeText(source: string): string | null {
  if (!isStructured(source)) return source;
  const found = sourceOf(source);
  return 'dish' in found ? null : textOf(found);
}

function textOf({ title, serves, lines, steps }: RecipeParts): string {
  const blocks = [
    title,
    serves === null ? '' : `Serves ${serves}`,
    lines.length > 0 ? `Ingredients\n${lines.map((l) => l.text.replaceAll('\n', ' ')).join('\n')}` : '',
    steps.length > 0 ? `Steps\n${steps.map((s, i) => `${i + 1}. ${s.replaceAll('\n', ' ')}`).join('\n')}` : '',
  ];
  return blocks.filter((b) => b !== '').join('\n\n');
}
