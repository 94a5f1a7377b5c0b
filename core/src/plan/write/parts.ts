import { potInUse } from '../../dish/kitchen';
import type { Texture } from '../../grain/texture';
import type { LiquidBounds } from '../setup/bounds';
import type { Setup } from '../setup/setup';
import { potCurve } from './curve';
import type { Plan } from '../document/document';
import { deglazeMin, deglazeMl } from '../setup/fry';
import { loosenerOf, type Loosener } from '../setup/loosener';
import { hasFlag, type Gathered } from '../gather/item';
import { releaseAdvice } from '../judge/release';
import { leastThinMl } from '../setup/bounds';
import type { Run } from '../judge/run';
import { roundMl } from '../search/solve-once';
import type { Geometry } from '../setup/stack';
import { betweenMin } from '../simulate/stages';
import type { StepInput, timelineOf } from './steps';
import { pinSd } from '../setup/learned';
import { prepTasks } from './tasks';
import type { GrainOutcome } from '../simulate/outcome';

/** What a plan is written from. */
export interface Chosen {
  run: Run;
  mode: Plan['mode'];
  texture: Texture;
  /** what was asked for could not be reached with any liquid */
  missed: boolean;
  /** what the planner would have chosen without the cook's own numbers */
  own: Run;
  bounds: LiquidBounds | null;
  /** hot liquid stirred in after opening, mL; null where the planner decides it */
  topUpMl: number | null;
  /** pasta that waits for the finish because it would be soft on the way */
  heldPasta: string | null;
}

/** What was chosen, with what follows from it once the liquid stands. */
export interface Result extends Omit<Chosen, 'topUpMl'> {
  setup: Setup;
  /** where the starch ends, the top-up in it; null without starch */
  outcome: GrainOutcome | null;
  topUpMl: number;
  geo: Geometry;
}

export function liquidPart(
  { setup: { g }, run: { addMl }, bounds }: Result,
  spreadG: number,
): Omit<Plan['liquid'], 'ledger'> {
  return {
    addMl: Math.round(addMl),
    rangeMl: [Math.max(0, roundMl(addMl - spreadG)), roundMl(addMl + spreadG)],
    food: g.main.ingredient.food,
    parts: g.poured.map((l) => ({ ingredient: l.ingredient, food: l.food, ml: Math.round(addMl * l.share) })),
    ...(bounds ? { bounds } : {}),
  };
}

/** Pressure, minutes, release and its advice; a pot that never sealed has no pressure. */
export function programPart({ run, setup: { g, pot, kitchen } }: Result): Plan['program'] {
  const { pressure, state } = run.h.heated;
  const { potRun } = run;
  const setKpa = potRun.neverSealed ? 0 : pressure === 'low' && pot.lowKpa !== null ? pot.lowKpa : pot.highKpa;
  const naturalFullMin = naturalFull(run);
  const pinUpMin = (potRun.pinUpS ?? potRun.releaseS) / 60;
  return {
    pressure: setKpa === pot.lowKpa ? 'low' : 'high',
    gaugeKpa: setKpa,
    holdMin: run.holdMin,
    release: run.release,
    minutesToPressure: (potRun.countdownS ?? potRun.releaseS) / 60,
    pinUpMin,
    pinUpSdMin: pinUpMin * pinSd(kitchen),
    naturalFullMin,
    steamC: potRun.history.tempC[potRun.history.releaseAt]!,
    chance: chanceIn100(run.chance),
    ...(pot.whistle ? { whistles: potRun.whistles } : {}),
    ...programOf(pot, pressure, run.holdMin),
    advice: releaseAdvice({ g, fill: state.fill, run, naturalFullMin }),
  };
}

const underOf = ({ grain, dish }: Gathered): StepInput['under'] =>
  !grain ? 'nothing' : dish.family === 'layered-pasta' ? 'sheets' : grain.food.kind === 'pasta' ? 'pasta' : 'grain';

/** What the steps are written from, but for the finish and what goes in with the liquid. */
export function stepInput(r: Result, program: Plan['program']): Omit<StepInput, 'finish' | 'withLiquid'> {
  const { setup, run } = r;
  const { potRun } = run;
  return {
    tasks: prepTasks(setup.g),
    fry: setup.fry,
    stack: r.geo.layers,
    addMl: Math.round(run.addMl),
    liquidFood: setup.g.main.ingredient.food,
    loosener: loosener(r),
    under: underOf(setup.g),
    holdMin: run.holdMin,
    release: run.release.kind,
    valve: potRun.valveS !== null,
    pinUpMin: program.pinUpMin,
    toFullMin: Math.max(0, program.minutesToPressure - program.pinUpMin),
    naturalMin: run.naturalMin,
    ventMin: Math.max(0, potRun.openS / 60 - potRun.releaseS / 60 - run.naturalMin),
    gaugeKpa: program.gaugeKpa,
    pressure: program.pressure,
    first: setup.first && { ...setup.first, ingredients: slowFirst(setup.first), betweenMin },
    whistles: program.whistles ?? null,
    outerMl: setup.outerMl,
    calibrates: setup.g.dish.calibrates === true,
  };
}

export function firstStagePart({ setup }: Result): Plan['firstStage'] {
  const { first, pot } = setup;
  const measuredMl = setup.g.dish.overrides?.gravyMl;
  return (
    first && {
      ingredients: slowFirst(first),
      slow: first.slow,
      gravyG: first.gravyG,
      ...(measuredMl === undefined ? {} : { measuredMl }),
      liquidMl: Math.round(first.liquidMl),
      holdMin: first.holdMin,
      minutesToPressure: first.minutesToPressure,
      ventMin: first.ventMin,
      steamG: first.steamG,
      minutes: first.minutesToPressure + first.holdMin + first.ventMin + betweenMin,
      ...(pot.whistle ? { whistles: first.whistles } : {}),
      curve: potCurve(first.history),
    }
  );
}

export function deglazePart(r: Result): Plan['deglaze'] {
  const { pan } = r.setup;
  if (!pan) return null;
  const { food, ml } = loosener(r);
  return {
    ml: Math.round(Math.min(deglazeMl, ml)),
    food,
    minutes: deglazeMin,
    baseC: pan.baseC,
    foodC: pan.foodC,
    reducedG: pan.reducedG,
    enough: r.geo.thinLiquidMl >= deglazeMl,
  };
}

const loosener = ({ setup: { g, outerMl }, run: { addMl } }: Result): Loosener => loosenerOf(g, addMl, outerMl);

export function potPart({ setup: { pot, kitchen }, geo, run: { potRun } }: Result): Plan['pot'] {
  const fillOk = geo.fillFraction <= geo.limitFraction;
  const wetEnough = geo.thinLiquidMl >= leastThinMl(pot.minimumLiquidMl[0]);
  const { own } = potInUse(kitchen);
  return {
    id: pot.id,
    ...(own ? { own } : {}),
    litres: pot.litres,
    diameterMm: pot.diameterMm,
    altitudeM: kitchen.altitudeM,
    fillLitres: geo.fillLitres,
    fillFraction: geo.fillFraction,
    limitFraction: geo.limitFraction,
    foamFraction: geo.foamFraction,
    minimumLiquidMl: pot.minimumLiquidMl[0],
    thinLiquidMl: geo.thinLiquidMl,
    liquidLevelMm: geo.liquidLevelMm,
    ok: fillOk && wetEnough && !potRun.neverSealed && !potRun.dry,
  };
}

/** Heat of the plate while frying, and of the mixture as it vents, degC [common practice]. */
const panC = 165;
const ventC = 105;
/** An opened dish is no hotter than this, degC [common practice]. */
const openedC = 97;

/** The hottest that each stage of the evening gets, degC. */
export function peaks({ setup, run: { potRun } }: Result): Parameters<typeof timelineOf>[1] {
  const { tempC, releaseAt } = potRun.history;
  const peakC = tempC.reduce((a, c) => Math.max(a, c), 0);
  return {
    prep: setup.pot.roomC,
    fry: panC,
    first: peakC,
    stack: tempC[0]!,
    'heat-up': peakC,
    hold: peakC,
    natural: tempC[releaseAt]!,
    vent: ventC,
    finish: Math.min(openedC, potRun.openC),
  };
}

/** Ingredients that curdle where they lie, by id; a porridge is stirred smooth, whatever milk it is cooked in. */
export const curdling = (g: Gathered): string[] =>
  g.dish.family === 'porridge'
    ? []
    : g.items
        .filter((i) => hasFlag(i, 'curdles') && i.joins === 'stack' && !g.rule.underLid(i.food))
        .map((i) => i.ingredient.id);

/** Which of its programs a cooker with fixed ones runs. */
function programOf(pot: Setup['pot'], pressure: 'high' | 'low', holdMin: number): { program?: string } {
  const own = pot.programs?.find((p) => p.pressure === pressure && p.holdMin === holdMin);
  return own ? { program: own.id } : {};
}

/** Minutes until the pin would fall by itself after this hold. */
function naturalFull({ h, holdMin }: Run): number {
  const run = h.heated.finish(holdMin, { kind: 'natural' });
  return ((run.pinDownS ?? run.openS) - run.releaseS) / 60;
}

/** Chances as of a hundred, one digit. */
const chanceIn100 = (c: Run['chance']): NonNullable<Plan['program']['chance']> => {
  const of100 = (x: number): number => Math.round(1000 * x) / 10;
  return {
    of100: of100(c.all),
    texture: of100(c.texture),
    pieces: of100(c.pieces),
    base: of100(c.base),
    release: of100(c.release),
  };
};

/** What goes into a first stage, the parts it is for before the rest. */
const slowFirst = (first: NonNullable<Setup['first']>): string[] => [...new Set([...first.slow, ...first.items])];
