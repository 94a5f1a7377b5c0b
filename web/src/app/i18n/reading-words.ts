import { saidParams, type Said } from '@einkorn/core';

/** A text of the catalogue of the screen, filled. */
type Translate = (key: string, params?: Record<string, unknown>) => string;

/** What the reader says of a recipe, in the language of the screen. */
export const readingSentence = ({ section, code, params }: Said, t: Translate): string =>
  t(
    `${section}.${code}`,
    saidParams(params, (of, word) => t(`${of}.${word}`)),
  );
