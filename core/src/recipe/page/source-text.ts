import { importDish, type Imported } from '../../dish/import';
import { issueAt, refusal, type Problem } from '../../problem';
import { readPage, withoutMarkup } from './page';
import { partsOf, type RecipeParts } from './sections';
import { findRecipe, partsOfRecipe } from './structured';

export const noRecipe = (): Problem => refusal('recipe-unknown', {}, issueAt('text', 'nothing-found'));

/** A recipe taken apart, or a dish document of our own. */
type Source = RecipeParts | Imported;

const isMarkup = (text: string): boolean =>
  /<(?:!doctype|html|body|script|div|ul|ol|p|li|h1)\b/i.test(text.trimStart().slice(0, 20_000));

/** Whether a text is JSON or a page, and not what a person writes. */
export const isStructured = (text: string): boolean => /^\s*[[{]/.test(text) || isMarkup(text);

/** Finds the recipe in a text: JSON-LD, a saved page, our own document, or plain text and Markdown. */
export function sourceOf(text: string): Source {
  const start = text.trimStart();
  if (/^[[{]/.test(start)) {
    const doc = parsed(start);
    if (doc !== undefined) return ofJson(doc);
  }
  if (isMarkup(start)) {
    const page = readPage(text);
    for (const data of page.linkedData) {
      const recipe = findRecipe(parsed(data));
      if (recipe) return partsOfRecipe(recipe, withoutMarkup);
    }
    return partsOf(page.text);
  }
  return partsOf(text);
}

function ofJson(doc: unknown): Source {
  const recipe = findRecipe(doc);
  if (recipe) return partsOfRecipe(recipe, withoutMarkup);
  const isOwn = typeof doc === 'object' && doc !== null && Object.hasOwn(doc, 'format');
  if (!isOwn) throw noRecipe();
  return importDish(doc);
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
