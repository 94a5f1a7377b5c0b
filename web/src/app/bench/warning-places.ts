import type { Warning } from '@einkorn/core';

type Sheet = 'gather' | 'fry' | 'water' | 'stack' | 'pressure' | 'finish';
const places: Record<string, Sheet> = {
  'liquid-short': 'water',
  'texture-missed': 'water',
  'poor-chance': 'pressure',
  'wetter-by-minimum': 'water',
  'liquid-far-short': 'water',
  'boils-dry': 'water',
  'never-seals': 'water',
  'over-full': 'stack',
  'grain-dry': 'stack',
  'pasta-peeks': 'stack',
  'bowl-full': 'stack',
  curdles: 'stack',
  scorch: 'stack',
  'meat-under': 'pressure',
  'meat-dry': 'pressure',
  'reheat-short': 'pressure',
  'plant-gone': 'pressure',
  'pasta-past': 'pressure',
  mush: 'pressure',
  'thickness-guessed': 'gather',
  'frozen-lump': 'gather',
  'raw-at-finish': 'finish',
  'meat-tough': 'pressure',
  'plant-hard': 'pressure',
  'hard-core': 'pressure',
  spray: 'pressure',
  altitude: 'pressure',
  'saute-ends': 'fry',
  thermometer: 'finish',
  manual: 'finish',
};

/** The sheet on which a warning can be answered; what is not named is about how the pot is built. */
export const placeOf = (w: Pick<Warning, 'code'>): Sheet =>
  w.code.startsWith('fry-') ? 'fry' : (places[w.code] ?? 'stack');

/** What a sheet has to say: its stops and cautions; what is only good to know stays in the list of all. */
export const warningsAt = <W extends Pick<Warning, 'code' | 'severity'>>(all: readonly W[], sheet: string): W[] =>
  all.filter((w) => w.severity !== 'info' && placeOf(w) === sheet);

/** What fills the text of a warning: the food by its name, the rest as it is. */
export function warningParams(
  w: Pick<Warning, 'params'>,
  foods: Readonly<Partial<Record<string, string>>>,
  t: (key: string) => string,
): Record<string, string | number> {
  const id = w.params?.['ingredient'];
  return typeof id === 'string' ? { ...w.params, ingredient: t(`food.${foods[id] ?? id}`) } : { ...w.params };
}
