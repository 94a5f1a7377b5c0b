import { findFood } from '../../food/find';
import type { UnitId } from '../../quantity/units';

/**
 * A measure of the kitchen that is no unit of the dish document. Its size is common practice for the foods that are named;
 * for any other food it says nothing, and the line asks.
 */
export interface KitchenMeasure {
  /** grams of one, by food or by kind */
  grams?: Readonly<Record<string, number>>;
  /** millilitres of one, for anything */
  ml?: number;
  /** one piece of the foods that come in such pieces */
  isPieceOf?: readonly string[];
  /** a size that is only known from the label */
  onLabel?: true;
}

export type MeasureId =
  | 'clove'
  | 'stalk'
  | 'bunch'
  | 'handful'
  | 'sprig'
  | 'leaf'
  | 'pinch'
  | 'dash'
  | 'drizzle'
  | 'stick'
  | 'knob'
  | 'pint'
  | 'quart'
  | 'gallon'
  | 'dl'
  | 'cl'
  | 'glass'
  | 'small-glass'
  | 'mug'
  | 'ladle'
  | 'jar'
  | 'box'
  | 'bag'
  | 'bottle'
  | 'carton'
  | 'cube'
  | 'sheet'
  | 'head'
  | 'ear'
  | 'slice'
  | 'fillet'
  | 'inch'
  | 'cm'
  | 'dozen';

/** Sizes: common practice, but for the volumes, which are exact (US customary pint, quart and gallon). */
export const measures: Record<MeasureId, KitchenMeasure> = {
  clove: { isPieceOf: ['garlic'], grams: { 'spice-whole': 0.1 } },
  stalk: {
    isPieceOf: ['celery', 'spring-onion', 'leek', 'lemongrass', 'pandan'],
    grams: { 'spice-whole': 10, broccoli: 150, 'herb-fresh': 2, asparagus: 15, fennel: 100, kale: 20, cabbage: 60 },
  },
  bunch: {
    grams: {
      'herb-fresh': 30,
      spinach: 200,
      kale: 200,
      'spring-onion': 100,
      asparagus: 250,
      carrot: 400,
      beetroot: 400,
      broccoli: 300,
      turnip: 300,
      celery: 500,
      chard: 250,
      collards: 250,
      watercress: 90,
      radish: 200,
    },
  },
  handful: {
    grams: {
      'herb-fresh': 10,
      spinach: 30,
      kale: 30,
      nuts: 30,
      'dried-fruit': 30,
      'peas-frozen': 40,
      'cheese-hard': 30,
      mushroom: 60,
      tomato: 100,
      olives: 40,
      'green-beans': 60,
      breadcrumbs: 20,
      corn: 40,
      rocket: 20,
      watercress: 20,
      chard: 30,
      collards: 30,
      'sugar-snaps': 50,
      'bean-sprouts': 40,
      cranberries: 40,
    },
  },
  sprig: { grams: { 'herb-fresh': 1, 'herb-dried': 0.5, 'spice-whole': 0.5 } },
  leaf: { grams: { pandan: 5, 'spice-whole': 0.2, 'herb-fresh': 0.5, kale: 20, cabbage: 30, chard: 20, collards: 30 } },
  pinch: { ml: 0.31 },
  dash: { ml: 0.62 },
  drizzle: { ml: 10 },
  stick: { grams: { butter: 113, 'spice-whole': 3, celery: 40, 'herb-fresh': 1 } },
  knob: { grams: { butter: 15, ginger: 15, ghee: 15 } },
  pint: { ml: 473.176473 },
  quart: { ml: 946.352946 },
  gallon: { ml: 3785.411784 },
  dl: { ml: 100 },
  cl: { ml: 10 },
  glass: { ml: 200 },
  'small-glass': { ml: 100 },
  mug: { ml: 300 },
  ladle: { ml: 120 },
  jar: { onLabel: true },
  box: { onLabel: true },
  bag: { onLabel: true, grams: { saffron: 0.1 } },
  bottle: { onLabel: true, grams: { beer: 330 } },
  carton: { onLabel: true },
  cube: { isPieceOf: ['stock-concentrate'], grams: { butter: 113, sugar: 4 } },
  sheet: { isPieceOf: ['lasagne-sheet'] },
  head: {
    isPieceOf: ['broccoli', 'cauliflower', 'cabbage', 'fennel', 'celeriac', 'bok-choy'],
    grams: { garlic: 50, celery: 500 },
  },
  ear: { isPieceOf: ['corn'] },
  slice: {
    isPieceOf: ['bacon', 'turkey-bacon'],
    grams: {
      ginger: 3,
      ham: 30,
      'turkey-breast': 120,
      'cheese-hard': 20,
      'cheese-soft': 20,
      'lemon-juice': 8,
      'sausage-smoked': 8,
      pineapple: 80,
    },
  },
  fillet: {
    isPieceOf: [
      'white-fish',
      'salmon',
      'chicken-breast',
      'chicken-thigh',
      'turkey-breast',
      'pork-loin',
      'trout',
      'anchovy',
    ],
  },
  inch: { grams: { ginger: 10, 'spice-whole': 1 } },
  cm: { grams: { ginger: 4, 'spice-whole': 0.4 } },
  dozen: {},
};

/** Words of the kitchen measures, folded; those of two words first. */
export const measureWords: Readonly<Record<string, MeasureId>> = Object.fromEntries(
  (
    [
      ['clove', 'clove cloves diente dientes'],
      ['stalk', 'stalk stalks rib ribs tallo tallos rama ramas spear spears penca pencas'],
      ['bunch', 'bunch bunches manojo manojos atado atados ramillete'],
      ['handful', 'handful handfuls punado punados'],
      ['sprig', 'sprig sprigs ramita ramitas'],
      ['leaf', 'leaf leaves hoja hojas'],
      ['pinch', 'pinch pinches pizca pizcas'],
      ['dash', 'dash dashes'],
      ['drizzle', 'drizzle drizzles splash splashes hilo chorrito chorritos chorro'],
      ['stick', 'stick sticks palito palitos barra barras'],
      ['knob', 'knob knobs thumb thumbs'],
      ['pint', 'pint pints pt'],
      ['quart', 'quart quarts qt qts'],
      ['gallon', 'gallon gallons'],
      ['dl', 'dl decilitre decilitres deciliter deciliters decilitro decilitros'],
      ['cl', 'cl centilitro centilitros'],
      ['glass', 'glass glasses vaso vasos copa copas'],
      ['small-glass', 'vasito vasitos copita copitas'],
      ['mug', 'mug mugs tazon tazones'],
      ['ladle', 'ladle ladles ladleful cazo cazos cucharon cucharones'],
      ['jar', 'jar jars tarro tarros frasco frascos bote botes'],
      ['box', 'box boxes caja cajas'],
      ['bag', 'bag bags bolsa bolsas sachet sachets pouch pouches sobre sobres'],
      ['bottle', 'bottle bottles botella botellas'],
      ['carton', 'carton cartons brik briks brick bricks tub tubs container containers tetrabrik'],
      ['cube', 'cube cubes pastilla pastillas cubito cubitos cubo cubos'],
      ['sheet', 'sheet sheets placa placas lamina laminas'],
      ['head', 'head heads cabeza cabezas bulb bulbs bulbo bulbos'],
      ['ear', 'ear ears cob cobs mazorca mazorcas'],
      ['slice', 'slice slices rasher rashers strip loncha lonchas rebanada rebanadas rodaja rodajas lonja lonjas'],
      ['fillet', 'fillet fillets filete filetes'],
      ['inch', 'inch inches'],
      ['cm', 'cm'],
      ['dozen', 'dozen docena docenas'],
    ] as const
  ).flatMap(([id, words]) => words.split(' ').map((w) => [w, id] as const)),
);

/** Grams, millilitres or pieces of `value` such measures of a food; null where common practice has no size for it. */
export function measured(
  value: number,
  id: MeasureId,
  food: string,
): { value: number; unit: Extract<UnitId, 'g' | 'ml' | 'piece'> } | null {
  const m = measures[id];
  if (m.isPieceOf?.includes(food)) return { value, unit: 'piece' };
  if (m.grams?.[food] !== undefined) return { value: value * m.grams[food], unit: 'g' };
  if (m.ml !== undefined) return { value: value * m.ml, unit: 'ml' };
  if (id === 'dozen' && findFood(food).pieceG) return { value: value * 12, unit: 'piece' };
  return null;
}

/** What one of a whole spice, a dried fruit, a small kind of vegetable, the tender of a breast or a squid weighs, g, by its name [common practice]. */
const namedPieces: readonly (readonly [RegExp, number])[] = [
  [/peppercorn|pimienta/, 0.05],
  [/clove|clavo/, 0.1],
  [/cardamom/, 0.2],
  [/bay|laurel|leaf|leaves|hoja/, 0.2],
  [/cinnamon|canela/, 3],
  [/lemongrass/, 15],
  [/pandan/, 5],
  [/^chicken (?:breast )?(?:tender|mini fillet|inner fillet|goujon)/, 50],
  [/(?:cherry|grape|cherri) tomato|tomates? cherry/, 15],
  [/(?:baby|new) potato|patatas? baby/, 45],
  [/baby carrot/, 10],
  [/(?:pearl|baby) onion/, 15],
  [/apricot|orejon|prune|ciruela|\bdates?\b|datil/, 8],
  [/\bfigs?\b|higo/, 15],
  [/^(?:sepia|jibia|choco)|^cuttlefish/, 300],
  [/^calamar/, 150],
];

export const pieceByName = (name: string): number | undefined =>
  /garlic|ajo\b/.test(name) ? undefined : namedPieces.find(([re]) => re.test(name))?.[1];
