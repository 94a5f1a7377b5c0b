import { findFood } from '../../../src/food/find';
import { centre } from '../../../src/grain/texture';
import { kitchenSchema, type Kitchen } from '../../../src/dish/kitchen';
import { readDish } from '../../../src/dish/read';
import { equivalentMin, runClock } from '../../../src/grain/clock';
import { simpleProfile } from '../profile';
import type { Fact } from './fact';
import type { AsCooked, Dish, Family, Ingredient } from '../../../src/dish/schema';
import type { Plan } from '../../../src/plan/document/document';
import { evaluate } from '../../../src/plan/plan';

/*
 * Facts of the trade, each a cook's own numbers put through the whole model on the pot's own history (docs/engine.md,
 * section 5). The windows are recalled practice, about two to three points wide: a fit, not a measurement.
 */
type Spec = [food: string, grams: number, more?: Partial<Ingredient>];

export const dish = (family: Family, foods: Spec[], asCooked: AsCooked): Dish =>
  readDish({
    format: 'einkorn.dish/1',
    title: 'fact',
    family,
    serves: 4,
    ingredients: foods.map(([food, value, more], i) => ({
      id: `${food}-${i}`,
      food,
      amount: { value, unit: 'g' },
      ...more,
    })),
    asCooked,
  });

export const natural = (holdMin: number, naturalMin: number, liquidMl: number): AsCooked => ({
  liquidMl,
  pressure: 'high',
  holdMin,
  release: { kind: 'timed', naturalMin },
});
/** Off the flame, and let down all by itself. */
const whistled = (holdMin: number, liquidMl: number): AsCooked => ({
  liquidMl,
  pressure: 'high',
  holdMin,
  release: { kind: 'natural' },
});
const quick = (holdMin: number, liquidMl: number): AsCooked => ({
  liquidMl,
  pressure: 'high',
  holdMin,
  release: { kind: 'quick' },
});
const rinsed: Partial<Ingredient> = { prep: { rinse: true } };
const soaked: Partial<Ingredient> = { prep: { rinse: true, soakMin: 30 } };
const coated: Partial<Ingredient> = { prep: { coated: true } };
const dice = (mm: number): Partial<Ingredient> => ({ prep: { shape: 'cube', thicknessMm: mm } });
export const water: Spec = ['water', 1];
const broth: Spec = ['broth', 1];
const cup = 236.6;
/** Two US cups of long-grain, and one. */
export const rice: Spec = ['rice-long', 370, rinsed];
export const oneCup: Spec = ['rice-long', 185, rinsed];

/** A fact that is a cook's own numbers, put through the whole model. */
interface CookFact {
  id: string;
  what: string;
  cook: Dish;
  value: (p: Plan) => number;
  window: readonly [number, number];
  kitchen?: Kitchen;
  miss?: readonly [number, number];
}
const moisture = (p: Plan): number => 100 * (p.grain ?? p.pasta)!.moisture;
/** The windows are told as texture-equivalent moisture, before a grain is centred on its own aim. */
const index = (p: Plan): number => p.grain!.textureIndex - centre(findFood(p.grain!.food).grain!);
export const minutes = (p: Plan): number => (p.grain ?? p.pasta)!.equivalentMin;
const x = (p: Plan): number => p.pasta!.x;
const free = (p: Plan): number => (p.grain ?? p.pasta)!.freeSauceG;
/** Juice that came out of meat and vegetables, g. */
const juiceG = (p: Plan): number =>
  p.liquid.ledger.filter((row) => row.item.startsWith('from:')).reduce((sum, row) => sum + row.grams, 0);
const freeShare = (p: Plan): number => 100 * (p.grain ?? p.pasta)!.freeShare;

const seaLevel = kitchenSchema.parse({});
const whistle = kitchenSchema.parse({ potId: 'whistle-5' });
const jambalaya = (more: Spec[]): Dish =>
  dish('one-pot-grain', [rice, broth, ['tomato-diced-canned', 820], ...more], natural(4, 12, 475));

const cookFacts: CookFact[] = [
  {
    id: 'L1',
    what: 'long-grain rinsed 1:1 is firm',
    cook: dish('plain-grain', [rice, water], natural(4, 10, 2 * cup)),
    value: moisture,
    window: [60, 63],
  },
  {
    id: 'L2',
    what: 'long-grain rinsed 1:1.25 is fluffy',
    cook: dish('plain-grain', [rice, water], natural(4, 10, 2.5 * cup)),
    value: moisture,
    window: [64, 68],
  },
  {
    id: 'L3b',
    what: 'soaked basmati 1:1.5 is soft',
    cook: dish('plain-grain', [['rice-basmati', 370, soaked], water], natural(4, 10, 3 * cup)),
    value: index,
    window: [68, 73],
  },
  {
    id: 'L4',
    what: 'long-grain 1:2 in a sealed pot is too wet',
    cook: dish('plain-grain', [rice, water], natural(4, 10, 4 * cup)),
    value: index,
    window: [73.01, 99],
  },
  {
    id: 'L5',
    what: 'jasmine rinsed 1:1 is good',
    cook: dish('plain-grain', [['rice-jasmine', 374, rinsed], water], natural(4, 10, 2 * cup)),
    value: index,
    window: [63, 68.5],
  },
  {
    id: 'L13',
    what: 'quinoa rinsed 1:1.25',
    cook: dish('plain-grain', [['quinoa', 340, rinsed], water], natural(1, 10, 2.5 * cup)),
    value: moisture,
    window: [67, 73],
  },
  {
    id: 'L14',
    what: 'brown rice rinsed 1:1.25',
    cook: dish('plain-grain', [['rice-brown-long', 370, rinsed], water], natural(24, 10, 2.5 * cup)),
    value: moisture,
    window: [65, 71],
  },
  {
    id: 'L15',
    what: 'pearl barley 1:2',
    cook: dish('plain-grain', [['barley-pearl', 400, rinsed], water], natural(22, 10, 4 * cup)),
    value: moisture,
    window: [66, 72],
  },
  {
    id: 'L16',
    what: 'steel-cut oats 1:3 make porridge',
    cook: dish('porridge', [['oats-steel-cut', 170], water], natural(4, 12, 3 * cup)),
    value: moisture,
    window: [79, 85],
  },
  {
    id: 'L8a',
    what: '450 g penne with 700 g: a glossy little sauce',
    cook: dish('one-pot-pasta', [['penne', 450], water], quick(5, 700)),
    value: free,
    window: [20, 150],
  },
  {
    id: 'L8b',
    what: '450 g penne with 1000 g: plenty of sauce',
    cook: dish('one-pot-pasta', [['penne', 450], water], quick(5, 1000)),
    value: free,
    window: [200, 450],
  },
  {
    id: 'L9',
    what: '450 g penne just level: no draining',
    cook: dish('one-pot-pasta', [['penne', 450], water], quick(5, 754)),
    value: free,
    window: [20, 220],
  },
  {
    id: 'L9m',
    what: '… and the pasta is cooked',
    cook: dish('one-pot-pasta', [['penne', 450], water], quick(5, 754)),
    value: moisture,
    window: [58, 66],
  },
  {
    id: 'L10',
    what: 'jambalaya with 475 g broth and 820 g tomato is thick, not soupy',
    cook: dish(
      'one-pot-grain',
      [
        rice,
        broth,
        ['tomato-diced-canned', 820],
        ['sausage-smoked', 340, dice(12)],
        ['chicken-thigh', 450, dice(20)],
        ['onion', 150],
        ['bell-pepper', 150],
        ['celery', 100],
      ],
      natural(4, 12, 475),
    ),
    value: freeShare,
    window: [1, 14],
  },
  {
    id: 'L7',
    what: 'risotto 1:3 has a soft grain',
    cook: dish('risotto', [['rice-arborio', 300], ['onion', 80], broth], quick(4, 900)),
    value: moisture,
    window: [66, 71],
  },
  {
    id: 'L7s',
    what: '… in a creamy sauce',
    cook: dish('risotto', [['rice-arborio', 300], ['onion', 80], broth], quick(4, 900)),
    value: freeShare,
    window: [15, 32],
  },
  {
    id: 'L3',
    what: 'soaked basmati 1:1.5 with 450 g chicken and onion is soft',
    cook: dish(
      'one-pot-grain',
      [['rice-basmati', 370, soaked], ['chicken-thigh', 450, dice(20)], ['onion', 150], water],
      natural(6, 6, 3 * cup),
    ),
    value: index,
    window: [68, 73],
  },
  {
    id: 'L6',
    what: 'parboiled 1:1 with 450 g half-browned ground beef is right',
    cook: dish('one-pot-grain', [['rice-parboiled', 370], ['beef-ground', 450], water], natural(2, 15, 2 * cup)),
    value: index,
    window: [60, 66],
  },
  {
    id: 'L8c',
    what: '450 g penne with 800 g, chicken, onion, pepper and mushroom has sauce',
    cook: dish(
      'one-pot-pasta',
      [
        ['penne', 450],
        ['chicken-breast', 450, dice(20)],
        ['onion', 150, { joins: 'stack' }],
        ['bell-pepper', 150, { joins: 'stack' }],
        ['mushroom', 150, { joins: 'stack' }],
        water,
      ],
      quick(5, 800),
    ),
    value: free,
    window: [200, 600],
  },
  {
    id: 'L4w',
    what: 'one cup of long-grain 1:2 in a whistle cooker, 3 whistles, is right',
    cook: dish('plain-grain', [oneCup, water], { ...whistled(8, 2 * cup), whistles: 3 }),
    kitchen: whistle,
    value: moisture,
    window: [64, 72],
  },
  {
    id: 'L6v',
    what: '… with onion and pepper, sweated',
    cook: dish(
      'one-pot-grain',
      [['rice-parboiled', 370], ['beef-ground', 450], ['onion', 150], ['bell-pepper', 150], water],
      natural(2, 15, 2 * cup),
    ),
    value: index,
    window: [60, 68],
  },
  {
    id: 'L8d',
    what: 'g of juice of chicken and vegetables in L8c',
    cook: dish(
      'one-pot-pasta',
      [
        ['penne', 450],
        ['chicken-breast', 450, dice(20)],
        ['onion', 150, { joins: 'stack' }],
        ['bell-pepper', 150, { joins: 'stack' }],
        ['mushroom', 150, { joins: 'stack' }],
        water,
      ],
      quick(5, 800),
    ),
    value: juiceG,
    window: [150, 350],
  },
  {
    id: 'L8e',
    what: 'g of juice of chicken and onion alone',
    cook: dish(
      'one-pot-pasta',
      [['penne', 450], ['chicken-breast', 450, dice(20)], ['onion', 150, { joins: 'stack' }], water],
      quick(5, 800),
    ),
    value: juiceG,
    window: [130, 350],
    // Diced breast is fried outside first and gives a quarter less.
    miss: [120, 129.99],
  },
  {
    id: 'L10b',
    what: 'jambalaya of broth and tomato alone is thick too',
    cook: jambalaya([]),
    value: freeShare,
    window: [1, 14],
  },
  {
    id: 'L11',
    what: 'biryani, soaked basmati two to one in all, 2 whistles',
    cook: dish('biryani', [['rice-basmati', 370, soaked], water], { ...whistled(8, 946), whistles: 2 }),
    kitchen: whistle,
    value: index,
    window: [68, 74],
  },
  {
    id: 'L11n',
    what: '… if the 180 g of the gravy are not subtracted: far too wet',
    cook: dish('biryani', [['rice-basmati', 370, soaked], water], { ...whistled(8, 1126), whistles: 2 }),
    kitchen: whistle,
    value: moisture,
    window: [74, 99],
  },
  {
    id: 'L11r',
    what: '… rinsed but not soaked',
    cook: dish('biryani', [['rice-basmati', 370, rinsed], water], { ...whistled(8, 946), whistles: 2 }),
    kitchen: whistle,
    value: index,
    window: [66, 74],
  },
  {
    id: 'D4',
    what: '4 + 12 in a wet casserole',
    cook: dish(
      'casserole',
      [rice, ['chicken-thigh', 900, dice(25)], ['onion', 200], ['mushroom', 250], broth],
      natural(4, 12, 700),
    ),
    value: minutes,
    window: [22, 42],
  },
  {
    id: 'D5',
    what: 'soaked basmati, 8 + quick in a full pot',
    cook: dish(
      'one-pot-grain',
      [['rice-basmati', 740, soaked], ['chicken-thigh', 1100, dice(25)], ['onion', 300], water],
      quick(8, 900),
    ),
    value: minutes,
    window: [22, 40],
  },
  {
    id: 'D1',
    what: 'long-grain 3 + 10',
    cook: dish('plain-grain', [oneCup, water], natural(3, 10, 300)),
    value: minutes,
    window: [22, 40],
  },
  {
    id: 'D2',
    what: 'long-grain 6 + 10',
    cook: dish('plain-grain', [oneCup, water], natural(6, 10, 300)),
    value: minutes,
    window: [22, 40],
  },
  {
    id: 'D3',
    what: 'long-grain 6 + 6',
    cook: dish('plain-grain', [oneCup, water], natural(6, 6, 300)),
    value: minutes,
    window: [22, 40],
  },
  {
    id: 'D6',
    what: 'pilaf 3 + quick is firm',
    cook: dish('coated-grain', [['rice-long', 370, coated], ['oil-neutral', 20], water], quick(3, 515)),
    value: minutes,
    window: [10, 16],
  },
  {
    id: 'D7',
    what: 'risotto 4 + quick + simmer',
    cook: dish('risotto', [['rice-arborio', 300], ['onion', 80], broth], quick(4, 900)),
    value: minutes,
    window: [16, 24],
  },
  {
    id: 'D9a',
    what: 'brown rice 20 + 10',
    cook: dish('plain-grain', [['rice-brown-long', 370, rinsed], water], natural(20, 10, 2.5 * cup)),
    value: minutes,
    window: [45, 65],
  },
  {
    id: 'D9b',
    what: 'brown rice 24 + 10',
    cook: dish('plain-grain', [['rice-brown-long', 370, rinsed], water], natural(24, 10, 2.5 * cup)),
    value: minutes,
    window: [45, 65],
  },
  {
    id: 'D10',
    what: 'penne of 11.5 min: 4 + quick',
    cook: dish('one-pot-pasta', [['penne', 450, { prep: { packetMinutes: 11.5 } }], water], quick(4, 755)),
    value: x,
    window: [0.85, 1.6],
  },
  {
    id: 'D11',
    what: 'penne of 11.5 min: 6 + quick',
    cook: dish('one-pot-pasta', [['penne', 450, { prep: { packetMinutes: 11.5 } }], water], quick(6, 755)),
    value: x,
    window: [0.95, 1.6],
  },
  {
    id: 'D12',
    what: 'penne of 11.5 min: 10 + quick is soft',
    cook: dish('one-pot-pasta', [['penne', 450, { prep: { packetMinutes: 11.5 } }], water], quick(10, 755)),
    value: x,
    window: [1.6, 2.3],
  },
  {
    id: 'D13',
    what: 'small tubes of 9 min: 4 + quick',
    cook: dish('one-pot-pasta', [['elbows', 450, { prep: { packetMinutes: 9 } }], water], quick(4, 755)),
    value: x,
    window: [0.95, 1.6],
  },
  {
    id: 'D14',
    what: 'quinoa 1 + 10',
    cook: dish('plain-grain', [['quinoa', 340, rinsed], water], natural(1, 10, 2.5 * cup)),
    value: minutes,
    window: [14, 26],
  },
  {
    id: 'D15',
    what: 'pearl barley 22 + 10',
    cook: dish('plain-grain', [['barley-pearl', 400, rinsed], water], natural(22, 10, 4 * cup)),
    value: minutes,
    window: [38, 65],
  },
  {
    id: 'D16',
    what: 'steel-cut oats 4 + 12',
    cook: dish('porridge', [['oats-steel-cut', 170], water], natural(4, 12, 3 * cup)),
    value: minutes,
    window: [20, 35],
  },
  {
    id: 'D17',
    what: 'wild rice 28 + 10',
    cook: dish('plain-grain', [['rice-wild', 320, rinsed], water], natural(28, 10, 810)),
    value: minutes,
    window: [48, 75],
  },
  {
    id: 'D18',
    what: 'pearl couscous 5 + quick',
    cook: dish('plain-grain', [['couscous-pearl', 165], water], quick(5, 270)),
    value: minutes,
    window: [9, 16],
  },
];

/** Grain alone where no pressure cooker is: the same uptake on a plain history, losses as the trade's table has them. */
const alone = (food: string, rawG: number, reachableG: number, tempC: Float64Array): number =>
  100 * runClock(tempC, 1, { grain: findFood(food).grain!, rawG, soakedG: 0, reachableG, slowing: 1 }).moisture;
/** Steam of a covered open pot in 18 min, and of a rice cooker, g [common practice]. */
const openSteamG = 195;
const riceCookerSteamG = 75;

const bareFacts: Fact[] = [
  {
    id: 'L4o',
    what: 'one cup of long-grain 1:2 in a covered open pot, 18 min',
    value: () => alone('rice-long', 185, 2 * cup - openSteamG, new Float64Array(18 * 60).fill(100)),
    window: [64, 70],
  },
  {
    id: 'L12',
    what: 'table short-grain, 300 g to 432 mL in a rice cooker',
    value: () => alone('rice-short', 300, 432 + 0.15 * 300 - riceCookerSteamG, new Float64Array(20 * 60).fill(100)),
    window: [60, 64],
  },
  {
    id: 'D8',
    what: 'parboiled 2 + 5 + 15 kept hot',
    value: () => equivalentMin(simpleProfile({ upMin: 6.4, holdMin: 2, naturalMin: 5, warmMin: 15 }).tempC, 1, 'react'),
    window: [22, 36],
  },
  {
    id: 'D9x',
    what: 'brown 24 + 10 if it followed the law of white rice: must not fit',
    value: () => equivalentMin(simpleProfile({ upMin: 7.7, holdMin: 24, naturalMin: 10 }).tempC, 1, 'react'),
    window: [65.01, 99],
  },
];

export const grainFacts: Fact[] = [
  ...cookFacts.map(({ cook, value, kitchen, ...f }) => ({
    ...f,
    value: () => value(evaluate(cook, kitchen ?? seaLevel)),
  })),
  ...bareFacts,
];
