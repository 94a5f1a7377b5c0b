import type { Said } from '@einkorn/core';

/** A text of the catalogue of the screen, filled. */
type Translate = (key: string, params?: Record<string, unknown>) => string;

/** What the reader says of a recipe, in the language of the screen; what fills it may be a code itself. */
export function readingSentence({ section, code, params }: Said, t: Translate): string {
  const words = Object.entries(params).map(([name, value]): [string, string | number] => {
    if (name === 'food') return [name, t(`food.${value}`)];
    if (name === 'family') return [name, t(`family-plain.${value}`)];
    if (name === 'because') return [name, t(`family-by.${value}`)];
    return [name, value];
  });
  return t(`${section}.${code}`, Object.fromEntries(words));
}
