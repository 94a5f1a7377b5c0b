import { findFood } from '../food/find';
import { drinksG } from '../grain/clock';
import { rate } from '../grain/rate';
import { timeTerm } from '../grain/texture';
import { closedC, spreadOutMin, standC } from '../plan/write/after';
import type { Lesson, LessonId } from './lesson';
import { cubes, dish, grams, ml, rinsed, unlessNone } from './lesson-dish';
import {
  burnt,
  clock,
  core,
  fromFoodG,
  ledgerG,
  liquid,
  meat,
  moisture,
  pin,
  row,
  steam,
  texture,
} from './lesson-rows';

const riceG = 250;
/** Water for each gram of long rice that many cooks pour by habit [common practice]. */
const ratioMlPerG = 1.25;
/** As deep as grain is spread out on a wide dish, mm [common practice]. */
const spreadMm = 25;

/** The twelve lessons: each a dish, a slider and what is asked; their answers are the model's. */
export const lessons: Readonly<Record<LessonId, Lesson>> = Object.fromEntries(
  (
    [
      {
        id: 'ratio',
        slider: { unit: 'g', from: 0, to: 600, step: 50, asked: 500 },
        scale: 'soft',
        sameWithin: 2,
        dishAt: (g) =>
          dish(
            'one-pot-grain',
            4,
            [
              grams('rice-long', riceG, rinsed),
              grams('chicken-thigh', 300, cubes(20)),
              ...unlessNone(grams('mushroom', g)),
              ml('broth', ratioMlPerG * riceG),
            ],
            { holdMin: 4, naturalMin: 6 },
          ),
        rows: (p) => [
          row('rice', riceG, 'g'),
          liquid(p),
          row('juice', fromFoodG(p), 'g'),
          row('water-per-gram', (p.liquid.addMl + fromFoodG(p) - steam(p).value) / riceG, 'g/g'),
          moisture(p),
          texture(p),
        ],
      },
      {
        id: 'wait',
        slider: { unit: 'ml', from: 600, to: 2400, step: 100, asked: 2000 },
        scale: 'late',
        sameWithin: 0.5,
        dishAt: (v) =>
          dish('noodle-soup', 4, [grams('noodles-short', 140), grams('carrot', 200), ml('broth', v)], { holdMin: 2 }),
        rows: (p) => [
          liquid(p),
          row('fill', 100 * p.pot.fillFraction, 'percent'),
          row('steam-at', p.program.steamC, 'C'),
          pin(p),
        ],
      },
      {
        id: 'tomato',
        slider: { unit: 'g', from: 0, to: 500, step: 50, asked: 400 },
        scale: 'burnt',
        sameWithin: 1,
        dishAt: (g) =>
          dish(
            'one-pot-grain',
            4,
            [
              grams('rice-long', 300, rinsed),
              grams('chicken-thigh', 400, cubes(25)),
              ...unlessNone(grams('tomato-crushed-canned', g, { place: 'base' })),
              ml('broth', Math.max(250, 430 - 0.4 * g)),
            ],
            { holdMin: 4, naturalMin: 6 },
          ),
        rows: (p, g) => [row('tomato', g, 'g'), liquid(p), burnt(p)],
      },
      {
        id: 'natural',
        slider: { unit: 'min', from: 0, to: 20, step: 1, asked: 15 },
        scale: 'soft',
        sameWithin: 2,
        dishAt: (m) =>
          dish('plain-grain', 4, [grams('rice-long', 300, rinsed), ml('water', 420)], { holdMin: 4, naturalMin: m }),
        rows: (p) => [row('natural', p.program.release.naturalMin ?? 0, 'min'), clock(p), moisture(p), texture(p)],
      },
      {
        id: 'strips',
        slider: { unit: 'mm', from: 12, to: 50, step: 2, asked: 40 },
        scale: 'hot',
        sameWithin: 2,
        dishAt: (mm) =>
          dish('one-pot-pasta', 4, [grams('penne', 400), grams('chicken-breast', 500, cubes(mm)), ml('broth', 750)], {
            holdMin: 3,
          }),
        rows: (p) => [
          row('thickness', meat(p).thicknessMm, 'mm'),
          row('at-worst', meat(p).cautiousCoreC, 'C'),
          row('minimum', meat(p).safeMinimumC, 'C'),
          core(p),
        ],
      },
      {
        id: 'rinse',
        slider: { unit: 'choice', from: 0, to: 1, step: 1, asked: 1 },
        scale: 'burnt',
        sameWithin: 0.5,
        dishAt: (on) =>
          dish('plain-grain', 4, [grams('rice-long', 400, { prep: { rinse: on === 1 } }), ml('water', 520)], {
            holdMin: 4,
            naturalMin: 10,
          }),
        rows: (p) => [row('cling', ledgerG(p, 'cling'), 'g'), moisture(p), burnt(p)],
      },
      {
        id: 'altitude',
        slider: { unit: 'm', from: 0, to: 3000, step: 100, asked: 2500 },
        scale: 'soft',
        sameWithin: 1,
        dishAt: () =>
          dish('plain-grain', 4, [grams('rice-brown-long', 300, rinsed), ml('water', 450)], { holdMin: 14 }),
        altitudeM: (m) => m,
        rows: (p) => [row('steam-at', p.program.steamC, 'C'), clock(p), moisture(p), texture(p)],
      },
      {
        id: 'two-stages',
        slider: { unit: 'min', from: 0, to: 40, step: 5, asked: 30 },
        scale: 'tender',
        sameWithin: 1,
        dishAt: (m) =>
          dish(
            'one-pot-grain',
            4,
            [
              grams('rice-long', 300, rinsed),
              grams('beef-stew', 500, cubes(28)),
              grams('onion', 150),
              ml('broth', 450),
            ],
            {
              holdMin: 4,
              naturalMin: 6,
              ...(m > 0 ? { firstStage: { holdMin: m } } : {}),
            },
          ),
        rows: (p) => [
          clock(p),
          texture(p),
          row('collagen-needed', meat(p).tenderCoreMin ?? 0, 'min'),
          row('collagen', meat(p).collagenCoreMin ?? 0, 'min'),
        ],
      },
      {
        id: 'rack',
        slider: { unit: 'choice', from: 0, to: 1, step: 1, asked: 1 },
        scale: 'wet',
        sameWithin: 0.5,
        dishAt: (on) =>
          dish(
            'rack-over-grain',
            4,
            [
              grams('rice-brown-long', 300, rinsed),
              grams('chicken-thigh', 600, {
                prep: { shape: 'slab', thicknessMm: 22 },
                place: on === 1 ? 'rack' : 'base',
              }),
              ml('water', 420),
            ],
            { holdMin: 18, naturalMin: 6 },
          ),
        rows: (p) => [liquid(p), core(p), texture(p), moisture(p)],
      },
      {
        id: 'salt',
        slider: { unit: 'g', from: 0, to: 12, step: 1, asked: 9 },
        scale: 'salty',
        sameWithin: 0.1,
        dishAt: (g) =>
          dish(
            'one-pot-grain',
            4,
            [
              grams('rice-long', 300, rinsed),
              grams('sausage-smoked', 200),
              grams('olives', 60),
              ...unlessNone(grams('salt', g)),
              ml('broth', 450),
            ],
            { holdMin: 4, naturalMin: 6 },
          ),
        rows: (p) => [
          ...p.salt.sources.map((s) => ({ ...row('salt-in', s.grams, 'g'), food: s.item })),
          row('salt-aim', p.salt.aimPercent, 'percent'),
          row('salt', p.salt.percent, 'percent'),
        ],
      },
      {
        id: 'stand',
        slider: { unit: 'min', from: 0, to: 12, step: 1, asked: 8 },
        scale: 'saucy',
        sameWithin: 10,
        dishAt: () =>
          dish(
            'one-pot-pasta',
            4,
            [grams('penne', 400), grams('beef-ground', 400), grams('tomato-crushed-canned', 400), ml('broth', 700)],
            {
              holdMin: 4,
              naturalMin: 2,
            },
          ),
        rows: (p, m) => {
          const { moisture: now, freeSauceG } = p.pasta!;
          const drunk = Math.min(
            freeSauceG,
            drinksG(findFood('penne').grain!, { rawG: 400, moisture: now }, standC, m),
          );
          return [
            row('sauce-at-opening', freeSauceG, 'g'),
            row('drunk', drunk, 'g'),
            row('sauce', freeSauceG - drunk, 'g'),
          ];
        },
      },
      {
        id: 'spread',
        slider: { unit: 'min', from: 0, to: 30, step: 1, asked: 20 },
        scale: 'soft',
        sameWithin: 1,
        dishAt: () => dish('plain-grain', 8, [grams('rice-long', 800, rinsed), ml('water', 1100)], { holdMin: 2 }),
        rows: (p, minutes) => {
          const { kinetics } = findFood('rice-long').grain!;
          const { equivalentMin: e, textureIndex, freeShare } = p.grain!;
          const after = (more: number): number => textureIndex + timeTerm(e + more, e, freeShare, false);
          const inHeap = rate(kinetics, closedC) * minutes;
          return [
            row('minutes-closed', minutes, 'min'),
            row('minutes-more', inHeap, 'min'),
            row('texture-spread', after(spreadOutMin(kinetics, spreadMm, minutes)), 'points'),
            row('texture', after(inHeap), 'points'),
          ];
        },
      },
    ] satisfies Lesson[]
  ).map((l) => [l.id, l]),
) as Record<LessonId, Lesson>;
