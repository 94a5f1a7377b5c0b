import type { IngredientNames, Plan, Warning } from '@einkorn/core';
import type { Format } from '../i18n/format';

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
  'thickness-assumed': 'gather',
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
  names: IngredientNames,
  fmt: Pick<Format, 'namesOf' | 'food'>,
): Record<string, string | number> {
  const id = w.params?.['ingredient'];
  return typeof id === 'string' ? { ...w.params, ingredient: fmt.namesOf(names, id) } : { ...w.params };
}

export type Way = Plan['proposals'][number];

/** The way out is offered beside what it clears: a stop, or a plan that seldom comes out. */
export const hasWay = (w: Pick<Warning, 'code' | 'severity'>): boolean =>
  w.severity === 'stop' || w.code === 'poor-chance';

/** What fills the text of a way out. */
export function wayParams(
  w: Way,
  names: IngredientNames,
  fmt: Pick<Format, 'namesOf' | 'food'>,
): Record<string, string | number> {
  const to = w.to ?? '';
  return {
    food: fmt.namesOf(names, w.ingredient),
    percent: typeof to === 'number' ? Math.round(to * 100) : '',
    mm: to,
    to: typeof to === 'string' && to !== '' && w.code.startsWith('swap') ? fmt.food(to) : to,
  };
}
