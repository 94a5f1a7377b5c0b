import { brickExponent, ellipsoidExponent } from '../../../src/meat/geometry';
import { cautiousVariation } from '../../../src/meat/cautious';
import { lethalityLaw } from '../../../src/meat/lethality';
import { cookPiece, type PieceResult, type PreStage } from '../../../src/meat/piece';
import type { Fact } from './fact';
import { compositions, standIn, type Stuff } from '../standin';

/* What cooks say of single pieces (docs/engine.md, section 6: common practice), on the stand-in pot. */
type Place = 'steam' | 'liquid' | 'grains';
interface Row {
  what: string;
  food: Stuff;
  mm: number;
  exponent?: number;
  startC?: number;
  pre?: PreStage[];
  twoFace?: boolean;
  /** minutes: to the boil, hold, natural (0 is quick) */
  pot: readonly [up: number, hold: number, natural: number];
  fromC?: number;
  place: Place;
}
const sear = (each: number): PreStage[] => [
  { durationS: each * 60, envC: 25, hWPerM2K: 15, below: { envC: 105, hWPerM2K: 250 } },
  { durationS: each * 60, envC: 105, hWPerM2K: 250, below: { envC: 25, hWPerM2K: 15 } },
];
const tossed: PreStage[] = [{ durationS: 300, envC: 92.8, hWPerM2K: 73.75 }];
const cube = brickExponent(1, 1, 1);
const strip = brickExponent(12, 20, 60);

function cook(r: Row, cautious: boolean): PieceResult {
  const [composition, freezeC] = compositions[r.food];
  return cookPiece({
    composition,
    freezeC,
    species: ['beefStew', 'lamb', 'goat'].includes(r.food) ? 'red' : 'poultry',
    thicknessM: r.mm / 1000,
    exponent: r.exponent ?? 0,
    startC: r.startC ?? 4,
    pre: r.pre ?? [],
    ...standIn(r.pot[0] * 60, r.fromC ?? 60, r.pot[1] * 60, r.pot[2] * 60),
    dtS: 1,
    place: r.place,
    twoFace: r.twoFace ?? false,
    ...(cautious ? { vary: cautiousVariation(r.mm / 2000, r.place, r.pot[0] * 60 + 90, false) } : {}),
    countdownAt: r.pot[0] * 60 + 90,
    restS: 180,
  });
}

/** 0 not done, 1 borderline (only the nominal run reaches it), 2 after the rest, 3 done: both runs, with the lethality wanted. */
function doneness(r: Row, minimumC = 74): number {
  const [nominal, cautious] = [cook(r, false), cook(r, true)];
  const log = cautious.log10Reduction >= lethalityLaw.poultry.targetLog;
  if (cautious.openCoreC >= minimumC && log) return 3;
  if (cautious.peakCoreC >= minimumC && log) return 2;
  return nominal.openCoreC >= minimumC || nominal.peakCoreC >= minimumC ? 1 : 0;
}
const done = [2, 3] as const;
const ask = [1, 3] as const;
const notDone = [0, 1] as const;

const breast = (mm: number, each: number, more: Partial<Row> = {}): Row => ({
  what: `breast ${mm} mm, sear ${each}+${each}, rack, 5 + 10`,
  food: 'chickenBreast',
  mm,
  pre: sear(each),
  twoFace: true,
  pot: [7, 5, 10],
  place: 'steam',
  ...more,
});
const frozen = (mm: number, hold: number, b: number, c: number, natural = 10): Row => ({
  what: `frozen breast ${mm} mm, ${hold} + ${natural}`,
  food: 'chickenBreast',
  mm,
  exponent: ellipsoidExponent(mm, b, c),
  startC: -18,
  pot: [8, hold, natural],
  fromC: 20,
  place: 'steam',
});
const raw = (what: string, mm: number, hold: number, natural: number, more: Partial<Row> = {}): Row => ({
  what: `${what} ${mm} mm raw, ${hold} + ${natural || 'quick'}`,
  food: 'chickenBreast',
  mm,
  pot: [7, hold, natural],
  place: 'steam',
  ...more,
});
/** Slits to the bone bring the heat in: a quarter off the way [tuned]. */
const drumstick = (mm: number, what: string): Row =>
  raw(`drumstick of 50 mm, ${what}:`, mm, 8, 0, {
    food: 'chickenDark',
    exponent: 1,
    startC: 6,
    pot: [14, 8, 0],
    place: 'liquid',
  });

type Spec = [row: Row, window: readonly [number, number], miss?: readonly [number, number]];
const poultry: Spec[] = [
  [breast(25, 4), done],
  [breast(25, 6), done],
  [breast(28, 4), done],
  [breast(28, 6), done],
  [breast(30, 4), done],
  [breast(30, 6), done],
  [breast(25, 5, { what: 'breast 25 mm, sear 5+5, on the grains', place: 'grains' }), done],
  [breast(30, 5, { what: 'breast 30 mm, sear 5+5, on the grains', place: 'grains' }), done],
  [raw('half-seared dice', 20, 4, 0, { exponent: cube, pre: tossed, place: 'liquid' }), done],
  [raw('half-seared dice', 20, 6, 0, { exponent: cube, pre: tossed, place: 'liquid' }), done],
  [raw('strips', 8, 4, 0, { exponent: strip, place: 'liquid' }), done],
  [raw('strips', 12, 4, 0, { exponent: strip, place: 'liquid' }), done],
  [frozen(22, 12, 75, 150, 5), done],
  [frozen(22, 12, 75, 150), done],
  [frozen(25, 12, 80, 155, 5), done],
  [frozen(25, 12, 80, 155), done],
  [raw('thin cut', 12, 5, 0), done],
  [raw('thin cut', 15, 5, 0), done],
  [frozen(40, 12, 95, 160), notDone],
  [frozen(40, 20, 95, 160), ask],
  [frozen(40, 25, 95, 160), ask],
  [frozen(43, 12, 95, 160), notDone],
  // On the safe side: practice says 20 to 25 min.
  [frozen(43, 20, 95, 160), ask, [0, 0]],
  [frozen(43, 25, 95, 160), ask],
  [raw('thin', 25, 6, 5), done],
  [raw('thin', 25, 10, 5), done],
  [raw('thick', 32, 6, 5), notDone],
  // At the 95th percentile of thickness and surface together it is a degree or two short.
  [raw('thick', 32, 10, 5), done, [1, 1]],
  [drumstick(50, 'not slit'), ask],
  [drumstick(50 * 0.75, 'slit'), done],
  [
    raw('ground crumbles, half browned', 12, 2, 5, { food: 'beefStew', exponent: cube, startC: 40, place: 'liquid' }),
    done,
  ],
  [raw('ground lumps', 25, 2, 5, { food: 'beefStew', exponent: cube, startC: 10, place: 'liquid' }), done],
];

/** Collagen minutes of the core of 30 mm cubes, browned: tender from 18 (lamb), 22 (beef), 24 (goat) on [tuned to these facts]. */
const stew = (food: Stuff, hold: number) => (): number =>
  cook({ what: '', food, mm: 30, exponent: cube, pre: tossed, pot: [7, hold, 10], place: 'liquid' }, false)
    .collagenCoreMin;
const rubberMin = (hold: number) => (): number =>
  cook({ what: '', food: 'shrimp', mm: 17, exponent: 1, pot: [7, hold, 0], place: 'steam' }, false).overcookMeanMin;
/** Shrimp dropped into the opened pot: 96 to 90 degC of residual heat, core after so many minutes, degC. */
const residualC = (min: number) => (): number => {
  const tempC = Float64Array.from({ length: min * 60 }, (_, s) => 96 - (6 * s) / (min * 60));
  const [composition, freezeC] = compositions.shrimp;
  return cookPiece({
    composition,
    freezeC,
    species: 'poultry',
    thicknessM: 0.017,
    exponent: 1,
    startC: 4,
    pre: [],
    tempC,
    releaseAt: tempC.length - 1,
    dtS: 1,
    place: 'liquid',
    twoFace: false,
    restS: 0,
  }).peakCoreC;
};

/** Softness of a plant in steam: 0 hard in the middle, 1 done, 2 falls apart, by its own two thresholds [tuned]. */
const plant = (
  food: Stuff,
  mm: number,
  exponent: number,
  hold: number,
  natural: number,
): [core: number, mean: number] => {
  const r = cook(
    { what: '', food, mm, exponent, startC: 18, pot: [6, hold, natural], fromC: 20, place: 'steam' },
    false,
  );
  return [r.softCoreMin, r.softMeanMin];
};
const softness =
  (
    limits: readonly [core: number, mean: number, mush: number],
    food: Stuff,
    mm: number,
    exponent: number,
    hold: number,
    natural: number,
  ) =>
  (): number => {
    const [core, mean] = plant(food, mm, exponent, hold, natural);
    return mean > limits[2] ? 2 : core >= limits[0] && mean >= limits[1] ? 1 : 0;
  };
const [hard, soft, mush] = [
  [0, 0],
  [1, 1],
  [2, 2],
] as const;
const potatoLimits = [0.9, 8, 55] as const;
const carrotLimits = [2, 6, 25] as const;
const broccoliLimits = [0.1, 1, 6] as const;
type Plant = [what: string, value: () => number, window: readonly [number, number], miss?: readonly [number, number]];
const potato = (mm: number, hold: number, natural: number, miss?: readonly [number, number]): Plant =>
  [
    `potato ${mm} mm, ${hold} + ${natural || 'quick'}`,
    softness(potatoLimits, 'potato', mm, ellipsoidExponent(mm, mm, mm * 1.35), hold, natural),
    soft,
    ...(miss ? [miss] : []),
  ] as Plant;
const large = (hold: number, natural: number, miss?: readonly [number, number]): Plant =>
  [
    `potato of 450 g, ${hold} + ${natural || 'quick'}`,
    softness(potatoLimits, 'potato', 72, ellipsoidExponent(72, 80, 138), hold, natural),
    soft,
    ...(miss ? [miss] : []),
  ] as Plant;
const diced = (hold: number, natural: number, window: readonly [number, number]): Plant => [
  `potato cubes 25 mm, ${hold} + ${natural || 'quick'}`,
  softness(potatoLimits, 'potato', 25, cube, hold, natural),
  window,
];
/** Coins of a 25 mm root, as the brick around them: a little slower than round ones. */
const coins = (mm: number, hold: number): Plant => [
  `carrot coins ${mm} mm, ${hold} + quick`,
  softness(carrotLimits, 'carrot', mm, brickExponent(mm, 25, 25), hold, 0),
  soft,
];
const stem = (mm: number, hold: number, window: readonly [number, number]): Plant => [
  `broccoli stem ${mm} mm, ${hold} + quick`,
  softness(broccoliLimits, 'broccoli', mm, 1, hold, 0),
  window,
];
const plants: Plant[] = [
  ...[
    [45, 12, 0],
    [45, 14, 0],
    [50, 12, 0],
    [50, 14, 0],
    [50, 12, 10],
    [50, 14, 10],
    [55, 15, 0],
    [55, 18, 0],
    [60, 18, 0],
    [60, 15, 10],
    [60, 18, 10],
    [65, 18, 10],
  ].map(([mm, hold, natural]) => potato(mm!, hold!, natural!)),
  // By conduction the middle cannot be there yet; with 10 min of natural release it is.
  potato(60, 15, 0, hard),
  potato(65, 18, 0, hard),
  large(20, 0, hard),
  large(25, 0, hard),
  large(20, 10, hard),
  large(25, 10),
  diced(3, 0, soft),
  diced(5, 0, soft),
  diced(1, 0, hard),
  diced(15, 10, mush),
  stem(14, 0, soft),
  stem(17, 0, soft),
  stem(14, 3, mush),
  coins(6, 0),
  coins(10, 1),
  coins(10, 2),
  coins(15, 2),
  coins(20, 3),
];
const yolkC = (hold: number, natural: number) => (): number =>
  cook(
    {
      what: '',
      food: 'egg',
      mm: 43,
      exponent: ellipsoidExponent(43, 43, 57),
      pot: [5, hold, natural],
      fromC: 20,
      place: 'steam',
    },
    false,
  ).openCoreC;

const forever = 1e3;
const rows: Omit<Fact, 'id'>[] = [
  ...poultry.map(([r, window, miss]) => ({
    what: `0 not done … 3 done: ${r.what}`,
    value: () => doneness(r),
    window,
    ...(miss && { miss }),
  })),
  ...(
    [
      ['lamb', 20, 18],
      ['lamb', 25, 18],
      ['beefStew', 25, 22],
      ['beefStew', 35, 22],
      ['goat', 25, 24],
      ['goat', 35, 24],
    ] as const
  ).map(([food, hold, need]) => ({
    what: `collagen minutes of ${food}, ${hold} + 10: tender`,
    value: stew(food, hold),
    window: [need, forever] as const,
  })),
  { what: 'collagen minutes of beefStew, 10 + 10: tough', value: stew('beefStew', 10), window: [0, 21.99] },
  ...[2, 3].map((hold) => ({
    what: `overcooked minutes of shrimp, ${hold} + quick: rubbery`,
    value: rubberMin(hold),
    window: [2.001, forever] as const,
  })),
  { what: '°C in shrimp after 3 min of residual heat', value: residualC(3), window: [60, 80] },
  { what: '°C in shrimp after 5 min of residual heat', value: residualC(5), window: [63, 90] },
  ...plants.map(([what, value, window, miss]) => ({
    what: `0 hard, 1 done, 2 mush: ${what}`,
    value,
    window,
    ...(miss && { miss }),
  })),
  ...(
    [
      [2, 12],
      [2, 15],
      [5, 5],
    ] as const
  ).map(([hold, natural]) => ({
    what: `°C in the yolk of an egg, ${hold} + ${natural}: hard`,
    value: yolkC(hold, natural),
    window: [77, 110] as const,
  })),
];
export const pieceFacts: Fact[] = rows.map((r, i) => ({ id: `P${i + 1}`, ...r }));
