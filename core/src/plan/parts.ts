import { potInUse } from '../dish/kitchen';
import type { Texture } from '../grain/texture';
import type { LiquidBounds } from './bounds';
import type { Bench } from './bench';
import { potCurve } from './curve';
import type { Plan } from './document';
import { deglazeMin, deglazeMl } from './fry';
import { cooksUnderLid } from './joins';
import { hasFlag, type Gathered } from './item';
import { releaseAdvice } from './release';
import { leastThinMl } from './scorch';
import type { Cooked } from './cooked';
import { roundMl } from './solve-once';
import type { Geometry } from './stack';
import { betweenMin } from './stages';
import type { StepInput, timelineOf } from './steps';
import { prepTasks } from './tasks';
import type { GrainOutcome } from './water';

/** What a plan is written from. */
export interface Chosen {
  cooked: Cooked;
  mode: Plan['mode'];
  texture: Texture;
  /** what was asked for could not be reached with any liquid */
  missed: boolean;
  /** what the planner would have chosen without the cook's own numbers */
  own: Cooked;
  bounds: LiquidBounds | null;
  /** hot liquid stirred in after opening, mL; null where the planner decides it */
  topUpMl: number | null;
  /** pasta that waits for the finish because it would be soft on the way */
  heldPasta: string | null;
}

/** What was chosen, with what follows from it once the liquid stands. */
export interface Result extends Omit<Chosen, 'topUpMl'> {
  b: Cooked['b'];
  chosen: Cooked['chosen'];
  run: Cooked['chosen']['run'];
  addMl: number;
  /** where the starch ends, the top-up in it; null without starch */
  outcome: GrainOutcome | null;
  topUpMl: number;
  geo: Geometry;
}

export function liquidPart({ b: { g }, addMl, bounds }: Result, spreadG: number): Omit<Plan['liquid'], 'ledger'> {
  return {
    addMl: Math.round(addMl),
    rangeMl: [Math.max(0, roundMl(addMl - spreadG)), roundMl(addMl + spreadG)],
    food: g.main.ingredient.food,
    parts: g.poured.map((l) => ({ ingredient: l.ingredient, food: l.food, ml: Math.round(addMl * l.share) })),
    ...(bounds ? { bounds } : {}),
  };
}

/** Pressure, minutes, release and its advice; a pot that never sealed has no pressure. */
export function programPart({ cooked, b: { g, pot }, chosen, run }: Result): Plan['program'] {
  const { pressure, state } = cooked.h.heated;
  const setKpa = run.neverSealed ? 0 : pressure === 'low' && pot.lowKpa !== null ? pot.lowKpa : pot.highKpa;
  const naturalFullMin = naturalFull(cooked);
  return {
    pressure: setKpa === pot.lowKpa ? 'low' : 'high',
    gaugeKpa: setKpa,
    holdMin: chosen.holdMin,
    release: chosen.release,
    minutesToPressure: (run.countdownS ?? run.releaseS) / 60,
    pinUpMin: (run.pinUpS ?? run.releaseS) / 60,
    naturalFullMin,
    steamC: run.history.tempC[run.history.releaseAt]!,
    chance: chanceIn100(chosen.chance),
    ...(pot.whistle ? { whistles: run.whistles } : {}),
    ...programOf(pot, pressure, chosen.holdMin),
    advice: releaseAdvice({ g, fill: state.fill, chosen, naturalFullMin }),
  };
}

/** What the steps are written from, but for the finish. */
export function stepInput(r: Result, program: Plan['program']): Omit<StepInput, 'finish'> {
  const { b, chosen, run } = r;
  return {
    tasks: prepTasks(b.g),
    fry: b.fry,
    stack: r.geo.layers,
    addMl: Math.round(r.addMl),
    liquidFood: b.g.main.ingredient.food,
    holdMin: chosen.holdMin,
    release: chosen.release.kind,
    valve: run.valveS !== null,
    pinUpMin: program.pinUpMin,
    toFullMin: Math.max(0, program.minutesToPressure - program.pinUpMin),
    naturalMin: chosen.naturalMin,
    ventMin: Math.max(0, run.openS / 60 - run.releaseS / 60 - chosen.naturalMin),
    gaugeKpa: program.gaugeKpa,
    pressure: program.pressure,
    first: b.first && { ...b.first, ingredients: slowFirst(b.first), betweenMin },
    whistles: program.whistles ?? null,
    outerMl: b.outerMl,
  };
}

export function firstStagePart({ b }: Result): Plan['firstStage'] {
  const { first, pot } = b;
  const measuredMl = b.g.dish.overrides?.gravyMl;
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

export const deglazePart = ({ b: { pan }, addMl, geo }: Result): Plan['deglaze'] =>
  pan && {
    ml: Math.round(Math.min(deglazeMl, addMl)),
    minutes: deglazeMin,
    baseC: pan.baseC,
    foodC: pan.foodC,
    reducedG: pan.reducedG,
    enough: geo.thinLiquidMl >= deglazeMl,
  };

export function potPart({ b: { pot, kitchen }, geo, run }: Result): Plan['pot'] {
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
    ok: fillOk && wetEnough && !run.neverSealed && !run.dry,
  };
}

/** Heat of the plate while frying, and of the mixture as it vents, degC [common practice]. */
const panC = 165;
const ventC = 105;
/** An opened dish is no hotter than this, degC [common practice]. */
const openedC = 97;

/** The hottest that each stage of the evening gets, degC. */
export function peaks({ b, run }: Result): Parameters<typeof timelineOf>[1] {
  const { tempC, releaseAt } = run.history;
  const peakC = tempC.reduce((a, c) => Math.max(a, c), 0);
  return {
    prep: b.pot.roomC,
    fry: panC,
    first: peakC,
    stack: tempC[0]!,
    'heat-up': peakC,
    hold: peakC,
    natural: tempC[releaseAt]!,
    vent: ventC,
    finish: Math.min(openedC, run.openC),
  };
}

/** Ingredients that curdle where they lie, by id; a porridge is stirred smooth, whatever milk it is cooked in. */
export const curdling = (g: Gathered): string[] =>
  g.items
    .filter((i) => hasFlag(i, 'curdles') && i.joins === 'stack' && !cooksUnderLid(i.food, g.rule))
    .filter(() => g.dish.family !== 'porridge')
    .map((i) => i.ingredient.id);

/** Which of its programs a cooker with fixed ones runs. */
function programOf(pot: Bench['pot'], pressure: 'high' | 'low', holdMin: number): { program?: string } {
  const own = pot.programs?.find((p) => p.pressure === pressure && p.holdMin === holdMin);
  return own ? { program: own.id } : {};
}

/** Minutes until the pin would fall by itself after this hold. */
function naturalFull(c: Cooked): number {
  const run = c.h.heated.finish(c.chosen.holdMin, { kind: 'natural' });
  return ((run.pinDownS ?? run.openS) - run.releaseS) / 60;
}

/** Chances as of a hundred, one digit. */
const chanceIn100 = (c: Cooked['chosen']['chance']): NonNullable<Plan['program']['chance']> => {
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
const slowFirst = (first: NonNullable<Bench['first']>): string[] => [...new Set([...first.slow, ...first.items])];
