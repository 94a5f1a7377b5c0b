import type { Family } from '../../dish/schema';

/** Bands that a family has its own word for: a right risotto is creamy, a right porridge thick [common practice]. */
const ownWords: Partial<Record<Family, readonly string[]>> = {
  risotto: ['fluffy'],
  porridge: ['firm', 'fluffy', 'soft', 'mushy'],
};

/** Key of the text catalogue for a band of the starch in a dish of this family. */
export const bandKey = (family: string, band: string): string =>
  ownWords[family as Family]?.includes(band) ? `${family}-${band}` : band;
