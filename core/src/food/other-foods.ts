import type { SourceCode } from '../source';
import { plants } from './plants';
import type { FoodRecord } from './record';
import { dairy } from './rows/dairy';
import { fats } from './rows/fats';
import { liquids } from './rows/liquids';
import { seasonings } from './rows/seasonings';
import { sundries } from './rows/sundries';
import { vegetables } from './rows/vegetables';

const rows = [...liquids, ...dairy, ...vegetables, ...fats, ...seasonings, ...sundries];

/**
 * Thin liquid at the base before the boil, share of the mass, where it is not what is free at the start: of diced tomato
 * with its juice .35 runs down, of crushed tomato and sauce .10, of paste, yogurt and mustard nothing [common practice].
 */
const thinAtBase: Record<string, number> = {
  'tomato-diced-canned': 0.35,
  'tomato-crushed-canned': 0.1,
  'tomato-sauce': 0.1,
  'tomato-paste': 0,
  yogurt: 0,
  mustard: 0,
  'beans-canned': 0,
  salsa: 0.1,
  'milk-condensed': 0,
  'soup-condensed': 0,
  'cream-sour': 0,
  'pumpkin-puree': 0,
  'curry-paste': 0,
  artichoke: 0,
  olives: 0,
  capers: 0,
  tofu: 0,
  honey: 0,
  'oyster-sauce': 0,
  'hoisin-sauce': 0,
  'brown-sauce': 0.2,
  ketchup: 0,
  'barbecue-sauce': 0,
  'enchilada-sauce': 0.15,
  sauerkraut: 0.05,
  mango: 0,
  pineapple: 0,
  orange: 0,
  applesauce: 0,
  molasses: 0,
  jam: 0,
  chutney: 0,
  'cranberry-sauce': 0,
  miso: 0,
  gochujang: 0,
  sambal: 0.1,
  doubanjiang: 0,
  'black-bean-sauce': 0,
  'tamarind-paste': 0,
  harissa: 0,
  horseradish: 0,
  'refried-beans': 0,
  'baked-beans': 0,
  'chipotle-adobo': 0,
  'tuna-canned': 0,
  gherkin: 0,
};

const water: SourceCode = 'M';

export const wet: readonly FoodRecord[] = rows.map(
  ([id, kind, w, free, released, spread, cp, density, bulk, salt, pieceG, flags]) => ({
    id,
    kind,
    water: [w, water],
    free: [free, free === w ? 'M' : 'D'],
    thin: id in thinAtBase ? [thinAtBase[id]!, 'P'] : [free, 'D'],
    released: [released, 'D'],
    releaseSd: [spread, 'D'],
    cpKjPerKgK: [cp, 'D'],
    densityGPerMl: [density, 'M'],
    bulkGPerMl: [bulk, 'P'],
    saltPer100g: [salt, 'M'],
    ...(pieceG === undefined ? {} : { pieceG: [pieceG, 'P'] as const }),
    flags: flags ?? [],
    ...(plants[id] ? { plant: plants[id] } : {}),
  }),
);
