import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { usualBinder, type Binder } from '../food/binder';
import { recordAmong } from '../food/own-food';
import { rate } from '../grain/rate';
import { drinksG } from '../grain/clock';
import { bandOf, timeTerm } from '../grain/texture';
import { grainEdges, saucyFrom } from '../plan/setup/sauce';
import { uptakeGPerG } from '../grain/uptake';
import { evaporationKgPerS } from '../pot/open';
import { setUp, type Setup } from '../plan/setup/setup';
import { kitchenOfPlan } from '../plan/setup/learned';
import type { Lid } from '../cook/events';
import type { Plan } from '../plan/document/document';
import { slurryFor } from '../plan/write/leftovers';
import { firstMovers } from './first-stage';
import { symptoms, type Answers, type Move, type Symptom } from './moves';
import { underMinimum } from './under-minimum';
import {
  lookAtLid,
  openAndThin,
  patienceMin,
  round5,
  spareMl,
  step,
  takesMin,
  waitForPin,
  type Answer,
} from './common-steps';
import { issueAt, refusal } from '../problem';

const simmerC = 95;
const saucy = (setup: Setup): boolean => setup.g.sauceShare >= saucyFrom;
/** A salted dish is put right down to here, percent of its mass [common practice]. */
const rightSalt = 1.0;

/**
 * What now: the move for this pot and this dish, computed from the plan and what the cook saw, with what not to do.
 * Throws Problem `answer-missing` when a question that the move needs was not answered.
 *
 * @param lid the one that is on, or was last: in the first of two stages the starch is not in the pot yet
 */
export function rescue(
  symptom: Symptom,
  { dish, kitchen, plan: p }: { dish: Dish; kitchen: Kitchen; plan: Plan },
  answers: Answers = {},
  lid: Lid = 'heat-up',
): Move {
  const setup = setUp(dish, kitchenOfPlan(kitchen, p));
  for (const ask of symptoms[symptom].asks)
    if (answers[ask] === undefined) throw refusal('answer-missing', { answer: ask }, issueAt(ask, 'answer-needed'));
  const first =
    lid === 'first-heat' && p.firstStage ? firstMovers[symptom]?.(setup, p, p.firstStage, answers) : undefined;
  const { steps, effect, clock = null } = first ?? movers[symptom](setup, p, answers);
  return { symptom, steps, never: symptoms[symptom].never, effect, clock };
}

type Mover = (setup: Setup, p: Plan, a: Answers) => Answer;

const binderOf = ({ kitchen }: Setup): Binder => kitchen.usual?.binder ?? usualBinder;

const movers: Record<Symptom, Mover> = {
  'no-pressure': (setup, p, a): Answer => {
    const late = a.minutes! - p.program.pinUpMin;
    if (late < patienceMin) return waitForPin(late, p.program.pinUpMin);
    const short = Math.max(0, p.pot.minimumLiquidMl - p.pot.thinLiquidMl);
    return {
      steps: lookAtLid(short),
      effect: { shortMl: Math.round(short) },
      // It steamed away at the boil instead of rising: that cooks too, and what is too soft cannot be put right.
      clock: {
        minutes: takesMin.openAndLock,
        ...(short > 0 ? { addMl: round5(short + spareMl) } : {}),
        holdMin: Math.round(holdLeft(setup, p, soFar(setup, p, p.program.pinUpMin) + late * perMinAt(setup, simmerC))),
      },
    };
  },
  'burn-warning': (setup, p, a) => {
    const want = p.grain?.equivalentMin ?? p.pasta?.equivalentMin ?? 0;
    const done = soFar(setup, p, a.minutes!);
    const left = holdLeft(setup, p, done);
    const ml = round5(Math.max(spareMl, p.pot.minimumLiquidMl - p.pot.thinLiquidMl + spareMl));
    const thick = p.stack.filter((l) => l.kind === 'thick').map((l) => l.ingredient);
    return {
      steps: [
        ...openAndThin(ml),
        ...(thick.length > 0 ? [step('thick-on-top', { ingredient: thick[0]! })] : []),
        left < 0.5 ? step('restart-brief') : step('restart', { holdMin: Math.round(left) }),
      ],
      effect: { doneShare: want > 0 ? Math.min(1, done / want) : 0, holdMin: Math.round(left) },
      clock: { minutes: takesMin.openAndLock, holdMin: Math.round(left), addMl: ml },
    };
  },
  'meat-under': (setup, p, a) => {
    const { minimum, more } = underMinimum(setup, a, p.program.steamC);
    const rec = setup.g.grain?.food.grain;
    const extra = rec ? more * rate(rec.kinetics, p.program.steamC) : 0;
    const was = p.grain?.equivalentMin ?? 0;
    const shift = was > 0 ? timeTerm(was + extra, was, p.grain?.freeShare ?? 0, saucy(setup)) : 0;
    const tooMuch =
      p.grain !== null &&
      bandOf(p.grain.textureIndex + shift, grainEdges(setup.g)) === 'mushy' &&
      p.grain.band !== 'mushy';
    return {
      steps: tooMuch
        ? [step('take-meat-out'), step('finish-in-pan', { minimum }), step('check-thermometer', { minimum })]
        : [step('lid-on-again', { minutes: more }), step('release-quick'), step('check-thermometer', { minimum })],
      effect: { minutes: more, grainPoints: Math.round(shift * 10) / 10, minimumC: minimum },
      clock: { minutes: tooMuch ? takesMin.pan : more + takesMin.valve },
    };
  },
  'grain-hard': (setup, p, a): Answer => {
    const grain = setup.g.grain;
    if (!grain || !p.grain)
      return { steps: [step('lid-on-again', { minutes: 3 })], effect: {}, clock: { minutes: 3 + takesMin.valve } };
    const rec = grain.food.grain!;
    const lack = Math.max(
      0,
      grain.grams *
        (uptakeGPerG(rec.rawMoisture[0], rec.aimMoisture[0]) - uptakeGPerG(rec.rawMoisture[0], p.grain.moisture)),
    );
    const ml = a.waterLeft ? 0 : round5(Math.max(30, lack + 15));
    const minutes = Math.max(3, Math.round((rec.eRef[0] * 0.25) / rate(rec.kinetics, simmerC)));
    return {
      steps: a.waterLeft
        ? [step('lid-on-again', { minutes: Math.max(2, Math.round(minutes / 3)) })]
        : [step('sprinkle-hot', { ml }), step('rest-sealed', { minutes })],
      effect: { ml, minutes },
      clock: { minutes: a.waterLeft ? Math.max(2, Math.round(minutes / 3)) + takesMin.valve : minutes },
    };
  },
  mushy: (setup) => ({
    steps: [
      step('spread-wide'),
      step('steam-off', { minutes: 5 }),
      step(setup.g.grain?.food.kind === 'pasta' ? 'becomes-bake' : 'becomes-porridge'),
    ],
    effect: { offG: Math.round(evaporationKgPerS(80, 0) * 60_000 * 5) },
    clock: { minutes: 5 + takesMin.dish },
  }),
  soup: (setup, p, a) => {
    const perMin = evaporationKgPerS(simmerC, p.pot.altitudeM) * 60_000;
    const minutes = a.extraMl! / perMin;
    const grain = setup.g.grain;
    const binder = binderOf(setup);
    const slurry = slurryFor(p.pot.thinLiquidMl, binder);
    const rec = grain?.food.grain;
    // What the starch still drinks in five minutes at about 90 degC, by the uptake law.
    const now = (p.grain ?? p.pasta)?.moisture ?? 0;
    const drinks = rec ? drinksG(rec, { rawG: grain.grams, moisture: now }, 90, 5) : 0;
    const stands = drinks > 10 ? 5 : 0;
    const simmers = a.extraMl! - drinks > 20 ? Math.max(1, Math.round((a.extraMl! - drinks) / perMin)) : 0;
    return {
      steps: [
        ...(stands > 0 ? [step('stand', { minutes: stands, grams: Math.round(drinks) })] : []),
        ...(simmers > 0 ? [step('simmer-open', { minutes: simmers })] : []),
        step('or-slurry', { starchG: Math.round(slurry.starchG), waterMl: Math.round(slurry.waterMl), binder }),
      ],
      effect: { minutes: Math.round(minutes), gramsPerMin: Math.round(perMin * 10) / 10, drinksG: Math.round(drinks) },
      clock: { minutes: stands + simmers },
    };
  },
  'too-dry': (setup, p) => {
    const ml = round5(Math.max(30, 0.06 * (setup.g.items.reduce((s, i) => s + i.grams, 0) + p.liquid.addMl)));
    return {
      steps: [step('add-hot-broth', { ml }), step('fold-once'), step('rest-sealed', { minutes: 3 })],
      effect: { ml },
      clock: { minutes: 3 },
    };
  },
  'stuck-bottom': () => ({
    steps: [step('heat-off'), step('stand', { minutes: 5, grams: 0 }), step('lift-off-top')],
    effect: {},
    clock: { minutes: 5 },
  }),
  curdled: (setup, p) => {
    const binder = binderOf(setup);
    const starchG = Math.max(3, Math.round(slurryFor(p.liquid.addMl, binder).starchG / 3));
    return {
      steps: [step('heat-off'), step('whisk-starch', { starchG, binder })],
      effect: {},
      clock: { minutes: takesMin.whisk },
    };
  },
  'too-salty': (setup, p, a) => {
    const massG = setup.g.items.reduce((s, i) => s + (i.main ? 0 : i.grams), 0) + p.liquid.addMl;
    // Only unsalted mass dilutes: salt stays, the dish grows.
    const more = Math.max(0, massG * (a.saltPercent! / rightSalt - 1));
    return {
      steps:
        more < 1
          ? [step('nothing-to-do')]
          : [step('add-unsalted', { grams: Math.round(more / 10) * 10 }), step('acid-and-fat')],
      effect: { addG: Math.round(more), saltPercent: rightSalt },
    };
  },
  'release-forgotten': (setup, p, a) => {
    const rec = setup.g.grain?.food.grain;
    // A closed pot after its release stands near boiling and cools slowly.
    const extra = rec ? a.minutes! * rate(rec.kinetics, simmerC) : 0;
    const was = (p.grain ?? p.pasta)?.equivalentMin ?? 0;
    const shift = was > 0 ? timeTerm(was + extra, was, p.grain?.freeShare ?? 0, saucy(setup)) : 0;
    const band = p.grain ? bandOf(p.grain.textureIndex + shift, grainEdges(setup.g)) : (p.pasta?.band ?? 'soft');
    return {
      steps: [step('pin-down-open'), step(shift > 1.5 ? 'spread-wide' : 'no-harm', { band })],
      effect: { points: Math.round(shift * 10) / 10, band },
    };
  },
  spray: () => ({
    steps: [step('close-valve'), step('wait', { minutes: takesMin.valve }), step('short-bursts')],
    effect: {},
    clock: { minutes: takesMin.valve },
  }),
  'forgotten-ingredient': (setup, p, a) => {
    const food = recordAmong(setup.g.dish.ingredients, a.food!);
    const delicate =
      food.flags.includes('delicate') ||
      food.kind === 'dairy' ||
      food.kind === 'seasoning' ||
      food.flags.includes('acid');
    const minimum = food.meat?.safeMinimumC[0] ?? 0;
    const restarts = !delicate && food.kind !== 'meat' && food.kind !== 'vegetable';
    const holdMin = Math.round(p.program.holdMin);
    return {
      steps: delicate
        ? [step('at-the-finish', { food: a.food! })]
        : food.kind === 'meat'
          ? [step('cook-apart', { food: a.food! }), step('check-thermometer', { minimum })]
          : food.kind === 'vegetable'
            ? [step('fry-apart', { food: a.food! }), step('at-the-finish', { food: a.food! })]
            : [
                step('heat-off'),
                step('release-quick'),
                step('pin-down-open'),
                step('add-and-restart', { food: a.food! }),
              ],
      effect: { minutesLeft: holdMin },
      clock: restarts ? { minutes: takesMin.openAndLock, holdMin } : null,
    };
  },
};

/** Equivalent minutes that the starch had by a minute of the planned cook, by its own rate along the planned curve. */
function soFar(setup: Setup, p: Plan, minutes: number): number {
  const want = p.grain?.equivalentMin ?? p.pasta?.equivalentMin ?? 0;
  const kinetics = setup.g.grain?.food.grain?.kinetics ?? 'diff';
  let all = 0;
  let had = 0;
  p.curve.tempC.forEach((c, i) => {
    const r = rate(kinetics, c);
    all += r;
    if (p.curve.minutes[i]! <= minutes) had += r;
  });
  return all > 0 ? (want * had) / all : 0;
}

/** Equivalent minutes of the starch in a minute at so many degC; without one, plain minutes. */
const perMinAt = (setup: Setup, tempC: number): number =>
  setup.g.grain ? rate(setup.g.grain.food.grain!.kinetics, tempC) : 1;

/**
 * Minutes of hold that are left for a starch that `had` so many equivalent minutes when the pot was opened and is locked
 * again: the planned release follows the new hold too, and a warm pot comes back to pressure in about half its first
 * time; both cook. A dish without starch keeps its hold.
 */
function holdLeft(setup: Setup, p: Plan, had: number): number {
  const want = p.grain?.equivalentMin ?? p.pasta?.equivalentMin ?? null;
  if (want === null) return p.program.holdMin;
  const release = want - soFar(setup, p, p.program.minutesToPressure + p.program.holdMin);
  return Math.max(0, (want - had - release) / perMinAt(setup, p.program.steamC) - p.program.minutesToPressure / 4);
}
