import type { Ingredient } from '@einkorn/core';
import type { Format } from '../i18n/format';

type Translate = (key: string, p?: Record<string, unknown>) => string;

/** What was understood of cut, size and state, a word or two for each. */
export const prepWords = (p: NonNullable<Ingredient['prep']>, t: Translate, fmt: Format): string[] => [
  ...(p.shape ? [t(`shape.${p.shape}`)] : []),
  ...(p.thicknessMm ? [fmt.length(p.thicknessMm)] : []),
  ...(p.pieceG ? [`${fmt.grams(p.pieceG)} ${t('recipe.each')}`] : []),
  ...(p.state ? [t(`state.${p.state}`)] : []),
  ...(p.slit ? [t('recipe.slit')] : []),
  ...(p.brown ? [t(`recipe.brown.${p.brown}`)] : []),
  ...(p.onceOpen ? [t(`recipe.once-open.${p.onceOpen}`)] : []),
  ...(p.rinse ? [t('gather.rinsed')] : []),
  ...(p.soakMin ? [`${t('gather.soak')} ${p.soakMin} min`] : []),
  ...(p.packetMinutes ? [t('recipe.packet', { min: fmt.number(p.packetMinutes, 1) })] : []),
  ...(p.hot ? [t('gather.hot')] : []),
];
