import { recordAmong } from '../food/own-food';
import type { Setup } from '../plan/setup/setup';
import type { Plan } from '../plan/document/document';
import type { Answers, MoveStep, Symptom } from './moves';
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

type First = NonNullable<Plan['firstStage']>;
const lid = 'first-heat' as const;

/** What can go wrong before the starch is in the pot: nothing that is said of a starch or of the finished dish. */
export const firstSymptoms: readonly Symptom[] = [
  'no-pressure',
  'burn-warning',
  'meat-under',
  'stuck-bottom',
  'release-forgotten',
  'spray',
  'forgotten-ingredient',
];

/**
 * The moves that are others in the first of two stages, where slow meat cooks alone: its own pin, its own hold, its own
 * thin liquid, and a second lid still to come.
 */
export const firstMovers: Partial<Record<Symptom, (setup: Setup, p: Plan, f: First, a: Answers) => Answer>> = {
  'no-pressure': (_, p, f, a) => {
    const expected = p.steps.find((s) => s.id === 'first-heat')?.minutes ?? f.minutesToPressure;
    const late = a.minutes! - expected;
    if (late < patienceMin) return waitForPin(late, expected);
    const short = Math.max(0, p.pot.minimumLiquidMl - thinMl(f));
    return {
      steps: [...lookAtLid(short), ...(short > 0 ? lessLater(p, round5(short + spareMl)) : [])],
      effect: { shortMl: Math.round(short) },
      // At the boil hardly anything melts that makes meat tender: the hold stays whole.
      clock: {
        minutes: takesMin.openAndLock,
        holdMin: f.holdMin,
        lid,
        ...(short > 0 ? { addMl: round5(short + spareMl) } : {}),
      },
    };
  },
  'burn-warning': (_, p, f, a) => {
    // Only minutes at pressure count; the way back up counts nothing, which errs to the tender side.
    const held = Math.min(f.holdMin, Math.max(0, a.minutes! - f.minutesToPressure));
    const holdMin = Math.ceil(f.holdMin - held);
    const ml = round5(Math.max(spareMl, p.pot.minimumLiquidMl - thinMl(f) + spareMl));
    return {
      steps: [
        ...openAndThin(ml),
        holdMin === 0 ? step('go-on-second') : step('restart', { holdMin }),
        ...lessLater(p, ml),
      ],
      effect: { doneShare: f.holdMin > 0 ? held / f.holdMin : 1, holdMin },
      clock: { minutes: takesMin.openAndLock, addMl: ml, ...(holdMin === 0 ? {} : { holdMin, lid }) },
    };
  },
  'meat-under': (setup, p, _, a) => {
    const { minimum, more } = underMinimum(setup, a, p.program.steamC);
    return {
      steps: [step('lid-on-again', { minutes: more }), step('release-quick'), step('check-thermometer', { minimum })],
      effect: { minutes: more, grainPoints: 0, minimumC: minimum },
      clock: { minutes: takesMin.openAndLock, holdMin: more, lid },
    };
  },
  'release-forgotten': () => ({ steps: [step('pin-down-open'), step('no-harm-first')], effect: {} }),
  'forgotten-ingredient': (setup, p, _f, a) => {
    const food = recordAmong(setup.g.dish.ingredients, a.food!);
    const late = food.flags.includes('delicate') || food.flags.includes('acid') || food.kind === 'dairy';
    if (food.kind === 'meat')
      return {
        steps: [
          step('cook-apart', { food: a.food! }),
          step('check-thermometer', { minimum: food.meat!.safeMinimumC[0] }),
        ],
        effect: { minutesLeft: p.program.holdMin },
      };
    const code = late ? 'at-the-finish' : 'with-second';
    return { steps: [step(code, { food: a.food! })], effect: { minutesLeft: p.program.holdMin } };
  },
};

/** What went in now is left out when the rest is poured: the starch drinks both. */
function lessLater(p: Plan, ml: number): MoveStep[] {
  const later = Number(p.steps.find((s) => s.id === 'stack')?.params['ml'] ?? 0);
  return later > 0 ? [step('less-later', { ml: Math.min(ml, later) })] : [];
}

/** Thin liquid under the first lid: what is left of it when the lid opens, and the steam that it gave. */
const thinMl = (f: First): number => f.gravyG + f.steamG;
